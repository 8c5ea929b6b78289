using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Plan;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Tests.Plan;

/// <summary>A job's plan as a whole. Common practice, no published source.</summary>
public class PlanStationTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" },
        Plan = new PlanDesign { When = new WhenDesign { FirstDay = "2027-03-02", OutOfHeat = false } },
    };

    private static PlanAssessment Of(Func<PlanDesign, PlanDesign> change, Func<JobDesign, JobDesign>? job = null) =>
        Assessor.Assess((job ?? (j => j))(Van with { Plan = change(Van.Plan) })).Plan!;

    private static Finding Single(PlanAssessment r, string code) => r.Findings.Single(f => f.Code == code);

    private static void HasNot(PlanAssessment r, string code) => r.Findings.ShouldNotContain(f => f.Code == code);

    [Fact]
    public void A_plan_keeps_every_rule_and_says_when_it_ends()
    {
        var assessed = Assessor.Assess(Van);
        var s = PlanStation.Setting(Van, assessed)!;
        var problem = s.Problem(TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard));
        var plan = assessed.Plan!;
        var placed = plan.Steps.Where(x => x.Start is not null).ToDictionary(x => x.Id);
        ScheduleChecker.Breaches(problem, new WorkSchedule([.. problem.Tasks.Select(t => placed[t.Id] is var x
            ? new PlacedTask(t.Id, x.Start!.Value, x.End!.Value, x.WaitEnd!.Value, x.People) : null!)])).ShouldBeEmpty();
        plan.Ends.ShouldBe(placed.Values.Max(x => x.End));
        plan.Kinds.ShouldBe(["Mini-split on a vehicle, rear or underslung"]);
        plan.Verdict.Headline.ToString().ShouldContain("Done on ");
        plan.Days[0].Words.ShouldBe("Tuesday 2027-03-02");
        plan.Blocks.Sum(b => b.Steps.Count).ShouldBe(placed.Values.Sum(x => x.People.Count));
        plan.Steps.Where(x => x.Binds).ShouldNotBeEmpty();
        plan.Waits.ShouldContain(w => w.What == "vacuum run" && w.Meanwhile.Count > 0);
    }

    [Fact]
    public void The_design_says_which_steps_there_are()
    {
        static IEnumerable<string> Ids(PlanAssessment r) => r.Steps.Select(x => x.Id.Split('#')[0]);
        Ids(Of(p => p)).ShouldContain("n2-steps");
        Ids(Of(p => p with { Method = p.Method with { Prove = ProveSchool.Vacuum } })).ShouldNotContain("n2-steps");
        var quick = Of(p => p, j => j with { Layout = j.Layout with { Line = j.Layout.Line with { Kind = LineKind.PreCharged } } });
        Ids(quick).ShouldContain("qc-join");
        Ids(quick).ShouldNotContain("vac-run");
        Ids(Of(p => p, j => j with { Layout = j.Layout with { Drain = j.Layout.Drain with { By = DrainBy.Pump } } })).ShouldContain("pump-test");
        Ids(Of(p => p, j => j with { Unit = j.Unit with { Chosen = "RT-13-115" } })).ShouldContain("gasket-set");
        Ids(Of(p => p, j => j with { Unit = j.Unit with { Work = WorkKind.SoftStarter, Chosen = "RT-13-115" } })).ShouldContain("ss-splice");
        Ids(Of(p => p with { Method = p.Method with { Permit = true } })).ShouldContain("elec-inspection");
    }

    [Fact]
    public void A_step_for_two_is_not_planned_for_one()
    {
        var alone = Of(p => p with { Crew = [p.Crew[0]] });
        var two = Single(alone, "crew.two");
        two.Level.ShouldBe(Severity.Stop);
        alone.Ends.ShouldBeNull();
        var mended = Assessor.Assess((Van with { Plan = Van.Plan with { Crew = [Van.Plan.Crew[0]] } }).With(two.Remedies[0].Edit)).Plan!;
        HasNot(mended, "crew.two");
        mended.Ends.ShouldNotBeNull();
        Single(Of(p => p with { Crew = [p.Crew[0] with { Licence = Licence.Electrician }, p.Crew[1]] }),
            "crew.no-skill").Words.ToString().ShouldContain("refrigerant");
    }

    [Fact]
    public void M26_a_slab_rests_before_the_unit_stands_on_it()
    {
        static JobDesign OnSlab(JobDesign j) => j with
        {
            Survey = j.Survey with { Kind = RigKind.Cabin },
            Layout = j.Layout with { Outdoor = j.Layout.Outdoor with { Place = OutdoorPlace.Pad } },
            Mount = j.Mount with { Slab = j.Mount.Slab with { Cast = true, SetsC = 10 } },
        };
        var slab = Of(p => p, OnSlab);
        Single(slab, "cure.in-plan").Level.ShouldBe(Severity.Note);
        var poured = slab.Steps.Single(x => x.Id == "pad-pour");
        var lifted = slab.Steps.Single(x => x.Id == "lift-outdoor");
        (lifted.Start!.Value - poured.End!.Value).ShouldBeGreaterThanOrEqualTo((int)(Assessor.Assess(OnSlab(Van)).Mount!.Slab!.WaitDays * WorkCalendar.Day));
        var ready = Of(p => p, j => OnSlab(j) with { Mount = j.Mount with { Slab = j.Mount.Slab with { Cast = false } } });
        ready.Steps.ShouldNotContain(x => x.Id == "pad-pour");
        ready.Ends!.Value.ShouldBeLessThan(slab.Ends!.Value - 7 * WorkCalendar.Day);
    }

    [Fact]
    public void M66_parts_in_the_box_that_are_of_no_use()
    {
        PlanAssessment With(params BoxPart[] box) => Of(p => p, j => j with
        {
            Unit = j.Unit with
            {
                Sheets = [new UnitSheetDesign { Unit = "MS-12-120",
            Box = box }]
            }
        });
        var plugs = With(new BoxPart { Kind = BoxKind.Anchor, Name = "plugs", Count = 8 });
        Single(plugs, "box.part-unfit").Words.ToString().ShouldContain("made for masonry");
        plugs.Buy.Single(b => b.Id == "anchor").InBox.ShouldBe(0);
        Single(With(new BoxPart { Kind = BoxKind.Screw, Name = "screws", Count = 8, SizeM = 0.003 }),
            "box.part-unfit").Words.ToString().ShouldContain("too thin");
        Single(With(new BoxPart { Kind = BoxKind.Cable, Name = "cable", Count = 1, LengthM = 0.5 }),
            "box.part-unfit").Words.ToString().ShouldContain("between the units");
        Single(With(new BoxPart { Kind = BoxKind.LineSet, Name = "line set", Count = 1, LengthM = 0.5 }),
            "box.part-unfit").Words.ToString().ShouldContain("way asks");
        var good = With(new BoxPart { Kind = BoxKind.Pad, Name = "feet", Count = 4 }, new BoxPart { Kind = BoxKind.Remote, Count = 1 });
        HasNot(good, "box.part-unfit");
        good.Buy.Single(b => b.Id == "rubber-foot").Need.ShouldBe(0);
    }

    [Fact]
    public void What_is_ordered_too_late_stops_the_day()
    {
        var late = Of(p => p with { When = p.When with { OrderedOn = "2027-02-26" } });
        var finding = Single(late, "buy.order-late");
        finding.Level.ShouldBe(Severity.Stop);
        var moved = (Van with { Plan = Van.Plan with { When = Van.Plan.When with { OrderedOn = "2027-02-26" } } }).With(finding.Remedies[0].Edit);
        HasNot(Assessor.Assess(moved).Plan!, "buy.order-late");
        HasNot(Of(p => p with { When = p.When with { OrderedOn = "2027-01-04" } }), "buy.order-late");
        late.Buy.ShouldAllBe(b => b.OrderBy.Length == 10);
        Of(p => p with { When = p.When with { FirstDay = "" } }).Buy.ShouldAllBe(b => b.OrderBy.Length == 0);
    }

    [Fact]
    public void Power_heat_and_dark_bind_the_days()
    {
        var weak = Single(Of(p => p with { When = p.When with { SupplyW = 300 } }), "supply.small");
        weak.Level.ShouldBe(Severity.Stop);
        var mended = (Van with { Plan = Van.Plan with { When = Van.Plan.When with { SupplyW = 300 } } }).With(weak.Remedies[0].Edit);
        HasNot(Assessor.Assess(mended).Plan!, "supply.small");
        static JobDesign Roof(JobDesign j) => j with { Unit = j.Unit with { Chosen = "RT-13-115" } };
        var hot = Of(p => p with { When = p.When with { OutOfHeat = true } }, Roof);
        Single(hot, "roof.heat").Remedies.ShouldNotBeEmpty();
        HasNot(Of(p => p, Roof), "roof.heat");
        foreach (var step in hot.Steps.Where(x => x.Place == "roof" && x.Start is not null && TaskLibrary.Standard.Task(x.Id).Limits.HotHoursBarred))
            (step.Start!.Value % WorkCalendar.Day < hot.Days[0].HotTo && step.End!.Value % WorkCalendar.Day > hot.Days[0].HotFrom).ShouldBeFalse(step.Name);
        var tight = Of(p => p with { When = p.When with { From = 8, To = 17.5, Pace = 0.92 } });
        if (tight.Chance < FinishBefore.LeastChance)
            Single(tight, "not.today").Remedies.ShouldNotBeEmpty();
    }

    [Fact]
    public void Ways_out_of_time_end_earlier()
    {
        foreach (var pace in new[] { 0.8, 0.9, 1.0, 1.1, 1.2 })
        {
            var plan = Of(p => p with { When = p.When with { Pace = pace } });
            foreach (var remedy in plan.Findings.Where(f => f.Code is "not.today" or "roof.heat").SelectMany(f => f.Remedies))
                Assessor.Assess((Van with { Plan = Van.Plan with { When = Van.Plan.When with { Pace = pace } } }).With(remedy.Edit)).Plan!.Ends!.Value
                    .ShouldBeLessThan(plan.Ends!.Value);
        }
    }

    [Fact]
    public void Lines_follow_the_design_and_a_hand_may_change_them()
    {
        var plan = Of(p => p with
        {
            Prices = [new PriceDesign { Item = "supply-cable", Pack = 10, Price = 24 }, new PriceDesign { Item = "supply-cable",
            Pack = 25, Price = 54 }]
        });
        var cable = plan.Buy.Single(b => b.Id == "supply-cable");
        cable.Quantity.ShouldBe(WiringPapers.BuyM(Assessor.Assess(Van).Wiring!.Branch.WayM, true), 1e-9);
        cable.Need.ShouldBe(cable.Quantity, "Wiring has its own waste in it");
        cable.Cost.ShouldBe(PackCover.Of(cable.Need, [new(10, 24), new(25, 54)], 0.05).Cost);
        Single(plan, "buy.no-price").Level.ShouldBe(Severity.Note);
        var changed = Of(p => p with
        {
            Changes = [new TakeOffChange { Item = "supply-cable", Quantity = 12, Why = "a spare end" },
            new TakeOffChange { Item = "sealant", Struck = true, Why = "on the shelf" }]
        });
        changed.Buy.Single(b => b.Id == "supply-cable").Need.ShouldBe(12);
        changed.Buy.Single(b => b.Id == "supply-cable").Changed.ShouldContain("a spare end");
        changed.Buy.Single(b => b.Id == "sealant").Nothing.ShouldBeTrue();
        Of(p => p).Tools.Single(t => t.Id == "spanners-pair").Size.ShouldBe("17 mm and 22 mm");
        plan.Tools.Select(t => t.LastUse).ShouldBeInOrder(SortDirection.Descending);
    }

    [Fact]
    public void The_quote_sums_to_what_it_says()
    {
        var plan = Of(p => p with
        {
            Prices = [new PriceDesign { Item = "outdoor-unit", Pack = 1, Price = 1000 }],
            Quote = p.Quote with
            {
                Travel = 20,
                Discount = 0.1
            }
        });
        decimal Amount(string words) => decimal.Parse(plan.Quote.First(l => l.Words.StartsWith(words, StringComparison.Ordinal)).Amount.Replace("EUR ",
            "").Replace(",", ""),
            System.Globalization.CultureInfo.InvariantCulture);
        var before = plan.Quote.TakeWhile(l => !l.Sum).Sum(l => Amount(l.Words));
        before.ShouldBe(Amount("cost"));
        (Amount("price") + Amount("tax")).ShouldBe(Amount("to pay"));
        Amount("price").ShouldBe(QuoteSum.Cent(Amount("cost") / 0.75m * 0.9m));
        plan.Gross.ShouldBe(Amount("to pay"));
    }

    /// <summary>Common practice, no published source: costs per job, by hand. One day at 18 is 18; 240 over 10 jobs is 24; 240/18 = 13.3.</summary>
    [Theory]
    [InlineData(ToolWay.Least, 18.0, 240.0, 10, true, 18.0, 14)]
    [InlineData(ToolWay.Least, 18.0, 240.0, 14, false, 17.14, 14)]
    [InlineData(ToolWay.Hired, 18.0, 240.0, 100, true, 18.0, 14)]
    [InlineData(ToolWay.Bought, 18.0, 240.0, 1, false, 240.0, 14)]
    [InlineData(ToolWay.Least, null, 240.0, 10, false, 24.0, null)]
    [InlineData(ToolWay.Least, 18.0, null, 10, true, 18.0, null)]
    [InlineData(ToolWay.Hired, null, 240.0, 10, true, null, null)]
    public void A_tool_is_hired_or_bought_by_what_the_job_bears(ToolWay way, double? day, double? price, int jobs, bool hired, double? cost, int? even)
    {
        var judged = ToolCost.Of(new ToolCostDesign { Way = way, DayPrice = day, Price = price, Jobs = jobs }, 1);
        judged.Hired.ShouldBe(hired);
        judged.Cost.ShouldBe((decimal?)cost);
        judged.EvenJobs.ShouldBe(even);
    }

    [Fact]
    public void Hire_runs_over_the_days_between_first_and_last_use_and_stands_in_the_quote()
    {
        var tool = new ToolCostDesign { Tool = "multimeter", DayPrice = 5, Price = 90 };
        var (without, with) = (Of(p => p), Of(p => p with { ToolCosts = [tool, new ToolCostDesign { Tool = "no-such-tool", DayPrice = 3 }] }));
        var row = with.ToolCosts[0];
        row.Days.ShouldBeInRange(1, with.Days.Count + 7);
        row.Hire.ShouldBe(5m * row.Days);
        with.ToolCosts[1].ShouldSatisfyAllConditions(r => r.Words.ShouldBe("not used in this job"), r => r.Cost.ShouldBe(0));
        with.Quote.ShouldContain(l => l.Words.StartsWith("multimeter, ", StringComparison.Ordinal));
        var base0 = QuoteSum.Cent(row.Cost!.Value * 1.05m / 0.75m);
        (with.Gross - without.Gross).ShouldBe(QuoteSum.Cent(base0 * 1.19m), 0.03m);
    }

    [Fact]
    public void The_solver_is_never_later_than_the_rule_and_ways_do_what_they_say()
    {
        var assessed = Assessor.Assess(Van);
        var study = PlanStudy.Of(Van, assessed);
        study.Plan!.Ends!.Value.ShouldBeLessThanOrEqualTo(assessed.Plan!.Ends!.Value);
        (assessed.Plan.Ends.Value - study.Plan.Ends.Value).ShouldBe(study.WonMin);
        study.Ways.Count.ShouldBeGreaterThan(3);
        foreach (var way in study.Ways)
        {
            var other = Assessor.Assess(Van.With(way.Take.Edit)).Plan!;
            (assessed.Plan.Ends.Value - other.Ends.ShouldNotBeNull($"{way.Words}: what cannot be planned is no way")).ShouldBe((int)way.WinsMin, way.Words);
        }
    }
}
