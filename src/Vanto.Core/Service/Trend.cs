using Vanto.Core.Findings;

namespace Vanto.Core.Service;

/// <summary>
/// What is normal for this rig: y = a + b·x with its scatter, or a mean alone. Regression and prediction interval of any statistics textbook.
/// </summary>
/// <param name="Count">Readings.</param>
/// <param name="A">Where it begins, or the mean.</param>
/// <param name="B">For each kelvin outdoors; 0 without it.</param>
/// <param name="Sigma">Scatter, no less than the instrument's uncertainty.</param>
/// <param name="MeanX">Outdoors, mean of the readings.</param>
/// <param name="SpreadX">Sum of squares of the outdoors about it; 0 without it.</param>
/// <param name="LeastX">Coolest outdoors.</param>
/// <param name="MostX">Warmest.</param>
/// <param name="Lag">Correlation of a reading with the one before.</param>
public sealed record TrendBaseline(int Count, double A, double B, double Sigma, double MeanX, double SpreadX, double LeastX, double MostX, double Lag)
{
    /// <summary>Fewer are no baseline.</summary>
    public const int Least = 8;

    private const double UsefulRangeK = 5, BeyondK = 3;

    /// <summary>Correlation over which every second reading is charted.</summary>
    public const double Sticky = 0.3;

    /// <summary>Fits; nothing with fewer than eight.</summary>
    /// <param name="readings">Outdoors and value, in their order.</param>
    /// <param name="uncertainty">Standard uncertainty of the instrument.</param>
    public static TrendBaseline? Of(IReadOnlyList<(double X, double Y)> readings, double uncertainty)
    {
        var n = readings.Count;
        if (n < Least)
            return null;
        var (meanX, meanY) = (readings.Average(r => r.X), readings.Average(r => r.Y));
        var (least, most) = (readings.Min(r => r.X), readings.Max(r => r.X));
        var sloped = most - least >= UsefulRangeK;
        var spread = sloped ? readings.Sum(r => (r.X - meanX) * (r.X - meanX)) : 0;
        var b = sloped ? readings.Sum(r => (r.X - meanX) * (r.Y - meanY)) / spread : 0;
        var a = meanY - b * meanX * (sloped ? 1 : 0);
        var rest = readings.Select(r => r.Y - a - b * r.X).ToArray();
        var scatter = Math.Sqrt(rest.Sum(e => e * e) / (n - (sloped ? 2 : 1)));
        return new TrendBaseline(n, a, b, Math.Max(scatter, uncertainty), meanX, spread, least, most, LagOne(rest));
    }

    /// <summary>How a later reading stands to it, in scatters; nothing where it was never so warm or cold.</summary>
    public double? Standard(double x, double y) => SpreadX > 0 && (x < LeastX - BeyondK || x > MostX + BeyondK) ? null
        : (y - A - B * x) / (Sigma * Math.Sqrt(1 + 1.0 / Count + (SpreadX > 0 ? (x - MeanX) * (x - MeanX) / SpreadX : 0)));

    /// <summary>Correlation of each value with the next.</summary>
    public static double LagOne(IReadOnlyList<double> values)
    {
        var mean = values.Average();
        var all = values.Sum(v => (v - mean) * (v - mean));
        return all <= 0 ? 0 : Enumerable.Range(0, values.Count - 1).Sum(i => (values[i] - mean) * (values[i + 1] - mean)) / all;
    }
}

/// <summary>One step of the sums.</summary>
/// <param name="Up">Sum of what is over.</param>
/// <param name="Down">Sum of what is under.</param>
public readonly record struct CusumStep(double Up, double Down);

/// <summary>A drift that was seen.</summary>
/// <param name="At">Place of the reading at which it was.</param>
/// <param name="From">Place of the reading at which it began.</param>
/// <param name="ShiftSigmas">How far it moved, in scatters, with its sign.</param>
public sealed record DriftSeen(int At, int From, double ShiftSigmas);

/// <summary>
/// Cumulative sums against drift (Continuous inspection schemes, Biometrika 41, 1954; head start: Technometrics 24, 1982; both from memory).
/// </summary>
public static class Cusum
{
    /// <summary>Half the shift that is sought, in scatters.</summary>
    public const double Slack = 0.5;

    /// <summary>Limit by the readings of the baseline: a short one cries wolf, so it is given more room. Common practice.</summary>
    public static double Limit(int baseline) => baseline switch { < 12 => 8, < 20 => 7, < 50 => 6, _ => 5 };

    /// <summary>
    /// Readings from one false cry to the next with that limit, the mean of the baseline wrong by one standard error of its own: exact run lengths by the
    /// integral equation, computed once.
    /// </summary>
    public static double Wolf(int baseline) => baseline switch { < 12 => 255.6, < 20 => 302.7, < 50 => 307.5, _ => 276.0 };

    /// <summary>Walks the standardised readings.</summary>
    /// <param name="z">In their order.</param>
    /// <param name="k">Slack.</param>
    /// <param name="h">Limit.</param>
    /// <param name="head">Where both sums begin: half the limit after a repair, else 0.</param>
    /// <returns>The sums, and the first drift where one exceeds the limit.</returns>
    public static (IReadOnlyList<CusumStep> Steps, DriftSeen? Drift) Of(IReadOnlyList<double> z, double k, double h, double head = 0)
    {
        var steps = new List<CusumStep>();
        var (up, down) = (new Side(head), new Side(head));
        DriftSeen? drift = null;
        for (var i = 0; i < z.Count; i++)
        {
            up.Take(z[i] - k);
            down.Take(-z[i] - k);
            steps.Add(new CusumStep(up.Sum, down.Sum));
            if (drift is null && (up.Sum > h || down.Sum > h))
            {
                var side = up.Sum > h ? up : down;
                drift = new DriftSeen(i, i - side.Count + 1, (up.Sum > h ? 1 : -1) * (k + (side.Sum - side.Start) / side.Count));
            }
        }
        return (steps, drift);
    }

    private sealed class Side(double head)
    {
        public double Sum { get; private set; } = head;
        public double Start { get; private set; } = head;
        public int Count { get; private set; }

        public void Take(double step)
        {
            Sum = Math.Max(0, Sum + step);
            Count = Sum > 0 ? Count + 1 : 0;
            if (Sum <= 0)
                Start = 0;
        }
    }

    /// <summary>
    /// Readings from one cry to the next with no drift, or until a drift of so many scatters is seen: the approximation of Sequential Analysis (Springer
    /// 1985), both sides together; from memory.
    /// </summary>
    public static double RunLength(double shift, double k, double h)
    {
        double One(double delta)
        {
            var b = h + 1.166;
            return Math.Abs(delta) < 1e-9 ? b * b : (Math.Exp(-2 * delta * b) + 2 * delta * b - 1) / (2 * delta * delta);
        }

        return 1 / (1 / One(shift - k) + 1 / One(-shift - k));
    }
}

/// <summary>Which side is the worse one.</summary>
public enum WorseSide { High, Low, Both }

/// <summary>A measured quantity and its limits, as shares of the reference; common practice.</summary>
public sealed record VisitLimits(WorseSide Worse, double? Note, double? Caution, double? Stop);

/// <summary>A reading of a visit against its reference.</summary>
/// <param name="Difference">Measured less reference.</param>
/// <param name="Share">Of the reference.</param>
/// <param name="SeenFrom">Least difference that the two instruments can show (k = 2, JCGM 100, published).</param>
/// <param name="Level">Nothing where it is within what they can show, or on the better side.</param>
public sealed record VisitJudgement(double Difference, double Share, double SeenFrom, Severity? Level);

/// <summary>Few visits are compared one by one, without a chart.</summary>
public static class VisitComparison
{
    /// <summary>Compares; at a limit counts as beyond it.</summary>
    /// <param name="measured">Now.</param>
    /// <param name="reference">As predicted for this state, else as it was commissioned.</param>
    /// <param name="u1">Standard uncertainty of the first.</param>
    /// <param name="u2">Of the second.</param>
    /// <param name="limits">Of its kind.</param>
    public static VisitJudgement Of(double measured, double reference, double u1, double u2, VisitLimits limits)
    {
        var difference = measured - reference;
        var seen = 2 * Math.Sqrt(u1 * u1 + u2 * u2);
        var share = difference / reference;
        var worse = limits.Worse switch { WorseSide.High => share, WorseSide.Low => -share, _ => Math.Abs(share) };
        bool Beyond(double? limit) => limit is { } l && worse >= l - 1e-9;
        return new VisitJudgement(difference, share, seen, Math.Abs(difference) <= seen ? null : Beyond(limits.Stop) ? Severity.Stop
            : Beyond(limits.Caution) ? Severity.Caution : Beyond(limits.Note) ? Severity.Note : null);
    }
}
