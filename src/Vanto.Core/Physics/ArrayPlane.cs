namespace Vanto.Core.Physics;

/// <summary>Sun on tilted modules, rows that do not shade one another, shaded strings, plain controllers. W/m², W, degrees, m.</summary>
public static class ArrayPlane
{
    private const double Rad = Math.PI / 180;
    private const int GroupsPerModule = 3;

    /// <summary>Irradiance on a tilted plane, isotropic sky (Liu and Jordan 1963, published); flat modules see the global irradiance.</summary>
    public static double Irradiance(double directNormal, double diffuse, double global, double cosIncidence, double tiltDeg, double albedo = 0.2) =>
        tiltDeg == 0
        ? global
        : directNormal * Math.Max(0, cosIncidence) + diffuse * (1 + Math.Cos(tiltDeg * Rad)) / 2 + global * albedo * (1 - Math.Cos(tiltDeg * Rad)) / 2;

    /// <summary>Distance from row to row so that the sun at an elevation shades none.</summary>
    public static double RowPitch(double lengthM, double tiltDeg, double sunElevationDeg) =>
        lengthM * (Math.Cos(tiltDeg * Rad) + Math.Sin(tiltDeg * Rad) / Math.Tan(sunElevationDeg * Rad));

    /// <summary>
    /// Share of its power that a string keeps with some of its diode groups shaded, while what is left stays above the lowest voltage; common practice.
    /// </summary>
    /// <param name="modules">Modules in the string, three groups each.</param>
    /// <param name="shadedGroups">Groups in shade.</param>
    /// <param name="moduleV">Working volts of one module.</param>
    /// <param name="minV">Lowest volts of the input.</param>
    public static double ShadeFactor(int modules, int shadedGroups, double moduleV, double minV)
    {
        var left = 1 - shadedGroups / (double)(modules * GroupsPerModule);
        return left * modules * moduleV >= minV ? left : 0;
    }

    /// <summary>Power through a plain (PWM) controller: the array's current at the battery's voltage; 0 where hot modules do not reach it.</summary>
    public static double PlainControllerW(int parallel, double powerA, double irradiance, double batteryV, double hotV) =>
        hotV >= batteryV + 0.5 ? parallel * powerA * irradiance / 1000 * batteryV : 0;
}
