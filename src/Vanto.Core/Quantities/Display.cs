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
        var unit = QuantityTable.Of(kind).Shown(system);
        var value = unit.FromInside(inside);
        if (kind is QuantityKind.ElectricPower or QuantityKind.ApparentPower or QuantityKind.Energy or QuantityKind.HeatEnergy or QuantityKind.Power
            && unit.Symbol is "W" or "VA" or "Wh" && Math.Abs(value) >= 1000)
        {
            var thousands = Math.Abs(value) / 1000;
            return $"{Rounded(value / 1000, thousands >= 100 ? 0 : thousands >= 20 ? 1 : 2)} k{unit.Symbol}";
        }
        var number = kind switch
        {
            QuantityKind.Number => Rounded(value, ForFourDigits(value), padded: false),
            QuantityKind.Resistance => Rounded(value, ForFourDigits(value)),
            _ => Rounded(value, unit.Decimals),
        };
        return unit.Symbol switch { "" => number, "°" => number + "°", _ => $"{number} {unit.Symbol}" };
    }

    /// <summary>Decimals, six at most, that leave four significant digits.</summary>
    private static int ForFourDigits(double value) => value == 0 ? 0 : Math.Clamp(3 - (int)Math.Floor(Math.Log10(Math.Abs(value))), 0, 6);

    /// <summary>Rounded as it is read, half away from nothing; what rounds to nothing has no sign.</summary>
    private static string Rounded(double value, int decimals, bool padded = true)
    {
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
