using System.Text.Json.Nodes;
using Vanto.Core.Crew;
using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Core.Install;
using Vanto.Core.Job;
using Vanto.Core.Stations;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Exchange;
using Vanto.Web.Handover;

namespace Vanto.Web.Rigs;

/// <summary>
/// Changes of rigs, one after another: a change is read, worked out and written as it will be answered before it is stored; what cannot be
/// answered is refused and not kept. Finds conflicts between tabs.
/// </summary>
public sealed class RigDesk(AssessmentCache cache, StationRegistry stations, RigTurns turns, RigLog log, LaptopSeal seal, TimeProvider clock)
{
    private const string EverythingChanged = "/";
    private static readonly TimeSpan YardPatience = TimeSpan.FromMilliseconds(60);

    /// <summary>The rig with its results, or null.</summary>
    /// <exception cref="RigUnreadableException">It is in the store but cannot be read.</exception>
    public async Task<RigView?> View(Guid id)
    {
        if (await log.Find(id) is not { } stored)
            return null;
        var (design, records) = await Read(stored);
        return new RigView(id, stored.Revision, stored.At, design, cache.Of(id, stored.Revision, design, records).Assessment, records);
    }

    /// <summary>
    /// All rigs for the yard. Those not yet worked out since the server started are assessed until a moment has passed; the rest are marked
    /// pending, and the next call goes on with them. One that cannot be read is listed as such and keeps no other from its place.
    /// </summary>
    public async Task<IReadOnlyList<YardRig>> Yard()
    {
        var rigs = new List<YardRig>();
        var counts = await log.RecordCounts();
        var began = clock.GetTimestamp();
        var all = await log.All();
        // Whole reading takes three times as long: it waits until a rig is worked out.
        var seen = new (JobGlance? Glance, string Fault)[all.Count];
        Parallel.For(0, seen.Length, i => seen[i] = Seen(all[i].Design));
        foreach (var (stored, (glance, fault)) in all.Zip(seen))
            rigs.Add(glance is null ? YardRig.Unreadable(stored, fault) : await InYard(stored, glance, counts.GetValueOrDefault(stored.Id), began));
        return rigs;
    }

    private async Task<YardRig> InYard(StoredRig stored, JobGlance glance, int records, long began)
    {
        var key = new AssessmentKey(stored.Id, stored.Revision, records);
        if (cache.Line(key) is { } known)
            return YardRig.Of(stored, glance, known);
        if (clock.GetElapsedTime(began) >= YardPatience)
            return YardRig.Of(stored, glance, null);
        var (design, fault) = Tried(stored.Design);
        if (design is null)
            return YardRig.Unreadable(stored, fault);
        try
        {
            var assessment = cache.Of(stored.Id, stored.Revision, design, await Records(stored.Id)).Assessment;
            return YardRig.Of(stored, glance, YardLine.Of(design, assessment));
        }
        catch (RigUnreadableException e)
        {
            return YardRig.Unreadable(stored, e.Message);
        }
    }

    private static (JobGlance? Glance, string Fault) Seen(string text)
    {
        if (JobFile.Glance(text) is { } glance)
            return (glance, "");
        var (design, fault) = Tried(text);
        return (design is null ? null : JobGlance.Of(design), fault);
    }

    private static (JobDesign? Design, string Fault) Tried(string text)
    {
        try
        {
            return (JobFile.Read(text), "");
        }
        catch (InputException e)
        {
            return (null, e.Errors[0].Reason);
        }
    }

    /// <summary>Begins a rig; nothing is kept of a design that cannot be answered.</summary>
    /// <param name="design">Its design.</param>
    /// <param name="label">What its history calls the step.</param>
    /// <param name="id">Its name in the store.</param>
    /// <param name="file">A file that the design names.</param>
    public async Task<RigView> Create(JobDesign design, string label, Guid? id = null, AttachmentRow? file = null)
    {
        var rig = id ?? Guid.CreateVersion7();
        var kept = cache.WorkOut(rig, design, []);
        var stored = await log.Create(new RevisionDraft(JobFile.Write(design), [], "", label, clock.GetUtcNow()), rig, file);
        cache.Keep(new AssessmentKey(rig, stored.Revision, 0), design, kept);
        return new RigView(rig, stored.Revision, stored.At, design, kept.Assessment, []);
    }

    /// <summary>Applies a patch; where another tab changed the same fields since, a conflict and nothing else.</summary>
    public Task<(WrittenChange? Done, ConflictView? Conflict)> Patch(Guid id, RigPatch patch) => turns.Take(id, async () =>
    {
        if (await log.Find(id) is not { } stored)
            return ((WrittenChange?)null, (ConflictView?)null);
        var (before, records) = await Read(stored);
        var root = JsonNode.Parse(stored.Design)!;
        var values = patch.Changes.Select((c, i) => Change(c, i, patch)).ToList();
        var merged = stored.Revision != patch.BaseRevision;
        if (merged && await Conflict(id, patch, values, root, stored, before) is { } conflict)
            return (null, conflict);
        foreach (var (path, value) in values)
            DesignPath.Set(root, path, value);
        var design = JobFile.Read(root.ToJsonString());
        var old = cache.Of(id, stored.Revision, before, records);
        var now = cache.WorkOut(id, design, records, old);
        var draft = new RevisionDraft(JobFile.Write(design), [.. values.Select(v => v.Path)], patch.Client, patch.Label ?? "", clock.GetUtcNow());
        var number = await log.Append(id, stored.Revision, draft);
        cache.Keep(new AssessmentKey(id, number, records.Count), design, now);
        var changed = stations.Names.Where(s => merged || !now.Says(s, old)).ToList();
        return (new WrittenChange(new RigChanged(number, draft.At, design, merged, changed, now.Assessment), now), null);
    });

    /// <summary>Changes the newest design as it is found, whoever changed it last: for files read in, which replace whole lists.</summary>
    /// <param name="id">The rig.</param>
    /// <param name="client">Who changes.</param>
    /// <param name="label">What its history calls the step.</param>
    /// <param name="path">What is changed, for other tabs.</param>
    /// <param name="change">Makes the new design of the newest one.</param>
    /// <param name="file">A file that the new design names.</param>
    public Task<RigView?> Change(Guid id, string client, string label, string path, Func<JobDesign, JobDesign> change, AttachmentRow? file = null) =>
        turns.Take(id, async () =>
    {
        if (await log.Find(id) is not { } stored)
            return null;
        var (before, records) = await Read(stored);
        var text = JobFile.Write(change(before));
        return await Next(id, stored, text, records, new RevisionDraft(text, [DesignPath.Field(path)], client, label, clock.GetUtcNow()), file);
    });

    /// <summary>Returns to an earlier revision by a new one.</summary>
    /// <exception cref="InputException">That revision is not in the history, or cannot be read.</exception>
    /// <exception cref="NotYoursException">It brings back other prices, and who asks may not change them.</exception>
    public Task<RigView?> Restore(Guid id, RestoreRequest request, CrewCaller caller) => turns.Take(id, async () =>
    {
        if (await log.Find(id) is not { } newest)
            return null;
        if (await log.Find(id, request.Revision) is not { } old)
            throw new InputException("revision", $"{request.Revision}", $"Revision {request.Revision} is not in this rig's history.");
        if (!caller.May(CrewRight.Prices) && PriceParts.Differ(JobFile.Read(old.Design), JobFile.Read(newest.Design)))
            caller.Must(CrewRight.Prices);
        return await Next(id, newest, old.Design, await Records(id),
            new RevisionDraft(old.Design, [EverythingChanged], request.Client, $"returned to revision {old.Revision}", clock.GetUtcNow()), null);
    });

    private async Task<RigView> Next(Guid id, StoredRig newest, string text, IReadOnlyList<StationRecord> records, RevisionDraft draft, AttachmentRow? file)
    {
        var design = JobFile.Read(text);
        var kept = cache.WorkOut(id, design, records);
        var number = await log.Append(id, newest.Revision, draft, file);
        cache.Keep(new AssessmentKey(id, number, records.Count), design, kept);
        return new RigView(id, number, draft.At, design, kept.Assessment, records);
    }

    /// <summary>Adds a record to the log; of a correction, values not typed again stay as the record it corrects has them.</summary>
    /// <exception cref="NotYoursException">It corrects what somebody else wrote down, and who asks may not.</exception>
    public Task<RigView?> Record(Guid id, NewRecord typed, CrewCaller caller) => turns.Take(id, async () =>
    {
        var by = caller.Signs(typed.By);
        if (by.Length is 0 or > LongestName)
            throw new InputException("by", typed.By, "Who writes this down? Write a name of 1 to 80 characters.");
        var kind = stations.KindNamed(typed.Kind)
            ?? throw new InputException("kind", typed.Kind,
                $"\"{typed.Kind}\" is no kind of record; there are {string.Join(", ", stations.RecordKinds.Select(k => k.Name))}.");
        if (kind.Issued)
            throw new InputException("kind", typed.Kind, $"\"{typed.Kind}\" is written when it is issued, not typed.");
        if (kind == InstallRecord.Kind)
            throw new InputException("kind", typed.Kind, "What is done on site is written down step by step, at install/events.");
        if (await log.Find(id) is not { } stored)
            return null;
        var (design, records) = await Read(stored);
        var corrected = typed.Corrects is { } corrects
            ? records.FirstOrDefault(r => r.Id == corrects && kind.Record.IsInstanceOfType(r))
                ?? throw new InputException("corrects", corrects.ToString(), "The record to correct is not in this rig's log.")
            : null;
        if (corrected is not null && !CrewPerson.Same(corrected.By, by))
            caller.Must(CrewRight.CorrectOthers);
        var head = new RecordHead(Guid.CreateVersion7(), clock.GetUtcNow(), by, typed.Corrects);
        var record = TypedRecord.Of(kind, head, typed, corrected);
        IReadOnlyList<StationRecord> all = [.. records, record];
        var kept = cache.WorkOut(id, design, all);
        await log.Add(TypedRecord.Row(stations, id, await log.NextOrder(id), record));
        cache.Keep(new AssessmentKey(id, stored.Revision, all.Count), design, kept);
        return new RigView(id, stored.Revision, stored.At, design, kept.Assessment, all);
    });

    /// <summary>Adds records that carry their own ids; those that the log has already are taken as sent once more.</summary>
    /// <param name="id">The rig.</param>
    /// <param name="sent">In their order.</param>
    /// <param name="refuses">Looks at what they would come to; a reason keeps them out.</param>
    public Task<RigView?> Record(Guid id, IReadOnlyList<StationRecord> sent, Func<JobAssessment, IReadOnlyList<string>>? refuses) => turns.Take(id, async () =>
    {
        if (await log.Find(id) is not { } stored)
            return null;
        var (design, records) = await Read(stored);
        var known = records.ToDictionary(r => r.Id);
        if (sent.FirstOrDefault(r => known.TryGetValue(r.Id, out var old) && (old.By, old.Corrects, old.Values) != (r.By, r.Corrects, r.Values)) is { } other)
            throw new InputException("id", other.Id.ToString(), "another record has this number already; both are left as they are");
        var fresh = sent.DistinctBy(r => r.Id).Where(r => !known.ContainsKey(r.Id)).ToList();
        await MustBeFree(id, fresh);
        var all = seal.Judged(id, [.. records, .. fresh]);
        var kept = cache.WorkOut(id, design, all);
        if (fresh.Count == 0 || refuses?.Invoke(kept.Assessment).Count > 0)
            return new RigView(id, stored.Revision, stored.At, design, kept.Assessment, records);
        var order = await log.NextOrder(id);
        await log.Add([.. fresh.Select((r, i) => TypedRecord.Row(stations, id, order + i, r))]);
        cache.Keep(new AssessmentKey(id, stored.Revision, all.Count), design, kept);
        return new RigView(id, stored.Revision, stored.At, design, kept.Assessment, all);
    });

    /// <exception cref="InputException">A record has the number of one of another rig.</exception>
    private async Task MustBeFree(Guid id, IEnumerable<StationRecord> fresh)
    {
        if (await log.Elsewhere(id, [.. fresh.Select(r => r.Id)]) is { } taken)
            throw new InputException("id", taken.ToString(), "A record has the number of one of another rig; nothing was kept.");
    }

    /// <summary>Puts a rig of another laptop together with the one here, or begins it: all of it, or nothing.</summary>
    /// <param name="id">The rig.</param>
    /// <param name="state">How the other design came to be.</param>
    /// <param name="theirs">The other design.</param>
    /// <param name="sent">The other log.</param>
    /// <param name="files">Photographs, papers and weather that came with it, read one after another.</param>
    public Task<MergedRig> Merge(Guid id, DesignState state, JobDesign theirs, IReadOnlyList<SentRecord> sent, IEnumerable<AttachmentRow> files) =>
        turns.Take(id, async () =>
        {
            MergedRig? merged = null;
            try
            {
                await log.AtOnce(async () =>
                {
                    var isNew = await log.Find(id) is null;
                    if (isNew)
                        await log.Create(new RevisionDraft(JobFile.Write(theirs), [], "", "read from another laptop", state.At), id);
                    foreach (var file in files)
                        await log.Keep(file);
                    merged = await Together(id, state, theirs, sent);
                    if (isNew)
                        merged = merged with { Words = Phrase.Of($"New here.") };
                });
            }
            catch
            {
                cache.Forget(id); // what was worked out is of revisions that were not kept
                throw;
            }
            return merged!;
        });

    private async Task<MergedRig> Together(Guid id, DesignState state, JobDesign theirs, IReadOnlyList<SentRecord> sent)
    {
        var stored = (await log.Find(id))!;
        var (design, records) = await Read(stored);
        var stamps = await log.Stamps(id);
        var merged = LogMerge.Of([.. records.Select(r => TypedRecord.Entry(stations.KindOf(r), r, stamps.GetValueOrDefault(r.Id)))],
            [.. sent.Select(s => TypedRecord.Entry(stations.KindOf(s.Record), s.Record, s.Stamp))]);
        var fresh = merged.Fresh.Select(f => f.Id).ToHashSet();
        var byId = records.Concat(sent.Select(s => s.Record).Where(r => fresh.Contains(r.Id))).DistinctBy(r => r.Id).ToDictionary(r => r.Id);
        await log.Merge(id, [.. merged.Fresh.Select(f => TypedRecord.Row(stations, id, 0, byId[f.Id], f.Stamp))], [.. merged.Entries.Select(e => e.Id)]);
        var all = seal.Judged(id, [.. merged.Entries.Select(e => byId[e.Id])]);
        var (kept, words) = await MergeDesign(id, stored, design, state, theirs);
        cache.Forget(id);
        var worked = cache.WorkOut(id, kept.Design, all);
        cache.Keep(new AssessmentKey(id, kept.Revision, all.Count), kept.Design, worked);
        return new MergedRig(new RigView(id, kept.Revision, kept.At, kept.Design, worked.Assessment, all), words, merged.Fresh.Count,
            [.. merged.Altered.Select(ExchangeDesk.Said)], LogMerge.Missing(merged.Entries.Select(e => e.Stamp).OfType<EventStamp>()));
    }

    private async Task<((JobDesign Design, int Revision, DateTimeOffset At) Kept, Phrase Words)> MergeDesign(Guid id, StoredRig stored, JobDesign design,
        DesignState state, JobDesign theirs)
    {
        var lineage = new HashSet<string>();
        await foreach (var text in log.Texts(id))
            lineage.Add(BundleFiles.Hash(text));
        var own = new DesignState(BundleFiles.Hash(stored.Design), stored.At, lineage);
        var stands = DesignMerge.Of(own, state);
        async Task<int> Append(int after, JobDesign next, string label, DateTimeOffset at) =>
            await log.Append(id, after, new RevisionDraft(JobFile.Write(next), [EverythingChanged], "", label, at));
        if (stands is DesignStands.Same or DesignStands.OursIsNewer)
            return ((design, stored.Revision, stored.At), DesignMerge.Words(stands, false, true));
        if (stands == DesignStands.TheirsIsNewer)
            return ((theirs, await Append(stored.Revision, theirs, "taken from another laptop", state.At), state.At), DesignMerge.Words(stands, true, true));
        var wins = DesignMerge.TheirsWins(own, state);
        var (together, room) = wins ? DesignMerge.Together(theirs, design, own.At) : DesignMerge.Together(design, theirs, state.At);
        var at = own.At > state.At ? own.At : state.At;
        var came = await Append(stored.Revision, theirs, wins ? "of another laptop, newer" : "of another laptop, put aside", state.At);
        return ((together, await Append(came, together, "put together", at), at), DesignMerge.Words(stands, wins, room));
    }

    /// <summary>Removes a rig with all it has.</summary>
    public async Task Remove(Guid id)
    {
        await log.Remove(id);
        cache.Forget(id);
    }

    /// <summary>Longest name of a rig or a person.</summary>
    public const int LongestName = 80;

    private async Task<(JobDesign Design, IReadOnlyList<StationRecord> Records)> Read(StoredRig stored)
    {
        var (design, fault) = Tried(stored.Design);
        return (design ?? throw new RigUnreadableException(fault), await Records(stored.Id));
    }

    private async Task<IReadOnlyList<StationRecord>> Records(Guid id) => seal.Judged(id, [.. (await log.Records(id)).Select(r => TypedRecord.Of(stations, r))]);

    private static (string Path, JsonNode? Value) Change(FieldChange? change, int index, RigPatch patch)
    {
        if (change is null)
            throw new InputException($"changes[{index}]", "nothing", $"changes[{index}] is missing");
        var path = DesignPath.Field(change.Path);
        var field = TypedFields.Find(JobFile.Fields, path);
        if (change.Text is { } text)
            return (path, field is null
                ? throw new InputException(path, text, $"\"{path}\" is no field that can be typed into")
                : TypedFields.Parse(field, path, text, patch.Units, patch.DecimalComma));
        if (field?.Quantity is not null && change.Value is JsonValue value && value.TryGetValue(out double number))
            TypedFields.Check(field, path, number);
        return (path, change.Value);
    }

    /// <summary>
    /// Fields of a patch that another tab gave another value since; a base that is not yet written comes from before a restore, so all may have
    /// changed.
    /// </summary>
    private async Task<ConflictView?> Conflict(Guid id, RigPatch patch, List<(string Path, JsonNode? Value)> values, JsonNode root, StoredRig stored,
        JobDesign design)
    {
        var others = patch.BaseRevision > stored.Revision ? [EverythingChanged] : await log.PathsSince(id, patch.BaseRevision, patch.Client);
        var fields = values.Where(v => others.Any(o => o == EverythingChanged || DesignPath.Overlap(v.Path, o)))
            .Where(v => !JsonNode.DeepEquals(v.Value, DesignPath.Get(root, v.Path)))
            .Select(
                v => new ConflictField(v.Path, TypedFields.Find(JobFile.Fields, v.Path)?.Label ?? v.Path, v.Value, DesignPath.Get(root, v.Path)?.DeepClone()))
            .ToList();
        return fields.Count == 0 ? null : new ConflictView(stored.Revision, fields, design);
    }
}

/// <summary>A rig put together with that of another laptop.</summary>
/// <param name="Words">What became of its design.</param>
/// <param name="Fresh">Records that were not here.</param>
/// <param name="Altered">Records that were kept out.</param>
/// <param name="Unmet">Records of laptops that were not brought.</param>
public sealed record MergedRig(RigView View, Phrase Words, int Fresh, IReadOnlyList<string> Altered, IReadOnlyList<MissingEvents> Unmet);

/// <summary>A rig is in the store but cannot be read: damaged, or of a shape that this Vanto does not know.</summary>
public sealed class RigUnreadableException(string reason) : Exception(reason);
