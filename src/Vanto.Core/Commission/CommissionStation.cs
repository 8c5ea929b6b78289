using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Commission;

/// <summary>Readings of one start-up as typed; an empty one was not taken.</summary>
public sealed record StartUpReadings : DesignPart
{
    [Field(QuantityKind.Vacuum, 0.13, 150000, Label = "Vacuum when the pump was shut off", Optional = true)] public double? VacuumStartPa { get; init; }
    [Field(QuantityKind.Vacuum, 0.13, 150000, Label = "Vacuum ten minutes later", Optional = true)] public double? VacuumEndPa { get; init; }
    [Field(QuantityKind.Current, 0.1, 2000, Label = "Start current, clamp meter on inrush", Optional = true)] public double? StartA { get; init; }
    [Field(QuantityKind.Voltage, 8, 280, Label = "Volts at the terminals, running", Optional = true)] public double? RunV { get; init; }
    [Field(QuantityKind.Current, 0.1, 400, Label = "Amperes, running", Optional = true)] public double? RunA { get; init; }
    [Field(QuantityKind.ElectricPower, 5, 20000, Label = "Watts, running", Optional = true)] public double? RunW { get; init; }
    [Field(QuantityKind.Temperature, -10, 60, Label = "Air into the head", Optional = true)] public double? EnteringC { get; init; }
    [Field(QuantityKind.Percent, 2, 100, Label = "its humidity", Optional = true)] public double? EnteringRhPct { get; init; }
    [Field(QuantityKind.Temperature, -10, 60, Label = "Air out of the head", Optional = true)] public double? LeavingC { get; init; }
    [Field(QuantityKind.Temperature, -20, 60, Label = "Air outdoors", Optional = true)] public double? OutdoorC { get; init; }
    [Field(QuantityKind.Voltage, 8, 280, Label = "Volts before it starts", Optional = true)] public double? RestV { get; init; }
    [Field(QuantityKind.Voltage, 0, 280, Label = "Lowest volts as it starts", Optional = true)] public double? SagV { get; init; }
    [Field(QuantityKind.Percent, 2, 100, Label = "Humidity out of the head", Optional = true)] public double? LeavingRhPct { get; init; }
    [Field(QuantityKind.AirFlow, 0.01, 3, Label = "Air flow of the head", Optional = true)] public double? AirM3s { get; init; }
    [Ask("measured where it blows out")] public bool AirAtOutlet { get; init; }
    [Field(QuantityKind.Volume, 1e-4, 0.02, Label = "Water poured into the tray", Optional = true)] public double? DrainPouredM3 { get; init; }
    [Field(QuantityKind.Volume, 0, 0.02, Label = "of it came out", Optional = true)] public double? DrainOutM3 { get; init; }
    [Field(QuantityKind.Count, 0, 8, Label = "Zones that ran alone", Optional = true)] public int? ZonesAlone { get; init; }
    [Field(QuantityKind.ElectricPower, 5, 20000, Label = "Watts, all zones together", Optional = true)] public double? ZonesW { get; init; }
    [Field(QuantityKind.Temperature, -10, 60, Label = "Heating: air into the head", Optional = true)] public double? HeatEnteringC { get; init; }
    [Field(QuantityKind.Temperature, -10, 80, Label = "Heating: air out of the head", Optional = true)] public double? HeatLeavingC { get; init; }
    [Field(QuantityKind.Temperature, -30, 40, Label = "Heating: air outdoors", Optional = true)] public double? HeatOutdoorC { get; init; }
}

/// <summary>The readings of one start-up.</summary>
/// <param name="Readings">The readings.</param>
public sealed record CommissionRecord(Guid Id, DateTimeOffset At, string By, StartUpReadings Readings, Guid? Corrects)
    : ReadingsRecord<StartUpReadings>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind =
        new RecordKind<CommissionRecord, StartUpReadings>("start-up", "reading of a start-up",
            (h, readings) => new CommissionRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>Where a reading stands against its prediction.</summary>
public enum BandVerdict { NotDone, Pass, Note, Caution, Stop }

/// <summary>One row of the verdict table.</summary>
public sealed record VerdictRow(string Id, string Label, Measure? Measured, Measure? Expected, Phrase Band, BandVerdict Verdict, Phrase Words, Working Working);

/// <summary>A part of what is proved on this job.</summary>
/// <param name="Leaf">Where it is made.</param>
/// <param name="Name">What is proved.</param>
/// <param name="Words">How it stands.</param>
/// <param name="Next">What to do.</param>
public sealed record ProofRow(string Leaf, string Name, StationState State, Phrase Words, Phrase Next);

/// <summary>What a gate of the work on site can take from here.</summary>
public sealed record GateProof(string Gate, bool Passed, Phrase Words, string Leaf);

/// <summary>Result of the Commission station.</summary>
public sealed record CommissionAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<VerdictRow> Rows, CommissionRecord? Record,
    int Records) : IStationResult
{
    /// <summary>Readings that are asked for: of what was opened and of what runs.</summary>
    public IReadOnlyList<string> Asks { get; init; } = [];

    /// <summary>Why the circuit is not proved; null where it was opened.</summary>
    public Phrase? NotOpened { get; init; }

    /// <summary>What is proved on this job, in its order.</summary>
    public IReadOnlyList<ProofRow> Proof { get; init; } = [];

    /// <summary>Nothing where the circuit was not opened, or comes charged.</summary>
    public TightView? Tight { get; init; }

    public DryView? Dry { get; init; }

    /// <summary>Nothing where the circuit was not opened.</summary>
    public LeakView? Leaks { get; init; }

    public CoolingView? Cooling { get; init; }
    public FaultView? Fault { get; init; }
    public IReadOnlyList<GateProof> Gates { get; init; } = [];
    public IReadOnlyList<Figure> Figures { get; init; } = [];

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}

/// <summary>The Commission station, first half: a start-up against its prediction. Bands are common practice; plate and manual win.</summary>
public sealed class CommissionStation : Station<CommissionAssessment>
{
    /// <inheritdoc />
    public override string Name => "commission";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Build;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("proof", "proof", "What must be proved here, and what is?"),
        new("tight", "tight", "Does it hold its pressure?"),
        new("dry", "dry", "Dry, leaking or wet: may the valves be opened?"),
        new("leaks", "leaks", "Is every joint looked at?"),
        new("readings", "start-up", "Does it do what was predicted?"),
        new("cooling", "cooling down", "Does it cool as fast as predicted?"),
        new("fault", "fault", "What is wrong, and what first?"),
        new("instruments", "instruments", "What do the instruments say, now and before?"),
        new("practice", "practice", "Would you have seen it?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
    [
        typeof(StartAssessment), typeof(UnitAssessment), typeof(LoadAssessment), typeof(LayoutAssessment), typeof(SurveyDesign), typeof(UnitDesign),
        typeof(LayoutDesign), typeof(WiringDesign), typeof(PlanDesign), typeof(CommissionDesign), typeof(CommissionRecord), typeof(VacuumRecord),
        typeof(NitrogenRecord), typeof(LeakRecord), typeof(CoolingRecord), typeof(FaultRecord),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<RecordKind> Keeps =>
        [CommissionRecord.Kind, VacuumRecord.Kind, NitrogenRecord.Kind, LeakRecord.Kind, CoolingRecord.Kind, FaultRecord.Kind];

    /// <inheritdoc />
    public override IEnumerable<SheetBlock> Sheet(StationInputs job)
    {
        var own = job.Result<CommissionAssessment>();
        if (own.Proof.Count > 1)
            yield return new SheetBlock(SheetPlace.Proof, "The circuit", SheetForm.Rows, [.. own.Proof.SkipLast(1).Select(p =>
                new SheetLine(Phrase.Of($"{p.Name}"), p.Words, Phrase.Empty, Calls.Name(p.State), p.State))]);
        yield return new SheetBlock(SheetPlace.Proof, "Measured against predicted", SheetForm.Rows, [.. own.Rows.Select(Printed)]);
    }

    private static SheetLine Printed(VerdictRow row) => new(
        Phrase.Of($"{row.Label}"),
        row.Measured is { } measured ? Phrase.Of(measured) : Phrase.Of($"not taken"),
        row.Expected is { } expected ? Phrase.Of($"expected {Phrase.Of(expected)}") : Phrase.Empty,
        Calls.Name(row.Verdict),
        row.Verdict switch
        {
            BandVerdict.NotDone => StationState.Open,
            BandVerdict.Stop => StationState.Stop,
            BandVerdict.Caution => StationState.Caution,
            _ => StationState.Passed,
        });

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var (unit, work) = (job.Result<UnitAssessment>().Unit, job.Design<UnitDesign>().Work);
        var opened = Opened(unit, work);
        var line = job.Design<LayoutDesign>().Line;
        var charged = opened && line is { Kind: LineKind.PreCharged, SealBroken: false };
        var design = job.Design<CommissionDesign>();
        var circuit = Circuit(job, design);
        var again = LeakChecks.OpenedAgain(job.Records<LeakRecord>());
        var tight = opened && !charged && circuit.Method.Prove == ProveSchool.Nitrogen
            ? TightProof.Of(Since(again, job.Records<NitrogenRecord>()), design, circuit) : default;
        var dry = opened && !charged ? DryProof.Of(Since(again, job.Records<VacuumRecord>()), design, circuit) : default;
        var leaks = opened ? LeakChecks.Of(job.Records<LeakRecord>(), circuit) : default;
        var fault = FaultSearch.Of(job.Records<FaultRecord>(), design.Fault, unit, UnitSheets.Known(job.Design<UnitDesign>(), unit));
        var start = Asking(Judge(job.Records<CommissionRecord>(), job.Result<UnitAssessment>(), job.Result<StartAssessment>(),
            job.Result<LoadAssessment>(), dry.View, circuit.Method.Heats, circuit.Heads), opened, work,
            circuit.Method.Heats && unit.HeatingW > 0, circuit.Heads);
        var cooling = CoolingProof.Of(job.Records<CoolingRecord>(), job.Result<UnitAssessment>().PullDown, job.Result<LoadAssessment>().Space.SetpointC);
        List<ProofRow> proof =
        [
            .. tight.View is { } t ? [new ProofRow("tight", "Tight", t.State, t.Words, t.Next)] : Array.Empty<ProofRow>(),
            .. dry.View is { } d ? [new ProofRow("dry", "Dry", d.State, d.Words, d.Next)] : Array.Empty<ProofRow>(),
            .. leaks.View is { } l ? [new ProofRow("leaks", "Joints", l.State, l.Words, l.Next)] : Array.Empty<ProofRow>(),
            new ProofRow("readings", "Start-up", start.Verdict.State, start.Verdict.Headline, start.Verdict.Detail),
        ];
        List<Finding> findings =
        [
            .. tight.Findings ?? [], .. dry.Findings ?? [],
            .. dry.View is null or { State: StationState.Passed } ? [] : PumpSource.Of(job.Design<SurveyDesign>().Sources, design.Vacuum, circuit.Method),
            .. leaks.Findings ?? [], .. start.Findings, .. cooling.Findings,
            .. fault.Findings,
        ];
        if (opened && !charged && tight.View is null)
            findings.Add(Finding.Of(FindingCode.ProofVacuumOnly, Severity.Caution,
                $"By vacuum only: it shows leaks that are hundreds of times larger than those that soap finds under nitrogen, no smaller."));
        return start with
        {
            Verdict = Say(proof, start.Verdict, findings),
            Findings = Finding.Ranked(findings),
            Proof = proof,
            Tight = tight.View,
            Dry = dry.View,
            Leaks = leaks.View,
            Cooling = cooling.View,
            Fault = fault.View,
            Figures = [.. tight.Figures ?? [], .. dry.Figures ?? []],
            Gates =
            [
                .. tight.View is { } held ? [new GateProof("pressure-hold", held.State == StationState.Passed, held.Words, "tight")] : Array.Empty<GateProof>(),
                .. dry.View is { } stood ? [new GateProof("vacuum-decay", stood.State == StationState.Passed, stood.Words, "dry")] : Array.Empty<GateProof>(),
            ],
            Answers = new Dictionary<string, Phrase>
            {
                ["tight"] = tight.View?.Words ?? NotAsked(start, charged, Phrase.Of($"Proved by vacuum only, as Plan's method says.")),
                ["dry"] = dry.View?.Words ?? NotAsked(start, charged, Phrase.Empty),
                ["leaks"] = leaks.View?.Words ?? NotAsked(start, false, Phrase.Empty),
                ["readings"] = start.Verdict.Headline,
                ["cooling"] = cooling.View.Words,
                ["fault"] = fault.View.Words,
                ["practice"] = Phrase.Of($"Ten vacuums that stand, ten units that run: name what is hidden, see why."),
                ["instruments"] = Phrase.Of($"Live, simulated, or out of a file: what is read is taken over into the proof from here."),
            },
        };
    }

    /// <summary>A joint made anew opened the circuit: what was proved before it counts no longer.</summary>
    private static IReadOnlyList<T> Since<T>(DateTimeOffset? again, IReadOnlyList<T> records) where T : StationRecord =>
        again is { } opened ? [.. records.Where(r => records.Moment(r) > opened)] : records;

    private static Phrase NotAsked(CommissionAssessment start, bool charged, Phrase otherwise) => start.NotOpened
        ?? (charged ? Phrase.Of($"A charged set, uncut: no nitrogen and no vacuum; soap after it is joined.") : otherwise);

    /// <summary>What stops first, in a part of the proof or beside it; then what is next. Where only a start-up is asked it says all.</summary>
    private static Verdict Say(List<ProofRow> proof, Verdict start, List<Finding> findings)
    {
        var passed = proof.Count(p => p.State == StationState.Passed);
        Verdict Of(StationState state, ProofRow row) => new(state, row.Words,
            Phrase.Of($"{row.Next} {passed:Count} of {proof.Count:Count} parts of the proof stand."));
        var worst = findings.Count > 0 ? findings.MaxBy(f => f.Level) : null;
        var said = proof.Count == 1 ? start
            : proof.FirstOrDefault(p => p.State == StationState.Stop) is { } stop ? Of(StationState.Stop, stop)
            : proof.FirstOrDefault(p => p.State == StationState.Caution) is { } caution ? Of(StationState.Caution, caution)
            : proof.FirstOrDefault(p => p.State == StationState.Open) is { } open ? Of(StationState.Open, open)
            : new Verdict(StationState.Passed, Phrase.Of($"Proved: all {proof.Count:Count} parts stand."), start.Detail);
        return worst switch
        {
            { Level: Severity.Stop } when said.State != StationState.Stop => new Verdict(StationState.Stop, worst.Words, said.Headline),
            { Level: Severity.Caution } when said.State < StationState.Caution => said with { State = StationState.Caution },
            _ => said,
        };
    }

    private const double LitresAKilowatt = 0.3, UsualLineM = 4, ThinM = 6.35e-3, ThickM = 9.52e-3;

    /// <summary>Volume by the pipes' bore and 0.3 L of coil for each kilowatt; this product's estimate.</summary>
    private static CircuitFacts Circuit(StationInputs job, CommissionDesign design)
    {
        var unit = job.Result<UnitAssessment>().Unit;
        var sheet = UnitSheets.Known(job.Design<UnitDesign>(), unit).Circuit;
        var heads = unit.JoinedOnSite ? Math.Max(1, job.Design<WiringDesign>().Between.Zones.Count) : 1;
        var length = job.Result<LayoutAssessment>() is { Ways: [{ LengthM: > 0 } way, ..] } ? way.LengthM : UsualLineM;
        return new CircuitFacts
        {
            AmbientPa = design.BarometerPa ?? Atmosphere.Pressure(job.Design<SurveyDesign>().Place.ElevationM),
            VolumeM3 = design.VolumeM3 ?? heads * length * (CopperTube.VolumeM3m(sheet.LiquidM ?? ThinM) + CopperTube.VolumeM3m(sheet.GasM ?? ThickM))
                + LitresAKilowatt * unit.RatedCapacityW * 1e-6,
            Refrigerant = sheet.Refrigerant,
            ProofPa = sheet.ProofPa,
            Method = job.Design<PlanDesign>().Method,
            Heads = heads,
            Joints = LeakChecks.Joints(heads),
            RoomM3 = Math.Max(1, job.Result<LoadAssessment>().Space.VolumeM3),
        };
    }

    private static readonly string[] OfHeating =
        [nameof(StartUpReadings.HeatEnteringC), nameof(StartUpReadings.HeatLeavingC), nameof(StartUpReadings.HeatOutdoorC)];

    private static readonly string[] OfZones = [nameof(StartUpReadings.ZonesAlone), nameof(StartUpReadings.ZonesW)];

    private static readonly string[] OfTheCircuit = [nameof(StartUpReadings.VacuumStartPa), nameof(StartUpReadings.VacuumEndPa)];

    /// <summary>Whether the refrigerant circuit was opened: a split is joined on site, all else comes sealed and stays so.</summary>
    public static bool Opened(AcUnit unit, WorkKind work) => unit.JoinedOnSite && UnitDesign.Fitting(work);

    private static CommissionAssessment Asking(CommissionAssessment found, bool opened, WorkKind work, bool heats,
        int heads) => found with
        {
            Asks = [.. CommissionRecord.Kind.Fields.Select(f => f.Path[1..])
            .Where(f => opened || !OfTheCircuit.Contains(f, StringComparer.OrdinalIgnoreCase))
            .Where(f => heats || !OfHeating.Contains(f, StringComparer.OrdinalIgnoreCase))
            .Where(f => heads > 1 || !OfZones.Contains(f, StringComparer.OrdinalIgnoreCase))],
            NotOpened = opened ? null : work switch
            {
                WorkKind.SoftStarter => Phrase.Of($"Only a soft starter was added: the circuit was not opened, so no vacuum is proved."),
                WorkKind.LayUp or WorkKind.Wake => Phrase.Of($"Nothing of the circuit is opened for the winter: no vacuum is proved."),
                _ => Phrase.Of($"The unit comes sealed: no line set, and no vacuum to prove."),
            },
        };

    private static readonly Dictionary<string, FindingCode> Proofs = new()
    {
        ["vacuum"] = FindingCode.ProofVacuum,
        ["start"] = FindingCode.ProofStart,
        ["volts"] = FindingCode.ProofVolts,
        ["amps"] = FindingCode.ProofAmps,
        ["watts"] = FindingCode.ProofWatts,
        ["split"] = FindingCode.ProofSplit,
        ["sag"] = FindingCode.ProofSag,
        ["pf"] = FindingCode.ProofFactor,
        ["capacity"] = FindingCode.ProofCapacity,
        ["eer"] = FindingCode.ProofEer,
        ["heating"] = FindingCode.ProofHeating,
        ["drain"] = FindingCode.ProofDrain,
        ["zones"] = FindingCode.ProofZones,
    };

    /// <summary>Judges the newest start-up that is not corrected by another.</summary>
    private static CommissionAssessment Judge(IReadOnlyList<CommissionRecord> records, UnitAssessment unitResult, StartAssessment start, LoadAssessment load,
        DryView? dry, bool heats, int heads)
    {
        var corrected = records.Select(r => r.Corrects).OfType<Guid>().ToHashSet();
        var record = records.LastOrDefault(r => !corrected.Contains(r.Id)); // in the order written: a clock may be set back
        if (record is null)
            return new CommissionAssessment(
                new Verdict(StationState.Open, Phrase.Of($"No start-up is recorded yet."),
                    Phrase.Of($"Start the unit, take the readings and write them down here; each is held against its prediction.")),
                [], Rows(new StartUpReadings(), unitResult.Unit, start, load, dry, heats, heads), null, records.Count);
        var rows = Rows(record.Readings, unitResult.Unit, start, load, dry, heats, heads);
        var done = rows.Count(r => r.Verdict != BandVerdict.NotDone);
        var worst = rows.Max(r => r.Verdict);
        var findings = rows.Where(r => r.Verdict is BandVerdict.Caution or BandVerdict.Stop)
            .Select(r => Finding.Of(Proofs[r.Id], r.Verdict == BandVerdict.Stop ? Severity.Stop : Severity.Caution, r.Words)).ToList();
        var state = worst switch
        {
            BandVerdict.Stop => StationState.Stop,
            BandVerdict.Caution => StationState.Caution,
            _ => done == rows.Count ? StationState.Passed : StationState.Open
        };
        var headline = worst switch
        {
            BandVerdict.Stop => Phrase.Of($"Not proved: {rows.First(r => r.Verdict == BandVerdict.Stop).Label.ToLowerInvariant()} is out of its band."),
            BandVerdict.Caution => Phrase.Of($"Proved with a caution: {rows.First(r => r.Verdict == BandVerdict.Caution).Label.ToLowerInvariant()}."),
            _ when done < rows.Count => Phrase.Of($"{done} of {rows.Count} readings pass; the rest are not taken."),
            _ => Phrase.Of($"Proved: all {rows.Count} readings stand in their bands."),
        };
        return new CommissionAssessment(
            new Verdict(state, headline, Phrase.Of($"Recorded by {record.By}. Bands are common practice; the plate and the manual win.")),
            Finding.Ranked(findings), rows,
            record, records.Count);
    }

    /// <summary>The rows of the table; the vacuum stands among them where the circuit was opened, or where one was taken all the same.</summary>
    private static List<VerdictRow> Rows(StartUpReadings r, AcUnit unit, StartAssessment start, LoadAssessment load, DryView? dry, bool heats,
        int heads) =>
    [
        .. dry is not null || r.VacuumStartPa is not null || r.VacuumEndPa is not null ? [VacuumRow(r, dry)] : Array.Empty<VerdictRow>(), StartRow(r, start),
        VoltsRow(r, unit), .. PowerRows(r, unit, load), SplitRow(r, unit, load), .. StartUpRows.Of(r, unit, load, heats, heads),
    ];

    private static VerdictRow VacuumRow(StartUpReadings r, DryView? dry)
    {
        var band = Phrase.Of($"≤ 500 micron at first, ≤ 1000 after 10 min");
        if (dry is { State: not StationState.Open, NowPa: { } stands })
            return new VerdictRow("vacuum", "Vacuum hold", new Measure(stands, QuantityKind.Vacuum), new Measure(dry.PassPa, QuantityKind.Vacuum), band,
                dry.State switch { StationState.Passed => BandVerdict.Pass, StationState.Caution => BandVerdict.Caution, _ => BandVerdict.Stop }, dry.Words,
                Working.Start().Given("p", "by the curve of the hold", stands, "Pa", Citations.DecayShapes).Done());
        if (r.VacuumStartPa is not { } first || r.VacuumEndPa is not { } after)
            return new VerdictRow("vacuum", "Vacuum hold", null, null, band, BandVerdict.NotDone, Phrase.Of($"not taken"), Working.None);
        var (startMicron, afterMicron) = (first / QuantityTable.PascalsPerMicron, after / QuantityTable.PascalsPerMicron);
        var verdict = PlainDecay.Of(startMicron, afterMicron);
        var working = Working.Start().Given("p₀", "when shut off", startMicron, "micron", Citations.Nist)
            .Given("p₁₀", "ten minutes later", afterMicron, "micron", Citations.Nist)
            .Step("verdict", "p₀ ≤ 500; p₁₀ ≤ 1000 pass, ≤ 2000 caution, above stop", $"{afterMicron:0}", afterMicron, "micron",
                Citations.Trade).Done();
        return new VerdictRow("vacuum", "Vacuum hold", new Measure(after, QuantityKind.Vacuum),
            new Measure(PlainDecay.PassMicron * QuantityTable.PascalsPerMicron, QuantityKind.Vacuum), band,
            PlainDecay.Level(verdict) switch { null => BandVerdict.Pass, Severity.Stop => BandVerdict.Stop, _ => BandVerdict.Caution },
            PlainDecay.Words(verdict, startMicron, afterMicron), working);
    }

    private static VerdictRow StartRow(StartUpReadings r, StartAssessment start)
    {
        var band = Phrase.Of($"≤ 115 % of predicted");
        if (r.StartA is not { } measured || start.MaxA <= 0)
            return new VerdictRow("start", "Start current", null, new Measure(start.MaxA, QuantityKind.Current), band, BandVerdict.NotDone,
                Phrase.Of($"not taken"), Working.None);
        var ratio = measured / start.MaxA;
        var beyond = start.LimitA > 0 && measured > start.LimitA * 1.02;
        var verdict = beyond ? BandVerdict.Stop : ratio <= 1.15 ? BandVerdict.Pass : ratio <= 1.5 ? BandVerdict.Caution : BandVerdict.Stop;
        var words = beyond
            ? Phrase.Of($"{measured:Current} is more than the source can give: read again, or the source is another.")
            : Phrase.Of($"{ratio:Fraction} of the predicted {start.MaxA:Current}.");
        return new VerdictRow("start", "Start current", new Measure(measured, QuantityKind.Current), new Measure(start.MaxA, QuantityKind.Current), band,
            verdict, words, Ratio(measured, start.MaxA, "A"));
    }

    private static VerdictRow VoltsRow(StartUpReadings r, AcUnit unit)
    {
        var band = Phrase.Of($"±5 % of nominal");
        var nominal = unit.IsDc ? unit.SupplyVoltageV * 12.8 / 12 : Nominal(unit.SupplyVoltageV);
        if (r.RunV is not { } volts)
            return new VerdictRow("volts", "Volts running", null, new Measure(nominal, QuantityKind.Voltage), band, BandVerdict.NotDone,
                Phrase.Of($"not taken"), Working.None);
        var off = volts / nominal - 1;
        var verdict = Math.Abs(off) <= 0.05 ? BandVerdict.Pass : Math.Abs(off) <= 0.10 ? BandVerdict.Caution : BandVerdict.Stop;
        return new VerdictRow("volts", "Volts running", new Measure(volts, QuantityKind.Voltage), new Measure(nominal, QuantityKind.Voltage), band, verdict,
            Phrase.Of($"{off:Fraction} off nominal."), Ratio(volts, nominal, "V"));
    }

    private static double Nominal(double plateV) => plateV switch { 115 => 120, _ => plateV };

    private static IEnumerable<VerdictRow> PowerRows(StartUpReadings r, AcUnit unit, LoadAssessment load)
    {
        var (predictedW, working) = PredictedPower(r, unit, load);
        var predictedA = predictedW / (Nominal(unit.SupplyVoltageV) * unit.PowerFactorRun);
        var plateA = Nameplate.Of(unit).McaA;
        var near = Phrase.Of($"within 15 % of predicted");
        var known = r.OutdoorC is not null && r.EnteringC is not null;
        yield return Row("amps", "Amperes running", r.RunA, predictedA, QuantityKind.Current, Phrase.Of($"{near} and below the plate's {plateA:Current}"),
            r.RunA > plateA);
        yield return Row("watts", "Watts running", r.RunW, predictedW, QuantityKind.ElectricPower, near, false);

        VerdictRow Row(string id, string label, double? measured, double predicted, QuantityKind quantity, Phrase band, bool abovePlate)
        {
            var expected = new Measure(predicted, quantity);
            if (measured is not { } value)
                return new VerdictRow(id, label, null, expected, band, BandVerdict.NotDone, Phrase.Of($"not taken"), working);
            var off = value / predicted - 1;
            var verdict = abovePlate ? BandVerdict.Stop : Math.Abs(off) <= 0.15 ? BandVerdict.Pass : BandVerdict.Caution;
            var words = abovePlate
                ? Phrase.Of($"Above the plate's {plateA:Current}.")
                : Phrase.Of($"{value / predicted:Fraction} of predicted{(known ? "" : "; without the air temperatures the design heat is assumed")}.");
            return new VerdictRow(id, label, new Measure(value, quantity), expected, band, verdict, words, working);
        }
    }

    private static (double Watts, Working Working) PredictedPower(StartUpReadings r, AcUnit unit, LoadAssessment load)
    {
        var space = load.Space;
        var entering = r.EnteringC ?? space.SetpointC;
        var outdoor = r.OutdoorC ?? load.OutdoorC[load.PeakHour];
        var wet = EnteringWetBulb(r, entering, space);
        var full = Performance.FullLoad(unit, outdoor, wet);
        var watts = unit.SingleSpeed ? full.PowerW : Performance.Operate(unit, full, unit.RatedCapacityW * full.CapacityFactor).PowerW;
        return (watts, Working.Start().Given("t_o", "outdoor air", outdoor, "°C", Citations.Arithmetic)
            .Given("t_wb", "entering wet bulb", wet, "°C", Citations.Psychrometrics)
            .Step("P", "P_rated·CapFT·EirFT at full demand", $"{unit.RatedPowerW} × {full.CapacityFactor:0.####} × {full.InputRatioFactor:0.####}", watts,
                "W",
                unit.SingleSpeed ? Citations.RooftopCurve : Citations.InverterCurve).Done());
    }

    private static double EnteringWetBulb(StartUpReadings r, double entering, SpaceDescription space)
    {
        var pressure = space.Weather.PressurePa;
        return MoistAir.WetBulb(entering, MoistAir.RatioFromRh(entering, r.EnteringRhPct ?? space.SetpointRhPct, pressure), pressure);
    }

    private static VerdictRow SplitRow(StartUpReadings r, AcUnit unit, LoadAssessment load)
    {
        var space = load.Space;
        var entering = r.EnteringC ?? space.SetpointC;
        var pressure = space.Weather.PressurePa;
        var ratio = MoistAir.RatioFromRh(entering, r.EnteringRhPct ?? space.SetpointRhPct, pressure);
        var full = Performance.FullLoad(unit, r.OutdoorC ?? load.OutdoorC[load.PeakHour], MoistAir.WetBulb(entering, ratio, pressure));
        var flow = Capacity.FlowPerWatt * unit.RatedCapacityW;
        var coil = WetCoil.Split(entering, ratio, full.CapacityW, flow, pressure);
        var mass = flow / MoistAir.SpecificVolume(entering, ratio, pressure);
        var expected = coil.SensibleW / (mass * MoistAir.HeatCapacity(ratio));
        var band = Phrase.Of($"within 20 % or {2.0:TemperatureDifference} of expected");
        var working = Working.Start().Given("V̇", "air flow, 0.05 m³/s for each kW rated", flow, "m³/s", Citations.Trade)
            .Step("q_s", "coil split by bypass factor", $"Q {full.CapacityW:0} W", coil.SensibleW, "W", Citations.Coil)
            .Step("Δt", "q_s/(ṁ·c_p)", $"{coil.SensibleW:0}/({mass:0.####} × {MoistAir.HeatCapacity(ratio):0})", expected, "K", Citations.AirSide).Done();
        if (r.EnteringC is null || r.LeavingC is not { } leaving)
            return new VerdictRow("split", "Air in less air out", null, new Measure(expected, QuantityKind.TemperatureDifference), band, BandVerdict.NotDone,
                Phrase.Of($"not taken"), working);
        var split = entering - leaving;
        var share = split / expected;
        var verdict = Math.Abs(split - expected) <= 2 || share is >= 0.8 and <= 1.2 ? BandVerdict.Pass : share < 0.5 ? BandVerdict.Stop : BandVerdict.Caution;
        var words = share < 0.8 && verdict != BandVerdict.Pass
            ? Phrase.Of($"Too little: {share:Fraction} of expected. Valve shut, low charge, or an inverter-driven unit turned down.")
            : share > 1.2 && verdict != BandVerdict.Pass ? Phrase.Of($"Too much: {share:Fraction} of expected. Dirty filter or slow fan.")
                : Phrase.Of($"{share:Fraction} of expected.");
        return new VerdictRow("split", "Air in less air out", new Measure(split, QuantityKind.TemperatureDifference),
            new Measure(expected, QuantityKind.TemperatureDifference), band, verdict, words, working);
    }

    private static Working Ratio(double measured, double expected, string unit) =>
        Working.Start().Given("measured", "reading", measured, unit, Citations.Arithmetic)
            .Step("ratio", "measured/expected", $"{measured:0.##}/{expected:0.##}", measured / expected, "", Citations.VerdictBands).Done();
}
