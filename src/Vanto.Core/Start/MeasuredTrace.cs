namespace Vanto.Core.Start;

/// <summary>A logger's record of a start, made small enough to be kept in each revision of a design.</summary>
public static class MeasuredTrace
{
    /// <summary>Rows that a start needs at most: it lasts seconds, and its RMS current changes once a cycle of the mains.</summary>
    public const int MostKept = 240;

    private const double FirstTolerance = 0.002;

    /// <summary>
    /// The record without rows that lie on the straight line between those kept, within a tolerance of its highest current that begins at
    /// 0.2 % and grows until few enough are left. First, last and highest rows are always kept.
    /// </summary>
    /// <param name="record">Rising in time.</param>
    /// <param name="most">Rows kept at most, at least 3.</param>
    public static IReadOnlyList<MeasuredMoment> Thinned(IReadOnlyList<MeasuredMoment> record, int most = MostKept)
    {
        var kept = record;
        for (var tolerance = FirstTolerance * record.Max(m => m.CurrentA); kept.Count > most; tolerance *= 1.5)
            kept = Within(record, tolerance);
        return kept;
    }

    /// <summary>Douglas and Peucker's way: the row farthest off the line between two kept ones is kept too, until none is off by more.</summary>
    private static List<MeasuredMoment> Within(IReadOnlyList<MeasuredMoment> record, double toleranceA)
    {
        var keep = new bool[record.Count];
        keep[0] = keep[^1] = true;
        var highest = Enumerable.Range(0, record.Count).MaxBy(i => record[i].CurrentA);
        keep[highest] = true;
        var spans = new Stack<(int From, int To)>([(0, highest), (highest, record.Count - 1)]);
        while (spans.TryPop(out var span))
        {
            var (farthest, off) = (-1, toleranceA);
            for (var i = span.From + 1; i < span.To; i++)
                if (OffLine(record[span.From], record[span.To], record[i]) is var d && d > off)
                    (farthest, off) = (i, d);
            if (farthest < 0)
                continue;
            keep[farthest] = true;
            spans.Push((span.From, farthest));
            spans.Push((farthest, span.To));
        }
        return [.. record.Where((_, i) => keep[i])];
    }

    private static double OffLine(MeasuredMoment from, MeasuredMoment to, MeasuredMoment at) =>
        Math.Abs(at.CurrentA - (from.CurrentA + (to.CurrentA - from.CurrentA) * (at.AfterMs - from.AfterMs) / (to.AfterMs - from.AfterMs)));
}
