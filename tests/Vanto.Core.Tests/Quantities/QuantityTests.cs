using CsCheck;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Tests.Quantities;

public class QuantityTests
{
    /// <summary>NIST SP 811 (2008), appendix B, and exact definitions (published).</summary>
    [Theory]
    [InlineData("12000 btu", Power, 3516.85284)]
    [InlineData("9000 btu/h", Power, 2637.63963)]
    [InlineData("1 ton", Power, 3516.85284)]
    [InlineData("140 °F", Temperature, 60)]
    [InlineData("18 f", TemperatureDifference, 10)]
    [InlineData("5 cfm", AirFlow, 2.359737216e-3)]
    [InlineData("600 psi", GaugePressure, 4136854.3759)]
    [InlineData("500 micron", Vacuum, 66.66118421)]
    [InlineData("12.75 ft·lb", Torque, 17.28667884)]
    [InlineData("335 ft2", Area, 31.1225184)]
    [InlineData("1 gal", Volume, 3.785411784e-3)]
    [InlineData("1 lb", Mass, 0.45359237)]
    [InlineData("1 inHg", AbsolutePressure, 3386.389)]
    [InlineData("1 ft", Length, 0.3048)]
    [InlineData("1 in", SmallLength, 0.0254)]
    [InlineData("10 mph", Speed, 4.4704)]
    public void Factors(string typed, QuantityKind kind, double inside) =>
        QuantityParser.Parse(typed, kind, UnitSystem.Metric).ShouldBe(inside, Math.Abs(inside) * 1e-9);

    [Theory]
    [InlineData("12 ft 6 1/2", Length, UnitSystem.Metric, false, 3.8227)]
    [InlineData("12' 6 1/2\"", Length, UnitSystem.Metric, false, 3.8227)]
    [InlineData("3.8m", Length, UnitSystem.Customary, false, 3.8)]
    [InlineData("12", Length, UnitSystem.Customary, false, 3.6576)]
    [InlineData("1 1/4", SmallLength, UnitSystem.Customary, false, 0.03175)]
    [InlineData("10awg", ConductorArea, UnitSystem.Metric, false, 5.26115)]
    [InlineData("2/0 awg", ConductorArea, UnitSystem.Metric, false, 67.4309)]
    [InlineData("12k btu", Power, UnitSystem.Metric, false, 3516.85284)]
    [InlineData("-5°C", Temperature, UnitSystem.Metric, false, -5)]
    [InlineData("-5 °F", Temperature, UnitSystem.Metric, false, -20.5555556)]
    [InlineData("1,5 kW", ElectricPower, UnitSystem.Metric, true, 1500)]
    [InlineData("1,500", ElectricPower, UnitSystem.Metric, false, 1500)]
    [InlineData("1.500,5", ElectricPower, UnitSystem.Metric, true, 1500.5)]
    [InlineData("21:30", HourOfDay, UnitSystem.Metric, false, 21.5)]
    [InlineData("34 S", Latitude, UnitSystem.Metric, false, -34)]
    [InlineData("113.4 W", Longitude, UnitSystem.Metric, false, -113.4)]
    [InlineData("65 %", Fraction, UnitSystem.Metric, false, 0.65)]
    [InlineData("2 h 30", Hours, UnitSystem.Metric, false, 2.5)]
    public void Typed(string typed, QuantityKind kind, UnitSystem system, bool comma, double inside) =>
        QuantityParser.Parse(typed, kind, system, comma).ShouldBe(inside, 1e-4);

    [Theory]
    [InlineData("", Length)]
    [InlineData("abc", Length)]
    [InlineData("12 kg", Length)]
    [InlineData("1/0", Length)]
    [InlineData("12 m 3", Length)]
    [InlineData("25:00", HourOfDay)]
    [InlineData("1..2", Length)]
    [InlineData("∞", Length)]
    [InlineData("NaN", Length)]
    [InlineData("1e9", Length)]
    public void Refused_with_words(string typed, QuantityKind kind) =>
        Should.Throw<QuantityFormatException>(() => QuantityParser.Parse(typed, kind, UnitSystem.Metric)).Message.Length.ShouldBeGreaterThan(8);

    [Fact]
    public void Every_unit_goes_round_to_1e_12() =>
        Gen.Double[-1e6, 1e6].Each(value =>
        {
            foreach (var quantity in QuantityTable.All)
                foreach (var unit in quantity.All)
                    unit.FromInside(unit.ToInside(value)).ShouldBe(value,
                        Math.Max(1e-9, Math.Abs(value)) * 1e-12 + Math.Abs(unit.Offset / unit.Factor) * 1e-15 * 10);
        }, iter: 200);

    [Fact]
    public void Any_text_is_read_or_refused_in_words() =>
        Gen.String.Each(text =>
        {
            foreach (var kind in Enum.GetValues<QuantityKind>())
                try
                {
                    double.IsFinite(QuantityParser.Parse(text, kind, UnitSystem.Metric)).ShouldBeTrue();
                }
                catch (QuantityFormatException e)
                {
                    e.Message.ShouldNotBeEmpty();
                }
        }, iter: 400);

    /// <summary>ASTM B258 (published): diameters in mm.</summary>
    [Theory]
    [InlineData(0, 8.25146)]
    [InlineData(4, 5.18940)]
    [InlineData(10, 2.58819)]
    [InlineData(12, 2.05253)]
    [InlineData(14, 1.62773)]
    public void Wire_gauge(double gauge, double millimetres) => WireGauge.DiameterMm(gauge).ShouldBe(millimetres, 1e-5);

    [Theory]
    [InlineData(3516.85284, Power, UnitSystem.Customary, "12,000 BTU/h")]
    [InlineData(25, Temperature, UnitSystem.Customary, "77 °F")]
    [InlineData(3220, Power, UnitSystem.Customary, "11,000 BTU/h")]
    [InlineData(250, Power, UnitSystem.Customary, "853 BTU/h")]
    [InlineData(27, Temperature, UnitSystem.Customary, "80.6 °F")]
    [InlineData(25, Temperature, UnitSystem.Metric, "25 °C")]
    [InlineData(45.66, Temperature, UnitSystem.Metric, "45.7 °C")]
    [InlineData(5.6, Length, UnitSystem.Customary, "18 ft 4 in")]
    [InlineData(1.892, Length, UnitSystem.Customary, "6 ft 2½ in")]
    [InlineData(0.19, Length, UnitSystem.Customary, "7½ in")]
    [InlineData(0.0127, Length, UnitSystem.Customary, "½ in")]
    [InlineData(3.048, Length, UnitSystem.Customary, "10 ft")]
    [InlineData(-0.381, Length, UnitSystem.Customary, "-1 ft 3 in")]
    [InlineData(1500, Length, UnitSystem.Customary, "4,921 ft")]
    [InlineData(410, Length, UnitSystem.Metric, "410 m")]
    [InlineData(3.3088, ConductorArea, UnitSystem.Customary, "3.31 mm², 12 AWG")]
    [InlineData(10, ConductorArea, UnitSystem.Customary, "10.00 mm², between 8 and 6 AWG")]
    [InlineData(240, ConductorArea, UnitSystem.Customary, "240.00 mm²")]
    [InlineData(3.3088, ConductorArea, UnitSystem.Metric, "3.31 mm²")]
    [InlineData(187.4, Current, UnitSystem.Metric, "187 A")]
    [InlineData(312.4, Mass, UnitSystem.Metric, "312 kg")]
    [InlineData(14400, QuantityKind.Energy, UnitSystem.Metric, "14.4 kWh")]
    [InlineData(1530, ElectricPower, UnitSystem.Metric, "1.53 kW")]
    [InlineData(26.5, HourOfDay, UnitSystem.Metric, "02:30")]
    [InlineData(-1e-12, QuantityKind.Energy, UnitSystem.Metric, "0 Wh")]
    [InlineData(-0.0004, QuantityKind.Temperature, UnitSystem.Metric, "0 °C")]
    [InlineData(0.65, Fraction, UnitSystem.Metric, "65 %")]
    public void Shown(double inside, QuantityKind kind, UnitSystem system, string text) => Display.Text(inside, kind, system).ShouldBe(text);

    [Fact]
    public void Every_kind_has_one_row() => QuantityTable.All.Select(q => q.Kind).ShouldBe(Enum.GetValues<QuantityKind>(), ignoreOrder: true);

    [Theory]
    [InlineData("5 MΩ", QuantityKind.Resistance, 5e6)]
    [InlineData("5 mΩ", QuantityKind.Resistance, 5e-3)]
    [InlineData("5 Mohm", QuantityKind.Resistance, 5e6)]
    [InlineData("5 mohm", QuantityKind.Resistance, 5e-3)]
    [InlineData("5 MOHM", QuantityKind.Resistance, 5e6)]
    [InlineData("5 kohm", QuantityKind.Resistance, 5e3)]
    [InlineData("200 mv", QuantityKind.Voltage, 0.2)]
    [InlineData("2 mpa", QuantityKind.GaugePressure, 2e6)]
    [InlineData("3 MM", QuantityKind.Length, 0.003)]
    [InlineData("3 Min", QuantityKind.Seconds, 180)]
    public void Milli_and_mega_are_told_apart(string typed, QuantityKind kind, double inside) =>
        QuantityParser.Parse(typed, kind).ShouldBe(inside, 1e-9 * inside);

    [Theory]
    [InlineData("2 mPa", QuantityKind.GaugePressure)]
    [InlineData("200 MV", QuantityKind.Voltage)]
    [InlineData("3 Ms", QuantityKind.Milliseconds)]
    public void The_other_prefix_of_a_unit_is_no_spelling_of_it(string typed, QuantityKind kind) =>
        Should.Throw<QuantityFormatException>(() => QuantityParser.Parse(typed, kind));
}
