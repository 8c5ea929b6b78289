using Vanto.Core.Findings;
using Vanto.Core.Unit;

namespace Vanto.Core.Layout;

/// <summary>One way of the pipe from the head to the outdoor unit, with what it costs.</summary>
public sealed record LineWay
{
    public required string Name { get; init; }
    public required IReadOnlyList<RoutePoint> Points { get; init; }

    /// <summary>Length of the pipe without its tails; nothing where its bends do not fit.</summary>
    public required double LengthM { get; init; }

    public required int Bends { get; init; }

    public required double TurnsDeg { get; init; }

    /// <summary>The set to order; nothing where none reaches.</summary>
    public required double? KitM { get; init; }

    public required double NeedM { get; init; }

    public required double? SlackM { get; init; }

    /// <summary>Charge to be added by who may do so, kg.</summary>
    public required double AddedKg { get; init; }

    /// <summary>Hours for holes, bends and clips, by hand; common practice.</summary>
    public required double HandsH { get; init; }

    /// <summary>True where its drain runs by itself.</summary>
    public required bool DrainFalls { get; init; }

    /// <summary>What does not go, if anything.</summary>
    public required Phrase? Fault { get; init; }
}

/// <summary>Draws the ways of the pipe and works each out.</summary>
public static class LineWays
{
    private const double InCoverM = 0.04;
    private const double OverM = 0.12;

    /// <summary>What the ways lean on.</summary>
    /// <param name="Design">The layout.</param>
    /// <param name="Sheet">The unit sheet.</param>
    /// <param name="Wall">The wall.</param>
    /// <param name="Hole">Its hole.</param>
    /// <param name="HoleX">The hole's middle, across.</param>
    /// <param name="Port">Where the pipes join outdoors.</param>
    /// <param name="RadiusM">Of its bends.</param>
    public sealed record Setting(LayoutDesign Design, UnitSheetDesign Sheet, WallSetting Wall, WallHole Hole, double HoleX, RoutePoint Port, double RadiusM);

    /// <summary>The way that is planned: straight through, or over the points that were typed.</summary>
    public static IReadOnlyList<RoutePoint> Planned(Setting s)
    {
        if (s.Design.Line.Points.Count == 0)
            return Straight(s);
        return [Inside(s), .. s.Design.Line.Points.Select(p => new RoutePoint(p.RightM, p.OutM, p.UpM)), s.Port];
    }

    /// <summary>All ways worth a thought, the planned one first, then by the hours they take.</summary>
    public static IReadOnlyList<LineWay> All(Setting s)
    {
        var planned = Work(s, s.Design.Line.Points.Count == 0 ? "straight through the wall" : "over the points typed", Planned(s), 1, true);
        var others = new List<LineWay>();
        if (s.Design.Line.Points.Count > 0)
            others.Add(Work(s, "straight through the wall", Straight(s), 1, true));
        others.Add(Work(s, "along the wall inside, then through", Along(s), 1, InsideFalls(s)));
        others.Add(Work(s, "over the ceiling and down outside", Over(s), 2, false));
        return [planned, .. others.OrderBy(w => w.Fault is not null).ThenBy(w => w.HandsH).ThenBy(w => w.LengthM)];
    }

    private static RoutePoint Inside(Setting s) => new(s.HoleX, 0, s.Hole.InsideUpM);

    private static double Out(Setting s) => Math.Max(s.Wall.ThicknessM + BulgeM, s.RadiusM + 0.01);

    private const double BulgeM = 0.08;

    private static IReadOnlyList<RoutePoint> Straight(Setting s)
    {
        var y = Out(s);
        return Clear(s.RadiusM, [Inside(s), new(s.HoleX, y, s.Hole.OutsideUpM), new(s.HoleX, y, s.Port.Z), s.Port]);
    }

    private static IReadOnlyList<RoutePoint> Along(Setting s)
    {
        var at = Math.Clamp(s.Port.X, s.Wall.HoleM, Math.Max(s.Wall.HoleM, s.Wall.WidthM - s.Wall.HoleM));
        var z = s.Hole.InsideUpM - Math.Abs(at - s.HoleX) * DrainRoute.LeastPct / 100;
        return Clear(s.RadiusM, [Inside(s), new(at, -InCoverM, z), new(at, Out(s), z - s.Wall.FallM),
            new(at, Out(s), s.Port.Z), s.Port]);
    }

    private static IReadOnlyList<RoutePoint> Over(Setting s)
    {
        var top = s.Wall.Ceiling.Max(c => c.Y) + OverM;
        return Clear(s.RadiusM, [Inside(s), new(s.HoleX, -InCoverM, top), new(s.HoleX, Out(s), top),
            new(s.HoleX, Out(s), s.Port.Z), s.Port]);
    }

    private static bool InsideFalls(Setting s) => s.Design.Drain.EndUpM < s.Hole.InsideUpM - Math.Abs(s.Port.X - s.HoleX) * DrainRoute.LeastPct / 100 - 0.05;

    /// <summary>A corner that stands too near the one before is left out, so that bends have room.</summary>
    private static IReadOnlyList<RoutePoint> Clear(double radiusM, IReadOnlyList<RoutePoint> points)
    {
        var kept = new List<RoutePoint> { points[0] };
        for (var i = 1; i < points.Count - 1; i++)
            if ((points[i] - kept[^1]).Length > Math.Min(radiusM, 0.02) && (points[^1] - points[i]).Length > radiusM)
                kept.Add(points[i]);
        kept.Add(points[^1]);
        return kept;
    }

    private static LineWay Work(Setting s, string name, IReadOnlyList<RoutePoint> points, int holes, bool drainFalls)
    {
        var line = s.Design.Line;
        var (limits, tails) = (s.Sheet.Circuit, line.HeadTailM + line.UnitTailM);
        LineRoute? route = null;
        Phrase? fault = null;
        try
        {
            route = LineRoute.Develop(points, s.RadiusM);
            if (route.Missing is { } missing)
                fault = Phrase.Of($"The bends at piece {missing.Piece + 1} want {missing.MissingM:SmallLength} more.");
        }
        catch (InputException refused)
        {
            fault = refused.Errors[0].Words;
        }
        var length = route?.DevelopedM ?? points.Zip(points.Skip(1), (a, b) => (b - a).Length).Sum();
        var kit = KitLength.Choose(length, tails, line.Allowance);
        if (limits.MostM is { } most && kit.NeedM > most)
            fault ??= Phrase.Of($"It is longer than the {most:Length} that its manual allows.");
        return new LineWay
        {
            Name = name,
            Points = points,
            LengthM = length,
            Bends = route?.Bends.Count ?? 0,
            TurnsDeg = route?.TurnsDeg ?? 0,
            NeedM = kit.NeedM,
            KitM = line.KitM ?? kit.KitM,
            SlackM = (line.KitM ?? kit.KitM) - kit.NeedM,
            AddedKg = Math.Max(0, kit.NeedM - (limits.FreeM ?? 0)) * (limits.AddedGm ?? 0) / 1000,
            HandsH = holes * HoleH(s.Design.Wall.Build) + (route?.Bends.Count ?? 0) * BendH + length * MetreH
                + (drainFalls || s.Design.Drain.By == DrainBy.Pump ? 0 : PumpH),
            DrainFalls = drainFalls,
            Fault = fault,
        };
    }

    private const double BendH = 0.1;
    private const double MetreH = 0.12;
    private const double PumpH = 0.75;

    /// <summary>Hours for one hole with its sleeve, by the wall; common practice.</summary>
    public static double HoleH(WallBuild build) => build switch { WallBuild.Masonry => 1.5, WallBuild.Studs => 0.6, _ => 0.75 };

    /// <summary>Least radius of the tube's bends, to its middle; a lever bender's from memory, by hand common practice.</summary>
    public static double TubeRadiusM(double tubeM, BendTool tool) => tool == BendTool.Hand ? LineRoute.LeastRadiusM(tubeM)
        : tubeM <= 0.0070 ? 0.0143 : tubeM <= 0.0105 ? 0.0238 : tubeM <= 0.0135 ? 0.0381 : tubeM <= 0.0165 ? 0.0572 : 0.076;
}
