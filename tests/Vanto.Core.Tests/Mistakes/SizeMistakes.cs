using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Mistakes;

/// <summary>Mistakes of sizing that a design must show before they cost anything. Common practice, no published source.</summary>
public class SizeMistakes
{
    [Fact]
    public void M01_capacity_by_floor_area_alone_far_too_big()
    {
        var result = Assessor.Assess(NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "MS-36-240" } });
        var large = Single(result.Unit!.Findings, "cap.large");
        large.Level.ShouldBe(Severity.Caution);
        large.Remedies.ShouldNotBeEmpty();
        Single(result.Unit.Findings, "unit.turn-down");
        result.Unit.Candidates.Single(c => c.Id == "MS-36-240").HoursBelowMin.ShouldBeGreaterThan(6);
        Single(result.Unit.Findings, "cap.area-rule").Words.Measures[0].Value.ShouldBe(113 * 5.4 * 1.9, 12);
    }

    [Fact]
    public void M01_a_unit_that_fits_its_load_raises_none_of_it()
    {
        var fitting = Assessor.Assess(NewcomersVan.Design).Unit!.Candidates.First(c => c.Level is null);
        var result = Assessor.Assess(NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = fitting.Id } });
        result.Unit!.Findings.ShouldNotContain(f => f.Code == "cap.large" || f.Code == "cap.small");
    }

    [Fact]
    public void M02_too_small_for_the_worst_heading_or_a_soaked_start()
    {
        var small = Assessor.Assess(NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "RT-17-230" } });
        Single(small.Unit!.Findings, "cap.pull-down").Level.ShouldNotBe(Severity.Note);
        var glassy =
            NewcomersVan.Design with
            {
                Survey = NewcomersVan.Design.Survey with { Windows = [new WindowDesign { Side = Side.Left, WidthM = 3, HeightM = 0.9 }] }
            };
        var rose = Assessor.Assess(glassy).Load!.Rose;
        var (best, worst) = (rose.Min(r => r.PeakW), rose.Max(r => r.PeakW));
        var atBest =
            glassy with { Survey = glassy.Survey with { HeadingDeg = rose.MinBy(r => r.PeakW)!.HeadingDeg }, Unit = glassy.Unit with { Chosen = "own" } };
        worst.ShouldBeGreaterThan(1.03 * best);
        var own = UnitCatalogue.Find("RT-09-115")! with { Id = "own", RatedCapacityW = 1.03 * (best + worst) / 2, RatedPowerW = 700 };
        var sized = Assessor.Assess(atBest with { Unit = atBest.Unit with { Own = [own], InletRiseK = 0 } });
        sized.Unit!.CapacityW.ShouldBeInRange(0.9 * best, worst);
        Single(sized.Unit.Findings, "cap.worst-heading").Words.ToString().ShouldContain("this heading only");
        var large = Assessor.Assess(NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "RT-15-115" } });
        large.Unit!.Findings.ShouldNotContain(f => f.Code == "cap.worst-heading" || f.Code == "cap.pull-down" && f.Level == Severity.Stop);
    }

    [Fact]
    public void M20_a_head_does_not_reach_the_far_end_of_a_long_room()
    {
        var bus = NewcomersVan.Design with
        {
            Survey = NewcomersVan.Design.Survey with { Space = NewcomersVan.Design.Survey.Space with { LengthM = 18 } },
            Unit = NewcomersVan.Design.Unit with { Chosen = "MS-36-240" }
        };
        var finding = Single(Assessor.Assess(bus).Unit!.Findings, "unit.throw");
        finding.Words.ToString().ShouldContain("12.2 m");
        var twoHeads = bus with { Unit = bus.Unit with { Heads = [new HeadDesign(), new HeadDesign()] } };
        Assessor.Assess(twoHeads).Unit!.Findings.ShouldNotContain(f => f.Code == "unit.throw");
        var twoSpaces = bus with
        {
            Survey =
            bus.Survey with { Space = bus.Survey.Space with { LengthM = 9 }, Further = [new FurtherSpaceDesign { Space = new SpaceDesign { LengthM = 9 } }] }
        };
        Single(Assessor.Assess(twoSpaces).Unit!.Findings, "unit.zone").Words.ToString().ShouldContain("bunk");
    }

    [Fact]
    public void M03_a_source_bought_for_the_surge_names_the_cheaper_way()
    {
        var result = Assessor.Assess(NewcomersVan.With(s => s with { Inverter = s.Inverter with { RatedW = 5000 }, Battery = s.Battery with { Blocks = 6 } }));
        result.Start!.Outcome.ShouldBe(StartOutcome.Starts);
        var finding = Single(result.Start.Findings, "source.bought-for-surge");
        finding.Words.Measures[1].Value.ShouldBeLessThan(finding.Words.Measures[0].Value);
        finding.Remedies[0].Changes.ShouldContain(c => c.Path == "/start/remedy");
    }

    [Fact]
    public void M04_an_inverter_that_carries_the_run_trips_on_the_start_and_a_soft_starter_mends_it()
    {
        var design = NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "RT-11-115" } };
        var result = Assessor.Assess(design);
        result.Start!.Outcome.ShouldBe(StartOutcome.TripsDuringStart);
        result.Start.RunA.ShouldBeLessThan(2000 / 120.0, "the run alone is within the inverter");
        result.Start.Trace.SourceA.ShouldNotBeEmpty();
        var trips = result.Start.Findings.First(f => f.Level == Severity.Stop);
        trips.Remedies.ShouldContain(r => r.Words.ToString().Contains("soft starter"));
        var helped = Assessor.Assess(design with { Start = design.Start with { Remedy = StartRemedy.SoftStarter, Reduction = 0.70 } });
        helped.Start!.Outcome.ShouldBe(StartOutcome.Starts);
    }

    [Fact]
    public void M05_a_start_that_works_alone_and_not_beside_the_kettle()
    {
        var design = NewcomersVan.With(d => d with { OnAtStart = true });
        var result = Assessor.Assess(design with { Start = design.Start with { Remedy = StartRemedy.SoftStarter, Reduction = 0.70 } });
        result.Start!.Outcome.ShouldBe(StartOutcome.StartsOnlyIfShed);
        Single(result.Start.Findings, "start.neighbours").Words.ToString().ShouldContain("kettle");
        result.Start.Stacking.ShouldContain(t => t.Id == "alone" && t.Outcome == StartOutcome.Starts);
        result.Start.Stacking.ShouldContain(t => t.Id == "kettle" && t.Outcome != StartOutcome.Starts);
    }

    [Fact]
    public void M06_the_batterys_limit_ends_the_start_although_energy_is_there()
    {
        var design = NewcomersVan.With(
            s => s with
            {
                Inverter = s.Inverter with { RatedW = 5000, Class = InverterClass.Transformer },
                Battery = s.Battery with { Blocks = 1, BlockLimitA = 30 }
            });
        var result = Assessor.Assess(design with { Start = design.Start with { Soc = 1 } });
        var finding = Single(result.Start!.Findings, "start.battery");
        finding.Level.ShouldBe(Severity.Stop);
        finding.Words.ToString().ShouldContain("although it holds energy");
        var more = Assessor.Assess(NewcomersVan.With(
            s => s with { Inverter = s.Inverter with { RatedW = 5000, Class = InverterClass.Transformer }, Battery = s.Battery with { Blocks = 8 } }));
        more.Start!.Findings.ShouldNotContain(f => f.Code == "start.battery");
    }

    [Theory]
    [InlineData(0.9, Severity.Note)]
    [InlineData(0.08, Severity.Caution)]
    public void M07_a_budget_by_plate_watts_is_held_against_the_simulation(double guess, Severity level)
    {
        var result = Assessor.Assess(NewcomersVan.Design with
        {
            Energy = NewcomersVan.Design.Energy with { HandDuty = guess },
            Start = NewcomersVan.Design.Start with { Remedy = StartRemedy.SoftStarter }
        });
        var finding = Single(result.Energy!.Findings, "budget.disagrees");
        finding.Level.ShouldBe(level, "a hand figure below the truth is the dangerous one");
        result.Energy.Budget.FoundDuty.ShouldBeInRange(0.1, 0.7);
        var agreed = Assessor.Assess(NewcomersVan.Design with { Energy = NewcomersVan.Design.Energy with { HandDuty = result.Energy.Budget.FoundDuty } });
        agreed.Energy!.Findings.ShouldNotContain(f => f.Code == "budget.disagrees");
    }

    [Fact]
    public void M08_a_string_too_high_in_the_cold_is_stopped_on_the_rig_and_another_stringing_offered()
    {
        static SourcesDesign Strung(SourcesDesign s, int series) =>
            s with { Modules = s.Modules with { Count = 6, Series = series }, Controller = new ControllerDesign { Known = true, MaxV = 100 } };
        var high = Assessor.Assess(NewcomersVan.With(s => Strung(s, 6))).Energy!.Findings;
        var stop = Single(high, "pv.voltage");
        stop.Level.ShouldBe(Severity.Stop);
        stop.Remedies.ShouldNotBeEmpty();
        Assessor.Assess(NewcomersVan.With(s => Strung(s, 2))).Energy!.Findings.ShouldNotContain(f => f.Code.StartsWith("pv.v", StringComparison.Ordinal));
        Single(Assessor.Assess(NewcomersVan.With(s => Strung(s, 4))).Energy!.Findings, "pv.uneven").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void M09_a_lithium_bank_below_freezing_is_not_charged()
    {
        var cold = Assessor.Assess(NewcomersVan.With(s => s with { Battery = s.Battery with { TemperatureC = -3 }, Modules = s.Modules with { Count = 3 } }));
        Single(cold.Survey!.Findings, "battery.cold-charge").Level.ShouldBe(Severity.Stop);
        cold.Energy!.Series.Soc.Max().ShouldBeLessThanOrEqualTo(NewcomersVan.Design.Energy.StartSoc + 1e-9, "and the run charges nothing");
        var warm = Assessor.Assess(NewcomersVan.With(s => s with { Battery = s.Battery with { TemperatureC = 20 } }));
        warm.Survey!.Findings.ShouldNotContain(f => f.Code == "battery.cold-charge");
    }

    [Fact]
    public void M10_height_and_heat_take_their_share_of_the_generator()
    {
        var rig = NewcomersVan.With(s => s with { Generator = s.Generator with { Fitted = true } });
        rig = rig with { Survey = rig.Survey with { Place = rig.Survey.Place with { ElevationM = 2200, DryBulbC = 38 } } };
        Single(Assessor.Assess(rig).Energy!.Findings, "source.derate").Words.Measures.ShouldNotBeEmpty();
        Assessor.Assess(rig with
        {
            Survey = rig.Survey with { Place = rig.Survey.Place with { ElevationM = 0, DryBulbC = 24, NightLowC = 14 } }
        }).Energy!.Findings.ShouldNotContain(
            f => f.Code == "source.derate");
    }

    [Fact]
    public void Blocks_in_series_make_the_voltage_and_in_parallel_the_charge()
    {
        var twelve = new BatteryDesign { NominalV = 12, BlockAh = 100, Series = 4, Blocks = 2 };
        var bank = SourceBuilder.Bank(twelve);
        bank.NominalVoltage.ShouldBe(48);
        bank.AmpHours.ShouldBe(200);
        twelve.BankKWh.ShouldBe(9.6, 1e-9);
    }

    [Fact]
    public void A_charger_behind_the_alternator_takes_what_the_vehicle_leaves_and_warns_of_heat()
    {
        var driving = NewcomersVan.With(s => s with { Alternator = s.Alternator with { RatedA = 120, VehicleA = 40, LimitA = 60 } });
        DayRun.AlternatorW(driving.Survey.Sources).ShouldBe(OtherSources.DcDc(120, 0.85, 40, 60, driving.Survey.Sources.Battery.BankV).OutputW);
        Assessor.Assess(driving).Energy!.Findings.ShouldContain(f => f.Code == "alt.hot");
    }

    private static Finding Single(IReadOnlyList<Finding> findings, string code) => findings.Single(f => f.Code == code);
}
