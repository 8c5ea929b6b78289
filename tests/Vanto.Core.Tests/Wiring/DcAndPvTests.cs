using Vanto.Core.Wiring;

namespace Vanto.Core.Tests.Wiring;

/// <summary>Battery and modules. ABYC E-11, ISO 13297, NEC 690 and fuse classes recalled; physics of circuits published.</summary>
public class DcAndPvTests
{
    private static DcCable.Ask Boat(double amps, double metres, double volts) =>
        new(RuleBook.MarineAmerican, amps, metres, volts, 0.03, WireInsulation.C105, false, 30, 1);

    [Theory]
    [InlineData(2000, 0.90, 10.5, 211.640)]
    [InlineData(3000, 0.88, 11.0, 309.917)]
    [InlineData(5000, 0.93, 46, 116.877)]
    [InlineData(6000, 0.85, 11.0, 641.711)]
    public void An_inverter_draws(double watts, double efficiency, double volts, double amps)
    {
        DcCable.InverterA(watts, efficiency, volts).ShouldBe(amps, 0.001);
        DcCable.InverterA(watts, efficiency, 2 * volts).ShouldBe(amps / 2, 0.001);
    }

    [Fact]
    public void A_battery_cable_is_found()
    {
        DcCable.Cmil(309.917, 1.2, 0.36).ShouldBe(72869.8, 0.5);
        DcCable.Of(Boat(309.917, 1.2, 12))!.Size.ShouldBe(WireSize.Awg2Of0);
        DcCable.Of(Boat(309.917, 1.2, 12) with { EngineSpace = true })!.Size.ShouldBe(WireSize.Awg3Of0);
        DcCable.Of(Boat(116.877, 4, 48))!.Size.ShouldBe(WireSize.Awg6);
        DcCable.Of(Boat(211.640, 3, 12))!.Size.ShouldBe(WireSize.Awg2Of0);
        DcCable.Of(Boat(500, 3, 12)).ShouldBeNull("one cable is not enough");
        var two = DcCable.Of(Boat(500, 3, 12) with { Parallels = 2 })!;
        (two.Count, two.Size).ShouldBe((2, WireSize.Awg3Of0));
        var building = new DcCable.Ask(RuleBook.NorthAmerica, 116.877, 4, 48, 0.03, WireInsulation.C90, false, 30, 1);
        DcCable.Of(building)!.Size.ShouldBe(WireSize.Awg1Of0);
        DcCable.SectionMm2(100, 2, 0.36).ShouldBe(18.2222, 1e-3);
        DcCable.Of(new DcCable.Ask(RuleBook.MarineIso, 100, 2, 12, 0.03, WireInsulation.C75, false, 30, 1))!.Size.ShouldBe(WireSize.Sq25);
    }

    /// <summary>ABYC E-11's chart for 3 % at 12 V, there and back 10 to 60 ft; recalled.</summary>
    [Theory]
    [InlineData(5, "18 16 14 12 12 10 10 10")]
    [InlineData(10, "14 12 10 10 10 8 6 6")]
    [InlineData(100, "4 2 2 1 1/0 2/0 3/0 4/0")]
    public void The_formula_gives_the_chart(double amps, string row)
    {
        var feet = new[] { 10.0, 15, 20, 25, 30, 40, 50, 60 };
        var found = feet.Select(f => Conductor.Series(true).First(c => c.LeastCmil > 0 && c.LeastCmil >= DcCable.Cmil(amps, f * 0.3048 / 2, 0.36)).Size);
        string.Join(' ', found.Select(s => Vanto.Core.Quantities.Calls.Name(s).Replace(" AWG", ""))).ShouldBe(row);
    }

    [Fact]
    public void Cables_side_by_side_share_by_what_they_conduct()
    {
        var ohm = Conductor.Of(WireSize.Awg2Of0).OhmM75;
        var uneven = DcCable.Share(200, [(1.5, ohm), (1.8, ohm)]);
        uneven[0].ShouldBe(109.091, 0.001);
        uneven[1].ShouldBe(90.9091, 0.001);
        var mixed = DcCable.Share(400, [(1.5, Conductor.Of(WireSize.Awg4Of0).OhmM75), (1.5, ohm)]);
        mixed[0].ShouldBe(245.587, 0.001);
        mixed.Sum().ShouldBe(400, 1e-9);
        DcCable.CopperKg(2, 1.2, 67.43).ShouldBe(1.46746, 1e-4);
    }

    [Fact]
    public void A_bank_gives_into_a_short()
    {
        BankShort.Amps(13.6, 0.008 + 0.0006, 2).ShouldBe(3162.79, 0.01);
        BankShort.Amps(53.6, 16 * 0.00018 + 0.002 + 0.001, 2).ShouldBe(18231.3, 1);
        BankShort.Amps(12.8, 0.005, 1, 0.0013).ShouldBe(2031.75, 0.01);
    }

    [Fact]
    public void A_fuse_protects_interrupts_and_stands_near()
    {
        DcFuse.RatingA(FuseClass.ClassT, 309.917).ShouldBe(400);
        DcFuse.MostA(RuleBook.MarineAmerican, 330).ShouldBe(495);
        DcFuse.InterruptsA(FuseClass.Post, 58.4).ShouldBeNull("58 V is its limit");
        DcFuse.InterruptsA(FuseClass.Post, 14.6).ShouldBe(5000, "a bank of four cells is charged above the 14 V row");
        DcFuse.InterruptsA(FuseClass.ClassT, 58.4).ShouldBe(20000);
        DcFuse.InterruptsA(FuseClass.Anl, 14.6)!.Value.ShouldBeLessThan(6500);
        DcFuse.MostA(RuleBook.MarineIso, 120).ShouldBeLessThan(1.25 * 116.877);
        DcFuse.FarthestM(RuleBook.MarineAmerican, false, true).ShouldBe(0.178);
        DcFuse.FarthestM(RuleBook.MarineAmerican, true, false).ShouldBe(1.02);
        DcFuse.FarthestM(RuleBook.MarineAmerican, true, true).ShouldBe(1.83);
        DcFuse.FarthestM(RuleBook.MarineIso, false, true).ShouldBe(0.2);
        DcFuse.MeltsS(DcFuse.StripCurve, 470.0 / 300)!.Value.ShouldBe(19.5791, 1e-3);
        DcFuse.MeltsS(DcFuse.StripCurve, 2).ShouldBe(1);
        DcFuse.MeltsS(DcFuse.StripCurve, 641.711 / 250)!.Value.ShouldBe(0.584589, 1e-5);
        DcFuse.MeltsS(DcFuse.StripCurve, 1).ShouldBeNull();
    }

    [Theory]
    [InlineData(0.020, 53.6, 50, 1, 2.99573, 28.7296, 1.072, 57.4592)]
    [InlineData(0.010, 26.8, 22, 0.22, 0.659061, 3.5912, 1.21818, 32.6473)]
    [InlineData(0.060, 13.6, 10, 0.6, 1.79744, 5.5488, 1.36, 18.496)]
    public void Capacitors_are_filled_first(double farad, double volts, double ohm, double tau, double seconds, double joules, double amps, double watts)
    {
        var p = Precharge.Of(farad, volts, ohm);
        p.TauS.ShouldBe(tau, 1e-9);
        p.EnergyJ.ShouldBe(joules, 1e-4);
        p.SecondsTo95.ShouldBe(seconds, 1e-4);
        p.PeakA.ShouldBe(amps, 1e-4);
        p.PeakW.ShouldBe(watts, 1e-3);
        if (farad == 0.020)
            p.MissingV(volts, 3).ShouldBe(2.66859, 1e-4);
    }

    [Fact]
    public void Bars_and_studs()
    {
        Busbar.Amps(20, 5).ShouldBe(155);
        Busbar.Amps(25.4, 6.35).ShouldBe(250, 0.01);
        Busbar.ThroughStudA([400, -200, -200]).ShouldBe(400);
        Busbar.StudA(8).ShouldBe(300);
    }

    [Fact]
    public void Wires_of_the_modules_on_a_hot_roof()
    {
        PvCircuit.BeforeA(13.9, 1).ShouldBe(21.7188, 1e-3);
        PvCircuit.Carries(WireSize.Awg12, 13.9, 1, 35, true, WireInsulation.C75).ShouldBe((true, true));
        PvCircuit.Carries(WireSize.Awg12, 13.9, 1, 35, true, WireInsulation.C60).Terminal.ShouldBeFalse();
        PvCircuit.Carries(WireSize.Awg14, 13.9, 1, 35, true, WireInsulation.C75).Wire.ShouldBeFalse();
        PvCircuit.Carries(WireSize.Awg8, 11.4, 3, 40, false, WireInsulation.C75).ShouldBe((true, false));
        PvCircuit.Carries(WireSize.Awg6, 11.4, 3, 40, false, WireInsulation.C75).ShouldBe((true, true));
        PvCircuit.FusesNeeded(13.9, 1, 25).ShouldBeFalse();
        PvCircuit.FusesNeeded(11.4, 3, 20).ShouldBeTrue();
        PvCircuit.FuseA(11.4).ShouldBe(20);
        PvCircuit.FuseA(13.9).ShouldBe(25);
        Vanto.Core.Energy.PvStrings.ColdV(7, 32.9, -0.0028, -10).ShouldBe(252.869, 1e-3);
        Vanto.Core.Energy.PvStrings.ColdV(3, 49.5, -0.0026, -25).ShouldBe(167.805, 1e-3);
    }

    [Fact]
    public void A_strings_volts_tell_what_is_wrong()
    {
        StringCheck.Of(7, 32.9, 228).Verdict.ShouldBe(StringVolts.Good);
        StringCheck.Of(7, 32.9, 197.5).Pairs.ShouldBe([(0, 1)]);
        StringCheck.Of(7, 32.9, 164).Pairs.ShouldBe([(0, 2), (1, 0)]);
        StringCheck.Of(7, 32.9, -229).Verdict.ShouldBe(StringVolts.Reversed);
        StringCheck.Of(7, 32.9, 263.2).Verdict.ShouldBe(StringVolts.TooMany);
    }
}
