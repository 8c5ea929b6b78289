using Vanto.Core.Physics;

namespace Vanto.Core.Layout;

/// <summary>A place of a drain where water stands: which point is lowest, and how deep, m.</summary>
public sealed record DrainTrap(int At, double DepthM);

/// <summary>A drain from its tray to its end: falls, traps, and what keeps water from coming back. Geometry.</summary>
/// <param name="FallsPct">Of each piece, percent; a drop is infinite, a rise of one that goes straight up infinite below nothing.</param>
/// <param name="Traps">Where water stands.</param>
/// <param name="MarginM">How much lower every point is than the tray.</param>
/// <param name="LengthM">Of the drain.</param>
public sealed record DrainRoute(IReadOnlyList<double> FallsPct, IReadOnlyList<DrainTrap> Traps, double MarginM, double LengthM)
{
    /// <summary>Least fall, percent: an eighth of an inch in a foot (a mechanical code, from memory).</summary>
    public const double LeastPct = 1;

    /// <summary>A drain through points, the tray's outlet first.</summary>
    public static DrainRoute Of(IReadOnlyList<RoutePoint> points)
    {
        var falls = points.Zip(points.Skip(1), (a, b) =>
        {
            var run = Math.Sqrt((b.X - a.X) * (b.X - a.X) + (b.Y - a.Y) * (b.Y - a.Y));
            return run > 0 ? 100 * (a.Z - b.Z) / run : Math.Sign(a.Z - b.Z) * double.PositiveInfinity;
        }).ToList();
        return new DrainRoute(falls, TrapsOf([.. points.Select(p => p.Z)]), points[0].Z - points.Skip(1).Max(p => p.Z),
            points.Zip(points.Skip(1), (a, b) => (b - a).Length).Sum());
    }

    /// <summary>The lowest point of each sag, a flat bottom once.</summary>
    private static List<DrainTrap> TrapsOf(double[] heights)
    {
        var traps = new List<DrainTrap>();
        for (var i = 0; i < heights.Length;)
        {
            if (heights[i..].Max() <= heights[i])
            {
                i++;
                continue;
            }
            // A sag: from here to where the water's level is met again.
            var end = i;
            while (end < heights.Length && heights[end..].Max() > heights[end])
                end++;
            var lowest = i;
            for (var k = i; k < end; k++)
                if (heights[k] < heights[lowest] - 1e-12)
                    lowest = k;
            traps.Add(new DrainTrap(lowest, heights[lowest..].Max() - heights[lowest]));
            i = end;
        }
        return traps;
    }

    /// <summary>The points as they stand with the nose up and the left side up, degrees.</summary>
    public static IReadOnlyList<RoutePoint> Tilted(IReadOnlyList<RoutePoint> points, double pitchDeg, double rollDeg)
    {
        var (a, r) = (double.DegreesToRadians(pitchDeg), double.DegreesToRadians(rollDeg));
        return [.. points.Select(p => p with { Z = Height(p, a, r) })];
    }

    private static double Height(RoutePoint p, double a, double r) => p.X * Math.Sin(a) + p.Y * Math.Cos(a) * Math.Sin(r) + p.Z * Math.Cos(a) * Math.Cos(r);

    /// <summary>Least fall of any piece over the nine ways of standing within limits, percent, with the way that has it.</summary>
    public static (double FallPct, double PitchDeg, double RollDeg, int Piece) Worst(IReadOnlyList<RoutePoint> points, double pitchDeg, double rollDeg)
    {
        var worst = (FallPct: double.PositiveInfinity, PitchDeg: 0.0, RollDeg: 0.0, Piece: 0);
        foreach (var pitch in new[] { -pitchDeg, 0, pitchDeg })
            foreach (var roll in new[] { -rollDeg, 0, rollDeg })
                foreach (var (fall, piece) in Falls(points, pitch, roll).Select((f, i) => (f, i)))
                    if (fall < worst.FallPct)
                        worst = (fall, pitch, roll, piece);
        return worst;
    }

    /// <summary>Fall of each piece on a slope, percent: how much lower over how far level.</summary>
    public static IReadOnlyList<double> Falls(IReadOnlyList<RoutePoint> points, double pitchDeg, double rollDeg)
    {
        var heights = Tilted(points, pitchDeg, rollDeg).Select(p => p.Z).ToList();
        return [.. points.Zip(points.Skip(1), (a, b) => (b - a).Length).Select((length, i) =>
        {
            var drop = heights[i] - heights[i + 1];
            var run = Math.Sqrt(Math.Max(0, length * length - drop * drop));
            return run < 1e-12 ? Math.Sign(drop) * double.PositiveInfinity : 100 * drop / run;
        })];
    }

    /// <summary>Depth of water at the end of a tray away from its outlet, m.</summary>
    /// <param name="trayM">Length of the tray along the slope.</param>
    /// <param name="tiltDeg">Slope away from the outlet.</param>
    /// <param name="builtInDeg">Slope that the tray has towards its outlet.</param>
    public static double PoolM(double trayM, double tiltDeg, double builtInDeg) =>
        tiltDeg <= builtInDeg ? 0 : trayM * Math.Tan(double.DegreesToRadians(tiltDeg - builtInDeg));
}

/// <summary>How much water a coil sheds.</summary>
public static class CondensateRate
{
    private const double SecondsAnHour = 3600;

    /// <summary>Litres an hour from the moisture taken out, W: at the room's air and the coil's water (handbook of fundamentals, from memory).</summary>
    public static double FromLatent(double latentW, double roomC, double coilC) =>
        SecondsAnHour * latentW / ((2501 + 1.86 * roomC - 4.186 * coilC) * 1000);

    /// <summary>Litres an hour from the air before and behind the coil, kg/kg, and kg/s of dry air.</summary>
    public static double FromAir(double dryAirKgS, double ratioIn, double ratioOut) => SecondsAnHour * dryAirKgS * (ratioIn - ratioOut);
}

/// <summary>A condensate pump at its work.</summary>
/// <param name="FlowLh">Litres an hour.</param>
/// <param name="Reynolds">Of the hose.</param>
/// <param name="FrictionM">Head lost in the hose.</param>
public sealed record CondensatePump(double FlowLh, double Reynolds, double FrictionM)
{
    private const double WaterPaS = 1.0e-3;
    private const double WaterKgM3 = 1000;
    private const double Gravity = 9.80665;
    private const double Laminar = 2300;

    /// <summary>A pump with a straight curve into a hose: laminar in closed form, turbulent by Blasius (published).</summary>
    /// <param name="freeLh">Litres an hour at no lift.</param>
    /// <param name="headM">Head at no flow.</param>
    /// <param name="liftM">Lift.</param>
    /// <param name="runM">Hose.</param>
    /// <param name="hoseM">Inside of the hose.</param>
    public static CondensatePump Of(double freeLh, double headM, double liftM, double runM, double hoseM)
    {
        if (liftM >= headM)
            return new CondensatePump(0, 0, 0);
        var free = freeLh / 3.6e6;
        var smooth = 128 * WaterPaS * runM / (Math.PI * Math.Pow(hoseM, 4) * WaterKgM3 * Gravity);
        double ReynoldsOf(double q) => 4 * WaterKgM3 * q / (Math.PI * hoseM * WaterPaS);
        var flow = (headM - liftM) / (headM / free + smooth);
        if (ReynoldsOf(flow) > Laminar)
            flow = Roots.OfRising(q => liftM + Turbulent(q) - headM * (1 - q / free), 1e-12, free, 1e-16);
        var re = ReynoldsOf(flow);
        return new CondensatePump(flow * 3.6e6, re, re > Laminar ? Turbulent(flow) : smooth * flow);

        double Turbulent(double q)
        {
            var speed = 4 * q / (Math.PI * hoseM * hoseM);
            return 0.3164 * Math.Pow(ReynoldsOf(q), -0.25) * runM / hoseM * speed * speed / (2 * Gravity);
        }
    }
}

/// <summary>A reservoir that is pumped empty again and again.</summary>
/// <param name="FillS">Seconds to fill.</param>
/// <param name="RunS">Seconds the pump runs.</param>
public sealed record PumpCycle(double FillS, double RunS)
{
    /// <summary>Starts an hour.</summary>
    public double AnHour => 3600 / (FillS + RunS);

    /// <summary>Share of the time that it runs.</summary>
    public double Duty => RunS / (FillS + RunS);

    /// <summary>A reservoir of a volume between its switches, litres; water that comes and water pumped, litres an hour.</summary>
    public static PumpCycle Of(double litres, double comesLh, double pumpedLh) =>
        new(3600 * litres / comesLh, 3600 * litres / (pumpedLh - comesLh));
}
