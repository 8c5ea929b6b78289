using CsCheck;
using Vanto.Core.Findings;
using Vanto.Core.Layout;

namespace Vanto.Core.Tests.Layout;

/// <summary>Where the head, the hole, the pipe and the drain go: plain geometry, against figures worked out on their own; common practice, no published
/// source, unless a source stands beside them.</summary>
public class LayoutRulesTests
{
    private static readonly HeadNeeds Usual = new(0.127, 0.127, 0.152, 0.30, 2.286);

    private static HeadRegion Region(double wall, double ceiling, HeadNeeds needs, params KeepOut[] keepOuts) =>
        HeadRegion.Of(wall, [(0, ceiling), (wall, ceiling)], 0.80, 0.29, needs, keepOuts);

    /// <summary>3.1 m of pipe and 0.3 m of tails: 4.4 m, a twentieth more, 4.7 m; straps worked out by hand.</summary>
    [Fact]
    public void Cable_and_straps_follow_the_pipe()
    {
        LineParts.CableM(3.1, 0.3).ShouldBe(4.7, 1e-9);
        (LineParts.Straps(2.5, 1.2), LineParts.Straps(1.2, 1.2), LineParts.Straps(3.7, 0.4)).ShouldBe((4, 2, 11));
    }

    [Fact]
    public void A_head_may_hang_in_what_ceiling_floor_and_sides_leave()
    {
        var region = Region(3.60, 2.75, Usual);
        region.Cells.Single().ShouldBe(new Cell(0.127, 2.286, 2.673, 2.308), 1e-9);
        region.AreaM2.ShouldBe(0.056012, 1e-6);
        Region(3.60, 2.44, Usual).HeightGivenUp.ShouldBeTrue("under an ordinary ceiling the two rules exclude one another");
        Region(3.60, 2.44, Usual).Cells.Single().High.ShouldBe(1.998, 1e-9);
    }

    [Fact]
    public void A_window_and_a_locker_push_it_aside_and_the_nearest_place_is_found()
    {
        var window = new KeepOut("window", 1.10, 0.95, 2.20, 1.45, 0.05, false);
        var locker = new KeepOut("locker", 2.60, 1.40, 3.20, 1.88, 0, true);
        var needs = Usual with { LeastUpM = 1.20 };
        HeadRegion.Forbidden(window, 0.80, 0.29, needs).ShouldBe(new Cell(0.250, 0.610, 2.250, 1.500), 1e-9);
        HeadRegion.Forbidden(locker, 0.80, 0.29, needs).ShouldBe(new Cell(1.673, 0.958, 3.327, 2.180), 1e-9);
        var region = Region(3.20, 1.88, needs, window, locker);
        region.AreaM2.ShouldBe(0.029274, 1e-6);
        var nearest = region.Nearest(1.30, 1.30)!.Value;
        (nearest.X, nearest.Y, nearest.MoveM).ShouldBe((0.250, 1.300, 1.050), 1e-9);
        region.Allows(1.30, 1.30).ShouldBeFalse();
        region.Allows(0.250, 1.300).ShouldBeTrue("the edge of what is forbidden is allowed");
    }

    [Theory]
    [InlineData(0.30, 1.775)]
    [InlineData(1.60, 1.95)]
    public void A_sloped_ceiling_is_as_low_as_its_lowest_over_the_head(double x, double low) =>
        HeadRegion.CeilingLow([(0, 1.70), (1.0, 1.95), (3.2, 1.95)], x, 0.80).ShouldBe(low, 1e-9);

    [Fact]
    public void A_ceiling_that_falls_to_the_right_counts_there() =>
        HeadRegion.CeilingLow([(0, 1.95), (2.2, 1.95), (3.2, 1.60)], 2.00, 0.80).ShouldBe(1.74, 1e-9);

    /// <summary>Something more on the wall never makes room; a legal place is its own nearest; the region is as large as a fine grid finds it.</summary>
    [Fact]
    public void The_region_is_what_a_grid_finds_and_only_shrinks()
    {
        var any = from x in Gen.Double[0, 3]
                  from y in Gen.Double[0.5, 2]
                  from w in Gen.Double[0.1, 1]
                  from h in Gen.Double[0.1, 0.8]
                  from out_ in Gen.Bool
                  select new KeepOut("it", x, y, x + w, y + h, 0.05, out_);
        any.Array[0, 4].Each(keepOuts =>
        {
            var needs = new HeadNeeds(LeastUpM: 0.4);
            var region = Region(3.4, 2.3, needs, keepOuts);
            region.AreaM2.ShouldBeLessThanOrEqualTo(Region(3.4, 2.3, needs, [.. keepOuts.Skip(1)]).AreaM2 + 1e-9);
            var forbidden = keepOuts.Select(k => HeadRegion.Forbidden(k, 0.80, 0.29, needs)).ToList();
            var (found, all) = (0, 0);
            for (var x = 0.127 + 0.005; x < 3.4 - 0.127 - 0.8; x += 0.01)
                for (var y = 0.4 + 0.005; y < 2.3 - 0.152 - 0.29; y += 0.01)
                {
                    all++;
                    if (forbidden.Any(f => new[] { x - f.Left, x - f.Right, y - f.Low, y - f.High }.Any(d => Math.Abs(d) < 1e-6)))
                        continue; // on an edge the last digit decides
                    var legal = !forbidden.Any(f => x > f.Left && x < f.Right && y > f.Low && y < f.High);
                    region.Allows(x, y).ShouldBe(legal, $"{x} {y}");
                    found += legal ? 1 : 0;
                }
            region.AreaM2.ShouldBe(found * 0.0001, 0.05);
            all.ShouldBeGreaterThan(100);
        }, iter: 40);
    }

    [Theory]
    [InlineData(0.110, 0.0127, 0.065, 2.300, 0.045, 0.065, 0.010, 6.5859, 0.110731, 0.065432, 0.128235, 2.3450, 2.3323, 0.012284)]
    [InlineData(0.150, 0.0127, 0.0762, 2.300, 0.0381, 0.0762, 0, 4.8395, 0.150537, 0.076473, 0.156988, 2.3381, 2.3254, -0.000136)]
    [InlineData(0.045, 0.005, 0.065, 1.500, 0.030, 0.065, 0, 6.34019, 0.045277, 0.065400, 0.052499, 1.5300, 1.5250, -0.002700)]
    public void A_hole_leans_out_shows_as_an_ellipse_and_may_let_daylight_in(double t, double fall, double hole, double plate, double up, double sleeve,
        double proud, double deg, double axis, double shown, double length, double inside, double outside, double daylight)
    {
        var drilled = WallHole.Of(t, fall, hole, plate, up, sleeve, proud);
        drilled.FallDeg.ShouldBe(deg, 1e-4);
        drilled.AxisM.ShouldBe(axis, 1e-6);
        drilled.ShownM.ShouldBe(shown, 1e-6);
        drilled.SleeveM.ShouldBe(length, 1e-6);
        drilled.InsideUpM.ShouldBe(inside, 1e-6);
        drilled.OutsideUpM.ShouldBe(outside, 1e-6);
        drilled.DaylightM.ShouldBe(daylight, 1e-6);
        drilled.RaiseM.ShouldBe(Math.Max(0, -daylight), 1e-6);
    }

    [Fact]
    public void A_point_is_carried_to_the_other_side_as_its_mirror_image()
    {
        DrillTransfer.Of(-0.412, 0.655, 0.0127).ShouldBe(new DrillTransfer(0.4120, 0.6423), 1e-9);
        DrillTransfer.Of(-0.412, 0.655, 0.0127, 0.012, -0.008).ShouldBe(new DrillTransfer(0.4240, 0.6343), 1e-9);
        DrillTransfer.Of(0.250, -0.100, 0.005).ShouldBe(new DrillTransfer(-0.2500, -0.1050), 1e-9);
        var (there, back) = (DrillTransfer.Of(0.3, 0.7, 0), DrillTransfer.Of(-0.3, 0.7, 0));
        DrillTransfer.Of(there.RightM, there.UpM, 0).ShouldBe(new DrillTransfer(0.3, 0.7), 1e-12);
        back.RightM.ShouldBe(0.3, 1e-12);
        DrillTransfer.Uncertainty(0.002, 0.110, 2).ShouldBe(0.004770, 1e-6);
        DrillTransfer.Uncertainty(0.003, 0.300, 3).ShouldBe(0.016285, 1e-6);
        DrillTransfer.Uncertainty(0.001, 0.045, 1).ShouldBe(0.001618, 1e-6);
    }

    [Theory]
    [InlineData(1.05, 1.06, 0, 2.5, 0.02, 0.05, 0.107284)]
    [InlineData(0, 3, 2.20, 2.25, 0.06, 0.09, 0.051893)]
    [InlineData(1.15, 1.25, 2.30, 2.40, 0.11, 0.30, -0.032716)]
    [InlineData(1.26, 1.40, 2.255, 2.262, 0.10, 0.11, 0.059708)]
    public void The_drill_keeps_clear_or_meets_what_is_hidden(double left, double right, double low, double high, double from, double to, double clear)
    {
        var hole = WallHole.Of(0.110, 0.0127, 0.065, 2.300, 0.045, 0.065, 0);
        DrillHazards.Clear(hole, 1.20, 0.110, 0.065, new Hidden("it", left, right, low, high, from, to)).ShouldBe(clear, 1e-6);
    }

    [Fact]
    public void Free_space_round_an_outdoor_unit_is_found_and_turns_with_it()
    {
        var first = OutdoorRoom.Of(0.30, 0.80, 0.55, 0, 0, 0.10, 0,
            [new(-.60, -2, 0, -.45, 2, 2.5), new(1.60, -1, 0, 1.70, 1, 1.8), new(-.10, .85, 0, .10, .95, 2)]);
        (first.BackM, first.FrontM, first.RightM).ShouldBe((0.300, 1.450, 0.450), 1e-9);
        (double.IsInfinity(first.LeftM), double.IsInfinity(first.TopM), first.Collides).ShouldBe((true, true, false));
        var turned = OutdoorRoom.Of(0.30, 0.80, 0.55, 2, 1, 0, 90, [new(0, .3, 0, 5, .5, 2.4), new(1.0, .9, 0, 1.3, 1.2, 1.0), new(1, 0, 1.2, 3, 2, 1.3)]);
        (turned.BackM, turned.RightM, turned.TopM).ShouldBe((0.350, 0.300, 0.650), 1e-9);
        double.IsInfinity(turned.FrontM).ShouldBeTrue();
        OutdoorRoom.Of(0.30, 0.80, 0.55, 0, 0, 0, 0, [new(.10, 0, 0, .40, .2, 1)]).Collides.ShouldBeTrue();
    }

    private static RoutePoint[] Points(params (double X, double Y, double Z)[] p) => [.. p.Select(q => new RoutePoint(q.X, q.Y, q.Z))];

    [Fact]
    public void A_route_is_as_long_as_its_straight_pieces_and_arcs()
    {
        LineRoute.Develop(Points((0, 0, 0), (1, 0, 0), (1, 1, 0)), 0.100).DevelopedM.ShouldBe(1.957080, 1e-6);
        var long_ = LineRoute.Develop(Points((0, 0, 2.300), (.25, 0, 2.290), (.25, 0, .600), (.25, .90, .550), (.60, .90, .550)), 0.102);
        long_.DevelopedM.ShouldBe(3.069528, 1e-6);
        long_.CornerM.ShouldBe(3.191588, 1e-6);
        long_.Bends.Select(b => b.TurnDeg).ShouldBe([87.7094, 86.8202, 90], 1e-3);
        long_.StraightsM.ShouldBe([0.152198, 1.495508, 0.702897, 0.248000], 1e-5);
        long_.RiseM.ShouldBe(1.75, 1e-9);
        LineRoute.Develop(Points((0, 0, 0), (1, 0, 0), (1 + Math.Sqrt(.5), Math.Sqrt(.5), 0)), 0.150).DevelopedM.ShouldBe(1.993546, 1e-6);
        var tight = Points((0, 0, 0), (.15, 0, 0), (.15, .15, 0));
        LineRoute.Develop(tight, 0.102).DevelopedM.ShouldBe(0.256221, 1e-6);
        LineRoute.Develop(tight, 0.102).Missing.ShouldBeNull();
        LineRoute.Develop(tight, 0.102).StraightsM[0].ShouldBeLessThan(LineRoute.ForFlareM);
        LineRoute.Develop(tight, 0.160).Missing!.Value.MissingM.ShouldBe(0.010, 1e-9);
        Should.Throw<InputException>(() => LineRoute.Develop(Points((0, 0, 0), (1, 0, 0), (0, 0.001, 0)), 0.1)).Message.ShouldContain("doubles back");
        LineRoute.LeastRadiusM(0.01588).ShouldBe(0.102, 1e-12);
        LineRoute.LeastRadiusM(0.01905).ShouldBe(0.1143, 1e-12);
    }

    /// <summary>A bend of 90° saves (2 − π/2)R; turned round or walked from the other end the route is as long.</summary>
    [Fact]
    public void A_route_keeps_its_length_turned_and_reversed()
    {
        var any = from p in Gen.Select(Gen.Double[-3, 3], Gen.Double[-3, 3], Gen.Double[0, 3]).Array[3, 6]
                  select Points([.. p.Select(q => (q.Item1,
            q.Item2, q.Item3))]);
        any.Each(points =>
        {
            LineRoute Of(RoutePoint[] p) => LineRoute.Develop(p, 0.05);
            try
            {
                var length = Of(points).DevelopedM;
                length.ShouldBeLessThanOrEqualTo(Of(points).CornerM + 1e-9);
                Of([.. points.Reverse()]).DevelopedM.ShouldBe(length, 1e-9);
                Of([.. points.Select(p => new RoutePoint(-p.Y, p.X, p.Z))]).DevelopedM.ShouldBe(length, 1e-9);
                LineRoute.Develop(points, 0).DevelopedM.ShouldBe(Of(points).CornerM, 1e-9);
            }
            catch (InputException)
            {
                // A route that doubles back is refused both ways.
                Should.Throw<InputException>(() => Of([.. points.Reverse()]));
            }
        }, iter: 200);
        var square = LineRoute.Develop(Points((0, 0, 0), (1, 0, 0), (1, 1, 0)), 0.1);
        (square.CornerM - square.DevelopedM).ShouldBe((2 - Math.PI / 2) * 0.1, 1e-12);
    }

    [Theory]
    [InlineData(3.90, 4.8768, 4.0170)]
    [InlineData(2.95, 3.048, 3.0385)]
    [InlineData(7.45, 10.668, 7.6735)]
    [InlineData(15.00, null, 15.45)]
    public void The_shortest_set_that_is_long_enough_is_ordered(double need, double? kit, double order)
    {
        var chosen = KitLength.Choose(need, 0, 0.03);
        chosen.KitM.ShouldBe(kit);
        chosen.OrderM.ShouldBe(order, 1e-4);
    }

    [Fact]
    public void A_set_that_just_misses_is_said()
    {
        KitLength.Choose(7.45, 0, 0.03).MissesBy!.Value.ShouldBe(0.0535, 1e-9);
        KitLength.Choose(3.90, 0, 0.03).MissesBy.ShouldBeNull();
    }

    [Fact]
    public void Slack_is_coiled_in_as_few_turns_as_fit_or_looped()
    {
        var two = SlackStowage.Of(2.10, 0.055, 0.102, 0.50);
        (two.Turns, two.HeightM).ShouldBe((2, 0.165));
        two.RadiusM.ShouldBe(0.167113, 1e-6);
        two.OutsideM.ShouldBe(0.389225, 1e-6);
        var four = SlackStowage.Of(3.60, 0.055, 0.102, 0.40);
        four.Turns.ShouldBe(4);
        four.OutsideM.ShouldBe(0.341479, 1e-6);
        (four.Turns * 2 * Math.PI * four.RadiusM).ShouldBe(3.60, 1e-12);
        SlackStowage.Of(0.75, 0.055, 0.102, 0.50).Turns.ShouldBe(0);
        SlackStowage.Of(0.30, 0, 0.102, 0.1).LoopM!.Value.ShouldBe(0.237558, 1e-6);
        SlackStowage.Of(0.50, 0, 0.102, 0.1).LoopM!.Value.ShouldBe(0.337558, 1e-6);
        SlackStowage.Of(0.20, 0, 0.102, 0.1).LoopM.ShouldBeNull();
    }

    /// <summary>Three, four and five equal circles have known answers (published: packings of circles in a circle); the rest by an optimiser of its
    /// own.</summary>
    [Theory]
    [InlineData(51.870, "24.35, 27.52")]
    [InlineData(52.4832, "24.35, 27.52, 20, 10")]
    [InlineData(55.3724, "24.35, 30.70, 20, 11")]
    [InlineData(52.5536, "26, 26, 20, 12")]
    [InlineData(10.0000, "2, 4, 6")]
    [InlineData(48.2843, "20, 20, 20, 20")]
    [InlineData(43.0940, "20, 20, 20")]
    [InlineData(54.0260, "20, 20, 20, 20, 20")]
    [InlineData(66.8067, "24.35, 27.52, 24.35, 27.52, 20")]
    public void The_smallest_hole_a_bundle_passes(double hole, string across)
    {
        double[] things = [.. across.Split(", ").Select(t => double.Parse(t, System.Globalization.CultureInfo.InvariantCulture))];
        BundlePacking.Enclosing(things).ShouldBe(hole, 1e-4 * hole);
        BundlePacking.Enclosing([.. things.Reverse()]).ShouldBe(BundlePacking.Enclosing(things), 1e-6 * hole);
        BundlePacking.Enclosing([.. things.Select(t => 3 * t)]).ShouldBe(3 * BundlePacking.Enclosing(things), 1e-6 * hole);
    }

    [Fact]
    public void A_bundle_never_gets_thinner_by_one_more() =>
        Gen.Double[3, 40].Array[2, 4].Each(things =>
            BundlePacking.Enclosing([.. things, 5]).ShouldBeGreaterThanOrEqualTo(BundlePacking.Enclosing(things) - 1e-6), iter: 30);

    [Fact]
    public void A_drain_runs_by_itself_or_holds_water_where_it_sags()
    {
        var good = DrainRoute.Of(Points((0, 0, 2.30), (.20, 0, 2.29), (.20, 0, .60), (.20, 1.5, .57)));
        good.FallsPct[0].ShouldBe(5, 1e-9);
        double.IsPositiveInfinity(good.FallsPct[1]).ShouldBeTrue();
        good.FallsPct[2].ShouldBe(2, 1e-9);
        good.Traps.ShouldBeEmpty();
        good.MarginM.ShouldBe(0.010, 1e-9);
        DrainRoute Heights(params double[] z) => DrainRoute.Of([.. z.Select((h, i) => new RoutePoint(i, 0, h))]);
        var sag = Heights(2.30, 2.25, 2.10, 2.18, 2.12, 2.00);
        (sag.Traps.Single().At, sag.MarginM).ShouldBe((2, 0.05), 1e-9);
        sag.Traps.Single().DepthM.ShouldBe(0.080, 1e-9);
        var back = Heights(1.00, .90, 1.02, .80);
        back.Traps.Single().DepthM.ShouldBe(0.120, 1e-9);
        back.MarginM.ShouldBe(-0.020, 1e-9);
        Heights(2.0, 1.9, 1.9, 1.95, 1.7).Traps.Single().DepthM.ShouldBe(0.050, 1e-9);
        Heights(12.30, 12.25, 12.10, 12.18, 12.12, 12.00).Traps.Single().DepthM.ShouldBe(0.080, 1e-9, "only differences count");
    }

    [Fact]
    public void On_a_slope_the_worst_way_of_standing_decides()
    {
        var route = Points((0, 0, .50), (-.6, 0, .46), (-.6, .4, .44), (-.6, .4, .10));
        DrainRoute.Falls(route, 0, 0).Take(2).ShouldBe([6.6667, 5], 1e-3);
        var worst = DrainRoute.Worst(route, 3, 3);
        worst.FallPct.ShouldBe(-0.24015, 1e-4);
        (worst.PitchDeg, worst.RollDeg, worst.Piece).ShouldBe((0, 3, 1));
        DrainRoute.Falls(route, -3, 0).Take(2).ShouldBe([1.42092, 4.99313], 1e-4);
        var steeper = DrainRoute.Worst(Points((0, 0, .50), (-.6, 0, .42), (-.6, .4, .38), (-.6, .4, .10)), 3, 3);
        (steeper.PitchDeg, steeper.RollDeg).ShouldBe((-3, 3));
        steeper.FallPct.ShouldBe(4.72791, 1e-4);
        DrainRoute.PoolM(0.70, 3, 1).ShouldBe(0.024445, 1e-6);
        DrainRoute.PoolM(0.70, 1, 1).ShouldBe(0);
        DrainRoute.PoolM(0.60, 5, 0.5).ShouldBe(0.047221, 1e-6);
    }

    [Fact]
    public void Water_is_shed_as_moisture_is_taken_out()
    {
        CondensateRate.FromLatent(880, 26.7, 10).ShouldBe(1.26275, 1e-4);
        CondensateRate.FromLatent(1500, 26.7, 10).ShouldBe(2.15242, 1e-4);
        CondensateRate.FromLatent(300, 24, 8).ShouldBe(0.42991, 1e-4);
        CondensateRate.FromAir(0.15, 0.013182, 0.008288).ShouldBe(2.6428, 1e-3);
    }

    /// <summary>Laminar in closed form; turbulent by Blasius (published).</summary>
    [Theory]
    [InlineData(12, 10, 1.5, 8, 0.006, 10.1135, 596.16, 0.07205)]
    [InlineData(20, 8, 3.0, 18.3, 0.006, 12.0107, 707.98, 0.19573)]
    [InlineData(400, 6, 2.0, 6, 0.0095, 215.486, 8022.4, 0.76771)]
    [InlineData(40, 5, 5.5, 3, 0.009, 0, 0, 0)]
    public void A_pump_gives_what_lift_and_hose_leave(double free, double head, double lift, double run, double hose, double flow, double reynolds,
        double friction)
    {
        var pump = CondensatePump.Of(free, head, lift, run, hose);
        pump.FlowLh.ShouldBe(flow, 1e-4 * Math.Max(1, flow));
        pump.Reynolds.ShouldBe(reynolds, 1e-4 * Math.Max(1, reynolds));
        pump.FrictionM.ShouldBe(friction, 1e-4);
        CondensatePump.Of(free, head, lift, 0, hose).FlowLh.ShouldBe(lift >= head ? 0 : free * (1 - lift / head), 1e-6 * free);
    }

    [Theory]
    [InlineData(0.08, 1.3, 10, 221.54, 33.103, 14.1375, 0.13)]
    [InlineData(0.4, 1.3, 20, 1107.69, 77.005, 3.03875, 0.065)]
    [InlineData(0.08, 5, 10, 57.6, 57.6, 31.250, 0.5)]
    public void A_reservoir_fills_and_is_pumped_empty(double litres, double comes, double pumped, double fill, double run, double starts, double duty)
    {
        var cycle = PumpCycle.Of(litres, comes, pumped);
        cycle.FillS.ShouldBe(fill, 0.01);
        cycle.RunS.ShouldBe(run, 0.01);
        cycle.AnHour.ShouldBe(starts, 1e-4 * starts);
        cycle.Duty.ShouldBe(duty, 1e-9);
    }
}

/// <summary>Comparison of small records by their numbers.</summary>
internal static class Near
{
    public static void ShouldBe(this Cell cell, Cell other, double within)
    {
        cell.Left.ShouldBe(other.Left, within);
        cell.Low.ShouldBe(other.Low, within);
        cell.Right.ShouldBe(other.Right, within);
        cell.High.ShouldBe(other.High, within);
    }

    public static void ShouldBe(this DrillTransfer point, DrillTransfer other, double within)
    {
        point.RightM.ShouldBe(other.RightM, within);
        point.UpM.ShouldBe(other.UpM, within);
    }

    public static void ShouldBe(this (double A, double B, double C) given, (double A, double B, double C) other, double within)
    {
        given.A.ShouldBe(other.A, within);
        given.B.ShouldBe(other.B, within);
        given.C.ShouldBe(other.C, within);
    }

    public static void ShouldBe(this (int At, double Margin) given, (int At, double Margin) other, double within)
    {
        given.At.ShouldBe(other.At);
        given.Margin.ShouldBe(other.Margin, within);
    }
}
