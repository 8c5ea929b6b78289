using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Install;
using Vanto.Core.Layout;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Handover;

/// <summary>What the owner's sheet says beside the results.</summary>
public sealed record HandoverDesign : DesignPart
{
    [Ask("Fitted by")] public string Firm { get; init; } = "";
    [Ask("Call")] public string Contact { get; init; } = "";
    [Ask("For")] public string Owner { get; init; } = "";
    [Ask("Remarks", Longest = 8000)] public string Remarks { get; init; } = "";
    [Ask("Code of the job", Longest = 12, Help = "made when the first paper is issued")] public string Code { get; init; } = "";
    [Ask("The owner may say on the page that the filter was washed", Help = "counts for the care dates, shown as told and not seen")]
    public bool OwnerReports { get; init; }
}

/// <summary>The owner's sheet and the papers.</summary>
/// <param name="Blocks">What each station prints, in the order of the sheet.</param>
/// <param name="Draft">True while a stop is open or a proof is missing.</param>
public sealed record HandoverAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<SheetBlock> Blocks, bool Draft) : IStationResult
{
    /// <summary>What must stand before the papers are issued.</summary>
    public IReadOnlyList<ReadyRow> Ready { get; init; } = [];

    /// <summary>Cautions that nobody has seen yet.</summary>
    public IReadOnlyList<Finding> Unseen { get; init; } = [];

    public IReadOnlyList<BuiltRow> Built { get; init; } = [];

    /// <summary>How the leaves beside the guide stand.</summary>
    public IReadOnlyDictionary<string, StationState> Leaves { get; init; } = new Dictionary<string, StationState>();

    /// <summary>Papers that were issued, the newest first.</summary>
    public IReadOnlyList<PaperRow> Papers { get; init; } = [];

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}

/// <summary>The Handover station: puts together what the other stations print, says whether it can be handed over, and keeps what was issued.</summary>
public sealed class HandoverStation : Station<HandoverAssessment>
{
    /// <inheritdoc />
    public override string Name => "handover";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Keep;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("owner", "owner's guide", "What does the owner need to know?"),
        new("ready", "ready?", "Is everything proved that is about to be signed?"),
        new("built", "as built", "Is it as it was drawn?"),
        new("papers", "papers", "What was issued, and does it still hold?"),
        new("now", "now", "How long does it last from here, and what goes off first?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
    [
        typeof(SurveyDesign), typeof(UnitDesign), typeof(StartDesign), typeof(EnergyDesign), typeof(WiringDesign), typeof(HandoverDesign),
        typeof(SeenRecord), typeof(BuiltRecord), typeof(PaperRecord), .. Certified,
    ];

    /// <summary>Records that papers certify: what is written after a paper makes it stale.</summary>
    private static readonly Type[] Certified =
    [
        typeof(NitrogenRecord), typeof(VacuumRecord), typeof(ReleaseRecord), typeof(LeakRecord), typeof(PowerTestRecord), typeof(CommissionRecord),
        typeof(CoolingRecord),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<RecordKind> Keeps => [SeenRecord.Kind, BuiltRecord.Kind, PaperRecord.Kind];

    /// <inheritdoc />
    public override bool ReadsAllBefore => true;

    private static readonly SheetBlock First =
        new(SheetPlace.Cautions, "Cautions", SheetForm.Bullets,
            [SheetLine.Sentence(Phrase.Of($"Local codes, the unit's manual and licensed practice come first."))]);

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var unit = job.Find<UnitAssessment>();
        var survey = job.Design<SurveyDesign>();
        var (wiring, install, commission) = (job.Find<WiringAssessment>(), job.Find<InstallAssessment>(), job.Find<CommissionAssessment>());
        IEnumerable<SheetBlock> guide = unit is null ? [] : OwnersGuide.Of(new GuideFacts(survey, unit.Unit)
        {
            Energy = job.Find<EnergyAssessment>(),
            Wiring = wiring,
            Install = install,
            PullDown = unit.PullDown,
            ReserveSoc = job.Design<StartDesign>().ReserveSoc,
            SetpointC = job.Design<EnergyDesign>().SetpointC,
        });
        var blocks = SheetBlock.Together([First, .. job.Sheet, .. guide]);
        var stops = job.Findings.Count(f => f.Level == Severity.Stop);
        var proof = blocks.Where(b => b.Place == SheetPlace.Proof).SelectMany(b => b.Lines).ToList();
        var missing = proof.Count(l => l.State == StationState.Open);
        var draft = stops > 0 || missing > 0;
        var findings = new List<Finding>();
        if (stops > 0)
            findings.Add(Finding.Of(FindingCode.HandoverIncomplete, Severity.Stop,
                $"{(stops == 1 ? "One stop is" : $"{stops} stops are")} open in earlier stations; the sheet prints as a draft."));
        if (missing > 0)
            findings.Add(Finding.Of(FindingCode.HandoverUnproved, Severity.Caution,
                $"{missing} of {proof.Count} proofs and start-up readings are not taken; the sheet prints as a draft."));
        var verdict = new Verdict(stops > 0 ? StationState.Stop : draft ? StationState.Open : StationState.Passed,
            draft ? Phrase.Of($"The sheet is a draft.") : Phrase.Of($"The sheet is ready to hand over."),
            stops > 0 ? Phrase.Of($"Clear the open stops first.")
                : missing > 0 ? Phrase.Of($"Take the remaining {missing} readings in Commission.")
                : Phrase.Of($"All readings are taken and no stop is open."));
        var seen = job.Records<SeenRecord>().Standing();
        var built = unit is null ? [] : AsBuilt.Of(job.Records<BuiltRecord>(), job.Find<LayoutAssessment>(), wiring, survey,
            job.Design<WiringDesign>(), UnitSheets.Known(job.Design<UnitDesign>(), unit.Unit).Circuit, unit.Unit);
        var ready = Readiness.Of(job.Findings, seen, commission, wiring, install, built);
        var told = seen.Select(s => s.Readings.Code).ToHashSet();
        var papers = Handover.Papers.Of(job.Records<PaperRecord>(), [.. Certified.SelectMany(t => job.RecordsOf(t))]);
        var met = ready.Count(r => r.Met);
        return new HandoverAssessment(verdict, Finding.Ranked(findings), blocks, draft)
        {
            Ready = ready,
            Unseen = [.. job.Findings.Where(f => f.Level == Severity.Caution && !told.Contains(f.Code)).DistinctBy(f => f.Code)],
            Built = built,
            Papers = papers,
            Leaves = new Dictionary<string, StationState>
            {
                ["ready"] = met == ready.Count ? StationState.Passed : StationState.Open,
                ["built"] = built.Any(b => b.Level >= Severity.Caution) ? StationState.Caution
                    : built.All(b => b.Confirmed) ? StationState.Passed : StationState.Open,
                ["papers"] = papers.Any(Doubtful) ? StationState.Stop : papers.Any(p => p is { Standing: true, Stale: true }) ? StationState.Caution
                    : papers.Count > 0 ? StationState.Passed : StationState.Open,
                ["now"] = StationState.Open,
            },
            Answers = new Dictionary<string, Phrase>
            {
                ["owner"] = verdict.Headline,
                ["ready"] = met == ready.Count ? Phrase.Of($"Ready: all {ready.Count} stand.")
                    : Phrase.Of($"{met} of {ready.Count} stand. Next: {ready.First(r => !r.Met).Words}."),
                ["built"] = Phrase.Of($"{built.Count(b => b.Confirmed)} of {built.Count} are confirmed"
                    + $"{(built.Any(b => b.Level is not null) ? "; some are not as drawn" : "")}."),
                ["papers"] = papers.Count == 0 ? Phrase.Of($"Nothing is issued yet.")
                    : papers.FirstOrDefault(Doubtful) is { } doubtful ? Phrase.Of($"{doubtful.Number} is not what was issued: {doubtful.Says}.")
                    : papers.FirstOrDefault(p => p is { Standing: true, Stale: true }) is { } stale
                        ? Phrase.Of($"{stale.Number} is older than what was read since: issue it anew.")
                    : Phrase.Of($"{papers.Count(p => p.Standing)} papers stand."),
                ["now"] = Phrase.Of($"Tell how full the battery is and what time it is."),
            },
        };
    }

    /// <summary>A paper that came by file and is not what was issued.</summary>
    private static bool Doubtful(PaperRow paper) => paper.Origin is PaperOrigin.Altered or PaperOrigin.Twice;
}
