using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Core.Plan;

/// <summary>The best days by the solver, and what other ways would bring; long work, asked for beside the assessment.</summary>
public static class PlanStudy
{
    /// <summary>Works it out; an empty result where the job cannot be planned yet.</summary>
    /// <param name="design">The job.</param>
    /// <param name="assessed">Its assessment.</param>
    /// <param name="stop">Ends it.</param>
    public static PlanStudyResult Of(JobDesign design, JobAssessment assessed, CancellationToken stop = default)
    {
        if (PlanStation.Setting(design, assessed) is not { } s)
            return new PlanStudyResult(null, ScheduleProof.Rule, 0, []);
        var net = TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard);
        var problem = s.Problem(net);
        if (problem.Hopeless() is not null || SerialSchedule.Of(problem) is not { } quick)
            return new PlanStudyResult(null, ScheduleProof.Rule, 0, Ways(s, null));
        var solved = Scheduler.Solve(problem, stop);
        stop.ThrowIfCancellationRequested();
        return new PlanStudyResult(new PlanMaker(s, net, problem).Made(solved.Schedule, null, solved), solved.Proof, quick.Ends - solved.Schedule.Ends,
            Ways(s, quick.Ends));
    }

    private static List<WhatIf> Ways(PlanSetting s, int? now)
    {
        var ways = new List<WhatIf>();
        void Try(string words, Func<PlanDesign, PlanDesign> change)
        {
            var other = s.With(change(s.Design));
            // What cannot be planned is no way.
            if (PlanFindings.Quick(other)?.Ends is not { } ends)
                return;
            var when = PlanMaker.When(other, ends);
            ways.Add(new WhatIf(words, when, (now ?? ends) - ends,
                new Remedy(Phrase.Of($"{words}"), Phrase.Of($"done {when}"), DesignEdit.Of(s.Design, change))));
        }

        if (s.Design.Crew.Count < PlanDesign.MostCrew)
            Try("a second fitter", p => p.Joined(new CrewDesign { Name = "second fitter" }));
        if (s.Design.When.From >= 7)
            Try("an hour earlier", p => p with { When = p.When with { From = p.When.From - 1 } });
        if (s.Design.When.To <= 21)
            Try("two hours later", p => p with { When = p.When with { To = p.When.To + 2 } });
        if (s.Split && s.Design.Method.Prove == ProveSchool.Nitrogen)
            Try("vacuum only, which sees less", p => p with { Method = p.Method with { Prove = ProveSchool.Vacuum } });
        if (s.Split && s.Design.Method.Flare == FlareSchool.Own)
            Try("factory flares, looked at", p => p with { Method = p.Method with { Flare = FlareSchool.Factory } });
        if (s.Design.When.Pumps == 1 && s.Zones > 1)
            Try("a second vacuum pump", p => p with { When = p.When with { Pumps = 2 } });
        if (s.Design.Crew.Any(c => c.Helper))
            Try("nobody who lends a hand", p => p with { Crew = [.. p.Crew.Where(c => !c.Helper)] });
        return [.. ways.OrderByDescending(w => w.WinsMin)];
    }
}
