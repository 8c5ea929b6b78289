using Vanto.Core.Commission;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Service;

public enum VisitReason { [Called("care that was due")] Due, [Called("a call")] Call, [Called("warranty")] Warranty, [Called("moved")] Moved }

/// <summary>A visit as typed.</summary>
public sealed record VisitValues : DesignPart
{
    [Ask("Day", Date = true, Help = "today")] public string Day { get; init; } = "";
    [Ask("Because of")] public VisitReason Reason { get; init; } = VisitReason.Due;
    [Ask("Care done", Longest = 200, Help = "names with commas")] public string Done { get; init; } = "";
    [Ask("Found", Longest = 1000)] public string Found { get; init; } = "";
    [Ask("Advice given", Longest = 1000)] public string Advice { get; init; } = "";
    [Field(QuantityKind.Number, 0, 200000, Label = "Run hours on the meter", Optional = true)] public double? RunHours { get; init; }
    [Field(QuantityKind.Number, 0, 3e6, Label = "Kilometres on the road meter", Optional = true)] public double? Km { get; init; }
    [Ask("Told by the owner", Help = "not seen by the shop")] public bool ByOwner { get; init; }
}

/// <summary>A visit.</summary>
public sealed record VisitRecord(Guid Id, DateTimeOffset At, string By, VisitValues Readings, Guid? Corrects)
    : ReadingsRecord<VisitValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<VisitRecord, VisitValues>("visit", "fact of a visit",
        (h, readings) => new VisitRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>Readings of a running unit, for its trend.</summary>
public sealed record TrendValues : DesignPart
{
    [Ask("Day", Date = true, Help = "today")] public string Day { get; init; } = "";
    [Field(QuantityKind.Number, 0, 2000, Label = "Minutes it had run without a stop", Optional = true)] public double? RanMin { get; init; }
    [Field(QuantityKind.Temperature, -30, 60, Label = "Air outdoors", Optional = true)] public double? OutdoorC { get; init; }
    [Field(QuantityKind.TemperatureDifference, 0, 40, Label = "Air in less air out", Optional = true)] public double? SplitK { get; init; }
    [Field(QuantityKind.Current, 0.1, 400, Label = "Amperes, running", Optional = true)] public double? RunA { get; init; }
    [Field(QuantityKind.Voltage, 8, 280, Label = "Volts, running", Optional = true)] public double? RunV { get; init; }
    [Field(QuantityKind.Current, 0.1, 2000, Label = "Start current", Optional = true)] public double? StartA { get; init; }
    [Field(QuantityKind.Energy, 10, 500000, Label = "Energy out of the full bank", Optional = true)] public double? UsableWh { get; init; }
}

/// <summary>A reading for the trend.</summary>
public sealed record TrendRecord(Guid Id, DateTimeOffset At, string By, TrendValues Readings, Guid? Corrects)
    : ReadingsRecord<TrendValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<TrendRecord, TrendValues>("trend", "reading of a running unit",
        (h, readings) => new TrendRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

public enum PartClass
{
    [Called("board")] Board, [Called("capacitor or soft starter")] StartAid, [Called("fan")] Fan, [Called("coil")] Coil,
    [Called("compressor")] Compressor, [Called("refrigerant work")] Circuit, [Called("battery")] Battery, [Called("drain pump")] Pump,
    [Called("sensor")] Sensor, [Called("another")] Other,
}

public enum PartReason { [Called("failed")] Failed, [Called("worn")] Worn, [Called("made better")] Upgrade, [Called("called back by its maker")] Recall }

/// <summary>A part replaced, as typed.</summary>
public sealed record PartValues : DesignPart
{
    [Ask("Day", Date = true, Help = "today")] public string Day { get; init; } = "";
    [Ask("Part")] public PartClass Part { get; init; } = PartClass.Other;
    [Ask("Because it")] public PartReason Reason { get; init; } = PartReason.Failed;
    [Ask("Old number", Longest = 60)] public string OldSerial { get; init; } = "";
    [Ask("New number", Longest = 60)] public string NewSerial { get; init; } = "";
    [Ask("Number of the claim", Longest = 60)] public string Claim { get; init; } = "";
}

/// <summary>A part replaced.</summary>
public sealed record PartRecord(Guid Id, DateTimeOffset At, string By, PartValues Readings, Guid? Corrects)
    : ReadingsRecord<PartValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<PartRecord, PartValues>("part", "fact of a part",
        (h, readings) => new PartRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

public enum ChargeKind
{
    [Called("came charged")] Factory, [Called("added")] Added, [Called("recovered")] Recovered, [Called("given to be destroyed")] Disposed,
}

/// <summary>Refrigerant moved, as typed. Nothing is let off: what is lost is added later.</summary>
public sealed record ChargeValues : DesignPart
{
    [Ask("Day", Date = true, Help = "today")] public string Day { get; init; } = "";
    [Ask("It")] public ChargeKind Kind { get; init; } = ChargeKind.Added;
    [Field(QuantityKind.Mass, 0.001, 50, Label = "How much", Optional = true)] public double? Kg { get; init; }
    [Ask("Refrigerant")] public RefrigerantKind Refrigerant { get; init; } = RefrigerantKind.R32;
    [Ask("Cylinder", Longest = 40)] public string Cylinder { get; init; } = "";
    [Field(QuantityKind.Mass, 0, 200, Label = "Cylinder before", Optional = true)] public double? BeforeKg { get; init; }
    [Field(QuantityKind.Mass, 0, 200, Label = "and after", Optional = true)] public double? AfterKg { get; init; }
    [Ask("Licence", Longest = 60)] public string Licence { get; init; } = "";
    [Ask("A leak was found and made tight")] public bool Repaired { get; init; }
}

/// <summary>Refrigerant moved.</summary>
public sealed record ChargeRecord(Guid Id, DateTimeOffset At, string By, ChargeValues Readings, Guid? Corrects)
    : ReadingsRecord<ChargeValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<ChargeRecord, ChargeValues>("charge", "fact of the refrigerant",
        (h, readings) => new ChargeRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>A step of moving a unit, as typed.</summary>
public sealed record MoveValues : DesignPart
{
    [Ask("Step", Longest = 40)] public string Step { get; init; } = "";
    [Ask("Taken back")] public bool Void { get; init; }
    [Ask("A new move begins")] public bool Begins { get; init; }
}

/// <summary>A step of moving a unit.</summary>
public sealed record MoveRecord(Guid Id, DateTimeOffset At, string By, MoveValues Readings, Guid? Corrects)
    : ReadingsRecord<MoveValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<MoveRecord, MoveValues>("move", "step of a move",
        (h, readings) => new MoveRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>The day of a record.</summary>
internal static class Days
{
    /// <summary>The day that was typed, else that on which it was written.</summary>
    public static DateOnly Of(string typed, DateTimeOffset at) => Read(typed) ?? DateOnly.FromDateTime(at.UtcDateTime);

    /// <summary>As it is written.</summary>
    public static string Text(DateOnly day) => day.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>A typed date, or nothing.</summary>
    public static DateOnly? Read(string typed) => DateOnly.TryParseExact(typed, "yyyy-MM-dd", out var day) ? day : null;
}
