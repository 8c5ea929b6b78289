using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Energy;

/// <summary>Hours with a set-point of their own.</summary>
public sealed record SetpointDesign : DesignPart
{
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "From")] public double From { get; init; } = 12;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 16;
    [Field(QuantityKind.Temperature, 10, 40, Label = "at most")] public double SetpointC { get; init; } = 25;
    [Ask("Dry: only its lowest, steadily", Help = "an inverter-driven unit dries best when it runs on and on")] public bool Dry { get; init; }
}

/// <summary>How a run takes the humidity of the cabin's air.</summary>
public enum HumidityModel { [Called("followed")] Balanced, [Called("held")] Fixed }

/// <summary>The aim and how the day begins.</summary>
public sealed record EnergyDesign : DesignPart
{
    /// <summary>Warmest set-point that can be said.</summary>
    public const double WarmestC = 35;

    /// <summary>Bounds of cooling as measured over cooling as rated; beyond them the readings are wrong. The product's own.</summary>
    public const double LeastCapacity = 0.4, MostCapacity = 1.3;

    [Field(QuantityKind.Temperature, 10, WarmestC, Label = "Hold at most")] public double SetpointC { get; init; } = 25;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "from")] public double From { get; init; } = 21;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 7;
    [Field(QuantityKind.Temperature, 10, 40, Label = "Otherwise at most")] public double OtherwiseC { get; init; } = 27;
    [Field(QuantityKind.Fraction, LeastCapacity, MostCapacity, Label = "Cooling as measured, share of rated",
        Help = "empty takes what is rated; Commission fits it from a cooling-down", Optional = true)]
    public double? MeasuredCapacity { get; init; }
    [Ask("Hours with a set-point of their own")] public IReadOnlyList<SetpointDesign> Setpoints { get; init; } = [];
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "The day begins at")] public double StartHour { get; init; } = 18;
    [Field(QuantityKind.Fraction, 0.05, 1, Label = "with the bank at")] public double StartSoc { get; init; } = 1;
    [Field(QuantityKind.Fraction, 0, 0.95, Label = "Economy below a charge of", Help = "0 leaves it off")] public double EcoSoc { get; init; }
    [Field(QuantityKind.TemperatureDifference, 0, 8, Label = "then warmer by")] public double EcoRiseK { get; init; } = 2;
    [Field(QuantityKind.TemperatureDifference, 0, 8, Label = "Cool ahead while the sun finds no taker, by")] public double PreCoolK { get; init; }
    [Field(QuantityKind.ElectricPower, 50, 8000, Label = "The unit draws at most", Help = "economy cap; empty leaves it off", Optional = true)]
    public double? PowerCapW { get; init; }
    [Ask("Humidity inside", Help = "followed: what comes in less what the coil takes out; held: always as the load has it")]
    public HumidityModel Humidity { get; init; } = HumidityModel.Balanced;
    [Ask("The unit stops at the reserve")] public bool StopAtReserve { get; init; }
    public SizingDesign Sizing { get; init; } = new();
    public AwayDesign Away { get; init; } = new();
    public StretchDesign Stretch { get; init; } = new();
    [Field(QuantityKind.Fraction, 0.05, 1, Label = "Duty a fitter would guess", Help = "for the hand budget only")] public double HandDuty { get; init; } = 0.5;
}

/// <summary>What must hold between the fields of the aim.</summary>
internal static class EnergyAim
{
    /// <summary>Shortest window that a run in time can judge, h.</summary>
    public const double ShortestWindowH = 0.25;

    /// <summary>Refuses a window that begins and ends at the same time of day, or nearly so.</summary>
    /// <exception cref="InputException">The window is shorter than a quarter of an hour.</exception>
    public static void Check(EnergyDesign design)
    {
        var length = Physics.Day.Length(design.From, design.To);
        if (length < ShortestWindowH)
            throw new InputException("energy.to", Phrase.Of($"{design.To:HourOfDay}"),
                Phrase.Of($"The hours to be held, {design.From:HourOfDay} to {design.To:HourOfDay}, last {length * 60:Number} minutes; at least 15 minutes "
                    + $"are needed. Equal times mean the whole day."));
    }
}

/// <summary>A stretch of the year's weather that is run in time: a night, a week, a month.</summary>
public sealed record StretchDesign : DesignPart
{
    [Field(QuantityKind.Count, 1, 12, Label = "From month")] public int Month { get; init; } = 7;
    [Field(QuantityKind.Count, 1, 31, Label = "day")] public int Day { get; init; } = 14;
    [Field(QuantityKind.Count, 1, 31, Label = "Days")] public int Days { get; init; } = 7;
    [Field(QuantityKind.Count, 1, 15, Label = "Minutes a step",
        Help = "1, 2, 3, 5 or 15; a single-speed unit is followed as its thermostat switches it at 1 and 2")]
    public int StepMinutes { get; init; } = 5;
}

/// <summary>How long a kit must last.</summary>
public enum LastingAim
{
    [Called("day after day")] DayAfterDay,
    [Called("so many nights from a full bank, then recharged")] Nights,
}

/// <summary>
/// What the smallest kit is looked for with: limits, prices and the bad days it must stand. Prices are the fitter's own; the figures here are rough,
/// common practice.
/// </summary>
public sealed record SizingDesign : DesignPart
{
    [Ask("It must last", Help = "day after day: the sun or another source must bring back what the day takes")]
    public LastingAim Lasting { get; init; } = LastingAim.DayAfterDay;
    [Field(QuantityKind.Count, 1, 14, Label = "Nights before it is recharged")] public int Nights { get; init; } = 2;
    [Field(QuantityKind.Count, 1, 40, Label = "At most so many battery blocks")] public int MostBatteries { get; init; } = 12;
    [Field(QuantityKind.Count, 0, 60, Label = "At most so many modules", Help = "what the roof holds, see the roof below")]
    public int MostModules { get; init; } = 10;
    [Ask("It must stand hotter days", Help = "{3:TemperatureDifference} hotter than the design day")] public bool HotDays { get; init; } = true;
    [Ask("It must stand cloudy days, 35 % of the sun")] public bool CloudyDays { get; init; } = true;
    [Ask("It must do so with an aged bank, 80 % left")] public bool Aged { get; init; } = true;
    [Field(QuantityKind.Count, 1, 14, Label = "Bad days one after another")] public int Days { get; init; } = 3;
    [Field(QuantityKind.Count, 0, 14, Label = "Days without any sun on the modules, from a full bank",
        Help = "parked in shade, or under snow and leaves; 0 leaves it out")]
    public int DarkDays { get; init; }
    [Field(QuantityKind.TemperatureDifference, 0, 6, Label = "Warmer set-points tried, up to")] public double WarmerK { get; init; } = 2;
    [Field(QuantityKind.Number, 0, 100000, Label = "One battery block costs")] public double BatteryCost { get; init; } = 900;
    [Field(QuantityKind.Number, 0, 100000, Label = "One module costs")] public double ModuleCost { get; init; } = 190;
    [Ask("Loads may be switched off for the start")] public bool ShedForStart { get; init; }
    [Ask("Inverter and soft starter are chosen too")] public bool ChooseInverter { get; init; } = true;
    [Field(QuantityKind.Number, 0, 10000, Label = "A kilowatt of inverter costs")] public double InverterCost { get; init; } = 280;
    [Field(QuantityKind.Number, 0, 10000, Label = "A soft starter costs")] public double StarterCost { get; init; } = 260;
    [Ask("A generator may be bought")] public bool ChooseGenerator { get; init; }
    [Field(QuantityKind.Number, 0, 10000, Label = "A kilowatt of generator costs", Help = "with its charger")] public double GeneratorCost { get; init; } = 420;
    [Field(QuantityKind.Number, 0, 10000, Label = "A kilowatt of cooling costs", Help = "the unit, for comparing options")]
    public double UnitCost { get; init; } = 280;
    [Field(QuantityKind.Number, 0, 1000000, Label = "Spend at most", Optional = true)] public double? MostCost { get; init; }
    [Field(QuantityKind.Mass, 0, 5000, Label = "Bank and modules weigh at most", Optional = true)] public double? MostMassKg { get; init; }
    [Field(QuantityKind.Hours, 0, 168, Label = "Generator hours a week, at most")] public double MostGeneratorHours { get; init; } = 10;
}

/// <summary>A way out with what it was found to bring.</summary>
public sealed record BudgetLine(string Words, string Numbers, double Wh);

/// <summary>The hand budget beside the simulation.</summary>
public sealed record BudgetComparison(IReadOnlyList<BudgetLine> Lines, double HandWh, double SimulatedWh, double HandBankAh, double GuessedDuty,
    double FoundDuty);

/// <summary>Hours on the battery at a set-point, for the owner.</summary>
/// <param name="AgedHours">With the bank aged to <see cref="BatteryFade.Aged"/>, as printed.</param>
public sealed record SetpointHours(double SetpointC, double MeanW, double Hours, double PrintedHours, double AgedHours);

/// <summary>Result of the Energy station.</summary>
public sealed record EnergyAssessment : IStationResult
{
    public required Verdict Verdict { get; init; }
    public required IReadOnlyList<Finding> Findings { get; init; }
    public required IReadOnlyList<Figure> Figures { get; init; }
    public required EnergySeries Series { get; init; }
    public required double WindowHours { get; init; }
    public required double HeldHours { get; init; }
    public required double? FailureHour { get; init; }
    public required string FailureCause { get; init; }
    public required double MinSoc { get; init; }
    public required double MinSocHour { get; init; }
    public required double EndSoc { get; init; }
    public required double SunWh { get; init; }
    public required double NeedWh { get; init; }
    public required bool HasBattery { get; init; }
    public required EnergyLedger Ledger { get; init; }
    public required BudgetComparison Budget { get; init; }
    public required IReadOnlyList<SetpointHours> Owner { get; init; }

    /// <summary>With nobody aboard, as it is set; nothing where nobody asked.</summary>
    public AwayRow? Away { get; init; }

    public required double GeneratorHours { get; init; }
    public required double FuelLitres { get; init; }
    public required ArrayView Array { get; init; }
    public required Phrase SizingAim { get; init; }

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}
