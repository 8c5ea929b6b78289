using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Tests.Job;

namespace Vanto.Core.Tests.Load;

/// <summary>A space left to itself with its films apart. Properties, and the range of an independent balance.</summary>
public class FreeFloatTests
{
    public static TheoryData<string> Rigs => [.. AnyDesign.Named.Keys];

    private static (RigDay Day, int Peak) Held(string rig)
    {
        var design = AnyDesign.Named[rig];
        var (day, load) = RigDay.Of(design.Survey, design.Load);
        return (day, load.PeakHour);
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void What_comes_in_is_what_it_keeps(string rig)
    {
        var (day, peak) = Held(rig);
        var free = new FreeFloat(day.Space);
        free.Prepare(60);
        free.CopyStateFrom(day.Settled);
        var (first, came) = (free.StoredJ, 0.0);
        for (var minute = 0; minute < 300; minute++)
        {
            var k = (peak * 12 + minute / 5) % day.Drivers.Steps;
            var (convective, radiant) = day.Drivers.GainSplit(k);
            free.Step(day.Drivers.At(k), day.Drivers.OutdoorC[k], convective, radiant);
            came += free.InflowW * 60;
        }
        (free.StoredJ - first).ShouldBe(came, 1e-6 * Math.Max(1, Math.Abs(free.StoredJ)));
    }

    /// <summary>At rest it stands where a model with one film stands too, but for what radiation carries past the air.</summary>
    [Fact]
    public void Left_long_enough_without_sun_it_takes_the_temperature_outdoors()
    {
        var space = DesignCoolingLoadTests.Space("van");
        var free = new FreeFloat(space);
        free.Prepare(3600);
        var settled = new ThermalSpace(space);
        settled.Reset(20);
        free.CopyStateFrom(settled);
        var drive = Enumerable.Repeat(31.0, space.Faces.Count + space.Windows.Count).ToArray();
        for (var hour = 0; hour < 4000; hour++)
            free.Step(drive, 31, 0, 0);
        free.AirC.ShouldBe(31, 1e-6);
        free.MassC.ShouldBe(31, 1e-6);
    }

    /// <summary>Boat: 113 minutes to 32 °C with one film, 35 to 62 with films apart, by an independent balance over the same convection.</summary>
    [Fact]
    public void A_boat_warms_in_half_the_time_that_one_film_says()
    {
        var (day, peak) = Held("Gannet's Rest");
        var together = HeatSoak.HoldTime(day.Space, day.Drivers, day.Settled, peak, [32], null)[0]!.Value;
        var apart = HeatSoak.SafeTimes(day.Space, day.Drivers, day.Settled, peak, 32)[0];
        apart.Minutes!.Value.ShouldBeInRange(30, 62);
        apart.Minutes.Value.ShouldBeLessThan(0.6 * together);
        apart.Longest!.Value.ShouldBeGreaterThan(apart.Minutes.Value);
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void The_time_that_is_judged_is_the_least(string rig)
    {
        var (day, peak) = Held(rig);
        foreach (var hold in HeatSoak.SafeTimes(day.Space, day.Drivers, day.Settled, peak, 28, 32))
            foreach (var convection in new[] { 1.5, 2.0, 3.5 })
                (HeatSoak.HoldTime(day.Space, day.Drivers, day.Settled, peak, [hold.LimitC], convection)[0] ?? 1e9)
                    .ShouldBeGreaterThanOrEqualTo(hold.Minutes ?? 1e9);
    }

    [Fact]
    public void Closed_up_it_is_hotter_by_day_than_one_film_says()
    {
        var space = DesignCoolingLoadTests.Space("van");
        var day = DesignDay.Steps(space.Weather, 300);
        new HeatSoak(space, day).Peak.AirC.ShouldBeInRange(new HeatSoak(space, day, Films.Together).Peak.AirC, 60);
    }
}
