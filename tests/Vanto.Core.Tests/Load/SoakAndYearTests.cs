using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Load;

/// <summary>Computed by two programs outside this project; no published source.</summary>
public class SoakAndYearTests
{
    [Theory]
    [InlineData("van", 53.06, 15.9, 52.55)]
    [InlineData("bus", 41.80, 16.9, 40.51)]
    [InlineData("boat", 35.15, 16.4, 34.66)]
    public void Closed_up_in_the_sun(string name, double peak, double hour, double atThree)
    {
        var soak = Soak(name);
        soak.Peak.AirC.ShouldBe(peak, 0.05);
        soak.Peak.Hour.ShouldBe(hour, 0.1);
        soak.At(15).ShouldBe(atThree, 0.05);
    }

    [Theory]
    [InlineData("van", 2600, 237, 35.9, 30.9)]
    [InlineData("van", 3500, 174, 38.3, 32.6)]
    [InlineData("van", 5300, 76, 38.4, 38.6)]
    [InlineData("van", 7000, 40, 38.4, 43.9)]
    [InlineData("bus", 2600, null, null, null)]
    [InlineData("bus", 3500, 344, 48.4, 27.3)]
    [InlineData("bus", 5300, 230, 46.0, 28.8)]
    [InlineData("boat", 2600, 249, 51.4, 28.8)]
    [InlineData("boat", 5300, 42, 46.8, 33.3)]
    [InlineData("boat", 7000, 21, 52.5, 34.2)]
    public void Pull_down_from_three_in_the_afternoon(string name, double nominal, int? minutes, double? humidity, double? mass)
    {
        var space = DesignCoolingLoadTests.Space(name);
        var result = PullDowns.FromSoak(Soak(name), space, 15, nominal);
        if (minutes is not { } expected)
        {
            result.Minutes.ShouldBeNull();
            result.AirC.ShouldBe(27.1, 0.2);
            return;
        }
        result.Minutes!.Value.ShouldBe(expected, Math.Max(3, expected * 0.02));
        result.RelativeHumidityPct.ShouldBe(humidity!.Value, 1.5);
        result.MassC.ShouldBe(mass!.Value, 0.35);
    }

    [Theory]
    [InlineData("van", 3, 5, 9, 20)]
    [InlineData("bus", 9, 24, 50, 102)]
    [InlineData("boat", 7, 25, 70, null)]
    public void Minutes_until_it_is_hot_once_the_unit_stops(string name, int at28, int at30, int at32, int? at35)
    {
        var (space, drivers, settled) = Held(name);
        var minutes = HeatSoak.HoldTime(space, drivers, settled, 15, [28, 30, 32, 35], null);
        minutes[0]!.Value.ShouldBe(at28, 1);
        minutes[1]!.Value.ShouldBe(at30, 1);
        minutes[2]!.Value.ShouldBe(at32, 2);
        if (at35 is { } last)
            minutes[3]!.Value.ShouldBe(last, 2);
        else
            minutes[3].ShouldBeNull();
    }

    [Theory]
    [InlineData("bus", 3517, 0.85, 29.18, 16.5, 9.67)]
    [InlineData("van", 2640, 0.95, 30.23, null, 7.25)]
    [InlineData("boat", 2640, 0.79, 25.41, null, 0.0)]
    public void Too_small(string name, double nominal, double share, double peak, double? hour, double above)
    {
        var (space, drivers, _) = Held(name);
        var result = HeatSoak.PeakIndoorWithCapacity(space, drivers, outdoor => share * Capacity.Derated(nominal, outdoor, 17.5, space.Weather.PressurePa));
        result.PeakC.ShouldBe(peak, 0.06);
        if (hour is { } expected)
            result.Hour.ShouldBe(expected, 0.2);
        result.HoursAbove.ShouldBe(above, 0.2);
    }

    [Theory]
    [InlineData("van", 20, -10, 4, 76.88, 2306.5, 195.6)]
    [InlineData("bus", 20, -3, 5, 170.28, 3916.5, 625.6)]
    [InlineData("boat", 19, 8, 5, 131.22, 1305.1, null)]
    public void Heating_at_the_coldest_hour(string name, double indoor, double outdoor, double wind, double conductance, double watts, double? air)
    {
        var result = HeatingLoad.Design(DesignCoolingLoadTests.Space(name) with { WaterC = 12 }, indoor, outdoor, wind);
        result.ConductanceWK.ShouldBe(conductance, 0.01);
        result.TotalW.ShouldBe(watts, 0.2);
        if (air is { } expected)
            result.AirW.ShouldBe(expected, 0.1);
    }

    [Theory]
    [InlineData(76.88, 20, 0, -9.9633)]
    [InlineData(76.88, 20, 200, -11.0940)]
    [InlineData(170.28, 20, 0, 1.7192)]
    [InlineData(170.28, 20, 200, 0.8462)]
    [InlineData(131.22, 19, 0, -2.7291)]
    public void Balance_point(double conductance, double indoor, double gains, double expected)
    {
        (double, double)[] curve = [(-15, 1800), (-7, 2600), (8.3, 3500)];
        var (kind, outdoor) = HeatingLoad.BalancePoint(curve, conductance, indoor, gains);
        kind.ShouldBe(BalanceKind.At);
        outdoor.ShouldBe(expected, 0.01);
        HeatingLoad.BalancePoint(curve, 10, 20).Kind.ShouldBe(BalanceKind.BelowLowest);
        HeatingLoad.BalancePoint(curve, 900, 20).Kind.ShouldBe(BalanceKind.AboveHighest);
    }

    [Theory]
    [InlineData("van", 1, 2094.3, 4980, 218.6, 1691, 3089, 4622)]
    [InlineData("van", 2, 2108.1, 4913, 216.7, 1864, 2970, 4711)]
    [InlineData("van", 3, 2139.1, 4914, 201.4, 2004, 2929, 4657)]
    [InlineData("bus", 1, 1605.5, 6940, 2030, 2907, 5287, 4372)]
    [InlineData("bus", 2, 1618.8, 6828, 2102, 3188, 5080, 4435)]
    [InlineData("bus", 3, 1691.2, 6926, 1987, 3493, 4878, 4352)]
    [InlineData("boat", 1, 1959.8, 8601, 3495, 0, 2890, 8741)]
    [InlineData("boat", 2, 1976.1, 8508, 3500, 0, 2906, 8742)]
    [InlineData("boat", 3, 2042.4, 8425, 3449, 0, 2876, 8698)]
    public void A_year_of_weather(string name, int seed, double global, double sensible, double latent, double heating, double peak, int hours)
    {
        var (space, weather) = Year(name, seed);
        weather.GlobalKWhM2.ShouldBe(global, 0.1);
        var year = new YearRun(space, weather).Run(name == "boat" ? 19 : 20);
        year.SensibleKWh.ShouldBe(sensible, sensible * 0.005);
        year.LatentKWh.ShouldBe(latent, latent * 0.01);
        year.HeatingKWh.ShouldBe(heating, Math.Max(1, heating * 0.005));
        year.PeakW.ShouldBe(peak, peak * 0.005);
        ((double)year.CoolingHours).ShouldBe(hours, 15);
    }

    [Theory]
    [InlineData("van", 2640, 900, 333, 2251, 0.18)]
    [InlineData("van", 3517, 1000, 1, 2399, 0.21)]
    [InlineData("van", 5280, 1500, 0, 3100, 0.38)]
    [InlineData("van", 7030, 2000, 0, 3789, 0.62)]
    [InlineData("bus", 3517, 1000, 725, 1152, 0.08)]
    [InlineData("bus", 7030, 2000, 0, 2412, 0.29)]
    [InlineData("boat", 2640, 900, 135, 2819, 0.16)]
    [InlineData("boat", 7030, 2000, 0, 7048, 0.68)]
    [InlineData("bus", 5280, 1500, 8, 1866, 0.18)]
    [InlineData("boat", 3517, 1000, 0, 3441, 0.21)]
    public void Turn_down_over_a_year(string name, double nominal, double lowest, int unmet, int below, double energy)
    {
        var (space, weather) = Year(name, 1);
        var part = PartLoadHours.Of(new YearRun(space, weather).Run(name == "boat" ? 19 : 20), nominal, lowest, space.Weather.PressurePa);
        ((double)part.UnmetHours).ShouldBe(unmet, Math.Max(3, unmet * 0.03));
        ((double)part.HoursBelow).ShouldBe(below, below * 0.01 + 5);
        part.EnergyBelowShare.ShouldBe(energy, 0.012);
    }

    /// <summary>The bus's worst month is August, not the hottest July.</summary>
    [Fact]
    public void Low_sun_makes_another_month_the_worst()
    {
        var peaks = WorstDesignMonth.Peaks(DesignCoolingLoadTests.Space("bus"), [.. SheetClimates.Bus.Select(m => m.MaxC)]);
        Array.IndexOf(peaks, peaks.Max()).ShouldBe(7);
        peaks[6].ShouldBe(4636, 47);
        peaks[7].ShouldBe(4729, 48);
        peaks[5].ShouldBe(4396, 45);
        peaks[8].ShouldBe(4265, 45);
        peaks[0].ShouldBe(1200, 25);
    }

    [Theory]
    [InlineData(300, 2.52, 7.14286, 0.825)]
    [InlineData(600, 2.88, 12.5, 0.90)]
    [InlineData(900, 1.08, 50, 0.975)]
    public void Cycling(double load, double cycles, double minutes, double efficiency)
    {
        var (n, on, factor) = PartLoadHours.Cycling(load, 1000);
        n.ShouldBe(cycles, 1e-9);
        on.ShouldBe(minutes, 1e-5);
        factor.ShouldBe(efficiency, 1e-12);
    }

    private static HeatSoak Soak(string name)
    {
        // The pull-downs were computed with five times the water of the air alone.
        var space = DesignCoolingLoadTests.Space(name) with { MoistureStore = 5 };
        return new HeatSoak(space, DesignDay.Steps(space.Weather, 300), Films.Together);
    }

    private static (SpaceDescription Space, SpaceDrivers Drivers, ThermalSpace Settled) Held(string name)
    {
        var space = DesignCoolingLoadTests.Space(name);
        var drivers = SpaceDrivers.Build(space, DesignDay.Steps(space.Weather, 300));
        return (space, drivers, DesignCoolingLoad.Solve(space, drivers).Settled);
    }

    private static (SpaceDescription Space, WeatherYear Weather) Year(string name, int seed)
    {
        var (place, months, turbidity) = name switch
        {
            "van" => (SheetClimates.VanPlace, SheetClimates.Van, 4.0),
            "bus" => (SheetClimates.BusPlace, SheetClimates.Bus, 4.5),
            _ => (SheetClimates.BoatPlace, SheetClimates.Boat, 4.5)
        };
        return (DesignCoolingLoadTests.Space(name), new WeatherGenerator(place, months, turbidity).Year((ulong)seed));
    }
}
