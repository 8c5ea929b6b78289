using System.Text.Json.Serialization;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Commission;

/// <summary>Readings as they were typed, kept as a record.</summary>
public abstract record ReadingsRecord<T>(Guid Id, DateTimeOffset At, string By, T Readings, Guid? Corrects) : StationRecord(Id, At, By, Corrects)
    where T : DesignPart
{
    /// <inheritdoc />
    [JsonIgnore]
    public override DesignPart Values => Readings;
}

/// <summary>A reading of the vacuum as typed.</summary>
public sealed record VacuumValues : DesignPart
{
    [Field(QuantityKind.Number, -110000, 150000, Label = "Reading", Optional = true)] public double? Value { get; init; }
    [Ask("in")] public VacuumUnit Unit { get; init; } = VacuumUnit.Micron;
    [Field(QuantityKind.Number, 0, 20000, Label = "Minutes after it was shut off", Help = "empty is now", Optional = true)] public double? Minute { get; init; }
    [Ask("The pump is shut off now: the hold begins")] public bool ShutOff { get; init; }
}

/// <summary>A reading of the vacuum.</summary>
public sealed record VacuumRecord(Guid Id, DateTimeOffset At, string By, VacuumValues Readings, Guid? Corrects)
    : ReadingsRecord<VacuumValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<VacuumRecord, VacuumValues>("vacuum", "reading of the vacuum",
        (h, readings) => new VacuumRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>A reading of the nitrogen test as typed.</summary>
public sealed record NitrogenValues : DesignPart
{
    [Field(QuantityKind.GaugePressure, 0, 6.2e6, Label = "Gauge", Optional = true)] public double? GaugePa { get; init; }
    [Field(QuantityKind.Temperature, -40, 70, Label = "Temperature", Optional = true)] public double? PipeC { get; init; }
    [Field(QuantityKind.AbsolutePressure, 50000, 110000, Label = "Barometer", Optional = true)] public double? BarometerPa { get; init; }
    [Field(QuantityKind.Number, 0, 20000, Label = "Minutes after the hold began", Help = "empty is now", Optional = true)] public double? Minute { get; init; }
    [Ask("The hold begins")] public bool Begins { get; init; }
    [Ask("Ends blanked: only joints that will be hidden")] public bool Blanked { get; init; }
}

/// <summary>A reading of the nitrogen test.</summary>
public sealed record NitrogenRecord(Guid Id, DateTimeOffset At, string By, NitrogenValues Readings, Guid? Corrects)
    : ReadingsRecord<NitrogenValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<NitrogenRecord, NitrogenValues>("nitrogen", "reading of the nitrogen test",
        (h, readings) => new NitrogenRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>How a joint is looked at.</summary>
public enum LeakMethod { [Called("soap")] Soap, [Called("detector")] Detector }

/// <summary>What the circuit holds meanwhile.</summary>
public enum LeakState
{
    [Called("standing")] Standing, [Called("while it cools")] Cooling, [Called("while it heats")] Heating, [Called("under nitrogen")] Nitrogen,
}

/// <summary>What was found.</summary>
public enum LeakResult { [Called("dry")] Dry, [Called("bubbles or alarm")] Leaks, [Called("not sure")] Unsure }

/// <summary>A joint looked at, as typed.</summary>
public sealed record LeakValues : DesignPart
{
    [Ask("Joint", Longest = 60)] public string Joint { get; init; } = "";
    [Ask("With")] public LeakMethod Method { get; init; } = LeakMethod.Soap;
    [Ask("The circuit")] public LeakState State { get; init; } = LeakState.Standing;
    [Ask("Found")] public LeakResult Result { get; init; } = LeakResult.Dry;
    [Field(QuantityKind.Seconds, 0, 3600, Label = "For", Optional = true)] public double? Seconds { get; init; }
    [Ask("It was made anew", Help = "what was looked at before counts no longer")] public bool Remade { get; init; }
}

/// <summary>A joint looked at.</summary>
public sealed record LeakRecord(Guid Id, DateTimeOffset At, string By, LeakValues Readings, Guid? Corrects)
    : ReadingsRecord<LeakValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<LeakRecord, LeakValues>("leak", "fact of a leak check",
        (h, readings) => new LeakRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>An answer of a fault search as typed.</summary>
public sealed record FaultValues : DesignPart
{
    [Ask("Question", Longest = 40)] public string Question { get; init; } = "";
    [Ask("Answer", Longest = 40, Help = "empty takes the answer back")] public string Answer { get; init; } = "";
    [Ask("A new search begins")] public bool Fresh { get; init; }
}

/// <summary>An answer of a fault search.</summary>
public sealed record FaultRecord(Guid Id, DateTimeOffset At, string By, FaultValues Readings, Guid? Corrects)
    : ReadingsRecord<FaultValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<FaultRecord, FaultValues>("fault", "answer of a fault search",
        (h, readings) => new FaultRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>What of a log counts.</summary>
public static class Counting
{
    /// <summary>
    /// Records that no other corrects; a correction stands in the place of what it corrects, of two corrections the later in the log.
    /// </summary>
    public static List<T> Standing<T>(this IReadOnlyList<T> records) where T : StationRecord
    {
        var corrected = records.Select(r => r.Corrects).OfType<Guid>().ToHashSet();
        var place = records.Select((r, i) => (r.Id, i)).GroupBy(x => x.Id).ToDictionary(g => g.Key, g => g.First().i);
        return [.. records.Where(r => !corrected.Contains(r.Id)).GroupBy(r => records.Root(r).Id).OrderBy(g => place[g.Key]).Select(g => g.Last())];
    }

    /// <summary>When it was read first.</summary>
    public static DateTimeOffset Moment<T>(this IReadOnlyList<T> records, T record) where T : StationRecord => records.Root(record).At;

    /// <summary>What a chain of corrections began with.</summary>
    public static T Root<T>(this IReadOnlyList<T> records, T record) where T : StationRecord
    {
        var at = record;
        for (var i = 0; i < records.Count && at.Corrects is { } id && records.FirstOrDefault(r => r.Id == id) is { } old; i++)
            at = old;
        return at;
    }
}
