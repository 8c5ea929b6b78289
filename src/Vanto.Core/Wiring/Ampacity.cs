using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>Rules that a rig is wired by; chosen once for it.</summary>
public enum RuleBook
{
    [Called("by the rig and its mains")] ByRig, [Called("North American")] NorthAmerica, [Called("IEC")] Iec, [Called("marine, American")] MarineAmerican,
    [Called("marine, ISO")] MarineIso, [Called("vehicle DC")] VehicleDc,
}

/// <summary>What a conductor's insulation bears.</summary>
public enum WireInsulation { [Called("60 °C")] C60, [Called("75 °C")] C75, [Called("90 °C")] C90, [Called("105 °C")] C105 }

/// <summary>How a metric cable lies.</summary>
public enum CableMethod { [Called("in a conduit on the wall")] B2, [Called("clipped to a surface")] C }

/// <summary>Current that copper may carry, A. Every table is recalled, not checked against the book.</summary>
public static class Ampacity
{
    /// <summary>Warmer by so much where a cable lies on a roof in the sun closer than 22 mm to it, K; NEC 310.15(B), recalled.</summary>
    public const double RoofK = 33;

    private static readonly Dictionary<WireSize, (double C60, double C75, double C90)> American = new()
    {
        [WireSize.Awg18] = (0, 0, 14),
        [WireSize.Awg16] = (0, 0, 18),
        [WireSize.Awg14] = (15, 20, 25),
        [WireSize.Awg12] = (20, 25, 30),
        [WireSize.Awg10] = (30, 35, 40),
        [WireSize.Awg8] = (40, 50, 55),
        [WireSize.Awg6] = (55, 65, 75),
        [WireSize.Awg4] = (70, 85, 95),
        [WireSize.Awg3] = (85, 100, 115),
        [WireSize.Awg2] = (95, 115, 130),
        [WireSize.Awg1] = (110, 130, 145),
        [WireSize.Awg1Of0] = (125, 150, 170),
        [WireSize.Awg2Of0] = (145, 175, 195),
        [WireSize.Awg3Of0] = (165, 200, 225),
        [WireSize.Awg4Of0] = (195, 230, 260),
    };

    /// <summary>Factors of ambient air for rows that end at 10, 15, … 85 °C; NaN where the wire may carry nothing.</summary>
    private static readonly double[][] AmbientFactors =
    [
        [1.29, 1.22, 1.15, 1.08, 1, 0.91, 0.82, 0.71, 0.58, 0.41],
        [1.2, 1.15, 1.11, 1.05, 1, 0.94, 0.88, 0.82, 0.75, 0.67, 0.58, 0.47, 0.33],
        [1.15, 1.12, 1.08, 1.04, 1, 0.96, 0.91, 0.87, 0.82, 0.76, 0.71, 0.65, 0.58, 0.5, 0.41, 0.29],
    ];

    private static readonly Dictionary<WireSize, (double PvcB2, double PvcC, double XlpeB2, double XlpeC)> Metric = new()
    {
        [WireSize.Sq1P5] = (16.5, 19.5, 22, 24),
        [WireSize.Sq2P5] = (23, 27, 30, 33),
        [WireSize.Sq4] = (30, 36, 40, 45),
        [WireSize.Sq6] = (38, 46, 51, 58),
        [WireSize.Sq10] = (52, 63, 69, 80),
        [WireSize.Sq16] = (69, 85, 91, 107),
        [WireSize.Sq25] = (90, 112, 119, 138),
        [WireSize.Sq35] = (111, 138, 146, 171),
        [WireSize.Sq50] = (133, 168, 175, 209),
        [WireSize.Sq70] = (168, 213, 221, 269),
        [WireSize.Sq95] = (201, 258, 265, 328),
        [WireSize.Sq120] = (232, 299, 305, 382),
    };

    private static readonly double[] PvcAmbient = [1.22, 1.17, 1.12, 1.06, 1, 0.94, 0.87, 0.79, 0.71, 0.61, 0.5];
    private static readonly double[] XlpeAmbient = [1.15, 1.12, 1.08, 1.04, 1, 0.96, 0.91, 0.87, 0.82, 0.76, 0.71, 0.65, 0.58, 0.5, 0.41];
    private static readonly double[] Grouped = [1, 0.8, 0.7, 0.65, 0.6, 0.57, 0.54, 0.52, 0.5];

    private static readonly Dictionary<WireSize, double[]> Boats = new()
    {
        [WireSize.Awg18] = [10, 10, 20, 20],
        [WireSize.Awg16] = [15, 15, 25, 25],
        [WireSize.Awg14] = [20, 20, 30, 35],
        [WireSize.Awg12] = [25, 25, 40, 45],
        [WireSize.Awg10] = [40, 40, 55, 60],
        [WireSize.Awg8] = [55, 65, 70, 80],
        [WireSize.Awg6] = [80, 95, 100, 120],
        [WireSize.Awg4] = [105, 125, 135, 160],
        [WireSize.Awg2] = [140, 170, 180, 210],
        [WireSize.Awg1] = [165, 195, 210, 245],
        [WireSize.Awg1Of0] = [195, 230, 245, 285],
        [WireSize.Awg2Of0] = [225, 265, 285, 330],
        [WireSize.Awg3Of0] = [260, 310, 330, 385],
        [WireSize.Awg4Of0] = [300, 360, 385, 445],
        [WireSize.Sq0P75] = [8, 10, 12, 16],
        [WireSize.Sq1] = [12, 14, 18, 20],
        [WireSize.Sq1P5] = [16, 18, 21, 25],
        [WireSize.Sq2P5] = [20, 25, 30, 35],
        [WireSize.Sq4] = [30, 35, 40, 45],
        [WireSize.Sq6] = [40, 45, 50, 60],
        [WireSize.Sq10] = [60, 65, 70, 90],
        [WireSize.Sq16] = [80, 90, 100, 130],
        [WireSize.Sq25] = [110, 120, 140, 170],
        [WireSize.Sq35] = [140, 160, 185, 210],
        [WireSize.Sq50] = [180, 210, 230, 270],
        [WireSize.Sq70] = [220, 265, 285, 330],
        [WireSize.Sq95] = [260, 310, 330, 390],
        [WireSize.Sq120] = [300, 360, 400, 450],
        [WireSize.Sq150] = [350, 380, 430, 475],
    };

    private static readonly double[] AmericanEngine = [0.58, 0.75, 0.82, 0.85];
    private static readonly double[] IsoEngine = [double.NaN, 0.75, 0.82, 0.86];

    /// <summary>Column of a building's table, A: NEC table 310.16, recalled. 105 °C is read as 90 °C.</summary>
    public static double Column(WireSize size, WireInsulation at)
    {
        var row = American[Conductor.NotAbove(size, true)];
        return at switch { WireInsulation.C60 => row.C60, WireInsulation.C75 => row.C75, _ => row.C90 };
    }

    /// <summary>Factor of warm air; null where the insulation bears no current in it. Rows of 5 K, the first that reaches the temperature.</summary>
    public static double? Ambient(WireInsulation insulation, double celsius) => Row(AmbientFactors[Math.Min((int)insulation, 2)], celsius);

    private static double? Row(double[] factors, double celsius)
    {
        var row = Math.Max(0, (int)Math.Ceiling((celsius - 10) / 5 - 1e-9));
        return row < factors.Length ? factors[row] : null;
    }

    /// <summary>Factor of conductors that carry current side by side; NEC 310.15(C)(1), recalled.</summary>
    public static double Together(int count) => count switch
    {
        <= 3 => 1,
        <= 6 => 0.80,
        <= 9 => 0.70,
        <= 20 => 0.50,
        <= 30 => 0.45,
        <= 40 => 0.40,
        _ => 0.35,
    };

    /// <summary>What a conductor carries in a building or on an RV's mains side, A: derated, and never above its terminals' column.</summary>
    /// <param name="Derated">By air and neighbours.</param>
    /// <param name="Limit">Of the terminals.</param>
    public sealed record Carries(double Derated, double Limit)
    {
        public double Amps => Math.Min(Derated, Limit);
    }

    /// <summary>North American ampacity; null where it is too hot for the insulation.</summary>
    /// <param name="size">An American size.</param>
    /// <param name="insulation">Of the wire.</param>
    /// <param name="celsius">Of the air.</param>
    /// <param name="together">Conductors with current, side by side.</param>
    /// <param name="terminals">60 or 75 °C.</param>
    public static Carries? InBuilding(WireSize size, WireInsulation insulation, double celsius, int together, WireInsulation terminals) =>
        Ambient(insulation, celsius) is { } factor
            ? new Carries(Column(size, insulation) * factor * Together(together), Column(size, insulation < terminals ? insulation : terminals)) : null;

    /// <summary>Metric ampacity of two loaded conductors; null where it is too hot, 0 for a size that is not listed. IEC 60364-5-52, recalled.</summary>
    /// <param name="size">A metric size.</param>
    /// <param name="xlpe">Cross-linked, 90 °C; else PVC, 70 °C.</param>
    /// <param name="method">How it lies.</param>
    /// <param name="celsius">Of the air.</param>
    /// <param name="circuits">Circuits side by side.</param>
    public static double? OfIec(WireSize size, bool xlpe, CableMethod method, double celsius, int circuits)
    {
        if (!Metric.TryGetValue(Conductor.NotAbove(size, false), out var row))
            return 0;
        var at = (xlpe, method) switch { (false, CableMethod.B2) => row.PvcB2, (false, _) => row.PvcC, (_, CableMethod.B2) => row.XlpeB2, _ => row.XlpeC };
        return Row(xlpe ? XlpeAmbient : PvcAmbient, celsius) * at * Grouped[Math.Clamp(circuits, 1, Grouped.Length) - 1];
    }

    /// <summary>Ampacity on boats and of vehicles' DC; null where the insulation is not allowed there, 0 for a size that is not listed.</summary>
    /// <param name="size">Of either series: ABYC E-11 for American sizes, ISO 13297 for metric ones; recalled.</param>
    /// <param name="insulation">Of the wire.</param>
    /// <param name="engineSpace">It lies in one.</param>
    /// <param name="bundled">Conductors with more than 50 V or AC side by side; fewer than 3 count as one.</param>
    /// <param name="celsius">Of the air; counted for vehicles, whose roof voids are warmer than the table's 30 °C (common practice).</param>
    public static double? Afloat(WireSize size, WireInsulation insulation, bool engineSpace, int bundled, double? celsius = null)
    {
        if (!Boats.TryGetValue(size, out var row))
            return 0;
        var factor = engineSpace ? (Conductor.Of(size).Awg ? AmericanEngine : IsoEngine)[(int)insulation] : 1;
        if (double.IsNaN(factor))
            return null;
        var rated = insulation switch { WireInsulation.C60 => 60.0, WireInsulation.C75 => 75, WireInsulation.C90 => 90, _ => 105 };
        if (!engineSpace && celsius is > 30 and var warm)
            factor *= warm < rated ? Math.Sqrt((rated - warm) / (rated - 30)) : double.NaN;
        if (double.IsNaN(factor))
            return null;
        return row[(int)insulation] * factor * bundled switch { < 3 => 1, 3 => 0.70, <= 6 => 0.60, <= 24 => 0.50, _ => 0.40 };
    }
}
