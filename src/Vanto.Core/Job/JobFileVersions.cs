using System.Text.Json.Nodes;

namespace Vanto.Core.Job;

/// <summary>
/// Job files of earlier versions: what a field was called then. Every version is read for ever; a new one is a table here and a higher
/// <see cref="JobDesign.CurrentVersion"/>.
/// </summary>
public static class JobFileVersions
{
    /// <summary>A field that was renamed.</summary>
    /// <param name="Part">Paths of the parts that hold it; <c>*</c> stands for each row of a list.</param>
    /// <param name="Was">Its name before.</param>
    /// <param name="Is">Its name since.</param>
    public sealed record Renamed(IReadOnlyList<string> Part, string Was, string Is);

    private static IReadOnlyList<string> Sources(string part) => [$"/survey/sources/{part}", $"/options/*/sources/{part}"];

    private static readonly IReadOnlyList<string> Energy = ["/energy", "/options/*/energy"];

    private static readonly IReadOnlyList<string> Setpoints = ["/energy/setpoints/*", "/options/*/energy/setpoints/*"];

    private static readonly IReadOnlyList<string> Spaces = ["/survey/space", "/survey/further/*/space"];

    /// <summary>From version 1 to 2.</summary>
    public static readonly IReadOnlyList<Renamed> Second =
    [
        new(Sources("modules"), "openV", "vocV"),
        new(Sources("modules"), "powerV", "vmpV"),
        new(Sources("modules"), "shortA", "iscA"),
        new(Sources("modules"), "powerA", "impA"),
        new(Sources("modules"), "openPerK", "vocPerK"),
        new(Sources("controller"), "shortMaxA", "maxIscA"),
        new(Sources("controller"), "workMaxA", "maxCurrentA"),
        new(Sources("shore"), "fitted", "pluggedIn"),
        new(Sources("inverter"), "bears", "surge"),
        new(Energy, "holdC", "setpointC"),
        new(Setpoints, "holdC", "setpointC"),
        new(Spaces, "massJm2K", "heatCapacityJm2K"),
    ];

    /// <summary>Gives the fields of a job file the names they have today, in place.</summary>
    /// <param name="job">The file.</param>
    /// <param name="version">Its version.</param>
    public static void BringUp(JsonObject job, int version)
    {
        if (version < 2)
            foreach (var renamed in Second)
                foreach (var part in renamed.Part.SelectMany(p => At(job, p.Split('/', StringSplitOptions.RemoveEmptyEntries))))
                    Rename(part, renamed);
        job["version"] = JobDesign.CurrentVersion;
    }

    private static void Rename(JsonObject part, Renamed renamed)
    {
        if (!part.ContainsKey(renamed.Was))
            return;
        var value = part[renamed.Was];
        part.Remove(renamed.Was);
        part[renamed.Is] = value;
    }

    /// <summary>The objects at a path of names and stars.</summary>
    private static IEnumerable<JsonObject> At(JsonNode? node, ReadOnlyMemory<string> path) => path.Length == 0
        ? node is JsonObject found ? [found] : []
        : path.Span[0] == "*"
            ? node is JsonArray rows ? rows.SelectMany(r => At(r, path[1..])) : []
            : node is JsonObject part ? At(part[path.Span[0]], path[1..]) : [];
}
