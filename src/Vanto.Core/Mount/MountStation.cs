using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Mount;

/// <summary>What carries the unit: whether it bears standing, the road, wind or sea, how it is held, what the vehicle says, what the workshop needs.</summary>
public sealed class MountStation : Station<MountAssessment>
{
    /// <inheritdoc />
    public override string Name => "mount";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Design;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("bracket", "bracket", "Does it carry the unit?"),
        new("fixing", "fixing", "Does it hold in what it is fixed to?"),
        new("road", "on the move", "Does it last on the road or at sea?"),
        new("papers", "papers", "What does the workshop need?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
        [typeof(UnitAssessment), typeof(LayoutAssessment), typeof(SurveyDesign), typeof(UnitDesign), typeof(LayoutDesign), typeof(MountDesign)];

    internal const double AirC = 15;

    /// <summary>What gives less than this is not said, m.</summary>
    private const double ShownFromM = 0.0002;

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var (design, layout, unit) = (job.Design<MountDesign>(), job.Design<LayoutDesign>(), job.Result<UnitAssessment>().Unit);
        var sheet = UnitSheets.Known(job.Design<UnitDesign>(), unit);
        var s = MountSetting.Of(design, layout, job.Result<LayoutAssessment>(), job.Design<SurveyDesign>(), unit, sheet);
        var density = WindLoad.DensityKgM3(s.ElevationM, AirC);
        var cases = LoadCases.Of(s.MassKg, s.Base, s.Side, s.OnRoof, design.Bear, design.Road, s.WidthM * s.HeightM,
            s.WidthM * s.DepthM, density);
        var parts = MountFrame.Judge(s, cases);
        var bends = Deflection.Of(s);
        var shake = Vibration.Of(s.MassKg, 4, design.Feet.EachNm, design.Feet.Damping, bends.StiffnessNm, design.Feet.FromHz,
            Math.Max(design.Feet.FromHz, design.Feet.ToHz));
        var lightest = LightestMount.Of(s, cases);
        var result = new MountAssessment(new Verdict(Verdict.Worst([]), Phrase.Of($""), Phrase.Of($"")), [], [])
        {
            View = View(s, cases, parts),
            How = s.How,
            Into = s.Into,
            Base = s.Base,
            MassKg = s.MassKg,
            Cases = [.. cases.Select(c => new CaseRow(c.Name, c.Force.X, c.Force.Y, -c.Force.Z, c.Factor))],
            Parts = parts,
            Lightest = lightest,
            TakeLightest = Taken(design, lightest),
            Vibration = shake,
            Landing = Landing(s),
            Bears = MountFrame.Bears(s),
            Slab = s.Kind == MountKind.Pad && design.Slab.Cast ? Slab.Of(design.Slab.LengthM, design.Slab.WidthM, design.Slab.ThickM, design.Slab.Bag,
                design.Slab.Waste, design.Slab.SetsC) : null,
            Axles = s.Base == RigBase.Vehicle ? Axles(s) : null,
            HeightM = s.Base != RigBase.Vehicle ? null : Math.Max(design.Road.HighM, design.Road.TopM ?? 0),
            Workshop = CutList.Of(s),
            PutUp = WorkshopCautions.PutUp(s.Kind),
            TakeDown = WorkshopCautions.TakeDown(s.Kind),
        };
        var findings = Finding.Ranked(new MountFindings { S = s, Result = result, Cases = cases, Bends = bends, Sheet = sheet, Layout = layout }.All());
        return result with
        {
            Verdict = Say(s, result, findings),
            Findings = findings,
            Figures = Figures(s, result, bends),
            Answers = Answers(s, result),
        };
    }

    private static Remedy? Taken(MountDesign design, LightestMount lightest)
    {
        if (lightest is not { MassKg: > 0, Arm: { } arm })
            return null;
        var frame = design.Frame.Of(arm) with { Strut = lightest.Strut ?? design.Frame.Strut };
        return frame == design.Frame ? null : new Remedy(Phrase.Of($"take it"), Phrase.Of($"{lightest.Words}, {lightest.MassKg:Mass}"),
            DesignEdit.Of(design, m => m with { Frame = frame }));
    }

    private static LandingView? Landing(MountSetting s)
    {
        if (!s.OnArms || s.Ribs.Count == 0 || s.Into is not (FixedTo.Ribs or FixedTo.Studs))
            return null;
        double[] columns = [s.MiddleM - s.FeetWideM / 2, s.MiddleM + s.FeetWideM / 2];
        var shift = s.Design.Fixing.ShiftM;
        var edge = Math.Max(LeastEdgeM, 1.5 * Bolt.Mm(s.Design.Fixing.Size) / 1000);
        var fit = StudFit.Of(columns, s.Ribs, Math.Max(0.001, s.RibWidthM / 2 - edge), -shift, shift);
        SpreaderRail? rail = null;
        if (s.Design.Fixing.Spreader)
        {
            var at = columns[0] + fit.ShiftM;
            var left = s.Ribs.Where(r => r <= at).DefaultIfEmpty(s.Ribs[0]).Max();
            var right = s.Ribs.Where(r => r > at).DefaultIfEmpty(s.Ribs[^1]).Min();
            if (right > left)
                rail = SpreaderRail.Of(4 * s.MassKg * Gravity.Standard / 2, Math.Clamp(at - left, 0, right - left), right - left);
        }
        return new LandingView([.. columns.Select(c => c + fit.ShiftM)], fit, s.Ribs, s.RibWidthM, rail);
    }

    /// <summary>What a fastener keeps from the edge of a member, m; common practice.</summary>
    private const double LeastEdgeM = 0.012;

    private static AxlesView Axles(MountSetting s)
    {
        var (road, mass) = (s.Design.Road, Added(s));
        var added = VehicleMass.Of(mass, road.BehindM, road.WheelbaseM);
        var total = (road.FrontKg ?? 0) + (road.RearKg ?? 0);
        var before = VehicleMass.TipsG(road.TrackM, road.CentreM);
        var at = (road.TopM ?? road.CentreM) - (road.TopM is null ? 0 : s.HeightM / 2);
        var after = total <= 0 ? before : VehicleMass.TipsG(road.TrackM, VehicleMass.HighM(total, road.CentreM, mass, at));
        return new AxlesView(road.FrontKg + added.FrontKg, road.RearKg + added.RearKg, road.FrontMayKg, road.RearMayKg, added.FrontKg, added.RearKg,
            before, after);
    }

    /// <summary>Unit and mount together, kg.</summary>
    internal static double Added(MountSetting s) => s.MassKg + CutList.Of(s, false).MassKg;

    private static MountView View(MountSetting s, IReadOnlyList<LoadCase> cases, IReadOnlyList<MountPart> parts)
    {
        var governs = s.OnArms ? cases.MaxBy(c => c.Factor * Math.Sqrt(c.Force.X * c.Force.X + c.Force.Z * c.Force.Z))!
            : cases.FirstOrDefault(c => parts.Count > 0 && c.Name == parts[0].Case) ?? cases[0];
        var frame = s.Design.Frame;
        var (rear, front) = s.FeetAt;
        var feet = MountFrame.Reactions(s, governs);
        var pull = s.Kind == MountKind.Braced
            ? governs.Factor * BracedArm.Of([new(feet.RearLeft, rear), new(feet.FrontLeft, front)], frame.StrutOutM, frame.StrutDownM).PullN : 0;
        return new MountView
        {
            Kind = s.Kind,
            UnitWidthM = s.WidthM,
            UnitDepthM = s.DepthM,
            UnitHeightM = s.HeightM,
            OffM = s.OffM,
            RearFootM = rear,
            FrontFootM = front,
            FeetWideM = s.FeetWideM,
            HighM = s.HighM,
            ArmM = frame.ArmM,
            ArmHighM = s.Arm.HighMm / 1000,
            StrutOutM = frame.StrutOutM,
            StrutDownM = frame.StrutDownM,
            StrutHighM = s.Strut.HighMm / 1000,
            BaseDeepM = frame.BaseDeepM,
            BaseWideM = frame.BaseWideM,
            StandM = s.Kind == MountKind.Pad ? s.Design.Slab.ThickM : frame.StandM,
            ForceOutN = governs.Factor * governs.Force.X,
            ForceUpN = governs.Factor * governs.Force.Z,
            ForceSideN = governs.Factor * governs.Force.Y,
            ForceCase = governs.Name,
            PullN = pull,
        };
    }

    private static Verdict Say(MountSetting s, MountAssessment r, IReadOnlyList<Finding> findings)
    {
        var state = Verdict.Worst(findings);
        var worst = r.Parts.Count > 0 ? r.Parts[0] : null;
        var moves = s.Base switch { RigBase.Vehicle => "the road", RigBase.Boat => "the sea", _ => "what is asked of it" };
        var headline = worst is null ? Phrase.Of($"Nothing is judged of this mount.")
            : worst.Used > 1 ? Phrase.Of($"Too weak: {Calls.Name(worst.Element)} at {worst.Used:Fraction} of what it bears, {worst.Case}.")
            : findings.Any(f => f.Level == Severity.Stop) ? Phrase.Of($"Strong enough, but something else stops it.")
            : s.Kind == MountKind.Clamp ? Phrase.Of($"Its clamp holds {s.Design.Bear.Times:Number} times the weight and {moves}: {worst.Used:Fraction} used.")
            : Phrase.Of($"Bears {s.Design.Bear.Times:Number} times the weight and {moves}; {Calls.Name(worst.Element)} at {worst.Used:Fraction}.");
        return new Verdict(state, headline, s.Kind switch
        {
            MountKind.Clamp => Phrase.Of($"Roof, ribs and gasket are judged at Layout."),
            MountKind.Pad when r.Slab is { } slab =>
                Phrase.Of($"{Calls.Many(slab.Bags, "bag")} of concrete; {Math.Ceiling(slab.WaitDays):Count} days before it is loaded."),
            MountKind.Pad or MountKind.Railing or MountKind.Window => Phrase.Of($"On its feet it swings at {r.Vibration.OwnHz:Frequency}."),
            _ when r.Lightest.MassKg > 0 && r.Workshop.MassKg > r.Lightest.MassKg + 0.05 => Phrase.Of(
                $"On its feet it swings at {r.Vibration.OwnHz:Frequency}. It weighs {r.Workshop.MassKg:Mass}; {r.Lightest.MassKg:Mass} would do."),
            _ => Phrase.Of($"On its feet it swings at {r.Vibration.OwnHz:Frequency}; the mount weighs {r.Workshop.MassKg:Mass}."),
        });
    }

    private static Dictionary<string, Phrase> Answers(MountSetting s, MountAssessment r)
    {
        var held = r.Parts.FirstOrDefault(p => p.Element is MountElement.Fastener or MountElement.Holder);
        var into = Calls.Name(s.Into);
        return new Dictionary<string, Phrase>
        {
            ["fixing"] = MountFrame.Unrated(s) ? Phrase.Of($"Nobody has typed what the {Calls.Name(s.How)} bear in this wall.")
                : held is null ? Phrase.Of($"It only stands there; nothing pulls at a fastener.")
                : held.Used > 1 ? Phrase.Of($"Does not hold in {into}: {Calls.Name(held.Element)} at {held.Used:Fraction}, {held.Case}.")
                : Phrase.Of($"Holds in {into}: {held.Used:Fraction} used, {held.Case}."),
            ["road"] = s.Base switch
            {
                RigBase.Building => Phrase.Of($"It stands still: wind and the ground decide."),
                RigBase.Boat => Phrase.Of($"Rolls {s.Design.Bear.RollDeg:Degrees} in {s.Design.Bear.RollS:Seconds}; the sea asks "
                    + $"{Greatest(r):Force} of it."),
                _ => r.Axles is { FrontKg: { } front, RearKg: { } rear }
                    ? Phrase.Of($"Axles {front:Mass} and {rear:Mass} with the unit on; {r.HeightM ?? 0:Length} high.")
                    : Phrase.Of($"{r.Axles!.RearAddsKg:Mass} more on the rear axle, {r.Axles.FrontAddsKg:Mass} on the front; {r.HeightM ?? 0:Length} high."),
            },
            ["papers"] = r.Workshop.Parts.Count == 0 ? Phrase.Of($"Nothing is cut for this mount.")
                : Phrase.Of($"{r.Workshop.Parts.Sum(p => p.Count):Count} pieces out of {Calls.Many(r.Workshop.Stock.Values.Sum(p => p.Bars.Count), "bar")}, "
                    + $"{r.Workshop.MassKg:Mass} with its bolts."),
        };
    }

    private static double Greatest(MountAssessment r) =>
        r.Cases.Max(c => c.Factor * Math.Sqrt(c.AheadN * c.AheadN + c.SidewaysN * c.SidewaysN + c.DownN * c.DownN));

    private static IReadOnlyList<Figure> Figures(MountSetting s, MountAssessment r, Deflection bends)
    {
        var figures = new List<Figure>();
        void Add(string leaf, string label, double value, QuantityKind kind, WorkingBuilder working) =>
            figures.Add(new Figure(label, value, kind, working.Done()) { Leaf = leaf });
        Add("", "The unit weighs", s.MassKg, QuantityKind.Mass,
            Working.Start().Step("m", "from the unit sheet", $"{s.MassKg:0.##} kg", s.MassKg, "kg", Citations.Trade));
        Add("", "Most asked of the mount", Greatest(r), QuantityKind.Force,
            Working.Start().Step("γ·F", "greatest of all cases, factor in it", $"{r.Cases.Count} cases", Greatest(r), "N", Citations.MountCases));
        if (r.Parts.Count > 0)
            Add("", "Most used part", r.Parts[0].Used, QuantityKind.Fraction, Working.Start()
                .Step("E", $"load effect, {r.Parts[0].Case}", $"{Calls.Name(r.Parts[0].Element)}, {r.Parts[0].How}", r.Parts[0].Asked, r.Parts[0].Unit,
                    Citations.Statics)
                .Step("R_d", "what it bears", $"strength over its part", r.Parts[0].Bears, r.Parts[0].Unit, Citations.MountScheme)
                .Step("U", "E/R_d", $"{r.Parts[0].Asked:0.##}/{r.Parts[0].Bears:0.##}", r.Parts[0].Used, "", Citations.MountScheme));
        if (bends.TipM > ShownFromM)
            Add("", "It gives under the unit", bends.TipM, QuantityKind.SmallLength, Working.Start()
                .Step("δ", "Σ P·a²·(3·L − a)/(6·E·I) and the strut", $"limit {1000 * bends.LimitM:0.0} mm", bends.TipM, "m", Citations.Statics));
        Add("", "On its feet it swings at", r.Vibration.OwnHz, QuantityKind.Frequency, Working.Start()
            .Step("f_n", "√(k/m)/2π", $"4 feet of {s.Design.Feet.EachNm / 1000:0.#} N/mm", r.Vibration.OwnHz, "Hz", Citations.Statics));
        var bears = r.Bears;
        if (bears.PullN > 0)
            Add("fixing", "One fastener bears, pull", bears.PullN, QuantityKind.Force, Working.Start()
                .Step("F_t", "strength over its part", $"{Calls.Name(s.Design.Fixing.Size)}, {Calls.Name(s.How)}", bears.PullN, "N", Cites(s)));
        if (r.Axles is { } axles)
            Add("road", "Onto the rear axle", axles.RearAddsKg, QuantityKind.Mass, Working.Start()
                .Step("ΔR", "m·d/wb", $"{Added(s):0.#}·{s.Design.Road.BehindM:0.##}/{s.Design.Road.WheelbaseM:0.##}", axles.RearAddsKg, "kg",
                    Citations.Statics));
        if (r.Slab is { } slab)
            Add("", "Concrete", slab.VolumeM3, QuantityKind.Volume, Working.Start()
                .Step("V", "L·W·t", $"{slab.Bags} bags, {slab.MassKg:0} kg", slab.VolumeM3, "m³", Citations.Geometry));
        if (r.Workshop.MassKg > 0)
            Add("papers", "The mount weighs", r.Workshop.MassKg, QuantityKind.Mass, Working.Start()
                .Step("m", "Σ ρ·A·L and a fiftieth for fasteners", $"{r.Workshop.Parts.Count} kinds of parts", r.Workshop.MassKg, "kg",
                    Citations.Geometry));
        return figures;
    }

    internal static Citation Cites(MountSetting s) => s.How switch
    {
        FixingKind.Lag => Citations.WoodScrews,
        FixingKind.SheetScrew => Citations.SheetScrews,
        FixingKind.Anchor or FixingKind.RivetNut => Citations.AnchorPaper,
        _ => Citations.Bolts,
    };
}
