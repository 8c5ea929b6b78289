using Vanto.Core.Energy;

namespace Vanto.Core.Handover;

/// <summary>A step of the way down as the battery falls.</summary>
/// <param name="FromSoc">From this charge on.</param>
/// <param name="Words">What is done.</param>
/// <param name="UnitW">What the air conditioner takes then, mean.</param>
/// <param name="OtherW">What the rest takes.</param>
public sealed record Rung(double FromSoc, string Words, double UnitW, double OtherW);

/// <summary>A rung with its hours.</summary>
/// <param name="Hours">Until the next.</param>
/// <param name="SumHours">From the first on.</param>
public sealed record RungHours(Rung Rung, double Hours, double SumHours);

/// <summary>What to do as the battery falls, instead of a dead one; and the warmest set-point that lasts. Energy balance, common practice.</summary>
public static class LowBattery
{
    /// <summary>Charge above the reserve at which each thing is done; the product's own, common practice.</summary>
    private const double Warmer = 0.30, FanOnly = 0.20, UnitOff = 0.10;

    /// <summary>What the head's fan takes alone, W; common practice.</summary>
    public const double FanW = 25;

    /// <summary>The usual rungs over a reserve: normal, two kelvin warmer, fan only, off.</summary>
    /// <param name="reserve">Charge that is kept, share.</param>
    /// <param name="normalW">Of the unit at the set-point.</param>
    /// <param name="warmerW">Of the unit two kelvin warmer.</param>
    /// <param name="otherW">Of the rest.</param>
    public static IReadOnlyList<Rung> Usual(double reserve, double normalW, double warmerW, double otherW) =>
    [
        .. new Rung[]
        {
            new(1, "as always", normalW, otherW), new(reserve + Warmer, "two degrees warmer", warmerW, otherW),
            new(reserve + FanOnly, "fan only, covers shut", FanW, otherW), new(reserve + UnitOff, "unit off; lights and fridge stay", 0, otherW),
        }.Where(r => r.FromSoc <= 1 && r.FromSoc > reserve),
    ];

    /// <summary>Hours of each rung, the last one down to the reserve.</summary>
    /// <param name="rungs">From the highest charge down.</param>
    /// <param name="energyWh">Nominal.</param>
    /// <param name="health">Share of it that is left.</param>
    /// <param name="reserve">Charge that is kept.</param>
    /// <param name="efficiency">Of the inverter.</param>
    /// <param name="standbyW">Of the inverter and what never sleeps.</param>
    public static IReadOnlyList<RungHours> Of(IReadOnlyList<Rung> rungs, double energyWh, double health, double reserve, double efficiency, double standbyW)
    {
        var sum = 0.0;
        return [.. rungs.Select((r, i) =>
        {
            var to = i + 1 < rungs.Count ? rungs[i + 1].FromSoc : reserve;
            var hours = HoursOnBattery.Of(energyWh, health, r.FromSoc, to, efficiency, standbyW, r.UnitW, r.OtherW);
            return new RungHours(r, hours, sum += hours);
        })];
    }

    /// <summary>Mean watts of the unit that last so many hours; below nothing where not even the rest does.</summary>
    public static double AllowedW(double hours, double energyWh, double health, double socStart, double socFloor, double efficiency, double standbyW,
        double otherW) =>
        efficiency * (energyWh * health * (socStart - socFloor) / hours - standbyW) - otherW;

    /// <summary>The set-point whose mean watts are allowed, straight between those listed; the coolest where all last, nothing where none does.</summary>
    /// <param name="table">Set-points that rise, with watts that do not.</param>
    /// <param name="allowedW">Mean watts of the unit.</param>
    public static double? Lasts(IReadOnlyList<(double SetC, double UnitW)> table, double allowedW)
    {
        if (table.Count == 0 || allowedW < table[^1].UnitW)
            return null;
        if (allowedW >= table[0].UnitW)
            return table[0].SetC;
        for (var i = 1; i < table.Count; i++)
            if (allowedW >= table[i].UnitW)
            {
                var (a, b) = (table[i - 1], table[i]);
                return a.UnitW - b.UnitW is > 0 and var fall ? a.SetC + (a.UnitW - allowedW) / fall * (b.SetC - a.SetC) : b.SetC;
            }
        return table[^1].SetC;
    }

    /// <summary>A set-point as printed: up to half a degree.</summary>
    public static double PrintedC(double celsius) => Math.Ceiling(celsius * 2 - 1e-9) / 2;
}
