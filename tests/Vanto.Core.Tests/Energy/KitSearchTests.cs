using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Start;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Energy;

/// <summary>The search on a whole rig. Properties; no published source.</summary>
public class KitSearchTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120" },
        Energy = NewcomersVan.Design.Energy with { Sizing = new SizingDesign { MostBatteries = 8, MostModules = 5, Days = 2, WarmerK = 1 } },
    };

    private static SizingResult Search(JobDesign design, IProgress<SizingProgress>? progress = null, CancellationToken stop = default) => KitSearchOf.Rig(design)!(progress, stop);

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
                Survey = Van.Survey with { Sources = Van.Survey.Sources with { Battery = Van.Survey.Sources.Battery with { Blocks = point.Kit.Batteries }, Modules = Van.Survey.Sources.Modules with { Count = point.Kit.Modules }, Inverter = Van.Survey.Sources.Inverter with { RatedW = result.Inverter!.RatedW, IdleW = null } } },
                Energy = Van.Energy with { HoldC = point.Kit.HoldC, OtherwiseC = Van.Energy.OtherwiseC + point.Kit.HoldC - Van.Energy.HoldC, StartSoc = 1 },
            };
            var day = Assessor.Assess(adopted).Energy!;
            day.MinSoc.ShouldBeGreaterThanOrEqualTo(Van.Start.ReserveSoc);
            // The frontier's own figure for the design day is the day's, run with its cabin.
            day.MinSoc.ShouldBe(point.MinSoc[0]!.Value, 1e-6);
            heard++;
        }
        heard.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void More_modules_never_ask_for_more_batteries_and_hard_days_never_for_fewer()
    {
        var result = Search(Van);
        for (var a = 1; a < result.Least.Count; a++)
            if (result.Least[a - 1] > 0)
                result.Least[a].ShouldBeInRange(1, result.Least[a - 1]);
        var easy = Search(Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { HotDays = false, CloudyDays = false, Aged = false } } });
        easy.Findings.ShouldContain(f => f.Code == "size.thin");
        for (var a = 0; a < easy.Least.Count; a++)
            if (result.Least[a] > 0)
                easy.Least[a].ShouldBeInRange(1, result.Least[a]);
    }

    [Fact]
    public void Every_cell_of_the_map_says_whether_it_holds_and_where_it_fails()
    {
        var result = Search(Van);
        result.Cells.Count.ShouldBe(8 * 6);
        foreach (var cell in result.Cells)
        {
            cell.Holds.ShouldBe(result.Least[cell.Modules] > 0 && cell.Batteries >= result.Least[cell.Modules]);
            (cell.FailsIn.Length == 0).ShouldBe(cell.Holds);
        }
    }

    [Fact]
    public void With_a_generator_that_starts_by_itself_every_kit_is_tried()
    {
        var generator = Van with { Survey = Van.Survey with { Sources = Van.Survey.Sources with { Generator = Van.Survey.Sources.Generator with { Fitted = true, AutoStart = true, CoAlarm = true } } }, Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { HotDays = false, CloudyDays = false, Aged = false, WarmerK = 0, MostGeneratorHours = 168 } } };
        var result = Search(generator);
        result.Evaluations.ShouldBeGreaterThanOrEqualTo(8 * 6);
        result.Cells.Count(c => c.Holds).ShouldBeGreaterThanOrEqualTo(Search(generator with { Survey = Van.Survey }).Cells.Count(c => c.Holds));
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
        var tight = Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { MostBatteries = 1, MostModules = 0 } } };
        var none = Search(tight).Findings.Single(f => f.Code == "size.none");
        none.Level.ShouldBe(Severity.Stop);
        none.Remedies.ShouldContain(r => r.Changes.Any(c => c.Path == "/energy/sizing/mostBatteries"));
        var poor = Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { MostCost = 1 } } };
        Search(poor).Findings.Single(f => f.Code == "size.none").Remedies[0].Changes.ShouldContain(c => c.Path == "/energy/sizing/mostCost");
    }

    [Fact]
    public void A_bank_that_does_not_start_the_unit_is_no_kit()
    {
        var rooftop = Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { ChooseInverter = false } }, Unit = Van.Unit with { Chosen = "RT-15-115" }, Start = Van.Start with { Remedy = StartRemedy.None }, Survey = Van.Survey with { Sources = Van.Survey.Sources with { Inverter = Van.Survey.Sources.Inverter with { RatedW = 1500 } } } };
        Search(rooftop).Findings.ShouldContain(f => f.Code == "size.start");
    }

    [Fact]
    public void Inverter_and_soft_starter_are_chosen_together_by_what_they_cost()
    {
        JobDesign Rooftop(double starter) => Van with { Unit = Van.Unit with { Chosen = "RT-13-115" }, Start = Van.Start with { Remedy = StartRemedy.None }, Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { StarterCost = starter, HotDays = false, CloudyDays = false, Aged = false } } };
        var cheap = Search(Rooftop(50));
        cheap.Inverter!.Remedy.ShouldBe(StartRemedy.SoftStarter);
        var dear = Search(Rooftop(5000));
        dear.Inverter!.Remedy.ShouldBe(StartRemedy.None);
        dear.Inverter.RatedW.ShouldBeGreaterThan(cheap.Inverter.RatedW, "the surge is bought with a larger inverter");
        foreach (var point in cheap.Frontier)
        {
            point.Changes.ShouldContain(c => c.Path == "/start/remedy");
            point.Changes.ShouldContain(c => c.Path == "/survey/sources/inverter/ratedW");
        }
        Search(Van with { Energy = Van.Energy with { Sizing = Van.Energy.Sizing with { ChooseInverter = false } } }).Inverter.ShouldBeNull();
    }

    [Fact]
    public void Without_a_bank_it_asks_for_one() =>
        Should.Throw<InputException>(() => Search(Van with { Survey = Van.Survey with { Sources = Van.Survey.Sources with { Battery = Van.Survey.Sources.Battery with { Fitted = false } } } }));
}
