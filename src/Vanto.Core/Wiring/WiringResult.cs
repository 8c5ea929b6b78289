using System.Text.Json.Serialization;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Wiring;

/// <summary>Readings before power, as typed; an empty one was not taken.</summary>
public sealed record PowerTestReadings : DesignPart
{
    [Field(QuantityKind.Count, 0, 200, Label = "Screws tried and found snug", Optional = true)] public int? Screws { get; init; }
    [Field(QuantityKind.Count, 0, 20, Label = "Sources switched off, locked and tagged", Optional = true)] public int? Locked { get; init; }
    [Field(QuantityKind.Voltage, 0, 1000, Label = "Tester on a known source, before", Optional = true)] public double? BeforeV { get; init; }
    [Field(QuantityKind.Voltage, 0, 1500, Label = "Highest of all pairs, isolated", Optional = true)] public double? DeadV { get; init; }
    [Field(QuantityKind.Voltage, 0, 1000, Label = "Tester on the known source, after", Optional = true)] public double? AfterV { get; init; }
    [Field(QuantityKind.Voltage, 0, 1500, Label = "Capacitors of the outdoor board", Optional = true)] public double? LinkV { get; init; }
    [Field(QuantityKind.Resistance, 0, 1000, Label = "Earth conductor, leads taken off", Optional = true)] public double? EarthOhm { get; init; }
    [Field(QuantityKind.Count, 0, 50, Label = "Switches and fuses found in the live", Optional = true)] public int? Polarity { get; init; }
    [Field(QuantityKind.Resistance, 0, 1e11, Label = "Insulation, electronics disconnected", Optional = true)] public double? InsulationOhm { get; init; }
    [Field(QuantityKind.Count, 0, 200, Label = "Screws tried again, reconnected", Optional = true)] public int? Again { get; init; }
    [Field(QuantityKind.Voltage, 0, 1500, Label = "The source alone, unit's breaker open", Optional = true)] public double? SourceV { get; init; }
    [Field(QuantityKind.Resistance, 0, 100000, Label = "Earth fault loop", Optional = true)] public double? LoopOhm { get; init; }
    [Field(QuantityKind.Seconds, 0, 10, Label = "Residual-current device trips in", Optional = true)] public double? ResidualS { get; init; }
    [Field(QuantityKind.Voltage, 0, 600, Label = "Volts at the unit, running", Optional = true)] public double? RunV { get; init; }
    [Field(QuantityKind.Number, 0, 60, Label = "Alarm pulled: compressor stops after, minutes", Optional = true)] public double? AlarmMin { get; init; }
}

/// <summary>Tests before power, kept for good; one is corrected by another.</summary>
public sealed record PowerTestRecord(Guid Id, DateTimeOffset At, string By, PowerTestReadings Readings, Guid? Corrects) : StationRecord(Id, At, By, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<PowerTestRecord, PowerTestReadings>("power-test", "reading before power",
        (h, readings) => new PowerTestRecord(h.Id, h.At, h.By, readings, h.Corrects));

    /// <inheritdoc />
    [JsonIgnore]
    public override DesignPart Values => Readings;
}

/// <summary>One test before power: its limit and what it came to.</summary>
/// <param name="Step">Which.</param>
/// <param name="Name">In words.</param>
/// <param name="State">Open, passed, failed or not asked.</param>
/// <param name="Locked">An earlier one is open or failed.</param>
/// <param name="Limit">What it must come to.</param>
/// <param name="Measured">What was read.</param>
/// <param name="Words">What it means.</param>
public sealed record PowerTestRow(PowerStep Step, string Name, StepState State, bool Locked, Phrase Limit, Phrase Measured, Phrase Words)
{
    /// <summary>It passes, and yet something is wrong.</summary>
    public bool Doubtful { get; init; }
}

/// <summary>One circuit of the schedule.</summary>
/// <param name="No">Number.</param>
/// <param name="Name">What it feeds.</param>
/// <param name="From">Its source.</param>
/// <param name="Volts">Nominal.</param>
/// <param name="Amps">It carries.</param>
/// <param name="DeviceA">Its protection; nothing where it has none of its own.</param>
/// <param name="Device">In words.</param>
/// <param name="Wire">Size and number.</param>
/// <param name="Earth">Earth conductor.</param>
/// <param name="LengthM">One way.</param>
/// <param name="DropShare">Lost in use.</param>
/// <param name="Used">Current over what the wire carries.</param>
/// <param name="Rule">Which rule decides.</param>
public sealed record CircuitRow(int No, string Name, string From, double Volts, double Amps, double? DeviceA, string Device, string Wire, string Earth,
    double LengthM, double DropShare, double Used, string Rule)
{
    /// <summary>Name of the circuit between bank and inverter.</summary>
    internal const string Inverter = "inverter";

    /// <summary>Name of the modules' circuit.</summary>
    internal const string Modules = "modules";
}

/// <summary>A state of the sources and its ties of neutral to earth.</summary>
public sealed record BondRow(string State, IReadOnlyList<string> Ties, Severity? Level, Phrase Words);

/// <summary>One row of a connection table.</summary>
public sealed record ConnectionRow(int No, string From, string Through, string To);

/// <summary>The cable between the units.</summary>
/// <param name="Rows">Terminals and cores.</param>
/// <param name="Ends">Ends compared.</param>
/// <param name="Arrangement">How pump, head and outdoor unit are fed.</param>
/// <param name="Alarm">What the pump's alarm does; nothing without a pump.</param>
/// <param name="Net">Connections with the pump in them, or the plain cable.</param>
/// <param name="Labels">Of every core.</param>
/// <param name="LengthM">One way; nothing for a unit in one piece.</param>
public sealed record BetweenView(IReadOnlyList<Landed> Rows, EndsCompared Ends, PumpArrangement Arrangement, NetVerdict? Alarm,
    IReadOnlyList<ConnectionRow> Net,
    IReadOnlyList<string> Labels, double? LengthM)
{
    /// <summary>The pump's net as drawn; nothing without a pump.</summary>
    public LinePicture? Picture { get; init; }
}

/// <summary>Which wire goes on which lead of a soft starter.</summary>
public sealed record StarterMapRow(int No, string From, string To, string Colour, string Joined, bool Right);

/// <summary>The soft starter's wiring.</summary>
public sealed record StarterView(Windings Windings, string Words, IReadOnlyList<StarterMapRow> Map);

/// <summary>Something to buy or cut.</summary>
/// <param name="What">In words.</param>
/// <param name="Amount">How much.</param>
/// <param name="For">What asks for it.</param>
public sealed record TakeOffLine(string What, string Amount, string For);

/// <summary>Result of the Wiring station.</summary>
public sealed record WiringAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures) : IStationResult
{
    public required RuleBook Rules { get; init; }
    public required string RulesWords { get; init; }
    public required BranchPlan Branch { get; init; }
    public BatteryPlan? Battery { get; init; }
    public PvPlan? Pv { get; init; }

    /// <summary>Every conductor on the bank with its fuse.</summary>
    public IReadOnlyList<BankCircuit> BankCircuits { get; init; } = [];

    /// <summary>Cables and fuses at the bank held against what they may be.</summary>
    public IReadOnlyList<UsedCheck> BankChecks { get; init; } = [];

    /// <summary>The unit runs on the battery.</summary>
    public bool Dc { get; init; }

    /// <summary>Breakers by their curves, and metric sizes.</summary>
    public bool Metric { get; init; }

    public required IReadOnlyList<CircuitRow> Circuits { get; init; }
    public required IReadOnlyList<BondRow> Bonds { get; init; }
    public required BetweenView Between { get; init; }
    public StarterView? Starter { get; init; }
    public required IReadOnlyList<PowerTestRow> Tests { get; init; }
    public required IReadOnlyList<string> TestAsks { get; init; }
    [JsonIgnore]
    public SingleLine Line { get; init; } = new([], []);

    /// <summary>The single line as drawn.</summary>
    public LinePicture Picture => LinePicture.Of(Line);

    public required IReadOnlyList<IReadOnlyList<string>> BreakerLabels { get; init; }
    public required IReadOnlyList<TakeOffLine> TakeOff { get; init; }

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}
