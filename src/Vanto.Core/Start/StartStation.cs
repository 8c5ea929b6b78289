using System.Numerics;
using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>The Start station: will the chosen unit start on the source asked, with what is on beside it?</summary>
public sealed class StartStation : Station<StartAssessment>
{
    /// <inheritdoc />
    public override string Name => "start";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Size;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("first-second", "first second", "Will the compressor start on this source?"),
        new("source", "the source", "What else is on, and may it stay on?"),
        new("worse", "worse days", "Does it start on a worse day, and with what else?"),
        new("measured", "measured", "Does the measured start agree?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
        [typeof(UnitAssessment), typeof(LoadAssessment), typeof(SurveyDesign), typeof(StartDesign), typeof(UnitDesign)];

    /// <inheritdoc />
    public override IEnumerable<SheetBlock> Sheet(StationInputs job)
    {
        var (unit, start) = (job.Result<UnitAssessment>().Unit, job.Design<StartDesign>());
        if (unit.SingleSpeed)
            yield return new SheetBlock(SheetPlace.Fitted, "What was fitted", SheetForm.Pairs, [SheetLine.Pair("Start",
                start.Remedy == StartRemedy.SoftStarter ? Phrase.Of($"soft starter, {start.Reduction:Fraction} less start current")
                : Phrase.Of($"{(start.Remedy == StartRemedy.None ? "direct" : "hard-start kit")}"))]);
        foreach (var block in RunningTogether.Sheets(job.Design<SurveyDesign>(), unit, start.On, job.Result<StartAssessment>()))
            yield return block;
    }

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var unitDesign = job.Design<UnitDesign>();
        var outdoorC = job.Result<LoadAssessment>().OutdoorC.Max() + unitDesign.InletRiseK;
        var (survey, design, unit) = (job.Design<SurveyDesign>(), job.Design<StartDesign>(), job.Result<UnitAssessment>());
        return Assess(survey, design, unitDesign, unit, outdoorC) with { Elsewhere = Elsewhere(survey, design, unit.Unit, outdoorC) };
    }

    /// <summary>What the unit, alone, asks of the sources on board that it is not started on.</summary>
    private static IReadOnlyList<SourceDraw> Elsewhere(SurveyDesign survey, StartDesign design, AcUnit unit, double outdoorC)
    {
        if (unit.IsDc)
            return [];
        var (sources, measured) = (survey.Sources, AsMeasured(survey, design, unit));
        SourceChoice[] there =
        [
            .. sources.Inverter.Fitted && sources.Battery.Fitted ? [SourceChoice.Inverter] : Array.Empty<SourceChoice>(),
            .. sources.Generator.Fitted ? [SourceChoice.Generator] : Array.Empty<SourceChoice>(),
            .. sources.Shore.PluggedIn ? [SourceChoice.Shore] : Array.Empty<SourceChoice>(),
        ];
        return [.. there.Where(on => on != design.On).Select(on => Alone(survey with { Devices = [] }, design with { On = on }, measured, outdoorC))];
    }

    private static SourceDraw Alone(SurveyDesign survey, StartDesign design, AcUnit unit, double outdoorC)
    {
        var source = SourceBuilder.Source(survey.Sources, survey.Place.ElevationM, survey.Place.DryBulbC, design.On, design.Soc);
        var (continuous, surge) = (source.ContinuousW, SurgeW(source));
        SourceDraw Never(Phrase why) => new(design.On, 0, 0, continuous, surge, why);
        if (Math.Abs(source.Volts / unit.SupplyVoltageV - 1) > VoltageApart)
            return Never(Phrase.Of($"The air conditioner wants {unit.SupplyVoltageV:Voltage}; the {Calls.Name(design.On)} gives {source.Volts:Voltage}."));
        if (WrongWaveform(survey, design))
            return Never(Phrase.Of($"The air conditioner must not run on a modified sine wave."));
        var result = unit.SingleSpeed ? StartVerdict.Of(Case(survey, design, unit, source))
            : StartVerdict.OfInverterDriven(source, unit.SupplyVoltageV, Performance.MostPowerW(unit, outdoorC), unit.PowerFactorRun, [],
                Conductors.LoopOhm(design.CableM, design.CableMm2, 30));
        if (result.Outcome != StartOutcome.Starts)
            return Never(Phrase.Of($"The air conditioner does not start on it: {result.Cause.Words()}."));
        var va = Math.Max(unit.RatedPowerW / unit.PowerFactorRun, result.RunA * source.Volts);
        return new SourceDraw(design.On, va, Math.Max(va, (unit.SingleSpeed ? result.MaxA : result.RunA) * source.Volts), continuous, surge);
    }

    /// <inheritdoc />
    public override IEnumerable<LedgerEntry> Ledger(StationInputs job)
    {
        var own = job.Result<StartAssessment>();
        yield return new LedgerEntry
        {
            Id = "start",
            Station = Name,
            Value = new Measure(own.MaxA, QuantityKind.Current),
            Note = own.SourceV > 0 ? Phrase.Of($"at {own.SourceV:Voltage}") : Phrase.Of($""),
            Limit = own.Outcome != StartOutcome.Starts ? Phrase.Of($"{InWords(own.Outcome)}")
                : own.InverterDriven ? Phrase.Of($"{own.SurgeUsed:Fraction} of what it bears") : Phrase.Of($"overload timer at {own.SurgeUsed:Fraction}"),
            Share = Math.Min(1, own.SurgeUsed * LedgerEntry.GaugeMark),
            Mark = LedgerEntry.GaugeMark,
            MoreIsBetter = false,
            State = own.Verdict.State,
        };
    }

    private static string InWords(StartOutcome outcome) => outcome switch
    {
        StartOutcome.StartsOnlyIfShed => "only with loads off",
        StartOutcome.StartsButCannotRun => "cannot run on",
        StartOutcome.Stalls => "stalls",
        _ => "trips",
    };

    private const double MeasuredApart = 0.15;

    /// <summary>A supply further from the plate than this share is another supply; public supplies stay within it (EN 50160, from memory).</summary>
    internal const double VoltageApart = 0.10;

    internal const double DevicePowerFactor = 0.95;

    /// <summary>Moments that a drawing of a start can show.</summary>
    private const int MostDrawn = 1500;

    /// <summary>Runs the start, its remedies and the stacking of neighbours.</summary>
    public static StartAssessment Assess(SurveyDesign survey, StartDesign design, UnitDesign unitDesign, UnitAssessment unitResult, double outdoorC)
    {
        var unit = unitResult.Unit;
        if (unit.IsDc)
            return DcStart.Assess(survey, design, unitDesign, unit, outdoorC);
        if (design.On == SourceChoice.Sun)
            return SunStart.Assess(survey, unit, outdoorC);
        var source = SourceBuilder.Source(survey.Sources, survey.Place.ElevationM, survey.Place.DryBulbC, design.On, design.Soc);
        if (Math.Abs(source.Volts / unit.SupplyVoltageV - 1) > VoltageApart)
            return WrongVoltage(unitDesign, unit, source);
        if (WrongWaveform(survey, design))
            return Refused(unit, source, Phrase.Of($"Does not fit this source: a modified sine wave."), TripCause.ModifiedSine,
                Finding.Of(FindingCode.SourceWaveform, Severity.Stop,
                    $"A modified sine wave overheats compressors and kills soft starters and control boards. It takes a pure sine wave."));
        if (unit.SingleSpeed && Fit(survey, design, unit, source) is { } fit)
        {
            var seen = SingleSpeed(survey, design, Fitted(unit, fit), source, fit.Fitted,
                fit.Fitted && design.Measured.Count >= 3 && StartFit.Lasts(Trace(design)) is not null);
            return seen with { Findings = [.. seen.Findings, .. RecordEndsEarly(design), Measured(unit, fit)] };
        }
        return unit.SingleSpeed ? SingleSpeed(survey, design, unit, source, false, false) : InverterDriven(survey, design, unit, source, outdoorC);
    }

    private static List<(double Seconds, double Amperes)> Trace(StartDesign design) => [.. design.Measured.Select(m => (m.AfterMs / 1000, m.CurrentA))];

    /// <summary>What is to be said where a record ends before the start does, so that it tells the peak but not how long it lasts.</summary>
    private static IEnumerable<Finding> RecordEndsEarly(StartDesign design)
    {
        if (design.Measured.Count >= 3 && StartFit.Lasts(Trace(design)) is null)
            yield return Finding.Of(FindingCode.StartMeasuredShort, Severity.Caution,
                $"The measured start never falls from its highest current: the record ends too early, or the motor did not turn. Only the peak is used; "
                    + $"record until it runs.");
    }

    private static Finding Measured(AcUnit unit, StartFitResult fit) => fit.Fitted
        ? Finding.Of(FindingCode.StartMeasured, Math.Abs(fit.LraA / unit.LockedRotorA - 1) > MeasuredApart ? Severity.Caution : Severity.Note,
            $"Fitted to what was measured: locked-rotor current {fit.LraA:Current} where the plate says {unit.LockedRotorA:Current}, start time "
                + $"{fit.StartTimeS:Milliseconds}.")
        : Finding.Of(FindingCode.StartMeasuredHidden, Severity.Note,
            $"What was measured cannot be fitted: this source folds back and hides what the motor would draw. Measure on shore.");

    /// <summary>
    /// The unit with the motor that was measured on the source chosen, so that every start of it is judged on the same motor; the plate's where none
    /// was.
    /// </summary>
    internal static AcUnit AsMeasured(SurveyDesign survey, StartDesign design, AcUnit unit)
    {
        if (!unit.SingleSpeed || design.On == SourceChoice.Sun || !HasMeasured(design))
            return unit;
        var source = SourceBuilder.Source(survey.Sources, survey.Place.ElevationM, survey.Place.DryBulbC, design.On, design.Soc);
        return Fit(survey, design, unit, source) is { } fit ? Fitted(unit, fit) : unit;
    }

    private static AcUnit Fitted(AcUnit unit, StartFitResult fit) => fit.Fitted ? unit with { LraA = fit.LraA, StartTimeS = fit.StartTimeS } : unit;

    private static bool HasMeasured(StartDesign design) => design.MeasuredA is not null || design.Measured.Count >= 3;

    /// <summary>The motor as it was measured, with nothing that helped it, whatever is to help it now; null where nothing was.</summary>
    private static StartFitResult? Fit(SurveyDesign survey, StartDesign design, AcUnit unit, PowerSource source)
    {
        if (!HasMeasured(design))
            return null;
        var trace = Trace(design);
        return StartFit.Of(Case(survey, design with { Remedy = StartRemedy.None }, unit, source),
            (lra, time) => MotorModel.FromNameplate(unit.SupplyVoltageV, lra, unit.RlaA, unit.PowerFactorLockedRotor, unit.PowerFactorRun, time),
            unit.LockedRotorA, unit.StartTimeS, design.MeasuredA ?? trace.Max(p => p.Amperes), trace.Count < 3 ? null : StartFit.Lasts(trace));
    }

    /// <summary>Only how the start ends, without its remedies: for searches.</summary>
    internal static StartOutcome Outcome(SurveyDesign survey, StartDesign design, AcUnit unit, double outdoorC)
    {
        if (unit.IsDc)
            return DcStart.Assess(survey, design, new UnitDesign(), unit, outdoorC).Outcome;
        var source = SourceBuilder.Source(survey.Sources, survey.Place.ElevationM, survey.Place.DryBulbC, design.On, design.Soc);
        if (Math.Abs(source.Volts / unit.SupplyVoltageV - 1) > VoltageApart)
            return StartOutcome.StartsButCannotRun;
        if (WrongWaveform(survey, design))
            return StartOutcome.StartsButCannotRun;
        if (unit.SingleSpeed)
            return StartVerdict.Of(Case(survey, design, unit, source)).Outcome;
        var most = Performance.MostPowerW(unit, outdoorC);
        return StartVerdict.OfInverterDriven(source, unit.SupplyVoltageV, most, unit.PowerFactorRun, Neighbours(survey),
            Conductors.LoopOhm(design.CableM, design.CableMm2, 30)).Outcome;
    }

    internal static StartCase Case(SurveyDesign survey, StartDesign design, AcUnit unit, PowerSource source) => new()
    {
        Motor = Motor(unit, 1),
        Source = source,
        Remedy = design.Remedy,
        Reduction = design.Reduction,
        StarterLimitS = design.StarterLimitS,
        SecondsOff = design.RestedS,
        Line = new Complex(Conductors.LoopOhm(design.CableM, design.CableMm2, 30), 0),
        Neighbours = [Fan(unit), .. Neighbours(survey)],
    };

    private static NeighbourLoad Fan(AcUnit unit) => new("its own fan", unit.FanPowerW, AcUnit.FanPowerFactor, false, OwnFan: true);

    /// <summary>Devices that may be on at the start, as neighbours on the AC side.</summary>
    internal static List<NeighbourLoad> Neighbours(SurveyDesign survey) =>
        [.. survey.Devices.Where(d => d.OnAtStart && d.Supply == DeviceSupply.Ac).Select(
            d => new NeighbourLoad(d.Name, d.PowerW, DevicePowerFactor, d.MayWait))];

    private static StartAssessment SingleSpeed(SurveyDesign survey, StartDesign design, AcUnit unit, PowerSource source, bool peakMeasured,
        bool timeMeasured)
    {
        var fan = Fan(unit);
        var neighbours = Neighbours(survey);
        var start = Case(survey, design, unit, source);
        var motor = start.Motor;
        if (design.Remedy == StartRemedy.SoftStarter)
            SoftStarter.Check("start.reduction", motor.LraA, motor.RlaA, design.Reduction);
        StartResult result = null!, alone = null!;
        StartResult? atReserve = null;
        ReductionWindow? window = null;
        var (largest, startsPlain) = (0.0, false);
        StartCorners corners = null!;
        Parallel.Invoke(
            () => largest = StartVerdict.LargestLra(start, factor => Motor(unit, factor)),
            () => (startsPlain, window) = (StartSimulation.Starts(start with { Remedy = StartRemedy.None }), StartVerdict.Window(start)),
            () =>
            {
                result = StartVerdict.Of(start, trace: true);
                alone = StartSimulation.Run(start with { Neighbours = [fan] });
                atReserve = source.Dc is { } dc ? StartVerdict.Of(start with { Source = source with { Dc = dc with { Soc = design.ReserveSoc } } }) : null;
                var shed = start with { Neighbours = [.. start.Neighbours.Where(n => !result.Shed.Contains(n.Name))] };
                corners = StartCorners.Of(shed, survey, design, unit, peakMeasured, timeMeasured);
            });
        double? needed = startsPlain ? 0 : window?.Least;
        var remedies = StartTrials.Helped(start, design, motor, window);
        var stacking = StartTrials.Stacking(start, fan, neighbours);
        var findings = StartFindings.Of(start, design, result, alone, atReserve,
            startsPlain && design.Remedy != StartRemedy.SoftStarter ? null : window, startsPlain, largest, unit, survey, corners).ToList();
        return new StartAssessment
        {
            Verdict = Say(result, source, findings, design, corners),
            Findings = Finding.Ranked(findings),
            Figures = Figures(start, result, motor, largest, source),
            Outcome = result.Outcome,
            Cause = result.Cause,
            Trace = Thin(result.Trace, source.Dc is not null),
            Bearing = Bears(source),
            Neighbours = [.. start.Neighbours.Select(n => new StackedLoad(n.Name, n.PowerW, n.PowerW / n.PowerFactor / source.Volts, n.Sheddable, n.OwnFan))],
            Remedies = remedies,
            Stacking = stacking,
            MaxA = result.MaxA,
            LimitA = source.LimitA is double.PositiveInfinity ? 0 : source.LimitA,
            RunA = result.RunA,
            RunV = result.RunCompressorV,
            SourceV = source.Volts,
            SurgeUsed = result.SurgeUsed,
            ContinuousW = source.ContinuousW,
            SurgeW = SurgeW(source),
            NeededReduction = needed,
            Window = window,
            Corners = corners,
            InverterDriven = false,
            PeakShare = PeakShare(result, source),
            Answers = Answers(Beside(start.Neighbours), design, result.MaxA),
        };
    }

    /// <summary>What is on with it.</summary>
    internal static Phrase Beside(IReadOnlyList<NeighbourLoad> neighbours) => neighbours.Where(n => !n.OwnFan).ToList() is { Count: > 0 } on
        ? Phrase.Of($"{on.Sum(n => n.PowerW):ElectricPower} may be on beside it: {string.Join(", ", on.Select(n => n.Name))}.")
        : Phrase.Of($"Nothing else is on.");

    /// <summary>What the further leaves say.</summary>
    /// <param name="beside">What is on with it.</param>
    /// <param name="design">What was measured.</param>
    /// <param name="predictedA">Highest current found.</param>
    internal static Dictionary<string, Phrase> Answers(Phrase beside, StartDesign design, double predictedA) => new()
    {
        ["source"] = beside,
        ["measured"] = HasMeasured(design)
            ? Phrase.Of($"{design.MeasuredA ?? design.Measured.Max(m => m.CurrentA):Current} measured, {predictedA:Current} found.")
            : Phrase.Of($"Nothing measured yet; {predictedA:Current} are expected on an inrush clamp."),
    };

    internal static MotorModel Motor(AcUnit unit, double factor) =>
        MotorModel.FromNameplate(unit.SupplyVoltageV, unit.LockedRotorA * factor, unit.RlaA * factor, unit.PowerFactorLockedRotor, unit.PowerFactorRun,
            unit.StartTimeS);

    private static Verdict Say(StartResult result, PowerSource source, List<Finding> findings, StartDesign design, StartCorners corners)
    {
        var helped =
            design.Remedy switch { StartRemedy.SoftStarter => " with its soft starter", StartRemedy.HardStartKit => " with its hard-start kit", _ => "" };
        var headline = result.Outcome switch
        {
            StartOutcome.Starts => corners.InAll
                ? Phrase.Of($"Starts on the {Called(source)}{helped}; the peak takes {PeakShare(result, source):Fraction} of its limit, "
                    + $"{Timer(source)} gets to {result.SurgeUsed:Fraction}.")
                : Phrase.Of($"Starts on the {Called(source)}{helped} {corners.Words} of what is not known."),
            StartOutcome.StartsOnlyIfShed => corners.InAll ? Phrase.Of($"Starts only without {string.Join(" and ", result.Shed)}.")
                : Phrase.Of($"Starts only without {string.Join(" and ", result.Shed)}, and then {corners.Words} of what is not known."),
            StartOutcome.StartsButCannotRun => Phrase.Of($"Starts, but cannot run on: {result.Cause.Words()} after {result.TripS ?? 0:Seconds}."),
            StartOutcome.Stalls => Phrase.Of($"Stalls: {result.Cause.Words()}."),
            _ => Phrase.Of($"Trips after {result.TripS ?? 0:Milliseconds}: {result.Cause.Words()}."),
        };
        var start = result.StartS is { } s ? Phrase.Of($"It reaches speed in {s:Milliseconds}; at") : Phrase.Of($"At");
        return new Verdict(Verdict.Worst(findings), headline, Phrase.Of(
            $"{start} most {result.MaxA:Current} flow and {result.MinCompressorV:Voltage} are left at the compressor; then it runs on {result.RunA:Current}."));
    }

    /// <summary>The highest current against what the source gives or trips at within a cycle.</summary>
    private static double PeakShare(StartResult result, PowerSource source) =>
        SurgeW(source) is > 0 and var most ? result.MaxA * source.Volts / most : 0;

    /// <summary>What runs while more flows than it gives for long.</summary>
    private static string Timer(PowerSource source) => source.Class == SourceClass.Shore ? "its breaker's bimetal" : "its overload timer";

    private static string Called(PowerSource source) => source.Class switch
    {
        SourceClass.Shore => "shore pedestal",
        SourceClass.InverterGenerator or SourceClass.ConventionalGenerator => "generator",
        SourceClass.PowerStation => "power station",
        _ => "inverter",
    };

    private static StartAssessment InverterDriven(SurveyDesign survey, StartDesign design, AcUnit unit, PowerSource source, double outdoorC)
    {
        var most = Performance.MostPowerW(unit, outdoorC);
        var line = Conductors.LoopOhm(design.CableM, design.CableMm2, 30);
        var neighbours = Neighbours(survey);
        var result = StartVerdict.OfInverterDriven(source, unit.SupplyVoltageV, most, unit.PowerFactorRun, neighbours, line);
        var precharge = Precharge.Of(unit, source.Volts);
        var findings = new List<Finding>();
        if (result.Outcome != StartOutcome.Starts)
            findings.Add(Finding.Of(StartFindings.Code(result), Severity.Stop, StartFindings.Reason(result, result), [.. neighbours.Count > 0
                ? [new Remedy(Phrase.Of($"start it alone"), Phrase.Of($"everything else off"), DesignEdit.Of(survey, s => s.StartingAlone()))]
                : Array.Empty<Remedy>()]));
        findings.AddRange(SourceFindings.Of(survey, design, unit));
        findings.Add(precharge.SoftByNature("An inverter-driven unit"));
        var working = Working.Start()
            .Given("P_max", "input at its highest capacity and the design heat", most, "W", Citations.InverterCurve)
            .Step("I", "|P + jQ|/V with the neighbours", $"{most:0.#} W at {source.Volts} V", result.RunA, "A", Citations.MotorModel).Done();
        var ratio = result.RunA / source.ContinuousA;
        return new StartAssessment
        {
            Verdict = new Verdict(Verdict.Worst(findings),
                result.Outcome switch
                {
                    StartOutcome.Starts => Phrase.Of($"Starts softly on the {Called(source)} and runs within {ratio:Fraction} of it."),
                    StartOutcome.StartsOnlyIfShed => Phrase.Of($"Runs only without {string.Join(" and ", result.Shed)}."),
                    _ => Phrase.Of($"Starts, but cannot run on at full power: {result.Cause.Words()} after {result.TripS ?? 0:Seconds}."),
                },
                Phrase.Of($"At its most it draws {most:ElectricPower}, with what is on beside it {result.RunA:Current} of {source.ContinuousA:Current}.")),
            Findings = Finding.Ranked(findings),
            Figures = [new Figure("Most current, running", result.RunA, QuantityKind.Current, working),
                new Figure("First rush", precharge.PeakA, QuantityKind.Current, precharge.Working)],
            Outcome = result.Outcome,
            Cause = result.Cause,
            Trace = SoftClimb.Of(precharge, unit, outdoorC, source, line, neighbours),
            Bearing = Bears(source),
            Neighbours = [.. neighbours.Select(n => new StackedLoad(n.Name, n.PowerW, n.PowerW / n.PowerFactor / source.Volts, n.Sheddable, n.OwnFan))],
            Remedies = [],
            Stacking = [],
            MaxA = Math.Max(result.RunA, precharge.PeakA / Math.Sqrt(2)),
            LimitA = source.LimitA is double.PositiveInfinity ? 0 : source.LimitA,
            RunA = result.RunA,
            RunV = result.RunCompressorV,
            SourceV = source.Volts,
            SurgeUsed = ratio,
            ContinuousW = source.ContinuousW,
            SurgeW = SurgeW(source),
            NeededReduction = null,
            InverterDriven = true,
            PeakShare = ratio,
            Answers = Answers(Beside(neighbours), design, result.RunA),
        };
    }

    /// <summary>A unit on another voltage than its own.</summary>
    internal static Finding OtherVoltage(AcUnit unit, string called, double volts) =>
        Finding.Of(FindingCode.SourceVoltage, Severity.Stop, $"{unit.NameFirst} wants {unit.SupplyVoltageV:Voltage}, the {called} gives {volts:Voltage}.");

    private static StartAssessment WrongVoltage(UnitDesign unitDesign, AcUnit unit, PowerSource source)
    {
        var finding = OtherVoltage(unit, Called(source), source.Volts) with
        {
            Remedies = [.. UnitCatalogue.All.Where(u => u.Kind == unit.Kind && Math.Abs(source.Volts / u.SupplyVoltageV - 1) <= VoltageApart)
                .OrderBy(u => Math.Abs(u.RatedCapacityW - unit.RatedCapacityW)).Take(1)
                .Select(
                    u => new Remedy(Phrase.Of($"{u.Name}"), Phrase.Of($"{u.RatedCapacityW:Power}"), DesignEdit.Of(unitDesign, d => d with { Chosen = u.Id })))],
        };
        return Refused(unit, source, Phrase.Of($"Does not fit this source: {unit.SupplyVoltageV:Voltage} against {source.Volts:Voltage}."),
            TripCause.OtherVoltage, finding);
    }

    private static bool WrongWaveform(SurveyDesign survey, StartDesign design) => design.On == SourceChoice.Inverter && survey.Sources.Inverter.ModifiedSine;

    /// <summary>A start that is not even tried.</summary>
    private static StartAssessment Refused(AcUnit unit, PowerSource source, Phrase headline, TripCause cause, Finding finding) => new StartAssessment
    {
        Verdict = new Verdict(StationState.Stop, headline, finding.Words),
        Findings = [finding],
        Figures = [],
        Outcome = StartOutcome.StartsButCannotRun,
        Cause = cause,
        Trace = StartTrace.None,
        Bearing = Bears(source),
        Neighbours = [],
        Remedies = [],
        Stacking = [],
        MaxA = 0,
        LimitA = 0,
        RunA = 0,
        RunV = 0,
        SourceV = source.Volts,
        SurgeUsed = 1,
        ContinuousW = source.ContinuousW,
        SurgeW = SurgeW(source),
        NeededReduction = null,
        InverterDriven = !unit.SingleSpeed,
    };

    private static double SurgeW(PowerSource source) => source.Class switch
    {
        SourceClass.Shore => source.Volts * source.BreakerA * source.MagneticBand().May,
        SourceClass.ConventionalGenerator => source.ContinuousW * source.Curve!.Points[2].Ratio,
        _ => source.ContinuousW * source.LimitRatio,
    };

    private static IReadOnlyList<BearingPoint> Bears(PowerSource source) => BearingPoint.Of(source.Curve ?? source.BreakerBands().Min, source.ContinuousA);

    private static StartTrace Thin(IReadOnlyList<StartMoment> trace, bool onBattery) =>
        StartTrace.Of([.. trace.Where((_, i) => i % Math.Max(2, trace.Count / MostDrawn) == 0)], m => m.Seconds, m => m.SourceA, m => m.CompressorA,
            m => m.CompressorV,
            onBattery ? m => m.DcV : null, onBattery ? m => m.DcA : null);

    private static List<Figure> Figures(StartCase start, StartResult result, MotorModel motor, double largest, PowerSource source)
    {
        var working = Working.Start()
            .Given("LRA", "locked-rotor current, plate", motor.LraA, "A", Citations.MotorModel)
            .Given("RLA", "running current, plate", motor.RlaA, "A", Citations.MotorModel)
            .Step("Z", "V/LRA", $"{motor.RatedV}/{motor.LraA}", motor.RatedV / motor.LraA, "Ω", Citations.MotorModel)
            .Step("M", "t₀/∫dn/(T_m − T_L)", $"t₀ {motor.StartTimeS} s", motor.InertiaWs, "W·s", Citations.MotorModel)
            .Step("Z_line", "2·L·ρ/A", $"cable to the unit", start.Line.Real, "Ω", Citations.Copper)
            .Step("I_max", "E/(Z_s + 1/(Y_o + Y_b)), at most what the source gives", $"E {source.Volts} V", result.MaxA, "A", Citations.MotorModel)
            .Step("I_peak", "κ·√2·I_max", $"κ·1.414 × {result.MaxA:0.##}", result.PeakA, "A", Citations.FirstPeak)
            .Step("Used", "Σ Δt/allowed time at I/I_cont", $"I_cont {source.ContinuousA:0.##} A", result.SurgeUsed, "", Citations.SurgeCurves);
        if (result.MaxDcA is { } dc)
            working.Step("I_dc", "(U − √(U² − 4RP))/2R", $"at the highest start power", dc, "A", Citations.InverterLoss).Step("V_dc", "U − R·I",
                $"at {dc:0.#} A", result.MinDcV ?? 0, "V", Citations.Battery);
        return
        [
            new Figure("Start current", result.MaxA, QuantityKind.Current, working.Done()),
            new Figure("Volts left at the compressor", result.MinCompressorV, QuantityKind.Voltage, working.Done()),
            new Figure("Largest locked-rotor current it starts", largest, QuantityKind.Current, Working.Start()
                .Step("LRA_max", "LRA and RLA scaled together until it no longer starts", $"bisected to 0.1 A", largest, "A", Citations.MotorModel).Done()),
            new Figure("Then it runs on", result.RunA, QuantityKind.Current,
                Working.Start().Step("I", "(P + jQ)/V with the neighbours", $"V {result.RunCompressorV:0.#}", result.RunA, "A", Citations.MotorModel).Done()),
        ];
    }
}
