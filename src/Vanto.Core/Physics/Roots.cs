using MathNet.Numerics.RootFinding;

namespace Vanto.Core.Physics;

/// <summary>Roots, borders and interpolation, used wherever a formula has no inverse or a table stands for a curve.</summary>
public static class Roots
{
    private const int MostSteps = 200;

    /// <summary>
    /// Where a rising function crosses zero between two bounds (Brent's method). The low bound where the function is positive throughout, the high
    /// one where it is negative throughout.
    /// </summary>
    /// <param name="rising">The function.</param>
    /// <param name="low">Lower bound.</param>
    /// <param name="high">Upper bound.</param>
    /// <param name="tolerance">How near the bound to the root is.</param>
    public static double OfRising(Func<double, double> rising, double low, double high, double tolerance) =>
        rising(low) >= 0 ? low : rising(high) < 0 ? high : Brent.FindRoot(rising, low, high, tolerance, MostSteps);

    /// <summary>The highest value found for which something still holds, where it holds at the low bound and no longer at the high one.</summary>
    /// <param name="holds">True up to the border sought, false beyond.</param>
    /// <param name="low">A value for which it holds.</param>
    /// <param name="high">A value for which it does not.</param>
    /// <param name="tolerance">Distance to the first value for which it does not, at most.</param>
    public static double LastThat(Predicate<double> holds, double low, double high, double tolerance)
    {
        while (high - low > tolerance)
        {
            var middle = 0.5 * (low + high);
            if (holds(middle))
                low = middle;
            else
                high = middle;
        }
        return low;
    }

    /// <summary>
    /// Linear interpolation in a table with rising <paramref name="x"/>; the end values hold beyond the ends. Written out here because steps of runs
    /// call it millions of times and must not allocate.
    /// </summary>
    public static double Interpolate(ReadOnlySpan<double> x, ReadOnlySpan<double> y, double at)
    {
        if (at <= x[0])
            return y[0];
        for (var i = 1; i < x.Length; i++)
            if (at <= x[i])
                return y[i - 1] + (y[i] - y[i - 1]) * (at - x[i - 1]) / (x[i] - x[i - 1]);
        return y[^1];
    }
}
