using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Job;

/// <summary>
/// The job file: a design as JSON in camel case, SI, with a version. Unknown fields are kept; bad files are refused with the place named.
/// </summary>
public static class JobFile
{
    /// <summary>How designs are written and read everywhere.</summary>
    public static readonly JsonSerializerOptions Json = DesignJson.Options;

    private static readonly JsonSerializerOptions Indented = new(Json) { WriteIndented = true };

    /// <summary>All fields of a design, for validation, the interface and the docs.</summary>
    public static IReadOnlyList<FieldInfo> Fields { get; } = FieldCatalogue.Of(typeof(JobDesign), new JobDesign(), Json);

    /// <summary>Writes a design.</summary>
    public static string Write(JobDesign design, bool indented = false) => JsonSerializer.Serialize(design, indented ? Indented : Json);

    /// <summary>Reads a design and checks all its values.</summary>
    /// <exception cref="InputException">Not JSON, another version, a wrong type or a value out of range; the place is named.</exception>
    public static JobDesign Read(string text)
    {
        try
        {
            var node = JsonNode.Parse(text) as JsonObject ?? throw new InputException("file", "", "A job file is one JSON object; this is something else.");
            if (node["version"] is JsonValue v && v.TryGetValue(out int version) && version != JobDesign.CurrentVersion)
                throw new InputException("version", $"{version}", $"This file has version {version}; this Vanto reads version {JobDesign.CurrentVersion}.");
            if (node["survey"] is null)
                throw new InputException("survey", "nothing", "survey is missing: this is no job file.");
            var design = node.Deserialize<JobDesign>(Json)!;
            var errors = FieldCatalogue.Check(design);
            return errors.Count > 0 ? throw new InputException(errors) : design;
        }
        catch (JsonException e)
        {
            throw new InputException(Place(e), "", $"{Place(e)}: {Reason(e)}");
        }
        catch (Exception e) when (e is FormatException or InvalidOperationException or ArgumentException)
        {
            throw new InputException("file", "", $"This is no job file: {e.Message}");
        }
    }

    private static string Place(JsonException e) => e.Path is { Length: > 2 } path ? path[2..] : e.LineNumber is { } line ? $"line {line + 1}, character {e.BytePositionInLine + 1}" : "file";

    private static string Reason(JsonException e)
    {
        var text = e.Message;
        var cut = text.IndexOf(" Path:", StringComparison.Ordinal);
        text = cut > 0 ? text[..cut] : text;
        return text.StartsWith("The JSON value could not be converted to", StringComparison.Ordinal) ? "the value is of the wrong kind." : text;
    }
}
