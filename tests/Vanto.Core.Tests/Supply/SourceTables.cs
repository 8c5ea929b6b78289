using Vanto.Core.Quantities;
using Vanto.Core.Supply;

namespace Vanto.Core.Tests.Supply;

/// <summary>
/// Inverters, generators, breakers, cables, banks and modules by the table. Computed by an independent reference program; no published source
/// unless named.
/// </summary>
public class SourceTables
{
    [Theory]
    [InlineData(3000, 35, 100, 0.72376)]
    [InlineData(3000, 35, 1000, 0.9245)]
    [InlineData(3000, 35, 3000, 0.91603)]
    [InlineData(1600, 15, 400, 0.92593)]
    public void Efficiency_of_an_inverter(double rated, double idle, double acW, double efficiency) =>
        (acW / new InverterModel(rated, idle).DcPower(acW)).ShouldBe(efficiency, 1e-5);

    [Fact]
    public void Alternating_power_from_two_kilowatts_of_direct() => new InverterModel(3000, 35).AcPower(2000).ShouldBe(1852.25, 0.01);

    [Theory]
    [InlineData(25, 3000)]
    [InlineData(-10, 3000)]
    [InlineData(45, 2400)]
    [InlineData(60, 1950)]
    public void Continuous_watts_by_the_heat_it_stands_in(double ambientC, double watts) =>
        new InverterModel(3000, 35).ContinuousW(ambientC).ShouldBe(watts, 1e-9);

    [Theory]
    [InlineData(FuelKind.PetrolInverter, 1800, 0, 0.234, null)]
    [InlineData(FuelKind.PetrolInverter, 1800, 900, 0.666, 1.3514)]
    [InlineData(FuelKind.PetrolInverter, 1800, 1800, 1.098, 1.6393)]
    [InlineData(FuelKind.Diesel, 5000, 2500, 1.0357, 2.4137)]
    [InlineData(FuelKind.Petrol, 3500, 1200, 1.475, 0.81356)]
    [InlineData(FuelKind.Lpg, 3500, 1200, 2.125, 0.56471)]
    public void Fuel_and_what_a_litre_gives(FuelKind fuel, double rated, double load, double litresAnHour, double? kWhPerLitre)
    {
        var burnt = Generators.FuelLitresPerHour(fuel, rated, load);
        burnt.ShouldBe(litresAnHour, 1e-4);
        if (kWhPerLitre is { } yield)
            (load / 1000 / burnt).ShouldBe(yield, 2e-4 * yield);
    }

    /// <summary>
    /// Anchors published: UL 489 (135 % in an hour, 200 % in 2 or 4 minutes), IEC 60898-1 (1.45 in an hour, 2.55 in a minute); between them common
    /// practice.
    /// </summary>
    [Theory]
    [InlineData(1.2, 961.4, double.PositiveInfinity, double.PositiveInfinity, 1342, double.PositiveInfinity)]
    [InlineData(1.5, 145.2, 1447, 1742, 46.92, 2815)]
    [InlineData(2.0, 20, 120, 240, 5.824, 349.4)]
    [InlineData(2.5, 10.31, 65.55, 131.1, 1.154, 69.27)]
    [InlineData(3.15, 5.256, 35.65, 71.31, 0.6853, 36.21)]
    [InlineData(4.0, 2.748, 20.3, 40.61, 0.4471, 20.46)]
    [InlineData(6.0, 0.9795, 7.836, 15.67, 0.3, 12)]
    public void Bands_of_breakers(double ratio, double naMin, double naMaxSmall, double naMaxLarge, double iecMin, double iecMax)
    {
        Near(BearingCurve.BreakerNaMin, ratio, naMin);
        Near(BearingCurve.BreakerNaMaxSmall, ratio, naMaxSmall);
        Near(BearingCurve.BreakerNaMaxLarge, ratio, naMaxLarge);
        Near(BearingCurve.BreakerIecMin, ratio, iecMin);
        Near(BearingCurve.BreakerIecMax, ratio, iecMax);
    }

    [Theory]
    [InlineData(1.05, 315.59, null, 221.32, null)]
    [InlineData(1.1, null, 837.35, null, 219.87)]
    [InlineData(1.3, 15.736, null, 4.8031, 4.0557)]
    [InlineData(1.45, null, null, null, 0.821)]
    [InlineData(1.75, 1.4559, 15.845, 0.29118, null)]
    [InlineData(2.5, null, 1.4081, null, null)]
    public void What_classes_of_source_bear(double ratio, double? highFrequency, double? transformer, double? powerStation, double? inverterGenerator)
    {
        foreach (var (curve, seconds) in new[] { (BearingCurve.HighFrequencyInverter, highFrequency), (BearingCurve.TransformerInverter, transformer),
            (BearingCurve.PowerStation, powerStation), (BearingCurve.InverterGenerator(1800, 2200), inverterGenerator) })
            if (seconds is { } s)
                Near(curve, ratio, s);
    }

    private static void Near(BearingCurve curve, double ratio, double seconds)
    {
        if (double.IsPositiveInfinity(seconds))
            curve.AllowedSeconds(ratio).ShouldBe(double.PositiveInfinity);
        else
            curve.AllowedSeconds(ratio).ShouldBe(seconds, 4e-4 * seconds);
    }

    [Fact]
    public void A_curve_never_bears_more_for_longer()
    {
        foreach (var curve in new[] { BearingCurve.HighFrequencyInverter, BearingCurve.TransformerInverter, BearingCurve.PowerStation,
            BearingCurve.ManagementBoard, BearingCurve.BreakerNaMin, BearingCurve.BreakerIecMax })
        {
            var before = double.PositiveInfinity;
            for (var ratio = 0.9; ratio < 8; ratio += 0.01)
            {
                var seconds = curve.AllowedSeconds(ratio);
                seconds.ShouldBeLessThanOrEqualTo(before);
                before = seconds;
            }
        }
    }

    /// <summary>Areas: ASTM B258, published; copper at temperature: IACS, published. NEC chapter 9 table 8 lists the areas within 0.1 %.</summary>
    [Theory]
    [InlineData(14, 2.0809, 0.17222, 0.55573, 2.08)]
    [InlineData(12, 3.3088, 0.10831, 0.3495, 3.31)]
    [InlineData(10, 5.2612, 0.068116, 0.2198, 5.261)]
    [InlineData(8, 8.3656, 0.042839, 0.13824, 8.367)]
    [InlineData(6, 13.302, 0.026942, 0.086938, 13.30)]
    [InlineData(2, 33.631, 0.010656, 0.034386, 33.62)]
    public void Cables(double gauge, double areaMm2, double tenMetres, double thirtyMetresHot, double listedMm2)
    {
        var area = WireGauge.AreaMm2(gauge);
        area.ShouldBe(areaMm2, 2e-4 * areaMm2);
        area.ShouldBe(listedMm2, 1e-3 * listedMm2);
        Conductors.LoopOhm(10, area, 30).ShouldBe(tenMetres, 2e-4 * tenMetres);
        Conductors.LoopOhm(30, area, 50).ShouldBe(thirtyMetresHot, 2e-4 * thirtyMetresHot);
    }

    [Theory]
    [InlineData(13.14, 0.0025, 3270, 12.4852, 17266)]
    [InlineData(26.28, 0.008, 2000, 25.6564, 21582.5)]
    [InlineData(52.56, 0.022, 6000, 49.9155, 31392.7)]
    public void Volts_left_and_the_most_a_bank_delivers(double open, double ohm, double watts, double volts, double mostW)
    {
        BatteryBank.DcSag(open, ohm, watts)!.Value.Voltage.ShouldBe(volts, 2e-4 * volts);
        BatteryBank.DcSag(open, ohm, 0.9999 * mostW).ShouldNotBeNull();
        BatteryBank.DcSag(open, ohm, 1.0001 * mostW).ShouldBeNull();
    }

    /// <summary>Peukert 1897, published.</summary>
    [Theory]
    [InlineData(100, 1.12, 5, 20, 100)]
    [InlineData(100, 1.12, 25, 3.2975, 82.437)]
    [InlineData(225, 1.25, 40, 4.0963, 163.85)]
    [InlineData(440, 1.12, 60, 6.5015, 390.09)]
    public void Hours_of_a_lead_bank(double ampHours, double exponent, double amperes, double hours, double delivered)
    {
        var found = Peukert.Hours(ampHours, 20, exponent, amperes);
        found.ShouldBe(hours, 2e-4 * hours);
        (found * amperes).ShouldBe(delivered, 2e-4 * delivered);
    }

    [Theory]
    [InlineData(Chemistry.Lfp, 16, 100, 25, 1, 53.32, 4.221, 50, 32)]
    [InlineData(Chemistry.Lfp, 16, 100, 0, 1, 53.32, 3.7989, 50, 32)]
    [InlineData(Chemistry.Lfp, 4, 280, 25, 0.8, 13.33, 2.36376, 140, 89.6)]
    [InlineData(Chemistry.Agm, 12, 440, 25, 1, 25.3872, 8.73375, 110, 17.6)]
    [InlineData(Chemistry.Flooded, 6, 225, 10, 1, 12.53, 1.97515, 33.75, 9)]
    public void Charge_that_a_bank_takes_and_energy_to_a_fifth(Chemistry chemistry, int cells, double ampHours, double temperatureC, double age,
        double openHigh, double usableKWh, double chargeAtMiddle, double chargeNearFull)
    {
        var bank = new BatteryBank(chemistry, cells, ampHours, temperatureC, age, extraResistance: 0);
        bank.OpenCircuitVoltage(0.85).ShouldBe(openHigh, 2e-4 * openHigh);
        ((bank.StoredJ(1) - bank.StoredJ(0.2)) / 3.6e6).ShouldBe(usableKWh, 2e-4 * usableKWh);
        // At 0 °C the acceptance itself is that of the chemistry; the board's refusal is another matter.
        if (temperatureC > 0)
        {
            bank.ChargeAcceptance(0.6).ShouldBe(chargeAtMiddle, 2e-4 * chargeAtMiddle);
            bank.ChargeAcceptance(0.97).ShouldBe(chargeNearFull, 2e-4 * chargeNearFull);
        }
    }

    [Theory]
    [InlineData(Chemistry.Lfp, 16, 200, 0.004, 0.8, -1500, 300, 10.943, 0, 0, -453283)]
    [InlineData(Chemistry.Lfp, 16, 200, 0.004, 0.5, 1200, 300, 7.0046, 5.965, 0, 356109)]
    [InlineData(Chemistry.Agm, 12, 440, 0, 0.9, -1800, 900, 10.048, 0, 273.74, -1875410)]
    [InlineData(Chemistry.Agm, 12, 440, 0, 0.6, 1000, 300, 3.5639, 49.822, 0, 283984)]
    [InlineData(Chemistry.Lfp, 4, 100, 0, 0.12, -900, 60, 34.963, 0, 0, -56097.8)]
    public void Losses_of_a_step(Chemistry chemistry, int cells, double ampHours, double extra, double soc, double watts, double seconds, double resistive,
        double coulombic, double peukert, double storedJ)
    {
        var step = new BatteryBank(chemistry, cells, ampHours, extraResistance: extra).Step(soc, watts, seconds);
        step.ResistiveW.ShouldBe(resistive, 2e-4 * resistive);
        step.CoulombicW.ShouldBe(coulombic, 2e-4 * coulombic);
        step.PeukertW.ShouldBe(peukert, 2e-4 * peukert);
        step.StoredJ.ShouldBe(storedJ, 2e-4 * Math.Abs(storedJ));
    }

    [Theory]
    [InlineData(Chemistry.Lfp, 16, 200, 0.004, 0.98, 300, 46, 2521.94, 200, 10159.3)]
    [InlineData(Chemistry.Lfp, 16, 200, 0.004, 0.06, 300, 100, 5094.34, 24, 1128.34)]
    [InlineData(Chemistry.Agm, 12, 440, 0, 0.85, 900, 70.4, 1800.11, 440, 10604.3)]
    public void The_most_that_a_step_takes_and_gives(Chemistry chemistry, int cells, double ampHours, double extra, double soc, double seconds, double chargeA,
        double chargeW, double dischargeA, double dischargeW)
    {
        var bank = new BatteryBank(chemistry, cells, ampHours, extraResistance: extra);
        var (inA, inW) = bank.MaxCharge(soc, seconds);
        inA.ShouldBe(chargeA, 2e-4 * chargeA);
        inW.ShouldBe(chargeW, 2e-4 * chargeW);
        var (outA, outW) = bank.MaxDischarge(soc, seconds, 0.05);
        outA.ShouldBe(dischargeA, 2e-4 * dischargeA);
        outW.ShouldBe(dischargeW, 2e-4 * dischargeW);
        new BankRun(bank, soc, seconds).Acceptable(1e6).ShouldBe(inW, 1e-6 * inW, "the run takes as much");
    }

    /// <summary>Ross by mounting: Nordmann and Clavadetscher 2003, from memory. NOCT: IEC 61215 conditions, published. Faiman 2008, from memory.</summary>
    [Theory]
    [InlineData(CellModel.Mounting, ModuleMounting.LittleRearAir, 45, 0, 32, 950, 64.49, 1780.43)]
    [InlineData(CellModel.Mounting, ModuleMounting.WellCooled, 45, 0, 32, 950, 51, 1874.76)]
    [InlineData(CellModel.Noct, ModuleMounting.LittleRearAir, 45, 0, 20, 800, 45, 1614.07)]
    [InlineData(CellModel.Noct, ModuleMounting.LittleRearAir, 47, 0, 32, 950, 64.0625, 1783.42)]
    [InlineData(CellModel.Wind, ModuleMounting.LittleRearAir, 45, 1, 32, 950, 61.8367, 1798.99)]
    [InlineData(CellModel.Wind, ModuleMounting.LittleRearAir, 45, 0, 35, 1000, 75, 1796.78)]
    public void Cells_and_power_of_six_modules(CellModel model, ModuleMounting mounting, double noctC, double windMs, double airC, double sun, double cellC,
        double watts)
    {
        var cell = airC + Modules.CellRise(model, mounting, noctC, windMs) * sun;
        cell.ShouldBe(cellC, 1e-4);
        Modules.Power(6, 410, sun, cell).ShouldBe(watts, 2e-4 * watts);
    }

    [Fact]
    public void Every_mounting_has_its_own_heat_and_glued_runs_hottest()
    {
        var rises = Enum.GetValues<ModuleMounting>().Select(Modules.RossCoefficient).ToList();
        rises.Distinct().Count().ShouldBe(rises.Count);
        rises.Max().ShouldBe(Modules.RossCoefficient(ModuleMounting.Glued));
    }
}
