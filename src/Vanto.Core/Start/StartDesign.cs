using System.Text.Json.Serialization;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>One reading of a measured start: milliseconds from switching on, amperes RMS.</summary>
public sealed record MeasuredMoment : DesignPart
{
    [Field(QuantityKind.TimeMs, 0, 10000, Label = "After", Help = "milliseconds from switching on")] public double AfterMs { get; init; }
    [Field(QuantityKind.Current, 0, 1000, Label = "Current")] public double CurrentA { get; init; }
}

/// <summary>Another compressor on the same source that must start too: a second unit, a fridge, an air compressor.</summary>
public sealed record CompressorDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "second unit";
    [Field(QuantityKind.Current, 0.5, 100, Label = "Running current (RLA)")] public double RlaA { get; init; } = 7.6;
    [Field(QuantityKind.Current, 0, 400, Label = "Locked-rotor current (LRA)", Help = "0 where the plate does not say; 5.2 times RLA is taken then")]
    public double LraA { get; init; }
    [Field(QuantityKind.ElectricPower, 0, 500, Label = "Its fan")] public double FanW { get; init; } = 110;
    [Ask("With a soft starter of 65 %")] public bool Soft { get; init; }
}

/// <summary>What the Start station is told.</summary>
public sealed record StartDesign : DesignPart
{
    /// <summary>Rows of a measured start.</summary>
    public const int MostMeasured = 4000;

    [Ask("Starts on")] public SourceChoice On { get; init; } = SourceChoice.Inverter;
    [Ask("Helped by")] public StartRemedy Remedy { get; init; } = StartRemedy.None;
    [Field(QuantityKind.Fraction, 0.40, 0.80, Label = "Soft starter takes away", Help = "of the locked-rotor current; 60 to 75 % on the market")]
    public double Reduction { get; init; } = 0.65;
    [Field(QuantityKind.Seconds, 0.5, 4, Label = "and gives up after", Help = "if the compressor is not at speed by then; 2 s is usual")]
    public double StarterLimitS { get; init; } = StartSimulation.LongestS;
    [Field(QuantityKind.Fraction, 0.05, 1, Label = "Battery charge at the start")] public double Soc { get; init; } = 0.8;
    [Field(QuantityKind.Fraction, 0, 0.8, Label = "Keep in reserve")] public double ReserveSoc { get; init; } = 0.2;
    [Field(QuantityKind.Seconds, 0, 3600, Label = "Compressor has rested")] public double RestedS { get; init; } = 600;
    [Field(QuantityKind.Length, 0, 60, Label = "Cable to the unit, one way")] public double CableM { get; init; } = 5;
    [Field(QuantityKind.ConductorArea, 0.5, 60, Label = "Size of that cable")] public double CableMm2 { get; init; } = 3.31;
    [Ask("Plugged straight onto the bank, without a pre-charge resistor", Help = "units that run on direct current")] public bool NoPrecharge { get; init; }
    [Field(QuantityKind.Current, 1, 400, Label = "Highest current measured",
        Help = "clamp meter with inrush function, on the source chosen, without a soft starter", Optional = true)]
    public double? MeasuredA { get; init; }
    [Ask("Other compressors on the same source")] public IReadOnlyList<CompressorDesign> Further { get; init; } = [];
    [Ask("Measured start, from a logger", Most = MostMeasured)] public IReadOnlyList<MeasuredMoment> Measured { get; init; } = [];
}

/// <summary>One line of a comparison: what is tried and how it ends.</summary>
public sealed record StartTrial(string Id, Phrase Words, StartOutcome Outcome, Phrase Result, double MaxA, double SurgeUsed,
    [property: JsonIgnore] DesignEdit Edit)
{
    /// <summary>How much its end weighs; empty where it starts.</summary>
    public Severity? Level => Ends.Level(Outcome);

    public IReadOnlyList<DesignChange> Changes => Edit.Changes;
}

/// <summary>A neighbour in the stack, with what it draws.</summary>
public sealed record StackedLoad(string Name, double PowerW, double CurrentA, bool MayWait, bool OwnFan = false);

/// <summary>A time in s and the current in A that the source bears for that long.</summary>
public sealed record BearingPoint(double Seconds, double CurrentA)
{
    private const double ShortestS = 0.001;

    /// <summary>A curve as it is judged, to be drawn with straight lines between.</summary>
    /// <param name="curve">What is borne, as a ratio.</param>
    /// <param name="unitA">Amperes of ratio 1.</param>
    public static IReadOnlyList<BearingPoint> Of(BearingCurve curve, double unitA) =>
        [.. curve.Drawn(ShortestS).Select(p => new BearingPoint(p.Seconds, p.Ratio * unitA))];
}

/// <summary>The trace for drawing, one array a column; rounded to what a drawing can show.</summary>
public sealed record StartTrace(double[] Seconds, double[] SourceA, double[] CompressorA, double[] Volts, double[] BatteryV, double[] BatteryA)
{
    /// <summary>No trace.</summary>
    public static readonly StartTrace None = new([], [], [], [], [], []);

    /// <summary>Columns of some moments.</summary>
    public static StartTrace Of<T>(IReadOnlyList<T> moments, Func<T, double> seconds, Func<T, double> sourceA, Func<T, double> compressorA,
        Func<T, double> volts, Func<T, double>? batteryV = null, Func<T, double>? batteryA = null)
    {
        double[] Column(Func<T, double> value, int decimals) => [.. moments.Select(m => Math.Round(value(m), decimals))];
        return new StartTrace(Column(seconds, 4), Column(sourceA, 2), Column(compressorA, 2), Column(volts, 1), batteryV is null ? [] : Column(batteryV, 2),
            batteryA is null ? [] : Column(batteryA, 1));
    }
}

/// <summary>Result of the Start station.</summary>
public sealed record StartAssessment : IStationResult
{
    public required Verdict Verdict { get; init; }
    public required IReadOnlyList<Finding> Findings { get; init; }
    public required IReadOnlyList<Figure> Figures { get; init; }
    public required StartOutcome Outcome { get; init; }
    public required TripCause Cause { get; init; }
    public required StartTrace Trace { get; init; }
    public required IReadOnlyList<BearingPoint> Bearing { get; init; }
    public required IReadOnlyList<StackedLoad> Neighbours { get; init; }

    /// <summary>What the neighbours draw together.</summary>
    public double NeighboursA => Neighbours.Sum(n => n.CurrentA);

    public required IReadOnlyList<StartTrial> Remedies { get; init; }
    public required IReadOnlyList<StartTrial> Stacking { get; init; }
    public required double MaxA { get; init; }
    public required double LimitA { get; init; }
    public required double RunA { get; init; }
    public required double RunV { get; init; }
    public required double SourceV { get; init; }
    public required double SurgeUsed { get; init; }

    /// <summary>The highest current against what the source gives or trips at within a cycle.</summary>
    public double PeakShare { get; init; }

    /// <summary>What the unit asks of the other sources on board.</summary>
    public IReadOnlyList<SourceDraw> Elsewhere { get; init; } = [];

    public required double ContinuousW { get; init; }
    public required double SurgeW { get; init; }
    public required double? NeededReduction { get; init; }

    /// <summary>What a soft starter may take away; null where none does, or none is needed.</summary>
    public ReductionWindow? Window { get; init; }

    /// <summary>The start over what is not known; null for units that start softly.</summary>
    public StartCorners? Corners { get; init; }
    public required bool InverterDriven { get; init; }

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}

/// <summary>What the end of a start weighs.</summary>
public static class Ends
{
    /// <summary>Nothing where it starts, a caution where something must be off for it, else a stop.</summary>
    public static Severity? Level(StartOutcome outcome) => outcome switch
    {
        StartOutcome.Starts => null,
        StartOutcome.StartsOnlyIfShed => Severity.Caution,
        _ => Severity.Stop,
    };
}
