namespace Vanto.Core.Quantities;

/// <summary>American wire gauge: ASTM B258, diameter = 0.127 mm × 92^((36 − n)/39), exact by definition.</summary>
public static class WireGauge
{
    /// <summary>Bare diameter in mm of gauge <paramref name="number"/>; 0 is 1/0, −1 is 2/0, −3 is 4/0.</summary>
    public static double DiameterMm(double number) => 0.127 * Math.Pow(92, (36 - number) / 39);

    /// <summary>Sizes that are sold, the thinnest first.</summary>
    public static IReadOnlyList<(string Name, double AreaMm2)> Sold { get; } =
        [.. new[] { 24, 22, 20, 18, 16, 14, 12, 10, 8, 6, 4, 3, 2, 1, 0, -1, -2, -3 }
            .Select(n => (n > 0 ? FormattableString.Invariant($"{n} AWG") : FormattableString.Invariant($"{1 - n}/0 AWG"), AreaMm2(n)))];

    /// <summary>Share within which a conductor is of a gauge.</summary>
    public const double SameWithin = 0.05;

    /// <summary>What stands beside square millimetres: the gauge, or the two that it lies between; nothing past the largest.</summary>
    public static string Beside(double areaMm2)
    {
        if (Sold.FirstOrDefault(g => Math.Abs(areaMm2 / g.AreaMm2 - 1) <= SameWithin).Name is { } same)
            return ", " + same;
        var above = Sold.FirstOrDefault(g => g.AreaMm2 > areaMm2).Name;
        var below = Sold.LastOrDefault(g => g.AreaMm2 < areaMm2).Name;
        return above is null || below is null ? "" : $", between {below.Replace(" AWG", "")} and {above}";
    }

    /// <summary>Cross-section in mm² of gauge <paramref name="number"/>.</summary>
    public static double AreaMm2(double number)
    {
        var diameter = DiameterMm(number);
        return Math.PI * diameter * diameter / 4;
    }
}
