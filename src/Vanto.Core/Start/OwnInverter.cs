using System.Text.Json.Nodes;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Survey;

namespace Vanto.Core.Start;

/// <summary>An inverter as its maker describes it: what it bears for how long and its efficiency table, in place of what is typical of its class.</summary>
public static class OwnInverter
{
    /// <summary>Seconds at the rating itself where the maker's points begin above it; common practice, as of the classes.</summary>
    private const double AtRatingS = 1800;

    /// <summary>The source with its maker's bearing points, where there are any. It folds back at the most it bears.</summary>
    /// <exception cref="InputException">A point not above the rating, or a larger power borne no shorter.</exception>
    public static PowerSource Bearing(PowerSource source, InverterDesign inverter)
    {
        if (inverter.Bears.Count == 0)
            return source;
        var points = inverter.Bears.Select((p, i) => (p.PowerW, p.Seconds, Row: i)).OrderBy(p => p.PowerW).ToList();
        foreach (var (power, _, row) in points.Where(p => p.PowerW <= inverter.RatedW))
            throw new InputException($"survey.sources.inverter.bears[{row}].powerW", FormattableString.Invariant($"{power} W"), FormattableString.Invariant($"what it bears for a time lies above its rating of {inverter.RatedW} W"));
        for (var i = 1; i < points.Count; i++)
            if (points[i].Seconds >= points[i - 1].Seconds || points[i].PowerW <= points[i - 1].PowerW)
                throw new InputException($"survey.sources.inverter.bears[{points[i].Row}].seconds", FormattableString.Invariant($"{points[i].Seconds} s"), FormattableString.Invariant($"{points[i].PowerW} W must be borne for less than the {points[i - 1].Seconds} s of {points[i - 1].PowerW} W"));
        var curve = new BearingCurve([(1, Math.Max(AtRatingS, 2 * points[0].Seconds)), .. points.Select(p => (p.PowerW / inverter.RatedW, p.Seconds))]);
        return source with { Curve = curve, LimitRatio = points[^1].PowerW / inverter.RatedW };
    }

    /// <summary>Its losses: fitted to its maker's table from two points on, else typical.</summary>
    public static InverterModel Model(InverterDesign inverter)
    {
        var idle = inverter.IdleW ?? 0.01 * inverter.RatedW;
        return inverter.Efficiency.Count < 2 ? new InverterModel(inverter.RatedW, idle) : Fit(inverter.RatedW, idle, [.. inverter.Efficiency.Select(p => (p.PowerW, p.Efficiency))]);
    }

    /// <summary>Losses in proportion to the load and to its square that fit an efficiency table best: least squares of the share lost, neither below nothing.</summary>
    /// <param name="ratedW">Label watts.</param>
    /// <param name="idleW">Draw without load.</param>
    /// <param name="table">AC watts and efficiency there, at least two points.</param>
    public static InverterModel Fit(double ratedW, double idleW, IReadOnlyList<(double PowerW, double Efficiency)> table)
    {
        // (P_dc − P − P_idle)/P = k1 + k2·P/P_rated
        var x = table.Select(p => p.PowerW / ratedW).ToList();
        var y = table.Select(p => 1 / p.Efficiency - 1 - idleW / p.PowerW).ToList();
        var (meanX, meanY) = (x.Average(), y.Average());
        var spread = x.Sum(v => (v - meanX) * (v - meanX));
        var k2 = spread > 0 ? x.Zip(y, (a, b) => (a - meanX) * (b - meanY)).Sum() / spread : 0;
        var k1 = meanY - k2 * meanX;
        if (k2 < 0)
            (k1, k2) = (Math.Max(0, meanY), 0);
        else if (k1 < 0)
            (k1, k2) = (0, Math.Max(0, x.Zip(y, (a, b) => a * b).Sum() / x.Sum(a => a * a)));
        return new InverterModel(ratedW, idleW, k1, k2);
    }

    /// <summary>Largest difference between a fitted inverter's efficiency and its maker's table.</summary>
    public static double LargestMiss(InverterModel model, IReadOnlyList<EfficiencyDesign> table) =>
        table.Max(p => Math.Abs(p.PowerW / model.DcPower(p.PowerW) - p.Efficiency));

    /// <summary>The changes that take off what belonged to one inverter, when another is bought.</summary>
    public static IEnumerable<DesignChange> Forget(InverterDesign inverter)
    {
        if (inverter.LabelVa is not null)
            yield return new DesignChange("/survey/sources/inverter/labelVa", null);
        if (inverter.PeakW is not null)
            yield return new DesignChange("/survey/sources/inverter/peakW", null);
        if (inverter.Bears.Count > 0)
            yield return new DesignChange("/survey/sources/inverter/bears", new JsonArray());
        if (inverter.Efficiency.Count > 0)
            yield return new DesignChange("/survey/sources/inverter/efficiency", new JsonArray());
    }
}
