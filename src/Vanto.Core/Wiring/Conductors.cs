using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>Sizes of conductors, small to large within each series.</summary>
public enum WireSize
{
    [Called("as computed")] Computed,
    [Called("18 AWG")] Awg18, [Called("16 AWG")] Awg16, [Called("14 AWG")] Awg14, [Called("12 AWG")] Awg12, [Called("10 AWG")] Awg10,
    [Called("8 AWG")] Awg8, [Called("6 AWG")] Awg6, [Called("4 AWG")] Awg4, [Called("3 AWG")] Awg3, [Called("2 AWG")] Awg2, [Called("1 AWG")] Awg1,
    [Called("1/0 AWG")] Awg1Of0, [Called("2/0 AWG")] Awg2Of0, [Called("3/0 AWG")] Awg3Of0, [Called("4/0 AWG")] Awg4Of0,
    [Called("0.75 mm²")] Sq0P75, [Called("1 mm²")] Sq1, [Called("1.5 mm²")] Sq1P5, [Called("2.5 mm²")] Sq2P5, [Called("4 mm²")] Sq4,
    [Called("6 mm²")] Sq6, [Called("10 mm²")] Sq10, [Called("16 mm²")] Sq16, [Called("25 mm²")] Sq25, [Called("35 mm²")] Sq35,
    [Called("50 mm²")] Sq50, [Called("70 mm²")] Sq70, [Called("95 mm²")] Sq95, [Called("120 mm²")] Sq120, [Called("150 mm²")] Sq150,
}

/// <summary>How a conductor is built.</summary>
public enum WireBuild { [Called("solid")] Solid, [Called("seven strands")] Stranded, [Called("fine strands")] Fine }

/// <summary>Copper of one size.</summary>
/// <param name="Size">Which.</param>
/// <param name="AreaMm2">Its section.</param>
/// <param name="Cmil">Circular mils; 0 for metric sizes.</param>
/// <param name="LeastCmil">Least circular mils of boat and vehicle cable of that size; 0 where none is listed.</param>
/// <param name="OhmM75">Stranded, at 75 °C, Ω/m; 0 for metric sizes.</param>
/// <param name="ReactanceM">In a plastic conduit, Ω/m; 0 where none is listed.</param>
/// <param name="Ohm20">Class 2, at 20 °C, Ω/m; 0 for American sizes.</param>
/// <param name="Fine20">Class 5, at 20 °C, Ω/m; 0 for American sizes.</param>
public sealed record Conductor(WireSize Size, double AreaMm2, double Cmil, double LeastCmil, double OhmM75, double ReactanceM, double Ohm20, double Fine20)
{
    private const double FeetInM = 0.3048;

    /// <summary>Circular mil, mm²; definition.</summary>
    public const double CmilMm2 = 5.06707e-4;

    /// <summary>Reactance of metric cable, Ω/m; IEC 60364-5-52, annex G, from memory.</summary>
    public const double MetricReactance = 0.00008;

    /// <summary>True for a size of the American series.</summary>
    public bool Awg => Size < WireSize.Sq0P75;

    private static Conductor American(WireSize size, double area, double cmil, double ohmPer1000Ft, double reactancePer1000Ft, double least) =>
        new(size, area, cmil, least, ohmPer1000Ft / 1000 / FeetInM, reactancePer1000Ft / 1000 / FeetInM, 0, 0);

    private static Conductor Metric(WireSize size, double area, double class2, double class5) =>
        new(size, area, 0, 0, 0, MetricReactance, class2 / 1000, class5 / 1000);

    /// <summary>All sizes. American: NEC chapter 9, tables 8 and 9; metric: IEC 60228; recalled.</summary>
    public static IReadOnlyList<Conductor> All { get; } =
    [
        American(WireSize.Awg18, 0.823, 1620, 7.95, 0, 1537), American(WireSize.Awg16, 1.31, 2580, 4.99, 0, 2336),
        American(WireSize.Awg14, 2.08, 4110, 3.14, 0.058, 3702), American(WireSize.Awg12, 3.31, 6530, 1.98, 0.054, 5833),
        American(WireSize.Awg10, 5.261, 10380, 1.24, 0.05, 9343), American(WireSize.Awg8, 8.367, 16510, 0.778, 0.052, 14810),
        American(WireSize.Awg6, 13.3, 26240, 0.491, 0.051, 25910), American(WireSize.Awg4, 21.15, 41740, 0.308, 0.048, 37360),
        American(WireSize.Awg3, 26.67, 52620, 0.245, 0.047, 0), American(WireSize.Awg2, 33.62, 66360, 0.194, 0.045, 62450),
        American(WireSize.Awg1, 42.41, 83690, 0.154, 0.046, 77790), American(WireSize.Awg1Of0, 53.49, 105600, 0.122, 0.044, 98980),
        American(WireSize.Awg2Of0, 67.43, 133100, 0.0967, 0.043, 125100), American(WireSize.Awg3Of0, 85.01, 167800, 0.0766, 0.042, 158600),
        American(WireSize.Awg4Of0, 107.2, 211600, 0.0608, 0.041, 205500),
        Metric(WireSize.Sq0P75, 0.75, 24.5, 26.0), Metric(WireSize.Sq1, 1, 18.1, 19.5), Metric(WireSize.Sq1P5, 1.5, 12.1, 13.3),
        Metric(WireSize.Sq2P5, 2.5, 7.41, 7.98), Metric(WireSize.Sq4, 4, 4.61, 4.95), Metric(WireSize.Sq6, 6, 3.08, 3.3),
        Metric(WireSize.Sq10, 10, 1.83, 1.91), Metric(WireSize.Sq16, 16, 1.15, 1.21), Metric(WireSize.Sq25, 25, 0.727, 0.78),
        Metric(WireSize.Sq35, 35, 0.524, 0.554), Metric(WireSize.Sq50, 50, 0.387, 0.386), Metric(WireSize.Sq70, 70, 0.268, 0.272),
        Metric(WireSize.Sq95, 95, 0.193, 0.206), Metric(WireSize.Sq120, 120, 0.153, 0.161), Metric(WireSize.Sq150, 150, 0.124, 0.129),
    ];

    /// <summary>Free depth that a conductor asks for in front of its terminal, m, by its area in mm²; NEC table 312.6(A), recalled.</summary>
    public static double BendM(double areaMm2) => areaMm2 switch
    {
        < 8 => 0,
        < 20 => 0.038,
        < 30 => 0.051,
        < 40 => 0.064,
        < 50 => 0.076,
        < 75 => 0.089,
        _ => 0.102,
    };

    private static readonly Dictionary<WireSize, Conductor> BySize = All.ToDictionary(c => c.Size);

    /// <summary>Of a size.</summary>
    public static Conductor Of(WireSize size) => BySize[size];

    /// <summary>Sizes of one series, small to large.</summary>
    public static IEnumerable<Conductor> Series(bool awg) => All.Where(c => c.Awg == awg);

    /// <summary>The largest size of a series that is not larger than an area, mm²; the smallest where all are. 53.5 mm² typed is 1/0 AWG.</summary>
    public static WireSize NotAbove(double areaMm2, bool awg) =>
        Series(awg).LastOrDefault(c => c.AreaMm2 <= areaMm2 * (1 + Rounding))?.Size ?? Series(awg).First().Size;

    /// <summary>The same of a size: a metric wire is judged as the American one below it.</summary>
    public static WireSize NotAbove(WireSize size, bool awg) => Of(size).Awg == awg ? size : NotAbove(Of(size).AreaMm2, awg);

    /// <summary>Sections are typed with three digits.</summary>
    private const double Rounding = 0.01;

    /// <summary>Resistance at a temperature, Ω/m. American stranded from 75 °C by 0.00323/K, metric from 20 °C by 0.00393/K.</summary>
    /// <param name="celsius">Of the copper.</param>
    /// <param name="fine">Fine strands; metric only.</param>
    public double OhmM(double celsius, bool fine = false) =>
        Awg ? OhmM75 * (1 + 0.00323 * (celsius - 75)) : (fine ? Fine20 : Ohm20) * (1 + 0.00393 * (celsius - 20));

    /// <summary>Across the copper, mm: solid by its area, seven strands 3/√7 times, fine strands 1.20 times (common practice).</summary>
    public double EnvelopeMm(WireBuild build) => (Awg ? AwgDiameterMm(Size) : Math.Sqrt(4 * AreaMm2 / Math.PI)) * build switch
    {
        WireBuild.Stranded => 3 / Math.Sqrt(7),
        WireBuild.Fine => 1.20,
        _ => 1,
    };

    /// <summary>Diameter of a solid American wire, mm: 0.127·92^((36 − n)/39), ASTM B258.</summary>
    public static double AwgDiameterMm(WireSize size) => 0.127 * Math.Pow(92, (36 - Number(size)) / 39.0);

    private static int Number(WireSize size) => size switch
    {
        WireSize.Awg1Of0 => 0,
        WireSize.Awg2Of0 => -1,
        WireSize.Awg3Of0 => -2,
        WireSize.Awg4Of0 => -3,
        WireSize.Awg3 => 3,
        WireSize.Awg2 => 2,
        WireSize.Awg1 => 1,
        WireSize.Awg4 => 4,
        _ => 18 - 2 * (size - WireSize.Awg18),
    };

    /// <summary>The next larger size of the series, or null.</summary>
    public Conductor? Next() => Series(Awg).SkipWhile(c => c.Size <= Size).FirstOrDefault();
}
