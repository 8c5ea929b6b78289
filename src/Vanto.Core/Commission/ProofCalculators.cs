using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Commission;

/// <summary>Inputs of <see cref="ProofCalculators.PumpDown"/>.</summary>
public sealed record PumpDownInput : DesignPart
{
    [Field(SmallVolume, 1e-4, 0.05, Label = "Inside volume")] public double VolumeM3 { get; init; } = 1.5e-3;
    [Field(AirFlow, 5e-6, 0.01, Label = "Pump moves")] public double PumpM3s { get; init; } = 2.36e-3;
    [Field(QuantityKind.Vacuum, 0.1, 1000, Label = "Pump reaches by itself")] public double UltimatePa { get; init; } = 2;
    [Field(SmallLength, 0.001, 0.02, Label = "Hose, inside")] public double HoseBoreM { get; init; } = 4.8e-3;
    [Field(Length, 0.01, 10, Label = "Hose, long")] public double HoseM { get; init; } = 1.5;
    [Ask("Valve core stays in")] public bool CoreIn { get; init; }
    [Field(Number, 0, 5, Label = "Water held by oil and walls, g")] public double BoundG { get; init; } = 0.02;
    [Field(Temperature, -10, 50, Label = "Pipe")] public double PipeC { get; init; } = 20;
    [Field(QuantityKind.Vacuum, 10, 3000, Label = "Down to")] public double TargetPa { get; init; } = 500 * QuantityTable.PascalsPerMicron;
}

/// <summary>Inputs of <see cref="ProofCalculators.Leak"/>.</summary>
public sealed record LeakInput : DesignPart
{
    [Field(SmallVolume, 1e-4, 0.05, Label = "Inside volume")] public double VolumeM3 { get; init; } = 1.5e-3;
    [Field(GaugePressure, 1, 1e6, Label = "Change seen, or that could be seen")] public double ChangePa { get; init; } = 500 * QuantityTable.PascalsPerMicron;
    [Field(Hours, 0.003, 168, Label = "In")] public double HoursLong { get; init; } = 1.0 / 6;
    [Ask("The test is nitrogen under pressure", Help = "else a vacuum")] public bool Nitrogen { get; init; }
    [Field(GaugePressure, 1e5, 6e6, Label = "Nitrogen at")] public double TestPa { get; init; } = 2.76e6;
    [Ask("Refrigerant")] public RefrigerantKind Refrigerant { get; init; } = RefrigerantKind.R32;
    [Field(Temperature, -10, 50, Label = "At")] public double AtC { get; init; } = 25;
}

/// <summary>Inputs of <see cref="ProofCalculators.Nitrogen"/>.</summary>
public sealed record NitrogenInput : DesignPart
{
    [Field(GaugePressure, 1e5, 1e7, Label = "The unit may be proved to")] public double UnitPa { get; init; } = 4.15e6;
    [Field(GaugePressure, 1e5, 2e7, Label = "Gauge's full scale")] public double FullScalePa { get; init; } = 5.6e6;
    [Field(GaugePressure, 1e5, 2e7, Label = "Hose stands")] public double HosePa { get; init; } = 5.5e6;
    [Field(GaugePressure, 1e5, 2e7, Label = "Fittings stand")] public double FittingsPa { get; init; } = 4.5e6;
    [Field(GaugePressure, 1e5, 6e6, Label = "Tested with")] public double TargetPa { get; init; } = 2.76e6;
    [Field(Temperature, -20, 60, Label = "Pipe now")] public double NowC { get; init; } = 15;
    [Field(Temperature, -20, 80, Label = "Pipe may warm to")] public double HotC { get; init; } = 50;
    [Field(SmallVolume, 1e-4, 0.05, Label = "Inside volume")] public double VolumeM3 { get; init; } = 1.2e-3;
    [Field(Volume, 1, 1000, Label = "Free air of the room")] public double RoomM3 { get; init; } = 12;
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; }
}

/// <summary>Inputs of <see cref="ProofCalculators.Superheat"/>.</summary>
public sealed record LineReadingInput : DesignPart
{
    [Ask("Refrigerant")] public RefrigerantKind Refrigerant { get; init; } = RefrigerantKind.R410A;
    [Field(Temperature, -40, 120, Label = "Line")] public double LineC { get; init; } = 12;
    [Field(GaugePressure, -90e3, 4e6, Label = "Gauge")] public double GaugePa { get; init; } = 0.85e6;
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; }
    [Ask("Liquid line", Help = "else the gas line in cooling")] public bool Liquid { get; init; }
}

/// <summary>Inputs of <see cref="ProofCalculators.TargetSuperheat"/>.</summary>
public sealed record TargetSuperheatInput : DesignPart
{
    [Field(Temperature, 5, 30, Label = "Wet bulb inside")] public double WetC { get; init; } = 19;
    [Field(Temperature, 10, 50, Label = "Air outdoors")] public double OutdoorC { get; init; } = 35;
}

/// <summary>Inputs of <see cref="ProofCalculators.AtRest"/>.</summary>
public sealed record AtRestInput : DesignPart
{
    [Ask("Refrigerant")] public RefrigerantKind Refrigerant { get; init; } = RefrigerantKind.R32;
    [Field(Temperature, -20, 55, Label = "Air, in the shade for half an hour")] public double AmbientC { get; init; } = 25;
    [Field(GaugePressure, -90e3, 5e6, Label = "Gauge at rest")] public double GaugePa { get; init; } = 1.59e6;
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; }
    [Field(SmallVolume, 1e-4, 0.05, Label = "Volume of gas")] public double VolumeM3 { get; init; } = 1.2e-3;
}

/// <summary>Inputs of <see cref="ProofCalculators.Pump"/>.</summary>
public sealed record PumpInput : DesignPart
{
    [Field(ElectricPower, 20, 3000, Label = "Pump draws")] public double Watts { get; init; } = 250;
    [Field(Ratio, 0.3, 1, Label = "Power factor")] public double PowerFactor { get; init; } = PumpLoad.PowerFactor;
    [Field(Ratio, 1, 10, Label = "Times as much at its start")] public double StartTimes { get; init; } = PumpLoad.StartTimes;
    [Field(Voltage, 100, 250, Label = "Volts")] public double Volts { get; init; } = 120;
    [Field(Hours, 0, 24, Label = "For")] public double HoursLong { get; init; } = 0.75;
    [Field(Fraction, 0.5, 1, Label = "Inverter's efficiency")] public double Efficiency { get; init; } = 0.9;
    [Field(ElectricPower, 0, 300, Label = "Inverter when idle")] public double IdleW { get; init; } = 25;
}

/// <summary>Inputs of <see cref="ProofCalculators.Moving"/>.</summary>
public sealed record MovingInput : DesignPart
{
    [Ask("Refrigerant")] public RefrigerantKind Refrigerant { get; init; } = RefrigerantKind.R32;
    [Field(Mass, 0.05, 20, Label = "Whole charge")] public double ChargeKg { get; init; } = 0.9;
    [Field(Mass, 0.05, 20, Label = "Outdoor unit holds, by its sheet", Help = "empty where it does not say", Optional = true)]
    public double? HoldsKg { get; init; } = 1.2;
    [Field(GaugePressure, 0, 0.5e6, Label = "Gauge when the gas valve was shut")] public double GaugePa { get; init; } = 20e3;
    [Field(Temperature, -20, 55, Label = "At")] public double AtC { get; init; } = 25;
    [Field(SmallVolume, 1e-4, 0.05, Label = "Pipes and head, inside")] public double VolumeM3 { get; init; } = 1.2e-3;
    [Field(Length, -500, 5000, Label = "Altitude")] public double AltitudeM { get; init; }
}

/// <summary>Inputs of <see cref="ProofCalculators.CutOutSeen"/>.</summary>
public sealed record CutOutInput : DesignPart
{
    [Field(Voltage, 8, 120, Label = "Cut-out as set")] public double SetV { get; init; } = 11.6;
    [Field(Voltage, 8, 120, Label = "Cut out at", Help = "empty where it did not", Optional = true)] public double? CutV { get; init; } = 11.75;
}

/// <summary>Inputs of <see cref="ProofCalculators.TakenOver"/>.</summary>
public sealed record HandOverInput : DesignPart
{
    [Field(Voltage, 50, 300, Label = "Unit's volts")] public double NominalV { get; init; } = 120;
    [Field(Voltage, 50, 300, Label = "Volts after it took over")] public double Volts { get; init; } = 118;
    [Field(Number, 50, 60, Label = "Unit's frequency, Hz")] public double NominalHz { get; init; } = 60;
    [Field(Number, 30, 90, Label = "Frequency after it took over, Hz")] public double Hertz { get; init; } = 61;
    [Field(Seconds, 0, 600, Label = "Without power for")] public double GapS { get; init; } = 8;
    [Field(Seconds, 0, 3600, Label = "Started again by itself after", Help = "empty where it did not", Optional = true)]
    public double? RestartS { get; init; } = 190;
}

/// <summary>Calculations of the proof, for the Bench and the API.</summary>
public static class ProofCalculators
{
    private const double GramsPerKg = 1000;

    /// <summary>How long a pump takes behind its hose.</summary>
    [Calculator("pump-down", "Pump-down", "How long this pump takes through this hose",
        CitationIds = [nameof(Citations.GasFlow), nameof(Citations.EvacuationModel)])]
    public static CalculationResult PumpDown(PumpDownInput i)
    {
        var setup = new EvacuationSetup
        {
            VolumeM3 = i.VolumeM3,
            PumpM3s = i.PumpM3s,
            UltimatePa = i.UltimatePa,
            Hose = new(i.HoseBoreM, i.HoseM),
            CoreIn = i.CoreIn,
            BoundKg = i.BoundG / GramsPerKg,
            Kelvin = i.PipeC + 273.15,
        };
        const double longest = 3 * 3600;
        var seconds = EvacuationRig.SecondsTo(setup, i.TargetPa, longest);
        var result = new ResultBuilder().Step("S", "Speed at the circuit, L/s", "pump and hose in series", $"bore {i.HoseBoreM * 1000:0.#} mm, {i.HoseM} m",
            setup.EffectiveSpeed(i.TargetPa) * 1000, Number, Citations.GasFlow);
        return (seconds is { } s ? result.Step("t", "Pumping takes", "followed in steps of 0.1 s", $"to {i.TargetPa:0.#} Pa", s / 3600, Hours,
            Citations.EvacuationModel) : result.Words("t", "Pumping takes", "more than three hours, or never: the pump, the water or the hose forbid it"))
            .Judge(ProofFindings.WaterWillNotBoil(i.TargetPa, i.PipeC)).Done();
    }

    /// <summary>What a change in a test means in grams a year.</summary>
    [Calculator("leak-equivalent", "Leak in grams a year", "How big a leak that is, or the smallest that could show",
        CitationIds = [nameof(Citations.LeakScaling)])]
    public static CalculationResult Leak(LeakInput i)
    {
        const double sea = 101325;
        var flow = i.VolumeM3 * i.ChangePa / (i.HoursLong * 3600);
        var leak = LeakEquivalent.Of(flow, i.Nitrogen, i.Nitrogen ? i.TestPa + sea : sea, i.Nitrogen ? sea : 0, i.Refrigerant, i.AtC + 273.15, sea);
        return new ResultBuilder().Step("Q", "Flow, Pa·m³/s", "V·Δp/t", $"{i.VolumeM3} × {i.ChangePa:0.##}/{i.HoursLong * 3600:0}", flow, Number,
                Citations.LeakScaling)
            .Step("m_o", "By molecules, g a year", "Q·p_r/p·√(M_t/M_r)·M_r/(R·T)", $"{Calls.Name(i.Refrigerant)}", leak.OrificeGYear, Number,
                Citations.LeakScaling)
            .Step("m_l", "By viscosity, g a year", "Q·μ_t/μ_r·(p_r² − p_amb²)/(p_u² − p_d²)·M_r/(R·T)", $"{Calls.Name(i.Refrigerant)}",
                leak.LaminarGYear, Number, Citations.LeakScaling).Done();
    }

    /// <summary>How high and in which steps.</summary>
    [Calculator("nitrogen-plan", "Nitrogen test", "How high, in which steps, and what is stored",
        CitationIds = [nameof(Citations.Trade), nameof(Citations.GayLussac), nameof(Citations.GasEnergy)])]
    public static CalculationResult Nitrogen(NitrogenInput i)
    {
        var ambient = Atmosphere.Pressure(i.AltitudeM);
        var limit = TestLimit.Of(i.UnitPa, i.FullScalePa, i.HosePa, i.FittingsPa);
        var hot = NitrogenPlan.HottestPa(i.TargetPa, i.NowC, i.HotC, ambient);
        var oxygen = NitrogenPlan.OxygenAfter((i.TargetPa + ambient) * i.VolumeM3 / ambient, i.RoomM3);
        var result = new ResultBuilder().Step("p_max", "At most", "least of unit, ¾ of the gauge, hose, fittings",
            $"{i.UnitPa:0}, ¾ of {i.FullScalePa:0}, {i.HosePa:0}, {i.FittingsPa:0}", limit.LimitPa, GaugePressure, Citations.Trade)
            .Words("by", "Limited by", limit.By);
        foreach (var (step, n) in NitrogenPlan.Of(i.TargetPa).Select((s, n) => (s, n + 1)))
            result.Number(FormattableString.Invariant($"p_{n}"), FormattableString.Invariant($"Step {n}, {step.Minutes:0} min"), step.GaugePa, GaugePressure);
        return result.Step("p_hot", "Warmed", "(p + p_amb)·T_hot/T − p_amb", $"{i.NowC} to {i.HotC} °C", hot, GaugePressure, Citations.GayLussac)
            .Step("E", "Stored, J", "p·V·(ln(p/p_amb) − 1 + p_amb/p)", $"{i.VolumeM3} m³", NitrogenPlan.StoredJ(i.TargetPa, i.VolumeM3, ambient), Number,
                Citations.GasEnergy)
            .Step("O₂", "Oxygen left, let out inside", "0.2095·e^(−V/V_room)", $"{i.RoomM3} m³", oxygen, Fraction, Citations.GasEnergy)
            .Judge(i.TargetPa > limit.LimitPa ? ProofFindings.NitrogenOver(i.TargetPa, limit) : null)
            .Judge(hot > limit.LimitPa ? ProofFindings.NitrogenWarms(hot, i.HotC, limit) : null)
            .Judge(ProofFindings.Oxygen(oxygen)).Judge(ProofFindings.Nitrogen)
            .Done();
    }

    /// <summary>Superheat or subcooling of a line.</summary>
    [Calculator("superheat", "Superheat, subcooling", "Whether the coil is fed right", CitationIds = [nameof(Citations.Refrigerants)])]
    public static CalculationResult Superheat(LineReadingInput i)
    {
        var ambient = Atmosphere.Pressure(i.AltitudeM);
        Within(i.Refrigerant, i.GaugePa + ambient);
        return i.Liquid
            ? new ResultBuilder().Step("ΔT_sc", "Subcooling", "T_bubble(p + p_amb) − T_line", $"{i.GaugePa / 1e6} MPa gauge, {i.LineC} °C",
                ChargeCheck.Subcooling(i.Refrigerant, i.LineC, i.GaugePa, ambient), TemperatureDifference, Citations.Refrigerants).Done()
            : new ResultBuilder().Step("ΔT_sh", "Superheat", "T_line − T_dew(p + p_amb)", $"{i.GaugePa / 1e6} MPa gauge, {i.LineC} °C",
                ChargeCheck.Superheat(i.Refrigerant, i.LineC, i.GaugePa, ambient), TemperatureDifference, Citations.Refrigerants).Done();
    }

    private static void Within(RefrigerantKind kind, double pa)
    {
        const double coldest = 200;
        var (least, most) = (Refrigerants.SaturationPressure(kind, dew: true, coldest),
            Refrigerants.SaturationPressure(kind, dew: false, Refrigerants.CriticalK(kind) - 1e-6));
        if (pa < least || pa > most)
            throw new InputException("gaugePa", Phrase.Of($"{pa:AbsolutePressure}"),
                Phrase.Of($"gaugePa: {pa:AbsolutePressure} absolute is outside {least:AbsolutePressure} to {most:AbsolutePressure}, where the line is known"));
    }

    /// <summary>Superheat that a fixed orifice should give.</summary>
    [Calculator("target-superheat", "Target superheat", "What it should be with a fixed orifice", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult TargetSuperheat(TargetSuperheatInput i)
    {
        var target = ChargeCheck.FixedOrificeTarget(i.WetC, i.OutdoorC);
        return new ResultBuilder().Step("ΔT", "Target", "((3·WB − 80 − DB)/2)/1.8, WB and DB in °F", $"{i.WetC} °C, {i.OutdoorC} °C", target,
                TemperatureDifference, Citations.Trade)
            .Words("judged", "Charge", target < ChargeCheck.LeastTargetK ? "cannot be judged by superheat in this weather"
                : "within ±2.8 K of it is usual").Done();
    }

    /// <summary>A unit's pressure at rest.</summary>
    [Calculator("pressure-at-rest", "Pressure at rest", "Whether there is liquid in it, or a gas that does not belong there",
        CitationIds = [nameof(Citations.Refrigerants), nameof(Citations.Trade)])]
    public static CalculationResult AtRest(AtRestInput i)
    {
        var ambient = Atmosphere.Pressure(i.AltitudeM);
        var expected = ChargeCheck.AtRestPa(i.Refrigerant, i.AmbientC, ambient);
        var off = i.GaugePa / expected - 1;
        return new ResultBuilder().Step("p", "Expected", "p_dew(T) − p_amb", $"{i.AmbientC} °C", expected, GaugePressure, Citations.Refrigerants)
            .Step("off", "Off by", "p/p_expected − 1", $"{i.GaugePa:0}/{expected:0}", off, Fraction, Citations.Arithmetic)
            .Words("says", "It says", off < -ChargeCheck.AtRestShare ? "no liquid is left: little charge" : off > ChargeCheck.AtRestShare
                ? "air in it, or a warmer part of the circuit" : "liquid is there; not that the charge is right")
            .Step("m", "As gas, g", "p·V·M/(R·T)", $"{i.VolumeM3} m³",
                GramsPerKg * ChargeCheck.ResidualKg(i.Refrigerant, i.GaugePa, i.AmbientC + 273.15, i.VolumeM3, ambient), Number, Citations.IdealGas).Done();
    }

    /// <summary>What a vacuum pump asks of its source.</summary>
    [Calculator("vacuum-pump-load", "Vacuum pump's load", "Whether the source on board carries the pump", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Pump(PumpInput i)
    {
        var load = PumpLoad.Of(i.Watts, i.PowerFactor, i.StartTimes);
        return new ResultBuilder().Step("S", "Running", "P/pf", $"{i.Watts}/{i.PowerFactor}", load.Va, ApparentPower, Citations.Trade)
            .Step("I", "Running", "S/V", $"{load.Va:0.##}/{i.Volts}", load.Va / i.Volts, Current, Citations.Arithmetic)
            .Step("S_s", "At its start", "k·S", $"{i.StartTimes} × {load.Va:0.##}", load.StartVa, ApparentPower, Citations.Trade)
            .Step("E", "Out of the battery", "(P/η + P_idle)·t", $"{i.HoursLong} h", PumpLoad.EnergyWh(i.Watts, i.HoursLong, i.Efficiency, i.IdleW),
                QuantityKind.Energy, Citations.Arithmetic).Done();
    }

    /// <summary>A unit that is moved with its refrigerant in the outdoor part.</summary>
    [Calculator("moving-pump-down", "Moving a unit", "Whether its refrigerant may be kept in the outdoor unit, and what is left in the pipes",
        CitationIds = [nameof(Citations.Trade), nameof(Citations.IdealGas)])]
    public static CalculationResult Moving(MovingInput i)
    {
        var level = MovingCheck.Of(i.ChargeKg, i.HoldsKg);
        var left = ChargeCheck.ResidualKg(i.Refrigerant, i.GaugePa, i.AtC + 273.15, i.VolumeM3, Atmosphere.Pressure(i.AltitudeM));
        return new ResultBuilder()
            .Words("may", "Into the outdoor unit", level switch
            {
                null => "it holds all of it",
                Severity.Stop => "it does not hold all of it: recovered by who may",
                _ => "its sheet does not say how much it holds: ask, or have it recovered",
            })
            .Step("m", "Left in pipes and head, g", "p·V·M/(R·T)", $"{i.GaugePa / 1000} kPa gauge, {i.VolumeM3} m³, {i.AtC} °C", GramsPerKg * left, Number,
                Citations.IdealGas)
            .Words("how", "How", FormattableString.Invariant($"liquid valve shut, cooling; gas valve shut at 0 to {MovingCheck.MostPa / 1000:0} kPa gauge, ")
                + FormattableString.Invariant($"power off within 10 s; never below, air drawn in can explode; no fall in {MovingCheck.MostMin:0} min: stop"))
            .Done();
    }

    /// <summary>The inverter's low-battery cut-out as it was seen.</summary>
    [Calculator("cut-out", "Low-battery cut-out", "Whether the inverter lets go where it is set to", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult CutOutSeen(CutOutInput i)
    {
        var seen = CutOut.Of(i.SetV, i.CutV);
        var builder = new ResultBuilder();
        if (seen.Off is { } off)
            builder = builder.Step("off", "Off its setting", "|V/V_set − 1|", $"{i.CutV}/{i.SetV}", off, Fraction, Citations.Arithmetic);
        return builder.Words("judged", "It", seen.Level switch
        {
            null => "cuts out where it is set",
            Severity.Caution => "cuts out a little off its setting: look at the drop on its cable",
            _ when seen.Off is null => "did not cut out: the battery is not protected by it",
            _ => "cuts out far off its setting: cable, terminals or setting",
        }).Done();
    }

    /// <summary>A source that takes over while the unit runs.</summary>
    [Calculator("source-taken-over", "Source taken over", "Whether unit and compressor survive the change of the source",
        CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult TakenOver(HandOverInput i)
    {
        var seen = HandOver.Of(i.Volts, i.NominalV, i.Hertz, i.NominalHz, i.GapS, i.RestartS);
        return new ResultBuilder().Step("ΔV", "Volts off", "V/V_n − 1", $"{i.Volts}/{i.NominalV}", i.Volts / i.NominalV - 1, Fraction, Citations.Arithmetic)
            .Step("Δf", "Frequency off", "f/f_n − 1", $"{i.Hertz}/{i.NominalHz}", i.Hertz / i.NominalHz - 1, Fraction, Citations.Arithmetic)
            .Words("break", "The gap", seen.Breaks ? "counts as a stop of the unit" : "is too short to be one")
            .Words("judged", "It", seen.Faults.Count == 0 ? "takes over well" : string.Join("; ", seen.Faults)).Done();
    }
}
