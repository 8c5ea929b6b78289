using Vanto.Core.Physics;

namespace Vanto.Core.Tests.Physics;

/// <summary>Computed by an independent reference program, some by a second one; no published source unless named.</summary>
public class PowerTests
{
    [Theory]
    [InlineData(3000, 35, 100, 138.167)]
    [InlineData(3000, 35, 1000, 1081.67)]
    [InlineData(3000, 35, 3000, 3275)]
    [InlineData(1600, 15, 400, 432)]
    [InlineData(3000, 35, 0, 35)]
    public void Inverter_losses_both_ways(double rated, double idle, double ac, double dc)
    {
        var inverter = new InverterModel(rated, idle);
        inverter.DcPower(ac).ShouldBe(dc, 0.005);
        inverter.AcPower(inverter.DcPower(ac)).ShouldBe(ac, 1e-9);
    }

    [Theory]
    [InlineData(1800, 0, 25, 1800)]
    [InlineData(1800, 1500, 35, 1463.36)]
    [InlineData(3500, 2400, 30, 2513.26)]
    [InlineData(2000, 600, 40, 1812.05)]
    public void M10_a_generator_loses_by_altitude_and_heat(double rated, double altitude, double air, double left) =>
        (rated * Generators.DerateFactor(altitude, air)).ShouldBe(left, 0.01);

    [Theory]
    [InlineData(FuelKind.PetrolInverter, 1800, 900, 0.666)]
    [InlineData(FuelKind.Diesel, 5000, 2500, 1.0357)]
    [InlineData(FuelKind.Petrol, 3500, 1200, 1.475)]
    [InlineData(FuelKind.Lpg, 3500, 1200, 2.125)]
    public void Fuel(FuelKind fuel, double rated, double load, double litres) => Generators.FuelLitresPerHour(fuel, rated, load).ShouldBe(litres, 1e-4);

    [Fact]
    public void Bearing_curves_between_their_points()
    {
        BearingCurve.HighFrequencyInverter.AllowedSeconds(1.05).ShouldBe(315.59, 0.1);
        BearingCurve.HighFrequencyInverter.AllowedSeconds(1.75).ShouldBe(1.4559, 1e-3);
        BearingCurve.TransformerInverter.AllowedSeconds(2.5).ShouldBe(1.4081, 1e-3);
        BearingCurve.PowerStation.AllowedSeconds(1.3).ShouldBe(4.8031, 1e-3);
        BearingCurve.InverterGenerator(1800, 2200).AllowedSeconds(1.3).ShouldBe(4.0557, 1e-3);
        BearingCurve.BreakerNaMin.AllowedSeconds(1.5).ShouldBe(145.2, 0.1);
        BearingCurve.BreakerIecMin.AllowedSeconds(3.15).ShouldBe(0.6853, 1e-3);
        double.IsPositiveInfinity(BearingCurve.HighFrequencyInverter.AllowedSeconds(1)).ShouldBeTrue();
    }

    /// <summary>Areas: ASTM B258; NEC chapter 9 table 8 lists 5.261 and 8.367 mm² (published).</summary>
    [Theory]
    [InlineData(14, 0.17222)]
    [InlineData(10, 0.068116)]
    [InlineData(2, 0.010656)]
    public void Loop_resistance(double gauge, double ohm) => Conductors.LoopOhm(10, Core.Quantities.WireGauge.AreaMm2(gauge), 30).ShouldBe(ohm, ohm * 2e-4);

    [Theory]
    [InlineData(13.14, 0.0025, 3270, 261.91)]
    [InlineData(26.28, 0.008, 2000, 77.9533)]
    [InlineData(52.56, 0.022, 6000, 120.203)]
    public void Sag(double open, double ohm, double watts, double amps) => BatteryBank.DcSag(open, ohm, watts)!.Value.CurrentA.ShouldBe(amps, amps * 1e-5);

    [Fact]
    public void A_weak_bank_collapses() => BatteryBank.DcSag(12.3, 0.012, 3500).ShouldBeNull();

    [Theory]
    [InlineData(Chemistry.Lfp, 16, 100, 25, 1, 100, 52.56, 5.1914, 19.2, 32.64)]
    [InlineData(Chemistry.Lfp, 16, 100, 0, 1, 90, 52.56, 4.67226, 38.4, 65.28)]
    [InlineData(Chemistry.Agm, 12, 440, 25, 1, 440, 24.6, 10.8082, 2.2909, 3.6655)]
    [InlineData(Chemistry.Flooded, 6, 225, 10, 1, 200.25, 12.24, 2.45406, 4.608, 7.3728)]
    public void Bank(Chemistry chemistry, int cells, double ah, double temperature, double age, double charge, double open, double energyKWh, double middle, double low)
    {
        var bank = new BatteryBank(chemistry, cells, ah, temperature, age, extraResistance: 0);
        bank.CapacityAh.ShouldBe(charge, 1e-6);
        bank.OpenCircuitVoltage(0.5).ShouldBe(open, 1e-3);
        (bank.StoredJ(1) / 3.6e6).ShouldBe(energyKWh, energyKWh * 2e-4);
        (bank.Resistance(0.5) * 1000).ShouldBe(middle, middle * 2e-4);
        (bank.Resistance(0.05) * 1000).ShouldBe(low, low * 2e-4);
    }

    [Theory]
    [InlineData(0.8, -1500, 300, 0.78818080, -28.3661)]
    [InlineData(0.5, 1200, 300, 0.50940877, 22.6945)]
    public void Step_of_a_lithium_bank(double soc, double watts, double seconds, double after, double amps) =>
        Stepped(new BatteryBank(Chemistry.Lfp, 16, 200, extraResistance: 0.004), soc, watts, seconds, after, amps);

    [Theory]
    [InlineData(0.9, -1800, 900, 0.85346707, -71.1394)]
    [InlineData(0.6, 1000, 300, 0.60721789, 40.1163)]
    public void Step_of_a_lead_bank(double soc, double watts, double seconds, double after, double amps) =>
        Stepped(new BatteryBank(Chemistry.Agm, 12, 440), soc, watts, seconds, after, amps);

    private static void Stepped(BatteryBank bank, double soc, double watts, double seconds, double after, double amps)
    {
        var step = bank.Step(soc, watts, seconds);
        step.Soc.ShouldBe(after, 2e-7);
        step.CurrentA.ShouldBe(amps, Math.Abs(amps) * 1e-4);
        (watts * seconds).ShouldBe(step.StoredJ + step.LossW * seconds, Math.Abs(watts * seconds) * 1e-9);
    }

    [Fact]
    public void A_lithium_bank_in_frost_takes_no_charge()
    {
        new BatteryBank(Chemistry.Lfp, 16, 100, -5).ChargeAcceptance(0.5).ShouldBe(0);
        new BatteryBank(Chemistry.Agm, 6, 100, -5).ChargeAcceptance(0.5).ShouldBeGreaterThan(0);
    }

    [Fact]
    public void Modules_lose_by_heat()
    {
        var cell = 32 + Modules.RossCoefficient(ModuleMounting.LittleRearAir) * 950;
        cell.ShouldBe(64.49, 1e-9);
        Modules.Power(6, 410, 950, cell).ShouldBe(1780.43, 0.01);
    }
}
