namespace Vanto.Core.Instruments;

/// <summary>A point of a trace.</summary>
/// <param name="Ms">Since 1970.</param>
/// <param name="Value">Nothing is a gap: no line is drawn over it.</param>
public readonly record struct TracePoint(long Ms, double? Value);

/// <summary>Traces of readings: thinned without losing an extreme, put on a grid without inventing a value.</summary>
public static class Trace
{
    /// <summary>A gap is this many times the median interval; common practice, no published source.</summary>
    private const double GapTimes = 3;

    /// <summary>At most about so many points, and in them the least and the most of every stretch, in their order, and the first and the last.</summary>
    /// <param name="points">In order of time.</param>
    /// <param name="most">Points that a picture can show, from 4 on.</param>
    public static IReadOnlyList<TracePoint> Thinned(IReadOnlyList<TracePoint> points, int most)
    {
        if (points.Count <= most)
            return points;
        var (from, to) = (points[0].Ms, points[^1].Ms);
        var buckets = Math.Max(1, most / 4);
        var width = Math.Max(1.0, (to - from + 1) / (double)buckets);
        var kept = new List<TracePoint>(most + 4);
        for (var i = 0; i < points.Count;)
        {
            var end = from + width * (Math.Floor((points[i].Ms - from) / width) + 1);
            var (first, low, high, gap) = (i, -1, -1, -1);
            for (; i < points.Count && points[i].Ms < end; i++)
            {
                if (points[i].Value is not { } value)
                    gap = i;
                else
                {
                    if (low < 0 || value < points[low].Value)
                        low = i;
                    if (high < 0 || value > points[high].Value)
                        high = i;
                }
            }
            foreach (var at in new[] { first, low, high, gap, i - 1 }.Where(at => at >= 0).Distinct().Order())
                kept.Add(points[at]);
        }
        return kept;
    }

    /// <summary>Median interval, ms; 0 for fewer than two points.</summary>
    public static double MedianMs(IReadOnlyList<TracePoint> points)
    {
        if (points.Count < 2)
            return 0;
        var steps = points.Zip(points.Skip(1), (a, b) => (double)(b.Ms - a.Ms)).Order().ToList();
        return steps.Count % 2 == 1 ? steps[steps.Count / 2] : 0.5 * (steps[steps.Count / 2 - 1] + steps[steps.Count / 2]);
    }

    /// <summary>
    /// Values on whole multiples of a step inside the span: straight between neighbours, nothing where they are further apart than three times the
    /// median interval.
    /// </summary>
    /// <param name="points">In any order; of two at one moment the first counts.</param>
    /// <param name="stepMs">Of the grid.</param>
    public static IReadOnlyList<TracePoint> Resampled(IEnumerable<TracePoint> points, long stepMs)
    {
        var sorted = points.Where(p => p.Value is not null).DistinctBy(p => p.Ms).OrderBy(p => p.Ms).ToList();
        if (sorted.Count == 0)
            return [];
        var limit = GapTimes * MedianMs(sorted);
        var grid = new List<TracePoint>();
        var i = 0;
        for (var t = (long)Math.Ceiling(sorted[0].Ms / (double)stepMs) * stepMs; t <= sorted[^1].Ms; t += stepMs)
        {
            while (i + 1 < sorted.Count && sorted[i + 1].Ms <= t)
                i++;
            var (a, b) = (sorted[i], sorted[Math.Min(i + 1, sorted.Count - 1)]);
            grid.Add(a.Ms == t ? a : b.Ms - a.Ms <= limit
                ? new TracePoint(t, a.Value + (b.Value - a.Value) * (t - a.Ms) / (b.Ms - a.Ms)) : new TracePoint(t, null));
        }
        return grid;
    }

    /// <summary>Where a hold most likely began: at the least of the trace, or where it was last as low, before it rises to the end.</summary>
    /// <returns>The moment, ms; nothing without a reading.</returns>
    public static long? LowestAt(IReadOnlyList<TracePoint> points)
    {
        TracePoint? low = null;
        foreach (var p in points)
            if (p.Value is { } value && (low is null || value <= low.Value.Value))
                low = p;
        return low?.Ms;
    }

    /// <summary>Readings of a stretch, at most so many, evenly spread in time; each is one that was read, none is a mean.</summary>
    public static IReadOnlyList<TracePoint> Picked(IReadOnlyList<TracePoint> points, long fromMs, long toMs, int most)
    {
        var inside = points.Where(p => p.Value is not null && p.Ms >= fromMs && p.Ms <= toMs).ToList();
        if (inside.Count <= most)
            return inside;
        var picked = new List<TracePoint>(most);
        var width = (inside[^1].Ms - inside[0].Ms) / (double)(most - 1);
        var next = (double)inside[0].Ms;
        foreach (var p in inside)
            if (p.Ms >= next - 0.5)
            {
                picked.Add(p);
                next = inside[0].Ms + width * picked.Count;
            }
        if (picked[^1] != inside[^1])
            picked.Add(inside[^1]);
        return picked;
    }
}
