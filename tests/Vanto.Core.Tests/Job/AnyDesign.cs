using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using CsCheck;
using Vanto.Core.Calculators;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Job;

/// <summary>One field and where in its range it is put, 0 at the least, 1 at the most.</summary>
public readonly record struct FieldAt(int Field, double Where);

/// <summary>
/// Designs of every field that there is, each in its range: a preset, a demo rig or a blank design with some fields changed at once.
/// A counterexample shrinks to the few fields that matter.
/// </summary>
public static partial class AnyDesign
{
    private static readonly IReadOnlyList<FieldInfo> Fields = [.. JobFile.Fields.Where(f => f.Path is not ("/version" or "/survey/climate/weatherFile"))];

    private static readonly Dictionary<string, string[]> Ids = new()
    {
        ["skins"] = [.. SurveyCatalogue.Skins.Select(s => s.Id)],
        ["insulations"] = [.. Materials.All.Where(m => m.Insulation).Select(m => m.Id)],
        ["materials"] = [.. Materials.All.Select(m => m.Id)],
        ["paints"] = [.. SurveyCatalogue.Paints.Select(p => p.Id)],
        ["glazings"] = [.. SurveyCatalogue.Glazings.Select(g => g.Id)],
        ["covers"] = [.. SurveyCatalogue.Covers.Select(c => c.Id)],
        ["steps"] = ["", .. TaskLibrary.Standard.Tasks.Select(t => t.Id)],
        ["tools"] = [.. TaskLibrary.Standard.Tools.Select(t => t.Id)],
        ["bought"] = [.. TaskLibrary.Standard.Materials.Select(m => m.Id)],
        ["units"] = [.. UnitCatalogue.All.Select(u => u.Id)],
    };

    private static readonly string[] Texts = ["", "Wren", "λ 3 <b>", "2026-02-30", "08-01", "windscreen", "covers,break", "own-1"];

    private static readonly string[] DemoFiles = [.. Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "JobFiles"), "*.json").Order()];

    private static readonly List<string> Bases =
    [
        "{\"survey\":{}}",
        .. Enum.GetValues<RigKind>().Select(k => JobFile.Write(RigPresets.New(k, k.ToString()))),
        .. DemoFiles.Select(File.ReadAllText),
    ];

    /// <summary>The presets and the demo rigs by name.</summary>
    public static IReadOnlyDictionary<string, JobDesign> Named { get; } = Enum.GetValues<RigKind>().Select(k => RigPresets.New(k, $"{k}"))
        .Concat(DemoFiles.Select(f => JobFile.Read(File.ReadAllText(f)))).ToDictionary(d => d.Name);

    /// <summary>Designs with a number of fields changed.</summary>
    public static Gen<(int Base, FieldAt[] Changes)> Changes(int fewest, int most) =>
        Gen.Select(Gen.Int[0, Bases.Count - 1], Gen.Select(Gen.Int[0, Fields.Count - 1], Gen.Double[0, 1], (f, w) => new FieldAt(f, w)).Array[fewest, most]);

    /// <summary>The design of some changes; null where they take each other's ground away.</summary>
    public static JobDesign Of((int Base, FieldAt[] Changes) changes) => JobFile.Read(Text(changes));

    /// <summary>
    /// The same without what a station refused: without the changes at the fields named, else at the parts round them, so that what stands
    /// behind the refusal is reached too. Null where nothing was refused.
    /// </summary>
    public static (int Base, FieldAt[] Changes)? Without((int Base, FieldAt[] Changes) changes, JobAssessment assessment)
    {
        if (assessment.Faults.SelectMany(f => f.Errors).FirstOrDefault() is not { } error)
            return null;
        for (var at = "/" + Row().Replace(error.Field, "/*").Replace('.', '/'); at.Length > 0; at = at[..at.LastIndexOf('/')])
        {
            var left = changes.Changes.Where(c => !Fields[c.Field].Path.StartsWith(at, StringComparison.Ordinal)).ToArray();
            if (left.Length < changes.Changes.Length)
                return (changes.Base, left);
        }
        return changes.Changes.Length == 0 ? null : (changes.Base, []);
    }

    [GeneratedRegex(@"\[\d+\]")]
    private static partial Regex Row();

    /// <summary>The same as a job file.</summary>
    public static string Text((int Base, FieldAt[] Changes) changes)
    {
        var root = (JsonObject)JsonNode.Parse(Bases[changes.Base])!;
        foreach (var (index, where) in changes.Changes)
            Set(root, Fields[index], where);
        return root.ToJsonString();
    }

    private static void Set(JsonObject root, FieldInfo field, double where)
    {
        var parts = field.Path.Split('/', StringSplitOptions.RemoveEmptyEntries);
        JsonNode node = root;
        for (var i = 0; i < parts.Length - 1; i++)
            node = parts[i + 1] == "*" ? Row(node, parts, i++, where) : Inner((JsonObject)node, parts[i]);
        var at = (JsonObject)node;
        if (field.Input == "list")
            return;
        at[parts[^1]] = Value(field, where);
    }

    /// <summary>Puts a field of the outermost level where it shall be in its range.</summary>
    public static void Put(JsonObject root, FieldInfo field, double where)
    {
        var parts = field.Path.Split('/', StringSplitOptions.RemoveEmptyEntries);
        var node = root;
        foreach (var part in parts[..^1])
            node = (JsonObject)Inner(node, part);
        node[parts[^1]] = Value(field, where);
    }

    private static JsonNode Inner(JsonObject node, string name)
    {
        if (node[name] is not JsonObject inner)
            node[name] = inner = [];
        return inner;
    }

    /// <summary>A row of a list: now an old one, now a new one, at most twelve in all.</summary>
    private static JsonNode Row(JsonNode node, string[] parts, int at, double where)
    {
        var o = (JsonObject)node;
        if (o[parts[at]] is not JsonArray list)
            o[parts[at]] = list = [];
        var pick = (int)(where * 1e6) % (list.Count + 1);
        if (pick == list.Count && list.Count < 12 || list.Count == 0)
        {
            var path = "/" + string.Join('/', parts[..(at + 1)]);
            var generic = Fields.First(f => f.Path == path).Default;
            list.Add(JsonNode.Parse(generic!.Value.GetRawText()));
            pick = list.Count - 1;
        }
        return list[Math.Min(pick, list.Count - 1)]!;
    }

    private static JsonNode? Value(FieldInfo field, double where) => field.Input switch
    {
        "quantity" when field.Optional && where is > 0.45 and < 0.5 => null,
        "quantity" when field.Quantity == QuantityKind.Count => (int)Math.Round(Between(field, where)),
        "quantity" => Between(field, where),
        "switch" => where >= 0.5,
        "choice" when field.Choices.Count > 0 => field.Choices[Index(field.Choices.Count, where)].Value,
        "choice" => Ids[field.Options][Index(Ids[field.Options].Length, where)],
        _ => Taken(Texts[Index(Texts.Length, where)], field.Most),
    };

    private static string Taken(string text, int? most) => most is { } m && text.Length > m ? text[..m] : text;

    /// <summary>An eighth of the values stand at each end; the others between, evenly.</summary>
    private static double Between(FieldInfo field, double where)
    {
        var (min, max) = (field.Min!.Value, field.Max!.Value);
        var share = Math.Clamp((where - 0.125) / 0.75, 0, 1);
        return share == 1 ? max : min + share * (max - min);
    }

    private static int Index(int count, double where) => Math.Min(count - 1, (int)(where * count));
}
