using Vanto.Core.Findings;

namespace Vanto.Core.Layout;

/// <summary>Small parts along the pipe; common practice.</summary>
public static class LineParts
{
    private const double AtEachEndM = 0.5;
    private const double MeasuringShare = 1.05;

    /// <summary>Cable between head and outdoor unit, m, rounded up to a tenth.</summary>
    /// <param name="pipeM">Of the way, bends in it.</param>
    /// <param name="tailsM">Through the wall to both ends.</param>
    public static double CableM(double pipeM, double tailsM) =>
        Math.Ceiling((pipeM + tailsM + 2 * AtEachEndM) * MeasuringShare * 10 - 1e-9) / 10;

    /// <summary>Straps of one straight run: one in each so many metres and one more.</summary>
    public static int Straps(double runM, double apartM) => (int)Math.Ceiling(runM / apartM - 1e-9) + 1;
}

/// <summary>A point of a route, m.</summary>
public readonly record struct RoutePoint(double X, double Y, double Z)
{
    /// <summary>From one point to another.</summary>
    public static RoutePoint operator -(RoutePoint a, RoutePoint b) => new(a.X - b.X, a.Y - b.Y, a.Z - b.Z);

    internal double Length => Math.Sqrt(X * X + Y * Y + Z * Z);

    internal double Along(RoutePoint o) => X * o.X + Y * o.Y + Z * o.Z;

    internal RoutePoint Across(RoutePoint o) => new(Y * o.Z - Z * o.Y, Z * o.X - X * o.Z, X * o.Y - Y * o.X);
}

/// <summary>A bend of a route: the point it stands at, how far it turns, and what it takes off each side.</summary>
public sealed record RouteBend(int At, double TurnDeg, double TangentM, double ArcM);

/// <summary>A route of pipe with its bends: the length that the pipe really has, which is what a string along the wall would show.</summary>
/// <param name="DevelopedM">Straight pieces and arcs together.</param>
/// <param name="CornerM">From corner to corner.</param>
/// <param name="StraightsM">Straight pieces between the bends.</param>
/// <param name="Bends">The bends, those under half a degree left out.</param>
/// <param name="RiseM">Highest less lowest.</param>
/// <param name="ClimbM">All upward pieces.</param>
public sealed record LineRoute(double DevelopedM, double CornerM, IReadOnlyList<double> StraightsM, IReadOnlyList<RouteBend> Bends, double RiseM,
    double ClimbM)
{
    private const double StraightDeg = 0.5;
    private const double BackDeg = 175;

    /// <summary>Straight pipe that a nut and a flaring bar need at an end, m; common practice.</summary>
    public const double ForFlareM = 0.06;

    /// <summary>The first straight piece too short for its bends, and what is missing; null where all fit.</summary>
    public (int Piece, double MissingM)? Missing => StraightsM.Index().Where(s => s.Item < -1e-9).Select(s => ((int, double)?)(s.Index, -s.Item))
        .FirstOrDefault();

    /// <summary>Degrees that it turns in all.</summary>
    public double TurnsDeg => Bends.Sum(b => b.TurnDeg);

    /// <summary>A route through points.</summary>
    /// <param name="points">From end to end, at least two.</param>
    /// <param name="radiusM">Radius of its bends, to the middle of the bundle.</param>
    /// <exception cref="InputException">Two points on one another, or a route that doubles back.</exception>
    public static LineRoute Develop(IReadOnlyList<RoutePoint> points, double radiusM)
    {
        var pieces = points.Zip(points.Skip(1), (a, b) => b - a).ToList();
        if (pieces.FindIndex(p => p.Length < 0.001) is >= 0 and var same)
            throw new InputException("points", $"{same + 1}", $"Points {same + 1} and {same + 2} of the route stand on one another.");
        var bends = new List<RouteBend>();
        for (var i = 1; i < pieces.Count; i++)
        {
            var turn = Math.Atan2(pieces[i - 1].Across(pieces[i]).Length, pieces[i - 1].Along(pieces[i]));
            var degrees = double.RadiansToDegrees(turn);
            if (degrees > BackDeg)
                throw new InputException("points", $"{i + 1}", $"The route doubles back at point {i + 1}.");
            if (degrees >= StraightDeg)
                bends.Add(new RouteBend(i, degrees, radiusM * Math.Tan(turn / 2), radiusM * turn));
        }
        double Tangent(int at) => bends.FirstOrDefault(b => b.At == at)?.TangentM ?? 0;
        var straights = pieces.Select((p, i) => p.Length - Tangent(i) - Tangent(i + 1)).ToList();
        return new LineRoute(straights.Sum() + bends.Sum(b => b.ArcM), pieces.Sum(p => p.Length), straights, bends,
            points.Max(p => p.Z) - points.Min(p => p.Z), pieces.Sum(p => Math.Max(0, p.Z)));
    }

    /// <summary>Least radius of a bend by hand or spring, to the middle of the tube: 102 mm, or six diameters; common practice.</summary>
    public static double LeastRadiusM(double tubeM) => Math.Max(0.102, 6 * tubeM);
}

/// <summary>Which line set to order.</summary>
/// <param name="NeedM">With its tails.</param>
/// <param name="OrderM">With what measuring may miss.</param>
/// <param name="KitM">The shortest that is long enough; null where none is.</param>
public sealed record KitLength(double NeedM, double OrderM, double? KitM)
{
    /// <summary>Sets that are sold, m: 10, 16, 25, 35 and 50 ft; common practice.</summary>
    public static IReadOnlyList<double> Sold { get; } = [3.048, 4.8768, 7.62, 10.668, 15.24];

    /// <summary>What is left of it.</summary>
    public double? SlackM => KitM - NeedM;

    /// <summary>By how little the set before it misses, as a share; null where it misses by more than is worth a thought.</summary>
    public double? MissesBy => Sold.Where(k => k < OrderM && (OrderM - k) / k < WorthRouting).Select(k => (double?)(OrderM - k)).LastOrDefault();

    private const double WorthRouting = 0.03;

    /// <summary>The set for a route.</summary>
    /// <param name="developedM">Length of the route.</param>
    /// <param name="tailsM">Tails at both ends and a service loop.</param>
    /// <param name="allowance">What measuring may miss, a share.</param>
    public static KitLength Choose(double developedM, double tailsM, double allowance)
    {
        var need = developedM + tailsM;
        var order = need * (1 + allowance);
        return new KitLength(need, order, Sold.Select(k => (double?)k).FirstOrDefault(k => k >= order));
    }
}

/// <summary>Where the slack of a line set goes: whole turns lying flat, or a loop with four bends.</summary>
/// <param name="Turns">Turns of a coil; 0 where none fits.</param>
/// <param name="RadiusM">Of the coil, to the middle of the bundle.</param>
/// <param name="OutsideM">Across the coil.</param>
/// <param name="HeightM">Of the coil.</param>
/// <param name="LoopM">How deep a flat loop goes; null where it has no room for its bends.</param>
public sealed record SlackStowage(int Turns, double RadiusM, double OutsideM, double HeightM, double? LoopM)
{
    /// <summary>The smallest number of turns that fits.</summary>
    /// <param name="slackM">To be stowed.</param>
    /// <param name="bundleM">Across the bundle.</param>
    /// <param name="leastRadiusM">Least radius of the tube.</param>
    /// <param name="widthM">Free width.</param>
    public static SlackStowage Of(double slackM, double bundleM, double leastRadiusM, double widthM)
    {
        var tightest = leastRadiusM + bundleM / 2;
        var depth = (slackM + (8 - 2 * Math.PI) * tightest) / 2;
        var loop = depth >= 2 * tightest ? depth : (double?)null;
        for (var turns = 1; turns <= (int)Math.Floor(slackM / (2 * Math.PI * tightest) + 1e-9); turns++)
            if (slackM / (2 * Math.PI * turns) is var radius && 2 * radius + bundleM <= widthM)
                return new SlackStowage(turns, radius, 2 * radius + bundleM, (turns + 1) * bundleM, loop);
        return new SlackStowage(0, 0, 0, 0, loop);
    }
}
