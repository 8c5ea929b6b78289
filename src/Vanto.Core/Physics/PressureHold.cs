namespace Vanto.Core.Physics;

public enum HoldVerdict { Tight, Leaking, HoldTooShort, PressureRose, TemperatureUnsteady, GaugeTooCoarse }

/// <summary>Nitrogen hold, corrected for temperature (Gay-Lussac). Pressures absolute Pa, temperatures K.</summary>
public static class PressureHold
{
    /// <summary>A barometer wanders by so much in hours where nobody read it, Pa; common practice.</summary>
    public const double WeatherPa = 1000;

    /// <summary>Judges two readings.</summary>
    /// <param name="weatherPa">The barometer may have moved by so much, either way alike; 0 where it was read.</param>
    public static (double ExpectedPa, double ChangePa, double UncertaintyPa, HoldVerdict Verdict, double LeakPaM3S, double SmallestVisiblePaM3S) Judge(
        double p1, double t1, double p2, double t2, double resolutionPa, double temperatureUncertaintyK, double seconds, double volumeM3,
        double minDwellS = 3600, double acceptedShare = 0.01, double repeatabilityPa = 0, double weatherPa = 0)
    {
        var change = p2 * t1 / t2 - p1;
        var temperaturePart = 2 * Math.Pow(p1 * temperatureUncertaintyK / t1, 2);
        var variance = resolutionPa * resolutionPa / 6 + 2 * repeatabilityPa * repeatabilityPa + temperaturePart + weatherPa * weatherPa / 6;
        var uncertainty = 2 * Math.Sqrt(variance);
        var verdict = change < -uncertainty ? HoldVerdict.Leaking
            : seconds < minDwellS ? HoldVerdict.HoldTooShort
            : change > uncertainty ? HoldVerdict.PressureRose
            : uncertainty > acceptedShare * p1 ? (temperaturePart > variance / 2 ? HoldVerdict.TemperatureUnsteady : HoldVerdict.GaugeTooCoarse)
            : HoldVerdict.Tight;
        return (p1 * t2 / t1, change, uncertainty, verdict, change < 0 ? -volumeM3 * change / seconds : 0, volumeM3 * uncertainty / seconds);
    }
}
