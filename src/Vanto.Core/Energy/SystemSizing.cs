namespace Vanto.Core.Energy;

/// <summary>One design of the map: batteries in parallel and modules on the roof.</summary>
public readonly record struct KitSize(int Batteries, int Modules);

/// <summary>
/// One point that is feasible: what it holds, costs and weighs, its generator's rating (0 without) and hours a week in the worst days asked, whole
/// hours upward.
/// </summary>
public sealed record KitPoint(double SetpointC, int Batteries, int Modules, double Cost, double MassKg, double GeneratorW = 0, double GeneratorHours = 0);

/// <summary>
/// The smallest kit from real steps, exactly: while no generator runs, the lowest charge of a run never falls with more batteries or more
/// modules, so the least battery for each number of modules is one staircase down the map (definition). Runs are of the electrical side
/// alone on the unit's draw; a kit that feeds the unit never limits it, so the draw is the same for all that do.
/// </summary>
public static class SystemSizing
{
    /// <summary>Least batteries for 0, 1 … modules, −1 where not even the most do.</summary>
    /// <param name="mostBatteries">At least 1.</param>
    /// <param name="mostModules">At least 0.</param>
    /// <param name="feasible">Whether a kit meets the aim; never true for one and false for a larger one.</param>
    public static int[] Staircase(int mostBatteries, int mostModules, Func<KitSize, bool> feasible)
    {
        var least = new int[mostModules + 1];
        var batteries = mostBatteries;
        var found = false;
        for (var modules = 0; modules <= mostModules; modules++)
        {
            found = found || feasible(new KitSize(mostBatteries, modules));
            if (!found)
            {
                least[modules] = -1;
                continue;
            }
            while (batteries > 1 && feasible(new KitSize(batteries - 1, modules)))
                batteries--;
            least[modules] = batteries;
        }
        return least;
    }

    /// <summary>The whole map from its staircase: by modules, then batteries from 1.</summary>
    public static bool[][] Map(int[] staircase, int mostBatteries) =>
        Array.ConvertAll(staircase, least => Enumerable.Range(1, mostBatteries).Select(b => least > 0 && b >= least).ToArray());

    /// <summary>The same by trying every kit, where a larger kit may end lower (a generator with its starting rule), or to prove the staircase.</summary>
    public static bool[][] FullMap(int mostBatteries, int mostModules, Func<KitSize, bool> feasible) =>
        [.. Enumerable.Range(0, mostModules + 1).Select(a => Enumerable.Range(1, mostBatteries).Select(b => feasible(new KitSize(b, a))).ToArray())];

    /// <summary>Least batteries of a map for each number of modules, −1 where none do.</summary>
    public static int[] Least(bool[][] map) => Array.ConvertAll(map, column => Array.IndexOf(column, true) is var b and >= 0 ? b + 1 : -1);

    /// <summary>Whether a run meets the aim: the charge never under the reserve, nothing shed, the unit never left out.</summary>
    public static bool MeetsReserve(EnergyResult result, double reserveSoc) =>
        result.MinSoc >= reserveSoc && result.CutOffHour is null && result.AirOffHour is null;

    /// <summary>A day repeats itself where it ends no lower than it began, within this share of the bank; definition.</summary>
    public const double RepeatsWithin = 0.005;

    /// <summary>Whether a day, run again and again from where it ends, comes to repeat itself before it falls short.</summary>
    /// <param name="day">Runs the day from a charge.</param>
    /// <param name="soc">Charge that the first begins with.</param>
    /// <param name="reserveSoc">Reserve.</param>
    public static bool Repeats(Func<double, EnergyResult> day, double soc, double reserveSoc)
    {
        while (true)
        {
            var run = day(soc);
            if (!MeetsReserve(run, reserveSoc))
                return false;
            if (run.EndSoc >= soc - RepeatsWithin)
                return true;
            soc = run.EndSoc;
        }
    }

    /// <summary>
    /// Points that no other beats: none is at most as dear, as heavy, as warm and as often on its generator and better in one. By cost, then weight,
    /// warmth and generator.
    /// </summary>
    public static IReadOnlyList<KitPoint> Frontier(IEnumerable<KitPoint> points)
    {
        var sorted = points.OrderBy(p => p.Cost).ThenBy(p => p.MassKg).ThenBy(p => p.SetpointC).ThenBy(p => p.GeneratorHours).ToList();
        var kept = new List<KitPoint>();
        // What comes later is never cheaper, so only what is kept already can beat it.
        foreach (var p in sorted)
            if (!kept.Any(k => k.MassKg <= p.MassKg && k.SetpointC <= p.SetpointC && k.GeneratorHours <= p.GeneratorHours))
                kept.Add(p);
        return kept;
    }
}
