namespace Vanto.Core.Physics;

/// <summary>Bisection and interpolation, used wherever a formula has no inverse or a table stands for a curve.</summary>
public static class Roots
{
    /// <summary>Where a rising function crosses zero between two bounds.</summary>
    public static double Bisect(Func<double, double> rising, double low, double high, double tolerance)
    {
        for (var i = 0; i < 200 && high - low > tolerance; i++)
        {
            var middle = 0.5 * (low + high);
            if (rising(middle) < 0)
                low = middle;
            else
                high = middle;
        }
        return 0.5 * (low + high);
    }

    /// <summary>Linear interpolation in a table with rising <paramref name="x"/>; the end values hold beyond the ends.</summary>
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
