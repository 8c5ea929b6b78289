using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Shop;
using Vanto.Core.Stations;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Instruments;
using Vanto.Web.Rigs;
using Vanto.Web.Shop;

namespace Vanto.Web.Exchange;

/// <summary>What became of one rig of a file.</summary>
/// <param name="Design">What became of its design.</param>
/// <param name="Fresh">Records that were not here.</param>
/// <param name="Altered">Records that say something else than those here under the same number: kept out.</param>
/// <param name="Missing">Photographs that its log names and that neither the file nor this laptop has.</param>
/// <param name="Ahead">Records that come from the future by this laptop's clock.</param>
/// <param name="Unmet">Records that a laptop wrote which was not brought, nor one that met it.</param>
/// <param name="Readings">Readings of instruments that were not here.</param>
/// <param name="MissingPapers">Papers whose file neither the bundle nor this laptop has.</param>
/// <param name="Papers">Papers that are not what was issued, or not from here: number and what is known.</param>
public sealed record ExchangedRig(Guid Id, string Name, Phrase Design, int Fresh, IReadOnlyList<string> Altered, int Missing, int Ahead,
    IReadOnlyList<MissingEvents> Unmet, long Readings, int MissingPapers, IReadOnlyList<string> Papers);

/// <summary>What became of a file.</summary>
/// <param name="ShopFresh">Records of the shop that were not here.</param>
/// <param name="ShopAltered">Of the shop, kept out.</param>
public sealed record ExchangeReport(IReadOnlyList<ExchangedRig> Rigs, int ShopFresh, IReadOnlyList<string> ShopAltered);

/// <summary>Jobs and the whole shop between two laptops, by file.</summary>
public sealed class ExchangeDesk(RigLog log, ReadingLog readings, RigDesk desk, BundleFiles bundles, StationRegistry stations, RigTurns turns,
    TimeProvider clock)
{
    private const string Rigs = "rigs/", ShopLog = "shop/log.json";
    private const int ReadingsAtOnce = 20_000;

    /// <summary>So much ahead of this clock a record comes from the future.</summary>
    private static readonly TimeSpan Ahead = TimeSpan.FromMinutes(5);

    /// <summary>All rigs that can be read, and the shop's log.</summary>
    public async Task<byte[]> Whole()
    {
        var files = new SortedDictionary<string, byte[]>(StringComparer.Ordinal)
        {
            [ShopLog] = JobBundle.Events([.. (await Log(ShopDesk.Shop)).Select(s => s.Record)], KindOf, await log.Stamps(ShopDesk.Shop)),
            ["README.txt"] = Encoding.UTF8.GetBytes(JobBundle.Readme),
        };
        foreach (var (id, _) in await log.Heads())
            if (await Readable(id) is { } view)
                foreach (var (path, content) in await bundles.Of(view))
                    files[$"{Rigs}{id}/{path}"] = content;
        return JobBundle.Zip(files);
    }

    private async Task<RigView?> Readable(Guid id)
    {
        try
        {
            return await desk.View(id);
        }
        catch (RigUnreadableException)
        {
            return null;
        }
    }

    /// <summary>Reads the file of a rig or of a whole shop in. All of it is read and checked before anything is kept; then each rig is taken whole or
    /// not at all, its traces after it. Reading it in twice changes nothing, and brings what a cut left out.</summary>
    /// <param name="archive">As it came.</param>
    /// <exception cref="InputException">It is no such file, not whole, or something in it cannot be read; nothing was kept.</exception>
    /// <exception cref="PartlyTakenException">The store failed on the way; what is in is named.</exception>
    public async Task<ExchangeReport> Take(Stream archive)
    {
        OpenBundle bundle;
        try
        {
            bundle = OpenBundle.Whole(archive);
        }
        catch (Exception e) when (e is InvalidDataException or OverflowException or ArgumentException)
        {
            throw NotRead(e.Message);
        }
        using (bundle)
            return await Take(bundle);
    }

    private static InputException NotRead(string why) => new("file", "", $"This file was not read in: {why}.");

    private async Task<ExchangeReport> Take(OpenBundle bundle)
    {
        var roots = bundle.Paths.Where(k => k.EndsWith(BundleFiles.Head, StringComparison.Ordinal)).Select(k => k[..^BundleFiles.Head.Length]).ToList();
        if (roots.Count == 0 && !bundle.Has(ShopLog))
            throw new InputException("file", "", "There is no rig and no shop in this file.");
        IReadOnlyList<Parts> parsed;
        IReadOnlyList<SentRecord> shop;
        try
        {
            parsed = [.. roots.Select(root => Parsed(bundle, root))];
            shop = bundle.Has(ShopLog) ? Records(bundle.Content(ShopLog, JobBundle.LongestLog), ShopKinds.Named) : [];
        }
        catch (InvalidDataException e)
        {
            throw NotRead(e.Message);
        }
        await Check(parsed, shop);
        var rigs = new List<ExchangedRig>();
        try
        {
            foreach (var parts in parsed)
                rigs.Add(await Rig(bundle, parts));
            var (fresh, altered) = await Shop(shop);
            return new ExchangeReport(rigs, fresh, altered);
        }
        catch (Exception e) when (rigs.Count > 0)
        {
            throw new PartlyTakenException([.. rigs.Select(r => r.Name)], e);
        }
    }

    /// <summary>What can only be seen beside what is here: numbers that are taken, corrections that run in a circle.</summary>
    private async Task Check(IReadOnlyList<Parts> rigs, IReadOnlyList<SentRecord> shop)
    {
        if (rigs.Select(p => p.Head.Rig).Distinct().Count() < rigs.Count)
            throw new InputException("rig", "", "A rig stands twice in this file.");
        var seen = new Dictionary<Guid, Guid>();
        foreach (var (id, records) in rigs.Select(p => (p.Head.Rig, p.Records)).Append((ShopDesk.Shop, shop)))
        {
            foreach (var record in records)
                if (!seen.TryAdd(record.Record.Id, id) && seen[record.Record.Id] != id)
                    throw new InputException("id", record.Record.Id.ToString(), "Records of two rigs of this file have the same number.");
            if (await log.Elsewhere(id, [.. records.Select(r => r.Record.Id)]) is { } taken)
                throw new InputException("id", taken.ToString(), "A record of this file has the number of one of another rig here. Nothing was changed.");
            var own = await Log(id);
            _ = LogMerge.Of([.. own.Select(Entry)], [.. records.Select(Entry)]);
        }
    }

    /// <summary>A rig of a file, all of it read and checked before anything is kept; its files and traces are read again as they are kept.</summary>
    private sealed record Parts(string Root, BundleHead Head, JobDesign Design, IReadOnlyList<SentRecord> Records);

    private Parts Parsed(OpenBundle bundle, string root)
    {
        byte[] Must(string path, long most) => bundle.Has(root + path) ? bundle.Content(root + path, most)
            : throw new InputException("file", path, $"{root}{path} is missing in this file.");
        BundleHead head;
        try
        {
            head = JsonSerializer.Deserialize<BundleHead>(Must(BundleFiles.Head, Server.BodyLimit), JobFile.Json)
                ?? throw new InputException("rig", "nothing", $"{root}{BundleFiles.Head} is empty.");
        }
        catch (JsonException e)
        {
            throw new InputException(JobFile.Fault(e));
        }
        if (head.Rig == ShopDesk.Shop || head.Rig == Guid.Empty)
            throw new InputException("rig", head.Rig.ToString(), "The rig of this file has no id of its own.");
        if (head.Lineage is null || head.WeatherName is null || head.Lineage.Any(h => h is null) || !SentRecord.IsMoment(head.At))
            throw new InputException("rig", head.Rig.ToString(), $"{root}{BundleFiles.Head} does not say whence the design comes.");
        var design = JobFile.Read(Encoding.UTF8.GetString(Must(BundleFiles.Job, Server.BodyLimit)));
        foreach (var _ in Traced(bundle, root))
        {
            // Each row is read once, so that one that no instrument wrote is refused before anything is kept.
        }
        return new Parts(root, head, design, Records(Must(BundleFiles.Events, JobBundle.LongestLog), stations.KindNamed));
    }

    private static IEnumerable<TracedReading> Traced(OpenBundle bundle, string root)
    {
        foreach (var path in bundle.Paths.Where(p => p.StartsWith(root + BundleFiles.Traces, StringComparison.Ordinal)))
        {
            using var content = bundle.Open(path);
            foreach (var reading in TraceCsv.Read(content, path))
                yield return reading;
        }
    }

    /// <summary>Photographs, papers and weather, one after another.</summary>
    private IEnumerable<AttachmentRow> Files(OpenBundle bundle, Parts p)
    {
        var now = clock.GetUtcNow();
        AttachmentRow File(Guid id, string name, byte[] content) => new() { Id = id, RigId = p.Head.Rig, At = now, Name = name, Content = content };
        foreach (var path in bundle.Paths.Where(f => BundleFiles.Hashed.Any(h => f.StartsWith(p.Root + h, StringComparison.Ordinal))))
        {
            var content = bundle.Content(path, Server.WeatherLimit);
            yield return File(Guid.CreateVersion7(), Convert.ToHexStringLower(SHA256.HashData(content)), content);
        }
        foreach (var path in bundle.Paths.Where(f => f.StartsWith(p.Root + BundleFiles.Weather, StringComparison.Ordinal)))
            if (Guid.TryParse(Path.GetFileNameWithoutExtension(path), out var id))
                yield return File(id, p.Head.WeatherName.Length is > 0 and <= 200 ? p.Head.WeatherName : "weather.epw",
                    bundle.Content(path, Server.WeatherLimit));
    }

    private static IReadOnlyList<SentRecord> Records(byte[] content, Func<string, RecordKind?> kindNamed) =>
        [.. JobBundle.Events(content).Select(r => SentRecord.Of(r, kindNamed))];

    private async Task<ExchangedRig> Rig(OpenBundle bundle, Parts p)
    {
        var state = new DesignState(BundleFiles.Hash(JobFile.Write(p.Design)), p.Head.At, [.. p.Head.Lineage]);
        var merged = await desk.Merge(p.Head.Rig, state, p.Design, p.Records, Files(bundle, p));
        var (before, now) = (await readings.Count(p.Head.Rig), clock.GetUtcNow());
        foreach (var part in Traced(bundle, p.Root).Select(t => InstrumentDesk.Row(p.Head.Rig, t.Reading, now, t.Late)).Chunk(ReadingsAtOnce))
            await readings.Add(part);
        var held = (await log.Attachments(p.Head.Rig)).Select(a => a.Name).ToHashSet();
        var papers = merged.View.Records.OfType<PaperRecord>().ToList();
        return new ExchangedRig(p.Head.Rig, merged.View.Design.Name, merged.Words, merged.Fresh, merged.Altered,
            BundleFiles.Photos(merged.View.Records).Count(sha => !held.Contains(sha)), p.Records.Count(r => r.Record.At - now > Ahead),
            merged.Unmet, await readings.Count(p.Head.Rig) - before, papers.Count(r => !held.Contains(r.Readings.Sha256)),
            [.. papers.Where(r => r.Origin is PaperOrigin.Altered or PaperOrigin.Twice).Select(r => $"{r.Readings.Number}: {Calls.Name(r.Origin)}")]);
    }

    /// <summary>In the shop's turn, and its own log is read within the transaction: who writes meanwhile waits.</summary>
    private async Task<(int Fresh, IReadOnlyList<string> Altered)> Shop(IReadOnlyList<SentRecord> theirs)
    {
        if (theirs.Count == 0)
            return (0, []);
        var byId = theirs.DistinctBy(t => t.Record.Id).ToDictionary(t => t.Record.Id);
        return await turns.Take(ShopDesk.Shop, async () =>
        {
            await log.Holder(ShopDesk.Shop, clock.GetUtcNow());
            (int, IReadOnlyList<string>) came = default;
            await log.AtOnce(async () =>
            {
                var merged = LogMerge.Of([.. (await Log(ShopDesk.Shop)).Select(Entry)], [.. theirs.Select(Entry)]);
                await log.Merge(ShopDesk.Shop, [.. merged.Fresh.Select(f => ShopDesk.Row(byId[f.Id].Record, 0, f.Stamp))], [.. merged.Entries.Select(e =>
                    e.Id)]);
                came = (merged.Fresh.Count, [.. merged.Altered.Select(Said)]);
            });
            return came;
        });
    }

    private async Task<IReadOnlyList<SentRecord>> Log(Guid id) => [.. (await log.Records(id)).Select(Kept)];

    /// <summary>A record of a log here.</summary>
    private SentRecord Kept(RecordRow r) => new((stations.KindNamed(r.Kind) ?? ShopKinds.Named(r.Kind) ?? throw new RigUnreadableException(
        $"a record of its log is of the kind \"{r.Kind}\", which this Vanto does not know"))
        .Read(new RecordHead(r.Id, r.At, r.By, r.Corrects), JsonNode.Parse(r.Body)!), r.Stamp);

    private RecordKind KindOf(StationRecord record) => ShopKinds.All.FirstOrDefault(k => k.Record.IsInstanceOfType(record)) ?? stations.KindOf(record);

    private LogEntry Entry(SentRecord s) => TypedRecord.Entry(KindOf(s.Record), s.Record, s.Stamp);

    /// <summary>A record that was kept out, for the report.</summary>
    public static string Said(LogEntry e) => $"{e.Kind} of {e.At.UtcDateTime:yyyy-MM-dd HH:mm} by {e.By}";
}
