using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Web;

/// <summary>Reads typed fields by what the field catalogue knows of them, and words range errors in the person's units.</summary>
public static partial class TypedFields
{
    [GeneratedRegex(@"/\d+(?=/|$)")]
    private static partial Regex Index();

    /// <summary>The field at a path, or null.</summary>
    public static FieldInfo? Find(IReadOnlyList<FieldInfo> fields, string path)
    {
        var pattern = Index().Replace(path, "/*");
        return fields.FirstOrDefault(f => f.Path == pattern);
    }

    /// <summary>The inside value of typed text.</summary>
    /// <exception cref="InputException">Not a quantity of that kind, or out of range.</exception>
    public static JsonNode? Parse(FieldInfo field, string path, string text, UnitSystem units, bool decimalComma)
    {
        if (field.Quantity is not { } quantity)
            return text;
        if (text.Trim().Length == 0 && field.Optional)
            return null;
        double value;
        try
        {
            value = QuantityParser.Parse(text, quantity, units, decimalComma);
        }
        catch (QuantityFormatException e)
        {
            throw new InputException(path, text, $"{field.Label}: {e.Message}");
        }
        if (quantity == QuantityKind.Count)
        {
            if (value != Math.Floor(value))
                throw new InputException(path, text, $"{field.Label} must be a whole number; got {text}");
            Check(field, path, value);
            return (int)value;
        }
        Check(field, path, value);
        return value;
    }

    /// <summary>Refuses a value outside the field's range; whoever answers words it in the person's units.</summary>
    /// <exception cref="InputException">Out of range.</exception>
    public static void Check(FieldInfo field, string path, double value)
    {
        if (!(value >= field.Min && value <= field.Max))
            throw new InputException(InputError.Range(path, field.Label, field.Quantity!.Value, value, field.Min!.Value, field.Max!.Value));
    }
}
