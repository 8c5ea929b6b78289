using Vanto.Core.Findings;
using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>Years, modes and options of a whole rig. Properties; no published source.</summary>
public class EnergyYearTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120" } };
    private static readonly WeatherYear Weather = new WeatherGenerator(SheetClimates.VanPlace, SheetClimates.Van, 3.5).Year(5);

    private static EnergyInputs Inputs(JobDesign d) => new(d.Survey, d.Load, d.Unit, UnitCatalogue.Find(d.Unit.Chosen)!, d.Energy, d.Start.ReserveSoc);

    [Fact]
    public void Weeks_add_up_to_the_year_and_the_year_closes()
    {
        var year = EnergyYear.Of(Inputs(Van), Weather, "made");
        year.Weeks.Count.ShouldBe(53);
        year.Weeks.Sum(w => w.AirconKWh).ShouldBe(year.AirconKWh, 1e-6 * Math.Max(1, year.AirconKWh));
        year.Weeks.Sum(w => w.SunKWh).ShouldBe(year.SunKWh, 1e-6 * Math.Max(1, year.SunKWh));
        year.Weeks.Sum(w => w.UnusedKWh).ShouldBe(year.UnusedKWh, 1e-6 * Math.Max(1, year.SunKWh));
        Math.Abs(year.Ledger.ResidualWh).ShouldBeLessThan(1e-6 * year.Ledger.ThroughputWh);
    }

    [Fact]
    public void More_battery_is_never_lower_in_any_week_and_more_modules_give_more_sun()
    {
        JobDesign With(int blocks, int modules) => Van with
        {
            Survey = Van.Survey with
            {
                Sources = Van.Survey.Sources with
                {
                    Battery = Van.Survey.Sources.Battery with { Blocks = blocks },
                    Modules = Van.Survey.Sources.Modules with { Count = modules }
                }
            }
        };
        var small = EnergyYear.Of(Inputs(With(4, 4)), Weather, "");
        EnergyYear.Of(Inputs(With(12, 4)), Weather, "").Weeks.Min(w => w.MinSoc).ShouldBeGreaterThanOrEqualTo(small.Weeks.Min(w => w.MinSoc));
        EnergyYear.Of(Inputs(With(4, 8)), Weather, "").SunKWh.ShouldBe(2 * small.SunKWh, 1e-6 * small.SunKWh);
    }

    [Fact]
    public void The_electrical_side_alone_gives_what_the_coupled_run_gave()
    {
        var day = RigDay.Of(Van.Survey, Van.Load).Day;
        var demand = new DayRun(Inputs(Van) with { Day = day }, day, 300).Demand() with { StartSoc = 1 };
        var large = demand with { Bank = new BatteryBank(Chemistry.Lfp, 16, 2000), Inverter = new EnergyInverter(new InverterModel(5000, 30), 5000) };
        var alone = EnergySimulation.Run(large);
        alone.Ledger.AirconWh.ShouldBe(demand.AirconW!.Sum() / 12, 1e-6);
        alone.AirOffHour.ShouldBeNull();
        var capped = EnergySimulation.Run(large with { PowerCapW = 1 });
        capped.AirOffHour.ShouldNotBeNull("a draw above the cap is a unit left out");
        Should.Throw<InputException>(() => EnergySimulation.Run(large with { AirconW = null })).Errors[0].Field.ShouldBe("airconW");
        Should.Throw<InputException>(() => EnergySimulation.Run(large with { AirconW = [1, 2] })).Message.ShouldContain("airconW");
    }

    [Fact]
    public void Giving_up_below_a_charge_ends_the_run_there()
    {
        var day = RigDay.Of(Van.Survey, Van.Load).Day;
        var demand = new DayRun(Inputs(Van) with { Day = day }, day, 300).Demand() with { StartSoc = 1, Modules = new EnergyModules(0, 100) };
        var whole = EnergySimulation.Run(demand);
        var given = EnergySimulation.Run(demand with { GiveUpSoc = 0.9, Recorded = false });
        given.Steps.ShouldBeLessThan(whole.Steps);
        given.MinSoc.ShouldBeInRange(0.8, 0.9);
        given.Soc.ShouldBeEmpty();
    }

    [Fact]
    public void Modes_do_what_they_say()
    {
        EnergyAssessment Day(EnergyDesign energy) => Assessor.Assess(Van with { Energy = energy }).Energy!;
        var plain = Day(Van.Energy);
        Day(Van.Energy with { EcoSoc = 0.9, EcoRiseK = 3 }).Ledger.AirconWh.ShouldBeLessThan(plain.Ledger.AirconWh, "economy is warmer");
        Day(Van.Energy with { PowerCapW = 320 }).Series.AirconW.Max().ShouldBeLessThanOrEqualTo(321, "the cap holds");
        Day(Van.Energy with { StopAtReserve = true }).MinSoc.ShouldBeGreaterThanOrEqualTo(plain.MinSoc - 1e-9);
        var sunny = Van with
        {
            Survey = Van.Survey with
            {
                Sources =
            Van.Survey.Sources with { Modules = Van.Survey.Sources.Modules with { Count = 12 }, Battery = Van.Survey.Sources.Battery with { Blocks = 12 } }
            }
        };
        var ahead = Assessor.Assess(sunny with { Energy = sunny.Energy with { PreCoolK = 3, StartHour = 8 } }).Energy!;
        ahead.Ledger.AirconWh.ShouldBeGreaterThan(Assessor.Assess(sunny with { Energy = sunny.Energy with { StartHour = 8 } }).Energy!.Ledger.AirconWh);
        ahead.Series.CabinC.Min().ShouldBeLessThan(Van.Energy.SetpointC - 0.5);
    }

    [Fact]
    public void Hours_have_set_points_of_their_own_and_dry_ones_run_low()
    {
        EnergyAssessment Day(params SetpointDesign[] own) => Assessor.Assess(Van with { Energy = Van.Energy with { Setpoints = own } }).Energy!;
        var cool = Day(new SetpointDesign { From = 12, To = 16, SetpointC = 21 });
        var at = Array.FindIndex(cool.Series.Hour, h => h is > 14 and < 15);
        cool.Series.SetC[at].ShouldBe(21);
        var dry = Day(new SetpointDesign { From = 12, To = 16, SetpointC = 21, Dry = true });
        dry.Series.AirconW[at].ShouldBeLessThanOrEqualTo(cool.Series.AirconW[at]);
        dry.Series.CabinC[at].ShouldBeGreaterThanOrEqualTo(cool.Series.CabinC[at]);
    }

    [Fact]
    public void Height_and_a_dirty_filter_lengthen_the_runs()
    {
        var clean = Assessor.Assess(Van).Energy!.Ledger.AirconWh;
        Assessor.Assess(Van with { Unit = Van.Unit with { AirFlowShare = 0.6 } }).Energy!.Ledger.AirconWh.ShouldBeGreaterThan(clean);
    }

    [Fact]
    public void A_year_says_which_week_fails_first_and_which_is_hardest()
    {
        JobDesign With(int blocks, int modules) => Van with
        {
            Survey = Van.Survey with
            {
                Sources = Van.Survey.Sources with
                {
                    Battery = Van.Survey.Sources.Battery with { Blocks = blocks },
                    Modules = Van.Survey.Sources.Modules with { Count = modules }
                }
            }
        };
        var poor = EnergyYear.Of(Inputs(With(1, 0)), Weather, "made");
        poor.Findings.Single(f => f.Code == "energy.year-dark").Level.ShouldBe(Severity.Stop);
        poor.Findings.Single(f => f.Code == "energy.year-reserve").Words.ToString()
            .ShouldContain($"first in week {poor.Weeks.First(w => w.MinSoc < Van.Start.ReserveSoc).Number}");
        poor.Findings.Single(f => f.Code == "energy.year-warm").Words.ToString().ShouldContain($"Week {poor.Weeks.MaxBy(w => w.WarmHours)!.Number} ");
        var rich = EnergyYear.Of(Inputs(With(40, 40)), Weather, "made");
        rich.Findings.ShouldNotContain(f => f.Code == "energy.year-dark" || f.Code == "energy.year-reserve");
    }

    [Fact]
    public void A_season_says_how_often_the_unit_cycles_and_how_often_it_is_too_small()
    {
        SeasonResult Of(string unit) => SeasonRun.Of(Van with { Unit = Van.Unit with { Chosen = unit } }, Weather, "made");
        Of("MS-36-240").Findings.ShouldContain(f => f.Code == "unit.turn-down-year");
        var small = Of("RT-17-230");
        small.Findings.ShouldContain(f => f.Code == "unit.unmet-year");
        small.HoursAboveFree.ShouldBe(small.Months.Sum(m => m.HoursAboveFree));
        small.HoursAboveFree.ShouldBeGreaterThan(small.PartLoad!.UnmetHours, "without any cooling it is too warm more often than with a small unit");
    }

    [Fact]
    public void Options_stand_beside_the_design_and_two_of_one_name_are_refused()
    {
        var lean = new OptionDesign
        {
            Name = "lean",
            Chosen = "MS-09-120",
            Start = Van.Start,
            Energy = Van.Energy with { SetpointC = Van.Energy.SetpointC + 2 },
            Sources = Van.Survey.Sources
        };
        var view = OptionsTable.Of(Van with { Options = [lean], Baseline = "lean" }, null);
        view.Baseline.ShouldBe("lean");
        view.Rows.Select(r => r.Name).ShouldBe(["", "lean"]);
        view.Rows[1].HeldHours!.Value.ShouldBeGreaterThanOrEqualTo(view.Rows[0].HeldHours!.Value);
        view.Rows[0].YearKWh.ShouldBeNull("no weather was given");
        OptionsTable.Of(Van with { Options = [lean], Baseline = "gone" }, Weather).Rows.ShouldAllBe(r => r.YearKWh > 0);
        Should.Throw<InputException>(() => OptionsTable.Of(Van with { Options = [lean, lean] }, null)).Message.ShouldContain("lean");
    }
}
