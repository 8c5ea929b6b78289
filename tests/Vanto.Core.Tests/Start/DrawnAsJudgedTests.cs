using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Start;

/// <summary>What the page draws and colours is what was judged.</summary>
public class DrawnAsJudgedTests
{
    public static TheoryData<string, BearingCurve> Curves => new()
    {
        { "high frequency", BearingCurve.HighFrequencyInverter },
        { "transformer", BearingCurve.TransformerInverter },
        { "power station", BearingCurve.PowerStation },
        { "management board", BearingCurve.ManagementBoard },
        { "generator", BearingCurve.InverterGenerator(1800, 2000) },
    };

    [Theory]
    [MemberData(nameof(Curves))]
    public void A_limit_drawn_with_straight_lines_lies_on_the_limit_judged(string name, BearingCurve curve)
    {
        var drawn = curve.Drawn(0.001).ToList();
        drawn.Zip(drawn.Skip(1)).ShouldAllBe(p => p.First.Seconds <= p.Second.Seconds && p.First.Ratio >= p.Second.Ratio - 1e-9);
        foreach (var (from, to) in drawn.Skip(1).Zip(drawn.Skip(2)))
        {
            var (ratio, seconds) = ((from.Ratio + to.Ratio) / 2, (from.Seconds + to.Seconds) / 2);
            if (ratio <= curve.Points[0].Ratio)
                continue;
            curve.AllowedSeconds(ratio).ShouldBe(seconds, 0.2 * seconds, $"{name} at {ratio}");
            curve.AllowedSeconds(from.Ratio * (1 + 1e-9)).ShouldBe(from.Seconds, 1e-4 * from.Seconds, $"{name} at {from.Ratio}");
        }
    }

    [Fact]
    public void The_end_of_a_start_is_weighed_once()
    {
        Ends.Level(StartOutcome.Starts).ShouldBeNull();
        Ends.Level(StartOutcome.StartsOnlyIfShed).ShouldBe(Severity.Caution);
        foreach (var outcome in new[] { StartOutcome.StartsButCannotRun, StartOutcome.Stalls, StartOutcome.TripsDuringStart })
            Ends.Level(outcome).ShouldBe(Severity.Stop);
        var start = Assessor.Assess(NewcomersVan.Design with { Unit = new UnitDesign { Chosen = "RT-13-115" } }).Start!;
        start.Remedies.Count.ShouldBeGreaterThan(1);
        start.Remedies.ShouldAllBe(t => t.Level == Ends.Level(t.Outcome));
    }
}
