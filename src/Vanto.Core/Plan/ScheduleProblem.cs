using Vanto.Core.Findings;

namespace Vanto.Core.Plan;

/// <summary>A step before another.</summary>
/// <param name="Task">Which.</param>
/// <param name="AfterWait">Its wait must be over too.</param>
/// <param name="Lag">And so many minutes.</param>
public sealed record WorkEdge(string Task, bool AfterWait = true, int Lag = 0);

/// <summary>Equipment a step takes and the step at the end of whose hands it is free again; null is the end of its own wait.</summary>
public sealed record WorkHold(string Equipment, string? Until);

/// <summary>A step to be placed in time, all in whole minutes.</summary>
public sealed record WorkTask(string Id, int Hands, int Wait, IReadOnlyList<WorkEdge> After)
{
    /// <summary>As a person says it.</summary>
    public string Name { get; init; } = Id;

    public int Crew { get; init; } = 1;

    /// <summary>Of the one who leads; empty is anyone's.</summary>
    public string Skill { get; init; } = "";

    public IReadOnlyList<WorkHold> Holds { get; init; } = [];
    public double HandsW { get; init; }
    public double WaitW { get; init; }

    /// <summary>Somebody stays until its wait is over.</summary>
    public bool Stays { get; init; }

    /// <summary>A break may come between.</summary>
    public bool OverBreaks { get; init; } = true;

    /// <summary>Minutes that the day allows it; null is any.</summary>
    public WorkCalendar? Allowed { get; init; }

    /// <summary>It cannot begin before.</summary>
    public int NotBefore { get; init; }

    /// <summary>Where it is already done or runs.</summary>
    public PlacedTask? Known { get; init; }
}

/// <summary>Somebody of the crew.</summary>
/// <param name="Name">As the crew says.</param>
/// <param name="Skills">What they may lead.</param>
/// <param name="Hours">When they are there.</param>
/// <param name="Helper">Only ever the second of two.</param>
public sealed record Worker(string Name, IReadOnlySet<string> Skills, WorkCalendar Hours, bool Helper = false)
{
    public bool Leads(string skill) => !Helper && (skill.Length == 0 || Skills.Contains(skill));
}

/// <summary>A step placed: its hands, the end of its wait, and who does it.</summary>
public sealed record PlacedTask(string Task, int Start, int End, int WaitEnd, IReadOnlyList<int> People);

/// <summary>A schedule.</summary>
/// <param name="Tasks">In the order of the problem.</param>
public sealed record WorkSchedule(IReadOnlyList<PlacedTask> Tasks)
{
    /// <summary>End of the last hands; what runs on by itself does not count.</summary>
    public int Ends => Tasks.Count == 0 ? 0 : Tasks.Max(t => t.End);
}

/// <summary>Steps, people, equipment and supply of one site.</summary>
public sealed class ScheduleProblem
{
    private const int MostTasks = 300;
    private const int MostHands = 480;
    private const int MostWait = 40320;
    private const double MostSupplyW = 50000;

    public IReadOnlyList<WorkTask> Tasks { get; }
    public IReadOnlyList<Worker> People { get; }

    /// <summary>How many there are of each; one where it is not named.</summary>
    public IReadOnlyDictionary<string, int> Equipment { get; }

    /// <summary>Watts for tools on site; null without a limit.</summary>
    public double? SupplyW { get; }

    /// <summary>A step's place in <see cref="Tasks"/>.</summary>
    public IReadOnlyDictionary<string, int> Index { get; }

    /// <summary>Ways to man a step: those who are needed, the least skilled first.</summary>
    public IReadOnlyList<IReadOnlyList<IReadOnlyList<int>>> Groups { get; }

    /// <summary>Minutes in which each of those may do the step.</summary>
    public IReadOnlyList<IReadOnlyList<WorkCalendar>> Hours { get; }

    /// <exception cref="InputException">More or longer than what can be planned, or a step that is not there.</exception>
    public ScheduleProblem(IReadOnlyList<WorkTask> tasks, IReadOnlyList<Worker> people, IReadOnlyDictionary<string, int>? equipment = null,
        double? supplyW = null)
    {
        var errors = new List<InputError>();
        void Within(string field, double value, double least, double most)
        {
            if (!(value >= least && value <= most))
                errors.Add(InputError.Fault(field, $"{value}", $"{field} is {value}; {least} to {most} is taken"));
        }

        Within("steps", tasks.Count, 1, MostTasks);
        Within("supply", supplyW ?? 0, 0, MostSupplyW);
        var ids = tasks.Select(t => t.Id).ToHashSet();
        foreach (var t in tasks)
        {
            Within($"{t.Id}: hands", t.Hands, t.Wait > 0 && t.Known is null ? 1 : 0, Math.Max(MostHands, t.Known is null ? 0 : t.Hands));
            Within($"{t.Id}: wait", t.Wait, 0, MostWait);
            Within($"{t.Id}: people", t.Crew, 1, 3);
            foreach (var e in t.After.Where(e => !ids.Contains(e.Task)))
                errors.Add(InputError.Fault($"{t.Id}: after", e.Task, $"there is no step {e.Task}"));
        }
        if (errors.Count > 0)
            throw new InputException(errors);
        (Tasks, People, SupplyW) = (tasks, people, supplyW);
        Equipment = equipment ?? new Dictionary<string, int>();
        Index = tasks.Select((t, i) => (t.Id, i)).ToDictionary(x => x.Id, x => x.i);
        var manned = new Dictionary<(int, string), IReadOnlyList<IReadOnlyList<int>>>();
        Groups = [.. tasks.Select(t => manned.TryGetValue((t.Crew, t.Skill), out var ways) ? ways : manned[(t.Crew, t.Skill)] = GroupsOf(t))];
        var known = new Dictionary<(long, WorkCalendar?), WorkCalendar>();
        Hours = [.. tasks.Select((t, i) => Groups[i].Select(g => HoursOf(t, g, known)).ToArray())];
    }

    /// <summary>Pieces of an equipment.</summary>
    public int CountOf(string equipment) => Equipment.GetValueOrDefault(equipment, 1);

    /// <summary>Minutes in which a group may do a step.</summary>
    public WorkCalendar CalendarOf(WorkTask task, IReadOnlyList<int> group)
    {
        var i = Index[task.Id];
        for (var g = 0; g < Groups[i].Count; g++)
            if (Groups[i][g].SequenceEqual(group))
                return Hours[i][g];
        return HoursOf(task, group, []);
    }

    private WorkCalendar HoursOf(WorkTask task, IReadOnlyList<int> group, Dictionary<(long, WorkCalendar?), WorkCalendar> known)
    {
        var key = (group.Aggregate(0L, (sum, p) => sum | 1L << p), task.Allowed);
        if (known.TryGetValue(key, out var hours))
            return hours;
        hours = group.Select(p => People[p].Hours).Aggregate((a, b) => a.Equals(b) ? a : a.And(b));
        return known[key] = task.Allowed is { } allowed ? hours.And(allowed) : hours;
    }

    /// <summary>Longest way from the end of a step's hands to the end of the last hands.</summary>
    public int[] Tails()
    {
        var tails = new int[Tasks.Count];
        foreach (var i in Ordered().Reverse())
            foreach (var e in Tasks[i].After)
            {
                var before = Index[e.Task];
                tails[before] = Math.Max(tails[before], (e.AfterWait ? Tasks[before].Wait : 0) + e.Lag + Tasks[i].Hands + tails[i]);
            }
        return tails;
    }

    /// <summary>Longest way to the start of a step.</summary>
    public int[] Heads()
    {
        var heads = Tasks.Select(t => t.NotBefore).ToArray();
        foreach (var i in Ordered())
            foreach (var e in Tasks[i].After)
            {
                var before = Tasks[Index[e.Task]];
                heads[i] = Math.Max(heads[i], heads[Index[e.Task]] + before.Hands + (e.AfterWait ? before.Wait : 0) + e.Lag);
            }
        return heads;
    }

    /// <summary>Steps, none before what it comes after.</summary>
    public IReadOnlyList<int> Ordered() => _order ??= Sorted();

    private IReadOnlyList<int>? _order;

    private List<int> Sorted()
    {
        var (order, done) = (new List<int>(), new bool[Tasks.Count]);
        while (order.Count < Tasks.Count)
        {
            var before = order.Count;
            for (var i = 0; i < Tasks.Count; i++)
                if (!done[i] && Tasks[i].After.All(e => done[Index[e.Task]]))
                {
                    done[i] = true;
                    order.Add(i);
                }
            if (order.Count == before)
                throw new InputException("steps", "", "these steps wait for each other in a circle");
        }
        return order;
    }

    private List<IReadOnlyList<int>> GroupsOf(WorkTask task)
    {
        var all = new List<IReadOnlyList<int>>();
        void Grow(List<int> group, int next)
        {
            if (group.Count == task.Crew)
            {
                if (group.Any(p => People[p].Leads(task.Skill)))
                    all.Add([.. group]);
                return;
            }
            for (var p = next; p < People.Count; p++)
                Grow([.. group, p], p + 1);
        }

        Grow([], 0);
        return [.. all.OrderBy(g => g.Sum(p => People[p].Helper ? -1 : People[p].Skills.Count)).ThenBy(g => g[0])];
    }

    /// <summary>Why nothing can be planned; null where it may be.</summary>
    public InputError? Hopeless()
    {
        for (var i = 0; i < Tasks.Count; i++)
        {
            var t = Tasks[i];
            if (t.Known is not null)
                continue;
            if (Groups[i].Count == 0)
                return t.Crew > People.Count ? InputError.Fault("crew", $"{People.Count}", $"{t.Name} takes {t.Crew} people")
                    : InputError.Fault("crew", t.Skill, $"Nobody of the crew may lead: {t.Name}");
            if (SupplyW is { } watts && Math.Max(t.HandsW, t.WaitW) > watts)
                return InputError.Fault("supply", $"{watts}", $"{t.Name} takes {Math.Max(t.HandsW, t.WaitW):0} W of {watts:0} W");
            if (Hours[i].All(h => !h.Holds(t.Hands, t.OverBreaks)))
                return InputError.Fault("hours", $"{t.Hands}", $"{t.Name} takes {t.Hands} min and fits in no stretch of the days");
        }
        return null;
    }
}
