using Vanto.Core.Findings;
using Vanto.Core.Plan;

namespace Vanto.Core.Install;

/// <summary>What the work on site leaves open.</summary>
public static class InstallFindings
{
    /// <summary>Steps that are not left for later: joints insulated, holes closed, cables of modules tied; common practice.</summary>
    private static readonly HashSet<string> NotForLater = ["cover-close", "hole-edge", "sleeve-fit", "seal-hole", "gasket-set", "opening-frame", "pv-run",
        "pv-land"];

    private const double MinuteMs = 60_000;

    /// <summary>A pace is told from so many steps on; the product's own choice.</summary>
    private const int LeastSteps = 5;

    /// <summary>And where it is off by so much.</summary>
    private const double OtherPace = 0.10;

    internal static IEnumerable<Finding> Of(IReadOnlyList<SiteStep> steps, FoldedLog log, IReadOnlyDictionary<string, JobStep> byId,
        PlanDesign plan, IReadOnlyList<InstallRecord> records, WhatItTook took)
    {
        foreach (var row in took.Rows.Where(r => r.Off))
            yield return Finding.Of(FindingCode.CostOff, Severity.Note,
                Phrase.Of($"{row.Words}: {row.Taken:Number} {row.Unit} of {row.Planned:Number} quoted, "
                + $"{Readable.Money(Math.Abs(row.Total), plan.Quote.Currency)} {(row.Total > 0 ? "more" : "less")}."));
        var ratios = steps.Where(x => x is { State: SiteState.Done, HandsMs: > 0, LikelyMin: > 0 }).OrderBy(x => x.DoneMs)
            .Select(x => x.HandsMs / MinuteMs / x.LikelyMin * plan.When.Pace).ToList();
        var pace = Math.Round(PaceFactor.Of(ratios), 2);
        if (ratios.Count >= LeastSteps && Math.Abs(pace / plan.When.Pace - 1) > OtherPace)
            yield return Finding.Of(FindingCode.PaceOwn, Severity.Note,
                Phrase.Of($"{ratios.Count:Count} steps took {pace:Ratio} of the library's minutes; the plan "
                + $"counts on {plan.When.Pace:Ratio}."), [new Remedy(Phrase.Of($"plan with our own pace"), Phrase.Of($"{pace:Ratio}"),
                    DesignEdit.Of(plan, p => p with { When = p.When with { Pace = pace } }))]);
        foreach (var x in steps.Where(x => x.Contested.Count > 0))
            yield return Finding.Of(FindingCode.StepContested, Severity.Caution,
                Phrase.Of($"{x.Name} was written down while {x.Contested[0].Replace('-', ' ')} stood "
                + $"open: measure again, confirm, or give a reason. What comes after it waits."));
        foreach (var clash in log.Remarks.Where(r => r.Note == FoldNote.Clash).Take(1))
            yield return Finding.Of(FindingCode.EventClash, Severity.Stop,
                Phrase.Of($"Two events with one number differ ({clash.Event.ToString()[..8]}): both are set aside."));
        foreach (var x in steps.Where(x => x.Overrides.Count > 0))
            foreach (var o in x.Overrides)
                if (x.Gate.FirstOrDefault(g => g.Key == o.Item) is { Passed: false, Passing: true } gate)
                    yield return Finding.Of(FindingCode.GateOverridden, gate.Override == "second" ? Severity.Stop : Severity.Caution,
                        Phrase.Of($"{x.Name}: {gate.Words.ToLowerInvariant()} was passed over by {o.By}{(o.Second.Length > 0
                            ? $" with {o.Second}" : "")}: {o.Reason}."));
        foreach (var r in log.Remarks.Where(r => r.Note == FoldNote.TwoReadings))
            yield return Finding.Of(FindingCode.TwoReadings, Severity.Caution,
                Phrase.Of($"{(byId.TryGetValue(r.Step, out var x) ? x.Name : r.Step)}: {r.Words} on two devices. The later counts until one is corrected."));
        foreach (var r in log.Remarks.Where(r => r.Note is FoldNote.NoStart or FoldNote.ClockOff).Take(2))
            yield return Finding.Of(FindingCode.ClockOff, Severity.Note, Phrase.Of($"{(byId.TryGetValue(r.Step, out var x) ? x.Name : r.Step)}: {r.Words}."));
        foreach (var (device, numbers) in EventFold.Missing(records).GroupBy(m => m.Device).Select(g => (g.Key, g.Select(m => m.Seq).ToList())))
            yield return Finding.Of(FindingCode.EventsMissing, Severity.Note, Phrase.Of($"{numbers.Count:Count} events of {device} have not come yet: somebody "
                + $"has not brought their phone back into the network."));
        foreach (var e in log.Entries.Where(e => e.Type == EventType.LeftForLater))
            if (NotForLater.Contains(e.Step.Split('#')[0]))
                yield return Finding.Of(FindingCode.LaterNotSafe, Severity.Stop,
                    Phrase.Of($"{(byId.TryGetValue(e.Step, out var left) ? left.Name : e.Step)} cannot be left for later: bare joints, an open hole "
                    + $"or loose cables of modules are not safe meanwhile."));
            else
                yield return Finding.Of(FindingCode.LaterOpen, Severity.Caution, Phrase.Of($"Left for later by {e.By}: {e.Text}."));
    }
}
