using Vanto.Core.Findings;
using Vanto.Core.Stations;

namespace Vanto.Core.Plan;

/// <summary>A step in the days.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">As a person says it.</param>
/// <param name="Stage">It belongs to.</param>
/// <param name="Skill">Of who leads; empty for anyone's.</param>
/// <param name="Start">Minute of the plan; nothing for what is done before the site.</param>
/// <param name="End">Of hands.</param>
/// <param name="WaitEnd">Of what runs by itself.</param>
/// <param name="Wait">What runs, in words; empty without one.</param>
/// <param name="People">Their places in the crew.</param>
/// <param name="Binds">Everything after it waits for it.</param>
public sealed record PlanStep(string Id, string Name, string Stage, string Skill, string Place, double HandsMin, int? Start, int? End, int? WaitEnd,
    string Wait,
    IReadOnlyList<int> People, bool Binds);

/// <summary>A day of the plan, minutes from its own midnight.</summary>
/// <param name="Number">Counted from the first.</param>
/// <param name="Words">Such as Tuesday 2027-03-02, or day 1.</param>
/// <param name="From">Work begins.</param>
/// <param name="To">Work ends.</param>
/// <param name="BreakFrom">Break; equal to its end without one.</param>
/// <param name="BreakTo">Its end.</param>
/// <param name="LightFrom">Sun is up.</param>
/// <param name="LightTo">Sun is down.</param>
/// <param name="HotFrom">Too hot on the roof; equal to its end where it never is.</param>
/// <param name="HotTo">Its end.</param>
public sealed record PlanDay(int Number, string Words, int From, int To, int BreakFrom, int BreakTo, int LightFrom, int LightTo, int HotFrom, int HotTo);

/// <summary>Steps of one stage that somebody does one after the other, on one day; minutes from that day's midnight.</summary>
/// <param name="Day">Of <see cref="PlanDay.Number"/>.</param>
/// <param name="Person">Place in the crew.</param>
/// <param name="Words">The stage.</param>
/// <param name="Skill">Of who leads; empty for anyone's.</param>
/// <param name="Steps">Names, in order.</param>
public sealed record PlanBlock(int Day, int Person, string Words, string Skill, int From, int To, IReadOnlyList<string> Steps);

/// <summary>Something that runs by itself, and what is done meanwhile.</summary>
public sealed record WaitRow(string Step, string What, int From, int To, IReadOnlyList<string> Meanwhile);

/// <summary>Another way to do it, by the quick rule.</summary>
/// <param name="Words">What is changed.</param>
/// <param name="Ends">When it would be done.</param>
/// <param name="WinsMin">Earlier than now; less than nothing is later.</param>
/// <param name="Take">Does it.</param>
public sealed record WhatIf(string Words, string Ends, double WinsMin, Remedy Take);

/// <summary>A tool to take along.</summary>
/// <param name="Size">Where the job gives it one.</param>
/// <param name="For">The step that takes it first.</param>
public sealed record ToolRow(string Id, string Name, string Kind, double MassKg, string Size, string For, int LastUse);

/// <summary>A tool that is hired or bought for this job.</summary>
/// <param name="Days">From the day it is first used to the day it is last.</param>
/// <param name="Hire">For those days; nothing without a price.</param>
/// <param name="Bought">This job's share; nothing without a price.</param>
/// <param name="Words">What is done, and from how many such jobs buying costs less.</param>
/// <param name="Cost">In the quote; nothing without a price.</param>
public sealed record ToolCostRow(string Tool, int Days, decimal? Hire, decimal? Bought, string Words, decimal? Cost);

/// <summary>A person and their hours.</summary>
public sealed record PersonRow(string Name, string Licence, bool Helper, double BusyMin, double RateH);

/// <summary>The price, line by line, as printed.</summary>
public sealed record QuoteLine(string Words, string Amount, bool Sum = false);

/// <summary>A precedence that the plan keeps.</summary>
public sealed record PlanEdge(string Before, string After);

/// <summary>The best days that the solver found, and other ways.</summary>
/// <param name="Plan">The whole plan by that schedule.</param>
/// <param name="Proof">How sure it is.</param>
/// <param name="WonMin">Earlier than the quick rule.</param>
/// <param name="Ways">Other ways by the quick rule, the best first.</param>
public sealed record PlanStudyResult(PlanAssessment? Plan, ScheduleProof Proof, int WonMin, IReadOnlyList<WhatIf> Ways);

/// <summary>Result of the Plan station.</summary>
public sealed record PlanAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures) : IStationResult
{
    /// <summary>The steps it was made of, for the station that works through them.</summary>
    internal TaskNetwork Network { get; init; } = null!;

    public required IReadOnlyList<string> Kinds { get; init; }
    public IReadOnlyList<PlanStep> Steps { get; init; } = [];
    public IReadOnlyList<PlanEdge> Edges { get; init; } = [];
    public IReadOnlyList<PlanDay> Days { get; init; } = [];
    public IReadOnlyList<PlanBlock> Blocks { get; init; } = [];
    public IReadOnlyList<PersonRow> People { get; init; } = [];
    public IReadOnlyList<WaitRow> Waits { get; init; } = [];
    public IReadOnlyList<BuyRow> Buy { get; init; } = [];
    public IReadOnlyList<BoxRow> Box { get; init; } = [];
    public IReadOnlyList<ToolRow> Tools { get; init; } = [];
    public IReadOnlyList<ToolCostRow> ToolCosts { get; init; } = [];
    public IReadOnlyList<QuoteLine> Quote { get; init; } = [];

    /// <summary>Hands of all people on site, min.</summary>
    public double PersonMin { get; init; }

    /// <summary>Minute of the plan at which the last hands end; nothing where it cannot be planned.</summary>
    public int? Ends { get; init; }

    /// <summary>Chance that it is done within the hours of its last day.</summary>
    public double Chance { get; init; }

    public double ToolsKg { get; init; }

    /// <summary>The price with tax.</summary>
    public decimal Gross { get; init; }

    public string Currency { get; init; } = "";

    /// <summary>The price and what it is made of, for the station that holds it against what the work took.</summary>
    internal QuoteSum Sum { get; init; } = new(0, 0, 0, 0, 0, 0);

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}
