using Vanto.Core.Energy;
using Vanto.Core.Physics;

namespace Vanto.Core.Job;

/// <summary>The search for the smallest kit of a whole design.</summary>
public static class RigKitSearch
{
    /// <summary>The search, ready to run; null where a station before Energy has a fault.</summary>
    /// <param name="design">The rig.</param>
    /// <param name="year">Weather through which the kits found are run; made from the climate's months where there is none and they are said.</param>
    public static Func<IProgress<SizingProgress>?, CancellationToken, SizingResult>? Rig(JobDesign design, WeatherYear? year = null)
    {
        var all = Assessor.Assess(design);
        return all is { Load: { } load, Unit: { } unit }
            ? (progress, stop) => KitSearch.Run(
                new EnergyInputs(design.Survey, design.Load, design.Unit, unit.Unit, design.Energy, design.Start.ReserveSoc) { Day = load.RigDay },
                design.Start, unit, year ?? (design.Survey.Climate.Months.Count == 12 ? SeasonRun.Made(design.Survey) : null), progress, stop)
            : null;
    }
}
