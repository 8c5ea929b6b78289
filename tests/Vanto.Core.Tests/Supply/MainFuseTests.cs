using Vanto.Core.Findings;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Supply;

/// <summary>Short circuit of a bank and what its fuse must break. Check values: common practice, no published source.</summary>
public class MainFuseTests
{
    [Theory]
    [InlineData(Chemistry.Lfp, 4, 400, 0.0004, 8500)]
    [InlineData(Chemistry.Lfp, 16, 200, 0.002, 4689.7)]
    [InlineData(Chemistry.Agm, 12, 440, 0.001, 8835.8)]
    public void Short_circuit_at_full_charge(Chemistry chemistry, int cells, double ampHours, double cableOhm, double amperes) =>
        new BatteryBank(chemistry, cells, ampHours).ShortCircuitA(cableOhm).ShouldBe(amperes, 2e-4 * amperes);

    [Fact]
    public void A_larger_bank_and_a_shorter_cable_give_more()
    {
        new BatteryBank(Chemistry.Lfp, 4, 500).ShortCircuitA(0.0004).ShouldBeGreaterThan(new BatteryBank(Chemistry.Lfp, 4, 400).ShortCircuitA(0.0004));
        new BatteryBank(Chemistry.Lfp, 4, 400).ShortCircuitA(0.0001).ShouldBeGreaterThan(new BatteryBank(Chemistry.Lfp, 4, 400).ShortCircuitA(0.0004));
    }

    [Theory]
    [InlineData(5000, 2000.0, Severity.Stop)]
    [InlineData(5000, null, Severity.Caution)]
    [InlineData(5000, 20000.0, null)]
    [InlineData(1500, null, null)]
    [InlineData(1500, 1000.0, Severity.Stop)]
    public void A_fuse_that_cannot_break_it_is_told(double shortA, double? interruptsA, Severity? level) =>
        (MainFuse.Judge(shortA, interruptsA)?.Level).ShouldBe(level);

    [Fact]
    public void Survey_says_it_of_the_bank_on_board()
    {
        SurveyDesign With(BatteryDesign battery) => NewcomersVan.Design.Survey with { Sources = NewcomersVan.Design.Survey.Sources with { Battery = battery } };
        SurveyStation.Assess(With(new BatteryDesign { FuseInterruptsA = 1000 })).Findings.Single(f => f.Code == "battery.fuse-interrupt").Level
            .ShouldBe(Severity.Stop);
        SurveyStation.Assess(With(new BatteryDesign { FuseInterruptsA = 50000 })).Findings.ShouldNotContain(f => f.Code == "battery.fuse-interrupt");
        SurveyStation.Assess(With(new BatteryDesign { Mixed = true })).Findings.ShouldContain(f => f.Code == "battery.mixed" && f.Level == Severity.Stop);
    }
}
