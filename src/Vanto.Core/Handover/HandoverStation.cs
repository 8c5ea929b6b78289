using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Handover;

/// <summary>What the owner's sheet says beside the results.</summary>
public sealed record HandoverDesign : DesignPart
{
    [Ask("Fitted by")] public string Firm { get; init; } = "";
    [Ask("Call")] public string Contact { get; init; } = "";
    [Ask("For")] public string Owner { get; init; } = "";
    [Ask("Remarks", Longest = 8000)] public string Remarks { get; init; } = "";
}

/// <summary>A line of label and value for the sheet.</summary>
public sealed record SheetLine(string Label, Phrase Value);

/// <summary>What may run together on one source.</summary>
/// <param name="Source">Which.</param>
/// <param name="Rating">What it carries.</param>
/// <param name="Together">Largest sets with the air conditioner that it carries.</param>
/// <param name="Never">Smallest sets that it does not, those of fewest devices first.</param>
/// <param name="Small">Devices that count as one, because there are too many to try each with each; empty where there are not.</param>
/// <param name="TogetherLeft">So many sets more are allowed than are written down.</param>
/// <param name="NeverLeft">So many sets more are not allowed.</param>
public sealed record TogetherOnSource(
    string Source, Phrase Rating, IReadOnlyList<IReadOnlyList<string>> Together, IReadOnlyList<IReadOnlyList<string>> Never, IReadOnlyList<string> Small, int TogetherLeft, int NeverLeft);

/// <summary>The one-page sheet.</summary>
public sealed record HandoverAssessment(
    Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<SheetLine> Rig, IReadOnlyList<SheetLine> Fitted, TogetherOnSource? Together, IReadOnlyList<SetpointHours> Hours,
    IReadOnlyList<string> WhenShort, IReadOnlyList<VerdictRow> Proof, IReadOnlyList<string> Cautions, bool Draft) : IStationResult;

/// <summary>The Handover station, first half.</summary>
public sealed class HandoverStation : Station<HandoverAssessment>
{
    /// <inheritdoc />
    public override string Name => "handover";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Keep;

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
        [typeof(EnergyAssessment), typeof(CommissionAssessment), typeof(LoadAssessment), typeof(UnitAssessment), typeof(StartAssessment), typeof(SurveyDesign), typeof(StartDesign)];

    /// <inheritdoc />
    public override bool ReadsFindings => true;

    private const string UnitName = "air conditioner";
    private const double DevicePowerFactor = 0.95;

    /// <summary>More sets than these nobody reads; how many there are beside them is said.</summary>
    private const int MostSets = 40;

    /// <summary>Puts the owner's sheet together from the other stations.</summary>
    public override IStationResult Assess(StationInputs job)
    {
        var (survey, load, unit) = (job.Design<SurveyDesign>(), job.Result<LoadAssessment>(), job.Result<UnitAssessment>());
        var (start, energy, proof) = (job.Result<StartAssessment>(), job.Result<EnergyAssessment>(), job.Result<CommissionAssessment>());
        var stops = job.Findings.Where(f => f.Level == Severity.Stop).ToList();
        var missing = proof.Rows.Count(r => r.Verdict == BandVerdict.NotDone);
        var draft = stops.Count > 0 || missing > 0;
        var findings = new List<Finding>();
        if (stops.Count > 0)
            findings.Add(Finding.Of("handover.incomplete", Severity.Stop, $"{(stops.Count == 1 ? "One stop is" : $"{stops.Count} stops are")} open in earlier stations; the sheet prints as a draft."));
        if (missing > 0)
            findings.Add(Finding.Of("handover.unproved", Severity.Caution, $"{missing} of {proof.Rows.Count} start-up readings are not taken; the sheet prints as a draft."));
        var verdict = new Verdict(draft ? (stops.Count > 0 ? StationState.Stop : StationState.Open) : StationState.Passed,
            draft ? Phrase.Of($"The sheet is a draft.") : Phrase.Of($"The sheet is ready to hand over."),
            stops.Count > 0 ? Phrase.Of($"Clear the open stops first.") : missing > 0 ? Phrase.Of($"Take the remaining {missing} readings in Commission.") : Phrase.Of($"All readings are taken and no stop is open."));
        return new HandoverAssessment(verdict, findings, RigLines(survey, load), FittedLines(survey, unit, job.Design<StartDesign>()), Together(survey, unit.Unit, start), energy.Owner, WhenShort(survey), proof.Rows, Cautions(survey, unit.Unit), draft);
    }

    private static List<SheetLine> RigLines(SurveyDesign survey, LoadAssessment load) =>
    [
        new("Rig", Phrase.Of($"{Label(survey.Kind)}, {survey.Space.LengthM:Length} × {survey.Space.WidthM:Length} × {survey.Space.HeightM:Length} inside")),
        new("Design day", Phrase.Of($"{survey.Place.DryBulbC:Temperature} by day, {survey.Place.NightLowC:Temperature} at night{(survey.Place.Name.Length > 0 ? ", " + survey.Place.Name : "")}")),
        new("Heat at its worst", Phrase.Of($"{load.PeakW:Power} at {load.PeakHour + 0.5:HourOfDay}")),
    ];

    private static List<SheetLine> FittedLines(SurveyDesign survey, UnitAssessment unit, StartDesign start)
    {
        var lines = new List<SheetLine>
        {
            new("Unit", Phrase.Of($"{unit.Unit.Id}, {Label(unit.Unit.Kind)}, {unit.Unit.RatedCapacityW:Power} rated, {unit.Unit.SupplyVoltageV:Voltage}")),
            new("At the design heat", Phrase.Of($"{unit.CapacityW:Power}")),
        };
        if (unit.Unit.SingleSpeed)
            lines.Add(new("Start", start.Remedy == StartRemedy.SoftStarter ? Phrase.Of($"soft starter, {start.Reduction:Fraction} less start current") : Phrase.Of($"{(start.Remedy == StartRemedy.None ? "direct" : "hard-start kit")}")));
        var sources = survey.Sources;
        if (sources.Battery.Fitted)
            lines.Add(new("Battery", Phrase.Of($"{sources.Battery.Blocks} × {sources.Battery.BlockAh:Charge} at {sources.Battery.BankV:Voltage}, {Label(sources.Battery.Chemistry)}")));
        if (sources.Inverter.Fitted && sources.Battery.Fitted)
            lines.Add(new("Inverter", Phrase.Of($"{sources.Inverter.RatedW:ElectricPower}, {Label(sources.Inverter.Class)}")));
        if (sources.Modules.Count > 0)
            lines.Add(new("Modules", Phrase.Of($"{sources.Modules.Count} × {sources.Modules.RatedW:ElectricPower}")));
        if (sources.Generator.Fitted)
            lines.Add(new("Generator", Phrase.Of($"{sources.Generator.RatedW:ElectricPower} rated, {sources.Generator.MaximumW:ElectricPower} at most")));
        if (sources.Shore.Fitted)
            lines.Add(new("Shore", Phrase.Of($"{sources.Shore.Volts:Voltage}, {sources.Shore.BreakerA:Current}")));
        return lines;
    }

    /// <summary>What the owner switches off when power runs short, the first first.</summary>
    private static List<string> WhenShort(SurveyDesign survey)
    {
        var (before, after) = LimitedPower.Order(survey);
        return [.. before.Select(d => d.Device.Name), "set the air conditioner one or two degrees warmer", "the air conditioner", .. after.Select(d => d.Device.Name)];
    }

    private static TogetherOnSource? Together(SurveyDesign survey, AcUnit unit, StartAssessment start)
    {
        if (unit.IsDc || start.ContinuousW <= 0 || start.RunA <= 0)
            return null;
        var devices = survey.Devices.Where(d => d.Supply == DeviceSupply.Ac).ToList();
        const int own = RunTogether.MostLoads - 2; // one place for the unit, one for all that is small
        var apart = devices.Count <= own + 1 ? devices : [.. devices.OrderByDescending(d => d.PowerW).Take(own)];
        List<DeviceDesign> small = [.. devices.Where(d => !apart.Any(a => ReferenceEquals(a, d)))];
        var unitVa = UnitVa(unit, start);
        var loads = new List<OwnerLoad> { new(UnitName, unitVa, Math.Max(unitVa, start.MaxA * start.SourceV)) };
        loads.AddRange(apart.Select(d => new OwnerLoad(d.Name, d.PowerW / DevicePowerFactor, d.PowerW / DevicePowerFactor)));
        if (small.Count > 0)
            loads.Add(new OwnerLoad($"the {small.Count} small ones", small.Sum(d => d.PowerW) / DevicePowerFactor, small.Sum(d => d.PowerW) / DevicePowerFactor));
        var result = RunTogether.Of(loads, start.ContinuousW, start.SurgeW);
        var withUnit = result.Maximal.Where(s => s[0] == 0).ToList();
        IReadOnlyList<IReadOnlyList<string>> Named(IEnumerable<IReadOnlyList<int>> sets) => [.. sets.Take(MostSets).Select(s => (IReadOnlyList<string>)[.. s.Select(i => loads[i].Name)])];
        return new TogetherOnSource("source in use", Phrase.Of($"{start.ContinuousW:ApparentPower} continuous, {start.SurgeW:ApparentPower} for a start"),
            Named(withUnit), Named(result.Forbidden), [.. small.Select(d => d.Name)], Math.Max(0, withUnit.Count - MostSets), Math.Max(0, result.Forbidden.Count - MostSets));
    }

    private static double UnitVa(AcUnit unit, StartAssessment start)
    {
        var neighbours = start.Neighbours.Where(n => !n.OwnFan).Sum(n => n.CurrentA);
        return Math.Max(unit.RatedPowerW / unit.PowerFactorRun, (start.RunA - neighbours) * start.SourceV);
    }

    private static List<string> Cautions(SurveyDesign survey, AcUnit unit)
    {
        var cautions = new List<string> { "Local codes, the unit's manual and licensed practice come first." };
        var sources = survey.Sources;
        if (!unit.IsDc)
            cautions.Add("Mains and inverter output kill: switch off, lock off and prove dead before a cover comes off.");
        if (unit.SingleSpeed)
            cautions.Add("Run and start capacitors hold charge after switching off: wait five minutes, discharge, measure.");
        if (sources.Battery.Fitted)
            cautions.Add("A battery bank gives thousands of amperes into a short: fuse at the positive post, insulated tools, no rings.");
        if (sources.Battery is { Fitted: true, Chemistry: Physics.Chemistry.Lfp or Physics.Chemistry.Nmc })
            cautions.Add("Never charge the lithium bank below 0 °C.");
        if (sources.Modules.Count > 0)
            cautions.Add("Modules are live in daylight: open their disconnect first.");
        if (sources.Generator.Fitted)
            cautions.Add("Generator exhaust kills sleepers: never inside, under windows or upwind; a working carbon monoxide alarm always.");
        cautions.Add("Refrigerant burns skin and eyes; only certified people open the circuit.");
        if (survey.Kind is not (RigKind.Cabin or RigKind.Workshop or RigKind.Boat))
            cautions.Add("Before driving: unit off, covers stowed, mind the height with the unit on the roof.");
        return cautions;
    }

    private static string Label<T>(T value) where T : struct, Enum => Calls.Name(value);
}
