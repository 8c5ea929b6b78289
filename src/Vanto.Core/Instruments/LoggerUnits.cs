using System.Text.RegularExpressions;
using Vanto.Core.Quantities;

namespace Vanto.Core.Instruments;

/// <summary>A unit that a logger writes.</summary>
/// <param name="Text">As a person says it.</param>
/// <param name="Quantity">Of.</param>
/// <param name="Factor">To SI, after <paramref name="Offset"/> is added.</param>
/// <param name="Offset">Added first.</param>
public sealed record LoggerUnit(string Text, InstrumentQuantity Quantity, double Factor, double Offset = 0)
{
    public double ToSi(double value) => (value + Offset) * Factor;
}

/// <summary>Units of loggers by what stands in a heading. What can mean two things is asked, never assumed.</summary>
public static partial class LoggerUnits
{
    private const double PsiPa = 6894.757293168, InHgPa = 3386.389, TorrPa = 133.322368;

    /// <summary>All that are known; a pressure says whether it is absolute or of a gauge.</summary>
    public static IReadOnlyList<LoggerUnit> All { get; } =
    [
        new("°C", InstrumentQuantity.Temperature, 1, 273.15), new("°F", InstrumentQuantity.Temperature, 5.0 / 9, 459.67),
        new("K", InstrumentQuantity.Temperature, 1),
        new("%RH", InstrumentQuantity.RelativeHumidity, 0.01), new("RH 0–1", InstrumentQuantity.RelativeHumidity, 1),
        .. Pressures("psi", PsiPa), .. Pressures("bar", 1e5), .. Pressures("mbar", 100), .. Pressures("kPa", 1000), .. Pressures("MPa", 1e6),
        .. Pressures("Pa", 1), .. Pressures("inHg", InHgPa),
        new("micron", InstrumentQuantity.AbsolutePressure, QuantityTable.PascalsPerMicron), new("Torr", InstrumentQuantity.AbsolutePressure, TorrPa),
        new("A", InstrumentQuantity.Current, 1), new("mA", InstrumentQuantity.Current, 0.001),
        new("V", InstrumentQuantity.Voltage, 1), new("mV", InstrumentQuantity.Voltage, 0.001),
        new("W", InstrumentQuantity.Power, 1), new("kW", InstrumentQuantity.Power, 1000),
        new("% charge", InstrumentQuantity.Charge, 0.01), new("dB", InstrumentQuantity.Sound, 1),
    ];

    private static LoggerUnit[] Pressures(string unit, double pascals) =>
        [new($"{unit} absolute", InstrumentQuantity.AbsolutePressure, pascals), new($"{unit} gauge", InstrumentQuantity.GaugePressure, pascals)];

    /// <summary>A unit by its text; null for none.</summary>
    public static LoggerUnit? Named(string text) => All.FirstOrDefault(u => u.Text == text);

    private static readonly Dictionary<string, string[]> Written = new(StringComparer.OrdinalIgnoreCase)
    {
        ["°c"] = ["°C"],
        ["degc"] = ["°C"],
        ["deg c"] = ["°C"],
        ["celsius"] = ["°C"],
        ["°f"] = ["°F"],
        ["degf"] = ["°F"],
        ["deg f"] = ["°F"],
        ["fahrenheit"] = ["°F"],
        ["kelvin"] = ["K"],
        ["%rh"] = ["%RH"],
        ["rh%"] = ["%RH"],
        ["rh"] = ["%RH", "RH 0–1"],
        ["%"] = ["%RH", "% charge"],
        ["soc"] = ["% charge"],
        ["psia"] = ["psi absolute"],
        ["psig"] = ["psi gauge"],
        ["psi"] = ["psi gauge", "psi absolute"],
        ["bara"] = ["bar absolute"],
        ["barg"] = ["bar gauge"],
        ["bar"] = ["bar gauge", "bar absolute"],
        ["mbar"] = ["mbar absolute", "mbar gauge"],
        ["kpa"] = ["kPa gauge", "kPa absolute"],
        ["mpa"] = ["MPa gauge", "MPa absolute"],
        ["pa"] = ["Pa absolute", "Pa gauge"],
        ["inhg"] = ["inHg gauge", "inHg absolute"],
        ["micron"] = ["micron"],
        ["microns"] = ["micron"],
        ["mtorr"] = ["micron"],
        ["torr"] = ["Torr"],
        ["a"] = ["A"],
        ["amp"] = ["A"],
        ["amps"] = ["A"],
        ["ma"] = ["mA"],
        ["v"] = ["V"],
        ["volt"] = ["V"],
        ["volts"] = ["V"],
        ["mv"] = ["mV"],
        ["w"] = ["W"],
        ["watt"] = ["W"],
        ["watts"] = ["W"],
        ["kw"] = ["kW"],
        ["db"] = ["dB"],
        ["dba"] = ["dB"],
    };

    [GeneratedRegex(@"[\(\[]\s*([^\)\]]{1,12}?)\s*[\)\]]")]
    private static partial Regex Bracketed();

    /// <summary>Units that a heading may mean: one where it is clear, several where it is asked, none where nothing is known.</summary>
    public static IReadOnlyList<LoggerUnit> Of(string heading)
    {
        var tries = new List<string>();
        if (Bracketed().Match(heading) is { Success: true } inside)
            tries.Add(inside.Groups[1].Value);
        tries.Add(heading.Split(['_', ' '], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).LastOrDefault() ?? "");
        tries.Add(heading.Trim());
        foreach (var text in tries)
            if (Written.TryGetValue(text, out var names))
                return [.. names.Select(n => Named(n)!)];
            else if (text == "K")
                return [Named("K")!];
        return [];
    }
}
