using Vanto.Core.Layout;
using Vanto.Core.Survey;

namespace Vanto.Core.Mount;

/// <summary>What kind of rig a mount stands on.</summary>
public enum RigBase
{
    [Quantities.Called("a building")] Building, [Quantities.Called("a vehicle")] Vehicle, [Quantities.Called("a boat")] Boat,
}

/// <summary>One way in which the unit pulls at its mount.</summary>
/// <param name="Name">In words.</param>
/// <param name="Force">At its centre of gravity, N, its factor not in it: out from the wall or forward, left, up.</param>
/// <param name="Factor">That it is taken times.</param>
public sealed record LoadCase(string Name, ForceVector Force, double Factor)
{
    /// <summary>Greatest of its parts with the factor, N.</summary>
    public double FactoredN => Factor * Math.Sqrt(Force.X * Force.X + Force.Y * Force.Y + Force.Z * Force.Z);
}

/// <summary>All ways that count for a unit on its rig; factors common practice, wind and roll published formulas.</summary>
public static class LoadCases
{
    /// <summary>Name of the case in which the unit only stands there.</summary>
    public const string Standing = "its weight";

    /// <summary>Name of the case of several times the weight.</summary>
    public const string Times = "times its weight";

    /// <summary>Name of the worst shock of the road.</summary>
    public const string Shock = "shock of the road";

    private const double Usual = 1.5;
    private const double BoxDrag = 1.2;
    private const double Uplift = 0.5;
    private const double RoofDrag = 1.9;
    private const double RoofUplift = 1.5;
    private const double PlaningG = 4;
    private const double PersonN = 1000;

    /// <summary>Shock factors below these are too low for a road; product's own choice.</summary>
    public static readonly (double Shock, double Corner, double Brake) Least = (0.8, 0.5, 0.5);

    /// <summary>What a tail beyond the rear axle kicks.</summary>
    public static double Overhang(double behindM, double wheelbaseM) => 1 + Math.Max(0, behindM - wheelbaseM) / wheelbaseM;

    /// <summary>Kind of ground of a rig.</summary>
    public static RigBase On(RigKind rig) => rig switch
    {
        RigKind.Boat => RigBase.Boat,
        RigKind.Cabin or RigKind.Workshop or RigKind.Container => RigBase.Building,
        _ => RigBase.Vehicle,
    };

    /// <summary>All of them.</summary>
    /// <param name="massKg">Of the unit.</param>
    /// <param name="rigBase">What it is on.</param>
    /// <param name="side">The wall, which turns what is ahead; the front of a rig for what stands on its roof.</param>
    /// <param name="roof">It stands on the roof.</param>
    /// <param name="bear">Factors.</param>
    /// <param name="road">The vehicle.</param>
    /// <param name="faceM2">Area that wind meets ahead.</param>
    /// <param name="planM2">Area seen from above.</param>
    /// <param name="densityKgM3">Of the air.</param>
    public static IReadOnlyList<LoadCase> Of(double massKg, RigBase rigBase, WallSide side, bool roof, MustBearDesign bear, RoadDesign road, double faceM2,
        double planM2, double densityKgM3)
    {
        var weight = massKg * Gravity.Standard;
        var cases = new List<LoadCase> { new(Standing, new ForceVector(0, 0, -weight), Usual) };
        var along = side is WallSide.Left or WallSide.Right;
        void Add(string name, double ahead, double sideways, double up, double factor = Usual) =>
            cases.Add(new LoadCase(name, along ? new ForceVector(sideways, ahead, up) : new ForceVector(ahead, sideways, up), factor));

        Add($"{bear.Times:0.#} {Times}", 0, 0, -bear.Times * weight, 1);
        if (rigBase == RigBase.Vehicle)
        {
            var kick = Overhang(road.BehindM, road.WheelbaseM) * bear.ShockG * (bear.Unpaved ? 2 : 1);
            var rough = bear.Unpaved ? 1.5 : 1;
            Add($"{Shock}, down", 0, 0, -(1 + kick) * weight);
            Add($"{Shock}, up", 0, 0, (kick - 1) * weight);
            Add("braking", bear.BrakeG * rough * weight, 0, -weight);
            Add("pulling off", -bear.BrakeG * rough * weight, 0, -weight);
            Add("cornering to the left", 0, -bear.CornerG * rough * weight, -weight);
            Add("cornering to the right", 0, bear.CornerG * rough * weight, -weight);
            var speed = bear.DrivenMs + bear.AgainstMs;
            Add("wind of the road", -WindLoad.ForceN(densityKgM3, speed, BoxDrag, faceM2), 0,
                -weight + (roof ? WindLoad.ForceN(densityKgM3, speed, Uplift, planM2) : 0));
        }
        if (rigBase == RigBase.Boat)
        {
            var (sideways, down) = BoatPlacement.Roll(bear.RollDeg, bear.RollS, bear.AboveRollM, bear.BesideRollM);
            Add("roll to the left", 0, massKg * sideways, -massKg * down);
            Add("roll to the right", 0, -massKg * sideways, -massKg * down);
            if (bear.Planes)
                Add("slamming", 0, 0, -PlaningG * weight);
        }
        if (rigBase != RigBase.Vehicle && bear.GustMs is { } gust)
        {
            var (drag, lift) = roof ? (RoofDrag, RoofUplift) : (BoxDrag, Uplift);
            var (push, up) = (WindLoad.ForceN(densityKgM3, gust, drag, faceM2), WindLoad.ForceN(densityKgM3, gust, lift, planM2) - weight);
            Add("gust ahead", push, 0, up);
            Add("gust from ahead", -push, 0, up);
            Add("gust from the side", 0, push, up);
        }
        if (bear.Stepped)
            Add("a foot on it", 0, 0, -weight - PersonN);
        return cases;
    }
}
