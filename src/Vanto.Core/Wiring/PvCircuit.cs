using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>Cable, fuses and isolator of the modules. NEC 690.8 and 690.9, IEC 62548; recalled.</summary>
public static class PvCircuit
{
    private const double Sun = 1.25;
    private const double Lasting = 1.25;
    private static readonly double[] Fuses = [10, 12, 15, 20, 25, 30];

    /// <summary>Current that counts, A: 1.25 times what the strings give short.</summary>
    public static double MostA(double iscA, int strings) => Sun * iscA * strings;

    /// <summary>What the table must give before factors, A: 1.5625 times.</summary>
    public static double BeforeA(double iscA, int strings) => Sun * Lasting * iscA * strings;

    /// <summary>Whether a wire carries it, and its terminals.</summary>
    public static (bool Wire, bool Terminal) Carries(WireSize size, double iscA, int strings, double airC, bool onRoof, WireInsulation terminals)
    {
        if (!Conductor.Of(size).Awg)
        {
            var rated = Ampacity.OfIec(size, true, CableMethod.C, Math.Min(85, airC + (onRoof ? Ampacity.RoofK : 0)), 1);
            return (rated >= MostA(iscA, strings), true);
        }
        var derated = Ampacity.InBuilding(size, WireInsulation.C90, airC + (onRoof ? Ampacity.RoofK : 0), 2, WireInsulation.C90)?.Derated;
        return (Ampacity.Column(size, WireInsulation.C90) >= BeforeA(iscA, strings) * (1 - 1e-9) && derated >= MostA(iscA, strings) * (1 - 1e-9),
            Ampacity.Column(size, terminals) >= BeforeA(iscA, strings) * (1 - 1e-9));
    }

    /// <summary>Strings want fuses where the others together give more than a module's largest series fuse.</summary>
    public static bool FusesNeeded(double iscA, int strings, double moduleMostA) => (strings - 1) * Sun * iscA > moduleMostA * (1 + 1e-9);

    /// <summary>Rating of a string's fuse, A; null above the series.</summary>
    public static double? FuseA(double iscA) => Protection.AtLeast(Fuses, Sun * Lasting * iscA);
}

/// <summary>What a string's volts say before it is joined.</summary>
public enum StringVolts
{
    [Called("as it should be")] Good, [Called("reversed")] Reversed, [Called("off: light, warmth or another module")] Off,
    [Called("more modules than said")] TooMany,
    [Called("a module is missing, bridged or turned")] Fault,
}

/// <summary>Open-circuit volts of a string against what its modules should give.</summary>
/// <param name="Verdict">So it is.</param>
/// <param name="Ratio">Measured over expected.</param>
/// <param name="Pairs">What it may be: modules turned round, modules missing.</param>
public sealed record StringCheck(StringVolts Verdict, double Ratio, IReadOnlyList<(int Turned, int Missing)> Pairs)
{
    private const double Near = 0.05;

    /// <summary>Judges a string of so many modules.</summary>
    public static StringCheck Of(int series, double eachV, double measuredV)
    {
        var ratio = measuredV / (series * eachV);
        if (measuredV < 0)
            return new StringCheck(StringVolts.Reversed, ratio, []);
        var short_ = (int)Math.Round(series * (1 - ratio), MidpointRounding.AwayFromZero);
        if (short_ < 0)
            return new StringCheck(StringVolts.TooMany, ratio, []);
        if (short_ == 0)
            return new StringCheck(Math.Abs(ratio - 1) <= Near ? StringVolts.Good : StringVolts.Off, ratio, []);
        return new StringCheck(StringVolts.Fault, ratio,
            [.. Enumerable.Range(0, short_ / 2 + 1).Select(turned => (turned, short_ - 2 * turned)).Where(p => p.turned + p.Item2 <= series)]);
    }
}
