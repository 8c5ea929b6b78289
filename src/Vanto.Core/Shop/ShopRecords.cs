using Vanto.Core.Commission;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Shop;

public enum InstrumentType
{
    [Called("vacuum gauge")] VacuumGauge, [Called("pressure gauge or manifold")] PressureGauge, [Called("clamp meter")] ClampMeter,
    [Called("insulation tester")] InsulationTester, [Called("torque wrench")] TorqueWrench, [Called("scale")] Scale, [Called("thermometer")] Thermometer,
    [Called("leak detector")] LeakDetector, [Called("other")] Other,
}

/// <summary>An instrument of the shop as typed; the newest entry of a name counts.</summary>
public sealed record InstrumentValues : DesignPart
{
    [Ask("Called", Longest = 60)] public string Name { get; init; } = "";
    [Ask("It is a")] public InstrumentType Type { get; init; } = InstrumentType.Other;
    [Ask("Number", Longest = 60)] public string Serial { get; init; } = "";
    [Ask("Resolution", Longest = 40)] public string Resolution { get; init; } = "";
    [Ask("Uncertainty", Longest = 40)] public string Uncertainty { get; init; } = "";
    [Ask("Calibrated on", Date = true)] public string CalibratedOn { get; init; } = "";
    [Field(QuantityKind.Count, 1, 60, Label = "every so many months", Help = "empty takes what is usual for its kind", Optional = true)]
    public int? Months { get; init; }
    [Field(QuantityKind.Count, 1, 1000000, Label = "or so many cycles", Optional = true)] public int? CycleLimit { get; init; }
    [Field(QuantityKind.Count, 0, 1000000, Label = "Cycles since", Optional = true)] public int? Cycles { get; init; }
    [Field(QuantityKind.Number, 0, 10000, Label = "Cycles a week", Optional = true)] public double? CyclesAWeek { get; init; }
    [Field(QuantityKind.Number, -0.5, 0.5, Label = "Found off by, share of the reading", Help = "what was less what it showed, over that", Optional = true)]
    public double? OffShare { get; init; }
    [Ask("Out of use")] public bool Retired { get; init; }
}

/// <summary>An instrument.</summary>
public sealed record InstrumentRecord(Guid Id, DateTimeOffset At, string By, InstrumentValues Readings, Guid? Corrects)
    : ReadingsRecord<InstrumentValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<InstrumentRecord, InstrumentValues>("instrument", "fact of an instrument",
        (h, readings) => new InstrumentRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>What a licence lets somebody do.</summary>
public enum LicenceScope
{
    [Called("refrigerant")] Refrigerant, [Called("flammable refrigerant")] Flammable, [Called("electrical")] Electrical, [Called("gas")] Gas,
    [Called("lifting")] Lifting, [Called("first aid")] FirstAid,
}

/// <summary>A licence as typed. Vanto holds what is entered; it does not know the law.</summary>
public sealed record LicenceValues : DesignPart
{
    [Ask("Person", Longest = 80)] public string Person { get; init; } = "";
    [Ask("For")] public LicenceScope Scope { get; init; } = LicenceScope.Refrigerant;
    [Ask("Number", Longest = 60)] public string Number { get; init; } = "";
    [Ask("Where it counts", Longest = 80)] public string Region { get; init; } = "";
    [Ask("Given on", Date = true)] public string Issued { get; init; } = "";
    [Ask("Ends on", Date = true)] public string Expires { get; init; } = "";
}

/// <summary>A licence.</summary>
public sealed record LicenceRecord(Guid Id, DateTimeOffset At, string By, LicenceValues Readings, Guid? Corrects)
    : ReadingsRecord<LicenceValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<LicenceRecord, LicenceValues>("licence", "fact of a licence",
        (h, readings) => new LicenceRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>How a part of the stock moves.</summary>
public enum StockMove { [Called("counted")] Counted, [Called("came in")] In, [Called("went to a job")] Out, [Called("came back")] Back }

/// <summary>A movement of the stock as typed: the stock is never a stored number.</summary>
public sealed record StockValues : DesignPart
{
    [Ask("Part", Longest = 80)] public string Part { get; init; } = "";
    [Ask("It")] public StockMove Move { get; init; } = StockMove.In;
    [Field(QuantityKind.Number, 0, 100000, Label = "How many", Optional = true)] public double? Many { get; init; }
    [Ask("For the rig", Longest = 80)] public string Rig { get; init; } = "";
    [Field(QuantityKind.Count, 0, 180, Label = "Days until it comes, when ordered", Optional = true)] public int? LeadDays { get; init; }
    [Ask("Good until", Date = true)] public string GoodUntil { get; init; } = "";
}

/// <summary>A movement of the stock.</summary>
public sealed record StockRecord(Guid Id, DateTimeOffset At, string By, StockValues Readings, Guid? Corrects)
    : ReadingsRecord<StockValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<StockRecord, StockValues>("stock", "fact of the stock",
        (h, readings) => new StockRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>Kinds of records that the shop keeps.</summary>
public static class ShopKinds
{
    public static IReadOnlyList<RecordKind> All { get; } = [InstrumentRecord.Kind, LicenceRecord.Kind, StockRecord.Kind, ShelfRecord.Kind];

    /// <summary>Those that somebody types; a row of the shelf is taken from a rig.</summary>
    public static IReadOnlyList<RecordKind> Typed { get; } = [.. All.Where(k => k != ShelfRecord.Kind)];

    /// <summary>A kind by its name, or null.</summary>
    public static RecordKind? Named(string name) => All.FirstOrDefault(k => k.Name == name);

    /// <summary>The kind of a record.</summary>
    public static RecordKind Of(StationRecord record) => All.First(k => k.Record.IsInstanceOfType(record));
}
