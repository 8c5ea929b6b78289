using Vanto.Core.Start;

namespace Vanto.Core.Tests.Start;

public class MeasuredTraceTests
{
    /// <summary>A start as a logger sees it at 2 kHz: a rush, a hump, a fall to running, with a little noise.</summary>
    private static readonly List<MeasuredMoment> Logged =
    [
        .. Enumerable.Range(0, 4000).Select(i => i / 2.0)
            .Select(ms => new MeasuredMoment { AfterMs = ms, CurrentA = 9 + 52 / (1 + Math.Exp((ms - 270) / 22)) + 0.4 * Math.Sin(ms / 3.1) }),
    ];

    [Fact]
    public void A_long_record_is_thinned_and_still_says_the_same_of_the_start()
    {
        var thin = MeasuredTrace.Thinned(Logged);
        thin.Count.ShouldBeInRange(3, MeasuredTrace.MostKept);
        thin.Max(m => m.CurrentA).ShouldBe(Logged.Max(m => m.CurrentA));
        (thin[0], thin[^1]).ShouldBe((Logged[0], Logged[^1]));
        double Lasts(IEnumerable<MeasuredMoment> of) => StartFit.Lasts([.. of.Select(m => (m.AfterMs / 1000, m.CurrentA))])!.Value;
        Lasts(thin).ShouldBe(Lasts(Logged), 0.02 * Lasts(Logged));
        thin.ShouldBeSubsetOf(Logged);
    }

    [Fact]
    public void A_short_record_stays_as_it_is() => MeasuredTrace.Thinned(Logged[..200]).ShouldBe(Logged[..200]);

    [Fact]
    public void A_flat_record_keeps_its_ends() =>
        MeasuredTrace.Thinned([.. Enumerable.Range(0, 900).Select(i => new MeasuredMoment { AfterMs = i, CurrentA = 30 })]).Count.ShouldBeInRange(2, 4);
}
