using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Energy;

/// <summary>Inputs of <see cref="EnergyCalculators.Budget"/>.</summary>
public sealed record HandBudgetInput : DesignPart
{
    [Field(ElectricPower, 50, 20000, Label = "Unit's plate")] public double PlateW { get; init; } = 940;
    [Field(QuantityKind.Hours, 1, 168, Label = "Hours")] public double Hours { get; init; } = 24;
    [Field(Fraction, 0.05, 1, Label = "Duty")] public double Duty { get; init; } = 0.5;
    [Field(QuantityKind.Energy, 0, 100000, Label = "Other loads behind the inverter")] public double OtherAcWh { get; init; } = 3400;
    [Field(QuantityKind.Energy, 0, 100000, Label = "Loads on the battery")] public double DcWh { get; init; } = 1080;
    [Field(Fraction, 0.85, 0.95, Label = "Inverter efficiency")] public double InverterEfficiency { get; init; } = 0.90;
    [Field(ElectricPower, 0, 300, Label = "Inverter idles at")] public double IdleW { get; init; } = 35;
    [Field(Voltage, 10, 100, Label = "Bank voltage for Ah")] public double NominalV { get; init; } = 51.2;
    [Field(Fraction, 0.3, 1, Label = "Usable depth")] public double Depth { get; init; } = 0.8;
}

/// <summary>Inputs of <see cref="EnergyCalculators.Hours"/>.</summary>
public sealed record HoursOnBatteryInput : DesignPart
{
    [Field(QuantityKind.Energy, 50, 500000, Label = "Bank")] public double EnergyWh { get; init; } = 5120;
    [Field(Fraction, 0.3, 1, Label = "Capacity left by age")] public double Health { get; init; } = 1;
    [Field(Fraction, 0, 1, Label = "From a charge of")] public double SocStart { get; init; } = 0.95;
    [Field(Fraction, 0, 1, Label = "to")] public double SocFloor { get; init; } = 0.15;
    [Field(Fraction, 0.5, 1, Label = "Inverter efficiency")] public double InverterEfficiency { get; init; } = 0.90;
    [Field(ElectricPower, 0, 500, Label = "Standing draw")] public double StandbyW { get; init; } = 20;
    [Field(ElectricPower, 0, 10000, Label = "Unit on average")] public double UnitW { get; init; } = 320;
    [Field(ElectricPower, 0, 20000, Label = "Other loads")] public double OtherW { get; init; } = 90;
}

/// <summary>Calculations of energy by hand, for the Bench and the API.</summary>
public static class EnergyCalculators
{
    [Calculator("hand-budget", "Hand budget", "Watt-hours and bank as fitters reckon them", CitationIds = [nameof(Citations.HandBudget)])]
    public static CalculationResult Budget(HandBudgetInput i)
    {
        var b = HandBudget.Of(i.PlateW, i.Hours, i.Duty, i.OtherAcWh, i.DcWh, i.InverterEfficiency, i.IdleW, i.NominalV, i.Depth);
        return new ResultBuilder()
            .Step("Wh_ac", "Unit", "P·h·duty", $"{i.PlateW} × {i.Hours} × {i.Duty}", b.AirconWh, QuantityKind.Energy, Citations.HandBudget)
            .Step("E_dc", "From the battery", "(Wh_ac + others)/η + idle·h + DC",
                $"({b.AirconWh:0} + {i.OtherAcWh})/{i.InverterEfficiency} + {i.IdleW} × {i.Hours} + {i.DcWh}", b.DcWh, QuantityKind.Energy,
                Citations.HandBudget)
            .Step("Ah", "Charge", "E_dc/V", $"{b.DcWh:0}/{i.NominalV}", b.ChargeAh, Charge, Citations.HandBudget)
            .Step("bank", "Bank", "Ah/depth", $"{b.ChargeAh:0.#}/{i.Depth}", b.BankAh, Charge, Citations.HandBudget).Done();
    }

    /// <summary>Hours on a bank.</summary>
    [Calculator("hours-on-battery", "Hours on the battery", "How long at which draw", CitationIds = [nameof(Citations.HandBudget)])]
    public static CalculationResult Hours(HoursOnBatteryInput i)
    {
        if (i.SocFloor >= i.SocStart)
            throw new InputException("socFloor", Phrase.Of($"{i.SocFloor:Fraction}"),
                Phrase.Of($"socFloor must be below socStart ({i.SocStart:Fraction}); got {i.SocFloor:Fraction}"));
        if (i.UnitW + i.OtherW + i.StandbyW <= 0)
            throw new InputException("unitW", $"{i.UnitW} W", "some load must draw power");
        var h = HoursOnBattery.Of(i.EnergyWh, i.Health, i.SocStart, i.SocFloor, i.InverterEfficiency, i.StandbyW, i.UnitW, i.OtherW);
        return new ResultBuilder()
            .Step("h", "Hours", "E·H·(s₀ − s_f)/((P_unit + P_x)/η + p₀)",
                $"{i.EnergyWh} × {i.Health} × {i.SocStart - i.SocFloor:0.##}/(({i.UnitW} + {i.OtherW})/{i.InverterEfficiency} + {i.StandbyW})", h,
                QuantityKind.Hours, Citations.HandBudget)
            .Number("print", "As printed", HoursOnBattery.Printed(h), QuantityKind.Hours).Done();
    }
}
