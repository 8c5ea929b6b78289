namespace Vanto.Core.Physics;

/// <summary>
/// The least of a function of one number that may have several valleys: a grid, then golden section between the neighbours of its best point.
/// </summary>
public static class GoldenSearch
{
    private static readonly double Golden = (Math.Sqrt(5) - 1) / 2;

    /// <summary>Looks for it; every value is asked of the function, which may keep the best itself. Infinite where it may not lie.</summary>
    /// <param name="f">The function.</param>
    /// <param name="low">Where the grid begins.</param>
    /// <param name="high">Where it ends.</param>
    /// <param name="grid">Points of the grid, two at least.</param>
    /// <param name="steps">Steps of the golden section.</param>
    /// <returns>Where it is least, or nothing where it may lie nowhere on the grid.</returns>
    public static double? Least(Func<double, double> f, double low, double high, int grid, int steps)
    {
        double Point(int i) => low + (high - low) * i / (grid - 1);
        var (at, least) = (-1, double.PositiveInfinity);
        for (var i = 0; i < grid; i++)
            if (f(Point(i)) is var value && value < least)
                (at, least) = (i, value);
        if (at < 0)
            return null;
        var (a, b) = (Point(Math.Max(0, at - 1)), Point(Math.Min(grid - 1, at + 1)));
        var (x1, x2) = (b - Golden * (b - a), a + Golden * (b - a));
        var (f1, f2) = (f(x1), f(x2));
        for (var i = 0; i < steps; i++)
            if (f1 < f2)
            {
                (b, x2, f2) = (x2, x1, f1);
                f1 = f(x1 = b - Golden * (b - a));
            }
            else
            {
                (a, x1, f1) = (x1, x2, f2);
                f2 = f(x2 = a + Golden * (b - a));
            }
        return f1 < f2 ? x1 : x2;
    }
}
