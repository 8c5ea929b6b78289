namespace Vanto.Core.Layout;

/// <summary>
/// The smallest round hole that a bundle of round things passes: bisection on its radius, each tried by laying the circles corner by corner in every
/// order. Definition.
/// </summary>
public static class BundlePacking
{
    private const double Close = 1e-9;

    /// <summary>Things in a bundle, at most.</summary>
    public const int Most = 6;

    /// <summary>Diameter of the smallest circle round all, in the unit of the diameters.</summary>
    /// <param name="diameters">One to six, in any order.</param>
    public static double Enclosing(IReadOnlyList<double> diameters)
    {
        var radii = diameters.Select(d => d / 2).OrderDescending().ToArray();
        if (radii.Length == 1)
            return 2 * radii[0];
        if (radii.Length == 2)
            return 2 * (radii[0] + radii[1]);
        var low = Math.Max(radii[0] + radii[1], Math.Sqrt(radii.Sum(r => r * r)));
        if (Fits(radii, low))
            return 2 * low;
        var high = radii.Sum();
        while (high - low > 1e-8 * high)
        {
            var middle = (low + high) / 2;
            if (Fits(radii, middle))
                high = middle;
            else
                low = middle;
        }
        return 2 * high;
    }

    private readonly record struct Disc(double X, double Y, double R);

    private static bool Fits(double[] radii, double round)
    {
        var used = new bool[radii.Length];
        var laid = new Disc[radii.Length];
        for (var first = 0; first < radii.Length; first++)
        {
            if (first > 0 && radii[first] == radii[first - 1])
                continue;
            used[first] = true;
            laid[0] = new Disc(round - radii[first], 0, radii[first]);
            if (Lay(radii, used, laid, 1, round))
                return true;
            used[first] = false;
        }
        return false;
    }

    /// <summary>
    /// Lays each disc that is left at each place where it touches two things already there (the round and a disc, or two discs), and opposite the
    /// first. The second is laid on one side only: the other is its mirror image.
    /// </summary>
    private static bool Lay(double[] radii, bool[] used, Disc[] laid, int count, double round)
    {
        if (count == radii.Length)
            return true;
        var last = double.NaN;
        for (var i = 0; i < radii.Length; i++)
        {
            var r = radii[i];
            if (used[i] || r == last)
                continue;
            last = r;
            used[i] = true;
            if (count == 1 && Put(new Disc(r - round, 0, r)))
                return true;
            for (var a = -1; a < count; a++)
                for (var b = a + 1; b < count; b++)
                {
                    var one = a < 0 ? new Disc(0, 0, round - r) : laid[a] with { R = laid[a].R + r };
                    var (cross, x1, y1, x2, y2) = Crossings(one, laid[b] with { R = laid[b].R + r });
                    if (!cross)
                        continue;
                    if ((count > 1 || y1 >= 0) && Put(new Disc(x1, y1, r)) || (count > 1 || y2 >= 0) && Put(new Disc(x2, y2, r)))
                        return true;
                }
            used[i] = false;
        }
        return false;

        bool Put(Disc place)
        {
            if (!Free(place, laid, count, round))
                return false;
            laid[count] = place;
            return Lay(radii, used, laid, count + 1, round);
        }
    }

    private static bool Free(Disc d, Disc[] laid, int count, double round)
    {
        var room = round + Close * round - d.R;
        if (room < 0 || d.X * d.X + d.Y * d.Y > room * room)
            return false;
        for (var i = 0; i < count; i++)
        {
            var (dx, dy, least) = (d.X - laid[i].X, d.Y - laid[i].Y, d.R + laid[i].R - Close * round);
            if (dx * dx + dy * dy < least * least)
                return false;
        }
        return true;
    }

    /// <summary>Where two circles cross.</summary>
    private static (bool Cross, double X1, double Y1, double X2, double Y2) Crossings(Disc a, Disc b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var apart = Math.Sqrt(dx * dx + dy * dy);
        if (apart < 1e-15)
            return default;
        var along = (apart * apart + a.R * a.R - b.R * b.R) / (2 * apart);
        var square = a.R * a.R - along * along;
        if (square < -Close * (a.R * a.R + b.R * b.R))
            return default;
        var off = Math.Sqrt(Math.Max(0, square));
        var (x, y) = (a.X + along * dx / apart, a.Y + along * dy / apart);
        return (true, x - off * dy / apart, y + off * dx / apart, x + off * dy / apart, y - off * dx / apart);
    }
}
