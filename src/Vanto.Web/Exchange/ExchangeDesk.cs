using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Core.Job;
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
public sealed record ExchangedRig(Guid Id, string Name, Phrase Design, int Fresh, IReadOnlyList<string> Altered, int Missing, int Ahead,
    IReadOnlyList<MissingEvents> Unmet, long Readings);

/// <summary>What became of a file.</summary>
/// <param name="ShopFresh">Records of the shop that were not here.</param>
/// <param name="ShopAltered">Of the shop, kept out.</param>
public sealed record ExchangeReport(IReadOnlyList<ExchangedRig> Rigs, int ShopFresh, IReadOnlyList<string> ShopAltered);

/// <summary>Jobs and the whole shop between two laptops, by file.</summary>
public sealed class ExchangeDesk(RigLog log, ReadingLog readings, RigDesk desk, BundleFiles bundles, StationRegistry stations, TimeProvider clock)
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

    /// <summary>Reads the file of a rig or of a whole shop in. Each rig is taken whole or not at all, its traces after it; reading it in
    /// twice changes nothing, and brings what a cut left out.</summary>
    /// <exception cref="InputException">It is no such file, not whole, or something in it cannot be read.</exception>
    public async Task<ExchangeReport> Take(byte[] archive)
    {
        IReadOnlyDictionary<string, byte[]> files;
        try
        {
            files = JobBundle.Read(archive);
        }
        catch (InvalidDataException e)
        {
            throw new InputException("file", "", $"This file was not read in: {e.Message}.");
        }
        var roots = files.Keys.Where(k => k.EndsWith(BundleFiles.Head, StringComparison.Ordinal)).Select(k => k[..^BundleFiles.Head.Length]).ToList();
        if (roots.Count == 0 && !files.ContainsKey(ShopLog))
            throw new InputException("file", "", "There is no rig and no shop in this file.");
        var rigs = new List<ExchangedRig>();
        foreach (var parts in roots.ConvertAll(root => Parsed(files, root)))
            rigs.Add(await Rig(parts));
        var (fresh, altered) = files.TryGetValue(ShopLog, out var shop) ? await Shop(shop) : (0, []);
        return new ExchangeReport(rigs, fresh, altered);
    }

    /// <summary>A rig of a file, all of it read and checked before anything is kept.</summary>
    private sealed record Parts(BundleHead Head, JobDesign Design, IReadOnlyList<SentRecord> Records, IReadOnlyList<AttachmentRow> Files,
        IReadOnlyList<NewReading> Readings);

    private Parts Parsed(IReadOnlyDictionary<string, byte[]> files, string root)
    {
        byte[] Must(string path) => files.TryGetValue(root + path, out var content) ? content
            : throw new InputException("file", path, $"{root}{path} is missing in this file.");
        BundleHead head;
        try
        {
            head = JsonSerializer.Deserialize<BundleHead>(Must(BundleFiles.Head), JobFile.Json)!;
        }
        catch (JsonException e)
        {
            throw new InputException(JobFile.Fault(e));
        }
        if (head.Rig == ShopDesk.Shop || head.Rig == Guid.Empty)
            throw new InputException("rig", head.Rig.ToString(), "The rig of this file has no id of its own.");
        var design = JobFile.Read(Encoding.UTF8.GetString(Must(BundleFiles.Job)));
        var now = clock.GetUtcNow();
        List<AttachmentRow> attachments =
        [
            .. files.Where(f => BundleFiles.Hashed.Any(h => f.Key.StartsWith(root + h, StringComparison.Ordinal)))
                .Select(f => File(head.Rig, Guid.CreateVersion7(), Convert.ToHexStringLower(SHA256.HashData(f.Value)), f.Value, now)),
        ];
        foreach (var (path, content) in files.Where(f => f.Key.StartsWith(root + BundleFiles.Weather, StringComparison.Ordinal)))
            if (Guid.TryParse(Path.GetFileNameWithoutExtension(path), out var id))
                attachments.Add(File(head.Rig, id, head.WeatherName.Length is > 0 and <= 200 ? head.WeatherName : "weather.epw", content, now));
        var traces = files.Where(f => f.Key.StartsWith(root + BundleFiles.Traces, StringComparison.Ordinal))
            .SelectMany(f => TraceCsv.Read(f.Value, f.Key)).Select(t => InstrumentDesk.Row(head.Rig, t.Reading, now, t.Late)).ToList();
        return new Parts(head, design, Records(Must(BundleFiles.Events)), attachments, traces);
    }

    private static AttachmentRow File(Guid rig, Guid id, string name, byte[] content, DateTimeOffset now) =>
        new() { Id = id, RigId = rig, At = now, Name = name, Content = content };

    private IReadOnlyList<SentRecord> Records(byte[] content)
    {
        try
        {
            return [.. JobBundle.Events(content).Select(Record)];
        }
        catch (InvalidDataException e)
        {
            throw new InputException("file", "", $"This file was not read in: {e.Message}.");
        }
    }

    private SentRecord Record(BundledRecord r)
    {
        var kind = stations.KindNamed(r.Kind) ?? ShopKinds.Named(r.Kind)
            ?? throw new InputException("kind", r.Kind, $"A record of this file is of the kind \"{r.Kind}\", which this Vanto does not know.");
        try
        {
            return new SentRecord(kind.Read(new RecordHead(r.Id, r.At, r.By, r.Corrects), r.Values), EventStamp.Parse(r.Stamp));
        }
        catch (JsonException e)
        {
            throw new InputException(JobFile.Fault(e));
        }
    }

    private async Task<ExchangedRig> Rig(Parts p)
    {
        var state = new DesignState(BundleFiles.Hash(JobFile.Write(p.Design)), p.Head.At, [.. p.Head.Lineage]);
        var merged = await desk.Merge(p.Head.Rig, state, p.Design, p.Records, p.Files);
        var before = await readings.Count(p.Head.Rig);
        foreach (var part in p.Readings.Chunk(ReadingsAtOnce))
            await readings.Add(part);
        var held = (await log.Attachments(p.Head.Rig)).Select(a => a.Name).ToHashSet();
        return new ExchangedRig(p.Head.Rig, merged.View.Design.Name, merged.Words, merged.Fresh, merged.Altered,
            BundleFiles.Photos(merged.View.Records).Count(sha => !held.Contains(sha)), p.Records.Count(r => r.Record.At - clock.GetUtcNow() > Ahead),
            merged.Unmet, await readings.Count(p.Head.Rig) - before);
    }

    private async Task<(int Fresh, IReadOnlyList<string> Altered)> Shop(byte[] content)
    {
        var (own, theirs) = (await Log(ShopDesk.Shop), Records(content));
        var merged = LogMerge.Of([.. own.Select(Entry)], [.. theirs.Select(Entry)]);
        await log.Holder(ShopDesk.Shop, clock.GetUtcNow());
        await log.AtOnce(() => log.Merge(ShopDesk.Shop, [.. merged.Fresh.Select(f => ShopDesk.Row(theirs.First(t => t.Record.Id == f.Id).Record, 0, f.Stamp))],
            [.. merged.Entries.Select(e => e.Id)]));
        return (merged.Fresh.Count, [.. merged.Altered.Select(Said)]);
    }

    private async Task<IReadOnlyList<SentRecord>> Log(Guid id) =>
        [.. (await log.Records(id)).Select(r => Record(new BundledRecord(r.Id, r.At, r.By, r.Corrects, r.Kind, (JsonObject)JsonNode.Parse(r.Body)!,
            r.Stamp?.ToString())))];

    private RecordKind KindOf(StationRecord record) => ShopKinds.All.FirstOrDefault(k => k.Record.IsInstanceOfType(record)) ?? stations.KindOf(record);

    private LogEntry Entry(SentRecord s) => TypedRecord.Entry(KindOf(s.Record), s.Record, s.Stamp);

    /// <summary>A record that was kept out, for the report.</summary>
    public static string Said(LogEntry e) => $"{e.Kind} of {e.At.UtcDateTime:yyyy-MM-dd HH:mm} by {e.By}";
}
