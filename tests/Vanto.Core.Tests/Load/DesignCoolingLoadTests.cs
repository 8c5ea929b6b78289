using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Load;

/// <summary>Check spaces computed by two independent programs outside this project; no published source.</summary>
public class DesignCoolingLoadTests
{
    public static TheoryData<string, int, double, double, double[]> Expected => new()
    {
        { "van", 15, 2711.8, 100.6,
            [451, 396, 356, 324, 297, 291, 459, 875, 1631, 2082, 2404, 2590, 2650, 2733, 2812, 2766, 2577, 2279, 1574, 1062, 813, 691, 597, 521] },
        { "bus", 16, 4017.2, 618.4,
            [1008, 914, 848, 795, 750, 761, 1322, 2317, 3266, 3782, 4038, 4052, 4023, 4270, 4554, 4636, 4469, 4007, 3546, 2316, 1945, 1737, 1301, 1134] },
        { "boat", 15, 2129.9, 520.6,
            [980, 939, 911, 891, 874, 868, 900, 1047, 1521, 1815, 2059, 2256, 2433, 2577, 2650, 2631, 2511, 2238, 2238, 1650, 1507, 1419, 1120, 1037] },
    };

    [Theory]
    [MemberData(nameof(Expected))]
    public void Hourly_totals_match_the_check_spaces(string name, int peakHour, double sensible, double latent, double[] totals)
    {
        var (load, _) = Solve(Space(name));
        (load.PeakHour + 1).ShouldBe(peakHour);
        load.SensibleW[load.PeakHour].ShouldBe(sensible, sensible * 0.0005);
        load.LatentW[load.PeakHour].ShouldBe(latent, 0.1);
        for (var hour = 0; hour < 24; hour++)
            load.Total(hour).ShouldBe(totals[hour], 1.0, $"hour {hour + 1}");
    }

    [Theory]
    [InlineData("van", 313.4, 746.3, 274.2, 181.1, 699.5, 117.3, 80.0, 300.0)]
    [InlineData("bus", 324.1, 891.7, 449.9, 447.9, 1076.1, 277.4, 140.0, 410.0)]
    [InlineData("boat", 307.1, 388.6, 161.3, 63.4, 608.8, 111.5, 279.5, 209.7)]
    public void Causes_at_the_peak_match_and_add_up(string name, params double[] watts)
    {
        var (load, _) = Solve(Space(name));
        Cause[] order = [Cause.Roof, Cause.Walls, Cause.Floor, Cause.GlassConduction, Cause.GlassSun, Cause.Air, Cause.People, Cause.Appliances];
        for (var i = 0; i < order.Length; i++)
            load.ByCause[(int)order[i]][load.PeakHour].ShouldBe(watts[i], 0.3, order[i].ToString());
        for (var hour = 0; hour < 24; hour++)
            order.Sum(c => load.ByCause[(int)c][hour]).ShouldBe(load.SensibleW[hour], 1e-6 * Math.Max(1, Math.Abs(load.SensibleW[hour])));
    }

    [Theory]
    [InlineData("van", 69.80, 6.519)]
    [InlineData("bus", 143.10, 27.20)]
    [InlineData("boat", 118.37, 15.92)]
    public void Conductances_match(string name, double skin, double air)
    {
        var space = Space(name);
        new ThermalSpace(space).SkinWK.ShouldBe(skin, 0.006);
        space.InfiltrationWK.ShouldBe(air, 0.006);
    }

    [Fact]
    public void A_coarser_step_changes_the_peak_by_less_than_a_tenth_of_a_percent()
    {
        DesignCoolingLoad.Solve(SheetSpaces.Van, DesignDay.Steps(SheetSpaces.Van.Weather, 60)).Load.PeakW.ShouldBe(2812.95, 0.1);
        DesignCoolingLoad.Solve(SheetSpaces.Van, DesignDay.Steps(SheetSpaces.Van.Weather, 900)).Load.PeakW.ShouldBe(2811.19, 0.1);
    }

    [Theory]
    [InlineData("van")]
    [InlineData("bus")]
    [InlineData("boat")]
    public void Faces_solved_one_by_one_agree_with_the_whole(string name)
    {
        var space = Space(name);
        HeldAirLoad held = new HeldAirLoad(DesignDay.Steps(space.Weather, 300));
        foreach (var heading in new[] { 0.0, 80, 180, 247.5 })
        {
            var (whole, _) = Solve(space with { HeadingDeg = heading });
            var curve = held.Solve(space with { HeadingDeg = heading });
            for (var hour = 0; hour < 24; hour++)
            {
                curve.SensibleW[hour].ShouldBe(whole.SensibleW[hour], 0.3, $"{heading}° hour {hour}");
                curve.LatentW[hour].ShouldBe(whole.LatentW[hour], 1e-6);
            }
            curve.PeakHour.ShouldBe(whole.PeakHour);
        }
    }

    /// <summary>Heading sweep of the check spaces by two programs outside this project.</summary>
    [Theory]
    [InlineData("van", 2638, 2538, 2583, 2631, 2652, 2683, 2721, 2771, 2812, 2808, 2778, 2736, 2777, 2798, 2794, 2740)]
    [InlineData("bus", 4588, 4509, 4301, 4019, 4021, 4200, 4402, 4558, 4636, 4712, 4615, 4358, 4282, 4455, 4678, 4701)]
    [InlineData("boat", 2678, 2722, 2733, 2678, 2649, 2693, 2728, 2699, 2608, 2543, 2503, 2507, 2500, 2516, 2549, 2613)]
    public void Sixteen_headings_match_the_check_spaces(string name, params int[] peaks)
    {
        HeldAirLoad held = new HeldAirLoad(DesignDay.Steps(Space(name).Weather, 300));
        for (var i = 0; i < 16; i++)
            held.Solve(Space(name) with { HeadingDeg = i * 22.5 }).PeakW.ShouldBe(peaks[i], 1.0, $"{i * 22.5}°");
    }

    internal static SpaceDescription Space(string name) => name switch { "van" => SheetSpaces.Van, "bus" => SheetSpaces.Bus, _ => SheetSpaces.Boat };

    private static (LoadDay Load, ThermalSpace Settled) Solve(SpaceDescription space) =>
        DesignCoolingLoad.Solve(space, DesignDay.Steps(space.Weather, 300));
}
