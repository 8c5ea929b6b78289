using System.Globalization;

namespace Vanto.Core.Exchange;

/// <summary>Which daily backups stay. Common practice, no published source.</summary>
public static class BackupKeeping
{
    private const int DaysKept = 7, WeeksKept = 5, MonthsKept = 12;

    /// <summary>Days without a good backup after which that is said.</summary>
    public const int LateDays = 7;

    /// <summary>The newest of each of the last seven days, five weeks (ISO 8601) and twelve months that have one; gaps are passed over.</summary>
    /// <param name="days">Days that have a backup.</param>
    public static IReadOnlySet<DateOnly> Kept(IEnumerable<DateOnly> days)
    {
        var newest = days.Distinct().OrderDescending().ToList();
        IEnumerable<DateOnly> Of<T>(Func<DateOnly, T> span, int many) => newest.GroupBy(span).Take(many).Select(g => g.First());
        return new HashSet<DateOnly>(
        [
            .. Of(d => d, DaysKept), .. Of(d => (ISOWeek.GetYear(d.ToDateTime(default)), ISOWeek.GetWeekOfYear(d.ToDateTime(default))), WeeksKept),
            .. Of(d => (d.Year, d.Month), MonthsKept),
        ]);
    }
}
