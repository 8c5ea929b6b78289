using Vanto.Core.Findings;
using Vanto.Core.Load;

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
            yield return Finding.Of(FindingCode.CapWorstHeading, Severity.Caution,
                $"Nose to {worst.HeadingDeg:Angle} the peak is {worst.PeakW:Power}; the unit gives {capacityW:Power}. It is sized for this heading only.");
        if (SizeBand.PullDown(pull.StartC, pull.Minutes, pull.MassC) is { } slow)
            yield return slow;
        foreach (var finding in Zones(unit, design, load))
            yield return finding;
        if (heating.Heats && heating.NeededW > heating.CapacityW)
            yield return Finding.Of(FindingCode.HeatShort, heating.CapacityW == 0 ? Severity.Stop : Severity.Caution,
                $"In the coldest night it gives {heating.CapacityW:Power} of {heating.NeededW:Power}: {heating.NeededW - heating.CapacityW:Power} must come "
                    + $"from elsewhere.");
        if (unit.NoiseInDb > LoudIndoorsDb)
            yield return Finding.Of(FindingCode.UnitLoud, Severity.Note,
                $"Its plate says {unit.NoiseInDb.Value:Count} dB(A) indoors; above 55 few sleep beside it.");
    }

    private static IEnumerable<Finding> Zones(AcUnit unit, UnitDesign design, LoadAssessment load)
    {
        IReadOnlyList<HeadDesign> heads = design.Heads.Count > 0 ? design.Heads : [new HeadDesign { Space = 1, RatedCapacityW = unit.RatedCapacityW }];
        for (var i = 0; i < load.SpaceLengthsM.Count; i++)
        {
            var (length, name, cooled, peak) = (load.SpaceLengthsM[i], load.Spaces.Count > i ? load.Spaces[i].Name : "the space",
                load.Spaces.Count <= i || load.Spaces[i].Cooled, load.Spaces.Count > i ? load.Spaces[i].PeakW : load.PeakW);
            var here = heads.Where(h => h.Space == i + 1).ToList();
            if (!cooled)
                continue;
            if (here.Count == 0)
                yield return Finding.Of(FindingCode.UnitZone, Severity.Caution, $"No head stands in {name}: its {peak:Power} reach it through a door only.");
            else if (design.Heads.Count > 0 && here.Sum(h => h.RatedCapacityW) < 0.9 * peak)
                yield return Finding.Of(FindingCode.UnitZoneShort, Severity.Caution,
                    $"The head in {name} is rated {here.Sum(h => h.RatedCapacityW):Power}; {peak:Power} come in there.");
            if (here.Count > 0 && length > ThrowM * here.Count)
                yield return Finding.Of(FindingCode.UnitThrow, Severity.Caution,
                    $"{name} is {length:Length} long; a head throws about {ThrowM:Length}. The far end stays warm: use two heads, or place it in the middle.");
        }
        var all = heads.Sum(h => h.RatedCapacityW);
        if (design.Heads.Count > 1 && all > 1.3 * unit.RatedCapacityW)
            yield return Finding.Of(FindingCode.UnitHeads, Severity.Note,
                $"The heads add up to {all:Power}, the outdoor unit to {unit.RatedCapacityW:Power}: not all at full at once.");
    }
}
