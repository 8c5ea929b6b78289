using MathNet.Numerics;

namespace Vanto.Core.Supply;

/// <summary>Losses of the inverter on board: one owner for the load, the start, the day and the search.</summary>
public static class InverterLosses
{
    /// <summary>Idle draw where it is not typed, as a share of the rating; common practice.</summary>
    public const double IdleShare = 0.01;

    /// <summary>Its losses: fitted to its maker's table from two points on, else typical.</summary>
    public static InverterModel Model(InverterDesign inverter)
    {
        var idle = inverter.IdleW ?? IdleShare * inverter.RatedW;
        return inverter.Efficiency.Count < 2
            ? new InverterModel(inverter.RatedW, idle)
            : Fitted(inverter.RatedW, idle, [.. inverter.Efficiency.Select(p => (p.PowerW, p.Efficiency))]);
    }

    /// <summary>
    /// Losses in proportion to the load and to its square that fit an efficiency table best: least squares of the share lost, neither below nothing.
    /// </summary>
    /// <param name="ratedW">Label watts.</param>
    /// <param name="idleW">Draw without load.</param>
    /// <param name="table">AC watts and efficiency there, at least two points.</param>
    public static InverterModel Fitted(double ratedW, double idleW, IReadOnlyList<(double PowerW, double Efficiency)> table)
    {
        // (P_dc − P − P_idle)/P = k1 + k2·P/P_rated
        var x = table.Select(p => p.PowerW / ratedW).ToArray();
        var y = table.Select(p => 1 / p.Efficiency - 1 - idleW / p.PowerW).ToArray();
        var (k1, k2) = x.Max() > x.Min() ? Fit.Line(x, y) : (y.Average(), 0);
        if (k2 < 0)
            (k1, k2) = (Math.Max(0, y.Average()), 0);
        else if (k1 < 0)
            (k1, k2) = (0, Math.Max(0, Fit.LineThroughOrigin(x, y)));
        return new InverterModel(ratedW, idleW, k1, k2);
    }

    /// <summary>Largest difference between a fitted inverter's efficiency and its maker's table.</summary>
    public static double LargestMiss(InverterModel model, IReadOnlyList<EfficiencyDesign> table) =>
        table.Max(p => Math.Abs(p.PowerW / model.DcPower(p.PowerW) - p.Efficiency));
}
