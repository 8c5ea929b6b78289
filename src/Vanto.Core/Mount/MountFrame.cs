namespace Vanto.Core.Mount;

/// <summary>Parts of a mount that are judged.</summary>
public enum MountElement
{
    [Quantities.Called("arm")] Arm, [Quantities.Called("strut")] Strut, [Quantities.Called("weld at the wall")] Weld,
    [Quantities.Called("fasteners")] Fastener, [Quantities.Called("what they are fixed in")] Holder, [Quantities.Called("bolts of the feet")] FootBolt,
    [Quantities.Called("rail")] Rail, [Quantities.Called("leg")] Leg, [Quantities.Called("slab against tipping")] Tipping,
    [Quantities.Called("slab against sliding")] Sliding, [Quantities.Called("railing")] Railing, [Quantities.Called("safety cable")] Cable,
    [Quantities.Called("tow bar")] TowBar, [Quantities.Called("bar in the receiver")] Receiver,
}

/// <summary>What a part is asked in one case, of what it bears.</summary>
/// <param name="Element">Which part.</param>
/// <param name="Used">Share of what it bears; over 1 it does not.</param>
/// <param name="Case">In which case.</param>
/// <param name="How">How it would give way.</param>
/// <param name="Asked">Its load effect with the factor.</param>
/// <param name="Bears">What it bears, in the same unit.</param>
/// <param name="Unit">N, N·m or MPa.</param>
public sealed record MountPart(MountElement Element, double Used, string Case, string How, double Asked, double Bears, string Unit)
{
    /// <summary>From here on a part is said to be near its limit; product's own choice.</summary>
    public const double NearAt = 0.8;

    /// <summary>It bears, with little to spare.</summary>
    public bool Near => Used is > NearAt and <= 1;

    /// <summary>The part in words.</summary>
    public string Name => Quantities.Calls.Name(Element);
}

/// <summary>What a fastener is asked and bears, N.</summary>
public sealed record FastenerBears(double PullN, double ShearN, double GroundPullN, double GroundShearN, string GroundHow);

/// <summary>Judges a mount part by part and case by case: used = factor × load effect ÷ design strength. Statics; the mixture of partial factors is the
/// product's own and stands below an engineer's.</summary>
public static class MountFrame
{
    private const double ConcreteFriction = 0.4;
    private const double Stability = 1.5;
    private const double RowEdgeM = 0.03;
    private const double ReceiverMm = 50.8;
    private const double ReceiverWallMm = 6.35;

    /// <summary>Every part, with the case that asks most of it; the most used first.</summary>
    public static IReadOnlyList<MountPart> Judge(MountSetting s, IReadOnlyList<LoadCase> cases) =>
        [.. cases.SelectMany(c => OfCase(s, c)).GroupBy(p => p.Element).Select(g => g.MaxBy(p => p.Used)!).OrderByDescending(p => p.Used)];

    private static IEnumerable<MountPart> OfCase(MountSetting s, LoadCase c) => (s.Kind switch
    {
        MountKind.Braced or MountKind.Plain => OnArms(s, c),
        MountKind.Pad => OnPad(s, c),
        MountKind.Railing or MountKind.Window => OnRailing(s, c),
        MountKind.TowBar => OnTowBar(s, c),
        MountKind.Clamp => OnClamp(s, c),
        _ => OnBase(s, c),
    }).Concat(s.Kind == MountKind.Clamp ? [] : Feet(s, c));

    /// <summary>Feet of the unit on what carries it.</summary>
    public static FourFeet Reactions(MountSetting s, LoadCase c) =>
        FourFeet.Of(c.Force, s.FeetDeepM, s.FeetWideM, 0, s.Design.Feet.OffM, s.HighM);

    private static IEnumerable<MountPart> Feet(MountSetting s, LoadCase c)
    {
        var feet = Reactions(s, c);
        var (pull, shear) = BoltBears(s.Design.Feet.Bolt, s.Design.Fixing.Grade);
        var asked = c.Factor * Math.Max(0, -feet.Least);
        yield return new MountPart(MountElement.FootBolt, Bolt.Used(c.Factor * feet.ShearN, asked, shear, pull), c.Name,
            asked > 0 ? "pull and shear" : "shear", Math.Max(asked, c.Factor * feet.ShearN), asked > 0 ? pull : shear, "N");
    }

    private static (double Pull, double Shear) BoltBears(BoltSize size, BoltClass grade)
    {
        var (ultimate, _, share) = Bolt.Strength(grade);
        var area = Bolt.StressMm2(Bolt.Mm(size), Bolt.PitchMm(size));
        return (Bolt.TensionN(ultimate, area), Bolt.ShearN(ultimate, share, area));
    }

    private static IEnumerable<MountPart> OnArms(MountSetting s, LoadCase c)
    {
        var (frame, metal) = (s.Design.Frame, s.Metal);
        var feet = Reactions(s, c);
        var (rear, front) = s.FeetAt;
        var mean = (rear + front) / 2;
        var sideMoment = Math.Abs(c.Force.Y) / 2 * mean;
        var pair = Math.Abs(c.Force.Y) * mean / s.FeetWideM;
        var outwards = Math.Max(0, c.Force.X) / 2 + pair;
        MountPart? arm = null, strut = null, weld = null, fastener = null, ground = null;
        foreach (var (r, f) in new[] { (feet.RearLeft, feet.FrontLeft), (feet.RearRight, feet.FrontRight) })
        {
            BeamLoad[] loads = [new(r, rear), new(f, front)];
            var force = r + f;
            var moment = Beam.RootMoment(loads);
            var braced = s.Kind == MountKind.Braced ? BracedArm.Of(loads, frame.StrutOutM, frame.StrutDownM) : null;
            var armMoment = braced?.MomentNm ?? Math.Abs(moment);
            var axial = (braced is null ? 0 : Math.Abs(braced.PullN)) + Math.Abs(c.Force.X) / 2 + pair;
            var section = s.Arm.Section;
            var stress = c.Factor * (1000 * armMoment / section.SxMm3 + 1000 * sideMoment / section.SyMm3 + axial / section.AreaMm2);
            Take(ref arm, new MountPart(MountElement.Arm, stress * Beam.YieldPart / metal.WeldedYieldMPa, c.Name, "bending", stress,
                metal.WeldedYieldMPa / Beam.YieldPart, "MPa"));
            if (braced is not null)
            {
                var column = Column.Of(s.Strut.Section, braced.StrutM, metal.ElasticGPa, metal.WeldedYieldMPa);
                var bears = braced.StrutN >= 0 ? column.BearsN(s.Strut.Section) : s.Strut.Section.AreaMm2 * metal.WeldedYieldMPa / Beam.YieldPart;
                Take(ref strut, new MountPart(MountElement.Strut, c.Factor * Math.Abs(braced.StrutN) / bears, c.Name,
                    braced.StrutN >= 0 ? "buckling" : "pull", c.Factor * Math.Abs(braced.StrutN), bears, "N"));
            }
            var seam = braced is null
                ? WeldStress.Round(1000 * frame.WeldM, s.Arm.WideMm, s.Arm.HighMm, force, armMoment)
                : WeldStress.Round(1000 * frame.WeldM, s.Arm.WideMm, s.Arm.HighMm, Math.Sqrt(braced.TopN * braced.TopN + axial * axial), 0);
            var side = WeldStress.Round(1000 * frame.WeldM, s.Arm.HighMm, s.Arm.WideMm, 0, sideMoment);
            var welded = c.Factor * (seam.TotalMPa + side.TotalMPa);
            Take(ref weld, new MountPart(MountElement.Weld, welded / WeldStress.BearsMPa(metal), c.Name, "throat", welded, WeldStress.BearsMPa(metal), "MPa"));
            var fixing = s.Design.Fixing;
            var count = fixing.InRow * fixing.Rows;
            var rowsPull = braced is not null ? Math.Abs(braced.PullN)
                : BoltGroup.Pull(Rows(s), Math.Abs(moment)).Max();
            var pull = c.Factor * (rowsPull + outwards) / fixing.InRow;
            var shear = c.Factor * Math.Sqrt(force * force + c.Force.Y * c.Force.Y / 4) / count;
            foreach (var p in Held(s, c.Name, pull, shear))
                if (p.Element == MountElement.Fastener)
                    Take(ref fastener, p);
                else
                    Take(ref ground, p);
        }
        return new[] { arm, strut, weld, fastener, ground }.OfType<MountPart>();
    }

    private static void Take(ref MountPart? worst, MountPart next)
    {
        if (worst is null || next.Used > worst.Used)
            worst = next;
    }

    /// <summary>Heights of the rows of fasteners above the pressed edge of a plate, m.</summary>
    public static IReadOnlyList<double> Rows(MountSetting s)
    {
        var (plate, rows) = (s.Design.Frame.PlateM, s.Design.Fixing.Rows);
        var edge = Math.Min(RowEdgeM, plate / 4);
        return [.. Enumerable.Range(0, rows).Select(i => edge + i * (plate - 2 * edge) / (rows - 1))];
    }

    /// <summary>Nobody has typed what its anchors or rivet nuts bear.</summary>
    public static bool Unrated(MountSetting s) => s.How is FixingKind.Anchor or FixingKind.RivetNut && s.Design.Fixing.PullN is null;

    /// <summary>One fastener and what it sits in; nothing where no rating is typed.</summary>
    private static IEnumerable<MountPart> Held(MountSetting s, string name, double pull, double shear)
    {
        if (Unrated(s))
            yield break;
        var bears = Bears(s);
        var both = Math.Sqrt(pull * pull + shear * shear);
        var used = s.How switch
        {
            FixingKind.Lag => both / WoodFastener.Together(bears.PullN, bears.ShearN, Math.Max(pull, 1e-9), shear),
            FixingKind.Anchor => MasonryAnchor.Used(pull / bears.PullN, shear / bears.ShearN),
            _ => Bolt.Used(shear, pull, bears.ShearN, bears.PullN),
        };
        yield return new MountPart(MountElement.Fastener, used, name, pull > 0 ? "pull and shear" : "shear", both, both / Math.Max(used, 1e-9), "N");
        if (bears.GroundPullN <= 0)
            yield break;
        var (p, h) = (pull / bears.GroundPullN, shear / bears.GroundShearN);
        yield return new MountPart(MountElement.Holder, p + h, name, p > h ? bears.GroundHow : "bearing", p > h ? pull : shear,
            p > h ? bears.GroundPullN : bears.GroundShearN, "N");
    }

    private const double InchPerM = 1 / 0.0254;

    /// <summary>What one fastener bears, and the metal or laminate round it where that can give way.</summary>
    public static FastenerBears Bears(MountSetting s)
    {
        var f = s.Design.Fixing;
        var mm = Bolt.Mm(f.Size);
        var (boltPull, boltShear) = BoltBears(f.Size, f.Grade);
        var rib = MetalFigures.Of(f.RibMetal);
        var ribMm = 1000 * f.RibM;
        switch (s.How)
        {
            case FixingKind.Lag:
                var (inch, gravity) = (mm / 25.4, WoodFastener.Gravity(f.Wood));
                var root = WoodFastener.LagRoot(inch);
                var side = Math.Max(0.03, s.Arm.WallMm / 25.4);
                var (lbf, _) = WoodFastener.Lateral(inch, root, f.ThreadM * InchPerM, side, gravity, true,
                    inch < 0.28 ? 70000 : inch < 0.35 ? 60000 : 45000);
                return new FastenerBears(WoodFastener.LagPullN(gravity, inch, f.ThreadM * InchPerM), WoodFastener.ShearN(lbf), 0, 0, "");
            case FixingKind.SheetScrew:
                var aluminium = f.RibMetal is MountMetal.Aluminium6061 or MountMetal.Aluminium5083;
                var out_ = aluminium ? SheetFastener.AluminiumPullOutN(ribMm, mm, rib.YieldMPa) : SheetFastener.PullOutN(ribMm, mm, rib.UltimateMPa);
                return new FastenerBears(SheetFastener.Design(out_),
                    SheetFastener.Design(SheetFastener.ShearN(s.Arm.WallMm, ribMm, mm, rib.UltimateMPa)), 0, 0, "");
            case FixingKind.RivetNut or FixingKind.Anchor:
                var apart = s.How == FixingKind.Anchor ? MasonryAnchor.Spacing(f.ApartM, f.CriticalApartM) * MasonryAnchor.Edge(f.EdgeM + f.ApartM / 2,
                    f.CriticalEdgeM) : 1;
                var pull = MasonryAnchor.Design(f.PullN ?? 0, f.Rating) * apart;
                return new FastenerBears(pull, MasonryAnchor.Design(f.ShearN ?? f.PullN ?? 0, f.Rating) * apart, 0, 0, "");
            default:
                if (s.Into == FixedTo.Laminate)
                    return new FastenerBears(boltPull, boltShear, Laminate.PullThroughN(4 * 1000 * f.BackingM, 1000 * f.SkinM) / Laminate.Part,
                        Laminate.BearingMPa * mm * 1000 * f.SkinM / Laminate.Part, "pull through the laminate");
                if (s.Into is FixedTo.Studs or FixedTo.Masonry)
                    return new FastenerBears(boltPull, boltShear, 0, 0, "");
                var edge = 1000 * f.EdgeM;
                return new FastenerBears(boltPull, boltShear,
                    SheetFastener.Design(SheetFastener.PullOverN(ribMm, 1000 * f.BackingM, rib.UltimateMPa)),
                    Math.Max(1, Bolt.BearingN(mm, Bolt.HoleMm(f.Size), ribMm, rib.UltimateMPa, Bolt.Strength(f.Grade).UltimateMPa, edge, edge)),
                    "pull through the metal");
        }
    }

    /// <summary>The roof is held between the unit and its inner frame: the clamp's bolts take all of it.</summary>
    private static IEnumerable<MountPart> OnClamp(MountSetting s, LoadCase c)
    {
        var at = FourFeet.Of(c.Force, s.FeetDeepM, s.FeetWideM, 0, s.Design.Feet.OffM, s.HighM);
        return Held(s, c.Name, c.Factor * Math.Max(0, -at.Least), c.Factor * at.ShearN).Where(p => p.Element == MountElement.Fastener);
    }

    private static IEnumerable<MountPart> OnBase(MountSetting s, LoadCase c)
    {
        var (frame, metal) = (s.Design.Frame, s.Metal);
        var stand = s.Kind is MountKind.RoofFrame or MountKind.DeckStand ? frame.StandM : 0;
        var hangs = s.Kind == MountKind.Cradle;
        var at = FourFeet.Of(c.Force, frame.BaseDeepM, frame.BaseWideM, 0, s.Design.Feet.OffM, hangs ? -(frame.StandM - s.HighM) : s.HighM + stand);
        var pull = c.Factor * Math.Max(0, hangs ? at.Most : -at.Least);
        foreach (var p in Held(s, c.Name, pull, c.Factor * at.ShearN))
            yield return p;
        var feet = Reactions(s, c);
        var span = frame.BaseWideM;
        var inset = Math.Max(0, (span - s.FeetWideM) / 2);
        var load = Math.Max(Math.Abs(feet.Most), Math.Abs(feet.Least));
        var moment = load * inset;
        var sideways = Math.Abs(c.Force.X) / 4 * inset;
        var bending = c.Factor * (1000 * moment / s.Arm.Section.SxMm3 + 1000 * sideways / s.Arm.Section.SyMm3);
        yield return new MountPart(MountElement.Rail, bending * Beam.YieldPart / metal.WeldedYieldMPa, c.Name, "bending", bending,
            metal.WeldedYieldMPa / Beam.YieldPart, "MPa");
        if (s.Kind is not (MountKind.DeckStand or MountKind.Cradle))
            yield break;
        var push = Math.Sqrt(c.Force.X * c.Force.X + c.Force.Y * c.Force.Y);
        var leg = Math.Max(Math.Abs(at.Most), Math.Abs(at.Least));
        var column = Column.Of(s.Strut.Section, Math.Max(frame.StandM, 0.01), metal.ElasticGPa, metal.WeldedYieldMPa, 2);
        var swayed = c.Factor * 1000 * push * frame.StandM / 4 / Math.Min(s.Strut.Section.SxMm3, s.Strut.Section.SyMm3);
        var pressed = c.Factor * leg / column.BearsN(s.Strut.Section);
        yield return new MountPart(MountElement.Leg, swayed * Beam.YieldPart / metal.WeldedYieldMPa + pressed, c.Name, "sway and weight",
            swayed + c.Factor * leg / s.Strut.Section.AreaMm2, metal.WeldedYieldMPa / Beam.YieldPart, "MPa");
    }

    private static IEnumerable<MountPart> OnPad(MountSetting s, LoadCase c)
    {
        var slab = s.Design.Slab;
        var own = Slab.Of(slab.LengthM, slab.WidthM, slab.ThickM, slab.Bag, slab.Waste, slab.SetsC).MassKg * Gravity.Standard;
        var push = Math.Sqrt(c.Force.X * c.Force.X + c.Force.Y * c.Force.Y);
        var down = own - c.Force.Z;
        if (push > 0)
        {
            yield return new MountPart(MountElement.Sliding, Stability * push / (ConcreteFriction * Math.Max(down, 1)), c.Name, "sliding", Stability * push,
                ConcreteFriction * down, "N");
            var tip = push * (s.HighM + slab.ThickM);
            yield return new MountPart(MountElement.Tipping, Stability * tip / Math.Max(down * Math.Min(slab.LengthM, slab.WidthM) / 2, 1), c.Name,
                "tipping", Stability * tip, down * Math.Min(slab.LengthM, slab.WidthM) / 2, "N·m");
        }
        var feet = Reactions(s, c);
        foreach (var p in Held(s, c.Name, c.Factor * Math.Max(0, -feet.Least), c.Factor * feet.ShearN))
            yield return p;
    }

    private static IEnumerable<MountPart> OnRailing(MountSetting s, LoadCase c)
    {
        var r = s.Design.Railing;
        var pull = c.Factor * (Math.Max(0, -c.Force.Z) * r.OutM / r.DownM + Math.Max(0, c.Force.X));
        if (r.MayN is { } may)
            yield return new MountPart(MountElement.Railing, pull / may, c.Name, "pulled outwards", pull, may, "N");
        var cable = 4 * s.MassKg * Gravity.Standard;
        yield return new MountPart(MountElement.Cable, cable / Math.Max(1, r.CableN), LoadCases.Standing, "four times the weight", cable, r.CableN, "N");
    }

    private static IEnumerable<MountPart> OnTowBar(MountSetting s, LoadCase c)
    {
        var road = s.Design.Road;
        var moment = c.Factor * Math.Sqrt(Math.Pow(c.Force.Z * road.PinM - c.Force.X * s.HighM, 2) + Math.Pow(c.Force.Y * road.PinM, 2));
        var twist = c.Factor * Math.Abs(c.Force.Y) * s.HighM;
        var stress = Equivalent(1000 * moment / ReceiverBar.SxMm3, Twisted(twist));
        yield return new MountPart(MountElement.Receiver, stress * Beam.YieldPart / MetalFigures.Of(MountMetal.Steel).YieldMPa, c.Name,
            "bending and twist", stress, MetalFigures.Of(MountMetal.Steel).YieldMPa / Beam.YieldPart, "MPa");
        if (road.TowBarKg is { } may)
            yield return new MountPart(MountElement.TowBar, Math.Max(s.MassKg / may, s.MassKg * road.PinM / (may * BallM)), LoadCases.Standing,
                "its rating at the ball", s.MassKg, may, "kg");
        foreach (var p in OnArmsLike(s, c))
            yield return p;
    }

    /// <summary>The ball stands so far behind the pin, m; common practice.</summary>
    private const double BallM = 0.25;

    /// <summary>The bar that goes into a receiver: 50.8 mm square, 6.35 mm thick.</summary>
    public static readonly Section ReceiverBar = Section.SharpTube(ReceiverMm, ReceiverMm, ReceiverWallMm);

    /// <summary>Shear of that bar by a twist, MPa: area within the wall's middle line.</summary>
    public static double Twisted(double momentNm) =>
        1000 * momentNm / (2 * (ReceiverMm - ReceiverWallMm) * (ReceiverMm - ReceiverWallMm) * ReceiverWallMm);

    /// <summary>Bending and shear together.</summary>
    public static double Equivalent(double bendingMPa, double shearMPa) => Math.Sqrt(bendingMPa * bendingMPa + 3 * shearMPa * shearMPa);

    /// <summary>Rails of a shelf carry the feet as cantilevers from the bar.</summary>
    private static IEnumerable<MountPart> OnArmsLike(MountSetting s, LoadCase c)
    {
        var feet = Reactions(s, c);
        var moment = Math.Max(Math.Abs(feet.Most), Math.Abs(feet.Least)) * s.FeetWideM / 2;
        var bending = c.Factor * 1000 * moment / s.Arm.Section.SxMm3;
        yield return new MountPart(MountElement.Rail, bending * Beam.YieldPart / s.Metal.WeldedYieldMPa, c.Name, "bending", bending,
            s.Metal.WeldedYieldMPa / Beam.YieldPart, "MPa");
    }
}
