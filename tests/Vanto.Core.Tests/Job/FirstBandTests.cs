using CsCheck;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Job;

/// <summary>Three answers give a band that holds what a measured rig of that kind comes to.</summary>
public class FirstBandTests
{
    private static double? Figure(CalculationResult result, string label) => result.Figures.SingleOrDefault(f => f.Label == label)?.Value;

    private static CalculationResult Of(QuickAnswers answers) => CalculatorRegistry.Run(CalculatorRegistry.All["first-band"], answers);

    [Theory]
    [InlineData(RigKind.Van, 5.4, 38)]
    [InlineData(RigKind.Bus, 9, 42)]
    [InlineData(RigKind.Boat, 7, 32)]
    [InlineData(RigKind.Rv, 6, 36)]
    [InlineData(RigKind.Trailer, 4, 35)]
    [InlineData(RigKind.Cabin, 5, 34)]
    [InlineData(RigKind.Workshop, 7, 34)]
    [InlineData(RigKind.Container, 6, 40)]
    public void The_band_holds_the_rig_as_it_is_begun(RigKind kind, double length, double hottest)
    {
        var answers = new QuickAnswers { Kind = kind, LengthM = length, HottestC = hottest };
        var result = Of(answers);
        var (least, most) = (Figure(result, "Capacity, at least")!.Value, Figure(result, "Capacity, at most")!.Value);
        least.ShouldBeLessThan(most);
        var usual = FirstBand.Design(answers, "x");
        usual = usual with { Survey = usual.Survey with { Windows = [new WindowDesign { Cover = "light-curtain" }, new WindowDesign { Side = Side.Right }] } };
        Assessor.Assess(usual).Unit!.RequiredW.ShouldBeInRange(least, most);
        if (Figure(result, "Night held, at least") is { } night)
            night.ShouldBeLessThanOrEqualTo(Figure(result, "Night held, at most")!.Value);
    }

    [Fact]
    public void What_is_answered_is_what_the_rig_begins_with()
    {
        var rig = FirstBand.Design(
            new QuickAnswers { Kind = RigKind.Bus, LengthM = 8.2, Place = "Saltpan", HottestC = 41, BatteryWh = 10000, InverterW = 3000, SolarW = 1200 }, "Ox");
        rig.Name.ShouldBe("Ox");
        (rig.Survey.Kind, rig.Survey.Space.LengthM, rig.Survey.Place.Name, rig.Survey.Place.DryBulbC).ShouldBe((RigKind.Bus, 8.2, "Saltpan", 41));
        rig.Survey.Sources.Battery.BankKWh.ShouldBe(10, 1e-9);
        rig.Survey.Sources.Inverter.RatedW.ShouldBe(3000);
        (rig.Survey.Sources.Modules.Count * rig.Survey.Sources.Modules.RatedW).ShouldBe(1200, 1e-9);
        var bare = FirstBand.Design(new QuickAnswers { BatteryWh = 0, InverterW = 0, SolarW = 0 }, "x");
        (bare.Survey.Sources.Battery.Fitted, bare.Survey.Sources.Inverter.Fitted, bare.Survey.Sources.Modules.Count).ShouldBe((false, false, 0));
    }

    /// <summary>Any answers within their ranges give a finite band and a rig that can be kept and read again.</summary>
    [Fact]
    public void Any_answers_give_a_band_and_a_legal_rig()
    {
        var any = from kind in Gen.Enum<RigKind>()
                  from length in Gen.Double[1, 20]
                  from hottest in Gen.Double[20, 55]
                  from battery in Gen.OneOf(Gen.Const(0.0), Gen.Double[120, 200000])
                  from inverter in Gen.OneOf(Gen.Const(0.0), Gen.Double[100, 30000])
                  from solar in Gen.OneOf(Gen.Const(0.0), Gen.Double[5, 20000])
                  select new QuickAnswers
                  {
                      Kind = kind,
                      LengthM = length,
                      HottestC = hottest,
                      BatteryWh = battery,
                      InverterW = inverter,
                      SolarW = solar,
                  };
        any.Each(answers =>
        {
            var result = Of(answers);
            Figure(result, "Capacity, at least")!.Value.ShouldBeLessThanOrEqualTo(Figure(result, "Capacity, at most")!.Value + 1e-6);
            JobFile.Read(JobFile.Write(FirstBand.Design(answers, "any")));
        }, iter: 25);
    }

    /// <summary>Less than any battery, inverter or module that there is gets an error, not a rig that cannot be kept.</summary>
    [Theory]
    [InlineData(59, 0, 0, "batteryWh")]
    [InlineData(0, 99, 0, "inverterW")]
    [InlineData(0, 0, 1.91, "solarW")]
    public void A_source_smaller_than_any_is_refused_by_its_name(double battery, double inverter, double solar, string field)
    {
        var answers = new QuickAnswers { BatteryWh = battery, InverterW = inverter, SolarW = solar };
        Should.Throw<InputException>(() => Of(answers)).Errors.Single().Field.ShouldBe(field);
        Should.Throw<InputException>(() => FirstBand.Design(answers, "x")).Errors.Single().Reason.ShouldContain("must be 0 or at least");
    }
}
