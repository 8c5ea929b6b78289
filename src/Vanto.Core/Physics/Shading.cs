namespace Vanto.Core.Physics;

/// <summary>Shade by geometry. Angles in degrees, lengths in metres; factors are the shares that still arrive.</summary>
public static class Shading
{
    private const double Rad = Math.PI / 180;
    private const int Slices = 40;

    /// <summary>Share of an upright face that an awning above it shades; exact but for 40 slices.</summary>
    /// <param name="sun">Where the sun stands.</param>
    /// <param name="faceAzimuthDeg">World azimuth of the face.</param>
    /// <param name="depthM">How far the awning stands out.</param>
    /// <param name="gapM">Between the awning and the top of the face.</param>
    /// <param name="heightM">Of the face.</param>
    /// <param name="widthM">Of the face.</param>
    /// <param name="awningWidthM">Of the awning.</param>
    /// <param name="offsetM">Of its middle to the right, looking out.</param>
    public static double AwningShaded(in SunAngles sun, double faceAzimuthDeg, double depthM, double gapM, double heightM, double widthM, double awningWidthM,
        double offsetM = 0)
    {
        var turn = (sun.AzimuthDeg - faceAzimuthDeg + 540) % 360 - 180;
        if (sun.ElevationDeg <= 0 || Math.Abs(turn) >= 90)
            return 0;
        var tan = Math.Tan(sun.ElevationDeg * Rad);
        var cos = Math.Cos(turn * Rad);
        var shaded = Math.Clamp(depthM * tan / cos - gapM, 0, heightM);
        double mean = 0;
        for (var i = 0; i < Slices; i++)
        {
            var run = (gapM + shaded * (i + 0.5) / Slices) * cos / tan;
            var shift = run * Math.Tan(turn * Rad);
            var left = Math.Max(-widthM / 2, offsetM - awningWidthM / 2 - shift);
            var right = Math.Min(widthM / 2, offsetM + awningWidthM / 2 - shift);
            mean += Math.Max(0, right - left) / widthM / Slices;
        }
        return shaded / heightM * mean;
    }

    /// <summary>Share of the sky that an upright face sees below a wide awning.</summary>
    public static double AwningSky(double depthM, double gapM, double heightM) =>
        (Math.Sqrt((gapM + heightM) * (gapM + heightM) + depthM * depthM) - Math.Sqrt(gapM * gapM + depthM * depthM)) / heightM;

    /// <summary>Share of the sky left to a face by a continuous obstruction of an elevation angle: upright faces and lying ones.</summary>
    public static double HorizonSky(double obstructionDeg, double tiltDeg) =>
        tiltDeg < 45 ? 1 - (1 - Math.Cos(obstructionDeg * Rad)) / 2 : 1 - Math.Sin(obstructionDeg * Rad);

    /// <summary>Elevation angle of a wall of some height at a distance.</summary>
    public static double Obstruction(double heightM, double distanceM) => Math.Atan2(heightM, distanceM) / Rad;

    /// <summary>True when the sun stands behind something that spans azimuths up to an elevation.</summary>
    public static bool Behind(in SunAngles sun, double fromDeg, double toDeg, double elevationDeg)
    {
        var span = (toDeg - fromDeg + 360) % 360;
        var at = (sun.AzimuthDeg - fromDeg + 360) % 360;
        return at <= span && sun.ElevationDeg < elevationDeg;
    }
}
