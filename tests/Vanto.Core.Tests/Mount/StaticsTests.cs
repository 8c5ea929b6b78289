using Vanto.Core.Mount;

namespace Vanto.Core.Tests.Mount;

/// <summary>Sections, beams, columns, welds and feet against published tables and closed forms; the source stands beside each.</summary>
public class StaticsTests
{
    private static void Near(double value, double expected, double share = 1e-4) => value.ShouldBe(expected, Math.Abs(expected) * share + 1e-12);

    [Fact]
    public void Sections_equal_their_closed_forms()
    {
        var flat = Section.Flat(8, 50);
        Near(flat.IxMm4, 83333.3);
        Near(flat.SxMm3, 3333.33);
        Near(flat.IyMm4, 2133.3);
        Near(flat.RMinMm, 2.3094);
        var angle = Section.Angle(40, 4);
        Near(angle.AreaMm2, 304);
        Near(angle.IxMm4, 46081.1);
        Near(angle.SxMm3, 1615.39);
        Near(angle.RMinMm, 7.8633);
        var receiver = Section.SharpTube(50.8, 50.8, 6.35);
        Near(receiver.IxMm4, 379377.6);
        Near(receiver.SxMm3, 14936.13);
    }

    [Theory]
    [InlineData(25, 2, 173.699, 14834.92, 1186.794, 9.2415)]
    [InlineData(40, 3, 420.823, 93235.57, 4661.778, 14.8847)]
    [InlineData(50, 3, 540.823, 194671.36, 7786.854, 18.9725)]
    public void Tubes_by_the_formulas_of_EN_10219(double side, double wall, double area, double i, double s, double r)
    {
        var tube = Section.Tube(side, wall);
        Near(tube.AreaMm2, area);
        Near(tube.IxMm4, i);
        Near(tube.SxMm3, s);
        Near(tube.RMinMm, r);
    }

    /// <summary>EN 10219 tables, from memory: 421 mm², 93,200 mm⁴, 4,660 mm³; EN 10056: 480 mm², 110,000 mm⁴, 3,050 mm³.</summary>
    [Fact]
    public void Sections_agree_with_the_tables_of_their_standards()
    {
        Near(Section.Tube(40, 3).AreaMm2, 421, 0.002);
        Near(Section.Tube(40, 3).IxMm4, 93200, 0.002);
        Near(Section.Angle(50, 5).AreaMm2, 480, 0.015);
        Near(Section.Angle(50, 5).IxMm4, 110000, 0.03);
        Near(Section.Angle(50, 5).RMinMm, 9.73, 0.02);
    }

    [Fact]
    public void A_channel_is_its_rectangles()
    {
        var plain = Section.Channel(41.3, 41.3, 2.5, 7.1, 22.2, 0);
        Near(plain.AreaMm2, 355.5);
        Near(plain.IxMm4, 81231.1);
        Near(plain.SxMm3, 3585.85);
        Near(plain.RMinMm, 15.1162);
        var slotted = Section.Channel(41.3, 41.3, 2.5, 7.1, 22.2, 14);
        Near(slotted.AreaMm2, 320.5);
        Near(slotted.IxMm4, 69463.5);
        Near(slotted.SxMm3, 3347.08);
        var low = Section.Channel(41.3, 20.6, 2.5, 7.1, 22.2, 14);
        Near(low.IxMm4, 11863.2);
        Near(low.SxMm3, 1122.13);
        Near(low.RMinMm, 7.3939);
    }

    [Fact]
    public void Beams_bend_by_the_closed_forms()
    {
        var tube = Section.Tube(40, 3);
        BeamLoad[] feet = [new(100, 0.15), new(100, 0.45)];
        Near(Beam.RootMoment(feet), 60);
        Near(Beam.TipM(feet, 0.5, 210, tube.IxMm4), 0.206849e-3);
        Near(Beam.TipM([new(250, 0.5)], 0.5, 68.9, 5e4), 250 * Math.Pow(0.5, 3) / (3 * 68.9e9 * 5e-8));
        var span = Section.Tube(50, 3);
        BeamLoad[] two = [new(500, 0.3), new(500, 0.9)];
        Near(Beam.SpanMoment(two, 1.2), 150);
        Near(Beam.SpanM(two, 1.2, 210, span.IxMm4, 0.6), 0.605416e-3);
        Near(Beam.SpanM([new(1000, 0.6)], 1.2, 68.9, 8e4, 0.6), 1000 * Math.Pow(1.2, 3) / (48 * 68.9e9 * 8e-8));
    }

    [Theory]
    [InlineData(254.9729, 0.16, 0.47, 0.40, 0.35, 609.8398, 458.9512, 108.3635, 17.84810)]
    [InlineData(100, 0.1, 0.3, 0.35, 0.35, 161.6244, 114.2857, 85.7143, 8.571429)]
    [InlineData(300, 0.2, 0.5, 0.40, 0.25, 990.5680, 840, 75, 30)]
    public void A_braced_arm_balances(double p, double rear, double front, double outM, double down, double strut, double pull, double top, double moment)
    {
        BeamLoad[] feet = [new(p, rear), new(p, front)];
        var arm = BracedArm.Of(feet, outM, down);
        Near(arm.StrutN, strut);
        Near(arm.PullN, pull);
        Near(arm.TopN, top, 1e-3);
        Near(arm.MomentNm, moment);
        Near(arm.TopN + arm.StrutN * Math.Sin(arm.StrutDeg * Math.PI / 180), 2 * p);
        Near(arm.PullN * down, Beam.RootMoment(feet));
    }

    [Fact]
    public void Struts_buckle_by_Johnson_and_Euler()
    {
        var tube = Column.Of(Section.Tube(25, 2), 0.5315, 210, 235);
        Near(tube.Slenderness, 57.5121);
        Near(tube.Limit, 132.8130);
        Near(tube.StressMPa, 212.9669);
        var angle = Column.Of(Section.Angle(50, 5), 1.5, 210, 235);
        Near(angle.StressMPa, 88.9958);
        Near(angle.BearsN(Section.Angle(50, 5)), 29153.8);
        Near(Column.Of(Section.Angle(50, 6), 0.6, 68.9, 240).StressMPa, 160.4136);
        var meet = Section.Tube(25, 2);
        Near(Column.Of(meet, tube.Limit * meet.RMinMm / 1000, 210, 235).StressMPa, 235.0 / 2);
    }

    [Fact]
    public void Welds_as_lines()
    {
        var upright = WeldStress.TwoUpright(5, 100, 3000, 270);
        Near(upright.ShearMPa, 4.24264);
        Near(upright.BendingMPa, 22.91026);
        Near(upright.TotalMPa, 23.29979);
        Near(WeldStress.Round(4, 50, 50, 2000, 400).TotalMPa, 42.57347);
        Near(WeldStress.TwoLevel(5, 50, 60, 2000, 200).TotalMPa, 19.68643);
        Near(WeldStress.BearsMPa(MetalFigures.Of(MountMetal.Steel)), 207.8, 1e-3);
    }

    [Fact]
    public void Four_feet_bear_what_acts()
    {
        const double weight = 26 * 9.80665;
        var ahead = FourFeet.Of(new ForceVector(weight, 0, -weight), 0.31, 0.54, 0, 0, 0.3);
        Near(ahead.FrontLeft, 187.117);
        Near(ahead.RearLeft, -59.631);
        var left = FourFeet.Of(new ForceVector(0, weight, -weight), 0.31, 0.54, 0.02, -0.05, 0.3);
        Near(left.FrontLeft, 130.990);
        Near(left.FrontRight, 12.947, 1e-3);
        Near(left.RearLeft, 114.540);
        Near(left.RearRight, -3.503, 1e-3);
        var down = FourFeet.Of(new ForceVector(0, 0, -3 * weight), 0.31, 0.54, 0.03, 0.04, 0.3);
        Near(down.FrontLeft, 256.572);
        Near(down.RearRight, 125.887);
        Near(down.FrontLeft + down.FrontRight + down.RearLeft + down.RearRight, 3 * weight);
    }

    [Fact]
    public void A_sling_pulls_more_the_more_it_leans()
    {
        Near(Sling.LegN(30, 2, 30), 212.320);
        Near(Sling.LegN(30, 4, 45), 260.038);
    }

    [Fact]
    public void Feet_fall_into_slots_or_are_short_by_so_much()
    {
        Near(FeetFit.Of(0.310, 0.30, 0.045, 0.05, 0.50).MissingM, 0.155);
        Near(FeetFit.Of(0.350, 0.10, 0.05, 0.05, 0.48).MissingM, 0.020);
        FeetFit.Of(0.29, 0.12, 0.04, 0.06, 0.45).MissingM.ShouldBe(0, 1e-12);
    }

    [Fact]
    public void A_bracket_is_moved_to_the_studs()
    {
        double[] studs = [.. Enumerable.Range(0, 9).Select(k => 0.4064 * k)];
        var one = StudFit.Of([1.00, 1.54], studs, 0.019 - 0.012, -0.2, 0.2);
        one.Landed.ShouldBe(1);
        Math.Abs(one.ShiftM).ShouldBeLessThanOrEqualTo(0.0787);
        var two = StudFit.Of([1.00, 1.4064], studs, 0.019 - 0.012, -0.3, 0.3);
        two.Landed.ShouldBe(2);
        Near(two.ShiftM, -0.1802, 1e-3);
        StudFit.Of([0.90, 1.50], [.. Enumerable.Range(0, 9).Select(k => 0.45 * k)], 0.0225 - 0.012, -0.1, 0.1).ShiftM.ShouldBe(0);
    }

    [Fact]
    public void A_spreader_rail_is_a_simple_span()
    {
        var rail = SpreaderRail.Of(1200, 0.187, 0.4064);
        Near(rail.NearN, 647.835);
        Near(rail.FarN, 552.165);
        Near(rail.MomentNm, 121.1451);
        Near(SpreaderRail.Of(1200, 0.2032, 0.4064).MomentNm, 121.920);
        Near(SpreaderRail.Of(800, 0.10, 0.6096).MomentNm, 66.8766);
    }

    [Fact]
    public void Soft_feet_shake_by_the_textbook()
    {
        Near(Vibration.Of(26, 4, 60e3, 0.05, double.PositiveInfinity, 15, 100).OwnHz, 15.29111);
        var soft = Vibration.Of(26, 4, 12e3, 0.05, double.PositiveInfinity, 30, 100);
        Near(soft.OwnHz, 6.83839);
        Near(soft.SagM, 5.31194e-3);
        Near(soft.PassedAtLowest, 0.059832);
        Near(Vibration.Of(26, 4, 60e3, 0.05, double.PositiveInfinity, 15, 100).PassedAtLowest, 9.56078);
        Near(Vibration.Of(26, 4, 60e3, 0.1, double.PositiveInfinity, 15, 100).PassedAtHighest, 0.039399);
        Near(Vibration.Of(26, 4, 12e3, 0.05, 200e3, 15, 100).OwnHz, 6.14106);
        foreach (var damping in new[] { 0.01, 0.1, 0.3 })
            Near(Vibration.Passed(Math.Sqrt(2), damping), 1);
        Near(Vibration.Passed(1e-6, 0.05), 1);
    }
}
