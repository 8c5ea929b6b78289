using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Core.Layout;

/// <summary>What there is to say of wall, hole, outdoor unit, pipe, drain and sound of a split.</summary>
internal sealed class LayoutFindings
{
    public required LayoutDesign Design { get; init; }
    public required LoadAssessment Load { get; init; }
    public required UnitSheetDesign Sheet { get; init; }
    public required WallSetting Wall { get; init; }
    public required HeadRegion Region { get; init; }
    public required WallView View { get; init; }
    public required WallHole Hole { get; init; }
    public required OutdoorSpot Spot { get; init; }
    public required IReadOnlyList<LineWay> Ways { get; init; }
    public required BundleView Bundle { get; init; }
    public required DrainView Drain { get; init; }
    public required IReadOnlyList<SoundRow> Sound { get; init; }

    /// <summary>Of the room before the head, m.</summary>
    public required double DeepM { get; init; }

    /// <summary>The rig is a building: the working space is a rule there.</summary>
    public required bool Building { get; init; }

    public IEnumerable<Finding> All() => OfHead().Concat(OfHole()).Concat(OfOutdoor()).Concat(OfLine()).Concat(OfDrain()).Concat(OfSound());

    private DesignEdit Edit(Func<LayoutDesign, LayoutDesign> change) => DesignEdit.Of(Design, change);

    private DesignEdit EditHead(Func<HeadSpotDesign, HeadSpotDesign> change) => Edit(l => l with { Head = change(l.Head) });

    private DesignEdit EditDrain(Func<DrainDesign, DrainDesign> change) => Edit(l => l with { Drain = change(l.Drain) });

    private DesignEdit EditLine(Func<LineDesign, LineDesign> change) => Edit(l => l with { Line = change(l.Line) });

    private static double Rounded(double metres) => Math.Round(metres, 3, MidpointRounding.ToZero);

    private static Finding Bundled(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.HoleBundle, level, words, ways);

    private static Finding Slack(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.LineSlack, level, words, ways);

    private static Finding Coil(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.LineCoil, level, words, ways);

    private static Finding Charged(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.ChargeRoom, level, words, ways);

    private static Finding Trapped(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.DrainTrap, level, words, ways);

    private static Finding Pooled(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.DrainTray, level, words, ways);

    private static Finding Disconnect(Severity level, Phrase words) => Finding.Of(FindingCode.OutdoorDisconnect, level, words);

    private static Finding Pumped(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.DrainPump, level, words, ways);

    private const double Hooks = 0.05;

    private IEnumerable<Finding> OfHead()
    {
        if (Region.Cells.Count == 0)
        {
            yield return Finding.Of(FindingCode.WallNoSpot, Severity.Stop,
                $"No place on this wall keeps the head's distances: it is {Wall.HeadM:SmallLength} wide "
                + $"and {Wall.HighM:SmallLength} high and wants {Wall.Needs.AboveM:SmallLength} above it.");
            yield break;
        }
        if (Region.HeightGivenUp)
            yield return Finding.Of(FindingCode.WallHeightRule, Severity.Caution,
                Phrase.Of($"{Wall.Needs.LeastUpM:Length} above the floor is not possible under this ceiling; the ceiling's rule is kept."),
                [new Remedy(Phrase.Of($"ask no height"), Phrase.Of($"the ceiling decides"), EditHead(h => h with { LeastUpM = 0 }))]);
        var (left, low) = (View.Head.Left, View.Head.Low);
        var gap = HeadRegion.CeilingLow(Wall.Ceiling, left, Wall.HeadM) - View.Head.High;
        if (gap < Hooks)
            yield return Finding.Of(FindingCode.WallCannotHook, Severity.Stop,
                Phrase.Of($"{gap:SmallLength} above the head: it is lifted over the hooks of its plate and wants {Hooks:SmallLength} at least."), Moves());
        else if (View.Refused.Count > 0)
            yield return Finding.Of(FindingCode.WallRefused, Severity.Stop, Phrase.Join("; ", View.Refused.Take(3).Select(r =>
                Phrase.Of($"{r.Why} by {r.MissingM:SmallLength}"))), Moves());
        if (Wall.Ribs.Count > 0 && View.RibsHit == 0)
            yield return Finding.Of(FindingCode.WallNoRib, Severity.Caution,
                Phrase.Of($"No screw of the plate lands in a rib: anchors for this wall, or a board across two ribs under the plate."),
                View.Best.Count > 0 && Wall.RibsHit(View.Best[0].LeftM) > 0 ? Moves() : []);
        if (Design.Head.SensorInStream || Design.Head.SensorM > SensorMostM)
            yield return Finding.Of(FindingCode.WallSensor, Severity.Caution, Design.Head.SensorInStream
                ? Phrase.Of($"The sensor stands in the air stream: it reads the supply, and the unit stops too early.")
                : Phrase.Of($"The sensor is {Design.Head.SensorM ?? 0:Length} from the bed or desk: it holds another place's temperature."));
        if (DeepM > Design.Head.ThrowM)
            yield return Finding.Of(FindingCode.WallThrow, Severity.Caution, Phrase.Of($"The room is {DeepM:Length} deep and the head throws its air "
                + $"{Design.Head.ThrowM:Length}: the far end stays warm. Another wall, or a fan that carries it on."));
        if (Design.Head.Exit == HeadExit.Left)
            yield return Finding.Of(FindingCode.WallLeftExit, Severity.Caution,
                Phrase.Of($"Pipes that leave to the left are joined indoors before the head hangs, and the thin pipe kinks at the turn."),
                [new Remedy(Phrase.Of($"out behind the head"), Phrase.Of($"joints outdoors"), EditHead(h => h with { Exit = HeadExit.Behind }))]);
    }

    /// <summary>The nearest allowed place and the best found, where they differ from what stands.</summary>
    private List<Remedy> Moves()
    {
        var moves = new List<Remedy>();
        if (View.Best.Count > 0 && View.Best[0] is var best && (Math.Abs(best.LeftM - View.Head.Left) > 0.002 || Math.Abs(best.LowM - View.Head.Low) > 0.002))
            moves.Add(new Remedy(Phrase.Of($"the best place found"), Phrase.Of($"{best.LeftM:SmallLength} from the left, {best.LowM:SmallLength} up"),
                EditHead(h => h with { LeftM = best.LeftM, LowM = best.LowM })));
        return moves;
    }

    private IEnumerable<Finding> OfHole()
    {
        if (Wall.FallM <= 0)
            yield return Finding.Of(FindingCode.HoleInwards, Severity.Stop, Phrase.Of($"The hole falls {-Wall.FallM:SmallLength} to the inside: rain and "
                + $"condensate come in."), [new Remedy(Phrase.Of($"fall to the outside"),
                    Phrase.Of($"{WallHole.UsualFallM(Wall.ThicknessM):SmallLength} over the wall"),
                EditHead(h => h with { FallM = null }))]);
        if (Hole.FallDeg > WallHole.SteepDeg)
            yield return Finding.Of(FindingCode.HoleSteep, Severity.Caution, Phrase.Of($"The drill would lean {Hole.FallDeg:Degrees}: the bit wanders. "
                + $"In this wall {WallHole.UsualFallM(Wall.ThicknessM):SmallLength} of fall is enough."), Design.Head.FallM is null ? [] :
                [new Remedy(Phrase.Of($"the usual fall"), Phrase.Of($"{WallHole.UsualFallM(Wall.ThicknessM):SmallLength}"),
                    EditHead(h => h with { FallM = null }))]);
        if (Design.Head.Exit == HeadExit.Behind && Hole.DaylightM < -WallHole.Seen)
        {
            var made = Sheet.Head.HoleM!.Value;
            var covered = (Wall with { HoleM = made }).Hole(View.Head.Low).DaylightM >= -WallHole.Seen;
            yield return Finding.Of(FindingCode.HoleDaylight, Severity.Caution, Phrase.Of($"{Hole.RaiseM:SmallLength} of the hole shows under the plate"
                + $"{(Wall.HoleM > made ? Phrase.Of($": it is {Wall.HoleM:SmallLength} across, its template's {made:SmallLength}") : Phrase.Of($""))}."),
                Design.Head.HoleM is null || !covered ? [] : [new Remedy(Phrase.Of($"the hole of the unit sheet"), Phrase.Of($"{made:SmallLength} across"),
                    EditHead(h => h with { HoleM = null }))]);
        }
        foreach (var rib in Wall.Ribs)
            if (Math.Abs(View.HoleX - rib) - Wall.RibWidthM / 2 - Wall.HoleM / 2 is < 0 and var into)
                yield return Finding.Of(FindingCode.HoleCutsRib, Severity.Stop,
                    Phrase.Of($"The hole cuts {-into:SmallLength} into the rib at {rib:SmallLength}."),
                    Moves());
        foreach (var ((thing, hidden), meets) in Wall.Hidden.Select(h => (h, View.Meets.First(m => m.Name == h.Hidden.Name))))
            if (meets.ClearM < meets.NeedM)
                yield return Finding.Of(FindingCode.HoleMeets,
                    meets.ClearM < 0 || thing.Kind is ThingKind.Gas or ThingKind.Cable or ThingKind.Safety ? Severity.Stop : Severity.Caution,
                    meets.ClearM < 0 ? Phrase.Of($"The drill meets the {hidden.Name}.")
                        : Phrase.Of($"The drill passes the {hidden.Name} at {meets.ClearM:SmallLength}; {meets.NeedM:SmallLength} is wanted."), Moves());
        if (!Design.Wall.Scanned)
            yield return Finding.Of(FindingCode.HoleScanFirst, Severity.Caution, Phrase.Of($"Nobody has searched the wall: look and feel on both sides, take a "
                + $"panel off, use a detector, then a pilot hole by hand."), [new Remedy(Phrase.Of($"it is searched"), Phrase.Of($"both sides"),
                Edit(l => l with { Wall = l.Wall with { Scanned = true } }))]);
        if (Design.Wall.FireRated)
            yield return Finding.Of(FindingCode.HoleFire, Severity.Caution,
                Phrase.Of($"This wall must hold back fire: close the sleeve with a seal that is listed "
                + $"for it."));
        if (Design.Head.DrillM < Hole.AxisM)
            yield return Finding.Of(FindingCode.HoleDrillShort, Severity.Caution,
                Phrase.Of($"The drill reaches {Design.Head.DrillM:SmallLength}, the hole is {Hole.AxisM:SmallLength} long."));
        if (!Wall.Hidden.Any(h => h.Thing.Kind is ThingKind.Window or ThingKind.Hatch))
            yield return Finding.Of(FindingCode.HoleNoDatum, Severity.Note, Phrase.Of($"Nothing on this wall shows on both sides to measure from: a pilot hole "
                + $"from inside carries the place out. A window or hatch written down becomes the corner."));
        if (View.UncertainM > DrillTransfer.Loose)
            yield return Finding.Of(FindingCode.HoleLoose, Severity.Caution, Phrase.Of($"With tape and pilot the place outside is sure to "
                + $"{View.UncertainM:SmallLength}: drill the pilot right through and set out again."));
        if (Bundle.SpareM < 0)
            yield return Bundled(Severity.Stop, Phrase.Of($"The bundle is {Bundle.BundleM:SmallLength} across and wants "
                + $"{Bundle.HoleM - Bundle.SpareM:SmallLength}; the hole is {Bundle.HoleM:SmallLength}."),
                [new Remedy(Phrase.Of($"a larger hole"), Phrase.Of($"{NextHole():SmallLength}"), EditHead(h => h with { HoleM = NextHole() }))]);
        else if (Bundle.SpareM < 0.001)
            yield return Bundled(Severity.Caution, Phrase.Of($"The bundle passes with {Bundle.SpareM:SmallLength} to spare: tape it tight and thin."));
        if (Design.Line.FittingM > Bundle.HoleM)
            yield return Bundled(Severity.Stop, Phrase.Of($"The coupling is {Design.Line.FittingM:SmallLength} across and does not pass "
                + $"a hole of {Bundle.HoleM:SmallLength}."));
    }

    /// <summary>Holes that are drilled, m: core bits that are sold; common practice.</summary>
    private static readonly double[] Holes = [0.051, 0.0635, 0.065, 0.070, 0.0762, 0.080, 0.0889, 0.102, 0.127];

    private double NextHole()
    {
        var wants = Bundle.HoleM - Bundle.SpareM;
        return Holes.FirstOrDefault(h => h >= wants + 0.001) is > 0 and var found ? found : 0.15;
    }

    private IEnumerable<Finding> OfOutdoor()
    {
        var (design, sheet) = (Design.Outdoor, Sheet.Outdoor);
        if (Spot.Room.Collides)
            yield return Finding.Of(FindingCode.OutdoorCollides, Severity.Stop, Phrase.Of($"Something stands where the outdoor unit is."),
                [new Remedy(Phrase.Of($"beside the hole"), Phrase.Of($"where it would stand by itself"), Edit(l => l with
                {
                    Outdoor = l.Outdoor with { RightM = null, OffM = Math.Max(l.Outdoor.OffM, sheet.BehindM ?? 0.1) }
                }))]);
        foreach (var face in Spot.Faces.Where(f => f.Ratio < 1 - 1e-9))
        {
            var stops = face.Ratio < 0.5 && face.Face is "where it blows" or "behind it" || face is { Face: "at its ports", Ratio: < 0.25 };
            List<Remedy> ways = face.Face == "behind it" && design.Blows == Blows.Away
                ? [new Remedy(Phrase.Of($"further from the wall"), Phrase.Of($"{face.NeedM:SmallLength} behind it"),
                    Edit(l => l with { Outdoor = l.Outdoor with { OffM = face.NeedM } }))] : [];
            yield return Finding.Of(FindingCode.OutdoorRoom, stops ? Severity.Stop : Severity.Caution, Phrase.Of($"{face.GapM!.Value:SmallLength} free "
                + $"{face.Face}; it wants {face.NeedM:SmallLength}: it breathes its own air, or its valves are out of reach."), ways);
        }
        if (design.EdgeM < GuardM)
            yield return Finding.Of(FindingCode.OutdoorEdge, Severity.Caution, Phrase.Of($"{design.EdgeM ?? 0:Length} from the roof's edge: a guard, or "
                + $"{GuardM:Length} away, for whoever works at it."));
        foreach (var finding in OfDisconnect())
            yield return finding;
        foreach (var around in design.Around)
        {
            var box = OutdoorSpot.AsBox(around);
            var name = around.Name.Length > 0 ? around.Name : Calls.Name(around.Kind);
            var distance = Spot.Distance(sheet, box);
            if (around.Kind is AroundKind.People or AroundKind.Window && Spot.BlowsAt(sheet, box))
                yield return Finding.Of(FindingCode.OutdoorBlows, Severity.Caution, Phrase.Of($"It blows at the {name} from {distance:Length}."));
            if (around.Kind is AroundKind.Gas or AroundKind.Flue && distance < NearGas)
                yield return Finding.Of(FindingCode.OutdoorGas, Severity.Stop,
                    Phrase.Of($"The {name} is {distance:Length} from the unit: sparks, and gas drawn in. {NearGas:Length} at least."));
            if (around.Kind == AroundKind.Exhaust && distance < NearExhaust)
                yield return Finding.Of(FindingCode.OutdoorExhaust, Severity.Caution,
                    Phrase.Of($"The {name} ends {distance:Length} from the unit: hot, sooty air through its coil."));
            if (around.Kind == AroundKind.Unit && UnitPair.Of(Spot.X, Spot.Y, Spot.YawDeg, (box.X1 + box.X2) / 2, (box.Y1 + box.Y2) / 2, Spot.YawDeg + 180)
                == UnitPair.Standing.FaceToFace)
                yield return Finding.Of(FindingCode.OutdoorFace, Severity.Caution,
                    Phrase.Of($"It blows at the {name}: two units that face one another stall."));
        }
        if (Zone() is { } near)
            yield return Finding.Of(FindingCode.OutdoorZone, Severity.Caution,
                Phrase.Of($"R-290 within {ZoneM:Length} of the {near}: its zone holds no window, "
                + $"hatch, drain or spark."));
        if (design.SaltAir && !design.CoilProtected)
            yield return Finding.Of(FindingCode.OutdoorSalt, Severity.Caution,
                Phrase.Of($"Salt air and a bare coil: it corrodes within a few seasons. Protect the "
                + $"coil, rinse it with fresh water."));
        if (design.SnowM > 0 && design.UpM < design.SnowM)
            yield return Finding.Of(FindingCode.OutdoorSnow, Severity.Caution,
                Phrase.Of($"Snow lies {design.SnowM:SmallLength} deep and the feet stand at {design.UpM:SmallLength}."),
                [new Remedy(Phrase.Of($"higher"), Phrase.Of($"above the snow"), Edit(l => l with { Outdoor = l.Outdoor with { UpM = Math.Min(15,
                    l.Outdoor.SnowM + 0.1) } }))]);
    }

    private const double NearGas = 0.914;
    private const double NearExhaust = 0.5;
    private const double ZoneM = 1;

    private string? Zone() => Sheet.Circuit.Refrigerant != Physics.RefrigerantKind.R290 ? null : Design.Outdoor.Around
        .Where(a => a.Kind == AroundKind.Window && Spot.Distance(Sheet.Outdoor, OutdoorSpot.AsBox(a)) < ZoneM)
        .Select(a => a.Name.Length > 0 ? a.Name : Calls.Name(a.Kind)).FirstOrDefault();

    private const double ManyTurnsDeg = 540;
    private const int ManyBends = 6;

    private IEnumerable<Finding> OfDisconnect()
    {
        if (Design.Outdoor is not { DisconnectM: { } at } design)
            yield break;
        var turned = Math.Abs(Math.Sin(Spot.YawDeg * Math.PI / 180)) > 0.5;
        var wide = turned ? Sheet.Outdoor.WidthM!.Value : Sheet.Outdoor.DepthM!.Value;
        var blocked = new List<(double From, double To)>();
        if (design.OffM < DisconnectRoom.DeepM)
            blocked.Add((Spot.X - wide / 2, Spot.X + wide / 2));
        blocked.AddRange(design.Around.Where(a => a.OutM < DisconnectRoom.DeepM).Select(a => (a.RightM, a.RightM + a.WidthM)));
        var room = DisconnectRoom.Of(at, design.DisconnectWideM, Wall.WidthM, blocked);
        if (room.Behind)
            yield return Disconnect(Severity.Stop, Phrase.Of($"The disconnect is behind the unit or something else: nobody reaches it when it matters."));
        else if (room.FreeM < DisconnectRoom.WideM)
            yield return Disconnect(Building ? Severity.Stop : Severity.Caution, Phrase.Of($"{room.FreeM:SmallLength} of free wall to work at the disconnect; "
                + $"{DisconnectRoom.WideM:SmallLength} by {DisconnectRoom.DeepM:SmallLength} is asked. The local code rules."));
        if (design.HandleM > DisconnectRoom.HandleM)
            yield return Disconnect(Severity.Stop, Phrase.Of($"Its handle is {design.HandleM:Length} up; {DisconnectRoom.HandleM:Length} at most."));
        if (!design.DisconnectSeen || Math.Abs(at - Spot.X) > DisconnectRoom.AwayM)
            yield return Disconnect(Severity.Stop, Phrase.Of($"The disconnect is to be seen from the unit, within {DisconnectRoom.AwayM:Length}."));
    }

    private IEnumerable<Finding> OfLine()
    {
        var (way, line, circuit) = (Ways[0], Design.Line, Sheet.Circuit);
        if (way.Fault is { } fault)
            yield return Finding.Of(FindingCode.LineBends, Severity.Stop, Phrase.Of($"{fault}"),
                [.. Ways.Skip(1).Where(w => w.Fault is null).Take(1).Select(Take)]);
        if (way.Bends > ManyBends || way.TurnsDeg > ManyTurnsDeg)
            yield return Finding.Of(FindingCode.LineMany, Severity.Caution,
                Phrase.Of($"{way.Bends} bends and {way.TurnsDeg:Degrees} of turning: each is a place to "
                + $"kink it."));
        if (way.KitM is null)
            yield return Finding.Of(FindingCode.LineNoKit, Severity.Stop,
                Phrase.Of($"{way.NeedM:Length} of pipe, and no set that is sold reaches so far: the unit "
                + $"nearer, or pipe off the roll."), FreeKit());
        else if (line.KitM is { } own && own < way.NeedM)
            yield return Finding.Of(FindingCode.LineShort, Severity.Stop, Phrase.Of($"The set of {own:Length} is {way.NeedM - own:Length} too short."
                + $"{(line.Kind is LineKind.PreCharged or LineKind.Attached ? " It is never joined to another." : "")}"), FreeKit());
        if (way.SlackM is > 3 and var much)
            yield return Slack(Severity.Caution, Phrase.Of($"{much:Length} of pipe too much"
                + $"{(line.Kind is LineKind.PreCharged or LineKind.PreEvacuated or LineKind.Attached
                    ? ", and this kind is never cut" : "")}: where does it go?"));
        else if (way.SlackM is { } over && over > 0.25 * way.KitM)
            yield return Slack(Severity.Note, Phrase.Of($"{over:Length} of the set is slack."));
        if (way.SlackM is > 0.3 && Bundle.Slack is { Turns: 0, LoopM: null } && line.Kind is not (LineKind.Bare or LineKind.Capped))
            yield return Coil(Severity.Caution, Phrase.Of($"{way.SlackM.Value:Length} of slack fits no coil within "
                + $"{line.CoilRoomM:SmallLength} and no loop."));
        if (line.CoilStands && Bundle.Slack is { Turns: > 0 })
            yield return Coil(Severity.Stop, Phrase.Of($"A coil that stands on edge holds oil in each turn."),
                [new Remedy(Phrase.Of($"lay it flat"), Phrase.Of($"its axis upright"), EditLine(l => l with { CoilStands = false }))]);
        var rise = Math.Abs(way.Points[0].Z - way.Points[^1].Z);
        if (circuit.LiftM is { } lift && rise > lift)
            yield return Finding.Of(FindingCode.LineLimits, Severity.Stop, Phrase.Of($"{rise:Length} between head and unit; its manual allows {lift:Length}."));
        if (circuit.LeastM is { } least && way.NeedM < least && way.KitM is { } kit && (line.Kind is LineKind.Bare or LineKind.Capped || kit < least))
            yield return Finding.Of(FindingCode.LineTooShort, Severity.Caution,
                Phrase.Of($"{way.NeedM:Length} of pipe; its manual wants {least:Length} at least: keep "
                + $"the rest as a coil, else it hums and slugs."));
        if (way.AddedKg > 0.0005)
            yield return Finding.Of(FindingCode.LineCharge, Severity.Caution,
                Phrase.Of($"{way.NeedM - (circuit.FreeM ?? 0):Length} beyond what it is charged for: "
                + $"{way.AddedKg:Mass} more, by who may handle refrigerant."));
        if (line is { Kind: LineKind.PreEvacuated or LineKind.Capped or LineKind.PreCharged, SealBroken: true })
            yield return Finding.Of(FindingCode.LineVacuumLost, Severity.Stop, Phrase.Of($"A set that came sealed and is open has drawn damp air: it is proved "
                + $"tight and evacuated like bare copper, or sent back."), [new Remedy(Phrase.Of($"treat it as bare copper"), Phrase.Of($"proof and vacuum"),
                    EditLine(l => l with { Kind = LineKind.Bare }))]);
        if (line is { Reused: true, OtherOil: true })
            yield return Finding.Of(FindingCode.LineOldOil, Severity.Stop,
                Phrase.Of($"Another oil or refrigerant ran in this pipe: new pipe, or flushed and proved."));
        if (line.Kind == LineKind.Attached && way.NeedM > AttachedM)
            yield return Finding.Of(FindingCode.LineAttached, Severity.Caution, Phrase.Of($"A pipe attached to the head is usually {AttachedM:Length} long; "
                + $"{way.NeedM:Length} is wanted."));
        if (Ways.Skip(1).FirstOrDefault(w => w.Fault is null && w.HandsH < way.HandsH - 0.25) is { } quicker)
            yield return Finding.Of(FindingCode.LineDear, Severity.Note, Phrase.Of($"{quicker.Name}: {way.HandsH - quicker.HandsH:Hours} less work."),
                quicker.Points.Count > 2 ? [Take(quicker)] : []);
        foreach (var finding in OfCharge(way))
            yield return finding;
    }

    private const double AttachedM = 3;

    private IReadOnlyList<Remedy> FreeKit() => Design.Line.KitM is null || KitLength.Sold[^1] < Ways[0].NeedM ? []
        : [new(Phrase.Of($"a set that is sold"), Phrase.Of($"the shortest that reaches"), EditLine(l => l with { KitM = null }))];

    private Remedy Take(LineWay way) => new(Phrase.Of($"{way.Name}"), Phrase.Of($"{way.NeedM:Length}, {Calls.Many(way.Bends, "bend")}"), EditLine(l => l with
    {
        Points = [.. way.Points.Skip(1).SkipLast(1).Select(p => new PointDesign { RightM = p.X, OutM = p.Y, UpM = p.Z })]
    }));

    private IEnumerable<Finding> OfCharge(LineWay way)
    {
        if (Sheet.Circuit is not { Refrigerant: { } kind, ChargeKg: { } charge })
            yield break;
        var space = Load.Space;
        var kg = charge + way.AddedKg;
        if (RoomCharge.Of(kg, kind, Math.Max(RoomCharge.LowestM, View.Head.Low), space.FloorM2, space.VolumeM3) is not { } room)
            yield break;
        var name = Calls.Name(kind);
        if (kg > room.FreeKg && kg > room.MostKg)
            yield return Charged(Severity.Stop, Phrase.Of($"{kg:Mass} of {name} want {room.LeastM2:Area} of floor; there are "
                + $"{space.FloorM2:Area}."));
        else if (room.Mixed > 0.5)
            yield return Charged(Severity.Stop, Phrase.Of($"All {kg:Mass} of {name} let out into this space would be "
                + $"{room.Mixed:Fraction} of what burns: a smaller charge, or a detector that shuts off."));
        else if (room.Mixed > 0.25)
            yield return Charged(Severity.Caution, Phrase.Of($"All {kg:Mass} of {name} let out into this space would be "
                + $"{room.Mixed:Fraction} of what burns, nearer the floor more: no joint in the sleeping space, a detector low down."));
    }

    private IEnumerable<Finding> OfDrain()
    {
        var d = Design.Drain;
        if (d.By == DrainBy.Pump)
            foreach (var finding in OfPump())
                yield return finding;
        else
        {
            if (Drain.MarginM <= 0)
                yield return Finding.Of(FindingCode.DrainRunsBack, Severity.Stop,
                    Phrase.Of($"The drain rises {-Drain.MarginM:SmallLength} above its tray: the water "
                    + $"comes out of the head."), [.. Lower(), Pump()]);
            else if (Drain.WorstPct is < 0 and var uphill)
                yield return Finding.Of(FindingCode.DrainParked, Severity.Caution,
                    Phrase.Of($"{(d.PitchDeg + d.RollDeg > 0 ? "Parked so, a" : "A")} piece of the drain "
                    + $"rises by {-uphill / 100:Fraction}: water stands in it."), [.. Level(), Pump()]);
            else if (Drain.WorstPct is < DrainRoute.LeastPct and var flat)
                yield return Finding.Of(FindingCode.DrainFall, Severity.Caution, Phrase.Of($"{flat / 100:Fraction} of fall at its flattest; "
                    + $"{DrainRoute.LeastPct / 100:Fraction} at least."), [Pump()]);
            if (Drain.Traps.Count >= 2)
                yield return Trapped(Severity.Stop, Phrase.Of($"Water stands in {Drain.Traps.Count} places: the air between them locks it."),
                    [Pump()]);
            else if (Drain.Traps.Count == 1 && Drain.Traps[0].DepthM > d.InsideM)
                yield return Trapped(Severity.Caution, Phrase.Of($"A low point {Drain.Traps[0].DepthM:SmallLength} deep: it fills, and then "
                    + $"air locks it."));
        }
        var tilt = Math.Max(d.PitchDeg, d.RollDeg);
        var pool = DrainRoute.PoolM(Wall.HeadM, tilt, d.TrayDeg);
        if (pool > d.LipM)
            yield return Pooled(Severity.Stop, Phrase.Of($"On {tilt:Degrees} water stands {pool:SmallLength} at the far end of the tray, over "
                + $"its lip of {d.LipM:SmallLength}: an outlet at that end too, or park level."), [.. Level()]);
        else if (pool > 0.7 * d.LipM)
            yield return Pooled(Severity.Caution, Phrase.Of($"On {tilt:Degrees} water stands {pool:SmallLength} at the far end of the tray; "
                + $"its lip is {d.LipM:SmallLength}."));
        if (d.ToBilge)
            yield return Finding.Of(FindingCode.DrainBilge, Severity.Stop,
                Phrase.Of($"Condensate into the bilge rots and short-circuits: overboard, or a closed sump."),
                [new Remedy(Phrase.Of($"overboard or a sump"), Phrase.Of($"dry bilge"), EditDrain(x => x with { ToBilge = false }))]);
        if (d.Joined)
            yield return Finding.Of(FindingCode.DrainBackUp, Severity.Stop, Phrase.Of($"Two drains in one pipe: the higher one backs up into the lower head."),
                [new Remedy(Phrase.Of($"a drain of its own"), Phrase.Of($"nothing backs up"), EditDrain(x => x with { Joined = false }))]);
        if (d.Pit && d.SoaksLh < Drain.RateLh)
            yield return Finding.Of(FindingCode.DrainPit, d.SoaksLh < Drain.RateLh / 1.25 ? Severity.Stop : Severity.Caution,
                Phrase.Of($"The pit takes {d.SoaksLh:Ratio} L/h; {Drain.RateLh:Ratio} L/h may come."));
    }

    /// <summary>Straight down outside: where the hole itself is below the tray.</summary>
    private IEnumerable<Remedy> Lower() => Hole.OutsideUpM < Drain.Points[0].Z
        ? [new Remedy(Phrase.Of($"end it lower"), Phrase.Of($"below the hole"), EditDrain(x => x with { EndUpM = Math.Max(-10,
            Rounded(View.HoleOutsideM - 0.5)), Points = [] }))]
        : [];

    /// <summary>Parked level: where it falls all the way when it stands so.</summary>
    private IEnumerable<Remedy> Level() => Design.Drain is { PitchDeg: > 0 } or { RollDeg: > 0 } && Drain.FallsPct.All(f => f is null or >= 0)
        ? [new Remedy(Phrase.Of($"park level"), Phrase.Of($"as a condition of use"), EditDrain(x => x with { PitchDeg = 0, RollDeg = 0 }))] : [];

    private Remedy Pump() => new(Phrase.Of($"a pump"), Phrase.Of($"lifts it"), EditDrain(x => x with { By = DrainBy.Pump }));

    private IEnumerable<Finding> OfPump()
    {
        var d = Design.Drain;
        var flow = Drain.PumpLh!.Value;
        if (d.LiftM >= d.PumpHeadM)
            yield return Pumped(Severity.Stop, Phrase.Of($"It must lift {d.LiftM:Length}; the pump ends at {d.PumpHeadM:Length}."));
        else if (flow < Drain.RateLh)
            yield return Pumped(Severity.Stop, Phrase.Of($"{flow:Ratio} L/h at this lift and hose, {Drain.RateLh:Ratio} L/h may come: it "
                + $"overflows after {60 * d.SpareL / Math.Max(0.01, Drain.RateLh - flow):Count} min."));
        else if (flow < 2 * Drain.RateLh / 1.25)
            yield return Pumped(Severity.Caution, Phrase.Of($"{flow:Ratio} L/h at this lift and hose: twice the worst hour is wanted."));
        else if (d.LiftM > 0.8 * d.PumpHeadM)
            yield return Pumped(Severity.Caution, Phrase.Of($"{d.LiftM:Length} is close to what the pump can lift: it wears and hums."));
        if (!d.AlarmWired)
            yield return Finding.Of(FindingCode.DrainAlarm, Severity.Caution,
                Phrase.Of($"A pump that fails floods the cabin {60 * d.SpareL / Math.Max(0.01, Drain.RateLh):Count} min "
                + $"later: let its alarm stop the unit."), [new Remedy(Phrase.Of($"wire its alarm"), Phrase.Of($"the unit stops first"),
                EditDrain(x => x with { AlarmWired = true }))]);
        if (d.SuctionM > SuctionMostM)
            yield return Finding.Of(FindingCode.DrainSuction, Severity.Caution, Phrase.Of($"The pump sucks {d.SuctionM:Length} up from its reservoir; "
                + $"{SuctionMostM:Length} is what it draws. Nearer, and a vent that stays open."));
        if (d.CoverRoomM < CoverM)
            yield return Finding.Of(FindingCode.DrainCover, Severity.Stop, Phrase.Of($"{d.CoverRoomM:SmallLength} before the pump's cover; it comes off with "
                + $"{CoverM:SmallLength}."), [new Remedy(Phrase.Of($"more room"), Phrase.Of($"the cover comes off"),
                    EditDrain(x => x with { CoverRoomM = CoverM }))]);
    }

    private const double CoverM = 0.03;

    /// <summary>What a small pump draws up; common practice.</summary>
    private const double SuctionMostM = 1.5;

    /// <summary>A sensor further off says little of the bed; common practice.</summary>
    private const double SensorMostM = 3;

    /// <summary>Nearer to a roof's edge whoever works at the unit wants a guard; common practice.</summary>
    private const double GuardM = 3;

    private IEnumerable<Finding> OfSound()
    {
        if (!Design.Sound.AtNight)
            yield break;
        foreach (var row in Sound.Where((_, i) => i != 1).Where(r => Math.Round(r.Db) > r.LimitDb))
            yield return Finding.Of(FindingCode.SoundNight, Severity.Caution,
                Phrase.Of($"{row.Db:Count} dB(A) {row.Where}; {row.LimitDb:Count} dB(A) lets one sleep: further away, on soft feet, slower at night."));
    }
}

/// <summary>What there is to say of the opening of a rooftop unit.</summary>
internal static class OpeningFindings
{
    private const double Crushed = 0.60, Loose = 0.30, Tight = 0.003, Wrong = 0.006, NearRib = 0.025, PersonKg = 100, SteepDeg = 10;

    private static Finding Gasket(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.OpeningGasket, level, words, ways);

    private static Finding Rib(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.OpeningRib, level, words, ways);

    private static Finding Roof(Severity level, Phrase words, IReadOnlyList<Remedy>? ways = null) =>
        Finding.Of(FindingCode.OpeningRoof, level, words, ways);

    public static IEnumerable<Finding> Of(LayoutDesign design, RooftopOpening opening, AcUnit unit)
    {
        var o = design.Opening;
        DesignEdit Edit(Func<OpeningDesign, OpeningDesign> change) => DesignEdit.Of(design, l => l with { Opening = change(l.Opening) });
        var off = Math.Max(Math.Abs(o.LengthM - o.MadeLengthM), Math.Abs(o.WidthM - o.MadeWidthM));
        if (off > Tight)
            yield return Finding.Of(FindingCode.OpeningSize, off > Wrong ? Severity.Stop : Severity.Caution,
                Phrase.Of($"The opening is {o.LengthM:SmallLength} × "
                + $"{o.WidthM:SmallLength}, the unit is made for {o.MadeLengthM:SmallLength} × {o.MadeWidthM:SmallLength}."),
                [new Remedy(Phrase.Of($"cut or frame it"), Phrase.Of($"to the unit's size"), Edit(x => x with { LengthM = x.MadeLengthM,
                    WidthM = x.MadeWidthM }))]);
        if (opening.EdgeShare < Loose)
            yield return Gasket(Severity.Stop, Phrase.Of($"At its edge the gasket is pressed by {opening.EdgeShare:Fraction} only: it "
                + $"leaks. A flat frame on the roof, or a thicker gasket."));
        else if (opening.CrownShare > Crushed)
            yield return Gasket(Severity.Caution, Phrase.Of($"The gasket is pressed by {opening.CrownShare:Fraction}: it is crushed and "
                + $"does not come back."));
        if (o.RoofM < o.TakesFromM || o.RoofM > o.TakesToM)
            yield return Finding.Of(FindingCode.OpeningCeiling, Severity.Stop, Phrase.Of($"The roof is {o.RoofM:SmallLength} thick; the inner part takes "
                + $"{o.TakesFromM:SmallLength} to {o.TakesToM:SmallLength}."));
        if (o.RibM < 0 && !o.Framed)
            yield return Rib(Severity.Stop, Phrase.Of($"The opening cuts a rib by {-o.RibM:SmallLength}: frame it round and tie the frame "
                + $"to the ribs on both sides."), [new Remedy(Phrase.Of($"frame it round"), Phrase.Of($"the roof keeps its strength"),
                    Edit(x => x with { Framed = true }))]);
        else if (o.RibM is >= 0 and < NearRib)
            yield return Rib(Severity.Caution, Phrase.Of($"A rib {o.RibM:SmallLength} from the opening: the gasket sits on its edge."));
        if (o.DrivingKg is { } driving && unit.MassKg > driving || o.StaticKg is { } standing && unit.MassKg + PersonKg > standing)
            yield return Roof(Severity.Stop, Phrase.Of($"{unit.MassKg:Mass} on the roof, and {PersonKg:Mass} of a person at work: more "
                + $"than it may carry."));
        else if (o.DrivingKg is null)
            yield return Roof(Severity.Note, Phrase.Of($"What the roof may carry while driving is not known; the unit weighs "
                + $"{unit.MassKg:Mass}."));
        if (o.PitchDeg > SteepDeg)
            yield return Finding.Of(FindingCode.OpeningPitch, Severity.Caution, Phrase.Of($"On a roof of {o.PitchDeg:Degrees} its tray drains the wrong way."));
    }
}
