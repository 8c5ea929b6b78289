using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>Cable between battery and inverter, or to a unit that runs on the battery.</summary>
public static class DcCable
{
    private const double FeetInM = 0.3048;
    private const double AmericanK = 10.75;
    private const double IsoRho = 0.0164;

    /// <summary>Current of an inverter, A: P/(η·V), times a factor where it draws in pulses (up to √1.5).</summary>
    public static double InverterA(double watts, double efficiency, double volts, double ripple = 1) => ripple * watts / (efficiency * volts);

    /// <summary>Circular mils for a drop: 10.75·I·L/E, L there and back in feet; ABYC E-11, recalled.</summary>
    public static double Cmil(double amps, double oneWayM, double dropV) => AmericanK * amps * 2 * oneWayM / FeetInM / dropV;

    /// <summary>Section for a drop, mm²: 0.0164·I·L/E, L there and back; ISO 13297, recalled.</summary>
    public static double SectionMm2(double amps, double oneWayM, double dropV) => IsoRho * amps * 2 * oneWayM / dropV;

    /// <summary>What a cable must do.</summary>
    /// <param name="Rules">Rules of the rig.</param>
    /// <param name="Amps">For hours.</param>
    /// <param name="OneWayM">Length.</param>
    /// <param name="NominalV">Of the bank.</param>
    /// <param name="DropShare">May be lost.</param>
    /// <param name="Insulation">Of the cable.</param>
    /// <param name="EngineSpace">It passes one.</param>
    /// <param name="AirC">Round it.</param>
    /// <param name="Parallels">Cables side by side at most.</param>
    public sealed record Ask(RuleBook Rules, double Amps, double OneWayM, double NominalV, double DropShare, WireInsulation Insulation, bool EngineSpace,
        double AirC, int Parallels);

    /// <summary>A cable found.</summary>
    /// <param name="Count">Cables side by side.</param>
    /// <param name="Size">Of each.</param>
    /// <param name="AmpacityA">Of all together.</param>
    /// <param name="BySize">True where the current decides, false where the drop does.</param>
    public sealed record Answer(int Count, WireSize Size, double AmpacityA, bool BySize);

    /// <summary>Loads that last count 1.25 times where the rules say so; NEC 215.2, recalled; vehicles common practice.</summary>
    public static double Continuous(RuleBook rules) => rules is RuleBook.NorthAmerica or RuleBook.VehicleDc ? 1.25 : 1;

    /// <summary>Metric sizes where the rules are metric.</summary>
    public static bool Awg(RuleBook rules) => rules is not (RuleBook.Iec or RuleBook.MarineIso);

    /// <summary>What so many cables carry; 0 where the size may not be used. American cables side by side only from 1/0 AWG (NEC 310.10(G),
    /// recalled).</summary>
    public static double Carries(Ask ask, WireSize size, int count)
    {
        if (count > 1 && ask.Rules == RuleBook.NorthAmerica && size < WireSize.Awg1Of0)
            return 0;
        var one = ask.Rules switch
        {
            RuleBook.NorthAmerica => Ampacity.InBuilding(size, ask.Insulation, ask.AirC, 2, WireInsulation.C75)?.Amps ?? 0,
            RuleBook.Iec => Ampacity.OfIec(size, ask.Insulation >= WireInsulation.C90, CableMethod.C, ask.AirC, 1) ?? 0,
            RuleBook.VehicleDc => Ampacity.Afloat(size, ask.Insulation, ask.EngineSpace, 1, ask.AirC) ?? 0,
            _ => Ampacity.Afloat(size, ask.Insulation, ask.EngineSpace, 1) ?? 0,
        };
        return count * one;
    }

    /// <summary>Volts lost there and back by the rule of the book.</summary>
    public static double DropV(Ask ask, Conductor wire, int count) => ask.Rules switch
    {
        RuleBook.MarineAmerican => AmericanK * ask.Amps * 2 * ask.OneWayM / FeetInM / (count * (wire.LeastCmil > 0 ? wire.LeastCmil : wire.Cmil)),
        RuleBook.MarineIso => IsoRho * ask.Amps * 2 * ask.OneWayM / (count * wire.AreaMm2),
        _ => VoltageDrop.Volts(ask.OneWayM, ask.Amps, LoopOhmM(wire) / count),
    };

    /// <summary>Of one conductor, warm, Ω/m: American at 75 °C, vehicle cable by its least section; metric fine strands at 70 °C.</summary>
    public static double LoopOhmM(Conductor wire) => wire.Awg ? wire.OhmM(75) * (wire.LeastCmil > 0 ? wire.Cmil / wire.LeastCmil : 1) : wire.OhmM(70, true);

    /// <summary>The fewest cables and then the smallest size that carry the current and keep the drop; null where none does.</summary>
    public static Answer? Of(Ask ask)
    {
        var need = Continuous(ask.Rules) * ask.Amps;
        for (var n = 1; n <= ask.Parallels; n++)
            foreach (var wire in Conductor.Series(Awg(ask.Rules)))
                if (Carries(ask, wire.Size, n) is var carries && carries >= need * (1 - 1e-9) && DropV(ask, wire,
                    n) <= ask.DropShare * ask.NominalV * (1 + 1e-9))
                {
                    var smaller = Conductor.Series(wire.Awg).LastOrDefault(c => c.Size < wire.Size && Carries(ask, c.Size, n) > 0);
                    return new Answer(n, wire.Size, carries, smaller is null || Carries(ask, smaller.Size, n) < need);
                }
        return null;
    }

    /// <summary>Current in each of several cables side by side, A: by how well they conduct.</summary>
    /// <param name="amps">Of all.</param>
    /// <param name="cables">Length, m, and Ω/m of each.</param>
    public static IReadOnlyList<double> Share(double amps, IReadOnlyList<(double Metres, double OhmM)> cables)
    {
        var sum = cables.Sum(c => 1 / (c.Metres * c.OhmM));
        return [.. cables.Select(c => amps / (c.Metres * c.OhmM) / sum)];
    }

    /// <summary>Copper of cables, kg; fine strands lie 4 % longer than the cable.</summary>
    public static double CopperKg(int conductors, double metres, double areaMm2, double lay = 1.02) => conductors * metres * areaMm2 * lay * 8890e-6;
}

/// <summary>What a bank gives into a dead short.</summary>
public static class BankShort
{
    /// <summary>Current, A: open voltage over the bank's, the links' and the cable's resistance.</summary>
    /// <param name="openV">Of the full bank at rest.</param>
    /// <param name="stringOhm">Of one string with its links and board.</param>
    /// <param name="strings">Side by side.</param>
    /// <param name="cableOhm">Up to the fault, both ways.</param>
    public static double Amps(double openV, double stringOhm, int strings, double cableOhm = 0) => openV / (stringOhm / strings + cableOhm);
}

/// <summary>Kinds of fuse for a battery cable.</summary>
public enum FuseClass
{
    [Called("class T")] ClassT, [Called("bolted strip, ANL type")] Anl, [Called("on the battery post, MRBF type")] Post,
    [Called("bolted strip, ISO 8820-5")] Strip,
}

/// <summary>Fuses of battery cables. Ratings and what they interrupt are recalled; the fuse's own data sheet stands above them.</summary>
public static class DcFuse
{
    private static readonly Dictionary<FuseClass, double[]> Ratings = new()
    {
        [FuseClass.ClassT] = [30, 40, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450, 500, 600],
        [FuseClass.Anl] = [35, 40, 50, 60, 80, 100, 130, 150, 175, 200, 225, 250, 275, 300, 325, 350, 400, 450, 500, 600, 675, 750],
        [FuseClass.Post] = [30, 40, 50, 60, 75, 80, 90, 100, 125, 150, 175, 200, 225, 250, 300],
        [FuseClass.Strip] = [60, 80, 100, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450, 500],
    };

    /// <summary>Up to a voltage it interrupts so much, A.</summary>
    private static readonly Dictionary<FuseClass, (double Volts, double Amps)[]> Interrupts = new()
    {
        [FuseClass.ClassT] = [(125, 20000)],
        [FuseClass.Anl] = [(32, 6000)],
        [FuseClass.Post] = [(14, 10000), (32, 5000), (58, 2000)],
        [FuseClass.Strip] = [(32, 2000)],
    };

    private const double Continuous = 1.25;

    /// <summary>What a class interrupts at a voltage, A; null above its voltage.</summary>
    public static double? InterruptsA(FuseClass kind, double volts) =>
        Interrupts[kind].Where(r => volts <= r.Volts + 1e-9).Select(r => (double?)r.Amps).FirstOrDefault();

    /// <summary>Smallest rating from 1.25 times the current on, A; null above the series.</summary>
    public static double? RatingA(FuseClass kind, double amps) => Protection.AtLeast(Ratings[kind], Continuous * amps);

    /// <summary>Largest that protects a cable, A: 1.5 times its ampacity on American boats, the next standard size in buildings, else the ampacity.</summary>
    public static double MostA(RuleBook rules, double ampacityA) => rules switch
    {
        RuleBook.MarineAmerican => 1.5 * ampacityA,
        RuleBook.NorthAmerica => Protection.AtLeast(Protection.American, ampacityA) ?? ampacityA,
        _ => ampacityA,
    };

    /// <summary>Farthest from the battery, m: plain, in a sheath from a bar, in a sheath at the battery.</summary>
    public static double FarthestM(RuleBook rules, bool sheathed, bool atBattery) => rules switch
    {
        RuleBook.NorthAmerica => 0.457,
        RuleBook.MarineIso => 0.200,
        RuleBook.Iec => 0.457,
        RuleBook.MarineAmerican when sheathed => atBattery ? 1.83 : 1.02,
        _ => 0.178,
    };

    /// <summary>Time that a fuse bears a multiple of its rating, s; null below the curve's first point. Straight between points on logarithmic axes.</summary>
    /// <param name="curve">Multiples that rise and the times that fall with them.</param>
    /// <param name="multiple">Surge over rating.</param>
    public static double? MeltsS(IReadOnlyList<(double Multiple, double Seconds)> curve, double multiple)
    {
        if (multiple < curve[0].Multiple)
            return null;
        for (var i = 1; i < curve.Count; i++)
            if (multiple <= curve[i].Multiple)
            {
                var part = Math.Log(multiple / curve[i - 1].Multiple) / Math.Log(curve[i].Multiple / curve[i - 1].Multiple);
                return curve[i - 1].Seconds * Math.Pow(curve[i].Seconds / curve[i - 1].Seconds, part);
            }
        return curve[^1].Seconds;
    }

    /// <summary>Lower band of a bolted strip fuse; recalled from ISO 8820-5.</summary>
    public static readonly IReadOnlyList<(double Multiple, double Seconds)> StripCurve = [(1.35, 120), (2.0, 1.0), (3.5, 0.3), (6.0, 0.1)];
}

/// <summary>An inverter's capacitors filled through a resistor before the main contact closes.</summary>
/// <param name="TauS">Time constant.</param>
/// <param name="SecondsTo95">Until 95 % of the volts stand on them.</param>
/// <param name="EnergyJ">That the resistor takes.</param>
/// <param name="PeakA">At the first moment.</param>
/// <param name="PeakW">At the first moment.</param>
public sealed record Precharge(double TauS, double SecondsTo95, double EnergyJ, double PeakA, double PeakW)
{
    /// <summary>Of a capacitor C, F, at V, through R, Ω.</summary>
    public static Precharge Of(double farad, double volts, double ohm) => new(ohm * farad, -ohm * farad * Math.Log(0.05), farad * volts * volts / 2,
        volts / ohm, volts * volts / ohm);

    /// <summary>Volts still missing after a time.</summary>
    public double MissingV(double volts, double seconds) => volts * Math.Exp(-seconds / TauS);
}

/// <summary>Bars, studs and lugs.</summary>
public static class Busbar
{
    private const double AmpsMm2 = 1.55;

    /// <summary>Copper bar in open air, A: 1,000 A a square inch; common practice.</summary>
    public static double Amps(double wideMm, double thickMm) => wideMm * thickMm * AmpsMm2;

    /// <summary>Current through a stud that joins lugs: half of all that flows; what flows in flows out.</summary>
    public static double ThroughStudA(IEnumerable<double> signed) => signed.Sum(Math.Abs) / 2;

    /// <summary>What a stud joins, A; common practice. Null for an unknown stud.</summary>
    public static double? StudA(int metric) => metric switch { 6 => 150, 8 => 300, 10 => 500, _ => null };

    /// <summary>Lugs on one stud at most; ABYC E-11, recalled.</summary>
    public const int MostLugs = 4;
}
