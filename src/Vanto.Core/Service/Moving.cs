using Vanto.Core.Commission;
using Vanto.Core.Findings;

namespace Vanto.Core.Service;

/// <summary>A step of moving a unit, and how it stands.</summary>
/// <param name="Ready">What comes before it is done.</param>
public sealed record MoveStep(string Id, string Words, string Why, StationState State, bool Ready, string By);

/// <summary>Moving a unit to another place: shut, undo, carry, join, prove, run.</summary>
/// <param name="ChargeKnown">The valves were shut before anything was opened, so the charge is still the plate's.</param>
/// <param name="StartedOn">Days on which a moved unit was started: what is normal begins anew there.</param>
public sealed record MoveView(IReadOnlyList<MoveStep> Steps, StationState State, Phrase Words, bool ChargeKnown, IReadOnlyList<DateOnly> StartedOn);

/// <summary>The order in which a unit is moved, and what must be written down before. Common practice; two hours where both places are prepared.</summary>
public static class Moving
{
    private const string Shut = "valves-shut", Undo = "lines-apart", Started = "started";

    private static readonly (string Id, string Words, string Why)[] Order =
    [
        ("ran", "Run it once and write its readings down", "what it did before is what it is held against after"),
        (Shut, "Both service valves shut; flared lines pumped down first",
            "the charge stays in the unit; never below the air's pressure, five minutes at most"),
        ("power-locked", "Power off and locked", "nobody switches on what somebody holds"),
        ("proved-dead", "Proved dead: test, prove, test", "a tester that died shows nothing"),
        ("discharged", "Five minutes for the capacitors", "they hold charge after the power is gone"),
        ("photographed", "Terminals photographed at both ends", "crossed cores come from memory"),
        (Undo, "Two wrenches, each line apart, both ends capped at once", "air and water get in within minutes; a quick-connect spits once"),
        ("emptied", "Drain emptied", "it runs out in the cabin on the way"),
        ("carried", "Carried upright, or four hours upright before it starts", "oil leaves the compressor when it lies"),
        ("place", "The new place drawn, no stop in Layout, Mount and Wiring", "the same faults are made at the second place"),
        ("joined", "Joined, cable made longer in a box", "a splice in the open air fails first"),
        ("proved", "Proved anew, as Commission says", "every joint that was apart is a new joint"),
        ("released", "Valves open, soap at every joint", "a slow leak shows in one to three months"),
        (Started, "Started, readings beside those of before", "a wire or a valve that was forgotten shows here"),
        ("papers", "Label, guide and papers issued anew; warranty looked at", "some warranties end with a move"),
    ];

    /// <summary>The newest move.</summary>
    public static (MoveView View, List<Finding> Findings) Of(IReadOnlyList<MoveRecord> records)
    {
        var standing = records.Standing();
        var from = Math.Max(0, standing.FindLastIndex(r => r.Readings.Begins));
        var done = new Dictionary<string, (int Place, string By)>();
        foreach (var (r, i) in standing.Skip(from).Select((r, i) => (r, i)))
            if (r.Readings.Void)
                done.Remove(r.Readings.Step);
            else if (r.Readings.Step.Length > 0)
                done.TryAdd(r.Readings.Step, (i, r.By));
        var early = done.TryGetValue(Undo, out var undone) && !(done.TryGetValue(Shut, out var shut) && shut.Place < undone.Place);
        var findings = new List<Finding>();
        if (early)
            findings.Add(Finding.Of(FindingCode.MoveOpenedEarly, Severity.Stop,
                $"The lines were opened before the valves were shut: the charge is not known any more. Who may, recovers and weighs in."));
        var steps = Order.Select((o, i) => new MoveStep(o.Id, o.Words, o.Why,
            o.Id == Undo && early ? StationState.Stop : done.ContainsKey(o.Id) ? StationState.Passed : StationState.Open,
            Order.Take(i).All(b => done.ContainsKey(b.Id)), done.TryGetValue(o.Id, out var d) ? d.By : "")).ToList();
        var next = steps.Find(s => s.State == StationState.Open);
        return (new MoveView(steps, early ? StationState.Stop : done.Count == 0 ? StationState.Open : next is null ? StationState.Passed : StationState.Open,
            done.Count == 0 ? Phrase.Of($"No move is begun. First: {Order[0].Words}.")
                : early ? findings[0].Words : next is null ? Phrase.Of($"Moved, proved and running.") : Phrase.Of($"Next: {next.Words}."), !early,
            [.. standing.Where(r => r.Readings is { Step: Started, Void: false }).Select(r => DateOnly.FromDateTime(r.At.UtcDateTime))]), findings);
    }
}
