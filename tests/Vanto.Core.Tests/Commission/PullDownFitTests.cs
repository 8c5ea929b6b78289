using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Commission;

/// <summary>A space that is cooled down. Series from seeds, their figures worked out outside this project by a second program.</summary>
public class PullDownFitTests
{
    private static List<CoolingPoint> Series(double ends, double amplitude, double tau, double lengthS, ulong seed)
    {
        var random = new SplitMix64(seed);
        return [.. Enumerable.Range(0, (int)(lengthS / 30) + 1).Select(i => 30.0 * i)
            .Select(t => new CoolingPoint(t, Math.Round((ends + amplitude * Math.Exp(-t / tau) + 0.1 * random.Normal()) * 100) / 100))];
    }

    [Theory]
    [InlineData(21.5, 11, 1500, 3600, 1, 1519.547, 21.4585, 2227.4, false)]
    [InlineData(26, 9, 2400, 3600, 2, 2488.750, 25.8400, null, false)]
    [InlineData(18, 16, 6000, 1800, 3, 4912.73, 20.4022, 6549.6, true)]
    public void A_cooling_down_is_fitted(double ends, double amplitude, double tau, double length, ulong seed, double fitted, double level, double? seconds,
        bool extrapolated)
    {
        var fit = PullDownFit.Of(Series(ends, amplitude, tau, length, seed))!;
        fit.TauS.ShouldBe(fitted, fitted * 1e-4);
        fit.EndsC.ShouldBe(level, 1e-3);
        fit.Extrapolated.ShouldBe(extrapolated);
        if (seconds is { } s)
            fit.SecondsTo(24)!.Value.ShouldBe(s, s * 1e-3);
        else
            fit.SecondsTo(24).ShouldBeNull();
    }

    [Fact]
    public void Too_few_too_short_or_rising_is_not_fitted()
    {
        PullDownFit.Of(Series(21.5, 11, 1500, 3600, 1).Take(19)).ShouldBeNull();
        PullDownFit.Of(Series(21.5, 11, 1500, 900, 1)).ShouldBeNull();
        PullDownFit.Of(Enumerable.Range(0, 60).Select(i => new CoolingPoint(60 * i, 20 + 0.2 * i))).ShouldBeNull();
    }

    private static CoolingView Of(params (double Minute, double C)[] spots)
    {
        CoolingRecord[] records = [.. spots.Select((s, i) => new CoolingRecord(Guid.NewGuid(), DateTimeOffset.UnixEpoch.AddMinutes(s.Minute), "Wren",
            new CoolingValues { CabinC = s.C, Begins = i == 0 }, null))];
        return Assessor.Assess(NewcomersVan.Design, records).Commission!.Cooling!;
    }

    [Fact]
    public void It_is_held_against_what_was_predicted_from_the_same_warmth()
    {
        Of().Next.ToString().ShouldContain("as the compressor starts");
        var first = Of((0, 36));
        first.Predicted[0].C.ShouldBeLessThanOrEqualTo(36);
        var (set, predicted) = (first.SetC, first.PredictedMin!.Value);
        (double, double)[] In(double minutes) => [.. Enumerable.Range(0, 26).Select(i => (minutes * i / 25, 36 - (36 - set) * i / 25.0))];
        Of(In(predicted)).State.ShouldBe(StationState.Passed);
        Of(In(1.4 * predicted)).State.ShouldBe(StationState.Caution);
        Of(In(2 * predicted)).State.ShouldBe(StationState.Stop);
        var warm = Of([.. Enumerable.Range(0, 40).Select(i => (3.0 * i, set + 4 + 6 * Math.Exp(-i / 8.0)))]);
        warm.State.ShouldBe(StationState.Stop);
        warm.Words.ToString().ShouldContain("is not reached");
        warm.Fit.ShouldNotBeEmpty();
    }
}
