using Vanto.Core.Commission;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Handover;

/// <summary>What is issued as a paper with a number.</summary>
public enum PaperKind
{
    [Called("proof of the circuit")] Circuit, [Called("tests before power")] Electrical, [Called("start-up")] StartUp, [Called("owner's guide")] Guide,
}

/// <summary>An issued paper: what it was made of stands frozen in its file, whatever is written later.</summary>
public sealed record PaperValues : DesignPart
{
    [Ask("Kind")] public PaperKind Kind { get; init; } = PaperKind.Circuit;
    [Ask("Number", Longest = 40)] public string Number { get; init; } = "";
    [Ask("File", Longest = 64)] public string Sha256 { get; init; } = "";
    [Field(QuantityKind.Number, 0, 1e9, Label = "Revision of the design")] public double Revision { get; init; }
    [Ask("In place of", Longest = 40)] public string Supersedes { get; init; } = "";
    [Ask("Licence", Longest = 80)] public string Licence { get; init; } = "";
    [Ask("Instruments", Longest = 2000)] public string Instruments { get; init; } = "";
    [Ask("Its key", Longest = 64, Help = "hash of the key on the label; empty where nothing is public")] public string KeySha256 { get; init; } = "";
    [Ask("Its page", Longest = 64)] public string PageSha256 { get; init; } = "";
    [Ask("No longer public")] public bool Revoked { get; init; }
}

/// <summary>An issued paper.</summary>
public sealed record PaperRecord(Guid Id, DateTimeOffset At, string By, PaperValues Readings, Guid? Corrects)
    : ReadingsRecord<PaperValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<PaperRecord, PaperValues>("paper", "fact of a paper",
        (h, readings) => new PaperRecord(h.Id, h.At, h.By, readings, h.Corrects))
    { Issued = true };
}

/// <summary>A paper as it is listed.</summary>
/// <param name="Standing">It is the newest of its kind.</param>
/// <param name="Stale">Something of what it certifies was written after it.</param>
public sealed record PaperRow(Guid Id, PaperKind Kind, string Name, string Number, DateTimeOffset At, string By, string Supersedes, bool Standing, bool Stale,
    bool Public);

/// <summary>Numbers and standing of papers.</summary>
public static class Papers
{
    /// <summary>How a kind is written in a number.</summary>
    public static string Short(PaperKind kind) => kind switch
    {
        PaperKind.Circuit => "CIRCUIT",
        PaperKind.Electrical => "ELECTRICAL",
        PaperKind.StartUp => "STARTUP",
        _ => "GUIDE",
    };

    /// <summary>The number of the next paper of a kind, and that of the one whose place it takes.</summary>
    public static (string Number, string Supersedes) Next(string code, PaperKind kind, IReadOnlyList<PaperRecord> papers)
    {
        var of = papers.Where(p => p.Readings.Kind == kind).ToList();
        return ($"{code}-{Short(kind)}-{of.Count + 1:00}", of.LastOrDefault()?.Readings.Number ?? "");
    }

    /// <summary>All papers, the newest first.</summary>
    public static IReadOnlyList<PaperRow> Of(IReadOnlyList<PaperRecord> papers, IReadOnlyList<StationRecord> all) =>
    [
        .. papers.Select(p => new PaperRow(p.Id, p.Readings.Kind, Calls.Name(p.Readings.Kind), p.Readings.Number, p.At, p.By, p.Readings.Supersedes,
            papers.Last(o => o.Readings.Kind == p.Readings.Kind).Id == p.Id, all.Any(r => r.At > p.At && Certified(p.Readings.Kind, r)),
            p.Readings is { KeySha256.Length: > 0, Revoked: false })).Reverse(),
    ];

    /// <summary>Whether a record is of what a paper certifies.</summary>
    private static bool Certified(PaperKind kind, StationRecord record) => kind switch
    {
        PaperKind.Circuit => record is NitrogenRecord or VacuumRecord or ReleaseRecord or LeakRecord,
        PaperKind.Electrical => record is Wiring.PowerTestRecord,
        PaperKind.StartUp => record is CommissionRecord or CoolingRecord,
        _ => record is not PaperRecord,
    };
}
