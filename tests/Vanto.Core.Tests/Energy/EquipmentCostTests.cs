using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>What a rig's equipment costs at the fitter's own prices; arithmetic.</summary>
public class EquipmentCostTests
{
    private static readonly AcUnit Unit = UnitCatalogue.Find("MS-12-120")!;
    private static readonly SizingDesign Prices =
        new() { UnitCost = 100, BatteryCost = 500, ModuleCost = 150, InverterCost = 200, StarterCost = 250, GeneratorCost = 300 };

    private static readonly SourcesDesign Nothing = new()
    {
        Battery = new BatteryDesign { Fitted = false },
        Inverter = new InverterDesign { Fitted = false },
        Modules = new ModulesDesign(),
    };

    private static double Cost(SourcesDesign sources, StartRemedy remedy = StartRemedy.None) => EquipmentCost.Of(sources, remedy, Unit, Prices);

    [Fact]
    public void The_unit_alone() => Cost(Nothing).ShouldBe(352, 1e-9);

    [Fact]
    public void Each_part_adds_its_own_price()
    {
        var bare = Cost(Nothing);
        (Cost(Nothing with { Battery = new BatteryDesign { Blocks = 3, Series = 2 } }) - bare).ShouldBe(3000, 1e-9, "strings of two blocks");
        (Cost(Nothing with { Modules = new ModulesDesign { Count = 5 } }) - bare).ShouldBe(750, 1e-9);
        (Cost(Nothing with { Inverter = new InverterDesign { RatedW = 2500 } }) - bare).ShouldBe(500, 1e-9);
        (Cost(Nothing with { Generator = new GeneratorDesign { Fitted = true, RatedW = 1800 } }) - bare).ShouldBe(540, 1e-9);
        (Cost(Nothing, StartRemedy.SoftStarter) - bare).ShouldBe(250, 1e-9);
        (Cost(Nothing, StartRemedy.HardStartKit) - bare).ShouldBe(0, 1e-9, "a kit costs next to nothing beside the rest");
    }

    [Fact]
    public void Options_are_compared_by_all_of_it()
    {
        var van = NewcomersVan.Design;
        var row = OptionsTable.Of(van, null).Rows.Single();
        row.Cost!.Value.ShouldBe(EquipmentCost.Of(van.Survey.Sources, van.Start.Remedy, UnitCatalogue.Find(van.Unit.Chosen)!, van.Energy.Sizing), 1e-9);
        OptionsTable.Of(van with { Unit = van.Unit with { Chosen = "no-such-unit" } }, null).Rows.Single().Cost.ShouldBeNull();
    }

    [Fact]
    public void What_the_search_says_a_kit_costs_is_what_the_adopted_rig_costs_but_for_its_unit()
    {
        var design = NewcomersVan.Design with
        {
            Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120" },
            Energy = NewcomersVan.Design.Energy with
            {
                Sizing = new SizingDesign
                {
                    MostBatteries = 8,
                    MostModules = 5,
                    Days = 1,
                    WarmerK = 0,
                    HotDays = false,
                    ChooseGenerator = true,
                    MostGeneratorHours = 168
                }
            },
        };
        var unit = UnitCatalogue.Find("MS-09-120")!;
        var result = RigKitSearch.Rig(design)!(null, default);
        foreach (var point in result.Frontier)
        {
            var sources = design.Survey.Sources with
            {
                Battery = design.Survey.Sources.Battery with { Blocks = point.Kit.Batteries },
                Modules = design.Survey.Sources.Modules with { Count = point.Kit.Modules },
                Inverter = design.Survey.Sources.Inverter with { RatedW = result.Inverter!.RatedW },
                Generator = new GeneratorDesign { Fitted = point.Kit.GeneratorW > 0, RatedW = Math.Max(300, point.Kit.GeneratorW) },
            };
            var whole = EquipmentCost.Of(sources, result.Inverter.Remedy, unit, design.Energy.Sizing);
            (whole - unit.RatedCapacityW / 1000 * design.Energy.Sizing.UnitCost).ShouldBe(point.Kit.Cost, 1e-6);
        }
        result.Frontier.Count.ShouldBeGreaterThan(1);
    }
}
