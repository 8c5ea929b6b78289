using Vanto.Core.Physics;

namespace Vanto.Core.Tests.Physics;

/// <summary>Computed by an independent reference program; geometry exact, bridging by the zone method (from memory).</summary>
public class ShadeAndBridgeTests
{
    [Theory]
    [InlineData(45, 270, 270, 2.4, 0.1, 1.9, 9, 5, 0, 0.555556)]
    [InlineData(30, 180, 180, 1.0, 0.2, 0.6, 1, 3, 0, 1)]
    [InlineData(50, 225, 180, 1.0, 0.2, 0.6, 1, 1.2, 0, 0.678651)]
    [InlineData(50, 225, 180, 1.0, 0.2, 0.6, 1, 1.2, 0.5, 0.941601)]
    [InlineData(50, 30, 180, 1.0, 0.2, 0.6, 1, 1.2, 0.5, 0)]
    public void Awning(double zenith, double azimuth, double face, double depth, double gap, double height, double width, double awning, double offset,
        double shaded) =>
        Shading.AwningShaded(new SunAngles(zenith, azimuth, 0), face, depth, gap, height, width, awning, offset).ShouldBe(shaded, 1e-5);

    [Fact]
    public void Sky_beside_obstructions()
    {
        Shading.AwningSky(2.4, 0.1, 1.9).ShouldBe(0.380009, 1e-6);
        Shading.AwningSky(1.0, 0.2, 0.6).ShouldBe(0.434702, 1e-6);
        Shading.HorizonSky(30, 90).ShouldBe(0.5, 1e-12);
        Shading.HorizonSky(30, 0).ShouldBe(0.933013, 1e-6);
        Shading.Obstruction(5, 5).ShouldBe(45, 1e-9);
        Shading.Behind(new SunAngles(80, 355, 0), 340, 20, 15).ShouldBeTrue();
        Shading.Behind(new SunAngles(80, 30, 0), 340, 20, 15).ShouldBeFalse();
        Shading.Behind(new SunAngles(70, 355, 0), 340, 20, 15).ShouldBeFalse();
    }

    [Fact]
    public void Metal_ribs_by_the_zone_method()
    {
        Layer[] van = [Layer.Of("steel", 0.0009), Layer.Of("pe-foam", 0.025), Layer.Of("plywood", 0.006)];
        var steel = Bridging.ZoneMethod(van, 1, 0.040, 0.006, 0.0018, 50, 0.400, 0.13, 0.04);
        steel.ZoneM.ShouldBe(0.066, 1e-9);
        steel.U.ShouldBe(1.69780, 1e-4);
        steel.ClearU.ShouldBe(1.18882, 1e-4);
        Bridging.ZoneMethod(van, 1, 0.040, 0.006, 0.003, 160, 0.500, 0.13, 0.04).U.ShouldBe(1.63301, 1e-4);
        Layer[] container = [Layer.Of("steel", 0.002), Layer.Of("pir", 0.075), Layer.Of("plywood", 0.012)];
        Bridging.ZoneMethod(container, 1, 0.050, 0.012, 0.0012, 50, 0.600, 0.13, 0.04).U.ShouldBe(0.615044, 1e-5);
    }

    [Fact]
    public void Bridging_only_adds_and_vanishes_with_its_web()
    {
        Layer[] wall = [Layer.Of("steel", 0.001), Layer.Of("xps", 0.05), Layer.Of("plywood", 0.009)];
        var before = 0.0;
        foreach (var metal in new[] { 0.034, 1, 16, 50, 160 })
        {
            var bridged = Bridging.ZoneMethod(wall, 1, 0.04, 0.01, 0.002, metal, 0.4, 0.13, 0.06);
            (bridged.U - bridged.ClearU).ShouldBeGreaterThanOrEqualTo(before - 1e-9);
            before = bridged.U - bridged.ClearU;
        }
        Bridging.ParallelPath(0.375536, 0.859951, 0.15).ShouldBe(0.448199, 1e-5);
    }

    [Theory]
    [InlineData(13.5, 0.9, 1.7, 25, 43, 20, 0.302459, 4.87555)]
    [InlineData(24, 0.6, 1.2, 25, 32, 10, 0.0752507, 0.740833)]
    [InlineData(13.5, 0.9, 1.7, 20, -10, 20, 0.410324, 6.14925)]
    public void Door(double volume, double width, double height, double inside, double outside, double seconds, double flow, double changed)
    {
        var (f, c) = AirExchange.Door(volume, width, height, inside, outside, seconds);
        f.ShouldBe(flow, 1e-6);
        c.ShouldBe(changed, 1e-5);
    }

    [Fact]
    public void Breath_flames_and_animals()
    {
        AirExchange.CarbonDioxidePpm(1, 0, 5).ShouldBe(1460, 1e-6);
        AirExchange.CarbonDioxidePpm(4, 0, 13.3).ShouldBe(1983.91, 0.01);
        AirExchange.CarbonDioxidePpm(0, 2, 3).ShouldBe(2820, 1e-6);
        AirExchange.AnimalW(3.0).ShouldBe(19.9457, 1e-4);
        AirExchange.AnimalW(10.3).ShouldBe(50.3079, 1e-4);
        AirExchange.AnimalW(22.7).ShouldBe(90.9971, 1e-3);
        AirExchange.PropaneLatent.ShouldBe(0.0795, 1e-4);
    }
}
