using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Commission;

/// <summary>Inputs of <see cref="CommissionCalculators.Reading"/>.</summary>
public sealed record VacuumReadingInput : DesignPart
{
    [Field(QuantityKind.Number, -110000, 150000, Label = "Reading")] public double Value { get; init; } = -28;
    [Ask("Unit")] public VacuumUnit Unit { get; init; } = VacuumUnit.InHgVacuum;
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; }
    [Field(Temperature, -20, 60, Label = "Coldest pipe")] public double PipeC { get; init; } = 20;
}

/// <summary>Inputs of <see cref="CommissionCalculators.LowestReading"/>.</summary>
public sealed record AltitudeInput : DesignPart
{
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; } = 1500;
}

/// <summary>Inputs of <see cref="CommissionCalculators.BoilingPoint"/>.</summary>
public sealed record BoilingPointInput : DesignPart
{
    [Field(AbsolutePressure, 1, 150000, Label = "Absolute pressure")] public double PressurePa { get; init; } = 66.66;
}

/// <summary>Inputs of <see cref="CommissionCalculators.Decay"/>.</summary>
public sealed record PlainDecayInput : DesignPart
{
    [Field(QuantityKind.Number, 1, 760000, Label = "When shut off, micron")] public double StartMicron { get; init; } = 300;
    [Field(QuantityKind.Number, 1, 760000, Label = "Ten minutes later, micron")] public double AfterMicron { get; init; } = 700;
}

/// <summary>Inputs of <see cref="CommissionCalculators.Hold"/>.</summary>
public sealed record PressureHoldInput : DesignPart
{
    [Field(GaugePressure, 0, 6.2e6, Label = "Gauge at first")] public double StartPa { get; init; } = 27.58e5;
    [Field(Temperature, -40, 70, Label = "Pipe at first")] public double StartC { get; init; } = 25;
    [Field(GaugePressure, 0, 6.2e6, Label = "Gauge at the end")] public double EndPa { get; init; } = 26.96e5;
    [Field(Temperature, -40, 70, Label = "Pipe at the end")] public double EndC { get; init; } = 19;
    [Field(GaugePressure, 10, 100000, Label = "Smallest mark of the gauge")] public double ResolutionPa { get; init; } = 6895;
    [Field(TemperatureDifference, 0, 10, Label = "Temperature known to ±",
        Help = "probe on the pipe {0.5:TemperatureDifference}, air in the shade {2:TemperatureDifference}, sun {4:TemperatureDifference}")]
    public double TemperatureUncertaintyK { get; init; } = 0.5;
    [Field(Hours, 0.003, 168, Label = "Held for")] public double HoldHours { get; init; } = 24;
    [Field(SmallVolume, 0.0001, 0.05, Label = "Inside volume")] public double VolumeM3 { get; init; } = 0.0012;
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; }
}

/// <summary>Inputs of <see cref="CommissionCalculators.CrowfootSetting"/>.</summary>
public sealed record CrowfootInput : DesignPart
{
    [Field(Torque, 5, 200, Label = "Torque wanted")] public double WantedNm { get; init; } = 38;
    [Field(Length, 0.1, 1.5, Label = "Grip to drive")] public double LeverM { get; init; } = 0.25;
    [Field(Length, 0, 0.15, Label = "Drive to nut")] public double CrowfootM { get; init; } = 0.03;
    [Field(Angle, 0, 180, Label = "Angle of the crowfoot")] public double AngleDeg { get; init; }
}

/// <summary>Inputs of <see cref="CommissionCalculators.Saturation"/>.</summary>
public sealed record SaturationInput : DesignPart
{
    [Ask("Refrigerant")] public RefrigerantKind Refrigerant { get; init; } = RefrigerantKind.R410A;
    [Field(Temperature, -70, 65, Label = "Temperature")] public double TemperatureC { get; init; } = 25;
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; }
}

/// <summary>Inputs of <see cref="CommissionCalculators.Electrical"/>.</summary>
public sealed record ElectricalInput : DesignPart
{
    [Field(Voltage, 80, 280, Label = "Volts running")] public double Volts { get; init; } = 118.2;
    [Field(Current, 0.1, 100, Label = "Amperes")] public double Amperes { get; init; } = 7.4;
    [Field(ElectricPower, 5, 20000, Label = "Watts")] public double Watts { get; init; } = 845;
    [Field(Voltage, 100, 250, Label = "Nominal")] public double NominalV { get; init; } = 120;
}

/// <summary>Calculations at the gauges, for the Bench and the API.</summary>
public static class CommissionCalculators
{
    /// <summary>What a vacuum reading says.</summary>
    [Calculator("vacuum-reading", "Vacuum reading", "What the needle really says", CitationIds = [nameof(Citations.Nist), nameof(Citations.Atmosphere)])]
    public static CalculationResult Reading(VacuumReadingInput i)
    {
        var ambient = Atmosphere.Pressure(i.AltitudeM);
        var (absolute, finding) = VacuumReading.ToAbsolute(i.Value, i.Unit, ambient);
        var result = new ResultBuilder().Step("p_amb", "Air pressure here", "101325·(1 − 2.25577e−5·h)^5.2559", $"h {i.AltitudeM} m", ambient,
            AbsolutePressure,
            Citations.Atmosphere);
        if (absolute is not { } p)
            return result.Judge(finding).Done();
        var boils = VacuumReading.WaterBoilsC(p);
        return result.Step("p", "Absolute", "ambient + gauge", $"{i.Value} {Calls.Name(i.Unit)}", p, AbsolutePressure, Citations.Nist)
            .Step("micron", "in micron", "p/0.1333224", $"{p:0.##} Pa", p / QuantityTable.PascalsPerMicron, QuantityKind.Number, Citations.Nist)
            .Step("t_b", "Water boils at", "saturation = p", $"{p:0.##} Pa", boils, Temperature, Citations.Psychrometrics)
            .Judge(ProofFindings.WaterWillNotBoil(p, i.PipeC)).Done();
    }

    /// <summary>Deepest reading at an altitude.</summary>
    [Calculator("lowest-gauge-reading", "Deepest reading here", "How far the needle can go at this height", CitationIds = [nameof(Citations.Atmosphere)])]
    public static CalculationResult LowestReading(AltitudeInput i)
    {
        var p = Atmosphere.Pressure(i.AltitudeM);
        return new ResultBuilder().Step("p_g", "Deepest gauge reading", "−p_amb", $"h {i.AltitudeM} m", -p, GaugePressure, Citations.Atmosphere)
            .Number("inHg", "in inHg", -p / QuantityTable.PascalsPerInchOfMercury, QuantityKind.Number).Done();
    }

    /// <summary>Boiling point of water in a vacuum.</summary>
    [Calculator("water-boiling-point", "Water boils at", "Whether this vacuum dries", CitationIds = [nameof(Citations.Psychrometrics)])]
    public static CalculationResult BoilingPoint(BoilingPointInput i) => new ResultBuilder()
        .Step("t_b", "Water boils at", "p_ws(t) = p, bisected", $"{i.PressurePa} Pa", VacuumReading.WaterBoilsC(i.PressurePa), Temperature,
            Citations.Psychrometrics).Done();

    /// <summary>Plain ten-minute rule.</summary>
    [Calculator("plain-decay-rule", "Plain decay rule", "Leak, moisture or tight by two readings", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Decay(PlainDecayInput i)
    {
        var verdict = PlainDecay.Of(i.StartMicron, i.AfterMicron);
        return new ResultBuilder().Words("verdict", "Verdict", Calls.Name(verdict))
            .Step("Δ", "Rise, micron", "p₁₀ − p₀", $"{i.AfterMicron} − {i.StartMicron}", i.AfterMicron - i.StartMicron, QuantityKind.Number,
                Citations.Trade)
            .Judge(PlainDecay.Level(verdict) is { } level
                ? ProofFindings.Decay(level, PlainDecay.Words(verdict, i.StartMicron, i.AfterMicron)) : null).Done();
    }

    /// <summary>Nitrogen hold, corrected for temperature.</summary>
    [Calculator("pressure-hold", "Nitrogen hold", "Tight, or just colder", CitationIds = [nameof(Citations.GayLussac)])]
    public static CalculationResult Hold(PressureHoldInput i)
    {
        var ambient = Atmosphere.Pressure(i.AltitudeM);
        var (expected, change, uncertainty, verdict, leak, visible) = PressureHold.Judge(i.StartPa + ambient, i.StartC + 273.15, i.EndPa + ambient,
            i.EndC + 273.15, i.ResolutionPa, i.TemperatureUncertaintyK, i.HoldHours * 3600, i.VolumeM3);
        return new ResultBuilder().Words("verdict", "Verdict", Calls.Name(verdict))
            .Step("p₂", "Expected at the end, gauge", "p₁·T₂/T₁", $"{i.StartPa + ambient:0} × {i.EndC + 273.15}/{i.StartC + 273.15}",
                expected - ambient,
                GaugePressure, Citations.GayLussac)
            .Step("Δ", "Change beside temperature", "p₂·T₁/T₂ − p₁", $"read {i.EndPa:0} Pa gauge", change, GaugePressure, Citations.GayLussac)
            .Step("U", "Uncertainty", "2·√(r²/6 + 2u² + 2(p₁·u_T/T₁)²)", $"r {i.ResolutionPa} Pa, u_T {i.TemperatureUncertaintyK} K", uncertainty,
                GaugePressure, Citations.GayLussac)
            .Number("Q", "Leak, Pa·m³/s", leak, QuantityKind.Number).Number("Q_min", "Smallest it could show, Pa·m³/s", visible, QuantityKind.Number)
            .Judge(verdict == HoldVerdict.Leaking ? ProofFindings.HoldLeaks(-change, Phrase.Of($"Soap at pressure, vent, remake, start again.")) : null)
            .Judge(ProofFindings.Nitrogen).Done();
    }

    /// <summary>Wrench setting with a crowfoot.</summary>
    [Calculator("crowfoot-setting", "Crowfoot setting", "What to set the wrench to", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult CrowfootSetting(CrowfootInput i) => new ResultBuilder()
        .Step("T", "Set the wrench to", "T·L/(L + E·cos θ)", $"{i.WantedNm} × {i.LeverM}/({i.LeverM} + {i.CrowfootM}·cos {i.AngleDeg}°)",
            Crowfoot.Setting(i.WantedNm, i.LeverM, i.CrowfootM, i.AngleDeg), Torque, Citations.Geometry).Done();

    /// <summary>Saturation of a refrigerant.</summary>
    [Calculator("saturation-pressure", "Refrigerant pressure", "Pressure at a temperature, instead of a slide rule",
        CitationIds = [nameof(Citations.Refrigerants)])]
    public static CalculationResult Saturation(SaturationInput i)
    {
        if (i.TemperatureC + 273.15 >= Refrigerants.CriticalK(i.Refrigerant))
            throw new InputException("temperatureC", Phrase.Of($"{i.TemperatureC:Temperature}"),
                Phrase.Of(
                    $"temperatureC must be below the critical point, {Refrigerants.CriticalK(i.Refrigerant) - 273.15:Temperature}; got "
                        + $"{i.TemperatureC:Temperature}"));
        var ambient = Atmosphere.Pressure(i.AltitudeM);
        var dew = Refrigerants.SaturationPressure(i.Refrigerant, true, i.TemperatureC + 273.15);
        var bubble = Refrigerants.SaturationPressure(i.Refrigerant, false, i.TemperatureC + 273.15);
        return new ResultBuilder()
            .Step("p_dew", "Vapour, gauge", "p_c·exp(T_c/T·Σ N·θ^t) − p_amb", $"{i.TemperatureC} °C", dew - ambient, GaugePressure,
                Citations.Refrigerants)
            .Step("p_bubble", "Liquid, gauge", "the same on the bubble line", $"{i.TemperatureC} °C", bubble - ambient, GaugePressure,
                Citations.Refrigerants).Done();
    }

    /// <summary>Electrical readings together.</summary>
    [Calculator("electrical-verdict", "Electrical readings", "Whether volts, amperes and watts belong together",
        CitationIds = [nameof(Citations.Arithmetic), nameof(Citations.VerdictBands)])]
    public static CalculationResult Electrical(ElectricalInput i)
    {
        var va = i.Volts * i.Amperes;
        var pf = i.Watts / va;
        if (pf > 1.02)
            throw new InputException("watts", Phrase.Of($"{i.Watts:ElectricPower}"),
                Phrase.Of($"watts: {i.Watts:ElectricPower} is more than {i.Volts:Voltage} × {i.Amperes:Current}; the readings do not belong together"));
        var off = i.Volts / i.NominalV - 1;
        return new ResultBuilder()
            .Step("S", "Apparent power", "V·I", $"{i.Volts} × {i.Amperes}", va, ApparentPower, Citations.Arithmetic)
            .Step("pf", "Power factor", "P/S", $"{i.Watts}/{va:0.##}", pf, QuantityKind.Number, Citations.Arithmetic)
            .Step("off", "Off nominal", "V/V_nom − 1", $"{i.Volts}/{i.NominalV}", off, Fraction, Citations.Arithmetic)
            .Judge(Math.Abs(off) > 0.05 ? Finding.Of(FindingCode.Volts, Math.Abs(off) > 0.10 ? Severity.Stop : Severity.Caution,
                $"{off:Fraction} off nominal; 5 % is usual, 10 % the most.") : null)
            .Judge(pf < 0.60 ? Finding.Of(FindingCode.Pf, Severity.Caution, $"A power factor of {pf:Number} is low.") : null).Done();
    }
}
