using System.Numerics;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>The smallest source of a class by what helps the start, W; null where none of the steps does.</summary>
public sealed record SmallestRow(SourceClass Class, double? PlainW, double? SoftW, double? KitW);

/// <summary>How the start stands when something is worse than today.</summary>
public sealed record SensitivityRow(Phrase Words, StartOutcome Outcome, string Cause, double SurgeUsed, double MaxA)
{
    /// <summary>How much its end weighs; empty where it starts.</summary>
    public Severity? Level => Ends.Level(Outcome);
}

/// <summary>Several compressors on the source in turn, and how it ends when all start at once.</summary>
public sealed record StartSequence(StartOrderResult Best, StartOutcome AtOnce, string AtOnceCause);

/// <summary>What more there is to know of a start: other sources, worse days, rules of thumb, and whose turn it is where several start.</summary>
public sealed record StartStudyResult(IReadOnlyList<SmallestRow> Smallest, IReadOnlyList<SensitivityRow> Sensitivity, IReadOnlyList<RuleLine> Rules,
    double? SmallestBatteryA, StartSequence? Sequence)
{
    /// <summary>How it stands on worse days, in a sentence.</summary>
    public Phrase Answer => Sensitivity.Count == 0 ? Phrase.Of($"It starts softly: worse days do not stop it.")
        : Sensitivity.All(s => s.Outcome == StartOutcome.Starts) ? Phrase.Of($"It starts on each of the {Sensitivity.Count - 1} worse days tried.")
        : Sensitivity[0].Outcome != StartOutcome.Starts ? Phrase.Of($"As it is it does not start; worse days are no better.")
        : Phrase.Of($"It does not start on {Sensitivity.Count(s => s.Outcome != StartOutcome.Starts)} of {Sensitivity.Count - 1} worse days: "
            + $"{Sensitivity.First(s => s.Outcome != StartOutcome.Starts).Words} is the first.");
}

/// <summary>Study of a single-speed unit's start beside the assessment: many starts, made when asked.</summary>
public static class StartStudy
{
    private const double ColdC = -5;
    private const double AgedLeft = 0.8;
    private const double HighM = 2000;
    private const double SoftReduction = 0.65;

    /// <summary>The study; empty for units without a locked rotor.</summary>
    /// <param name="survey">The rig.</param>
    /// <param name="design">How it is to start.</param>
    /// <param name="plate">The unit by its plate.</param>
    /// <param name="stop">Cancels the work.</param>
    public static StartStudyResult Of(SurveyDesign survey, StartDesign design, AcUnit plate, CancellationToken stop = default)
    {
        var unit = StartStation.AsMeasured(survey, design, plate);
        if (!unit.SingleSpeed || design.On == SourceChoice.Sun)
            return new StartStudyResult([], [], [], null, null);
        var source = SourceBuilder.Source(survey.Sources, survey.Place.ElevationM, survey.Place.DryBulbC, design.On, design.Soc);
        var start = StartStation.Case(survey, design, unit, source);
        var alone = start with
        {
            Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, source.Volts, 1000),
            Neighbours = [start.Neighbours[0]],
            Line = new Complex(0.05, 0)
        };
        var derate = Generators.DerateFactor(survey.Place.ElevationM, survey.Place.DryBulbC);
        SourceClass[] kinds =
            [SourceClass.HighFrequencyInverter, SourceClass.TransformerInverter, SourceClass.InverterGenerator, SourceClass.ConventionalGenerator];
        var soft = StartVerdict.ReductionFits(start.Motor, SoftReduction) ? SoftReduction : 0.40;
        var smallest = new SmallestRow[kinds.Length];
        Parallel.For(0, kinds.Length, new ParallelOptions { CancellationToken = stop }, k => smallest[k] = new SmallestRow(kinds[k],
            SmallestSource.Of(alone with { Remedy = StartRemedy.None }, kinds[k], derate)?.RatedW,
            SmallestSource.Of(alone with { Remedy = StartRemedy.SoftStarter, Reduction = soft }, kinds[k], derate)?.RatedW,
            SmallestSource.Of(alone with { Remedy = StartRemedy.HardStartKit }, kinds[k], derate)?.RatedW));
        return new StartStudyResult(smallest, Sensitivity(survey, design, unit, start), Rules(unit, source, [.. smallest]), BatteryA(start),
            SequenceOf(design, unit, start));
    }

    private static StartSequence? SequenceOf(StartDesign design, AcUnit unit, StartCase start)
    {
        if (design.Further.Count == 0)
            return null;
        if (design.Further.Count >= StartOrder.MostUnits)
            throw new InputException("start.further", $"{design.Further.Count}",
                $"the order of at most {StartOrder.MostUnits} compressors is looked for, the unit among them");
        List<UnitToStart> units = [new(unit.Name, start.Motor, start.Neighbours[0], start.Remedy, start.Reduction)];
        foreach (var (c, i) in design.Further.Select((c, i) => (c, i)))
        {
            var lra = c.LraA > 0 ? c.LraA : StartRules.LraA(c.RlaA);
            if (lra < AcUnit.LeastLockedRotor * c.RlaA)
                throw new InputException($"start.further[{i}].lraA", Phrase.Of($"{c.LraA:Current}"),
                    Phrase.Of($"LRA must be at least {AcUnit.LeastLockedRotor:Number} × RLA ({AcUnit.LeastLockedRotor * c.RlaA:Current}); "
                        + $"got {c.LraA:Current}"));
            var motor = MotorModel.FromNameplate(unit.SupplyVoltageV, lra, c.RlaA);
            units.Add(new UnitToStart(c.Name, motor, new NeighbourLoad("fan", c.FanW, AcUnit.FanPowerFactor, false),
                c.Soft && StartVerdict.ReductionFits(motor, SoftReduction) ? StartRemedy.SoftStarter : StartRemedy.None, SoftReduction));
        }
        var beside = start with { Neighbours = [.. start.Neighbours.Skip(1)] };
        var sum = MotorModel.FromNameplate(unit.SupplyVoltageV, units.Sum(u => u.Motor.LraA), units.Sum(u => u.Motor.RlaA));
        var together =
            StartVerdict.Of(beside with { Motor = sum, Remedy = StartRemedy.None, Neighbours = [.. units.Select(u => u.Fan), .. beside.Neighbours] });
        return new StartSequence(StartOrder.Best(beside, units), together.Outcome, together.Cause.Words());
    }

    private static List<SensitivityRow> Sensitivity(SurveyDesign survey, StartDesign design, AcUnit unit, StartCase now)
    {
        var rows = new List<SensitivityRow> { Row(Phrase.Of($"as it is"), now) };
        SurveyDesign With(BatteryDesign battery) => survey with { Sources = survey.Sources with { Battery = battery } };
        StartCase At(SurveyDesign there, StartDesign told) =>
            StartStation.Case(there, told, unit, SourceBuilder.Source(there.Sources, there.Place.ElevationM, there.Place.DryBulbC, told.On, told.Soc));
        if (now.Source.Dc is not null)
        {
            rows.Add(Row(Phrase.Of($"bank at {ColdC:Temperature}"), At(With(survey.Sources.Battery with { TemperatureC = ColdC }), design)));
            rows.Add(Row(Phrase.Of($"bank aged to 80 %"),
                At(With(survey.Sources.Battery with { CapacityLeft = Math.Min(AgedLeft, survey.Sources.Battery.CapacityLeft) }), design)));
            rows.Add(Row(Phrase.Of($"bank at the reserve"), At(survey, design with { Soc = Math.Max(0.05, design.ReserveSoc) })));
            rows.Add(
                Row(Phrase.Of($"twice the cable from the bank"), At(With(survey.Sources.Battery with { CableM = 2 * survey.Sources.Battery.CableM }), design)));
        }
        rows.Add(Row(Phrase.Of($"twice the cable to the unit"), At(survey, design with { CableM = 2 * design.CableM })));
        if (now.Source.Class is SourceClass.InverterGenerator or SourceClass.ConventionalGenerator)
            rows.Add(Row(Phrase.Of($"{HighM:Length} higher"),
                At(survey with { Place = survey.Place with { ElevationM = Math.Min(4500, survey.Place.ElevationM + HighM) } }, design)));
        rows.Add(Row(Phrase.Of($"started again after one minute"), now with { SecondsOff = 60 }));
        return rows;
    }

    private static SensitivityRow Row(Phrase words, StartCase start)
    {
        var result = StartSimulation.Run(start);
        return new SensitivityRow(words, result.Outcome, result.Cause.Words(), Math.Max(result.SurgeUsed, result.BatteryUsed), result.MaxA);
    }

    private static List<RuleLine> Rules(AcUnit unit, PowerSource source, List<SmallestRow> smallest)
    {
        var lines = new List<RuleLine>
        {
            new("locked-rotor current from the running one", QuantityKind.Current, StartRules.LraA(unit.RlaA), unit.LockedRotorA),
            new("high-frequency inverter without a soft starter", QuantityKind.ElectricPower, StartRules.InverterW(unit.RatedPowerW), smallest[0].PlainW),
        };
        if (StartRules.GeneratorW(unit.RatedCapacityW, false) is { } plain)
            lines.Add(new("conventional generator without a soft starter, maximum", QuantityKind.ElectricPower, plain,
                Maximum(SourceClass.ConventionalGenerator, smallest[3].PlainW)));
        if (StartRules.GeneratorW(unit.RatedCapacityW, true) is { } helped)
            lines.Add(new("inverter generator with a soft starter, maximum", QuantityKind.ElectricPower, helped,
                Maximum(SourceClass.InverterGenerator, smallest[2].SoftW)));
        if (source.Dc is { } dc)
        {
            var watts = dc.Inverter.DcPower(unit.RatedPowerW);
            lines.Add(new("battery amperes while it runs", QuantityKind.Current, StartRules.DcA(unit.RatedPowerW, dc.Bank.NominalVoltage),
                dc.Bank.Sag(dc.Soc, watts, dc.CableOhm)?.CurrentA));
        }
        return lines;
    }

    private static double? Maximum(SourceClass kind, double? ratedW) => ratedW is { } w ? SourceSteps.Of(kind).First(s => s.RatedW == w).MaximumW : null;

    private static double? BatteryA(StartCase start) => start.Source.Dc is not { Bank: { HasManagementBoard: true } bank } dc ? null
        : StartVerdict.SmallestBatteryRating(start, amperes => start.Source with { Dc = dc with { Bank = bank.Rated(amperes) } });
}
