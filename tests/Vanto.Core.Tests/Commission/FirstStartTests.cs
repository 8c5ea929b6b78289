using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using static Vanto.Core.Tests.Commission.ProofRigs;

namespace Vanto.Core.Tests.Commission;

/// <summary>The first start in stages, what is read of a unit that runs, and what a cooling-down says of its rig.</summary>
public class FirstStartTests
{
    private static JobDesign Van { get; } = Fitted();

    private static JobDesign Fitted()
    {
        var van = RigPresets.New(RigKind.Van, "Knot");
        var sources = van.Survey.Sources;
        return van with
        {
            Survey = van.Survey with
            {
                Sources = sources with
                {
                    Battery = sources.Battery with { Fitted = true },
                    Modules = sources.Modules with { Count = 4, RatedW = 200, Series = 2 },
                },
            },
        };
    }

    private static CommissionAssessment Of(JobDesign design, StartUpReadings readings) =>
        Assessor.Assess(design, [new CommissionRecord(Guid.NewGuid(), Noon, "Ottoline", readings, null)]).Commission!;

    private static VerdictRow Row(StartUpReadings readings, string id) => Of(Van, readings).Rows.Single(r => r.Id == id);

    [Theory] // Ohm's law; worked figures from memory
    [InlineData(240.5, 239.3, 4, 45, 0.3, 227.0, 0.05613)]
    [InlineData(119.0, 118.7, 2, 12, 0.15, 117.2, 0.01513)]
    [InlineData(121.4, 119.6, 3.2, 38, 0.5625, 100.025, 0.17607)]
    public void A_light_load_tells_how_far_a_start_pulls_down(double rest, double loaded, double amps, double start, double ohm, double volts, double sag)
    {
        var seen = StartStages.SourceOhm(rest, loaded, amps)!.Value;
        seen.ShouldBe(ohm, 1e-6);
        StartStages.AtStart(rest, seen, start).Volts.ShouldBe(volts, 0.001);
        StartStages.AtStart(rest, seen, start).Sag.ShouldBe(sag, 1e-5);
        StartStages.SourceOhm(rest, rest, amps).ShouldBeNull();
    }

    [Fact]
    public void A_weak_source_bars_the_compressor()
    {
        var none = Of(Van, new StartUpReadings());
        none.Stages.Count.ShouldBe(4);
        none.Stages[0].State.ShouldBe(StationState.Open);
        none.Stages.Skip(1).ShouldAllBe(s => s.Words.ToString().StartsWith("waits"));
        var weak = Of(Van, new StartUpReadings { RestV = 121, FanV = 110, FanA = 2 });
        weak.Stages[1].State.ShouldBe(StationState.Stop);
        weak.Stages[1].Words.ToString().ShouldContain("Soft starter or a larger source first");
        weak.Stages[2].Words.ToString().ShouldStartWith("waits");
        var stiff = Of(Van, new StartUpReadings { RestV = 121, FanV = 120.9, FanA = 2 });
        stiff.Stages[1].State.ShouldBe(StationState.Passed);
        stiff.Stages[2].Words.ToString().ShouldContain("It may wait five minutes by itself");
        var ran = Of(Van, new StartUpReadings { RunV = 118, RunW = 1100 });
        ran.Stages.Select(s => s.State).ShouldBe([StationState.Resting, StationState.Resting, StationState.Passed, StationState.Passed]);
    }

    [Fact]
    public void An_array_is_held_against_the_sun_and_its_cause_is_named()
    {
        StartUpReadings At(double volts, double amps, double sun = 900) => new() { ArrayV = volts, ArrayA = amps, SunWm2 = sun, CellC = 50 };
        // 4 × 200 W × 0.9 × (1 − 0.0034 × 25) × 0.88 = 579.7 W
        Row(At(38, 15.2), "array").ShouldSatisfyAllConditions(r => r.Expected!.Value.ShouldBe(579.7, 0.1), r => r.Verdict.ShouldBe(BandVerdict.Pass));
        Row(At(19, 17), "array").Words.ToString().ShouldContain("turned round");
        Row(At(39, 8), "array").Words.ToString().ShouldContain("charger holds back");
        Row(At(36, 8), "array").Words.ToString().ShouldContain("string is off");
        Of(Van, At(19, 17)).Findings.ShouldContain(f => f.Code == "pv.below-expected" && f.Level == Severity.Caution);
        Row(At(19, 2, sun: 200), "array").Verdict.ShouldBe(BandVerdict.Note, "too little sun to judge by");
    }

    [Fact]
    public void Hours_on_the_bank_follow_from_what_it_drew()
    {
        var half = Row(new StartUpReadings { MeanW = 600 }, "hours");
        var whole = Row(new StartUpReadings { MeanW = 300 }, "hours");
        half.Verdict.ShouldBe(BandVerdict.Note);
        (whole.Measured!.Value / half.Measured!.Value).ShouldBeInRange(1.8, 2.0, "the inverter's idle draw does not halve");
        Row(new StartUpReadings { MeanW = 600, ChargePct = 50 }, "hours").Measured!.Value.ShouldBeLessThan(half.Measured.Value);
    }

    [Fact]
    public void Lines_are_judged_only_where_they_can_be()
    {
        var split = Van with { Unit = Van.Unit with { Chosen = "MS-12-120", Sheets = [] } };
        var readings = new StartUpReadings { GasLinePa = 0.9e6, GasLineC = 14, EnteringC = 27, OutdoorC = 35 };
        var all = Assessor.Assess(split, []);
        VerdictRow Judge(StartUpReadings r, bool singleSpeed)
        {
            var unit = singleSpeed ? Assessor.Assess(Van, []).Unit!.Unit : all.Unit!.Unit;
            return RunningRows.Of(r, new StartUpFacts(unit, all.Start!, all.Load!, Circuit) { Sources = split.Survey.Sources }).First(x => x.Id == "superheat");
        }

        Judge(readings, singleSpeed: false).Verdict.ShouldBe(BandVerdict.Note, "pressures of an inverter-driven unit move with its speed");
        Judge(readings with { FixedSpeed = true }, singleSpeed: false).Verdict.ShouldBe(BandVerdict.Pass);
        Judge(readings with { FixedSpeed = true, GasLineC = 30 }, singleSpeed: false).Words.ToString().ShouldContain("Starved");
        Judge(readings with { GasLineC = 2 }, singleSpeed: true).Words.ToString().ShouldContain("Below nothing");
        Judge(readings with { GasLineC = 30 }, singleSpeed: true).Words.ToString().ShouldContain("Starved");
        Judge(readings with { OutdoorC = null }, singleSpeed: true).Verdict.ShouldBe(BandVerdict.Note);
    }

    [Theory] // R-410A dew table (from memory of the ancillary equations); the equation gives 1,218,905.7 Pa at 14 °C
    [InlineData(14, 1218841.8)]
    [InlineData(4, 904744.6)]
    [InlineData(27, 1741982.9)]
    public void A_suppliers_chart_is_read_between_its_rows(double celsius, double pascal)
    {
        var chart = new SupplierChart([new(20, 1446670, 1442927), new(0, 800705, 798083), new(30, 1887820, 1883408), new(10, 1087956, 1084818)]);
        chart.PressurePa(celsius, dew: true).ShouldBe(pascal, 2);
        chart.TemperatureC(pascal, dew: true).ShouldBe(celsius, 1e-4);
        chart.PressurePa(celsius, dew: false).ShouldBeGreaterThan(pascal);
    }

    [Fact]
    public void A_chart_that_cannot_be_is_refused_and_nothing_is_read_beyond_it()
    {
        ChartRow[] rows = [new(0, 8.1e5, 8e5), new(10, 11e5, 10.8e5), new(20, 14.5e5, 14.4e5), new(30, 18.9e5, 18.8e5)];
        Should.Throw<InputException>(() => new SupplierChart(rows.Take(3)));
        Should.Throw<InputException>(() => new SupplierChart([.. rows.Take(3), new(25, 14e5, 13e5)]));
        Should.Throw<InputException>(() => new SupplierChart([.. rows.Take(3), new(30, 18.8e5, 18.9e5)]));
        Should.Throw<InputException>(() => new SupplierChart(rows).PressurePa(31, dew: true));
        Should.Throw<InputException>(() => new SupplierChart(rows).TemperatureC(7e5, dew: true));
    }

    /// <summary>A rig that lets in more heat and a unit that gives less than drawn, found again through the noise of a thermometer.</summary>
    [Theory]
    [InlineData(1.0, 1.0, 3)]
    [InlineData(1.4, 1.0, 4)]
    [InlineData(1.2, 0.85, 5)]
    public void A_cooling_down_tells_the_rigs_heat_and_the_units_cooling(double loss, double share, int seed)
    {
        var all = Assessor.Assess(Van, []);
        var hour = all.Load!.PeakHour;
        var nominal = all.Unit!.Unit.RatedCapacityW;
        var space = SurveyedSpace.Build(Van.Survey with { MeasuredLoss = loss }, Van.Load.SetpointC, Van.Load.HumidityPct);
        var run = PullDowns.FromSoak(new HeatSoak(space, DesignDay.Steps(space.Weather, RigDay.StepS)), space, hour, nominal * share);
        var noise = new SplitMix64((ulong)seed);
        var points = Enumerable.Range(0, Math.Min(90, run.AirByMinuteC.Length) / 2)
            .Select(i => new CoolingPoint(120 * (i + 1), Math.Round((run.AirByMinuteC[2 * i + 1] + 0.1 * noise.Normal()) * 10) / 10))
            .Prepend(new CoolingPoint(0, run.StartC)).ToList();
        var fit = RigFit.Of(Van.Survey with { MeasuredLoss = 2 }, Van.Load, nominal, points, null, hour);
        fit.Sure.ShouldBeTrue($"{fit}");
        fit.ApartK.ShouldBeLessThan(0.3);
        fit.Capacity.ShouldBe(share, 0.06, $"{fit}");
        fit.LossFrom.ShouldBeLessThanOrEqualTo(loss * 1.05, $"{fit}");
        fit.LossTo.ShouldBeGreaterThanOrEqualTo(loss * 0.95, $"{fit}");
    }

    [Fact]
    public void Too_little_to_fit_is_said()
    {
        var few = Enumerable.Range(0, 5).Select(i => new CoolingPoint(300 * i, 35 - i)).ToList();
        Should.Throw<InputException>(() => RigFit.Of(Van.Survey, Van.Load, 3000, few, null, 14));
        var hot = Enumerable.Range(0, 30).Select(i => new CoolingPoint(120 * i, 95 - i)).ToList();
        Should.Throw<InputException>(() => RigFit.Of(Van.Survey, Van.Load, 3000, hot, null, 14)).Message.ShouldContain("warmer");
    }

    /// <summary>Taken over, it moves load and night; the proof stays held against the drawing.</summary>
    [Fact]
    public void What_was_measured_moves_load_and_night_and_not_its_own_proof()
    {
        var measured = Van with
        {
            Survey = Van.Survey with { MeasuredLoss = 1.3 },
            Energy = Van.Energy with { MeasuredCapacity = 0.8 },
        };
        StationRecord[] run = [new CoolingRecord(Guid.NewGuid(), Noon, "Ottoline", new CoolingValues { CabinC = 36, Begins = true }, null)];
        var (drawn, after) = (Assessor.Assess(Van, run), Assessor.Assess(measured, run));
        after.Load!.PeakW.ShouldBeGreaterThan(drawn.Load!.PeakW * 1.1);
        after.Energy!.NeedWh.ShouldBeGreaterThan(drawn.Energy!.NeedWh);
        after.Commission!.Cooling!.Predicted.ShouldBe(drawn.Commission!.Cooling!.Predicted);
    }
}
