using Vanto.Core.Energy;

namespace Vanto.Core.Job;

/// <summary>The search for the smallest kit of a whole design.</summary>
public static class RigKitSearch
{
    /// <summary>The search, ready to run; null where a station before Energy has a fault.</summary>
    public static Func<IProgress<SizingProgress>?, CancellationToken, SizingResult>? Rig(JobDesign design)
    {
        var all = Assessor.Assess(design);
        return all is { Load: { } load, Unit: { } unit }
            ? (progress, stop) => KitSearch.Run(
                new EnergyInputs(design.Survey, design.Load, design.Unit, unit.Unit, design.Energy, design.Start.ReserveSoc) { Day = load.RigDay },
                design.Start, unit, progress, stop)
            : null;
    }
}
