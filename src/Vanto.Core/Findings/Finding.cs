using System.Text.Json.Serialization;

namespace Vanto.Core.Findings;

/// <summary>How much a finding weighs.</summary>
public enum Severity { Note, Caution, Stop }

/// <summary>A way out that can be taken at once.</summary>
/// <param name="Words">What it is.</param>
/// <param name="Effect">What it brings, in numbers.</param>
/// <param name="Edit">What it does to the design.</param>
public sealed record Remedy(Phrase Words, Phrase Effect, [property: JsonIgnore] DesignEdit Edit)
{
    /// <summary>What it changes in the design, path by path; empty where it is advice only.</summary>
    public IReadOnlyList<DesignChange> Changes => Edit.Changes;
}

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
