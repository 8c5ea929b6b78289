using System.Runtime.CompilerServices;
using System.Text;
using Vanto.Core.Quantities;

namespace Vanto.Core.Findings;

/// <summary>A number with its quantity, so that whoever shows it can choose the unit.</summary>
public sealed record Measure(double Value, QuantityKind Quantity);

/// <summary>
/// A sentence with measures in it: <c>{0}</c>, <c>{1}</c>… in <see cref="Template"/> stand for <see cref="Measures"/>.
/// Written as an interpolated string whose formats name quantities: <c>Phrase.Of($"draws {watts:ElectricPower}")</c>.
/// </summary>
public sealed record Phrase(string Template, IReadOnlyList<Measure> Measures)
{
    /// <summary>Builds a phrase from an interpolated string.</summary>
    public static Phrase Of(PhraseHandler handler) => handler.Finish();

    /// <summary>The sentence in the units of the set.</summary>
    public string InUnits(UnitSystem system = UnitSystem.Metric)
    {
        var text = Template;
        for (var i = 0; i < Measures.Count; i++)
            text = text.Replace($"{{{i}}}", Display.Text(Measures[i].Value, Measures[i].Quantity, system));
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

    /// <summary>Called by the compiler for words.</summary>
    public void AppendFormatted(string text) => _template.Append(text);

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
