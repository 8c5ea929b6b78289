using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Energy;

/// <summary>The aim and how the day begins.</summary>
public sealed record EnergyDesign : DesignPart
{
    [Field(QuantityKind.Temperature, 10, 35, Label = "Hold at most")] public double HoldC { get; init; } = 25;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "from")] public double From { get; init; } = 21;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 7;
    [Field(QuantityKind.Temperature, 10, 40, Label = "Otherwise at most")] public double OtherwiseC { get; init; } = 27;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "The day begins at")] public double StartHour { get; init; } = 18;
    [Field(QuantityKind.Fraction, 0.05, 1, Label = "with the bank at")] public double StartSoc { get; init; } = 1;
    [Field(QuantityKind.Fraction, 0.05, 1, Label = "Duty a fitter would guess", Help = "for the hand budget only")] public double HandDuty { get; init; } = 0.5;
}

/// <summary>The day for drawing, one array a column: hours of the day, °C, W, share; rounded to what a drawing can show.</summary>
public sealed record EnergySeries(double[] Hour, double[] OutdoorC, double[] CabinC, double[] SetC, double[] SunW, double[] AirconW, double[] LoadsW, double[] OtherSourcesW, double[] Soc);

/// <summary>A way out with what it was found to bring.</summary>
public sealed record BudgetLine(string Words, string Numbers, double Wh);

/// <summary>The hand budget beside the simulation.</summary>
public sealed record BudgetComparison(IReadOnlyList<BudgetLine> Lines, double HandWh, double SimulatedWh, double HandBankAh, double GuessedDuty, double FoundDuty);

/// <summary>Hours on the battery at a set-point, for the owner.</summary>
public sealed record SetpointHours(double SetpointC, double MeanW, double Hours, double PrintedHours);

/// <summary>Result of the Energy station.</summary>
public sealed record EnergyAssessment(
    Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures, EnergySeries Series, double WindowHours, double HeldHours, double? FailureHour, string FailureCause,
    double MinSoc, double MinSocHour, double EndSoc, double SunWh, double NeedWh, bool HasBattery, EnergyLedger Ledger, BudgetComparison Budget, IReadOnlyList<SetpointHours> Owner, double GeneratorHours, double FuelLitres);
