using System.Numerics;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using Vanto.Core.Unit;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Start;

/// <summary>A motor's plate.</summary>
public record MotorInput : DesignPart
{
    [Field(Voltage, 50, 500, Label = "Plate voltage")] public double RatedV { get; init; } = 115;
    [Field(Current, 3, 400, Label = "Locked-rotor current (LRA)")] public double LraA { get; init; } = 63;
    [Field(Current, 0.5, 100, Label = "Running current (RLA)")] public double RlaA { get; init; } = 12;
    [Field(Seconds, 0.05, 1.5, Label = "Start time at full voltage")] public double StartTimeS { get; init; } = 0.25;
    [Field(Fraction, 0.3, 0.95, Label = "Power factor, rotor locked")] public double PowerFactorLockedRotor { get; init; } = 0.80;
    [Field(Fraction, 0.5, 1, Label = "Power factor, running")] public double PowerFactorRun { get; init; } = 0.97;
    [Ask("Load while it starts", Help = "in its first seconds little pressure has built up")] public StartLoad Load { get; init; }

    /// <summary>The motor, or one so many times as strong.</summary>
    internal MotorModel Model(double factor = 1) =>
        MotorModel.FromNameplate(RatedV, LraA * factor, RlaA * factor, PowerFactorLockedRotor, PowerFactorRun, StartTimeS, Load);
}

/// <summary>A start on a source.</summary>
public sealed record StartVerdictInput : MotorInput
{
    [Ask("Source")] public SourceClass Source { get; init; } = SourceClass.HighFrequencyInverter;
    [Field(Voltage, 100, 250, Label = "Source voltage")] public double SourceV { get; init; } = 120;
    [Field(ElectricPower, 300, 50000, Label = "Continuous watts of the source", Help = "for shore: volts × breaker amperes")]
    public double ContinuousW { get; init; } = 2000;
    [Field(ElectricPower, 300, 60000, Label = "Maximum watts (generators)")] public double MaximumW { get; init; } = 2500;
    [Ask("Helped by")] public StartRemedy Remedy { get; init; } = StartRemedy.None;
    [Field(Fraction, 0.40, 0.80, Label = "Soft starter takes away")] public double Reduction { get; init; } = 0.65;
    [Ask("The soft starter is followed")] public SoftStarterModel Starter { get; init; }
    [Field(Seconds, 0.5, 4, Label = "It gives up after")] public double StarterLimitS { get; init; } = StartSimulation.LongestS;
    [Field(Resistance, 0, 3, Label = "Cable to the unit")] public double LineOhm { get; init; } = 0.05;
    [Field(ElectricPower, 0, 20000, Label = "Other loads on")] public double OthersW { get; init; } = 130;
    [Field(Fraction, 0.3, 1, Label = "their power factor")] public double OthersPowerFactor { get; init; } = 0.85;
    [Ask("Shore's breaker is an IEC one of curve C", Help = "else as the volts suggest")] public bool IecBreaker { get; init; }
    [Field(Seconds, 0, 3600, Label = "Compressor has rested")] public double RestedS { get; init; } = 600;
}

/// <summary>Inputs of <see cref="StartCalculators.SoftStarterCurrent"/>.</summary>
public sealed record SoftStarterInput : DesignPart
{
    [Field(Current, 3, 400, Label = "Locked-rotor current (LRA)")] public double LraA { get; init; } = 63;
    [Field(Current, 0.5, 100, Label = "Running current (RLA)")] public double RlaA { get; init; } = 12;
    [Field(Fraction, 0.40, 0.80, Label = "Takes away")] public double Reduction { get; init; } = 0.65;
    [Field(Seconds, 0, 2, Label = "Time")] public double TimeS { get; init; } = 0.3;
}

/// <summary>Inputs of <see cref="StartCalculators.SmallestBattery"/>.</summary>
public sealed record SmallestBatteryInput : MotorInput
{
    [Ask("Transformer inverter", Help = "else a high-frequency one")] public bool Transformer { get; init; } = true;
    [Field(Voltage, 100, 250, Label = "Its output")] public double OutputV { get; init; } = 120;
    [Field(ElectricPower, 300, 30000, Label = "Its continuous rating")] public double RatedW { get; init; } = 3000;
    [Field(Voltage, 12, 96, Label = "Nominal voltage of the lithium bank")] public double NominalV { get; init; } = 12;
    [Field(Charge, 20, 5000, Label = "Bank")] public double AmpHours { get; init; } = 400;
    [Field(Fraction, 0.05, 1, Label = "Its charge")] public double Soc { get; init; } = 0.5;
    [Field(Resistance, 0, 0.1, Label = "Links and boards in the bank")] public double LinksOhm { get; init; } = 0.0005;
    [Field(Resistance, 0, 0.1, Label = "Cable to the inverter")] public double CableOhm { get; init; } = 0.0008;
    [Field(Resistance, 0, 3, Label = "Cable to the unit")] public double LineOhm { get; init; } = 0.05;
    [Field(ElectricPower, 0, 20000, Label = "Other loads on")] public double OthersW { get; init; } = 130;
    [Ask("Helped by")] public StartRemedy Remedy { get; init; } = StartRemedy.None;
    [Field(Fraction, 0.40, 0.80, Label = "Soft starter takes away")] public double Reduction { get; init; } = 0.65;
}

/// <summary>Inputs of <see cref="StartCalculators.Learning"/>.</summary>
public sealed record LearningInput : DesignPart
{
    [Field(Fraction, 0.40, 0.80, Label = "Takes away at its first start")] public double First { get; init; } = 0.50;
    [Field(Fraction, 0.40, 0.80, Label = "and once it has learned")] public double Final { get; init; } = 0.70;
    [Field(Count, 2, 20, Label = "Starts it learns in")] public int Starts { get; init; } = 5;
    [Field(Count, 1, 100, Label = "Start looked at")] public int Number { get; init; } = 1;
}

/// <summary>Inputs of <see cref="StartCalculators.AllowedTime"/>.</summary>
public sealed record AllowedTimeInput : DesignPart
{
    [Ask("What bears it")] public Bearer Source { get; init; } = Bearer.HighFrequencyInverter;
    [Field(QuantityKind.Number, 0.1, 20, Label = "Load as a multiple of its rating")] public double Ratio { get; init; } = 1.3;
    [Field(ElectricPower, 300, 50000, Label = "Continuous watts of a generator")] public double RatedW { get; init; } = 1800;
    [Field(ElectricPower, 300, 60000, Label = "its maximum")] public double MaximumW { get; init; } = 2200;
    [Field(Current, 6, 125, Label = "Breaker")] public double BreakerA { get; init; } = 30;
    [Ask("Breaker's family")] public BreakerFamily Family { get; init; } = BreakerFamily.NorthAmerican;
    [Ask("The latest it holds", Help = "else the soonest it may trip; breakers only")] public bool Latest { get; init; }
}

/// <summary>What bears an overload for a time.</summary>
public enum Bearer
{
    [Called("high-frequency inverter")] HighFrequencyInverter,
    [Called("transformer inverter")] TransformerInverter,
    [Called("power station")] PowerStation,
    [Called("inverter generator")] InverterGenerator,
    [Called("conventional generator")] ConventionalGenerator,
    [Called("breaker of shore")] Shore,
    [Called("management board of a lithium bank, on direct current")] ManagementBoard,
}

/// <summary>Inputs of <see cref="StartCalculators.InverterDrivenStart"/>.</summary>
public sealed record PrechargeInput : DesignPart
{
    [Field(Voltage, 10, 500, Label = "Supply voltage")] public double Volts { get; init; } = 120;
    [Ask("Direct current")] public bool Dc { get; init; }
    [Field(QuantityKind.Number, 0.001, 1000, Label = "Pre-charge resistor, Ω")] public double ResistorOhm { get; init; } = 30;
    [Field(QuantityKind.Number, 1, 100000, Label = "Capacitor, µF")] public double CapacitorMicrofarad { get; init; } = 1500;
}

/// <summary>Calculations of starts, for the Bench and the API.</summary>
public static class StartCalculators
{
    /// <summary>Motor from its plate.</summary>
    [Calculator("motor-model", "Motor from its plate", "How long and how hard a compressor pulls", CitationIds = [nameof(Citations.MotorModel)])]
    public static CalculationResult Motor(MotorInput i)
    {
        var m = i.Model();
        return new ResultBuilder()
            .Step("R1", "Stator resistance", "Z·pf − R2", $"Z {i.RatedV / i.LraA:0.####} Ω", m.R1, Resistance, Citations.MotorModel)
            .Step("R2", "Rotor resistance", "0.30·Z·pf", $"Z {i.RatedV / i.LraA:0.####} Ω", m.R2, Resistance, Citations.MotorModel)
            .Step("X", "Reactance", "Z·√(1 − pf²)", $"pf {i.PowerFactorLockedRotor}", m.X, Resistance, Citations.MotorModel)
            .Step("n", "Running speed", "1 − R2/(A − R1)", $"RLA {i.RlaA} A", m.RunSpeed, Fraction, Citations.MotorModel)
            .Step("T", "Running torque", "I₂²·R2/s", $"synchronous watts", m.RunTorqueW, ElectricPower, Citations.MotorModel)
            .Step("M", "Inertia, W·s", "t₀/∫dn/(T_m − T_L)", $"t₀ {i.StartTimeS} s", m.InertiaWs, QuantityKind.Number, Citations.MotorModel).Done();
    }

    /// <summary>The smallest continuous rating of a bank that starts a motor.</summary>
    [Calculator("smallest-battery-rating", "The smallest battery rating that starts it", "What the management board must bear",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.SurgeCurves), nameof(Citations.Battery)])]
    public static CalculationResult SmallestBattery(SmallestBatteryInput i)
    {
        var bank = new BatteryBank(Chemistry.Lfp, (int)Math.Round(i.NominalV / 12 * CellData.Of(Chemistry.Lfp).CellsPer12V), i.AmpHours,
            extraResistance: i.LinksOhm);
        var dc = new DcSide(bank, i.Soc, i.CableOhm, InverterModel.Typical(i.RatedW));
        if (i.Remedy == StartRemedy.SoftStarter)
            SoftStarter.Check("reduction", i.LraA, i.RlaA, i.Reduction);
        var source = PowerSource.OfInverter(i.Transformer ? SourceClass.TransformerInverter : SourceClass.HighFrequencyInverter, i.OutputV, i.RatedW, dc);
        var start = new StartCase
        {
            Motor = i.Model(),
            Source = source,
            Line = new Complex(i.LineOhm, 0),
            Neighbours = [new NeighbourLoad("others", i.OthersW, AcUnit.FanPowerFactor, false)],
            Remedy = i.Remedy,
            Reduction = i.Reduction,
        };
        return StartVerdict.SmallestBatteryRating(start, a => source with { Dc = dc with { Bank = bank.Rated(a) } }) is { } amperes
            ? new ResultBuilder().Step("I_cont", "Continuous rating of the bank", "bisected until it just starts", $"{i.AmpHours} Ah at {i.Soc:0%}", amperes,
                Current, Citations.SurgeCurves).Done()
            : new ResultBuilder().Words("I_cont", "Continuous rating of the bank", "none: something else ends the start").Done();
    }

    /// <summary>What a soft starter takes away while it learns.</summary>
    [Calculator("soft-starter-learning", "A soft starter learns", "Why the first starts belong on shore or a large generator",
        CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Learning(LearningInput i) => new ResultBuilder()
        .Step("ρ", "It takes away", "ρ_final − (ρ_final − ρ_first)·(1 − (k − 1)/(N − 1))",
            $"start {i.Number} of {i.Starts}, {i.First} to {i.Final}",
            SoftStarter.Learned(i.First, i.Final, i.Starts, i.Number), Fraction, Citations.Trade)
        .Judge(i.Number < i.Starts ? SoftStarter.Learns(i.Starts) : null).Done();

    /// <summary>Verdict on a start.</summary>
    [Calculator("start-verdict", "Will it start?", "Starts or trips, when and why",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.SurgeCurves), nameof(Citations.FirstPeak)])]
    public static CalculationResult Verdict(StartVerdictInput i)
    {
        var start = Case(i);
        var result = StartVerdict.Of(start);
        return new ResultBuilder().Words("outcome", "Outcome", Calls.Name(result.Outcome) + (result.Cause == TripCause.None ? "" : ": " + result.Cause.Words()))
            .Step("I_max", "Most current", "E/(Z_s + 1/Y), at most what the source gives", $"E {i.SourceV} V", result.MaxA, Current, Citations.MotorModel)
            .Step("I_peak", "First peak", "κ·√2·I_max", $"I_max {result.MaxA:0.##}", result.PeakA, Current, Citations.FirstPeak)
            .Step("t", result.TripS is null ? "Start time" : "Trips after", "0.5 ms steps", $"speed from the torques", result.TripS ?? result.StartS ?? 0,
                Seconds, Citations.MotorModel)
            .Step("V", "Volts left at the compressor", "V_t − Z_line·I_m", $"line {i.LineOhm} Ω", result.MinCompressorV, Voltage, Citations.MotorModel)
            .Step("Used", "Used of what it bears", "Σ Δt/allowed", $"I_cont {start.Source.ContinuousA:0.##} A", result.SurgeUsed, Fraction,
                Citations.SurgeCurves)
            .Step("I_run", "Runs on", "(P + jQ)/V", $"RLA {i.RlaA} A", result.RunA, Current, Citations.MotorModel).Done();
    }

    /// <summary>A start over what is not known.</summary>
    [Calculator("start-corners", "How sure is the start?", "The start over what is not known: start time, locked-rotor current, what the source bears",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.SurgeCurves), nameof(Citations.Trade)])]
    public static CalculationResult Corners(StartVerdictInput i)
    {
        var start = Case(i);
        var corners = StartCorners.Of(start, (lra, time) => (i with
        {
            LraA = Math.Max(AcUnit.LeastLockedRotor * i.RlaA, i.LraA * lra),
            StartTimeS = i.StartTimeS * time,
        }).Model(), start.Source.Bearing(1 - StartCorners.BearingApart), start.Source.Bearing(1 + StartCorners.BearingApart));
        var result = new ResultBuilder()
            .Step("n", "It starts in", "start time ±40 %, locked rotor ±10 %, bearing ±20 %", $"{corners.Cases} cases", corners.Starts, Count,
                Citations.Trade)
            .Number("N", "of so many cases", corners.Cases, Count);
        return result.Judge(corners.Judge()).Done();
    }

    /// <summary>Largest motor that starts.</summary>
    [Calculator("largest-lra", "Largest motor that starts", "How large a compressor this source starts",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.SurgeCurves)])]
    public static CalculationResult LargestLra(StartVerdictInput i)
    {
        var largest = StartVerdict.LargestLra(Case(i), i.Model);
        return new ResultBuilder().Step("LRA_max", "Largest locked-rotor current", "LRA and RLA scaled together until it no longer starts",
            $"LRA : RLA = {i.LraA} : {i.RlaA}", largest, Current, Citations.MotorModel).Done();
    }

    /// <summary>Reduction needed.</summary>
    [Calculator("needed-reduction", "Soft starter needed", "The least reduction that starts",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.SurgeCurves)])]
    public static CalculationResult NeededReduction(StartVerdictInput i)
    {
        var start = Asked(i);
        if (StartSimulation.Starts(start with { Remedy = StartRemedy.None }))
            return new ResultBuilder().Step("ρ", "Reduction needed", "none: it starts without", $"{i.ContinuousW} W", 0, Fraction,
                Citations.MotorModel).Done();
        return StartVerdict.Window(start) is { } window
            ? new ResultBuilder()
                .Step("ρ", "Reduction needed", "first of 0.40, 0.41 … 0.80 that starts", $"{i.ContinuousW} W", window.Least, Fraction, Citations.MotorModel)
                .Step("ρ_most", "and at most", "last that still brings the motor to speed in time",
                    $"within {i.StarterLimitS} s, starting torque × {MotorModel.SoftStart}", window.Most,
                    Fraction, Citations.MotorModel)
                .Number("ρ_middle", "farthest from both", window.Middle, Fraction).Done()
            : new ResultBuilder().Words("ρ", "Reduction needed", "no soft starter starts it: what the source bears leaves the motor too little")
                .Judge(Finding.Of(FindingCode.StartNoReduction, Severity.Stop, $"Usually the running current is already too much.")).Done();
    }

    /// <summary>Soft starter in time.</summary>
    [Calculator("soft-starter-current", "Soft starter in time", "What a soft starter lets through",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.Trade)])]
    public static CalculationResult SoftStarterCurrent(SoftStarterInput i)
    {
        SoftStarter.Check("reduction", i.LraA, i.RlaA, i.Reduction);
        return new ResultBuilder().Step("I", "Current", "ramp 0.15 s, hold 0.25 s, decay 0.06 s", $"limit (1 − {i.Reduction}) × {i.LraA}",
            StartSimulation.SoftCurrent(i.TimeS, i.LraA, i.RlaA, i.Reduction), Current, Citations.MotorModel).Done();
    }

    /// <summary>How long an overload is borne.</summary>
    [Calculator("allowed-time", "How long an overload is borne", "Seconds until a source gives up",
        CitationIds = [nameof(Citations.SurgeCurves), nameof(Citations.Breakers)])]
    public static CalculationResult AllowedTime(AllowedTimeInput i)
    {
        var bands = PowerSource.OfShore(120, i.BreakerA, i.Family).BreakerBands();
        var curve = i.Source switch
        {
            Bearer.TransformerInverter => BearingCurve.TransformerInverter,
            Bearer.PowerStation => BearingCurve.PowerStation,
            Bearer.InverterGenerator => BearingCurve.InverterGenerator(i.RatedW, Maximum(i, 1.49)),
            Bearer.ConventionalGenerator => BearingCurve.ConventionalGenerator(i.RatedW, Maximum(i, 2)),
            Bearer.Shore => i.Latest ? bands.Max : bands.Min,
            Bearer.ManagementBoard => BearingCurve.ManagementBoard,
            _ => BearingCurve.HighFrequencyInverter,
        };
        var seconds = curve.AllowedSeconds(i.Ratio);
        return double.IsInfinity(seconds)
            ? new ResultBuilder().Words("t", "Borne for", "as long as you like").Done()
            : new ResultBuilder().Step("t", "Borne for", "log-log between the curve's points", $"{Calls.Name(i.Source)}, {i.Ratio} × rating", seconds, Seconds,
                Citations.SurgeCurves).Done();
    }

    /// <summary>Maximum watts of a generator, at least 1.01 and at most so many times its rating.</summary>
    private static double Maximum(AllowedTimeInput i, double most) => i.MaximumW >= 1.01 * i.RatedW - 1e-9 && i.MaximumW <= most * i.RatedW + 1e-9
        ? i.MaximumW
        : throw new InputException(
            InputError.Range("maximumW", Calls.Name(i.Source) + ": maximumW", ElectricPower, i.MaximumW, 1.01 * i.RatedW, most * i.RatedW));

    /// <summary>Pre-charge rush.</summary>
    [Calculator("inverter-driven-start", "Rush of an inverter-driven unit", "What flows when it is plugged in", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult InverterDrivenStart(PrechargeInput i)
    {
        var peak = (i.Dc ? i.Volts : Math.Sqrt(2) * i.Volts) / i.ResistorOhm;
        return new ResultBuilder()
            .Step("I_peak", "First rush", i.Dc ? "V/R" : "√2·V/R", $"{i.Volts} V/{i.ResistorOhm} Ω", peak, Current, Citations.Trade)
            .Step("τ", "Dies away in", "R·C", $"{i.ResistorOhm} × {i.CapacitorMicrofarad} µF", i.ResistorOhm * i.CapacitorMicrofarad * 1e-6, Milliseconds,
                Citations.Trade)
            .Judge(i.Dc && peak > 500 ? Precharge.Inrush(peak) : null).Done();
    }

    private static StartCase Case(StartVerdictInput i)
    {
        if (i.Remedy == StartRemedy.SoftStarter)
            SoftStarter.Check("reduction", i.LraA, i.RlaA, i.Reduction);
        return Asked(i);
    }

    private static StartCase Asked(StartVerdictInput i) => new()
    {
        Motor = i.Model(),
        Source = i.Source switch
        {
            SourceClass.Shore =>
                PowerSource.OfShore(i.SourceV, i.ContinuousW / i.SourceV, i.SourceV < 150 && !i.IecBreaker ? BreakerFamily.NorthAmerican : BreakerFamily.IecC),
            SourceClass.InverterGenerator or SourceClass.ConventionalGenerator => Generator(i),
            _ => PowerSource.OfInverter(i.Source, i.SourceV, i.ContinuousW),
        },
        Remedy = i.Remedy,
        Reduction = i.Reduction,
        Starter = i.Starter,
        StarterLimitS = i.StarterLimitS,
        Line = new Complex(i.LineOhm, 0),
        SecondsOff = i.RestedS,
        Neighbours = i.OthersW > 0 ? [new NeighbourLoad("other loads", i.OthersW, i.OthersPowerFactor, false)] : [],
    };

    private static PowerSource Generator(StartVerdictInput i)
    {
        var most = i.Source == SourceClass.InverterGenerator ? 1.49 : 2.0;
        var ratio = i.MaximumW / i.ContinuousW;
        return ratio is >= 1.01 - 1e-9 && ratio <= most + 1e-9
            ? PowerSource.OfGenerator(i.Source == SourceClass.InverterGenerator ? GeneratorKind.Inverter : GeneratorKind.Conventional, i.SourceV, i.ContinuousW,
                i.MaximumW)
            : throw new InputException(
                InputError.Range("maximumW", Calls.Name(i.Source) + ": maximumW", ElectricPower, i.MaximumW, 1.01 * i.ContinuousW, most * i.ContinuousW));
    }
}
