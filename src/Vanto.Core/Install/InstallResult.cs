using Vanto.Core.Findings;
using Vanto.Core.Stations;

namespace Vanto.Core.Install;

/// <summary>A step of the run sheet.</summary>
/// <param name="State">Where it stands.</param>
/// <param name="Ready">It can be begun now: what comes before it is done.</param>
/// <param name="WaitsFor">Steps that are not done and come before it.</param>
/// <param name="Gate">Its gate items.</param>
/// <param name="Contested">Items that stood open where it was begun or ended, and still do.</param>
public sealed record SiteStep(string Id, string Name, string Stage, string Description, SiteState State, bool Ready, IReadOnlyList<string> WaitsFor,
    IReadOnlyList<GateRow> Gate, IReadOnlyList<string> Contested)
{
    public string Skill { get; init; } = "";
    public int Crew { get; init; } = 1;
    public double LikelyMin { get; init; }

    /// <summary>Runs by itself after the hands, likely, min; 0 where nothing does.</summary>
    public double WaitMin { get; init; }

    public string Wait { get; init; } = "";
    public bool Pausable { get; init; }

    /// <summary>Its button is held to begin it: refrigerant or current that is let go cannot be called back.</summary>
    public bool HeldToBegin { get; init; }

    public double? FirstStartMs { get; init; }
    public double? RunningSinceMs { get; init; }
    public double? HandsOffMs { get; init; }
    public double? DoneMs { get; init; }
    public double HandsMs { get; init; }
    public string Why { get; init; } = "";
    public string By { get; init; } = "";
    public IReadOnlyList<string> Tools { get; init; } = [];
    public IReadOnlyList<string> Parts { get; init; } = [];

    /// <summary>Mistakes that it guards against.</summary>
    public IReadOnlyList<string> Mistakes { get; init; } = [];

    /// <summary>How to leave it safe when it is broken off.</summary>
    public string LeaveSafe { get; init; } = "";

    /// <summary>What is normal here and what is not; empty where nothing frightens.</summary>
    public string Normal { get; init; } = "";

    /// <summary>The reason behind a rule of it, with its number.</summary>
    public string Reason { get; init; } = "";

    /// <summary>Figures of the design that the hands need here, big.</summary>
    public IReadOnlyList<SiteFact> Facts { get; init; } = [];

    public IReadOnlyList<SiteOverride> Overrides { get; init; } = [];
    /// <summary>A picture is suggested here; empty where none is.</summary>
    public string PhotoSlot { get; init; } = "";

    /// <summary>Hashes of the photographs taken at it.</summary>
    public IReadOnlyList<string> Photos { get; init; } = [];
}

/// <summary>A figure of the design that the hands need.</summary>
public sealed record SiteFact(string Label, Phrase Value, Phrase Beside);

/// <summary>Something that runs by itself.</summary>
public sealed record SiteWait(string Step, string Name, string What, double FromMs, double LikelyMin);

/// <summary>Result of the Install station.</summary>
public sealed record InstallAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings) : IStationResult
{
    public IReadOnlyList<SiteStep> Steps { get; init; } = [];

    /// <summary>The step that is on the screen: what runs, else the first that can be begun.</summary>
    public string Current { get; init; } = "";

    /// <summary>What comes next.</summary>
    public IReadOnlyList<string> Next { get; init; } = [];

    public IReadOnlyList<SiteWait> Waits { get; init; } = [];

    /// <summary>What to do in a wait, by the minutes that are left.</summary>
    public IReadOnlyList<UseTheWait.Choice> InTheWait { get; init; } = [];

    public IReadOnlyList<SiteEntry> Entries { get; init; } = [];
    public IReadOnlyList<FoldRemark> Remarks { get; init; } = [];
    public int Done { get; init; }

    /// <summary>Hours and parts against the quote.</summary>
    public required WhatItTook Took { get; init; }

    /// <summary>Letters that a reason has at least.</summary>
    public int LeastReason => GateEvaluator.ReasonLength;

    /// <summary>Steps recorded that are no longer in the plan.</summary>
    public IReadOnlyList<string> Outside { get; init; } = [];

    /// <summary>Highest number of each device that is held without a gap.</summary>
    public IReadOnlyDictionary<string, long> Held { get; init; } = new Dictionary<string, long>();

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}
