using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;

namespace Vanto.Core.Energy;

/// <summary>A kit in a year of weather, cabin and sources together.</summary>
/// <param name="Weeks">Weeks of the year, the last one short.</param>
/// <param name="WeeksHeld">Weeks in which the charge stays above the reserve and the window is not too warm.</param>
/// <param name="WeeksUnderReserve">Weeks in which the charge falls under the reserve.</param>
/// <param name="WarmHours">Hours of the window that are too warm.</param>
/// <param name="DarkDay">First day on which everything goes dark; null where none does.</param>
public sealed record KitYear(int Weeks, int WeeksHeld, int WeeksUnderReserve, double WarmHours, int? DarkDay)
{
    /// <summary>Hours that may be too warm in a week that counts as held; definition.</summary>
    internal const double WarmHoursAllowed = 1;

    /// <summary>What falls short, first what is worst.</summary>
    public Phrase Words => DarkDay is { } day ? Phrase.Of($"dark on day {day}") : Short() is { Count: > 0 } shorts ? Phrase.Join(", ", shorts)
        : Phrase.Of($"all year");

    private List<Phrase> Short()
    {
        var shorts = new List<Phrase>();
        if (WeeksUnderReserve > 0)
            shorts.Add(Phrase.Of($"{WeeksUnderReserve} under reserve"));
        if (WarmHours >= WarmHoursAllowed)
            shorts.Add(Phrase.Of($"{WarmHours:Hours} too warm"));
        return shorts;
    }
}

/// <summary>Runs kits through the year, each adopted as it would be.</summary>
internal sealed class KitYears
{
    /// <summary>Kits of the frontier that are run.</summary>
    public const int Most = 12;

    /// <summary>Weeks that may fail where the year is asked; common practice, a fortnight in a year.</summary>
    public const int WeeksAllowed = 2;

    /// <summary>Kits tried at most when one is looked for that lasts the year.</summary>
    private const int MostTried = 60;

    /// <summary>Kits run beside one another.</summary>
    private const int AtOnce = 4;

    private readonly EnergyInputs _inputs;
    private readonly CancellationToken _stop;
    private readonly RigDay _through;
    private readonly int _days;

    /// <summary>Makes ready the rig's year: sun and weather are the same for every kit.</summary>
    public KitYears(EnergyInputs inputs, WeatherYear year, CancellationToken stop)
    {
        (_inputs, _stop, _days) = (inputs, stop, year.Hours / 24);
        var space = SurveyedSpace.Build(inputs.Survey, inputs.Load.SetpointC, inputs.Load.HumidityPct);
        _through = RigDay.Through(space, year.Steps(EnergyYear.StepS), EnergyYear.StepS);
    }

    /// <summary>The first kits of a frontier with their years.</summary>
    public List<FrontierPoint> Through(List<FrontierPoint> frontier)
    {
        var points = frontier.ToArray();
        Parallel.For(0, Math.Min(Most, points.Length), new ParallelOptions { CancellationToken = _stop },
            i => points[i] = points[i] with { Year = Of(points[i]) });
        return [.. points];
    }

    /// <summary>The cheapest kit that holds all weeks of the year but two; null where none tried does.</summary>
    /// <param name="frontier">Kits whose years are known.</param>
    /// <param name="others">Further kits at the aim's own set-point, the cheapest first.</param>
    public FrontierPoint? Smallest(List<FrontierPoint> frontier, IEnumerable<FrontierPoint> others)
    {
        var known = frontier.FirstOrDefault(p => p.Kit.SetpointC == _inputs.Energy.SetpointC && Lasts(p.Year));
        // Where the window is too warm with the largest kit as well, no kit mends the year.
        var kits = others.TakeWhile(p => known is null || p.Kit.Cost < known.Kit.Cost).ToList();
        if (kits.Count == 0 || known is null && !Lasts(Of(kits[^1])))
            return known;
        foreach (var batch in kits.Where(k => frontier.All(f => f.Kit != k.Kit || f.Year is null)).Take(MostTried).Chunk(AtOnce))
        {
            var tried = batch.ToArray();
            Parallel.For(0, tried.Length, new ParallelOptions { CancellationToken = _stop }, i => tried[i] = tried[i] with { Year = Of(tried[i]) });
            if (Array.Find(tried, p => Lasts(p.Year)) is { } found)
                return found;
        }
        return known;
    }

    private static bool Lasts(KitYear? year) => year is not null && year.WeeksHeld >= year.Weeks - 1 - WeeksAllowed;

    private KitYear Of(FrontierPoint point)
    {
        var adopted = _inputs with { Survey = point.Edit.Apply(_inputs.Survey), Energy = point.Edit.Apply(_inputs.Energy) with { StartSoc = 1 } };
        var (result, energyCase, hours) = new DayRun(adopted, _through, EnergyYear.StepS, _days).Run();
        var weeks = EnergyYear.Weeks(adopted, result, energyCase, hours);
        return new KitYear(weeks.Count, weeks.Count(w => w.MinSoc >= adopted.ReserveSoc && w.WarmHours < KitYear.WarmHoursAllowed),
            weeks.Count(w => w.MinSoc < adopted.ReserveSoc), weeks.Sum(w => w.WarmHours), result.CutOffHour is { } dark ? (int)(dark / 24) + 1 : null);
    }
}
