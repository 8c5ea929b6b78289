using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Core.Install;

/// <summary>
/// The plan again from now: what is done, runs or waits stands as the log has it, what is open is placed anew by the solver. Day 0 is today.
/// </summary>
public static class Replan
{
    /// <summary>Hands of a running step that has used up its likely time go on for so long, min; the product's own choice.</summary>
    private const int StillMin = 5;

    private const double MsPerMin = 60000;

    /// <summary>Works it out.</summary>
    /// <param name="design">The job.</param>
    /// <param name="assessed">Its assessment.</param>
    /// <param name="log">Events of the work on site.</param>
    /// <param name="now">This moment with the offset of the site's clock.</param>
    /// <param name="stop">Ends it.</param>
    /// <returns>An empty result where nothing can be planned; its findings have no ways out, since those are tried from the first day on.</returns>
    public static PlanStudyResult Of(JobDesign design, JobAssessment assessed, IReadOnlyList<InstallRecord> log, DateTimeOffset now,
        CancellationToken stop = default)
    {
        if (PlanStation.Setting(design, assessed) is not { } planned)
            return new PlanStudyResult(null, ScheduleProof.Rule, 0, []);
        var s = planned.With(planned.Design with { When = planned.Design.When with { FirstDay = now.ToString("yyyy-MM-dd") } });
        var net = TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard);
        var problem = FromNow(s.Problem(net), EventFold.Fold(log, (_, _) => []), s, now);
        if (problem.Tasks.All(t => t.Known is { People.Count: 0 }) || problem.Hopeless() is not null || SerialSchedule.Of(problem) is not { } quick)
            return new PlanStudyResult(null, ScheduleProof.Rule, 0, []);
        var solved = Scheduler.Solve(problem, stop);
        stop.ThrowIfCancellationRequested();
        var plan = new PlanMaker(s, net, problem).Made(solved.Schedule, null, solved);
        var left = problem.Tasks.Where(t => t.Known is null).ToList();
        var told = Phrase.Of($"{Calls.Many(left.Count, "step")} to begin, {Readable.Span(left.Sum(t => t.Hands * t.Crew))} of hands.");
        return new PlanStudyResult(plan with
        {
            Findings = [.. plan.Findings.Select(f => f with { Remedies = [] })],
            Verdict = plan.Verdict with { Detail = told },
        }, solved.Proof, quick.Ends - solved.Schedule.Ends, []);
    }

    /// <summary>The problem with everything in it that has begun.</summary>
    /// <param name="problem">Of the whole job, its minutes from the midnight before now.</param>
    /// <param name="log">What happened.</param>
    /// <param name="s">The setting; its hours begin a day.</param>
    /// <param name="now">This moment.</param>
    public static ScheduleProblem FromNow(ScheduleProblem problem, FoldedLog log, PlanSetting s, DateTimeOffset now)
    {
        var midnight = new DateTimeOffset(now.Date, now.Offset);
        int Minute(double ms) => Math.Max(0, (int)Math.Ceiling((ms - midnight.ToUnixTimeMilliseconds()) / MsPerMin));
        var at = Minute(now.ToUnixTimeMilliseconds());
        var from = Math.Max(at, (int)(s.Design.When.From * 60));
        WorkTask Placed(WorkTask t, int index)
        {
            var f = log.Steps.GetValueOrDefault(t.Id) ?? new FoldedStep(t.Id);
            var spent = (int)Math.Round((f.HandsMs + (f.RunningSinceMs is { } since ? Math.Max(0, now.ToUnixTimeMilliseconds() - since) : 0)) / MsPerMin);
            var left = Math.Max(StillMin, t.Hands - spent);
            int[] by = [.. problem.People.Select((p, i) => (p.Name, i)).Where(p => p.Name == f.By).Select(p => p.i)];
            IReadOnlyList<int> who = by.Length > 0 ? by
                : problem.Groups[index].Count > 0 ? problem.Groups[index][0] : [];
            return f.State switch
            {
                SiteState.Done or SiteState.Skipped => t with { Known = new PlacedTask(t.Id, 0, 0, 0, []) },
                SiteState.Running => t with { Known = new PlacedTask(t.Id, Math.Min(at, Minute(f.FirstStartMs ?? 0)), at + left, at + left + t.Wait, who) },
                SiteState.Waiting => t with
                {
                    Known = new PlacedTask(t.Id, 0, Math.Min(at, Minute(f.HandsOffMs ?? 0)), Math.Max(at, Minute((f.HandsOffMs ?? 0) + t.Wait * MsPerMin)), []),
                },
                SiteState.Paused => t with { Hands = left, NotBefore = Math.Max(t.NotBefore, from) },
                _ => t with { NotBefore = Math.Max(t.NotBefore, from) },
            };
        }

        return new ScheduleProblem([.. problem.Tasks.Select(Placed)], problem.People, problem.Equipment, problem.SupplyW);
    }
}
