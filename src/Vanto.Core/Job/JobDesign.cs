using System.Reflection;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Load;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Service;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Job;

/// <summary>All inputs of a job, one part per station, SI. This is what a job file holds.</summary>
public sealed record JobDesign : DesignPart
{
    /// <summary>Version of the job file's shape.</summary>
    public const int CurrentVersion = 2;

    /// <summary>Options kept at most.</summary>
    public const int MostOptions = 24;

    public int Version { get; init; } = CurrentVersion;
    [Ask("Name of the rig", Longest = 80)] public string Name { get; init; } = "New rig";
    [Ask("Next date", Date = true)] public string NextDate { get; init; } = "";
    [Ask("Units on this rig's papers")] public UnitSystem Units { get; init; } = UnitSystem.Metric;
    public SurveyDesign Survey { get; init; } = new();
    public LoadDesign Load { get; init; } = new();
    public UnitDesign Unit { get; init; } = new();
    public StartDesign Start { get; init; } = new();
    public EnergyDesign Energy { get; init; } = new();
    public LayoutDesign Layout { get; init; } = new();
    public MountDesign Mount { get; init; } = new();
    public WiringDesign Wiring { get; init; } = new();
    public PlanDesign Plan { get; init; } = new();
    public CommissionDesign Commission { get; init; } = new();
    public HandoverDesign Handover { get; init; } = new();
    public ServiceDesign Service { get; init; } = new();
    [Ask("Options kept for comparison", Most = MostOptions)] public IReadOnlyList<OptionDesign> Options { get; init; } = [];
    [Ask("Compared with", Help = "the option pinned as the baseline; empty takes the design as it stands")] public string Baseline { get; init; } = "";

    private static readonly PropertyInfo[] PartProperties = [.. typeof(JobDesign).GetProperties().Where(p => p.PropertyType.IsSubclassOf(typeof(DesignPart)))];

    /// <summary>Its parts by their types.</summary>
    public IReadOnlyDictionary<Type, DesignPart> Parts() => PartProperties.ToDictionary(p => p.PropertyType, p => (DesignPart)p.GetValue(this)!);

    /// <summary>The design as an edit leaves it.</summary>
    public JobDesign With(DesignEdit edit)
    {
        var whole = edit.Apply(this);
        return whole with
        {
            Survey = edit.Apply(whole.Survey),
            Load = edit.Apply(whole.Load),
            Unit = edit.Apply(whole.Unit),
            Start = edit.Apply(whole.Start),
            Energy = edit.Apply(whole.Energy),
            Layout = edit.Apply(whole.Layout),
            Mount = edit.Apply(whole.Mount),
            Wiring = edit.Apply(whole.Wiring),
            Plan = edit.Apply(whole.Plan),
            Commission = edit.Apply(whole.Commission),
            Handover = edit.Apply(whole.Handover),
            Service = edit.Apply(whole.Service),
        };
    }
}

/// <summary>A named design of the same rig: another unit, start, aim or kit on the same survey.</summary>
public sealed record OptionDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "option";
    [Ask("Unit", Options = "units")] public string Chosen { get; init; } = "MS-12-120";
    public StartDesign Start { get; init; } = new();
    public EnergyDesign Energy { get; init; } = new();
    public SourcesDesign Sources { get; init; } = new();

    /// <summary>What of a design an option keeps.</summary>
    public static OptionDesign Of(JobDesign design, string name) => new()
    {
        Name = name,
        Chosen = design.Unit.Chosen,
        Start = design.Start,
        Energy = design.Energy,
        Sources = design.Survey.Sources,
    };

    /// <summary>The whole design with this option in its place.</summary>
    public JobDesign In(JobDesign rig) => rig with
    {
        Unit = rig.Unit with { Chosen = Chosen },
        Start = Start,
        Energy = Energy,
        Survey = rig.Survey with { Sources = Sources },
    };
}
