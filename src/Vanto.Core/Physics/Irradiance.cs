namespace Vanto.Core.Physics;

/// <summary>Sun on a horizontal face, W/m².</summary>
/// <param name="Global">Global horizontal.</param>
/// <param name="Direct">Direct normal.</param>
/// <param name="Diffuse">Diffuse horizontal.</param>
public readonly record struct SkyIrradiance(double Global, double Direct, double Diffuse);

/// <summary>Sun on a tilted face in its four parts, W/m².</summary>
public readonly record struct FaceIrradiance(double Beam, double Circumsolar, double Sky, double Ground, double CosIncidence)
{
    /// <summary>The four parts together.</summary>
    public double Total => Beam + Circumsolar + Sky + Ground;
}

/// <summary>Clear sky and its fall on tilted faces. Angles in degrees, irradiance in W/m².</summary>
public static class Irradiance
{
    private const double Rad = Math.PI / 180;

    /// <summary>Relative air mass (Kasten and Young 1989, from memory).</summary>
    public static double AirMass(double zenithDeg) =>
        1 / (Math.Cos(zenithDeg * Rad) + 0.50572 * Math.Pow(96.07995 - zenithDeg, -1.6364));

    /// <summary>Clear sky by Ineichen and Perez 2002 (from memory), with pressure of the standard atmosphere.</summary>
    public static SkyIrradiance ClearSky(double zenithDeg, int dayOfYear, double elevationM, double linkeTurbidity) =>
        zenithDeg >= 90 ? default : ClearSky(zenithDeg, AirMass(zenithDeg) * Atmosphere.Pressure(elevationM) / Atmosphere.SeaLevelPa,
            Sun.Extraterrestrial(dayOfYear), elevationM, linkeTurbidity);

    /// <summary>Clear sky from an absolute air mass and extraterrestrial irradiance.</summary>
    public static SkyIrradiance ClearSky(double zenithDeg, double airMass, double extraterrestrial, double elevationM, double linkeTurbidity)
    {
        if (zenithDeg >= 90)
            return default;
        var f1 = Math.Exp(-elevationM / 8000);
        var f2 = Math.Exp(-elevationM / 1250);
        var c1 = 5.09e-5 * elevationM + 0.868;
        var c2 = 3.92e-5 * elevationM + 0.0387;
        var cos = Math.Cos(zenithDeg * Rad);
        var global = c1 * extraterrestrial * cos * Math.Exp(-c2 * airMass * (f1 + f2 * (linkeTurbidity - 1)));
        var direct = Math.Min(
            (0.664 + 0.163 / f1) * extraterrestrial * Math.Exp(-0.09 * airMass * (linkeTurbidity - 1)),
            global * Math.Max(0, 1 - (0.1 - 0.2 * Math.Exp(-linkeTurbidity)) / (0.1 + 0.882 / f1)) / cos);
        return new SkyIrradiance(global, direct, global - direct * cos);
    }

    /// <summary>Sun on a tilted face by Hay and Davies 1980 (from memory).</summary>
    public static FaceIrradiance OnFace(in SkyIrradiance sky, double zenithDeg, double sunAzimuthDeg, double tiltDeg, double faceAzimuthDeg,
        double extraterrestrial, double albedo) =>
        OnFace(sky, Direction.Of(zenithDeg, sunAzimuthDeg), Direction.Of(tiltDeg, faceAzimuthDeg), extraterrestrial, albedo);

    /// <summary>The same from the direction to the sun and the outward normal of the face.</summary>
    public static FaceIrradiance OnFace(in SkyIrradiance sky, in Direction sun, in Direction normal, double extraterrestrial, double albedo)
    {
        var incidence = sun.Up <= 0 ? 0 : Math.Max(0, sun.Along(normal));
        var anisotropy = Math.Clamp(sky.Direct / extraterrestrial, 0, 1);
        return new FaceIrradiance(
            sky.Direct * incidence,
            sky.Diffuse * anisotropy * incidence / Math.Max(sun.Up, 0.01745),
            sky.Diffuse * (1 - anisotropy) * (1 + normal.Up) / 2,
            albedo * sky.Global * (1 - normal.Up) / 2,
            incidence);
    }
}

/// <summary>A unit vector: to the sun, or out of a face.</summary>
public readonly record struct Direction(double East, double North, double Up)
{
    /// <summary>From the angle off the zenith (or the tilt of a face) and the azimuth, degrees.</summary>
    public static Direction Of(double fromZenithDeg, double azimuthDeg)
    {
        var (sin, cos) = Math.SinCos(double.DegreesToRadians(fromZenithDeg));
        var (east, north) = Math.SinCos(double.DegreesToRadians(azimuthDeg));
        return new Direction(sin * east, sin * north, cos);
    }

    /// <summary>Cosine of the angle to another.</summary>
    public double Along(in Direction other) => East * other.East + North * other.North + Up * other.Up;
}

/// <summary>Long-wave exchange with the sky (Clark and Allen 1978, cloud factor of Walton 1983, from memory).</summary>
public static class SkyLongWave
{
    /// <summary>Stefan-Boltzmann constant, W/m²K⁴ (CODATA 2018).</summary>
    public const double StefanBoltzmann = 5.670374419e-8;

    /// <summary>Emissivity of the sky, at most 1.</summary>
    public static double Emissivity(double dewPointC, double cloud)
    {
        var n = 10 * cloud;
        return Math.Min(1, (0.787 + 0.764 * Math.Log((dewPointC + 273.15) / 273)) * (1 + 0.0224 * n - 0.0035 * n * n + 0.00028 * n * n * n));
    }

    /// <summary>Effective sky temperature, °C.</summary>
    public static double SkyTemperature(double airC, double dewPointC, double cloud) =>
        Math.Pow(Emissivity(dewPointC, cloud), 0.25) * (airC + 273.15) - 273.15;

    /// <summary>Loss of a black face of that tilt to a sky colder than the air, W/m².</summary>
    public static double Correction(double airC, double skyC, double tiltDeg) => View(tiltDeg) * Deficit(airC, skyC);

    /// <summary>What a face of that tilt sees of the sky's cold: 1 lying flat, 0 turned down.</summary>
    public static double View(double tiltDeg)
    {
        if (tiltDeg >= 180)
            return 0;
        var tilt = double.DegreesToRadians(tiltDeg);
        return (1 + Math.Cos(tilt)) / 2 * Math.Cos(tilt / 2);
    }

    /// <summary>Radiation of black air less that of the sky, W/m².</summary>
    public static double Deficit(double airC, double skyC)
    {
        var air = (airC + 273.15) * (airC + 273.15);
        var sky = (skyC + 273.15) * (skyC + 273.15);
        return StefanBoltzmann * (air * air - sky * sky);
    }

    /// <summary>Outside film, W/m²K: ISO 6946 convective part and radiation at a mean temperature in K.</summary>
    public static double OutsideFilm(double windMs, double emittance, double meanK) =>
        4 + 4 * windMs + emittance * 4 * StefanBoltzmann * meanK * meanK * meanK;
}
