namespace Vanto.Core.Quantities;

/// <summary>American wire gauge: ASTM B258, diameter = 0.127 mm × 92^((36 − n)/39), exact by definition.</summary>
public static class WireGauge
{
    /// <summary>Bare diameter in mm of gauge <paramref name="number"/>; 0 is 1/0, −1 is 2/0, −3 is 4/0.</summary>
    public static double DiameterMm(double number) => 0.127 * Math.Pow(92, (36 - number) / 39);

    /// <summary>Cross-section in mm² of gauge <paramref name="number"/>.</summary>
    public static double AreaMm2(double number)
    {
        var diameter = DiameterMm(number);
        return Math.PI * diameter * diameter / 4;
    }
}
