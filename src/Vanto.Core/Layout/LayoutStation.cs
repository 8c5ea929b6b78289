using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Layout;

/// <summary>Where the head, the hole, the outdoor unit, the pipe and the drain go; for a unit on the roof, whether its opening is right.</summary>
public sealed class LayoutStation : Station<LayoutAssessment>
{
    /// <inheritdoc />
    public override string Name => "layout";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Design;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("wall", "wall and hole", "Where does the head hang, and where is the hole?"),
        new("outdoor", "outdoor unit", "Has the outdoor unit room?"),
        new("pipe", "way of the pipe", "Which way, and which line set?"),
        new("drain", "drain", "Does the water run away?"),
        new("sound", "sound", "Who hears it?"),
        new("opening", "roof opening", "Does the rooftop unit fit its opening?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
        [typeof(LoadAssessment), typeof(UnitAssessment), typeof(SurveyDesign), typeof(UnitDesign), typeof(LayoutDesign)];

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var (survey, unit) = (job.Design<SurveyDesign>(), job.Result<UnitAssessment>());
        var sheet = UnitSheets.Known(job.Design<UnitDesign>(), unit.Unit);
        var design = job.Design<LayoutDesign>();
        return unit.Unit.JoinedOnSite ? Split(design, survey, job.Result<LoadAssessment>(), unit, sheet) : Rooftop(design, sheet, unit.Unit,
            survey.Sources.OnRoof.ShadowElevationDeg);
    }

    private static LayoutAssessment Split(LayoutDesign design, SurveyDesign survey, LoadAssessment load, UnitAssessment unit, UnitSheetDesign sheet)
    {
        var along = design.Wall.Side is WallSide.Left or WallSide.Right;
        var wall = WallSetting.Of(design, along ? survey.Space.LengthM : survey.Space.WidthM, survey.Space.HeightM, sheet);
        var region = HeadRegion.Of(wall.WidthM, wall.Ceiling, wall.HeadM, wall.HighM, wall.Needs, wall.KeepOuts);
        OutdoorSpot Spot(double holeX) => OutdoorSpot.Of(design, sheet.Outdoor, wall.WidthM, wall.Ceiling[0].Y, holeX);
        var (port, tails) = (Spot(wall.WidthM / 2).Port, design.Line.HeadTailM + design.Line.UnitTailM);
        double Pipe(double x, double up) =>
            tails + Math.Abs((design.Outdoor.RightM is null ? Spot(x).Port.X : port.X) - x) + Math.Abs(port.Z - up) + port.Y;
        double Fall(double up) => design.Drain.By == DrainBy.Pump ? 1.5 : up > design.Drain.EndUpM + 0.05 ? 2 : 0;
        var best = HeadPlacement.Best(wall, region, Pipe, Fall);
        var left = design.Head.LeftM ?? best.FirstOrDefault()?.LeftM ?? Math.Max(0, (wall.WidthM - wall.HeadM) / 2);
        var low = design.Head.LowM ?? (design.Head.LeftM is { } typed ? Highest(region, typed) : best.FirstOrDefault()?.LowM)
            ?? Math.Max(0, HeadRegion.CeilingLow(wall.Ceiling, left, wall.HeadM) - wall.Needs.AboveM - wall.HighM);
        var hole = wall.Hole(low);
        var x = wall.HoleX(left);
        var spot = Spot(x);
        var bundle = Bundle(design, sheet);
        var tube = LineWays.TubeRadiusM(sheet.Circuit.GasM!.Value, design.Line.Bent);
        var setting = new LineWays.Setting(design, sheet, wall, hole, x, spot.Port, tube + bundle / 2);
        var ways = LineWays.All(setting);
        var drain = Drain(design, wall, hole, x, unit.CapacityW);
        var view = View(wall, region, design, left, low, hole, x, best, Pipe, Fall);
        var slack = ways[0].SlackM is > 0 and var over ? SlackStowage.Of(over, bundle, tube, design.Line.CoilRoomM) : null;
        var bundled = new BundleView(bundle, wall.HoleM, wall.HoleM - bundle - Tape - PullM, tube + bundle / 2, slack);
        var sound = Hear(design, sheet);
        var judge = new LayoutFindings
        {
            Design = design,
            Load = load,
            Sheet = sheet,
            Wall = wall,
            Region = region,
            View = view,
            Hole = hole,
            Spot = spot,
            Ways = ways,
            Bundle = bundled,
            Drain = drain,
            Sound = sound,
            DeepM = along ? survey.Space.WidthM : survey.Space.LengthM,
            Building = survey.Kind is RigKind.Cabin or RigKind.Workshop or RigKind.Container,
        };
        var findings = Finding.Ranked(judge.All());
        return new LayoutAssessment(Say(view, findings, design), findings, Figures(view, hole, ways[0], bundled, drain, sound, design))
        {
            Wall = view,
            Outdoor = new OutdoorView(spot.X, spot.Y, spot.BaseM, spot.YawDeg, sheet.Outdoor.WidthM!.Value, sheet.Outdoor.DepthM!.Value,
                sheet.Outdoor.HeightM!.Value, spot.Port, spot.Faces),
            Ways = ways,
            Bundle = bundled,
            Drain = drain,
            Sound = sound,
            Answers = Answers(spot, ways[0], drain, sound, design),
        };
    }

    private static double? Highest(HeadRegion region, double x) =>
        region.Cells.Where(c => x >= c.Left - 1e-9 && x <= c.Right + 1e-9).Select(c => (double?)c.High).Max();

    /// <summary>Tape round the bundle, m.</summary>
    internal const double Tape = 0.0004;

    /// <summary>What it needs to be pulled through, m; common practice.</summary>
    internal const double PullM = 0.006;

    private static double Bundle(LayoutDesign design, UnitSheetDesign sheet)
    {
        var ins = 2 * design.Line.InsulationM;
        return BundlePacking.Enclosing([sheet.Circuit.LiquidM!.Value + ins, sheet.Circuit.GasM!.Value + ins, sheet.Head.DrainM ?? 0.018, design.Line.CableM]);
    }

    /// <summary>Share of the capacity that takes water out of the air where nothing else is known; common practice.</summary>
    private const double LatentShare = 0.25;

    /// <summary>What the water's rate is taken times, so that there is something to spare.</summary>
    private const double Spare = 1.25;

    private static DrainView Drain(LayoutDesign design, WallSetting wall, WallHole hole, double x, double capacityW)
    {
        const double trayUp = 0.01, roomC = 26.7, coilC = 10;
        var d = design.Drain;
        List<RoutePoint> points = [new(x, 0, hole.InsideUpM + trayUp)];
        if (d.Points.Count == 0)
            points.AddRange([new(x, wall.ThicknessM + wall.Spot.ProudM, hole.OutsideUpM), new(x, wall.ThicknessM + wall.Spot.ProudM, d.EndUpM)]);
        else
            points.AddRange(d.Points.Select(p => new RoutePoint(p.RightM, p.OutM, p.UpM)));
        for (var i = points.Count - 1; i > 0; i--)
            if ((points[i] - points[i - 1]).Length < 1e-6)
                points.RemoveAt(i);
        var route = DrainRoute.Of(points);
        var (worst, _, _, _) = DrainRoute.Worst(InBody(points, design.Wall.Side), d.PitchDeg, d.RollDeg);
        var along = new List<double> { 0 };
        for (var i = 1; i < points.Count; i++)
            along.Add(along[^1] + (points[i] - points[i - 1]).Length);
        static double? Plain(double pct) => double.IsInfinity(pct) ? pct > 0 ? null : -1000 : pct;
        double? pump = d.By == DrainBy.Pump ? CondensatePump.Of(d.PumpLh, d.PumpHeadM, d.LiftM, d.HoseM, d.HoseInsideM).FlowLh : null;
        return new DrainView(points, along, [.. route.FallsPct.Select(Plain)], Plain(worst), route.MarginM, route.Traps,
            Spare * CondensateRate.FromLatent(LatentShare * capacityW, roomC, coilC), pump);
    }

    /// <summary>Points of the wall in the frame of the rig: forward, left, up.</summary>
    internal static IReadOnlyList<RoutePoint> InBody(IReadOnlyList<RoutePoint> points, WallSide side) => side switch
    {
        WallSide.Rear => [.. points.Select(p => new RoutePoint(-p.Y, p.X, p.Z))],
        WallSide.Front => [.. points.Select(p => new RoutePoint(p.Y, -p.X, p.Z))],
        WallSide.Left => [.. points.Select(p => new RoutePoint(p.X, p.Y, p.Z))],
        _ => [.. points.Select(p => new RoutePoint(-p.X, -p.Y, p.Z))],
    };

    private static IReadOnlyList<SoundRow> Hear(LayoutDesign design, UnitSheetDesign sheet)
    {
        var s = design.Sound;
        var outdoor = sheet.Outdoor.LoudDb ?? 55;
        var beside = Sound.Beside(outdoor, s.Faces);
        return
        [
            new SoundRow("at the pillow, the head at its lowest",
                Sound.Sum(Sound.At(sheet.Head.QuietDb ?? 25, s.PillowM), Sound.At(outdoor, s.UnitToPillowM) - s.WallDb), Sound.PillowDb),
            new SoundRow("at the pillow, the head at its highest",
                Sound.Sum(Sound.At(sheet.Head.LoudDb ?? 42, s.PillowM), Sound.At(outdoor, s.UnitToPillowM) - s.WallDb), Sound.PillowDb),
            new SoundRow("at the neighbour", Sound.At(beside, s.NeighbourM), Sound.NeighbourDb),
        ];
    }

    private static WallView View(WallSetting wall, HeadRegion region, LayoutDesign design, double left, double low, WallHole hole, double x,
        IReadOnlyList<HeadPlace> best, Func<double, double, double> pipe, Func<double, double> fall)
    {
        var plate = (X: left + wall.Spot.PlateRightM, Y: low + wall.Spot.PlateUpM);
        return new WallView
        {
            WidthM = wall.WidthM,
            CeilingLeftM = wall.Ceiling[0].Y,
            CeilingRightM = wall.Ceiling[^1].Y,
            Ribs = wall.Ribs,
            RibWidthM = wall.RibWidthM,
            Head = new WallArea("head", left, low, left + wall.HeadM, low + wall.HighM),
            Screws = [.. wall.Ribs.SelectMany(rib => wall.Screws.Where(s => Math.Abs(plate.X + s.U - rib) <= wall.RibWidthM / 2 - WallSetting.EdgeM + 1e-9)
                .GroupBy(s => s.V).Select(g => g.MinBy(s => Math.Abs(plate.X + s.U - rib))))
                .Select(s => new WallArea("screw", plate.X + s.U, plate.Y + s.V, plate.X + s.U, plate.Y + s.V))],
            HoleX = x,
            Exits = [.. Enum.GetValues<HeadExit>().Select(e => new WallExit(e, Calls.Name(e), wall.HoleX(left, e), hole.InsideUpM))
                .Where(e => e.X > 0 && e.X < wall.WidthM)],
            HoleInsideM = hole.InsideUpM,
            HoleOutsideM = hole.OutsideUpM,
            HoleM = wall.HoleM,
            FallDeg = hole.FallDeg,
            SleeveM = hole.SleeveM,
            Allowed = [.. Merged(region.Cells).Select(c => new WallArea("", c.Left, c.Low, c.Right, c.High))],
            Forbidden = [.. wall.KeepOuts.Select(k => (k, f: HeadRegion.Forbidden(k, wall.HeadM, wall.HighM, wall.Needs)))
                .Select(p => new WallArea(p.k.Name, p.f.Left, p.f.Low, p.f.Right, p.f.High))],
            Things = [.. design.Wall.Things.Zip(wall.Hidden, (t, h) =>
                new WallThing(new WallArea(h.Hidden.Name, t.LeftM, t.LowM, t.LeftM + t.WidthM, t.LowM + t.HeightM), t.Kind, t.Place))],
            Best = best,
            Refused = HeadPlacement.Refused(wall, left, low),
            SetOut = SettingOut(wall, design, x, hole),
            UncertainM = DrillTransfer.Uncertainty(TapeM, wall.ThicknessM, LeanDeg),
            Meets = [.. wall.Hidden.Select(h => new DrillMeets(h.Hidden.Name, DrillHazards.Clear(hole, x, wall.ThicknessM, wall.HoleM, h.Hidden),
                WallSetting.DrillMargin(h.Thing.Kind))).OrderBy(m => m.ClearM)],
            RibsHit = wall.RibsHit(left),
            ScoreShare = HeadPlacement.Score(wall, left, low, pipe, fall).Score,
        };
    }

    /// <summary>Neighbouring cells of one height drawn as one.</summary>
    private static List<Cell> Merged(IReadOnlyList<Cell> cells)
    {
        var merged = new List<Cell>();
        foreach (var c in cells.OrderBy(c => c.Low).ThenBy(c => c.High).ThenBy(c => c.Left))
            if (merged.Count > 0 && merged[^1] is var last && last.Low == c.Low && last.High == c.High && Math.Abs(last.Right - c.Left) < 1e-9)
                merged[^1] = last with { Right = c.Right };
            else
                merged.Add(c);
        return merged;
    }

    private const double TapeM = 0.002;
    private const double LeanDeg = 2;

    /// <summary>The hole from two corners that both sides have: of the window or hatch nearest to it, else of the wall itself.</summary>
    private static IReadOnlyList<SetOut> SettingOut(WallSetting wall, LayoutDesign design, double x, WallHole hole)
    {
        var spot = design.Head;
        var opening = wall.Hidden.Where(h => h.Thing.Kind is ThingKind.Window or ThingKind.Hatch).Select(h => h.Hidden)
            .MinBy(h => Math.Abs((h.LeftM + h.RightM) / 2 - x) + Math.Abs((h.LowM + h.HighM) / 2 - hole.InsideUpM));
        var corners = opening is { } o
            ? new[] { ($"lower left corner of the {o.Name}", o.LeftM, o.LowM), ($"lower right corner of the {o.Name}", o.RightM, o.LowM),
                ($"upper left corner of the {o.Name}", o.LeftM, o.HighM), ($"upper right corner of the {o.Name}", o.RightM, o.HighM) }
            : [("left edge of the wall at the floor", 0.0, 0.0), ("right edge of the wall at the floor", wall.WidthM, 0)];
        return [.. corners.OrderBy(c => Math.Abs(c.Item2 - x) + Math.Abs(c.Item3 - hole.InsideUpM)).Take(2).Select(c =>
        {
            var (right, up) = (x - c.Item2, hole.InsideUpM - c.Item3);
            var outside = DrillTransfer.Of(right, up, wall.FallM, spot.CornerRightM, spot.CornerUpM);
            return new SetOut(c.Item1, c.Item2, c.Item3, right, up, outside.RightM, outside.UpM);
        })];
    }

    private static Verdict Say(WallView view, IReadOnlyList<Finding> findings, LayoutDesign design)
    {
        var state = Verdict.Worst(findings);
        var near = view.Meets.Where(m => m.ClearM < double.PositiveInfinity).MinBy(m => m.ClearM - m.NeedM);
        var ribs = view.Ribs.Count == 0 ? Phrase.Of($"Hangs on the panel itself") : view.RibsHit == 0 ? Phrase.Of($"Hangs on no rib")
            : Phrase.Of($"Hangs on {Calls.Many(view.RibsHit, design.Wall.Build == WallBuild.Studs ? "stud" : "rib")}");
        var clears = near is null ? Phrase.Of($"nothing is known behind the hole")
            : near.ClearM < 0 ? Phrase.Of($"the hole meets the {near.Name}") : Phrase.Of($"the hole clears the {near.Name} by {near.ClearM:SmallLength}");
        var headline = view.Refused.Count > 0
            ? Phrase.Of($"The head cannot hang here: {view.Refused[0].Why} by {view.Refused[0].MissingM:SmallLength}.")
            : Phrase.Of($"{ribs}; {clears}.");
        return new Verdict(state, headline, design.Head.LeftM is null ? Phrase.Of($"The best place found; slide the head or type another.")
            : Phrase.Of($"Head {view.Head.Left:SmallLength} from the left edge, {view.Head.Low:SmallLength} above the floor."));
    }

    private static Dictionary<string, Phrase> Answers(OutdoorSpot spot, LineWay way, DrainView drain, IReadOnlyList<SoundRow> sound, LayoutDesign design)
    {
        var tight = spot.Faces.Where(f => f.Ratio is not null).MinBy(f => f.Ratio);
        return new Dictionary<string, Phrase>
        {
            ["outdoor"] = spot.Room.Collides ? Phrase.Of($"Something stands where the outdoor unit is.")
                : tight is null ? Phrase.Of($"Nothing stands near the outdoor unit.")
                : Phrase.Of($"Tightest {tight.Face}: {tight.GapM!.Value:SmallLength} free of {tight.NeedM:SmallLength}."),
            ["pipe"] = way.KitM is { } kit
                ? Phrase.Of($"{way.NeedM:Length} of pipe {way.Name}: take the set of {kit:Length}, {Math.Max(0, way.SlackM ?? 0):Length} to spare.")
                : Phrase.Of($"{way.NeedM:Length} of pipe {way.Name}: no set reaches."),
            ["drain"] = drain.PumpLh is { } pump ? Phrase.Of($"The pump carries {pump:Ratio} L/h of at most {drain.RateLh:Ratio} L/h.")
                : drain.MarginM <= 0 ? Phrase.Of($"The water runs back: the drain rises above its tray.")
                : drain.WorstPct is { } worst
                ? Phrase.Of($"It falls by {worst / 100:Fraction} at its flattest{(design.Drain.PitchDeg + design.Drain.RollDeg > 0 ? ", as parked" : "")}.")
                : Phrase.Of($"It drops straight all the way."),
            ["sound"] = Phrase.Of($"{sound[0].Db:Count} dB(A) at the pillow with the head at its lowest, {sound[2].Db:Count} dB(A) at the neighbour."),
            ["opening"] = Phrase.Of($"This unit is a split: it needs no opening in the roof."),
        };
    }

    private static IReadOnlyList<Figure> Figures(WallView view, WallHole hole, LineWay way, BundleView bundle, DrainView drain, IReadOnlyList<SoundRow> sound,
        LayoutDesign design)
    {
        var figures = new List<Figure>();
        void Add(string leaf, string label, double value, QuantityKind kind, WorkingBuilder working) =>
            figures.Add(new Figure(label, value, kind, working.Done()) { Leaf = leaf });
        var from = view.SetOut[0];
        Add("", from.RightM >= 0 ? $"Inside, right of the {from.Corner}" : $"Inside, left of the {from.Corner}", Math.Abs(from.RightM),
            QuantityKind.SmallLength, Working.Start().Step("dx", "hole − corner, seen from inside", $"{view.HoleX:0.###} − {from.CornerX:0.###}",
                from.RightM, "m", Citations.Geometry));
        Add("", from.UpM >= 0 ? "inside, up" : "inside, down", Math.Abs(from.UpM), QuantityKind.SmallLength,
            Working.Start().Step("dy", "hole − corner", $"{view.HoleInsideM:0.###} − {from.CornerY:0.###}", from.UpM, "m", Citations.Geometry));
        Add("", from.OutsideRightM >= 0 ? "Outside, right of the same" : "Outside, left of the same", Math.Abs(from.OutsideRightM),
            QuantityKind.SmallLength,
            Working.Start().Step("dx′", "−dx + shift of the corner", $"−{from.RightM:0.###}", from.OutsideRightM, "m", Citations.Geometry));
        Add("", from.OutsideUpM >= 0 ? "outside, up" : "outside, down", Math.Abs(from.OutsideUpM), QuantityKind.SmallLength,
            Working.Start().Step("dy′", "dy − fall + shift of the corner", $"{from.UpM:0.###} − {view.HoleInsideM - view.HoleOutsideM:0.####}",
                from.OutsideUpM, "m", Citations.Geometry));
        Add("", "Drill leans down by", view.FallDeg, QuantityKind.Degrees,
            Working.Start().Step("θ", "atan(fall/thickness)", $"{view.HoleInsideM - view.HoleOutsideM:0.####} m", view.FallDeg, "°", Citations.Geometry));
        Add("", "Sleeve", view.SleeveM, QuantityKind.SmallLength,
            Working.Start().Step("L_s", "t/cos θ + D·tan θ + proud", $"axis {hole.AxisM:0.####} m", view.SleeveM, "m", Citations.Geometry));
        Add("pipe", "Pipe, with its tails", way.NeedM, QuantityKind.Length,
            Working.Start().Step("L", "Σ straight pieces + Σ R·θ", $"{way.Bends} bends", way.LengthM, "m", Citations.Geometry)
                .Step("N", "L + tails", $"{way.LengthM:0.###} + {way.NeedM - way.LengthM:0.###}", way.NeedM, "m", Citations.Trade));
        Add("pipe", "Bundle, across", bundle.BundleM, QuantityKind.SmallLength,
            Working.Start().Step("D", "smallest circle round pipes, hose and cable", $"bisection", bundle.BundleM, "m", Citations.Geometry));
        Add("pipe", "Charge to be added", way.AddedKg, QuantityKind.Mass,
            Working.Start().Step("m", "max(0, L − L_free)·k", $"{way.NeedM:0.##} m", way.AddedKg, "kg", Citations.Trade));
        var tails = design.Line.HeadTailM + design.Line.UnitTailM;
        Add("pipe", "Cable between", LineParts.CableM(way.LengthM, tails), QuantityKind.Length,
            Working.Start().Step("L_c", "1.05·(L + tails + 2·0.5), up to a tenth", $"{way.LengthM:0.###} + {tails:0.##}", LineParts.CableM(way.LengthM,
                tails),
                "m", Citations.Trade));
        Add("drain", "Hose", drain.Along[^1], QuantityKind.Length,
            Working.Start().Step("L_d", "Σ of its pieces", $"{drain.Points.Count - 1} pieces", drain.Along[^1], "m", Citations.Geometry));
        Add("drain", "Water, L/h, a quarter to spare", drain.RateLh, QuantityKind.Ratio,
            Working.Start().Step("ṁ", "1.25·Q_L/(2501 + 1.86·t − 4.186·t_c)", $"L/h, a quarter of the capacity", drain.RateLh, "L/h",
                Citations.Psychrometrics));
        Add("sound", "At the pillow, dB(A)", sound[0].Db, QuantityKind.Count,
            Working.Start().Step("L", "10·lg Σ 10^(L_i/10), L_i − 20·lg r", $"head and outdoor unit through the wall", sound[0].Db, "dB(A)",
                Citations.SoundNight));
        Add("sound", "At the neighbour, dB(A)", sound[2].Db, QuantityKind.Count,
            Working.Start().Step("L", "L_1 + 3·walls − 20·lg r", $"outdoor unit", sound[2].Db, "dB(A)", Citations.SoundNight));
        return figures;
    }

    /// <summary>Sun from which modules are kept clear of shadow where nothing else is asked; common practice.</summary>
    private const double UsualSunDeg = 25;

    /// <summary>How far the unit shades the roof beside it.</summary>
    private static Figure Shadow(double highM, double sunDeg)
    {
        var reach = highM / Math.Tan(sunDeg * Math.PI / 180);
        return new Figure("Its shadow reaches", reach, QuantityKind.Length, Working.Start()
            .Step("s", "h/tan α", $"{highM:0.##} m, sun at {sunDeg:0}°; modules are laid round it at Energy", reach, "m", Citations.Geometry).Done())
        { Leaf = "opening" };
    }

    private static LayoutAssessment Rooftop(LayoutDesign design, UnitSheetDesign sheet, AcUnit unit, double lowestSunDeg)
    {
        var o = design.Opening;
        var opening = RooftopOpening.Of(o.GasketM, o.PressedM, o.AcrossM, o.CrownM);
        var findings = Finding.Ranked(OpeningFindings.Of(design, opening, unit));
        var elsewhere = Phrase.Of($"{unit.NameFirst} stands on the roof: it has no wall, no pipe and no hole to drill.");
        var sound = new SoundRow("at the neighbour", Sound.At(Sound.Beside(sheet.Outdoor.LoudDb ?? 65, design.Sound.Faces), design.Sound.NeighbourM),
            Sound.NeighbourDb);
        var pillow = new SoundRow("at the pillow, inside part at its lowest", Sound.At(sheet.Head.QuietDb ?? 50, design.Sound.PillowM), Sound.PillowDb);
        return new LayoutAssessment(new Verdict(Verdict.Worst(findings),
            findings.Any(f => f.Level == Severity.Stop) ? Phrase.Of($"The roof opening does not do for this unit.")
                : Phrase.Of($"The opening fits; its gasket is pressed to {opening.CrownShare:Fraction}, at its edge to {opening.EdgeShare:Fraction}."),
            elsewhere), findings,
            [
                new Figure("Gasket pressed, crown", opening.CrownShare, QuantityKind.Fraction, Working.Start()
                    .Step("c", "1 − pressed/free", $"{o.PressedM:0.####}/{o.GasketM:0.####}", opening.CrownShare, "",
                        Citations.Trade).Done()) { Leaf = "opening" },
                new Figure("Gasket pressed, edge", opening.EdgeShare, QuantityKind.Fraction, Working.Start()
                    .Step("s", "w²/(8·R)", $"w {o.AcrossM:0.###} m", opening.SagM, "m", Citations.Geometry)
                    .Step("c", "1 − (pressed + s)/free", $"s {opening.SagM:0.#####}", opening.EdgeShare, "", Citations.Trade).Done()) { Leaf = "opening" },
                Shadow(sheet.Outdoor.HeightM ?? 0.3, lowestSunDeg > 0 ? lowestSunDeg : UsualSunDeg),
            ])
        {
            Opening = opening,
            Sound = [pillow, sound],
            Answers = new Dictionary<string, Phrase>
            {
                ["outdoor"] = elsewhere,
                ["pipe"] = elsewhere,
                ["drain"] = Phrase.Of($"Its water runs off the roof; keep the tray's outlets open."),
                ["sound"] = Phrase.Of($"{pillow.Db:Count} dB(A) at the pillow at its lowest, {sound.Db:Count} dB(A) at the neighbour."),
                ["opening"] = Phrase.Of($"The gasket is pressed to {opening.CrownShare:Fraction} on the crown and {opening.EdgeShare:Fraction} at its edge."),
            },
        };
    }
}
