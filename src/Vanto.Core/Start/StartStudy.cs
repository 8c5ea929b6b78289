using System.Numerics;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>The smallest source of a class by what helps the start, W; null where none of the steps does.</summary>
public sealed record SmallestRow(SourceClass Class, double? PlainW, double? SoftW, double? KitW);

/// <summary>How the start stands when something is worse than today.</summary>
public sealed record SensitivityRow(string Words, StartOutcome Outcome, string Cause, double Used, double MaxA);

/// <summary>What more there is to know of a start: other sources, worse days, rules of thumb.</summary>
public sealed record StartStudyResult(IReadOnlyList<SmallestRow> Smallest, IReadOnlyList<SensitivityRow> Sensitivity, IReadOnlyList<RuleLine> Rules, double? SmallestBatteryA);

/// <summary>Study of a single-speed unit's start beside the assessment: many starts, made when asked.</summary>
public static class StartStudy
{
    private const double ColdC = -5;
    private const double AgedLeft = 0.8;
    private const double HighM = 2000;

    /// <summary>The study; empty for units without a locked rotor.</summary>
    public static StartStudyResult Of(SurveyDesign survey, StartDesign design, AcUnit unit)
    {
        if (!unit.SingleSpeed || design.On == SourceChoice.Sun)
            return new StartStudyResult([], [], [], null);
        var source = SourceBuilder.Source(survey.Sources, survey.Place, design.On, design.Soc);
        var start = StartStation.Case(survey, design, unit, source);
        var alone = start with { Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, source.Volts, 1000), Neighbours = [start.Neighbours[0]], Line = new Complex(0.05, 0) };
        var derate = Generators.DerateFactor(survey.Place.ElevationM, survey.Place.DryBulbC);
        SourceClass[] kinds = [SourceClass.HighFrequencyInverter, SourceClass.TransformerInverter, SourceClass.InverterGenerator, SourceClass.ConventionalGenerator];
        var soft = StartVerdict.ReductionFits(start.Motor, 0.65) ? 0.65 : 0.40;
        var smallest = new SmallestRow[kinds.Length];
        Parallel.For(0, kinds.Length, k => smallest[k] = new SmallestRow(kinds[k],
            SmallestSource.Of(alone with { Remedy = StartRemedy.None }, kinds[k], derate)?.RatedW,
            SmallestSource.Of(alone with { Remedy = StartRemedy.SoftStarter, Reduction = soft }, kinds[k], derate)?.RatedW,
            SmallestSource.Of(alone with { Remedy = StartRemedy.HardStartKit }, kinds[k], derate)?.RatedW));
        return new StartStudyResult(smallest, Sensitivity(survey, design, unit, start), Rules(unit, source, [.. smallest]), BatteryA(start));
    }

    private static List<SensitivityRow> Sensitivity(SurveyDesign survey, StartDesign design, AcUnit unit, StartCase now)
    {
        var rows = new List<SensitivityRow> { Row("as it is", now) };
        SurveyDesign With(BatteryDesign battery) => survey with { Sources = survey.Sources with { Battery = battery } };
        StartCase At(SurveyDesign there, StartDesign told) => StartStation.Case(there, told, unit, SourceBuilder.Source(there.Sources, there.Place, told.On, told.Soc));
        if (now.Source.Dc is not null)
        {
            rows.Add(Row($"bank at {ColdC:0} °C", At(With(survey.Sources.Battery with { TemperatureC = ColdC }), design)));
            rows.Add(Row("bank aged to 80 %", At(With(survey.Sources.Battery with { CapacityLeft = Math.Min(AgedLeft, survey.Sources.Battery.CapacityLeft) }), design)));
            rows.Add(Row("bank at the reserve", At(survey, design with { Soc = Math.Max(0.05, design.ReserveSoc) })));
            rows.Add(Row("twice the cable from the bank", At(With(survey.Sources.Battery with { CableM = 2 * survey.Sources.Battery.CableM }), design)));
        }
        rows.Add(Row("twice the cable to the unit", At(survey, design with { CableM = 2 * design.CableM })));
        if (now.Source.Class is SourceClass.InverterGenerator or SourceClass.ConventionalGenerator)
            rows.Add(Row($"{HighM:0} m higher", At(survey with { Place = survey.Place with { ElevationM = Math.Min(4500, survey.Place.ElevationM + HighM) } }, design)));
        rows.Add(Row("started again after one minute", now with { SecondsOff = 60 }));
        return rows;
    }

    private static SensitivityRow Row(string words, StartCase start)
    {
        var result = StartSimulation.Run(start);
        return new SensitivityRow(words, result.Outcome, result.Cause, Math.Max(result.Used, result.BatteryUsed), result.MaxA);
    }

    private static List<RuleLine> Rules(AcUnit unit, PowerSource source, List<SmallestRow> smallest)
    {
        var lines = new List<RuleLine>
        {
            new("locked-rotor current from the running one", QuantityKind.Current, StartRules.LraA(unit.RlaA), unit.LockedRotorA),
            new("high-frequency inverter without a soft starter", QuantityKind.ElectricPower, StartRules.InverterW(unit.RatedPowerW), smallest[0].PlainW),
        };
        if (StartRules.GeneratorW(unit.RatedCapacityW, false) is { } plain)
            lines.Add(new("conventional generator without a soft starter, maximum", QuantityKind.ElectricPower, plain, Maximum(SourceClass.ConventionalGenerator, smallest[3].PlainW)));
        if (StartRules.GeneratorW(unit.RatedCapacityW, true) is { } helped)
            lines.Add(new("inverter generator with a soft starter, maximum", QuantityKind.ElectricPower, helped, Maximum(SourceClass.InverterGenerator, smallest[2].SoftW)));
        if (source.Dc is { } dc)
        {
            var watts = dc.Inverter.DcPower(unit.RatedPowerW);
            lines.Add(new("battery amperes while it runs", QuantityKind.Current, StartRules.DcA(unit.RatedPowerW, dc.Bank.NominalVoltage), dc.Bank.Sag(dc.Soc, watts, dc.CableOhm)?.CurrentA));
        }
        return lines;
    }

    private static double? Maximum(SourceClass kind, double? ratedW) => ratedW is { } w ? SmallestSource.Steps(kind).First(s => s.RatedW == w).MaximumW : null;

    private static double? BatteryA(StartCase start) => start.Source.Dc is not { Bank: { HasManagementBoard: true } bank } dc ? null
        : StartVerdict.SmallestBatteryRating(start, amperes => start.Source with { Dc = dc with { Bank = bank.Rated(amperes) } });
}
