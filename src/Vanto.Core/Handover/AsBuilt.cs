using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Handover;

/// <summary>One thing as it was built, as typed.</summary>
public sealed record BuiltValues : DesignPart
{
    [Ask("Thing", Longest = 40)] public string Item { get; init; } = "";
    [Ask("As drawn")] public bool Same { get; init; }
    [Field(QuantityKind.Length, 0, 200, Label = "Built, a length", Optional = true)] public double? LengthM { get; init; }
    [Field(QuantityKind.Mass, 0, 50, Label = "Built, a weight", Optional = true)] public double? Kg { get; init; }
    [Field(QuantityKind.Number, 0, 10000, Label = "Built, a number", Optional = true)] public double? Number { get; init; }
}

/// <summary>One thing as it was built.</summary>
public sealed record BuiltRecord(Guid Id, DateTimeOffset At, string By, BuiltValues Readings, Guid? Corrects)
    : ReadingsRecord<BuiltValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<BuiltRecord, BuiltValues>("built", "thing as built",
        (h, readings) => new BuiltRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>A thing as drawn and as built.</summary>
/// <param name="Drawn">By the design as it stands.</param>
/// <param name="Built">As confirmed; nothing while nobody has looked.</param>
/// <param name="Level">Nothing within its tolerance.</param>
/// <param name="Station">Where the drawing is changed to what was built.</param>
public sealed record BuiltRow(string Item, string Label, Measure Drawn, Measure? Built, bool Confirmed, Severity? Level, string By, string Station,
    string Leaf);

/// <summary>What was built against what was drawn; what was not looked at is unknown, never "as drawn". Tolerances are common practice.</summary>
public static class AsBuilt
{
    private const double HoleM = 0.010, LineM = 0.10, CableM = 0.3, CableShare = 0.05, Slack = 1e-9;

    /// <summary>Everything that is to be confirmed on this job.</summary>
    public static IReadOnlyList<BuiltRow> Of(IReadOnlyList<BuiltRecord> records, LayoutAssessment? layout, WiringAssessment? wiring, SourcesDesign sources,
        CircuitSheet circuit, AcUnit unit)
    {
        var standing = records.Standing();
        var rows = new List<BuiltRow>();
        void Add(string item, string label, double drawn, QuantityKind kind, double tolerance, Severity beyond, string station, string leaf)
        {
            var last = standing.LastOrDefault(r => r.Readings.Item == item);
            var value = last is null ? null : last.Readings.Same ? drawn
                : kind == QuantityKind.Length ? last.Readings.LengthM : kind == QuantityKind.Mass ? last.Readings.Kg : last.Readings.Number;
            var off = value is { } v && Math.Abs(v - drawn) > tolerance + Slack;
            rows.Add(new BuiltRow(item, label, new Measure(drawn, kind), value is { } built ? new Measure(built, kind) : null, value is not null,
                off ? beyond : null, last?.By ?? "", station, leaf));
        }

        if (layout?.Wall is { } wall && unit.JoinedOnSite)
        {
            Add("hole-x", "Hole, from the left", wall.HoleX, QuantityKind.Length, HoleM, Severity.Note, "layout", "wall");
            Add("hole-y", "Hole, from the floor", wall.HoleInsideM, QuantityKind.Length, HoleM, Severity.Note, "layout", "wall");
        }
        if (layout is { Ways: [{ LengthM: > 0 } way, ..] } && unit.JoinedOnSite)
            Add("line", "Line set, length", way.LengthM, QuantityKind.Length, LineM, Severity.Note, "layout", "pipe");
        foreach (var c in wiring?.Circuits ?? [])
        {
            Add($"cable-{c.No}", $"{c.Name}: cable", c.LengthM, QuantityKind.Length, Math.Max(CableM, CableShare * c.LengthM), Severity.Note, "wiring",
                "circuits");
            if (c.DeviceA is { } amps)
                Add($"breaker-{c.No}", $"{c.Name}: {c.Device}, A", amps, QuantityKind.Number, 0, Severity.Caution, "wiring", "circuits");
        }
        if (sources.Battery.Fitted)
            Add("battery", "Battery blocks", sources.Battery.Blocks, QuantityKind.Number, 0, Severity.Caution, "survey", "board");
        if (sources.Modules.Count > 0)
            Add("modules", "Modules", sources.Modules.Count, QuantityKind.Number, 0, Severity.Caution, "survey", "board");
        if (circuit.ChargeKg is { } kg && unit.JoinedOnSite)
            Add("charge", "Charge by the plate", kg, QuantityKind.Mass, 0, Severity.Caution, "unit", "sheet");
        return rows;
    }
}
