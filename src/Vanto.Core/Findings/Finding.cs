using System.Reflection;
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
/// <param name="Code">Its stable name, one of <see cref="FindingCode"/>.</param>
/// <param name="Level">Stop, caution or note.</param>
/// <param name="Words">The reason.</param>
/// <param name="Remedies">Ways out, cheapest first.</param>
public sealed record Finding(string Code, Severity Level, Phrase Words, IReadOnlyList<Remedy> Remedies)
{
    /// <summary>The station that says it.</summary>
    public string Station => ByName.GetValueOrDefault(Code)?.Station ?? "";

    /// <summary>The leaf of that station that it belongs to; empty for its first.</summary>
    public string Leaf => ByName.GetValueOrDefault(Code)?.Leaf ?? "";

    /// <summary>Path of the field that it speaks of: what its first way out changes, else the one named with its code; empty where there is none.</summary>
    public string Field => Remedies.SelectMany(r => r.Changes).Select(c => c.Path).FirstOrDefault() ?? ByName.GetValueOrDefault(Code)?.Field ?? "";

    private static readonly Dictionary<FindingCode, JudgedAttribute> Known = Enum.GetValues<FindingCode>()
        .ToDictionary(c => c, c => typeof(FindingCode).GetField(c.ToString())!.GetCustomAttribute<JudgedAttribute>()!);

    private static readonly Dictionary<string, JudgedAttribute> ByName = Known.Values.ToDictionary(j => j.Name);

    /// <summary>What findings of a code can be.</summary>
    public static JudgedAttribute About(FindingCode code) => Known[code];

    /// <summary>Findings in the order they are read: what stops first, else as they were found.</summary>
    public static IReadOnlyList<Finding> Ranked(IEnumerable<Finding> findings) => [.. findings.OrderByDescending(f => f.Level)];

    public static Finding Of(FindingCode code, Severity level, PhraseHandler words) => Of(code, level, words.Finish());

    /// <summary>A finding, with ways out to offer where there are any.</summary>
    public static Finding Of(FindingCode code, Severity level, Phrase words, IReadOnlyList<Remedy>? remedies = null) =>
        new(Known[code].Name, level, words, remedies ?? []);
}
