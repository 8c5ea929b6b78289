using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>What may run together on one source.</summary>
/// <param name="Source">Which.</param>
/// <param name="Rating">What it carries.</param>
/// <param name="Together">Largest sets with the air conditioner that it carries.</param>
/// <param name="Never">Smallest sets that it does not, those of fewest devices first.</param>
/// <param name="Small">Devices that count as one, because there are too many to try each with each; empty where there are not.</param>
/// <param name="TogetherLeft">So many sets more are allowed than are written down.</param>
/// <param name="NeverLeft">So many sets more are not allowed.</param>
public sealed record TogetherOnSource(
    string Source, Phrase Rating, IReadOnlyList<IReadOnlyList<string>> Together, IReadOnlyList<IReadOnlyList<string>> Never, IReadOnlyList<string> Small,
    int TogetherLeft, int NeverLeft);

/// <summary>What the unit asks of a source that it can be put on, and what that carries.</summary>
/// <param name="On">Which.</param>
/// <param name="UnitVa">Running alone, VA.</param>
/// <param name="UnitStartVa">Its first second, VA.</param>
/// <param name="Refused">Why it does not start there even alone; nothing where it does.</param>
public sealed record SourceDraw(SourceChoice On, double UnitVa, double UnitStartVa, double ContinuousW, double SurgeW, Phrase? Refused = null);

/// <summary>What the owner may run together, for each source on board.</summary>
public static class RunningTogether
{
    private const string UnitName = "air conditioner";

    /// <summary>Sets written down at most; how many there are beside them is said.</summary>
    private const int MostSets = 40;

    /// <summary>On the source in use.</summary>
    public static SourceDraw InUse(SourceChoice on, AcUnit unit, StartAssessment start)
    {
        var neighbours = start.Neighbours.Where(n => !n.OwnFan).Sum(n => n.CurrentA);
        var va = Math.Max(unit.RatedPowerW / unit.PowerFactorRun, (start.RunA - neighbours) * start.SourceV);
        return new SourceDraw(on, va, Math.Max(va, start.MaxA * start.SourceV), start.ContinuousW, start.SurgeW);
    }

    /// <summary>Of the devices on board with the unit; null where the unit runs straight on the battery, or nothing is known of its source.</summary>
    public static TogetherOnSource? Of(SurveyDesign survey, AcUnit unit, SourceDraw draw)
    {
        if (unit.IsDc || draw.ContinuousW <= 0 || draw.UnitVa <= 0)
            return null;
        var devices = survey.Devices.Where(d => d.Supply == DeviceSupply.Ac).ToList();
        const int own = RunTogether.MostLoads - 2; // one place for the unit, one for all that is small
        var apart = devices.Count <= own + 1 ? devices : [.. devices.OrderByDescending(d => d.PowerW).Take(own)];
        List<DeviceDesign> small = [.. devices.Where(d => !apart.Any(a => ReferenceEquals(a, d)))];
        var loads = new List<OwnerLoad> { new(UnitName, draw.UnitVa, draw.UnitStartVa) };
        static OwnerLoad Load(string name, double watts) => new(name, watts / StartStation.DevicePowerFactor, watts / StartStation.DevicePowerFactor);
        loads.AddRange(apart.Select(d => Load(d.Name, d.PowerW)));
        if (small.Count > 0)
            loads.Add(Load($"the {small.Count} small ones", small.Sum(d => d.PowerW)));
        var result = RunTogether.Of(loads, draw.ContinuousW, draw.SurgeW);
        var withUnit = result.Maximal.Where(s => s[0] == 0).ToList();
        IReadOnlyList<IReadOnlyList<string>> Named(IEnumerable<IReadOnlyList<int>> sets) =>
            [.. sets.Take(MostSets).Select(s => (IReadOnlyList<string>)[.. s.Select(i => loads[i].Name)])];
        return new TogetherOnSource(Calls.Name(draw.On),
            Phrase.Of($"{Calls.Name(draw.On)}: {draw.ContinuousW:ApparentPower} continuous, {draw.SurgeW:ApparentPower} for a start"),
            Named(withUnit), Named(result.Forbidden), [.. small.Select(d => d.Name)], Math.Max(0, withUnit.Count - MostSets),
            Math.Max(0, result.Forbidden.Count - MostSets));
    }

    /// <summary>As the owner's sheet says it: a block for the source in use, one for each other that is on board.</summary>
    public static IEnumerable<SheetBlock> Sheets(SurveyDesign survey, AcUnit unit, SourceChoice on, StartAssessment start)
    {
        const string heading = "What may run together";
        SheetBlock Block(string words, IEnumerable<SheetLine> lines) => new(SheetPlace.Running, words, SheetForm.Sentences, [.. lines]);
        if (on != SourceChoice.Sun)
            yield return Block(heading, Of(survey, unit, InUse(on, unit, start)) is { } together ? Lines(together) : NoInverter);
        foreach (var draw in start.Elsewhere)
            yield return Block($"{heading} on the {Calls.Name(draw.On)}", draw.Refused is { } why ? [SheetLine.Sentence(why, StationState.Stop)]
                : Of(survey, unit, draw) is { } there ? Lines(there) : []);
    }

    private static readonly SheetLine[] NoInverter =
        [SheetLine.Sentence(Phrase.Of($"The unit runs straight on the battery: nothing else shares an inverter with it."))];

    private static IEnumerable<SheetLine> Lines(TogetherOnSource together)
    {
        yield return SheetLine.Sentence(together.Rating) with { Faint = true };
        if (together.Together.Count == 0)
            yield return SheetLine.Sentence(Phrase.Of($"The air conditioner must not be started on this source."), StationState.Stop);
        foreach (var set in together.Together)
            yield return SheetLine.Sentence(Phrase.Of($"Together: {string.Join(", ", set)}"));
        if (together.TogetherLeft > 0)
            yield return SheetLine.Sentence(Phrase.Of($"and {together.TogetherLeft} more sets that are allowed."));
        foreach (var set in together.Never)
            yield return SheetLine.Sentence(set.Count == 1 ? Phrase.Of($"Not at all: {set[0]}") : Phrase.Of($"Not together: {string.Join(" with ", set)}"));
        if (together.NeverLeft > 0)
            yield return SheetLine.Sentence(
                Phrase.Of($"and {together.NeverLeft} more sets that are not allowed: what is not written under Together is run one at a time."),
                StationState.Stop);
        if (together.Small.Count > 0)
            yield return SheetLine.Sentence(Phrase.Of($"The {together.Small.Count} small ones: {string.Join(", ", together.Small)}.")) with { Faint = true };
    }
}
