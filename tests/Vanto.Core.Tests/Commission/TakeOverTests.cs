using Vanto.Core.Commission;
using Vanto.Core.Findings;

namespace Vanto.Core.Tests.Commission;

/// <summary>Cut-out, source taken over, moving a unit: worked by hand; bands are common practice, no published source.</summary>
public class TakeOverTests
{
    [Theory]
    [InlineData(11.75, 0.01293, null)]
    [InlineData(11.9, 0.02586, Severity.Caution)]
    [InlineData(12.0, 0.03448, Severity.Stop)]
    [InlineData(11.2, 0.03448, Severity.Stop)]
    public void A_cut_out_is_judged_by_how_far_it_is_off(double at, double off, Severity? level)
    {
        var seen = CutOut.Of(11.6, at);
        (seen.Off!.Value - off).ShouldBe(0, 1e-5);
        seen.Level.ShouldBe(level);
    }

    [Fact]
    public void One_that_does_not_come_protects_nothing() => CutOut.Of(11.6, null).Level.ShouldBe(Severity.Stop);

    [Theory]
    [InlineData(118, 61, 0.010, null, 0, false)]
    [InlineData(118, 61, 8, 190.0, 0, true)]
    [InlineData(107, 61, 8, 190.0, 1, true)]
    [InlineData(118, 64, 8, 190.0, 1, true)]
    [InlineData(118, 61, 8, 60.0, 1, true)]
    [InlineData(118, 61, 8, null, 1, true)]
    [InlineData(90, 40, 8, null, 3, true)]
    public void A_source_that_takes_over_is_judged_by_volts_frequency_and_rest(double volts, double hertz, double gapS, double? restartS, int faults,
        bool breaks)
    {
        var seen = HandOver.Of(volts, 120, hertz, 60, gapS, restartS);
        (seen.Faults.Count, seen.Breaks).ShouldBe((faults, breaks));
    }

    [Theory]
    [InlineData(0.9, 1.2, null)]
    [InlineData(1.5, 1.2, Severity.Stop)]
    [InlineData(0.9, null, Severity.Caution)]
    public void The_outdoor_unit_takes_no_more_than_its_sheet_says(double charge, double? holds, Severity? level) =>
        MovingCheck.Of(charge, holds).ShouldBe(level);

    /// <summary>R-32, 20 kPa gauge, 25 °C, 1.2 L: 3.0554 g by the ideal gas, worked by hand.</summary>
    [Fact]
    public void What_is_left_in_the_pipes_is_told_in_grams() =>
        ProofCalculators.Moving(new MovingInput()).Figures.Single(v => v.Symbol == "m").Value!.Value.ShouldBe(3.0554, 0.001);
}
