using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>What a rig's equipment costs at the fitter's own prices, for comparing options; fitting, pipes and wires are not in it.</summary>
public static class EquipmentCost
{
    /// <summary>Unit, bank, modules, inverter, soft starter and generator together.</summary>
    public static double Of(SourcesDesign sources, StartRemedy remedy, AcUnit unit, SizingDesign prices) =>
        unit.RatedCapacityW / 1000 * prices.UnitCost
        + (sources.Battery.Fitted ? sources.Battery.Blocks * sources.Battery.Series * prices.BatteryCost : 0)
        + sources.Modules.Count * prices.ModuleCost
        + (sources.Inverter.Fitted ? sources.Inverter.RatedW / 1000 * prices.InverterCost : 0)
        + (remedy == StartRemedy.SoftStarter ? prices.StarterCost : 0)
        + (sources.Generator.Fitted ? sources.Generator.RatedW / 1000 * prices.GeneratorCost : 0);
}
