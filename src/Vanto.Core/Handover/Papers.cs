using System.Text.Json.Serialization;
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
    [Ask("In place of", Longest = 200, Help = "one or several, a comma between")] public string Supersedes { get; init; } = "";
    [Ask("Licence", Longest = 80)] public string Licence { get; init; } = "";
    [Ask("Instruments", Longest = 2000)] public string Instruments { get; init; } = "";
    [Ask("Its key", Longest = 64, Help = "hash of the key on the label; empty where nothing is public")] public string KeySha256 { get; init; } = "";
    [Ask("Its page", Longest = 64)] public string PageSha256 { get; init; } = "";
    [Ask("No longer public")] public bool Revoked { get; init; }
    [Ask("Laptop", Longest = 16, Help = "that issued it")] public string Laptop { get; init; } = "";
    [Ask("Its public key", Longest = 200)] public string PublicKey { get; init; } = "";
    [Ask("Signature", Longest = 120, Help = "of what it says")] public string Signature { get; init; } = "";
    [Ask("Signature of its file", Longest = 120)] public string FileSignature { get; init; } = "";
}

/// <summary>An issued paper.</summary>
public sealed record PaperRecord(Guid Id, DateTimeOffset At, string By, PaperValues Readings, Guid? Corrects)
    : ReadingsRecord<PaperValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<PaperRecord, PaperValues>("paper", "fact of a paper",
        (h, readings) => new PaperRecord(h.Id, h.At, h.By, readings, h.Corrects))
    { Issued = true };

    /// <summary>Whence it comes, as this laptop found when it read it.</summary>
    [JsonIgnore] public PaperOrigin Origin { get; init; }

    /// <summary>Its signature stands, and so does its number.</summary>
    internal bool Genuine => Origin is PaperOrigin.Here or PaperOrigin.Elsewhere;
}

/// <summary>A paper as it is listed.</summary>
/// <param name="Standing">Nothing that counts takes its place.</param>
/// <param name="Stale">Something of what it certifies was written after it.</param>
/// <param name="Origin">Whence it comes.</param>
/// <param name="Says">The same in words; nothing where it was issued here.</param>
/// <param name="Code">Its signature as it is printed on it.</param>
public sealed record PaperRow(Guid Id, PaperKind Kind, string Name, string Number, DateTimeOffset At, string By, string Supersedes, bool Standing, bool Stale,
    bool Public, PaperOrigin Origin, string Says, string Code);

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

    /// <summary>The number of the next paper of a kind, and those of the ones whose place it takes.</summary>
    /// <param name="code">Of the job.</param>
    /// <param name="kind">Of the paper.</param>
    /// <param name="letters">Of the laptop that issues it: two laptops never give one number.</param>
    /// <param name="papers">All of the rig.</param>
    public static (string Number, string Supersedes) Next(string code, PaperKind kind, string letters, IReadOnlyList<PaperRecord> papers)
    {
        var taken = papers.Select(p => p.Readings.Number).ToHashSet();
        var number = Enumerable.Range(1, papers.Count + 1).Select(n => $"{code}-{Short(kind)}-{letters}-{n:00}").First(n => !taken.Contains(n));
        return (number, string.Join(", ", papers.Where(p => p.Readings.Kind == kind && Stands(p, papers)).Select(p =>
            p.Readings.Number).TakeLast(MostReplaced)));
    }

    private const int MostReplaced = 4;

    /// <summary>Whether a paper counts: its signature and its number stand and no other that counts takes its place. One that was never signed counts
    /// as long as none of its kind was.</summary>
    public static bool Stands(PaperRecord paper, IReadOnlyList<PaperRecord> papers)
    {
        var others = papers.Where(o => o.Id != paper.Id && o.Readings.Kind == paper.Readings.Kind).ToList();
        return paper.Origin switch
        {
            PaperOrigin.Here or PaperOrigin.Elsewhere => !others.Any(o => o.Genuine && o.Readings.Supersedes.Split(", ").Contains(paper.Readings.Number)),
            PaperOrigin.Unsigned => !others.Any(o => o.Genuine) && papers.Last(o => o.Readings.Kind == paper.Readings.Kind && o.Origin == PaperOrigin.Unsigned)
                .Id == paper.Id,
            _ => false,
        };
    }

    /// <summary>All papers, the newest first.</summary>
    public static IReadOnlyList<PaperRow> Of(IReadOnlyList<PaperRecord> papers, IReadOnlyList<StationRecord> all) =>
    [
        .. papers.Select(p => new PaperRow(p.Id, p.Readings.Kind, Calls.Name(p.Readings.Kind), p.Readings.Number, p.At, p.By, p.Readings.Supersedes,
            Stands(p, papers), all.Any(r => r.At > p.At && Certified(p.Readings.Kind, r)),
            p.Readings is { KeySha256.Length: > 0, Revoked: false }, p.Origin, Said(p),
            p.Readings.Signature.Length > 0 ? PaperSeal.CodeOf(p.Readings.Signature) : "")).Reverse(),
    ];

    private static string Said(PaperRecord p) => p.Origin switch
    {
        PaperOrigin.Here => "",
        PaperOrigin.Elsewhere => $"{Calls.Name(p.Origin)}, {PaperSeal.LettersOf(p.Readings.Laptop, p.Readings.PublicKey)}",
        _ => Calls.Name(p.Origin),
    };

    /// <summary>Whether a record is of what a paper certifies.</summary>
    private static bool Certified(PaperKind kind, StationRecord record) => kind switch
    {
        PaperKind.Circuit => record is NitrogenRecord or VacuumRecord or ReleaseRecord or LeakRecord,
        PaperKind.Electrical => record is Wiring.PowerTestRecord,
        PaperKind.StartUp => record is CommissionRecord or CoolingRecord,
        _ => record is not PaperRecord,
    };
}
