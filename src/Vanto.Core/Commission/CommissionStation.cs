using Vanto.Core.Findings;
using Vanto.Core.Install;
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

    /// <summary>The same in groups, in the order in which they are read.</summary>
    public IReadOnlyList<ReadingGroup> Groups { get; init; } = [];

    /// <summary>The first start in stages.</summary>
    public IReadOnlyList<StartStage> Stages { get; init; } = [];

    /// <summary>Why the circuit is not proved; null where it was opened.</summary>
    public Phrase? NotOpened { get; init; }

    /// <summary>What is proved on this job, in its order.</summary>
    public IReadOnlyList<ProofRow> Proof { get; init; } = [];

    /// <summary>Nothing where the circuit was not opened, or comes charged.</summary>
    public TightView? Tight { get; init; }

    /// <summary>The hold of joints that are covered later, with blanked ends; nothing where none are.</summary>
    public TightView? Hidden { get; init; }

    public DryView? Dry { get; init; }

    /// <summary>Nothing where the circuit was not opened.</summary>
    public ReleaseView? Release { get; init; }

    /// <summary>Nothing where the circuit was not opened.</summary>
    public LeakView? Leaks { get; init; }

    public CoolingView? Cooling { get; init; }
    public FaultView? Fault { get; init; }
    /// <summary>Where the instruments read.</summary>
    public IReadOnlyList<PlacedInstrument> Places { get; init; } = [];

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
        new("release", "valves", "May the valves be opened?"),
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
        typeof(LayoutDesign), typeof(LoadDesign), typeof(StartDesign),
        typeof(WiringDesign), typeof(PlanDesign), typeof(CommissionDesign), typeof(CommissionRecord), typeof(VacuumRecord),
        typeof(NitrogenRecord), typeof(LeakRecord), typeof(ReleaseRecord), typeof(InstallRecord), typeof(CoolingRecord), typeof(FaultRecord),
        typeof(PlacedRecord),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<RecordKind> Keeps =>
        [CommissionRecord.Kind, VacuumRecord.Kind, NitrogenRecord.Kind, ReleaseRecord.Kind, LeakRecord.Kind, CoolingRecord.Kind,
            FaultRecord.Kind, PlacedRecord.Kind];

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
        var nitrogen = TightProof.Apart(Since(again, job.Records<NitrogenRecord>()));
        var pressed = opened && !charged && circuit.Method.Prove == ProveSchool.Nitrogen;
        var tight = pressed ? TightProof.Of(nitrogen.Whole, design, circuit) : default;
        var hidden = pressed && (job.Design<LayoutDesign>().Head.Exit == HeadExit.Left || nitrogen.Hidden.Count > 0)
            ? TightProof.Of(nitrogen.Hidden, design, circuit) : default;
        var vacuum = Since(again, job.Records<VacuumRecord>());
        var dry = opened && !charged ? DryProof.Of(vacuum, design, circuit) : default;
        var release = opened ? ReleaseGate.Of(Since(again, job.Records<ReleaseRecord>()), tight.View, dry.View,
            vacuum.Count == 0 ? null : vacuum.Max(r => vacuum.Moment(r)), circuit, OnSite(job.Records<InstallRecord>(), again)) : default;
        var leaks = opened ? LeakChecks.Of(job.Records<LeakRecord>(), circuit) : default;
        var fault = FaultSearch.Of(job.Records<FaultRecord>(), design.Fault, unit, UnitSheets.Known(job.Design<UnitDesign>(), unit));
        var facts = new StartUpFacts(unit, job.Result<StartAssessment>(), job.Result<LoadAssessment>(), circuit)
        {
            Dry = dry.View,
            Heats = circuit.Method.Heats && unit.HeatingW > 0,
            Sources = job.Design<SurveyDesign>().Sources,
            ReserveSoc = job.Design<StartDesign>().ReserveSoc,
        };
        var start = Asking(StartUpTable.Judge(job.Records<CommissionRecord>(), facts), opened, work, facts);
        var cooling = CoolingProof.Of(job.Records<CoolingRecord>(), RigFit.AsDrawn(job.Design<SurveyDesign>(), job.Design<LoadDesign>(),
            job.Design<UnitDesign>(), unit, job.Result<UnitAssessment>().PullDown), job.Result<LoadAssessment>().Space.SetpointC);
        List<ProofRow> proof =
        [
            .. hidden.View is { } h ? [new ProofRow("tight", "Joints that will be hidden", h.State, h.Words, h.Next)] : Array.Empty<ProofRow>(),
            .. tight.View is { } t ? [new ProofRow("tight", "Tight", t.State, t.Words, t.Next)] : Array.Empty<ProofRow>(),
            .. dry.View is { } d ? [new ProofRow("dry", "Dry", d.State, d.Words, d.Next)] : Array.Empty<ProofRow>(),
            .. release.View is { } r ? [new ProofRow("release", "Valves", r.State, r.Words, r.Next)] : Array.Empty<ProofRow>(),
            .. leaks.View is { } l ? [new ProofRow("leaks", "Joints", l.State, l.Words, l.Next)] : Array.Empty<ProofRow>(),
            new ProofRow("readings", "Start-up", start.Verdict.State, start.Verdict.Headline, start.Verdict.Detail),
        ];
        List<Finding> findings =
        [
            .. hidden.Findings ?? [], .. tight.Findings ?? [], .. dry.Findings ?? [], .. release.Findings ?? [],
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
            Hidden = hidden.View,
            Release = release.View,
            Dry = dry.View,
            Leaks = leaks.View,
            Cooling = cooling.View,
            Places = InstrumentPlaces.Of(job.Records<PlacedRecord>()),
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
                ["release"] = release.View?.Words ?? NotAsked(start, false, Phrase.Empty),
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

    private const string ValvesStep = "valves-open", LeakStep = "leak-check";

    /// <summary>The valves as the steps on site left them; nothing where they are not opened there, or the circuit was opened again since.</summary>
    private static SiteValves? OnSite(IReadOnlyList<InstallRecord> events, DateTimeOffset? again)
    {
        if (events.Count == 0)
            return null;
        var steps = EventFold.Fold(events, (_, _) => []).Steps;
        return steps.GetValueOrDefault(ValvesStep) is { State: SiteState.Done, DoneMs: { } ms } valves
            && DateTimeOffset.FromUnixTimeMilliseconds((long)ms) is var at && !(at < again)
            ? new SiteValves(valves.By, at, steps.GetValueOrDefault(LeakStep) is { State: SiteState.Done }) : null;
    }

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

    /// <summary>Whether the refrigerant circuit was opened: a split is joined on site, all else comes sealed and stays so.</summary>
    public static bool Opened(AcUnit unit, WorkKind work) => unit.JoinedOnSite && UnitDesign.Fitting(work);

    private static CommissionAssessment Asking(CommissionAssessment found, bool opened, WorkKind work, StartUpFacts facts)
    {
        var groups = ReadingGroup.Of(opened, facts);
        return found with
        {
            Groups = groups,
            Asks = [.. groups.SelectMany(g => g.Fields)],
            NotOpened = opened ? null : work switch
            {
                WorkKind.SoftStarter => Phrase.Of($"Only a soft starter was added: the circuit was not opened, so no vacuum is proved."),
                WorkKind.LayUp or WorkKind.Wake => Phrase.Of($"Nothing of the circuit is opened for the winter: no vacuum is proved."),
                _ => Phrase.Of($"The unit comes sealed: no line set, and no vacuum to prove."),
            },
        };
    }
}
