using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>What a terminal carries.</summary>
public enum CoreRole
{
    [Called("live")] Live, [Called("neutral")] Neutral, [Called("data")] Data, [Called("earth")] Earth, [Called("second live")] SecondLive,
    [Called("switched live")] Switched, [Called("dry contact")] Dry,
}

/// <summary>Colours of cores; the fitter's own choice, alike at both ends.</summary>
public enum CoreColour
{
    [Called("nothing")] None, [Called("brown")] Brown, [Called("blue")] Blue, [Called("black")] Black, [Called("grey")] Grey,
    [Called("green-yellow")] GreenYellow, [Called("green")] Green, [Called("bare")] Bare, [Called("white")] White, [Called("red")] Red,
    [Called("yellow")] Yellow, [Called("orange")] Orange, [Called("violet")] Violet,
}

/// <summary>One label of both terminal blocks and what is landed on it.</summary>
/// <param name="Label">Such as 1.</param>
/// <param name="Role">What it carries.</param>
/// <param name="Head">Core at the head.</param>
/// <param name="Outdoor">Core at the outdoor unit.</param>
public sealed record Landed(string Label, CoreRole Role, CoreColour Head, CoreColour Outdoor);

/// <summary>What a fault between the ends does.</summary>
public enum CoreFault { None, NoTalk, Polarity, Harm }

/// <summary>One core that is not where it belongs.</summary>
/// <param name="Colour">Which.</param>
/// <param name="HeadLabel">Its label at the head; empty where it is landed nowhere there.</param>
/// <param name="OutdoorLabel">At the outdoor unit.</param>
/// <param name="Fault">What it does.</param>
public sealed record CoreAstray(CoreColour Colour, string HeadLabel, string OutdoorLabel, CoreFault Fault);

/// <summary>A core lifted and landed again.</summary>
public sealed record CoreMove(CoreColour Colour, string From, string To);

/// <summary>Both ends of the cable between head and outdoor unit held against one another.</summary>
/// <param name="Astray">Cores that are crossed, open or doubled.</param>
/// <param name="Moves">What mends it at one end, a core at a time; empty where nothing is crossed.</param>
/// <param name="Swaps">Exchanges of two that do the same.</param>
/// <param name="AtHead">The end at which they are moved.</param>
/// <param name="Crossed">True where every core is landed once at both ends, but not alike.</param>
/// <param name="Doubled">Colours that stand twice at one end.</param>
public sealed record EndsCompared(IReadOnlyList<CoreAstray> Astray, IReadOnlyList<CoreMove> Moves, int Swaps, bool AtHead, bool Crossed,
    IReadOnlyList<CoreColour> Doubled)
{
    /// <summary>The worst that it does.</summary>
    public CoreFault Worst => Astray.Select(a => a.Fault).Append(Doubled.Count > 0 ? CoreFault.Harm : CoreFault.None).Max();

    /// <summary>Compares the ends. Both blocks have the same labels.</summary>
    /// <param name="landed">Labels and what is on them.</param>
    /// <param name="planned">Colours meant for each label; the end that departs from it more is mended. Empty: the head.</param>
    public static EndsCompared Of(IReadOnlyList<Landed> landed, IReadOnlyDictionary<string, CoreColour>? planned = null)
    {
        static IReadOnlyList<CoreColour> Twice(IEnumerable<CoreColour> end) =>
            [.. end.Where(c => c != CoreColour.None).GroupBy(c => c).Where(g => g.Count() > 1).Select(g => g.Key)];

        var doubled = Twice(landed.Select(l => l.Head)).Union(Twice(landed.Select(l => l.Outdoor))).ToList();
        var astray = new List<CoreAstray>();
        foreach (var colour in landed.SelectMany(l => new[] { l.Head, l.Outdoor }).Where(c => c != CoreColour.None).Distinct().Except(doubled))
        {
            var (head, outdoor) = (landed.FirstOrDefault(l => l.Head == colour), landed.FirstOrDefault(l => l.Outdoor == colour));
            if (head != outdoor)
                astray.Add(new CoreAstray(colour, head?.Label ?? "", outdoor?.Label ?? "", Fault(head?.Role, outdoor?.Role)));
        }
        foreach (var bare in landed.Where(l => l.Head == CoreColour.None && l.Outdoor == CoreColour.None))
            astray.Add(new CoreAstray(CoreColour.None, bare.Label, bare.Label, Fault(bare.Role, null)));
        var whole = doubled.Count == 0 && landed.All(l => l.Head != CoreColour.None && l.Outdoor != CoreColour.None)
            && landed.Select(l => l.Head).ToHashSet().SetEquals(landed.Select(l => l.Outdoor));
        if (!whole || astray.Count == 0)
            return new EndsCompared(astray, [], 0, true, false, doubled);
        int Departs(Func<Landed, CoreColour> end) => planned is null ? 0 : landed.Count(l => planned.TryGetValue(l.Label, out var c) && c != end(l));
        var atHead = Departs(l => l.Outdoor) <= Departs(l => l.Head);
        var moves = astray.Select(a => atHead ? new CoreMove(a.Colour, a.HeadLabel, a.OutdoorLabel) : new CoreMove(a.Colour, a.OutdoorLabel,
            a.HeadLabel)).ToList();
        return new EndsCompared(astray, moves, moves.Count - Rings.Count(moves.ToDictionary(m => m.From, m => m.To)), atHead, true, doubled);
    }

    private static CoreFault Fault(CoreRole? a, CoreRole? b)
    {
        if (a is null || b is null)
            return (a ?? b) == CoreRole.Data ? CoreFault.NoTalk : CoreFault.Harm;
        if (a == b)
            return CoreFault.None;
        return (a, b) is (CoreRole.Live, CoreRole.Neutral) or (CoreRole.Neutral, CoreRole.Live) or (CoreRole.Live, CoreRole.SecondLive)
            or (CoreRole.SecondLive, CoreRole.Live) ? CoreFault.Polarity : CoreFault.Harm;
    }
}

/// <summary>Rings of things that stand in one another's places: each is put right by one exchange fewer than it is long.</summary>
internal static class Rings
{
    /// <summary>How many there are.</summary>
    public static int Count(Dictionary<string, string> to)
    {
        var count = 0;
        for (; to.Count > 0; count++)
            for (var at = to.Keys.First(); to.Remove(at, out var next);)
                at = next;
        return count;
    }
}

/// <summary>Cables and pipes of several heads: each head's must lead to the same circuit.</summary>
public static class Zones
{
    /// <summary>Heads whose cable and pipe differ, and exchanges of cables that mend it; null where a letter stands twice.</summary>
    public static (IReadOnlyList<int> Wrong, int Swaps)? Compare(IReadOnlyList<(string Cable, string Pipe)> heads)
    {
        if (heads.Select(h => h.Cable).Distinct().Count() < heads.Count || heads.Select(h => h.Pipe).Distinct().Count() < heads.Count)
            return null;
        var wrong = Enumerable.Range(0, heads.Count).Where(h => heads[h].Cable != heads[h].Pipe).ToList();
        return (wrong, wrong.Count - Rings.Count(wrong.ToDictionary(h => heads[h].Cable, h => heads[h].Pipe)));
    }
}

/// <summary>Labels of a cable: two for the cable and two for each core.</summary>
public static class CoreLabels
{
    /// <summary>More than this does not fit on a core.</summary>
    public const int Longest = 12;

    /// <summary>Of one core, alike at both ends, such as <c>A-3 DATA</c>.</summary>
    public static string Of(string zone, string label, CoreRole role)
    {
        var words = role switch
        {
            CoreRole.SecondLive => "LIVE 2",
            CoreRole.Switched => "SWITCH",
            _ => Calls.Name(role).ToUpperInvariant(),
        };
        var text = $"{zone}-{label} {words}";
        return text.Length <= Longest ? text
            : throw new Findings.InputException("label", text, $"A core's label has at most {Longest} characters; \"{text}\" has {text.Length}.");
    }

    /// <summary>How many labels a cable asks for.</summary>
    public static int Count(int cores) => 2 + 2 * cores;
}
