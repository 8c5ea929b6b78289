using Vanto.Core.Unit;

namespace Vanto.Core.Layout;

/// <summary>Free space at one face of the outdoor unit against what it needs, m.</summary>
/// <param name="Face">Which face.</param>
/// <param name="GapM">Free; nothing where nothing stands there.</param>
/// <param name="NeedM">What it needs.</param>
public sealed record FaceRoom(string Face, double? GapM, double NeedM)
{
    /// <summary>Free against needed; nothing where nothing stands there.</summary>
    public double? Ratio => GapM / NeedM;
}

/// <summary>Where the outdoor unit stands, its port and the room round it. Right along the wall, out from its outer face, up from the floor, m.</summary>
/// <param name="X">Its middle.</param>
/// <param name="Y">Its middle, out from the wall's outer face.</param>
/// <param name="BaseM">Its feet.</param>
/// <param name="YawDeg">Way it blows, degrees anticlockwise from the wall's right.</param>
/// <param name="Port">Where the pipes join, out from the wall's inner face.</param>
/// <param name="Faces">Room at its faces.</param>
/// <param name="Room">As found.</param>
public sealed record OutdoorSpot(double X, double Y, double BaseM, double YawDeg, RoutePoint Port, IReadOnlyList<FaceRoom> Faces, OutdoorRoom Room)
{
    /// <summary>Height of the ports above the feet, as a share of its height; common practice.</summary>
    private const double PortUp = 0.2;

    /// <summary>Room that the side without ports needs, m; common practice.</summary>
    private const double OtherSideM = 0.10;

    /// <summary>The unit's spot.</summary>
    /// <param name="design">The layout.</param>
    /// <param name="outdoor">Sizes and needs.</param>
    /// <param name="wallM">Width of the wall.</param>
    /// <param name="highM">Height of the wall.</param>
    /// <param name="holeX">Middle of the hole, across.</param>
    public static OutdoorSpot Of(LayoutDesign design, OutdoorSheet outdoor, double wallM, double highM, double holeX)
    {
        var (spot, thickness) = (design.Outdoor, design.Wall.ThicknessM);
        var (depth, width, height) = (outdoor.DepthM!.Value, outdoor.WidthM!.Value, outdoor.HeightM!.Value);
        var yaw = spot.Blows switch { Blows.Left => 180.0, Blows.Right => 0, _ => 90 };
        var out_ = spot.OffM + (spot.Blows == Blows.Away ? depth : width) / 2;
        var portRight = outdoor.Ports != ExitSide.Left;
        var turn = double.DegreesToRadians(yaw + (portRight ? 90 : -90));
        var x = spot.RightM ?? holeX - Math.Cos(turn) * (width / 2 + BesideHoleM);
        var port = new RoutePoint(x + Math.Cos(turn) * width / 2, thickness + out_ + Math.Sin(turn) * width / 2, spot.UpM + PortUp * height);
        var wall = new Box(-0.2, -thickness, -0.3, wallM + 0.2, 0, highM + 0.1);
        var around = spot.Around.Where(a => a.Kind is AroundKind.Solid or AroundKind.Unit).Select(AsBox).ToList();
        if (spot.Place != OutdoorPlace.Roof)
            around.Add(wall);
        var room = OutdoorRoom.Of(depth, width, height, x, out_, spot.UpM, yaw, around);
        static double? Known(double gap) => double.IsPositiveInfinity(gap) ? null : gap;
        var (service, other) = portRight ? (room.RightM, room.LeftM) : (room.LeftM, room.RightM);
        return new OutdoorSpot(x, out_, spot.UpM, yaw, port,
        [
            new FaceRoom("where it blows", Known(room.FrontM), outdoor.FrontM!.Value), new FaceRoom("behind it", Known(room.BackM), outdoor.BehindM!.Value),
            new FaceRoom("at its ports", Known(service), outdoor.ServiceM!.Value), new FaceRoom("at its other side", Known(other), OtherSideM),
            new FaceRoom("above it", Known(room.TopM), outdoor.AboveM!.Value),
        ], room);
    }

    /// <summary>How far beside the hole a unit stands whose place is not typed, m.</summary>
    private const double BesideHoleM = 0.25;

    /// <summary>A thing's box, out from the outer face.</summary>
    public static Box AsBox(AroundDesign a) => new(a.RightM, a.OutM, a.UpM, a.RightM + a.WidthM, a.OutM + a.DepthM, a.UpM + a.HeightM);

    /// <summary>Least distance between the unit and a thing, m.</summary>
    public double Distance(OutdoorSheet outdoor, Box b)
    {
        var along = YawDeg is 90 ? outdoor.WidthM!.Value / 2 : outdoor.DepthM!.Value / 2;
        var out_ = YawDeg is 90 ? outdoor.DepthM!.Value / 2 : outdoor.WidthM!.Value / 2;
        var dx = Math.Max(0, Math.Max(b.X1 - (X + along), X - along - b.X2));
        var dy = Math.Max(0, Math.Max(b.Y1 - (Y + out_), Y - out_ - b.Y2));
        var dz = Math.Max(0, Math.Max(b.Z1 - (BaseM + outdoor.HeightM!.Value), BaseM - b.Z2));
        return Math.Sqrt(dx * dx + dy * dy + dz * dz);
    }

    /// <summary>True where a thing stands within 2 m in the cone of 20° that it blows into; common practice.</summary>
    public bool BlowsAt(OutdoorSheet outdoor, Box b)
    {
        var yaw = double.DegreesToRadians(YawDeg);
        var middle = (X: (b.X1 + b.X2) / 2 - X, Y: (b.Y1 + b.Y2) / 2 - Y, Z: (b.Z1 + b.Z2) / 2 - BaseM - outdoor.HeightM!.Value / 2);
        var half = (X: (b.X2 - b.X1) / 2, Y: (b.Y2 - b.Y1) / 2, Z: (b.Z2 - b.Z1) / 2);
        var ahead = Math.Cos(yaw) * middle.X + Math.Sin(yaw) * middle.Y - Math.Abs(Math.Cos(yaw)) * half.X - Math.Abs(Math.Sin(yaw)) * half.Y
            - outdoor.DepthM!.Value / 2;
        var aside = Math.Abs(-Math.Sin(yaw) * middle.X + Math.Cos(yaw) * middle.Y) - Math.Abs(Math.Sin(yaw)) * half.X - Math.Abs(Math.Cos(yaw)) * half.Y
            - outdoor.WidthM!.Value / 2;
        var up = Math.Abs(middle.Z) - half.Z - outdoor.HeightM!.Value / 2;
        return ahead is >= 0 and <= BlowsM && Math.Max(aside, up) <= ahead * Math.Tan(double.DegreesToRadians(20));
    }

    private const double BlowsM = 2;
}

/// <summary>Two outdoor units.</summary>
public static class UnitPair
{
    /// <summary>Distance from which two units leave one another alone, m: twice the room in front; common practice.</summary>
    public const double FarM = 3.962;

    /// <summary>How two units stand to one another.</summary>
    public enum Standing { Apart, FaceToFace, FirstIntoSecond, SecondIntoFirst }

    /// <summary>By their places and the ways they blow, degrees.</summary>
    public static Standing Of(double x1, double y1, double yaw1, double x2, double y2, double yaw2)
    {
        var (dx, dy) = (x2 - x1, y2 - y1);
        var apart = Math.Sqrt(dx * dx + dy * dy);
        if (apart >= FarM || apart < 1e-9)
            return Standing.Apart;
        double Along(double yaw) => (Math.Cos(double.DegreesToRadians(yaw)) * dx + Math.Sin(double.DegreesToRadians(yaw)) * dy) / apart;
        var (first, second) = (Along(yaw1), -Along(yaw2));
        var limit = Math.Cos(Math.PI / 4);
        return first > limit && second > limit ? Standing.FaceToFace
            : first > limit && -second > limit ? Standing.FirstIntoSecond
            : second > limit && -first > limit ? Standing.SecondIntoFirst
            : Standing.Apart;
    }
}

/// <summary>Sound at a distance.</summary>
public static class Sound
{
    /// <summary>Night limit at a pillow, dB(A): WHO guidelines for community noise, 1999, from memory.</summary>
    public const double PillowDb = 30;

    /// <summary>Night limit before a neighbour's window, dB(A): WHO night noise guidelines for Europe, 2009, from memory.</summary>
    public const double NeighbourDb = 40;

    /// <summary>Level at a distance from a level at one metre: 6 dB less each doubling (published).</summary>
    public static double At(double atOneMetreDb, double metres) => atOneMetreDb - 20 * Math.Log10(metres);

    /// <summary>Levels together (published).</summary>
    public static double Sum(params double[] levels) => 10 * Math.Log10(levels.Sum(l => Math.Pow(10, l / 10)));

    /// <summary>Level with walls beside the source: 3 dB each; common practice.</summary>
    public static double Beside(double db, int walls) => db + 3 * walls;
}

/// <summary>The opening of a rooftop unit in a roof.</summary>
/// <param name="SagM">How far the roof falls away under the gasket.</param>
/// <param name="CrownShare">How far the gasket is pressed on the crown, a share.</param>
/// <param name="EdgeShare">How far it is pressed at its edges.</param>
public sealed record RooftopOpening(double SagM, double CrownShare, double EdgeShare)
{
    /// <summary>A gasket pressed over a curved roof; geometry.</summary>
    public static RooftopOpening Of(double freeM, double pressedM, double acrossM, double? radiusM)
    {
        var sag = radiusM is { } r ? acrossM * acrossM / (8 * r) : 0;
        return new RooftopOpening(sag, 1 - pressedM / freeM, 1 - (pressedM + sag) / freeM);
    }
}

/// <summary>How much refrigerant a space may hold (IEC 60335-2-40, annex GG, from memory; written for buildings, elsewhere guidance).</summary>
/// <param name="FreeKg">Without any least area.</param>
/// <param name="MostKg">For this floor.</param>
/// <param name="LeastM2">Floor that this charge needs.</param>
/// <param name="Mixed">All of it mixed into the space, as a share of the lower flammable limit.</param>
public sealed record RoomCharge(double FreeKg, double MostKg, double LeastM2, double Mixed)
{
    /// <summary>Height at which a unit on the floor counts, m (the same standard, from memory).</summary>
    public const double LowestM = 0.6;

    /// <summary>Lower flammable limit, kg/m³ (ISO 817, from memory); nothing for what does not burn.</summary>
    public static double? Lfl(Physics.RefrigerantKind kind) => kind switch
    {
        Physics.RefrigerantKind.R32 => 0.307,
        Physics.RefrigerantKind.R290 => 0.038,
        _ => null,
    };

    /// <summary>Class of its flame: a1 does not burn, a2l burns slowly, a3 burns fast (ISO 817, from memory).</summary>
    public static string FlameClass(Physics.RefrigerantKind? kind) => kind switch
    {
        Physics.RefrigerantKind.R32 => "a2l",
        Physics.RefrigerantKind.R290 => "a3",
        _ => "a1",
    };

    /// <summary>A charge in a space.</summary>
    /// <param name="kg">Charge, what is added included.</param>
    /// <param name="kind">Which refrigerant.</param>
    /// <param name="mountM">Height of the head.</param>
    /// <param name="floorM2">Floor.</param>
    /// <param name="airM3">Free volume.</param>
    public static RoomCharge? Of(double kg, Physics.RefrigerantKind kind, double mountM, double floorM2, double airM3)
    {
        if (Lfl(kind) is not { } lfl)
            return null;
        var slope = 2.5 * Math.Pow(lfl, 1.25) * mountM;
        return new RoomCharge((kind == Physics.RefrigerantKind.R290 ? 4 : 6) * lfl, slope * Math.Sqrt(floorM2), Math.Pow(kg / slope, 2), kg / (airM3 * lfl));
    }
}
