namespace Vanto.Core.Quantities;

/// <summary>
/// Meaning, unit, valid range and default of one number a person may type. Validation, the API's description,
/// the Bench page and the station fields are all made from it.
/// </summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class FieldAttribute(QuantityKind quantity, double min, double max) : Attribute
{
    /// <summary>Which quantity.</summary>
    public QuantityKind Quantity { get; } = quantity;

    /// <summary>Smallest valid inside value.</summary>
    public double Min { get; } = min;

    /// <summary>Largest valid inside value.</summary>
    public double Max { get; } = max;

    /// <summary>What the field asks, as one would say it aloud.</summary>
    public string Label { get; init; } = "";

    /// <summary>One line of advice, or empty.</summary>
    public string Help { get; init; } = "";

    /// <summary>True where an empty field has a meaning of its own.</summary>
    public bool Optional { get; init; }
}

/// <summary>Label of a choice, switch, text or list that a person may set.</summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class AskAttribute(string label) : Attribute
{
    /// <summary>What the field asks.</summary>
    public string Label { get; } = label;

    /// <summary>Most characters of a text.</summary>
    public int Longest { get; init; } = 200;

    /// <summary>True for a text that is a date, written year-month-day.</summary>
    public bool Date { get; init; }

    /// <summary>Most rows of a list.</summary>
    public int Most { get; init; } = 60;

    /// <summary>Name of the list of options where the value is a catalogue id.</summary>
    public string Options { get; init; } = "";

    /// <summary>One line of advice, or empty.</summary>
    public string Help { get; init; } = "";
}

/// <summary>How a member of an enumeration is called on screen.</summary>
[AttributeUsage(AttributeTargets.Field)]
public sealed class CalledAttribute(string name) : Attribute
{
    /// <summary>The words shown.</summary>
    public string Name { get; } = name;
}
