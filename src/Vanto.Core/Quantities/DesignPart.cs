using System.Text.Json;
using System.Text.Json.Serialization;

namespace Vanto.Core.Quantities;

/// <summary>A part of a design. Fields of a job file that this version does not know are kept and written back.</summary>
public abstract record DesignPart
{
    /// <summary>Unknown fields, kept as they came.</summary>
    [JsonExtensionData]
    public IDictionary<string, JsonElement>? Unknown { get; init; }
}
