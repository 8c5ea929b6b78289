using Vanto.Core.Load;
using Vanto.Core.Physics;

namespace Vanto.Core.Unit;

/// <summary>Pull-down with a nominal capacity: derated each minute, split by its coil.</summary>
public static class PullDowns
{
    /// <summary>Cools a soaked space from an hour on.</summary>
    /// <param name="soak">The soaked day.</param>
    /// <param name="space">Its space.</param>
    /// <param name="fromHour">Hour the unit starts.</param>
    /// <param name="nominalW">Rated capacity; 0.05 m³/s of air for each kW.</param>
    public static PullDownResult FromSoak(HeatSoak soak, SpaceDescription space, int fromHour, double nominalW)
    {
        var pressure = space.Weather.PressurePa;
        return soak.PullDown(fromHour, (outdoor, wet) => Capacity.Derated(nominalW, outdoor, wet, pressure), Capacity.FlowPerWatt * nominalW,
            (air, ratio, cooling, flow) =>
        {
            var split = WetCoil.Split(air, ratio, cooling, flow, pressure);
            var saturated = split.LatentW > 0 ? MoistAir.SaturationRatio(split.ApparatusDewPointC, pressure) : 0;
            return (split.SensibleW, split.LatentW / MoistAir.VaporisationJPerKg / (ratio - saturated), saturated);
        });
    }
}
