using CsCheck;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Tests.Job;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>The search on a whole rig. Properties; no published source.</summary>
public class KitSearchTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120" },
        Energy = NewcomersVan.Design.Energy with { Sizing = new SizingDesign { MostBatteries = 8, MostModules = 9, Days = 2, WarmerK = 1 } },
    };

    private static SizingResult Search(JobDesign design, IProgress<SizingProgress>? progress = null, CancellationToken stop = default) =>
        RigKitSearch.Rig(design)!(progress, stop);

    private sealed class Heard : IProgress<SizingProgress>
    {
        public List<SizingProgress> Told { get; } = [];

        public void Report(SizingProgress value)
        {
            lock (Told)
                Told.Add(value);
        }
    }

    [Fact]
    public void Every_point_of_the_frontier_holds_when_it_is_adopted()
    {
        var result = Search(Van);
        result.Frontier.ShouldNotBeEmpty();
        var heard = 0;
        foreach (var point in result.Frontier.Take(3))
        {
            var adopted = Van with
            {
                Survey = Van.Survey with
                {
                    Sources = Van.Survey.Sources with
                    {
                        Battery = Van.Survey.Sources.Battery with { Blocks = point.Kit.Batteries },
                        Modules = Van.Survey.Sources.Modules with { Count = point.Kit.Modules },
                        Inverter = Van.Survey.Sources.Inverter with { RatedW = result.Inverter!.RatedW, IdleW = null }
                    }
                },
                Energy = Van.Energy with
                {
                    SetpointC = point.Kit.SetpointC,
                    OtherwiseC = Van.Energy.OtherwiseC + point.Kit.SetpointC - Van.Energy.SetpointC,
                    StartSoc = 1
                },
            };
            var day = Assessor.Assess(adopted).Energy!;
            day.MinSoc.ShouldBeGreaterThanOrEqualTo(Van.Start.ReserveSoc);
            // The frontier's figure is that of the day repeated; from a full bank it falls no lower.
            day.MinSoc.ShouldBeGreaterThanOrEqualTo(point.MinSoc[0]!.Value - 1e-3);
            heard++;
        }
        heard.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void More_modules_never_ask_for_more_batteries_and_hard_days_never_for_fewer()
    {
        var result = Search(Van);
        for (var a = 1; a < result.Maps[0].Least.Count; a++)
            if (result.Maps[0].Least[a - 1] > 0)
                result.Maps[0].Least[a].ShouldBeInRange(1, result.Maps[0].Least[a - 1]);
        var easy = Search(Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { HotDays = false, CloudyDays = false, Aged = false } } });
        easy.Findings.ShouldContain(f => f.Code == "size.thin");
        for (var a = 0; a < easy.Maps[0].Least.Count; a++)
            if (result.Maps[0].Least[a] > 0)
                easy.Maps[0].Least[a].ShouldBeInRange(1, result.Maps[0].Least[a]);
    }

    [Fact]
    public void Every_cell_of_the_map_says_whether_it_holds_and_where_it_fails()
    {
        var result = Search(Van);
        result.Maps[0].Cells.Count.ShouldBe(8 * 10);
        foreach (var cell in result.Maps[0].Cells)
        {
            cell.Holds.ShouldBe(result.Maps[0].Least[cell.Modules] > 0 && cell.Batteries >= result.Maps[0].Least[cell.Modules]);
            (cell.FailsIn.Length == 0).ShouldBe(cell.Holds);
        }
    }

    [Fact]
    public void With_a_generator_that_starts_by_itself_every_kit_is_tried()
    {
        var generator = Van with
        {
            Survey = Van.Survey with
            {
                Sources = Van.Survey.Sources with { Generator = Van.Survey.Sources.Generator with { Fitted = true, AutoStart = true, CoAlarm = true } }
            },
            Energy = Van.Energy with
            {
                Sizing = Van.Energy.Sizing with { HotDays = false, CloudyDays = false, Aged = false, WarmerK = 0, MostGeneratorHours = 168 }
            }
        };
        var result = Search(generator);
        result.Evaluations.ShouldBeGreaterThanOrEqualTo(8 * 10);
        result.Maps[0].Cells.Count(c => c.Holds).ShouldBeGreaterThanOrEqualTo(Search(generator with { Survey = Van.Survey }).Maps[0].Cells.Count(c => c.Holds));
    }

    [Fact]
    public void It_tells_how_far_it_is_and_stops_when_told()
    {
        var heard = new Heard();
        var result = Search(Van, heard);
        heard.Told.Count.ShouldBe(2 * result.Scenarios.Count);
        heard.Told.Max(p => p.Done).ShouldBe(heard.Told[0].Total);
        using var stopped = new CancellationTokenSource();
        stopped.Cancel();
        Should.Throw<OperationCanceledException>(() => Search(Van, null, stopped.Token));
    }

    [Fact]
    public void Where_nothing_holds_it_says_what_failed_and_what_would_help()
    {
        var tight = Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { MostBatteries = 1, DarkDays = 3 } } };
        var none = Search(tight).Findings.Single(f => f.Code == "size.none");
        none.Level.ShouldBe(Severity.Stop);
        none.Remedies.ShouldContain(r => r.Changes.Any(c => c.Path == "/energy/sizing/mostBatteries"));
        var poor = Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { MostCost = 1 } } };
        Search(poor).Findings.Single(f => f.Code == "size.limits").Remedies[0].Changes.ShouldContain(c => c.Path == "/energy/sizing/mostCost");
    }

    [Fact]
    public void A_bank_that_does_not_start_the_unit_is_no_kit()
    {
        var rooftop = Van with
        {
            Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { ChooseInverter = false } },
            Unit = Van.Unit with { Chosen = "RT-15-115" },
            Start = Van.Start with { Remedy = StartRemedy.None },
            Survey = Van.Survey with { Sources = Van.Survey.Sources with { Inverter = Van.Survey.Sources.Inverter with { RatedW = 1500 } } }
        };
        Search(rooftop).Findings.ShouldContain(f => f.Code == "size.start");
    }

    [Fact]
    public void A_start_only_with_loads_off_is_no_kit_unless_the_aim_allows_it()
    {
        JobDesign Rooftop(double inverterW, bool shed) => Van with
        {
            Unit = Van.Unit with { Chosen = "RT-13-115" },
            Start = Van.Start with { Remedy = StartRemedy.None, On = SourceChoice.Inverter },
            Survey = Van.Survey with
            {
                Devices = [.. Van.Survey.Devices, new DeviceDesign { Name = "kettle", PowerW = 1200, Supply = DeviceSupply.Ac, OnAtStart = true,
                    MayWait = true, To = 0.1 }],
                Sources = Van.Survey.Sources with { Inverter = Van.Survey.Sources.Inverter with { RatedW = inverterW } },
            },
            Energy = Van.Energy with
            {
                Sizing = Van.Energy.Sizing with { ChooseInverter = false, ShedForStart = shed, HotDays = false, CloudyDays = false, Aged = false, WarmerK = 0 },
            },
        };
        var watts = Enumerable.Range(15, 60).Select(w => w * 100.0)
            .First(w => Assessor.Assess(Rooftop(w, false)).Start!.Outcome == StartOutcome.StartsOnlyIfShed);
        Search(Rooftop(watts, false)).Findings.ShouldContain(f => f.Code == "size.start");
        Search(Rooftop(watts, true)).Findings.ShouldNotContain(f => f.Code == "size.start");
    }

    [Fact]
    public void Inverter_and_soft_starter_are_chosen_together_by_what_they_cost()
    {
        JobDesign Rooftop(double starter) => Van with
        {
            Unit = Van.Unit with { Chosen = "RT-13-115" },
            Start = Van.Start with { Remedy = StartRemedy.None },
            Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { StarterCost = starter, HotDays = false, CloudyDays = false, Aged = false } }
        };
        var cheap = Search(Rooftop(50));
        cheap.Inverter!.Remedy.ShouldBe(StartRemedy.SoftStarter);
        var dear = Search(Rooftop(5000));
        dear.Inverter!.Remedy.ShouldBe(StartRemedy.None);
        dear.Inverter.RatedW.ShouldBeGreaterThan(cheap.Inverter.RatedW, "the surge is bought with a larger inverter");
        foreach (var point in cheap.Frontier)
        {
            var bought = Rooftop(50).With(point.Edit);
            bought.Start.Remedy.ShouldBe(StartRemedy.SoftStarter);
            bought.Survey.Sources.Inverter.RatedW.ShouldBe(cheap.Inverter.RatedW);
        }
        Search(Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { ChooseInverter = false } } }).Inverter.ShouldBeNull();
    }

    private static JobDesign WithSizing(Func<SizingDesign, SizingDesign> change) =>
        Van with { Energy = Van.Energy with { Sizing = change(Van.Energy.Sizing) } };

    [Fact]
    public void A_generator_is_bought_where_it_is_allowed_and_no_kit_of_the_frontier_is_beaten()
    {
        var design = WithSizing(s => s with { ChooseGenerator = true, MostGeneratorHours = 168, WarmerK = 0 });
        var result = Search(design);
        result.Maps.Count.ShouldBeGreaterThan(1);
        result.Maps[0].GeneratorW.ShouldBe(0);
        result.Frontier.ShouldContain(p => p.Kit.GeneratorW > 0);
        result.Frontier.Where(p => p.Kit.GeneratorW == 0).ShouldAllBe(p => p.Kit.GeneratorHours == 0 && p.FuelLitresAWeek == 0);
        foreach (var p in result.Frontier)
            result.Frontier.ShouldNotContain(q => q != p && q.Kit.Cost <= p.Kit.Cost && q.Kit.MassKg <= p.Kit.MassKg && q.Kit.SetpointC <= p.Kit.SetpointC
                && q.Kit.GeneratorHours <= p.Kit.GeneratorHours);
        // The map without one is the map of a rig that may not buy any.
        result.Maps[0].Least.ShouldBe(Search(WithSizing(s => s with { WarmerK = 0 })).Maps[0].Least);
        var with = result.Frontier.First(p => p.Kit.GeneratorW > 0);
        with.Changes.ShouldContain(c => c.Path == "/survey/sources/generator/autoStart" && (bool)c.Value!);
        with.FuelLitresAWeek.ShouldBeGreaterThan(0);
        design.With(result.Frontier.First(p => p.Kit.GeneratorW == 0).Edit).Survey.Sources.Generator.Fitted.ShouldBeFalse();
    }

    [Fact]
    public void A_generator_bought_carries_the_most_drawn_and_starts_the_unit()
    {
        var design = WithSizing(s => s with { ChooseGenerator = true, MostGeneratorHours = 168, WarmerK = 0, ChooseInverter = false }) with
        {
            Unit = Van.Unit with { Chosen = "RT-13-115" },
            Start = Van.Start with { Remedy = StartRemedy.None }
        };
        design = design with
        {
            Survey = design.Survey with { Sources = design.Survey.Sources with { Inverter = design.Survey.Sources.Inverter with { RatedW = 3000 } } }
        };
        var bought = Search(design).Maps.Where(m => m.GeneratorW > 0).Select(m => m.GeneratorW).ToList();
        // The sheet of smallest sources: an inverter generator of 4,000 W starts a 13.5 k rooftop unit without help, none below does.
        bought.ShouldBe([4000]);
        var soft = design with { Start = design.Start with { Remedy = StartRemedy.SoftStarter, Reduction = 0.65 } };
        Search(soft).Maps.Where(m => m.GeneratorW > 0).Min(m => m.GeneratorW).ShouldBeLessThan(4000);
        var small = design with
        {
            Unit = design.Unit with { Chosen = "RT-15-115" },
            Survey = design.Survey with { Place = design.Survey.Place with { ElevationM = 3000 } }
        };
        Search(small).Findings.ShouldContain(f => f.Code == "size.generator");
    }

    [Fact]
    public void Fewer_generator_hours_allowed_never_let_more_kits_hold()
    {
        var counts = new[] { 0.0, 5, 20, 168 }.Select(hours => Search(WithSizing(
            s => s with { ChooseGenerator = true, MostGeneratorHours = hours, WarmerK = 0, HotDays = false })).Maps.Sum(
                m => m.Cells.Count(c => c.Holds))).ToList();
        counts.ShouldBe(counts.Order());
        counts[^1].ShouldBeGreaterThan(counts[0]);
    }

    [Fact]
    public void Days_without_sun_on_the_modules_ask_for_the_same_bank_whatever_stands_on_the_roof()
    {
        var design = WithSizing(s => s with
        {
            HotDays = false,
            CloudyDays = false,
            Aged = false,
            DarkDays = 1,
            WarmerK = 0,
            MostBatteries = 20,
            Lasting = LastingAim.Nights,
            Nights = 1,
        });
        var result = Search(design);
        var dark = result.Scenarios.Single(s => s.Id == "dark");
        dark.Least.Distinct().Count().ShouldBe(1, "the modules give nothing");
        dark.Least[0].ShouldBe(result.Scenarios[0].Least[0], "without modules the design day is as dark");
        var two = Search(design with { Energy = design.Energy with { Sizing = design.Energy.Sizing with { DarkDays = 2 } } }).Scenarios.Single(
            s => s.Id == "dark");
        two.Words.ToString().ShouldBe("2 days without sun on the modules");
        (two.Least[0] < 0 || two.Least[0] > dark.Least[0]).ShouldBeTrue();
    }

    [Fact]
    public void One_step_more_says_when_the_kit_gives_out_before_and_after()
    {
        var result = Search(WithSizing(s => s with { WarmerK = 2 }));
        foreach (var step in result.Steps)
        {
            (step.Before.Fails > 0).ShouldBe(step.Before.GivesOutHour is not null);
            (step.Before.MinSoc is null).ShouldBe(step.Before.Fails > 0);
            step.After.Fails.ShouldBeLessThanOrEqualTo(step.Before.Fails);
            if (step.After.GivesOutHour is { } after)
                after.ShouldBeGreaterThanOrEqualTo(step.Before.GivesOutHour!.Value);
        }
    }

    [Fact]
    public void Where_nothing_holds_a_generator_is_offered_and_with_it_something_does()
    {
        var tight = WithSizing(s => s with { MostBatteries = 2, MostModules = 1, WarmerK = 0, MostGeneratorHours = 168 });
        var offer = Search(tight).Findings.Single(f => f.Code == "size.sun-limited").Remedies
            .Single(r => r.Changes.Any(c => c.Path == "/energy/sizing/chooseGenerator"));
        ((bool)offer.Changes[0].Value!).ShouldBeTrue();
        Search(tight with { Energy = tight.Energy with { Sizing = tight.Energy.Sizing with { ChooseGenerator = true } } }).Frontier.ShouldNotBeEmpty();
    }

    [Fact]
    public void The_aim_is_said_in_a_sentence_and_every_scenario_stands_in_it()
    {
        var design = WithSizing(s => s with { DarkDays = 1, ChooseGenerator = true, MostCost = 9000, MostMassKg = 400, MostGeneratorHours = 12 });
        var sentence = Assessor.Assess(design).Energy!.SizingAim.ToString();
        sentence.ShouldStartWith("Hold at most 25 °C from 21:00 to 07:00 and never fall under 20 % of charge: the design day, ");
        foreach (var scenario in Search(design).Scenarios.Where(s => !s.Id.EndsWith("-aged", StringComparison.Ordinal)))
            sentence.ShouldContain(scenario.Words.ToString());
        sentence.ShouldContain("and again with a bank aged to 80 %");
        sentence.ShouldEndWith("Within at most 8 blocks and 9 modules, at a cost of 9,000, 400 kg, 12 h of generator a week.");
        Assessor.Assess(WithSizing(s => s with { Aged = false })).Energy!.SizingAim.ToString().ShouldEndWith("Within at most 8 blocks and 9 modules.");
    }

    [Fact]
    public void What_is_fitted_now_and_fails_is_named_with_the_days_it_fails_in()
    {
        var result = Search(Van);
        var fails = result.Scenarios.FirstOrDefault(s => s.FittedMinSoc is not { } soc || soc < Van.Start.ReserveSoc);
        result.Findings.Any(f => f.Code == "size.fitted").ShouldBe(fails is not null);
        fails.ShouldNotBeNull();
        result.Findings.Single(f => f.Code == "size.fitted").Words.ToString().ShouldContain(fails.Words.ToString());
    }

    [Fact]
    public void More_modules_than_the_roof_holds_are_told_and_set_right()
    {
        var wide = Search(WithSizing(s => s with { MostModules = 30, Days = 1, WarmerK = 0 })).Findings.Single(f => f.Code == "size.roof");
        var roof = (int)wide.Remedies[0].Changes[0].Value!;
        roof.ShouldBeLessThan(30);
        Search(WithSizing(s => s with { MostModules = roof, Days = 1, WarmerK = 0 })).Findings.ShouldNotContain(f => f.Code == "size.roof");
    }

    [Fact]
    public void Where_the_sun_does_not_carry_the_repeated_day_it_says_what_would()
    {
        var shaded = WithSizing(s => s with { MostModules = 1, MostBatteries = 40, CloudyDays = false, HotDays = false, WarmerK = 0 });
        var limited = Search(shaded).Findings.Single(f => f.Code == "size.sun-limited");
        limited.Level.ShouldBe(Severity.Stop);
        var modules = limited.Remedies.Single(r => r.Changes.Any(c => c.Path == "/energy/sizing/mostModules"));
        Search(shaded.With(modules.Edit)).Frontier.ShouldNotBeEmpty();
        var count = (int)modules.Changes[0].Value!;
        Search(shaded with { Energy = shaded.Energy with { Sizing = shaded.Energy.Sizing with { MostModules = count - 1 } } }).Frontier.ShouldBeEmpty();
        var nights = limited.Remedies.Single(r => r.Changes.Any(c => c.Path == "/energy/sizing/lasting"));
        var recharged = Search(shaded.With(nights.Edit));
        recharged.Frontier.ShouldNotBeEmpty("a large bank lasts two nights");
        recharged.Scenarios[0].Words.ToString().ShouldContain("then recharged");
    }

    [Fact]
    public void Where_the_unit_at_full_power_is_too_small_no_kit_is_offered_but_a_unit_that_holds()
    {
        var small = Van with
        {
            Unit = Van.Unit with { Chosen = "MS-09-120" },
            Energy = Van.Energy with { From = 12, To = 18, SetpointC = 23, OtherwiseC = 25, StartHour = 8, Sizing = Van.Energy.Sizing with { WarmerK = 0 } },
            Survey = Van.Survey with { Place = Van.Survey.Place with { DryBulbC = 41, NightLowC = 27 } },
        };
        var result = Search(small);
        result.Frontier.ShouldBeEmpty();
        var limited = result.Findings.Single(f => f.Code == "size.unit-limited");
        limited.Remedies.ShouldNotBeEmpty();
        var larger = Search(small.With(limited.Remedies[0].Edit));
        larger.Findings.ShouldNotContain(f => f.Code == "size.unit-limited");
    }

    [Fact]
    public void Kits_are_run_through_the_year_and_one_that_lasts_it_is_named()
    {
        var year = AnyDesign.Named["Gannet's Rest"];
        year = year with { Energy = year.Energy with { Sizing = year.Energy.Sizing with { WarmerK = 0 } } };
        var result = Search(year);
        result.YearAsked.ShouldBeTrue();
        result.Frontier.Take(12).ShouldAllBe(p => p.Year != null);
        var lasts = result.LastsTheYear.ShouldNotBeNull(string.Join("; ", result.Frontier.Select(f => $"{f.Kit} {f.Year}")));
        lasts.Year!.WeeksHeld.ShouldBeGreaterThanOrEqualTo(50);
        var adopted = year.With(lasts.Edit);
        var run = EnergyYear.Of(new EnergyInputs(adopted.Survey, adopted.Load, adopted.Unit, UnitCatalogue.Find(adopted.Unit.Chosen)!,
            adopted.Energy with { StartSoc = 1 }, adopted.Start.ReserveSoc), SeasonRun.Made(adopted.Survey), "made");
        Math.Abs(run.Weeks.Count(w => w.MinSoc < adopted.Start.ReserveSoc) - lasts.Year.WeeksUnderReserve).ShouldBeLessThanOrEqualTo(1,
            "the shade of more modules is not in the kits' year");
        Search(Van).YearAsked.ShouldBeFalse("it names no climate");
    }

    /// <summary>The bus by day: no battery keeps it below what its unit can.</summary>
    [Fact]
    public void A_window_the_unit_cannot_hold_is_not_answered_with_a_kit()
    {
        var bus = AnyDesign.Named["Marigold"];
        bus = bus with { Energy = bus.Energy with { From = 12, To = 18, Sizing = bus.Energy.Sizing with { MostModules = 12 } } };
        var result = Search(bus);
        result.Frontier.ShouldBeEmpty();
        result.Findings.ShouldContain(f => f.Code == "size.unit-limited" && f.Level == Severity.Stop);
    }

    /// <summary>The map against every kit run to its end, day by day until the day repeats, by a loop of its own.</summary>
    [Fact]
    public void The_borders_are_those_of_a_search_by_brute_force()
    {
        var small = WithSizing(s => s with { MostBatteries = 4, MostModules = 8, WarmerK = 0, Aged = false, CloudyDays = false, HotDays = false });
        var result = Search(small);
        var inputs = new EnergyInputs(small.Survey, small.Load, small.Unit, UnitCatalogue.Find(small.Unit.Chosen)!,
            small.Energy with { StartSoc = 1 }, small.Start.ReserveSoc);
        var day = RigDay.Of(small.Survey, small.Load).Day;
        var inverter = small.Survey.Sources.Inverter.Replaced(result.Inverter!.RatedW);
        var demand = new DayRun(inputs with { Survey = small.Survey with { Sources = small.Survey.Sources with { Inverter = inverter } } }, day, 300,
            3).Demand();
        var last = demand.Cut(2 * 288, 288);
        var found = new Dictionary<(int, int), bool>();
        foreach (var cell in result.Maps[0].Cells)
        {
            var bank = SourceBuilder.Bank(small.Survey.Sources.Battery with { Blocks = cell.Batteries });
            var (soc, holds) = (1.0, true);
            for (var d = 0; d < 400; d++)
            {
                var run = EnergySimulation.Run(last with { Bank = bank, Modules = last.Modules with { Count = cell.Modules }, StartSoc = soc });
                holds &= run.MinSoc >= small.Start.ReserveSoc && run.AirOffHour is null && run.CutOffHour is null;
                if (run.EndSoc >= soc - 0.005)
                    break;
                soc = run.EndSoc;
            }
            cell.Holds.ShouldBe(holds, $"{cell.Batteries} × {cell.Modules}");
            found[(cell.Batteries, cell.Modules)] = holds;
        }
        foreach (var ((blocks, modules), holds) in found.Where(f => f.Value))
            foreach (var larger in new[] { (blocks + 1, modules), (blocks, modules + 1) })
                found.GetValueOrDefault(larger, true).ShouldBeTrue($"{larger} is larger than {blocks} × {modules}, which holds");
        result.Maps[0].Cells.Select(c => c.Holds).Distinct().Count().ShouldBe(2);
    }

    /// <summary>The smallest kit found, adopted, holds its aim in the station's own run, in the demo rigs and in 200 rigs made at random.</summary>
    [Fact]
    public void The_smallest_kit_holds_its_aim_by_itself()
    {
        var told = 0;
        foreach (var name in new[] { "Marigold", "Pipit", "Gannet's Rest" })
            told += Holds(AnyDesign.Named[name], 12, 11) ? 1 : 0;
        AnyDesign.Changes(2, 6).Each(changes =>
        {
            if (AnyDesign.Of(changes) is { Survey.Sources.Battery.Fitted: true } design && Holds(design, 6, 8))
                Interlocked.Increment(ref told);
        }, iter: 200);
        told.ShouldBeGreaterThan(10, "some rigs find a kit");
    }

    private static bool Holds(JobDesign design, int batteries, int modules)
    {
        var sizing = design.Energy.Sizing with
        {
            MostBatteries = batteries,
            MostModules = modules,
            WarmerK = 0,
            HotDays = false,
            CloudyDays = false,
            Aged = false,
            MostCost = null,
            MostMassKg = null,
            ChooseGenerator = false,
            Lasting = LastingAim.DayAfterDay
        };
        design = design with { Energy = design.Energy with { Sizing = sizing } };
        SizingResult? result;
        try
        {
            result = RigKitSearch.Rig(design)?.Invoke(null, default);
        }
        catch (InputException)
        {
            return false;
        }
        if (result is not { Frontier.Count: > 0 })
            return false;
        var adopted = design.With(result.Frontier[0].Edit);
        adopted = adopted with { Energy = adopted.Energy with { StartSoc = 1 } };
        var energy = Assessor.Assess(adopted).Energy.ShouldNotBeNull();
        energy.HeldHours.ShouldBeGreaterThanOrEqualTo(energy.WindowHours - 0.1,
            $"{energy.Verdict.Headline} {result.Frontier[0].Kit} {JobFile.Write(adopted)}");
        return true;
    }

    [Fact]
    public void Without_a_bank_it_asks_for_one() =>
        Should.Throw<InputException>(() =>
            Search(
                Van with { Survey = Van.Survey with { Sources = Van.Survey.Sources with { Battery = Van.Survey.Sources.Battery with { Fitted = false } } } }));
}
