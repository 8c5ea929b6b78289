using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Survey;

namespace Vanto.Core.Job;

/// <summary>What a list shows of a design.</summary>
/// <param name="Name">The rig's.</param>
/// <param name="NextDate">What is due next.</param>
/// <param name="Survey">What it is drawn from.</param>
public sealed record JobGlance(string Name, string NextDate, SurveyDesign Survey)
{
    /// <summary>Of a design that was read.</summary>
    public static JobGlance Of(JobDesign design) => new(design.Name, design.NextDate, design.Survey);
}

/// <summary>
/// The job file: a design as JSON in camel case, SI, with a version. Unknown fields are kept; bad files are refused with the place named.
/// </summary>
public static partial class JobFile
{
    /// <summary>How designs are written and read everywhere.</summary>
    public static readonly JsonSerializerOptions Json = DesignJson.Options;

    private static readonly JsonSerializerOptions Indented = new(Json) { WriteIndented = true };

    /// <summary>All fields of a design, for validation, the interface and the docs.</summary>
    public static IReadOnlyList<FieldInfo> Fields { get; } = FieldCatalogue.Of(typeof(JobDesign), new JobDesign(), Json);

    public static string Write(JobDesign design, bool indented = false) => JsonSerializer.Serialize(design, indented ? Indented : Json);

    /// <summary>Deepest nesting of a file; an answer, which is one level deeper, can still be written.</summary>
    private const int Deepest = 60;

    private static readonly JsonNodeOptions AnyCase = new() { PropertyNameCaseInsensitive = true };
    private static readonly JsonDocumentOptions Strict = new() { MaxDepth = Deepest, AllowDuplicateProperties = false };

    /// <summary>A job file with the names of today; one of this version comes back as it is.</summary>
    /// <exception cref="InputException">Not JSON, or of a version that this Vanto does not know.</exception>
    public static string BringUp(string text) => Refusing(() =>
    {
        var node = Parsed(text);
        return BringUp(node) ? node.ToJsonString(Json) : text;
    });

    private static bool BringUp(JsonObject node)
    {
        var version = node["version"] is JsonValue v && v.TryGetValue(out int number) ? number : 1;
        if (version is < 1 or > JobDesign.CurrentVersion)
            throw new InputException("version", $"{version}", $"This file has version {version}; this Vanto reads versions 1 to {JobDesign.CurrentVersion}.");
        if (version < JobDesign.CurrentVersion)
            JobFileVersions.BringUp(node, version);
        return version < JobDesign.CurrentVersion;
    }

    /// <summary>Reads a design of any version and checks all its values.</summary>
    /// <exception cref="InputException">Not JSON, another version, a wrong type or a value out of range; the place is named.</exception>
    public static JobDesign Read(string text) => Refusing(() =>
    {
        var node = Parsed(text);
        BringUp(node);
        if (node["survey"] is null)
            throw new InputException("survey", "nothing", "survey is missing: this is no job file.");
        var design = node.Deserialize<JobDesign>(Json)!;
        var errors = FieldCatalogue.Check(design);
        return errors.Count > 0 ? throw new InputException(errors) : design;
    });

    /// <summary>
    /// What a list shows of a design as this Vanto wrote it, the rest of it neither read nor checked; null where it must be read whole to know.
    /// </summary>
    public static JobGlance? Glance(string text)
    {
        try
        {
            using var file = JsonDocument.Parse(text, Strict);
            return file.RootElement is { ValueKind: JsonValueKind.Object } root
                && root.TryGetProperty("version", out var version) && version.TryGetInt32(out var number) && number == JobDesign.CurrentVersion
                && root.TryGetProperty("name", out var name) && root.TryGetProperty("nextDate", out var next)
                && root.TryGetProperty("survey", out var part) && part.Deserialize<SurveyDesign>(Json) is { } survey && FieldCatalogue.Check(survey).Count == 0
                    ? new JobGlance(name.GetString() ?? "", next.GetString() ?? "", survey) : null;
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or FormatException)
        {
            return null;
        }
    }

    private static JsonObject Parsed(string text) => JsonNode.Parse(text, AnyCase, Strict) as JsonObject
        ?? throw new InputException("file", "", "A job file is one JSON object; this is something else.");

    private static T Refusing<T>(Func<T> read)
    {
        try
        {
            return read();
        }
        catch (JsonException e)
        {
            throw new InputException(Fault(e));
        }
        catch (Exception e) when (e is FormatException or InvalidOperationException or ArgumentException)
        {
            throw new InputException("file", "", $"This is no job file: {e.Message}");
        }
    }

    /// <summary>What is wrong with JSON, and where.</summary>
    public static InputError Fault(JsonException e) =>
        InputError.Fault(Place(e), "", Missing(e) is { } missing ? $"{missing} is missing." : $"{Place(e)}: {Reason(e)}");

    private static string Place(JsonException e) => Missing(e) is { } missing ? missing
        : e.Path is { Length: > 2 } path ? path[2..] : e.LineNumber is { } line ? $"line {line + 1}, character {e.BytePositionInLine + 1}" : "file";

    private static string Reason(JsonException e)
    {
        var text = e.Message;
        var cut = text.IndexOf(" Path:", StringComparison.Ordinal);
        text = cut > 0 ? text[..cut] : text;
        if (text.StartsWith("The JSON value could not be converted to", StringComparison.Ordinal))
            return "the value is of the wrong kind.";
        if (text.StartsWith("Duplicate property", StringComparison.Ordinal) && Quoted().Match(text) is { Success: true } twice)
            return $"\"{twice.Groups[1].Value}\" stands there twice.";
        return text.StartsWith("The JSON property", StringComparison.Ordinal)
            && Quoted().Match(text) is { Success: true } name ? $"\"{name.Groups[1].Value}\" is not known here." : text;
    }

    /// <summary>The first member that JSON should have and does not.</summary>
    private static string? Missing(JsonException e) =>
        e.Message.Contains("missing required properties", StringComparison.Ordinal) && Quoted().Match(e.Message,
            Math.Max(0, e.Message.IndexOf("including", StringComparison.Ordinal))) is { Success: true } name ? name.Groups[1].Value : null;

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();
}
