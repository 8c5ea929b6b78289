using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Job;

/// <summary>Rules that once stood in two places, names that once decided, and words that once ignored the reader's units.</summary>
public class OneRuleTests
{
    private static readonly JobDesign Van = NewcomersVan.Design;

    [Theory]
    [InlineData(0)]
    [InlineData(1500)]
    [InlineData(4000)]
    public void There_is_one_standard_atmosphere(double metres) => Atmosphere.Pressure(metres).ShouldBe(Atmosphere.Pressure(metres));

    [Fact]
    public void Cycling_costs_what_the_units_own_entry_says()
    {
        JobDesign With(double degradation) => Van with
        {
            Survey = Van.Survey with
            {
                Climate = Van.Survey.Climate with
                {
                    Months = [.. Enumerable.Range(0, 12).Select(_ => new MonthClimate { MaxC = 33, MinC = 20, Clearness = 0.6, HumidityPct = 40, WindMs = 2 })]
                }
            },
            Unit = new UnitDesign { Chosen = "own-1", Own = [UnitCatalogue.Find("MS-24-240")! with { Id = "own-1", CyclingDegradation = degradation }] },
        };
        double Lost(double degradation) => SeasonRun.Of(With(degradation), SeasonRun.Made(With(degradation).Survey), "made").PartLoad!.CyclingLossShare;
        Lost(0).ShouldBe(0, 1e-12);
        Lost(0.4).ShouldBeGreaterThan(Lost(0.25));
    }

    [Fact]
    public void The_most_a_unit_draws_is_one_figure()
    {
        foreach (var unit in UnitCatalogue.All.Where(u => !u.SingleSpeed))
            Nameplate.Of(unit).McaA.ShouldBe(
                1.25 * Performance.MostPowerW(unit, Performance.RatedOutdoorC) / (unit.SupplyVoltageV * (unit.IsDc ? 1 : unit.PowerFactorRun)), 1e-9, unit.Id);
    }

    [Fact]
    public void The_search_buys_for_the_motor_that_was_measured()
    {
        var shore = new ShoreDesign { PluggedIn = true, BreakerA = 50 };
        var sources = Van.Survey.Sources with
        {
            Shore = shore,
            Battery = Van.Survey.Sources.Battery with { Fitted = true, Blocks = 8 },
            Inverter = new InverterDesign { RatedW = 2000 }
        };
        JobDesign With(double? measured) => Van with
        {
            Unit = new UnitDesign { Chosen = "RT-09-115" },
            Survey = Van.Survey with { Sources = sources },
            Start = Van.Start with { On = SourceChoice.Shore, Remedy = StartRemedy.None, MeasuredA = measured },
            Energy = Van.Energy with { Sizing = new SizingDesign { MostBatteries = 12, MostModules = 2, Days = 1 } },
        };
        InverterChoice? Bought(double? measured)
        {
            var design = With(measured);
            var equipment = new KitEquipment(
                new EnergyInputs(design.Survey, design.Load, design.Unit, UnitCatalogue.Find("RT-09-115")!, design.Energy, design.Start.ReserveSoc),
                design.Start, UnitCatalogue.Find("RT-09-115")!);
            equipment.Choose(1200, 100);
            return equipment.Inverter;
        }
        var plate = Bought(null)!;
        var hard = Bought(58)!;
        (hard.RatedW, hard.Remedy).ShouldNotBe((plate.RatedW, plate.Remedy), "a motor measured at half as much again needs another inverter or a soft starter");
    }

    [Fact]
    public void A_device_may_have_any_name()
    {
        var devices = new[] { "air conditioner", "its own fan", "{0} {1}", "kettle" }
            .Select(n => new DeviceDesign { Name = n, PowerW = 900, Supply = DeviceSupply.Ac, OnAtStart = true }).ToList();
        JobDesign With(Func<string, string> name) => Van with
        {
            Unit = new UnitDesign { Chosen = "RT-09-115" },
            Survey = Van.Survey with { Devices = [.. devices.Select(d => d with { Name = name(d.Name) })] }
        };
        var (odd, plain) = (Assessor.Assess(With(n => n)), Assessor.Assess(With(n => "device " + devices.FindIndex(d => d.Name == n))));
        Sets(odd, "Together: ").ShouldBe(Sets(plain, "Together: "));
        Sets(odd, "Not ").ShouldBe(Sets(plain, "Not "));
        odd.Start!.Verdict.Headline.ToString().ShouldContain("{");
        odd.Start.Verdict.Headline.Measures.Count.ShouldBe(plain.Start!.Verdict.Headline.Measures.Count);
    }

    private static int Sets(JobAssessment a, string begin) =>
        a.Handover!.Blocks.Single(b => b.Heading == "What may run together").Lines.Count(l => l.Value.ToString().StartsWith(begin, StringComparison.Ordinal));

    [Fact]
    public void Every_device_behind_the_inverter_is_on_the_owners_sheet()
    {
        var devices = Enumerable.Range(0, 25).Select(i => new DeviceDesign { Name = $"device {i}", PowerW = 50 + 40 * i, Supply = DeviceSupply.Ac }).ToList();
        var crowded = Van with { Unit = new UnitDesign { Chosen = "RT-09-115" }, Survey = Van.Survey with { Devices = devices } };
        var a = Assessor.Assess(crowded);
        var together = RunningTogether.Of(crowded.Survey, a.Unit!.Unit, RunningTogether.InUse(crowded.Start.On, a.Unit!.Unit, a.Start!))!;
        var named = together.Small.Concat(together.Together.SelectMany(s => s)).Concat(together.Never.SelectMany(s => s)).ToHashSet();
        devices.Select(d => d.Name).Where(n => !named.Contains(n)).ShouldBeEmpty();
        together.Small.Count.ShouldBe(11);
    }

    [Fact]
    public void What_may_run_together_is_said_for_each_source_on_board()
    {
        var sources = Van.Survey.Sources with
        {
            Generator = new GeneratorDesign { Fitted = true, RatedW = 1800, MaximumW = 2200, OutputV = 120 },
            Shore = new ShoreDesign { PluggedIn = true, Volts = 230, BreakerA = 16 },
        };
        var rig = Van with { Unit = new UnitDesign { Chosen = "RT-09-115" }, Survey = Van.Survey with { Sources = sources } };
        var a = Assessor.Assess(rig);
        a.Start!.Elsewhere.Select(d => d.On).ShouldBe([SourceChoice.Generator, SourceChoice.Shore]);
        var blocks = a.Handover!.Blocks.Where(b => b.Heading.StartsWith("What may run together", StringComparison.Ordinal)).ToList();
        blocks.Select(b => b.Heading).ShouldBe(["What may run together", "What may run together on the generator", "What may run together on the shore"]);
        blocks[2].Lines.ShouldHaveSingleItem().Value.InUnits().ShouldBe("The air conditioner wants 115 V; the shore gives 230 V.");
        var own = Assessor.Assess(rig with { Start = rig.Start with { On = SourceChoice.Generator } }).Start!;
        var (there, here) = (a.Start.Elsewhere[0], RunningTogether.InUse(SourceChoice.Generator, a.Unit!.Unit, own));
        (there.ContinuousW, there.SurgeW).ShouldBe((here.ContinuousW, here.SurgeW));
        if (own.Outcome == StartOutcome.Starts)
            there.UnitVa.ShouldBe(here.UnitVa, 0.02 * here.UnitVa);
    }

    [Fact]
    public void Worse_days_and_steps_are_worded_in_the_readers_units()
    {
        var study = StartStudy.Of(Van.Survey, Van.Start with { On = SourceChoice.Inverter }, UnitCatalogue.Find("RT-09-115")!);
        var cold = study.Sensitivity.Single(r => r.Words.ToString().StartsWith("bank at -", StringComparison.Ordinal)).Words;
        (cold.InUnits(), cold.InUnits(UnitSystem.Customary)).ShouldBe(("bank at -5 °C", "bank at 23 °F"));
        var aim = Assessor.Assess(Van).Energy!.SizingAim;
        aim.InUnits(UnitSystem.Customary).ShouldContain("5.4 °F hotter");
        aim.InUnits().ShouldNotContain("€");
        var refused =
            Assessor.Assess(Van with { Survey = Van.Survey with { Place = Van.Survey.Place with { NightLowC = 36.32070368763344, DryBulbC = 35 } } }).Faults[0];
        refused.Verdict.Headline.InUnits().ShouldBe("The night low (36.3 °C) is above the hottest hour (35 °C).");
        refused.Verdict.Headline.InUnits(UnitSystem.Customary).ShouldBe("The night low (97.4 °F) is above the hottest hour (95 °F).");
    }
}
