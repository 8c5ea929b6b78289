using Vanto.Core.Physics;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Physics;

public class MoistAirTests
{
    /// <summary>Reference library: psychrolib 1.1.1, 400 states, −30 to 55 °C, 3 to 100 %, 0 to 3500 m.</summary>
    [Fact]
    public void Agrees_with_the_reference_library()
    {
        double wetBulb = 0, dewPoint = 0, others = 0;
        foreach (var row in ReferenceTable.Read("psychrolib.csv"))
        {
            var (t, rh) = (row["dryBulbC"], row["rhPct"]);
            var p = Atmosphere.Pressure(row["elevationM"]);
            var w = MoistAir.RatioFromRh(t, rh, p);
            Relative(p, row["pressurePa"]);
            Relative(MoistAir.SaturationPressure(t), row["saturationPa"]);
            Relative(w, row["ratio"]);
            Relative(MoistAir.Enthalpy(t, w), row["enthalpyJ"]);
            Relative(MoistAir.SpecificVolume(t, w, p), row["volumeM3"]);
            dewPoint = Math.Max(dewPoint, Math.Abs(MoistAir.DewPoint(w, p) - row["dewPointC"]));
            wetBulb = Math.Max(wetBulb, Math.Abs(MoistAir.WetBulb(t, w, p) - row["wetBulbC"]));
        }
        others.ShouldBeLessThan(1e-12);
        dewPoint.ShouldBeLessThan(1e-6);
        wetBulb.ShouldBeLessThan(0.001, "the library's own tolerance is 0.001 K");

        void Relative(double ours, double theirs) => others = Math.Max(others, Math.Abs(ours / theirs - 1));
    }

    /// <summary>Steam-table saturation pressures, published, from memory.</summary>
    [Theory]
    [InlineData(10, 1228.1)]
    [InlineData(20, 2339.2)]
    [InlineData(25, 3169.8)]
    [InlineData(30, 4246.9)]
    [InlineData(40, 7385.1)]
    [InlineData(50, 12352)]
    public void Saturation_pressure_stands_in_the_steam_tables(double celsius, double pascal) =>
        MoistAir.SaturationPressure(celsius).ShouldBe(pascal, pascal * 3e-4);

    /// <summary>ASHRAE Fundamentals ch. 1, worked example read off the chart: 40 °C, wet bulb 20 °C (from memory).</summary>
    [Fact]
    public void The_handbooks_worked_example()
    {
        var w = MoistAir.RatioFromWetBulb(40, 20, Atmosphere.SeaLevelPa);
        w.ShouldBe(0.0065, 1.5e-4);
        (MoistAir.Enthalpy(40, w) / 1000).ShouldBe(56.7, 0.05);
        MoistAir.DewPoint(w, Atmosphere.SeaLevelPa).ShouldBe(7, 0.5);
        MoistAir.RelativeHumidity(40, w, Atmosphere.SeaLevelPa).ShouldBe(14, 0.1);
        MoistAir.SpecificVolume(40, w, Atmosphere.SeaLevelPa).ShouldBe(0.896, 5e-4);
    }

    /// <summary>Computed by an independent reference program; no published source.</summary>
    [Theory]
    [InlineData(35, 40, 0, 0.0141317, 19.3846, 23.9345, 71.4732, 0.892788)]
    [InlineData(24, 50, 2000, 0.0119008, 12.9464, 16.4920, 54.4391, 1.09348)]
    [InlineData(-10, 80, 0, 0.00127888, -12.4896, -10.6480, -6.88532, 0.747006)]
    [InlineData(30, 90, 0, 0.0243757, 28.1771, 28.5865, 92.5038, 0.892447)]
    [InlineData(45, 10, 600, 0.00639065, 6.36795, 20.6609, 61.7879, 0.978151)]
    public void States(double t, double rh, double elevation, double ratio, double dewPoint, double wetBulb, double enthalpy, double volume)
    {
        var p = Atmosphere.Pressure(elevation);
        var w = MoistAir.RatioFromRh(t, rh, p);
        w.ShouldBe(ratio, ratio * 1e-5);
        MoistAir.DewPoint(w, p).ShouldBe(dewPoint, 1e-4);
        MoistAir.WetBulb(t, w, p).ShouldBe(wetBulb, 1e-4);
        (MoistAir.Enthalpy(t, w) / 1000).ShouldBe(enthalpy, Math.Abs(enthalpy) * 1e-5);
        MoistAir.SpecificVolume(t, w, p).ShouldBe(volume, volume * 1e-5);
    }

    /// <summary>Computed by an independent reference program; no published source.</summary>
    [Theory]
    [InlineData(35, 0, 5627.82, 101325)]
    [InlineData(24, 2000, 2985.13, 79495.1)]
    [InlineData(-10, 0, 259.903, 101325)]
    [InlineData(30, 0, 4246.03, 101325)]
    [InlineData(45, 600, 9593.22, 94321.7)]
    public void Saturation_and_the_air_of_the_height(double t, double elevation, double saturation, double pressure)
    {
        MoistAir.SaturationPressure(t).ShouldBe(saturation, saturation * 2e-6);
        Atmosphere.Pressure(elevation).ShouldBe(pressure, 0.06);
    }

    /// <summary>Computed by an independent reference program; no published source.</summary>
    [Theory]
    [InlineData(43, 21.5, 250, 0.00770435, 9.69958, 63.1428, 0.934067)]
    [InlineData(35, 26, 0, 0.0175220, 22.7988, 80.1731, 0.897547)]
    public void States_from_a_wet_bulb(double t, double wetBulb, double elevation, double ratio, double dewPoint, double enthalpy, double volume)
    {
        var p = Atmosphere.Pressure(elevation);
        var w = MoistAir.RatioFromWetBulb(t, wetBulb, p);
        w.ShouldBe(ratio, ratio * 1e-5);
        MoistAir.DewPoint(w, p).ShouldBe(dewPoint, 1e-4);
        (MoistAir.Enthalpy(t, w) / 1000).ShouldBe(enthalpy, enthalpy * 1e-5);
        MoistAir.SpecificVolume(t, w, p).ShouldBe(volume, volume * 1e-5);
        MoistAir.WetBulb(t, w, p).ShouldBe(wetBulb, 1e-4);
    }

    [Fact]
    public void Humidity_goes_round_and_the_three_temperatures_stand_in_order()
    {
        for (var t = -20.0; t <= 50; t += 5)
            for (var rh = 5.0; rh <= 100; rh += 5)
            {
                var w = MoistAir.RatioFromRh(t, rh, 90000);
                MoistAir.RelativeHumidity(t, w, 90000).ShouldBe(rh, rh * 1e-10);
                var dew = MoistAir.DewPoint(w, 90000);
                var wet = MoistAir.WetBulb(t, w, 90000);
                dew.ShouldBeLessThanOrEqualTo(wet + 1e-6);
                wet.ShouldBeLessThanOrEqualTo(t + 1e-6);
                if (rh == 100)
                    dew.ShouldBe(t, 1e-6);
            }
    }
}
