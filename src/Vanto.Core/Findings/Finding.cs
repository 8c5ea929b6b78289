using System.Text.Json.Nodes;

namespace Vanto.Core.Findings;

/// <summary>How much a finding weighs.</summary>
public enum Severity { Note, Caution, Stop }

/// <summary>One change of the design: the value at a path (such as <c>/energy/setpointNightC</c>) becomes another.</summary>
public sealed record DesignChange(string Path, JsonNode? Value);

/// <summary>A way out that can be taken at once.</summary>
/// <param name="Words">What it is.</param>
/// <param name="Effect">What it brings, in numbers.</param>
/// <param name="Changes">What it changes in the design; empty where it is advice only.</param>
public sealed record Remedy(Phrase Words, Phrase Effect, IReadOnlyList<DesignChange> Changes);

/// <summary>A judgement with its reason in numbers and its ways out.</summary>
/// <param name="Code">Stable name, such as <c>start.thin-margin</c>.</param>
/// <param name="Level">Stop, caution or note.</param>
/// <param name="Words">The reason.</param>
/// <param name="Remedies">Ways out, cheapest first.</param>
public sealed record Finding(string Code, Severity Level, Phrase Words, IReadOnlyList<Remedy> Remedies)
{
    /// <summary>A finding without ways out to offer.</summary>
    public static Finding Of(string code, Severity level, PhraseHandler words) => new(code, level, words.Finish(), []);
}
