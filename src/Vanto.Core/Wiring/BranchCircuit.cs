using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>Currents of one way in which a unit runs, A.</summary>
/// <param name="Compressors">Rated-load currents.</param>
/// <param name="Others">Other motors.</param>
/// <param name="HeaterA">Electric heat.</param>
public sealed record RunningMode(IReadOnlyList<double> Compressors, IReadOnlyList<double> Others, double HeaterA = 0)
{
    private double Rest => Compressors.Sum() + Others.Sum();

    /// <summary>Minimum circuit ampacity: 1.25·(largest motor + heater) + other motors; NEC 440.32 and 424.4, recalled.</summary>
    public double McaA
    {
        get
        {
            var first = Compressors.Concat(Others).DefaultIfEmpty(0).Max();
            return 1.25 * (first + HeaterA) + Rest - first;
        }
    }

    /// <summary>What the protection may be at most before it is rounded to a size that is made: factor·largest compressor + the rest; NEC 440.22,
    /// recalled.</summary>
    public double RawA(double factor)
    {
        var first = Compressors.Count > 0 ? Compressors.Max() : Others.DefaultIfEmpty(0).Max();
        return factor * first + Rest - first + HeaterA;
    }
}

/// <summary>Breakers and fuses by their standard ratings.</summary>
public static class Protection
{
    /// <summary>Ratings, A; NEC 240.6(A), recalled.</summary>
    public static readonly IReadOnlyList<double> American =
        [15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450, 500, 600];

    /// <summary>Ratings, A; IEC 60898-1, recalled.</summary>
    public static readonly IReadOnlyList<double> Iec = [6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125];

    private const double StartsFrom = 1.75;
    private const double NeverAbove = 2.25;
    private const double Slack = 1e-9;

    /// <summary>The smallest rating that carries so much; null above the series.</summary>
    public static double? AtLeast(IReadOnlyList<double> series, double amps) =>
        series.Where(r => r >= amps * (1 - Slack)).Select(r => (double?)r).FirstOrDefault();

    private static double Down(double raw, double mca)
    {
        var down = American.Where(r => r <= raw * (1 + Slack)).DefaultIfEmpty(0).Max();
        return Math.Max(American[0], down >= mca * (1 - Slack) ? down : AtLeast(American, mca) ?? American[^1]);
    }

    /// <summary>Breaker to begin with and the largest allowed, A, over all ways of running.</summary>
    public static (double StartingA, double MaximumA) Of(IEnumerable<RunningMode> modes)
    {
        var (starting, maximum) = (0.0, 0.0);
        foreach (var m in modes)
        {
            var most = Down(m.RawA(NeverAbove), m.McaA);
            maximum = Math.Max(maximum, most);
            starting = Math.Max(starting, Math.Min(Down(m.RawA(StartsFrom), m.McaA), most));
        }
        return (starting, maximum);
    }

    /// <summary>Least and most multiples of its rating at which a breaker opens at once; IEC 60898-1, recalled.</summary>
    public static (double Lower, double Upper) AtOnce(BreakerCurve curve) => curve switch
    {
        BreakerCurve.B => (3, 5),
        BreakerCurve.C => (5, 10),
        _ => (10, 20),
    };
}

/// <summary>How quickly a breaker opens.</summary>
public enum BreakerCurve { B, C, D }

/// <summary>Volts lost on the way.</summary>
public static class VoltageDrop
{
    /// <summary>There and back, V: 2·L·I·(r·cos φ + x·sin φ).</summary>
    /// <param name="metres">One way.</param>
    /// <param name="amps">Current.</param>
    /// <param name="ohmM">Of one conductor.</param>
    /// <param name="reactanceM">Of one conductor.</param>
    /// <param name="powerFactor">cos φ.</param>
    public static double Volts(double metres, double amps, double ohmM, double reactanceM = 0, double powerFactor = 1) =>
        2 * metres * amps * Impedance(ohmM, reactanceM, powerFactor);

    /// <summary>Longest way for a share of the voltage, m.</summary>
    public static double Longest(double volts, double share, double amps, double ohmM, double reactanceM = 0, double powerFactor = 1) =>
        share * volts / (2 * amps * Impedance(ohmM, reactanceM, powerFactor));

    private static double Impedance(double ohmM, double reactanceM, double powerFactor) =>
        ohmM * powerFactor + reactanceM * Math.Sqrt(1 - powerFactor * powerFactor);

    /// <summary>Voltage and current of a load that draws so many watts whatever it gets; null where the loop cannot give them. V² − V₀·V + R·P =
    /// 0.</summary>
    public static (double Volts, double Amps)? ConstantPower(double watts, double openV, double loopOhm)
    {
        var root = openV * openV - 4 * loopOhm * watts;
        if (root < 0)
            return null;
        var volts = (openV + Math.Sqrt(root)) / 2;
        return (volts, watts / volts);
    }
}

/// <summary>What a terminal takes.</summary>
/// <param name="SolidMm2">Largest solid wire; null unknown.</param>
/// <param name="StrandedMm2">Largest stranded wire.</param>
/// <param name="FerruleMm2">Largest ferrule.</param>
/// <param name="LeastMm2">Smallest wire.</param>
/// <param name="OpeningMm">Across its opening.</param>
/// <param name="Wires">Conductors it is marked for.</param>
public sealed record Terminal(double? SolidMm2, double? StrandedMm2, double? FerruleMm2, double LeastMm2 = 0, double? OpeningMm = null, int Wires = 1);

/// <summary>How a wire stands to a terminal.</summary>
public enum TerminalFitting
{
    [Called("fits")] Fits, [Called("not known")] Unknown, [Called("too small for the clamp")] TooSmall, [Called("fine strands want a ferrule")] WantsFerrule,
    [Called("too big")] TooBig, [Called("two wires where one may be")] TwoWires,
}

/// <summary>Whether a wire goes into a terminal, before it is bought. Limits are the plate's; sizes of ferrules common practice.</summary>
public static class TerminalFit
{
    private static readonly double[] Ferrules = [0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25, 35];

    /// <summary>Nominal size of the ferrule for a wire, mm²; null above the series.</summary>
    public static double? Ferrule(double areaMm2) => Ferrules.Where(f => f >= areaMm2 * (1 - 1e-9)).Select(f => (double?)f).FirstOrDefault();

    /// <summary>Judges one wire at one terminal.</summary>
    public static TerminalFitting Of(Terminal terminal, Conductor wire, WireBuild build, bool ferrule, int wires = 1)
    {
        if (wires > terminal.Wires)
            return TerminalFitting.TwoWires;
        var (most, size) = ferrule ? (terminal.FerruleMm2 ?? terminal.StrandedMm2, Ferrule(wire.AreaMm2) ?? double.PositiveInfinity)
            : (build == WireBuild.Solid ? terminal.SolidMm2 ?? terminal.StrandedMm2 : terminal.StrandedMm2, wire.AreaMm2);
        if (most is not { } limit)
            return TerminalFitting.Unknown;
        if (size > limit * (1 + AsBig) || wire.EnvelopeMm(build) > terminal.OpeningMm)
            return TerminalFitting.TooBig;
        if (wire.AreaMm2 < terminal.LeastMm2)
            return TerminalFitting.TooSmall;
        return build == WireBuild.Fine && !ferrule ? TerminalFitting.WantsFerrule : TerminalFitting.Fits;
    }

    /// <summary>An American size passes where its own area, rounded, is the limit typed: 5.3 mm² is 10 AWG.</summary>
    private const double AsBig = 0.01;
}

/// <summary>Conductors of a conduit.</summary>
public enum ConduitKind
{
    [Called("steel tube (EMT)")] Emt, [Called("liquid-tight, plastic (LFNC)")] Lfnc, [Called("liquid-tight, metal (LFMC)")] Lfmc,
    [Called("plastic, rigid")] Pvc40,
}

/// <summary>Whether conductors go through a conduit. NEC chapter 9, tables 1, 4 and 5, recalled.</summary>
public static class ConduitFill
{
    private const double InchMm2 = 645.16;

    /// <summary>Trade sizes, in, and areas inside, in².</summary>
    private static readonly Dictionary<ConduitKind, (string Size, double In2)[]> Inside = new()
    {
        [ConduitKind.Emt] = [("1/2", 0.304), ("3/4", 0.533), ("1", 0.864), ("1-1/4", 1.496), ("1-1/2", 2.036), ("2", 3.356)],
        [ConduitKind.Lfnc] = [("1/2", 0.314), ("3/4", 0.541), ("1", 0.873), ("1-1/4", 1.528), ("1-1/2", 1.981), ("2", 3.246)],
        [ConduitKind.Lfmc] = [("1/2", 0.314), ("3/4", 0.541), ("1", 0.873), ("1-1/4", 1.528), ("1-1/2", 1.981), ("2", 3.246)],
        [ConduitKind.Pvc40] = [("1/2", 0.285), ("3/4", 0.508), ("1", 0.832), ("1-1/4", 1.453), ("1-1/2", 1.986), ("2", 3.291)],
    };

    private static readonly Dictionary<WireSize, double> ThhnIn2 = new()
    {
        [WireSize.Awg14] = 0.0097,
        [WireSize.Awg12] = 0.0133,
        [WireSize.Awg10] = 0.0211,
        [WireSize.Awg8] = 0.0366,
        [WireSize.Awg6] = 0.0507,
        [WireSize.Awg4] = 0.0824,
        [WireSize.Awg3] = 0.0973,
        [WireSize.Awg2] = 0.1158,
        [WireSize.Awg1] = 0.1562,
        [WireSize.Awg1Of0] = 0.1855,
        [WireSize.Awg2Of0] = 0.2223,
        [WireSize.Awg3Of0] = 0.2679,
        [WireSize.Awg4Of0] = 0.3237,
    };

    /// <summary>Area of a conductor with its insulation, mm²; metric ones as a circle 2.2 mm wider than their copper (common practice).</summary>
    public static double WireMm2(WireSize size) => ThhnIn2.TryGetValue(size, out var in2) ? in2 * InchMm2
        : Math.PI / 4 * Math.Pow(Conductor.Of(size).EnvelopeMm(WireBuild.Stranded) + 2.2, 2);

    /// <summary>Share that may be filled.</summary>
    public static double Limit(int conductors, bool nipple = false) => nipple ? 0.60 : conductors switch { 1 => 0.53, 2 => 0.31, _ => 0.40 };

    /// <summary>The smallest size that takes them, in, and how full it is; null where none does.</summary>
    /// <param name="kind">Of the conduit.</param>
    /// <param name="areasMm2">Of every conductor, earth included; a cable counts as one.</param>
    /// <param name="nipple">Not longer than 0.61 m.</param>
    public static (string Size, double Fill)? Of(ConduitKind kind, IReadOnlyList<double> areasMm2, bool nipple = false)
    {
        var sum = areasMm2.Sum() / InchMm2;
        foreach (var (size, in2) in Inside[kind])
            if (sum / in2 <= Limit(areasMm2.Count, nipple) + 1e-12)
                return (size, sum / in2);
        return null;
    }

    /// <summary>How many equal conductors a size takes: rounded up from 0.8 on.</summary>
    public static int Count(ConduitKind kind, string size, WireSize wire)
    {
        double Many(double limit) => limit * Inside[kind].Single(c => c.Size == size).In2 / ThhnIn2[wire];
        static int Whole(double many) => (int)Math.Floor(many) + (many - Math.Floor(many) >= 0.8 ? 1 : 0);
        var count = Whole(Many(Limit(3)));
        return count > 2 ? count : Whole(Many(Limit(2))) >= 2 ? 2 : Many(Limit(1)) >= 1 ? 1 : 0;
    }
}

/// <summary>Earth conductors.</summary>
public static class EarthConductor
{
    private static readonly (double UpToA, WireSize Size)[] ByDevice =
    [
        (15, WireSize.Awg14), (20, WireSize.Awg12), (60, WireSize.Awg10), (100, WireSize.Awg8), (200, WireSize.Awg6), (300, WireSize.Awg4),
        (400, WireSize.Awg3), (500, WireSize.Awg2), (600, WireSize.Awg1),
    ];

    /// <summary>By the protection, never larger than the live one; larger in step where the live ones are. NEC 250.122, recalled.</summary>
    public static WireSize American(double deviceA, WireSize least, WireSize installed)
    {
        var table = ByDevice.FirstOrDefault(r => deviceA <= r.UpToA + 1e-9, ByDevice[^1]).Size;
        var cmil = Conductor.Of(table).Cmil * Math.Max(1, Conductor.Of(installed).Cmil / Conductor.Of(least).Cmil);
        var size = Conductor.Series(true).FirstOrDefault(c => c.Size >= table && c.Cmil >= cmil * (1 - 1e-9))?.Size ?? installed;
        return size > installed ? installed : size;
    }

    /// <summary>By the live conductor; IEC 60364-5-54, table 54.2, recalled.</summary>
    public static WireSize Iec(WireSize live)
    {
        var area = Conductor.Of(live).AreaMm2;
        var asked = area <= 16 ? area : area <= 35 ? 16 : area / 2;
        return Conductor.Series(false).First(c => c.AreaMm2 >= asked - 1e-9).Size;
    }

    /// <summary>Of an inverter's case: one size below its positive; ABYC E-11, recalled.</summary>
    public static WireSize OfInverter(WireSize positive)
    {
        var series = Conductor.Series(Conductor.Of(positive).Awg).Select(c => c.Size).ToList();
        return series[Math.Max(0, series.IndexOf(positive) - 1)];
    }

    /// <summary>Least section for a fault, mm²: √(I²·t)/k; IEC 60364-5-54.</summary>
    public static double AdiabaticMm2(double amps, double seconds, double k) => Math.Sqrt(amps * amps * seconds) / k;
}

/// <summary>Flexible end between isolator and unit.</summary>
public static class Whip
{
    /// <summary>Lengths that are sold, m; common practice.</summary>
    public static readonly IReadOnlyList<double> Stock = [1.2, 1.8, 3.0];

    /// <summary>So much more than the way it takes, m; common practice.</summary>
    public const double SlackM = 0.15;

    /// <summary>Tails beyond each end of the whip, conductor only, m; common practice.</summary>
    public const double TailM = 0.20;

    /// <summary>Length to buy for a way, m; null where none is long enough.</summary>
    public static double? For(double wayM) => Stock.Where(s => s >= wayM + SlackM - 1e-9).Select(s => (double?)s).FirstOrDefault();
}

/// <summary>Rating of a disconnect, A: the next made at least 1.15 times what it carries; NEC 440.12, recalled.</summary>
public static class DisconnectRating
{
    private static readonly double[] American = [30, 60, 100, 200];
    private static readonly double[] Iec = [16, 20, 25, 32, 40, 63, 80, 100, 125];
    private const double Share = 1.15;

    /// <summary>What it must bear and what is made; null above the series.</summary>
    public static (double NeedA, double? RatingA) Of(double amps, bool metric)
    {
        var need = Share * amps;
        return (need, Protection.AtLeast(metric ? Iec : American, need));
    }
}
