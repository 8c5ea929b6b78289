using Vanto.Core.Energy;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>Three invented check rigs computed by a reference program (several by a second one); no published source.</summary>
public class EnergySimulationTests
{
    [Theory]
    [InlineData("A1", 4733.2, 20987.9, 1000, 3747.22, 0, 0, 25.591, -623.986, 0.53385, 0.83307, 23.917, 0.13535, null, null)]
    [InlineData("A2", 4733.2, 20987.9, 1000, 3747.22, 0, 0, 6.4171, -2104.81, 0.17697, 0.19728, 23.917, 0.13535, null, null)]
    [InlineData("A3", 3600.49, 15853, 1000, 0, 0, 0, 12.667, -4613.16, 0.068984, 0.068984, 20.167, 42.539, 20.25, null)]
    [InlineData("B1", 10813.4, 44623.1, 4482.5, 16071.1, 0, 1460.98, 49.998, -1217.93, 0.44903, 0.88644, 23.417, 0.34112, null, null)]
    [InlineData("B2", 10813.4, 44623.1, 4482.5, 16071.1, 0, 1460.98, 60.423, -1228.35, 0.30847, 0.85667, 23.417, 0.34112, null, null)]
    [InlineData("B3", 5742, 29070.2, 4482.5, 16071.1, 4243.13, 1187.93, 60.715, 0, 0.50973, 1, 10.5, 53.16, null, null)]
    [InlineData("C1", 6665.08, 35411.3, 5440, 4190.1, 0, 942.349, 464.54, -1396.71, 0.5988, 0.87587, 47.917, 0.049172, null, null)]
    [InlineData("C2", 4019.96, 21137.6, 4123.33, 4190.1, 0, 752.394, 131, -4962.29, 0.40091, 0.55288, 29, 121.02, 28.75, 33.167)]
    public void Check_rigs(string name, double aircon, double cooling, double loads, double pv, double curtailed, double inverter, double battery,
        double stored,
        double minSoc, double endSoc, double held, double unmet, double? airOff, double? cutOff)
    {
        var result = CheckRigs.Run(name);
        var ledger = result.Ledger;
        ledger.AirconWh.ShouldBe(aircon, aircon * 2e-4);
        result.CoolingWh.ShouldBe(cooling, cooling * 2e-4);
        (ledger.DcLoadWh + ledger.AcLoadWh).ShouldBe(loads, loads * 2e-4);
        ledger.PvAvailableWh.ShouldBe(pv, pv * 2e-4 + 1e-9);
        ledger.CurtailedWh.ShouldBe(curtailed, curtailed * 2e-4 + 1e-3);
        ledger.InverterLossWh.ShouldBe(inverter, inverter * 2e-4 + 1e-9);
        ledger.BatteryLossWh.ShouldBe(battery, battery * 2e-4);
        ledger.StoredWh.ShouldBe(stored, Math.Abs(stored) * 2e-4 + 1e-3);
        result.MinSoc.ShouldBe(minSoc, 2e-5);
        result.EndSoc.ShouldBe(endSoc, 2e-5);
        result.HeldHours.ShouldBe(held, 0.001);
        result.UnmetKelvinHours.ShouldBe(unmet, unmet * 5e-4);
        Close(result.AirOffHour, airOff);
        Close(result.CutOffHour, cutOff);
        ledger.ResidualWh.ShouldBe(0, 1e-9 * ledger.ThroughputWh);

        static void Close(double? actual, double? expected)
        {
            if (expected is { } hour)
                actual!.Value.ShouldBe(hour, 0.001);
            else
                actual.ShouldBeNull();
        }
    }

    [Fact]
    public void Generator_hours_and_fuel()
    {
        var result = CheckRigs.Run("C1");
        result.GeneratorHours.ShouldBe(5, 1e-9);
        result.FuelLitres.ShouldBe(2.9643, 6e-4);
        result.Ledger.GeneratorWh.ShouldBe(8971.24, 2);
    }

    [Theory]
    [InlineData("D1", 14769.3, 34575.3, 22, 9.4333, 25.4692, 1.481)]
    [InlineData("D2", 15185.2, 34401.4, 47, 9.7, 25.0544, 1.4018)]
    [InlineData("D3", 15090.2, 34575.3, 22, 9.4333, 25.4692, 1.481)]
    [InlineData("D4", 16770.4, 39938.4, 11, 10.717, 24.561, 2.373)]
    [InlineData("D5", 60, 0, 0, 0, 39.3264, 150.53)]
    public void Thermostat_of_a_single_speed_unit(string name, double aircon, double cooling, int starts, double hours, double end, double unmet)
    {
        var result = CheckRigs.Thermostat(name);
        result.Ledger.AirconWh.ShouldBe(aircon, aircon * 2e-4);
        result.CoolingWh.ShouldBe(cooling, cooling * 2e-4 + 1e-9);
        result.CompressorStarts.ShouldBe(starts);
        result.CompressorHours.ShouldBe(hours, 0.001);
        result.AirC[^1].ShouldBe(end, 0.001);
        result.UnmetKelvinHours.ShouldBe(unmet, unmet * 5e-4);
    }

    [Fact]
    public void More_battery_or_more_modules_never_lower_the_lowest_charge_while_nothing_is_shed()
    {
        var before = 0.0;
        foreach (var ampHours in new[] { 150, 200, 260, 340 })
        {
            var lowest = CheckRigs.Run("B1", ampHours: ampHours).MinSoc;
            lowest.ShouldBeGreaterThanOrEqualTo(before);
            before = lowest;
        }
        CheckRigs.Run("B1", modules: 8).MinSoc.ShouldBeGreaterThanOrEqualTo(CheckRigs.Run("B1", modules: 6).MinSoc);
    }

    [Fact]
    public void A_warmer_set_point_never_costs_more() =>
        CheckRigs.Run("B1", setpointShift: 1).Ledger.AirconWh.ShouldBeLessThan(CheckRigs.Run("B1").Ledger.AirconWh);
}

/// <summary>The check rigs.</summary>
internal static class CheckRigs
{
    public static EnergyResult Run(string name, double? ampHours = null, int? modules = null, double setpointShift = 0)
    {
        var steps = name[0] == 'C' ? 576 : 288;
        var hours = Enumerable.Range(0, steps).Select(k => (18 + (k + 0.5) / 12) % 24).ToArray();
        bool In(double h, double from, double to) => from < to ? h >= from && h < to : h >= from || h < to;
        double[] Map(Func<double, double> f) => [.. hours.Select(f)];
        double Sun(double h, double peak) => h is > 6 and < 20 ? peak * Math.Sin(Math.PI * (h - 6) / 14) : 0;
        double Air(double h, double mean, double swing) => mean + swing * Math.Cos(2 * Math.PI * (h - 15) / 24);
        switch (name[0])
        {
            case 'A':
                var outA = Map(h => Air(h, 31, 6));
                var sunA = Map(h => Sun(h, 900));
                return EnergySimulation.Run(
                    new EnergyCase
                    {
                        Unit = UnitCatalogue.Find("DR-30-48")!,
                        Bank = new BatteryBank(Chemistry.Lfp, 16, 100, extraResistance: 0.006),
                        StepS = 300,
                        OutdoorC = outA,
                        IrradianceWm2 = sunA,
                        SetpointC = Map(h => In(h, 21, 7) ? 24 : 26),
                        DcLoadW = Map(h => In(h, 18, 23) || In(h, 6, 8) ? 70 : 30),
                        AcLoadW = new double[steps],
                        Modules = new EnergyModules(name == "A3" ? 0 : 3, 200),
                        AlternatorW = name == "A1" ? Map(h => In(h, 16, 17.5) ? 1000 : 0) : null,
                        StartSoc = name == "A2" ? 0.60 : 0.95,
                    },
                    new LumpedCabin(55, 400e3, outA, [.. hours.Select((h, i) => 0.80 * sunA[i] + (In(h, 18, 8) ? 150 : 0))], 30, 18.0));
            case 'B':
                var outB = Map(h => Air(h, 32, 6));
                var sunB = Map(h => Sun(h, 950));
                return EnergySimulation.Run(
                    new EnergyCase
                    {
                        Unit = UnitCatalogue.Find("MS-12-120")!,
                        Bank = new BatteryBank(Chemistry.Lfp, 16, ampHours ?? 200, ageCapacity: name == "B2" ? 0.8 : 1, ageResistance: name == "B2" ? 1.5 : 1,
                            extraResistance: 0.003),
                        StepS = 300,
                        OutdoorC = outB,
                        IrradianceWm2 = sunB,
                        SetpointC = Map(h => (In(h, 21, 7) ? 25 : 27) + setpointShift),
                        DcLoadW = Map(_ => 45),
                        AcLoadW = Map(h => In(h, 18.5, 18.75) || In(h, 7, 7.25) ? 1300 : In(h, 18, 22) ? 260 : 90),
                        Inverter = new EnergyInverter(new InverterModel(3000, 35), 3000),
                        Modules = new EnergyModules(modules ?? 6, 410),
                        PowerCapW = name == "B3" ? 300 : double.PositiveInfinity,
                    },
                    new LumpedCabin(125, 1400e3, outB, [.. hours.Select((h, i) => 1.60 * sunB[i] + (In(h, 17, 9) ? 280 : 0))], 29, 18.5));
            default:
                var outC = Map(h => Air(h, 28, 4));
                var sunC = Map(h => Sun(h, 850));
                return EnergySimulation.Run(
                    new EnergyCase
                    {
                        Unit = UnitCatalogue.Find("MS-26-230")!,
                        Bank = new BatteryBank(Chemistry.Agm, 12, 440, extraResistance: 0.002),
                        StepS = 300,
                        OutdoorC = outC,
                        IrradianceWm2 = sunC,
                        SetpointC = Map(h => In(h, 21, 8) ? 25 : 26),
                        DcLoadW = Map(_ => 60),
                        AcLoadW = Map(h => In(h, 18, 22) ? 120 : 40),
                        Inverter = new EnergyInverter(new InverterModel(1600, 15), 1600),
                        Modules = new EnergyModules(2, 180, 0.85),
                        Levels = BatteryLevels.Lead,
                        Generator = name == "C1" ? new EnergyGenerator(1800, 1800, FuelKind.Diesel) : null,
                        GeneratorAllowed = [.. hours.Select(h => In(h, 8, 21))],
                        ChargerAcMaxW = 1600,
                        ChargerEfficiency = 0.88,
                    },
                    new LumpedCabin(60, 700e3, outC, [.. hours.Select((h, i) => 0.80 * sunC[i] + (In(h, 18, 9) ? 210 : 0))], 28, 19.0));
        }
    }

    public static EnergyResult Thermostat(string name)
    {
        double[] Flat(double value) => [.. Enumerable.Repeat(value, 720)];
        return EnergySimulation.Run(
            new EnergyCase
            {
                Unit = UnitCatalogue.Find("RT-13-115")!,
                Bank = new BatteryBank(Chemistry.Lfp, 4, 100),
                StepS = 60,
                OutdoorC = Flat(36),
                IrradianceWm2 = Flat(0),
                SetpointC = Flat(name == "D4" ? 24 : 25),
                DcLoadW = Flat(0),
                AcLoadW = Flat(0),
                ShoreW = Flat(name == "D5" ? 1200 : 2000),
                FanOn = name == "D3",
                HysteresisK = name == "D2" ? 0.3 : 1.0,
            },
            new LumpedCabin(150, 900e3, Flat(36), Flat(500), 30, 18));
    }
}
