using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>The ways in which an open circuit is proved dry.</summary>
public enum EvacuationSchool
{
    [Called("micron gauge")] Micron, [Called("compound gauge")] Compound, [Called("hand pump")] Hand, [Called("charged set, uncut")] Charged,
}

/// <summary>A school with what it shows and what it cannot see. Common practice, no published source.</summary>
public sealed record SchoolRow(EvacuationSchool School, string Way, string Shows, string CannotSee, string Needs, string Time)
{
    /// <summary>Minutes at most.</summary>
    public required double MostMin { get; init; }
}

/// <summary>What is at hand for a vacuum.</summary>
/// <param name="Charged">A charged set, or a pre-evacuated one that hissed inwards.</param>
/// <param name="Uncut">It was never cut, and its couplings never parted.</param>
/// <param name="RejoinedTight">Parted once with both valves shut, self-sealing, capped at once.</param>
/// <param name="ManualAllows">The manual allows it so.</param>
/// <param name="ManualAsksMicron">The manual asks for a figure in micron.</param>
public sealed record EvacuationFacts(bool Charged, bool Uncut, bool RejoinedTight, bool ManualAllows, bool ManualAsksMicron, bool MicronGauge, bool Pump,
    bool SourceCarriesPump, bool HandPump);

/// <summary>The advised school.</summary>
/// <param name="School">Nothing where no way is left.</param>
/// <param name="Level">Nothing, caution, or stop.</param>
public sealed record EvacuationAdvice(EvacuationSchool? School, Severity? Level, string Why);

/// <summary>Which way to prove it, by what is at hand; the first that fits. Common practice, no published source.</summary>
public static class EvacuationSchools
{
    /// <summary>Every school with its blind spot.</summary>
    public static IReadOnlyList<SchoolRow> All { get; } =
    [
        new(EvacuationSchool.Micron, "500 micron, then shut off and watched for 10 to 20 minutes", "dryness, and no gross leak",
            "leaks of less than about a kilogram a year: soap under pressure finds them", "pump, micron gauge, core tool", "30–90 min") { MostMin = 90 },
        new(EvacuationSchool.Compound, "15 to 45 minutes to the lowest the needle shows, then 5 to 60 minutes held", "no gross leak",
            "whether it is dry: half a mark of the needle is 12,700 micron", "pump", "30–105 min") { MostMin = 105 },
        new(EvacuationSchool.Hand, "about 97 % of the air out, held for a day", "no gross leak",
            "whether it is dry: at that vacuum water boils only at 30 °C", "hand pump, no power", "a day") { MostMin = 24 * 60 },
        new(EvacuationSchool.Charged, "joined by its couplings, soap after opening", "nothing before it is opened",
            "a set that lost its charge or its vacuum on the way", "the maker's set, capped until joined", "minutes") { MostMin = 15 },
    ];

    /// <summary>The school for what is at hand.</summary>
    public static EvacuationAdvice Advise(EvacuationFacts f)
    {
        if (f is { Charged: true, Uncut: true, ManualAllows: true })
            return new(EvacuationSchool.Charged, null, "the set is charged and uncut: no nitrogen, no vacuum");
        if (f is { Charged: true, RejoinedTight: true, ManualAllows: true })
            return new(EvacuationSchool.Charged, Severity.Caution, "parted once with both valves shut and capped at once");
        if (f is { Pump: false, HandPump: false })
            return new(null, Severity.Stop, "no pump of any kind is at hand");
        if (!f.Pump || !f.SourceCarriesPump)
            return !f.HandPump ? new(null, Severity.Stop, "the source does not carry the pump: a generator, or another time")
                : f.ManualAsksMicron ? new(EvacuationSchool.Hand, Severity.Stop, "the manual asks for a figure that a hand pump cannot show")
                : new(EvacuationSchool.Hand, Severity.Caution, "no gross leak is shown, dryness is not");
        return f.MicronGauge ? new(EvacuationSchool.Micron, null, "it shows dryness, and no gross leak")
            : f.ManualAsksMicron ? new(EvacuationSchool.Compound, Severity.Stop, "the manual asks for a figure that this gauge cannot show")
            : new(EvacuationSchool.Compound, Severity.Caution, "no gross leak is shown, dryness is not");
    }
}
