using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Instruments;

/// <summary>Air out of a coil.</summary>
/// <param name="TotalW">Cooling.</param>
/// <param name="SensibleW">Of it what is felt.</param>
/// <param name="LeavesC">Air out.</param>
/// <param name="LeavesRatio">Its water, kg/kg.</param>
/// <param name="WaterKgS">Condensate.</param>
/// <param name="SurfaceC">Apparatus dew point.</param>
public readonly record struct CoilRun(double TotalW, double SensibleW, double LeavesC, double LeavesRatio, double WaterKgS, double SurfaceC)
{
    public double SensibleShare => TotalW > 0 ? SensibleW / TotalW : 1;
}

/// <summary>
/// A coil known by its rating point (27 °C, 19 °C wet bulb, 35 °C outdoors; ISO 5151 T1, published), run anywhere by the bypass-factor method of the
/// handbooks. For the simulated unit; Unit's own coil judges real jobs.
/// </summary>
public sealed class RatedCoil
{
    private const double RatedC = 27, RatedWetC = 19, RatedOutC = 35, SeaLevelPa = 101325;
    private const double PerWetK = 0.018, PerOutK = -0.009;
    private const double StepK = 0.25;
    private const int Halvings = 60;

    private readonly double _ratedW, _ratedKgS, _bypass;

    /// <summary>Apparatus dew point at the rating, °C.</summary>
    public double RatedSurfaceC { get; }

    /// <summary>Share of the air that passes as if there were no coil, at the rating.</summary>
    public double Bypass => _bypass;

    /// <param name="ratedW">Total cooling at the rating.</param>
    /// <param name="sensibleShare">Of it what is felt.</param>
    /// <param name="airM3s">Air at the rating.</param>
    /// <exception cref="InputException">No coil can do that.</exception>
    public RatedCoil(double ratedW, double sensibleShare, double airM3s)
    {
        var ratio = MoistAir.RatioFromWetBulb(RatedC, RatedWetC, SeaLevelPa);
        _ratedW = ratedW;
        _ratedKgS = airM3s / MoistAir.SpecificVolume(RatedC, ratio, SeaLevelPa);
        var leaves = RatedC - sensibleShare * ratedW / (_ratedKgS * MoistAir.HeatCapacity(ratio));
        var enthalpy = MoistAir.Enthalpy(RatedC, ratio) - ratedW / _ratedKgS;
        var water = (enthalpy - 1006 * leaves) / (MoistAir.VaporisationJPerKg + 1860 * leaves);
        double Over(double t) => ratio + (water - ratio) * (t - RatedC) / (leaves - RatedC) - MoistAir.SaturationRatio(t, SeaLevelPa);
        var low = leaves;
        while (Over(low) < 0)
        {
            low -= StepK;
            if (low < -40)
                throw new InputException("coil", $"{ratedW}", "no coil has this rating: check its sensible share and its air");
        }
        var high = Math.Min(low + StepK, leaves);
        for (var i = 0; i < Halvings; i++)
        {
            var at = 0.5 * (low + high);
            if (Over(at) < 0)
                high = at;
            else
                low = at;
        }
        RatedSurfaceC = 0.5 * (low + high);
        _bypass = (leaves - RatedSurfaceC) / (RatedC - RatedSurfaceC);
    }

    /// <summary>Runs it.</summary>
    /// <param name="entersC">Air in.</param>
    /// <param name="entersRatio">Its water, kg/kg.</param>
    /// <param name="airM3s">Of the air in.</param>
    /// <param name="outdoorC">Outdoors.</param>
    /// <param name="share">Of its full cooling.</param>
    /// <param name="pressurePa">Of the air.</param>
    public CoilRun Run(double entersC, double entersRatio, double airM3s, double outdoorC, double share, double pressurePa = SeaLevelPa)
    {
        var wet = MoistAir.WetBulb(entersC, entersRatio, pressurePa);
        var total = _ratedW * share * (1 + PerWetK * (wet - RatedWetC) + PerOutK * (outdoorC - RatedOutC));
        var kgS = airM3s / MoistAir.SpecificVolume(entersC, entersRatio, pressurePa);
        var cp = MoistAir.HeatCapacity(entersRatio);
        var bypass = Math.Pow(_bypass, _ratedKgS / kgS);
        var surface = entersC - total / (kgS * cp * (1 - bypass));
        if (surface >= MoistAir.DewPoint(entersRatio, pressurePa))
            return new CoilRun(total, total, entersC - total / (kgS * cp), entersRatio, 0, surface);
        var enthalpy = MoistAir.Enthalpy(entersC, entersRatio);
        var (low, high) = (-40.0, entersC);
        for (var i = 0; i < Halvings; i++)
        {
            var at = 0.5 * (low + high);
            if (kgS * (1 - bypass) * (enthalpy - MoistAir.Enthalpy(at, MoistAir.SaturationRatio(at, pressurePa))) > total)
                low = at;
            else
                high = at;
        }
        surface = 0.5 * (low + high);
        var leaves = surface + bypass * (entersC - surface);
        var saturated = MoistAir.SaturationRatio(surface, pressurePa);
        var leavesRatio = saturated + bypass * (entersRatio - saturated);
        return new CoilRun(total, kgS * cp * (entersC - leaves), leaves, leavesRatio, kgS * (entersRatio - leavesRatio), surface);
    }
}
