using System.Text.Json.Nodes;
using Vanto.Core.Job;

namespace Vanto.Core.Crew;

/// <summary>Parts of a design that say what things cost: the owner's alone. The product's own choice.</summary>
public static class PriceParts
{
    /// <summary>Where they stand.</summary>
    public static readonly IReadOnlyList<string> Paths = ["/plan/prices", "/plan/toolCosts", "/plan/quote"];

    /// <summary>Whether a change at a path may change a price: it lies in such a part, or holds one.</summary>
    /// <param name="path">As <see cref="DesignPath.Field"/> spells it.</param>
    public static bool Touched(string path) => Paths.Any(p => DesignPath.Overlap(p, path));

    /// <summary>Whether two designs differ in what things cost.</summary>
    public static bool Differ(JobDesign one, JobDesign other)
    {
        var (a, b) = (JsonNode.Parse(JobFile.Write(one))!, JsonNode.Parse(JobFile.Write(other))!);
        return Paths.Any(p => !JsonNode.DeepEquals(DesignPath.Get(a, p), DesignPath.Get(b, p)));
    }
}
