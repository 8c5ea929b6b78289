using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Energy;

/// <summary>A rectangle on a roof: corner and size in whole millimetres, x along the roof's length.</summary>
public readonly record struct RoofRectangle(int X, int Y, int LengthMm, int WidthMm);

/// <summary>Something on the roof that no module may touch or stand in the shadow of.</summary>
/// <param name="At">Where it stands, mm from the roof's edges.</param>
/// <param name="ClearanceMm">Kept free all round.</param>
/// <param name="HeightMm">For its shadow.</param>
public sealed record RoofObstacle(RoofRectangle At, int ClearanceMm = 50, int HeightMm = 0);

/// <summary>A roof to be filled with modules of one size.</summary>
/// <param name="LengthMm">300 to 50,000.</param>
/// <param name="WidthMm">300 to 50,000.</param>
/// <param name="MarginMm">Kept free along the edges.</param>
/// <param name="ModuleLengthMm">Long side of a module.</param>
/// <param name="ModuleWidthMm">Short side.</param>
/// <param name="GapMm">Between modules.</param>
/// <param name="Obstacles">Hatches, the unit, vents.</param>
/// <param name="ShadowElevationDeg">Sun's height from which obstacles shall throw no shadow on modules; 0 leaves shadows out. A vehicle turns, so all
/// sides count.</param>
public sealed record Roof(int LengthMm, int WidthMm, int MarginMm, int ModuleLengthMm, int ModuleWidthMm, int GapMm, IReadOnlyList<RoofObstacle> Obstacles,
    double ShadowElevationDeg = 0);

/// <summary>Modules placed: how many, whether in rows along the roof or in columns, and where.</summary>
public sealed record RoofPlan(int Count, bool InRows, IReadOnlyList<RoofRectangle> Modules);

/// <summary>
/// Most modules on a roof in straight rows, one orientation a row: exact by going back row by row from the far edge, millimetre by millimetre.
/// A mixed layout by hand may gain one.
/// </summary>
public static class RoofPacking
{
    /// <summary>Packs a roof.</summary>
    /// <exception cref="InputException">A side out of range.</exception>
    public static RoofPlan Pack(Roof roof)
    {
        foreach (var (name, value) in new[] { ("lengthMm", roof.LengthMm), ("widthMm", roof.WidthMm) })
            if (value is < 300 or > 50_000)
                throw new InputException(InputError.Range(name, name, QuantityKind.SmallLength, value / 1000.0, 0.3, 50));
        var blocked = roof.Obstacles.Select(o => Grown(o, roof.ShadowElevationDeg)).ToList();
        var rows = Strips(roof.LengthMm, roof.WidthMm, roof, blocked);
        var columns = Strips(roof.WidthMm, roof.LengthMm, roof, blocked.ConvertAll(Turned));
        return columns.Count > rows.Count
            ? new RoofPlan(columns.Count, false, columns.ConvertAll(Turned))
            : new RoofPlan(rows.Count, true, rows);
    }

    private static RoofRectangle Turned(RoofRectangle r) => new(r.Y, r.X, r.WidthMm, r.LengthMm);

    private static RoofRectangle Grown(RoofObstacle o, double shadowElevationDeg)
    {
        var by = o.ClearanceMm + (shadowElevationDeg > 0 ? (int)Math.Ceiling(o.HeightMm / Math.Tan(double.DegreesToRadians(shadowElevationDeg))) : 0);
        return new RoofRectangle(o.At.X - by, o.At.Y - by, o.At.LengthMm + 2 * by, o.At.WidthMm + 2 * by);
    }

    private static List<RoofRectangle> Strips(int along, int across, Roof roof, List<RoofRectangle> blocked)
    {
        (int A, int B)[] ways = roof.ModuleLengthMm == roof.ModuleWidthMm
            ? [(roof.ModuleLengthMm, roof.ModuleWidthMm)]
            : [(roof.ModuleLengthMm, roof.ModuleWidthMm), (roof.ModuleWidthMm, roof.ModuleLengthMm)];
        var end = across - roof.MarginMm;
        if (end <= roof.MarginMm)
            return []; // the margins meet: nothing is left between them
        var best = new int[end + 2];
        var way = new int[end + 2];
        var counts = new int[ways.Length];
        Array.Fill(counts, -1);
        for (var y = end - 1; y >= roof.MarginMm; y--)
        {
            (best[y], way[y]) = (best[y + 1], -1);
            for (var w = 0; w < ways.Length; w++)
            {
                var (a, b) = ways[w];
                if (y + b > end)
                    continue;
                var rest = y + b + roof.GapMm;
                // Going back, a row's count changes only where something begins or ends to block it.
                if (counts[w] < 0 || blocked.Any(o => y == o.Y + o.WidthMm - 1 || y == o.Y - b))
                    counts[w] = Row(y, a, b, along, roof, blocked, null);
                var total = counts[w] + (rest < end ? best[rest] : 0);
                // A row wins over a skip, and the first way over the second, where both come to the same.
                if (total > best[y] || total == best[y] && total > 0 && way[y] == -1)
                    (best[y], way[y]) = (total, w);
            }
        }
        var placed = new List<RoofRectangle>();
        for (var y = roof.MarginMm; y < end;)
        {
            if (way[y] == -1 || best[y] == 0)
            {
                y++;
                continue;
            }
            var (a, b) = ways[way[y]];
            Row(y, a, b, along, roof, blocked, placed);
            y += b + roof.GapMm;
        }
        return placed;
    }

    /// <summary>Modules of one row between what blocks it.</summary>
    private static int Row(int y, int a, int b, int along, Roof roof, List<RoofRectangle> blocked, List<RoofRectangle>? placed)
    {
        var count = 0;
        var from = roof.MarginMm;
        var end = along - roof.MarginMm;
        while (from < end)
        {
            // The next stretch that is free over the whole depth of the row.
            var to = end;
            var moved = false;
            foreach (var o in blocked)
            {
                if (o.Y >= y + b || o.Y + o.WidthMm <= y || o.X + o.LengthMm <= from || o.X >= to)
                    continue;
                if (o.X <= from)
                {
                    from = o.X + o.LengthMm;
                    moved = true;
                    break;
                }
                to = o.X;
            }
            if (moved)
                continue;
            var fit = Math.Max(0, (to - from + roof.GapMm) / (a + roof.GapMm));
            for (var i = 0; placed is not null && i < fit; i++)
                placed.Add(new RoofRectangle(from + i * (a + roof.GapMm), y, a, b));
            count += fit;
            from = to;
        }
        return count;
    }
}
