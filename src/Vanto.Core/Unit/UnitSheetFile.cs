using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Unit;

/// <summary>A unit sheet as a file of its own, to be typed once and handed on: JSON in camel case and SI, the same names as in the job file.</summary>
public static class UnitSheetFile
{
    /// <summary>What such a file calls itself.</summary>
    public const string Format = "vanto-unit-sheet-1";

    private static readonly JsonSerializerOptions Indented = new(DesignJson.Options) { WriteIndented = true };

    /// <summary>Writes a sheet; pages of the manual stay with their rig.</summary>
    public static string Write(UnitSheetDesign sheet) =>
        new JsonObject { ["format"] = Format, ["sheet"] = JsonSerializer.SerializeToNode(sheet with { Pages = [] }, DesignJson.Options) }
            .ToJsonString(Indented);

    /// <summary>Reads a sheet and checks all its values.</summary>
    /// <exception cref="InputException">No such file, or a value out of its range; the place is named.</exception>
    public static UnitSheetDesign Read(string text)
    {
        try
        {
            if (JsonNode.Parse(text) is not JsonObject file || (string?)file["format"] != Format || file["sheet"] is not { } node)
                throw new InputException("sheet", "", $"This is no unit sheet: its format must be {Format}.");
            var sheet = node.Deserialize<UnitSheetDesign>(DesignJson.Options)!;
            return FieldCatalogue.Check(sheet, "sheet") is { Count: > 0 } errors ? throw new InputException(errors) : sheet with { Pages = [] };
        }
        catch (Exception e) when (e is JsonException or FormatException or InvalidOperationException or ArgumentException)
        {
            throw new InputException("sheet", "", $"This is no unit sheet: {e.Message}");
        }
    }
}
