using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Calculators;

/// <summary>One choice of a field.</summary>
public sealed record Option(string Value, string Label);

/// <summary>One field that a person may set, with what the interface needs to ask for it.</summary>
public sealed record FieldInfo
{
    /// <summary>Such as <c>/survey/windows/*/widthM</c>.</summary>
    public required string Path { get; init; }

    public required string Label { get; init; }

    /// <summary>quantity, choice, switch, text, date or list.</summary>
    public required string Input { get; init; }

    public QuantityKind? Quantity { get; init; }

    public double? Min { get; init; }

    public double? Max { get; init; }

    public bool Optional { get; init; }

    public Phrase Help { get; init; } = Phrase.Empty;

    /// <summary>Name of the list its choices stand in; empty for choices of its own.</summary>
    public string Options { get; init; } = "";

    public IReadOnlyList<Option> Choices { get; init; } = [];

    public JsonElement? Default { get; init; }

    /// <summary>Unit of the value, its range and its default, as they stand in JSON; empty for shares, counts and what is no quantity.</summary>
    public string Unit { get; init; } = "";

    /// <summary>Most characters of a text, most rows of a list; empty for what is neither.</summary>
    public int? Most { get; init; }
}

/// <summary>Reads fields with their attributes off any record of inputs, and checks values against them.</summary>
public static class FieldCatalogue
{
    /// <summary>All fields of a record type, nested parts and lists included.</summary>
    public static IReadOnlyList<FieldInfo> Of(Type type, object example, JsonSerializerOptions json)
    {
        var fields = new List<FieldInfo>();
        Collect(type, example, "", fields, json);
        return fields;
    }

    /// <summary>Checks every number of a record against its range; all faults at once.</summary>
    /// <param name="root">The record.</param>
    /// <param name="name">Field name before the first dot, or empty.</param>
    public static IReadOnlyList<InputError> Check(object root, string name = "")
    {
        var errors = new List<InputError>();
        CheckInto(root, name, errors);
        return errors;
    }

    private static void Collect(Type type, object? example, string path, List<FieldInfo> fields, JsonSerializerOptions json)
    {
        foreach (var property in type.GetProperties(BindingFlags.Public | BindingFlags.Instance).Where(p => p.CanWrite && p.Name != nameof(DesignPart.Unknown)))
        {
            var at = $"{path}/{JsonNamingPolicy.CamelCase.ConvertName(property.Name)}";
            var ask = property.GetCustomAttribute<AskAttribute>();
            var value = example is null ? null : property.GetValue(example);
            var kind = Nullable.GetUnderlyingType(property.PropertyType) ?? property.PropertyType;
            if (property.GetCustomAttribute<FieldAttribute>() is { } field)
                fields.Add(new FieldInfo
                {
                    Path = at,
                    Label = field.Label,
                    Input = "quantity",
                    Quantity = field.Quantity,
                    Min = field.Min,
                    Max = field.Max,
                    Optional = field.Optional,
                    Help = Phrase.Marked(field.Help),
                    Default = Json(value, json),
                    Unit = QuantityTable.Of(field.Quantity).InsideSymbol,
                });
            else if (ItemType(property.PropertyType) is { } item)
            {
                var fresh = Activator.CreateInstance(item)!;
                fields.Add(new FieldInfo
                {
                    Path = at,
                    Label = ask?.Label ?? property.Name,
                    Input = "list",
                    Help = Phrase.Marked(ask?.Help ?? ""),
                    Default = Json(fresh, json),
                    Most = (ask ?? Unasked).Most,
                });
                Collect(item, fresh, at + "/*", fields, json);
            }
            else if (kind.IsEnum)
                fields.Add(new FieldInfo
                {
                    Path = at,
                    Label = ask?.Label ?? property.Name,
                    Input = "choice",
                    Help = Phrase.Marked(ask?.Help ?? ""),
                    Choices = [.. Enum.GetNames(kind).Select(n => new Option(JsonNamingPolicy.CamelCase.ConvertName(n), Calls.Name(kind, n)))],
                    Default = Json(value, json),
                });
            else if (kind == typeof(bool))
                fields.Add(new FieldInfo
                {
                    Path = at,
                    Label = ask?.Label ?? property.Name,
                    Input = "switch",
                    Help = Phrase.Marked(ask?.Help ?? ""),
                    Default = Json(value, json),
                });
            else if (kind == typeof(string))
                fields.Add(new FieldInfo
                {
                    Path = at,
                    Label = ask?.Label ?? property.Name,
                    Input = ask?.Options is { Length: > 0 } ? "choice" : ask is { Date: true } ? "date" : "text",
                    Help = Phrase.Marked(ask?.Help ?? ""),
                    Options = ask?.Options ?? "",
                    Default = Json(value, json),
                    Most = (ask ?? Unasked).Longest,
                });
            else if (kind.IsClass && kind.Namespace?.StartsWith("Vanto", StringComparison.Ordinal) == true)
                Collect(kind, value ?? Activator.CreateInstance(kind), at, fields, json);
        }
    }

    private static JsonElement? Json(object? value, JsonSerializerOptions json) =>
        value is null ? null : JsonSerializer.SerializeToElement(value, value.GetType(), json);

    private static Type? ItemType(Type type) =>
        type.IsGenericType && type.GetGenericTypeDefinition() == typeof(IReadOnlyList<>) && type.GetGenericArguments()[0].IsClass
            && type.GetGenericArguments()[0] != typeof(string) ? type.GetGenericArguments()[0] : null;

    /// <summary>One property as the check needs it; read off its type once.</summary>
    private sealed record Checked(string Name, Func<object, object?> Get, FieldAttribute? Field, AskAttribute Ask, bool Required, bool Items);

    private static readonly AskAttribute Unasked = new("");

    /// <summary>Characters of a text too long that its error repeats.</summary>
    private const int Shown = 40;

    private static readonly ConcurrentDictionary<Type, Checked[]> Known = new();

    private static Checked[] Properties(Type type) => Known.GetOrAdd(type, t =>
        [.. t.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.CanWrite && p.GetIndexParameters().Length == 0 && p.Name != nameof(DesignPart.Unknown)).Select(p =>
            new Checked(JsonNamingPolicy.CamelCase.ConvertName(p.Name), p.GetValue, p.GetCustomAttribute<FieldAttribute>(),
                p.GetCustomAttribute<AskAttribute>() ?? Unasked, Nullable.GetUnderlyingType(p.PropertyType) is null, ItemType(p.PropertyType) is not null))]);

    private static void CheckInto(object part, string name, List<InputError> errors)
    {
        foreach (var property in Properties(part.GetType()))
        {
            var at = name.Length > 0 ? $"{name}.{property.Name}" : property.Name;
            var value = property.Get(part);
            if (property.Field is { } field)
                CheckNumber(field, at, value, errors);
            else if (value is null && property.Required)
                errors.Add(InputError.Fault(at, "nothing", $"{at} is missing"));
            else if (value is Enum chosen && !Enum.IsDefined(chosen.GetType(), chosen))
                errors.Add(InputError.Fault(at, chosen.ToString(), $"{at}: {chosen} is no choice"));
            else if (value is string text && text.Length > property.Ask.Longest)
                errors.Add(InputError.Fault(at, $"{text[..Math.Min(text.Length, Shown)]}…",
                    $"{at} has {text.Length} characters; at most {property.Ask.Longest} are taken"));
            else if (property.Items && ((ICollection)value!).Count > property.Ask.Most)
                errors.Add(InputError.Fault(at, $"{((ICollection)value).Count} rows",
                    $"{at} has {((ICollection)value).Count} rows; at most {property.Ask.Most} are taken"));
            else if (property.Items)
            {
                var index = 0;
                foreach (var item in (IEnumerable)value!)
                {
                    var row = $"{at}[{index++}]";
                    if (item is null)
                        errors.Add(InputError.Fault(row, "nothing", $"{row} is missing"));
                    else
                        CheckInto(item, row, errors);
                }
            }
            else if (value is DesignPart inner)
                CheckInto(inner, at, errors);
        }
    }

    private static void CheckNumber(FieldAttribute field, string at, object? value, List<InputError> errors)
    {
        if (value is null)
        {
            if (!field.Optional)
                errors.Add(InputError.Fault(at, "nothing", $"{at} is missing"));
            return;
        }
        var number = Convert.ToDouble(value, System.Globalization.CultureInfo.InvariantCulture);
        if (double.IsNaN(number) || double.IsInfinity(number) || number < field.Min || number > field.Max)
            errors.Add(InputError.Range(at, at, field.Quantity, number, field.Min, field.Max));
    }
}
