using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Quantities;

/// <summary>
/// The one table of units. Inside Vanto everything is SI (temperatures in °C, angles in degrees, charge in Ah,
/// time of day in hours). Factors: NIST SP 811 (2008) appendix B and exact definitions.
/// </summary>
public static class QuantityTable
{
    /// <summary>Joules in one international-table British thermal unit; exact.</summary>
    public const double JoulesPerBtu = 1055.05585262;

    /// <summary>Watts in one British thermal unit an hour.</summary>
    public const double WattsPerBtuPerHour = JoulesPerBtu / 3600;
    /// <summary>Pascals in one pound-force per square inch; exact.</summary>
    public const double PascalsPerPsi = 0.45359237 * 9.80665 / (0.0254 * 0.0254);
    /// <summary>Pascals in one inch of mercury (conventional, NIST SP 811).</summary>
    public const double PascalsPerInchOfMercury = 3386.389;
    /// <summary>Pascals in one micron of mercury.</summary>
    public const double PascalsPerMicron = 101325.0 / 760 / 1000;
    private const double NewtonMetresPerFootPound = 0.3048 * 0.45359237 * 9.80665;
    private const double PoundForce = 0.45359237 * 9.80665;
    private const double CubicMetresPerGallon = 231 * 0.0254 * 0.0254 * 0.0254;
    private const double CubicMetresPerSecondPerCfm = 0.3048 * 0.3048 * 0.3048 / 60;

    private static readonly Dictionary<QuantityKind, Quantity> Rows = Build().ToDictionary(q => q.Kind);

    public static IReadOnlyCollection<Quantity> All => Rows.Values;

    public static Quantity Of(QuantityKind kind) => Rows[kind];

    private static UnitOfMeasure Unit(string symbol, double factor, int decimals, params string[] aliases) =>
        new(symbol, factor, decimals, 0, aliases);

    private static Quantity Same(QuantityKind kind, string name, string symbol, int decimals, params string[] aliases)
    {
        var unit = Unit(symbol, 1, decimals, aliases);
        return new Quantity(kind, name, unit, unit);
    }

    private static IEnumerable<Quantity> Build()
    {
        yield return Same(Number, "number", "", 2);
        yield return Same(Count, "count", "", 0);
        yield return Same(Ratio, "ratio", "", 2);
        var percent = Unit("%", 0.01, 0, "percent", "pct");
        yield return new(Fraction, "share", percent, percent);
        yield return Same(Percent, "percentage", "%", 0, "percent", "pct", "rh", "%rh");

        var metre = Unit("m", 1, 2, "metre", "metres", "meter", "meters") with { Digits = 3 };
        var centimetre = Unit("cm", 0.01, 1);
        var millimetre = Unit("mm", 0.001, 1) with { Bare = true, WholeFrom = 100 };
        var foot = Unit("ft", 0.3048, 2, "'", "foot", "feet", "′");
        var inch = Unit("in", 0.0254, 2, "\"", "inch", "inches", "″", "''");
        yield return new(Length, "length", metre, foot, centimetre, millimetre, inch);
        yield return new(SmallLength, "length", millimetre, inch, metre, centimetre, foot);
        yield return new(Area, "area", Unit("m²", 1, 2, "m2", "sqm") with { Digits = 3 },
            Unit("ft²", 0.09290304, 1, "ft2", "sqft", "sq ft") with { Digits = 3 }, Unit("cm²", 1e-4, 0, "cm2"), Unit("in²", 0.0254 * 0.0254, 1, "in2"));
        yield return new(Volume, "volume", Unit("m³", 1, 2, "m3"), Unit("ft³", 0.028316846592, 1, "ft3", "cuft"),
            Unit("L", 0.001, 1, "l", "litre", "liter"), Unit("gal", CubicMetresPerGallon, 2, "us gal"));
        yield return new(SmallVolume, "volume", Unit("L", 0.001, 3, "l", "litre", "litres", "liter") with { Digits = 3 },
            Unit("fl\u00a0oz", CubicMetresPerGallon / 128, 1, "fl oz", "floz", "oz") with { Digits = 3 }, Unit("mL", 1e-6, 0, "ml"), Unit("m³", 1, 5, "m3"),
            Unit("gal", CubicMetresPerGallon, 3, "us gal"));

        yield return new(Temperature, "temperature", Unit("°C", 1, 1, "c", "degc", "celsius") with { Bare = true },
            new UnitOfMeasure("°F", 1 / 1.8, 1, -32 / 1.8, "f", "degf", "fahrenheit") { Bare = true, Digits = 3 },
            new UnitOfMeasure("K", 1, 2, -273.15, "kelvin"));
        yield return new(TemperatureDifference, "temperature difference", Unit("K", 1, 1, "°c", "c", "kelvin") with { Bare = true },
            Unit("°F", 1 / 1.8, 1, "f", "f°", "degf") with { Bare = true });

        var watt = Unit("W", 1, 0, "watt", "watts");
        var kilowatt = Unit("kW", 1000, 2);
        var btuPerHour = Unit("BTU/h", WattsPerBtuPerHour, 0, "btu", "btuh", "btu/hr", "btus") with { Digits = 3 };
        yield return new(Power, "heat flow", watt, btuPerHour, kilowatt, Unit("ton", 12000 * WattsPerBtuPerHour, 2, "tons"));
        yield return new(ElectricPower, "power", watt, watt, kilowatt, Unit("hp", 745.699872, 2));
        var voltAmpere = Unit("VA", 1, 0);
        yield return new(ApparentPower, "apparent power", voltAmpere, voltAmpere, Unit("kVA", 1000, 2));
        yield return Same(ReactivePower, "reactive power", "var", 0);
        var wattHour = Unit("Wh", 1, 0);
        var kilowattHour = Unit("kWh", 1000, 2);
        yield return new(QuantityKind.Energy, "energy", wattHour, wattHour, kilowattHour);
        yield return new(HeatEnergy, "heat", wattHour, Unit("BTU", WattsPerBtuPerHour, 0, "btus") with { Digits = 3 }, kilowattHour);
        var volt = Unit("V", 1, 1, "volt", "volts") with { Bare = true };
        yield return new(Voltage, "voltage", volt, volt, Unit("mV", 0.001, 0));
        var ampere = Unit("A", 1, 1, "amp", "amps") with { Bare = true, Digits = 3 };
        yield return new(Current, "current", ampere, ampere, Unit("mA", 0.001, 0));
        yield return new(Resistance, "resistance", Unit("Ω", 1, 4, "ohm", "ohms"), Unit("Ω", 1, 4, "ohm", "ohms"), Unit("mΩ", 0.001, 2, "mohm", "milliohm"),
            Unit("kΩ", 1000, 2, "kohm", "kiloohm"), Unit("MΩ", 1e6, 2, "Mohm", "MOHM", "megaohm", "megohm"));
        yield return new(Charge, "charge", Unit("Ah", 1, 0), Unit("Ah", 1, 0));

        yield return Same(Angle, "angle", "°", 0, "deg", "degrees");
        yield return Same(Degrees, "angle", "°", 1, "deg", "degrees");
        yield return new(Latitude, "latitude", Unit("°", 1, 2, "deg", "n", "°n"), Unit("°", 1, 2, "deg", "n", "°n"), Unit("S", -1, 2, "°s"));
        yield return new(Longitude, "longitude", Unit("°", 1, 2, "deg", "e", "°e"), Unit("°", 1, 2, "deg", "e", "°e"), Unit("W", -1, 2, "°w"));
        yield return Same(HourOfDay, "time of day", "h", 0);
        var hour = Unit("h", 1, 1, "hour", "hours", "hr", "hrs") with { Bare = true };
        yield return new(Hours, "duration", hour, hour,
            Unit("min", 1.0 / 60, 0, "minutes"), Unit("d", 24, 1, "day", "days"));
        yield return new(Seconds, "duration", Unit("s", 1, 1, "sec", "seconds"), Unit("s", 1, 1, "sec", "seconds"),
            Unit("ms", 0.001, 0), Unit("min", 60, 1, "minutes"), Unit("h", 3600, 2, "hour", "hours"));
        yield return new(Milliseconds, "duration", Unit("ms", 0.001, 0), Unit("ms", 0.001, 0), Unit("s", 1, 3));
        yield return new(TimeMs, "time after the switch", Unit("ms", 1, 1), Unit("ms", 1, 1), Unit("s", 1000, 3, "sec", "seconds"));
        yield return new(Mass, "mass", Unit("kg", 1, 1, "kilogram") with { Bare = true, Digits = 3 },
            Unit("lb", 0.45359237, 1, "lbs", "pounds") with { Bare = true, Digits = 3 },
            Unit("g", 0.001, 0), Unit("oz", 0.45359237 / 16, 1));

        var pascal = Unit("Pa", 1, 0);
        var kilopascal = Unit("kPa", 1000, 1);
        var bar = Unit("bar", 1e5, 2);
        var psi = Unit("psi", PascalsPerPsi, 1);
        var megapascal = Unit("MPa", 1e6, 3);
        yield return new(AbsolutePressure, "absolute pressure", pascal, Unit("micron", PascalsPerMicron, 0, "microns", "mtorr"), kilopascal, bar,
            psi with { Symbol = "psia" }, megapascal, Unit("inHg", PascalsPerInchOfMercury, 2, "inhg"), Unit("Torr", 1000 * PascalsPerMicron, 2),
            Unit("mbar", 100, 1));
        var micron = Unit("micron", PascalsPerMicron, 0, "microns", "mtorr", "µm");
        yield return new(Vacuum, "absolute vacuum", micron, micron, pascal, Unit("Torr", 1000 * PascalsPerMicron, 2), Unit("mbar", 100, 1), kilopascal);
        yield return new(GaugePressure, "gauge pressure", bar, psi with { Aliases = ["psig"] }, pascal, kilopascal, megapascal,
            Unit("inHg", PascalsPerInchOfMercury, 2));
        yield return new(AirFlow, "air flow", Unit("L/s", 0.001, 1, "l/s"), Unit("CFM", CubicMetresPerSecondPerCfm, 0, "cfm"),
            Unit("m³/s", 1, 4, "m3/s"), Unit("m³/h", 1.0 / 3600, 1, "m3/h"));
        yield return new(Speed, "speed", Unit("m/s", 1, 1), Unit("mph", 0.44704, 1), Unit("km/h", 1 / 3.6, 1), Unit("kn", 1852.0 / 3600, 1, "knots"));
        yield return Same(Irradiance, "irradiance", "W/m²", 0, "w/m2");
        yield return new(ThermalTransmittance, "thermal transmittance", Unit("W/m²K", 1, 2, "w/m2k"),
            Unit("BTU/h·ft²·°F", WattsPerBtuPerHour / 0.09290304 * 1.8, 3));
        yield return new(ThermalResistance, "thermal resistance", Unit("m²K/W", 1, 3, "m2k/w"),
            Unit("h·ft²·°F/BTU", 0.09290304 / (WattsPerBtuPerHour * 1.8), 2));
        yield return Same(Conductivity, "conductivity", "W/mK", 3, "w/mk");
        yield return Same(Conductance, "heat loss", "W/K", 1);
        yield return Same(HeatCapacity, "heat capacity", "J/m²K", 0);
        yield return Same(SpecificHeat, "specific heat", "J/kgK", 0);
        yield return Same(HumidityRatio, "humidity ratio", "kg/kg", 5);
        yield return Same(Enthalpy, "enthalpy", "kJ/kg", 2);
        yield return Same(SpecificVolume, "specific volume", "m³/kg", 4);
        yield return Same(Density, "density", "kg/m³", 3);
        yield return new(Torque, "torque", Unit("N·m", 1, 1, "nm"), Unit("ft·lb", NewtonMetresPerFootPound, 1, "ftlb", "ft lb", "lbf·ft"));
        var newton = Unit("N", 1, 0, "newton", "newtons") with { Digits = 3 };
        yield return new(Force, "force", newton, Unit("lbf", PoundForce, 0) with { Digits = 3 }, Unit("kN", 1000, 2, "kn"));
        yield return new(Stress, "stress", megapascal with { Decimals = 0, Aliases = ["mpa", "N/mm²"] }, Unit("ksi", 1000 * PascalsPerPsi, 1), psi);
        yield return Same(Frequency, "frequency", "Hz", 1, "hz", "hertz");
        yield return new(Stiffness, "stiffness", Unit("N/mm", 1000, 0, "n/mm") with { Digits = 3 },
            Unit("lbf/in", PoundForce / 0.0254, 0, "lb/in") with { Digits = 3 }, Unit("N/m", 1, 0, "n/m"));
        yield return Same(ConductorArea, "conductor size", "mm²", 2, "mm2");
        yield return new(Fuel, "fuel", Unit("L", 1, 1, "litre", "litres"), Unit("gal", 3.785411784, 2), Unit("mL", 0.001, 0));
    }
}
