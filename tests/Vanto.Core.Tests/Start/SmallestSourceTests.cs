using System.Numerics;
using Vanto.Core.Findings;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Start;

/// <summary>The smallest source that starts each class of unit. Check table: a second implementation of the same model, no published source.</summary>
public class SmallestSourceTests
{
    private static StartCase Case(string id)
    {
        var unit = UnitCatalogue.Find(id)!;
        var volts = unit.SupplyVoltageV < 150 ? 120.0 : 230;
        return new StartCase
        {
            Starter = SoftStarterModel.Prescribed,
            Motor = StartTests.Motor(id),
            Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, volts, 1000),
            Line = new Complex(0.05, 0),
            Neighbours = [new NeighbourLoad("fan", unit.FanPowerW, 0.85, false)],
        };
    }

    [Theory]
    [InlineData("RP-08-120", 1500, 1500, 1000, 1000, 1000, 2300, 900, 2000)]
    [InlineData("RT-09-115", 2000, 2000, 1500, 1600, 1600, 2800, 1600, 2000)]
    [InlineData("RT-11-115", 2500, 2000, 1500, 1600, 1600, 2800, 1600, 2000)]
    [InlineData("RT-13-115", 3000, 2500, 2000, 2000, 1600, 4000, 1600, 2800)]
    [InlineData("RT-15-115", 3000, 3000, 2000, 2000, 2000, 4000, 1800, 2800)]
    [InlineData("RT-17-230", 1500, 1000, 1000, 1000, 1000, 1600, 900, 2000)]
    [InlineData("RT-24-230", 2000, 1500, 1000, 1600, 1000, 2300, 1600, 2000)]
    [InlineData("RT-33-230", 2500, 2500, 1500, 2000, 1600, 4000, 1600, 2800)]
    public void Each_unit_has_its_smallest_source(string id, double high, double highKit, double highSoft, double low, double lowSoft, double generator,
        double generatorSoft, double conventional)
    {
        double? Smallest(SourceClass kind, StartRemedy remedy) => SmallestSource.Of(Case(id) with { Remedy = remedy, Reduction = 0.65 }, kind)?.RatedW;
        Smallest(SourceClass.HighFrequencyInverter, StartRemedy.None).ShouldBe(high);
        Smallest(SourceClass.HighFrequencyInverter, StartRemedy.HardStartKit).ShouldBe(highKit);
        Smallest(SourceClass.HighFrequencyInverter, StartRemedy.SoftStarter).ShouldBe(highSoft);
        Smallest(SourceClass.TransformerInverter, StartRemedy.None).ShouldBe(low);
        Smallest(SourceClass.TransformerInverter, StartRemedy.SoftStarter).ShouldBe(lowSoft);
        Smallest(SourceClass.InverterGenerator, StartRemedy.None).ShouldBe(generator);
        Smallest(SourceClass.InverterGenerator, StartRemedy.SoftStarter).ShouldBe(generatorSoft);
        Smallest(SourceClass.ConventionalGenerator, StartRemedy.None).ShouldBe(conventional);
    }

    [Theory]
    [InlineData(1500, 12, 150)]
    [InlineData(1500, 24, 75)]
    [InlineData(1500, 48, 37.5)]
    public void Direct_amperes_by_the_rule(double watts, double volts, double amperes) => StartRules.DcA(watts, volts).ShouldBe(amperes, 1e-9);

    [Fact]
    public void Rules_of_thumb_stand_beside_the_model()
    {
        StartRules.LraA(12).ShouldBe(62.4, 1e-9);
        StartRules.InverterW(1530).ShouldBe(3060);
        StartRules.GeneratorW(3960, false).ShouldBe(3500);
        StartRules.GeneratorW(4400, true).ShouldBe(2200);
        StartRules.GeneratorW(2700, true).ShouldBeNull("the rule speaks of the large sizes only");
        new RuleLine("", Core.Quantities.QuantityKind.Current, 100, 60).Apart.ShouldBeTrue();
        new RuleLine("", Core.Quantities.QuantityKind.Current, 100, 90).Apart.ShouldBeFalse();
    }

    [Fact]
    public void Two_units_start_in_the_order_that_strains_the_source_least()
    {
        var start = Case("RT-13-115") with { Source = PowerSource.OfInverter(SourceClass.TransformerInverter, 120, 3000), Neighbours = [] };
        UnitToStart Unit(string id) => new(id, StartTests.Motor(id), new NeighbourLoad("fan", UnitCatalogue.Find(id)!.FanPowerW, 0.85, false));
        var (large, small) = (Unit("RT-13-115"), Unit("RT-09-115"));
        StartOrder.Of(start, [large, small]).WorstUsed.ShouldBe(0.1435, 0.0005);
        StartOrder.Of(start, [small, large]).WorstUsed.ShouldBe(0.2735, 0.0005);
        var best = StartOrder.Best(start, [small, large]);
        best.Order.ShouldBe(["RT-13-115", "RT-09-115"]);
        best.AllStart.ShouldBeTrue();
        Should.Throw<ArgumentException>(() => StartOrder.Best(start, []));
    }

    [Fact]
    public void Compressors_on_the_rig_get_their_turns_and_say_what_happens_all_at_once()
    {
        // The sheet of two units on a transformer inverter of 3,000 W; common practice, no published source.
        var survey = NewcomersVan.Design.Survey;
        survey = survey with
        {
            Devices = [],
            Sources = survey.Sources with
            {
                Inverter = new InverterDesign { Class = InverterClass.Transformer, RatedW = 3000 },
                Battery = new BatteryDesign { NominalV = 48, BlockAh = 200, Blocks = 4 }
            }
        };
        var small = UnitCatalogue.Find("RT-09-115")!;
        var start = NewcomersVan.Design.Start with
        {
            On = SourceChoice.Inverter,
            Remedy = StartRemedy.None,
            Further = [new CompressorDesign { Name = "bunk unit", RlaA = small.RlaA, LraA = small.LraA, FanW = small.FanPowerW }]
        };
        var sequence = StartStudy.Of(survey, start, UnitCatalogue.Find("RT-13-115")!).Sequence!;
        sequence.Best.AllStart.ShouldBeTrue();
        sequence.Best.Order.ShouldBe(["rooftop 13.5k, 115 V", "bunk unit"]);
        StartStudy.Of(survey, start with { Further = [] }, UnitCatalogue.Find("RT-13-115")!).Sequence.ShouldBeNull();
        var weak = survey with { Sources = survey.Sources with { Inverter = survey.Sources.Inverter with { RatedW = 2000 } } };
        var tight = StartStudy.Of(weak, start, UnitCatalogue.Find("RT-13-115")!).Sequence!;
        tight.AtOnce.ShouldNotBe(StartOutcome.Starts);
        tight.Best.WorstUsed.ShouldBeGreaterThan(sequence.Best.WorstUsed);
        Should.Throw<InputException>(() => StartStudy.Of(survey, start with { Further = [new CompressorDesign { RlaA = 10, LraA = 20 }] },
            UnitCatalogue.Find("RT-13-115")!)).Errors[0].Field.ShouldBe("start.further[0].lraA");
        Should.Throw<InputException>(() => StartStudy.Of(survey, start with { Further = [.. Enumerable.Repeat(new CompressorDesign(), 6)] },
            UnitCatalogue.Find("RT-13-115")!)).Errors[0].Field.ShouldBe("start.further");
    }

    [Fact]
    public void The_study_names_worse_days_and_none_of_them_is_easier()
    {
        var survey = NewcomersVan.Design.Survey;
        var study = StartStudy.Of(survey, NewcomersVan.Design.Start with { On = SourceChoice.Inverter }, UnitCatalogue.Find("RT-09-115")!);
        study.Smallest.Count.ShouldBe(4);
        var now = study.Sensitivity[0];
        foreach (var worse in study.Sensitivity.Skip(1).Where(s => s.Outcome == now.Outcome && s.Words.ToString() != "twice the cable to the unit"))
            worse.SurgeUsed.ShouldBeGreaterThanOrEqualTo(now.SurgeUsed - 1e-9, worse.Words.ToString());
        study.Rules.ShouldContain(r => r.Words.StartsWith("locked-rotor", StringComparison.Ordinal));
        StartStudy.Of(survey, NewcomersVan.Design.Start, UnitCatalogue.Find("MS-09-120")!).Smallest.ShouldBeEmpty();
    }

    [Theory]
    [InlineData(StartRemedy.None, 172.3)]
    [InlineData(StartRemedy.SoftStarter, 125)]
    public void The_bench_finds_the_same_battery_rating(StartRemedy remedy, double amperes)
    {
        var result = StartCalculators.SmallestBattery(new SmallestBatteryInput
        {
            Remedy = remedy,
            Load = remedy == StartRemedy.None ? StartLoad.Running : StartLoad.FirstSeconds
        });
        result.Figures.Single().Value!.Value.ShouldBe(amperes, 0.6);
    }

    [Theory]
    [InlineData(StartRemedy.None, 172.3)]
    [InlineData(StartRemedy.SoftStarter, 125)]
    public void The_smallest_battery_rating_that_starts(StartRemedy remedy, double amperes)
    {
        var bank = new BatteryBank(Chemistry.Lfp, 4, 400, extraResistance: 0.0005);
        var source = PowerSource.OfInverter(SourceClass.TransformerInverter, 120, 3000, new DcSide(bank, 0.5, 0.0008, new InverterModel(3000, 30)));
        StartVerdict.SmallestBatteryRating(Case("RT-13-115") with { Source = source, Remedy = remedy },
            a => source with { Dc = source.Dc! with { Bank = bank.Rated(a) } })!.Value.ShouldBe(amperes, 0.6);
    }
}
