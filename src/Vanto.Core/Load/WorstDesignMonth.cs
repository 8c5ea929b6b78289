using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>
/// The design peak of every month: the design day shifted with the monthly maxima, its wet bulb by 0.6 of that (common practice).
/// Low sun on large side windows can beat the hottest month.
/// </summary>
public static class WorstDesignMonth
{
    private const double WetBulbFallsWith = 0.6;
    private const int StepS = 900;

    /// <summary>Peaks of the twelve months, W.</summary>
    /// <param name="space">The space with the design day of its hottest month.</param>
    /// <param name="monthMaximaC">Mean daily maximum of each month.</param>
    public static double[] Peaks(SpaceDescription space, IReadOnlyList<double> monthMaximaC)
    {
        var top = monthMaximaC.Max();
        var weather = space.Weather;
        var wet = MoistAir.WetBulb(weather.DryBulbC, weather.HumidityRatioAtPeak, weather.PressurePa);
        return [.. monthMaximaC.Select((max, i) =>
        {
            var cooler = top - max;
            var dry = weather.DryBulbC - cooler;
            var ratio = Math.Max(1e-4, MoistAir.RatioFromWetBulb(dry, Math.Min(dry, wet - WetBulbFallsWith * cooler), weather.PressurePa));
            var there = space with { Weather = weather with { Month = i + 1, Day = 21, DryBulbC = dry, HumidityRatioAtPeak = ratio } };
            return new HeldAirLoad(DesignDay.Steps(there.Weather, StepS)).Solve(there).PeakW;
        })];
    }
}
