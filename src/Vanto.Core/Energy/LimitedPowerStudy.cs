using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>The day with every set-point moved by some kelvin: what the unit takes and the lowest charge.</summary>
public sealed record DegreeRow(double Kelvin, double AirconWh, double DifferenceWh, double? MinSoc, double HeldHours);

/// <summary>Running the rig on limited power.</summary>
/// <param name="Degrees">What each degree costs, by simulation.</param>
/// <param name="QuickWh">The quick estimate of one degree beside it.</param>
/// <param name="PreCool">What cooling ahead by <see cref="PreCoolK"/> buys at dusk.</param>
/// <param name="PreCoolK">Kelvin taken for it.</param>
/// <param name="PreCoolDrawnWh">What it takes by day.</param>
/// <param name="CurtailedWh">Sun without a taker on the design day.</param>
/// <param name="Shed">Order of shedding, the first first.</param>
/// <param name="Never">Never shed.</param>
public sealed record LimitedPowerView(IReadOnlyList<DegreeRow> Degrees, double QuickWh, PreCoolResult PreCool, double PreCoolK, double PreCoolDrawnWh, double CurtailedWh, bool WorthIt, IReadOnlyList<string> Shed, string Never);

/// <summary>What a degree costs and what cooling ahead buys on a rig; made when asked.</summary>
public static class LimitedPowerStudy
{
    private const double AheadK = 2;
    private const int DuskHour = 21;

    /// <summary>The study on the rig's design day.</summary>
    public static LimitedPowerView Of(EnergyInputs inputs)
    {
        var day = inputs.Day ?? RigDay.Of(inputs.Survey, inputs.Load).Day;
        var hasBank = inputs.Survey.Sources.Battery.Fitted;
        double[] kelvin = [0, -1, 1, 2];
        var runs = new EnergyResult[kelvin.Length];
        Parallel.For(0, runs.Length, i => runs[i] = new DayRun(inputs with { Energy = inputs.Energy with { HoldC = inputs.Energy.HoldC + kelvin[i], OtherwiseC = inputs.Energy.OtherwiseC + kelvin[i] } }, day, RigDay.StepS).Run().Result);
        var rows = kelvin.Select((k, i) => new DegreeRow(k, runs[i].Ledger.AirconWh, runs[i].Ledger.AirconWh - runs[0].Ledger.AirconWh, hasBank ? runs[i].MinSoc : null, runs[i].HeldHours)).OrderBy(r => r.Kelvin).ToList();
        var space = day.Space;
        var model = new ThermalSpace(space);
        var conductance = model.SkinWK + model.Infiltration;
        var cop = runs[0].Ledger.AirconWh > 0 ? runs[0].CoolingWh / runs[0].Ledger.AirconWh : inputs.Unit.RatedCapacityW / inputs.Unit.RatedPowerW;
        var dusk = new HeldLoad(DesignDay.Steps(space.Weather, 900)).Solve(space).SensibleW[DuskHour];
        var ahead = LimitedPower.PreCool(model.MassCapacity, conductance, AheadK, Math.Max(10, dusk));
        var drawn = ahead.StoredWh / (inputs.Unit.SensibleHeatRatio * cop);
        return new LimitedPowerView(rows, LimitedPower.DegreeWh(conductance, 24, inputs.Unit.SensibleHeatRatio, cop), ahead, AheadK, drawn, runs[0].Ledger.CurtailedWh, runs[0].Ledger.CurtailedWh >= drawn, LimitedPower.ShedOrder, LimitedPower.NeverShed);
    }
}
