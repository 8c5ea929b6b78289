using Vanto.Core.Quantities;

namespace Vanto.Core.Mount;

/// <summary>A part to be cut, mm.</summary>
/// <param name="Label">On the drawing.</param>
/// <param name="What">In words.</param>
/// <param name="Profile">Its profile.</param>
/// <param name="Count">How many.</param>
/// <param name="LongMm">From long point to long point.</param>
/// <param name="ShortMm">From short point to short point.</param>
/// <param name="FirstDeg">Cut at one end, from square.</param>
/// <param name="SecondDeg">At the other end.</param>
public sealed record CutPart(string Label, string What, string Profile, int Count, double LongMm, double ShortMm, double FirstDeg, double SecondDeg);

/// <summary>A bolt or weld on the list.</summary>
public sealed record JoinPart(string What, int Count, string Note);

/// <summary>Pieces out of one bar, mm.</summary>
public sealed record StockBar(IReadOnlyList<double> PiecesMm, double LeftMm);

/// <summary>How bars are cut up.</summary>
/// <param name="Bars">Each with its pieces.</param>
/// <param name="Proved">No plan with fewer bars exists.</param>
public sealed record StockPlan(IReadOnlyList<StockBar> Bars, bool Proved);

/// <summary>Cuts pieces out of as few bars as can be: branch and bound over the pieces, longest first, from the first-fit plan on.</summary>
public static class StockCutting
{
    private const int MostSteps = 200_000;

    /// <summary>Of pieces.</summary>
    /// <param name="piecesMm">At most sixty.</param>
    /// <param name="barMm">Length of a bar.</param>
    /// <param name="kerfMm">That a cut takes.</param>
    /// <exception cref="Findings.InputException">A piece is longer than the bar.</exception>
    public static StockPlan Solve(IReadOnlyList<double> piecesMm, double barMm, double kerfMm)
    {
        if (piecesMm.Count == 0)
            return new StockPlan([], true);
        var pieces = piecesMm.OrderByDescending(p => p).ToArray();
        if (pieces[0] > barMm)
            throw new Findings.InputException("stockM", FormattableString.Invariant($"{barMm / 1000:0.###} m"),
                FormattableString.Invariant($"A piece of {pieces[0]:0} mm is longer than a bar of {barMm:0} mm."));
        var room = barMm + kerfMm;
        var best = FirstFit(pieces, room, kerfMm);
        var least = (int)Math.Ceiling(pieces.Sum(p => p + kerfMm) / room - 1e-9);
        var search = new Search(pieces, room, kerfMm, best, least);
        search.Place(0);
        return new StockPlan([.. Bars(search.Best, pieces, barMm, kerfMm)], search.Steps < MostSteps || search.Count == least);
    }

    private static IEnumerable<StockBar> Bars(int[] plan, double[] pieces, double barMm, double kerfMm) =>
        Enumerable.Range(0, plan.Max() + 1).Select(bar => pieces.Where((_, i) => plan[i] == bar).ToList())
            .Select(own => new StockBar(own, Math.Max(0, barMm - own.Sum() - kerfMm * own.Count)));

    private static int[] FirstFit(double[] pieces, double room, double kerf)
    {
        var free = new List<double>();
        var plan = new int[pieces.Length];
        for (var i = 0; i < pieces.Length; i++)
        {
            var bar = free.FindIndex(f => f >= pieces[i] + kerf - 1e-9);
            if (bar < 0)
            {
                bar = free.Count;
                free.Add(room);
            }
            free[bar] -= pieces[i] + kerf;
            plan[i] = bar;
        }
        return plan;
    }

    private sealed class Search(double[] pieces, double room, double kerf, int[] best, int least)
    {
        private readonly List<double> _free = [];
        private readonly int[] _plan = new int[pieces.Length];
        private double _rest = pieces.Sum(p => p + kerf);

        public int[] Best { get; private set; } = best;
        public int Count { get; private set; } = best.Max() + 1;
        public int Steps { get; private set; }

        public void Place(int i)
        {
            if (Count == least || ++Steps >= MostSteps)
                return;
            if (i == pieces.Length)
            {
                Best = [.. _plan];
                Count = _free.Count;
                return;
            }
            if (_free.Count + (int)Math.Ceiling((_rest - _free.Sum()) / room - 1e-9) >= Count)
                return;
            var need = pieces[i] + kerf;
            var tried = new HashSet<double>();
            for (var bar = 0; bar < _free.Count; bar++)
                if (_free[bar] >= need - 1e-9 && tried.Add(Math.Round(_free[bar], 6)))
                    Try(i, bar, need);
            if (_free.Count + 1 >= Count)
                return;
            _free.Add(room);
            Try(i, _free.Count - 1, need);
            _free.RemoveAt(_free.Count - 1);
        }

        private void Try(int i, int bar, double need)
        {
            _free[bar] -= need;
            _rest -= need;
            _plan[i] = bar;
            Place(i + 1);
            _free[bar] += need;
            _rest += need;
        }
    }
}

/// <summary>A hole of a part, mm from its lower left corner.</summary>
public sealed record DrilledHole(string Part, int Number, double X, double Y, double DrillMm, string Purpose);

/// <summary>What the workshop needs: parts, joints, holes, weight.</summary>
/// <param name="Parts">To be cut.</param>
/// <param name="Joins">Bolts and welds.</param>
/// <param name="Holes">To be drilled.</param>
/// <param name="Stock">Bars by profile.</param>
/// <param name="MassKg">Of the mount with its fasteners.</param>
public sealed record Workshop(IReadOnlyList<CutPart> Parts, IReadOnlyList<JoinPart> Joins, IReadOnlyList<DrilledHole> Holes,
    IReadOnlyDictionary<string, StockPlan> Stock, double MassKg);

/// <summary>Makes the workshop's list from a mount.</summary>
public static class CutList
{
    private const double FastenersShare = 1.02;
    private const double UprightBeyondMm = 100;
    private const double RailBeyondMm = 50;

    /// <summary>Holes stand so many of their own widths apart along the profile; product's own choice over EN 1993-1-8's least of 2.2.</summary>
    private const double ApartHoles = 2.5;

    /// <summary>Holes nearer than so many of their widths tear into one another: EN 1993-1-8, table 3.3.</summary>
    public const double LeastApartHoles = 2.2;

    /// <summary>Long and short side of a member whose ends are cut, mm; both cuts make the same side longer.</summary>
    /// <param name="middleMm">Along its middle.</param>
    /// <param name="highMm">Across it.</param>
    /// <param name="firstDeg">One cut from square.</param>
    /// <param name="secondDeg">The other.</param>
    public static (double LongMm, double ShortMm) Mitred(double middleMm, double highMm, double firstDeg, double secondDeg)
    {
        var off = highMm / 2 * (Math.Tan(firstDeg * Math.PI / 180) + Math.Tan(secondDeg * Math.PI / 180));
        return (middleMm + off, middleMm - off);
    }

    /// <summary>Of a mount.</summary>
    public static Workshop Of(MountSetting s, bool bars = true)
    {
        var frame = s.Design.Frame;
        var (arm, strut) = (Calls.Name(frame.Arm), Calls.Name(frame.Strut));
        var parts = new List<CutPart>();
        void Straight(string label, string what, string profile, int count, double mm) =>
            parts.Add(new CutPart(label, what, profile, count, mm, mm, 0, 0));
        switch (s.Kind)
        {
            case MountKind.Braced:
                Straight("A", "arm", arm, 2, 1000 * frame.ArmM);
                Straight("B", "upright on the wall", arm, 2, 1000 * frame.StrutDownM + UprightBeyondMm);
                var (length, slope) = (1000 * Math.Sqrt(frame.StrutOutM * frame.StrutOutM + frame.StrutDownM * frame.StrutDownM),
                    Math.Atan2(frame.StrutDownM, frame.StrutOutM) * 180 / Math.PI);
                var (longer, shorter) = Mitred(length, s.Strut.HighMm, 90 - slope, slope);
                parts.Add(new CutPart("C", "strut", strut, 2, longer, shorter, 90 - slope, slope));
                break;
            case MountKind.Plain:
                Straight("A", "arm", arm, 2, 1000 * frame.ArmM);
                Straight("B", "plate on the wall", arm, 2, 1000 * frame.PlateM);
                break;
            case MountKind.RoofFrame or MountKind.DeckStand or MountKind.Cradle:
                Straight("A", "rail under the feet", arm, 2, 1000 * frame.BaseWideM + RailBeyondMm);
                Straight("B", "tie between the rails", arm, 2, 1000 * frame.BaseDeepM);
                if (s.Kind != MountKind.RoofFrame)
                    Straight("C", s.Kind == MountKind.Cradle ? "hanger" : "leg", strut, 4, 1000 * frame.StandM);
                break;
            case MountKind.TowBar:
                Straight("A", "rail under the feet", arm, 2, 1000 * s.FeetWideM + RailBeyondMm);
                Straight("B", "bar into the receiver", "tube 50.8 × 50.8 × 6.35", 1, 1000 * s.Design.Road.PinM + 200);
                break;
            case MountKind.Railing or MountKind.Window:
                Straight("A", "arm", arm, 2, 1000 * frame.ArmM);
                Straight("B", "hook to rest", arm, 2, 1000 * s.Design.Railing.DownM + UprightBeyondMm);
                break;
        }
        var stock = !bars ? [] : parts.GroupBy(p => p.Profile).ToDictionary(g => g.Key, g => StockCutting.Solve(
            [.. g.SelectMany(p => Enumerable.Repeat(p.LongMm, p.Count))], 1000 * s.Design.StockM, 1000 * s.Design.KerfM));
        return new Workshop(parts, Joins(s), Holes(s), stock, MassKg(s, parts));
    }

    private static double MassKg(MountSetting s, IEnumerable<CutPart> parts)
    {
        double Area(string profile) => profile == Calls.Name(s.Design.Frame.Strut) ? s.Strut.Section.AreaMm2
            : profile == Calls.Name(s.Design.Frame.Arm) ? s.Arm.Section.AreaMm2 : Section.SharpTube(50.8, 50.8, 6.35).AreaMm2;
        return FastenersShare * parts.Sum(p => p.Count * Area(p.Profile) * (p.LongMm + p.ShortMm) / 2 * 1e-9 * s.Metal.DensityKgM3);
    }

    /// <summary>Bolt length for a clamped stack, mm: stack, nut and two threads, rounded up to what is sold in steps of five.</summary>
    public static double BoltLengthMm(double stackMm, BoltSize size) =>
        5 * Math.Ceiling((stackMm + 0.8 * Bolt.Mm(size) + 2 * Bolt.PitchMm(size)) / 5 - 1e-9);

    private static List<JoinPart> Joins(MountSetting s)
    {
        var f = s.Design.Fixing;
        var list = new List<JoinPart>();
        var (foot, size) = (s.Design.Feet.Bolt, f.Size);
        var stack = s.Arm.HighMm + 12;
        if (s.Kind is not (MountKind.Pad or MountKind.Clamp))
            list.Add(new JoinPart(FormattableString.Invariant($"{Calls.Name(foot)} × {BoltLengthMm(stack, foot):0} {Calls.Name(f.Grade)}, feet"), 4,
                Torque(s, foot)));
        var count = s.OnArms ? 2 * f.InRow * f.Rows : 4;
        if (s.Kind is not (MountKind.Railing or MountKind.Window or MountKind.TowBar))
            list.Add(new JoinPart($"{Calls.Name(size)} {(s.How == FixingKind.Through ? Calls.Name(f.Grade) + " " : "")}{Calls.Name(s.How)}", count,
                s.How == FixingKind.Through ? Torque(s, size) : "to its own paper"));
        if (s.Kind is MountKind.Braced or MountKind.Plain)
            list.Add(new JoinPart(FormattableString.Invariant($"fillet weld {1000 * s.Design.Frame.WeldM:0.#} mm all round, arm to upright"), 2,
                "battery disconnected, nothing that burns behind"));
        if (s.Kind == MountKind.Braced)
            list.Add(new JoinPart(FormattableString.Invariant($"fillet weld {1000 * s.Design.Frame.WeldM:0.#} mm all round, strut ends"), 4, ""));
        return list;
    }

    /// <summary>Torque of a bolt, in words.</summary>
    public static string Torque(MountSetting s, BoltSize size)
    {
        var (_, proof, _) = Bolt.Strength(s.Design.Fixing.Grade);
        var preload = Bolt.PreloadN(proof, Bolt.StressMm2(Bolt.Mm(size), Bolt.PitchMm(size)));
        return FormattableString.Invariant($"{Bolt.TorqueNm(preload, Bolt.Mm(size), Bolt.NutFactor(s.Design.Fixing.Thread)):0} N·m ±25 %");
    }

    private static List<DrilledHole> Holes(MountSetting s)
    {
        var holes = new List<DrilledHole>();
        var (f, frame) = (s.Design.Fixing, s.Design.Frame);
        var number = 0;
        void Drill(string part, double x, double y, BoltSize size, string purpose) =>
            holes.Add(new DrilledHole(part, ++number, x, y, Bolt.HoleMm(size), purpose));
        if (s.OnArms)
        {
            var wide = s.Arm.WideMm;
            IReadOnlyList<double> rows = s.Kind == MountKind.Plain ? [.. Rows(s)] : [.. Enumerable.Range(0, f.Rows)
                .Select(i => 25 + i * (1000 * frame.StrutDownM + UprightBeyondMm - 50) / Math.Max(1, f.Rows - 1))];
            var pitch = Math.Ceiling(ApartHoles * Bolt.HoleMm(f.Size));
            foreach (var (y, row) in rows.Select((y, row) => (y, row)))
                for (var i = 0; i < f.InRow; i++)
                    Drill("B", wide / 2, y + pitch * (i - (f.InRow - 1) * (double)row / (rows.Count - 1)), f.Size, "to the wall");
            var (rear, front) = s.FeetAt;
            Drill("A", 1000 * rear, wide / 2, s.Design.Feet.Bolt, "rear foot, slot or hole");
            Drill("A", 1000 * front, wide / 2, s.Design.Feet.Bolt, "front foot, slot or hole");
        }
        else if (s.Kind is MountKind.RoofFrame or MountKind.DeckStand or MountKind.Cradle)
        {
            var middle = (1000 * frame.BaseWideM + RailBeyondMm) / 2;
            foreach (var side in new[] { -1, 1 })
                Drill("A", middle + side * 500 * s.FeetWideM, s.Arm.WideMm / 2, s.Design.Feet.Bolt, "foot");
            foreach (var side in new[] { -1, 1 })
                Drill("A", middle + side * 500 * frame.BaseWideM, s.Arm.WideMm / 2, f.Size, "to what carries it");
        }
        return holes;
    }

    private static IEnumerable<double> Rows(MountSetting s) => MountFrame.Rows(s).Select(y => 1000 * y);
}
