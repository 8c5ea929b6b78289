using Vanto.Core.Findings;

namespace Vanto.Core.Plan;

/// <summary>What a job is: its kinds, its facts and schools, its counts.</summary>
/// <param name="Kinds">At least one base kind, at most one split.</param>
/// <param name="Tags">Values by group; what is not named is the usual one.</param>
/// <param name="Drivers">Counts by their name; what is not named is the library's.</param>
/// <param name="Zones">Heads.</param>
/// <param name="Pace">Of the crew: hands take so many times the library's.</param>
public sealed record JobShape(IReadOnlyList<string> Kinds, IReadOnlyDictionary<string, string> Tags, IReadOnlyDictionary<string, double> Drivers,
    int Zones = 1, double Pace = 1)
{
    /// <summary>Steps that only this job has.</summary>
    public IReadOnlyList<OwnStep> Own { get; init; } = [];

    /// <summary>Steps for two that one does here, with so many times the hands.</summary>
    public IReadOnlyDictionary<string, double> Alone { get; init; } = new Dictionary<string, double>();
}

/// <summary>A step of a job.</summary>
/// <param name="Id">The library's, with the zone behind <c>#</c> where it is done in each.</param>
/// <param name="Task">Of the library.</param>
/// <param name="Zone">Its zone; 0 where it is done once.</param>
/// <param name="Hands">Minutes of hands.</param>
/// <param name="Wait">Minutes that run by themselves afterwards.</param>
/// <param name="After">Steps that come before it.</param>
/// <param name="Holds">Equipment and the step at the end of whose hands it is let go; null is its own wait's end.</param>
public sealed record JobStep(string Id, LibraryTask Task, int Zone, Minutes Hands, Minutes Wait, IReadOnlyList<StepEdge> After,
    IReadOnlyList<(string Equipment, string? Until)> Holds)
{
    public bool OnSite => Task.Place != "shop";

    /// <summary>As a person says it.</summary>
    public string Name => Zone > 1 || Id.EndsWith("#1", StringComparison.Ordinal) && Zones > 1 ? $"{Task.Name}, head {Zone}" : Task.Name;

    /// <summary>Zones of the job.</summary>
    public int Zones { get; init; } = 1;
}

/// <summary>A step before another: after its wait or its hands, and so many minutes.</summary>
public sealed record StepEdge(string Step, bool AfterWait, double LagMin);

/// <summary>The steps of a job in the library's order, and what it is made of.</summary>
public sealed class TaskNetwork(IReadOnlyList<JobStep> steps, IReadOnlySet<string> tags)
{
    /// <summary>Joints of a head with its outdoor unit.</summary>
    internal const double SplitJoints = 4;

    private const double LeftExitJoints = 2;

    public IReadOnlyList<JobStep> Steps { get; } = steps;
    public IReadOnlySet<string> Tags { get; } = tags;

    /// <summary>What is done on site, as steps of a schedule before a day is known.</summary>
    public IReadOnlyList<(WorkTask Work, JobStep Step)> OnSite { get; } = [.. StepTasks.Of([.. steps.Where(s => s.OnSite)]).Zip(steps.Where(s => s.OnSite))];

    /// <summary>Own steps that were to come before what they come after; that wish is dropped.</summary>
    public IReadOnlyList<string> Circles { get; init; } = [];

    /// <summary>Precedences in all.</summary>
    public int Edges => Steps.Sum(s => s.After.Count);

    /// <summary>Tools that its steps take.</summary>
    public IReadOnlyList<Tool> Tools(TaskLibrary library)
    {
        var ids = Steps.SelectMany(s => s.Task.Tools).Where(t => library.Holds(t.When, Tags)).Select(t => t.Id).ToHashSet();
        return [.. library.Tools.Where(t => ids.Contains(t.Id))];
    }

    /// <summary>Kinds, facts and schools of a job as tags.</summary>
    /// <exception cref="InputException">They do not go together.</exception>
    public static IReadOnlySet<string> TagsOf(JobShape job, TaskLibrary library)
    {
        var errors = new List<InputError>();
        void Wrong(string field, string value, string words) => errors.Add(InputError.Fault(field, value, words));
        foreach (var kind in job.Kinds.Where(k => library.JobKinds.All(j => j.Id != k)))
            Wrong("kinds", kind, $"there is no kind of job {kind}");
        foreach (var (group, value) in job.Tags)
            if (library.TagGroups.FirstOrDefault(g => g.Id == group) is not { } known)
                Wrong(group, value, $"there is no fact or school {group}");
            else if (!known.Values.Contains(value))
                Wrong(group, value, $"{group} can be {string.Join(", ", known.Values)}, not {value}");
        foreach (var driver in job.Drivers.Where(d => library.Drivers.All(l => l.Id != d.Key) || !double.IsFinite(d.Value) || d.Value < 0))
            Wrong(driver.Key, $"{driver.Value}", $"{driver.Key} is no count of a job, or {driver.Value} is less than nothing");
        var splits = job.Kinds.Count(k => k.StartsWith("split-", StringComparison.Ordinal));
        if (!job.Kinds.Any(k => library.JobKinds.Any(j => j.Id == k && j.Role == "base")))
            Wrong("kinds", "none", "a job has a kind of its own");
        if (splits > 1)
            Wrong("kinds", string.Join(", ", job.Kinds), "a job has one split at most");
        if (splits == 0 && job.Kinds.FirstOrDefault(k => library.JobKinds.Any(j => j.Id == k && j.Role != "base")) is { } modifier)
            Wrong("kinds", modifier, $"{modifier} belongs to a split, and there is none");
        if (errors.Count > 0)
            throw new InputException(errors);
        var tags = job.Kinds.ToHashSet();
        if (splits > 0)
            tags.Add("split");
        foreach (var g in library.TagGroups)
            tags.Add($"{g.Id}={job.Tags.GetValueOrDefault(g.Id, g.Default)}");
        if (tags.Contains("drain=pump") != tags.Contains("condensate-pump"))
            Wrong("drain", job.Tags.GetValueOrDefault("drain", ""), "the water leaves by a pump where a pump is fitted, and only there");
        if (tags.Contains("prove=precharged") != tags.Contains("quick-connect"))
            Wrong("prove", job.Tags.GetValueOrDefault("prove", ""), "only a pre-charged line set needs no proof of its own");
        return errors.Count > 0 ? throw new InputException(errors) : tags;
    }

    /// <summary>Lays out a job: which steps, how often, in which order, how long. An edge to a step that the job has not is dropped; nothing is
    /// inherited.</summary>
    /// <exception cref="InputException">Kinds and schools that do not go together, or a circle of steps.</exception>
    public static TaskNetwork Expand(JobShape job, TaskLibrary library)
    {
        var tags = TagsOf(job, library);
        LibraryTask[] all = [.. library.Tasks.Where(t => t.Kinds.Any(job.Kinds.Contains) && library.Holds(t.When, tags)), .. job.Own.Select(o => o.Task)];
        all = [.. all.Select(t => job.Alone.ContainsKey(t.Id) ? t with { Crew = 1 } : t)];
        var kept = all.ToDictionary(t => t.Id);
        IEnumerable<int> Zones(LibraryTask t) => t.Repeat == "zone" ? Enumerable.Range(1, job.Zones) : [0];
        string Id(LibraryTask t, int zone) => zone == 0 ? t.Id : $"{t.Id}#{zone}";
        var drivers = library.Drivers.ToDictionary(d => d.Id, d => job.Drivers.GetValueOrDefault(d.Id, d.Default));
        if (!job.Drivers.ContainsKey("joints"))
            drivers["joints"] = tags.Contains("exit=left") ? LeftExitJoints : SplitJoints;
        drivers["extraZones"] = job.Zones - 1;
        var steps = new List<JobStep>();
        foreach (var task in all)
        {
            var hands = Hands(task, drivers, tags) * job.Pace * job.Alone.GetValueOrDefault(task.Id, 1);
            var wait = task.Wait is { } w ? Minutes.Of(w.Variants.FirstOrDefault(v => library.Holds(v.When, tags))?.Minutes ?? w.Minutes) : default;
            foreach (var zone in Zones(task))
                steps.Add(new JobStep(Id(task, zone), task, zone, hands, wait,
                    [.. task.Predecessors.Where(p => kept.ContainsKey(p.Task) && library.Holds(p.When, tags)).SelectMany(p => Zones(kept[p.Task])
                        .Where(z => z == 0 || zone == 0 || z == zone).Select(z => new StepEdge(Id(kept[p.Task], z), p.After == "wait", p.LagMin)))],
                    [.. task.Equipment.Where(e => library.Holds(e.When, tags)).Select(e => (e.Id, Until(e.Until, zone)))])
                {
                    Zones = job.Zones,
                });
        }
        string? Until(string? until, int zone) => until is null || !kept.TryGetValue(until, out var t) ? null
            : Id(t, t.Repeat == "zone" ? zone > 0 ? zone : job.Zones : 0);
        var circles = new List<string>();
        foreach (var own in job.Own.Where(o => o.Before.Length > 0 && kept.ContainsKey(o.Before)))
            if (Zones(kept[own.Before]).Select(z => Id(kept[own.Before], z)).ToList() is var waiting && waiting.Any(w => Comes(steps, own.Task.Id, w)))
                circles.Add(own.Task.Id);
            else
                for (var i = 0; i < steps.Count; i++)
                    if (waiting.Contains(steps[i].Id))
                        steps[i] = steps[i] with { After = [.. steps[i].After, new StepEdge(own.Task.Id, true, 0)] };
        return new TaskNetwork(InOrder(steps), tags) { Circles = circles };
    }

    /// <summary>True where a step is or comes after another.</summary>
    private static bool Comes(List<JobStep> steps, string step, string after)
    {
        var by = steps.ToDictionary(s => s.Id);
        var (seen, look) = (new HashSet<string> { step }, new Stack<string>([step]));
        while (look.TryPop(out var at))
            foreach (var e in by[at].After)
                if (seen.Add(e.Step))
                    look.Push(e.Step);
        return seen.Contains(after);
    }

    private static Minutes Hands(LibraryTask task, Dictionary<string, double> drivers, IReadOnlySet<string> tags)
    {
        var sum = Minutes.Of(task.ActiveMin.Base);
        var factor = 1.0;
        foreach (var d in task.ActiveMin.Drivers)
            if (d is { Per: { } per, Each: { } each })
                sum += Minutes.Of(each) * drivers[per];
            else if (d is { By: { } by, Factor: { } factors })
                factor *= factors.First(f => tags.Contains($"{by}={f.Key}")).Value;
        return sum * factor;
    }

    /// <summary>The same, none before what it comes after; else in the library's order.</summary>
    private static List<JobStep> InOrder(List<JobStep> steps)
    {
        var (left, done, order) = (steps.ToList(), new HashSet<string>(), new List<JobStep>());
        while (left.Count > 0)
        {
            var next = left.FirstOrDefault(s => s.After.All(e => done.Contains(e.Step)))
                ?? throw new InputException("steps", string.Join(", ", left.Select(s => s.Id)), "these steps wait for each other in a circle");
            order.Add(next);
            done.Add(next.Id);
            left.Remove(next);
        }
        return order;
    }
}
