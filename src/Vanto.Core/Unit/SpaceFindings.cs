using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Quantities;

namespace Vanto.Core.Unit;

/// <summary>Findings on reach, zones, pull-down, the worst heading, winter and noise.</summary>
internal static class SpaceFindings
{
    private const double ThrowM = 12.2;
    private const double LoudIndoorsDb = 55;

    /// <summary>All that apply to the chosen unit.</summary>
    public static IEnumerable<Finding> Of(AcUnit unit, UnitDesign design, LoadAssessment load, double capacityW, PullDownView pull, HeatingView heating)
    {
        var worst = load.Rose.MaxBy(r => r.PeakW)!;
        if (worst.PeakW > capacityW && worst.PeakW > 1.02 * load.PeakW)
            yield return Finding.Of("cap.worst-heading", Severity.Caution, $"Nose to {worst.HeadingDeg:Angle} the peak is {worst.PeakW:Power}; the unit gives {capacityW:Power}. It is sized for this heading only.");
        if (pull.Minutes is null)
            yield return Finding.Of("cap.pull-down", Severity.Stop, $"Closed up at {pull.StartC:Temperature} it does not come down to the set-point in six hours.");
        else if (pull.Minutes > 120)
            yield return Finding.Of("cap.pull-down", Severity.Caution, $"From {pull.StartC:Temperature} it takes {pull.Minutes.Value / 60:Hours} to the set-point, and the contents still stand at {pull.MassC:Temperature}. Start it before you come.");
        foreach (var finding in Zones(unit, design, load))
            yield return finding;
        if (heating.Heats && heating.NeededW > heating.CapacityW)
            yield return Finding.Of("heat.short", heating.CapacityW == 0 ? Severity.Stop : Severity.Caution, $"In the coldest night it gives {heating.CapacityW:Power} of {heating.NeededW:Power}: {heating.NeededW - heating.CapacityW:Power} must come from elsewhere.");
        if (unit.NoiseInDb > LoudIndoorsDb)
            yield return Finding.Of("unit.loud", Severity.Note, $"Its plate says {unit.NoiseInDb.Value:Count} dB(A) indoors; above 55 few sleep beside it.");
    }

    private static IEnumerable<Finding> Zones(AcUnit unit, UnitDesign design, LoadAssessment load)
    {
        IReadOnlyList<HeadDesign> heads = design.Heads.Count > 0 ? design.Heads : [new HeadDesign { Space = 1, RatedCapacityW = unit.RatedCapacityW }];
        for (var i = 0; i < load.SpaceLengthsM.Count; i++)
        {
            var (length, name, cooled, peak) = (load.SpaceLengthsM[i], load.Spaces.Count > i ? load.Spaces[i].Name : "the space", load.Spaces.Count <= i || load.Spaces[i].Cooled, load.Spaces.Count > i ? load.Spaces[i].PeakW : load.PeakW);
            var here = heads.Where(h => h.Space == i + 1).ToList();
            if (!cooled)
                continue;
            if (here.Count == 0)
                yield return Finding.Of("unit.zone", Severity.Caution, $"No head stands in {name}: its {peak:Power} reach it through a door only.");
            else if (design.Heads.Count > 0 && here.Sum(h => h.RatedCapacityW) < 0.9 * peak)
                yield return Finding.Of("unit.zone-short", Severity.Caution, $"The head in {name} is rated {here.Sum(h => h.RatedCapacityW):Power}; {peak:Power} come in there.");
            if (here.Count > 0 && length > ThrowM * here.Count)
                yield return Finding.Of("unit.throw", Severity.Caution, $"{name} is {length:Length} long; a head throws about {ThrowM:Length}. The far end stays warm: use two heads, or place it in the middle.");
        }
        var all = heads.Sum(h => h.RatedCapacityW);
        if (design.Heads.Count > 1 && all > 1.3 * unit.RatedCapacityW)
            yield return Finding.Of("unit.heads", Severity.Note, $"The heads add up to {all:Power}, the outdoor unit to {unit.RatedCapacityW:Power}: not all at full at once.");
    }
}
