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
        for (var first = 0; first < radii.Length; first++)
        {
            if (first > 0 && radii[first] == radii[first - 1])
                continue;
            used[first] = true;
            if (Lay(radii, used, [new Disc(round - radii[first], 0, radii[first])], round))
                return true;
            used[first] = false;
        }
        return false;
    }

    private static bool Lay(double[] radii, bool[] used, List<Disc> laid, double round)
    {
        if (laid.Count == radii.Length)
            return true;
        var last = double.NaN;
        for (var i = 0; i < radii.Length; i++)
        {
            if (used[i] || radii[i] == last)
                continue;
            last = radii[i];
            foreach (var place in Corners(laid, radii[i], round).Where(p => Free(p, laid, round)))
            {
                used[i] = true;
                laid.Add(place);
                if (Lay(radii, used, laid, round))
                    return true;
                laid.RemoveAt(laid.Count - 1);
                used[i] = false;
            }
        }
        return false;
    }

    private static bool Free(Disc d, List<Disc> laid, double round) => Math.Sqrt(d.X * d.X + d.Y * d.Y) + d.R <= round + Close * round
        && laid.All(o => Math.Sqrt((d.X - o.X) * (d.X - o.X) + (d.Y - o.Y) * (d.Y - o.Y)) >= d.R + o.R - Close * round);

    /// <summary>Places that touch two things already there: the round and a disc, or two discs; and the one opposite the first.</summary>
    private static IEnumerable<Disc> Corners(List<Disc> laid, double r, double round)
    {
        if (laid.Count == 1)
            yield return new Disc(r - round, 0, r);
        var circles = new List<Disc> { new(0, 0, round - r) };
        circles.AddRange(laid.Select(d => d with { R = d.R + r }));
        for (var i = 0; i < circles.Count; i++)
            for (var j = i + 1; j < circles.Count; j++)
                foreach (var (x, y) in Crossings(circles[i], circles[j]))
                    yield return new Disc(x, y, r);
    }

    private static IEnumerable<(double X, double Y)> Crossings(Disc a, Disc b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var apart = Math.Sqrt(dx * dx + dy * dy);
        if (apart < 1e-15)
            yield break;
        var along = (apart * apart + a.R * a.R - b.R * b.R) / (2 * apart);
        var square = a.R * a.R - along * along;
        if (square < -Close * (a.R * a.R + b.R * b.R))
            yield break;
        var off = Math.Sqrt(Math.Max(0, square));
        var (x, y) = (a.X + along * dx / apart, a.Y + along * dy / apart);
        yield return (x - off * dy / apart, y + off * dx / apart);
        if (off > 0)
            yield return (x + off * dy / apart, y - off * dx / apart);
    }
}
