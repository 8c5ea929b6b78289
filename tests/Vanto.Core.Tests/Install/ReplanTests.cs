using Vanto.Core.Install;
using Vanto.Core.Job;
using Vanto.Core.Plan;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Install;

/// <summary>The plan again from now: what is done stays, what is open comes after now. The product's own rules.</summary>
public class ReplanTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" } };
    private static readonly JobAssessment Assessed = Assessor.Assess(Van);
    private static readonly DateTimeOffset Midnight = new(2027, 3, 2, 0, 0, 0, TimeSpan.FromHours(2));

    private static DateTimeOffset At(double minute) => Midnight.AddMinutes(minute);

    private static InstallRecord Event(int n, EventType type, string step, double minute, string by = "") =>
        new(Guid.NewGuid(), DateTimeOffset.UnixEpoch, by, new InstallValues
        {
            Type = type,
            Step = step,
            Device = "phone",
            Seq = n,
            L = n,
            AtMs = At(minute).ToUnixTimeMilliseconds(),
        }, null);

    private static (PlanSetting S, TaskNetwork Net, ScheduleProblem Problem, WorkSchedule Quick) Planned()
    {
        var s = PlanStation.Setting(Van, Assessed)!;
        s = s.With(s.Design with { When = s.Design.When with { FirstDay = "2027-03-02" } });
        var net = TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard);
        var problem = s.Problem(net);
        return (s, net, problem, SerialSchedule.Of(problem)!);
    }

    /// <summary>A log in which everything went as the quick plan says, up to a minute.</summary>
    private static List<InstallRecord> AsPlanned(WorkSchedule quick, int now)
    {
        var log = new List<InstallRecord>();
        void Say(EventType type, string step, double minute) => log.Add(Event(log.Count + 1, type, step, minute));
        foreach (var t in quick.Tasks.Where(t => t.Start <= now).OrderBy(t => t.Start))
        {
            Say(EventType.StepStarted, t.Task, t.Start);
            if (t.End > now)
                continue;
            if (t.WaitEnd > t.End)
                Say(EventType.HandsOff, t.Task, t.End);
            if (t.WaitEnd <= now)
                Say(EventType.StepFinished, t.Task, t.WaitEnd);
        }
        return log;
    }

    [Fact]
    public void With_nothing_done_it_is_the_plan_of_that_day()
    {
        var whole = Scheduler.Solve(Planned().Problem);
        var again = Replan.Of(Van, Assessed, [], At(0));
        again.Plan!.Ends.ShouldBe(whole.Schedule.Ends);
    }

    [Theory]
    [InlineData(9 * 60)]
    [InlineData(11 * 60 + 17)]
    [InlineData(14 * 60)]
    [InlineData(16 * 60 + 30)]
    public void What_is_done_stays_and_what_is_open_comes_after_now(int now)
    {
        var (s, _, problem, quick) = Planned();
        var log = AsPlanned(quick, now);
        var folded = EventFold.Fold(log, (_, _) => []);
        var rest = Replan.FromNow(problem, folded, s, At(now));
        var placed = SerialSchedule.Of(rest)!;
        ScheduleChecker.Breaches(rest, placed).ShouldBeEmpty();
        placed.Ends.ShouldBeGreaterThanOrEqualTo(now);
        foreach (var (t, task) in placed.Tasks.Zip(rest.Tasks))
        {
            var state = folded.Steps.GetValueOrDefault(t.Task)?.State ?? SiteState.Open;
            if (state == SiteState.Open)
                t.Start.ShouldBeGreaterThanOrEqualTo(now, t.Task);
            else if (state == SiteState.Done)
                task.Known.ShouldNotBeNull().End.ShouldBeLessThanOrEqualTo(now, t.Task);
            else if (state == SiteState.Waiting)
                t.WaitEnd.ShouldBe(Math.Max(now, quick.Tasks.Single(q => q.Task == t.Task).WaitEnd), t.Task);
        }
        var solved = Replan.Of(Van, Assessed, log, At(now));
        solved.Plan!.Ends!.Value.ShouldBeLessThanOrEqualTo(placed.Ends);
        solved.WonMin.ShouldBeGreaterThanOrEqualTo(0);
        solved.Plan.Findings.ShouldAllBe(f => f.Remedies.Count == 0);
    }

    /// <summary>An hour of rest in the morning costs what it costs, and no step is done twice.</summary>
    [Fact]
    public void A_late_morning_moves_the_end_and_a_finished_step_does_not_come_again()
    {
        var (_, _, _, quick) = Planned();
        var first = quick.Tasks.Where(t => t.End > t.Start).MinBy(t => t.Start)!;
        List<InstallRecord> log = [Event(1, EventType.StepStarted, first.Task, first.Start), Event(2, EventType.StepFinished, first.Task, first.End)];
        var soon = Replan.Of(Van, Assessed, log, At(first.End)).Plan!;
        var late = Replan.Of(Van, Assessed, log, At(first.End + 240)).Plan!;
        late.Ends!.Value.ShouldBeGreaterThan(soon.Ends!.Value);
        late.Steps.Single(x => x.Id == first.Task).People.ShouldBeEmpty();
        late.Blocks.ShouldAllBe(b => b.Day > 0 || b.From >= first.End + 240);
    }

    [Fact]
    public void A_step_that_runs_ends_when_its_likely_time_is_used_up_and_five_minutes_later_after_that()
    {
        var (s, _, problem, quick) = Planned();
        var first = quick.Tasks.Where(t => t.End - t.Start > 6).MinBy(t => t.Start)!;
        PlacedTask Known(int now) => Replan.FromNow(problem, EventFold.Fold([Event(1, EventType.StepStarted, first.Task, first.Start)],
            (_, _) => []), s, At(now)).Tasks.Single(t => t.Id == first.Task).Known!;
        Known(first.Start + 1).End.ShouldBe(first.End);
        Known(first.End + 30).End.ShouldBe(first.End + 35);
    }

    [Fact]
    public void With_everything_done_nothing_is_left_to_plan()
    {
        var (_, _, _, quick) = Planned();
        Replan.Of(Van, Assessed, AsPlanned(quick, int.MaxValue / 2), At(20 * 60)).Plan.ShouldBeNull();
    }
}

/// <summary>Units that a reading may be typed in, against their definitions.</summary>
public class GateUnitTests
{
    [Theory]
    [InlineData("m", "in", 10, 0.254)]
    [InlineData("m", "ft", 10, 3.048)]
    [InlineData("mm", "in", 2, 50.8)]
    [InlineData("degC", "°F", 212, 100)]
    [InlineData("degC", "°F", 32, 0)]
    [InlineData("MPa", "psi", 550, 3.7921165)]
    [InlineData("MPa", "bar", 42, 4.2)]
    [InlineData("Pa", "micron", 500, 66.6612)]
    [InlineData("N·m", "ft·lb", 31, 42.0303)]
    [InlineData("kg", "lb", 1, 0.45359237)]
    [InlineData("mm/m", "in/ft", 0.25, 20.8333)]
    public void A_unit_says_what_it_is(string own, string typed, double value, double inside)
    {
        var unit = GateUnit.Of(own).Single(u => u.Symbol == typed);
        (value * unit.Factor + unit.Offset).ShouldBe(inside, Math.Abs(inside) * 1e-5 + 1e-9);
    }

    [Fact]
    public void Every_gate_of_the_library_takes_its_own_unit_first()
    {
        foreach (var item in TaskLibrary.Standard.Tasks.SelectMany(t => t.Gate.Start.Concat(t.Gate.Finish)).Where(g => g.Kind == "value"))
        {
            var units = GateUnit.Of(item.Unit ?? "");
            units[0].ShouldBe(new GateUnit(GateUnit.Said(item.Unit ?? ""), 1));
            units.Select(u => u.Symbol).ShouldBeUnique();
        }
    }
}
