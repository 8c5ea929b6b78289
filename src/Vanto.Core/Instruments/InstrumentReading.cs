using Vanto.Core.Quantities;

namespace Vanto.Core.Instruments;

/// <summary>What an instrument measures; its unit is always the SI one.</summary>
public enum InstrumentQuantity
{
    [Called("absolute pressure")] AbsolutePressure, [Called("gauge pressure")] GaugePressure, [Called("temperature")] Temperature,
    [Called("relative humidity")] RelativeHumidity, [Called("current")] Current, [Called("voltage")] Voltage, [Called("power")] Power,
    [Called("charge")] Charge, [Called("sound")] Sound,
}

/// <summary>What an instrument says of its own reading.</summary>
public enum ReadingQuality
{
    [Called("good")] Good, [Called("over its range")] OverRange, [Called("under its range")] UnderRange, [Called("stale")] Stale,
    [Called("doubtful")] Suspect, [Called("fault")] Fault,
}

/// <summary>One reading as an instrument sent it.</summary>
/// <param name="Instrument">Its id: small letters, digits, hyphens.</param>
/// <param name="Value">SI; null only where the quality is not good.</param>
/// <param name="At">By the instrument's clock.</param>
/// <param name="Seq">Its number there.</param>
/// <param name="Simulated">It was made by a simulation.</param>
/// <param name="Rate">Simulated seconds in a second; 1 for what is real.</param>
public sealed record InstrumentReading(string Instrument, InstrumentQuantity Quantity, double? Value, DateTimeOffset At, long Seq, ReadingQuality Quality,
    bool Simulated = false, double Rate = 1);

/// <summary>Names, units and possible values of what instruments measure.</summary>
public static class InstrumentQuantities
{
    private sealed record About(string Name, string Unit, QuantityKind Kind, double Least, double Most);

    /// <summary>Limits are of what can be, not of what is likely: outside, a reading is doubtful. The product's own choice.</summary>
    private static readonly Dictionary<InstrumentQuantity, About> All = new()
    {
        [InstrumentQuantity.AbsolutePressure] = new("pressure.absolute", "Pa", QuantityKind.Vacuum, 0, 1e7),
        [InstrumentQuantity.GaugePressure] = new("pressure.gauge", "Pa", QuantityKind.GaugePressure, -110_000, 1e7),
        [InstrumentQuantity.Temperature] = new("temperature", "K", QuantityKind.Temperature, 223.15, 423.15),
        [InstrumentQuantity.RelativeHumidity] = new("relativeHumidity", "1", QuantityKind.Fraction, 0, 1.05),
        [InstrumentQuantity.Current] = new("current", "A", QuantityKind.Current, -2000, 2000),
        [InstrumentQuantity.Voltage] = new("voltage", "V", QuantityKind.Voltage, -1500, 1500),
        [InstrumentQuantity.Power] = new("power", "W", QuantityKind.ElectricPower, -100_000, 100_000),
        [InstrumentQuantity.Charge] = new("charge", "1", QuantityKind.Fraction, 0, 1.05),
        [InstrumentQuantity.Sound] = new("sound", "dB", QuantityKind.Number, 0, 160),
    };

    private static readonly Dictionary<string, InstrumentQuantity> ByName = All.ToDictionary(a => a.Value.Name, a => a.Key);

    /// <summary>As it stands in a message and in a topic.</summary>
    public static string Name(InstrumentQuantity quantity) => All[quantity].Name;

    /// <summary>The SI unit that a message of it names.</summary>
    public static string Unit(InstrumentQuantity quantity) => All[quantity].Unit;

    /// <summary>How it is shown.</summary>
    public static QuantityKind Kind(InstrumentQuantity quantity) => All[quantity].Kind;

    /// <summary>The quantity of a name; null for none.</summary>
    public static InstrumentQuantity? Named(string name) => ByName.TryGetValue(name, out var quantity) ? quantity : null;

    /// <summary>True for a value that can be.</summary>
    public static bool Possible(InstrumentQuantity quantity, double value) => value >= All[quantity].Least && value <= All[quantity].Most;

    private const double ZeroCelsius = 273.15;

    /// <summary>As the product counts inside: temperatures in °C, the rest SI.</summary>
    public static double Inside(InstrumentQuantity quantity, double si) => quantity == InstrumentQuantity.Temperature ? si - ZeroCelsius : si;
}
