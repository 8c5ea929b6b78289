using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Commission;

/// <summary>Where an instrument reads.</summary>
public enum InstrumentPlace
{
    [Called("not said")] NotSaid, [Called("the space, away from the air stream")] Space, [Called("air into the head")] Return,
    [Called("air out of the head")] Supply, [Called("outdoors, in the shade")] Outdoors, [Called("at the unit's supply")] Unit,
}

/// <summary>Where an instrument was put, as typed.</summary>
public sealed record PlacedValues : DesignPart
{
    [Ask("Instrument", Longest = 40)] public string Instrument { get; init; } = "";
    [Ask("It reads")] public InstrumentPlace Place { get; init; } = InstrumentPlace.NotSaid;
}

/// <summary>An instrument was put somewhere.</summary>
public sealed record PlacedRecord(Guid Id, DateTimeOffset At, string By, PlacedValues Readings, Guid? Corrects)
    : ReadingsRecord<PlacedValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<PlacedRecord, PlacedValues>("placed", "place of an instrument",
        (h, readings) => new PlacedRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>An instrument and where it reads.</summary>
public sealed record PlacedInstrument(string Instrument, InstrumentPlace Place);

/// <summary>Where the instruments of a rig read: as it was said last, else by the names that the simulated ones have. Common practice.</summary>
public static class InstrumentPlaces
{
    private static readonly Dictionary<string, InstrumentPlace> Usual = new()
    {
        ["clamp"] = InstrumentPlace.Unit,
        ["hygro-return"] = InstrumentPlace.Return,
        ["hygro-supply"] = InstrumentPlace.Supply,
        ["hygro-outdoor"] = InstrumentPlace.Outdoors,
    };

    /// <summary>What was said, the last of each instrument, behind what goes by the name.</summary>
    public static IReadOnlyList<PlacedInstrument> Of(IReadOnlyList<PlacedRecord> records) =>
    [
        .. Usual.Select(u => new PlacedInstrument(u.Key, u.Value)).Concat(records.Standing().Select(r => new PlacedInstrument(r.Readings.Instrument,
            r.Readings.Place))).GroupBy(p => p.Instrument).Select(g => g.Last()),
    ];

    /// <summary>Where one reads.</summary>
    public static InstrumentPlace At(this IReadOnlyList<PlacedInstrument> places, string instrument) =>
        places.FirstOrDefault(p => p.Instrument == instrument)?.Place ?? InstrumentPlace.NotSaid;

    /// <summary>A probe in the stream of air or outdoors does not show the space.</summary>
    /// <exception cref="InputException">It was said to read elsewhere.</exception>
    public static void MustShowTheSpace(this IReadOnlyList<PlacedInstrument> places, string instrument)
    {
        if (places.At(instrument) is var place and not (InstrumentPlace.NotSaid or InstrumentPlace.Space or InstrumentPlace.Return))
            throw new InputException("channel", instrument, $"{instrument} reads {Calls.Name(place)}, not the space that cools down: choose another.");
    }
}
