using System.Globalization;
using System.Text.RegularExpressions;
using Vanto.Core.Quantities;

namespace Vanto.Core.Shop;

/// <summary>
/// A quantity as a word to search by: its kind and its SI value to two significant digits, so that what is typed in one unit finds what was written in
/// another. The product's own.
/// </summary>
public static partial class QuantityTokens
{
    private const double Slack = 1e-9;

    private static readonly (string Word, QuantityKind Kind)[] Kinds =
    [
        ("power", QuantityKind.Power), ("power", QuantityKind.ElectricPower), ("length", QuantityKind.Length), ("voltage", QuantityKind.Voltage),
        ("current", QuantityKind.Current), ("mass", QuantityKind.Mass), ("energy", QuantityKind.Energy), ("charge", QuantityKind.Charge),
    ];

    private static readonly Dictionary<QuantityKind, string> Words = Kinds.Append(("length", QuantityKind.SmallLength)).DistinctBy(k => k.Item2)
        .ToDictionary(k => k.Item2, k => k.Item1);

    [GeneratedRegex(@"(?<number>\d[\d.,/]*)\s*(?<k>k(?=\s*btu\b))?\s*(?<unit>[A-Za-zµΩ]+(?:/h)?)", RegexOptions.IgnoreCase)]
    private static partial Regex Typed();

    /// <summary>The word of an SI value; nothing for a kind that is not searched by, or for zero.</summary>
    public static string? Of(QuantityKind kind, double si)
    {
        if (!Words.TryGetValue(kind, out var word) || !(si > 0) || !double.IsFinite(si))
            return null;
        var exponent = (int)Math.Floor(Math.Log10(si) + Slack);
        var digits = (int)Math.Floor(si / Math.Pow(10, exponent - 1) * (1 + Slack) + 0.5);
        if (digits >= 100)
            (digits, exponent) = (digits / 10, exponent + 1);
        return string.Create(CultureInfo.InvariantCulture, $"{word}{digits}e{exponent}");
    }

    /// <summary>What is typed, its quantities taken out: the words that are left, and for each quantity the words it may be found by.</summary>
    public static (string Words, IReadOnlyList<IReadOnlyList<string>> Quantities) Read(string text)
    {
        var found = new List<IReadOnlyList<string>>();
        var rest = Typed().Replace(text, match =>
        {
            var thousands = match.Groups["k"].Success ? 1000 : 1;
            var unit = match.Groups["unit"].Value;
            var typed = $"{match.Groups["number"].Value} {(unit.Equals("btu", StringComparison.OrdinalIgnoreCase) ? "BTU/h" : unit)}";
            List<string> words = [.. Kinds.Select(k => Tried(typed, k.Kind) is { } si ? Of(k.Kind, si * thousands) : null).OfType<string>().Distinct()];
            if (words.Count == 0)
                return match.Value;
            found.Add(words);
            return " ";
        });
        return (rest, found);
    }

    private static double? Tried(string typed, QuantityKind kind)
    {
        try
        {
            return QuantityParser.Parse(typed, kind);
        }
        catch (QuantityFormatException)
        {
            return null;
        }
    }
}
