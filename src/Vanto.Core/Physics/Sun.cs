namespace Vanto.Core.Physics;

/// <summary>Where the sun stands.</summary>
/// <param name="ZenithDeg">Apparent zenith angle.</param>
/// <param name="AzimuthDeg">Clockwise from true north.</param>
/// <param name="DeclinationDeg">Declination.</param>
public readonly record struct SunAngles(double ZenithDeg, double AzimuthDeg, double DeclinationDeg)
{
    /// <summary>Apparent elevation above the horizon.</summary>
    public double ElevationDeg => 90 - ZenithDeg;
}

/// <summary>
/// Sun position by the short form of Meeus (Astronomical Algorithms, 2nd ed., ch. 12, 22, 25), from memory; better than 0.01° for 1990 to 2060.
/// </summary>
public static class Sun
{
    private const double Rad = Math.PI / 180;

    /// <summary>Position at a local standard time.</summary>
    /// <param name="year">1900 to 2100.</param>
    /// <param name="month">1 to 12.</param>
    /// <param name="day">Day of the month.</param>
    /// <param name="hour">Local standard hour with fraction.</param>
    /// <param name="utcOffsetH">Standard offset of the place in hours.</param>
    /// <param name="latitudeDeg">North positive.</param>
    /// <param name="longitudeDeg">East positive.</param>
    /// <param name="pressurePa">For refraction.</param>
    /// <param name="airC">For refraction.</param>
    /// <param name="deltaTSeconds">Terrestrial minus universal time.</param>
    public static SunAngles Position(int year, int month, int day, double hour, double utcOffsetH, double latitudeDeg, double longitudeDeg,
        double pressurePa = Atmosphere.SeaLevelPa, double airC = 15, double deltaTSeconds = 69)
    {
        if (month <= 2)
        {
            year -= 1;
            month += 12;
        }
        var a = Math.Floor(year / 100.0);
        var julianDay =
            Math.Floor(365.25 * (year + 4716)) + Math.Floor(30.6001 * (month + 1)) + day + (2 - a + Math.Floor(a / 4)) - 1524.5 + (hour - utcOffsetH) / 24;
        var t = (julianDay + deltaTSeconds / 86400 - 2451545) / 36525;
        var meanLongitude = 280.46646 + 36000.76983 * t + 0.0003032 * t * t;
        var anomaly = 357.52911 + 35999.05029 * t - 0.0001537 * t * t;
        var eccentricity = 0.016708634 - 0.000042037 * t - 0.0000001267 * t * t;
        var centre = (1.914602 - 0.004817 * t - 0.000014 * t * t) * Sin(anomaly) + (0.019993 - 0.000101 * t) * Sin(2 * anomaly) + 0.000289 * Sin(3 * anomaly);
        var radius = 1.000001018 * (1 - eccentricity * eccentricity) / (1 + eccentricity * Cos(anomaly + centre));
        var node = 125.04 - 1934.136 * t;
        var longitude = meanLongitude + centre - 0.00569 - 0.00478 * Sin(node);
        var obliquity = 23.439291111 - (46.8150 * t + 0.00059 * t * t - 0.001813 * t * t * t) / 3600 + 0.00256 * Cos(node);
        var rightAscension = Math.Atan2(Cos(obliquity) * Sin(longitude), Cos(longitude)) / Rad;
        var declination = Math.Asin(Sin(obliquity) * Sin(longitude)) / Rad;
        var u = (julianDay - 2451545) / 36525;
        var sidereal =
            280.46061837 + 360.98564736629 * (julianDay - 2451545) + 0.000387933 * u * u - u * u * u / 38710000 - 0.00478 * Sin(node) * Cos(obliquity);
        var hourAngle = sidereal + longitudeDeg - rightAscension;

        var sinElevation = Sin(latitudeDeg) * Sin(declination) + Cos(latitudeDeg) * Cos(declination) * Cos(hourAngle);
        var elevation = Math.Asin(Math.Clamp(sinElevation, -1, 1)) / Rad;
        elevation -= 8.794 / 3600 / radius * Cos(elevation);
        var azimuth = (Math.Atan2(Sin(hourAngle), Cos(hourAngle) * Sin(latitudeDeg) - Math.Tan(declination * Rad) * Cos(latitudeDeg)) / Rad + 180) % 360;
        if (elevation >= -0.8333)
            elevation += pressurePa / 101000 * 283 / (273 + airC) * 1.02 / (60 * Math.Tan((elevation + 10.3 / (elevation + 5.11)) * Rad));
        return new SunAngles(90 - elevation, azimuth, declination);
    }

    /// <summary>Extraterrestrial normal irradiance on a day of the year, W/m² (Spencer 1971, from memory).</summary>
    public static double Extraterrestrial(int dayOfYear)
    {
        var b = 2 * Math.PI * (dayOfYear - 1) / 365;
        return 1367 * (1.00011 + 0.034221 * Math.Cos(b) + 0.00128 * Math.Sin(b) + 0.000719 * Math.Cos(2 * b) + 0.000077 * Math.Sin(2 * b));
    }


    private static double Sin(double degrees) => Math.Sin(degrees * Rad);

    private static double Cos(double degrees) => Math.Cos(degrees * Rad);
}
