using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>One unit to be started: its motor, its own fan and help.</summary>
public sealed record UnitToStart(string Name, MotorModel Motor, NeighbourLoad Fan, StartRemedy Remedy = StartRemedy.None,
    double Reduction = UnitToStart.TypicalReduction)
{
    /// <summary>What a soft starter takes away when nothing else is known; common practice.</summary>
    public const double TypicalReduction = 0.65;
}

/// <summary>An order of starting: names in turn, whether all start, the worst share of what the source bears.</summary>
public sealed record StartOrderResult(IReadOnlyList<string> Order, bool AllStart, double WorstUsed);

/// <summary>Several units on one source: never two compressors at once, at least 10 s apart; each that runs is a load for the next. Common practice.</summary>
public static class StartOrder
{
    /// <summary>Orders of more are not tried.</summary>
    public const int MostUnits = 6;

    public static StartOrderResult Of(StartCase start, IReadOnlyList<UnitToStart> units)
    {
        // Every fan may run already: a unit's fan comes on before its compressor.
        List<NeighbourLoad> running = [.. units.Select(u => u.Fan), .. start.Neighbours];
        var worst = 0.0;
        var all = true;
        foreach (var unit in units)
        {
            var result = StartSimulation.Run(start with { Motor = unit.Motor, Remedy = unit.Remedy, Reduction = unit.Reduction, Neighbours = [.. running] });
            all &= result.Outcome == StartOutcome.Starts;
            worst = Math.Max(worst, result.SurgeUsed);
            running.Add(new NeighbourLoad(unit.Name, unit.Motor.RlaA * unit.Motor.RatedV * unit.Motor.PowerFactorRun, unit.Motor.PowerFactorRun, false));
        }
        return new StartOrderResult([.. units.Select(u => u.Name)], all, worst);
    }

    /// <summary>The order with the smallest worst share among those that start all; the best of the rest where none does.</summary>
    /// <exception cref="ArgumentException">More than six units.</exception>
    public static StartOrderResult Best(StartCase start, IReadOnlyList<UnitToStart> units)
    {
        if (units.Count is 0 or > MostUnits)
            throw new ArgumentException($"1 to {MostUnits} units; got {units.Count}", nameof(units));
        return Orders([.. units]).Select(o => Of(start, o)).OrderBy(r => r.AllStart ? 0 : 1).ThenBy(r => r.WorstUsed).First();
    }

    private static IEnumerable<List<UnitToStart>> Orders(List<UnitToStart> units)
    {
        if (units.Count <= 1)
        {
            yield return units;
            yield break;
        }
        for (var i = 0; i < units.Count; i++)
        {
            var first = units[i];
            List<UnitToStart> rest = [.. units];
            rest.RemoveAt(i);
            foreach (var order in Orders(rest))
                yield return [first, .. order];
        }
    }
}
