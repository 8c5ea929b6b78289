using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Energy;

/// <summary>Inputs of <see cref="SharingCalculators.Shore"/>.</summary>
public sealed record ShoreInput : DesignPart
{
    [Field(Voltage, 100, 250, Label = "Voltage")] public double Volts { get; init; } = 120;
    [Field(Current, 2, 125, Label = "Breaker")] public double BreakerA { get; init; } = 15;
    [Field(Fraction, 0.5, 1, Label = "Share for hours on end")] public double Share { get; init; } = 0.8;
    [Field(ElectricPower, 0, 20000, Label = "Loads")] public double LoadW { get; init; } = 600;
    [Field(ElectricPower, 0, 10000, Label = "Charger, at most")] public double ChargerW { get; init; } = 1600;
}

/// <summary>Inputs of <see cref="SharingCalculators.DcDc"/>.</summary>
public sealed record DcDcInput : DesignPart
{
    [Field(Current, 20, 400, Label = "Alternator")] public double AlternatorA { get; init; } = 160;
    [Field(Fraction, 0.2, 1, Label = "Share it gives hot", Help = "0.85 at cruise, 0.45 idling")] public double Share { get; init; } = 0.85;
    [Field(Current, 0, 200, Label = "The vehicle itself takes")] public double VehicleA { get; init; } = 35;
    [Field(Current, 1, 200, Label = "Charger's limit")] public double LimitA { get; init; } = 25;
    [Field(Voltage, 10, 60, Label = "Output")] public double OutputV { get; init; } = 51.2;
}

/// <summary>Inputs of <see cref="SharingCalculators.Assist"/>.</summary>
public sealed record PvAssistInput : DesignPart
{
    [Field(ElectricPower, 0, 8000, Label = "Unit draws")] public double AirconW { get; init; } = 2150;
    [Field(ElectricPower, 0, 20000, Label = "Array gives")] public double ArrayW { get; init; } = 2012;
}

/// <summary>Inputs of <see cref="SharingCalculators.PreCool"/>.</summary>
public sealed record PreCoolInput : DesignPart
{
    [Field(QuantityKind.Number, 50, 20000, Label = "Heat capacity, kJ/K")] public double CapacityKJK { get; init; } = 1400;
    [Field(QuantityKind.Conductance, 5, 2000, Label = "Loss")] public double ConductanceWK { get; init; } = 125;
    [Field(TemperatureDifference, 0.5, 8, Label = "Cooled ahead by")] public double Kelvin { get; init; } = 3;
    [Field(Power, 10, 20000, Label = "Sensible load at the set-point")] public double SensibleW { get; init; } = 800;
    [Field(QuantityKind.Energy, 0, 100000, Label = "Sun without a taker")] public double CurtailedWh { get; init; } = 2000;
    [Field(Fraction, 0.4, 1, Label = "Sensible share")] public double SensibleShare { get; init; } = 0.75;
    [Field(QuantityKind.Ratio, 1, 8, Label = "Cooling for each watt")] public double Cop { get; init; } = 3.2;
}

/// <summary>Inputs of <see cref="SharingCalculators.Degree"/>.</summary>
public sealed record DegreeInput : DesignPart
{
    [Field(QuantityKind.Conductance, 5, 2000, Label = "Loss")] public double ConductanceWK { get; init; } = 125;
    [Field(QuantityKind.Hours, 1, 168, Label = "Hours")] public double Hours { get; init; } = 24;
    [Field(Fraction, 0.4, 1, Label = "Sensible share")] public double SensibleShare { get; init; } = 0.8;
    [Field(QuantityKind.Ratio, 1, 8, Label = "Cooling for each watt")] public double Cop { get; init; } = 3.7;
}

/// <summary>Sources shared and limited power, for the Bench and the API.</summary>
public static class SharingCalculators
{
    /// <summary>A shore connection shared.</summary>
    [Calculator("share-shore", "Sharing a shore connection", "What is left for the charger, or must wait", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Shore(ShoreInput i)
    {
        var s = OtherSources.Shore(i.Volts, i.BreakerA, i.LoadW, i.ChargerW, i.Share);
        return new ResultBuilder()
            .Step("P", "Limit", "V·I·share", $"{i.Volts} × {i.BreakerA} × {i.Share}", s.LimitW, ElectricPower, Citations.Trade)
            .Step("P_s", "From shore", "min(load, limit)", $"{i.LoadW}, {s.LimitW}", s.FromShoreW, ElectricPower, Citations.Arithmetic)
            .Number("rest", "Left to the inverter, or shed", s.LeftW, ElectricPower)
            .Number("P_c", "To the charger", s.ChargerW, ElectricPower).Done();
    }

    /// <summary>Charging while driving.</summary>
    [Calculator("dc-dc-charger", "Charging while driving", "What the alternator can spare", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult DcDc(DcDcInput i)
    {
        var d = OtherSources.DcDc(i.AlternatorA, i.Share, i.VehicleA, i.LimitA, i.OutputV);
        return new ResultBuilder()
            .Step("I", "Free", "rated·share − vehicle", $"{i.AlternatorA} × {i.Share} − {i.VehicleA}", d.FreeA, Current, Citations.Trade)
            .Step("P", "Into the bank", "min(limit·V, 0.90·14·free)", $"{i.LimitA} A × {i.OutputV} V", d.OutputW, ElectricPower, Citations.Trade)
            .Number("s", "Share of its hot output", d.ShareOfHotOutput, Fraction)
            .Judge(OtherSources.JudgeHot(d)).Done();
    }

    /// <summary>A unit on its own array.</summary>
    [Calculator("pv-assist", "Sun and mains at one unit", "How a unit with its own array shares", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Assist(PvAssistInput i)
    {
        var p = OtherSources.PvAssist(i.AirconW, i.ArrayW);
        return new ResultBuilder()
            .Step("P_s", "From the sun", "min(unit, 0.97·array)", $"{i.AirconW}, 0.97 × {i.ArrayW}", p.FromSunW, ElectricPower, Citations.Trade)
            .Number("P_m", "From the mains", p.FromMainsW, ElectricPower)
            .Number("rest", "Without a taker", p.CurtailedW, ElectricPower).Done();
    }

    /// <summary>Cooling ahead.</summary>
    [Calculator("pre-cool", "Cooling ahead", "Is it worth cooling below the set-point by day?", CitationIds = [nameof(Citations.HeatBalance)])]
    public static CalculationResult PreCool(PreCoolInput i)
    {
        var p = LimitedPower.PreCool(i.CapacityKJK * 1000, i.ConductanceWK, i.Kelvin, i.SensibleW);
        var spent = p.StoredWh / (i.SensibleShare * i.Cop);
        return new ResultBuilder()
            .Step("τ", "Time constant", "C/UA", $"{i.CapacityKJK} kJ/K / {i.ConductanceWK}", p.TimeConstantH, QuantityKind.Hours, Citations.HeatBalance)
            .Step("t", "The unit may rest", "τ·ln(1 + UA·ΔT/Q)", $"ΔT {i.Kelvin} K, Q {i.SensibleW} W", p.RestH, QuantityKind.Hours, Citations.HeatBalance)
            .Step("E", "Cooling avoided", "Q·t", $"{i.SensibleW} × {p.RestH:0.##}", p.AvoidedWh, QuantityKind.HeatEnergy, Citations.HeatBalance)
            .Step("W", "Extra drawn by day", "C·ΔT/(SHR·COP)", $"{p.StoredWh:0} / ({i.SensibleShare} × {i.Cop})", spent, QuantityKind.Energy,
                Citations.HeatBalance)
            .Judge(i.CurtailedWh >= spent
                ? Finding.Of(FindingCode.LimitedPreCool, Severity.Note, $"The sun without a taker covers it: cool ahead.")
                : Finding.Of(FindingCode.LimitedPreCoolCosts, Severity.Note, $"Without surplus it costs more than it saves.")).Done();
    }

    /// <summary>What one degree costs.</summary>
    [Calculator("degree-cost", "What one degree costs", "Quick estimate; the simulation replaces it", CitationIds = [nameof(Citations.HeatBalance)])]
    public static CalculationResult Degree(DegreeInput i) => new ResultBuilder()
        .Step("W", "A degree", "UA·1 K·h/(SHR·COP)", $"{i.ConductanceWK} × {i.Hours}/({i.SensibleShare} × {i.Cop})",
            LimitedPower.DegreeWh(i.ConductanceWK, i.Hours, i.SensibleShare, i.Cop), QuantityKind.Energy, Citations.HeatBalance).Done();
}
