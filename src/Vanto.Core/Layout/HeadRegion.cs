namespace Vanto.Core.Layout;

/// <summary>Something on the wall that a head keeps away from: a rectangle seen from inside, m, its margin, and whether it sticks out.</summary>
public sealed record KeepOut(string Name, double LeftM, double LowM, double RightM, double HighM, double MarginM, bool SticksOut);

/// <summary>What a head needs round it, m; common practice where the manual says nothing.</summary>
public sealed record HeadNeeds(double LeftM = 0.127, double RightM = 0.127, double AboveM = 0.152, double BelowM = 0.30, double LeastUpM = 0);

/// <summary>A rectangle of places for the lower left corner of a head, m.</summary>
public readonly record struct Cell(double Left, double Low, double Right, double High)
{
    internal double Area => (Right - Left) * (High - Low);
}

/// <summary>Where on a wall a head may hang: every place of its lower left corner that nothing forbids. Geometry.</summary>
/// <param name="Cells">The places, rectangle by rectangle; a sloped ceiling column by column.</param>
/// <param name="HeightGivenUp">True where the least height above the floor and the space under the ceiling exclude one another.</param>
public sealed record HeadRegion(IReadOnlyList<Cell> Cells, bool HeightGivenUp)
{
    private const double ColumnM = 0.005;
    private const int MostColumns = 500;

    /// <summary>Area of the places, m².</summary>
    public double AreaM2 => Cells.Sum(c => c.Area);

    /// <summary>The region on a wall.</summary>
    /// <param name="wallM">Width of the wall.</param>
    /// <param name="ceiling">Its ceiling from left to right: where, and how high.</param>
    /// <param name="headM">Width of the head.</param>
    /// <param name="highM">Its height.</param>
    /// <param name="needs">What it needs round it.</param>
    /// <param name="keepOuts">What it keeps away from.</param>
    public static HeadRegion Of(double wallM, IReadOnlyList<(double X, double Y)> ceiling, double headM, double highM, HeadNeeds needs,
        IReadOnlyList<KeepOut> keepOuts)
    {
        var (left, right) = (needs.LeftM, wallM - needs.RightM - headM);
        if (right < left)
            return new HeadRegion([], false);
        var forbidden = keepOuts.Select(k => Forbidden(k, headM, highM, needs)).ToList();
        double Top(double x) => CeilingLow(ceiling, x, headM) - needs.AboveM - highM;
        var cuts = ceiling.Any(c => c.Y != ceiling[0].Y)
            ? Columns(left, right, ceiling, headM)
            : [left, .. forbidden.SelectMany(f => new[] { f.Left, f.Right }).Where(x => x > left && x < right).Order(), right];
        var givenUp = needs.LeastUpM > 0 && cuts.All(x => Top(x) < needs.LeastUpM);
        var least = givenUp ? 0 : needs.LeastUpM;
        var cells = new List<Cell>();
        for (var i = 0; i + 1 < cuts.Count; i++)
        {
            var (from, to) = (cuts[i], cuts[i + 1]);
            if (to - from < 1e-9)
                continue;
            var top = Math.Min(Top(from), Top(to));
            var middle = (from + to) / 2;
            var taken = forbidden.Where(f => f.Left < middle && f.Right > middle).Select(f => (f.Low, f.High)).OrderBy(f => f.Low).ToList();
            var low = least;
            foreach (var (bottom, up) in taken)
            {
                if (Math.Min(bottom, top) > low)
                    cells.Add(new Cell(from, low, to, Math.Min(bottom, top)));
                low = Math.Max(low, up);
            }
            if (top > low)
                cells.Add(new Cell(from, low, to, top));
        }
        return new HeadRegion(cells, givenUp);
    }

    /// <summary>Places that something forbids: open, so that its very edge is allowed.</summary>
    public static Cell Forbidden(KeepOut k, double headM, double highM, HeadNeeds needs)
    {
        double Margin(double own) => k.SticksOut ? Math.Max(own, k.MarginM) : k.MarginM;
        return new Cell(k.LeftM - Margin(needs.RightM) - headM, k.LowM - Margin(needs.AboveM) - highM, k.RightM + Margin(needs.LeftM),
            k.HighM + Margin(needs.BelowM));
    }

    /// <summary>The lowest that the ceiling is over a head.</summary>
    public static double CeilingLow(IReadOnlyList<(double X, double Y)> ceiling, double x, double headM) =>
        ceiling.Where(c => c.X > x && c.X < x + headM).Select(c => c.Y).Append(HeightAt(ceiling, x)).Append(HeightAt(ceiling, x + headM)).Min();

    private static double HeightAt(IReadOnlyList<(double X, double Y)> ceiling, double x)
    {
        var after = Math.Clamp(ceiling.ToList().FindIndex(c => c.X >= x), 1, ceiling.Count - 1);
        var (a, b) = (ceiling[after - 1], ceiling[after]);
        return a.Y + (b.Y - a.Y) * Math.Clamp((x - a.X) / (b.X - a.X), 0, 1);
    }

    private static List<double> Columns(double left, double right, IReadOnlyList<(double X, double Y)> ceiling, double headM)
    {
        var count = Math.Min(MostColumns, (int)Math.Ceiling((right - left) / ColumnM));
        return [.. Enumerable.Range(0, count + 1).Select(i => left + (right - left) * i / count)
            .Concat(ceiling.SelectMany(c => new[] { c.X, c.X - headM })).Where(x => x >= left && x <= right).Distinct().Order()];
    }

    /// <summary>Whether a place is allowed.</summary>
    public bool Allows(double x, double y) => Cells.Any(c => x >= c.Left - 1e-9 && x <= c.Right + 1e-9 && y >= c.Low - 1e-9 && y <= c.High + 1e-9);

    /// <summary>The nearest allowed place and how far it is; null where there is none.</summary>
    public (double X, double Y, double MoveM)? Nearest(double x, double y)
    {
        (double X, double Y, double MoveM)? nearest = null;
        foreach (var c in Cells)
        {
            var (px, py) = (Math.Clamp(x, c.Left, c.Right), Math.Clamp(y, c.Low, c.High));
            var move = Math.Sqrt((px - x) * (px - x) + (py - y) * (py - y));
            if (nearest is not { } n || move < n.MoveM - 1e-12)
                nearest = (px, py, move);
        }
        return nearest;
    }
}

/// <summary>A box in space, m.</summary>
public readonly record struct Box(double X1, double Y1, double Z1, double X2, double Y2, double Z2);

/// <summary>Free space at the faces of an outdoor unit, m; infinite where nothing stands there.</summary>
/// <param name="FrontM">Where it blows.</param>
/// <param name="BackM">Behind it.</param>
/// <param name="RightM">To the right of who stands before it.</param>
/// <param name="LeftM">To the left of who stands before it.</param>
/// <param name="TopM">Above it.</param>
/// <param name="Collides">Whether something stands in it.</param>
public sealed record OutdoorRoom(double FrontM, double BackM, double RightM, double LeftM, double TopM, bool Collides)
{
    /// <summary>The room of a unit among boxes.</summary>
    /// <param name="depthM">Along the way it blows.</param>
    /// <param name="widthM">Across.</param>
    /// <param name="heightM">Its height.</param>
    /// <param name="x">Its middle.</param>
    /// <param name="y">Its middle.</param>
    /// <param name="baseM">Its foot above the ground.</param>
    /// <param name="yawDeg">Way it blows, degrees anticlockwise from x.</param>
    /// <param name="around">What stands round it.</param>
    public static OutdoorRoom Of(double depthM, double widthM, double heightM, double x, double y, double baseM, double yawDeg, IReadOnlyList<Box> around)
    {
        var yaw = double.DegreesToRadians(yawDeg);
        var (cos, sin) = (Math.Cos(yaw), Math.Sin(yaw));
        var (d, w) = (depthM / 2, widthM / 2);
        var (front, back, right, left, top) = (double.PositiveInfinity, double.PositiveInfinity, double.PositiveInfinity, double.PositiveInfinity,
            double.PositiveInfinity);
        var collides = false;
        foreach (var b in around)
        {
            var corners = new[] { (b.X1, b.Y1), (b.X1, b.Y2), (b.X2, b.Y1), (b.X2, b.Y2) }
                .Select(c => (X: cos * (c.Item1 - x) + sin * (c.Item2 - y), Y: -sin * (c.Item1 - x) + cos * (c.Item2 - y))).ToList();
            var (x1, x2) = (Clean(corners.Min(c => c.X)), Clean(corners.Max(c => c.X)));
            var (y1, y2) = (Clean(corners.Min(c => c.Y)), Clean(corners.Max(c => c.Y)));
            var (z1, z2) = (b.Z1 - baseM, b.Z2 - baseM);
            var overX = x1 < d && x2 > -d;
            var overY = y1 < w && y2 > -w;
            var overZ = z1 < heightM && z2 > 0;
            collides |= overX && overY && overZ;
            if (overY && overZ && x1 >= d)
                front = Math.Min(front, x1 - d);
            if (overY && overZ && x2 <= -d)
                back = Math.Min(back, -d - x2);
            if (overX && overZ && y1 >= w)
                right = Math.Min(right, y1 - w);
            if (overX && overZ && y2 <= -w)
                left = Math.Min(left, -w - y2);
            if (overX && overY && z1 >= heightM)
                top = Math.Min(top, z1 - heightM);
        }
        return new OutdoorRoom(front, back, right, left, top, collides);
    }

    /// <summary>A turned corner that is off by the last digit only is taken where it was meant.</summary>
    private static double Clean(double metres) => Math.Round(metres, 9);
}
