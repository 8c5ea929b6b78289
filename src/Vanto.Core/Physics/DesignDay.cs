namespace Vanto.Core.Physics;

/// <summary>Place and design day from few figures.</summary>
public sealed record DesignWeather
{
    public double LatitudeDeg { get; init; }
    public double LongitudeDeg { get; init; }
    public double UtcOffsetH { get; init; }
    public double ElevationM { get; init; }
    public int Month { get; init; } = 7;
    public int Day { get; init; } = 21;
    public double DryBulbC { get; init; }
    public double DailyRangeK { get; init; }
    public double HumidityRatioAtPeak { get; init; }
    public double LinkeTurbidity { get; init; } = 3.5;
    public double Albedo { get; init; } = 0.2;
    public double WindMs { get; init; } = 2;

    /// <summary>Pressure of the standard atmosphere at the place, Pa.</summary>
    public double PressurePa => Atmosphere.Pressure(ElevationM);
}

/// <summary>Air and sun of one moment of the design day.</summary>
public readonly record struct WeatherMoment(double AirC, double HumidityRatio, double DewPointC, SunAngles Sun, SkyIrradiance Sky, double SkyC,
    double ExtraterrestrialWm2)
{
    public Direction ToSun { get; } = Direction.Of(Sun.ZenithDeg, Sun.AzimuthDeg);

    /// <summary>How much colder than air the sky radiates, W/m².</summary>
    public double SkyDeficitWm2 { get; } = SkyLongWave.Deficit(AirC, SkyC);
}

/// <summary>
/// The design day: fractions of the daily range by hour (ASHRAE Fundamentals 2009 to 2017, ch. 14, from memory), constant dew point, clear sky.
/// </summary>
public static class DesignDay
{
    private static readonly double[] Fractions =
    [
        0.82, 0.88, 0.92, 0.95, 0.98, 1.00, 0.98, 0.91, 0.74, 0.55, 0.38, 0.23, 0.13,
        0.05, 0.00, 0.00, 0.06, 0.14, 0.24, 0.39, 0.50, 0.59, 0.68, 0.75, 0.82,
    ];

    /// <summary>Fraction of the daily range below the maximum at an hour 0 to 24.</summary>
    public static double Fraction(double hour)
    {
        var wrapped = ((hour % 24) + 24) % 24;
        var below = (int)wrapped;
        return Fractions[below] + (Fractions[below + 1] - Fractions[below]) * (wrapped - below);
    }

    /// <summary>Outdoor air at an hour, °C.</summary>
    public static double AirC(DesignWeather day, double hour) => day.DryBulbC - Fraction(hour) * day.DailyRangeK;

    /// <summary>Humidity ratio at an hour: constant, but never above saturation.</summary>
    public static double HumidityRatio(DesignWeather day, double hour) =>
        Math.Min(day.HumidityRatioAtPeak, MoistAir.SaturationRatio(AirC(day, hour), day.PressurePa));

    /// <summary>Air, sun and sky at an hour.</summary>
    public static WeatherMoment At(DesignWeather day, double hour) => At(day, hour, MoistAir.DewPoint(HumidityRatio(day, hour), day.PressurePa));

    private static WeatherMoment At(DesignWeather day, double hour, double dew)
    {
        var air = AirC(day, hour);
        var ratio = HumidityRatio(day, hour);
        var sun = Sun.Position(WeatherCalendar.Year, day.Month, day.Day, hour, day.UtcOffsetH, day.LatitudeDeg, day.LongitudeDeg, day.PressurePa, air);
        var sky = Irradiance.ClearSky(sun.ZenithDeg, WeatherCalendar.Number(day.Month, day.Day), day.ElevationM, day.LinkeTurbidity);
        return new WeatherMoment(air, ratio, dew, sun, sky, SkyLongWave.SkyTemperature(air, dew, 0),
            Physics.Sun.Extraterrestrial(Physics.WeatherCalendar.Number(day.Month, day.Day)));
    }

    /// <summary>The whole day at the middle of equal steps.</summary>
    public static WeatherMoment[] Steps(DesignWeather day, int stepSeconds)
    {
        var count = 86400 / stepSeconds;
        var moments = new WeatherMoment[count];
        double dewOf = double.NaN, dew = 0;
        for (var i = 0; i < count; i++)
        {
            var hour = (i + 0.5) * stepSeconds / 3600;
            var ratio = HumidityRatio(day, hour);
            if (ratio != dewOf)
                (dewOf, dew) = (ratio, MoistAir.DewPoint(ratio, day.PressurePa));
            moments[i] = At(day, hour, dew);
        }
        return moments;
    }
}
