using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Survey;
using Vanto.Core.Tests.Job;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>The cabin's moisture followed through a run. Properties, and ranges of an independent hour-by-hour balance.</summary>
public class FollowedHumidityTests
{
    public static TheoryData<string> Rigs => [.. AnyDesign.Named.Keys];

    private static (EnergyResult Result, EnergyInputs Inputs, RigDay Day, double[] Hours) Run(JobDesign rig, int days = 1)
    {
        var unit = Assessor.Assess(rig).Unit!.Unit;
        var inputs = new EnergyInputs(rig.Survey, rig.Load, rig.Unit, unit, rig.Energy, rig.Start.ReserveSoc);
        var day = RigDay.Of(rig.Survey, rig.Load).Day;
        var (result, _, hours) = new DayRun(inputs, day, unit.SingleSpeed ? 60 : 300, days).Run();
        return (result, inputs, day, hours);
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void Water_and_energy_close(string rig)
    {
        var (result, _, _, _) = Run(AnyDesign.Named[rig], 2);
        result.Water!.Closes.ShouldBeTrue($"{result.Water.ResidualKg} kg of {result.Water.ThroughputKg} kg");
        result.Ledger.Closes.ShouldBeTrue();
    }

    /// <summary>Range: an independent balance with the same set-points; the day repeated until its air is as damp as the day before.</summary>
    [Theory]
    [InlineData("Gannet's Rest", 6.7, 7.3, 54, 62)]
    [InlineData("Marigold", 11.5, 11.95, 30, 60)]
    public void A_damp_boat_takes_more_and_a_desert_bus_less_than_with_the_wet_bulb_held(string rig, double least, double most, double dry, double damp)
    {
        var (result, _, day, _) = Run(Fed(AnyDesign.Named[rig]), 4);
        var last = result.AirconW.Length / 4 * 3;
        (result.AirconW.Skip(last).Sum() * 300 / 3.6e6).ShouldBeInRange(least, most);
        Enumerable.Range(last, result.AirconW.Length - last).Average(k =>
            MoistAir.RelativeHumidity(result.AirC[k], result.Ratio[k], day.Space.Weather.PressurePa)).ShouldBeInRange(dry, damp);
        var held = Fed(AnyDesign.Named[rig]) with { Energy = AnyDesign.Named[rig].Energy with { Humidity = HumidityModel.Fixed } };
        var before = Run(held).Result.AirconW.Sum();
        Math.Sign(result.AirconW.Skip(last).Sum() - before).ShouldBe(rig == "Marigold" ? -1 : 1);
    }

    /// <summary>On shore, so that nothing but the heat decides, and with the skin as the independent balance had it: glass upright, roof in the sun.</summary>
    private static JobDesign Fed(JobDesign rig) => rig with
    {
        Survey = rig.Survey with
        {
            Windows = [.. rig.Survey.Windows.Select(w => w with { TiltDeg = w.Side == Side.Roof ? null : 90 })],
            Place = rig.Survey.Place with { Ground = GroundKind.Grass },
            Sources = rig.Survey.Sources with
            {
                Shore = rig.Survey.Sources.Shore with { PluggedIn = true, BreakerA = 50 },
                Modules = rig.Survey.Sources.Modules with { ShadeRoof = false },
            },
        },
    };

    [Theory]
    [InlineData("MS-09-120", 26, 0.0105)]
    [InlineData("MS-12-120", 24, 0.0140)]
    [InlineData("MS-26-230", 27, 0.0060)]
    [InlineData("RT-13-115", 25, 0.0120)]
    public void The_coil_is_asked_for_what_it_then_takes_out(string id, double airC, double ratio)
    {
        var unit = UnitCatalogue.Find(id)!;
        var coil = new RoomCoil(unit, 101325);
        var full = Performance.FullLoad(unit, 35, coil.WetBulb(airC, ratio));
        coil.WetBulb(airC, ratio).ShouldBe(MoistAir.WetBulb(airC, ratio, 101325), 1e-5);
        coil.Enter(airC, ratio, full.CapacityW);
        var most = full.CapacityW * coil.At(full.CapacityW).SensibleShare;
        foreach (var share in new[] { 0.05, 0.2, 0.35, 0.5, 0.8, 1.0 })
        {
            var total = coil.ForSensible(share * most, false);
            (coil.Mean(total, Math.Min(1, total / full.CapacityW), false).SensibleShare * total).ShouldBe(share * most, 0.002 * most, $"{share}");
        }
    }

    [Fact]
    public void A_damp_night_is_told_with_the_water_behind_it()
    {
        var boat = AnyDesign.Named["Gannet's Rest"];
        var humidity = Assessor.Assess(boat).Energy!.Figures.Single(f => f.Label == "Humidity inside, on the mean");
        humidity.Value.ShouldBeInRange(45, 75);
        var wet = boat with { Survey = boat.Survey with { Space = boat.Survey.Space with { AirChangesPerHour = 6 } } };
        Assessor.Assess(wet).Energy!.Findings.ShouldContain(f => f.Code == "energy.damp");
        Assessor.Assess(AnyDesign.Named["Marigold"]).Energy!.Findings.ShouldNotContain(f => f.Code == "energy.damp");
    }

    [Theory]
    [InlineData(-67.4, 1e-6)]
    [InlineData(-30, 2e-4)]
    [InlineData(96, 0.02)]
    [InlineData(180, 0.005)]
    public void Air_beyond_all_that_is_lived_in_is_answered_with_numbers(double airC, double ratio)
    {
        var coil = new RoomCoil(UnitCatalogue.Find("MS-12-120")!, 60000);
        double.IsFinite(coil.WetBulb(airC, ratio)).ShouldBeTrue();
        coil.Enter(airC, ratio, 3000);
        double.IsFinite(coil.ForSensible(500, true)).ShouldBeTrue();
        coil.Mean(900, 0.4, true).SensibleShare.ShouldBeInRange(0, 1);
    }

    [Fact]
    public void The_coil_in_time_is_the_coil_of_the_calculators()
    {
        var unit = UnitCatalogue.Find("MS-12-120")!;
        var coil = new RoomCoil(unit, 95000);
        coil.Enter(25, 0.011, 3000);
        var split = WetCoil.Split(25, 0.011, 3000, Capacity.FlowPerWatt * unit.RatedCapacityW, 95000);
        coil.At(3000).SensibleShare.ShouldBe(split.SensibleShare, 1e-6);
    }

    [Fact]
    public void A_unit_that_pauses_gives_back_part_of_its_water()
    {
        var unit = UnitCatalogue.Find("RT-13-115")!;
        var coil = new RoomCoil(unit, 101325);
        coil.Enter(26, 0.013, 3800);
        var steady = coil.Mean(3800, 1, true);
        var paused = coil.Mean(1900, 0.5, true);
        paused.SensibleShare.ShouldBe(1, 1e-9, "at half time and three starts an hour all of it dries back, the fan running on");
        coil.Mean(1900, 0.5, false).SensibleShare.ShouldBeInRange(steady.SensibleShare, 0.99);
    }
}
