using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Supply;

/// <summary>Battery chemistries.</summary>
public enum Chemistry { [Called("lithium iron phosphate")] Lfp, [Called("AGM lead")] Agm, [Called("flooded lead")] Flooded, [Called("lithium NMC")] Nmc }

/// <summary>What chemistries have in common.</summary>
public static class Chemistries
{
    /// <summary>True of lithium, which has a management board and must not be charged in the cold.</summary>
    public static bool IsLithium(this Chemistry chemistry) => chemistry is Chemistry.Lfp or Chemistry.Nmc;
}

/// <summary>Typical cell data of one chemistry; common practice, a maker's sheet replaces it.</summary>
public sealed record CellData
{
    public required double[] SocPoints { get; init; }
    public required double[] OcvPoints { get; init; }
    public required double OhmAh { get; init; }
    public required double Peukert { get; init; }
    public required double CoulombicEfficiency { get; init; }
    public required double MaxChargePerAh { get; init; }
    public required double UsableDepth { get; init; }
    public required double CutOffVPerCell { get; init; }
    public required double ContinuousPerAh { get; init; }
    public required double NoChargeBelowC { get; init; }
    public required double[] CapacityAtTemperature { get; init; }
    public required double[] ResistanceAtTemperature { get; init; }
    public required double[] ResistanceSoc { get; init; }
    public required double[] ResistanceAtSoc { get; init; }
    public required double KgPerKWh { get; init; }
    public required int CellsPer12V { get; init; }

    private static readonly double[] LeadSoc = [0, 0.25, 0.5, 0.75, 1];
    private static readonly double[] LithiumResistanceSoc = [0, 0.1, 0.2];
    private static readonly double[] LithiumResistance = [2, 1.4, 1];
    private static readonly double[] LeadResistanceSoc = [0, 0.5, 1];
    private static readonly double[] LeadResistance = [2, 1.2, 1];

    /// <summary>Temperatures of the capacity factors, °C.</summary>
    public static readonly double[] CapacityTemperatures = [-20, -10, 0, 10, 25, 60];

    /// <summary>Temperatures of the resistance factors, °C.</summary>
    public static readonly double[] ResistanceTemperatures = [-20, -10, 0, 10, 25, 45, 60];

    private static readonly CellData Lfp = new CellData
    {
        SocPoints = [0, 0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1],
        OcvPoints = [2.5, 2.95, 3.13, 3.19, 3.22, 3.25, 3.275, 3.285, 3.295, 3.315, 3.33, 3.335, 3.34, 3.4],
        OhmAh = 0.12,
        Peukert = 1.00,
        CoulombicEfficiency = 0.995,
        MaxChargePerAh = 0.5,
        UsableDepth = 0.90,
        CutOffVPerCell = 2.80,
        ContinuousPerAh = 1.0,
        NoChargeBelowC = 0,
        CapacityAtTemperature = [0.60, 0.78, 0.90, 0.96, 1, 1],
        ResistanceAtTemperature = [4.5, 3, 2, 1.5, 1, 0.8, 0.8],
        ResistanceSoc = LithiumResistanceSoc,
        ResistanceAtSoc = LithiumResistance,
        KgPerKWh = 10,
        CellsPer12V = 4,
    };

    private static readonly CellData Agm = new CellData
    {
        SocPoints = LeadSoc,
        OcvPoints = [1.942, 1.998, 2.05, 2.098, 2.142],
        OhmAh = 0.07,
        Peukert = 1.12,
        CoulombicEfficiency = 0.95,
        MaxChargePerAh = 0.25,
        UsableDepth = 0.50,
        CutOffVPerCell = 1.75,
        ContinuousPerAh = 1.0,
        NoChargeBelowC = -20,
        CapacityAtTemperature = [0.60, 0.72, 0.82, 0.91, 1, 1],
        ResistanceAtTemperature = [2, 1.6, 1.35, 1.15, 1, 0.9, 0.9],
        ResistanceSoc = LeadResistanceSoc,
        ResistanceAtSoc = LeadResistance,
        KgPerKWh = 27,
        CellsPer12V = 6,
    };

    private static readonly CellData Flooded = new CellData
    {
        SocPoints = LeadSoc,
        OcvPoints = [11.89 / 6, 12.06 / 6, 12.24 / 6, 12.45 / 6, 12.65 / 6],
        OhmAh = 0.12,
        Peukert = 1.25,
        CoulombicEfficiency = 0.88,
        MaxChargePerAh = 0.15,
        UsableDepth = 0.50,
        CutOffVPerCell = 1.75,
        ContinuousPerAh = 0.25,
        NoChargeBelowC = -20,
        CapacityAtTemperature = [0.50, 0.65, 0.78, 0.89, 1, 1],
        ResistanceAtTemperature = [2.3, 1.8, 1.45, 1.2, 1, 0.9, 0.9],
        ResistanceSoc = LeadResistanceSoc,
        ResistanceAtSoc = LeadResistance,
        KgPerKWh = 30,
        CellsPer12V = 6,
    };

    private static readonly CellData Nmc = new CellData
    {
        SocPoints = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1],
        OcvPoints = [3, 3.45, 3.55, 3.6, 3.64, 3.68, 3.76, 3.86, 3.95, 4.06, 4.18],
        OhmAh = 0.08,
        Peukert = 1.00,
        CoulombicEfficiency = 0.995,
        MaxChargePerAh = 0.5,
        UsableDepth = 0.85,
        CutOffVPerCell = 3.20,
        ContinuousPerAh = 1.0,
        NoChargeBelowC = 0,
        CapacityAtTemperature = [0.65, 0.80, 0.90, 0.96, 1, 1],
        ResistanceAtTemperature = [4, 2.6, 1.8, 1.4, 1, 0.85, 0.85],
        ResistanceSoc = LithiumResistanceSoc,
        ResistanceAtSoc = LithiumResistance,
        KgPerKWh = 6.5,
        CellsPer12V = 4,
    };

    public static CellData Of(Chemistry chemistry) => chemistry switch
    {
        Chemistry.Lfp => Lfp,
        Chemistry.Agm => Agm,
        Chemistry.Flooded => Flooded,
        _ => Nmc,
    };
}

/// <summary>What one step did to the bank.</summary>
/// <param name="Soc">State of charge after the step.</param>
/// <param name="CurrentA">Positive when charging.</param>
/// <param name="ResistiveW">Loss in resistance.</param>
/// <param name="CoulombicW">Loss of charge acceptance.</param>
/// <param name="PeukertW">Loss by fast discharge (lead).</param>
/// <param name="StoredJ">Change of stored energy.</param>
public readonly record struct BatteryStepResult(double Soc, double CurrentA, double ResistiveW, double CoulombicW, double PeukertW, double StoredJ)
{
    /// <summary>All losses, W.</summary>
    public double LossW => ResistiveW + CoulombicW + PeukertW;
}

/// <summary>
/// A battery bank: open-circuit voltage by state of charge, resistance by temperature, charge and age, exact energy of a step.
/// Charge in Ah of the whole bank, powers positive when charging.
/// </summary>
public sealed class BatteryBank
{
    private readonly CellData _cell;
    private readonly double[] _energyAtPoint;
    private readonly double _resistanceBase;

    /// <summary>Builds a bank.</summary>
    /// <param name="chemistry">Chemistry.</param>
    /// <param name="cells">Cells in series; 12 V is 4 lithium iron or 6 lead cells.</param>
    /// <param name="ampHours">Of all strings together at the 20 h rate.</param>
    /// <param name="temperatureC">Of the bank during the run.</param>
    /// <param name="ageCapacity">Share of capacity left, 0.5 to 1.</param>
    /// <param name="ageResistance">Factor on resistance, 1 to 4.</param>
    /// <param name="extraResistance">Links, management board and cable inside the bank, Ω; default by chemistry.</param>
    /// <param name="continuousA">Rated continuous discharge; default by chemistry.</param>
    public BatteryBank(Chemistry chemistry, int cells, double ampHours, double temperatureC = 25, double ageCapacity = 1, double ageResistance = 1,
        double? extraResistance = null, double? continuousA = null)
    {
        _cell = CellData.Of(chemistry);
        Chemistry = chemistry;
        Cells = cells;
        AmpHours = ampHours;
        TemperatureC = temperatureC;
        CapacityAh = ampHours * Roots.Interpolate(CellData.CapacityTemperatures, _cell.CapacityAtTemperature, temperatureC) * ageCapacity;
        ExtraResistance = extraResistance ?? (chemistry.IsLithium() ? 0.0001 * cells * 100 / ampHours : 0);
        ContinuousA = continuousA ?? _cell.ContinuousPerAh * ampHours;
        _resistanceBase =
            _cell.OhmAh * cells / ampHours * Roots.Interpolate(CellData.ResistanceTemperatures, _cell.ResistanceAtTemperature, temperatureC) * ageResistance;
        _energyAtPoint = new double[_cell.SocPoints.Length];
        for (var i = 1; i < _energyAtPoint.Length; i++)
            _energyAtPoint[i] = _energyAtPoint[i - 1] + 0.5 * (_cell.OcvPoints[i] + _cell.OcvPoints[i - 1]) * (_cell.SocPoints[i] - _cell.SocPoints[i - 1]);
    }

    /// <summary>The same bank with another continuous rating, A.</summary>
    public BatteryBank Rated(double continuousA) => new(this, continuousA);

    private BatteryBank(BatteryBank other, double continuousA)
    {
        (_cell, _energyAtPoint, _resistanceBase) = (other._cell, other._energyAtPoint, other._resistanceBase);
        (Chemistry, Cells, AmpHours, TemperatureC, CapacityAh, ExtraResistance) =
            (other.Chemistry, other.Cells, other.AmpHours, other.TemperatureC, other.CapacityAh, other.ExtraResistance);
        ContinuousA = continuousA;
    }

    public Chemistry Chemistry { get; }
    public int Cells { get; }
    public double AmpHours { get; }
    public double TemperatureC { get; }

    /// <summary>Usable charge at this temperature and age, Ah.</summary>
    public double CapacityAh { get; }

    /// <summary>Resistance beside the cells, Ω.</summary>
    public double ExtraResistance { get; }

    /// <summary>Rated continuous discharge current, A.</summary>
    public double ContinuousA { get; }

    /// <summary>True for lithium chemistries, whose management board trips on over-current.</summary>
    public bool HasManagementBoard => Chemistry.IsLithium();

    /// <summary>Nominal voltage as spoken of: 12 V for each 4 lithium or 6 lead cells.</summary>
    public double NominalVoltage => 12.0 * Cells / _cell.CellsPer12V;

    /// <summary>Low cut-off voltage of the bank.</summary>
    public double CutOffVoltage => _cell.CutOffVPerCell * Cells;

    /// <summary>Current of a dead short at full charge in A: cells and cable alone hold it back, links and boards left out (the safe side).</summary>
    /// <param name="cableOhm">Cable of the short, both ways.</param>
    public double ShortCircuitA(double cableOhm) => OpenCircuitVoltage(1) / (Resistance(1) - ExtraResistance + cableOhm);

    /// <summary>True when the chemistry may not be charged at this temperature.</summary>
    public bool TooColdToCharge => TemperatureC <= _cell.NoChargeBelowC && HasManagementBoard;

    /// <summary>What there is to say of charging it as cold as it is, or null.</summary>
    public Finding? JudgeCold() => !TooColdToCharge ? null : Finding.Of(FindingCode.BatteryColdCharge, Severity.Stop,
        $"A lithium bank at {TemperatureC:Temperature} must not be charged. Warm it above {_cell.NoChargeBelowC:Temperature} first.");

    /// <summary>Typical data of the chemistry.</summary>
    public CellData Cell => _cell;

    /// <summary>Open-circuit voltage at a state of charge.</summary>
    public double OpenCircuitVoltage(double soc) => Cells * Roots.Interpolate(_cell.SocPoints, _cell.OcvPoints, soc);

    /// <summary>Resistance at a state of charge, Ω.</summary>
    public double Resistance(double soc) => _resistanceBase * Roots.Interpolate(_cell.ResistanceSoc, _cell.ResistanceAtSoc, soc) + ExtraResistance;

    /// <summary>Stored energy above empty, J.</summary>
    public double StoredJ(double soc)
    {
        var points = _cell.SocPoints;
        var i = 1;
        while (i < points.Length - 1 && soc > points[i])
            i++;
        var slope = (_cell.OcvPoints[i] - _cell.OcvPoints[i - 1]) / (points[i] - points[i - 1]);
        var d = soc - points[i - 1];
        return 3600 * CapacityAh * Cells * (_energyAtPoint[i - 1] + _cell.OcvPoints[i - 1] * d + 0.5 * slope * d * d);
    }

    /// <summary>Mean power bearing of the terminals: voltage and current when a power in W is drawn; null when the voltage collapses.</summary>
    public (double CurrentA, double Voltage)? Sag(double soc, double powerW, double cableOhm)
    {
        var u = OpenCircuitVoltage(soc);
        var r = Resistance(soc) + cableOhm;
        return DcSag(u, r, powerW);
    }

    /// <summary>Current and voltage at a DC load of constant power behind a resistance; null on collapse.</summary>
    public static (double CurrentA, double Voltage)? DcSag(double openCircuitV, double ohm, double powerW)
    {
        if (ohm == 0)
            return (powerW / openCircuitV, openCircuitV);
        var root = openCircuitV * openCircuitV - 4 * ohm * powerW;
        if (root < 0)
            return null;
        var current = (openCircuitV - Math.Sqrt(root)) / (2 * ohm);
        return (current, openCircuitV - ohm * current);
    }

    /// <summary>Charge current that the bank accepts, A.</summary>
    public double ChargeAcceptance(double soc)
    {
        if (TooColdToCharge || TemperatureC < _cell.NoChargeBelowC)
            return 0;
        var most = _cell.MaxChargePerAh * AmpHours;
        if (!HasManagementBoard)
            return Math.Min(most, (1 - soc) * AmpHours + 0.01 * AmpHours);
        var knee = Chemistry == Chemistry.Lfp ? 0.95 : 0.90;
        return soc <= knee ? most : most + (0.05 * AmpHours - most) * (soc - knee) / (1 - knee);
    }

    /// <summary>One step at constant terminal power (W, positive charging). Power in = stored + losses, exactly.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The step would leave 0 to 1; limit it by <see cref="MaxCharge"/> or
    /// <see cref="MaxDischarge"/>.</exception>
    public BatteryStepResult Step(double soc, double powerW, double seconds)
    {
        if (powerW == 0)
            return new BatteryStepResult(soc, 0, 0, 0, 0, 0);
        var resistance = Resistance(soc);
        var start = StoredJ(soc);
        var mean = OpenCircuitVoltage(soc);
        var charge = 3600 * CapacityAh;
        double next = soc, free = soc, current = 0, effective = 0;
        for (var pass = 0; pass < 50; pass++)
        {
            if (powerW < 0)
            {
                current = (mean - Math.Sqrt(Math.Max(0, mean * mean + 4 * resistance * powerW))) / (2 * resistance);
                effective = EffectiveCurrent(current);
                free = soc - effective * seconds / charge;
            }
            else
            {
                current = (-mean + Math.Sqrt(mean * mean + 4 * resistance * powerW)) / (2 * resistance);
                free = soc + _cell.CoulombicEfficiency * current * seconds / charge;
            }
            var before = next;
            next = Math.Clamp(free, 0, 1);
            var newMean = MeanVoltage(soc, next, start);
            var settled = Math.Abs(next - before) < 1e-14 && Math.Abs(newMean - mean) < 1e-12;
            mean = newMean;
            if (settled)
                break;
        }
        if (free is < -1e-9 or > 1 + 1e-9)
            throw new ArgumentOutOfRangeException(nameof(powerW), powerW, "the step would leave the bank's charge");
        var stored = StoredJ(next) - start;
        var resistive = current * current * resistance;
        return powerW < 0
            ? new BatteryStepResult(next, -current, resistive, 0, (effective - current) * mean, stored)
            : new BatteryStepResult(next, current, resistive, (1 - _cell.CoulombicEfficiency) * current * mean, 0, stored);
    }

    /// <summary>Largest charge of a step: current and power.</summary>
    public (double CurrentA, double PowerW) MaxCharge(double soc, double seconds)
    {
        var charge = 3600 * CapacityAh;
        var current = Math.Min(ChargeAcceptance(soc), (1 - soc) * charge / (_cell.CoulombicEfficiency * seconds));
        var next = Math.Min(1, soc + _cell.CoulombicEfficiency * current * seconds / charge);
        return (current, current * (MeanVoltage(soc, next, StoredJ(soc)) + current * Resistance(soc)));
    }

    /// <summary>Largest discharge of a step down to a floor: current and power.</summary>
    public (double CurrentA, double PowerW) MaxDischarge(double soc, double seconds, double floor)
    {
        if (soc <= floor)
            return (0, 0);
        var charge = 3600 * CapacityAh;
        var open = OpenCircuitVoltage(soc);
        var resistance = Resistance(soc);
        var current = RealCurrent((soc - floor) * charge / seconds);
        current = Math.Min(current, Math.Min(ContinuousA, Math.Min((open - CutOffVoltage) / resistance, open / (2 * resistance))));
        if (current <= 0)
            return (0, 0);
        var next = soc - EffectiveCurrent(current) * seconds / charge;
        return (current, current * (MeanVoltage(soc, next, StoredJ(soc)) - current * resistance));
    }

    private double NominalRate => AmpHours / 20;

    internal double EffectiveCurrent(double current) =>
        _cell.Peukert == 1 ? current : current * Math.Max(1, Math.Pow(current / NominalRate, _cell.Peukert - 1));

    private double RealCurrent(double effective) => effective <= NominalRate || _cell.Peukert == 1
        ? effective
        : Math.Pow(effective * Math.Pow(NominalRate, _cell.Peukert - 1), 1 / _cell.Peukert);

    private double MeanVoltage(double soc, double next, double startJ) =>
        Math.Abs(next - soc) < 1e-12 ? OpenCircuitVoltage(soc) : (StoredJ(next) - startJ) / ((next - soc) * 3600 * CapacityAh);
}
