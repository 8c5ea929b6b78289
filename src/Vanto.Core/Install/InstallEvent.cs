using System.Text.Json.Serialization;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Install;

/// <summary>What happened on site.</summary>
public enum EventType
{
    StepStarted, StepPaused, StepResumed, HandsOff, StepFinished, StepSkipped, StepReopened, TickSet, ValueRecorded, PhotoTaken, GateOverridden,
    WaitAlarmSeen, NoteAdded, PersonOn, PersonOff, PartUsed, PlanAccepted, LeftForLater, Correction,
}

/// <summary>How it was written down.</summary>
public enum EventSource
{
    [Called("by hand")] Hand, [Called("by voice")] Voice, [Called("from the instrument")] Instrument, [Called("from paper")] Paper,
}

/// <summary>One event of a job on site as it is kept; nothing is edited or deleted, a correction is an event of its own.</summary>
public sealed record InstallValues : DesignPart
{
    [Ask("What happened")] public EventType Type { get; init; } = EventType.NoteAdded;
    [Ask("Step", Longest = 80)] public string Step { get; init; } = "";
    [Ask("Device", Longest = 60)] public string Device { get; init; } = "";
    [Field(QuantityKind.Number, 0, 1e9, Label = "Its number on that device")] public double Seq { get; init; }
    [Field(QuantityKind.Number, 0, 1e14, Label = "Clock, ms")] public double L { get; init; }
    [Field(QuantityKind.Number, 0, 1e6, Label = "Clock, count")] public double C { get; init; }
    [Field(QuantityKind.Number, 0, 1e14, Label = "Time on that device, ms")] public double AtMs { get; init; }
    [Ask("Written down")] public EventSource Source { get; init; } = EventSource.Hand;
    [Ask("Text", Longest = 1000)] public string Text { get; init; } = "";
    [Ask("Field", Longest = 80)] public string Field { get; init; } = "";
    [Field(QuantityKind.Number, -1e12, 1e12, Label = "Value", Optional = true)] public double? Value { get; init; }
    [Field(QuantityKind.Number, 0, 1e6, Label = "Paid for each", Optional = true)] public double? Each { get; init; }
    [Ask("As typed", Longest = 60)] public string AsTyped { get; init; } = "";
    [Ask("Second person", Longest = 60)] public string Second { get; init; } = "";
    [Ask("Whole picture", Longest = 64, Help = "hash of the large one, where it is kept too")] public string Whole { get; init; } = "";
    [Ask("It is void")] public bool? Void { get; init; }
}

/// <summary>One event as a record of the rig's log.</summary>
public sealed record InstallRecord(Guid Id, DateTimeOffset At, string By, InstallValues Event, Guid? Corrects) : StationRecord(Id, At, By, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<InstallRecord, InstallValues>("install", "event of the work on site",
        (h, values) => new InstallRecord(h.Id, h.At, h.By, values, h.Corrects));

    /// <inheritdoc />
    [JsonIgnore]
    public override DesignPart Values => Event;

    /// <summary>The device of the crew that sent it, as the gate knows it; empty for this machine, and for what was written before the gate said so.</summary>
    [JsonIgnore]
    public string Sender => Event.Device.Split('/') is [var known, _, ..] ? known : "";

    /// <summary>Where it stands among all.</summary>
    internal (double, double, string, double, Guid) Order => (Event.L, Event.C, Event.Device, Event.Seq, Id);

    /// <summary>What it says, without when it arrived.</summary>
    internal (string, InstallValues, Guid?) Content => (By, Event, Corrects);
}
