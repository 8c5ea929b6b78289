using MathNet.Numerics;
using MathNet.Numerics.Distributions;
using Vanto.Core.Findings;

namespace Vanto.Core.Plan;

/// <summary>Mean and spread of a three-point estimate; Malcolm, Roseboom, Clark, Fazar, Operations Research 7 (1959).</summary>
public static class ThreePoint
{
    /// <summary>Longest that a step or a wait may be, min: a fortnight.</summary>
    public const double MostMin = 20160;

    /// <summary>Share of the time gone that is still left, at least, of a step that runs on.</summary>
    private const double LeastLeft = 0.1;

    public static double Mean(Minutes m) => (m.Best + 4 * m.Likely + m.Worst) / 6;

    public static double Variance(Minutes m) => (m.Worst - m.Best) * (m.Worst - m.Best) / 36;

    /// <summary>Parameters of the beta between best and worst with the same mean.</summary>
    public static (double Alpha, double Beta) Shape(Minutes m)
    {
        var width = m.Worst - m.Best;
        return width <= 0 ? (3, 3) : (1 + 4 * (m.Likely - m.Best) / width, 1 + 4 * (m.Worst - m.Likely) / width);
    }

    /// <summary>Variance of that beta; a little different from <see cref="Variance"/>.</summary>
    public static double BetaVariance(Minutes m)
    {
        var (a, b) = Shape(m);
        var (width, sum) = (m.Worst - m.Best, a + b);
        return a * b * width * width / (sum * sum * (sum + 1));
    }

    /// <summary>Minutes still to go of a step that has run for so long; true beside it where it is over its worst.</summary>
    /// <exception cref="InputException">The time gone is less than nothing.</exception>
    public static (double Minutes, bool OverWorst) Remaining(Minutes m, double gone)
    {
        if (gone < 0)
            throw new InputException("gone", $"{gone}", "a step cannot have run for less than nothing");
        if (gone >= m.Worst)
            return (LeastLeft * gone, true);
        if (gone <= m.Best)
            return (Mean(m) - gone, false);
        var (a, b) = Shape(m);
        var x = (gone - m.Best) / (m.Worst - m.Best);
        var tail = 1 - SpecialFunctions.BetaRegularized(a, b, x);
        var expected = m.Best + (m.Worst - m.Best) * a / (a + b) * (1 - SpecialFunctions.BetaRegularized(a + 1, b, x)) / tail;
        return (Math.Max(expected - gone, LeastLeft * gone), false);
    }
}

/// <summary>Chance that the work is done before a limit, along the steps that bind it.</summary>
/// <param name="MeanMin">Of hands and waits that bind.</param>
/// <param name="SpreadMin">Its standard deviation.</param>
/// <param name="Chance">0 to 1.</param>
public readonly record struct FinishBefore(double MeanMin, double SpreadMin, double Chance)
{
    /// <summary>Below this share it is not for today; the product's own choice.</summary>
    public const double LeastChance = 0.8;

    /// <summary>Works it out: every hand is moved together by a factor of the day.</summary>
    /// <param name="handsMin">Sum of the means of hands.</param>
    /// <param name="handsVar">Sum of their variances.</param>
    /// <param name="waitsMin">Of waits that bind.</param>
    /// <param name="waitsVar">Their variances.</param>
    /// <param name="dayShare">Coefficient of variation of the day, 0 to 0.5.</param>
    /// <param name="limitMin">Working minutes until the limit.</param>
    public static FinishBefore Of(double handsMin, double handsVar, double waitsMin, double waitsVar, double dayShare, double limitMin)
    {
        var mean = handsMin + waitsMin;
        var spread = Math.Sqrt(handsVar + waitsVar + dayShare * handsMin * (dayShare * handsMin));
        var chance = limitMin <= 0 ? 0 : spread <= 0 ? limitMin >= mean ? 1 : 0 : Normal.CDF(mean, spread, limitMin);
        return new FinishBefore(mean, spread, chance);
    }

    /// <summary>Minutes earlier that bring the chance to <see cref="LeastChance"/>; 0 where it is there.</summary>
    public double EarlierMin(double limitMin) => Math.Max(0, MeanMin + SpreadMin * Normal.InvCDF(0, 1, LeastChance) - limitMin);
}

/// <summary>A firm's own times: its hands against the library's, drawn towards 1 while records are few.</summary>
public static class PaceFactor
{
    private const double Shrink = 4;

    /// <summary>Newest records that count.</summary>
    public const int Newest = 40;

    /// <summary>exp(n/(n + 4)·mean ln r) of the newest ratios of actual to likely hands; 1 without any.</summary>
    public static double Of(IReadOnlyList<double> ratios)
    {
        var last = ratios.TakeLast(Newest).ToList();
        return last.Count == 0 ? 1 : Math.Exp(last.Count / (last.Count + Shrink) * last.Average(Math.Log));
    }
}
