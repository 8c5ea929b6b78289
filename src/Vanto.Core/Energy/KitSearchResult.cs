using System.Text.Json.Serialization;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Start;

namespace Vanto.Core.Energy;

/// <summary>Days that the kit must stand, and the least batteries for 0, 1 … modules to do so (−1 where none do).</summary>
/// <param name="Id">design, hot, cloudy, dark, each alone or with "-aged".</param>
/// <param name="Words">In words.</param>
/// <param name="AirconWh">What the unit draws in it.</param>
/// <param name="Least">At the aim's own set-point, of the first map.</param>
/// <param name="FittedMinSoc">Lowest charge with the kit that is fitted now; null where it fails.</param>
public sealed record SizingScenario(string Id, Phrase Words, double AirconWh, IReadOnlyList<int> Least, double? FittedMinSoc);

/// <summary>A point of the frontier with what it keeps in each scenario, the fuel of a week of the worst days, and the changes that adopt it.</summary>
public sealed record FrontierPoint(KitPoint Kit, IReadOnlyList<double?> MinSoc, Phrase BreaksFirst, GeneratorChoice? Generator, double FuelLitresAWeek,
    [property: JsonIgnore] DesignEdit Edit)
{
    /// <summary>The kit in a year of weather, where one was run.</summary>
    public KitYear? Year { get; init; }

    /// <summary>What adopting it changes in the design.</summary>
    public IReadOnlyList<DesignChange> Changes => Edit.Changes;
}

/// <summary>How a kit stands all days asked.</summary>
/// <param name="MinSoc">Lowest charge in the worst of them; null where one fails.</param>
/// <param name="Fails">In how many it fails.</param>
/// <param name="GivesOutHour">Hours after the day begins at which the first of them falls below the reserve or loses the unit.</param>
/// <param name="GeneratorHours">Of a week of the worst of them.</param>
public sealed record KitStand(double? MinSoc, int Fails, double? GivesOutHour, double GeneratorHours);

/// <summary>What one step more of a part buys.</summary>
public sealed record StepGain(Phrase Words, KitStand Before, KitStand After, [property: JsonIgnore] DesignEdit Edit)
{
    public IReadOnlyList<DesignChange> Changes => Edit.Changes;
}

/// <summary>The inverter that goes with every kit, W, and what helps the start.</summary>
public sealed record InverterChoice(double RatedW, StartRemedy Remedy, double Cost);

/// <summary>A generator as it is sold, with the charger that is hung on it, W, and the charges at which it starts and stops.</summary>
public sealed record GeneratorChoice(double RatedW, double MaximumW, double ChargerW, double StartSoc, double StopSoc, double Cost, double MassKg);

/// <summary>One kit of the map; where it does not hold, the first of the days asked in which it fails.</summary>
public sealed record KitCell(int Batteries, int Modules, bool Holds, string FailsIn);

/// <summary>Every kit within the limits with one generator, started and stopped at the charges that serve it best.</summary>
/// <param name="GeneratorW">Rating of the generator bought with it; 0 for none, or for what is on board.</param>
/// <param name="Cells">Whether each kit holds, and in which days it first fails.</param>
/// <param name="Least">Least batteries over all scenarios for each number of modules; −1 where none do.</param>
public sealed record KitMap(double GeneratorW, IReadOnlyList<KitCell> Cells, IReadOnlyList<int> Least);

/// <summary>How far a search has come.</summary>
public sealed record SizingProgress(int Done, int Total);

/// <summary>The maps and their frontier.</summary>
public sealed record SizingResult
{
    /// <summary>Set-point of the maps.</summary>
    public required double SetpointC { get; init; }

    public required int MostBatteries { get; init; }

    /// <summary>One for each generator tried, at least one.</summary>
    public required IReadOnlyList<KitMap> Maps { get; init; }

    /// <summary>The kit fitted now.</summary>
    public required KitSize Fitted { get; init; }

    public required IReadOnlyList<SizingScenario> Scenarios { get; init; }

    public required IReadOnlyList<FrontierPoint> Frontier { get; init; }

    /// <summary>The cheapest kit found that also holds all weeks of the year but two; null where none does or no year was run.</summary>
    public required FrontierPoint? LastsTheYear { get; init; }

    /// <summary>True where the rig names a year of weather.</summary>
    public required bool YearAsked { get; init; }

    public required IReadOnlyList<StepGain> Steps { get; init; }

    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Runs made.</summary>
    public required int Evaluations { get; init; }

    public required InverterChoice? Inverter { get; init; }

    /// <summary>The kit that it comes to, in a sentence.</summary>
    public Phrase Answer => (LastsTheYear ?? Frontier.Where(p => p.Kit.SetpointC == SetpointC).MinBy(p => p.Kit.Cost)) is { } least
        ? Phrase.Of($"{Calls.Many(least.Kit.Batteries, "battery block")} and {Calls.Many(least.Kit.Modules, "module")} "
            + $"at {least.Kit.SetpointC:Temperature}"
            + $"{(LastsTheYear is null ? "" : ", and they last the year")}.")
        : Frontier.Count > 0 ? Phrase.Of($"Nothing within the limits holds {SetpointC:Temperature}; warmer it goes.")
        : Phrase.Of($"No kit within the limits does it.");
}
