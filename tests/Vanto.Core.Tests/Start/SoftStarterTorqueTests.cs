using CsCheck;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Tests.Job;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Start;

/// <summary>The soft starter by the motor's torque. Times: own integration outside the project (explicit, 0.1 ms), no published source.</summary>
public class SoftStarterTorqueTests
{
    private static PowerSource Stiff(double volts) => PowerSource.OfInverter(SourceClass.TransformerInverter, volts, 1e6);

    private static StartResult Run(double reduction, double restedS = 600, MotorModel? motor = null) => StartSimulation.Run(new StartCase
    {
        Motor = motor ?? MotorModel.FromNameplate(115, 63, 12),
        Source = Stiff(115),
        Line = 0,
        Remedy = StartRemedy.SoftStarter,
        Reduction = reduction,
        SecondsOff = restedS,
    }, checkRunning: false);

    [Fact]
    public void A_plain_start_keeps_the_time_of_its_plate() => StartSimulation.Run(
        new StartCase { Motor = MotorModel.FromNameplate(115, 63, 12), Source = Stiff(115), Line = 0 }).StartS!.Value.ShouldBe(0.25, 0.003);

    [Theory]
    [InlineData(0.50, 0.292)]
    [InlineData(0.60, 0.531)]
    [InlineData(0.65, 0.818)]
    [InlineData(0.68, 1.157)]
    [InlineData(0.70, 1.560)]
    [InlineData(0.72, null)]
    [InlineData(0.75, null)]
    public void The_more_it_takes_away_the_longer_the_start_until_it_stalls(double reduction, double? seconds)
    {
        var result = Run(reduction);
        if (seconds is { } time)
        {
            result.Outcome.ShouldBe(StartOutcome.Starts);
            result.StartS!.Value.ShouldBe(time, 0.02 * time);
            return;
        }
        result.Outcome.ShouldBe(StartOutcome.Stalls);
        result.Cause.ShouldBe(TripCause.SoftStarterTooWeak);
    }

    /// <summary>With the pressures as they are at 180 s, half equal in torque: between the two tabled ends.</summary>
    [Fact]
    public void Just_after_the_wait_it_starts_as_rested() => Run(0.60, 180).StartS!.Value.ShouldBe(Run(0.60).StartS!.Value, 1e-9);

    [Theory]
    [InlineData(0, 0.6, 0.4)]
    [InlineData(90, 0.375, 0.35)]
    [InlineData(180, 0.15, 0.30)]
    public void The_load_falls_as_pressures_come_level(double restedS, double still, double speed)
    {
        var motor = MotorModel.FromNameplate(115, 63, 12);
        motor.LoadTorque(0, restedS).ShouldBe(still * motor.RunTorqueW, 1e-9);
        motor.LoadTorque(motor.RunSpeed, restedS).ShouldBe((still + speed) * motor.RunTorqueW, 1e-9);
    }

    [Fact]
    public void Start_time_never_falls_with_more_reduction() =>
        Gen.Select(Gen.Int[0, 12], Gen.Double[0.40, 0.78], Gen.Double[0, 0.02], Gen.Double[0.6, 1.5]).Each((unit, reduction, more, time) =>
        {
            var plates = UnitCatalogue.All.Where(u => u.SingleSpeed).ToList();
            var plate = plates[unit % plates.Count];
            var motor = MotorModel.FromNameplate(115, plate.LockedRotorA, plate.RlaA, startTimeS: plate.StartTimeS * time);
            var (less, later) = (Run(reduction, motor: motor), Run(reduction + more, motor: motor));
            (later.StartS ?? double.PositiveInfinity).ShouldBeGreaterThanOrEqualTo((less.StartS ?? double.PositiveInfinity) - 1e-9);
        }, iter: 60);

    [Fact]
    public void Between_too_much_for_the_source_and_too_little_for_the_motor_lies_a_window_that_starts_throughout()
    {
        var start = new StartCase
        {
            Motor = MotorModel.FromNameplate(115, 63, 12),
            Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, 120, 2200),
            Neighbours = [new NeighbourLoad("fan", 110, 0.85, false)],
        };
        var window = StartVerdict.Window(start).ShouldNotBeNull();
        window.Most.ShouldBeLessThan(0.72);
        bool Starts(double reduction) => StartSimulation.Starts(start with { Remedy = StartRemedy.SoftStarter, Reduction = reduction });
        for (var p = (int)Math.Round(100 * window.Least); p <= (int)Math.Round(100 * window.Most); p++)
            Starts(p / 100.0).ShouldBeTrue($"{p}");
        Starts(window.Most + 0.01).ShouldBeFalse();
        if (window.Least > 0.40)
            Starts(window.Least - 0.01).ShouldBeFalse();
        window.Middle.ShouldBeInRange(window.Least, window.Most);
        StartVerdict.Window(start with { Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, 120, 900) }).ShouldBeNull();
    }
}

/// <summary>A start over the corners of what is not known. Properties.</summary>
public class StartCornersTests
{
    private static StartAssessment Start(Func<StartDesign, StartDesign> with, double inverterW = 3000)
    {
        var van = AnyDesign.Named["Thistle Van"];
        var survey = van.Survey with
        {
            Sources = van.Survey.Sources with
            {
                Battery = van.Survey.Sources.Battery with { Fitted = true, Blocks = 4, BlockAh = 200 },
                Inverter = van.Survey.Sources.Inverter with { Fitted = true, RatedW = inverterW },
            },
        };
        var unit = van.Unit with { Chosen = "RT-13-115" };
        var design = with(van.Start with { On = SourceChoice.Inverter, Remedy = StartRemedy.None });
        var assessed = Vanto.Core.Job.Assessor.Assess(van with { Survey = survey, Unit = unit, Start = design });
        return assessed.Start.ShouldNotBeNull();
    }

    [Fact]
    public void A_generous_source_starts_in_all_corners_and_a_tight_one_says_what_would_settle_it()
    {
        var easy = Start(d => d, 8000);
        easy.Corners!.InAll.ShouldBeTrue();
        easy.Corners.Cases.ShouldBe(8);
        easy.Corners.Settles.ShouldBeNull();
        easy.Findings.ShouldNotContain(f => f.Code == "start.unsure");
        var tight = new[] { 2500.0, 2800, 3000, 3200, 3500, 4000, 4500 }.Select(w => Start(d => d, w))
            .First(s => s.Outcome == StartOutcome.Starts && !s.Corners!.InAll);
        tight.Findings.ShouldContain(f => f.Code == "start.unsure");
        tight.Corners!.Settles.ShouldNotBeNull();
        tight.Verdict.Headline.ToString().ShouldContain("of 8 cases");
    }

    [Fact]
    public void What_is_measured_is_no_corner_any_more()
    {
        var measured = Start(d => d with { MeasuredA = 52 }, 8000);
        measured.Corners!.Cases.ShouldBeLessThan(8);
    }

    [Fact]
    public void The_bench_says_how_sure_a_start_is()
    {
        double In(double watts) => StartCalculators.Corners(new StartVerdictInput { Source = SourceClass.TransformerInverter, ContinuousW = watts })
            .Figures.First().Value!.Value;
        In(8000).ShouldBe(8);
        In(500).ShouldBe(0);
        In(2600).ShouldBeGreaterThanOrEqualTo(In(2200));
    }
}
