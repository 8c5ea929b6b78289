using Vanto.Core.Load;
using Vanto.Core.Physics;

namespace Vanto.Core.Tests.Calculators;

/// <summary>Attic and moisture on the Bench against their balances worked out by hand; common practice, no published source.</summary>
public class RoomAndAtticTests
{
    [Fact]
    public void The_attic_on_the_bench_is_the_balance_of_roof_vents_and_ceiling()
    {
        var input = new AtticInput();
        var figures = LoadCalculators.Attic(input).Figures;
        var attic = figures.Single(f => f.Label == "The attic stands at").Value!.Value;
        attic.ShouldBeInRange(52, 66, "near 60 °C on a 33 °C day");
        var film = SkyLongWave.OutsideFilm(input.WindMs, 0.90, 293.15);
        var (through, vent) = (1.1 / (1 / film + 1 / 6.0), 4 * 0.8 / 3600 * 1200);
        var solAir = input.OutdoorC + 0.65 * input.SunWm2 / film;
        (through * (solAir - attic) - vent * (attic - input.OutdoorC) - input.CeilingU * (attic - input.RoomC)).ShouldBe(0, 1e-9);
    }

    [Fact]
    public void An_attic_followed_in_a_steady_sun_comes_to_the_one_that_is_steady()
    {
        var attic = new Attic(0.65, 1.07);
        var roof = Enumerable.Repeat(70.0, 288).ToArray();
        attic.Follow(roof, Enumerable.Repeat(default(WeatherMoment) with { AirC = 33 }, 288).ToArray(), 17, 0.25, 24, 300);
        roof[^1].ShouldBe(attic.Steady(70, 33, 17, 0.25, 24), 0.01);
    }

    [Fact]
    public void Moisture_on_the_bench_ends_where_the_balance_does()
    {
        var day = LoadCalculators.Moisture(new RoomMoistureInput { HoursLong = 48, LatentW = 150, CoilW = 150 });
        var ratio = day.Figures.Single(f => f.Label == "Humidity ratio then").Value!.Value;
        var outdoors = MoistAir.RatioFromRh(32, 60, Atmosphere.SeaLevelPa);
        var start = MoistAir.RatioFromRh(25, 55, Atmosphere.SeaLevelPa);
        // One air change an hour against ten times the air's water: a time constant of ten hours.
        var without = outdoors + (start - outdoors) * Math.Exp(-48 / 10.0);
        ratio.ShouldBe(Math.Min(without, MoistAir.SaturationRatio(25, Atmosphere.SeaLevelPa)), 1e-6);
    }
}
