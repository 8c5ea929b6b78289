using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Survey;

namespace Vanto.Core.Energy;

/// <summary>With what charge the days asked begin.</summary>
internal enum DaysBegin
{
    /// <summary>The day is repeated until it repeats itself; that is judged.</summary>
    Repeated,

    /// <summary>From where the repeated design day leaves the bank.</summary>
    AfterRepeated,

    /// <summary>From a full bank.</summary>
    Full,
}

/// <summary>Days one after another that a kit must stand.</summary>
/// <param name="Id">design, hot, cloudy, dark, each alone or with "-aged".</param>
/// <param name="Words">In words.</param>
/// <param name="Count">How many.</param>
/// <param name="Begin">With what charge they begin.</param>
/// <param name="Days">
/// The rig's day that repeats; where modules lie over its roof, with none and with the most tried, since they shade it by day and keep it from the sky by
/// night: a kit must hold with as many as it has.
/// </param>
/// <param name="Aged">With an aged bank.</param>
/// <param name="Sunless">The modules give nothing.</param>
internal sealed record SizingDays(string Id, Phrase Words, int Count, DaysBegin Begin, IReadOnlyList<RigDay> Days, bool Aged, bool Sunless)
{
    private const double HotterK = 3;
    private const double CloudySun = 0.35;

    private const string Aging = ", aged bank";

    /// <summary>The days that the aim asks for, the design day first.</summary>
    public static List<SizingDays> Of(EnergyInputs inputs)
    {
        var sizing = inputs.Energy.Sizing;
        var shades = inputs.Survey.Sources.Modules.ShadesRoof;
        RigDay Hotter(SurveyDesign survey) => RigDay.Of(survey with
        {
            Place = survey.Place with { DryBulbC = survey.Place.DryBulbC + HotterK, NightLowC = survey.Place.NightLowC + HotterK },
        }, inputs.Load).Day;
        var roofs = shades
            ? new[] { 0, Math.Max(1, sizing.MostModules) }.Select(count => inputs.Survey.WithModules(m => m with { Count = count })).ToList()
            : [inputs.Survey];
        List<RigDay> day = [.. roofs.Select(survey => (shades ? null : inputs.Day) ?? RigDay.Of(survey, inputs.Load).Day)];
        List<SizingDays> list = [.. Asked(sizing).Select(
            a => new SizingDays(a.Id, a.Words, a.Count, Beginning(sizing, a.Id),
                a.Id switch { "hot" => [.. roofs.Select(Hotter)], "cloudy" => [.. day.Select(d => d.UnderCloud(CloudySun))], _ => day }, false,
                a.Id == "dark"))];
        return sizing.Aged ? [.. list.SelectMany(s => new[] { s, s with { Id = s.Id + "-aged", Words = Phrase.Of($"{s.Words}{Aging}"), Aged = true } })] : list;
    }

    /// <summary>The aim in a sentence.</summary>
    public static Phrase Sentence(EnergyInputs inputs)
    {
        var (aim, sizing) = (inputs.Energy, inputs.Energy.Sizing);
        var days = Phrase.Of($"{Phrase.Join(", ", Asked(sizing).Select(a => a.Words))}{(sizing.Aged ? ", and again with a bank aged to 80 %" : "")}");
        if (sizing.Lasting == LastingAim.Nights)
            days = Phrase.Of($"{days}. That is all: it says nothing of a stay that is longer");
        if (aim.EcoSoc > 0)
            days = Phrase.Of($"{days}, with economy off");
        var within = Phrase.Of($"at most {sizing.MostBatteries} blocks and {sizing.MostModules} modules");
        if (sizing.MostCost is { } cost)
            within = Phrase.Of($"{within}, at a cost of {cost:Count}");
        if (sizing.MostMassKg is { } mass)
            within = Phrase.Of($"{within}, {mass:Mass}");
        if (sizing.ChooseGenerator || inputs.Survey.Sources.Generator is { Fitted: true, AutoStart: true })
            within = Phrase.Of($"{within}, {sizing.MostGeneratorHours:Hours} of generator a week");
        return Phrase.Of($"Hold at most {aim.SetpointC:Temperature} from {aim.From:HourOfDay} to {aim.To:HourOfDay} and never fall under "
            + $"{inputs.ReserveSoc:Fraction} of charge: {days}. Within {within}.");
    }

    private static DaysBegin Beginning(SizingDesign sizing, string id) => sizing.Lasting == LastingAim.Nights || id == "dark" ? DaysBegin.Full
        : id == "design" ? DaysBegin.Repeated : DaysBegin.AfterRepeated;

    private static IEnumerable<(string Id, Phrase Words, int Count)> Asked(SizingDesign sizing)
    {
        var nights = sizing.Lasting == LastingAim.Nights;
        var count = nights ? sizing.Nights : sizing.Days;
        yield return nights
            ? ("design", Phrase.Of($"{(count == 1 ? "the design night" : $"{count} design nights")} from a full bank, then recharged"), count)
            : ("design", Phrase.Of($"the design day, day after day"), 1);
        if (sizing.HotDays)
            yield return ("hot", Phrase.Of($"{InDays(count)} {HotterK:TemperatureDifference} hotter"), count);
        if (sizing.CloudyDays)
            yield return ("cloudy", Phrase.Of($"{InDays(count)} with {CloudySun:Fraction} of the sun"), count);
        if (sizing.DarkDays > 0)
            yield return ("dark", Phrase.Of($"{InDays(sizing.DarkDays)} without sun on the modules"), sizing.DarkDays);
    }

    private static string InDays(int count) => count == 1 ? "a day" : $"{count} days";
}

/// <summary>What holds in all days asked: by generator, set-point, modules and batteries.</summary>
internal sealed record MeetingKits(bool[][][][] Maps)
{
    /// <summary>The map of one generator at one set-point.</summary>
    public bool[][] At(int generator, int hold) => Maps[generator][hold];

    /// <summary>Whether any kit holds at a set-point.</summary>
    public bool Any(int hold) => Maps.Any(byHold => byHold[hold].Any(column => column.Any(c => c)));
}
