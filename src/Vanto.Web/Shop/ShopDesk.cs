using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Core.Shop;
using Vanto.Core.Stations;
using Vanto.Storage;
using Vanto.Web.Rigs;

namespace Vanto.Web.Shop;

/// <summary>
/// The shop's own log: instruments, licences, stock, and rows of designs kept for every rig. It is kept as the log of a rig
/// without a design, so that backups and checks hold for it too.
/// </summary>
public sealed class ShopDesk(RigLog log, ShopIndex index, RigTurns turns, TimeProvider clock)
{
    /// <summary>The shop among the rigs.</summary>
    public static readonly Guid Shop = new("5097aaaa-0000-4000-8000-000000000001");

    /// <summary>The day here.</summary>
    public DateOnly Today => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);

    /// <summary>Everything as it stands today.</summary>
    public async Task<ShopView> View() => ShopBook.View(await Records(), (await index.All(log)).SelectMany(r => r.Dates), Today);

    /// <summary>Dates of one rig, against today.</summary>
    public async Task<IReadOnlyList<DueItem>> Due(Guid rig) =>
        ShopBook.View([], (await index.All(log)).Where(r => r.Id == rig).SelectMany(r => r.Dates), Today).Due;

    /// <summary>All that was written down.</summary>
    public async Task<IReadOnlyList<StationRecord>> Records() =>
        [.. (await log.Records(Shop)).Select(r => ShopKinds.Named(r.Kind)?.Read(new RecordHead(r.Id, r.At, r.By, r.Corrects),
            System.Text.Json.Nodes.JsonNode.Parse(r.Body)!)).OfType<StationRecord>()];

    /// <summary>Writes one thing down.</summary>
    /// <exception cref="InputException">No name, no such kind, or a value out of its range.</exception>
    public async Task<StationRecord> Write(NewRecord typed)
    {
        var kind = ShopKinds.Typed.FirstOrDefault(k => k.Name == typed.Kind) ?? throw new InputException("kind", typed.Kind,
            $"\"{typed.Kind}\" is nothing that is typed in the shop; there are {string.Join(", ", ShopKinds.Typed.Select(k => k.Name))}.");
        return await Add(typed.By, typed.Corrects, (head, records) => TypedRecord.Of(kind, head, typed, typed.Corrects is { } id
            ? records.FirstOrDefault(r => r.Id == id && kind.Record.IsInstanceOfType(r))
                ?? throw new InputException("corrects", id.ToString(), "What is to be corrected is not in the shop's log.") : null));
    }

    /// <summary>Rows that the shop keeps for every rig.</summary>
    public async Task<IReadOnlyList<ShelfRecord>> Shelves() => [.. (await Records()).OfType<ShelfRecord>()];

    /// <summary>Puts a row on the shelf, or takes it off.</summary>
    /// <exception cref="InputException">No name.</exception>
    public Task<StationRecord> Put(ShelfValues row, string by) => Add(by, null, (head, _) => new ShelfRecord(head.Id, head.At, head.By, row, null));

    private async Task<StationRecord> Add(string by, Guid? corrects, Func<RecordHead, IReadOnlyList<StationRecord>, StationRecord> made)
    {
        if (by.Trim().Length is 0 or > RigDesk.LongestName)
            throw new InputException("by", by, "Who writes this down? Write a name of 1 to 80 characters.");
        return await turns.Take(Shop, async () =>
        {
            var record = made(new RecordHead(Guid.CreateVersion7(), clock.GetUtcNow(), by.Trim(), corrects), await Records());
            await log.Holder(Shop, clock.GetUtcNow());
            await log.Add(Row(record, await log.NextOrder(Shop)));
            return record;
        });
    }

    /// <summary>A record as it lies in the store.</summary>
    public static RecordRow Row(StationRecord record, long order, EventStamp? stamp = null) =>
        TypedRecord.Row(ShopKinds.Of(record), Shop, order, record, stamp);
}
