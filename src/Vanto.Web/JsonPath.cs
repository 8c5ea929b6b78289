using System.Globalization;
using System.Text.Json.Nodes;
using Vanto.Core.Findings;

namespace Vanto.Web;

/// <summary>Reads and sets values of a design by path, such as <c>/survey/windows/0/widthM</c>.</summary>
public static class JsonPath
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

    /// <summary>True when one path lies in the other.</summary>
    public static bool Overlap(string a, string b) => a == b || a.StartsWith(b + "/", StringComparison.Ordinal) || b.StartsWith(a + "/", StringComparison.Ordinal);

    private static string[] Parts(string path) => path.Split('/', StringSplitOptions.RemoveEmptyEntries);
}
