using CsCheck;
using Vanto.Core.Findings;
using Vanto.Core.Plan;

namespace Vanto.Core.Tests.Plan;

/// <summary>Packs, dates and money; check values worked by hand.</summary>
public class BuyingTests
{
    private static readonly Pack[] Tape = [new(5, 7.20m), new(10, 12.50m), new(25, 24.00m)];

    [Theory]
    [InlineData(13.4, "1 1 0", 19.70, 1.6)]
    [InlineData(21, "0 0 1", 24.00, 4)]
    [InlineData(26, "1 0 1", 31.20, 4)]
    [InlineData(30, "1 0 1", 31.20, 0)]
    [InlineData(0.05, "1 0 0", 7.20, 4.95)]
    [InlineData(0, "0 0 0", 0, 0)]
    public void Packs_cover_a_need_at_least_cost(double need, string counts, double cost, double surplus)
    {
        var choice = PackCover.Of(need, Tape);
        string.Join(' ', choice.Counts).ShouldBe(counts);
        choice.Cost.ShouldBe((decimal)cost);
        choice.Surplus.ShouldBe(surplus, 1e-9);
    }

    [Fact]
    public void Of_two_ways_of_one_price_the_fewer_packs_count() =>
        PackCover.Of(12, [new(4, 3.00m), new(6, 4.50m)], 1).Counts.ShouldBe([0, 2]);

    [Fact]
    public void Packs_are_as_cheap_as_any_count_of_them() => Gen.Select(Gen.Int[1, 12].Array[1, 3], Gen.Int[1, 40].Array[3], Gen.Int[0, 40]).Each(
        (sizes, prices, need) =>
        {
            Pack[] packs = [.. sizes.Select((s, i) => new Pack(s, prices[i]))];
            var least = decimal.MaxValue;
            void Go(int at, int left, decimal cost)
            {
                if (left <= 0)
                    least = Math.Min(least, cost);
                else if (at < packs.Length)
                    for (var n = 0; n <= left / (int)packs[at].Size + 1; n++)
                        Go(at + 1, left - n * (int)packs[at].Size, cost + n * packs[at].Price);
            }

            Go(0, need, 0);
            var choice = PackCover.Of(need, packs, 1);
            choice.Cost.ShouldBe(least);
            choice.Bought.ShouldBeGreaterThanOrEqualTo(need);
            PackCover.Of(need + 1, packs, 1).Cost.ShouldBeGreaterThanOrEqualTo(choice.Cost);
            choice.Cost.ShouldBeLessThanOrEqualTo(packs.Min(p => p.Price * (decimal)Math.Ceiling(need / p.Size)));
        }, iter: 300);

    [Fact]
    public void Packs_that_are_none_are_refused()
    {
        Should.Throw<InputException>(() => PackCover.Of(3, []));
        Should.Throw<InputException>(() => PackCover.Of(-1, Tape));
        Should.Throw<InputException>(() => PackCover.Of(3, [new(0, 1)]));
        Should.Throw<InputException>(() => PackCover.Of(3, [new(0.25, 1)])).Message.ShouldContain("steps of 0.1");
    }

    private static DateOnly D(string text) => DateOnly.ParseExact(text, "yyyy-MM-dd");

    [Theory]
    [InlineData("2026-06-04", 12, "2026-05-18")]
    [InlineData("2026-06-01", 6, "2026-05-21")]
    [InlineData("2026-05-26", 1, "2026-05-22")]
    public void Orders_go_out_so_many_working_days_before(string need, int days, string order) =>
        new SupplierDays(new HashSet<DateOnly> { D("2026-05-25") }).Back(D(need), days).ShouldBe(D(order));

    [Fact]
    public void A_delivery_is_so_many_working_days_away()
    {
        new SupplierDays(new HashSet<DateOnly> { D("2026-05-25") }).Forward(D("2026-05-20"), 12).ShouldBe(D("2026-06-08"));
        var plain = new SupplierDays();
        Gen.Select(Gen.Int[0, 2000], Gen.Int[0, 60]).Each((day, n) =>
        {
            var at = D("2026-01-01").AddDays(day);
            if (at.DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday))
                plain.Forward(plain.Back(at, n), n).ShouldBe(at);
        });
    }

    [Fact]
    public void A_price_is_summed_to_the_cent()
    {
        QuoteSum Of(double margin) => QuoteSum.Of([(1, 1480m), (2, 12.50m), (1, 7.20m), (12, 1.85m)], [(8.5, 46m), (1.5, 38m)], [35m, 22.40m], 0.05,
            margin, 0, 0.19);
        var sum = Of(0.25);
        (sum.Materials, sum.Labour, sum.Other, sum.Base, sum.Contingency, sum.Cost).ShouldBe((1534.40m, 448.00m, 57.40m, 2039.80m, 101.99m, 2141.79m));
        (sum.Net, sum.Tax, sum.Gross).ShouldBe((2855.72m, 542.59m, 3398.31m));
        var marked = Of(QuoteSum.Margin(0.25));
        (marked.Net, marked.Tax, marked.Gross).ShouldBe((2677.24m, 508.68m, 3185.92m));
        QuoteSum.Markup(0.25).ShouldBe(1 / 3.0, 1e-9);
        QuoteSum.Markup(0.40).ShouldBe(2 / 3.0, 1e-9);
        QuoteSum.Margin(0.20).ShouldBe(1 / 6.0, 1e-9);
        Should.Throw<InputException>(() => Of(1)).Message.ShouldContain("share of the price");
    }

    [Fact]
    public void What_it_came_to_is_told_by_price_and_by_quantity()
    {
        var bought = Variance.Of(12, 1.85m, 14, 1.99m);
        (bought.Price, bought.Quantity, bought.Total).ShouldBe((1.96m, 3.70m, 5.66m));
        var worked = Variance.Of(8.5m, 46, 9.75m, 48);
        (worked.Price, worked.Quantity, worked.Total).ShouldBe((19.50m, 57.50m, 77.00m));
    }

    [Theory]
    [InlineData(4, 0.004826, 0.0079, 8e-4, 2.8e6, 13.8e6, 0.010, 1.26924e-3, 0.0612686, 1.20680, 19)]
    [InlineData(7.6, 0.004826, 0.0111, 1.2e-3, 2.8e6, 8e6, 0.005, 2.27446e-3, 0.109793, 0.270093, 2)]
    [InlineData(4, 0.004826, 0.0079, 8e-4, 2.8e6, 3e6, 0.010, 1.26924e-3, 0.0612686, 0, 0)]
    public void A_bottle_is_enough_for_so_many_tests(double length, double liquid, double gas, double coil, double test, double bottle, double bottleM3,
        double volume, double each, double use, int tests)
    {
        var n2 = NitrogenSupply.Of(liquid, gas, length, coil, 2e-4, test, bottle, bottleM3, 293.15);
        n2.VolumeM3.ShouldBe(volume, 1e-5 * volume);
        n2.TestKg.ShouldBe(each, 1e-5 * each);
        n2.UseKg.ShouldBe(use, 1e-5);
        n2.Tests.ShouldBe(tests);
    }

    [Fact]
    public void Minutes_and_money_read_as_said()
    {
        Readable.Span(45).ShouldBe("45 min");
        Readable.Span(80).ShouldBe("1 h 20 min");
        Readable.Span(120).ShouldBe("2 h");
        Readable.Clock(1440 + 545).ShouldBe("09:05");
        Readable.Money(1234.5m, "EUR").ShouldBe("EUR 1,234.50");
    }
}
