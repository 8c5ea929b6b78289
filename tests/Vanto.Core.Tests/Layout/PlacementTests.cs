using CsCheck;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Layout;

/// <summary>Where the head goes, the outdoor unit's neighbours, sound, gasket, charge: against figures worked out on their own.</summary>
public class PlacementTests
{
    private static WallSetting Setting(double width, double ribFirst, double ribPitch, params ThingDesign[] things) => WallSetting.Of(new LayoutDesign
    {
        Wall = new WallDesign { WidthM = width, CeilingM = 1.95, RibFirstM = ribFirst, RibPitchM = ribPitch, Things = things },
    }, width, 1.95, UnitSheets.Typical(UnitCatalogue.All.First(u => u.Id == "MS-12-120")));

    private static HeadRegion Region(WallSetting s) => HeadRegion.Of(s.WidthM, s.Ceiling, s.HeadM, s.HighM, s.Needs, s.KeepOuts);

    private static double Pipe(double x, double up) => 0.4 + Math.Abs(x - 1) + up;

    private static double Fall(double up) => up > 0.2 ? 2 : 0;

    /// <summary>No place of a grid of 5 mm across, at the heights a place is looked for, is better than the best by more than 10 mm of pipe is worth.</summary>
    [Fact]
    public void The_best_place_is_what_a_fine_grid_finds()
    {
        var any = from width in Gen.Double[1.4, 4]
                  from first in Gen.Double[0.1, 0.5]
                  from pitch in Gen.Double[0.3, 0.7]
                  from left in Gen.Double[0, 2]
                  from low in Gen.Double[0.5, 1.6]
                  select (width, first, pitch, left, low);
        any.Each(c =>
        {
            var s = Setting(c.width, c.first, c.pitch, new ThingDesign { Kind = ThingKind.Cupboard, LeftM = c.left, LowM = c.low });
            var region = Region(s);
            var best = HeadPlacement.Best(s, region, Pipe, Fall).FirstOrDefault();
            var grid = (from i in Enumerable.Range(0, (int)(c.width / 0.005))
                        let x = i * 0.005
                        let top = region.Cells.Where(k => x >= k.Left && x <= k.Right).Select(k => k.High).DefaultIfEmpty(-1).Max()
                        let y = new[] { 0, 0.05, 0.1, 0.2, 0.4 }.Select(drop => top - drop)
                            .Where(y => region.Allows(x, y) && HeadPlacement.Refused(s, x, y).Count == 0).DefaultIfEmpty(-1).First()
                        where y >= 0 && 1.95 - y - s.HighM <= 0.6
                        select HeadPlacement.Score(s, x, y, Pipe, Fall).Score).DefaultIfEmpty(-1).Max();
            if (best is not null)
                HeadPlacement.Refused(s, best.LeftM, best.LowM).ShouldBeEmpty();
            (best?.Score ?? -1).ShouldBeGreaterThan(grid - 0.25 * 0.01 / 15.24 - 1e-9);
        }, iter: 60);
    }

    [Fact]
    public void A_score_lies_between_nothing_and_one_and_ribs_raise_it()
    {
        var s = Setting(2.3, 0.25, 0.45);
        Gen.Select(Gen.Double[0, 1.5], Gen.Double[0, 1.6]).Each((x, y) => HeadPlacement.Score(s, x, y, Pipe, Fall).Score.ShouldBeInRange(0, 1));
        var none = Setting(2.3, 0.25, 5);
        HeadPlacement.Score(s, 0.4, 1.4, Pipe, Fall).Ribs.ShouldBeGreaterThanOrEqualTo(HeadPlacement.Score(none, 0.4, 1.4, Pipe, Fall).Ribs);
    }

    [Theory]
    [InlineData(3, 0.2, 180, UnitPair.Standing.FaceToFace)]
    [InlineData(3, 0.2, 0, UnitPair.Standing.FirstIntoSecond)]
    [InlineData(0, 2, 0, UnitPair.Standing.Apart)]
    [InlineData(5, 0, 180, UnitPair.Standing.Apart)]
    public void Two_units_face_one_another_or_not(double x, double y, double yaw, UnitPair.Standing standing)
    {
        UnitPair.Of(0, 0, 0, x, y, yaw).ShouldBe(standing);
        UnitPair.Of(x, y, yaw, 0, 0, 0).ShouldBe(standing == UnitPair.Standing.FirstIntoSecond ? UnitPair.Standing.SecondIntoFirst : standing,
            "the other way round the parts are changed");
    }

    /// <summary>A point source loses 20·lg r; levels add by their powers (published).</summary>
    [Fact]
    public void Sound_falls_with_distance_and_adds_by_power()
    {
        Sound.At(58, 5).ShouldBe(44.021, 1e-3);
        Sound.Sum(50, 50).ShouldBe(53.010, 1e-3);
        Sound.Sum(60, 40, 55).ShouldBe(61.226, 1e-3);
    }

    [Theory]
    [InlineData(0.030, 0.015, 0.36195, null, 0, 0.5, 0.5)]
    [InlineData(0.030, 0.015, 0.40, 4.0, 0.0050, 0.5, 0.33333)]
    [InlineData(0.0254, 0.0127, 0.40, 2.0, 0.0100, 0.5, 0.10630)]
    public void A_gasket_is_pressed_less_where_the_roof_falls_away(double free, double pressed, double across, double? radius, double sag, double crown,
        double edge)
    {
        var o = RooftopOpening.Of(free, pressed, across, radius);
        (o.SagM, o.CrownShare, o.EdgeShare).ShouldBe((sag, crown, edge), 1e-5);
    }

    /// <summary>Anchors of the standard's formula: 0.152 kg of R-290 and 1.842 kg of R-32 need no least area (IEC 60335-2-40, from memory).</summary>
    [Theory]
    [InlineData(0.6, RefrigerantKind.R32, 1.8, 6, 12, 1.842, 2.518901, 0.340433, 0.162866)]
    [InlineData(1.9, RefrigerantKind.R32, 1.8, 9, 20.7, 1.842, 3.085011, 3.413786, 0.298982)]
    [InlineData(0.25, RefrigerantKind.R290, 1.8, 8, 16, 0.152, 0.213544, 10.96468, 0.411184)]
    public void A_charge_is_held_against_floor_and_space(double kg, RefrigerantKind kind, double height, double floor, double air, double free, double most,
        double area, double mixed)
    {
        var room = RoomCharge.Of(kg, kind, height, floor, air)!;
        room.FreeKg.ShouldBe(free, 1e-6);
        room.MostKg.ShouldBe(most, 1e-5);
        room.LeastM2.ShouldBe(area, 1e-4);
        room.Mixed.ShouldBe(mixed, 1e-5);
        RoomCharge.Of(kg, RefrigerantKind.R410A, height, floor, air).ShouldBeNull("it does not burn");
    }

    /// <summary>Whatever is typed, the hole offered outside is the mirror image of the hole inside and the ways end at the unit.</summary>
    [Fact]
    public void Any_layout_is_answered_and_its_ways_end_where_the_pipes_join()
    {
        var any = from width in Gen.Double[0.9, 6]
                  from ceiling in Gen.Double[1.2, 3]
                  from thick in Gen.Double[0.01, 0.5]
                  from right in Gen.Double[-3, 8]
                  from up in Gen.Double[-2, 3]
                  from blows in Gen.Enum<Blows>()
                  select (width, ceiling, thick, right, up, blows);
        any.Each(c =>
        {
            var layout = Assessor.Assess(NewcomersVan.Design with
            {
                Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" },
                Layout = new LayoutDesign
                {
                    Wall = new WallDesign { WidthM = c.width, CeilingM = c.ceiling, ThicknessM = c.thick },
                    Outdoor = new OutdoorSpotDesign { RightM = c.right, UpM = c.up, Blows = c.blows },
                },
            }).Layout!;
            foreach (var way in layout.Ways)
            {
                var end = way.Points[^1];
                (end.X, end.Y, end.Z).ShouldBe((layout.Outdoor!.Port.X, layout.Outdoor.Port.Y, layout.Outdoor.Port.Z), 1e-9);
                if (way.Fault is null)
                    way.LengthM.ShouldBeLessThanOrEqualTo(way.Points.Zip(way.Points.Skip(1), (a, b) => (b - a)).Sum(d =>
                        Math.Sqrt(d.X * d.X + d.Y * d.Y + d.Z * d.Z)) + 1e-9, "bends cut corners");
            }
            foreach (var place in layout.Wall!.Best)
                layout.Wall.Allowed.ShouldContain(a => place.LeftM >= a.Left - 1e-6 && place.LeftM <= a.Right + 1e-6 && place.LowM <= a.High + 1e-6);
        }, iter: 30);
    }
}
