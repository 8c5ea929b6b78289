using Vanto.Core.Findings;

namespace Vanto.Core.Stations;

/// <summary>Where on the owner's sheet a block stands; blocks of one place and heading are one.</summary>
public enum SheetPlace { Rig, Fitted, Running, Proof, Cautions }

/// <summary>How a block's lines are set.</summary>
public enum SheetForm { Pairs, Sentences, Tiles, Rows, Bullets }

/// <summary>One line of the owner's sheet.</summary>
/// <param name="Label">Before the value; empty for a sentence.</param>
/// <param name="Value">What is said.</param>
/// <param name="Beside">Small beside the value; empty where there is nothing.</param>
/// <param name="Mark">Last in the line; empty where there is nothing.</param>
/// <param name="State">How it stands, or nothing.</param>
public sealed record SheetLine(Phrase Label, Phrase Value, Phrase Beside, string Mark, StationState? State)
{
    /// <summary>Small print.</summary>
    public bool Faint { get; init; }

    public static SheetLine Pair(string label, Phrase value) => new(Phrase.Of($"{label}"), value, Phrase.Empty, "", null);

    public static SheetLine Sentence(Phrase words, StationState? state = null) => new(Phrase.Empty, words, Phrase.Empty, "", state);
}

/// <summary>What a station prints for the owner under one heading.</summary>
/// <param name="Place">Where it stands.</param>
/// <param name="Heading">Its heading.</param>
/// <param name="Form">How its lines are set.</param>
/// <param name="Lines">Its lines.</param>
public sealed record SheetBlock(SheetPlace Place, string Heading, SheetForm Form, IReadOnlyList<SheetLine> Lines)
{
    /// <summary>Blocks in the order of the sheet; those of one place and heading put together in the order given.</summary>
    public static IReadOnlyList<SheetBlock> Together(IEnumerable<SheetBlock> blocks) =>
        [.. blocks.GroupBy(b => (b.Place, b.Heading)).OrderBy(g => g.Key.Place).Select(g => g.First() with { Lines = [.. g.SelectMany(b => b.Lines)] })];
}
