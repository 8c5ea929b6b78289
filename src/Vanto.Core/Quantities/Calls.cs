using System.Collections.Concurrent;
using System.Reflection;

namespace Vanto.Core.Quantities;

/// <summary>What the members of enumerations are called on screen.</summary>
public static class Calls
{
    /// <summary>The words of one member.</summary>
    public static string Name<T>(T value) where T : struct, Enum => Name(typeof(T), value.ToString());

    /// <summary>The words of one member by its name.</summary>
    public static string Name(Type type, string member) => Known.GetOrAdd((type, member), static of =>
        of.Type.GetField(of.Member)?.GetCustomAttribute<CalledAttribute>()?.Name ?? Spaced(of.Member));

    private static readonly ConcurrentDictionary<(Type Type, string Member), string> Known = new();

    /// <summary>A count with its noun: 1 module, 3 modules.</summary>
    public static string Many(int count, string one, string? more = null) => $"{count} {(count == 1 ? one : more ?? one + "s")}";

    private static string Spaced(string name) =>
        string.Concat(name.Select((c, i) => i > 0 && char.IsUpper(c) ? " " + char.ToLowerInvariant(c) : char.ToLowerInvariant(c).ToString()));
}
