using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Job;

/// <summary>What a person does to a rig in one go.</summary>
public class ProposalTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with { Options = [], Baseline = "" };

    private static JobDesign Done(JobDesign design, DesignEdit edit) => WaysOutTests.Applied(design, edit.Changes);

    [Fact]
    public void An_option_kept_and_taken_again_brings_back_the_design_that_was_kept()
    {
        var kept = Done(Van, Proposals.KeepOption(Van, "  as it was "));
        kept.Options.Single().Name.ShouldBe("as it was");
        var changed = kept with { Energy = kept.Energy with { SetpointC = 29 }, Unit = kept.Unit with { Chosen = "RT-13-115" } };
        JobFile.Write(Done(changed, Proposals.AdoptOption(changed, "as it was"))).ShouldBe(JobFile.Write(kept));
        JobFile.Write(Done(kept, Proposals.DropOption(kept, "as it was"))).ShouldBe(JobFile.Write(Van));
    }

    [Fact]
    public void The_baseline_goes_with_the_option_it_was()
    {
        var kept = Done(Van, Proposals.KeepOption(Van, "a")) with { Baseline = "a" };
        Done(kept, Proposals.DropOption(kept, "a")).Baseline.ShouldBe("");
    }

    [Theory]
    [InlineData("", "name")]
    [InlineData("   ", "name")]
    [InlineData("a", "already")]
    public void An_option_wants_a_name_of_its_own(string name, string words)
    {
        var kept = Done(Van, Proposals.KeepOption(Van, "a"));
        var refused = Should.Throw<InputException>(() => Proposals.KeepOption(kept, name));
        refused.Errors.Single().Field.ShouldBe("name");
        refused.Message.ShouldContain(words);
    }

    [Fact]
    public void What_no_option_is_called_is_neither_taken_nor_dropped()
    {
        Should.Throw<InputException>(() => Proposals.AdoptOption(Van, "b")).Message.ShouldContain("\"b\"");
        Should.Throw<InputException>(() => Proposals.DropOption(Van, "b")).Message.ShouldContain("\"b\"");
    }

    [Fact]
    public void Whatever_is_shed_earlier_moves_one_place_and_nothing_else_moves()
    {
        DeviceDesign Device(string name, double watts, double hours = 4) => new() { Name = name, PowerW = watts, MayWait = true, From = 0, To = hours };
        var rig = Van with
        {
            Survey = Van.Survey with { Devices = [Device("kettle", 900), Device("pump", 60), Device("fridge", 50, hours: 24), Device("heater", 400)] }
        };
        string[] Names(JobDesign of) => [.. LimitedPower.Order(of.Survey).BeforeUnit.Select(d => d.Device.Name)];
        Names(rig).ShouldBe(["kettle", "heater", "pump"]);
        var moved = Done(rig, Proposals.ShedEarlier(rig, 1));
        Names(moved).ShouldBe(["kettle", "pump", "heater"]);
        Names(Done(moved, Proposals.ShedEarlier(moved, 1))).ShouldBe(["pump", "kettle", "heater"]);
        Names(Done(rig, Proposals.ShedEarlier(rig, 0))).ShouldBe(["kettle", "heater", "pump"], "the first cannot go earlier");
        var fridge = Done(rig, Proposals.ShedEarlier(rig, 2));
        Names(fridge).ShouldBe(["kettle", "heater", "pump", "fridge"], "it went after the unit and now goes last before it");
        Should.Throw<InputException>(() => Proposals.ShedEarlier(rig, 4)).Message.ShouldContain("4");
    }

    [Fact]
    public void The_weather_s_place_is_taken_with_its_design_day()
    {
        var place = new WeatherPlace("Dune Flat", 31.5, -104.25, -6, 812);
        var survey = Done(Van, Proposals.PlaceOf(Van, place, new WeatherDesignDay(39.5, 24.5, -6))).Survey;
        (survey.Place.Name, survey.Place.LatitudeDeg, survey.Place.ElevationM).ShouldBe(("Dune Flat", 31.5, 812));
        (survey.Place.DryBulbC, survey.Place.NightLowC, survey.Climate.WinterC).ShouldBe((39.5, 24.5, -6));
    }

    /// <summary>Common practice of design days: hours above the hottest and below the coldest are 0.4 % of the year, 35 of 8,760.</summary>
    [Fact]
    public void Of_a_year_thirty_five_hours_are_hotter_than_its_design_day_and_thirty_five_colder()
    {
        var air = Enumerable.Range(0, 8760).Select(h => Math.Round(10 + h / 8760.0 * 20, 6)).ToArray();
        var year = SeasonRun.Made(Done(Van, Proposals.BeginMonths(Van)).Survey) with { AirC = air };
        var day = WeatherDesignDay.Of(year);
        air.Count(t => t > day.HottestC + 0.05).ShouldBeInRange(10, 35);
        air.Count(t => t < day.ColdestC - 0.05).ShouldBeInRange(10, 35);
    }
}
