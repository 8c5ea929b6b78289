namespace Vanto.Core.Physics;

/// <summary>Bisection and interpolation, used wherever a formula has no inverse or a table stands for a curve.</summary>
public static class Roots
{
    /// <summary>
    /// Where a rising function crosses zero between two bounds (Chandrupatla's method: bisection or inverse quadratic steps).
    /// Returns the low bound when the function is positive throughout, the high one when it is negative throughout.
    /// </summary>
    public static double Bisect(Func<double, double> rising, double low, double high, double tolerance)
    {
        double a = high, b = low, fa = rising(high), fb = rising(low);
        if (fb >= 0)
            return low;
        if (fa < 0)
            return high;
        double c = a, fc = fa, t = 0.5;
        for (var i = 0; i < 100; i++)
        {
            var x = a + t * (b - a);
            var fx = rising(x);
            if (fx >= 0 == fa >= 0)
            {
                (c, fc) = (a, fa);
            }
            else
            {
                (c, b) = (b, a);
                (fc, fb) = (fb, fa);
            }
            (a, fa) = (x, fx);
            var nearest = Math.Abs(fa) < Math.Abs(fb) ? a : b;
            var share = 0.5 * tolerance / Math.Abs(b - a);
            if (fa == 0 || share > 0.5)
                return nearest;
            var xi = (a - b) / (c - b);
            var phi = (fa - fb) / (fc - fb);
            t = phi * phi < xi && (1 - phi) * (1 - phi) < 1 - xi
                ? fa / (fb - fa) * fc / (fb - fc) + (c - a) / (b - a) * fa / (fc - fa) * fb / (fc - fb)
                : 0.5;
            t = Math.Clamp(t, share, 1 - share);
        }
        return Math.Abs(fa) < Math.Abs(fb) ? a : b;
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
