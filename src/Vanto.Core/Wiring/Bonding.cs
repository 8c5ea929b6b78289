using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>When a source ties neutral to earth.</summary>
public enum BondRule { [Called("always")] Always, [Called("while it gives power")] WhenSourcing, [Called("never")] Never }

/// <summary>A tie of a neutral to earth.</summary>
/// <param name="Net">Which neutral.</param>
/// <param name="Rule">When it is closed.</param>
/// <param name="Source">Whose it is.</param>
public sealed record NeutralBond(string Net, BondRule Rule, string Source);

/// <summary>Two neutrals joined in some states.</summary>
public sealed record NeutralLink(string A, string B, IReadOnlyList<string> ClosedIn);

/// <summary>One way in which the rig is fed.</summary>
/// <param name="Id">Its name.</param>
/// <param name="Active">The source that feeds it.</param>
public sealed record SupplyState(string Id, string Active);

/// <summary>Ties counted in one state.</summary>
/// <param name="State">Which.</param>
/// <param name="Bonds">Sources whose ties are closed and reached.</param>
/// <param name="OnActive">The one tie is that of the source that feeds.</param>
public sealed record BondCount(SupplyState State, IReadOnlyList<string> Bonds, bool OnActive);

/// <summary>Neutral and earth of a rig with several sources: one tie in every state, and where the power comes from.</summary>
public static class BondingPlan
{
    /// <summary>Counts the ties that the load's neutral reaches.</summary>
    public static BondCount Count(string loadNet, IReadOnlyList<NeutralLink> links, IReadOnlyList<NeutralBond> bonds, SupplyState state)
    {
        var nets = new Joined();
        foreach (var link in links.Where(l => l.ClosedIn.Contains(state.Id)))
            nets.Join(link.A, link.B);
        var closed = bonds.Where(b => (b.Rule == BondRule.Always || b.Rule == BondRule.WhenSourcing && b.Source == state.Active)
            && nets.Are(b.Net, loadNet)).Select(b => b.Source).ToList();
        return new BondCount(state, closed, closed.Count == 1 && closed[0] == state.Active);
    }
}

/// <summary>Nodes joined with one another.</summary>
public sealed class Joined
{
    private readonly Dictionary<string, string> _parent = [];

    private string Root(string node)
    {
        while (_parent.TryGetValue(node, out var up) && up != node)
            node = up;
        return node;
    }

    /// <summary>Joins two.</summary>
    public void Join(string a, string b) => _parent[Root(a)] = Root(b);

    /// <summary>True where they are one.</summary>
    public bool Are(string a, string b) => Root(a) == Root(b);
}

/// <summary>What three readings at a pedestal say.</summary>
public enum ShoreReading
{
    [Called("no supply")] NoSupply, [Called("correct")] Correct, [Called("live and neutral exchanged")] LineNeutralReversed,
    [Called("live and earth exchanged, or neutral open under load")] LineEarthReversed, [Called("earth open or floating")] EarthOpen,
    [Called("neutral open")] NeutralOpen, [Called("unclear")] Unclear,
}

/// <summary>A pedestal before anything is plugged in. Limits common practice; it cannot see earth and neutral exchanged, nor a false earth.</summary>
public static class ShoreTest
{
    private const double Live = 0.85;
    private const double Zero = 0.05;

    /// <summary>By volts live–neutral, neutral–earth, live–earth.</summary>
    public static ShoreReading Of(double liveNeutral, double neutralEarth, double liveEarth, double nominal)
    {
        bool IsLive(double v) => v >= Live * nominal;
        bool IsZero(double v) => v <= Zero * nominal;
        return (liveNeutral, neutralEarth, liveEarth) switch
        {
            var (ln, ne, le) when IsZero(ln) && IsZero(ne) && IsZero(le) => ShoreReading.NoSupply,
            var (ln, ne, le) when IsLive(ln) && IsLive(le) && IsZero(ne) => ShoreReading.Correct,
            var (ln, ne, le) when IsLive(ln) && IsLive(ne) && IsZero(le) => ShoreReading.LineNeutralReversed,
            var (ln, ne, le) when IsZero(ln) && IsLive(le) && IsLive(ne) => ShoreReading.LineEarthReversed,
            var (ln, ne, le) when IsLive(ln) && !IsLive(ne) && !IsLive(le) && !IsZero(ne) => ShoreReading.EarthOpen,
            var (ln, ne, le) when IsLive(ln) && !IsLive(ne) && !IsLive(le) && IsZero(le) && IsZero(ne) => ShoreReading.EarthOpen,
            var (ln, _, le) when !IsLive(ln) && IsLive(le) => ShoreReading.NeutralOpen,
            _ => ShoreReading.Unclear,
        };
    }
}

/// <summary>What two legs say.</summary>
public enum LegsReading
{
    [Called("split phase")] SplitPhase, [Called("two legs of three phases, 208 V")] TwoOfThree, [Called("the same leg twice")] SameLeg,
    [Called("neutral open or very uneven")] NeutralOpen, [Called("unclear")] Unclear,
}

/// <summary>Split phase told from its look-alikes.</summary>
public static class SplitPhaseTest
{
    /// <summary>By volts of both legs to neutral and between them.</summary>
    public static LegsReading Of(double first, double second, double between)
    {
        if (Math.Min(first, second) < 0.85 * 120 && between >= 216)
            return LegsReading.NeutralOpen;
        if (between <= 0.05 * 240)
            return LegsReading.SameLeg;
        var sum = first + second;
        if (Math.Abs(between - sum) <= 0.05 * sum)
            return Math.Abs(first - second) > 0.10 * sum / 2 ? LegsReading.NeutralOpen : LegsReading.SplitPhase;
        var root = Math.Sqrt(first * first + second * second + first * second);
        return Math.Abs(between - root) <= 0.05 * root ? LegsReading.TwoOfThree : LegsReading.Unclear;
    }
}
