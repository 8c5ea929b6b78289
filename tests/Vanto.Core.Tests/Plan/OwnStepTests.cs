using CsCheck;
using Vanto.Core.Job;
using Vanto.Core.Plan;
using Vanto.Core.Tests.Job;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Plan;

/// <summary>Steps that only one job has. The product's own rules.</summary>
public class OwnStepTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" } };

    private static JobDesign With(params OwnStepDesign[] own) => Van with { Plan = Van.Plan with { Own = own } };

    private static PlanStep Step(PlanAssessment plan, string id) => plan.Steps.Single(s => s.Id == id);

    [Fact]
    public void It_stands_between_the_two_it_names_and_is_led_on_site_with_its_own_tick()
    {
        var found = Assessor.Assess(With(new OwnStepDesign
        {
            Name = "Take the bookcase down",
            After = "site-brief",
            Before = "isolate-prove",
            HandsMin = 40,
            WaitMin = 30,
            Check = "Screws in the marked bag",
        }));
        var plan = found.Plan!;
        var own = Step(plan, "own-take-the-bookcase-down");
        own.Start!.Value.ShouldBeGreaterThanOrEqualTo(Step(plan, "site-brief").End!.Value);
        (own.End!.Value - own.Start.Value).ShouldBeGreaterThanOrEqualTo(40);
        (own.WaitEnd!.Value - own.End.Value).ShouldBe(30);
        Step(plan, "isolate-prove").Start!.Value.ShouldBeGreaterThanOrEqualTo(own.WaitEnd.Value);
        plan.Edges.ShouldContain(new PlanEdge("own-take-the-bookcase-down", "isolate-prove"));
        plan.PersonMin.ShouldBe(Assessor.Assess(Van).Plan!.PersonMin + 40, 1e-6);
        var led = found.Install!.Steps.Single(s => s.Id == own.Id);
        led.Gate.Single().Words.ShouldBe("Screws in the marked bag");
        led.Stage.ShouldBe(StageWords.Of("arrive"));
    }

    [Fact]
    public void Two_of_one_name_are_two_steps_and_one_without_a_place_is_free()
    {
        var plan = Assessor.Assess(With(new OwnStepDesign { Name = "Sweep", After = "" }, new OwnStepDesign { Name = "sweep!", After = "no-such-step" })).Plan!;
        Step(plan, "own-sweep").Start.ShouldNotBeNull();
        Step(plan, "own-sweep-2").Start.ShouldNotBeNull();
    }

    [Fact]
    public void A_circle_is_told_and_the_wish_left_out()
    {
        var design = With(new OwnStepDesign { Name = "Odd", After = "clean-up", Before = "arrive-park" });
        var plan = Assessor.Assess(design).Plan!;
        plan.Ends.ShouldNotBeNull();
        var told = plan.Findings.Single(f => f.Code == "own.circle");
        var mended = WaysOutTests.Applied(design, told.Remedies.Single().Changes);
        mended.Plan.Own.Single().ShouldBe(design.Plan.Own.Single() with { Before = "" });
        Assessor.Assess(mended).Plan!.Findings.ShouldNotContain(f => f.Code == "own.circle");
    }

    /// <summary>Whatever is wished for, the job is laid out: every step once, none before what it comes after, none lost.</summary>
    [Fact]
    public void Any_own_steps_leave_a_job_that_can_be_laid_out()
    {
        string[] ids = ["", "nowhere", .. TaskLibrary.Standard.Tasks.Select(t => t.Id)];
        var own = Gen.Select(Gen.OneOfConst(ids), Gen.OneOfConst(ids), Gen.OneOfConst("A", "B", "", "  ", "wash it"), Gen.Double[4, 120],
            (after, before, name, hands) => new OwnStepDesign { After = after, Before = before, Name = name, HandsMin = hands });
        Gen.Select(Gen.OneOfConst([.. AnyDesign.Named.Values]), own.Array[1, 8]).Each((rig, steps) =>
        {
            var assessed = Assessor.Assess(rig);
            if (PlanStation.Setting(rig, assessed) is not { } s)
                return;
            var plain = TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard);
            var net = TaskNetwork.Expand(s.With(s.Design with { Own = steps }).Shape(), TaskLibrary.Standard);
            net.Steps.Count.ShouldBe(plain.Steps.Count + steps.Length);
            net.Steps.Select(x => x.Id).ShouldBeUnique();
            var seen = new HashSet<string>();
            foreach (var x in net.Steps)
            {
                x.After.ShouldAllBe(e => seen.Contains(e.Step));
                seen.Add(x.Id);
            }
            foreach (var (design, made) in steps.Zip(OwnSteps.Of(steps, TaskLibrary.Standard)))
                if (!net.Circles.Contains(made.Task.Id) && net.Steps.Any(x => x.Task.Id == design.Before))
                    net.Steps.Where(x => x.Task.Id == design.Before).ShouldAllBe(x => x.After.Any(e => e.Step == made.Task.Id));
        }, iter: 60);
    }
}
