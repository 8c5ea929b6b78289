using Vanto.Core.Calculators;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Handover;

/// <summary>One thing as it was built, as typed.</summary>
public sealed record BuiltValues : DesignPart
{
    [Ask("Thing", Longest = 40)] public string Item { get; init; } = "";
    [Ask("As drawn", Help = "with the figure that was drawn then")] public bool Same { get; init; }
    [Field(QuantityKind.Length, 0, 200, Label = "Built, a length", Optional = true)] public double? LengthM { get; init; }
    [Field(QuantityKind.Mass, 0, 50, Label = "Built, a weight", Optional = true)] public double? Kg { get; init; }
    [Field(QuantityKind.Current, 0, 10000, Label = "Built, a current", Optional = true)] public double? CurrentA { get; init; }
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
/// <param name="Field">What its figure is written down in.</param>
public sealed record BuiltRow(string Item, string Label, Measure Drawn, Measure? Built, bool Confirmed, Severity? Level, string By, string Station,
    string Leaf, string Field)
{
    /// <summary>Draws it as it was built, so that the whole is reckoned with what is there; nothing where the drawing has no one field for it.</summary>
    public Remedy? Take { get; init; }
}

/// <summary>What was built against what was drawn; what was not looked at is unknown, never "as drawn". Tolerances are common practice.</summary>
public static class AsBuilt
{
    private const double HoleM = 0.010, LineM = 0.10, CableM = 0.3, CableShare = 0.05, ChargeKg = 0.005, Slack = 1e-9;

    /// <summary>Everything that is to be confirmed on this job.</summary>
    public static IReadOnlyList<BuiltRow> Of(IReadOnlyList<BuiltRecord> records, LayoutAssessment? layout, WiringAssessment? wiring, SurveyDesign survey,
        WiringDesign wired, CircuitSheet circuit, AcUnit unit)
    {
        var sources = survey.Sources;
        var standing = records.Standing();
        var rows = new List<BuiltRow>();
        void Add(string item, string label, double drawn, QuantityKind kind, double tolerance, Severity beyond, string station, string leaf,
            Func<double, DesignEdit?>? draw = null)
        {
            // The figure stands as it was confirmed: a drawing that is changed later is held against it.
            var last = standing.LastOrDefault(r => r.Readings.Item == item);
            var (field, value) = kind switch
            {
                QuantityKind.Length => (nameof(BuiltValues.LengthM), last?.Readings.LengthM),
                QuantityKind.Mass => (nameof(BuiltValues.Kg), last?.Readings.Kg),
                // Earlier ones were written down as plain numbers.
                QuantityKind.Current => (nameof(BuiltValues.CurrentA), last?.Readings.CurrentA ?? last?.Readings.Number),
                _ => (nameof(BuiltValues.Number), last?.Readings.Number),
            };
            var off = value is { } v && Math.Abs(v - drawn) > tolerance + Slack;
            rows.Add(new BuiltRow(item, label, new Measure(drawn, kind), value is { } built ? new Measure(built, kind) : null, value is not null,
                off ? beyond : null, last?.By ?? "", station, leaf, char.ToLowerInvariant(field[0]) + field[1..])
            {
                Take = off && draw?.Invoke(value!.Value) is { } edit
                    ? new Remedy(Phrase.Of($"draw it so"), Phrase.Of(new Measure(value.Value, kind)), edit) : null,
            });
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
                "circuits", DrawnLength(c));
            if (c.DeviceA is { } amps)
                Add($"breaker-{c.No}", $"{c.Name}: {c.Device}", amps, QuantityKind.Current, 0, Severity.Caution, "wiring", "circuits",
                    c.No == UnitCircuit ? a => Valid(wired, d => d with { Branch = d.Branch with { DeviceA = a } }) : null);
        }
        if (sources.Battery.Fitted)
            Add("battery", "Battery blocks", sources.Battery.Blocks, QuantityKind.Number, 0, Severity.Caution, "survey", "board", n => Whole(n) is { } blocks
                ? Valid(survey, d => d with { Sources = d.Sources with { Battery = d.Sources.Battery with { Blocks = blocks } } }) : null);
        if (sources.Modules.Count > 0)
            Add("modules", "Modules", sources.Modules.Count, QuantityKind.Number, 0, Severity.Caution, "survey", "board", n => Whole(n) is { } modules
                ? Valid(survey, d => d with { Sources = d.Sources with { Modules = d.Sources.Modules with { Count = modules } } }) : null);
        if (circuit.ChargeKg is { } kg && unit.JoinedOnSite)
            Add("charge", "Charge by the plate", kg, QuantityKind.Mass, ChargeKg, Severity.Caution, "unit", "sheet");
        return rows;

        Func<double, DesignEdit?>? DrawnLength(CircuitRow c) => c.No == UnitCircuit
            ? m => Valid(wired, d => d with { Branch = d.Branch with { RouteM = m } }) : c.Name switch
            {
                CircuitRow.Inverter => m => Valid(survey, d => d with { Sources = d.Sources with { Battery = d.Sources.Battery with { CableM = m } } }),
                CircuitRow.Modules => m => Valid(wired, d => d with { Pv = d.Pv with { CableM = m } }),
                _ => null,
            };
    }

    /// <summary>Number of the unit's own circuit.</summary>
    private const int UnitCircuit = 1;

    private static int? Whole(double n) => n == Math.Floor(n) && n is >= 0 and < int.MaxValue ? (int)n : null;

    /// <summary>An edit whose values are all in range; else none.</summary>
    private static DesignEdit? Valid<T>(T part, Func<T, T> change) where T : DesignPart =>
        FieldCatalogue.Check(change(part)).Count == 0 ? DesignEdit.Of(part, change) : null;
}
