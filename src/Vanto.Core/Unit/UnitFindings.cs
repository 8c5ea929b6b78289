using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Quantities;

namespace Vanto.Core.Unit;

/// <summary>What there is to say of the size of the chosen unit, and the units that would fit better.</summary>
internal static class UnitFindings
{
    /// <summary>Share of the peak below which an evening needs hardly any cooling; common practice.</summary>
    private const double QuietEveningShare = 0.15;

    /// <summary>Plates within a tenth of each other run on the same supply.</summary>
    private const double SameVolts = 0.10;

    /// <summary>
    /// Another unit that clears a finding: of the same kind where there is one, else any on the same volts, but nothing else for one that may run on
    /// the sun alone; the nearest to what is needed. Empty where none does.
    /// </summary>
    private static Remedy[] Better(UnitDesign design, AcUnit unit, List<Candidate> candidates, Func<Candidate, bool> clears) =>
        [.. candidates.Where(c => c.Id != unit.Id && c.IsDc == unit.IsDc && Math.Abs(c.SupplyVoltageV / unit.SupplyVoltageV - 1) <= SameVolts
            && (c.Kind == unit.Kind || unit.Kind != AcKind.PvAssistedSplit) && clears(c))
            .OrderBy(c => c.Kind == unit.Kind ? 0 : 1).ThenBy(c => Math.Abs(c.Ratio - 1)).Take(1)
            .Select(c => new Remedy(Phrase.Of($"{c.Name}"), Phrase.Of($"{Calls.Name(c.Kind)}, {c.Ratio:Fraction} of what is needed"),
                DesignEdit.Of(design, d => d with { Chosen = c.Id })))];

    private static bool Oversized(Candidate c, bool singleSpeed) => c.Ratio > SizeBand.Ends(!singleSpeed);

    public static IEnumerable<Finding> Of(AcUnit unit, Candidate chosen, List<Candidate> candidates, LoadAssessment load, UnitDesign design)
    {
        var oversized = Oversized(chosen, unit.SingleSpeed);
        var weight =
            oversized && chosen.Level is not null && design.School == SizingSchool.OversizedOnPurpose && !unit.SingleSpeed ? Severity.Note : chosen.Level;
        if (SizeBand.Finding(unit.NameFirst, chosen.Ratio, weight, chosen.Words) is { } size)
            yield return size with { Remedies = Better(design, unit, candidates, c => c.Fits) };
        var rule = Capacity.AreaRuleW(load.Space.FloorM2);
        var skin = load.Space.Faces.Sum(f => f.AreaM2) + load.Space.Windows.Sum(w => w.AreaM2);
        if (load.PeakW / rule is > 1.4 or < 0.7)
            yield return Finding.Of(FindingCode.CapAreaRule, Severity.Note, Phrase.Of($"By floor area alone one would buy {rule:Power}; the load is "
                + $"{load.PeakW:Power}. The rule was made for houses with about 3 times as much skin as floor; this one "
                    + $"has {skin / load.Space.FloorM2:Ratio} times, and "
                    + $"{load.Space.Windows.Sum(w => w.AreaM2) / load.Space.FloorM2:Ratio} times its floor in glass."), []);
        if (chosen.HoursBelowMin > 0 && oversized)
            yield return Finding.Of(FindingCode.UnitTurnDown, Severity.Caution,
                Phrase.Of($"In {chosen.HoursBelowMin} hours of the design day the load is below its lowest steady {chosen.LowestW:Power}: it cycles."),
                Better(design, unit, candidates, c => c.Fits && c.HoursBelowMin == 0));
        if (load.Day.SensibleW[UnitStation.MildEveningHour] < QuietEveningShare * load.PeakSensibleW)
            yield return Finding.Of(FindingCode.AirQuietEvening, Severity.Note,
                $"In the evening hardly any cooling is needed: air the rig then, the unit dries little.");
        else if (SizeBand.Damp("In the mild evening the room", chosen.EveningRhPct) is { } damp)
            yield return damp.Level
                == Severity.Note ? damp : damp with { Remedies = Better(design, unit, candidates, c => c.Fits && c.EveningRhPct <= SizeBand.DampPct) };
        if (Nameplate.Estimated(Nameplate.Of(unit)) is { } plate)
            yield return plate;
        var air = load.OutdoorC.Max() + design.InletRiseK;
        if (Performance.OutdoorLimit(unit, air) is { } hot)
            yield return hot;
    }
}
