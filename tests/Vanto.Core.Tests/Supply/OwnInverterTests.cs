using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Supply;

/// <summary>An inverter as its maker describes it. Properties and closed forms; no published source.</summary>
public class OwnInverterTests
{
    private static readonly InverterDesign Inverter = new() { RatedW = 3000, IdleW = 30 };

    private static JobDesign Rooftop(InverterDesign inverter, StartDesign? start = null) => NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "RT-13-115" },
        Start = start ?? NewcomersVan.Design.Start with { On = SourceChoice.Inverter, Remedy = StartRemedy.None },
        Survey = NewcomersVan.Design.Survey with
        {
            Sources = NewcomersVan.Design.Survey.Sources with
            {
                Inverter = inverter,
                Battery = new BatteryDesign { NominalV = 48, BlockAh = 100, Blocks = 4 }
            }
        },
    };

    private static IReadOnlyList<Finding> Findings(JobDesign design) => Assessor.Assess(design).Start!.Findings;

    [Fact]
    public void A_table_made_by_the_loss_model_gives_its_two_shares_back()
    {
        var made = new InverterModel(3000, 30, 0.024, 0.067);
        List<(double, double)> table = [.. new[] { 200.0, 600, 1500, 2400, 3000 }.Select(p => (p, p / made.DcPower(p)))];
        var fit = InverterLosses.Fitted(3000, 30, table);
        fit.Linear.ShouldBe(0.024, 1e-9);
        fit.Quadratic.ShouldBe(0.067, 1e-9);
        InverterLosses.LargestMiss(fit, [.. table.Select(p => new EfficiencyDesign { PowerW = p.Item1, Efficiency = p.Item2 })]).ShouldBe(0, 1e-12);
    }

    [Fact]
    public void No_share_of_a_fit_is_below_nothing_and_the_draw_grows_with_the_load()
    {
        var random = new Random(7);
        for (var run = 0; run < 200; run++)
        {
            List<(double, double)> table =
                [.. Enumerable.Range(0, 2 + random.Next(5)).Select(_ => (50 + random.NextDouble() * 2900, 0.6 + 0.39 * random.NextDouble()))];
            var fit = InverterLosses.Fitted(3000, 20, table);
            fit.Linear.ShouldBeGreaterThanOrEqualTo(0);
            fit.Quadratic.ShouldBeGreaterThanOrEqualTo(0);
            fit.DcPower(1001).ShouldBeGreaterThan(fit.DcPower(1000));
        }
    }

    [Fact]
    public void Its_makers_points_replace_the_curve_of_its_class()
    {
        var own = Inverter with { Surge = [new SurgeDesign { PowerW = 9000, Seconds = 0.3 }, new SurgeDesign { PowerW = 4500, Seconds = 60 }] };
        var source = OwnInverter.Bearing(PowerSource.OfInverter(SourceClass.HighFrequencyInverter, 120, 3000), own);
        source.LimitRatio.ShouldBe(3);
        source.Curve!.AllowedSeconds(1.5).ShouldBe(60, 1e-9);
        source.Curve.AllowedSeconds(3).ShouldBe(0.3, 1e-9);
        source.Curve.AllowedSeconds(1.0).ShouldBe(double.PositiveInfinity);
        source.Curve.AllowedSeconds(1.2).ShouldBeInRange(60, 1800);
        OwnInverter.Bearing(source, Inverter).ShouldBe(source);
    }

    [Fact]
    public void A_maker_that_promises_more_lets_a_start_pass_that_its_class_would_trip()
    {
        var small = new InverterDesign { RatedW = 2000, Class = InverterClass.HighFrequency };
        Assessor.Assess(Rooftop(small)).Start!.Outcome.ShouldNotBe(StartOutcome.Starts);
        var strong = small with { Surge = [new SurgeDesign { PowerW = 8000, Seconds = 2 }] };
        var start = Assessor.Assess(Rooftop(strong)).Start!;
        start.Outcome.ShouldBe(StartOutcome.Starts);
        start.LimitA.ShouldBe(8000 / 120.0, 1e-6);
        start.Bearing.Max(b => b.CurrentA).ShouldBe(8000 / 120.0, 1e-6);
    }

    [Theory]
    [InlineData(2500, 5, 4000, 1, "survey.sources.inverter.surge[0].powerW")]
    [InlineData(4000, 5, 6000, 5, "survey.sources.inverter.surge[1].seconds")]
    [InlineData(4000, 5, 4000, 1, "survey.sources.inverter.surge[1].seconds")]
    public void Points_that_do_not_belong_together_are_refused_by_name(double w1, double s1, double w2, double s2, string field)
    {
        var own = Inverter with { Surge = [new SurgeDesign { PowerW = w1, Seconds = s1 }, new SurgeDesign { PowerW = w2, Seconds = s2 }] };
        Should.Throw<InputException>(
            () => OwnInverter.Bearing(PowerSource.OfInverter(SourceClass.HighFrequencyInverter, 120, 3000), own)).Errors[0].Field.ShouldBe(
            field);
    }

    [Fact]
    public void Where_it_stands_hot_or_its_label_counts_VA_it_gives_less()
    {
        Inverter.ContinuousW.ShouldBe(3000);
        (Inverter with { AmbientC = 45 }).ContinuousW.ShouldBe(2400, 1e-9);
        (Inverter with { LabelVa = 2400 }).ContinuousW.ShouldBe(2400, 1e-9);
        Findings(Rooftop(Inverter with { AmbientC = 45 })).ShouldContain(f => f.Code == "source.inverter-derate");
        Findings(Rooftop(Inverter with { LabelVa = 2400 })).ShouldContain(f => f.Code == "source.va-not-w");
    }

    [Fact]
    public void Of_a_peak_without_a_time_and_of_a_modified_sine_wave_it_warns()
    {
        Findings(Rooftop(Inverter with { PeakW = 6000 })).Single(f => f.Code == "source.surge-time").Level.ShouldBe(Severity.Caution);
        Findings(Rooftop(Inverter with { PeakW = 6000, Surge = [new SurgeDesign { PowerW = 6000, Seconds = 1 }] })).ShouldNotContain(
            f => f.Code == "source.surge-time");
        var rough = Assessor.Assess(Rooftop(Inverter with { ModifiedSine = true })).Start!;
        rough.Findings.Single(f => f.Code == "source.waveform").Level.ShouldBe(Severity.Stop);
        rough.Verdict.State.ShouldBe(StationState.Stop);
        rough.Verdict.Headline.ToString().ShouldContain("modified sine wave", customMessage: "it does not say that it starts");
        rough.Outcome.ShouldNotBe(StartOutcome.Starts);
        var fitted = Findings(Rooftop(
            Inverter with
            {
                Efficiency = [new EfficiencyDesign { PowerW = 300, Efficiency = 0.85 }, new EfficiencyDesign { PowerW = 2500, Efficiency = 0.91 }]
            }));
        fitted.ShouldContain(f => f.Code == "source.efficiency-fit");
    }

    [Fact]
    public void An_inverter_in_the_cooled_space_heats_it_and_the_load_counts_that_when_told()
    {
        var rig = Rooftop(Inverter with { Inside = true });
        var note = Findings(rig).Single(f => f.Code == "source.inverter-heat");
        var watts = (double)note.Remedies[0].Changes[0].Value!;
        watts.ShouldBe(UnitCatalogue.Find("RT-13-115")!.RatedPowerW);
        var counted = Rooftop(Inverter with { Inside = true, UnitW = watts });
        Findings(counted).ShouldNotContain(f => f.Code == "source.inverter-heat");
        var model = new InverterModel(3000, 30);
        var more = Assessor.Assess(counted).Load!.PeakSensibleW - Assessor.Assess(rig).Load!.PeakSensibleW;
        // 3 % in proportion and 5 % with the square of what it carries; part of it is stored in the contents.
        more.ShouldBeInRange(0.85 * (model.DcPower(watts) - watts - 30), 1.15 * (model.DcPower(watts + 60) - watts - 60 - 30));
    }

    [Fact]
    public void A_soft_starter_learns_and_a_plate_without_locked_rotor_current_is_estimated()
    {
        Findings(Rooftop(Inverter, NewcomersVan.Design.Start with { On = SourceChoice.Inverter, Remedy = StartRemedy.SoftStarter })).ShouldContain(
            f => f.Code == "start.learn");
        var onShore = Rooftop(Inverter, NewcomersVan.Design.Start with { On = SourceChoice.Shore, Remedy = StartRemedy.SoftStarter });
        Findings(onShore with
        {
            Survey = onShore.Survey with { Sources = onShore.Survey.Sources with { Shore = new ShoreDesign { PluggedIn = true } } }
        }).ShouldNotContain(
            f => f.Code == "start.learn", "on shore it learns where it should");
        var bare = UnitCatalogue.Find("RT-13-115")! with { Id = "bare", LraA = 0 };
        bare.LockedRotorA.ShouldBe(5.2 * 12, 1e-9);
        var design = Rooftop(Inverter) with { Unit = NewcomersVan.Design.Unit with { Chosen = "bare", Own = [bare] } };
        Findings(design).ShouldContain(f => f.Code == "start.lra-estimated");
        Findings(Rooftop(Inverter)).ShouldNotContain(f => f.Code == "start.lra-estimated");
    }

    [Fact]
    public void On_a_generator_an_inverter_driven_unit_may_refuse_a_floating_neutral()
    {
        var design = Rooftop(Inverter, NewcomersVan.Design.Start with { On = SourceChoice.Generator }) with
        {
            Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120" }
        };
        design = design with
        {
            Survey = design.Survey with { Sources = design.Survey.Sources with { Generator = design.Survey.Sources.Generator with { Fitted = true } } }
        };
        Findings(design).ShouldContain(f => f.Code == "source.floating-neutral");
    }

    [Fact]
    public void A_long_thin_cable_makes_the_start_slow()
    {
        var design = Rooftop(Inverter, NewcomersVan.Design.Start with { On = SourceChoice.Shore, CableM = 35, CableMm2 = 1.5 });
        design = design with
        {
            Survey = design.Survey with { Sources = design.Survey.Sources with { Shore = new ShoreDesign { PluggedIn = true, Volts = 120, BreakerA = 30 } } }
        };
        var start = Assessor.Assess(design).Start!;
        start.Outcome.ShouldBe(StartOutcome.Starts);
        start.Findings.ShouldContain(f => f.Code == "start.slow");
        Findings(design with { Start = design.Start with { CableM = 2, CableMm2 = 10 } }).ShouldNotContain(f => f.Code == "start.slow");
    }
}
