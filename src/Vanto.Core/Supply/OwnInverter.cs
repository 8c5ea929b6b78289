using Vanto.Core.Findings;

namespace Vanto.Core.Supply;

/// <summary>What an inverter bears for how long as its maker says it, in place of what is typical of its class.</summary>
public static class OwnInverter
{
    /// <summary>Seconds at the rating itself where the maker's points begin above it; common practice, as of the classes.</summary>
    private const double AtRatingS = 1800;

    /// <summary>The source with its maker's bearing points, where there are any. It folds back at the most it bears.</summary>
    /// <exception cref="InputException">A point not above the rating, or a larger power borne no shorter.</exception>
    public static PowerSource Bearing(PowerSource source, InverterDesign inverter)
    {
        if (inverter.Surge.Count == 0)
            return source;
        var points = inverter.Surge.Select((p, i) => (p.PowerW, p.Seconds, Row: i)).OrderBy(p => p.PowerW).ToList();
        foreach (var (power, _, row) in points.Where(p => p.PowerW <= inverter.RatedW))
            throw new InputException($"survey.sources.inverter.surge[{row}].powerW", Phrase.Of($"{power:ElectricPower}"),
                Phrase.Of($"What it bears for a time lies above its rating of {inverter.RatedW:ElectricPower}; got {power:ElectricPower}."));
        for (var i = 1; i < points.Count; i++)
            if (points[i].Seconds >= points[i - 1].Seconds || points[i].PowerW <= points[i - 1].PowerW)
                throw new InputException($"survey.sources.inverter.surge[{points[i].Row}].seconds", Phrase.Of($"{points[i].Seconds:Seconds}"),
                    Phrase.Of(
                        $"{points[i].PowerW:ElectricPower} must be borne for less than the {points[i - 1].Seconds:Seconds} of "
                            + $"{points[i - 1].PowerW:ElectricPower}."));
        var curve = new BearingCurve([(1, Math.Max(AtRatingS, 2 * points[0].Seconds)), .. points.Select(p => (p.PowerW / inverter.RatedW, p.Seconds))]);
        return source with { Curve = curve, LimitRatio = points[^1].PowerW / inverter.RatedW };
    }
}
