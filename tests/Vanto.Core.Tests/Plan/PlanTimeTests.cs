using CsCheck;
using Vanto.Core.Plan;

namespace Vanto.Core.Tests.Plan;

/// <summary>Three points, days and chances. Formulas: Malcolm, Roseboom, Clark, Fazar (1959); the figures from an independent calculation of them.</summary>
public class PlanTimeTests
{
    private static readonly Minutes Estimate = new(14, 21, 36);

    [Fact]
    public void Three_points_have_a_mean_and_a_spread()
    {
        ThreePoint.Mean(Estimate).ShouldBe(22.3333, 1e-4);
        ThreePoint.Variance(Estimate).ShouldBe(13.4444, 1e-4);
        var (alpha, beta) = ThreePoint.Shape(Estimate);
        alpha.ShouldBe(2.27273, 1e-5);
        beta.ShouldBe(3.72727, 1e-5);
        ThreePoint.BetaVariance(Estimate).ShouldBe(16.2698, 1e-4);
        (ThreePoint.Mean(new(5, 8, 14)), ThreePoint.Variance(new(5, 8, 14))).ShouldBe((8.5, 2.25));
        ThreePoint.Variance(new(7, 7, 7)).ShouldBe(0);
    }

    [Theory]
    [InlineData(0, 22.3333)]
    [InlineData(10, 12.3333)]
    [InlineData(20, 4.41354)]
    [InlineData(24, 2.97057)]
    [InlineData(30, 3.0)]
    [InlineData(36, 3.6)]
    [InlineData(50, 5.0)]
    public void What_is_left_of_a_running_step(double gone, double left)
    {
        var (minutes, over) = ThreePoint.Remaining(Estimate, gone);
        minutes.ShouldBe(left, 1e-4);
        over.ShouldBe(gone >= 36);
    }

    [Theory]
    [InlineData(585, 540, 900, 0, 0, 0.1, 0.766835)]
    [InlineData(585, 540, 900, 0, 0, 0, 0.933193)]
    [InlineData(480, 400, 625, 30, 25, 0.1, 0.854080)]
    [InlineData(495, 535.333, 363.028, 0, 0, 0.1, 0.238912)]
    [InlineData(585, 535.333, 363.028, 0, 0, 0.1, 0.808957)]
    [InlineData(645, 535.333, 363.028, 0, 0, 0.1, 0.973195)]
    [InlineData(495, 535.333, 363.028, 0, 0, 0, 0.0171355)]
    [InlineData(0, 535.333, 363.028, 0, 0, 0, 0)]
    public void The_chance_to_be_done_in_time(double limit, double hands, double handsVar, double waits, double waitsVar, double day, double chance)
    {
        var done = FinishBefore.Of(hands, handsVar, waits, waitsVar, day, limit);
        done.Chance.ShouldBe(chance, 1e-5);
        if (limit > 0)
            FinishBefore.Of(hands, handsVar, waits, waitsVar, day, limit + done.EarlierMin(limit)).Chance.ShouldBeGreaterThanOrEqualTo(0.8 - 1e-9);
    }

    [Fact]
    public void A_firm_has_a_pace_of_its_own()
    {
        PaceFactor.Of([1.2, 1.1, 1.35, 1.25]).ShouldBe(1.10529, 1e-5);
        PaceFactor.Of([0.8]).ShouldBe(0.956352, 1e-6);
        PaceFactor.Of([.. Enumerable.Repeat(1.5, 20)]).ShouldBe(1.40198, 1e-5);
        PaceFactor.Of([]).ShouldBe(1);
    }

    private static readonly WorkCalendar Days = WorkCalendar.Daily(2, 480, 1020, 720, 30);

    [Theory]
    [InlineData(690, 60, 780)]
    [InlineData(720, 15, 765)]
    [InlineData(1000, 60, 1440 + 520)]
    [InlineData(400, 30, 510)]
    [InlineData(480, 510, 1020)]
    [InlineData(480, 511, 1440 + 481)]
    public void Work_goes_on_over_breaks_and_nights(int from, int minutes, int to) => Days.Advance(from, minutes).ShouldBe(to);

    [Fact]
    public void Working_minutes_are_counted()
    {
        Days.WorkingMinutes(690, 1110).ShouldBe(300);
        Days.WorkingMinutes(600, 1440 + 540).ShouldBe(450);
    }

    [Fact]
    public void Starts_are_grouped_by_how_long_the_work_then_takes()
    {
        var one = WorkCalendar.Daily(1, 480, 1020, 720, 30);
        Said(one, 60, true).ShouldBe("60 480-660 750-960; 90 661-719");
        Said(one, 60, false).ShouldBe("60 480-660 750-960");
        var second = WorkCalendar.Daily(1, 540, 1020);
        Said(one.And(second), 60, true).ShouldBe("60 540-660 750-960; 90 661-719");
        Said(one.And(second), 240, true).ShouldBe("240 750-780; 270 540-719");
        var roof = new WorkCalendar([new(420, 720, false), new(960, 1140, false)]);
        Said(one.And(roof), 60, true).ShouldBe("60 480-660 960-960");
        Said(one.And(roof), 75, false).ShouldBe("75 480-645");
    }

    private static string Said(WorkCalendar c, int hands, bool over) => string.Join("; ", c.StartClasses(hands, over)
        .Select(x => $"{x.Span} {string.Join(' ', x.Starts.Select(s => $"{s.From}-{s.To}"))}"));

    [Fact]
    public void Advancing_and_counting_undo_each_other() => Gen.Select(Gen.Int[0, 2000], Gen.Int[0, 480]).Each((from, minutes) =>
    {
        if (Days.Advance(from, minutes) is not { } to)
            return;
        Days.WorkingMinutes(from, to).ShouldBe(minutes);
        (Days.Advance(from + 1, minutes) ?? int.MaxValue).ShouldBeGreaterThanOrEqualTo(to);
        (Days.Advance(from, minutes + 1) ?? int.MaxValue).ShouldBeGreaterThan(to - 1);
    }, iter: 500);

    /// <summary>Every minute of every class against the span asked for that minute alone.</summary>
    [Fact]
    public void Start_classes_are_the_spans_of_all_their_minutes() => Gen.Select(Gen.Int[1, 300], Gen.Bool, Gen.Int[0, 600], Gen.Int[0, 90]).Each(
        (hands, over, late, pause) =>
        {
            var hours = WorkCalendar.Daily(2, 480, 1020, 720, pause).And(WorkCalendar.Daily(2, 400 + late, 1100));
            var spans = hours.StartClasses(hands, over).SelectMany(c => c.Starts.SelectMany(s => Enumerable.Range(s.From, s.To - s.From + 1)
                .Select(m => (m, c.Span)))).ToDictionary(x => x.m, x => x.Span);
            for (var m = 0; m < 2 * WorkCalendar.Day; m += 1)
                (spans.TryGetValue(m, out var span) ? span : (int?)null).ShouldBe(hours.Span(m, hands, over), $"{m}");
        }, iter: 60);
}
