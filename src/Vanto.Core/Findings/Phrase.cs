using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;
using System.Text.RegularExpressions;
using Vanto.Core.Quantities;

namespace Vanto.Core.Findings;

/// <summary>A number with its quantity, so that whoever shows it can choose the unit.</summary>
/// <param name="Value">Inside value.</param>
/// <param name="Quantity">Which quantity.</param>
/// <param name="Exact">True where every digit counts, as in a bound that was passed by little; else it is rounded as figures are.</param>
public sealed record Measure(double Value, QuantityKind Quantity, bool Exact = false)
{
    /// <summary>As shown in the units of the set.</summary>
    public string InUnits(UnitSystem system = UnitSystem.Metric) => Exact ? Display.Exact(Value, Quantity, system) : Display.Text(Value, Quantity, system);
}

/// <summary>
/// A sentence with measures in it: <c>{0}</c>, <c>{1}</c>… in <see cref="Template"/> stand for <see cref="Measures"/>.
/// Written as an interpolated string whose formats name quantities: <c>Phrase.Of($"draws {watts:ElectricPower}")</c>.
/// </summary>
public sealed partial record Phrase(string Template, IReadOnlyList<Measure> Measures)
{
    public static Phrase Empty { get; } = new("", []);

    /// <summary>Builds a phrase from an interpolated string.</summary>
    public static Phrase Of(PhraseHandler handler) => handler.Finish();

    /// <summary>One measure by itself.</summary>
    public static Phrase Of(Measure measure) => new("{0}", [measure]);

    /// <summary>A sentence whose measures are shown to the last digit that counts, for bounds and what passed them.</summary>
    public static Phrase Exactly(string template, params Measure[] measures) => new(template, [.. measures.Select(m => m with { Exact = true })]);

    /// <summary>A sentence in which measures are written as <c>{3:TemperatureDifference}</c>, as attributes hold them.</summary>
    public static Phrase Marked(string text)
    {
        var measures = new List<Measure>();
        return new Phrase(Mark().Replace(text, match =>
        {
            measures.Add(new Measure(double.Parse(match.Groups[1].Value, CultureInfo.InvariantCulture), Enum.Parse<QuantityKind>(match.Groups[2].Value)));
            return $"{{{measures.Count - 1}}}";
        }), measures);
    }

    [GeneratedRegex(@"\{(-?[\d.]+):(\w+)\}")]
    private static partial Regex Mark();

    /// <summary>Phrases one after another.</summary>
    public static Phrase Join(string between, IEnumerable<Phrase> phrases) =>
        phrases.Aggregate((Phrase?)null, (all, next) => all is null ? next : Of($"{all}{between}{next}")) ?? Of($"");

    /// <summary>The sentence in the units of the set.</summary>
    public string InUnits(UnitSystem system = UnitSystem.Metric)
    {
        var text = Template;
        for (var i = 0; i < Measures.Count; i++)
            text = text.Replace($"{{{i}}}", Measures[i].InUnits(system));
        return text;
    }

    /// <inheritdoc />
    public override string ToString() => InUnits();
}

/// <summary>Collects the parts of an interpolated <see cref="Phrase"/>.</summary>
[InterpolatedStringHandler]
public readonly struct PhraseHandler
{
    private readonly StringBuilder _template;
    private readonly List<Measure> _measures;

    /// <summary>Called by the compiler.</summary>
    public PhraseHandler(int literalLength, int formattedCount)
    {
        _template = new StringBuilder(literalLength + 4 * formattedCount);
        _measures = new List<Measure>(formattedCount);
    }

    /// <summary>Called by the compiler for fixed text.</summary>
    public void AppendLiteral(string text) => _template.Append(text);

    /// <summary>Called by the compiler for words. A brace in them, as in a device called "{0}", is kept from being taken for a measure.</summary>
    public void AppendFormatted(string text) => _template.Append(text.Replace("{", "{\u200B"));

    /// <summary>Called by the compiler for a letter, which else would count as a whole number.</summary>
    public void AppendFormatted(char letter) => AppendFormatted(letter.ToString());

    /// <summary>Called by the compiler for whole numbers.</summary>
    public void AppendFormatted(int number) => _template.Append(number);

    /// <summary>Called by the compiler for a phrase within a phrase.</summary>
    public void AppendFormatted(Phrase inner)
    {
        var text = inner.Template;
        for (var i = inner.Measures.Count - 1; i >= 0; i--)
            text = text.Replace($"{{{i}}}", $"{{{_measures.Count + i}}}");
        _measures.AddRange(inner.Measures);
        _template.Append(text);
    }

    /// <summary>Called by the compiler for a measure; the format is the name of its quantity.</summary>
    public void AppendFormatted(double value, string format)
    {
        _template.Append('{').Append(_measures.Count).Append('}');
        _measures.Add(new Measure(value, Enum.Parse<QuantityKind>(format)));
    }

    internal Phrase Finish() => new(_template.ToString(), _measures);
}
