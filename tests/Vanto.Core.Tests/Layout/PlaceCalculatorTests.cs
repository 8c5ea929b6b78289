using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Mount;

namespace Vanto.Core.Tests.Layout;

/// <summary>Room, neighbours, drill and loads as the Bench has them, against closed forms; distances wanted are common practice.</summary>
public class PlaceCalculatorTests
{
    private static double Of(CalculationResult result, string label) => result.Figures.Single(f => f.Label == label).Value!.Value;

    private static string Said(CalculationResult result, string label) => result.Figures.Single(f => f.Label == label).Words!.ToString()!;

    [Fact]
    public void A_cable_beside_a_level_hole_stands_clear_by_what_is_left_of_the_distance()
    {
        var beside = new DrillHazardInput { FallM = 0, AcrossM = 1, LeftM = 1.08, HoleM = 0.065 };
        var result = LayoutCalculators.Hazard(beside);
        Of(result, "Clear of the hole's edge").ShouldBe(0.08 - 0.0325, 1e-9);
        Said(result, "So").ShouldStartWith("too near");
        Said(LayoutCalculators.Hazard(beside with { LeftM = 1.1 }), "So").ShouldBe("passes");
        Said(LayoutCalculators.Hazard(beside with { LeftM = 1.1, Kind = ThingKind.Gas }), "So").ShouldStartWith("too near");
        Said(LayoutCalculators.Hazard(beside with { LeftM = 1.02 }), "So").ShouldStartWith("the drill meets it");
        Should.Throw<InputException>(() => LayoutCalculators.Hazard(beside with { ToDepthM = 0.01 })).Errors.Single().Field.ShouldBe("toDepthM");
    }

    [Fact]
    public void Room_is_what_stands_ahead_behind_and_above()
    {
        var result = LayoutCalculators.Room(new OutdoorRoomInput { RightM = 0.2 });
        Of(result, "Where it blows").ShouldBe(1.2, 1e-9);
        Of(result, "Behind it").ShouldBe(0.15, 1e-9);
        Of(result, "At its right").ShouldBe(0.2, 1e-9);
        Of(result, "Above it").ShouldBe(0.8, 1e-9);
        Said(result, "At its left").ShouldBe("nothing stands there");
        result.Working.Steps.Single(w => w.Symbol == "right").Numbers.ShouldContain("too little");
    }

    [Theory]
    [InlineData(0, 180, "they blow at one another")]
    [InlineData(0, 0, "the first blows into the second")]
    [InlineData(180, 180, "the second blows into the first")]
    [InlineData(90, 90, "neither minds the other")]
    public void Two_units_mind_one_another_by_the_way_they_blow(double first, double second, string says) =>
        Said(LayoutCalculators.Pair(new UnitPairInput { FirstDeg = first, SecondDeg = second }), "So").ShouldStartWith(says);

    [Fact]
    public void Loads_are_the_weight_times_its_factors()
    {
        var result = MountCalculators.Cases(new LoadCasesInput());
        const double weight = 26 * 9.80665;
        Of(result, "its weight").ShouldBe(1.5 * weight, 1e-6);
        Of(result, "4 times its weight").ShouldBe(4 * weight, 1e-6);
        // 4.5 m behind the front axle of 3.6 m kicks 1.25 times: 1.5·(1 + 1.25·2)·m·g.
        Of(result, "shock of the road, down").ShouldBe(1.5 * 3.5 * weight, 1e-6);
        Of(result, "braking").ShouldBe(1.5 * Math.Sqrt(2) * weight, 1e-6);
        MountCalculators.Cases(new LoadCasesInput { Base = RigBase.Boat }).Figures.Select(f => f.Label).ShouldContain("roll to the left");
        MountCalculators.Cases(new LoadCasesInput { Base = RigBase.Building, GustMs = 30 }).Figures.Select(f => f.Label).ShouldContain("gust ahead");
    }
}
