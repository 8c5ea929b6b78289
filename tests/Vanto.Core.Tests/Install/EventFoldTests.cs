using CsCheck;
using Vanto.Core.Install;
using Vanto.Core.Plan;

namespace Vanto.Core.Tests.Install;

/// <summary>Events of two phones and a laptop; the ten cases are worked by hand.</summary>
public class EventFoldTests
{
    private static readonly LibraryTask Task = TaskLibrary.Standard.Task("vac-isolate");
    private static readonly GateFacts Facts = new(TaskNetwork.TagsOf(new JobShape(["split-wall"], new Dictionary<string, string>(), new Dictionary<string,
        double>()),
        TaskLibrary.Standard), new HashSet<string>(), new Dictionary<string, (double?, double?)>());

    /// <summary>The cases look at the reading alone: the valve's tick is set.</summary>
    private static IReadOnlyList<string> Open(FoldedStep step, bool start) =>
        [.. GateEvaluator.Open(Task, step, start, Facts).Where(k => k == "vacuum-reached")];

    private static Guid Id(string name) => new(System.Security.Cryptography.MD5.HashData(System.Text.Encoding.UTF8.GetBytes(name)));

    private static InstallRecord E(string name, EventType type, long l, double minute = 0, double? value = null, string? corrects = null,
        string device = "phone",
        bool? gone = null, string field = "vacuum-reached", long c = 0, string text = "") => new(Id(name), DateTimeOffset.UnixEpoch,
            device == "phone" ? "Wren" : "Piet",
        new InstallValues
        {
            Type = type,
            Step = "vac-isolate",
            Device = device,
            Seq = l,
            L = l,
            C = c,
            AtMs = minute * 60000,
            Value = value,
            Field = value is null
                && type != EventType.GateOverridden ? "" : field,
            Void = gone,
            Text = text,
        }, corrects is null ? null : Id(corrects));

    private static readonly InstallRecord[] Phone =
    [
        E("e1", EventType.StepStarted, 100, 600), E("e2", EventType.ValueRecorded, 101, 601, 4800), E("e3", EventType.StepPaused, 102, 604),
        E("e4", EventType.StepResumed, 103, 610), E("e5", EventType.StepFinished, 105, 612),
    ];

    private static readonly InstallRecord E6 = E("e6", EventType.Correction, 104, 0, 6200, "e2", "laptop");
    private static readonly InstallRecord E7 = E("e7", EventType.Correction, 106, 0, 480, "e6", "laptop");
    private static readonly InstallRecord F1 = E("f1", EventType.ValueRecorded, 104, 611, 700, device: "laptop");
    private static readonly InstallRecord F2 = E("f2", EventType.StepFinished, 106, 613, device: "laptop");

    private static (FoldedStep? Step, FoldedLog Log) Fold(params InstallRecord[] events)
    {
        var log = EventFold.Fold(events, Open);
        return (log.Steps.GetValueOrDefault("vac-isolate"), log);
    }

    private static void Is(FoldedStep? step, SiteState state, double hands, double? value, params string[] contested)
    {
        step!.State.ShouldBe(state);
        (step.HandsMs / 60000).ShouldBe(hands);
        step.Readings.GetValueOrDefault("vacuum-reached")?.Value.ShouldBe(value);
        step.Contested.ShouldBe(contested);
    }

    [Fact]
    public void One_phone_alone()
    {
        var (step, log) = Fold(Phone);
        Is(step, SiteState.Done, 6, 4800);
        log.Remarks.ShouldBeEmpty();
    }

    [Fact]
    public void A_correction_from_the_laptop_that_fails_the_gate_contests_the_step()
    {
        Is(Fold([.. Phone, E6]).Step, SiteState.Done, 6, 6200, "vacuum-reached");
        Is(Fold([.. Phone, E6, E7]).Step, SiteState.Done, 6, 480);
    }

    [Fact]
    public void Two_devices_that_finish_one_step()
    {
        var (step, log) = Fold([.. Phone, F1, F2]);
        Is(step, SiteState.Done, 6, 700);
        step!.DoneMs.ShouldBe(612 * 60000);
        log.Remarks.Select(r => r.Note).ShouldBe([FoldNote.Duplicate, FoldNote.TwoReadings], ignoreOrder: true);
        var (alone, lone) = Fold(F1, F2);
        Is(alone, SiteState.Done, 0, 700);
        lone.Remarks.Single().Note.ShouldBe(FoldNote.NoStart);
    }

    [Fact]
    public void Opened_again_and_done_again()
    {
        var (step, _) = Fold([.. Phone, E("r", EventType.StepReopened, 110, 700, device: "laptop"), E("s", EventType.StepStarted, 111, 705, device: "laptop"),
            E("t", EventType.StepFinished, 112, 711, device: "laptop")]);
        Is(step, SiteState.Done, 12, 4800);
        (step!.FirstStartMs, step.DoneMs).ShouldBe((600 * 60000.0, 711 * 60000.0));
    }

    [Fact]
    public void A_finish_that_is_void_leaves_it_running()
    {
        var (step, _) = Fold([.. Phone, E6, E("h", EventType.Correction, 107, 0, null, "e5", "laptop", true)]);
        Is(step, SiteState.Running, 4, 6200);
        step!.RunningSinceMs.ShouldBe(610 * 60000);
    }

    [Fact]
    public void An_override_passes_its_item()
    {
        var over = E("o", EventType.GateOverridden, 103, 611, c: 1, text: "the gauge is broken, read by hand");
        var (step, _) = Fold([.. Phone, E6, over]);
        Is(step, SiteState.Done, 6, 6200);
        step!.Overrides.Count.ShouldBe(1);
    }

    [Fact]
    public void A_correction_that_comes_first_waits()
    {
        var (step, log) = Fold(E6);
        step.ShouldBeNull();
        log.Remarks.Single().Note.ShouldBe(FoldNote.Pending);
    }

    [Fact]
    public void One_number_with_two_contents_is_set_aside()
    {
        var (_, log) = Fold([.. Phone, E("e1", EventType.StepStarted, 100, 599)]);
        log.Remarks.ShouldContain(r => r.Note == FoldNote.Clash && r.Event == Id("e1"));
        log.Steps["vac-isolate"].FirstStartMs.ShouldBeNull("both copies are set aside");
    }

    [Fact]
    public void A_stretch_that_ends_before_it_begins_counts_nothing()
    {
        var (step, log) = Fold(E("a", EventType.StepStarted, 1, 600), E("b", EventType.StepFinished, 2, 590));
        step!.HandsMs.ShouldBe(0);
        log.Remarks.ShouldContain(r => r.Note == FoldNote.ClockOff);
    }

    private static readonly Gen<InstallRecord[]> Logs = Gen.Select(Gen.Int[0, 30], Gen.Int[1, 60], Gen.Int[0, 2], Gen.Int[0, 3],
        Gen.Enum<EventType>(), Gen.Int[0, 30], Gen.Int[0, 900]).Select((id, l, c, device, type, corrects, minute) => E($"x{id}-{l}-{type}-{device}", type,
            l, minute,
            type is EventType.ValueRecorded or EventType.Correction ? minute : null,
            type == EventType.Correction ? $"x{corrects}-{l}-{EventType.ValueRecorded}-{device}" : null, $"d{device}",
                type == EventType.Correction && minute % 5 == 0 ? true : null, c: c))
        .Array[0, 25];

    private static string Said(FoldedLog log) => string.Join('\n',
        log.Steps.Values.Select(s => $"{s.State} {s.FirstStartMs} {s.DoneMs} {s.HandsMs} {s.RunningSinceMs} "
        + $"{string.Join(',', s.Readings.Select(r => $"{r.Key}={r.Value.Value}"))} {string.Join(',', s.Contested)}").Concat(log.Remarks.Select(r =>
            $"{r.Note} {r.Event}")
        .Order()).Concat(log.Entries.Select(e => $"{e.Type} {e.Text} {e.AtMs}")));

    /// <summary>Whatever order logs of several devices come in, and however often, all see the same.</summary>
    [Fact]
    public void Merging_knows_no_order_no_sides_and_no_repetition() => Gen.Select(Logs, Logs, Logs, Gen.Int).Each((a, b, c, seed) =>
    {
        static string Ids((IReadOnlyList<InstallRecord> Events, IReadOnlyList<Guid> Clashes) m) => string.Join(' ',
            m.Events.Select(e => e.Id)) + "/" + string.Join(' ', m.Clashes);
        Ids(EventFold.Merge(a, b)).ShouldBe(Ids(EventFold.Merge(b, a)));
        Ids(EventFold.Merge(a, a)).ShouldBe(Ids(EventFold.Merge(a)));
        InstallRecord[] all = [.. a, .. b, .. c];
        var shuffled = all.ToArray();
        new Random(seed).Shuffle(shuffled);
        Said(EventFold.Fold(shuffled, Open)).ShouldBe(Said(EventFold.Fold(all, Open)));
        Said(EventFold.Fold([.. all, .. all], Open)).ShouldBe(Said(EventFold.Fold(all, Open)));
        foreach (var step in EventFold.Fold(all, Open).Steps.Values)
            step.HandsMs.ShouldBeGreaterThanOrEqualTo(0);
    }, iter: 10000);

    [Fact]
    public void A_void_event_leaves_no_trace_in_the_state() => Gen.Select(Logs, Gen.Int[0, 900]).Each((log, minute) =>
    {
        var extra = E("extra", EventType.ValueRecorded, 30, minute, 55, device: "d9");
        var gone = E("gone", EventType.Correction, 70, 0, null, "extra", "d9", true);
        var with = EventFold.Fold([.. log, extra, gone], Open);
        var without = EventFold.Fold(log, Open);
        if (without.Steps.Count == with.Steps.Count)
            Said(with).ShouldBe(Said(without));
    }, iter: 1000);

    [Fact]
    public void Numbers_that_were_not_brought_are_named()
    {
        InstallRecord At(string device, long seq) => E($"{device}{seq}", EventType.NoteAdded, seq,
            device: device) is var e ? e with { Event = e.Event with { Seq = seq } } : null!;
        EventFold.Missing([At("A", 1), At("A", 2), At("B", 1), At("B", 3)]).ShouldBe([("B", 2L)]);
    }

    [Fact]
    public void Clocks_never_go_back()
    {
        var c = new HybridClock(1000, 0).Local(1000);
        c.ShouldBe(new HybridClock(1000, 1));
        (c = c.Local(1005)).ShouldBe(new HybridClock(1005, 0));
        (c = c.Local(1003)).ShouldBe(new HybridClock(1005, 1));
        (c = c.Merged(new(1010, 4), 1006)).ShouldBe(new HybridClock(1010, 5));
        (c = c.Merged(new(1010, 7), 1009)).ShouldBe(new HybridClock(1010, 8));
        (c = c.Merged(new(1002, 9), 1010)).ShouldBe(new HybridClock(1010, 9));
        (c = c.Merged(new(1004, 1), 1020)).ShouldBe(new HybridClock(1020, 0));
        c.Local(1020).ShouldBe(new HybridClock(1020, 1));
        Gen.Select(Gen.Long[0, 50], Gen.Long[0, 9], Gen.Long[0, 50], Gen.Long[0, 9], Gen.Long[0, 60]).Each(v =>
        {
            var (l, k, m, d, t) = v;
            var (at, other) = (new HybridClock(l, k), new HybridClock(m, d));
            at.Merged(other, t).CompareTo(at).ShouldBeGreaterThan(0);
            at.Merged(other, t).CompareTo(other).ShouldBeGreaterThan(0);
            at.Local(t).CompareTo(at).ShouldBeGreaterThan(0);
        }, iter: 500);
    }

    [Theory]
    [InlineData(100, 340.05, 340.06, 100.13, 239.99, 0.12)]
    [InlineData(0, -3600, -3599.8, 0.4, -3600.1, 0.2)]
    [InlineData(10, 10.02, 10.03, 10.05, 0, 0.04)]
    public void A_clock_is_off_by_so_much(double t1, double t2, double t3, double t4, double offset, double delay)
    {
        var skew = ClockSkew.Of(t1, t2, t3, t4);
        skew.OffsetS.ShouldBe(offset, 1e-6);
        skew.DelayS.ShouldBe(delay, 1e-6);
    }
}
