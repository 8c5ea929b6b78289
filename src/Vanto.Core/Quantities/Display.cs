using System.Globalization;

namespace Vanto.Core.Quantities;

/// <summary>Writes inside values as people read them.</summary>
public static class Display
{
    /// <summary>The value in the display unit of the set, with its symbol.</summary>
    public static string Text(double inside, QuantityKind kind, UnitSystem system = UnitSystem.Metric)
    {
        if (kind == QuantityKind.HourOfDay)
            return Clock(inside);
        if (system == UnitSystem.Customary && kind == QuantityKind.Length)
            return FeetAndInches(inside);
        var unit = QuantityTable.Of(kind).Shown(system);
        var value = unit.FromInside(inside);
        if (kind is QuantityKind.ElectricPower or QuantityKind.ApparentPower or QuantityKind.Energy or QuantityKind.HeatEnergy or QuantityKind.Power
            && unit.Symbol is "W" or "VA" or "Wh" && Math.Abs(value) >= 1000)
        {
            var thousands = Math.Abs(value) / 1000;
            return $"{Rounded(value / 1000, thousands >= 100 ? 0 : thousands >= 10 ? 1 : 2)} k{unit.Symbol}";
        }
        var number = kind switch
        {
            QuantityKind.Number => Rounded(value, ForFourDigits(value), padded: false),
            QuantityKind.Resistance => Rounded(value, ForFourDigits(value)),
            _ => Rounded(value, Decimals(value, unit), padded: !unit.Bare),
        };
        if (system == UnitSystem.Customary && kind == QuantityKind.ConductorArea)
            return $"{number} {unit.Symbol}{WireGauge.Beside(inside)}";
        return unit.Symbol switch { "" => number, "°" => number + "°", _ => $"{number} {unit.Symbol}" };
    }

    /// <summary>
    /// The unit's decimals, fewer where they are more digits than the figure is worth; below nothing where it is rounded to tens and hundreds.
    /// </summary>
    private static int Decimals(double value, UnitOfMeasure unit) => unit.WholeFrom > 0 && Math.Abs(value) >= unit.WholeFrom ? 0
        : unit.Digits == 0 || value == 0 ? unit.Decimals
        : Math.Min(unit.Decimals, unit.Digits - 1 - (int)Math.Floor(Math.Log10(Math.Abs(value))));

    /// <summary>Feet from which inches are not said, and from which only whole ones are; common practice.</summary>
    private const double WholeFeetFrom = 100;
    private const double WholeInchesFrom = 10;

    /// <summary>A length as people write it: 18 ft 4 in, 6 ft 2½ in, 7 in, 4,921 ft.</summary>
    private static string FeetAndInches(double metres)
    {
        var sign = metres < 0 ? "-" : "";
        var inches = Math.Abs(metres) / 0.0254;
        if (inches >= 12 * WholeFeetFrom)
            return string.Create(CultureInfo.InvariantCulture, $"{sign}{Math.Floor(inches / 12 + 0.5):N0} ft");
        var halves = inches >= 12 * WholeInchesFrom ? 2 * Math.Floor(inches + 0.5) : Math.Floor(2 * inches + 0.5);
        if (halves == 0)
            return "0 ft";
        var (feet, rest) = (Math.Floor(halves / 24), halves % 24);
        var whole = Math.Floor(rest / 2);
        var part = rest % 2 == 0 ? "" : "½";
        var said = rest == 0 ? "" : string.Create(CultureInfo.InvariantCulture, $"{(whole == 0 ? "" : whole)}{part} in");
        return string.Create(CultureInfo.InvariantCulture, $"{sign}{(feet == 0 ? "" : $"{feet} ft")}{(feet == 0 || rest == 0 ? "" : " ")}{said}");
    }

    /// <summary>Decimals, six at most, that leave four significant digits.</summary>
    private static int ForFourDigits(double value) => value == 0 ? 0 : Math.Clamp(3 - (int)Math.Floor(Math.Log10(Math.Abs(value))), 0, 6);

    /// <summary>Rounded as it is read, half away from nothing; what rounds to nothing has no sign.</summary>
    private static string Rounded(double value, int decimals, bool padded = true)
    {
        if (decimals < 0)
        {
            var tens = Math.Pow(10, -decimals);
            (value, decimals) = (Math.Sign(value) * Math.Floor(Math.Abs(value) / tens + 0.5) * tens, 0);
        }
        var format = padded ? "N" + decimals : "#,0." + new string('#', decimals);
        if (!decimal.TryParse(value.ToString("R", CultureInfo.InvariantCulture), NumberStyles.Float, CultureInfo.InvariantCulture, out var read))
            return value.ToString(format, CultureInfo.InvariantCulture);
        var rounded = Math.Round(read, decimals, MidpointRounding.AwayFromZero);
        return (rounded == 0 ? 0 : rounded).ToString(format, CultureInfo.InvariantCulture);
    }

    /// <summary>The value to six significant digits, so that a bound and what passed it by little are told apart.</summary>
    public static string Exact(double inside, QuantityKind kind, UnitSystem system = UnitSystem.Metric)
    {
        var unit = QuantityTable.Of(kind).Shown(system);
        var number = double.Parse(unit.FromInside(inside).ToString("G6", CultureInfo.InvariantCulture), CultureInfo.InvariantCulture)
            .ToString("0.############", CultureInfo.InvariantCulture);
        return unit.Symbol switch { "" => number, "°" => number + "°", _ => $"{number} {unit.Symbol}" };
    }

    /// <summary>Hours since midnight as a clock shows them; 26.5 reads 02:30.</summary>
    public static string Clock(double hours)
    {
        var minutes = (long)Math.Floor(hours * 60 + 0.5) % 1440;
        if (minutes < 0)
            minutes += 1440;
        return string.Create(CultureInfo.InvariantCulture, $"{minutes / 60:00}:{minutes % 60:00}");
    }
}
