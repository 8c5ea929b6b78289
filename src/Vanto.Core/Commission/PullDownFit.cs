using Vanto.Core.Physics;

namespace Vanto.Core.Commission;

/// <summary>A reading of a space that is cooled down.</summary>
public readonly record struct CoolingPoint(double Seconds, double C);

/// <summary>A cooling-down as T = T∞ + A·e^(−t/τ), fitted by least squares.</summary>
/// <param name="TauS">Its time constant.</param>
/// <param name="EndsC">Where it would end.</param>
/// <param name="AmplitudeK">How far from there it began, at time 0.</param>
/// <param name="Extrapolated">The readings are too short against its time constant to be sure of it.</param>
public sealed record PullDownFit(double TauS, double EndsC, double AmplitudeK, bool Extrapolated)
{
    private const int LeastReadings = 20;
    private const double LeastS = 1200, LeastSpan = 0.8;
    private const int Grid = 60, Steps = 60;

    /// <summary>Temperature of the fit.</summary>
    public double At(double seconds) => EndsC + AmplitudeK * Math.Exp(-seconds / TauS);

    /// <summary>Seconds until a temperature; nothing where it is never reached.</summary>
    public double? SecondsTo(double celsius) => celsius <= EndsC || AmplitudeK <= 0 ? null : TauS * Math.Log(AmplitudeK / (celsius - EndsC));

    /// <summary>Fits readings in any order; nothing with fewer than 20 over 20 minutes, or where they do not fall.</summary>
    public static PullDownFit? Of(IEnumerable<CoolingPoint> readings)
    {
        var kept = readings.DistinctBy(r => r.Seconds).OrderBy(r => r.Seconds).ToList();
        if (kept.Count < LeastReadings || kept[^1].Seconds - kept[0].Seconds is var span && span < LeastS)
            return null;
        (double Tau, double Ends, double A, double Sum) best = (0, 0, 0, double.PositiveInfinity);
        double Try(double lnTau)
        {
            var tau = Math.Exp(lnTau);
            double n = kept.Count, se = 0, see = 0, st = 0, set = 0;
            foreach (var r in kept)
            {
                var e = Math.Exp(-r.Seconds / tau);
                se += e;
                see += e * e;
                st += r.C;
                set += e * r.C;
            }
            var a = (n * set - se * st) / (n * see - se * se);
            var ends = (st - a * se) / n;
            var sum = kept.Sum(r => Math.Pow(r.C - ends - a * Math.Exp(-r.Seconds / tau), 2));
            if (sum < best.Sum)
                best = (tau, ends, a, sum);
            return sum;
        }

        var (low, high) = (Math.Log(span / 20), Math.Log(5 * span));
        GoldenSearch.Least(Try, low, high, Grid, Steps);
        if (!(best.A > 0) || !double.IsFinite(best.Ends))
            return null;
        var edge = (high - low) / (Grid - 1);
        var ln = Math.Log(best.Tau);
        return new PullDownFit(best.Tau, best.Ends, best.A, span / best.Tau < LeastSpan || ln < low + edge || ln > high - edge);
    }
}
