namespace Vanto.Core.Plan;

/// <summary>A time that no schedule can beat, and why.</summary>
/// <param name="Why">crew, path, power, a skill or a piece of equipment.</param>
/// <param name="Minutes">From the begin.</param>
public sealed record ScheduleBound(string Why, int Minutes);

/// <summary>Least lengths of any schedule: preemptive bounds in the manner of Carlier (1982), from memory.</summary>
public static class ScheduleBounds
{
    /// <summary>All of them; the greatest counts.</summary>
    public static IReadOnlyList<ScheduleBound> Of(ScheduleProblem problem)
    {
        var (heads, tails, n) = (problem.Heads(), problem.Tails(), problem.Tasks.Count);
        var bounds = new List<ScheduleBound>
        {
            new("path", Enumerable.Range(0, n).Max(i => heads[i] + problem.Tasks[i].Hands + tails[i])),
            new("crew", Most([.. problem.Tasks.Select((t, i) => (heads[i], tails[i], (double)t.Hands * t.Crew))], Math.Max(1, problem.People.Count))),
        };
        foreach (var skill in problem.Tasks.Select(t => t.Skill).Where(s => s.Length > 0).Distinct())
            bounds.Add(new ScheduleBound(skill, Most([.. problem.Tasks.Select((t, i) => (heads[i], tails[i], t.Skill == skill ? t.Hands : 0.0))
                .Where(x => x.Item3 > 0)], Math.Max(1, problem.People.Count(p => p.Leads(skill))))));
        if (problem.SupplyW is > 0 and var watts)
            bounds.Add(new ScheduleBound("power", (int)Math.Ceiling(problem.Tasks.Sum(t => t.Hands * t.HandsW + t.Wait * t.WaitW) / watts - 1e-9)));
        foreach (var equipment in problem.Tasks.SelectMany(t => t.Holds).Select(h => h.Equipment).Distinct().Where(e => problem.CountOf(e) == 1))
        {
            var holds = problem.Tasks.SelectMany((t, i) => t.Holds.Where(h => h.Equipment == equipment).Select(h => (i, h.Until))).Select(h =>
            {
                var until = h.Until is null ? h.i : problem.Index[h.Until];
                // What is let go at the end of a wait leaves less behind it than the end of its hands.
                return (heads[h.i], tails[until] - (h.Until is null ? problem.Tasks[h.i].Wait : 0), (double)Least(problem, h.i, h.Until));
            }).ToList();
            bounds.Add(new ScheduleBound(equipment, Most(holds, 1)));
        }
        return bounds;
    }

    /// <summary>Least time that equipment is held: to the end of the wait, or the longest way to the end of another step's hands.</summary>
    private static int Least(ScheduleProblem problem, int from, string? until)
    {
        if (until is null)
            return problem.Tasks[from].Hands + problem.Tasks[from].Wait;
        var far = new int[problem.Tasks.Count];
        Array.Fill(far, int.MinValue);
        far[from] = 0;
        foreach (var i in problem.Ordered())
            foreach (var e in problem.Tasks[i].After)
                if (far[problem.Index[e.Task]] is > int.MinValue and var before && problem.Tasks[problem.Index[e.Task]] is var t)
                    far[i] = Math.Max(far[i], before + t.Hands + (e.AfterWait ? t.Wait : 0) + e.Lag);
        var at = problem.Index[until];
        return far[at] == int.MinValue ? problem.Tasks[from].Hands : far[at] + problem.Tasks[at].Hands;
    }

    private static int Most(IEnumerable<(int Head, int Tail, double Work)> all, int capacity)
    {
        // For every least tail: those that begin last first, one more with each look.
        var most = 0;
        var rows = all.Where(x => x.Work > 0).OrderByDescending(x => x.Head).ToArray();
        foreach (var least in rows.Select(x => x.Tail).Distinct().ToArray())
        {
            var (work, tail) = (0.0, int.MaxValue);
            foreach (var x in rows)
                if (x.Tail >= least)
                {
                    (work, tail) = (work + x.Work, Math.Min(tail, x.Tail));
                    most = Math.Max(most, x.Head + (int)Math.Ceiling(work / capacity - 1e-9) + tail);
                }
        }
        return most;
    }
}
