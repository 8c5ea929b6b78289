using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Instruments;

namespace Vanto.Core.Tests.Instruments;

/// <summary>Practice cases: each can be told, and none gives its answer away. Common practice, no published source.</summary>
public class ProofPracticeTests
{
    public static TheoryData<int> Curves => [.. Enumerable.Range(1, ProofPractice.Curves)];

    /// <summary>The analyser, which does not know what a case hides, says the same as it hides.</summary>
    [Theory]
    [MemberData(nameof(Curves))]
    public void Every_curve_can_be_told_by_who_does_not_know(int number)
    {
        var points = ProofPractice.Of(number).Curve.Select(p => new VacuumPoint(p.Minute * 60, p.Pa));
        var told = VacuumDecay.Of(points, 20, new DecayLimits { LeastReadings = 8 }).Finding;
        var right = Enum.GetValues<HiddenFault>().Where(f => f <= HiddenFault.TooShort).Single(f => ProofPractice.Judge(number, f).Right);
        told.ShouldBe(right switch
        {
            HiddenFault.DryAndTight => DecayFinding.Tight,
            HiddenFault.Leak => DecayFinding.Leak,
            HiddenFault.Wet => DecayFinding.Moisture,
            HiddenFault.WetAndLeaking => DecayFinding.LeakAndMoisture,
            _ => DecayFinding.Inconclusive,
        }, $"case {number}");
    }

    [Fact]
    public void Every_case_has_one_right_answer_among_its_choices_and_tells_why()
    {
        for (var n = 1; n <= ProofPractice.Count; n++)
        {
            var given = ProofPractice.Of(n);
            (given.Curve.Count > 0).ShouldBe(n <= ProofPractice.Curves);
            (given.Readings.Count > 0).ShouldBe(n > ProofPractice.Curves);
            var verdicts = given.Choices.Select(c => ProofPractice.Judge(n, c.Fault)).ToList();
            verdicts.Count(v => v.Right).ShouldBe(1, $"case {n}");
            verdicts.ShouldAllBe(v => v.Why.Length > 20);
        }
        Should.Throw<InputException>(() => ProofPractice.Of(21));
        Should.Throw<InputException>(() => ProofPractice.Judge(0, HiddenFault.Leak));
    }

    /// <summary>The readings of a unit tell its fault by the signs that the answer names.</summary>
    [Fact]
    public void Signs_of_the_running_units_are_those_that_are_named()
    {
        double Of(int n, string label, bool later = false) => ProofPractice.Of(n).Readings.Single(r => r.Label == label) is var r ? later ? r.AtThirty.Value
            : r.AtTen.Value : 0;
        double Split(int n) => Of(n, "the space") - Of(n, "air out of the head");
        const int well = 12;
        Split(11).ShouldBeLessThan(0.8 * Split(well));
        Of(11, "watts").ShouldBeLessThan(0.7 * Of(well, "watts"));
        Split(13).ShouldBeGreaterThan(1.3 * Split(well));
        Of(14, "suction").ShouldBeLessThan(0);
        Of(15, "discharge").ShouldBeGreaterThan(1.2 * Of(well, "discharge"));
        Of(16, "watts").ShouldBe(0);
        Of(17, "discharge").ShouldBeGreaterThan(1.1 * Of(well, "discharge"));
        Of(19, "discharge").ShouldBeGreaterThan(1.1 * Of(well, "discharge"));
    }
}
