using Vanto.Core.Findings;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>What there is to say of a single-speed unit's start, and the ways out of it.</summary>
internal static class StartFindings
{
    public static IEnumerable<Finding> Of(StartCase start, StartDesign design, StartResult result, StartResult alone, StartResult? atReserve,
        ReductionWindow? window, bool startsPlain, double largest, AcUnit unit, SurveyDesign survey, StartCorners corners)
    {
        var remedies = WaysOut(start, design, window, startsPlain && result.Outcome != StartOutcome.Starts, alone, survey).ToList();
        if (result.Outcome != StartOutcome.Starts)
            yield return Finding.Of(Code(result), Severity.Stop, Reason(result, alone), remedies);
        else if (atReserve is { Outcome: not StartOutcome.Starts })
            yield return Finding.Of(FindingCode.StartAtReserve, Severity.Stop,
                Phrase.Of($"It starts now, but not at the reserve of {design.ReserveSoc:Fraction}: {atReserve.Cause.Words()}. It must restart before dawn."),
                remedies);
        if (result.Outcome is StartOutcome.Starts or StartOutcome.StartsOnlyIfShed && corners.Judge() is { } unsure)
            yield return unsure;
        if (result.Outcome == StartOutcome.Starts && Math.Max(result.SurgeUsed, result.BatteryUsed) > 0.5)
            yield return Finding.Of(FindingCode.StartThinMargin, Severity.Caution,
                Phrase.Of(
                    $"The overload timer gets to {Math.Max(result.SurgeUsed, result.BatteryUsed):Fraction} in the start: a cold morning or an aged capacitor "
                        + $"will trip it."),
                remedies);
        if (result.Outcome == StartOutcome.Starts && largest < 1.15 * unit.LockedRotorA)
            yield return Finding.Of(FindingCode.StartLargest, Severity.Caution,
                Phrase.Of(
                    $"The largest locked-rotor current that starts here is {largest:Current}, the plate says {unit.LockedRotorA:Current}: little is left."),
                remedies);
        if (result.BreakerMayTrip)
            yield return Finding.Of(FindingCode.StartBreaker, Severity.Caution, $"The breaker may trip at the start.");
        if (start.Remedy == StartRemedy.None && BoughtForSurge(start, design, survey) is { } surge)
            yield return surge;
        if (result.Outcome == StartOutcome.Starts && result.MinCompressorV < 0.80 * unit.SupplyVoltageV)
            yield return Finding.Of(FindingCode.StartLowVoltage, Severity.Caution,
                $"Only {result.MinCompressorV:Voltage} are left at the compressor during the start.");
        if (result is { Outcome: StartOutcome.Starts, StartS: { } seconds } && start.Remedy != StartRemedy.SoftStarter && seconds > 2 * unit.StartTimeS)
            yield return Finding.Of(FindingCode.StartSlow, Severity.Caution,
                $"It takes {seconds:Milliseconds} to speed, twice what it should: low voltage keeps its windings hot. Shorten or thicken the cable, or use "
                    + $"a hard-start kit.");
        if (result.Outcome == StartOutcome.Starts && result.RunCompressorV < 0.90 * unit.SupplyVoltageV)
            yield return Finding.Of(FindingCode.StartRunVoltage, result.RunCompressorV < 0.85 * unit.SupplyVoltageV ? Severity.Stop : Severity.Caution,
                $"It runs at {result.RunCompressorV:Voltage}, below 90 % of its plate.");
        if (start.Source.Class == SourceClass.Shore && result.RunA > 0.8 * start.Source.BreakerA)
            yield return Finding.Of(FindingCode.StartContinuous, Severity.Caution,
                $"It runs on {result.RunA:Current}, above 80 % of the breaker: too much for hours on end.");
        if (start.Source.Class is SourceClass.InverterGenerator or SourceClass.ConventionalGenerator
            && Generators.JudgeDerate(Generators.DerateFactor(survey.Place.ElevationM, survey.Place.DryBulbC), survey.Sources.Generator.RatedW) is { } derated)
            yield return derated;
        foreach (var finding in SourceFindings.Of(survey, design, unit))
            yield return finding;
    }

    public static FindingCode Code(StartResult result) => result.Cause switch
    {
        var cause when cause.OfBattery() => FindingCode.StartBattery,
        _ when result.Outcome == StartOutcome.StartsOnlyIfShed => FindingCode.StartNeighbours,
        _ when result.Outcome == StartOutcome.StartsButCannotRun => FindingCode.StartCannotRun,
        _ => FindingCode.StartTrips,
    };

    public static Phrase Reason(StartResult result, StartResult alone)
    {
        if (result.Outcome == StartOutcome.StartsOnlyIfShed)
            return Phrase.Of($"Alone it starts; with everything on: {result.Cause.Words()}. Switch off {string.Join(" and ", result.Shed)} first.");
        if (result.Cause.OfBattery())
            return Phrase.Of(
                $"The battery cuts off ({result.Cause.Words()}) although it holds energy: {result.MaxDcA ?? 0:Current} drawn, {result.MinDcV ?? 0:Voltage} "
                    + $"left.");
        if (result.Outcome == StartOutcome.StartsButCannotRun)
            return Phrase.Of($"It starts, but the source ends it: {result.Cause.Words()}.");
        return alone.RunA > 0 && result.TripS is { } trip
            ? Phrase.Of(
                $"The source carries the running current of {alone.RunA:Current} but not the start: {result.MaxA:Current}, {result.Cause.Words()} after "
                    + $"{trip:Milliseconds}.")
            : Phrase.Of($"It does not start: {result.Cause.Words()}.");
    }

    private static IEnumerable<Remedy> WaysOut(StartCase start, StartDesign design, ReductionWindow? window, bool startsPlain, StartResult alone,
        SurveyDesign survey)
    {
        if (startsPlain && start.Remedy != StartRemedy.None)
            yield return new Remedy(Phrase.Of($"start it without help"), Phrase.Of($"this source bears it"),
                DesignEdit.Of(design, d => d with { Remedy = StartRemedy.None }));
        if (window is not null && (start.Remedy != StartRemedy.SoftStarter || start.Reduction < window.Least || start.Reduction > window.Most))
            yield return new Remedy(
                start.Remedy != StartRemedy.SoftStarter ? Phrase.Of($"soft starter of {window.Middle:Fraction}")
                : start.Reduction < window.Least ? Phrase.Of($"soft starter set stronger, to {window.Middle:Fraction}")
                : Phrase.Of($"soft starter set weaker, to {window.Middle:Fraction}"),
                Phrase.Of($"starts from {window.Least:Fraction} to {window.Most:Fraction} less"), StartTrials.Softened(design, window.Middle));
        if (start.Source.Dc is not null && SmallestInverter(start) is { } watts && watts > start.Source.ContinuousW)
            yield return new Remedy(Phrase.Of($"inverter of {watts:ElectricPower}"), Phrase.Of($"same class"),
                DesignEdit.Of(survey, s => s.WithInverter(i => i.Replaced(watts))));
        if (alone.Outcome == StartOutcome.Starts)
            yield return new Remedy(Phrase.Of($"start it alone"), Phrase.Of($"everything else off"), DesignEdit.Of(survey, s => s.StartingAlone()));
        if (start.Remedy == StartRemedy.None && StartSimulation.Starts(start with { Remedy = StartRemedy.HardStartKit }))
            yield return new Remedy(Phrase.Of($"hard-start kit"), Phrase.Of($"shortens the surge, not its first peak"),
                DesignEdit.Of(design, d => d with { Remedy = StartRemedy.HardStartKit }));
        if (start.Source.Dc is { Bank.HasManagementBoard: true } && survey.Sources.Battery.Blocks < 40)
            if (StartSimulation.Starts(start with
            {
                Source = SourceBuilder.Source(
                survey.Sources with { Battery = survey.Sources.Battery with { Blocks = survey.Sources.Battery.Blocks + 1 } }, survey.Place.ElevationM,
                survey.Place.DryBulbC, SourceChoice.Inverter, start.Source.Dc.Soc)
            }))
                yield return new Remedy(Phrase.Of($"one battery block more"), Phrase.Of($"{survey.Sources.Battery.Blocks + 1} in parallel"),
                    DesignEdit.Of(survey, s => s.WithBattery(b => b with { Blocks = b.Blocks + 1 })));
    }

    private static double? SmallestInverter(StartCase start) =>
        SourceBuilder.InverterStepsW.Cast<double?>().FirstOrDefault(w => StartSimulation.Starts(start with { Source = Resized(start.Source, w!.Value) }));

    private static PowerSource Resized(PowerSource source, double watts) =>
        source with { ContinuousW = watts, Dc = source.Dc is { } dc ? dc with { Inverter = InverterModel.Typical(watts) } : null };

    private static Finding? BoughtForSurge(StartCase start, StartDesign design, SurveyDesign survey)
    {
        if (start.Source.Dc is null || !StartSimulation.Starts(start) || !StartVerdict.ReductionFits(start.Motor, 0.65))
            return null;
        if (SmallestInverter(start) is not { } direct || SmallestInverter(start with { Remedy = StartRemedy.SoftStarter, Reduction = 0.65 }) is not { } soft
            || soft >= direct)
            return null;
        return Finding.Of(FindingCode.SourceBoughtForSurge, Severity.Note,
            Phrase.Of(
                $"Without help it takes an inverter of {direct:ElectricPower} to start; with a soft starter {soft:ElectricPower} do. The rest is bought for "
                    + $"half a second."),
            [new Remedy(Phrase.Of($"soft starter"), Phrase.Of($"{survey.Sources.Inverter.RatedW - soft:ElectricPower} less inverter"),
                StartTrials.Softened(design, UnitToStart.TypicalReduction))]);
    }
}
