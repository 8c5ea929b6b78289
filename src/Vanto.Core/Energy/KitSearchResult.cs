using Vanto.Core.Findings;
using Vanto.Core.Start;

namespace Vanto.Core.Energy;

/// <summary>Days that the kit must stand, and the least batteries for 0, 1 … modules to do so (−1 where none do).</summary>
/// <param name="Id">design, hot, cloudy, each alone or with "-aged".</param>
/// <param name="Words">In words.</param>
/// <param name="AirconWh">What the unit draws in it.</param>
/// <param name="Least">At the aim's own set-point.</param>
/// <param name="FittedMinSoc">Lowest charge with the kit that is fitted now; null where it fails.</param>
public sealed record SizingScenario(string Id, string Words, double AirconWh, IReadOnlyList<int> Least, double? FittedMinSoc);

/// <summary>A point of the frontier with what it keeps in each scenario and the changes that adopt it.</summary>
public sealed record FrontierPoint(KitPoint Kit, IReadOnlyList<double?> MinSoc, string BreaksFirst, IReadOnlyList<DesignChange> Changes);

/// <summary>What one step more of a part buys: the lowest charge of the worst scenario before and after, null where one fails, and how many fail.</summary>
public sealed record StepGain(string Words, double? Before, double? After, int FailsBefore, int FailsAfter, IReadOnlyList<DesignChange> Changes);

/// <summary>The inverter that goes with every kit, W, and what helps the start.</summary>
public sealed record InverterChoice(double RatedW, StartRemedy Remedy, double Cost);

/// <summary>One kit of the map; where it does not hold, the first of the days asked in which it fails.</summary>
public sealed record KitCell(int Batteries, int Modules, bool Holds, string FailsIn);

/// <summary>How far a search has come.</summary>
public sealed record SizingProgress(int Done, int Total);

/// <summary>The map and its frontier.</summary>
/// <param name="HoldC">Set-point of the map.</param>
/// <param name="Cells">Every kit within the limits, whether it holds, and in which days it first fails.</param>
/// <param name="Least">Least batteries over all scenarios for each number of modules; −1 where none do.</param>
/// <param name="Fitted">The kit fitted now.</param>
/// <param name="Evaluations">Runs made.</param>
public sealed record SizingResult(
    double HoldC, int MostBatteries, IReadOnlyList<KitCell> Cells, IReadOnlyList<int> Least, KitSize Fitted, IReadOnlyList<SizingScenario> Scenarios, IReadOnlyList<FrontierPoint> Frontier,
    IReadOnlyList<StepGain> Steps, IReadOnlyList<Finding> Findings, int Evaluations, InverterChoice? Inverter);
