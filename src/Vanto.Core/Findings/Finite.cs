using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json.Serialization;

namespace Vanto.Core.Findings;

/// <summary>Looks through a result for numbers that are none: no NaN and no infinity may leave the core.</summary>
public static class Finite
{
    private const int Deepest = 40;
    private static readonly ConcurrentDictionary<Type, Part[]> Known = new();

    /// <summary>A public property worth walking through.</summary>
    private sealed record Part(string Name, Func<object, object?> Get);

    /// <summary>Path of the first number that is not finite, such as <c>PullDown.HumidityPct</c>; null where all are.</summary>
    /// <param name="result">Any record of results: its public properties, lists and arrays are walked, to a depth of forty.</param>
    public static string? FirstFault(object? result) => Walk(result, 0);

    private static string? Walk(object? value, int depth)
    {
        switch (value)
        {
            case null or string or Enum or bool or int:
                return null;
            case double number:
                return double.IsFinite(number) ? null : "";
            case double[] numbers:
                var at = Array.FindIndex(numbers, n => !double.IsFinite(n));
                return at < 0 ? null : $"[{at}]";
            case IEnumerable items:
                var index = 0;
                foreach (var item in items)
                {
                    if (depth < Deepest && Walk(item, depth + 1) is { } inItem)
                        return $"[{index}]{inItem}";
                    index++;
                }
                return null;
        }
        if (depth >= Deepest)
            return null;
        foreach (var part in Known.GetOrAdd(value.GetType(), Parts))
            if (Walk(part.Get(value), depth + 1) is { } inside)
                return part.Name + (inside.Length == 0 || inside[0] == '[' ? inside : "." + inside);
        return null;
    }

    private static Part[] Parts(Type type) => type.IsPrimitive || type.Namespace?.StartsWith("Vanto", StringComparison.Ordinal) != true && !IsPair(type)
        ? []
        : [.. type.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.CanRead && p.GetIndexParameters().Length == 0 && p.GetCustomAttribute<JsonIgnoreAttribute>() is null && Matters(p.PropertyType))
            .Select(p => new Part(p.Name, p.GetValue))];

    private static bool IsPair(Type type) => type.IsGenericType && type.GetGenericTypeDefinition() == typeof(KeyValuePair<,>);

    private static bool Matters(Type type) => type != typeof(string) && !type.IsEnum && type != typeof(bool) && type != typeof(int)
        && type != typeof(IReadOnlyList<DesignChange>); // of the design, which holds only what was read as a number
}
