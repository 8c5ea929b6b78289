using Vanto.Core.Mount;

namespace Vanto.Core.Tests.Mount;

/// <summary>Bolts, screws, anchors, laminates, slabs, wind and axles against tables and worked examples; the source stands beside each.</summary>
public class FastenerTests
{
    private static void Near(double value, double expected, double share = 1e-4) => value.ShouldBe(expected, Math.Abs(expected) * share + 1e-12);

    /// <summary>Eccentric bolted bar of a machine-design textbook, from memory: 21.0 kN on the near pair, 14.8 kN on the far one.</summary>
    [Fact]
    public void A_bolt_group_equals_the_textbook_example()
    {
        BoltPlace[] bolts = [new(0.075, 0.060), new(0.075, -0.060), new(-0.075, 0.060), new(-0.075, -0.060)];
        var shear = BoltGroup.Shear(bolts, 0, -16000, new BoltPlace(0.425, 0)).Select(f => Math.Sqrt(f.X * f.X + f.Y * f.Y)).ToList();
        Near(shear[0], 20972.6);
        Near(shear[2], 14788.8);
    }

    [Fact]
    public void Bolt_groups_share_force_and_moment()
    {
        BoltPlace[] line = [new(0, 0), new(0, 0.1), new(0, 0.2)];
        var shear = BoltGroup.Shear(line, 1000, -2000, new BoltPlace(0.05, 0.25));
        Near(shear.Sum(f => f.X), 1000);
        Near(shear.Sum(f => f.Y), -2000);
        double[] expected = [1133.456, 745.356, 1717.961];
        shear.Select(f => Math.Sqrt(f.X * f.X + f.Y * f.Y)).Zip(expected).ToList().ForEach(p => Near(p.First, p.Second));
        BoltGroup.Pull([0.05, 0.25], 200).Zip([153.8462, 769.2308]).ToList().ForEach(p => Near(p.First, p.Second));
        BoltGroup.Pull([0.03, 0.13, 0.23], 350, 1.2).Zip([178.218, 772.277, 1366.337]).ToList().ForEach(p => Near(p.First, p.Second));
        Should.Throw<Core.Findings.InputException>(() => BoltGroup.Shear([new(0, 0)], 0, 100, new BoltPlace(0.1, 0)));
    }

    /// <summary>Stress areas of ISO 898-1 tables: 14.2, 20.1, 36.6, 58.0, 84.3, 157 mm².</summary>
    [Theory]
    [InlineData(BoltSize.M5, 14.2)]
    [InlineData(BoltSize.M6, 20.1)]
    [InlineData(BoltSize.M8, 36.6)]
    [InlineData(BoltSize.M10, 58.0)]
    [InlineData(BoltSize.M12, 84.3)]
    [InlineData(BoltSize.M16, 157)]
    public void Stress_areas_are_those_of_the_tables(BoltSize size, double mm2) =>
        Near(Bolt.StressMm2(Bolt.Mm(size), Bolt.PitchMm(size)), mm2, 0.003);

    [Fact]
    public void Bolts_bear_by_EN_1993_1_8()
    {
        Near(Bolt.TensionN(800, 36.6), 21081.6);
        Near(Bolt.ShearN(800, 0.6, 36.6), 14054.4);
        Near(Bolt.TensionN(1000, 84.3), 60696);
        Near(Bolt.ShearN(1000, 0.5, 84.3), 33720);
        Near(Bolt.Used(5000, 8000, 14054.4, 21081.6), 0.62682);
        Near(Bolt.Used(2000, 20000, 14054.4, 21081.6), 0.94869);
        Near(Bolt.Used(12000, 9000, 14054.4, 21081.6), 1.15876);
        Near(Bolt.BearingN(8, 9, 3, 360, 800, 18, 18), 11520);
        Near(Bolt.BearingN(8, 9, 3, 360, 800, 12, 12), 6246.4, 1e-3);
        Near(Bolt.InchStressMm2(0.375, 16), 49.99, 1e-3);
    }

    [Fact]
    public void Torque_by_three_quarters_of_proof()
    {
        Near(Bolt.PreloadN(580, 36.6), 15921);
        Near(Bolt.TorqueNm(15921, 8, 0.20), 25.4736);
        Near(Bolt.TorqueNm(15921, 8, 0.15), 19.1052);
        Near(Bolt.TorqueNm(Bolt.PreloadN(586, 50.0), 9.525, 0.20), 41.8624, 1e-3);
    }

    /// <summary>NDS table 12.2A, from memory: 305, 235, 225, 135 lbf for each inch.</summary>
    [Fact]
    public void Withdrawal_from_wood_is_that_of_the_tables()
    {
        Near(WoodFastener.LagWithdrawal(0.50, 0.375), 305, 2e-3);
        Near(WoodFastener.LagWithdrawal(0.42, 0.375), 235, 2e-3);
        Near(WoodFastener.LagWithdrawal(0.50, 0.25), 225, 2e-3);
        Near(WoodFastener.ScrewWithdrawal(0.50, 0.190), 135, 5e-3);
        Near(WoodFastener.LagPullN(0.42, 0.3125, 2), 3145.2, 1e-3);
    }

    [Theory]
    [InlineData(0.375, 0.265, 2.5, 0.25, 0.42, true, 45000, 159.239, "IV")]
    [InlineData(0.375, 0.265, 2.5, 0.25, 0.50, false, 45000, 275.709, "IV")]
    [InlineData(0.3125, 0.227, 2.0, 0.12, 0.42, true, 60000, 127.154, "III_s")]
    [InlineData(0.190, 0.152, 1.5, 0.105, 0.50, false, 80000, 127.597, "III_s")]
    public void Shear_in_wood_by_the_yield_equations_of_the_NDS(double inch, double root, double main, double side, double gravity, bool across, double bend,
        double expected, string mode)
    {
        var (lbf, how) = WoodFastener.Lateral(inch, root, main, side, gravity, across, bend);
        Near(lbf, expected);
        how.ShouldBe(mode);
    }

    [Fact]
    public void Pull_and_shear_in_wood_together()
    {
        Near(WoodFastener.ShearN(127.154), 976.47);
        Near(WoodFastener.Together(2000, 1000, 0, 1), 1000);
        Near(WoodFastener.Together(2000, 1000, 0.5, Math.Sqrt(0.75)), 1142.857);
        Near(WoodFastener.Together(2000, 1000, 1, 1), 1333.333);
        Near(WoodFastener.Together(2000, 1000, 1, 0), 2000);
        Near(Math.Sqrt(317.6 * 317.6 + 255.0 * 255.0) / WoodFastener.Together(3145.2, 976.47, 317.6, 255.0), 0.24224);
    }

    [Fact]
    public void Screws_in_sheet()
    {
        Near(SheetFastener.PullOutN(1.2, 4.8, 270), 1321.92);
        Near(SheetFastener.PullOverN(1.2, 12, 270), 5832);
        Near(SheetFastener.ShearN(1.2, 1.2, 4.8, 270), 3265.92);
        Near(SheetFastener.ShearN(1.0, 2.0, 4.8, 270), 3499.20);
        Near(SheetFastener.ShearN(1.0, 3.0, 4.8, 270), 3499.20);
        Near(SheetFastener.AluminiumPullOutN(1.6, 4.8, 215), 1651.2);
    }

    [Fact]
    public void Laminate_core_anchors_and_tape()
    {
        Near(Laminate.PullThroughN(Math.PI * 25, 5), 24347.3);
        Near(Laminate.PullThroughN(4 * 80, 5), 99200);
        Near(Laminate.CoreMPa(15921, 24, 9), 40.952);
        Near(MasonryAnchor.Spacing(60, 180), 0.66667);
        Near(MasonryAnchor.Edge(50, 90), 0.674074);
        Near(MasonryAnchor.Used(0.5, 0.5), 0.707107);
        Near(MasonryAnchor.Design(1000, AnchorRating.Recommended), 1400);
        Near(MasonryAnchor.Design(4000, AnchorRating.Ultimate), 1400);
        Near(BondTape.AreaM2(0.9) * 1e4, 51.918);
        Near(BondTape.AreaM2(0.5, 3) * 1e4, 86.529);
    }

    [Fact]
    public void Unlike_metals_and_slabs()
    {
        var bolt = GalvanicPair.Of(TouchingMetal.Stainless304, TouchingMetal.Aluminium)!;
        Near(bolt.Volts, 0.68);
        bolt.FirstGoes.ShouldBeFalse();
        Near(GalvanicPair.Of(TouchingMetal.Zinc, TouchingMetal.Aluminium)!.Volts, 0.27);
        Near(GalvanicPair.Of(TouchingMetal.Copper, TouchingMetal.Steel)!.Volts, 0.25);
        GalvanicPair.Of(TouchingMetal.None, TouchingMetal.Steel).ShouldBeNull();
        var slab = Slab.Of(0.9144, 0.6096, 0.09144, ConcreteBag.Lb60, 0, 20);
        Near(slab.VolumeM3, 0.050970);
        slab.Bags.ShouldBe(4);
        Near(slab.MassKg, 117.23);
        Slab.Of(1, 0.6, 0.1, ConcreteBag.Kg25, 0.05, 20).Bags.ShouldBe(6);
        Slab.Of(0.9, 0.5, 0.1, ConcreteBag.Lb80, 0, 20).Bags.ShouldBe(3);
        double[] waits = [7, 10.5, 5.25, 14];
        foreach (var (c, days) in new double[] { 20, 10, 30, 5 }.Zip(waits))
            Near(Slab.Of(1, 1, 0.1, ConcreteBag.Kg25, 0, c).WaitDays, days);
        Near(Slab.StrengthAt(3), 0.45802);
        Near(Slab.StrengthAt(28), 1.00719);
    }

    [Fact]
    public void Wind_axles_heights_and_boats()
    {
        Near(WindLoad.DensityKgM3(0, 15), 1.225);
        Near(WindLoad.DensityKgM3(1500, 30), 0.971676);
        Near(WindLoad.ForceN(WindLoad.DensityKgM3(0, 15), 110 / 3.6, 1.2, 0.44), 301.938);
        Near(WindLoad.ForceN(WindLoad.DensityKgM3(0, 15), 150 / 3.6, 1.2, 0.44), 561.454);
        var tail = VehicleMass.Of(45, 4.9, 3.665);
        Near(tail.FrontKg, -15.1637);
        Near(tail.RearKg, 60.1637);
        var high = VehicleMass.HighM(2900, 0.85, 34, 2.85);
        Near(high, 0.873177);
        Near(VehicleMass.TipsG(1.75, high), 1.00209);
        Near(DrivingEnvelope.DepartureDeg(1.20, 0.45, 0.36), 21.6963);
        Near(DrivingEnvelope.DepartureDeg(2.20, 0.45, 0.36), 11.7527);
        DrivingEnvelope.DepartureDeg(2.20, 0, 0.36).ShouldBe(0, 1e-9);
        Near(DrivingEnvelope.BreakOverDeg(0.20, 1.8, 1.8), 12.6804);
        Near(BoatPlacement.AboveWaterM(0.45, 1.5, 15), 0.046438, 1e-3);
        Near(BoatPlacement.AboveWaterM(0.45, 1.5, 20), -0.090169, 1e-3);
        Near(BoatPlacement.ListDeg(26, 1.4, 4200, 0.95), 0.52268);
        Near(BoatPlacement.Roll(20, 5, 3, 0).Sideways, 5.00774);
        Near(BoatPlacement.Roll(30, 4, 2.5, 0).Sideways, 8.13315);
    }
}
