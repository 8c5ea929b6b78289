using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Load;
using Vanto.Core.Mount;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Install;

/// <summary>The work on site: the next step, its gate, what to do while something runs, what was written down.</summary>
public sealed class InstallStation : Station<InstallAssessment>
{
    /// <inheritdoc />
    public override string Name => "install";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Build;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("step", "step", "What is next, and what must hold before it goes on?"),
        new("all", "all steps", "What is done, what runs, what is left?"),
        new("log", "log", "What was written down?"),
        new("took", "what it took", "What did it take, against what was quoted?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
    [
        typeof(LoadAssessment), typeof(UnitAssessment), typeof(StartAssessment), typeof(EnergyAssessment), typeof(LayoutAssessment), typeof(MountAssessment),
        typeof(WiringAssessment), typeof(PlanAssessment), typeof(SurveyDesign), typeof(UnitDesign), typeof(LayoutDesign), typeof(MountDesign),
        typeof(WiringDesign), typeof(PlanDesign), typeof(InstallRecord),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<RecordKind> Keeps => [InstallRecord.Kind];

    /// <summary>Steps that let refrigerant or current go.</summary>
    private static readonly HashSet<string> LetsGo = ["valves-open", "qc-join", "old-recover", "energise", "batt-first-close"];

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var plan = job.Result<PlanAssessment>();
        var s = PlanStation.Setting(job);
        var net = plan.Network;
        var facts = new GateFacts(net.Tags, Stops(job), SiteFacts.Limits(s));
        var byId = net.Steps.ToDictionary(x => x.Id);
        var records = job.Records<InstallRecord>();
        var log = EventFold.Fold(records, (step, start) => byId.TryGetValue(step.Id, out var x) ? GateEvaluator.Open(x.Task, step, start, facts) : []);
        var steps = Steps(s, net, plan, log, facts);
        var current = steps.FirstOrDefault(x => x.State is SiteState.Running) ?? steps.FirstOrDefault(x => x.State == SiteState.Paused)
            ?? steps.FirstOrDefault(x => x.Ready) ?? steps.FirstOrDefault(x => x.State == SiteState.Waiting);
        var ready = steps.Where(x => x.Ready && x.Id != current?.Id).ToList();
        var done = steps.Count(x => x.State is SiteState.Done or SiteState.Skipped);
        var took = WhatItTook.Of(plan, s.Design, steps, log.Entries);
        var findings = Finding.Ranked(InstallFindings.Of(steps, log, byId, s.Design, records, took));
        return new InstallAssessment(Say(steps, current, done, findings), findings)
        {
            Steps = steps,
            Current = current?.Id ?? "",
            Next = [.. ready.Take(2).Select(x => x.Id)],
            Waits = [.. steps.Where(x => x.State == SiteState.Waiting && x.HandsOffMs is not null)
                .Select(x => new SiteWait(x.Id, x.Name, x.Wait, x.HandsOffMs!.Value, x.WaitMin))],
            InTheWait = UseTheWait.Table([.. steps.Where(x => x.Ready).Select(x => new UseTheWait.Candidate(x.Id, x.LikelyMin, x.Pausable))]),
            Entries = log.Entries,
            Remarks = log.Remarks,
            Done = done,
            Took = took,
            Outside = [.. log.Steps.Keys.Where(id => !byId.ContainsKey(id)).Order(StringComparer.Ordinal)],
            Held = records.GroupBy(r => r.Event.Device).ToDictionary(g => g.Key, g =>
            {
                var there = g.Select(r => (long)r.Event.Seq).ToHashSet();
                var held = 0L;
                while (there.Contains(held + 1))
                    held++;
                return held;
            }),
            Answers = new Dictionary<string, Phrase>
            {
                ["all"] = Phrase.Of($"{done:Count} of {steps.Count:Count} steps are done; {Readable.Span(steps.Where(x => x.State != SiteState.Done
                    && x.State != SiteState.Skipped).Sum(x => x.LikelyMin))} of hands are left."),
                ["log"] = Phrase.Of($"{Calls.Many(records.Count, "event")}, {Calls.Many(log.Entries.Count, "note")}."),
                ["took"] = took.Say(plan.Currency),
            },
        };
    }

    /// <summary>Stations that a gate looks at and that have an open stop.</summary>
    private static HashSet<string> Stops(StationInputs job) =>
    [
        .. new IStationResult[]
        {
            job.Result<LoadAssessment>(), job.Result<StartAssessment>(), job.Result<EnergyAssessment>(), job.Result<LayoutAssessment>(),
            job.Result<MountAssessment>(), job.Result<WiringAssessment>(),
        }.SelectMany(r => r.Findings).Where(f => f.Level == Severity.Stop).Select(f => f.Station),
    ];

    private static Verdict Say(IReadOnlyList<SiteStep> steps, SiteStep? current, int done, IReadOnlyList<Finding> findings)
    {
        var state = findings.Count > 0 && Verdict.Worst(findings) is StationState.Stop or StationState.Caution ? Verdict.Worst(findings)
            : done == steps.Count ? StationState.Passed : StationState.Open;
        return new Verdict(state, current is null ? Phrase.Of($"All steps are done.")
            : current.State switch
            {
                SiteState.Running => Phrase.Of($"{current.Name} runs."),
                SiteState.Paused => Phrase.Of($"{current.Name} is paused: {current.Why}."),
                SiteState.Waiting => Phrase.Of($"{current.Name}: {current.Wait} runs by itself."),
                _ => Phrase.Of($"Next: {current.Name}."),
            }, Phrase.Of($"{done:Count} of {steps.Count:Count} steps are done."));
    }

    private static List<SiteStep> Steps(PlanSetting s, TaskNetwork net, PlanAssessment plan, FoldedLog log, GateFacts facts)
    {
        var library = TaskLibrary.Standard;
        var starts = plan.Steps.ToDictionary(x => x.Id, x => x.Start ?? -1);
        var folded = net.Steps.ToDictionary(x => x.Id, x => log.Steps.GetValueOrDefault(x.Id) ?? new FoldedStep(x.Id));
        var blocked = Blocked(net, folded);
        bool Over(string id) => folded[id].State is SiteState.Done or SiteState.Skipped;
        var names = net.Steps.ToDictionary(x => x.Id, x => x.Name);
        return [.. net.Steps.OrderBy(x => starts.GetValueOrDefault(x.Id, -1)).Select(x =>
        {
            var f = folded[x.Id];
            var missing = x.After.Where(e => !Over(e.Step) && !(!e.AfterWait && folded[e.Step].State == SiteState.Waiting)).Select(e => names[e.Step]).ToList();
            var open = f.State is SiteState.Open or SiteState.Reopened;
            return new SiteStep(x.Id, x.Name, StageWords.Of(x.Task.Stage), x.Task.Description, f.State,
                open && missing.Count == 0 && !blocked.Contains(x.Id), missing,
                GateEvaluator.Rows(x.Task, f, facts), f.Contested)
            {
                Skill = x.Task.Skill == "anyone" ? "" : x.Task.Skill,
                Crew = x.Task.Crew,
                LikelyMin = Math.Round(x.Hands.Likely),
                WaitMin = x.Wait.Likely,
                Wait = x.Task.Wait?.Kind.Replace('-', ' ') ?? "",
                Pausable = x.Task.Pause == "break",
                HeldToBegin = LetsGo.Contains(x.Task.Id),
                FirstStartMs = f.FirstStartMs,
                RunningSinceMs = f.RunningSinceMs,
                HandsOffMs = f.State == SiteState.Waiting ? f.HandsOffMs : null,
                DoneMs = f.DoneMs,
                HandsMs = f.HandsMs,
                Why = f.Why,
                By = f.By,
                Tools = [.. x.Task.Tools.Where(t => library.Holds(t.When, net.Tags)).Select(t => library.Tools.First(l => l.Id == t.Id).Name)],
                Parts = [.. library.Materials.Where(m => library.Holds(m.When,
                    net.Tags) && (m.NeededByTask == x.Task.Id || m.OrTasks?.Contains(x.Task.Id) == true))
                    .Select(m => m.Name)],
                Mistakes = x.Task.Mistakes,
                LeaveSafe = SiteFacts.LeaveSafe(x.Task.Stage),
                Normal = SiteFacts.Normal(x.Task.Id),
                Reason = SiteFacts.Reason(x.Task.Id),
                Facts = SiteFacts.Of(x.Task.Id, s),
                Overrides = f.Overrides,
                PhotoSlot = x.Task.PhotoSlot ?? "",
                Photos = [.. f.Photos.Values.SelectMany(p => p).Where(p => p.Length > 0)],
            };
        })];
    }

    /// <summary>Every unfinished step behind a contested one.</summary>
    private static HashSet<string> Blocked(TaskNetwork net, Dictionary<string, FoldedStep> folded)
    {
        var blocked = folded.Values.Where(f => f.Contested.Count > 0).Select(f => f.Id).ToHashSet();
        foreach (var x in net.Steps)
            if (x.After.Any(e => blocked.Contains(e.Step)))
                blocked.Add(x.Id);
        return blocked;
    }
}
