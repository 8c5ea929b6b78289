using System.Text.Json;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Service;

namespace Vanto.Core.Exchange;

/// <summary>How the design of one laptop stands to that of another.</summary>
public enum DesignStands { Same, OursIsNewer, TheirsIsNewer, Apart }

/// <summary>A design on one laptop.</summary>
/// <param name="Hash">Of its text.</param>
/// <param name="At">When it was changed last.</param>
/// <param name="Lineage">Hashes of all that it was before.</param>
public sealed record DesignState(string Hash, DateTimeOffset At, IReadOnlyCollection<string> Lineage);

/// <summary>
/// Two designs of one rig that were changed apart: the newer counts, the other is kept as a named option, and whole in the history. The product's own
/// choice.
/// </summary>
public static class DesignMerge
{
    /// <summary>Compares them.</summary>
    public static DesignStands Of(DesignState ours, DesignState theirs) =>
        ours.Hash == theirs.Hash ? DesignStands.Same
        : ours.Lineage.Contains(theirs.Hash) ? DesignStands.OursIsNewer
        : theirs.Lineage.Contains(ours.Hash) ? DesignStands.TheirsIsNewer : DesignStands.Apart;

    /// <summary>Of two that stand apart, whether theirs was changed last; at the same moment the greater hash, so that both laptops say the same.</summary>
    public static bool TheirsWins(DesignState ours, DesignState theirs) =>
        theirs.At != ours.At ? theirs.At > ours.At : string.CompareOrdinal(theirs.Hash, ours.Hash) > 0;

    /// <summary>The design that counts, with what the other had to choose from.</summary>
    /// <param name="newer">It counts.</param>
    /// <param name="other">Kept as an option.</param>
    /// <param name="otherAt">When the other was changed last: names the option.</param>
    /// <returns>The design, and whether there was room for the other among its options.</returns>
    public static (JobDesign Design, bool Room) Together(JobDesign newer, JobDesign other, DateTimeOffset otherAt)
    {
        var options = newer.Options.ToList();
        options.AddRange(other.Options.Where(o => !newer.Options.Any(n => Text(n) == Text(o))));
        var name = $"put aside, of {Days.Text(DateOnly.FromDateTime(otherAt.UtcDateTime))} {otherAt.UtcDateTime:HH:mm} UTC";
        if (options.TrueForAll(o => o.Name != name))
            options.Add(OptionDesign.Of(other, name));
        var room = options.Count <= JobDesign.MostOptions;
        return (newer with { Options = room ? options : newer.Options }, room);
    }

    private static string Text(OptionDesign option) => JsonSerializer.Serialize(option, JobFile.Json);

    /// <summary>What became of it, in a sentence.</summary>
    public static Phrase Words(DesignStands stands, bool theirsWins, bool room) => stands switch
    {
        DesignStands.Same => Phrase.Of($"The design is the same."),
        DesignStands.OursIsNewer => Phrase.Of($"The design here is newer; it stays."),
        DesignStands.TheirsIsNewer => Phrase.Of($"The design in the file is newer; it was taken."),
        _ => Phrase.Of($"Changed on both: {(theirsWins ? "that of the file is newer and counts" : "the one here is newer and counts")}; the other is "
            + $"{(room ? "kept as an option, and whole in the history." : "kept whole in the history.")}"),
    };
}
