namespace Vanto.Core.Physics;

/// <summary>The standard atmosphere.</summary>
public static class Atmosphere
{
    /// <summary>Standard pressure at sea level, Pa.</summary>
    public const double SeaLevelPa = 101325;

    /// <summary>Pressure at an elevation in m, Pa (ICAO standard atmosphere in the ASHRAE form, from memory).</summary>
    public static double Pressure(double elevationM) => SeaLevelPa * Math.Pow(1 - 2.25577e-5 * elevationM, 5.2559);
}
