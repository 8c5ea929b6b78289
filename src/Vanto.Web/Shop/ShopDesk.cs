using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Service;
using Vanto.Core.Shop;
using Vanto.Core.Stations;
using Vanto.Storage;
using Vanto.Web.Rigs;

namespace Vanto.Web.Shop;

/// <summary>
/// The shop's own log: instruments, licences, stock. It is kept as the log of a rig without a design, so that backups and checks hold for it too.
/// </summary>
public sealed class ShopDesk(RigLog log, TimeProvider clock)
{
    /// <summary>The shop among the rigs.</summary>
    public static readonly Guid Shop = new("5097aaaa-0000-4000-8000-000000000001");

    private static readonly SemaphoreSlim Turn = new(1);

    /// <summary>The day here.</summary>
    public DateOnly Today => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);

    /// <summary>Everything as it stands today.</summary>
    public async Task<ShopView> View() => ShopBook.View(await Records(), await Dates(), Today);

    /// <summary>All that was written down.</summary>
    public async Task<IReadOnlyList<StationRecord>> Records() =>
        [.. (await log.Records(Shop)).Select(r => ShopKinds.Named(r.Kind)?.Read(new RecordHead(r.Id, r.At, r.By, r.Corrects),
            System.Text.Json.Nodes.JsonNode.Parse(r.Body)!)).OfType<StationRecord>()];

    /// <summary>Writes one thing down.</summary>
    /// <exception cref="InputException">No name, no such kind, or a value out of its range.</exception>
    public async Task<StationRecord> Write(NewRecord typed)
    {
        if (typed.By.Trim().Length is 0 or > RigDesk.LongestName)
            throw new InputException("by", typed.By, "Who writes this down? Write a name of 1 to 80 characters.");
        var kind = ShopKinds.Named(typed.Kind) ?? throw new InputException("kind", typed.Kind,
            $"\"{typed.Kind}\" is nothing that the shop keeps; there are {string.Join(", ", ShopKinds.All.Select(k => k.Name))}.");
        await Turn.WaitAsync();
        try
        {
            var records = await Records();
            var corrected = typed.Corrects is { } id ? records.FirstOrDefault(r => r.Id == id && kind.Record.IsInstanceOfType(r))
                ?? throw new InputException("corrects", id.ToString(), "What is to be corrected is not in the shop's log.") : null;
            var record = TypedRecord.Of(kind, new RecordHead(Guid.CreateVersion7(), clock.GetUtcNow(), typed.By.Trim(), typed.Corrects), typed, corrected);
            await log.Holder(Shop, clock.GetUtcNow());
            await log.Add(Row(record, await log.NextOrder(Shop)));
            return record;
        }
        finally
        {
            Turn.Release();
        }
    }

    /// <summary>A record as it lies in the store.</summary>
    public static RecordRow Row(StationRecord record, long order)
    {
        var kind = ShopKinds.Of(record);
        return new RecordRow
        {
            Id = record.Id,
            RigId = Shop,
            Order = order,
            At = record.At,
            By = record.By,
            Kind = kind.Name,
            Body = kind.Write(record).ToJsonString(JobFile.Json),
            Corrects = record.Corrects,
        };
    }

    /// <summary>Every date of every rig that can be read.</summary>
    private async Task<IEnumerable<RigDate>> Dates()
    {
        var dates = new List<RigDate>();
        foreach (var rig in await log.All())
        {
            var design = Readable(rig.Design);
            if (design is null)
                continue;
            var visits = (await log.Records(rig.Id)).Where(r => r.Kind == VisitRecord.Kind.Name)
                .Select(r => VisitRecord.Kind.Read(new RecordHead(r.Id, r.At, r.By, r.Corrects), System.Text.Json.Nodes.JsonNode.Parse(r.Body)!))
                .OfType<VisitRecord>().ToList();
            dates.AddRange(CarePlan.Of(design.Service, design.Survey, visits).Where(c => c.Due is not null)
                .Select(c => new RigDate(rig.Id, design.Name, "service", c.Words, c.Due!.Value, "service/care")));
            // What has ended is no longer due; what was to be done by a day still is.
            dates.AddRange(Warranty.Dates(design.Service.Warranty).Where(w => !w.Ends || w.Day >= Today)
                .Select(w => new RigDate(rig.Id, design.Name, "warranty", $"warranty {w.What}", w.Day, "service/warranty")));
        }
        return dates;
    }

    private static JobDesign? Readable(string design)
    {
        try
        {
            return JobFile.Read(design);
        }
        catch (InputException)
        {
            return null;
        }
    }
}
