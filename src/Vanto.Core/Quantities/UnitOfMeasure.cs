namespace Vanto.Core.Quantities;

/// <summary>
/// One unit: inside value = typed value × <paramref name="Factor"/> + <paramref name="Offset"/>.
/// </summary>
/// <param name="Symbol">As shown beside a figure.</param>
/// <param name="Factor">Inside units per this unit (NIST SP 811, 2008, appendix B, or exact by definition).</param>
/// <param name="Offset">Added after the factor; only temperatures have one.</param>
/// <param name="Decimals">Sensible decimals when shown.</param>
/// <param name="Aliases">Other spellings accepted when typed, in lower case.</param>
public sealed record UnitOfMeasure(string Symbol, double Factor, int Decimals, double Offset = 0, params string[] Aliases)
{
    /// <summary>Significant digits that a figure in it is worth; 0 where its decimals say all.</summary>
    public int Digits { get; init; }

    /// <summary>From here on a figure in it is whole; 0 where its decimals stay.</summary>
    public double WholeFrom { get; init; }

    /// <summary>True where a zero behind the point says nothing, as in 25 °C.</summary>
    public bool Bare { get; init; }

    /// <summary>Converts a typed value to the inside unit.</summary>
    public double ToInside(double value) => value * Factor + Offset;

    /// <summary>Converts an inside value to this unit.</summary>
    public double FromInside(double inside) => (inside - Offset) / Factor;

    /// <summary>True when a word is exactly its symbol.</summary>
    internal bool IsSymbol(string word) => string.Equals(Symbol, word, StringComparison.Ordinal);

    /// <summary>True when a word is its symbol in another case, or one of its aliases; never where the case tells milli from mega.</summary>
    internal bool IsCalled(string word)
    {
        if (Aliases.Contains(word))
            return true;
        var lower = word.ToLowerInvariant();
        return string.Equals(Symbol, word, StringComparison.OrdinalIgnoreCase)
            ? !IsOtherPrefix(word)
            : Aliases.Contains(lower) && !(lower == "mohm" && word[0] == 'M');
    }

    /// <summary>"MΩ" is not "mΩ", "mPa" is not "MPa": the same base unit under the other prefix.</summary>
    private bool IsOtherPrefix(string word) =>
        Prefixed.Contains(Symbol) && word.Length == Symbol.Length && word[0] != Symbol[0] && word[1..] == Symbol[1..];

    private static readonly HashSet<string> Prefixed = ["mΩ", "MΩ", "mV", "mA", "ms", "mm", "MPa", "mL", "mbar"];
}

/// <summary>One kind of quantity with its display units and all units it may be typed in.</summary>
/// <param name="Kind">Which quantity.</param>
/// <param name="Name">Its name in errors, as in "is no unit of length".</param>
/// <param name="Metric">Shown in the metric set; a bare number typed there is in this unit.</param>
/// <param name="Customary">Shown in the customary set.</param>
/// <param name="Others">Further units accepted when typed.</param>
public sealed record Quantity(QuantityKind Kind, string Name, UnitOfMeasure Metric, UnitOfMeasure Customary, params UnitOfMeasure[] Others)
{
    /// <summary>The unit shown in the given set.</summary>
    public UnitOfMeasure Shown(UnitSystem system) => system == UnitSystem.Metric ? Metric : Customary;

    /// <summary>Symbol of the unit that values have inside; empty for shares and counts.</summary>
    public string InsideSymbol => All.FirstOrDefault(u => u.Factor == 1 && u.Offset == 0)?.Symbol ?? "";

    /// <summary>All units accepted when typed, the two shown ones first.</summary>
    public IEnumerable<UnitOfMeasure> All => new[] { Metric, Customary }.Concat(Others).DistinctBy(u => u.Symbol);
}
