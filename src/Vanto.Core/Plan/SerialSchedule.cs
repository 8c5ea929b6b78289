namespace Vanto.Core.Plan;

/// <summary>
/// The answer at once: at each event every step that can begin does, the one with most work behind it first. A rule, not the best; the product's own.
/// </summary>
public static class SerialSchedule
{
    /// <summary>Places every step; null where one can never begin.</summary>
    public static WorkSchedule? Of(ScheduleProblem problem)
    {
        var n = problem.Tasks.Count;
        var placed = new PlacedTask?[n];
        var tails = problem.Tails();
        var order = Enumerable.Range(0, n).OrderByDescending(i => problem.Tasks[i].Hands + tails[i]).ThenBy(i => i).ToList();
        var events = new SortedSet<int>(problem.Tasks.Select(t => t.NotBefore));
        foreach (var hours in problem.Hours.SelectMany(h => h).Distinct(ReferenceEqualityComparer.Instance).Cast<WorkCalendar>())
            foreach (var w in hours.Windows)
                events.Add(w.From);
        var free = new int[problem.People.Count];
        var lags = problem.Tasks.SelectMany(t => t.After).Where(e => e.Lag > 0).ToLookup(e => e.Task);
        var before = problem.Tasks.Select(t => t.After.Select(e => (At: problem.Index[e.Task], e.AfterWait, e.Lag)).ToArray()).ToArray();
        var drawing = new List<int>();
        var held = new List<(string Equipment, string? Until, int Task)>();
        var left = n;
        void Place(int i, PlacedTask at)
        {
            (placed[i], left) = (at, left - 1);
            held.AddRange(problem.Tasks[i].Holds.Select(h => (h.Equipment, h.Until, i)));
            if (problem.Tasks[i] is { HandsW: > 0 } or { WaitW: > 0 })
                drawing.Add(i);
            events.Add(at.End);
            events.Add(at.WaitEnd);
            foreach (var p in at.People)
                free[p] = Math.Max(free[p], at.End);
            foreach (var e in lags[at.Task])
                events.Add((e.AfterWait ? at.WaitEnd : at.End) + e.Lag);
        }

        for (var i = 0; i < n; i++)
            if (problem.Tasks[i].Known is { } known)
                Place(i, known);
        while (left > 0 && events.Count > 0)
        {
            var now = events.Min;
            events.Remove(now);
            foreach (var i in order)
                if (placed[i] is null && Startable(i, now) is { } at)
                    Place(i, at);
            order.RemoveAll(i => placed[i] is not null);
        }
        return left > 0 ? null : new WorkSchedule([.. placed.Select(p => p!)]);

        PlacedTask? Startable(int i, int now)
        {
            var task = problem.Tasks[i];
            if (now < task.NotBefore)
                return null;
            foreach (var e in before[i])
                if (placed[e.At] is not { } p || (e.AfterWait ? p.WaitEnd : p.End) + e.Lag > now)
                    return null;
            if (!task.Holds.All(h => held.Count(x => x.Equipment == h.Equipment && Ends(x) > now) < problem.CountOf(h.Equipment)))
                return null;
            for (var g = 0; g < problem.Groups[i].Count; g++)
            {
                // Steps are placed in the order of time: who is free now has nothing later.
                var (group, hours) = (problem.Groups[i][g], problem.Hours[i][g]);
                if (group.Any(p => free[p] > now) || hours.Span(now, task.Hands, task.OverBreaks) is not { } span)
                    continue;
                var end = now + span;
                if (task.Stays && end + task.Wait > hours.StayEnds(end))
                    continue;
                if (problem.SupplyW is { } watts && TooMuch(task, now, end, watts))
                    return null;
                return new PlacedTask(task.Id, now, end, end + task.Wait, group);
            }
            return null;
        }

        int Ends((string Equipment, string? Until, int Task) hold) => hold.Until is null ? placed[hold.Task]!.WaitEnd
            : placed[problem.Index[hold.Until]]?.End ?? int.MaxValue;

        bool TooMuch(WorkTask task, int start, int end, double watts)
        {
            var edges = drawing.SelectMany(i => new[] { placed[i]!.Start, placed[i]!.End }).Where(m => m > start && m < end + task.Wait)
                .Append(start).Append(end);
            return edges.Any(m => m < end + task.Wait && Drawn(m) + (m < end ? task.HandsW : task.WaitW) > watts);
        }

        double Drawn(int minute) => drawing.Sum(i => minute >= placed[i]!.Start && minute < placed[i]!.End ? problem.Tasks[i].HandsW
            : minute >= placed[i]!.End && minute < placed[i]!.WaitEnd ? problem.Tasks[i].WaitW : 0);
    }
}

/// <summary>An independent look at a schedule: every rule that it breaks, in words.</summary>
public static class ScheduleChecker
{
    public static IReadOnlyList<string> Breaches(ScheduleProblem problem, WorkSchedule schedule)
    {
        var said = new List<string>();
        var by = schedule.Tasks.ToDictionary(t => t.Task);
        foreach (var task in problem.Tasks)
        {
            var p = by[task.Id];
            foreach (var e in task.After)
                if (p.Start < (e.AfterWait ? by[e.Task].WaitEnd : by[e.Task].End) + e.Lag && task.Known is null)
                    said.Add($"{task.Id} begins before {e.Task} is over");
            if (task.Known is not null)
                continue;
            if (p.Start < task.NotBefore)
                said.Add($"{task.Id} begins too early");
            if (p.People.Distinct().Count() != task.Crew || !p.People.Any(w => problem.People[w].Leads(task.Skill)))
                said.Add($"{task.Id} is not manned as it must be");
            var hours = problem.CalendarOf(task, p.People);
            if (hours.Span(p.Start, task.Hands, task.OverBreaks) is not { } span || p.End != p.Start + span || p.WaitEnd != p.End + task.Wait)
                said.Add($"{task.Id} does not fit its hours");
            else if (task.Stays && p.WaitEnd > hours.StayEnds(p.End))
                said.Add($"nobody is there when the wait of {task.Id} ends");
        }
        for (var i = 0; i < schedule.Tasks.Count; i++)
            for (var j = 0; j < i; j++)
            {
                var (a, b) = (schedule.Tasks[i], schedule.Tasks[j]);
                if (a.Start < b.End && b.Start < a.End && a.People.Intersect(b.People).Any())
                    said.Add($"somebody is at {a.Task} and at {b.Task} at once");
            }
        foreach (var equipment in problem.Tasks.SelectMany(t => t.Holds).GroupBy(h => h.Equipment))
        {
            var holds = problem.Tasks.SelectMany(t => t.Holds.Where(h => h.Equipment == equipment.Key)
                .Select(h => (by[t.Id].Start, End: h.Until is null ? by[t.Id].WaitEnd : by[h.Until].End))).ToList();
            if (holds.Any(h => holds.Count(o => o.Start <= h.Start && o.End > h.Start) > problem.CountOf(equipment.Key)))
                said.Add($"{equipment.Key} is in two places at once");
        }
        if (problem.SupplyW is { } watts)
            foreach (var minute in schedule.Tasks.SelectMany(t => new[] { t.Start, t.End }).Distinct())
                if (problem.Tasks.Sum(t => by[t.Id] is var p && minute >= p.Start && minute < p.End ? t.HandsW
                    : minute >= by[t.Id].End && minute < by[t.Id].WaitEnd ? t.WaitW : 0) > watts + 1e-9)
                    said.Add($"more than {watts:0} W at minute {minute}");
        return said;
    }
}
