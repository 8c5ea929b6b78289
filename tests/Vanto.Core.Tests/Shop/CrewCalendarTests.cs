using Vanto.Core.Findings;
using Vanto.Core.Shop;

namespace Vanto.Core.Tests.Shop;

/// <summary>Hours of the crew over all rigs; common practice, no published source.</summary>
public class CrewCalendarTests
{
    private static readonly Guid Here = Guid.NewGuid(), There = Guid.NewGuid();

    private static DateTimeOffset At(double hour, int day = 10) => new DateTimeOffset(2026, 6, day, 0, 0, 0, TimeSpan.FromHours(2)).AddHours(hour);

    private static Booking Book(double from, double to, Guid? where = null, string who = "Wren", int day = 10) =>
        new(who, At(from, day), At(to, day), where ?? Here, where == There ? "Gannet" : "Pipit", "pipes");

    [Theory]
    [InlineData(8, 12, 12, 17, 0)]
    [InlineData(8, 12.5, 12, 17, 0.5)]
    [InlineData(8, 17, 10, 11, 1)]
    public void Bookings_share_hours(double a, double b, double c, double d, double hours)
    {
        CrewCalendar.OverlapH(Book(a, b), Book(c, d)).ShouldBe(hours, 1e-9);
        CrewCalendar.OverlapH(Book(c, d), Book(a, b)).ShouldBe(hours, 1e-9);
        var clashes = CrewCalendar.View([Book(a, b), Book(c, d, There)], 0).Clashes;
        (clashes.Count > 0).ShouldBe(hours > 0);
        clashes.ShouldAllBe(x => x.Level == Severity.Stop && x.Rigs.Count == 2);
    }

    [Fact]
    public void The_way_to_another_place_takes_time()
    {
        CrewCalendar.ShortMin(Book(8, 12), Book(12.25, 17, There)).ShouldBe(15, 1e-9);
        CrewCalendar.ShortMin(Book(8, 12), Book(12.25, 17)).ShouldBe(0, "the same place");
        var clash = CrewCalendar.View([Book(12.25, 17, There), Book(8, 12)]).Clashes.ShouldHaveSingleItem();
        clash.Level.ShouldBe(Severity.Caution);
        clash.Words.InUnits().ShouldContain("Pipit and Gannet");
        CrewCalendar.View([Book(8, 12), Book(12.5, 17, There)]).Clashes.ShouldBeEmpty();
        CrewCalendar.View([Book(8, 12), Book(8, 17, There, "Piet")]).Clashes.ShouldBeEmpty("two people");
        CrewCalendar.View([Book(8, 12), Book(8, 17, There, day: 11)]).Clashes.ShouldBeEmpty("two days");
    }

    [Fact]
    public void A_day_of_more_than_ten_hours_is_said()
    {
        CrewCalendar.View([Book(7, 12), Book(13, 18)]).Clashes.ShouldBeEmpty();
        CrewCalendar.View([Book(7, 12), Book(13, 18.5)]).Clashes.ShouldHaveSingleItem().Level.ShouldBe(Severity.Caution);
        var day = CrewCalendar.View([Book(7, 12), Book(13, 18)]).Days.ShouldHaveSingleItem();
        (day.Hours, day.Span).ShouldBe((10, "07:00 to 18:00"));
    }

    [Fact]
    public void Free_hours_are_what_the_bookings_leave()
    {
        var hours = Enumerable.Range(10, 3).Select(d => (At(8, d), At(17, d)));
        CrewCalendar.Free([Book(8, 12), Book(13, 16), Book(8, 17, day: 11)], hours, 1).ShouldBe([(At(12), At(13)), (At(16), At(17)), (At(8, 12), At(17, 12))]);
        CrewCalendar.Free([], hours, 4, 2).Count.ShouldBe(2);
        CrewCalendar.Free([Book(8, 17)], hours.Take(1), 0.5).ShouldBeEmpty();
        var usual = CrewCalendar.UsualHours(new DateOnly(2026, 6, 10), 7, TimeSpan.FromHours(2));
        usual.Count.ShouldBe(5, "no Saturday, no Sunday");
        CrewCalendar.View([Book(8, 14)], hours: usual).Free.Select(f => (f.Person, f.Day.Day, f.Span))
            .ShouldBe([("Wren", 11, "08:00 to 17:00"), ("Wren", 12, "08:00 to 17:00"), ("Wren", 15, "08:00 to 17:00")]);
    }

    [Fact]
    public void The_night_that_the_clocks_go_on_counts_its_real_hours()
    {
        // 01:30 to 04:00 by the clock on the day that summer time begins in central Europe: offsets 1 and 2 hours.
        var night = new Booking("Wren", new DateTimeOffset(2026, 3, 29, 1, 30, 0, TimeSpan.FromHours(1)), new DateTimeOffset(2026, 3, 29, 4, 0, 0,
            TimeSpan.FromHours(2)), Here, "Pipit", "pump");
        CrewCalendar.View([night]).Days.ShouldHaveSingleItem().Hours.ShouldBe(1.5, 1e-9);
    }

    [Fact]
    public void What_ends_before_it_begins_is_refused()
    {
        Should.Throw<InputException>(() => CrewCalendar.View([Book(12, 12)])).Errors[0].Field.ShouldBe("end");
        Should.Throw<InputException>(() => CrewCalendar.View([], -1)).Errors[0].Field.ShouldBe("travel");
    }
}
