using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Job;

/// <summary>One entry of the ledger.</summary>
/// <param name="Id">heat, unit, start, night, sun or weight.</param>
/// <param name="Station">The station that made it.</param>
/// <param name="Value">The figure.</param>
/// <param name="Note">Beside the figure.</param>
/// <param name="Limit">Its limit in words.</param>
/// <param name="Share">Filled part of the gauge, 0 to 1; empty without a gauge.</param>
/// <param name="Mark">Where the limit stands on the gauge.</param>
/// <param name="MoreIsBetter">True where a rise is good.</param>
public sealed record LedgerEntry(string Id, string Station, Measure Value, Phrase Note, Phrase Limit, double? Share, double? Mark, bool? MoreIsBetter, StationState State);

/// <summary>All results of a job, in station order; a station that could not be worked out is null and named in <see cref="Faults"/>.</summary>
public sealed record JobAssessment(
    SurveyAssessment? Survey, LoadAssessment? Load, UnitAssessment? Unit, StartAssessment? Start, EnergyAssessment? Energy, CommissionAssessment? Commission, HandoverAssessment? Handover,
    IReadOnlyList<StationFault> Faults, IReadOnlyList<LedgerEntry> Ledger, IReadOnlyDictionary<string, StationState> States, Finding? Worst);

/// <summary>Runs the stations in order, each a pure function of its inputs and the results before it.</summary>
public static class Assessor
{
    /// <summary>Assesses a whole design with the records of its start-ups.</summary>
    public static JobAssessment Assess(JobDesign design, IReadOnlyList<CommissionRecord>? records = null)
    {
        var run = new StationRun();
        var survey = run.Try("survey", () => SurveyStation.Assess(design.Survey));
        var load = run.Try("load", () => LoadStation.Assess(design.Survey, design.Load), ("survey", survey));
        var unit = run.Try("unit", () => UnitStation.Assess(design.Unit, load!), ("load", load));
        var start = run.Try("start", () => StartStation.Assess(design.Survey, design.Start, design.Unit, unit!, load!.OutdoorC.Max() + design.Unit.InletRiseK), ("unit", unit));
        var energy = run.Try("energy", () => EnergyStation.Assess(new EnergyInputs(design.Survey, design.Load, design.Unit, unit!.Unit, design.Energy, design.Start.ReserveSoc) { Day = load!.RigDay }), ("unit", unit));
        var commission = run.Try("commission", () => CommissionStation.Assess(records ?? [], unit!, start!, load!), ("start", start));
        IReadOnlyList<Finding> findings = [.. survey?.Findings ?? [], .. load?.Findings ?? [], .. unit?.Findings ?? [], .. start?.Findings ?? [], .. energy?.Findings ?? [], .. commission?.Findings ?? []];
        var handover = run.Try("handover", () => HandoverStation.Assess(design.Survey, load!, unit!, design.Start, start!, design.Energy, energy!, commission!, findings), ("energy", energy), ("commission", commission));
        Verdict?[] verdicts = [survey?.Verdict, load?.Verdict, unit?.Verdict, start?.Verdict, energy?.Verdict, commission?.Verdict, handover?.Verdict];
        var states = Stations.Select((name, i) => (name, State: verdicts[i]?.State ?? run.Faults.First(f => f.Station == name).Verdict.State)).ToDictionary(x => x.name, x => x.State);
        var worst = findings.Where(f => f.Level > Severity.Note).OrderByDescending(f => f.Level).FirstOrDefault();
        return new JobAssessment(survey, load, unit, start, energy, commission, handover, run.Faults, LedgerOf(design, load, unit, start, energy), states, worst);
    }

    /// <summary>The stations that exist, in the order of the work.</summary>
    public static readonly IReadOnlyList<string> Stations = ["survey", "load", "unit", "start", "energy", "commission", "handover"];

    private static List<LedgerEntry> LedgerOf(JobDesign design, LoadAssessment? load, UnitAssessment? unit, StartAssessment? start, EnergyAssessment? energy)
    {
        var ledger = new List<LedgerEntry>();
        if (load is not null)
            ledger.Add(new("heat", "load", new(load.PeakW, QuantityKind.Power), Phrase.Of($"at {load.PeakHour + 0.5:HourOfDay}"),
                unit is null ? Phrase.Of($"") : Phrase.Of($"unit gives {unit.CapacityW:Power}"), unit is null ? null : Gauge(load.PeakW, unit.CapacityW), 0.8, false, load.Verdict.State));
        if (unit is not null)
            ledger.Add(new("unit", "unit", new(unit.CapacityW, QuantityKind.Power), unit.Unit.SingleSpeed ? Phrase.Of($"one speed") : Phrase.Of($"turns to {unit.Unit.MinCapacityW:Power}"),
                Phrase.Of($"{unit.Unit.RatedCapacityW / unit.RequiredW:Fraction} of what is needed"), Gauge(unit.Unit.RatedCapacityW, unit.RequiredW), 0.8, null, unit.Verdict.State));
        if (start is not null)
            ledger.Add(new("start", "start", new(start.MaxA, QuantityKind.Current), start.SourceV > 0 ? Phrase.Of($"at {start.SourceV:Voltage}") : Phrase.Of($""),
                start.Outcome == StartOutcome.Starts ? Phrase.Of($"{start.Used:Fraction} of what it bears") : Phrase.Of($"{Outcome(start.Outcome)}"), Math.Min(1, start.Used * 0.8), 0.8, false, start.Verdict.State));
        if (energy is not null)
        {
            var aim = Phrase.Of($"of {energy.WindowHours:Hours}");
            ledger.Add(new("night", "energy", new(energy.HeldHours, QuantityKind.Hours), aim,
                energy.HasBattery ? Phrase.Of($"lowest charge {energy.MinSoc:Fraction}") : Phrase.Of($"no battery"), 0.8 * energy.HeldHours / energy.WindowHours, 0.8, true, energy.Verdict.State));
            ledger.Add(new("sun", "energy", new(energy.SunWh, QuantityKind.Energy), Phrase.Of($"a day"), Phrase.Of($"the day takes {energy.NeedWh:Energy}"), Gauge(energy.SunWh, energy.NeedWh), 0.8, true, StationState.Passed));
        }
        if (unit is not null)
        {
            var mass = WeightOf(design, unit.Unit);
            ledger.Add(new("weight", "unit", new(mass, QuantityKind.Mass), Phrase.Of($"added"), Phrase.Of($"unit, bank, modules"), null, null, false, StationState.Passed));
        }
        return ledger;
    }

    /// <summary>Unit, bank and modules together, kg; bank by chemistry and modules at 11 kg/m² typical, common practice.</summary>
    private static double WeightOf(JobDesign design, AcUnit unit)
    {
        var battery = design.Survey.Sources.Battery;
        var bank = battery.Fitted ? Physics.CellData.Of(battery.Chemistry).KgPerKWh * battery.BankKWh : 0;
        return unit.MassKg + bank + design.Survey.Sources.Modules.Count * design.Survey.Sources.Modules.RatedW * Physics.Modules.KgPerW;
    }

    private static double Gauge(double value, double limit) => limit <= 0 ? 1 : Math.Min(1, 0.8 * value / limit);

    private static string Outcome(StartOutcome outcome) => outcome switch
    {
        StartOutcome.StartsOnlyIfShed => "only with loads off",
        StartOutcome.StartsButCannotRun => "cannot run on",
        StartOutcome.Stalls => "stalls",
        _ => "trips",
    };
}
