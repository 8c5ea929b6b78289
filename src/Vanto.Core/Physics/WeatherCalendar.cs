using NodaTime;

namespace Vanto.Core.Physics;

/// <summary>The calendar of design days and weather years: 365 days without a leap day, the same for all places.</summary>
public static class WeatherCalendar
{
    /// <summary>The year whose sun is taken.</summary>
    public const int Year = 2025;

    private const int Days = 365;

    /// <summary>A day by its number; after the last day of the year comes the first.</summary>
    /// <param name="number">From 1.</param>
    public static LocalDate Day(int number) => new LocalDate(Year, 1, 1).PlusDays((number - 1) % Days);

    /// <summary>Number of a day, from 1; one that this year lacks counts as the last of its month.</summary>
    public static int Number(int month, int day) => new AnnualDate(month, Math.Min(day, DaysIn(month))).InYear(Year).DayOfYear;

    /// <summary>Days of a month.</summary>
    public static int DaysIn(int month) => CalendarSystem.Iso.GetDaysInMonth(Year, month);
}
