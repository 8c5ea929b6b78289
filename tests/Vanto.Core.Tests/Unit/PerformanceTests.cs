using Vanto.Core.Physics;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Unit;

/// <summary>Check values computed by an independent reference program; no published source unless named.</summary>
public class PerformanceTests
{
    [Theory]
    [InlineData("RT-13-115", 35, 19.4444, 1, 1, 3960, 1530, false, false)]
    [InlineData("RT-13-115", 40, 19.4444, 0.95121, 1.1821, 3766.8, 1720.4, false, false)]
    [InlineData("RT-13-115", 46, 17, 0.84463, 1.5149, 3344.7, 1957.7, false, false)]
    [InlineData("RT-13-115", 38, 13, 0.90199, 1.1838, 3571.9, 1633.7, true, false)]
    [InlineData("MS-12-120", 40, 18, 0.92111, 1.1317, 3242.3, 979.85, false, false)]
    [InlineData("MS-12-120", 27, 18, 1.0511, 0.84567, 3699.9, 835.56, false, false)]
    [InlineData("MS-12-120", 15, 17, 1.1211, 0.66267, 3946.3, 698.35, false, true)]
    public void Full_load(string id, double outdoor, double wetBulb, double capacity, double input, double watts, double power, bool dry, bool low)
    {
        var point = Performance.FullLoad(UnitCatalogue.Find(id)!, outdoor, wetBulb);
        point.CapacityFactor.ShouldBe(capacity, 2e-4);
        point.InputRatioFactor.ShouldBe(input, 3e-4);
        point.CapacityW.ShouldBe(watts, watts * 2e-4);
        point.PowerW.ShouldBe(power, power * 2e-4);
        point.DryCoilHeld.ShouldBe(dry);
        point.LowAmbientHeld.ShouldBe(low);
    }

    [Theory]
    [InlineData("MS-12-120", 500, 35, 19.44444444, double.PositiveInfinity, true, RunMode.CyclingAtMin, 0.14205, 0.57143, 500, 123.33)]
    [InlineData("MS-12-120", 1500, 35, 19.44444444, double.PositiveInfinity, true, RunMode.Modulating, 0.42614, 1, 1500, 298.51)]
    [InlineData("MS-12-120", 3520, 35, 19.44444444, double.PositiveInfinity, true, RunMode.Modulating, 1, 1, 3520, 940)]
    [InlineData("MS-12-120", 5000, 35, 19.44444444, double.PositiveInfinity, true, RunMode.Max, 1.108, 1, 3900, 1108.9)]
    [InlineData("MS-12-120", 3000, 35, 19.44444444, 400, true, RunMode.PowerCapped, 0.54458, 1, 1916.9, 400)]
    [InlineData("MS-12-120", 3000, 35, 19.44444444, 150, true, RunMode.Blocked, 0, 0, 0, 28)]
    [InlineData("MS-24-240", 1500, 32, 18, double.PositiveInfinity, true, RunMode.CyclingAtMin, 0.21313, 0.79929, 1500, 367.03)]
    [InlineData("RT-13-115", 1000, 35, 19.44444444, double.PositiveInfinity, false, RunMode.Cycling, 0.25253, 0.31056, 1000, 478.6)]
    [InlineData("RT-13-115", 2500, 38, 18, double.PositiveInfinity, true, RunMode.Cycling, 0.67509, 0.73477, 2500, 1238.5)]
    [InlineData("RT-13-115", 4500, 35, 19.44444444, double.PositiveInfinity, false, RunMode.Full, 1, 1, 3960, 1530)]
    [InlineData("RT-13-115", 2500, 38, 18, 1400, true, RunMode.Blocked, 0, 0, 0, 130)]
    public void Part_load(string id, double demand, double outdoor, double wetBulb, double cap, bool fan, RunMode mode, double share, double run,
        double cooling, double power)
    {
        var unit = UnitCatalogue.Find(id)!;
        var result = Performance.Operate(unit, Performance.FullLoad(unit, outdoor, wetBulb), demand, cap, fan);
        result.Mode.ShouldBe(mode);
        result.Share.ShouldBe(share, 2e-4);
        result.RunTimeFraction.ShouldBe(run, 2e-4);
        result.CapacityW.ShouldBe(cooling, Math.Max(0.1, cooling * 2e-4));
        result.PowerW.ShouldBe(power, power * 2e-4);
    }

    [Theory]
    [InlineData(20, 50, 13.6993)] // Stull 2011, J. Appl. Meteorol. Climatol. 50: the paper's example, 13.7 °C (published)
    [InlineData(26.7, 50, 19.4597)]
    [InlineData(35, 40, 24.5142)]
    public void Wet_bulb_from_humidity(double t, double rh, double expected) => MoistAir.WetBulbFromRh(t, rh).ShouldBe(expected, 1e-3);

    [Theory]
    [InlineData(26.7, 19.44, 0.75)]
    [InlineData(25, 18.5, 0.7223)]
    [InlineData(26.7, 16.0, 0.9908)]
    [InlineData(24, 20.0, 0.5623)]
    public void Sensible_share(double dry, double wet, double expected) => Performance.SensibleShare(0.75, dry, wet).ShouldBe(expected, 1e-4);

    [Fact]
    public void Capacity_falls_and_input_rises_with_outdoor_heat()
    {
        foreach (var unit in UnitCatalogue.All)
            for (var wet = 15.0; wet <= 22; wet += 1)
                for (var outdoor = 20.0; outdoor < 50; outdoor += 1)
                {
                    var cooler = Performance.FullLoad(unit, outdoor, wet);
                    var hotter = Performance.FullLoad(unit, outdoor + 1, wet);
                    hotter.CapacityW.ShouldBeLessThan(cooler.CapacityW, unit.Id);
                    (hotter.PowerW / hotter.CapacityW).ShouldBeGreaterThan(cooler.PowerW / cooler.CapacityW, unit.Id);
                }
    }

    [Fact]
    public void The_catalogue_has_at_least_sixteen_classes_and_all_the_kinds()
    {
        UnitCatalogue.All.Count.ShouldBeGreaterThanOrEqualTo(16);
        UnitCatalogue.All.Select(u => u.Kind).Distinct().Count().ShouldBe(Enum.GetValues<AcKind>().Length);
        foreach (var unit in UnitCatalogue.All)
            (unit.RatedCapacityW / unit.RatedPowerW).ShouldBeInRange(1.5, 8, unit.Id);
    }
}

/// <summary>Capacity check values computed by an independent reference program; no published source.</summary>
public class CapacityTests
{
    [Theory]
    [InlineData(3517, 35, 19.4, 0, 1, 3517)]
    [InlineData(3517, 43, 17.9, 250, 1, 3091.50)]
    [InlineData(2640, 46, 18, 250, 0.85, 2183.24)]
    [InlineData(7000, 28, 17, 1600, 1, 6555.22)]
    public void Derate(double nominal, double outdoor, double wet, double elevation, double flow, double expected) =>
        Capacity.Derated(nominal, outdoor, wet, Atmosphere.Pressure(elevation), flow).ShouldBe(expected, expected * 1e-4);

    [Theory]
    [InlineData(27, 19, true, 0, 3500, 0.17, 2662.42, 837.577, 11.5071)]
    [InlineData(24, 50, false, 0, 2500, 0.12, 1843.75, 656.255, 8.94364)]
    [InlineData(40, 15, false, 0, 3500, 0.17, 3500, 0, 18.6758)]
    [InlineData(25, 70, false, 1500, 3500, 0.17, 1686.37, 1813.63, 13.4301)]
    public void Coil_split(double t, double humid, bool wetBulb, double elevation, double cooling, double flow, double sensible, double latent,
        double apparatus)
    {
        var p = Atmosphere.Pressure(elevation);
        var ratio = wetBulb ? MoistAir.RatioFromWetBulb(t, humid, p) : MoistAir.RatioFromRh(t, humid, p);
        var split = WetCoil.Split(t, ratio, cooling, flow, p);
        split.SensibleW.ShouldBe(sensible, 0.02);
        split.LatentW.ShouldBe(latent, 0.02);
        split.ApparatusDewPointC.ShouldBe(apparatus, 2e-4);
    }

    [Theory]
    [InlineData("van", 3438.41, 37.84, 0.95076)]
    [InlineData("bus", 5107.61, 43.12, 0.85027)]
    [InlineData("boat", 2800.78, 47.23, 0.78563)]
    public void Required_capacity(string name, double expected, double humidity, double share)
    {
        var room = Hour(name);
        var (nominal, settled) = Capacity.Required(room);
        nominal.ShouldBe(expected, expected * 5e-4);
        settled.RelativeHumidityPct.ShouldBe(humidity, 0.03);
        settled.SensibleShare.ShouldBe(share, 2e-4);
    }

    [Theory]
    [InlineData(3517, true, 80.7)]
    [InlineData(3517, false, 61.4)]
    [InlineData(7034, true, 97.1)]
    [InlineData(7034, false, 64.6)]
    public void Single_speed_in_the_mild_evening(double nominal, bool fanOn, double humidity) =>
        Capacity.SettledSingleSpeed(nominal, Hour("bus") with { SensibleW = 1118.13, OutdoorC = 28.65 }, fanOn).RelativeHumidityPct.ShouldBe(humidity, 0.15);

    [Theory]
    [InlineData(3517, 0, 56.4)]
    [InlineData(7034, 0, 67.6)]
    [InlineData(7034, 0.3, 67.9)]
    public void Modulating_in_the_mild_evening(double nominal, double minShare, double humidity) =>
        Capacity.SettledModulating(nominal, minShare, Hour("bus") with { SensibleW = 1118.13, OutdoorC = 28.65 }).RelativeHumidityPct.ShouldBe(humidity, 0.3);

    private static RoomHour Hour(string name) => name switch
    {
        "van" => new(2711.83, 140, 0.00636057, 0.00770435, 43.0, 25, Atmosphere.Pressure(250)),
        "bus" => new(4017.16, 90, 0.0265648, 0.0175532, 34.7, 24.5, Atmosphere.Pressure(12)),
        _ => new(2129.88, 180, 0.0155145, 0.0196638, 32.0, 25, Atmosphere.Pressure(0)),
    };
}
