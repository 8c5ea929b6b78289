using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Storage;
using Vanto.Web.Rigs;

namespace Vanto.Web;

/// <summary>
/// Changes of rigs: applies patches in turn, finds conflicts, stores revisions, keeps the newest assessments in memory.
/// </summary>
public sealed class RigDesk(AssessmentCache cache, RigLog log, TimeProvider clock)
{
    private static readonly ConcurrentDictionary<Guid, SemaphoreSlim> Turns = new();
    private static readonly TimeSpan YardPatience = TimeSpan.FromMilliseconds(60);

    /// <summary>The rig with its results, or null.</summary>
    public async Task<RigView?> View(Guid id)
    {
        if (await log.Find(id) is not { } stored)
            return null;
        var records = await Records(id);
        var design = JobFile.Read(stored.Design);
        return new RigView(id, stored.Revision, stored.At, design, cache.Assess(id, stored.Revision, design, records), records);
    }

    /// <summary>
    /// All rigs for the yard. Those not yet worked out since the server started are assessed until a moment has passed;
    /// the rest are marked pending, and the next call goes on with them.
    /// </summary>
    public async Task<IReadOnlyList<YardRig>> Yard()
    {
        var rigs = new List<YardRig>();
        var counts = await log.RecordCounts();
        var began = clock.GetTimestamp();
        var all = await log.All();
        var designs = new JobDesign[all.Count];
        Parallel.For(0, designs.Length, i => designs[i] = JobFile.Read(all[i].Design));
        foreach (var (stored, design) in all.Zip(designs))
        {
            var assessment = cache.Known(stored.Id, stored.Revision, counts.GetValueOrDefault(stored.Id))
                ?? (clock.GetElapsedTime(began) < YardPatience ? cache.Assess(stored.Id, stored.Revision, design, await Records(stored.Id)) : null);
            rigs.Add(InYard(stored, design, assessment));
        }
        return rigs;
    }

    private static YardRig InYard(StoredRig stored, JobDesign design, JobAssessment? assessment)
    {
        var stage = assessment is null ? "" : Assessor.Stations.LastOrDefault(s => assessment.States[s] is StationState.Passed or StationState.Caution) ?? "survey";
        var split = assessment?.Unit?.Unit.Kind is Core.Unit.AcKind.MiniSplitInverter or Core.Unit.AcKind.DcNativeSplit or Core.Unit.AcKind.PvAssistedSplit or Core.Unit.AcKind.RailingPortable;
        return new YardRig(stored.Id, design.Name, stored.Revision, stored.At, design.NextDate, stage, design.Survey, split, assessment?.States ?? new Dictionary<string, StationState>(), assessment?.Worst, assessment is null);
    }

    /// <summary>Begins a rig.</summary>
    public async Task<StoredRig> Create(JobDesign design, string label) =>
        await log.Create(new RevisionDraft(JobFile.Write(design), [], "", label, clock.GetUtcNow()));

    /// <summary>Applies a patch; where another tab changed the same fields since, a conflict and nothing else.</summary>
    public async Task<(WrittenChange? Done, ConflictView? Conflict)> Patch(Guid id, RigPatch patch)
    {
        var turn = Turns.GetOrAdd(id, _ => new SemaphoreSlim(1));
        await turn.WaitAsync();
        try
        {
            if (await log.Find(id) is not { } stored)
                return (null, null);
            var root = JsonNode.Parse(stored.Design)!;
            var values = patch.Changes.Select(c => (c.Path, Value: Value(c, patch))).ToList();
            var merged = stored.Revision != patch.BaseRevision;
            if (merged && await Conflict(id, patch, values, root, stored) is { } conflict)
                return (null, conflict);
            foreach (var (path, value) in values)
                JsonPath.Set(root, path, value);
            var design = JobFile.Read(root.ToJsonString());
            var before = JobFile.Read(stored.Design);
            var draft = new RevisionDraft(JobFile.Write(design), [.. values.Select(v => v.Path)], patch.Client, patch.Label ?? "", clock.GetUtcNow());
            var number = await log.Append(id, stored.Revision, draft);
            return (Changed(id, number, draft.At, before, stored.Revision, design, await Records(id), merged), null);
        }
        finally
        {
            turn.Release();
        }
    }

    /// <summary>Returns to an earlier revision by a new one.</summary>
    public async Task<RigView?> Restore(Guid id, RestoreRequest request)
    {
        var turn = Turns.GetOrAdd(id, _ => new SemaphoreSlim(1));
        await turn.WaitAsync();
        try
        {
            if (await log.Find(id) is not { } newest || await log.Find(id, request.Revision) is not { } old)
                return null;
            await log.Append(id, newest.Revision, new RevisionDraft(old.Design, ["/"], request.Client, $"returned to revision {old.Revision}", clock.GetUtcNow()));
        }
        finally
        {
            turn.Release();
        }
        return await View(id);
    }

    /// <summary>Adds readings to the log.</summary>
    public async Task<RigView?> Record(Guid id, NewRecord typed)
    {
        if (typed.By.Trim().Length == 0)
            throw new InputException("by", "", "Who took the readings? Write a name.");
        var turn = Turns.GetOrAdd(id, _ => new SemaphoreSlim(1));
        await turn.WaitAsync();
        try
        {
            if (await log.Find(id) is null)
                return null;
            var records = await Records(id);
            if (typed.Corrects is { } corrects && records.All(r => r.Id != corrects))
                throw new InputException("corrects", corrects.ToString(), "The record to correct is not in this rig's log.");
            var readings = Readings(typed);
            await log.Add(new RecordRow
            {
                Id = Guid.CreateVersion7(),
                RigId = id,
                Order = await log.NextOrder(id),
                At = clock.GetUtcNow(),
                By = typed.By.Trim(),
                Kind = "start-up",
                Body = JsonSerializer.Serialize(readings, JobFile.Json),
                Corrects = typed.Corrects,
            });
        }
        finally
        {
            turn.Release();
        }
        return await View(id);
    }

    private static StartUpReadings Readings(NewRecord typed)
    {
        var node = new JsonObject();
        var errors = new List<InputError>();
        foreach (var (name, text) in typed.Readings.Where(r => r.Value.Trim().Length > 0))
        {
            var field = RecordFields.FirstOrDefault(f => f.Path == "/" + name) ?? throw new InputException(name, text, $"\"{name}\" is no reading of a start-up");
            try
            {
                node[name] = TypedFields.Parse(field, name, text, typed.Units, typed.DecimalComma);
            }
            catch (InputException e)
            {
                errors.AddRange(e.Errors);
            }
        }
        if (errors.Count > 0)
            throw new InputException(errors);
        return node.Count == 0 ? throw new InputException("readings", "", "Write down at least one reading.") : node.Deserialize<StartUpReadings>(JobFile.Json)!;
    }

    /// <summary>Fields of a start-up record.</summary>
    public static IReadOnlyList<FieldInfo> RecordFields { get; } = FieldCatalogue.Of(typeof(StartUpReadings), new StartUpReadings(), JobFile.Json);

    private async Task<IReadOnlyList<CommissionRecord>> Records(Guid id) =>
        [.. (await log.Records(id)).Select(r => new CommissionRecord(r.Id, r.At, r.By, JsonSerializer.Deserialize<StartUpReadings>(r.Body, JobFile.Json)!, r.Corrects))];

    private static JsonNode? Value(FieldChange change, RigPatch patch)
    {
        var field = TypedFields.Find(JobFile.Fields, change.Path);
        if (change.Text is { } text)
        {
            if (field is null)
                throw new InputException(change.Path, text, $"\"{change.Path}\" is no field");
            return TypedFields.Parse(field, change.Path, text, patch.Units, patch.DecimalComma);
        }
        if (field?.Quantity is not null && change.Value is JsonValue value && value.TryGetValue(out double number))
            TypedFields.Check(field, change.Path, number, patch.Units);
        return change.Value;
    }

    private async Task<ConflictView?> Conflict(Guid id, RigPatch patch, List<(string Path, JsonNode? Value)> values, JsonNode root, StoredRig stored)
    {
        var others = await log.PathsSince(id, patch.BaseRevision);
        var fields = values.Where(v => others.Any(o => o == "/" || JsonPath.Overlap(v.Path, o)))
            .Where(v => !JsonNode.DeepEquals(v.Value, JsonPath.Get(root, v.Path)))
            .Select(v => new ConflictField(v.Path, TypedFields.Find(JobFile.Fields, v.Path)?.Label ?? v.Path, v.Value, JsonPath.Get(root, v.Path)?.DeepClone()))
            .ToList();
        return fields.Count == 0 ? null : new ConflictView(stored.Revision, fields, JobFile.Read(stored.Design));
    }

    private WrittenChange Changed(Guid id, int number, DateTimeOffset at, JobDesign before, int beforeNumber, JobDesign design, IReadOnlyList<CommissionRecord> records, bool merged)
    {
        var old = cache.Of(id, beforeNumber, before, records);
        var now = cache.Of(id, number, design, records);
        var changed = Assessor.Stations.Where(s => merged || !old.Station(s).SequenceEqual(now.Station(s))).ToList();
        return new WrittenChange(new RigChanged(number, at, design, merged, changed, now.Assessment), now);
    }
}

/// <summary>An assessment with each station's part as it is written, for telling what changed.</summary>
public sealed class KeptAssessment(int revision, int records, JobAssessment assessment)
{
    private readonly ConcurrentDictionary<string, byte[]> _written = new();

    public int Revision { get; } = revision;
    public int Records { get; } = records;
    public JobAssessment Assessment { get; } = assessment;

    /// <summary>The part of one station as JSON.</summary>
    public byte[] Station(string name) => _written.GetOrAdd(name, n => n switch
    {
        "survey" => Written(Assessment.Survey),
        "load" => Written(Assessment.Load),
        "unit" => Written(Assessment.Unit),
        "start" => Written(Assessment.Start),
        "energy" => Written(Assessment.Energy),
        "commission" => Written(Assessment.Commission),
        _ => Written(Assessment.Handover),
    });

    private static byte[] Written<T>(T part) => JsonSerializer.SerializeToUtf8Bytes(part, JobFile.Json);
}

/// <summary>The newest assessments, by rig and revision.</summary>
public sealed class AssessmentCache
{
    private const int Kept = 3;
    private readonly ConcurrentDictionary<Guid, KeptAssessment[]> _kept = new();

    /// <summary>The assessment of a revision with that many records where it is in memory, else null.</summary>
    public JobAssessment? Known(Guid id, int revision, int records) => Find(id, revision, records)?.Assessment;

    /// <summary>The assessment of a revision, from memory or worked out.</summary>
    public JobAssessment Assess(Guid id, int revision, JobDesign design, IReadOnlyList<CommissionRecord> records) => Of(id, revision, design, records).Assessment;

    /// <summary>The same with its stations as written.</summary>
    public KeptAssessment Of(Guid id, int revision, JobDesign design, IReadOnlyList<CommissionRecord> records)
    {
        if (Find(id, revision, records.Count) is { } known)
            return known;
        var kept = new KeptAssessment(revision, records.Count, Assessor.Assess(design, records));
        _kept[id] = [kept, .. (_kept.GetValueOrDefault(id) ?? []).Take(Kept - 1)];
        return kept;
    }

    private KeptAssessment? Find(Guid id, int revision, int records) =>
        (_kept.GetValueOrDefault(id) ?? []).FirstOrDefault(e => e.Revision == revision && e.Records == records);
}
