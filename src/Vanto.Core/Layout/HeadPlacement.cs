using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Core.Layout;

/// <summary>A wall, its head and its hole as they are measured: what every rule of the wall leans on. Lengths in m, seen from inside.</summary>
public sealed record WallSetting
{
    public required double WidthM { get; init; }
    public required IReadOnlyList<(double X, double Y)> Ceiling { get; init; }
    public required double ThicknessM { get; init; }

    /// <summary>Middles of its ribs or studs.</summary>
    public required IReadOnlyList<double> Ribs { get; init; }
    public required double RibWidthM { get; init; }
    public required double HeadM { get; init; }
    public required double HighM { get; init; }
    public required HeadNeeds Needs { get; init; }
    public required IReadOnlyList<KeepOut> KeepOuts { get; init; }
    public required IReadOnlyList<(ThingDesign Thing, Hidden Hidden)> Hidden { get; init; }
    public required HeadSpotDesign Spot { get; init; }
    public required double HoleRightM { get; init; }
    public required double HoleUpM { get; init; }
    public required double HoleM { get; init; }
    public required double FallM { get; init; }

    /// <summary>Screw holes of the plate, from its lower left corner.</summary>
    public required IReadOnlyList<(double U, double V)> Screws { get; init; }

    /// <summary>Distance of a hole that goes by the head's side from that side.</summary>
    private const double BesideM = 0.05;

    /// <summary>Middle of the hole for a head that hangs there.</summary>
    public double HoleX(double left) => HoleX(left, Spot.Exit);

    /// <summary>Middle of the hole where the pipes leave another way.</summary>
    public double HoleX(double left, HeadExit exit) => exit switch
    {
        HeadExit.Left => left - BesideM - HoleM / 2,
        HeadExit.Right => left + HeadM + BesideM + HoleM / 2,
        _ => left + Spot.PlateRightM + HoleRightM,
    };

    /// <summary>The hole for a head that hangs there.</summary>
    public WallHole Hole(double low) => WallHole.Of(ThicknessM, FallM, HoleM, low + Spot.PlateUpM, HoleUpM, HoleM, 2 * Spot.ProudM);

    /// <summary>Ribs that carry at least one screw of the plate.</summary>
    public int RibsHit(double left)
    {
        var (hit, last) = (0, double.NaN);
        foreach (var u in Across)
        {
            var at = left + Spot.PlateRightM + u;
            if (NearestRib(at) is { } rib && rib != last && Math.Abs(at - rib) <= RibWidthM / 2 - EdgeM + 1e-9)
                (hit, last) = (hit + 1, rib);
        }
        return hit;
    }

    /// <summary>Screw holes of the plate along it, each once.</summary>
    public IReadOnlyList<double> Across => _across ??= [.. Screws.Select(s => s.U).Distinct().Order()];

    private IReadOnlyList<double>? _across;

    /// <summary>The rib nearest to a place; they stand evenly.</summary>
    public double? NearestRib(double x)
    {
        if (Ribs.Count < 2)
            return Ribs.Count == 0 ? null : Ribs[0];
        return Ribs[Math.Clamp((int)Math.Round((x - Ribs[0]) / (Ribs[1] - Ribs[0])), 0, Ribs.Count - 1)];
    }

    /// <summary>What a screw keeps from the edge of a rib, m; common practice.</summary>
    public const double EdgeM = 0.010;

    /// <summary>What a design says, with what is not typed taken from the space and from the unit sheet.</summary>
    /// <param name="design">The layout.</param>
    /// <param name="widthM">Width of the wall where none is typed.</param>
    /// <param name="heightM">Height of the ceiling where none is typed.</param>
    /// <param name="sheet">The unit sheet, filled.</param>
    public static WallSetting Of(LayoutDesign design, double widthM, double heightM, UnitSheetDesign sheet)
    {
        var (wall, spot, head) = (design.Wall, design.Head, sheet.Head);
        var width = wall.WidthM ?? widthM;
        var left = wall.CeilingM ?? heightM;
        var ribs = new List<double>();
        if (wall.RibPitchM > 0.02)
            for (var x = wall.RibFirstM; x < width; x += wall.RibPitchM)
                ribs.Add(x);
        var (headM, highM) = (head.WidthM!.Value, head.HeightM!.Value);
        var rows = head.ScrewRows ?? 2;
        var pitch = head.ScrewPitchM ?? 0.04;
        var across = headM - 2 * spot.PlateRightM;
        return new WallSetting
        {
            WidthM = width,
            Ceiling = [(0, left), (width, wall.CeilingRightM ?? left)],
            ThicknessM = wall.ThicknessM,
            Ribs = ribs,
            RibWidthM = wall.RibWidthM,
            HeadM = headM,
            HighM = highM,
            Needs = new HeadNeeds(head.BesideM!.Value, head.BesideM.Value, head.AboveM!.Value, spot.BelowM, spot.LeastUpM),
            KeepOuts = [.. wall.Things.Where(t => t.Place == ThingPlace.Inside).Select(AsKeepOut)],
            Hidden = [.. wall.Things.Select(t => (t, AsHidden(t, wall.ThicknessM)))],
            Spot = spot,
            HoleRightM = head.HoleRightM!.Value,
            HoleUpM = head.HoleUpM!.Value,
            HoleM = spot.HoleM ?? head.HoleM!.Value,
            FallM = spot.FallM ?? WallHole.UsualFallM(wall.ThicknessM),
            Screws = [.. from row in Enumerable.Range(0, rows)
                         from u in Enumerable.Range(0, Math.Max(1, (int)Math.Floor(across / Math.Max(0.005, pitch)) + 1))
                         select (u * pitch, 0.03 + row * (highM - 0.1) / Math.Max(1, rows - 1))],
        };
    }

    /// <summary>What a thing is kept away from by a head: its margin, m, and whether it sticks out; common practice, alarm from memory of NFPA 72.</summary>
    public static (double MarginM, bool SticksOut) Margin(ThingKind kind) => kind switch
    {
        ThingKind.Window or ThingKind.Hatch => (0.05, false),
        ThingKind.Curtain => (0.30, true),
        ThingKind.Cupboard => (0, true),
        ThingKind.Electronics => (1.016, true),
        ThingKind.Alarm => (0.91, true),
        ThingKind.Stove => (1.0, true),
        ThingKind.Socket or ThingKind.Gas => (0.15, kind == ThingKind.Gas),
        ThingKind.Safety => (0.10, false),
        _ => (0, true),
    };

    /// <summary>What a drill keeps from a thing, m; common practice.</summary>
    public static double DrillMargin(ThingKind kind) => kind switch
    {
        ThingKind.Gas => 0.150,
        ThingKind.Safety or ThingKind.Fixture => 0.100,
        _ => 0.050,
    };

    private static string NameOf(ThingDesign t) => t.Name.Length > 0 ? t.Name : Calls.Name(t.Kind);

    private static KeepOut AsKeepOut(ThingDesign t)
    {
        var (margin, sticksOut) = Margin(t.Kind);
        return new KeepOut(NameOf(t), t.LeftM, t.LowM, t.LeftM + t.WidthM, t.LowM + t.HeightM, margin, sticksOut);
    }

    private static Hidden AsHidden(ThingDesign t, double thicknessM)
    {
        var (from, to) = t.Kind is ThingKind.Window or ThingKind.Hatch ? (0.0, thicknessM) : t.Place switch
        {
            ThingPlace.Inside => (0.0, 0.0),
            ThingPlace.Outside => (thicknessM, thicknessM),
            _ => (0, thicknessM),
        };
        return new Hidden(NameOf(t), t.LeftM, t.LeftM + t.WidthM, t.LowM, t.LowM + t.HeightM, from, to);
    }
}

/// <summary>Why a place is not possible, with what is missing, m.</summary>
public sealed record Refusal(string Why, double MissingM);

/// <summary>A place of the head with what speaks for it, each share 0 to 1.</summary>
/// <param name="LeftM">Of the head, from the wall's left edge.</param>
/// <param name="LowM">Of the head, above the floor.</param>
/// <param name="Score">All of them, weighted.</param>
/// <param name="Ribs">Screws in ribs or studs.</param>
/// <param name="Covered">The hole behind the head.</param>
/// <param name="Pipe">Short pipe.</param>
/// <param name="Drain">Fall for the drain.</param>
public sealed record HeadPlace(double LeftM, double LowM, double Score, double Ribs, double Covered, double Pipe, double Drain);

/// <summary>Where a fitter would hang the head: places that nothing forbids, as high as they are
/// free, by what speaks for them. Weights are the product's own.</summary>
public static class HeadPlacement
{
    private const double Grid = 0.01;
    private const double Steps = 400;
    private const double RibsWeigh = 0.3, CoveredWeighs = 0.2, PipeWeighs = 0.25, DrainWeighs = 0.25;
    private const double WellCovered = 0.010;
    private const double RibClear = 0.016;

    /// <summary>What speaks for a place; the pipe's length is a guess from corner to corner.</summary>
    /// <param name="s">Wall and head.</param>
    /// <param name="left">Of the head.</param>
    /// <param name="low">Of the head.</param>
    /// <param name="pipeM">Length of the pipe from the middle of the hole outside (across, up) to the unit.</param>
    /// <param name="fallPct">Fall of the drain from a height, percent.</param>
    public static HeadPlace Score(WallSetting s, double left, double low, Func<double, double, double> pipeM, Func<double, double> fallPct)
    {
        var hole = s.Hole(low);
        var ribs = s.Ribs.Count == 0 ? 1 : s.RibsHit(left) switch { 0 => 0, 1 => 0.6, _ => 1 };
        var covered = s.Spot.Exit != HeadExit.Behind ? 0.3 : hole.DaylightM >= WellCovered ? 1 : hole.DaylightM >= -WallHole.Seen ? 0.5 : 0;
        var pipe = Math.Clamp(1 - pipeM(s.HoleX(left), hole.OutsideUpM) / KitLength.Sold[^1], 0, 1);
        var drain = Math.Clamp(fallPct(hole.OutsideUpM) - DrainRoute.LeastPct, 0, 1);
        return new HeadPlace(left, low, RibsWeigh * ribs + CoveredWeighs * covered + PipeWeighs * pipe + DrainWeighs * drain, ribs, covered, pipe, drain);
    }

    /// <summary>Why a place cannot be; empty where it can.</summary>
    public static IReadOnlyList<Refusal> Refused(WallSetting s, double left, double low)
    {
        var refused = new List<Refusal>();
        void Need(double missing, string why)
        {
            if (missing > 1e-9)
                refused.Add(new Refusal(why, missing));
        }

        Need(s.Needs.LeftM - left, "too near the wall on its left");
        Need(left + s.HeadM + s.Needs.RightM - s.WidthM, "too near the wall on its right");
        Need(low + s.HighM + s.Needs.AboveM - HeadRegion.CeilingLow(s.Ceiling, left, s.HeadM), "too near the ceiling");
        Need(s.Needs.LeastUpM - low, "lower than asked");
        foreach (var k in s.KeepOuts)
        {
            var f = HeadRegion.Forbidden(k, s.HeadM, s.HighM, s.Needs);
            if (left > f.Left + 1e-9 && left < f.Right - 1e-9 && low > f.Low + 1e-9 && low < f.High - 1e-9)
                refused.Add(new Refusal($"too near the {k.Name}",
                    new[] { left - f.Left, f.Right - left, low - f.Low, f.High - low }.Min()));
        }
        refused.AddRange(HoleRefused(s, left, low));
        return refused;
    }

    /// <summary>Why the hole cannot be there: a rib, or something in or behind the wall.</summary>
    public static IEnumerable<Refusal> HoleRefused(WallSetting s, double left, double low)
    {
        var x = s.HoleX(left);
        if (x - s.HoleM / 2 < 0 || x + s.HoleM / 2 > s.WidthM)
            yield return new Refusal("the hole would miss the wall", Math.Max(s.HoleM / 2 - x, x + s.HoleM / 2 - s.WidthM));
        if (s.NearestRib(x) is { } rib)
            if (RibClear - (Math.Abs(x - rib) - s.RibWidthM / 2 - s.HoleM / 2) is > 1e-9 and var missing)
                yield return new Refusal("the hole cuts a rib", missing);
        var hole = s.Hole(low);
        foreach (var (thing, hidden) in s.Hidden)
            if (WallSetting.DrillMargin(thing.Kind) - DrillHazards.Clear(hole, x, s.ThicknessM, s.HoleM, hidden) is > 1e-9 and var missing)
                yield return new Refusal($"the hole comes too near the {hidden.Name}", missing);
    }

    /// <summary>The best places, the best first, each well apart from the ones before.</summary>
    /// <param name="s">Wall and head.</param>
    /// <param name="region">Where the head may hang.</param>
    /// <param name="pipeM">As in <see cref="Score"/>.</param>
    /// <param name="fallPct">As in <see cref="Score"/>.</param>
    /// <param name="most">How many.</param>
    public static IReadOnlyList<HeadPlace> Best(WallSetting s, HeadRegion region, Func<double, double, double> pipeM, Func<double, double> fallPct,
        int most = 3)
    {
        var scored = new List<HeadPlace>();
        foreach (var cell in region.Cells)
            foreach (var x in Across(s, cell))
            {
                if (HoleRibs(s, x))
                    continue;
                if (Heights(cell).Where(y => !HoleRefused(s, x, y).Any()).Select(y => (double?)y).FirstOrDefault() is { } highest)
                    scored.Add(Score(s, x, highest, pipeM, fallPct));
            }
        if (scored.Where(p => HeadRegion.CeilingLow(s.Ceiling, p.LeftM, s.HeadM) - p.LowM - s.HighM <= UnderCeilingM).ToList() is { Count: > 0 } high)
            scored = high;
        var best = new List<HeadPlace>();
        foreach (var place in scored.OrderByDescending(p => Math.Round(p.Score, 9)).ThenBy(p => Math.Abs(p.LeftM + s.HeadM / 2 - s.WidthM / 2))
            .ThenBy(p => p.LeftM).ThenByDescending(p => p.LowM))
        {
            if (best.All(b => Math.Abs(b.LeftM - place.LeftM) + Math.Abs(b.LowM - place.LowM) > Apart))
                best.Add(place);
            if (best.Count == most)
                break;
        }
        return best;
    }

    /// <summary>Cold air falls: a place further under the ceiling counts only where none is nearer, m; common practice.</summary>
    private const double UnderCeilingM = 0.60;

    private const double Apart = 0.15;

    /// <summary>Keeps a place at a limit on its allowed side, m.</summary>
    private const double Hair = 2e-6;

    /// <summary>Beyond so many screws on ribs only the outer ones and the middle one are brought onto a rib.</summary>
    private const int MostScrews = 400;

    private static bool HoleRibs(WallSetting s, double left) =>
        s.NearestRib(s.HoleX(left)) is { } rib && Math.Abs(s.HoleX(left) - rib) - s.RibWidthM / 2 - s.HoleM / 2 < RibClear - 1e-9;

    /// <summary>How far off a rib's middle a screw may be.</summary>
    private static double EdgeOff(WallSetting s) => Math.Max(0, s.RibWidthM / 2 - WallSetting.EdgeM);

    /// <summary>Places across: the edges, those that put a screw well into a rib, those with the hole midway or just beside a rib, and a grid.</summary>
    private static IEnumerable<double> Across(WallSetting s, Cell cell)
    {
        var own = new List<double> { cell.Left, cell.Right };
        IReadOnlyList<double> screws = s.Ribs.Count * s.Across.Count <= MostScrews ? s.Across
            : [s.Across[0], s.Across[s.Across.Count / 2], s.Across[^1]];
        foreach (var rib in s.Ribs)
            own.AddRange(from u in screws from off in new[] { 0, EdgeOff(s) - Hair, Hair - EdgeOff(s) } select rib + off - s.Spot.PlateRightM - u);
        own.AddRange(s.Ribs.Zip(s.Ribs.Skip(1), (a, b) => (a + b) / 2 - s.HoleX(0)));
        var beside = s.RibWidthM / 2 + s.HoleM / 2 + RibClear + Hair;
        own.AddRange(from rib in s.Ribs from off in new[] { -beside, beside } select rib + off - s.HoleX(0));
        var grid = Math.Max(Grid, s.WidthM / Steps);
        for (var i = Math.Ceiling(cell.Left / grid); i * grid <= cell.Right; i++)
            own.Add(i * grid);
        return own.Where(x => x >= cell.Left && x <= cell.Right).Distinct();
    }

    /// <summary>Heights from the highest down: cold air falls, and a few lower ones pass what is hidden in the wall.</summary>
    private static IEnumerable<double> Heights(Cell cell)
    {
        yield return cell.High;
        foreach (var lower in Lower)
            if (cell.High - lower > cell.Low)
                yield return cell.High - lower;
        if (cell.Low < cell.High)
            yield return cell.Low;
    }

    private static readonly double[] Lower = [0.05, 0.10, 0.20, 0.40];
}
