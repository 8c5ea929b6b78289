using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Core.Mount;

/// <summary>What there is to say of a mount, its fixing, the vehicle or boat under it, and its slab.</summary>
internal sealed class MountFindings
{
    public required MountSetting S { get; init; }
    public required MountAssessment Result { get; init; }
    public required IReadOnlyList<LoadCase> Cases { get; init; }
    public required Deflection Bends { get; init; }
    public required UnitSheetDesign Sheet { get; init; }
    public required LayoutDesign Layout { get; init; }

    private MountDesign Design => S.Design;

    public IEnumerable<Finding> All()
    {
        var found = OfFrame().Concat(OfFixing()).Concat(OfMetals());
        if (S.Kind != MountKind.Clamp)
            found = found.Concat(OfFeet());
        if (S.Kind == MountKind.Pad)
            found = found.Concat(OfSlab());
        return S.Base switch { RigBase.Vehicle => found.Concat(OfRoad()), RigBase.Boat => found.Concat(OfBoat()), _ => found };
    }

    private DesignEdit Edit(Func<MountDesign, MountDesign> change) => DesignEdit.Of(Design, change);

    private DesignEdit EditFrame(Func<FrameDesign, FrameDesign> change) => Edit(m => m with { Frame = change(m.Frame) });

    private DesignEdit EditFixing(Func<FixingDesign, FixingDesign> change) => Edit(m => m with { Fixing = change(m.Fixing) });

    private static Finding Edge(Severity level, Phrase words) => Finding.Of(FindingCode.FixingEdge, level, words);

    private static Finding Thread(Severity level, Phrase words, IReadOnlyList<Remedy> ways) => Finding.Of(FindingCode.FixingThread, level, words, ways);

    private static Finding Axle(Severity level, Phrase words) => Finding.Of(FindingCode.RoadAxle, level, words);

    private static Finding High(Severity level, Phrase words) => Finding.Of(FindingCode.RoadHeight, level, words);

    private static Finding Ramp(Severity level, Phrase words) => Finding.Of(FindingCode.RoadRamp, level, words);

    private static Finding Roof(Severity level, Phrase words) => Finding.Of(FindingCode.RoadRoof, level, words);

    private static Finding Hull(Severity level, Phrase words) => Finding.Of(FindingCode.BoatHole, level, words);

    private static Finding Metals(Severity level, Phrase words, IReadOnlyList<Remedy> ways) => Finding.Of(FindingCode.MountMetals, level, words, ways);

    private const double Tired = 0.6;

    private IEnumerable<Finding> OfFrame()
    {
        foreach (var part in Result.Parts)
        {
            var held = part.Element is MountElement.Fastener or MountElement.Holder;
            if (part.Used > 1 && held)
                yield return Finding.Of(FindingCode.FixingOverloaded, Severity.Stop, Phrase.Of($"{Called(part)}: {Amount(part.Asked, part.Unit)} asked, "
                    + $"{Amount(part.Bears, part.Unit)} borne; {part.Case}, {part.How}."), Stronger());
            else if (part.Used > 1)
                yield return Finding.Of(FindingCode.MountOverloaded, Severity.Stop, Phrase.Of($"{Called(part)}: {Amount(part.Asked, part.Unit)} asked, "
                    + $"{Amount(part.Bears, part.Unit)} borne; {part.Case}, {part.How}."), Mended(part.Element));
            else if (part.Near)
                yield return Finding.Of(FindingCode.MountNear, Severity.Note, Phrase.Of($"{Called(part)} is at {part.Used:Fraction}: {part.Case}."));
        }
        if (Result.Parts.Any(p => p.Used > 1 && p.Element is MountElement.Arm or MountElement.Rail or MountElement.Strut or MountElement.Leg)
            && (Result.Lightest.Arm is null || Result.Lightest is { Strut: null, Short: not null }))
            yield return Finding.Of(FindingCode.MountNothingPasses, Severity.Stop, Phrase.Of($"No profile on the list passes: "
                + $"{Result.Lightest.Short?.Case ?? "bending"} asks too much. Shorten the arm, lengthen the strut, or carry the unit otherwise."));
        if (!Bends.Keeps)
            yield return Finding.Of(FindingCode.MountBends, Severity.Caution, Phrase.Of($"Under the unit alone it gives {Bends.TipM:SmallLength}; "
                + $"{Bends.LimitM:SmallLength} is what it may."), Heavier(m => Deflection.Of(m).Keeps));
        if (S.Base == RigBase.Vehicle && S.OnArms && Result.Parts.FirstOrDefault(p => p.Element == MountElement.Weld) is { Used: > Tired } weld)
            yield return Finding.Of(FindingCode.MountTired, Severity.Caution, Phrase.Of($"The weld is at {weld.Used:Fraction} in the shocks of the road: welds "
                + $"crack under what comes again and again. Below {Tired:Fraction} they last."), Heavier(Lasts));
        if (S.Kind == MountKind.Braced)
        {
            if (Slenderness(S) > Column.Slender)
                yield return Finding.Of(FindingCode.MountSlender, Severity.Caution, Phrase.Of($"The strut is {Slenderness(S):Count} times as long as its "
                    + $"section is stiff; more than {Column.Slender:Count} shakes."), Heavier(m => Slenderness(m) <= Column.Slender));
        }
        if (S.OnArms)
            foreach (var f in OfSlots())
                yield return f;
        if (1000 * Design.Frame.WeldM is var leg && S.OnArms && (leg > S.Arm.WallMm + 1e-9 || leg < Math.Min(3, S.Arm.WallMm) - 1e-9))
            yield return Finding.Of(FindingCode.MountWeld, Severity.Caution,
                Phrase.Of($"A weld of {Design.Frame.WeldM:SmallLength} on a wall of {S.Arm.WallMm / 1000:SmallLength}: "
                + $"no thicker than the thinner part, no thinner than 3 mm or that part."),
                [new Remedy(Phrase.Of($"as thick as the wall"), Phrase.Of($"{S.Arm.WallMm / 1000:SmallLength}"),
                    EditFrame(f => f with { WeldM = S.Arm.WallMm / 1000 }))]);
        if (S.Base != RigBase.Vehicle && Design.Bear.GustMs is null && !S.Hangs)
            yield return Finding.Of(FindingCode.MountGust, Severity.Note, Phrase.Of($"Wind where it stands is not judged: type the gust of the local code."));
        if (S.MassKg > TwoPeopleKg || S.OnRoof && S.MassKg > AloneUpKg)
            yield return Finding.Of(FindingCode.MountLift, Severity.Note, S.MassKg > HoistKg || S.OnRoof
                ? Phrase.Of($"{S.MassKg:Mass}: up by hoist, mount first, unit after; nobody below.")
                : Phrase.Of($"{S.MassKg:Mass}: two people lift it; mount first, unit after."));
        if (S.Hangs && Design.Railing.MayN is null)
            yield return Finding.Of(FindingCode.RailingUnrated, Severity.Caution,
                Phrase.Of($"Nobody has typed what the {(S.Kind == MountKind.Window ? "sash" : "railing")} may be "
                + $"pulled: {(S.Kind == MountKind.Window ? "windows are made for wind" : "guards are made for people")}, "
                + $"and mostly nothing is left for things. It pulls {4 * S.MassKg * Gravity.Standard * Design.Railing.OutM
                    / Design.Railing.DownM:Force}."));
    }

    /// <summary>More than this two people lift: load constant of the NIOSH equation of 1991.</summary>
    private const double TwoPeopleKg = 23;

    private const double AloneUpKg = 10;
    private const double HoistKg = 40;

    /// <summary>A load in the unit of its kind.</summary>
    private static Phrase Amount(double value, string unit) => unit switch
    {
        "MPa" => Phrase.Of($"{1e6 * value:Stress}"),
        "N·m" => Phrase.Of($"{value:Torque}"),
        "kg" => Phrase.Of($"{value:Mass}"),
        _ => Phrase.Of($"{value:Force}"),
    };

    private static Phrase Called(MountPart part)
    {
        var name = Calls.Name(part.Element);
        return Phrase.Of($"{char.ToUpperInvariant(name[0])}{name[1..]}");
    }

    private static double Slenderness(MountSetting s) =>
        1000 * Math.Sqrt(Math.Pow(s.Design.Frame.StrutOutM, 2) + Math.Pow(s.Design.Frame.StrutDownM, 2)) / s.Strut.Section.RMinMm;

    /// <summary>Its weld stays below what shocks that come again and again wear out.</summary>
    private bool Lasts(MountSetting s) => MountFrame.Judge(s, Cases).All(p => p.Element != MountElement.Weld || p.Used <= Tired);

    /// <summary>What mends a part that does not bear.</summary>
    private List<Remedy> Mended(MountElement element)
    {
        bool Holds(MountSetting s) => MountFrame.Judge(s, Cases).All(p => p.Element != element || p.Used <= 1);
        return element switch
        {
            MountElement.FootBolt => First(Phrase.Of($"thicker bolts"), Enum.GetValues<BoltSize>().Where(z => z > Design.Feet.Bolt).Select(z =>
                (Phrase.Of($"{Calls.Name(z)}"), Design with { Feet = Design.Feet with { Bolt = z } })), Holds),
            MountElement.Tipping or MountElement.Sliding => First(Phrase.Of($"a larger slab"), LargerSlabs(), Holds),
            MountElement.Cable => First(Phrase.Of($"a stronger cable"), [(Phrase.Of($"{CableN:Force}"), Design with
            {
                Railing = Design.Railing with { CableN = CableN },
            })], Holds),
            MountElement.Railing or MountElement.TowBar or MountElement.Receiver => [],
            _ => Heavier(Holds),
        };
    }

    /// <summary>What the safety cable must bear, rounded up to hundreds.</summary>
    private double CableN => 100 * Math.Ceiling(4 * S.MassKg * Gravity.Standard / 100);

    private IEnumerable<(Phrase, MountDesign)> LargerSlabs()
    {
        var slab = Design.Slab;
        foreach (var side in new[] { 0.8, 1.0, 1.2, 1.5, 2.0 })
            foreach (var thick in new[] { 0.10, 0.15, 0.20, 0.30 })
                if (side >= Math.Max(slab.WidthM, slab.LengthM) && thick >= slab.ThickM)
                    yield return (Phrase.Of($"{side:Length} square, {thick:SmallLength} thick"), Design with
                    {
                        Slab = slab with { LengthM = side, WidthM = side, ThickM = thick },
                    });
    }

    /// <summary>The first of some designs that mends it.</summary>
    private List<Remedy> First(Phrase label, IEnumerable<(Phrase Note, MountDesign Design)> tried, Func<MountSetting, bool> mends) =>
        [.. tried.Where(t => mends(S with { Design = t.Design })).Take(1).Select(t => new Remedy(label, t.Note, Edit(_ => t.Design)))];

    /// <summary>The lightest profiles that pass in every case and mend it.</summary>
    private List<Remedy> Heavier(Func<MountSetting, bool> mends)
    {
        if (Result.Lightest is not { MassKg: > 0, Arm: { } arm } light)
            return [];
        var strut = light.Strut ?? Design.Frame.Strut;
        var arms = LightestMount.ByWeight.SkipWhile(p => p != arm);
        var struts = light.Strut is null ? [strut] : LightestMount.ByWeight.SkipWhile(p => p != strut);
        return First(Phrase.Of($"heavier profiles"), from a in arms
                                                     from s in struts
                                                     let frame = Design.Frame.Of(a) with { Strut = s }
                                                     select (Phrase.Of($"{Calls.Name(a)}{(light.Strut is null ? "" : " and " + Calls.Name(s))}"),
                                                         Design with { Frame = frame }), mends);
    }

    /// <summary>Bigger, more, or a larger plate: the first of each that passes.</summary>
    private List<Remedy> Stronger()
    {
        var ways = new List<Remedy>();
        void Try(Phrase label, Func<FixingDesign, IEnumerable<(Phrase, FixingDesign)>> kinds)
        {
            foreach (var (note, fixing) in kinds(Design.Fixing))
                if (MountFrame.Judge(S with { Design = Design with { Fixing = fixing } }, Cases)
                    .Where(p => p.Element is MountElement.Fastener or MountElement.Holder).All(p => p.Used <= 1))
                {
                    ways.Add(new Remedy(label, note, EditFixing(_ => fixing)));
                    return;
                }
        }

        Try(Phrase.Of($"thicker"), f => Enum.GetValues<BoltSize>().Where(z => z > f.Size).Select(z => (Phrase.Of($"{Calls.Name(z)}"), f with { Size = z })));
        if (S.OnArms)
            Try(Phrase.Of($"more of them"), f => Enumerable.Range(f.InRow + 1, Math.Max(0, 6 - f.InRow)).Select(n =>
                (Phrase.Of($"{n} at each height"), f with { InRow = n })));
        if (S.How == FixingKind.Through)
            Try(Phrase.Of($"larger backing plates"), f => new[] { 0.08, 0.10, 0.15, 0.20, 0.30 }.Where(b => b > f.BackingM)
                .Select(b => (Phrase.Of($"{b:SmallLength} across"), f with { BackingM = b })));
        if (S.How == FixingKind.Lag)
            Try(Phrase.Of($"longer"), f => new[] { 0.06, 0.075, 0.1 }.Where(t => t > f.ThreadM).Select(t =>
                (Phrase.Of($"{t:SmallLength} of thread in the wood"), f with { ThreadM = t })));
        return ways;
    }

    private IEnumerable<Finding> OfSlots()
    {
        var frame = Design.Frame;
        var fit = FeetFit.Of(S.FeetDeepM, S.OffM, (S.DepthM - S.FeetDeepM) / 2, frame.SlotFromM, Math.Min(frame.SlotToM, frame.ArmM));
        if (fit.MissingM > 1e-9)
        {
            var to = Math.Round(S.FeetAt.Front + 0.02, 3, MidpointRounding.AwayFromZero);
            yield return Finding.Of(FindingCode.MountFeet, Severity.Stop, Phrase.Of($"The feet do not fall into the slots: with {S.OffM:SmallLength} free "
                + $"behind the unit they are {fit.MissingM:SmallLength} short."), [new Remedy(Phrase.Of($"longer arms"),
                    Phrase.Of($"slots to {to:SmallLength}"),
                    EditFrame(f => f with { SlotToM = to, ArmM = Math.Max(f.ArmM, to + 0.02) }))]);
        }
        if (Sheet.Outdoor.SlotM is { } slot && slot < Bolt.Mm(Design.Feet.Bolt) / 1000 + 0.001)
            yield return Finding.Of(FindingCode.MountFootHole, Severity.Caution, Phrase.Of($"{Calls.Name(Design.Feet.Bolt)} does not pass the foot's slot of "
                + $"{slot:SmallLength} with room to spare."));
    }

    private IEnumerable<Finding> OfFixing()
    {
        var f = Design.Fixing;
        if (S.Into == FixedTo.Skin && !S.Hangs)
            yield return Finding.Of(FindingCode.FixingSkin, Severity.Stop,
                Phrase.Of($"The skin of a vehicle alone never carries an outdoor unit: ribs, or bolts "
                + $"right through with backing plates over ribs."), [new Remedy(Phrase.Of($"into the ribs"), Phrase.Of($"bolts right through"),
                EditFixing(x => x with { Into = FixedTo.Ribs, How = FixingKind.Through }))]);
        else if (S.Kind is not (MountKind.Railing or MountKind.Window or MountKind.TowBar or MountKind.Clamp) && !MountSetting.Holds(S.How, S.Into))
            yield return Finding.Of(FindingCode.FixingWrong, Severity.Stop,
                Phrase.Of($"{Calls.Name(S.How)} are not made for {Calls.Name(S.Into)}."),
                [new Remedy(Phrase.Of($"what it asks for"), Phrase.Of($"{Calls.Name(MountSetting.For(S.Into))}"),
                    EditFixing(x => x with { How = FixingKind.ByWall }))]);
        if (S.Kind is MountKind.Railing or MountKind.Window or MountKind.TowBar or MountKind.Clamp)
            yield break;
        var stands = S.Kind == MountKind.Pad;
        if (MountFrame.Unrated(S) && !stands)
            yield return Finding.Of(FindingCode.FixingUnrated, Severity.Stop, Phrase.Of($"Nobody has typed what the {Calls.Name(S.How)} bear in this wall; "
                + $"a figure for another wall does not count."));
        var mm = Bolt.Mm(f.Size);
        if (S.How == FixingKind.Lag)
        {
            var times = 1000 * f.ThreadM / mm;
            List<Remedy> longer = [new Remedy(Phrase.Of($"longer screws"), Phrase.Of($"{10 * mm / 1000:SmallLength} in the wood"),
                EditFixing(x => x with { ThreadM = 10 * mm / 1000 }))];
            if (times < 4)
                yield return Thread(Severity.Stop, Phrase.Of($"{f.ThreadM:SmallLength} of thread in the wood is {times:Ratio} diameters: it holds nothing "
                    + $"that can be counted on."), longer);
            else if (times < 8)
                yield return Thread(Severity.Caution, Phrase.Of($"{f.ThreadM:SmallLength} of thread in the wood is {times:Ratio} diameters; eight are usual."),
                    longer);
        }
        var wants = S.Into switch { FixedTo.Laminate => 3, FixedTo.Studs => 4, _ => f.RibMetal is MountMetal.Steel or MountMetal.Stainless ? 1.5 : 2 };
        if (S.How is not FixingKind.Anchor && !stands)
        {
            if (1000 * f.EdgeM < 1.2 * mm)
                yield return Edge(Severity.Stop, Phrase.Of($"{f.EdgeM:SmallLength} to the edge tears out; {wants * mm / 1000:SmallLength} at least."));
            else if (1000 * f.EdgeM < wants * mm)
                yield return Edge(Severity.Caution, Phrase.Of($"{f.EdgeM:SmallLength} to the edge; {wants * mm / 1000:SmallLength} is wanted."));
        }
        var wall = Result.Workshop.Holes.Where(h => h.Part == "B").OrderBy(h => h.Y).ToList();
        if (S.OnArms && wall.Zip(wall.Skip(1), (a, b) => (Apart: b.Y - a.Y, Drill: a.DrillMm)).Where(p => p.Apart < CutList.LeastApartHoles * p.Drill)
            .Select(p => (double?)p.Apart).Min() is { } near)
            yield return Finding.Of(FindingCode.FixingCrowded, Severity.Caution,
                Phrase.Of($"Holes {near / 1000:SmallLength} apart tear into one another: fewer, "
                + $"thinner, or a longer upright."));
        if (S.OnArms && 2 * f.InRow * f.Rows < 4)
            yield return Finding.Of(FindingCode.FixingFew, Severity.Caution, Phrase.Of($"Fewer than four fasteners for the unit."));
        if (S.Base == RigBase.Vehicle && !f.Locked)
            yield return Finding.Of(FindingCode.FixingLoose, Severity.Caution, Phrase.Of($"Nothing keeps the nuts on: the road shakes them loose."),
                [new Remedy(Phrase.Of($"lock them"), Phrase.Of($"spring washers or locking nuts"), EditFixing(x => x with { Locked = true }))]);
        if (S is { Into: FixedTo.Laminate, How: FixingKind.Through } && f is { Core: true, Sleeved: false })
        {
            var preload = Bolt.PreloadN(Bolt.Strength(f.Grade).ProofMPa, Bolt.StressMm2(mm, Bolt.PitchMm(f.Size)));
            var pressure = Laminate.CoreMPa(preload, Math.Max(1000 * f.BackingM, Bolt.WasherMm(f.Size)), Bolt.HoleMm(f.Size));
            if (pressure > f.CorePa / 1e6 / 1.5)
                yield return Finding.Of(FindingCode.FixingCore, Severity.Stop,
                    Phrase.Of($"Tightened, the bolt presses the core with {1e6 * pressure:Stress}; it bears {f.CorePa:Stress}."),
                    [new Remedy(Phrase.Of($"sleeves as long as the panel is thick"), Phrase.Of($"core sealed"),
                        EditFixing(x => x with { Sleeved = true }))]);
        }
        if (Result.Landing is { } landing && !f.Spreader && landing.Fit.Landed < landing.Columns.Count)
            yield return Finding.Of(FindingCode.FixingMisses, Severity.Stop, Phrase.Of($"{landing.Columns.Count - landing.Fit.Landed} of "
                + $"{landing.Columns.Count} arms stand between the {(S.Into == FixedTo.Studs ? "studs" : "ribs")}, even moved by {f.ShiftM:SmallLength}."),
                [new Remedy(Phrase.Of($"rails across them"), Phrase.Of($"each on two {(S.Into == FixedTo.Studs ? "studs" : "ribs")}"),
                    EditFixing(x => x with { Spreader = true }))]);
    }

    private static readonly (double From, double To) BodyMoves = (1, 4);
    private static readonly (double From, double To) WheelsHop = (8, 15);

    private IEnumerable<Finding> OfFeet()
    {
        var (shake, feet) = (Result.Vibration, Design.Feet);
        var soft = Softer();
        if (shake.OwnHz >= feet.FromHz && shake.OwnHz <= feet.ToHz || shake.LowestRatio < Math.Sqrt(2))
            yield return Finding.Of(FindingCode.FeetHum, Severity.Caution, Phrase.Of($"On its feet the unit swings at {shake.OwnHz:Frequency}, the compressor "
                + $"turns from {feet.FromHz:Frequency}: {shake.PassedAtLowest:Fraction} of its shaking passes, the mount hums."), soft);
        else if (shake.LowestRatio < Vibration.Wanted)
            yield return Finding.Of(FindingCode.FeetFirm, Severity.Note,
                Phrase.Of($"{shake.PassedAtLowest:Fraction} of the shaking passes at the lowest speed; "
                + $"softer feet keep it off."), soft);
        if (S.Base == RigBase.Vehicle && !feet.Captive)
            yield return Finding.Of(FindingCode.FeetCaptive, Severity.Stop,
                Phrase.Of($"If a rubber foot tears, the unit leaves the vehicle: a bolt right through "
                + $"it holds."), [new Remedy(Phrase.Of($"bolts right through"), Phrase.Of($"captive feet"), Edit(m => m with
                { Feet = m.Feet with { Captive = true } }))]);
        if (S.Base == RigBase.Vehicle && (shake.OwnHz >= BodyMoves.From && shake.OwnHz <= BodyMoves.To
            || shake.OwnHz >= WheelsHop.From && shake.OwnHz <= WheelsHop.To))
            yield return Finding.Of(FindingCode.FeetRoad, Severity.Caution,
                Phrase.Of($"{shake.OwnHz:Frequency} is where a vehicle's {(shake.OwnHz <= BodyMoves.To ? "body moves" : "wheels hop")}: the unit dances on its "
                + $"feet."));
    }

    /// <summary>Feet with which it neither hums nor dances.</summary>
    private List<Remedy> Softer()
    {
        foreach (var stiff in new[] { 60e3, 30e3, 20e3, 12e3, 8e3, 5e3 }.Where(k => k < Design.Feet.EachNm))
        {
            var with = Vibration.Of(S.MassKg, 4, stiff, Design.Feet.Damping, Bends.StiffnessNm, Design.Feet.FromHz, Design.Feet.ToHz);
            if (with.LowestRatio >= Vibration.Wanted && !(S.Base == RigBase.Vehicle && with.OwnHz >= WheelsHop.From && with.OwnHz <= WheelsHop.To))
                return [new Remedy(Phrase.Of($"softer feet"), Phrase.Of($"{stiff:Stiffness} each, {with.OwnHz:Frequency}"),
                    Edit(m => m with { Feet = m.Feet with { EachNm = stiff } }))];
        }
        return [];
    }

    private IEnumerable<Finding> OfMetals()
    {
        if (GalvanicPair.Of(Design.Frame.Surface, Design.Frame.Skin) is not { } pair)
            yield break;
        var salt = S.Salt || S.Base == RigBase.Boat;
        List<Remedy> apart = [new Remedy(Phrase.Of($"keep them apart"), Phrase.Of($"plastic sleeves and washers, sealant under the heads"),
            EditFrame(f => f with { Skin = TouchingMetal.None }))];
        var eaten = Calls.Name(pair.FirstGoes ? Design.Frame.Surface : Design.Frame.Skin);
        var words = Phrase.Of($"{Calls.Name(Design.Frame.Surface)} on {Calls.Name(Design.Frame.Skin)}: {pair.Volts:Ratio} V apart, the {eaten} is eaten.");
        if (salt && pair.Volts > GalvanicPair.OutdoorsV)
            yield return Metals(Severity.Stop, words, apart);
        else if (pair.Volts > (salt ? GalvanicPair.SaltV : GalvanicPair.OutdoorsV))
            yield return Metals(Severity.Caution, words, apart);
    }

    private const double ThinM = 0.075;
    private const double LowM = 0.076;

    private IEnumerable<Finding> OfSlab()
    {
        var slab = Design.Slab;
        if (slab.TopM < LowM)
            yield return Finding.Of(FindingCode.SlabLow, Severity.Caution, Phrase.Of($"Its top is {slab.TopM:SmallLength} above the ground; {LowM:SmallLength} "
                + $"keeps water and leaves out, snow and flood ask more."));
        if (!slab.Cast || Result.Slab is not { } made)
            yield break;
        if (slab.ThickM < ThinM)
            yield return Finding.Of(FindingCode.SlabThin, Severity.Caution, Phrase.Of($"{slab.ThickM:SmallLength} of concrete cracks; {ThinM:SmallLength} at "
                + $"least."), [new Remedy(Phrase.Of($"thicker"), Phrase.Of($"{0.1:SmallLength}"), Edit(m => m with { Slab = m.Slab with { ThickM = 0.1 } }))]);
        if (slab.SetsC < Slab.ColdestC)
            yield return Finding.Of(FindingCode.SlabCold, Severity.Stop, Phrase.Of($"Concrete does not set at {slab.SetsC:Temperature}: wait for "
                + $"{Slab.ColdestC:Temperature} or keep it warm."));
        else if (slab.Days < made.WaitDays)
            yield return Finding.Of(FindingCode.SlabWait, Severity.Stop, Phrase.Of($"Loaded after {slab.Days:Ratio} days: at {slab.SetsC:Temperature} it wants "
                + $"{made.WaitDays:Ratio}."), [new Remedy(Phrase.Of($"wait"), Phrase.Of($"{Math.Ceiling(made.WaitDays):Count} days"),
                Edit(m => m with { Slab = m.Slab with { Days = Math.Ceiling(made.WaitDays) } }))]);
        if (!slab.Bedded)
            yield return Finding.Of(FindingCode.SlabBed, Severity.Note, Phrase.Of($"Gravel under it and mesh in it; round its edges."));
    }

    private const double EuropeM = 4.00;
    private const double AmericaM = 4.115;
    private const double EuropeWideM = 2.55;
    private const double AmericaWideM = 2.59;
    private const double SignM = 0.01;

    private IEnumerable<Finding> OfRoad()
    {
        var road = Design.Road;
        var axles = Result.Axles!;
        foreach (var (name, now, may) in new[] { ("front", axles.FrontKg, axles.FrontMayKg), ("rear", axles.RearKg, axles.RearMayKg) })
            if (now is { } kg && may is { } rated && kg > 0.97 * rated)
                yield return Axle(kg > rated ? Severity.Stop : Severity.Caution, Phrase.Of($"{kg:Mass} on the {name} axle with the unit on; it may carry "
                    + $"{rated:Mass}."));
        if (axles is { FrontKg: { } front, RearKg: { } rear })
        {
            if (road.GrossKg is { } gross && front + rear > 0.97 * gross)
                yield return Axle(front + rear > gross ? Severity.Stop : Severity.Caution, Phrase.Of($"{front + rear:Mass} in all; the vehicle may weigh "
                    + $"{gross:Mass}."));
            if (front < 0.3 * (front + rear) && axles.FrontAddsKg < 0)
                yield return Axle(Severity.Caution,
                    Phrase.Of($"{front / (front + rear):Fraction} of the weight is left on the front axle: it steers and brakes "
                    + $"badly."));
        }
        if (axles.TipsAfterG < 0.97 * axles.TipsBeforeG || axles.TipsAfterG < 0.6)
            yield return Finding.Of(FindingCode.RoadTips, Severity.Caution, Phrase.Of($"It tips at {axles.TipsAfterG:Ratio} g sideways, before at "
                + $"{axles.TipsBeforeG:Ratio} g."));
        if (road.TopM is { } top && top > road.HighM)
        {
            if (top > AmericaM || top > EuropeM && top <= AmericaM)
                yield return High(Severity.Stop,
                    Phrase.Of($"{top:Length} high: {EuropeM:Length} is the limit in Europe, {AmericaM:Length} in most US states."));
            else
                yield return High(top > EuropeM - 0.10 ? Severity.Caution : Severity.Note, Phrase.Of($"It is {top:Length} high now, not {road.HighM:Length}: a "
                    + $"sign in the cab says {Math.Ceiling(top / SignM - 1e-9) * SignM:Length}."));
        }
        if (road.WideM > EuropeWideM)
            yield return Finding.Of(FindingCode.RoadWidth, Severity.Stop, Phrase.Of($"{road.WideM:Length} wide: {EuropeWideM:Length} is the limit in Europe, "
                + $"{AmericaWideM:Length} in the US."));
        if (road.LowBehindM > 0)
        {
            var ramp = DrivingEnvelope.DepartureDeg(road.LowBehindM, road.LowM, road.WheelM);
            if (ramp < 10 || S.Kind == MountKind.Cradle && road.LowM < 0.18)
                yield return Ramp(ramp < 7 || S.Kind == MountKind.Cradle && road.LowM < 0.12 ? Severity.Stop : Severity.Caution,
                    Phrase.Of($"The low point behind clears a ramp of {ramp:Degrees}, {road.LowM:SmallLength} above the road."));
        }
        if (road.Covers)
            yield return Finding.Of(FindingCode.RoadCovers, Severity.Stop, Phrase.Of($"A lamp, a plate or a way out is covered."));
        if (road.Spray)
            yield return Finding.Of(FindingCode.RoadSpray, Severity.Caution, Phrase.Of($"The coil stands in the spray of a wheel: a mud flap, or elsewhere."));
        if (S.Kind == MountKind.RoofFrame)
        {
            var on = S.MassKg + Result.Workshop.MassKg;
            if (road.RoofKg is { } may && on > may)
                yield return Roof(Severity.Stop, Phrase.Of($"{on:Mass} on the roof; while driving it may carry {may:Mass}."));
            else if (road.RoofKg is null)
                yield return Roof(Severity.Note,
                    Phrase.Of($"What the roof may carry while driving is not typed; it is often a third of what it carries standing."));
        }
        var bear = Design.Bear;
        if (bear.ShockG < LoadCases.Least.Shock || bear.CornerG < LoadCases.Least.Corner || bear.BrakeG < LoadCases.Least.Brake)
            yield return Finding.Of(FindingCode.RoadShock, Severity.Caution, Phrase.Of($"The shocks it is judged by are less than cargo must bear."),
                [new Remedy(Phrase.Of($"the usual shocks"), Phrase.Of($"2 g down, 1 g ahead and sideways"), Edit(m => m with
                { Bear = m.Bear with { ShockG = 2, BrakeG = 1, CornerG = 1 } }))]);
    }

    private IEnumerable<Finding> OfBoat()
    {
        var boat = Design.Road;
        if (boat.HullHoleM is { } hole)
        {
            var above = BoatPlacement.AboveWaterM(hole, boat.HullHoleOffM, boat.HeelDeg);
            if (above <= 0)
                yield return Hull(Severity.Stop, Phrase.Of($"Heeled {boat.HeelDeg:Degrees} the new hole is {-above:SmallLength} under water: yard work, a "
                    + $"seacock, the boat out of the water."));
            else if (above < 0.10)
                yield return Hull(Severity.Caution, Phrase.Of($"Heeled {boat.HeelDeg:Degrees} the new hole is {above:SmallLength} above the water."));
        }
        var list = BoatPlacement.ListDeg(MountStation.Added(S), boat.OffMiddleM, boat.BoatKg, boat.MetacentreM);
        if (list > 1)
            yield return Finding.Of(FindingCode.BoatList, Severity.Caution, Phrase.Of($"The boat lists {list:Degrees} with the unit to one side."));
        if (boat is { PetrolSpace: true, Protected: false })
            yield return Finding.Of(FindingCode.BoatPetrol, Severity.Stop,
                Phrase.Of($"A space with petrol or gas: every electric part there is protected against "
                + $"ignition, or stands elsewhere."));
    }
}
