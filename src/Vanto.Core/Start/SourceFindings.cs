using Vanto.Core.Findings;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>What there is to say of the source itself and of what helps the start, whatever the trace shows.</summary>
internal static class SourceFindings
{
    public static IEnumerable<Finding> Of(SurveyDesign survey, StartDesign design, AcUnit unit)
    {
        var inverter = survey.Sources.Inverter;
        if (design.On == SourceChoice.Inverter)
        {
            if (inverter.PeakW is { } peak && inverter.Surge.Count == 0)
                yield return Finding.Of(FindingCode.SourceSurgeTime, Severity.Caution,
                    $"{peak:ElectricPower} of peak say nothing without the time they last. What is typical of the class is taken; ask the maker for watts "
                        + $"and seconds.");
            if (inverter.LabelVa is { } va && va < inverter.RatedW)
                yield return Finding.Of(FindingCode.SourceVaNotW, Severity.Note,
                    $"The label's {va:ApparentPower} are fewer than its watts; the smaller counts.");
            if (inverter.ContinuousW < 0.999 * Math.Min(inverter.RatedW, inverter.LabelVa ?? double.MaxValue))
                yield return Finding.Of(FindingCode.SourceInverterDerate, Severity.Note,
                    $"Where it stands, at {inverter.AmbientC:Temperature}, the inverter gives {inverter.ContinuousW:ElectricPower} for hours on end.");
            if (inverter is { Inside: true, UnitW: 0 } && !unit.IsDc)
                yield return Finding.Of(FindingCode.SourceInverterHeat, Severity.Note, Phrase.Of($"The inverter stands in the cooled space: carrying the "
                    + $"unit's {unit.RatedPowerW:ElectricPower} it adds "
                        + $"{SourceBuilder.Inverter(inverter).DcPower(unit.RatedPowerW) - unit.RatedPowerW:Power} of heat that the load does not count yet."),
                    [new Remedy(Phrase.Of($"count it"), Phrase.Of($"in the load"),
                        DesignEdit.Of(survey, s => s.WithInverter(i => i with { UnitW = unit.RatedPowerW })))]);
            if (inverter.Efficiency.Count >= 2)
            {
                var model = SourceBuilder.Inverter(inverter);
                yield return Finding.Of(FindingCode.SourceEfficiencyFit, Severity.Note, $"Its losses are fitted to its maker's table: "
                    + $"{model.Linear:Fraction} in proportion and {model.Quadratic:Fraction} at the rating with the square, off by "
                        + $"{100 * InverterLosses.LargestMiss(model, inverter.Efficiency):Number} points at most.");
            }
        }
        if (design.On is SourceChoice.Generator or SourceChoice.Shore && unit.Kind is AcKind.MiniSplitInverter or AcKind.PvAssistedSplit)
            yield return Finding.Of(FindingCode.SourceFloatingNeutral, Severity.Note,
                $"Some inverter-driven units and some pedestals refuse a floating neutral: one bond of neutral and earth, at the source in use.");
        if (unit.SingleSpeed && design.Remedy == StartRemedy.SoftStarter && design.On != SourceChoice.Shore)
            yield return SoftStarter.Learns(SoftStarter.LearningStarts);
        if (unit.SingleSpeed && unit.LraEstimated)
            yield return Finding.Of(FindingCode.StartLraEstimated, Severity.Note,
                $"The plate gives no locked-rotor current: {unit.LockedRotorA:Current} are taken, 5.2 times the running current. Measure it.");
    }
}
