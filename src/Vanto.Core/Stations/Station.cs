using System.Text.Json.Serialization;
using Vanto.Core.Findings;

namespace Vanto.Core.Stations;

/// <summary>Part of the work a station belongs to.</summary>
public enum StationPhase { Size, Design, Build, Keep }

/// <summary>One question of a station, with an address and a screen of its own.</summary>
/// <param name="Name">Its name in addresses and in findings.</param>
/// <param name="Words">What it is called in the row of leaves.</param>
/// <param name="Question">What it answers.</param>
public sealed record StationLeaf(string Name, string Words, string Question);

/// <summary>What every station answers.</summary>
public interface IStationResult
{
    /// <summary>What it says in a sentence.</summary>
    Verdict Verdict { get; }

    IReadOnlyList<Finding> Findings { get; }

    /// <summary>What its further leaves say, each in a sentence, by their names; the first says the verdict.</summary>
    IReadOnlyDictionary<string, Phrase> Answers => NoAnswers;

    private static readonly IReadOnlyDictionary<string, Phrase> NoAnswers = new Dictionary<string, Phrase>();
}

/// <summary>
/// A station of the work: says what it reads and works it out, a pure function of that. Whatever runs over all stations (the assessment, the
/// answers on the wire, the run line, what may lean on what) follows from this and from the registry.
/// </summary>
public abstract class Station
{
    /// <summary>Its name on the wire and in addresses.</summary>
    public abstract string Name { get; }

    /// <summary>The part of the work it belongs to.</summary>
    public abstract StationPhase Phase { get; }

    public abstract Type Result { get; }

    /// <summary>The questions it answers; the first is the station's own and carries its verdict.</summary>
    public virtual IReadOnlyList<StationLeaf> Leaves => [new(Name, Name, "")];

    /// <summary>
    /// Parts of the design, results of earlier stations and kinds of records that it reads; nothing else. It waits for the first of the results that
    /// is missing, and is not run again while none of them has changed.
    /// </summary>
    public abstract IReadOnlyList<Type> Reads { get; }

    /// <summary>True where it reads what all stations before it found and print, and waits for each of them.</summary>
    public virtual bool ReadsAllBefore => false;

    /// <summary>Kinds of records that are written at this station.</summary>
    public virtual IReadOnlyList<RecordKind> Keeps => [];

    /// <summary>Works it out.</summary>
    /// <exception cref="InputException">The design holds what it cannot take.</exception>
    public abstract IStationResult Assess(StationInputs job);

    /// <summary>Its entries of the ledger; one of the same name takes the place of an earlier station's.</summary>
    /// <param name="job">What is known, this station's result included.</param>
    public virtual IEnumerable<LedgerEntry> Ledger(StationInputs job) => [];

    /// <summary>What it prints for the owner.</summary>
    /// <param name="job">What is known, this station's result included.</param>
    public virtual IEnumerable<SheetBlock> Sheet(StationInputs job) => [];
}

/// <summary>A station with its result's type.</summary>
public abstract class Station<T> : Station where T : class, IStationResult
{
    /// <inheritdoc />
    public sealed override Type Result => typeof(T);
}

public sealed record LedgerEntry
{
    /// <summary>heat, unit, start, night, sun or weight.</summary>
    public required string Id { get; init; }

    /// <summary>The station that made it.</summary>
    public required string Station { get; init; }

    /// <summary>The leaf of that station; empty for its first.</summary>
    public string Leaf { get; init; } = "";

    public required Measure Value { get; init; }

    /// <summary>Beside the figure.</summary>
    public required Phrase Note { get; init; }

    /// <summary>Its limit in words.</summary>
    public required Phrase Limit { get; init; }

    /// <summary>Filled part of the gauge, 0 to 1; empty without a gauge.</summary>
    public required double? Share { get; init; }

    /// <summary>Where the limit stands on the gauge.</summary>
    public required double? Mark { get; init; }

    /// <summary>True where a rise is good.</summary>
    public required bool? MoreIsBetter { get; init; }

    /// <summary>How it stands.</summary>
    public required StationState State { get; init; }

    /// <summary>Where a gauge has its limit.</summary>
    public const double GaugeMark = 0.8;

    /// <summary>A sum over the rig: stands after all others.</summary>
    [JsonIgnore]
    public bool Sum { get; init; }

    /// <summary>Filled part of a gauge whose limit stands at its mark.</summary>
    public static double Gauge(double value, double limit) => limit <= 0 ? 1 : Math.Min(1, GaugeMark * value / limit);
}
