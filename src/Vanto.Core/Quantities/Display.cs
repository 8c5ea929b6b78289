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
            var digits = Math.Abs(value) >= 100_000 ? "N0" : Math.Abs(value) >= 20_000 ? "0.0" : "0.00";
            return $"{(value / 1000).ToString(digits, CultureInfo.InvariantCulture)} k{unit.Symbol}";
        }
        // A rounding that leaves less than nothing is nothing.
        var rounded = Math.Abs(value) < 0.5 * Math.Pow(10, -unit.Decimals) ? 0 : value;
        var number = rounded.ToString("N" + unit.Decimals, CultureInfo.InvariantCulture);
        return unit.Symbol switch { "" => number, "°" => number + "°", _ => $"{number} {unit.Symbol}" };
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
        var minutes = (int)Math.Round(hours * 60) % 1440;
        if (minutes < 0)
            minutes += 1440;
        return string.Create(CultureInfo.InvariantCulture, $"{minutes / 60:00}:{minutes % 60:00}");
    }
}
