using Vanto.Core.Findings;

namespace Vanto.Core.Energy;

/// <summary>A module as its plate says, at 25 °C and 1000 W/m². Coefficients are shares a kelvin.</summary>
public sealed record PvModule(double RatedW, double VocV, double VmpV, double IscA, double ImpA, double VocPerK = -0.0027, double PowerPerK = -0.0034,
    double SeriesFuseA = 20);

/// <summary>
/// What an input for modules bears: highest volts, lowest volts to start or track, highest volts to track, highest short-circuit and working amperes.
/// </summary>
public sealed record PvInput(double MaxV, double MinV, double TrackMaxV, double MaxIscA, double MaxCurrentA);

/// <summary>One string design and how it stands in the cold and in the heat.</summary>
public sealed record PvStringResult
{
    public required int Series { get; init; }
    public required int Parallel { get; init; }
    public required double VocColdV { get; init; }
    public required double VocTableV { get; init; }
    public required double VmpHotV { get; init; }
    public required double VmpColdV { get; init; }
    public required double IscA { get; init; }
    public required double ConductorA { get; init; }
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Modules used.</summary>
    public int Modules => Series * Parallel;

    /// <summary>True when nothing forbids it.</summary>
    public bool Allowed => Findings.All(f => f.Level != Severity.Stop);
}

/// <summary>Modules in strings: cold voltage by coefficient and by the table of NEC 690.7(A), hot voltage, currents, fuses (NEC 690.8, 690.9).</summary>
public static class PvStrings
{
    private static readonly (double FromC, double Factor)[] ColdTable =
    [
        (25, 1.00), (20, 1.02), (15, 1.04), (10, 1.06), (5, 1.08), (0, 1.10), (-5, 1.12), (-10, 1.14), (-15, 1.16), (-20, 1.18), (-25, 1.20), (-30, 1.21),
        (-35, 1.23), (-40, 1.25),
    ];

    /// <summary>Factor on the open-circuit voltage by the lowest expected air temperature for crystalline silicon (NEC table 690.7(A), published).</summary>
    /// <exception cref="InputException">Below −40 °C.</exception>
    public static double ColdFactor(double lowestC)
    {
        foreach (var (from, factor) in ColdTable)
            if (lowestC >= from)
                return factor;
        throw new InputException("lowestC", Phrase.Of($"{lowestC:Temperature}"),
            Phrase.Of($"lowestC must be {-40.0:Temperature} or warmer; got {lowestC:Temperature}"));
    }

    /// <summary>Open volts of a string on a cold morning.</summary>
    public static double ColdV(int series, double vocV, double perK, double lowestC) => series * vocV * (1 + perK * (lowestC - 25));

    /// <summary>Checks one design.</summary>
    /// <param name="module">The module.</param>
    /// <param name="input">What it feeds.</param>
    /// <param name="series">Modules in a string.</param>
    /// <param name="parallel">Strings.</param>
    /// <param name="lowestC">Record low of the air, °C.</param>
    /// <param name="hotCellC">Hottest cells, °C.</param>
    /// <param name="stringsFused">Each string has its fuse.</param>
    public static PvStringResult Check(PvModule module, PvInput input, int series, int parallel, double lowestC, double hotCellC, bool stringsFused = false)
    {
        var openCold = ColdV(series, module.VocV, module.VocPerK, lowestC);
        var openTable = series * module.VocV * ColdFactor(lowestC);
        var powerHot = series * module.VmpV * (1 + module.PowerPerK * (hotCellC - 25));
        var powerCold = series * module.VmpV * (1 + module.PowerPerK * (lowestC - 25));
        var shortA = parallel * module.IscA;
        var result = new PvStringResult
        {
            Series = series,
            Parallel = parallel,
            VocColdV = openCold,
            VocTableV = openTable,
            VmpHotV = powerHot,
            VmpColdV = powerCold,
            IscA = shortA,
            ConductorA = 1.25 * 1.25 * shortA,
            Findings = [],
        };
        return result with { Findings = [.. Judge(module, input, result, stringsFused)] };
    }

    /// <summary>Every allowed design of at most so many modules: most modules first, then fewest findings, then the longest string.</summary>
    public static IReadOnlyList<PvStringResult> Enumerate(PvModule module, PvInput input, int modules, double lowestC, double hotCellC,
        bool stringsFused = false)
    {
        var allowed = new List<PvStringResult>();
        for (var series = 1; series <= modules; series++)
            for (var parallel = 1; series * parallel <= modules; parallel++)
                if (Check(module, input, series, parallel, lowestC, hotCellC, stringsFused) is { Allowed: true } result)
                    allowed.Add(result);
        return [.. allowed.OrderByDescending(r => r.Modules).ThenBy(r => r.Findings.Count).ThenByDescending(r => r.Series)];
    }

    private static IEnumerable<Finding> Judge(PvModule module, PvInput input, PvStringResult r, bool fused)
    {
        if (r.VocColdV > input.MaxV)
            yield return Finding.Of(FindingCode.PvVoltage, Severity.Stop,
                $"On the coldest morning the string stands at {r.VocColdV:Voltage}; the input bears {input.MaxV:Voltage} and is destroyed.");
        else if (r.VocTableV > input.MaxV)
            yield return Finding.Of(FindingCode.PvVoltageTable, Severity.Caution,
                $"By the table of the code it would be {r.VocTableV:Voltage} of {input.MaxV:Voltage}; the authority may ask for the table.");
        else if (r.VocColdV > 0.95 * input.MaxV)
            yield return Finding.Of(FindingCode.PvVoltageNear, Severity.Caution,
                $"On the coldest morning {r.VocColdV:Voltage} of {input.MaxV:Voltage} are reached.");
        if (r.VmpHotV < input.MinV)
            yield return Finding.Of(FindingCode.PvVmpHot, Severity.Stop,
                $"Hot modules give {r.VmpHotV:Voltage}; the input works from {input.MinV:Voltage}. It stops in the heat, when it is needed.");
        if (r.IscA > input.MaxIscA)
            yield return Finding.Of(FindingCode.PvIsc, Severity.Stop,
                $"The strings can push {r.IscA:Current} into an input that bears {input.MaxIscA:Current}.");
        if (r.Parallel * module.ImpA > input.MaxCurrentA)
            yield return Finding.Of(FindingCode.PvClipping, Severity.Caution,
                $"At their best the strings give {r.Parallel * module.ImpA:Current}; the input takes {input.MaxCurrentA:Current}, the rest is lost.");
        if (r.VmpColdV > input.TrackMaxV)
            yield return Finding.Of(FindingCode.PvAboveWindow, Severity.Note,
                $"In the cold the modules work best at {r.VmpColdV:Voltage}, above the {input.TrackMaxV:Voltage} that the input follows.");
        if (r.Parallel >= 3 && (r.Parallel - 1) * 1.25 * module.IscA > module.SeriesFuseA && !fused)
            yield return Finding.Of(FindingCode.PvStringFuse, Severity.Stop,
                $"{r.Parallel - 1} strings feed a faulty one with more than its {module.SeriesFuseA:Current} series fuse: fuse each string.");
    }
}
