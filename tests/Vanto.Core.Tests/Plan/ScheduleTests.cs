using CsCheck;
using Vanto.Core.Findings;
using Vanto.Core.Plan;

namespace Vanto.Core.Tests.Plan;

/// <summary>
/// Four jobs whose best schedule is proven by an exhaustive search over schedules that start at events, confirmed by a second solver;
/// the figures come from there.
/// </summary>
public class ScheduleTests
{
    private static readonly HashSet<string> All = ["electrician", "handler"];

    private static WorkTask T(string id, int hands, int wait = 0, string after = "", string skill = "", bool stays = false, int crew = 1, string holds = "",
        double w = 0, double waitW = 0, WorkCalendar? allowed = null, bool over = true) => new(id, hands, wait,
        [.. after.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(a => a.Split('+') is [var t, var lag] ? new WorkEdge(t, true,
            int.Parse(lag)) : new WorkEdge(a))])
        {
            Skill = skill,
            Stays = stays,
            Crew = crew,
            HandsW = w,
            WaitW = waitW,
            Allowed = allowed,
            OverBreaks = over,
            Holds = [.. holds.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(h => new WorkHold(h.Split('>')[0], h.Split('>')[1]))],
        };

    private static Worker One(WorkCalendar? hours = null) => new("Wren", All, hours ?? WorkCalendar.Always);

    private static WorkTask[] A(int vacuum = 30) =>
    [
        T("setout", 20), T("joints", 30, 0, "setout", "handler"), T("vac-run", 5, vacuum, "joints", "handler", true, holds: "pump>isolate"),
        T("isolate", 5, 15, "vac-run", "handler"), T("wiring", 40, 0, "setout", "electrician"), T("test", 10, 0, "wiring", "electrician"),
        T("open", 10, 0, "isolate test", "handler"), T("start", 10, 15, "open", "electrician", true), T("measure", 15, 0, "start", "electrician"),
        T("cover", 20, 0, "open"),
    ];

    private static WorkTask[] B() =>
    [
        T("bracket", 30), T("lift", 20, 0, "bracket", crew: 2), T("drill", 25, w: 1100), T("head", 15, 0, "drill", crew: 2),
        T("jointsA", 20, 0, "lift head", "handler"), T("jointsB", 20, 0, "lift head", "handler"),
        T("vacA", 5, 30, "jointsA", "handler", holds: "pump>isoA", w: 400, waitW: 400), T("isoA", 5, 15, "vacA", "handler"),
        T("vacB", 5, 30, "jointsB", "handler", holds: "pump>isoB", w: 400, waitW: 400), T("isoB", 5, 15, "vacB", "handler"),
        T("wire", 45, 0, "lift head", "electrician"), T("shrink", 20, 0, "wire", w: 1200), T("finish", 25, 0, "isoA isoB shrink+10", crew: 2),
    ];

    private static readonly Worker H = new("Ottoline", new HashSet<string> { "handler" }, WorkCalendar.Always);
    private static readonly Worker E = new("Piet", new HashSet<string> { "electrician" }, WorkCalendar.Always);

    private static ScheduleProblem C(bool barred = true, int to = 1020)
    {
        var roof = new WorkCalendar(Enumerable.Range(0, 3).SelectMany(d => barred
            ? [new(d * 1440 + 420, d * 1440 + 720, false), new(d * 1440 + 960, d * 1440 + 1140, false)]
            : new WorkWindow[] { new(d * 1440 + 420, d * 1440 + 1140, false) }));
        WorkTask[] tasks =
        [
            T("access", 20, allowed: roof), T("feet", 90, 240, "access", allowed: roof), T("modules", 75, 0, "feet", allowed: roof, over: false),
            T("bracket", 60), T("wiring", 150, 0, "", "electrician"), T("joints", 45, 0, "bracket", "handler"),
            T("vac-run", 5, 30, "joints", "handler", true, holds: "pump>isolate"), T("isolate", 5, 60, "vac-run", "handler"),
            T("open", 15, 0, "isolate wiring", "handler"), T("land", 20, 0, "modules wiring", "electrician"), T("start", 30, 0, "open land", "electrician"),
        ];
        return new ScheduleProblem([.. tasks.Select(t => t with { NotBefore = 480 })], [One(WorkCalendar.Daily(3, 480, to, 720, 30))]);
    }

    private static int Best(ScheduleProblem problem)
    {
        var solved = Scheduler.Solve(problem);
        solved.Proof.ShouldBe(ScheduleProof.Proven);
        solved.Bound.ShouldBe(solved.Schedule.Ends);
        ScheduleChecker.Breaches(problem, solved.Schedule).ShouldBeEmpty();
        var quick = SerialSchedule.Of(problem)!;
        ScheduleChecker.Breaches(problem, quick).ShouldBeEmpty();
        ScheduleBounds.Of(problem).ShouldAllBe(b => b.Minutes <= solved.Schedule.Ends);
        quick.Ends.ShouldBeGreaterThanOrEqualTo(solved.Schedule.Ends);
        return solved.Schedule.Ends;
    }

    [Fact]
    public void One_fitter_and_a_pump()
    {
        var problem = new ScheduleProblem(A(), [One()]);
        SerialSchedule.Of(problem)!.Ends.ShouldBe(170);
        Best(problem).ShouldBe(170);
        Bound(problem, "path").ShouldBe(155);
        Bound(problem, "crew").ShouldBe(165);
        Bound(problem, "pump").ShouldBe(155);
        Best(new ScheduleProblem(A(45), [One()])).ShouldBe(175);
        Best(new ScheduleProblem(A(), [One(), new Worker("Wim", new HashSet<string>(), WorkCalendar.Always)])).ShouldBe(165);
    }

    private static int Bound(ScheduleProblem problem, string why) => ScheduleBounds.Of(problem).Single(b => b.Why == why).Minutes;

    [Fact]
    public void Two_people_one_pump_and_little_power()
    {
        var problem = new ScheduleProblem(B(), [H, E], supplyW: 1500);
        SerialSchedule.Of(problem)!.Ends.ShouldBe(245);
        Best(problem).ShouldBe(215);
        (Bound(problem, "path"), Bound(problem, "crew"), Bound(problem, "electrician"), Bound(problem, "handler"), Bound(problem, "power"),
            Bound(problem, "pump")).ShouldBe((150, 165, 150, 175, 53, 190));
        Best(new ScheduleProblem(B(), [H, E], supplyW: 3000)).ShouldBe(205);
        var two = new Dictionary<string, int> { ["pump"] = 2 };
        Best(new ScheduleProblem(B(), [H, E], two, 1500)).ShouldBe(200);
        Best(new ScheduleProblem(B(), [H, E], two, 3000)).ShouldBe(190);
        Best(new ScheduleProblem(B(), [H with { Skills = All }, E with { Skills = All }], supplyW: 1500)).ShouldBe(215);
    }

    [Fact]
    public void Days_with_a_break_and_a_roof_too_hot_at_noon()
    {
        SerialSchedule.Of(C())!.Ends.ShouldBe(2045);
        Best(C()).ShouldBe(2045);
        Bound(C(), "path").ShouldBe(480 + 475);
        Bound(C(), "crew").ShouldBe(480 + 515);
        Best(C(to: 1110)).ShouldBe(1085);
        Best(C(barred: false)).ShouldBe(1950);
        Best(C(false, 1110)).ShouldBe(1025);
    }

    [Fact]
    public void What_is_done_stays_and_the_rest_is_planned_from_now()
    {
        ScheduleProblem From(int now, int wiringEnds) => new([.. A().Select(t => t.Id switch
        {
            "setout" => t with { Known = new PlacedTask(t.Id, 0, 25, 25, [0]) },
            "joints" => t with { Known = new PlacedTask(t.Id, 25, 62, 62, [0]) },
            "vac-run" => t with { Known = new PlacedTask(t.Id, 62, 67, 97, [0]) },
            "wiring" => t with { Known = new PlacedTask(t.Id, 67, wiringEnds, wiringEnds, [0]) },
            _ => t with { NotBefore = now },
        })], [One()]);
        Scheduler.Solve(From(70, 107)).Schedule.Ends.ShouldBe(182);
        Scheduler.Solve(From(120, 127)).Schedule.Ends.ShouldBe(202);
    }

    [Fact]
    public void What_cannot_be_planned_says_why()
    {
        string Why(ScheduleProblem p) => Should.Throw<InputException>(() => Scheduler.Solve(p)).Message;
        Why(new ScheduleProblem(A(), [E])).ShouldContain("nobody of the crew");
        Why(new ScheduleProblem(B(), [One()])).ShouldContain("takes 2 people");
        Why(new ScheduleProblem(B(), [H, E], supplyW: 1000)).ShouldContain("1100 W");
        Why(new ScheduleProblem(A(), [One(WorkCalendar.Daily(5, 480, 500))])).ShouldContain("fits in no stretch");
        Should.Throw<InputException>(() => new ScheduleProblem([T("long", 600)], [One()])).Message.ShouldContain("long: hands");
        Should.Throw<InputException>(() => new ScheduleProblem([T("a", 5, 0, "b")], [One()])).Message.ShouldContain("no step b");
        Should.Throw<InputException>(() => new ScheduleProblem([T("a", 5, 0, "b"), T("b", 5, 0, "a")], [One()]).Ordered()).Message.ShouldContain("circle");
    }

    /// <summary>Small jobs against a search of every order: each order's steps as early as they can go holds the best one.</summary>
    [Fact]
    public void Small_jobs_end_as_early_as_any_order_of_their_steps() =>
        Gen.Select(Gen.Select(Gen.Int[1, 30], Gen.Int[0, 40], Gen.Int[0, 63], Gen.Int[0, 2]).Array[2, 5], Gen.Bool).Each((steps, pump) =>
        {
            WorkTask[] tasks = [.. steps.Select((s, i) => new WorkTask($"t{i}", s.Item1, s.Item2,
                [.. Enumerable.Range(0, i).Where(j => (s.Item3 >> j & 3) == 3).Select(j => new WorkEdge($"t{j}"))])
            {
                Skill = s.Item4 == 1 ? "handler" : s.Item4 == 2 ? "electrician" : "",
                Holds = pump && i % 2 == 0 ? [new WorkHold("pump", null)] : [],
            })];
            var problem = new ScheduleProblem(tasks, [H, E]);
            Best(problem).ShouldBe(Orders(problem));
        }, iter: 40);

    private static int Orders(ScheduleProblem problem)
    {
        var best = int.MaxValue;
        void Go(List<PlacedTask> placed)
        {
            if (placed.Count == problem.Tasks.Count)
            {
                best = Math.Min(best, placed.Max(p => p.End));
                return;
            }
            for (var i = 0; i < problem.Tasks.Count; i++)
            {
                var task = problem.Tasks[i];
                if (placed.Any(p => p.Task == task.Id) || !task.After.All(e => placed.Any(p => p.Task == e.Task)))
                    continue;
                foreach (var group in problem.Groups[i])
                {
                    var from = task.After.Select(e => placed.Single(p => p.Task == e.Task).WaitEnd).Append(0).Max();
                    // In some order every step of the best schedule begins when something ends.
                    foreach (var start in placed.SelectMany(p => new[] { p.End, p.WaitEnd }).Append(from).Where(m => m >= from).Distinct())
                        if (placed.All(p => (start >= p.End || start + task.Hands <= p.Start || !p.People.Intersect(group).Any())
                            && (task.Holds.Count == 0 || problem.Tasks[problem.Index[p.Task]].Holds.Count == 0
                                || start >= p.WaitEnd || start + task.Hands + task.Wait <= p.Start)))
                            Go([.. placed, new PlacedTask(task.Id, start, start + task.Hands, start + task.Hands + task.Wait, group)]);
                }
            }
        }

        Go([]);
        return best;
    }

    [Fact]
    public void More_hands_never_make_it_longer_and_a_longer_wait_never_shorter() => Gen.Select(Gen.Int[5, 60], Gen.Int[1, 20]).Each((vacuum, more) =>
    {
        var ends = Best(new ScheduleProblem(A(vacuum), [One()]));
        Best(new ScheduleProblem(A(vacuum), [One(), One()])).ShouldBeLessThanOrEqualTo(ends);
        Best(new ScheduleProblem(A(vacuum + more), [One()])).ShouldBeGreaterThanOrEqualTo(ends);
        Best(new ScheduleProblem([.. A(vacuum).Reverse()], [One()])).ShouldBe(ends);
    }, iter: 12);

    /// <summary>A wall split of the whole library by one fitter with the owner on call: proven by two solvers to end at 17:16.</summary>
    [Fact]
    public void A_wall_split_is_done_in_a_day()
    {
        var net = TaskNetwork.Expand(new JobShape(["split-wall"], new Dictionary<string, string>(), new Dictionary<string, double>()), TaskLibrary.Standard);
        var there = net.Steps.Where(s => s.OnSite).ToList();
        var hours = new WorkCalendar([new(525, 750, false), new(780, 1260, true)]);
        var tasks = StepTasks.Of(there);
        tasks.Sum(t => t.Hands).ShouldBe(481);
        var problem = new ScheduleProblem(tasks, [One(hours), new Worker("owner", new HashSet<string>(), hours, true)]);
        Best(problem).ShouldBe(17 * 60 + 16);
    }
}
