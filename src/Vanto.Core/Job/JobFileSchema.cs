using Vanto.Core.Findings;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Vanto.Core.Quantities;

namespace Vanto.Core.Job;

/// <summary>The published JSON schema of the job file, made from the design's own fields: titles, ranges, inside units, choices.</summary>
public static class JobFileSchema
{
    /// <summary>The schema as JSON text.</summary>
    public static string Text()
    {
        var schema = (JsonObject)JobFile.Json.GetJsonSchemaAsNode(typeof(JobDesign),
            new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true, TransformSchemaNode = Describe });
        var root = new JsonObject
        {
            ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
            ["title"] = "Vanto job file",
            ["description"] = "All inputs of one rig in SI units. Fields that are not named here are kept."
        };
        foreach (var (key, value) in schema.ToList())
        {
            schema.Remove(key);
            root[key] = value;
        }
        root["required"] = new JsonArray("survey");
        return root.ToJsonString(
            new JsonSerializerOptions { WriteIndented = true, Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping });
    }

    private static JsonNode Describe(JsonSchemaExporterContext context, JsonNode schema)
    {
        if (schema is not JsonObject node || context.PropertyInfo?.AttributeProvider is not { } attributes)
            return schema;
        if (attributes.GetCustomAttributes(typeof(FieldAttribute), true).FirstOrDefault() is FieldAttribute field)
        {
            node["title"] = field.Label;
            node["minimum"] = field.Min;
            node["maximum"] = field.Max;
            if (InsideUnit(field.Quantity) is { Length: > 0 } unit)
                node["unit"] = unit;
            if (field.Help.Length > 0)
                node["description"] = Phrase.Marked(field.Help).ToString();
        }
        else if (attributes.GetCustomAttributes(typeof(AskAttribute), true).FirstOrDefault() is AskAttribute ask)
        {
            node["title"] = ask.Label;
            if (ask.Help.Length > 0)
                node["description"] = Phrase.Marked(ask.Help).ToString();
        }
        return node;
    }

    private static string InsideUnit(QuantityKind quantity) =>
        quantity is QuantityKind.Fraction ? "share of 1" : QuantityTable.Of(quantity).All.FirstOrDefault(u => u.Factor == 1 && u.Offset == 0)?.Symbol ?? "";
}
