using Vanto.Core.Shop;

namespace Vanto.Core.Tests.Shop;

/// <summary>The shop's board, instruments, licences and stock. Common practice, no published source, but where one is named.</summary>
public class ShopBookTests
{
    private static readonly DateTimeOffset Now = new(2026, 6, 10, 9, 0, 0, TimeSpan.Zero);
    private static readonly DateOnly Today = new(2026, 6, 10);

    [Theory]
    [InlineData("2026-06-01", -9, Dueness.Overdue)]
    [InlineData("2026-06-10", 0, Dueness.Due)]
    [InlineData("2026-06-24", 14, Dueness.Due)]
    [InlineData("2026-06-25", 15, Dueness.Later)]
    public void The_board_tells_how_near_a_date_is(string day, int days, Dueness state)
    {
        var item = ShopBook.View([], [new RigDate(Guid.NewGuid(), "Knot", "service", "filter", DateOnly.Parse(day), "service/care")], Today).Due.Single();
        (item.Days, item.State).ShouldBe((days, state));
    }

    [Fact]
    public void Time_only_moves_what_is_due_nearer()
    {
        var dates = Enumerable.Range(0, 60).Select(i => new RigDate(Guid.NewGuid(), $"rig {i:00}", "service", "filter", Today.AddDays(i - 20), "")).ToList();
        Dueness At(string rig, int ahead) => ShopBook.View([], dates, Today.AddDays(ahead)).Due.Single(d => d.Subject == rig).State;
        foreach (var rig in dates.Select(d => d.Name))
            ((int)At(rig, 9)).ShouldBeGreaterThanOrEqualTo((int)At(rig, 0));
        ShopBook.View([], dates, Today).Due[0].State.ShouldBe(Dueness.Overdue);
    }

    [Fact] // ISO 6789 for wrenches, from memory
    public void Calibration_is_due_by_months_or_by_cycles()
    {
        ShopBook.CalibrationDue(new DateOnly(2025, 8, 31), 6, null, null, null).ShouldBe(new DateOnly(2026, 2, 28));
        ShopBook.CalibrationDue(new DateOnly(2026, 1, 1), 12, 5000, 4630, 38).ShouldBe(new DateOnly(2026, 1, 1).AddDays(68));
        ShopBook.CalibrationDue(null, 12, null, null, null).ShouldBeNull();
        ShopBook.Reread(18, -0.075).ShouldBe(16.65, 1e-9);
        ShopBook.Reread(60, null, 12).ShouldBe(72);
    }

    [Fact]
    public void An_instrument_out_of_date_says_so_on_the_paper()
    {
        var record = new InstrumentRecord(Guid.NewGuid(), Now, "Piet", new InstrumentValues { Name = "clamp", CalibratedOn = "2025-06-01" }, null);
        var row = ShopBook.View([record], [], Today).Instruments.Single();
        row.Due.ShouldBe(new DateOnly(2026, 6, 1));
        row.Printed(Today).ShouldContain("NOT IN CALIBRATION");
        row.Printed(new DateOnly(2026, 5, 30)).ShouldContain("good until 2026-06-01");
        row.Good(new DateOnly(2025, 5, 31)).ShouldBeFalse("before it was calibrated nothing is known");
    }

    [Theory] // Poisson demand, any inventory textbook; computed outside this project
    [InlineData(1.63333, 0.95, 4)]
    [InlineData(6.22222, 0.98, 12)]
    [InlineData(2.5, 0.95, 5)]
    [InlineData(6, 0.98, 12)]
    [InlineData(0, 0.95, 0)]
    public void Stock_is_ordered_at(double mean, double chance, int at) => ShopBook.OrderAt(mean, chance).ShouldBe(at);

    [Fact]
    public void Stock_is_the_last_count_and_what_moved_since()
    {
        StockRecord Move(StockMove move, double many) => new(Guid.NewGuid(), Now, "Piet", new StockValues { Part = "nut", Move = move, Many = many }, null);
        var stock = ShopBook.View([Move(StockMove.In, 99), Move(StockMove.Counted, 10), Move(StockMove.Out, 3), Move(StockMove.Out, 4)], [], Today).Stock
            .Single();
        stock.OnHand.ShouldBe(3);
        stock.OrderAt.ShouldBeNull("two uses say nothing yet");
        ShopBook.View([Move(StockMove.Out, 3)], [], Today).Stock.Single().Odd.ShouldBeTrue();
        ShopBook.View([Move(StockMove.Counted, 6), Move(StockMove.Out, 2), Move(StockMove.Out, 2), Move(StockMove.Out, 2)], [], Today).Stock.Single().Order
            .ShouldBeTrue();
    }

    [Fact]
    public void A_licence_holds_to_its_last_day()
    {
        var row = new LicenceRow(Guid.NewGuid(), "Ottoline", LicenceScope.Refrigerant, "", "", null, new DateOnly(2026, 6, 30));
        row.Holds(new DateOnly(2026, 6, 30)).ShouldBeTrue();
        row.Holds(new DateOnly(2026, 7, 1)).ShouldBeFalse();
        ShopBook.Covers([row], LicenceScope.Refrigerant, Today, ["ottoline"]).ShouldNotBeNull();
        ShopBook.Covers([row], LicenceScope.Refrigerant, Today, ["Piet"]).ShouldBeNull();
        (row with { Expires = null }).Holds(Today.AddYears(9)).ShouldBeTrue();
    }
}
