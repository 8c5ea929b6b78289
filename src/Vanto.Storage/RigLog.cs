using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Vanto.Core.Exchange;

namespace Vanto.Storage;

/// <summary>A rig as stored: its newest revision.</summary>
public sealed record StoredRig(Guid Id, int Revision, DateTimeOffset At, string Design);

/// <summary>A line of a rig's history.</summary>
public sealed record HistoryLine(int Number, DateTimeOffset At, string Label, IReadOnlyList<string> Paths);

/// <summary>What a change is made of.</summary>
public sealed record RevisionDraft(string Design, IReadOnlyList<string> Paths, string Client, string Label, DateTimeOffset At);

/// <summary>Reads and appends revisions and records. Designs are whole JSON texts here; their meaning is the core's.</summary>
/// <param name="store">The store.</param>
/// <param name="laptop">What new records are stamped by; without it they carry no stamp.</param>
public sealed class RigLog(VantoStore store, LaptopClock? laptop = null)
{
    /// <summary>Edits of a rig that its history keeps at least.</summary>
    public const int KeptRevisions = 1000;

    private const int PruneEvery = 50;
    private static readonly TimeSpan Burst = TimeSpan.FromSeconds(4);

    /// <summary>All rigs, in the order of the yard.</summary>
    public async Task<IReadOnlyList<StoredRig>> All()
    {
        var newest = store.Revisions.GroupBy(r => r.RigId).Select(g => new { RigId = g.Key, Number = g.Max(r => r.Number) });
        var rows = await store.Revisions.Join(newest, r => new { r.RigId, r.Number }, n => new { n.RigId, n.Number }, (r, _) => r)
            .Join(store.Rigs, r => r.RigId, rig => rig.Id, (r, rig) => new { Revision = r, rig.Position }).OrderBy(x => x.Position).AsNoTracking()
                .ToListAsync();
        return [.. rows.Select(x => Stored(x.Revision))];
    }

    /// <summary>The newest revision of a rig, or null.</summary>
    public async Task<StoredRig?> Find(Guid id)
    {
        var row = await store.Revisions.AsNoTracking().Where(r => r.RigId == id).OrderByDescending(r => r.Number).FirstOrDefaultAsync();
        return row is null ? null : Stored(row);
    }

    /// <summary>A certain revision, or null where a burst of edits has swallowed it.</summary>
    public async Task<StoredRig?> Find(Guid id, int number)
    {
        var row = await store.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.RigId == id && r.Number == number);
        return row is null ? null : Stored(row);
    }

    /// <summary>A new rig with its first revision.</summary>
    /// <param name="draft">Its first revision.</param>
    /// <param name="id">Its name in the store.</param>
    /// <param name="file">A file that the design names, kept in the same moment; or none.</param>
    public async Task<StoredRig> Create(RevisionDraft draft, Guid? id = null, AttachmentRow? file = null)
    {
        var rig = new RigRow { Id = id ?? Guid.CreateVersion7(), CreatedAt = draft.At, Position = await store.Rigs.MaxAsync(r => (int?)r.Position) + 1 ?? 0 };
        store.Rigs.Add(rig);
        store.Revisions.Add(Row(rig.Id, 1, draft));
        if (file is not null)
            store.Attachments.Add(file);
        await store.SaveChangesAsync();
        return new StoredRig(rig.Id, 1, draft.At, draft.Design);
    }

    /// <summary>
    /// Appends a revision. Keystrokes of one tab into the same field within a few seconds become one line of the history.
    /// </summary>
    /// <param name="id">The rig.</param>
    /// <param name="after">Its newest revision.</param>
    /// <param name="draft">What is appended.</param>
    /// <param name="file">A file that the change names, kept in the same moment; or none.</param>
    public async Task<int> Append(Guid id, int after, RevisionDraft draft, AttachmentRow? file = null)
    {
        if (file is not null)
            store.Attachments.Add(file);
        var last = await store.Revisions.FirstAsync(r => r.RigId == id && r.Number == after);
        var number = after + 1;
        if (draft.Label.Length == 0 && last.Label.Length == 0 && after > 1 && last.Client == draft.Client && last.Paths == Lines(draft.Paths)
            && InBurst(last.At, draft.At))
            store.Revisions.Remove(last);
        store.Revisions.Add(Row(id, number, draft));
        await store.SaveChangesAsync();
        if (number % PruneEvery == 0)
            await Prune(id, number);
        return number;
    }

    /// <summary>Within a burst; a clock set back begins a new one, or it would swallow lines however old.</summary>
    private static bool InBurst(DateTimeOffset last, DateTimeOffset now) => now >= last && now - last < Burst;

    /// <summary>Paths changed after a revision by others than a tab: an edit of its own whose answer was lost stands in nobody's way.</summary>
    public async Task<IReadOnlyList<string>> PathsSince(Guid id, int number, string client)
    {
        var lines = await store.Revisions.AsNoTracking().Where(r => r.RigId == id && r.Number > number && (r.Client != client || client == ""))
            .Select(r => r.Paths).ToListAsync();
        return [.. lines.SelectMany(l => l.Split('\n', StringSplitOptions.RemoveEmptyEntries)).Distinct()];
    }

    /// <summary>The history, newest first.</summary>
    public async Task<IReadOnlyList<HistoryLine>> History(Guid id)
    {
        var rows = await store.Revisions.AsNoTracking().Where(r => r.RigId == id).OrderByDescending(r => r.Number).Take(200)
            .Select(r => new { r.Number, r.At, r.Label, r.Paths }).ToListAsync();
        return [.. rows.Select(r => new HistoryLine(r.Number, r.At, r.Label, r.Paths.Split('\n', StringSplitOptions.RemoveEmptyEntries)))];
    }

    /// <summary>Records of a rig in the order they were written.</summary>
    public async Task<IReadOnlyList<RecordRow>> Records(Guid id) =>
        await store.Records.AsNoTracking().Where(r => r.RigId == id).OrderBy(r => r.Order).ToListAsync();

    /// <summary>The newest revisions of these rigs.</summary>
    public async Task<IReadOnlyList<StoredRig>> Newest(IReadOnlyList<Guid> ids)
    {
        if (ids.Count > FewRigs)
            return [.. (await All()).Where(r => ids.Contains(r.Id))];
        var found = new List<StoredRig>();
        foreach (var id in ids)
            if (await Find(id) is { } rig)
                found.Add(rig);
        return found;
    }

    /// <summary>Records of these rigs, each rig's in their order.</summary>
    public async Task<ILookup<Guid, RecordRow>> Records(IReadOnlyList<Guid> ids)
    {
        var asked = ids.ToHashSet();
        var rows = store.Records.AsNoTracking();
        return (await (ids.Count > FewRigs ? rows : rows.Where(r => ids.Contains(r.RigId))).OrderBy(r => r.Order).ToListAsync())
            .Where(r => asked.Contains(r.RigId)).ToLookup(r => r.RigId);
    }

    /// <summary>More than so many are read all at once.</summary>
    private const int FewRigs = 20;

    /// <summary>How many records each rig has; rigs without records are not named.</summary>
    public async Task<IReadOnlyDictionary<Guid, int>> RecordCounts() =>
        await store.Records.GroupBy(r => r.RigId).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key, g => g.Count);

    /// <summary>Does several things as one: all of them are kept, or none.</summary>
    public async Task AtOnce(Func<Task> work)
    {
        await using var transaction = await store.Database.BeginTransactionAsync();
        await work();
        await transaction.CommitAsync();
    }

    /// <summary>Adds a record; none is ever changed or removed.</summary>
    public Task Add(RecordRow record) => Add([record]);

    /// <summary>Adds records, all or none.</summary>
    public async Task Add(IReadOnlyList<RecordRow> records)
    {
        foreach (var log in records.GroupBy(r => r.RigId))
            await Stamp(log.Key, log);
        store.Records.AddRange(records);
        await store.SaveChangesAsync();
    }

    /// <summary>Says where in whose log records are written: after all that the log holds, but for what is far ahead of the clock.</summary>
    private async Task Stamp(Guid id, IEnumerable<RecordRow> records)
    {
        if (laptop is null)
            return;
        var (device, now) = (laptop.Device, laptop.Now);
        var bound = now + LaptopClock.FarAhead;
        var last = await store.Records.AsNoTracking().Where(r => r.RigId == id && r.StampMs <= bound).OrderByDescending(r => r.StampMs)
            .ThenByDescending(r => r.StampCount).FirstOrDefaultAsync();
        var seq = await store.Records.Where(r => r.RigId == id && r.Device == device).MaxAsync(r => r.Seq) ?? 0;
        var time = last?.Stamp?.Time ?? default;
        foreach (var record in records)
            record.Stamp = new EventStamp(time = time.Next(now), device, ++seq);
    }

    /// <summary>Where in whose log the records of a rig were written, of those that say so.</summary>
    public async Task<IReadOnlyDictionary<Guid, EventStamp>> Stamps(Guid id) =>
        (await store.Records.AsNoTracking().Where(r => r.RigId == id && r.Device != null).ToListAsync()).ToDictionary(r => r.Id, r => r.Stamp!);

    /// <summary>The first of these numbers that a record of another rig has; null where all are free or this rig's own.</summary>
    public async Task<Guid?> Elsewhere(Guid id, IReadOnlyList<Guid> numbers)
    {
        foreach (var some in numbers.Chunk(AskedAtOnce))
            if (await store.Records.Where(r => r.RigId != id && some.Contains(r.Id)).Select(r => (Guid?)r.Id).FirstOrDefaultAsync() is { } taken)
                return taken;
        return null;
    }

    private const int AskedAtOnce = 500;

    /// <summary>Puts records between those that are there, all in a new order; none is changed otherwise.</summary>
    /// <param name="id">The rig, or what else keeps a log.</param>
    /// <param name="fresh">To be added; their order is given by the next.</param>
    /// <param name="order">Ids of all records of the log, the first first.</param>
    public async Task Merge(Guid id, IReadOnlyList<RecordRow> fresh, IReadOnlyList<Guid> order)
    {
        if (fresh.Count == 0)
            return;
        var place = order.Select((record, i) => (record, i)).ToDictionary(x => x.record, x => (long)x.i + 1);
        // Out of each other's way first: an order stands once in a log.
        await store.Records.Where(r => r.RigId == id).ExecuteUpdateAsync(s => s.SetProperty(r => r.Order, r => -r.Order - 1));
        var ids = JsonSerializer.Serialize(order.Select(o => o.ToString().ToUpperInvariant()));
        await store.Database.ExecuteSqlAsync($"""
            UPDATE Records SET "Order" = place.key + 1 FROM json_each({ids}) AS place WHERE Records.Id = place.value AND Records.RigId = {id}
            """);
        store.Records.AddRange(fresh.Select(r => new RecordRow
        {
            Id = r.Id,
            RigId = id,
            Order = place[r.Id],
            At = r.At,
            By = r.By,
            Kind = r.Kind,
            Body = r.Body,
            Corrects = r.Corrects,
            Stamp = r.Stamp,
        }));
        await store.SaveChangesAsync();
        store.ChangeTracker.Clear();
    }

    /// <summary>Texts of every revision that is kept, the oldest first.</summary>
    public async IAsyncEnumerable<string> Texts(Guid id)
    {
        await foreach (var text in store.Revisions.AsNoTracking().Where(r => r.RigId == id).OrderBy(r => r.Number).Select(r => r.Design).AsAsyncEnumerable())
            yield return text;
    }

    /// <summary>Names of the files of a rig.</summary>
    public async Task<IReadOnlyList<(Guid Id, string Name)>> Attachments(Guid id) =>
        [.. (await store.Attachments.AsNoTracking().Where(a => a.RigId == id).Select(a => new { a.Id, a.Name }).ToListAsync()).Select(a => (a.Id, a.Name))];

    /// <summary>Keeps a file once: a photograph or a paper by its content, others by their ids.</summary>
    public async Task Keep(AttachmentRow file)
    {
        if (await store.Attachments.AnyAsync(a => a.Id == file.Id || file.Name.Length == PhotoName && a.RigId == file.RigId && a.Name == file.Name))
            return;
        store.Attachments.Add(file);
        await store.SaveChangesAsync();
        store.Entry(file).State = EntityState.Detached;
    }

    /// <summary>Newest revision of every rig that has a design, in the order of the yard; without its text.</summary>
    public async Task<IReadOnlyList<(Guid Id, int Revision)>> Heads() =>
        [.. (await store.Revisions.GroupBy(r => r.RigId).Select(g => new { Id = g.Key, Number = g.Max(r => r.Number) })
            .Join(store.Rigs, h => h.Id, r => r.Id, (h, r) => new { h.Id, h.Number, r.Position }).OrderBy(h => h.Position).ToListAsync())
            .Select(h => (h.Id, h.Number))];

    /// <summary>Something that keeps a log and has no design, such as the shop; no yard shows it.</summary>
    public async Task Holder(Guid id, DateTimeOffset now)
    {
        if (await store.Rigs.AnyAsync(r => r.Id == id))
            return;
        store.Rigs.Add(new RigRow { Id = id, CreatedAt = now, Position = 0 });
        await store.SaveChangesAsync();
    }

    /// <summary>The next place in a rig's log.</summary>
    public async Task<long> NextOrder(Guid id) => await store.Records.Where(r => r.RigId == id).Select(r => (long?)r.Order).MaxAsync() + 1 ?? 1;

    /// <summary>
    /// Lets go of edits older than the newest thousand, but of no step with a name, and of files that no revision names any more.
    /// </summary>
    private async Task Prune(Guid id, int newest)
    {
        await store.Revisions.Where(r => r.RigId == id && r.Number > 1 && r.Number <= newest - KeptRevisions && r.Label == "").ExecuteDeleteAsync();
        await store.Database.ExecuteSqlAsync($"""
            DELETE FROM Attachments WHERE RigId = {id} AND length(Name) <> {PhotoName} AND NOT EXISTS
                (SELECT 1 FROM Revisions WHERE Revisions.RigId = Attachments.RigId AND instr(Revisions.Design, lower(Attachments.Id)) > 0)
            """);
    }

    /// <summary>A photograph's name is the hash of its content in hex; it is let go only where no record names it.</summary>
    private const int PhotoName = 64;

    /// <summary>Keeps a photograph, once; false where there is no such rig.</summary>
    public async Task<bool> KeepPhoto(AttachmentRow photo)
    {
        if (!await store.Rigs.AnyAsync(r => r.Id == photo.RigId))
            return false;
        if (await store.Attachments.AnyAsync(a => a.RigId == photo.RigId && a.Name == photo.Name))
            return true;
        store.Attachments.Add(photo);
        await store.SaveChangesAsync();
        return true;
    }

    /// <summary>Photographs and papers that a rig took since a moment.</summary>
    public async Task<int> PhotosSince(Guid id, DateTimeOffset since) =>
        (await store.Attachments.Where(a => a.RigId == id && a.Name.Length == PhotoName).Select(a => a.At).ToListAsync()).Count(at => at > since);

    /// <summary>Lets go of photographs older than a moment that no record of the rig names.</summary>
    public async Task LetGoUnnamed(Guid id, DateTimeOffset before)
    {
        var old = (await store.Attachments.AsNoTracking().Where(a => a.RigId == id && a.Name.Length == PhotoName).Select(a => new { a.Id, a.Name, a.At })
            .ToListAsync()).Where(a => a.At < before).ToList();
        foreach (var file in old)
            if (!await store.Records.AnyAsync(r => r.RigId == id && r.Body.Contains(file.Name)))
                await store.Attachments.Where(a => a.Id == file.Id).ExecuteDeleteAsync();
    }

    /// <summary>A photograph by the hash of its content, or null.</summary>
    public async Task<AttachmentRow?> Photo(Guid rigId, string sha256) => sha256.Length != PhotoName ? null
        : await store.Attachments.AsNoTracking().FirstOrDefaultAsync(a => a.RigId == rigId && a.Name == sha256);

    /// <summary>A file of a rig, or null.</summary>
    public async Task<AttachmentRow?> Attachment(Guid rigId, Guid id) =>
        await store.Attachments.AsNoTracking().FirstOrDefaultAsync(a => a.Id == id && a.RigId == rigId);

    /// <summary>Removes a rig with all it has; what has no design is no rig.</summary>
    public async Task Remove(Guid id) =>
        await store.Rigs.Where(r => r.Id == id && store.Revisions.Any(v => v.RigId == id)).ExecuteDeleteAsync();

    private static StoredRig Stored(RevisionRow row) => new(row.RigId, row.Number, row.At, row.Design);

    private static RevisionRow Row(Guid id, int number, RevisionDraft draft) => new()
    {
        RigId = id,
        Number = number,
        At = draft.At,
        Design = draft.Design,
        Paths = Lines(draft.Paths),
        Client = draft.Client,
        Label = draft.Label,
    };

    private static string Lines(IReadOnlyList<string> paths) => string.Join('\n', paths);
}
