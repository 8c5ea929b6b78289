namespace Vanto.Core.Energy;

/// <summary>The watt-hour budget as fitters do it by hand.</summary>
public readonly record struct HandBudgetResult(double AirconWh, double DcWh, double ChargeAh, double BankAh);

/// <summary>Hand figures, shown beside the simulation.</summary>
public static class HandBudget
{
    /// <summary>Energy and bank for some hours.</summary>
    /// <param name="plateW">Unit's plate watts.</param>
    /// <param name="hours">Hours that count.</param>
    /// <param name="duty">Share of the time that the unit is taken to run.</param>
    /// <param name="otherAcWh">Other loads behind the inverter.</param>
    /// <param name="dcWh">Loads straight on the battery.</param>
    /// <param name="inverterEfficiency">0 for a DC-native unit without an inverter.</param>
    /// <param name="idleW">Inverter's idle draw, all hours.</param>
    /// <param name="nominalV">12.8, 25.6, 51.2 for lithium; 12, 24, 48 for lead.</param>
    /// <param name="depth">Usable depth.</param>
    public static HandBudgetResult Of(double plateW, double hours, double duty, double otherAcWh, double dcWh, double inverterEfficiency, double idleW,
        double nominalV, double depth)
    {
        var aircon = plateW * hours * duty;
        var energy = inverterEfficiency <= 0 ? aircon + dcWh : (aircon + otherAcWh) / inverterEfficiency + idleW * hours + dcWh;
        return new HandBudgetResult(aircon, energy, energy / nominalV, energy / nominalV / depth);
    }
}
