namespace Vanto.Core.Mount;

/// <summary>Free fall, m/s².</summary>
public static class Gravity
{
    public const double Standard = 9.80665;
}

/// <summary>A load across a beam.</summary>
/// <param name="N">Force.</param>
/// <param name="AtM">From the root or the left support.</param>
public sealed record BeamLoad(double N, double AtM);

/// <summary>Straight beams under point loads; statics.</summary>
public static class Beam
{
    /// <summary>Yield over this is what a part may bear: product's own choice after EN 1993-1-1.</summary>
    public const double YieldPart = 1.10;

    /// <summary>Moment at the root of a cantilever, N·m.</summary>
    public static double RootMoment(IReadOnlyList<BeamLoad> loads) => loads.Sum(p => p.N * p.AtM);

    /// <summary>Deflection at the tip of a cantilever, m.</summary>
    /// <param name="loads">On it.</param>
    /// <param name="lengthM">Its length.</param>
    /// <param name="elasticGPa">Modulus.</param>
    /// <param name="inertiaMm4">Second moment.</param>
    public static double TipM(IReadOnlyList<BeamLoad> loads, double lengthM, double elasticGPa, double inertiaMm4) =>
        loads.Sum(p => p.N * p.AtM * p.AtM * (3 * lengthM - p.AtM)) / (6 * Stiff(elasticGPa, inertiaMm4));

    /// <summary>Greatest moment of a beam on two supports, N·m.</summary>
    public static double SpanMoment(IReadOnlyList<BeamLoad> loads, double spanM)
    {
        var left = loads.Sum(p => p.N * (spanM - p.AtM)) / spanM;
        return loads.Max(at => Math.Abs(left * at.AtM - loads.Where(p => p.AtM < at.AtM).Sum(p => p.N * (at.AtM - p.AtM))));
    }

    /// <summary>Deflection of a beam on two supports at a place, m.</summary>
    public static double SpanM(IReadOnlyList<BeamLoad> loads, double spanM, double elasticGPa, double inertiaMm4, double x) => loads.Sum(p =>
    {
        var (a, at) = x <= p.AtM ? (p.AtM, x) : (spanM - p.AtM, spanM - x);
        var b = spanM - a;
        return p.N * b * at * (spanM * spanM - b * b - at * at) / (6 * spanM * Stiff(elasticGPa, inertiaMm4));
    });

    private static double Stiff(double elasticGPa, double inertiaMm4) => elasticGPa * 1e9 * inertiaMm4 * 1e-12;
}

/// <summary>An arm on the wall held from below by a strut; forces in N, m.</summary>
/// <param name="StrutN">Pressed along the strut; pulled where negative.</param>
/// <param name="PullN">Out of the wall at the arm.</param>
/// <param name="TopN">Up at the arm's root.</param>
/// <param name="MomentNm">Greatest in the arm.</param>
/// <param name="StrutM">Its length.</param>
/// <param name="StrutDeg">Its slope.</param>
public sealed record BracedArm(double StrutN, double PullN, double TopN, double MomentNm, double StrutM, double StrutDeg)
{
    /// <summary>Statics of an arm that is pinned at the wall.</summary>
    /// <param name="loads">Feet on the arm, from the wall.</param>
    /// <param name="outM">Where the strut meets the arm.</param>
    /// <param name="downM">Where it meets the wall, below the arm.</param>
    public static BracedArm Of(IReadOnlyList<BeamLoad> loads, double outM, double downM)
    {
        var (force, moment) = (loads.Sum(p => p.N), Beam.RootMoment(loads));
        var length = Math.Sqrt(outM * outM + downM * downM);
        var strut = moment * length / (outM * downM);
        var pull = moment / downM;
        var top = force - moment / outM;
        var worst = Math.Abs(loads.Where(p => p.AtM > outM).Sum(p => p.N * (p.AtM - outM)));
        foreach (var at in loads.Where(p => p.AtM < outM))
            worst = Math.Max(worst, Math.Abs(top * at.AtM - loads.Where(p => p.AtM < at.AtM).Sum(p => p.N * (at.AtM - p.AtM))));
        return new BracedArm(strut, pull, top, worst, length, Math.Atan2(downM, outM) * 180 / Math.PI);
    }
}

/// <summary>A strut in compression by Johnson and Euler, machine-design textbooks.</summary>
/// <param name="Slenderness">Length over the least radius of gyration.</param>
/// <param name="Limit">Where the two curves meet.</param>
/// <param name="StressMPa">At which it buckles.</param>
/// <param name="Part">What it is divided by: it grows where the textbook curve has no imperfection in it; product's own choice.</param>
public sealed record Column(double Slenderness, double Limit, double StressMPa, double Part)
{
    /// <summary>Beyond this a strut is too thin for its length; common practice.</summary>
    public const double Slender = 200;

    /// <summary>Of a strut.</summary>
    /// <param name="section">Its section.</param>
    /// <param name="lengthM">Its length between joints.</param>
    /// <param name="elasticGPa">Modulus.</param>
    /// <param name="yieldMPa">Yield.</param>
    /// <param name="ends">1 for hinged ends.</param>
    public static Column Of(Section section, double lengthM, double elasticGPa, double yieldMPa, double ends = 1)
    {
        const double plain = 1.10, imperfect = 1.45;
        var slender = ends * lengthM * 1000 / section.RMinMm;
        var limit = Math.Sqrt(2 * Math.PI * Math.PI * elasticGPa * 1000 / yieldMPa);
        var stress = slender <= limit ? yieldMPa * (1 - yieldMPa * slender * slender / (4 * Math.PI * Math.PI * elasticGPa * 1000))
            : Math.PI * Math.PI * elasticGPa * 1000 / (slender * slender);
        var beyond = Math.Clamp((slender / limit - 0.5) / 0.25, 0, 1);
        return new Column(slender, limit, stress, plain + beyond * (imperfect - plain));
    }

    /// <summary>What it bears, N.</summary>
    public double BearsN(Section section) => section.AreaMm2 * StressMPa / Part;
}

/// <summary>Fillet welds as lines: shear and bending of the throat; MPa.</summary>
/// <param name="ShearMPa">From the force.</param>
/// <param name="BendingMPa">From the moment.</param>
public sealed record WeldStress(double ShearMPa, double BendingMPa)
{
    /// <summary>Both together.</summary>
    public double TotalMPa => Math.Sqrt(ShearMPa * ShearMPa + BendingMPa * BendingMPa);

    /// <summary>Two upright lines.</summary>
    public static WeldStress TwoUpright(double legMm, double highMm, double forceN, double momentNm) =>
        Of(legMm, 2 * highMm, Math.Pow(highMm, 3) / 6, highMm / 2, forceN, momentNm);

    /// <summary>Two level lines, one above the other.</summary>
    public static WeldStress TwoLevel(double legMm, double wideMm, double apartMm, double forceN, double momentNm) =>
        Of(legMm, 2 * wideMm, wideMm * apartMm * apartMm / 2, apartMm / 2, forceN, momentNm);

    /// <summary>All round a box.</summary>
    public static WeldStress Round(double legMm, double wideMm, double highMm, double forceN, double momentNm) =>
        Of(legMm, 2 * (wideMm + highMm), highMm * highMm * (3 * wideMm + highMm) / 6, highMm / 2, forceN, momentNm);

    private static WeldStress Of(double legMm, double lengthMm, double unitMm3, double edgeMm, double forceN, double momentNm)
    {
        var throat = legMm / Math.Sqrt(2);
        return new WeldStress(Math.Abs(forceN) / (lengthMm * throat), Math.Abs(momentNm) * 1000 * edgeMm / (unitMm3 * throat));
    }

    /// <summary>What a fillet weld bears, MPa: EN 1993-1-8, 4.5.3.3.</summary>
    public static double BearsMPa(MetalFigures metal) => metal.WeldedUltimateMPa / (Math.Sqrt(3) * metal.FusedBeta * Bolt.Part);
}

/// <summary>Where the four feet of a rigid unit press, N; a foot that lifts is negative.</summary>
/// <param name="FrontLeft">Forward, to the left.</param>
/// <param name="FrontRight">Forward, to the right.</param>
/// <param name="RearLeft">Behind, to the left.</param>
/// <param name="RearRight">Behind, to the right.</param>
/// <param name="ShearN">Along the base, each.</param>
public sealed record FourFeet(double FrontLeft, double FrontRight, double RearLeft, double RearRight, double ShearN)
{
    /// <summary>Statics of a rigid unit on four feet.</summary>
    /// <param name="force">On its centre of gravity: forward, left, up.</param>
    /// <param name="apartX">Feet apart fore and aft.</param>
    /// <param name="apartY">Feet apart sideways.</param>
    /// <param name="offX">Centre of gravity before the middle.</param>
    /// <param name="offY">To the left of the middle.</param>
    /// <param name="high">Above the feet.</param>
    public static FourFeet Of(ForceVector force, double apartX, double apartY, double offX, double offY, double high)
    {
        var mx = offY * force.Z - high * force.Y;
        var my = high * force.X - offX * force.Z;
        double At(double x, double y) => -force.Z / 4 - mx * y / (apartY * apartY) + my * x / (apartX * apartX);
        var (x, y) = (apartX / 2, apartY / 2);
        return new FourFeet(At(x, y), At(x, -y), At(-x, y), At(-x, -y), Math.Sqrt(force.X * force.X + force.Y * force.Y) / 4);
    }

    /// <summary>Least of them.</summary>
    public double Least => Math.Min(Math.Min(FrontLeft, FrontRight), Math.Min(RearLeft, RearRight));

    /// <summary>Greatest of them.</summary>
    public double Most => Math.Max(Math.Max(FrontLeft, FrontRight), Math.Max(RearLeft, RearRight));
}

/// <summary>A force, N: forward or out, left, up.</summary>
public readonly record struct ForceVector(double X, double Y, double Z);

/// <summary>A sling that lifts a unit.</summary>
public static class Sling
{
    /// <summary>What a lift jerks, product's own choice.</summary>
    private const double Jerk = 1.25;

    /// <summary>Pull in each leg, N; of four legs only two count.</summary>
    /// <param name="massKg">Lifted.</param>
    /// <param name="legs">That carry.</param>
    /// <param name="leanDeg">Of a leg from the plumb line.</param>
    public static double LegN(double massKg, int legs, double leanDeg) =>
        Jerk * massKg * Gravity.Standard / (Math.Min(legs, 2) * Math.Cos(leanDeg * Math.PI / 180));
}
