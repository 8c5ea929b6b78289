using System.Globalization;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Vanto.Core.Findings;

namespace Vanto.Core.Job;

/// <summary>Reads and sets values of a design by path, such as <c>/survey/windows/0/widthM</c>.</summary>
public static partial class DesignPath
{
    /// <summary>The value at a path, or null.</summary>
    public static JsonNode? Get(JsonNode root, string path)
    {
        JsonNode? node = root;
        foreach (var part in Parts(path))
            node = node switch
            {
                JsonObject o => o[part],
                JsonArray a when int.TryParse(part, NumberStyles.None, CultureInfo.InvariantCulture, out var i) && i < a.Count => a[i],
                _ => null,
            };
        return node;
    }

    /// <summary>Sets the value at a path.</summary>
    /// <exception cref="InputException">There is no such place.</exception>
    public static void Set(JsonNode root, string path, JsonNode? value)
    {
        var parts = Parts(path);
        if (parts.Length == 0)
            throw new InputException("path", path, $"\"{path}\" is no place in a design");
        var parent = Get(root, "/" + string.Join('/', parts[..^1]));
        switch (parent)
        {
            case JsonObject o:
                o[parts[^1]] = value?.DeepClone();
                break;
            case JsonArray a when int.TryParse(parts[^1], NumberStyles.None, CultureInfo.InvariantCulture, out var i) && i < a.Count:
                a[i] = value?.DeepClone();
                break;
            default:
                throw new InputException("path", path, $"\"{path}\" is no place in this design");
        }
    }

    /// <summary>
    /// The path of a field, a list, a row or a part of the design, written in its one way: two spellings of one field would miss each other's conflicts.
    /// </summary>
    /// <exception cref="InputException">The design has no such field.</exception>
    public static string Field(string path)
    {
        var normal = "/" + string.Join('/', Parts(path));
        var pattern = Index().Replace(normal, "/*");
        return pattern != "/version" && Known.Contains(pattern) ? normal : throw new InputException(path, "", $"\"{path}\" is no field of a design");
    }

    [GeneratedRegex(@"/\d+(?=/|$)")]
    private static partial Regex Index();

    /// <summary>Paths of all fields and of the parts and rows that hold them.</summary>
    private static readonly HashSet<string> Known = [.. JobFile.Fields.SelectMany(f => Prefixes(f.Path + (f.Input == "list" ? "/*" : "")))];

    private static IEnumerable<string> Prefixes(string path)
    {
        for (var end = path.Length; end > 0; end = path.LastIndexOf('/', end - 1))
            yield return path[..end];
    }

    /// <summary>True when one path lies in the other.</summary>
    public static bool Overlap(string a, string b) =>
        a == b || a.StartsWith(b + "/", StringComparison.Ordinal) || b.StartsWith(a + "/", StringComparison.Ordinal);

    private static string[] Parts(string path) => path.Split('/', StringSplitOptions.RemoveEmptyEntries);
}
