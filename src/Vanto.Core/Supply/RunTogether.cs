namespace Vanto.Core.Supply;

/// <summary>A load as the owner thinks of it: running and starting volt-amperes.</summary>
public sealed record OwnerLoad(string Name, double RunVa, double StartVa);

/// <summary>Which loads may run together on a source. Sets are of places in the list of loads: two loads may have one name.</summary>
/// <param name="Maximal">Allowed sets to which nothing can be added.</param>
/// <param name="Forbidden">Smallest sets that are not allowed, those of fewest loads first.</param>
/// <param name="AllowedCount">Allowed sets of all.</param>
public sealed record RunTogetherResult(IReadOnlyList<IReadOnlyList<int>> Maximal, IReadOnlyList<IReadOnlyList<int>> Forbidden, int AllowedCount);

/// <summary>What may run together: all sets are tried; common practice (arithmetic of volt-amperes).</summary>
public static class RunTogether
{
    /// <summary>All sets of more loads are not tried.</summary>
    public const int MostLoads = 16;

    /// <summary>Tries all sets.</summary>
    /// <param name="loads">1 to 16 loads.</param>
    /// <param name="continuousVa">What the source carries.</param>
    /// <param name="surgeVa">What it bears at a start.</param>
    /// <param name="margin">Share of the continuous rating used.</param>
    /// <param name="coincidentStarts">Starts in the same second, 1 to 3.</param>
    public static RunTogetherResult Of(IReadOnlyList<OwnerLoad> loads, double continuousVa, double surgeVa, double margin = 0.9, int coincidentStarts = 1)
    {
        var count = loads.Count;
        var allowed = new bool[1 << count];
        for (var set = 0; set < allowed.Length; set++)
            allowed[set] = Allowed(set);
        bool Has(int set, int load) => (set >> load & 1) == 1;
        IReadOnlyList<int> Members(int set) => [.. Enumerable.Range(0, count).Where(i => Has(set, i))];
        var indices = Enumerable.Range(0, count).ToArray();
        var maximal = Enumerable.Range(1, allowed.Length - 1).Where(s => allowed[s] && indices.All(i => Has(s, i) || !allowed[s | 1 << i]));
        var forbidden = Enumerable.Range(1, allowed.Length - 1).Where(s => !allowed[s] && indices.All(i => !Has(s, i) || allowed[s & ~(1 << i)]));
        return new RunTogetherResult([.. maximal.Select(Members)], [.. forbidden.OrderBy(s => int.PopCount(s)).Select(Members)], allowed.Count(a => a));

        bool Allowed(int set)
        {
            double run = 0;
            var starts = new List<double>(count);
            for (var i = 0; i < count; i++)
            {
                if (!Has(set, i))
                    continue;
                run += loads[i].RunVa;
                starts.Add(loads[i].StartVa - loads[i].RunVa);
            }
            var surge = run + starts.OrderDescending().Take(coincidentStarts).Sum();
            return run <= margin * continuousVa * (1 + 1e-9) && surge <= surgeVa * (1 + 1e-9);
        }
    }
}
