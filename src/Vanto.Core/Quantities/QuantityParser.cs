using System.Globalization;
using System.Text.RegularExpressions;

namespace Vanto.Core.Quantities;

/// <summary>Says why a typed quantity cannot be understood and what can be typed instead.</summary>
public sealed class QuantityFormatException(string message) : FormatException(message);

/// <summary>
/// Reads quantities as people type them: "12 ft 6 1/2", "3.8m", "10awg", "12k btu", "-5°C", "1,5 kW", "21:30", "34 N".
/// A number without a unit is in the display unit of the given set.
/// </summary>
public static partial class QuantityParser
{
    [GeneratedRegex(@"^(\d{1,2}):(\d{2})$")]
    private static partial Regex ClockTime();

    [GeneratedRegex(@"^(\d+(?:\.\d+)?)\s*(?:[aA][wW][gG])$|^(\d)/0\s*(?:[aA][wW][gG])?$")]
    private static partial Regex Gauge();

    [GeneratedRegex(@"^(?:(?<i>\d+)\s+)?(?<n>\d+)\s*/\s*(?<d>\d+)")]
    private static partial Regex Fraction();

    /// <summary>Reads one typed quantity and returns its inside (SI) value.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="kind">Which quantity is meant.</param>
    /// <param name="system">Decides the unit of a bare number.</param>
    /// <param name="decimalComma">True where a comma is the decimal sign.</param>
    /// <exception cref="QuantityFormatException">The text is no such quantity; the message says what can be typed.</exception>
    public static double Parse(string text, QuantityKind kind, UnitSystem system = UnitSystem.Metric, bool decimalComma = false)
    {
        var quantity = QuantityTable.Of(kind);
        var rest = (text ?? "").Trim().Replace('−', '-');
        if (rest.Length == 0)
            throw new QuantityFormatException($"Nothing is typed; a {quantity.Name} is needed, for example {Example(quantity, system)}.");
        if (kind == QuantityKind.HourOfDay && ClockTime().Match(rest) is { Success: true } clock)
            return HourFromClock(clock, rest);
        if (kind == QuantityKind.ConductorArea && Gauge().Match(rest) is { Success: true } gauge)
            return WireGauge.AreaMm2(gauge.Groups[1].Success
                ? double.Parse(gauge.Groups[1].Value, CultureInfo.InvariantCulture)
                : 1 - int.Parse(gauge.Groups[2].Value, CultureInfo.InvariantCulture));

        var negative = rest.StartsWith('-');
        rest = rest.TrimStart('-', '+').TrimStart();
        double sum = 0;
        UnitOfMeasure? previous = null;
        while (rest.Length > 0)
        {
            var (number, afterNumber) = ReadNumber(rest, text!, quantity, system, decimalComma);
            var (unit, afterUnit) = ReadUnit(afterNumber, ref number, quantity, text!);
            unit ??= previous is null ? quantity.Shown(system) : Smaller(previous, quantity, text!);
            sum += previous is null ? unit.ToInside(negative ? -number : number) : unit.Factor * (negative ? -number : number);
            previous = unit;
            rest = afterUnit;
        }
        return sum;
    }

    private static (double Number, string Remaining) ReadNumber(string rest, string typed, Quantity quantity, UnitSystem system, bool decimalComma)
    {
        if (Fraction().Match(rest) is { Success: true } f)
        {
            var denominator = double.Parse(f.Groups["d"].Value, CultureInfo.InvariantCulture);
            if (denominator == 0)
                throw new QuantityFormatException($"\"{typed}\": a fraction cannot be over 0.");
            var whole = f.Groups["i"].Success ? double.Parse(f.Groups["i"].Value, CultureInfo.InvariantCulture) : 0;
            return (whole + double.Parse(f.Groups["n"].Value, CultureInfo.InvariantCulture) / denominator, rest[f.Length..]);
        }
        var length = 0;
        while (length < rest.Length && (char.IsAsciiDigit(rest[length]) || rest[length] is '.' or ','))
            length++;
        var digits = rest[..length];
        if (digits.Length == 0 || !TryNumber(digits, decimalComma, out var number))
            throw new QuantityFormatException($"\"{typed}\" is no {quantity.Name}; type for example {Example(quantity, system)}.");
        return (number, rest[length..]);
    }

    private static bool TryNumber(string digits, bool decimalComma, out double number)
    {
        var decimalSign = decimalComma ? ',' : '.';
        var other = decimalComma ? '.' : ',';
        var text = digits;
        if (text.Contains(decimalSign) && text.Contains(other))
            text = text.LastIndexOf(other) > text.LastIndexOf(decimalSign) ? text.Replace(decimalSign.ToString(), "") : text.Replace(other.ToString(), "");
        else if (Grouped(text, other))
            text = text.Replace(other.ToString(), "");
        return double.TryParse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out number);
    }

    private static bool Grouped(string text, char separator)
    {
        var groups = text.Split(separator);
        return groups.Length > 1 && groups[0].Length is >= 1 and <= 3 && groups.Skip(1).All(g => g.Length == 3);
    }

    private static (UnitOfMeasure? Unit, string Remaining) ReadUnit(string rest, ref double number, Quantity quantity, string typed)
    {
        rest = rest.TrimStart();
        var length = 0;
        while (length < rest.Length && !char.IsAsciiDigit(rest[length]) && rest[length] is not ('.' or ',') || InsideUnit(rest, length))
            length++;
        var word = rest[..length].Trim();
        if (word.Length == 0)
            return (null, rest[length..]);
        var unit = Called(quantity, word);
        if (unit is null && word[0] is 'k' or 'K')
        {
            var afterKilo = word[1..].Trim();
            unit = afterKilo.Length == 0 ? null : Called(quantity, afterKilo);
            if (afterKilo.Length == 0 || unit is not null)
            {
                number *= 1000;
                return (unit, rest[length..]);
            }
        }
        if (unit is null)
            throw new QuantityFormatException($"\"{typed}\": \"{word}\" is no unit of {quantity.Name}; use {UnitList(quantity)}.");
        return (unit, rest[length..]);
    }

    /// <summary>The unit of that symbol; else the one that is called so in any case.</summary>
    private static UnitOfMeasure? Called(Quantity quantity, string word) =>
        quantity.All.FirstOrDefault(u => u.IsSymbol(word)) ?? quantity.All.FirstOrDefault(u => u.IsCalled(word));

    private static bool InsideUnit(string rest, int at) => at > 0 && at < rest.Length && rest[at] is '2' or '3'
        && at > 0 && char.IsLetter(rest[at - 1]) && (at + 1 == rest.Length || !char.IsAsciiDigit(rest[at + 1]));

    private static UnitOfMeasure Smaller(UnitOfMeasure previous, Quantity quantity, string typed) => previous.Symbol switch
    {
        "ft" => quantity.All.First(u => u.Symbol == "in"),
        "lb" => quantity.All.First(u => u.Symbol == "oz"),
        "h" => quantity.All.First(u => u.Symbol == "min"),
        _ => throw new QuantityFormatException($"\"{typed}\": the second number needs a unit; use {UnitList(quantity)}."),
    };

    private static double HourFromClock(Match clock, string typed)
    {
        var hour = int.Parse(clock.Groups[1].Value, CultureInfo.InvariantCulture);
        var minute = int.Parse(clock.Groups[2].Value, CultureInfo.InvariantCulture);
        if (hour > 24 || minute > 59)
            throw new QuantityFormatException($"\"{typed}\" is no time of day; type 00:00 to 24:00.");
        return hour + minute / 60.0;
    }

    private static string UnitList(Quantity quantity) => string.Join(", ", quantity.All.Select(u => u.Symbol).Where(s => s.Length > 0));

    private static string Example(Quantity quantity, UnitSystem system)
    {
        var unit = quantity.Shown(system);
        return quantity.Kind == QuantityKind.HourOfDay ? "21:30" : $"12 {unit.Symbol}".Trim();
    }
}
