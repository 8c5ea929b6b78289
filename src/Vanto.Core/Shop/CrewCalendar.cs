using Vanto.Core.Findings;
using Vanto.Core.Plan;

namespace Vanto.Core.Shop;

/// <summary>Somebody's hours at one place; they end before the moment that they end at.</summary>
/// <param name="Person">By name, as the plans call them.</param>
/// <param name="Rig">The place.</param>
/// <param name="Words">What is done.</param>
public sealed record Booking(string Person, DateTimeOffset From, DateTimeOffset To, Guid Rig, string Name, string Words);

/// <summary>Two bookings that do not go together, or a day that is too long.</summary>
public sealed record BookingClash(string Person, DateOnly Day, Severity Level, Phrase Words, IReadOnlyList<Guid> Rigs);

/// <summary>A day of somebody at one rig.</summary>
public sealed record CrewDay(string Person, DateOnly Day, Guid Rig, string Name, double Hours, string Span);

/// <summary>Hours in one piece in which somebody is at no rig.</summary>
public sealed record FreeStretch(string Person, DateOnly Day, string Span);

/// <summary>Who is where, over all rigs.</summary>
/// <param name="Free">The next free half days of each, three at most.</param>
public sealed record CrewView(IReadOnlyList<CrewDay> Days, IReadOnlyList<BookingClash> Clashes, IReadOnlyList<FreeStretch> Free);

/// <summary>Hours of the crew over all rigs. Common practice, no published source.</summary>
public static class CrewCalendar
{
    /// <summary>From one place to another where nobody says how far, min; common practice.</summary>
    public const int TravelMin = 30;

    /// <summary>Work of one day above which it is said, h; common practice.</summary>
    public const double LongDayH = 10;

    /// <summary>A free stretch is told from here on, h; common practice.</summary>
    public const double HalfDayH = 4;

    /// <summary>Hours of the days to come as a new plan has them, Monday to Friday.</summary>
    /// <param name="first">The first of them.</param>
    /// <param name="offset">Of the clock here from UTC.</param>
    public static IReadOnlyList<(DateTimeOffset From, DateTimeOffset To)> UsualHours(DateOnly first, int days, TimeSpan offset) =>
        [.. Enumerable.Range(0, days).Select(first.AddDays).Where(d => d.DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday))
            .Select(d => new DateTimeOffset(d.ToDateTime(TimeOnly.MinValue), offset)).Select(m => (m.AddHours(Usual.From), m.AddHours(Usual.To)))];

    private static readonly WhenDesign Usual = new();

    /// <summary>Hours that two bookings share.</summary>
    public static double OverlapH(Booking a, Booking b) =>
        Math.Max(0, ((a.To < b.To ? a.To : b.To) - (a.From > b.From ? a.From : b.From)).TotalHours);

    /// <summary>Minutes that are missing for the way between two places; 0 where none are.</summary>
    public static double ShortMin(Booking first, Booking then, double travelMin = TravelMin) =>
        first.Rig == then.Rig ? 0 : Math.Max(0, travelMin - (then.From - first.To).TotalMinutes);

    /// <summary>Blocks of a plan as bookings.</summary>
    /// <param name="first">Its first day.</param>
    /// <param name="offsetH">Of the place's clock from UTC.</param>
    public static IEnumerable<Booking> Of(Guid rig, string name, PlanAssessment plan, DateOnly first, double offsetH)
    {
        var midnight = new DateTimeOffset(first.ToDateTime(TimeOnly.MinValue), TimeSpan.FromMinutes(Math.Round(60 * offsetH)));
        return plan.Blocks.Select(b => new Booking(plan.People[b.Person].Name, midnight.AddDays(b.Day).AddMinutes(b.From),
            midnight.AddDays(b.Day).AddMinutes(b.To), rig, name, b.Words));
    }

    /// <summary>Who is where, what does not go together, and who is free.</summary>
    /// <param name="bookings">Of everybody.</param>
    /// <param name="travelMin">From one rig to another.</param>
    /// <param name="hours">In which somebody could work; none asks for no free stretches.</param>
    /// <exception cref="InputException">A booking that ends before it begins, or a way of no time.</exception>
    public static CrewView View(IReadOnlyList<Booking> bookings, double travelMin = TravelMin,
        IReadOnlyList<(DateTimeOffset From, DateTimeOffset To)>? hours = null)
    {
        if (bookings.FirstOrDefault(b => b.To <= b.From) is { } turned)
            throw new InputException("end", $"{turned.To:yyyy-MM-dd HH:mm}", $"{turned.Name}: {turned.Words} ends before it begins");
        if (travelMin is not (>= 0 and <= 1440))
            throw new InputException("travel", $"{travelMin}", "the way takes 0 to 1,440 minutes");
        var clashes = new List<BookingClash>();
        foreach (var person in bookings.GroupBy(b => b.Person, StringComparer.OrdinalIgnoreCase))
        {
            // A plan's own blocks of a person follow each other by its rules: what is held against each other are rigs.
            var stays = person.GroupBy(b => (b.Rig, Day: Day(b))).Select(g => g.OrderBy(b => b.From).ToList()).ToList();
            foreach (var (a, b) in stays.SelectMany((a, i) => stays.Skip(i + 1).Select(b => (a, b))).Where(x => x.a[0].Rig != x.b[0].Rig))
            {
                var shared = a.Sum(x => b.Sum(y => OverlapH(x, y)));
                var (early, late) = a[0].From <= b[0].From ? (a, b) : (b, a);
                List<Guid> rigs = [early[0].Rig, late[0].Rig];
                if (shared > 0)
                    clashes.Add(new BookingClash(person.Key, Day(late[0]), Severity.Stop,
                        Phrase.Of($"{person.Key} is at {early[0].Name} and at {late[0].Name} at once, for {shared:Hours}."), rigs));
                else if (Missing(early.Concat(late), travelMin) is > 0 and var missing)
                    clashes.Add(new BookingClash(person.Key, Day(late[0]), Severity.Caution,
                        Phrase.Of($"{person.Key}: {missing / 60:Hours} too little for the way between {early[0].Name} and {late[0].Name}."), rigs));
            }
            foreach (var day in person.GroupBy(Day))
                if (day.Sum(b => (b.To - b.From).TotalHours) is > LongDayH and var worked)
                    clashes.Add(new BookingClash(person.Key, day.Key, Severity.Caution,
                        Phrase.Of($"{person.Key} works {worked:Hours} on one day; over {LongDayH:Hours} hands and eyes tire."),
                        [.. day.Select(b => b.Rig).Distinct()]));
        }
        return new CrewView([.. bookings.GroupBy(b => (b.Person, Day: Day(b), b.Rig)).OrderBy(g => g.Key.Day).ThenBy(g => g.Key.Person, StringComparer.Ordinal)
            .ThenBy(g => g.Min(b => b.From)).Select(g => new CrewDay(g.Key.Person, g.Key.Day, g.Key.Rig, g.First().Name, g.Sum(b => (b.To - b.From).TotalHours),
                $"{g.Min(b => b.From):HH:mm} to {g.Max(b => b.To):HH:mm}"))],
            [.. clashes.OrderBy(c => c.Day).ThenByDescending(c => c.Level).ThenBy(c => c.Person, StringComparer.Ordinal)],
            [.. bookings.GroupBy(b => b.Person, StringComparer.OrdinalIgnoreCase).OrderBy(g => g.Key, StringComparer.Ordinal).SelectMany(g =>
                Free(g, hours ?? [], HalfDayH).Select(f =>
                    new FreeStretch(g.Key, DateOnly.FromDateTime(f.From.DateTime), $"{f.From:HH:mm} to {f.To:HH:mm}")))]);
    }

    /// <summary>Most minutes that a change of place is short of.</summary>
    private static double Missing(IEnumerable<Booking> both, double travelMin)
    {
        var inOrder = both.OrderBy(b => b.From).ToList();
        return inOrder.Zip(inOrder.Skip(1), (a, b) => ShortMin(a, b, travelMin)).DefaultIfEmpty(0).Max();
    }

    private static DateOnly Day(Booking b) => DateOnly.FromDateTime(b.From.DateTime);

    /// <summary>First free stretches of somebody that are long enough.</summary>
    /// <param name="bookings">Of that person.</param>
    /// <param name="hours">Hours in which they would work, in their order.</param>
    /// <param name="wantedH">Hours that are wanted in one piece.</param>
    /// <param name="most">So many are enough.</param>
    public static IReadOnlyList<(DateTimeOffset From, DateTimeOffset To)> Free(IEnumerable<Booking> bookings,
        IEnumerable<(DateTimeOffset From, DateTimeOffset To)> hours, double wantedH, int most = 3)
    {
        var taken = bookings.OrderBy(b => b.From).ToList();
        IEnumerable<(DateTimeOffset From, DateTimeOffset To)> Gaps((DateTimeOffset From, DateTimeOffset To) day)
        {
            var at = day.From;
            foreach (var b in taken.Where(b => b.To > day.From && b.From < day.To))
            {
                if (b.From > at)
                    yield return (at, b.From);
                at = b.To > at ? b.To : at;
            }
            if (day.To > at)
                yield return (at, day.To);
        }

        return [.. hours.SelectMany(Gaps).Where(g => (g.To - g.From).TotalHours >= wantedH - 1e-9).Take(most)];
    }
}
