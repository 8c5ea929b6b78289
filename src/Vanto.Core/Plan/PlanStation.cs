using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Plan;

/// <summary>What is done when and by whom, what is bought, which tools go along, what it costs.</summary>
public sealed class PlanStation : Station<PlanAssessment>
{
    /// <summary>Stands on every leaf and every paper of the plan.</summary>
    public static readonly IReadOnlyList<string> Cautions =
    [
        "The plan is an estimate. The maker's manual, local law and the inspector come first.",
        "Electrical and refrigerant work is for who may do it by law.",
        "Dead and proved before any wire is touched; nitrogen only through a regulator.",
        "Heavy and high is lifted by two. Ladder footed, roof boards laid, water against the heat.",
        "A generator's exhaust stays away from doors, windows and people.",
    ];

    /// <inheritdoc />
    public override string Name => "plan";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Build;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("days", "days", "Done by when, by whom, and what runs meanwhile?"),
        new("buy", "to buy", "What is in the box, what is to buy, what is of no use?"),
        new("tools", "tools", "What goes into the van?"),
        new("quote", "quote", "What does it cost?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
    [
        typeof(UnitAssessment), typeof(LayoutAssessment), typeof(MountAssessment), typeof(WiringAssessment), typeof(SurveyDesign), typeof(UnitDesign),
        typeof(LayoutDesign), typeof(MountDesign), typeof(WiringDesign), typeof(PlanDesign),
    ];

    /// <summary>The setting of a job.</summary>
    public static PlanSetting Setting(StationInputs job) => new()
    {
        Design = job.Design<PlanDesign>(),
        Survey = job.Design<SurveyDesign>(),
        UnitDesign = job.Design<UnitDesign>(),
        Layout = job.Design<LayoutDesign>(),
        Mount = job.Design<MountDesign>(),
        Wiring = job.Design<WiringDesign>(),
        Placed = job.Result<LayoutAssessment>(),
        Mounted = job.Result<MountAssessment>(),
        Wired = job.Result<WiringAssessment>(),
        Unit = job.Result<UnitAssessment>().Unit,
        Sheet = UnitSheets.Known(job.Design<UnitDesign>(), job.Result<UnitAssessment>().Unit),
    };

    /// <summary>The setting of an assessed job; null where a station before has no result.</summary>
    public static PlanSetting? Setting(JobDesign design, JobAssessment assessed)
    {
        var job = new StationInputs(design.Parts(), []);
        foreach (var station in StationRegistry.Standard.Before(StationRegistry.Standard.All.OfType<PlanStation>().Single()))
            if (assessed.Results.TryGetValue(station.Name, out var result))
                job = job.With(station, result);
            else
                return null;
        return Setting(job);
    }

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var s = Setting(job);
        var net = TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard);
        var problem = s.Problem(net);
        var hopeless = problem.Hopeless();
        return new PlanMaker(s, net, problem).Made(hopeless is null ? SerialSchedule.Of(problem) : null, hopeless, null);
    }

    /// <inheritdoc />
    public override IEnumerable<LedgerEntry> Ledger(StationInputs job)
    {
        var own = job.Result<PlanAssessment>();
        if (own.Ends is not { } ends)
            yield break;
        var day = ends / WorkCalendar.Day + 1;
        yield return new LedgerEntry
        {
            Id = "hours",
            Station = Name,
            Value = new Measure(Math.Round(own.PersonMin / 60, 1), QuantityKind.Hours),
            Note = Phrase.Of($"in {Calls.Many(day, "day")}"),
            Limit = Phrase.Of($"in time with {own.Chance:Fraction}"),
            Share = null,
            Mark = null,
            MoreIsBetter = false,
            State = own.Verdict.State,
            Sum = true,
        };
    }
}
