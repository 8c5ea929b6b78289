using Vanto.Core.Install;
using Vanto.Core.Plan;

namespace Vanto.Core.Tests.Install;

/// <summary>Gates of the run sheet: each kind passes and refuses, and none can be passed over that may not be.</summary>
public class GateTests
{
    private static readonly TaskLibrary Library = TaskLibrary.Standard;

    private static GateFacts Facts(string kinds, string tags = "", string stop = "") => new(TaskNetwork.TagsOf(new JobShape(kinds.Split(' '),
        tags.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(t => t.Split('=')).ToDictionary(t => t[0], t => t[1]), new Dictionary<string,
            double>()), Library),
        stop.Length > 0 ? [stop] : new HashSet<string>(), new Dictionary<string, (double?, double?)>());

    private static FoldedStep Step(string id, params (EventType Type, string What, double? Value, string Text, string Second)[] events) => EventFold.Fold(
        events.Select((e, i) => new InstallRecord(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Wren", new InstallValues
        {
            Type = e.Type,
            Step = id,
            Device = "phone",
            Seq = i + 1,
            L = i + 1,
            Field = e.Type == EventType.TickSet ? "" : e.What,
            Value = e.Value,
            AsTyped = e.Type == EventType.ValueRecorded ? e.Text : "",
            Text = e.Type == EventType.TickSet ? e.What : e.Text,
            Second = e.Second,
        }, null)), (_, _) => []).Steps.GetValueOrDefault(id) ?? new FoldedStep(id);

    private static IReadOnlyList<string> Open(string id, bool start, GateFacts facts, FoldedStep? step = null) =>
        GateEvaluator.Open(Library.Task(id), step ?? new FoldedStep(id), start, facts);

    [Fact]
    public void Every_item_of_every_step_refuses_at_first_and_passes_when_it_is_met()
    {
        var facts = Facts("split-wall pv-string battery soft-start", "wall=solid");
        foreach (var task in Library.Tasks)
            foreach (var (item, start) in task.Gate.Start.Select(g => (g, true)).Concat(task.Gate.Finish.Select(g => (g, false))))
            {
                if (!Library.Holds(item.When, facts.Tags))
                    continue;
                var stopped = facts with { Stops = new HashSet<string> { item.Station?.ToLowerInvariant() ?? "" } };
                Open(task.Id, start, stopped).ShouldContain(item.Key, $"{task.Id}: {item.Key} refuses");
                var within = item.Min is { } min ? item.Max is { } max ? (min + max) / 2 : min : item.Max ?? 1;
                var met = item.Kind switch
                {
                    "tick" => (EventType.TickSet, item.Text!, (double?)null, "", ""),
                    "photo" => (EventType.PhotoTaken, item.Slot!, null, "", ""),
                    "result" => (EventType.ValueRecorded, item.Field!, null, item.Passes!, ""),
                    _ => (EventType.ValueRecorded, item.Field ?? "", within, "", ""),
                };
                Open(task.Id, start, facts, Step(task.Id, met)).ShouldNotContain(item.Key, $"{task.Id}: {item.Key} passes");
                if (item.Kind == "value" && item.Min is { } least)
                    Open(task.Id, start, facts, Step(task.Id, (EventType.ValueRecorded, item.Field!, least - 1, "", ""))).ShouldContain(item.Key);
                if (item.Kind == "value" && item.Max is { } most)
                    Open(task.Id, start, facts, Step(task.Id, (EventType.ValueRecorded, item.Field!, most * 2 + 1, "", ""))).ShouldContain(item.Key);
            }
    }

    [Fact]
    public void Items_are_passed_over_as_their_class_allows()
    {
        var facts = Facts("split-wall pv-string battery soft-start", "wall=solid");
        const string why = "the instrument is broken";
        foreach (var task in Library.Tasks)
            foreach (var (item, start) in task.Gate.Start.Select(g => (g, true)).Concat(task.Gate.Finish.Select(g => (g, false))))
            {
                if (!Library.Holds(item.When, facts.Tags) || item.Kind == "no-stop")
                    continue;
                bool Passes(string reason, string second) => !Open(task.Id, start, facts, Step(task.Id, (EventType.GateOverridden, item.Key, null, reason,
                    second)))
                    .Contains(item.Key);
                Passes(why, "").ShouldBe(item.Override == "reason", item.Key);
                Passes(why, "Piet").ShouldBe(item.Override != "never", item.Key);
                Passes(why, "Wren").ShouldBe(item.Override == "reason", "nobody is their own second");
                Passes("short", "Piet").ShouldBeFalse();
            }
    }

    [Fact]
    public void A_limit_of_the_plate_takes_the_librarys_place()
    {
        var facts = Facts("split-wall") with { Limits = new Dictionary<string, (double?, double?)> { ["proof-pressure"] = (null, 2.8) } };
        FoldedStep At(double mpa) => Step("n2-steps", (EventType.ValueRecorded, "proof-pressure", mpa, "", ""));
        Open("n2-steps", false, facts, At(2.6)).ShouldNotContain("proof-pressure");
        Open("n2-steps", false, facts, At(3.4)).ShouldContain("proof-pressure");
        Open("n2-steps", false, Facts("split-wall"), At(3.4)).ShouldNotContain("proof-pressure");
    }

    /// <summary>Each mistake that the run sheet guards against is refused by this gate of this step: taken out of either, this fails.</summary>
    [Theory]
    [InlineData("M12", "line-cut", "Not a pre-charged set")]
    [InlineData("M16", "hole-drill", "fall-out")]
    [InlineData("M16", "sleeve-fit", "fall-out")]
    [InlineData("M17", "hole-drill", "Pilot seen from both sides")]
    [InlineData("M17", "scan-hidden", "Both sides of every hole seen or probed")]
    [InlineData("M26", "pad-strip", "cure-days")]
    [InlineData("M31", "drain-run", "Falls all the way, also on the worst parking slope")]
    [InlineData("M32", "head-prep", "Unused drain outlet plugged")]
    [InlineData("M33", "pump-mount", "lift")]
    [InlineData("M33", "pump-test", "Started, stopped, alarm stopped the unit")]
    [InlineData("M34", "pump-mount", "Cover taken off and on once in place")]
    [InlineData("M35", "pump-wire", "Data core unbroken")]
    [InlineData("M36", "outdoor-terminals", "Colours agree with the head, zone by zone")]
    [InlineData("M42", "supply-connect", "White used hot is marked both ends, or there is none")]
    [InlineData("M43", "flare-make", "Insulation and nut on the pipe before the flare")]
    [InlineData("M43", "outdoor-terminals", "Gland and nut on the cable")]
    [InlineData("M44", "isolate-prove", "Tester proved live, circuit dead, tester proved live again")]
    [InlineData("M44", "discharge-capacitor", "capacitor-volts")]
    [InlineData("M45", "flare-make", "Each flare even, smooth, no split")]
    [InlineData("M46", "joint-tighten", "torque-set")]
    [InlineData("M47", "joint-tighten", "torque-set")]
    [InlineData("M48", "joint-tighten", "Second spanner on every joint")]
    [InlineData("M48", "qc-join", "Ran on by hand to the seal, not crossed")]
    [InlineData("M49", "line-bend", "Caps on")]
    [InlineData("M50", "line-bend", "Spring slides out of every bend, no kink")]
    [InlineData("M51", "n2-steps", "Regulator on, dry nitrogen by its label, never oxygen")]
    [InlineData("M51", "n2-steps", "unit-limit")]
    [InlineData("M53", "vac-isolate", "vacuum-reached")]
    [InlineData("M53", "hoses-on", "Second pump port capped, valve core out or core tool on")]
    [InlineData("M54", "vac-isolate", "vacuum-reached")]
    [InlineData("M55", "vac-read", "vacuum-decay")]
    [InlineData("M56", "valves-open", "tightness")]
    [InlineData("M57", "leak-check", "leak-check")]
    [InlineData("M57", "cover-close", "Leak check on record for these joints; lower clip closed")]
    [InlineData("M59", "start-measure", "running-amps")]
    [InlineData("M59", "zones-each", "Right pipe cold for each head")]
    [InlineData("M61", "hoses-off", "Valve core in, or core tool shut, before the hose came off")]
    [InlineData("M63", "joint-tighten", "Pipe size, inch or metric, read off; rigid cover pieces and closed sleeves threaded on")]
    [InlineData("M64", "left-exit-join", "Joint that will be hidden proved under pressure with blanked ends, or it stays in reach")]
    public void A_mistake_is_refused_by_its_gate(string mistake, string step, string key)
    {
        var task = Library.Task(step);
        task.Mistakes.ShouldContain(mistake);
        var every = Library.TagGroups.SelectMany(g => g.Values.Select(v => $"{g.Id}={v}")).Concat(Library.JobKinds.Select(k =>
            k.Id)).Append("split").ToHashSet();
        string[] charged = ["quick-connect", "prove=precharged"];
        var start = task.Gate.Start.Any(g => g.Key == key);
        var open = new[] { every, [.. every.Except(charged)] }.SelectMany(tags => GateEvaluator.Open(task, new FoldedStep(step), start,
            new GateFacts(tags, new HashSet<string>(), new Dictionary<string, (double?, double?)>()))).Distinct();
        open.ShouldContain(key);
        if (mistake is "M44" or "M61" || key.StartsWith("Regulator", StringComparison.Ordinal))
            task.Gate.Start.Concat(task.Gate.Finish).Single(g => g.Key == key).Override.ShouldBe("never");
    }

    [Theory]
    [InlineData(25, "clips")]
    [InlineData(10, "labels")]
    [InlineData(6, "wiring")]
    public void A_wait_is_used_for_what_fits_in_it(double left, string step)
    {
        UseTheWait.Candidate[] there = [new("wiring", 40, true), new("clips", 15, true), new("labels", 5, true)];
        UseTheWait.Pick(left, there).ShouldBe(step);
        UseTheWait.Table(there).Last(c => c.FromMin <= left).Step.ShouldBe(step);
        UseTheWait.Pick(left, []).ShouldBe("");
    }

    [Fact]
    public void The_table_says_the_same_as_the_rule_for_every_minute()
    {
        UseTheWait.Candidate[] there = [new("a", 40, false), new("b", 15, false), new("c", 5, true), new("d", 25, true)];
        var table = UseTheWait.Table(there);
        for (var left = 0.0; left < 60; left += 0.5)
            table.Last(c => c.FromMin <= left).Step.ShouldBe(UseTheWait.Pick(left, there));
    }
}
