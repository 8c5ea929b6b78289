using System.Security.Cryptography;
using System.Text.Json;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Exchange;

namespace Vanto.Web.Handover;

/// <summary>Holds a paper or a bundle against the signatures that were made when it was issued, without a server.</summary>
public static class VerifyCommand
{
    private static readonly byte[] Zip = "PK"u8.ToArray();

    /// <summary>Says what stands and what does not; 0 where all does.</summary>
    /// <param name="store">The store of this laptop: its key tells what was issued here, its logs know its papers.</param>
    /// <param name="file">A bundle, or a paper's PDF.</param>
    public static async Task<int> Run(string store, string file)
    {
        if (!File.Exists(file))
        {
            Console.Error.WriteLine($"There is no file {file}.");
            return 1;
        }
        var begin = new byte[Zip.Length];
        await using (var look = File.OpenRead(file))
            _ = await look.ReadAsync(begin);
        return begin.SequenceEqual(Zip) ? Bundle(store, file) : await Paper(store, await File.ReadAllBytesAsync(file));
    }

    private static int Bundle(string store, string file)
    {
        var ownKey = LaptopSeal.PublicKeyOf(store) ?? "";
        try
        {
            using var stream = File.OpenRead(file);
            using var bundle = OpenBundle.Whole(stream);
            var all = true;
            Console.WriteLine($"{file}: whole, {bundle.Paths.Count} files.");
            foreach (var root in bundle.Paths.Where(p => p.EndsWith(BundleFiles.Head, StringComparison.Ordinal)).Select(p =>
                p[..^BundleFiles.Head.Length]).Order())
                all &= Rig(bundle, root, ownKey);
            return all ? 0 : 1;
        }
        catch (Exception e) when (e is InvalidDataException or InputException or JsonException)
        {
            Console.Error.WriteLine($"{file}: {e.Message}.");
            return 1;
        }
    }

    private static bool Rig(OpenBundle bundle, string root, string ownKey)
    {
        var head = JsonSerializer.Deserialize<BundleHead>(bundle.Content(root + BundleFiles.Head, Server.BodyLimit), JobFile.Json)
            ?? throw new InvalidDataException($"{root}{BundleFiles.Head} is empty");
        var papers = PaperSeal.Once([.. JobBundle.Events(bundle.Content(root + BundleFiles.Events, JobBundle.LongestLog))
            .Where(r => r.Kind == PaperRecord.Kind.Name).Select(r => (PaperRecord)SentRecord.Of(r, StationRegistry.Standard.KindNamed).Record)
            .Select(p => p with { Origin = PaperSeal.Judge(head.Rig, p, ownKey) })]);
        var sums = bundle.Paths.Where(p => p.StartsWith(root + BundleFiles.Certificates, StringComparison.Ordinal)).Select(bundle.Sum).ToHashSet();
        Console.WriteLine($"Rig {head.Rig}: {Calls.Many(papers.Count, "paper")}.");
        foreach (var paper in papers)
            Console.WriteLine($"  {Line(paper)}{(sums.Contains(paper.Readings.Sha256) ? "" : "; its file is missing")}");
        return papers.All(p => p.Origin is PaperOrigin.Here or PaperOrigin.Elsewhere && sums.Contains(p.Readings.Sha256));
    }

    private static string Line(PaperRecord p) => $"{p.Readings.Number}, {Calls.Name(p.Readings.Kind)}, {p.At.UtcDateTime:yyyy-MM-dd HH:mm} UTC by {p.By}: "
        + $"{Calls.Name(p.Origin)}{(p.Readings.Signature.Length == 0 ? "" : $", laptop {PaperSeal.LettersOf(p.Readings.Laptop, p.Readings.PublicKey)}, "
        + $"sealed {PaperSeal.CodeOf(p.Readings.Signature)}")}";

    /// <summary>A paper alone: its record lies in the log of this laptop, or in a bundle.</summary>
    private static async Task<int> Paper(string store, byte[] content)
    {
        var sum = Convert.ToHexStringLower(SHA256.HashData(content));
        if (File.Exists(store))
        {
            await using var context = new VantoStore(StoreFile.Options(store));
            var log = new RigLog(context);
            using var seal = LaptopSeal.Of(store);
            foreach (var (rig, _) in await log.Heads())
            {
                var papers = seal.Judged(rig, [.. (await log.Records(rig)).Where(r => r.Kind == PaperRecord.Kind.Name).Select(r => PaperRecord.Kind.Read(
                    new RecordHead(r.Id, r.At, r.By, r.Corrects), System.Text.Json.Nodes.JsonNode.Parse(r.Body)!))]).Cast<PaperRecord>().ToList();
                if (papers.Find(p => p.Readings.Sha256 == sum) is not { } paper)
                    continue;
                Console.WriteLine($"{Line(paper)}{(Papers.Stands(paper, papers) ? "" : "; it no longer counts")}");
                return paper.Origin is PaperOrigin.Here or PaperOrigin.Elsewhere ? 0 : 1;
            }
        }
        Console.Error.WriteLine($"No paper with this content (SHA-256 {sum}) is known here: "
            + "it was changed, or issued elsewhere. Verify the bundle it came in.");
        return 1;
    }
}
