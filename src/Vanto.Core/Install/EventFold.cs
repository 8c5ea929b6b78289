using Vanto.Core.Quantities;

namespace Vanto.Core.Install;

/// <summary>Where a step stands.</summary>
public enum SiteState
{
    [Called("open")] Open, [Called("running")] Running, [Called("paused")] Paused, [Called("waiting")] Waiting, [Called("done")] Done,
    [Called("skipped")] Skipped, [Called("opened again")] Reopened,
}

/// <summary>What is odd about an event.</summary>
public enum FoldNote { Duplicate, NoStart, OutOfOrder, ClockOff, Pending, Clash, TwoReadings }

/// <summary>A note about an event of a step.</summary>
public sealed record FoldRemark(FoldNote Note, string Step, Guid Event, string Words);

/// <summary>A reading of a step.</summary>
public sealed record SiteReading(string Field, double? Value, string Text, string By, double AtMs, string Device, EventSource Source);

/// <summary>A gate item passed over, with its reason.</summary>
public sealed record SiteOverride(string Item, string Reason, string By, string Second);

/// <summary>A step as its events leave it.</summary>
public sealed class FoldedStep(string id)
{
    public string Id { get; } = id;
    public SiteState State { get; internal set; }

    /// <summary>First start, ms; null before.</summary>
    public double? FirstStartMs { get; internal set; }

    /// <summary>When it was done.</summary>
    public double? DoneMs { get; internal set; }

    /// <summary>When its hands ended and its wait began.</summary>
    public double? HandsOffMs { get; internal set; }

    /// <summary>When the stretch that runs began; null while none does.</summary>
    public double? RunningSinceMs { get; internal set; }

    /// <summary>Hands in stretches that are over, ms.</summary>
    public double HandsMs { get; internal set; }

    /// <summary>Why it is paused or was skipped.</summary>
    public string Why { get; internal set; } = "";

    public string By { get; internal set; } = "";
    public HashSet<string> Ticks { get; } = [];
    public Dictionary<string, SiteReading> Readings { get; } = [];
    /// <summary>Photographs by their slot: the hashes of their content, the newest last.</summary>
    public Dictionary<string, List<string>> Photos { get; } = [];
    public List<SiteOverride> Overrides { get; } = [];

    /// <summary>Gate items that were open where it was started or finished.</summary>
    internal List<(bool Start, IReadOnlyList<string> Items)> Doubted { get; } = [];

    /// <summary>Gate items that were open then and still are.</summary>
    public IReadOnlyList<string> Contested { get; internal set; } = [];
}

/// <summary>A note, a part used, something left for later.</summary>
/// <param name="Value">How much of a part.</param>
/// <param name="Each">What one of it cost, where that was written down.</param>
public sealed record SiteEntry(EventType Type, string Step, string Text, string By, double AtMs, double? Value = null, double? Each = null);

/// <summary>All that the events say.</summary>
public sealed record FoldedLog(IReadOnlyDictionary<string, FoldedStep> Steps, IReadOnlyList<FoldRemark> Remarks, IReadOnlyList<SiteEntry> Entries);

/// <summary>Opens gates: which items of a step's start or finish stand open.</summary>
public delegate IReadOnlyList<string> OpenItems(FoldedStep step, bool start);

/// <summary>Puts the events of all devices into one state, whatever order they came in.</summary>
public static class EventFold
{
    /// <summary>Readings of two devices may differ by so much of the larger; the product's own choice.</summary>
    private const double SameShare = 0.02;

    /// <summary>All events once, in the order that every device agrees on; those with one id and two contents apart.</summary>
    public static (IReadOnlyList<InstallRecord> Events, IReadOnlyList<Guid> Clashes) Merge(params IEnumerable<InstallRecord>[] logs)
    {
        var byId = logs.SelectMany(l => l).GroupBy(e => e.Id).ToList();
        var clashes = byId.Where(g => g.Select(e => e.Content).Distinct().Skip(1).Any()).Select(g => g.Key).Order().ToList();
        var apart = clashes.ToHashSet();
        return ([.. byId.Where(g => !apart.Contains(g.Key)).Select(g => g.First()).OrderBy(e => e.Order)], clashes);
    }

    /// <summary>Numbers of a device that are missing: somebody has not brought their log.</summary>
    public static IReadOnlyList<(string Device, long Seq)> Missing(IEnumerable<InstallRecord> events) =>
    [
        .. events.GroupBy(e => e.Event.Device).OrderBy(g => g.Key, StringComparer.Ordinal).SelectMany(g =>
        {
            var there = g.Select(e => (long)e.Event.Seq).ToHashSet();
            return Enumerable.Range(1, (int)Math.Min(100_000, there.Max())).Where(n => !there.Contains(n)).Select(n => (g.Key, (long)n));
        }),
    ];

    /// <summary>Walks the events.</summary>
    /// <param name="log">In any order, any event once or more often.</param>
    /// <param name="open">The gates.</param>
    public static FoldedLog Fold(IEnumerable<InstallRecord> log, OpenItems open)
    {
        var (events, clashes) = Merge(log);
        var remarks = clashes.Select(id => new FoldRemark(FoldNote.Clash, "", id, "two events with one number differ")).ToList();
        var steps = new Dictionary<string, FoldedStep>();
        var entries = new List<SiteEntry>();
        var lastByDevice = new Dictionary<(string Step, string Field), Dictionary<string, double>>();
        foreach (var e in Resolved(events, remarks))
            if (e.Event.Step.Length == 0 || e.Event.Type is EventType.NoteAdded or EventType.LeftForLater or EventType.PartUsed)
                entries.Add(new SiteEntry(e.Event.Type, e.Event.Step, e.Event.Text, e.By, e.Event.AtMs, e.Event.Value, e.Event.Each));
            else
                Walk(steps.TryGetValue(e.Event.Step, out var step) ? step : steps[e.Event.Step] = new FoldedStep(e.Event.Step), e, open, remarks, lastByDevice);
        foreach (var step in steps.Values)
            step.Contested = [.. step.Doubted.SelectMany(d => open(step, d.Start).Intersect(d.Items)).Distinct()];
        foreach (var ((step, field), by) in lastByDevice)
            if (by.Count > 1 && by.Values.Max() - by.Values.Min() > SameShare * by.Values.Max(Math.Abs))
                remarks.Add(new FoldRemark(FoldNote.TwoReadings, step, Guid.Empty,
                    $"{field.Replace('-', ' ')} was read as {string.Join(" and ", by.Values.Order())}"));
        return new FoldedLog(steps, remarks, entries);
    }

    /// <summary>Events with their corrections in them: field by field the last one counts; a void one is gone until it is brought back.</summary>
    private static List<InstallRecord> Resolved(IReadOnlyList<InstallRecord> events, List<FoldRemark> remarks)
    {
        var byId = events.ToDictionary(e => e.Id);
        var now = events.Where(e => e.Event.Type != EventType.Correction).ToDictionary(e => e.Id, e => (Record: e, Gone: false));
        foreach (var correction in events.Where(e => e.Event.Type == EventType.Correction))
        {
            var root = correction;
            for (var seen = new HashSet<Guid>(); root is { Event.Type: EventType.Correction } && seen.Add(root.Id);)
                root = root.Corrects is { } id && byId.TryGetValue(id, out var before) ? before : null;
            if (root is null || !now.TryGetValue(root.Id, out var at))
            {
                remarks.Add(new FoldRemark(FoldNote.Pending, correction.Event.Step, correction.Id, "it corrects what has not come yet"));
                continue;
            }
            var (was, c) = (at.Record.Event, correction.Event);
            now[root.Id] = (at.Record with
            {
                Event = was with
                {
                    Value = c.Value ?? was.Value,
                    AsTyped = c.AsTyped.Length > 0 ? c.AsTyped : was.AsTyped,
                    Text = c.Field == nameof(InstallValues.Text) ? c.Text : was.Text,
                    AtMs = c.Field == nameof(InstallValues.AtMs) ? c.AtMs : was.AtMs,
                },
            }, c.Void ?? (c.Value is null && at.Gone));
        }
        return [.. events.Where(e => now.TryGetValue(e.Id, out var at) && !at.Gone).Select(e => now[e.Id].Record)];
    }

    private static void Walk(FoldedStep step, InstallRecord record, OpenItems open, List<FoldRemark> remarks,
        Dictionary<(string, string), Dictionary<string, double>> lastByDevice)
    {
        var e = record.Event;
        void Remark(FoldNote note, string words) => remarks.Add(new FoldRemark(note, step.Id, record.Id, words));
        void Stop()
        {
            if (step.RunningSinceMs is not { } since)
                return;
            if (e.AtMs < since)
                Remark(FoldNote.ClockOff, "it ends before it begins");
            step.HandsMs += Math.Max(0, e.AtMs - since);
            step.RunningSinceMs = null;
        }

        void Doubt(bool start)
        {
            if (open(step, start) is { Count: > 0 } items)
                step.Doubted.Add((start, items));
        }

        switch (e.Type)
        {
            case EventType.StepStarted when step.State is SiteState.Open or SiteState.Reopened or SiteState.Skipped:
                Doubt(true);
                (step.State, step.RunningSinceMs, step.By) = (SiteState.Running, e.AtMs, record.By);
                step.FirstStartMs ??= e.AtMs;
                break;
            case EventType.StepStarted:
                Remark(FoldNote.Duplicate, "it was started already");
                break;
            case EventType.StepPaused when step.State == SiteState.Running:
                Stop();
                (step.State, step.Why) = (SiteState.Paused, e.Text);
                break;
            case EventType.StepResumed when step.State == SiteState.Paused:
                (step.State, step.RunningSinceMs) = (SiteState.Running, e.AtMs);
                break;
            case EventType.HandsOff when step.State == SiteState.Running:
                Stop();
                (step.State, step.HandsOffMs) = (SiteState.Waiting, e.AtMs);
                break;
            case EventType.StepFinished when step.State == SiteState.Done:
                Remark(FoldNote.Duplicate, "it was finished already; the first counts");
                break;
            case EventType.StepFinished when step.State != SiteState.Skipped:
                if (step.State == SiteState.Open)
                    Remark(FoldNote.NoStart, "nobody wrote down when it was started");
                Stop();
                Doubt(false);
                (step.State, step.DoneMs) = (SiteState.Done, e.AtMs);
                break;
            case EventType.StepSkipped when step.State is SiteState.Open or SiteState.Reopened:
                (step.State, step.Why) = (SiteState.Skipped, e.Text);
                break;
            case EventType.StepReopened when step.State is SiteState.Done or SiteState.Skipped:
                (step.State, step.Why) = (SiteState.Reopened, e.Text);
                break;
            case EventType.TickSet:
                step.Ticks.Add(e.Text);
                break;
            case EventType.ValueRecorded:
                step.Readings[e.Field] = new SiteReading(e.Field, e.Value, e.AsTyped, record.By, e.AtMs, e.Device, e.Source);
                if (e.Value is { } value)
                    (lastByDevice.TryGetValue((step.Id, e.Field), out var by) ? by : lastByDevice[(step.Id, e.Field)] = [])[e.Device] = value;
                break;
            case EventType.PhotoTaken:
                (step.Photos.TryGetValue(e.Field, out var taken) ? taken : step.Photos[e.Field] = []).Add(e.Text);
                break;
            case EventType.GateOverridden:
                step.Overrides.Add(new SiteOverride(e.Field, e.Text, record.By, e.Second));
                break;
            case EventType.WaitAlarmSeen or EventType.PersonOn or EventType.PersonOff or EventType.PlanAccepted:
                break;
            default:
                Remark(FoldNote.OutOfOrder, $"{e.Type} does not go with {Calls.Name(step.State)}");
                break;
        }
    }
}
