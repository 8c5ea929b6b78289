using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Plan;

/// <summary>Replacing a split, laying up and waking; the crew of one; rain; refrigerants that burn. Common practice, no published source.</summary>
public class JobKindTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" },
        Plan = new PlanDesign { When = new WhenDesign { FirstDay = "2027-03-02", OutOfHeat = false, To = 19 } },
    };

    private static JobDesign With(WorkKind work, Func<MethodDesign, MethodDesign>? method = null, UnitSheetDesign? sheet = null) => Van with
    {
        Unit = Van.Unit with { Work = work, Sheets = sheet is null ? [] : [sheet with { Unit = Van.Unit.Chosen }] },
        Plan = Van.Plan with { Method = (method ?? (m => m))(Van.Plan.Method) },
    };

    private static PlanAssessment Planned(JobDesign job) => Assessor.Assess(job).Plan!;

    private static List<string> Ids(PlanAssessment plan) => [.. plan.Steps.Select(x => x.Id.Split('#')[0])];

    private static PlanStep Step(PlanAssessment plan, string id) => plan.Steps.Single(x => x.Id.Split('#')[0] == id);

    [Fact]
    public void A_split_is_replaced_after_its_charge_is_recovered_by_a_handler()
    {
        var plan = Planned(With(WorkKind.ReplaceSplit));
        Step(plan, "old-recover").Skill.ShouldBe("handler");
        Step(plan, "old-split-off").Start!.Value.ShouldBeGreaterThanOrEqualTo(Step(plan, "old-recover").WaitEnd!.Value);
        Step(plan, "lift-outdoor").Start!.Value.ShouldBeGreaterThanOrEqualTo(Step(plan, "old-split-off").End!.Value);
        plan.Tools.Select(t => t.Id).ShouldContain("recovery-machine");
        Ids(plan).ShouldNotContain("old-lines");
        Ids(Planned(With(WorkKind.ReplaceSplit, m => m with { ChargeLost = true }))).ShouldNotContain("old-recover");
        Ids(Planned(With(WorkKind.Fit))).ShouldNotContain("old-split-off");
    }

    [Fact]
    public void Old_pipes_that_stay_are_judged_and_none_is_bought()
    {
        var plan = Planned(With(WorkKind.ReplaceSplit, m => m with { LinesThere = true }));
        Ids(plan).ShouldNotContain("line-bend");
        Step(plan, "joint-tighten").Start!.Value.ShouldBeGreaterThanOrEqualTo(Step(plan, "old-lines").End!.Value);
        plan.Buy.Where(b => !b.Nothing).Select(b => b.Id).ShouldNotContain(id => id == "pipe-coil" || id == "line-set");
        Planned(With(WorkKind.ReplaceSplit)).Buy.ShouldContain(b => b.Id == "pipe-coil" || b.Id == "line-set");
        Ids(Planned(With(WorkKind.Fit, m => m with { LinesThere = true }))).ShouldContain("line-bend");
    }

    [Fact]
    public void A_unit_is_laid_up_dry_and_woken_warm()
    {
        var laid = Assessor.Assess(With(WorkKind.LayUp));
        Ids(laid.Plan!).ShouldBe(["load-van", "arrive-park", "site-brief", "record-before", "lay-dry", "lay-clean", "lay-drain", "lay-breaker", "lay-cover",
            "clean-up", "owner-show"], ignoreOrder: true);
        laid.Plan!.Buy.Where(b => !b.Nothing).Select(b => b.Id).ShouldBe(["unit-cover"]);
        laid.Commission!.NotOpened!.ToString().ShouldContain("for the winter");
        laid.Faults.ShouldBeEmpty();
        var woken = Planned(With(WorkKind.Wake));
        (Step(woken, "wake-start").Start!.Value - Step(woken, "wake-heat").End!.Value).ShouldBeGreaterThanOrEqualTo(12 * 60);
        woken.Ends.ShouldNotBeNull();
    }

    [Theory]
    [InlineData(RefrigerantKind.R410A, "vacuum-pump", false)]
    [InlineData(RefrigerantKind.R32, "vacuum-pump-safe", true)]
    [InlineData(RefrigerantKind.R290, "vacuum-pump-safe", true)]
    public void Tools_follow_the_class_of_the_refrigerant(RefrigerantKind kind, string pump, bool alarm)
    {
        var plan = Planned(With(WorkKind.Fit, m => m with { ExtraCharge = true, Leak = LeakSchool.Detector },
            new UnitSheetDesign { Circuit = new CircuitSheet { Refrigerant = kind } }));
        plan.Tools.Select(t => t.Id).Where(id => id.StartsWith("vacuum-pump", StringComparison.Ordinal)).ShouldBe([pump]);
        foreach (var burning in new[] { "gas-alarm", "leak-detector-safe", "cylinder-adapter" })
            plan.Tools.Any(t => t.Id == burning).ShouldBe(alarm, burning);
        plan.Tools.Any(t => t.Id == "leak-detector").ShouldBe(!alarm);
    }

    [Fact]
    public void Who_has_no_licence_for_what_burns_does_not_lead_it()
    {
        PlanAssessment Led(RefrigerantKind kind) => Planned(With(WorkKind.Fit, sheet: new UnitSheetDesign
        {
            Circuit = new CircuitSheet { Refrigerant = kind },
        }) with
        {
            Plan = Van.Plan with { Crew = [new CrewDesign { Flammable = false }, new CrewDesign { Name = "owner", Licence = Licence.None, Helper = true }] },
        });
        Led(RefrigerantKind.R32).Findings.Single(f => f.Code == "crew.no-skill").Words.ToString().ShouldContain("a refrigerant that burns");
        Led(RefrigerantKind.R410A).Findings.ShouldNotContain(f => f.Code == "crew.no-skill");
    }

    [Fact]
    public void One_alone_does_what_is_light_and_off_the_ladder()
    {
        JobDesign One(double outdoorKg, OutdoorPlace place) => With(WorkKind.Fit, sheet: new UnitSheetDesign
        {
            Head = new HeadSheet { MassKg = 9 },
            Outdoor = new OutdoorSheet { MassKg = outdoorKg },
        }) with
        {
            Plan = Van.Plan with { Crew = [new CrewDesign()] },
            Layout = Van.Layout with { Head = Van.Layout.Head with { LowM = 1.4 }, Outdoor = Van.Layout.Outdoor with { Place = place } },
        };
        var two = Planned(One(22, OutdoorPlace.RearFrame) with { Plan = Van.Plan });
        var light = Planned(One(22, OutdoorPlace.RearFrame));
        light.Findings.Select(f => f.Code).ShouldNotContain("crew.two");
        var caution = light.Findings.Single(f => f.Code == "crew.alone");
        caution.Level.ShouldBe(Severity.Caution);
        Step(light, "lift-outdoor").HandsMin.ShouldBe(AloneSteps.Longer * Step(two, "lift-outdoor").HandsMin, 1);
        light.Ends.ShouldNotBeNull();
        var alone = One(22, OutdoorPlace.RearFrame);
        var helped = Planned(alone with { Plan = caution.Remedies[0].Edit.Apply(alone.Plan) });
        helped.Findings.ShouldNotContain(f => f.Code == "crew.alone" || f.Code == "crew.two");
        Planned(One(24, OutdoorPlace.RearFrame)).Findings.Single(f => f.Code == "crew.two").Words.ToString().ShouldContain("Lift the outdoor unit on");
        Planned(One(22, OutdoorPlace.Roof)).Findings.ShouldContain(f => f.Code == "crew.two");
    }

    [Fact]
    public void What_must_stay_dry_or_calm_waits_for_the_hour()
    {
        PlanAssessment Under(params OutlookDesign[] outlook) => Planned(Van with { Plan = Van.Plan with { Outlook = outlook } });
        var fair = Under();
        fair.Findings.ShouldContain(f => f.Code == "outlook.none");
        var tasks = TaskLibrary.Standard;
        var rain = Under(new OutlookDesign { Day = 1, Wet = true });
        rain.Findings.ShouldNotContain(f => f.Code == "outlook.none");
        var kept = rain.Steps.Where(x => x.Start is not null && tasks.Task(x.Id.Split('#')[0]).Limits.Dry && x.Place != "inside").ToList();
        kept.ShouldNotBeEmpty();
        kept.ShouldAllBe(x => x.Start >= WorkCalendar.Day);
        rain.Ends!.Value.ShouldBeGreaterThan(fair.Ends!.Value);
        var wind = Under(new OutlookDesign { Day = 1, Wet = false, WindMs = 9, From = 0, To = 15 });
        Step(wind, "lift-outdoor").Start!.Value.ShouldBeGreaterThanOrEqualTo(15 * 60);
        Step(Under(new OutlookDesign { Day = 1, Wet = false, WindMs = 7 }), "lift-outdoor").Start.ShouldBe(Step(fair, "lift-outdoor").Start);
    }

    [Fact]
    public void A_vacuum_by_hand_takes_no_watts_and_hoses_may_come_off_under_it()
    {
        var plan = Planned(With(WorkKind.Fit, m => m with { HandPump = true, HosesUnderVacuum = true }));
        Ids(plan).ShouldContain("vac-hand");
        Ids(plan).ShouldNotContain("vac-run");
        TaskLibrary.Standard.Task("vac-hand").SitePowerW.ShouldBe(0);
        Step(plan, "valves-open").Start!.Value.ShouldBeGreaterThanOrEqualTo(Step(plan, "hoses-off").End!.Value);
        var usual = Planned(With(WorkKind.Fit));
        Step(usual, "hoses-off").Start!.Value.ShouldBeGreaterThanOrEqualTo(Step(usual, "valves-open").End!.Value);
    }

    [Fact]
    public void Where_the_law_asks_for_a_certificate_the_first_joining_waits_for_it()
    {
        var site = Assessor.Assess(With(WorkKind.Fit, m => m with { CertifiedJoining = true })).Install!;
        site.Steps.Single(x => x.Id == "hoses-on").Gate.ShouldContain(g => g.Key.Contains("certificate", StringComparison.Ordinal) && g.Override == "never");
        Assessor.Assess(With(WorkKind.Fit)).Install!.Steps.Single(x => x.Id == "hoses-on").Gate
            .ShouldNotContain(g => g.Key.Contains("certificate", StringComparison.Ordinal));
    }
}
