using System.Text.Json.Nodes;

namespace Vanto.Web.Shop;

/// <summary>Looks for words in a rig: letters without their accents, any case; every word must be there.</summary>
public static class RigSearch
{
    private static readonly (string Where, string[] Path)[] Places =
    [
        ("name", ["name"]), ("code", ["handover", "code"]), ("owner", ["handover", "owner"]), ("place", ["survey", "place", "name"]),
        ("unit", ["unit", "chosen"]), ("remarks", ["handover", "remarks"]),
    ];

    /// <summary>The rig's name and where the words stand; nothing where one is missing.</summary>
    public static (string Name, string Where)? Of(string design, IReadOnlyList<string> records, IReadOnlyList<string> words)
    {
        if (JsonNode.Parse(design) is not JsonObject node)
            return null;
        string At(string[] path) =>
            path.Aggregate((JsonNode?)node, (n, p) => (n as JsonObject)?[p]) is JsonValue v && v.TryGetValue<string>(out var text) ? text : "";
        var texts = Places.Select(p => (p.Where, Text: Folded(At(p.Path)))).Append((Where: "its book", Text: Folded(string.Join(' ', records)))).ToList();
        var hits = words.Select(string? (w) => texts.FirstOrDefault(t => t.Text.Contains(w, StringComparison.Ordinal)).Where).ToList();
        return hits.Contains(null) ? null : (At(["name"]), string.Join(", ", hits.Distinct()));
    }

    // The server runs without the tables of languages, so that it reads alike on every machine: letters are paired here.
    private const string Accented = "àáâãäåçèéêëìíîïñòóôõöøùúûüýÿšžčćđłńśźżąęőűğı";
    private const string Plain = "aaaaaaceeeeiiiinoooooouuuuyyszccdlnszzaeougi";

    /// <summary>Small letters without accents and signs.</summary>
    public static string Folded(string text) => new([.. text.ToLowerInvariant().Where(c => char.IsLetterOrDigit(c) || c is ' ' or '-' or '.')
        .Select(c => Accented.IndexOf(c, StringComparison.Ordinal) is >= 0 and var at ? Plain[at] : c)]);
}
