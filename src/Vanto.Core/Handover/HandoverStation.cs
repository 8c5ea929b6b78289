using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Handover;

/// <summary>What the owner's sheet says beside the results.</summary>
public sealed record HandoverDesign : DesignPart
{
    [Ask("Fitted by")] public string Firm { get; init; } = "";
    [Ask("Call")] public string Contact { get; init; } = "";
    [Ask("For")] public string Owner { get; init; } = "";
    [Ask("Remarks", Longest = 8000)] public string Remarks { get; init; } = "";
}

/// <summary>The owner's sheet.</summary>
/// <param name="Blocks">What each station prints, in the order of the sheet.</param>
/// <param name="Draft">True while a stop is open or a proof is missing.</param>
public sealed record HandoverAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<SheetBlock> Blocks, bool Draft) : IStationResult;

/// <summary>The Handover station, first half: puts together what the other stations print, and says whether it can be handed over.</summary>
public sealed class HandoverStation : Station<HandoverAssessment>
{
    /// <inheritdoc />
    public override string Name => "handover";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Keep;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("owner", "owner's sheet", "What does the owner need to know?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads => [];

    /// <inheritdoc />
    public override bool ReadsAllBefore => true;

    private static readonly SheetBlock First =
        new(SheetPlace.Cautions, "Cautions", SheetForm.Bullets,
            [SheetLine.Sentence(Phrase.Of($"Local codes, the unit's manual and licensed practice come first."))]);

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var blocks = SheetBlock.Together([First, .. job.Sheet]);
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
        return new HandoverAssessment(verdict, Finding.Ranked(findings), blocks, draft);
    }
}
