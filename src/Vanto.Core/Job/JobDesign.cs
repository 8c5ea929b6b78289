using Vanto.Core.Energy;
using Vanto.Core.Handover;
using Vanto.Core.Load;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Job;

/// <summary>All inputs of a job, one part per station, SI. This is what a job file holds.</summary>
public sealed record JobDesign : DesignPart
{
    /// <summary>Version of the job file's shape.</summary>
    public const int CurrentVersion = 1;

    public int Version { get; init; } = CurrentVersion;
    [Ask("Name of the rig")] public string Name { get; init; } = "New rig";
    [Ask("Next date", Help = "year-month-day")] public string NextDate { get; init; } = "";
    [Ask("Units on this rig's papers")] public UnitSystem Units { get; init; } = UnitSystem.Metric;
    public SurveyDesign Survey { get; init; } = new();
    public LoadDesign Load { get; init; } = new();
    public UnitDesign Unit { get; init; } = new();
    public StartDesign Start { get; init; } = new();
    public EnergyDesign Energy { get; init; } = new();
    public HandoverDesign Handover { get; init; } = new();
}
