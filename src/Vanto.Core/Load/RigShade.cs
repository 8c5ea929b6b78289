using Vanto.Core.Physics;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>A shade of the survey as the heat balance sees it. Beam through trees is common practice; geometry is exact.</summary>
/// <param name="Design">The shade.</param>
/// <param name="SideAzimuthDeg">Azimuth of the awning's side relative to the nose.</param>
/// <param name="SideWidthM">Width of that side.</param>
/// <param name="SideHeightM">Its height.</param>
public sealed record RigShade(ShadeDesign Design, double SideAzimuthDeg, double SideWidthM, double SideHeightM) : IShade
{
    private const double AwningGapM = 0.1;
    private const double TreeSky = 0.7;

    /// <summary>Fits a shade to a rig; the spaces of a long side count together.</summary>
    public static RigShade Of(ShadeDesign design, SurveyDesign survey)
    {
        var azimuth = design.Side switch { Side.Left => 270.0, Side.Right => 90, Side.Rear => 180, _ => 0 };
        var width = design.Side is Side.Left or Side.Right ? survey.Space.LengthM + survey.Further.Sum(f => f.Space.LengthM) : survey.Space.WidthM;
        return new RigShade(design, azimuth, width, survey.Space.HeightM);
    }

    /// <inheritdoc />
    public (double Beam, double Sky) On(double tiltDeg, double relativeAzimuthDeg, double azimuthDeg, in SunAngles sun, double hour)
    {
        if (!Day.Within(hour, Design.From, Design.To))
            return (1, 1);
        if (Design.Kind == ShadeKind.Awning)
        {
            if (tiltDeg is < 45 or > 135 || relativeAzimuthDeg != SideAzimuthDeg || Design.Side == Side.Roof)
                return (1, 1);
            var shaded = Shading.AwningShaded(sun, azimuthDeg, Design.DepthM, AwningGapM, SideHeightM, SideWidthM, Design.WidthM, Design.OffsetM);
            var covered = Math.Min(1, Design.WidthM / SideWidthM);
            return (1 - shaded, 1 - covered * (1 - Shading.AwningSky(Design.DepthM, AwningGapM, SideHeightM)));
        }
        var elevation = Shading.Obstruction(Design.HeightM, Design.DistanceM);
        var through =
            Design.Kind switch { ShadeKind.TreeInLeaf => 0.20, ShadeKind.TreeLight => 0.35, ShadeKind.TreeBare => 0.65, ShadeKind.Conifer => 0.15, _ => 0 };
        return (Shading.Behind(sun, Design.FromDeg, Design.ToDeg, elevation) ? through : 1, SkyShare(tiltDeg, azimuthDeg, elevation));
    }

    /// <summary>Sky lost to an obstruction, by the share of the compass it spans as the face sees it.</summary>
    private double SkyShare(double tiltDeg, double azimuthDeg, double elevationDeg)
    {
        if (tiltDeg >= 180)
            return 1;
        var span = (Design.ToDeg - Design.FromDeg + 360) % 360;
        var off = Math.Abs((Design.FromDeg + span / 2 - azimuthDeg + 540) % 360 - 180);
        var seen = tiltDeg < 45 ? span / 360 : Math.Min(1, span / 180) * Math.Max(0, Math.Cos(double.DegreesToRadians(Math.Min(90, off))));
        return 1 - (1 - Shading.HorizonSky(elevationDeg, tiltDeg)) * seen * (Design.Kind == ShadeKind.Building ? 1 : TreeSky);
    }
}
