using System.Text.Json.Serialization;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Job;

/// <summary>All results of a job; on the wire each station's stands under its name.</summary>
/// <param name="Faults">Stations that could not be worked out; they have no result.</param>
/// <param name="Ledger">The figures that matter, with their limits.</param>
/// <param name="States">State of each station.</param>
/// <param name="Worst">The worst finding that is no note.</param>
public sealed record JobAssessment(
    IReadOnlyList<StationFault> Faults, IReadOnlyList<LedgerEntry> Ledger, IReadOnlyDictionary<string, StationState> States, Finding? Worst)
{
    /// <summary>Results by the name of their station.</summary>
    [JsonIgnore]
    public IReadOnlyDictionary<string, IStationResult> Results { get; init; } = new Dictionary<string, IStationResult>();

    /// <summary>The design that was assessed, part by part.</summary>
    [JsonIgnore]
    internal IReadOnlyDictionary<Type, DesignPart> Parts { get; init; } = new Dictionary<Type, DesignPart>();

    /// <summary>The log that was read.</summary>
    [JsonIgnore]
    internal IReadOnlyList<StationRecord> Log { get; init; } = [];

    /// <summary>One station's result by its type, or null.</summary>
    public T? Of<T>() where T : class, IStationResult => Results.Values.OfType<T>().FirstOrDefault();

    [JsonIgnore] public SurveyAssessment? Survey => Of<SurveyAssessment>();
    [JsonIgnore] public LoadAssessment? Load => Of<LoadAssessment>();
    [JsonIgnore] public UnitAssessment? Unit => Of<UnitAssessment>();
    [JsonIgnore] public Layout.LayoutAssessment? Layout => Of<Layout.LayoutAssessment>();
    [JsonIgnore] public Wiring.WiringAssessment? Wiring => Of<Wiring.WiringAssessment>();
    [JsonIgnore] public Install.InstallAssessment? Install => Of<Install.InstallAssessment>();
    [JsonIgnore] public Plan.PlanAssessment? Plan => Of<Plan.PlanAssessment>();
    [JsonIgnore] public Mount.MountAssessment? Mount => Of<Mount.MountAssessment>();
    [JsonIgnore] public StartAssessment? Start => Of<StartAssessment>();
    [JsonIgnore] public EnergyAssessment? Energy => Of<EnergyAssessment>();
    [JsonIgnore] public CommissionAssessment? Commission => Of<CommissionAssessment>();
    [JsonIgnore] public HandoverAssessment? Handover => Of<HandoverAssessment>();
    [JsonIgnore] public Service.ServiceAssessment? Service => Of<Service.ServiceAssessment>();
}
