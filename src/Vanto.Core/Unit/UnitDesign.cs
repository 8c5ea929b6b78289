using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Unit;

/// <summary>Both schools of sizing.</summary>
public enum SizingSchool { [Called("just enough")] JustEnough, [Called("oversized on purpose")] OversizedOnPurpose }

/// <summary>What is done on the rig; it says what is opened and so what must be proved.</summary>
public enum WorkKind
{
    [Called("a unit is fitted")] Fit, [Called("a split is replaced")] ReplaceSplit, [Called("a soft starter is added")] SoftStarter,
    [Called("the unit is laid up")] LayUp, [Called("the unit is woken")] Wake,
}

public sealed record UnitDesign : DesignPart
{
    [Ask("The job")] public WorkKind Work { get; init; } = WorkKind.Fit;

    /// <summary>True where a unit is put in, and a split is joined.</summary>
    internal bool Fits => Fitting(Work);

    /// <inheritdoc cref="Fits"/>
    internal static bool Fitting(WorkKind work) => work is WorkKind.Fit or WorkKind.ReplaceSplit;

    [Ask("Unit", Options = "units")] public string Chosen { get; init; } = "RT-11-115";
    [Ask("School")] public SizingSchool School { get; init; } = SizingSchool.JustEnough;
    [Field(QuantityKind.TemperatureDifference, 0, 15, Label = "Air at the condenser warmer by",
        Help = "{3:TemperatureDifference} on a hot roof, {5:TemperatureDifference} behind a closed grille")]
    public double InletRiseK { get; init; } = 3;
    [Field(QuantityKind.Fraction, 0.3, 1, Label = "Air flow through its filter", Help = "clean 100 %, dirty 85 %, clogged 60 %")]
    public double AirFlowShare { get; init; } = 1;
    [Ask("Heads, one a zone", Most = 9)] public IReadOnlyList<HeadDesign> Heads { get; init; } = [];
    [Ask("Own units")] public IReadOnlyList<AcUnit> Own { get; init; } = [];
    [Ask("Unit sheets", Most = 20)] public IReadOnlyList<UnitSheetDesign> Sheets { get; init; } = [];
}

/// <summary>One indoor head; without any, one head of the unit's whole capacity stands in the first space.</summary>
public sealed record HeadDesign : DesignPart
{
    [Field(QuantityKind.Count, 1, 9, Label = "In space number", Help = "1 is the first space, counted to the rear")] public int Space { get; init; } = 1;
    [Field(QuantityKind.Power, 500, 20000, Label = "Its rated cooling")] public double RatedCapacityW { get; init; } = 2640;
}

/// <summary>What the chosen unit makes of the closed-up, sun-soaked rig, from the peak hour on.</summary>
public sealed record PullDownView(double FromHour, double StartC, double? Minutes, double HumidityPct, double MassC, double[] AirC)
{
    /// <summary>Minutes between two values of the air.</summary>
    public int StepMinutes => Step;

    internal const int Step = 5;

    /// <summary>Minutes after which a set-point that is not reached is waited for no longer.</summary>
    public int LimitMinutes => HeatSoak.LimitMinutes;
}

/// <summary>A size as a school would choose it, with what it costs.</summary>
public sealed record SchoolSize
{
    public required SizingSchool School { get; init; }
    public required string Id { get; init; }
    public required string Name { get; init; }
    public required double RatedCapacityW { get; init; }
    public required double LowestW { get; init; }
    public required double Ratio { get; init; }
    public required int HoursBelowMin { get; init; }
    public required double EveningRhPct { get; init; }
    public required double? PullDownMinutes { get; init; }
    public required double StartA { get; init; }
    public required double MassKg { get; init; }
}

/// <summary>Heating in the coldest night.</summary>
public sealed record HeatingView(bool Heats, double NeededW, double CapacityW, BalanceKind? Balance, double? BalanceC);

/// <summary>One candidate at this design day.</summary>
public sealed record Candidate
{
    public required string Id { get; init; }

    /// <summary>What people call it.</summary>
    public required string Name { get; init; }

    public required AcKind Kind { get; init; }

    public required double SupplyVoltageV { get; init; }

    public required bool IsDc { get; init; }

    public required double RatedCapacityW { get; init; }

    public required double CapacityW { get; init; }

    public required double PowerW { get; init; }

    public required double LowestW { get; init; }

    public required double StartA { get; init; }

    public required double RunA { get; init; }

    public required double MassKg { get; init; }

    /// <summary>Rated capacity against the capacity needed.</summary>
    public required double Ratio { get; init; }

    /// <summary>Cooling hours of the design day below its lowest steady capacity.</summary>
    public required int HoursBelowMin { get; init; }

    /// <summary>Room humidity it settles at in the mild evening.</summary>
    public required double EveningRhPct { get; init; }

    public required Severity? Level { get; init; }

    public required Phrase Words { get; init; }

    public required double? NoiseInDb { get; init; }

    public required double? NoiseOutDb { get; init; }

    /// <summary>True where its size is right for this load.</summary>
    internal bool Fits => Level is null or Severity.Note;
}

/// <summary>Result of the Unit station.</summary>
public sealed record UnitAssessment(
    Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures, IReadOnlyList<Candidate> Candidates, double RequiredW, double PeakW,
    string Chosen, AcUnit Unit) : IStationResult
{
    /// <summary>Capacity of the chosen unit at the design heat, W.</summary>
    public double CapacityW { get; init; }
    public PullDownView PullDown { get; init; } = null!;
    public IReadOnlyList<SchoolSize> Schools { get; init; } = [];
    public HeatingView Heating { get; init; } = null!;

    /// <summary>How far the chosen unit's sheet is typed.</summary>
    public SheetView Sheet { get; init; } = null!;

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}
