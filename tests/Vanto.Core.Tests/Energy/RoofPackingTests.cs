using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Energy;

/// <summary>Modules on a roof. Check values: exhaustive by construction; properties; no published source.</summary>
public class RoofPackingTests
{
    private static readonly Roof Van = new(3600, 1700, 50, 1490, 670, 20, [new(new(1450, 480, 700, 700)), new(new(2900, 1000, 400, 400))]);

    [Theory]
    [InlineData(3600, 1700, 50, 1490, 670, 5)]
    [InlineData(10500, 2300, 60, 1722, 1134, 9)]
    [InlineData(5000, 4000, 300, 1722, 1134, 5)]
    public void An_open_roof_holds_so_many(int length, int width, int margin, int moduleLength, int moduleWidth, int count)
    {
        var plan = RoofPacking.Pack(new Roof(length, width, margin, moduleLength, moduleWidth, 20, []));
        plan.Count.ShouldBe(count);
        plan.Modules.Count.ShouldBe(count);
        plan.Modules[0].X.ShouldBe(margin);
        plan.Modules[0].Y.ShouldBe(margin);
        RoofPacking.Pack(new Roof(width, length, margin, moduleLength, moduleWidth, 20, [])).Count.ShouldBe(count, "turned round it is the same roof");
    }

    [Fact]
    public void The_cabin_roof_mixes_orientations_row_by_row() =>
        RoofPacking.Pack(new Roof(5000, 4000, 300, 1722, 1134, 20, [])).Modules.Take(3)
            .ShouldBe([new(300, 300, 1722, 1134), new(2042, 300, 1722, 1134), new(300, 1454, 1134, 1722)]);

    [Fact]
    public void Nothing_overlaps_and_nothing_stands_on_an_obstacle_or_over_the_edge()
    {
        var random = new SplitMix64(11);
        int Next(int from, int to) => from + (int)(random.Uniform() * (to - from));
        for (var roof = 0; roof < 40; roof++)
        {
            var (length, width) = (Next(1500, 6000), Next(1200, 2600));
            List<RoofObstacle> obstacles =
                [.. Enumerable.Range(0, 3).Select(_ => new RoofObstacle(new(Next(0, length), Next(0, width), Next(200, 800), Next(200, 800))))];
            var plan = RoofPacking.Pack(new Roof(length, width, 40, 1200, 540, 15, obstacles));
            foreach (var m in plan.Modules)
            {
                (m.X >= 40 && m.Y >= 40 && m.X + m.LengthMm <= length - 40 && m.Y + m.WidthMm <= width - 40).ShouldBeTrue();
                foreach (var o in obstacles)
                    Overlap(m, new(o.At.X - 50, o.At.Y - 50, o.At.LengthMm + 100, o.At.WidthMm + 100)).ShouldBeFalse();
                plan.Modules.Count(n => Overlap(m, n)).ShouldBe(1, "only with itself");
            }
            RoofPacking.Pack(new Roof(length, width, 40, 1200, 540, 15, [.. obstacles.Take(2)])).Count.ShouldBeGreaterThanOrEqualTo(plan.Count);
            RoofPacking.Pack(new Roof(length + 137, width, 40, 1200, 540, 15, obstacles)).Count.ShouldBeGreaterThanOrEqualTo(plan.Count);
        }
    }

    [Fact]
    public void A_hatch_and_the_unit_take_their_modules()
    {
        RoofPacking.Pack(Van).Count.ShouldBeLessThan(RoofPacking.Pack(Van with { Obstacles = [] }).Count);
        var tall = Van with { Obstacles = [new(new(1450, 480, 700, 700), 50, 300)], ShadowElevationDeg = 20 };
        RoofPacking.Pack(tall).Count.ShouldBeLessThanOrEqualTo(RoofPacking.Pack(tall with { ShadowElevationDeg = 0 }).Count);
    }

    [Fact]
    public void A_rooftop_unit_stands_on_its_own_roof_and_a_split_does_not()
    {
        var van = NewcomersVan.Design with
        {
            Survey = NewcomersVan.Design.Survey with
            {
                Sources = NewcomersVan.Design.Survey.Sources with { Modules = new ModulesDesign { Count = 1, LengthM = 1.2, WidthM = 0.54 } }
            }
        };
        ArrayView Roof(string unit, RoofDesign? on = null) => Assessor.Assess(van with
        {
            Unit = van.Unit with { Chosen = unit },
            Survey = van.Survey with { Sources = van.Survey.Sources with { OnRoof = on ?? new RoofDesign() } }
        }).Energy!.Array;
        var split = Roof("MS-09-120");
        split.Unit.ShouldBeNull();
        var rooftop = Roof("RT-09-115");
        var body = rooftop.Unit!.Value;
        (body.X + body.LengthMm / 2.0).ShouldBe(rooftop.RoofLengthMm / 2.0, 2, "in the middle where nothing is said");
        rooftop.Roof.Count.ShouldBeLessThan(split.Roof.Count);
        foreach (var m in rooftop.Roof.Modules)
            Overlap(m, body).ShouldBeFalse();
        Roof("RT-09-115", new RoofDesign { UnitFromFrontM = 0.2, UnitFromLeftM = 0.3 }).Unit!.Value.X.ShouldBe(200);
    }

    [Theory]
    [InlineData(299, 1700, "lengthMm")]
    [InlineData(3600, 50001, "widthMm")]
    public void A_roof_out_of_range_is_refused_by_name(int length, int width, string field) =>
        Should.Throw<InputException>(() => RoofPacking.Pack(new Roof(length, width, 50, 1490, 670, 20, []))).Errors[0].Field.ShouldBe(field);

    private static bool Overlap(RoofRectangle a, RoofRectangle b) =>
        a.X < b.X + b.LengthMm && b.X < a.X + a.LengthMm && a.Y < b.Y + b.WidthMm && b.Y < a.Y + a.WidthMm;
}
