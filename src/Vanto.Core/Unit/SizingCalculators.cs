using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Unit;

/// <summary>Inputs of <see cref="SizingCalculators.Humidity"/>.</summary>
public sealed record EquilibriumHumidityInput : DesignPart
{
    [Field(Power, 500, 30000, Label = "Nominal capacity")] public double NominalW { get; init; } = 3517;
    [Ask("It turns down")] public bool Modulating { get; init; }
    [Field(Fraction, 0, 1, Label = "Lowest steady share")] public double MinShare { get; init; } = 0.3;
    [Ask("Its fan runs on between cycles")] public bool FanRunsOn { get; init; } = true;
    [Field(Power, 50, 20000, Label = "Sensible load of the hour")] public double SensibleW { get; init; } = 1118.13;
    [Field(Power, 0, 10000, Label = "Moisture from people and pots")] public double LatentW { get; init; } = 90;
    [Field(QuantityKind.Number, 0, 1, Label = "Air exchanged, kg/s")] public double ExchangeKgS { get; init; } = 0.0265648;
    [Field(Temperature, -10, 55, Label = "Outdoors")] public double OutdoorC { get; init; } = 28.65;
    [Field(Percent, 1, 100, Label = "Humidity outdoors")] public double OutdoorRhPct { get; init; } = 70;
    [Field(Temperature, 16, 35, Label = "Room")] public double RoomC { get; init; } = 24.5;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
}

/// <summary>Inputs of <see cref="SizingCalculators.PullDown"/>.</summary>
public sealed record PullDownInput : BoxInput
{
    [Field(Power, 500, 30000, Label = "Nominal capacity")] public double NominalW { get; init; } = 2640;
    [Field(Count, 0, 23, Label = "It starts at hour")] public int Hour { get; init; } = 15;
}

/// <summary>Inputs of <see cref="SizingCalculators.Advice"/>.</summary>
public sealed record CapacityAdviceInput : DesignPart
{
    [Field(Power, 500, 30000, Label = "Nominal capacity")] public double NominalW { get; init; } = 3517;
    [Field(Power, 100, 30000, Label = "Nominal capacity needed")] public double RequiredW { get; init; } = 3438;
    [Ask("It turns down")] public bool Modulating { get; init; } = true;
    [Field(Power, 0, 30000, Label = "Lowest steady cooling")] public double LowestW { get; init; } = 1000;
    [Field(Power, 50, 30000, Label = "Mean load of the cooling hours")] public double MeanLoadW { get; init; } = 1400;
}

/// <summary>Inputs of <see cref="SizingCalculators.PartLoad"/>.</summary>
public sealed record PartLoadInput : DesignPart
{
    [Field(Power, 1, 30000, Label = "Load")] public double LoadW { get; init; } = 300;
    [Field(Power, 10, 30000, Label = "Lowest steady cooling")] public double LowestW { get; init; } = 1000;
    [Field(QuantityKind.Number, 0, 0.4, Label = "Cycling degradation")] public double CyclingDegradation { get; init; } = PartLoadHours.DefaultDegradation;
}

/// <summary>Sizing questions on their own.</summary>
public static class SizingCalculators
{
    /// <summary>Humidity that the room settles at.</summary>
    [Calculator("equilibrium-humidity", "How damp the room stays", "Where humidity settles while a unit holds the temperature.",
        CitationIds = [nameof(Citations.Coil), nameof(Citations.Derate)])]
    public static CalculationResult Humidity(EquilibriumHumidityInput i)
    {
        var room = new RoomHour(i.SensibleW, i.LatentW, i.ExchangeKgS, MoistAir.RatioFromRh(i.OutdoorC, i.OutdoorRhPct, Atmosphere.Pressure(i.ElevationM)),
            i.OutdoorC, i.RoomC, Atmosphere.Pressure(i.ElevationM));
        var settled = i.Modulating ? Capacity.SettledModulating(i.NominalW, i.MinShare, room) : Capacity.SettledSingleSpeed(i.NominalW, room, i.FanRunsOn);
        return new ResultBuilder()
            .Step("RH", "The room settles at", "coil latent·run = L + ṁ·h_fg·(W_o − W), bisected", $"L {i.LatentW} W", settled.RelativeHumidityPct,
                Percent,
                Citations.Coil)
            .Step("x", "It runs", "S/sensible of the coil", $"S {i.SensibleW} W", settled.RunFraction, Fraction, Citations.Coil)
            .Number("SHR", "Sensible share of its coil", settled.SensibleShare, Fraction)
            .Judge(SizeBand.Damp("The room", settled.RelativeHumidityPct)).Done();
    }

    /// <summary>Time to the set-point.</summary>
    [Calculator("pull-down", "From soaked to cool", "How long a unit takes from a closed-up, sun-soaked box to the set-point.",
        CitationIds = [nameof(Citations.HeatBalance), nameof(Citations.Coil)])]
    public static CalculationResult PullDown(PullDownInput i)
    {
        var space = i.Space();
        var result = PullDowns.FromSoak(new HeatSoak(space, DesignDay.Steps(space.Weather, 300)), space, i.Hour, i.NominalW);
        return new ResultBuilder()
            .Step("T_0", "Begins at", "closed up, nobody in", $"hour {i.Hour}", result.StartC, Temperature, Citations.HeatBalance)
            .Words("t", "Set-point reached after", result.Minutes is { } m ? FormattableString.Invariant($"{m:0} min") : "not in six hours")
            .Step("T_m", "Contents then stand at", "60 s steps, capacity derated each step", $"{i.NominalW} W nominal", result.MassC, Temperature,
                Citations.HeatBalance)
            .Number("RH", "Humidity then", result.RelativeHumidityPct, Percent)
            .Judge(SizeBand.PullDown(result.StartC, result.Minutes, result.MassC)).Done();
    }

    /// <summary>Whether a size fits its band.</summary>
    [Calculator("capacity-advice", "Is the size right", "The nominal capacity against what is needed, by kind of unit.",
        CitationIds = [nameof(Citations.CapacityBand)])]
    public static CalculationResult Advice(CapacityAdviceInput i)
    {
        var ratio = i.NominalW / i.RequiredW;
        var (level, words) = SizeBand.Judge(ratio, i.Modulating, i.LowestW, i.MeanLoadW);
        var next = Capacity.NominalSizesW.FirstOrDefault(s => s >= SizeBand.Begins * i.RequiredW, Capacity.NominalSizesW[^1]);
        return new ResultBuilder()
            .Step("r", "Rated against needed", "Q_nom/Q_needed", $"{i.NominalW}/{i.RequiredW}", ratio, Fraction, Citations.CapacityBand)
            .Step("band", "Band ends at", "0.90 to 1.15 single-speed, to 1.30 modulating", $"{(i.Modulating ? "modulating" : "single-speed")}",
                SizeBand.Ends(i.Modulating), Fraction, Citations.CapacityBand)
            .Number("Q_next", "Smallest nominal size that fits", next, Power)
            .Judge(SizeBand.Finding("It", ratio, level, words)).Done();
    }

    /// <summary>Below the lowest steady capacity.</summary>
    [Calculator("part-load-hours", "Cycling below the minimum",
        "How often a unit starts, how long it stays on and what it wastes below its lowest steady cooling.", CitationIds = [nameof(Citations.RatingPoint)])]
    public static CalculationResult PartLoad(PartLoadInput i)
    {
        if (i.LoadW >= i.LowestW)
            throw new InputException("loadW", Phrase.Of($"{i.LoadW:Power}"),
                Phrase.Of($"loadW: at {i.LoadW:Power} the unit runs steadily; cycling begins below lowestW ({i.LowestW:Power})"));
        var (cycles, on, factor) = PartLoadHours.Cycling(i.LoadW, i.LowestW, i.CyclingDegradation);
        return new ResultBuilder()
            .Step("N", "Starts an hour", "12·X·(1 − X), X = q/Q_min", $"X {i.LoadW / i.LowestW:0.###}", cycles, QuantityKind.Number, Citations.RatingPoint)
            .Step("t_on", "On for, minutes", "5/(1 − X)", $"X {i.LoadW / i.LowestW:0.###}", on, QuantityKind.Number, Citations.RatingPoint)
            .Step("PLF", "Efficiency left", "1 − 0.25·(1 − X)", $"X {i.LoadW / i.LowestW:0.###}", factor, Fraction, Citations.RatingPoint).Done();
    }
}
