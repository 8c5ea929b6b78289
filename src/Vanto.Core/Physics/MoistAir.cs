namespace Vanto.Core.Physics;

/// <summary>
/// Moist air. Temperatures in °C, pressures in Pa, humidity ratio W in kg water per kg dry air.
/// Source: ASHRAE Handbook Fundamentals 2017 (SI), ch. 1, from memory; saturation by Hyland and Wexler.
/// </summary>
public static class MoistAir
{
    /// <summary>Heat of vaporisation used for loads, J/kg.</summary>
    public const double VaporisationJPerKg = 2_501_000;

    /// <summary>Hottest air that the saturation formula was fitted for, °C; above it hardly any water could saturate the air.</summary>
    public const double HottestC = 200;

    /// <summary>Hottest wet bulb or coil that runs in time look for, °C: beyond it water would boil at height.</summary>
    public const double HottestWetC = 80;

    private const double MassRatio = 0.621945;
    private const double Tolerance = 1e-8;
    private const double NearTolerance = 1e-6;

    /// <summary>From here on no ice is on the wick, °C.</summary>
    private const double ClearOfIceC = 1;
    private const int MostTries = 30;

    /// <summary>Saturation pressure over ice (to 0.01 °C) and water, Pa.</summary>
    public static double SaturationPressure(double temperatureC)
    {
        var t = temperatureC + 273.15;
        return temperatureC <= 0.01
            ? Math.Exp(
                -5.6745359e3 / t + 6.3925247 + t * (-9.677843e-3 + t * (6.2215701e-7 + t * (2.0747825e-9 + t * -9.484024e-13))) + 4.1635019 * Math.Log(t))
            : Math.Exp(-5.8002206e3 / t + 1.3914993 + t * (-4.8640239e-2 + t * (4.1764768e-5 + t * -1.4452093e-8)) + 6.5459673 * Math.Log(t));
    }

    /// <summary>How fast the saturation pressure rises with temperature, Pa/K: the derivative of the same formula.</summary>
    /// <param name="temperatureC">Temperature.</param>
    /// <param name="saturationPa">Saturation pressure there.</param>
    public static double SaturationSlope(double temperatureC, double saturationPa)
    {
        var t = temperatureC + 273.15;
        return saturationPa * (temperatureC <= 0.01
            ? 5.6745359e3 / (t * t) - 9.677843e-3 + t * (2 * 6.2215701e-7 + t * (3 * 2.0747825e-9 + t * 4 * -9.484024e-13)) + 4.1635019 / t
            : 5.8002206e3 / (t * t) - 4.8640239e-2 + t * (2 * 4.1764768e-5 + t * 3 * -1.4452093e-8) + 6.5459673 / t);
    }

    /// <summary>Saturated humidity ratio and its slope, kg/kg and 1/K.</summary>
    public static (double Ratio, double Slope) Saturated(double temperatureC, double pressurePa)
    {
        var saturation = SaturationPressure(temperatureC);
        var dry = pressurePa - saturation;
        return (MassRatio * saturation / dry, MassRatio * pressurePa * SaturationSlope(temperatureC, saturation) / (dry * dry));
    }

    /// <summary>Humidity ratio of air whose vapour pressure is <paramref name="vapourPa"/>.</summary>
    public static double HumidityRatio(double vapourPa, double pressurePa) => MassRatio * vapourPa / (pressurePa - vapourPa);

    /// <summary>Vapour pressure of air with the humidity ratio, Pa.</summary>
    public static double VapourPressure(double humidityRatio, double pressurePa) => pressurePa * humidityRatio / (MassRatio + humidityRatio);

    /// <summary>Humidity ratio of saturated air.</summary>
    public static double SaturationRatio(double temperatureC, double pressurePa) => HumidityRatio(SaturationPressure(temperatureC), pressurePa);

    /// <summary>Humidity ratio from relative humidity in percent.</summary>
    public static double RatioFromRh(double temperatureC, double rhPct, double pressurePa) =>
        HumidityRatio(rhPct / 100 * SaturationPressure(temperatureC), pressurePa);

    /// <summary>Relative humidity in percent.</summary>
    public static double RelativeHumidity(double temperatureC, double humidityRatio, double pressurePa) =>
        100 * VapourPressure(humidityRatio, pressurePa) / SaturationPressure(temperatureC);

    /// <summary>Humidity ratio from the wet bulb; negative when the wet bulb is too low to exist.</summary>
    public static double RatioFromWetBulb(double temperatureC, double wetBulbC, double pressurePa)
    {
        var saturated = SaturationRatio(wetBulbC, pressurePa);
        return wetBulbC >= 0
            ? ((2501 - 2.326 * wetBulbC) * saturated - 1.006 * (temperatureC - wetBulbC)) / (2501 + 1.86 * temperatureC - 4.186 * wetBulbC)
            : ((2830 - 0.24 * wetBulbC) * saturated - 1.006 * (temperatureC - wetBulbC)) / (2830 + 1.86 * temperatureC - 2.1 * wetBulbC);
    }

    /// <summary>Dew point, °C.</summary>
    public static double DewPoint(double humidityRatio, double pressurePa)
    {
        var vapour = VapourPressure(humidityRatio, pressurePa);
        return Roots.OfRising(t => SaturationPressure(t) - vapour, -100, 200, Tolerance);
    }

    /// <summary>Wet bulb, °C.</summary>
    public static double WetBulb(double temperatureC, double humidityRatio, double pressurePa)
    {
        // From above, Newton's method cannot step past the root. Near freezing a wick with ice has a root of its own, which the search below finds.
        if (temperatureC is > ClearOfIceC and < HottestWetC
            && Newton(temperatureC, humidityRatio, pressurePa, temperatureC, Tolerance) is > ClearOfIceC and var wet)
            return wet;
        var low = Math.Min(DewPoint(humidityRatio, pressurePa), temperatureC);
        return Roots.OfRising(t => RatioFromWetBulb(temperatureC, t, pressurePa) - humidityRatio, low, temperatureC, Tolerance);
    }

    /// <summary>Wet bulb of air above freezing wet bulbs, by Newton's method from a guess near it, °C; for runs in time, to 1e-6 K.</summary>
    public static double WetBulbNear(double temperatureC, double humidityRatio, double pressurePa, double guessC) =>
        Newton(temperatureC, humidityRatio, pressurePa, guessC, NearTolerance);

    private static double Newton(double temperatureC, double humidityRatio, double pressurePa, double guessC, double tolerance)
    {
        var most = Math.Clamp(temperatureC, 0, HottestWetC);
        var t = Math.Clamp(guessC, 0, most);
        for (var i = 0; i < MostTries; i++)
        {
            var (saturated, slope) = Saturated(t, pressurePa);
            var below = 2501 + 1.86 * temperatureC - 4.186 * t;
            var above = (2501 - 2.326 * t) * saturated - 1.006 * (temperatureC - t);
            var error = above / below - humidityRatio;
            var step = error / (((2501 - 2.326 * t) * slope - 2.326 * saturated + 1.006) / below + 4.186 * above / (below * below));
            t = Math.Clamp(t - step, 0, most);
            if (Math.Abs(step) < tolerance || t == 0 && step > 0)
                break;
        }
        return t;
    }

    /// <summary>Enthalpy, J per kg dry air.</summary>
    public static double Enthalpy(double temperatureC, double humidityRatio) =>
        1006 * temperatureC + humidityRatio * (2_501_000 + 1860 * temperatureC);

    /// <summary>Specific volume, m³ per kg dry air.</summary>
    public static double SpecificVolume(double temperatureC, double humidityRatio, double pressurePa) =>
        287.042 * (temperatureC + 273.15) * (1 + 1.607858 * humidityRatio) / pressurePa;

    /// <summary>Heat capacity of moist air, J per kg dry air and K.</summary>
    public static double HeatCapacity(double humidityRatio) => 1006 + 1860 * humidityRatio;

    /// <summary>Wet bulb from relative humidity at sea level (Stull 2011, published), for hand checks.</summary>
    public static double WetBulbFromRh(double t, double rh) =>
        t * Math.Atan(0.151977 * Math.Sqrt(rh + 8.313659)) + Math.Atan(t + rh) - Math.Atan(rh - 1.676331)
        + 0.00391838 * Math.Pow(rh, 1.5) * Math.Atan(0.023101 * rh) - 4.686035;
}
