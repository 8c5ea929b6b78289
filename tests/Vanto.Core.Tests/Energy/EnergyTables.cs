using Vanto.Core.Energy;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>Single steps, degrees, hand budgets and lone banks of the check rigs. Computed by an independent reference program; no published source.</summary>
public class EnergyTables
{
    [Theory]
    [InlineData("A1", 0, 0.935856, 28.1242, 1010.16, 3295.11, 180.575, -899.584, RunMode.Max)]
    [InlineData("A1", 1, 0.921614, 26.4808, 1009.09, 3298.32, 173.756, -905.338, RunMode.Max)]
    [InlineData("A1", 24, 0.857748, 26, 141.124, 624.065, 0, -211.124, RunMode.CyclingAtMin)]
    [InlineData("A1", 120, 0.611944, 24, 87.4158, 309.263, 0, -117.416, RunMode.CyclingAtMin)]
    [InlineData("A1", 168, 0.534269, 26, 134.431, 629.718, 191.307, 26.8763, RunMode.CyclingAtMin)]
    [InlineData("A1", 240, 0.578670, 26, 368.827, 1594.35, 384.749, -14.0779, RunMode.Modulating)]
    [InlineData("B1", 0, 0.994195, 28.6331, 1118.23, 3779.69, 776.503, -754.734, RunMode.Max)]
    [InlineData("B1", 6, 0.950249, 27, 557.692, 2382.52, 595.348, -1455.59, RunMode.Modulating)]
    [InlineData("B1", 24, 0.869841, 27, 252.352, 1311.07, 0, -612.097, RunMode.Modulating)]
    [InlineData("B1", 120, 0.546011, 25, 118.027, 599.081, 0, -294.989, RunMode.CyclingAtMin)]
    [InlineData("B1", 168, 0.476690, 27, 307.472, 1671.37, 822.668, 330.639, RunMode.Modulating)]
    [InlineData("B1", 240, 0.791406, 27, 985.139, 3400.43, 1647.54, 440.877, RunMode.Modulating)]
    [InlineData("C1", 0, 0.991527, 27.0901, 901.144, 3306.04, 100.708, -1058.66, RunMode.Max)]
    [InlineData("C1", 24, 0.931344, 26, 102.442, 524.834, 0, -305.662, RunMode.CyclingAtMin)]
    [InlineData("C1", 168, 0.709914, 25.2671, 22, 0, 105.949, -33.0315, RunMode.Off)]
    [InlineData("C1", 256, 0.619353, 26, 236.507, 1272.45, 193.65, -168.542, RunMode.Modulating)]
    [InlineData("C1", 264, 0.609148, 26, 217.413, 1183.87, 176.198, -166.008, RunMode.Modulating)]
    [InlineData("C1", 400, 0.738530, 25, 54.3223, 219.927, 0, -172.43, RunMode.CyclingAtMin)]
    public void Single_steps(string rig, int step, double soc, double cabinC, double airconW, double coolingW, double sunW, double batteryW, RunMode mode)
    {
        var run = CheckRigs.Run(rig);
        run.Soc[step].ShouldBe(soc, 3e-6);
        run.AirC[step].ShouldBe(cabinC, 1e-3);
        run.AirconW[step].ShouldBe(airconW, 2e-4 * airconW);
        run.CoolingW[step].ShouldBe(coolingW, 2e-4 * coolingW + 1e-9);
        run.PvW[step].ShouldBe(sunW, 2e-4 * sunW + 1e-9);
        run.BatteryW[step].ShouldBe(batteryW, 3e-4 * Math.Abs(batteryW) + 0.01);
        run.Mode[step].ShouldBe(mode);
    }

    [Theory]
    [InlineData(-1, 13006, 2192.6, 0.37351)]
    [InlineData(1, 8989.16, -1824.3, 0.5147)]
    [InlineData(2, 7449.5, -3363.9, 0.57273)]
    public void What_degrees_cost_the_bus(double shift, double airconWh, double differenceWh, double minSoc)
    {
        var run = CheckRigs.Run("B1", setpointShift: shift);
        run.Ledger.AirconWh.ShouldBe(airconWh, 2e-4 * airconWh);
        (run.Ledger.AirconWh - CheckRigs.Run("B1").Ledger.AirconWh).ShouldBe(differenceWh, 2e-3 * Math.Abs(differenceWh));
        run.MinSoc.ShouldBe(minSoc, 2e-5);
    }

    [Theory]
    [InlineData("A1", 830, 24, 0.35, 0, 0, 51.2, 0.8, 1000, 0, 7972, 155.7, 194.63, 5733.2, 0.39, 0.2376)]
    [InlineData("B1", 940, 24, 0.5, 0.90, 35, 51.2, 0.8, 1080, 3402.5, 18233.9, 356.13, 445.16, 16756.9, 0.088, 0.4793)]
    [InlineData("C1", 680, 48, 0.25, 0.88, 15, 24, 0.5, 2880, 2560, 15781.8, 657.58, 1315.2, 13047.4, 0.21, 0.2042)]
    public void By_hand_against_simulated(string rig, double plateW, double hours, double duty, double efficiency, double idleW, double nominalV, double depth,
        double dcWh, double acWh,
        double handWh, double chargeAh, double bankAh, double simulatedWh, double apart, double dutyFound)
    {
        var hand = HandBudget.Of(plateW, hours, duty, acWh, dcWh, efficiency, idleW, nominalV, depth);
        hand.DcWh.ShouldBe(handWh, 2e-4 * handWh);
        hand.ChargeAh.ShouldBe(chargeAh, 2e-4 * chargeAh);
        hand.BankAh.ShouldBe(bankAh, 2e-4 * bankAh);
        var run = CheckRigs.Run(rig);
        var found = run.Ledger.AirconWh + run.Ledger.DcLoadWh + run.Ledger.AcLoadWh + run.Ledger.InverterLossWh;
        found.ShouldBe(simulatedWh, 2e-4 * simulatedWh);
        (hand.DcWh / found - 1).ShouldBe(apart, 1e-3);
        run.DutyAgainstRated.ShouldBe(dutyFound, 1e-4);
    }

    [Theory]
    [InlineData(Chemistry.Lfp, 16, 100, 0.95, 0.2, 240, 16.464)]
    [InlineData(Chemistry.Lfp, 16, 200, 1.0, 0.2, 560, 15.075)]
    [InlineData(Chemistry.Agm, 12, 440, 1.0, 0.5, 250, 22.144)]
    public void Hours_between_two_charges(Chemistry chemistry, int cells, double ampHours, double from, double to, double watts, double hours)
    {
        var bank = new BatteryBank(chemistry, cells, ampHours);
        ((bank.StoredJ(from) - bank.StoredJ(to)) / 3600 / watts).ShouldBe(hours, 2e-4 * hours);
    }

    /// <summary>The limit case in which both must agree: steady demand, no sun, a bank without resistance.</summary>
    [Fact]
    public void Without_sun_and_at_a_steady_draw_the_simulation_is_the_hand_budget()
    {
        const int steps = 144;
        double[] Flat(double value) => [.. Enumerable.Repeat(value, steps)];
        var inverter = new InverterModel(3000, 30, 0.10, 0);
        var run = EnergySimulation.Run(new EnergyCase
        {
            Unit = UnitCatalogue.Find("MS-12-120")!,
            Bank = new BatteryBank(Chemistry.Lfp, 16, 400, extraResistance: 0),
            StepS = 300,
            OutdoorC = Flat(30),
            IrradianceWm2 = Flat(0),
            SetpointC = Flat(25),
            DcLoadW = Flat(50),
            AcLoadW = Flat(100),
            Inverter = new EnergyInverter(inverter, 3000),
            AirconW = Flat(400),
        });
        // 10 % lost in proportion is an efficiency of 1/1.1.
        var hand = HandBudget.Of(800, 12, 0.5, 1200, 600, 1 / 1.1, 30, 51.2, 0.8);
        var found = run.Ledger.AirconWh + run.Ledger.AcLoadWh + run.Ledger.DcLoadWh + run.Ledger.InverterLossWh;
        found.ShouldBe(hand.DcWh, 1e-6 * hand.DcWh);
        run.Ledger.PvUsedWh.ShouldBe(0);
        (run.Ledger.StoredWh + run.Ledger.BatteryLossWh).ShouldBe(-hand.DcWh, 1e-6 * hand.DcWh);
    }

    [Fact]
    public void A_charge_and_an_equal_discharge_of_a_perfect_bank_end_where_they_began()
    {
        // Efficiency and resistance cannot be taken from a bank; at the smallest currents they vanish for lithium but for its 0.5 %.
        var bank = new BatteryBank(Chemistry.Lfp, 16, 1e6, extraResistance: 0);
        var run = new BankRun(bank, 0.5, 300);
        run.TryStep(1000, 0.05, out _).ShouldBeTrue();
        run.TryStep(-1000 * bank.Cell.CoulombicEfficiency, 0.05, out _).ShouldBeTrue();
        run.Soc.ShouldBe(0.5, 1e-10);
    }

    [Theory]
    [InlineData(60, 0.005)]
    [InlineData(900, 0.015)]
    public void The_lowest_charge_of_a_day_hangs_little_on_the_step(int stepS, double within)
    {
        // The van's day of the check rigs at another step: hours at the middle of each.
        var steps = 86400 / stepS;
        var hours = Enumerable.Range(0, steps).Select(k => (18 + (k + 0.5) * stepS / 3600.0) % 24).ToArray();
        bool In(double h, double from, double to) => from < to ? h >= from && h < to : h >= from || h < to;
        double[] Map(Func<double, double> f) => [.. hours.Select(f)];
        var outdoor = Map(h => 31 + 6 * Math.Cos(2 * Math.PI * (h - 15) / 24));
        var sun = Map(h => h is > 6 and < 20 ? 900 * Math.Sin(Math.PI * (h - 6) / 14) : 0);
        var run = EnergySimulation.Run(
            new EnergyCase
            {
                Unit = UnitCatalogue.Find("DR-30-48")!,
                Bank = new BatteryBank(Chemistry.Lfp, 16, 100, extraResistance: 0.006),
                StepS = stepS,
                OutdoorC = outdoor,
                IrradianceWm2 = sun,
                SetpointC = Map(h => In(h, 21, 7) ? 24 : 26),
                DcLoadW = Map(h => In(h, 18, 23) || In(h, 6, 8) ? 70 : 30),
                AcLoadW = new double[steps],
                Modules = new EnergyModules(3, 200),
                AlternatorW = Map(h => In(h, 16, 17.5) ? 1000 : 0),
                StartSoc = 0.95,
            },
            new LumpedCabin(55, 400e3, outdoor, [.. hours.Select((h, i) => 0.80 * sun[i] + (In(h, 18, 8) ? 150 : 0))], 30, 18.0));
        run.MinSoc.ShouldBe(CheckRigs.Run("A1").MinSoc, within);
    }
}
