using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Job;
using Vanto.Core.Shop;
using Vanto.Core.Unit;

namespace Vanto.Web.Shop;

/// <summary>What a rig is found by.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Texts">Where a text stands, folded, with its weight.</param>
/// <param name="Quantities">Words of its quantities.</param>
public sealed record RigText(string Name, IReadOnlyList<(string Where, int Weight, string Text)> Texts, IReadOnlySet<string> Quantities)
{
    /// <summary>Of a rig that cannot be read.</summary>
    public static readonly RigText Nothing = new("", [], new HashSet<string>());
}

/// <summary>What is searched for.</summary>
/// <param name="Words">Words and phrases, folded; each must be there.</param>
/// <param name="Quantities">Quantities; of each one of its words must be there.</param>
public sealed record RigQuestion(IReadOnlyList<string> Words, IReadOnlyList<IReadOnlyList<string>> Quantities)
{
    public bool Empty => Words.Count == 0 && Quantities.Count == 0;
}

/// <summary>Looks for words and quantities in a rig: letters without their accents, any case, any unit; what stands in quotes stands together.</summary>
public static class RigSearch
{
    private const int BookWeight = 1;

    private static readonly (string Where, int Weight, string[] Path)[] Places =
    [
        ("code", 10, ["handover", "code"]), ("name", 6, ["name"]), ("owner", 4, ["handover", "owner"]), ("place", 4, ["survey", "place", "name"]),
        ("unit", 3, ["unit", "chosen"]), ("remarks", BookWeight, ["handover", "remarks"]),
    ];

    private static readonly Dictionary<string, FieldInfo> Fields = JobFile.Fields.Where(f => f.Quantity is not null).ToDictionary(f => f.Path);

    /// <summary>What a rig is found by; nothing for what is no design.</summary>
    public static RigText Read(string design, IEnumerable<string> records)
    {
        if (Parsed(design) is not { } node)
            return RigText.Nothing;
        string At(string[] path) =>
            path.Aggregate((JsonNode?)node, (n, p) => (n as JsonObject)?[p]) is JsonValue v && v.TryGetValue<string>(out var text) ? text : "";
        var quantities = new HashSet<string>();
        Walk(node, "", quantities);
        if (UnitCatalogue.All.FirstOrDefault(u => u.Id == At(["unit", "chosen"])) is { } unit
            && QuantityTokens.Of(Core.Quantities.QuantityKind.Power, unit.RatedCapacityW) is { } capacity)
            quantities.Add(capacity);
        return new RigText(At(["name"]), [.. Places.Select(p => (p.Where, p.Weight, Folded(At(p.Path)))),
            ("its book", BookWeight, Folded(string.Join(' ', records)))], quantities);
    }

    /// <summary>What somebody typed.</summary>
    public static RigQuestion Ask(string typed)
    {
        var words = new List<string>();
        var plain = new List<string>();
        foreach (var (part, quoted) in typed.Split('"').Select((p, i) => (p, i % 2 == 1)))
            if (quoted)
                words.Add(Folded(part).Trim());
            else
                plain.Add(part);
        var (rest, quantities) = QuantityTokens.Read(string.Join(' ', plain));
        words.AddRange(rest.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Folded));
        return new RigQuestion([.. words.Where(w => w.Trim().Length > 0)], quantities);
    }

    /// <summary>Where the words stand and how well they fit; nothing where one of them is missing.</summary>
    public static (string Where, int Weight)? Of(RigText rig, RigQuestion question)
    {
        if (question.Quantities.Any(q => !q.Any(rig.Quantities.Contains)))
            return null;
        var hits = question.Words.Select(w => rig.Texts.Where(t => t.Text.Contains(w, StringComparison.Ordinal)).OrderByDescending(t => t.Weight)
            .Select(t => ((string, int)?)(t.Where, t.Weight)).FirstOrDefault()).ToList();
        if (hits.Contains(null))
            return null;
        var where = hits.Select(h => h!.Value.Item1).Concat(question.Quantities.Count > 0 ? ["figures"] : Array.Empty<string>()).Distinct();
        return (string.Join(", ", where), hits.Sum(h => h!.Value.Item2));
    }

    private static JsonObject? Parsed(string design)
    {
        try
        {
            return JsonNode.Parse(design) as JsonObject;
        }
        catch (System.Text.Json.JsonException)
        {
            return null;
        }
    }

    private static void Walk(JsonNode? node, string path, HashSet<string> quantities)
    {
        switch (node)
        {
            case JsonObject o:
                foreach (var (name, child) in o)
                    Walk(child, $"{path}/{name}", quantities);
                break;
            case JsonArray a:
                foreach (var child in a)
                    Walk(child, path + "/*", quantities);
                break;
            case JsonValue v when Fields.TryGetValue(path, out var field) && v.TryGetValue(out double si)
                && QuantityTokens.Of(field.Quantity!.Value, si) is { } word:
                quantities.Add(word);
                break;
            default:
                break;
        }
    }

    // The server runs without the tables of languages, so that it reads alike on every machine: letters are paired here.
    private const string Accented = "àáâãäåçèéêëìíîïñòóôõöøùúûüýÿšžčćđłńśźżąęőűğı";
    private const string Plain = "aaaaaaceeeeiiiinoooooouuuuyyszccdlnszzaeougi";

    /// <summary>Small letters without accents and signs.</summary>
    public static string Folded(string text) => new([.. text.ToLowerInvariant().Where(c => char.IsLetterOrDigit(c) || c is ' ' or '-' or '.')
        .Select(c => Accented.IndexOf(c, StringComparison.Ordinal) is >= 0 and var at ? Plain[at] : c)]);
}
