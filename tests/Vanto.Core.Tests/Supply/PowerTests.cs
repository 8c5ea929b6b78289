using Vanto.Core.Supply;

namespace Vanto.Core.Tests.Supply;

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
    public void Bank(Chemistry chemistry, int cells, double ah, double temperature, double age, double charge, double open, double energyKWh, double middle,
        double low)
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
}
