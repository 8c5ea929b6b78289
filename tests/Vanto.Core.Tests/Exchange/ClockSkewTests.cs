using Vanto.Core.Exchange;
using Vanto.Core.Findings;

namespace Vanto.Core.Tests.Exchange;

/// <summary>A phone's clock beside the laptop's, by the arithmetic of RFC 5905.</summary>
public class ClockSkewTests
{
    [Theory]
    [InlineData(100, 340.05, 340.06, 100.13, 239.99, 0.12, Severity.Caution)]
    [InlineData(0, -3600, -3599.8, 0.4, -3600.1, 0.2, Severity.Caution)]
    [InlineData(10, 10.02, 10.03, 10.05, 0, 0.04, null)]
    [InlineData(10, 22, 22, 10, 12, 0, Severity.Note)]
    public void Offset_and_delay_are_told(double sent, double received, double answered, double back, double offset, double delay, Severity? severity)
    {
        var skew = ClockSkew.Of([new ClockSample(sent, received, answered, back)]);
        skew.OffsetS.ShouldBe(offset, 1e-9);
        skew.DelayS.ShouldBe(delay, 1e-9);
        skew.Severity.ShouldBe(severity);
        (skew.Said("Its clock") is null).ShouldBe(severity is null);
    }

    [Fact]
    public void Which_clock_is_behind_is_said_in_words()
    {
        string Says(double received) => ClockSkew.Of([new ClockSample(0, received, received, 0)]).Said("Its clock")!.Template;
        Says(240).ShouldContain("behind");
        Says(-240).ShouldContain("ahead of");
    }

    /// <summary>Whatever the ways there and back take, the quickest question is right to half of its delay.</summary>
    [Fact]
    public void The_quickest_of_eight_is_right_to_half_its_delay()
    {
        var chance = new Random(5);
        for (var n = 0; n < 500; n++)
        {
            var truth = 2000 * chance.NextDouble() - 1000;
            var samples = Enumerable.Range(0, ClockSkew.Samples).Select(i =>
            {
                var (there, held, back) = (chance.NextDouble(), 0.1 * chance.NextDouble(), chance.NextDouble());
                return new ClockSample(i, i + there + truth, i + there + held + truth, i + there + held + back);
            }).ToList();
            var skew = ClockSkew.Of(samples);
            Math.Abs(skew.OffsetS - truth).ShouldBeLessThanOrEqualTo(skew.DelayS / 2 + 1e-9);
            skew.DelayS.ShouldBe(samples.Min(s => s.DelayS));
        }
    }

    [Fact]
    public void What_no_clock_says_is_refused()
    {
        Should.Throw<InputException>(() => ClockSkew.Of([])).Message.ShouldContain("1 to 8");
        Should.Throw<InputException>(() => ClockSkew.Of([null])).Message.ShouldContain("empty");
        Should.Throw<InputException>(() => ClockSkew.Of([new ClockSample(double.NaN, 0, 0, 0)])).Message.ShouldContain("1970");
        Should.Throw<InputException>(() => ClockSkew.Of([new ClockSample(10, 10, 10, 9)])).Message.ShouldContain("before its question");
    }
}
