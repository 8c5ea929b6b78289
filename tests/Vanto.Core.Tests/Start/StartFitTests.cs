using System.Numerics;
using Vanto.Core.Findings;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Start;

/// <summary>Measured starts: what the model itself makes must be found again. Properties; no published source.</summary>
public class StartFitTests
{
    private static readonly AcUnit Plate = UnitCatalogue.Find("RT-11-115")!;

    private static MotorModel Motor(double lra, double time) => MotorModel.FromNameplate(115, lra, Plate.RlaA, startTimeS: time, load: StartLoad.Running);

    private static readonly StartCase Shore =
        new() { Motor = Motor(Plate.LraA, 0.25), Source = PowerSource.OfShore(120, 30, BreakerFamily.NorthAmerican), Line = new Complex(0.05, 0) };

    [Theory]
    [InlineData(42, 0.20)]
    [InlineData(57, 0.40)]
    public void A_start_made_by_the_model_gives_its_motor_back(double lra, double time)
    {
        var made = StartSimulation.Run(Shore with { Motor = Motor(lra, time) }, trace: true);
        var lasts = StartFit.Lasts([.. made.Trace.Select(m => (m.Seconds, m.SourceA))])!.Value;
        var fit = StartFit.Of(Shore, Motor, Plate.LraA, 0.25, made.MaxA, lasts);
        fit.Fitted.ShouldBeTrue();
        fit.LraA.ShouldBe(lra, 0.01 * lra);
        fit.StartTimeS.ShouldBe(time, 0.01);
        fit.MaxA.ShouldBe(made.MaxA, 0.01);
    }

    [Fact]
    public void A_source_that_folds_back_hides_the_motor()
    {
        var inverter = Shore with { Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, 120, 2000) };
        StartFit.Of(inverter, Motor, Plate.LraA, 0.25, StartSimulation.Run(inverter).MaxA).Fitted.ShouldBeFalse();
    }

    [Fact]
    public void A_soft_starter_hides_it_too() =>
        Should.Throw<InputException>(() => StartFit.Of(Shore with { Remedy = StartRemedy.SoftStarter }, Motor, Plate.LraA, 0.25, 20)).Errors[0].Field.ShouldBe(
            "start.remedy");

    [Fact]
    public void The_station_fits_its_motor_to_what_was_measured()
    {
        var van = NewcomersVan.Design;
        van = van with
        {
            Unit = van.Unit with { Chosen = "RT-11-115" },
            Start = van.Start with { On = SourceChoice.Shore, Remedy = StartRemedy.None },
            Survey = van.Survey with { Sources = van.Survey.Sources with { Shore = van.Survey.Sources.Shore with { PluggedIn = true } } },
        };
        var plain = Core.Job.Assessor.Assess(van).Start!;
        var fitted = Core.Job.Assessor.Assess(van with { Start = van.Start with { MeasuredA = plain.MaxA * 0.8 } }).Start!;
        fitted.MaxA.ShouldBe(plain.MaxA * 0.8, 0.1);
        fitted.Findings.ShouldContain(f => f.Code == "start.measured" && f.Level == Severity.Caution);
        plain.Findings.ShouldNotContain(f => f.Code == "start.measured");
    }
}
