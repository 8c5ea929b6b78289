using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>Running a rig on limited power. Order of shedding, drift and fan: common practice, no published source.</summary>
public class LimitedPowerTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120" },
        Survey = NewcomersVan.Design.Survey with
        {
            Devices =
            [
                new DeviceDesign { Name = "fridge", PowerW = 45 },
                new DeviceDesign { Name = "water heater", PowerW = 600, From = 18, To = 19, Supply = DeviceSupply.Ac },
                new DeviceDesign { Name = "alarm", PowerW = 3, MayWait = false },
                new DeviceDesign { Name = "lamps", PowerW = 20, From = 18, To = 23 },
            ],
        },
    };

    private static readonly JobDesign Ample =
        Van with { Survey = Van.Survey with { Sources = Van.Survey.Sources with { Battery = Van.Survey.Sources.Battery with { Blocks = 12 } } } };

    private static LimitedPowerView Of(JobDesign d) =>
        LimitedPowerStudy.Of(new EnergyInputs(d.Survey, d.Load, d.Unit, UnitCatalogue.Find(d.Unit.Chosen)!, d.Energy, d.Start.ReserveSoc));

    [Fact]
    public void The_largest_goes_first_and_what_may_not_wait_never()
    {
        var rows = Of(Van).Rows;
        rows.Select(r => r.Words.ToString()).ShouldBe(
            ["water heater", "lamps", "set-point 1 K up", "set-point 2 K up", "unit capped at half its rating", "fridge"],
            "a fridge never goes before the unit is held back");
        rows.Select(r => r.Device).ShouldBe([1, 3, null, null, null, 0]);
    }

    [Fact]
    public void The_fitter_puts_them_in_an_order_of_his_own()
    {
        IEnumerable<string> With(string name, int rank) => Of(Van with
        {
            Survey = Van.Survey with
            {
                Devices = [.. Van.Survey.Devices.Select(d => d.Name == name ? d with { ShedRank = rank } : d)]
            }
        }).Rows.Select(r => r.Words.ToString());
        With("lamps", 1).Take(2).ShouldBe(["lamps", "water heater"]);
        With("fridge", 1).Take(3).ShouldBe(["fridge", "water heater", "lamps"]);
    }

    [Fact]
    public void Each_step_spares_more_and_the_charge_never_falls_by_it()
    {
        var rows = Of(Ample).Rows;
        for (var i = 1; i < rows.Count; i++)
        {
            rows[i].SavedWh.ShouldBeGreaterThanOrEqualTo(rows[i - 1].SavedWh - 1e-6, rows[i].Words.ToString());
            rows[i].MinSoc!.Value.ShouldBeGreaterThanOrEqualTo(rows[i - 1].MinSoc!.Value - 1e-9, rows[i].Words.ToString());
        }
        // A heater of 600 W for an hour behind the inverter spares its energy and the inverter's share of it.
        rows[0].SavedWh.ShouldBeInRange(600, 600 * 1.15);
    }

    [Fact]
    public void Letting_the_night_drift_spares_something_and_ends_where_the_hours_put_it()
    {
        var night = Ample with
        {
            Survey = Ample.Survey with { Place = Ample.Survey.Place with { NightLowC = 28 } },
            Energy = Van.Energy with { SetpointC = 24, From = 22, To = 7 }
        };
        var drift = Of(night).Drift!;
        drift.SavedWh.ShouldBeGreaterThan(0);
        drift.WarmestC.ShouldBe(24 + 0.5 * 7, 1e-9);
        Of(Van with { Energy = Van.Energy with { From = 10, To = 18 } }).Drift.ShouldBeNull("the window ends before midnight");
    }

    [Fact]
    public void The_fan_alone_does_it_only_where_the_air_is_cooler_and_drier()
    {
        var cool = Van with { Survey = Van.Survey with { Place = Van.Survey.Place with { DryBulbC = 30, NightLowC = 12, HumidityPct = 25 } } };
        var hours = Of(cool).FanHours;
        hours.ShouldNotBeEmpty();
        var space = RigDay.Of(cool.Survey, cool.Load).Day.Space;
        foreach (var hour in Enumerable.Range(0, 24))
            (DesignDay.AirC(space.Weather, hour + 0.5) < space.SetpointC - 2).ShouldBe(hours.Contains(hour), $"{hour} o'clock, dry air");
        Of(
            Van with
            {
                Survey =
                Van.Survey with { Place = Van.Survey.Place with { DryBulbC = 38, NightLowC = 29, HumidityPct = 60 } }
            }).FanHours.ShouldBeEmpty();
    }

    /// <summary>Closed form of a lumped cabin, checked by following it in time.</summary>
    [Theory]
    [InlineData(1400, 125, 3, 800, 3.1111, 1.1959, 956.76, 1166.7)]
    [InlineData(400, 55, 4, 350, 2.0202, 0.98526, 344.84, 444.44)]
    [InlineData(700, 60, 2, 300, 3.2407, 1.0904, 327.13, 388.89)]
    public void Cooling_ahead(double capacityKJ, double lossWK, double kelvin, double sensibleW, double tauH, double restH, double avoidedWh, double storedWh)
    {
        var ahead = LimitedPower.PreCool(capacityKJ * 1000, lossWK, kelvin, sensibleW);
        ahead.TimeConstantH.ShouldBe(tauH, 2e-4 * tauH);
        ahead.RestH.ShouldBe(restH, 2e-4 * restH);
        ahead.AvoidedWh.ShouldBe(avoidedWh, 2e-4 * avoidedWh);
        ahead.StoredWh.ShouldBe(storedWh, 2e-4 * storedWh);
        ahead.AvoidedWh.ShouldBeLessThan(ahead.StoredWh, "more is put in than comes out");
        // C·dT/dt = Q_s − UA·(T − T_set), from T_set − ΔT until the set-point is reached.
        double below = kelvin, seconds = 0;
        while (below > 0)
        {
            below -= (sensibleW + lossWK * below) / (capacityKJ * 1000);
            seconds++;
        }
        (seconds / 3600).ShouldBe(restH, 0.002);
    }

    [Fact]
    public void A_degree_costs_what_its_quick_estimate_says_within_a_factor()
    {
        LimitedPower.DegreeWh(125, 24, 0.75, 3.9759).ShouldBe(1006, 1);
        var view = Of(Van);
        view.Degrees.Select(d => d.Kelvin).ShouldBe([-1, 0, 1, 2]);
        view.Degrees.Single(d => d.Kelvin == 0).DifferenceWh.ShouldBe(0);
        for (var i = 1; i < view.Degrees.Count; i++)
            view.Degrees[i].AirconWh.ShouldBeLessThan(view.Degrees[i - 1].AirconWh);
        view.QuickWh.ShouldBeInRange(0.2 * view.Degrees[0].DifferenceWh, 5 * view.Degrees[0].DifferenceWh);
        view.Shed[^1].ShouldStartWith("lights");
        view.Shed.ShouldNotContain(s => s.Contains("alarm"));
    }
}
