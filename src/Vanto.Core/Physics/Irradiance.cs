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
        zenithDeg >= 90 ? default : ClearSky(zenithDeg, AirMass(zenithDeg) * MoistAir.Pressure(elevationM) / MoistAir.SeaLevelPa, Sun.Extraterrestrial(dayOfYear), elevationM, linkeTurbidity);

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
    public static FaceIrradiance OnFace(in SkyIrradiance sky, double zenithDeg, double sunAzimuthDeg, double tiltDeg, double faceAzimuthDeg, double extraterrestrial, double albedo)
    {
        var cosZenith = Math.Cos(zenithDeg * Rad);
        var cosTilt = Math.Cos(tiltDeg * Rad);
        var incidence = cosZenith * cosTilt + Math.Sin(zenithDeg * Rad) * Math.Sin(tiltDeg * Rad) * Math.Cos((sunAzimuthDeg - faceAzimuthDeg) * Rad);
        if (incidence < 0 || zenithDeg >= 90)
            incidence = 0;
        var anisotropy = Math.Clamp(sky.Direct / extraterrestrial, 0, 1);
        return new FaceIrradiance(
            sky.Direct * incidence,
            sky.Diffuse * anisotropy * incidence / Math.Max(cosZenith, 0.01745),
            sky.Diffuse * (1 - anisotropy) * (1 + cosTilt) / 2,
            albedo * sky.Global * (1 - cosTilt) / 2,
            incidence);
    }
}

/// <summary>Long-wave exchange with the sky (Clark and Allen 1978, cloud factor of Walton 1983, from memory).</summary>
public static class SkyLongWave
{
    private const double StefanBoltzmann = 5.670374419e-8;

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
    public static double Correction(double airC, double skyC, double tiltDeg)
    {
        if (tiltDeg >= 180)
            return 0;
        var tilt = tiltDeg * Math.PI / 180;
        return StefanBoltzmann * (1 + Math.Cos(tilt)) / 2 * Math.Cos(tilt / 2) * (Math.Pow(airC + 273.15, 4) - Math.Pow(skyC + 273.15, 4));
    }

    /// <summary>Outside film, W/m²K: ISO 6946 convective part and radiation at a mean temperature in K.</summary>
    public static double OutsideFilm(double windMs, double emittance, double meanK) =>
        4 + 4 * windMs + emittance * 4 * StefanBoltzmann * meanK * meanK * meanK;
}
