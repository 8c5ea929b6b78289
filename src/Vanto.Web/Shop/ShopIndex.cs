using System.Collections.Concurrent;
using System.Text.Json.Nodes;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Service;
using Vanto.Core.Shop;
using Vanto.Core.Stations;
using Vanto.Storage;

namespace Vanto.Web.Shop;

/// <summary>A rig as the shop's board and search know it.</summary>
/// <param name="FirstDay">Of its plan; nothing where none is set.</param>
public sealed record IndexedRig(Guid Id, int Revision, int Records, RigText Text, IReadOnlyList<RigDate> Dates, DateOnly? FirstDay);

/// <summary>What the shop's board and search know of every rig, read anew only where a rig has changed.</summary>
public sealed class ShopIndex
{
    private readonly ConcurrentDictionary<Guid, IndexedRig> _rigs = new();

    /// <summary>All rigs in the order of the yard.</summary>
    public async Task<IReadOnlyList<IndexedRig>> All(RigLog log)
    {
        var (heads, counts) = (await log.Heads(), await log.RecordCounts());
        var changed = heads.Where(h => !(_rigs.TryGetValue(h.Id, out var known)
            && (known.Revision, known.Records) == (h.Revision, counts.GetValueOrDefault(h.Id)))).Select(h => h.Id).ToList();
        var (designs, records) = (await log.Newest(changed), await log.Records(changed));
        Parallel.ForEach(designs, rig => _rigs[rig.Id] = Read(rig, [.. records[rig.Id]]));
        return [.. heads.Select(h => _rigs.GetValueOrDefault(h.Id)).OfType<IndexedRig>()];
    }

    /// <summary>One that cannot be read has no dates.</summary>
    private static IndexedRig Read(StoredRig rig, IReadOnlyList<RecordRow> records)
    {
        var text = RigSearch.Read(rig.Design, records.Select(r => r.Body));
        try
        {
            var design = JobFile.Read(rig.Design);
            return new IndexedRig(rig.Id, rig.Revision, records.Count, text, Dates(rig, design, records),
                DateOnly.TryParseExact(design.Plan.When.FirstDay, "yyyy-MM-dd", out var first) ? first : null);
        }
        catch (InputException)
        {
            return new IndexedRig(rig.Id, rig.Revision, records.Count, text, [], null);
        }
    }

    /// <summary>Dates of the care and the warranty.</summary>
    private static List<RigDate> Dates(StoredRig rig, JobDesign design, IReadOnlyList<RecordRow> records)
    {
        var visits = records.Where(r => r.Kind == VisitRecord.Kind.Name)
            .Select(r => VisitRecord.Kind.Read(new RecordHead(r.Id, r.At, r.By, r.Corrects), JsonNode.Parse(r.Body)!)).OfType<VisitRecord>().ToList();
        return
        [
            .. CarePlan.Of(design.Service, design.Survey, visits).Where(c => c.Due is not null)
                .Select(c => new RigDate(rig.Id, design.Name, "service", c.Words, c.Due!.Value, "service/care") { Of = c.Id }),
            .. Warranty.Dates(design.Service.Warranty)
                .Select(w => new RigDate(rig.Id, design.Name, "warranty", $"warranty, {w.What}", w.Day, "service/warranty") { Ends = w.Ends }),
        ];
    }
}
