namespace Vanto.Core.Layout;

/// <summary>A hole through a wall as it is drilled, seen from inside. Lengths in m. Geometry.</summary>
/// <param name="FallDeg">How far the drill leans down to the outside, degrees.</param>
/// <param name="AxisM">Length of its axis in the wall.</param>
/// <param name="ShownM">Height of the ellipse that shows on the wall.</param>
/// <param name="SleeveM">Sleeve to cut, square at both ends and nowhere short of the wall.</param>
/// <param name="InsideUpM">Height of its middle inside.</param>
/// <param name="OutsideUpM">Height of its middle outside, in the inside's heights.</param>
/// <param name="DaylightM">What the plate covers below the hole; below nothing where daylight shows under it.</param>
public sealed record WallHole(double FallDeg, double AxisM, double ShownM, double SleeveM, double InsideUpM, double OutsideUpM, double DaylightM)
{
    /// <summary>Daylight that a person sees, m.</summary>
    public const double Seen = 0.001;

    /// <summary>How far the hole must be raised, or the plate lowered, so that no daylight shows.</summary>
    public double RaiseM => Math.Max(0, -DaylightM);

    /// <summary>A hole of a wall.</summary>
    /// <param name="thicknessM">Of the wall.</param>
    /// <param name="fallM">How much lower it is outside.</param>
    /// <param name="holeM">Across the hole.</param>
    /// <param name="plateUpM">Lower edge of the plate above the floor.</param>
    /// <param name="upM">Middle of the hole above that edge.</param>
    /// <param name="sleeveOutsideM">Outside of the sleeve, across.</param>
    /// <param name="proudM">How far the sleeve stands proud, both ends together.</param>
    /// <param name="daylightUpM">Height above the plate's lower edge from which the head covers it.</param>
    public static WallHole Of(double thicknessM, double fallM, double holeM, double plateUpM, double upM, double sleeveOutsideM, double proudM,
        double daylightUpM = 0)
    {
        var fall = Math.Atan(fallM / thicknessM);
        var shown = holeM / Math.Cos(fall);
        var inside = plateUpM + upM;
        return new WallHole(double.RadiansToDegrees(fall), thicknessM / Math.Cos(fall), shown,
            thicknessM / Math.Cos(fall) + sleeveOutsideM * Math.Tan(fall) + proudM, inside, inside - fallM, upM - shown / 2 - daylightUpM);
    }

    /// <summary>A drill that leans more wanders, degrees; common practice.</summary>
    public const double SteepDeg = 10;

    private const double ThickM = 0.10, InThickM = 0.0127, InThinM = 0.005;

    /// <summary>Fall that is usual: half an inch in a thick wall, 5 mm in a thin one, in a sheet what a drill that does not wander gives; common
    /// practice.</summary>
    public static double UsualFallM(double thicknessM) =>
        thicknessM >= ThickM ? InThickM : Math.Min(InThinM, 0.8 * thicknessM * Math.Tan(SteepDeg * Math.PI / 180));
}

/// <summary>A point carried to the other side of a wall from a corner that both sides have.</summary>
/// <param name="RightM">To the right, seen from outside; to the left with a minus.</param>
/// <param name="UpM">Up; down with a minus.</param>
public sealed record DrillTransfer(double RightM, double UpM)
{
    /// <summary>Tape error that leaves the pilot hole to decide, m.</summary>
    public const double Loose = 0.010;

    /// <summary>The point outside.</summary>
    /// <param name="rightM">From the corner to the right, seen from inside.</param>
    /// <param name="upM">From the corner up.</param>
    /// <param name="fallM">Outward fall of the hole.</param>
    /// <param name="cornerRightM">The inside's visible corner from the outside's, to the right as seen from outside.</param>
    /// <param name="cornerUpM">The same, up.</param>
    public static DrillTransfer Of(double rightM, double upM, double fallM, double cornerRightM = 0, double cornerUpM = 0) =>
        new(-rightM + cornerRightM, upM - fallM + cornerUpM);

    /// <summary>How far off the point outside may be: two marks with a tape, and a pilot that leans, m.</summary>
    /// <param name="tapeM">Error of one mark.</param>
    /// <param name="thicknessM">Of the wall.</param>
    /// <param name="leanDeg">Lean of the pilot, degrees.</param>
    public static double Uncertainty(double tapeM, double thicknessM, double leanDeg) =>
        Math.Sqrt(2 * tapeM * tapeM + Math.Pow(thicknessM * Math.Tan(double.DegreesToRadians(leanDeg)), 2));
}

/// <summary>Something in or behind a wall, seen from inside: a rectangle between two depths, m.</summary>
public sealed record Hidden(string Name, double LeftM, double RightM, double LowM, double HighM, double FromDepthM, double ToDepthM);

/// <summary>What a drill could meet.</summary>
public static class DrillHazards
{
    /// <summary>Free distance from the hole's edge to what is hidden, m; below nothing where the drill meets it.</summary>
    /// <param name="hole">The hole.</param>
    /// <param name="acrossM">Middle of the hole from the wall's left edge.</param>
    /// <param name="thicknessM">Of the wall.</param>
    /// <param name="holeM">Across the hole.</param>
    /// <param name="hidden">What is there.</param>
    public static double Clear(WallHole hole, double acrossM, double thicknessM, double holeM, Hidden hidden)
    {
        var fall = hole.InsideUpM - hole.OutsideUpM;
        double Up(double depth) => hole.InsideUpM - fall * Math.Clamp(depth, 0, thicknessM) / thicknessM;
        var (high, low) = (Up(hidden.FromDepthM), Up(hidden.ToDepthM));
        var across = Math.Max(0, Math.Max(hidden.LeftM - acrossM, acrossM - hidden.RightM));
        var up = Math.Max(0, Math.Max(hidden.LowM - high, low - hidden.HighM));
        return Math.Sqrt(across * across + up * up) - hole.ShownM / 2;
    }
}
