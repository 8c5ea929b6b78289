using Vanto.Core.Layout;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Plan;

/// <summary>A thing that the job takes.</summary>
/// <param name="Id">Of the library.</param>
/// <param name="Name">In words.</param>
/// <param name="Unit">It is counted in.</param>
/// <param name="Quantity">The design asks for.</param>
/// <param name="InBox">Of that in the unit's box.</param>
/// <param name="Need">To be bought, with what is cut off.</param>
/// <param name="Packs">Which packs, in words.</param>
/// <param name="Bought">In them.</param>
/// <param name="Cost">Of them; nothing without a price.</param>
/// <param name="NeededBy">The step that takes it first.</param>
/// <param name="NeededMin">Its begin in the plan.</param>
/// <param name="OrderBy">Last day to order it; empty without a first day.</param>
/// <param name="Because">What asks for it.</param>
/// <param name="Changed">How it was changed by hand; empty where it was not.</param>
public sealed record BuyRow(string Id, string Name, string Unit, double Quantity, double InBox, double Need, string Packs, double Bought, decimal? Cost,
    string NeededBy, int? NeededMin, string OrderBy, string Because, string Changed)
{
    /// <summary>Working days it may take to come, at worst.</summary>
    public int LeadDays { get; init; }

    /// <summary>True where nothing of it is bought.</summary>
    public bool Nothing => Need <= 0;
}

/// <summary>What becomes of a part of the box.</summary>
/// <param name="Name">The part.</param>
/// <param name="Count">How many.</param>
/// <param name="Fits">It does for this job.</param>
/// <param name="Words">Where it goes, or why it does not.</param>
public sealed record BoxRow(string Name, int Count, bool Fits, string Words);

/// <summary>What is bought, what is in the box, and what of that is of no use.</summary>
public static class TakeOff
{
    private const double JointSleeveM = 0.15;
    private const double HoseReachesM = 0.9;
    private const double BeyondM = 0.01;
    private const double HoleSealM = 0.025;
    private const double SoapPerJointMl = 10;
    private const double SealantPerJointMl = 0.2;
    private const double OilMl = 300;
    private const double GravelKgM3 = 1600;
    private const double GravelM = 0.1;
    private const double MeshEdgeM = 0.1;
    private const double TapeTurnsM = 0.19;
    private const double TapePitchM = 0.025;
    private const double PumpBeyondM = 0.3;
    private const double PipeBeyondM = 0.1;
    private const double DrainStickM = 3;
    private const double ClipM = 0.5;
    private const double BeadM = 0.008;
    private const double LeastSealMl = 30;
    private const double MlPerM3 = 1e6;
    private const double ThinScrewM = 0.004;

    /// <summary>Working days kept beside the supplier's own, one of them for what lies ready on the day before; the product's own choice.</summary>
    public const int AheadDays = 3;

    /// <summary>Lines of the job, in the library's order.</summary>
    public static IReadOnlyList<BuyRow> Of(PlanSetting s, TaskNetwork net, WorkSchedule? schedule)
    {
        var library = TaskLibrary.Standard;
        var steps = net.Steps.ToLookup(x => x.Task.Id);
        var starts = schedule?.Tasks.ToDictionary(t => t.Task, t => t.Start) ?? [];
        var first = s.FirstDay;
        return [.. library.Materials.Where(m => library.Holds(m.When, net.Tags)).Select(m => Row(s, m, net, starts, steps, first))
            .Where(r => r.Quantity > 0)];
    }

    private static BuyRow Row(PlanSetting s, Material m, TaskNetwork net, Dictionary<string, int> starts, ILookup<string, JobStep> steps, DateOnly? firstDay)
    {
        var (quantity, because) = Asked(s, m.Id, net);
        var change = s.Design.Changes.FirstOrDefault(c => c.Item == m.Id);
        var inBox = Math.Min(quantity, s.Sheet.Box.Where(p => Fits(s, p).Fits && ItemOf(p.Kind) == m.Id).Sum(p => InBox(p, m.Unit)));
        var need = change is { Struck: true } ? 0 : change?.Quantity ?? Math.Max(0, quantity - inBox) * (1 + (Measured.Contains(m.Id) ? 0 : m.WasteFraction));
        var counted = m.Unit is not ("m" or "m2" or "kg" or "mL");
        need = counted ? Math.Ceiling(need - Slack) : need;
        var priced = s.Design.Prices.Where(p => p.Item == m.Id).Take(8).ToList();
        var step = counted ? 1 : m.Unit == "mL" ? 1.0 : 0.05;
        var packs = priced.Count > 0 ? priced.Select(p => new Pack(Round(p.Pack, step), (decimal)p.Price)).ToList()
            : m.DefaultPacks.Select(p => new Pack(p, 0)).ToList();
        var choice = PackCover.Of(Math.Min(need, MostBought * step), packs, step);
        var words = string.Join(" + ", choice.Counts.Select((n, i) => (n, packs[i].Size)).Where(x => x.n > 0)
            .Select(x => FormattableString.Invariant($"{x.n} × {x.Size:0.##}{(counted ? "" : $" {Said(m.Unit)}")}")));
        var first = (m.OrTasks ?? []).Prepend(m.NeededByTask).SelectMany(id => steps[id]).ToList();
        var at = first.Select(f => starts.TryGetValue(f.Id, out var start) ? start : (int?)null).Min();
        var lead = priced.Max(p => p.LeadDays) ?? (int)m.LeadWorkingDays[2];
        var order = firstDay is { } day
            ? new SupplierDays().Back(day.AddDays((at ?? 0) / WorkCalendar.Day), lead + AheadDays).ToString("yyyy-MM-dd") : "";
        return new BuyRow(m.Id, m.Name, Said(m.Unit), quantity, inBox, need, words, choice.Bought, priced.Count > 0 ? choice.Cost : null,
            first.FirstOrDefault()?.Task.Name ?? "", at, order, because, change is null ? ""
                : change.Struck ? $"struck: {change.Why}" : FormattableString.Invariant($"{change.Quantity:0.##} instead of {quantity:0.##}: {change.Why}"))
        {
            LeadDays = lead,
        };
    }

    private const double MostBought = 100_000;

    /// <summary>A count this close above a whole one is that one.</summary>
    private const double Slack = 1e-9;

    /// <summary>What Wiring and Mount measure with their own waste.</summary>
    private static readonly HashSet<string> Measured = ["supply-cable", "interconnect", "string-cable", "dc-cable", "frame-stock"];

    private static double Round(double size, double step) => Math.Max(step, Math.Round(size / step) * step);

    private static string Said(string unit) => unit == "m2" ? "m²" : unit == "count" ? "" : unit;

    /// <summary>How much of a material the design asks for, and what asks.</summary>
    private static (double Quantity, string Because) Asked(PlanSetting s, string id, TaskNetwork net)
    {
        double Usual(string driver) => TaskLibrary.Standard.Drivers.First(d => d.Id == driver).Default;
        var run = s.Placed.Ways.Count > 0 ? s.Placed.Ways[0].LengthM : Usual("runM");
        var drain = s.Placed.Drain is { Along.Count: > 0 } d ? d.Along[^1] : Usual("drainM");
        double Cable(double wayM) => WiringPapers.BuyM(wayM, !s.Wired.Metric);
        var zones = s.Zones;
        var joints = TaskNetwork.SplitJoints * zones;
        var layout = s.Layout;
        var kit = layout.Line.Kind is not LineKind.Bare;
        var (hole, bundle) = (s.Placed.Wall?.HoleM ?? 0, s.Placed.Bundle?.BundleM ?? 0);
        var ring = Math.Max(0, Math.PI / 4 * (hole * hole - bundle * bundle)) * HoleSealM * 2 * MlPerM3;
        var around = 2 * (layout.Opening.LengthM + layout.Opening.WidthM);
        var slab = s.Mount.Slab;
        static string M(double metres) => FormattableString.Invariant($"{metres:0.0} m");
        return id switch
        {
            "line-set" => kit ? (zones, $"way of the pipe {M(run)}") : (0, ""),
            "pipe-coil" => kit ? (0, "") : (s.Placed.Ways.Count > 0 ? s.Placed.Ways[0].NeedM * zones : run * zones, $"way of the pipe {M(run)}, {zones} head"),
            "insulation" => kit ? (0, "") : (2 * run * zones, "both pipes"),
            "bundle-tape" => (run * zones * TapeTurnsM / TapePitchM, $"way of the pipe {M(run)}"),
            "line-cover" => (run * zones, $"way of the pipe {M(run)}"),
            "line-clip" => (Math.Ceiling(run / ClipM) * zones, "one each half metre"),
            "anchor" => (2 * s.Mount.Fixing.InRow * s.Mount.Fixing.Rows, "fixing of the mount"),
            "mount-bolt" or "rubber-foot" => (4, "four feet"),
            "frame-stock" => (s.Mounted.Workshop.Stock.Values.Sum(p => p.Bars.Count) * s.Mount.StockM, "bars of the cut list"),
            "spreader" => (s.Mount.Fixing.Spreader || net.Tags.Contains("split-boat") ? 2 : 1, "backing of the mount"),
            "concrete" => (s.Mounted.Slab?.Bags ?? Usual("slabBags"),
                FormattableString.Invariant($"slab {slab.LengthM:0.##} × {slab.WidthM:0.##} × {slab.ThickM:0.##} m")),
            "mesh" => (Math.Max(0, (slab.LengthM - MeshEdgeM) * (slab.WidthM - MeshEdgeM)), "slab"),
            "gravel" => (slab.LengthM * slab.WidthM * GravelM * GravelKgM3, "under the slab or pad"),
            "sleeve" => ((layout.Wall.ThicknessM + BeyondM) * zones, "hole through the wall"),
            "sealant" => (Math.Max(ring * zones, LeastSealMl) + (net.Tags.Contains("rooftop") ? around * BeadM * BeadM / 2 * MlPerM3 : 0),
                "round the hole and the feet"),
            "foam" => (ring * zones, "in the hole"),
            "butyl" => (around, "round the opening"),
            "drain-hose" => (Math.Min(drain, HoseReachesM), $"drain {M(drain)}"),
            "drain-pipe" => (drain > HoseReachesM ? drain - HoseReachesM + PipeBeyondM : 0, $"drain {M(drain)}"),
            "drain-fitting" => (drain > HoseReachesM ? 1 + Math.Max(0, Math.Ceiling((drain - HoseReachesM) / DrainStickM) - 1) + layout.Drain.Points.Count : 0,
                "bends and couplings"),
            "pump-hose" => (layout.Drain.LiftM + layout.Drain.HoseM + PumpBeyondM, "lift and way of the pump's hose"),
            "supply-cable" => (Cable(s.Wired.Branch.WayM), $"way from the board {M(s.Wired.Branch.WayM)}"),
            "interconnect" => (s.Wired.Between.LengthM is { } between ? Cable(between) * zones : 0, "between head and outdoor unit"),
            "gland" => (2 * zones, "both ends"),
            "ferrule" => (4.0 * Math.Max(3, s.Wired.Between.Rows.Count) * zones, "cores at both ends"),
            "breaker" or "disconnect" or "soft-starter" or "pump" or "pad" or "wall-bracket" or "outdoor-unit" or "rooftop-unit" or "ceiling-part"
                or "roof-gasket" or "inverter" or "main-fuse" or "dc-isolator" => (1, "the design"),
            "splice" => (6, "three wires cut and joined twice"),
            "bond-tape" => (0.4, "twice the soft starter's back"),
            "module" => (s.Survey.Sources.Modules.Count, "modules of the survey"),
            "module-foot" => (2.0 * s.Survey.Sources.Modules.Count, "two a module"),
            "string-cable" => (2 * Cable(s.Wiring.Pv.CableM), "both ways to the controller"),
            "string-plug" => (1, "one home run"),
            "battery-item" => (s.Survey.Sources.Battery.Blocks, "blocks of the bank"),
            "dc-cable" => (2 * (s.Wired.Battery?.Parallels ?? 1) * WiringPapers.BuyM(s.Survey.Sources.Battery.CableM, false), "both poles"),
            "nitrogen" => (Fillings * NitrogenSupply.Of(CopperTube.BoreM(s.Sheet.Circuit.LiquidM ?? ThinPipeM),
                CopperTube.BoreM(s.Sheet.Circuit.GasM ?? ThickPipeM),
                run, CoilM3, HosesM3, s.Sheet.Circuit.ProofPa ?? UsualProofPa, 0, BottleM3, RoomK).TestKg, "two fillings"),
            "refrigerant" => (s.Placed.Ways.Count > 0 ? s.Placed.Ways[0].AddedKg : 0.1, "beyond the pipe it is charged for"),
            "pump-oil" => (OilMl, "a change"),
            "leak-soap" => (SoapPerJointMl * joints, "each joint"),
            "thread-sealant" => (SealantPerJointMl * joints, "each joint"),
            "joint-sleeve" => (JointSleeveM * joints, "each joint"),
            "coil-cleaner" => (500, "a coil"),
            "filter" => (1, "the head"),
            _ => (1, "the design"),
        };
    }

    private const double CoilM3 = 8e-4;
    private const double HosesM3 = 2e-4;
    private const double BottleM3 = 0.010;
    private const double RoomK = 293.15;
    private const double UsualProofPa = 2.8e6;
    private const double ThinPipeM = 0.00635;
    private const double ThickPipeM = 0.009525;
    private const double Fillings = 2;

    private static string? ItemOf(BoxKind kind) => kind switch
    {
        BoxKind.Anchor => "anchor",
        BoxKind.Hose => "drain-hose",
        BoxKind.Sleeve => "sleeve",
        BoxKind.LineSet => "line-set",
        BoxKind.Elbow => "drain-fitting",
        BoxKind.Pad => "rubber-foot",
        BoxKind.Cable => "interconnect",
        _ => null,
    };

    private static double InBox(BoxPart part, string unit) => unit == "m" ? part.Count * (part.LengthM ?? 0) : part.Count;

    /// <summary>Every part of the box against this job.</summary>
    public static IReadOnlyList<BoxRow> Box(PlanSetting s) => [.. s.Sheet.Box.Select(p => Fits(s, p) is var f
        ? new BoxRow(p.Name.Length > 0 ? p.Name : Calls.Name(p.Kind), p.Count, f.Fits, f.Words) : null!)];

    private static (bool Fits, string Words) Fits(PlanSetting s, BoxPart part)
    {
        var run = s.Placed.Ways.Count > 0 ? s.Placed.Ways[0].NeedM : 0;
        var wall = s.Layout.Wall;
        static string M(double metres) => FormattableString.Invariant($"{metres:0.00} m");
        static string Mm(double metres) => FormattableString.Invariant($"{metres * 1000:0.#} mm");
        return part.Kind switch
        {
            BoxKind.Anchor when wall.Build != WallBuild.Masonry => (false, $"made for masonry; the wall is {Calls.Name(wall.Build)}"),
            BoxKind.Screw when part.SizeM < ThinScrewM => (false, $"{Mm(part.SizeM.Value)} is too thin for the plate: {Mm(ThinScrewM)} at least"),
            BoxKind.Screw when wall.Build == WallBuild.Ribs && part.LengthM > wall.ThicknessM =>
                (false, $"{Mm(part.LengthM.Value)} comes out of a wall of {Mm(wall.ThicknessM)}"),
            BoxKind.LineSet when part.LengthM < run => (false, $"{M(part.LengthM.Value)}; the way asks for {M(run)}"),
            BoxKind.Cable when part.LengthM < s.Wired.Between.LengthM => (false,
                $"{M(part.LengthM.Value)}; between the units {M(s.Wired.Between.LengthM.Value)}"),
            BoxKind.Sleeve when part.LengthM < wall.ThicknessM => (false, $"{M(part.LengthM.Value)}; the wall is {M(wall.ThicknessM)} thick"),
            BoxKind.Hose when part.SizeM is { } inside && Math.Abs(inside - s.Layout.Drain.InsideM) > 0.003 =>
                (false, $"inside {Mm(inside)}; the drain is {Mm(s.Layout.Drain.InsideM)}"),
            BoxKind.Elbow when s.Mount.Frame.StandM < 0.05 => (false, "the unit stands too low for it"),
            _ => (true, ItemOf(part.Kind) is { } item && TaskLibrary.Standard.Materials.Any(m => m.Id == item) ? "taken off what is bought" : "at hand"),
        };
    }
}
