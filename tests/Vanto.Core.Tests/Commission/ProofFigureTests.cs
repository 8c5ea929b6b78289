using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Tests.Commission;

/// <summary>Single figures of the proof; worked out outside this project by a second program, sources beside each.</summary>
public class ProofFigureTests
{
    private const double Psi = QuantityTable.PascalsPerPsi;
    private const double Sea = 101325;

    [Theory] // published equations, from memory
    [InlineData(RefrigerantKind.R410A, 12, 0.85e6, Sea, 6.3707)]
    [InlineData(RefrigerantKind.R410A, 12, 0.85e6, 84556, 6.9518)]
    [InlineData(RefrigerantKind.R32, 10, 130 * Psi, Sea, 3.4554)]
    [InlineData(RefrigerantKind.R134a, 14, 0.28e6, Sea, 6.4806)]
    [InlineData(RefrigerantKind.R407C, 10, 0.45e6, Sea, 4.7603)]
    public void Superheat(RefrigerantKind kind, double line, double gauge, double ambient, double expected) =>
        ChargeCheck.Superheat(kind, line, gauge, ambient).ShouldBe(expected, 1e-3);

    [Theory]
    [InlineData(RefrigerantKind.R410A, 35, 2.5e6, 7.9066)]
    [InlineData(RefrigerantKind.R32, 36, 2.6e6, 7.5712)]
    [InlineData(RefrigerantKind.R290, 40, 1.4e6, 4.0313)]
    public void Subcooling(RefrigerantKind kind, double line, double gauge, double expected) =>
        ChargeCheck.Subcooling(kind, line, gauge, Sea).ShouldBe(expected, 1e-3);

    [Theory] // a rule widely printed, from memory
    [InlineData(19, 35, 6.556)]
    [InlineData(17, 30, 6.056)]
    [InlineData(22, 27, 15.056)]
    [InlineData(14, 41, -3.944)]
    public void Target_superheat(double wet, double outdoor, double expected) => ChargeCheck.FixedOrificeTarget(wet, outdoor).ShouldBe(expected, 1e-3);

    [Theory] // ±5 % of these is a match
    [InlineData(RefrigerantKind.R32, 25, 1.5884)]
    [InlineData(RefrigerantKind.R410A, 35, 2.0370)]
    [InlineData(RefrigerantKind.R290, 15, 0.6302)]
    public void Pressure_at_rest(RefrigerantKind kind, double ambient, double mpa) =>
        (ChargeCheck.AtRestPa(kind, ambient, Sea) / 1e6).ShouldBe(mpa, 1e-4);

    [Theory] // ideal gas
    [InlineData(RefrigerantKind.R32, 0.02e6, 25, 3.0554)]
    [InlineData(RefrigerantKind.R410A, 0.05e6, 30, 5.2293)]
    [InlineData(RefrigerantKind.R290, 0, 20, 2.1997)]
    public void Gas_that_is_left(RefrigerantKind kind, double gauge, double t, double grams) =>
        (ChargeCheck.ResidualKg(kind, gauge, t + 273.15, 1.2e-3, Sea) * 1000).ShouldBe(grams, 1e-3);

    [Theory] // inside and litres a metre by outside; makers' typical, common practice
    [InlineData(6.35, 4.75, 17.7205)]
    [InlineData(9.52, 7.92, 49.2652)]
    [InlineData(12.7, 11.1, 96.7689)]
    [InlineData(15.88, 13.88, 151.3104)]
    [InlineData(19.05, 17.05, 228.3172)]
    [InlineData(6, 4, 12.566)]
    [InlineData(10, 8, 50.265)]
    public void Inside_of_a_tube(double outside, double bore, double mlm)
    {
        CopperTube.BoreM(outside / 1000).ShouldBe(bore / 1000, 1e-9);
        (CopperTube.VolumeM3m(outside / 1000) * 1e6).ShouldBe(mlm, 1e-3);
    }

    [Theory] // densities from memory
    [InlineData(RefrigerantKind.R410A, 4.75e-3, 17.28)]
    [InlineData(RefrigerantKind.R32, 4.75e-3, 15.82)]
    [InlineData(RefrigerantKind.R134a, 7.92e-3, 56.51)]
    [InlineData(RefrigerantKind.R290, 7.92e-3, 23.01)]
    [InlineData(RefrigerantKind.R407C, 4.75e-3, 18.87)]
    public void Liquid_in_a_metre(RefrigerantKind kind, double bore, double grams) => ChargeCheck.LiquidGm(kind, bore).ShouldBe(grams, 0.01);

    [Fact]
    public void Charge_for_a_longer_line()
    {
        ChargeCheck.AddedKg(9, 7.5, 20).ShouldBe(0.030, 1e-12);
        ChargeCheck.AddedKg(12, 5, 15).ShouldBe(0.105, 1e-12);
        ChargeCheck.AddedKg(3, 7.5, 20).ShouldBe(0);
    }

    [Theory]
    [InlineData(0.022, 2, 0.015, 9.215)]
    [InlineData(0.017, 2, 0.01, 10.6814)]
    [InlineData(0.029, 3, 0.02, 13.6659)]
    public void Round_a_nut(double nut, int passes, double speed, double seconds) => ChargeCheck.ScanS(nut, passes, speed).ShouldBe(seconds, 1e-3);

    [Theory] // common practice
    [InlineData(600, 800, 580, 650, 580, "the hose")]
    [InlineData(600, 500, 800, 650, 375, "three quarters of the gauge")]
    [InlineData(600, 1000, 800, 650, 600, "the unit")]
    public void The_least_rating_limits_a_test(double unit, double gauge, double hose, double fittings, double limit, string by)
    {
        var found = TestLimit.Of(unit * Psi, gauge * Psi, hose * Psi, fittings * Psi);
        found.LimitPa.ShouldBe(limit * Psi, 1e-6);
        found.By.ShouldBe(by);
    }

    [Fact]
    public void A_rating_that_is_not_known_names_itself() =>
        Should.Throw<InputException>(() => TestLimit.Of(600 * Psi, 800 * Psi, null, 650 * Psi)).Errors[0].Reason.ShouldContain("hose");

    [Theory] // common practice
    [InlineData(400, "110 200 300 400")]
    [InlineData(350, "110 200 300 350")]
    [InlineData(100, "100")]
    [InlineData(110, "110")]
    public void Nitrogen_goes_in_by_steps(double target, string steps) =>
        string.Join(' ', NitrogenPlan.Of(target * Psi).Select(s => Math.Round(s.GaugePa / Psi))).ShouldBe(steps);

    [Theory] // Gay-Lussac, published
    [InlineData(400, 15, 60, 464.763)]
    [InlineData(110, 5, 35, 123.449)]
    [InlineData(600, 20, 50, 662.906)]
    public void Warmed_it_stands_higher(double psi, double cold, double hot, double expected) =>
        (NitrogenPlan.HottestPa(psi * Psi, cold, hot, Sea) / Psi).ShouldBe(expected, 1e-3);

    [Theory] // isothermal exergy, published
    [InlineData(400 * Psi, 8150.2)]
    [InlineData(4.15e6, 14082.9)]
    [InlineData(110 * Psi, 1295.98)]
    public void Energy_in_the_gas(double gauge, double joule) => NitrogenPlan.StoredJ(gauge, 1.2e-3, Sea).ShouldBe(joule, joule * 1e-4);

    [Theory]
    [InlineData(0.27, 10, 0.203919)]
    [InlineData(0.5, 8, 0.196807)]
    [InlineData(1.4, 12, 0.186430)]
    public void Air_to_breathe(double gas, double room, double share) => NitrogenPlan.OxygenAfter(gas, room).ShouldBe(share, 1e-5);

    [Theory] // power factor and start by common practice
    [InlineData(250, 0.65, 5, 0.75, 0.90, 25, 384.615, 1923.08, 227.083)]
    [InlineData(400, 0.70, 6, 1, 0.88, 30, 571.429, 3428.57, 484.545)]
    [InlineData(180, 0.60, 4, 0.5, 0.92, 20, 300, 1200, 107.826)]
    public void What_a_pump_asks(double watts, double pf, double times, double hours, double efficiency, double idle, double va, double start, double wh)
    {
        var load = PumpLoad.Of(watts, pf, times);
        load.Va.ShouldBe(va, 1e-2);
        load.StartVa.ShouldBe(start, 1e-2);
        PumpLoad.EnergyWh(watts, hours, efficiency, idle).ShouldBe(wh, 1e-2);
    }

    /// <summary>The quick reckoning of drying agrees with the circuit followed step by step.</summary>
    [Theory]
    [InlineData(6e-5)]
    [InlineData(1e-4)]
    public void Drying_is_reckoned_as_the_circuit_dries(double boundKg)
    {
        var setup = new EvacuationSetup { BoundKg = boundKg };
        var seconds = EvacuationRig.SecondsToDry(setup, 1000 * QuantityTable.PascalsPerMicron)!.Value;
        var rig = new EvacuationRig(setup);
        while (rig.Seconds < seconds)
            rig.Step(pumping: true);
        while (rig.Seconds < seconds + 7200)
            rig.Step(pumping: false);
        // Levelled out, less what the walls give off meanwhile.
        (rig.Pa / QuantityTable.PascalsPerMicron).ShouldBeInRange(700, 1300);
    }
}
