using Google.OrTools.Sat;
using Google.OrTools.Util;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Plan;

/// <summary>How sure it is that nothing ends earlier.</summary>
public enum ScheduleProof
{
    [Called("proven: cannot finish earlier")] Proven, [Called("nothing better found yet")] Found, [Called("by a simple rule")] Rule,
}

/// <summary>A schedule with the bound that was reached.</summary>
/// <param name="Schedule">The steps placed.</param>
/// <param name="Proof">How sure.</param>
/// <param name="Bound">No schedule ends before this minute.</param>
public sealed record SolvedSchedule(WorkSchedule Schedule, ScheduleProof Proof, int Bound)
{
    /// <summary>Minutes that could still be won at most.</summary>
    public int Gap => Math.Max(0, Schedule.Ends - Bound);
}

/// <summary>Finds the schedule that ends first, by constraint programming; one thread and one seed, so the same job gives the same plan.</summary>
public static class Scheduler
{
    /// <summary>Work of the solver after which it stops, in its own deterministic seconds.</summary>
    private const double Effort = 2.0;

    /// <summary>Wall time that ends it at any rate, s.</summary>
    private const double GuardS = 20;

    /// <summary>Solves it; the quick rule's schedule is its first hint and its answer where the solver finds none.</summary>
    /// <param name="problem">What is to be placed.</param>
    /// <param name="cancelled">Asks it to stop with what it has.</param>
    /// <param name="better">Told each better end, in minutes.</param>
    /// <exception cref="InputException">It cannot be planned at all.</exception>
    public static SolvedSchedule Solve(ScheduleProblem problem, CancellationToken cancelled = default, Action<int>? better = null)
    {
        if (problem.Hopeless() is { } why)
            throw new InputException([why]);
        var quick = SerialSchedule.Of(problem) ?? throw new InputException("hours", "", "the days that are planned are too short for all of it");
        var horizon = quick.Ends;
        var model = new CpModel();
        var n = problem.Tasks.Count;
        var (starts, ends, busy, choices) = (new IntVar[n], new IntVar[n], new Dictionary<int, List<IntervalVar>>(), new List<(int, BoolVar, int[])>());
        var (load, demand) = (new List<IntervalVar>(), new List<long>());
        for (var i = 0; i < n; i++)
        {
            var task = problem.Tasks[i];
            if (task.Known is { } known)
            {
                (starts[i], ends[i]) = (model.NewConstant(known.Start), model.NewConstant(known.End));
                foreach (var p in known.People)
                    Busy(p).Add(model.NewFixedSizeIntervalVar(starts[i], known.End - known.Start, $"known{i}"));
                Draws(i, task, known.WaitEnd - known.End);
                continue;
            }
            (starts[i], ends[i]) = (model.NewIntVar(task.NotBefore, horizon, $"s{i}"), model.NewIntVar(0, horizon, $"e{i}"));
            var manned = new List<BoolVar>();
            foreach (var group in problem.Groups[i])
            {
                var hours = problem.CalendarOf(task, group);
                foreach (var c in hours.StartClasses(task.Hands, task.OverBreaks))
                {
                    var open = c.Starts.Select(s => (s.From, To: task.Stays
                        ? Math.Min(s.To, hours.StayEnds(s.From + c.Span) - task.Wait - c.Span) : s.To))
                        .Where(s => s.To >= s.From && s.From + c.Span <= horizon).ToList();
                    if (open.Count == 0)
                        continue;
                    var x = model.NewBoolVar($"x{i}");
                    manned.Add(x);
                    choices.Add((i, x, [.. group]));
                    model.AddLinearExpressionInDomain(starts[i], Domain.FromIntervals([.. open.Select(s => new long[] { s.From, s.To })])).OnlyEnforceIf(x);
                    model.Add(ends[i] == starts[i] + c.Span).OnlyEnforceIf(x);
                    foreach (var p in group)
                        Busy(p).Add(model.NewOptionalFixedSizeIntervalVar(starts[i], c.Span, x, $"o{i}"));
                    var hint = quick.Tasks[i];
                    model.AddHint(x, hint.People.SequenceEqual(group) && hint.End - hint.Start == c.Span ? 1 : 0);
                }
            }
            model.AddExactlyOne(manned);
            model.AddHint(starts[i], quick.Tasks[i].Start);
            Draws(i, task, task.Wait);
        }
        for (var i = 0; i < n; i++)
            if (problem.Tasks[i].Known is null)
                foreach (var e in problem.Tasks[i].After)
                {
                    var before = problem.Index[e.Task];
                    model.Add(starts[i] >= ends[before] + ((e.AfterWait ? WaitOf(before) : 0) + e.Lag));
                }
        foreach (var list in busy.Values)
            model.AddNoOverlap(list);
        foreach (var equipment in problem.Tasks.SelectMany(t => t.Holds).Select(h => h.Equipment).Distinct())
            model.AddCumulative(problem.CountOf(equipment)).AddDemands(Holds(equipment), Enumerable.Repeat(1L, Holds(equipment).Count));
        if (problem.SupplyW is { } watts && load.Count > 0)
            model.AddCumulative((long)Math.Floor(watts)).AddDemands(load, demand);
        var last = model.NewIntVar(0, horizon, "last");
        model.AddMaxEquality(last, ends);
        model.Minimize(last);
        return Answer();

        List<IntervalVar> Busy(int person) => busy.TryGetValue(person, out var list) ? list : busy[person] = [];

        int WaitOf(int i) => problem.Tasks[i].Known is { } k ? k.WaitEnd - k.End : problem.Tasks[i].Wait;

        void Draws(int i, WorkTask task, int wait)
        {
            if (problem.SupplyW is null)
                return;
            if (task.HandsW > 0)
            {
                load.Add(model.NewIntervalVar(starts[i], model.NewIntVar(0, horizon, $"w{i}"), ends[i], $"h{i}"));
                demand.Add((long)Math.Ceiling(task.HandsW));
            }
            if (task.WaitW > 0 && wait > 0)
            {
                load.Add(model.NewFixedSizeIntervalVar(ends[i], wait, $"r{i}"));
                demand.Add((long)Math.Ceiling(task.WaitW));
            }
        }

        List<IntervalVar> Holds(string equipment) => [.. problem.Tasks.SelectMany((t, i) => t.Holds.Where(h => h.Equipment == equipment).Select(h =>
        {
            LinearExpr end = h.Until is null ? ends[i] + WaitOf(i) : ends[problem.Index[h.Until]];
            return model.NewIntervalVar(starts[i], model.NewIntVar(0, horizon + MostWaitMin, $"l{i}"), end, $"q{i}");
        }))];

        SolvedSchedule Answer()
        {
            try
            {
                using var solver = new CpSolver();
                solver.StringParameters = FormattableString.Invariant(
                    $"num_workers:1,random_seed:1,max_deterministic_time:{Effort:0.0},max_time_in_seconds:{GuardS:0.0}");
                using var stop = cancelled.Register(solver.StopSearch);
                var status = solver.Solve(model, new Told(better));
                if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
                    return new SolvedSchedule(quick, ScheduleProof.Rule, 0);
                var placed = new PlacedTask[n];
                for (var i = 0; i < n; i++)
                    placed[i] = problem.Tasks[i].Known ?? new PlacedTask(problem.Tasks[i].Id, (int)solver.Value(starts[i]), (int)solver.Value(ends[i]),
                        (int)solver.Value(ends[i]) + problem.Tasks[i].Wait, choices.First(c => c.Item1 == i && solver.Value(c.Item2) == 1).Item3);
                var schedule = LeftShift.Of(problem, new WorkSchedule(placed));
                return new SolvedSchedule(schedule, status == CpSolverStatus.Optimal ? ScheduleProof.Proven : ScheduleProof.Found,
                    (int)Math.Ceiling(solver.BestObjectiveBound - 1e-6));
            }
            catch (Exception e) when (e is TypeInitializationException or DllNotFoundException)
            {
                return new SolvedSchedule(quick, ScheduleProof.Rule, 0);
            }
        }
    }

    /// <summary>Longest wait that a hold can hang over the last hands, min.</summary>
    private const int MostWaitMin = 40320;

    private sealed class Told(Action<int>? better) : CpSolverSolutionCallback
    {
        public override void OnSolutionCallback() => better?.Invoke((int)Math.Round(ObjectiveValue()));
    }
}

/// <summary>Moves every step as early as all others leave it, until nothing moves.</summary>
public static class LeftShift
{
    public static WorkSchedule Of(ScheduleProblem problem, WorkSchedule schedule)
    {
        var placed = schedule.Tasks.ToArray();
        for (var moved = true; moved;)
        {
            moved = false;
            foreach (var i in Enumerable.Range(0, placed.Length).OrderBy(i => placed[i].Start))
            {
                var (task, at) = (problem.Tasks[i], placed[i]);
                if (task.Known is not null)
                    continue;
                var from = task.After.Select(e => placed[problem.Index[e.Task]] is var p ? (e.AfterWait ? p.WaitEnd : p.End) + e.Lag : 0)
                    .Append(task.NotBefore).Max();
                var hours = problem.CalendarOf(task, at.People);
                var times = placed.SelectMany(p => new[] { p.End, p.WaitEnd }).Concat(hours.Windows.Select(w => w.From)).Append(from)
                    .Where(m => m >= from && m < at.Start).Distinct().Order();
                foreach (var start in times)
                {
                    if (hours.Span(start, task.Hands, task.OverBreaks) is not { } span)
                        continue;
                    placed[i] = at with { Start = start, End = start + span, WaitEnd = start + span + task.Wait };
                    if (ScheduleChecker.Breaches(problem, new WorkSchedule(placed)).Count == 0)
                    {
                        moved = true;
                        break;
                    }
                    placed[i] = at;
                }
            }
        }
        return new WorkSchedule(placed);
    }
}
