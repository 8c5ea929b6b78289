namespace Vanto.Core.Plan;

/// <summary>Steps of a job as steps of a schedule, in whole minutes, half up.</summary>
public static class StepTasks
{
    private const string Anyone = "anyone";

    /// <summary>Steps by their likely times; an edge to a step that is not among them is dropped.</summary>
    public static IReadOnlyList<WorkTask> Of(IReadOnlyList<JobStep> steps)
    {
        var there = steps.Select(s => s.Id).ToHashSet();
        return [.. steps.Select(s => new WorkTask(s.Id, Whole(s.Hands.Likely), Whole(s.Wait.Likely),
            [.. s.After.Where(e => there.Contains(e.Step)).Select(e => new WorkEdge(e.Step, e.AfterWait, Whole(e.LagMin)))])
        {
            Name = s.Name,
            Crew = s.Task.Crew,
            Skill = s.Task.Skill == Anyone ? "" : s.Task.Skill,
            Holds = [.. s.Holds.Select(h => new WorkHold(h.Equipment, h.Until is { } until && there.Contains(until) ? until : null))],
            HandsW = s.Task.SitePowerW,
            WaitW = s.Task.Wait?.SitePowerW ?? 0,
            Stays = s.Task.Wait is { Presence: "site" },
            OverBreaks = s.Task.Pause == "break",
        })];
    }

    /// <summary>Whole minutes, half up, at least one where there are hands at all.</summary>
    public static int Whole(double minutes) => (int)Math.Floor(minutes + 0.5);
}
