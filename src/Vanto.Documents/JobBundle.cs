using System.Globalization;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsvHelper;
using CsvHelper.Configuration;
using Vanto.Core.Quantities;
using Vanto.Core.Exchange;
using Vanto.Core.Stations;

namespace Vanto.Documents;

/// <summary>A record as it lies in a bundle.</summary>
public sealed record BundledRecord(Guid Id, DateTimeOffset At, string By, Guid? Corrects, string Kind, JsonObject Values, string? Stamp = null);

/// <summary>A rig in open files: any program reads them, and their sums tell whether they are whole.</summary>
public static class JobBundle
{
    /// <summary>File of the sums.</summary>
    public const string Sums = "SHA256SUMS";

    private const string Manifest = "manifest.json";

    /// <summary>A line of the sums: 64 hex digits, two blanks, the path.</summary>
    private const int PathAt = 66;

    /// <summary>How to read it without this program.</summary>
    public const string Readme = "This is a rig's job in open files: JSON, CSV (RFC 4180), iCalendar, PDF, JPEG, SVG, DXF, EPW.\n"
        + "Values are SI; the names of fields end in their units.\n"
        + "To see whether all is whole: sha256sum -c SHA256SUMS\n";

    /// <summary>The log as it was written.</summary>
    /// <param name="records">In their order.</param>
    /// <param name="kindOf">The kind of each.</param>
    /// <param name="stamps">Where in whose log each was written, of those that say so.</param>
    public static byte[] Events(IReadOnlyList<StationRecord> records, Func<StationRecord, RecordKind> kindOf,
        IReadOnlyDictionary<Guid, EventStamp> stamps) => JsonSerializer.SerializeToUtf8Bytes(records.Select(r =>
            new BundledRecord(r.Id, r.At, r.By, r.Corrects, kindOf(r).Name, kindOf(r).Write(r), stamps.GetValueOrDefault(r.Id)?.ToString())), Written);

    /// <summary>The log of a bundle.</summary>
    /// <exception cref="InvalidDataException">It is none.</exception>
    public static IReadOnlyList<BundledRecord> Events(byte[] content)
    {
        try
        {
            return JsonSerializer.Deserialize<List<BundledRecord>>(content, Written) ?? [];
        }
        catch (JsonException e)
        {
            throw new InvalidDataException($"its log cannot be read: {e.Message}");
        }
    }

    private static readonly JsonSerializerOptions Written = new(JsonSerializerDefaults.Web) { WriteIndented = true };

    /// <summary>Most that a bundle holds when it is unpacked, bytes.</summary>
    public const long Largest = 1L << 30;

    /// <summary>Every number that was read, one a row.</summary>
    public static byte[] Csv(IReadOnlyList<StationRecord> records, string code)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }))
        {
            foreach (var head in (string[])["instant_utc", "job_code", "quantity", "value", "event_id", "corrects", "by"])
                csv.WriteField(head);
            csv.NextRecord();
            foreach (var r in records)
                foreach (var value in JsonSerializer.SerializeToElement(r.Values, r.Values.GetType(), DesignJson.Options).EnumerateObject())
                    if (value.Value.ValueKind == JsonValueKind.Number)
                    {
                        csv.WriteField(r.At.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture));
                        csv.WriteField(code);
                        csv.WriteField(value.Name);
                        csv.WriteField(value.Value.GetRawText());
                        csv.WriteField(r.Id);
                        csv.WriteField(r.Corrects?.ToString() ?? "");
                        csv.WriteField(r.By);
                        csv.NextRecord();
                    }
        }
        return Encoding.UTF8.GetBytes(text.ToString());
    }

    /// <summary>Text of the sums, paths in ordinal order.</summary>
    public static string SumsOf(IEnumerable<KeyValuePair<string, byte[]>> files) => string.Concat(files.OrderBy(f => f.Key, StringComparer.Ordinal)
        .Select(f => $"{Hex(f.Value)}  {f.Key}\n"));

    /// <summary>The archive with its sums and what it is.</summary>
    public static byte[] Zip(IReadOnlyDictionary<string, byte[]> files)
    {
        var sums = Encoding.UTF8.GetBytes(SumsOf(files));
        var manifest = JsonSerializer.SerializeToUtf8Bytes(new
        {
            format = "vanto-bundle",
            formatVersion = 1,
            files = files.OrderBy(f => f.Key, StringComparer.Ordinal).Select(f => new { path = f.Key, bytes = f.Value.Length, sha256 = Hex(f.Value) }),
            rootSha256 = Hex(sums),
        });
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (path, content) in files.Append(new(Sums, sums)).Append(new(Manifest, manifest)))
            {
                using var entry = zip.CreateEntry(path).Open();
                entry.Write(content);
            }
        return stream.ToArray();
    }

    /// <summary>What is wrong with an archive; nothing where all of it is whole.</summary>
    /// <exception cref="InvalidDataException">It is no archive, has a path that leads out of it, or has no sums.</exception>
    public static IReadOnlyList<string> Faults(byte[] archive) => Faults(Unpacked(archive));

    /// <summary>Files of an archive whose sums all stand.</summary>
    /// <exception cref="InvalidDataException">It is no archive, too large, has a path that leads out of it, no sums, or is not whole.</exception>
    public static IReadOnlyDictionary<string, byte[]> Read(byte[] archive)
    {
        var content = Unpacked(archive);
        return Faults(content) is [var fault, ..] ? throw new InvalidDataException(fault) : content;
    }

    private static Dictionary<string, byte[]> Unpacked(byte[] archive)
    {
        using var zip = new ZipArchive(new MemoryStream(archive), ZipArchiveMode.Read);
        if (zip.Entries.Any(e => e.FullName.Contains("..", StringComparison.Ordinal) || e.FullName.StartsWith('/') || e.FullName.Contains(':')))
            throw new InvalidDataException("a path in it leads out of the archive");
        if (zip.Entries.Select(e => e.FullName).Distinct().Count() < zip.Entries.Count)
            throw new InvalidDataException("a file stands in it twice");
        if (zip.Entries.Sum(e => e.Length) > Largest)
            throw new InvalidDataException("it is too large");
        return zip.Entries.ToDictionary(e => e.FullName, e =>
        {
            using var from = e.Open();
            using var to = new MemoryStream();
            from.CopyTo(to);
            return to.ToArray();
        });
    }

    private static IReadOnlyList<string> Faults(Dictionary<string, byte[]> content)
    {
        if (!content.TryGetValue(Sums, out var sums))
            throw new InvalidDataException("it has no sums");
        var lines = Encoding.UTF8.GetString(sums).Split('\n', StringSplitOptions.RemoveEmptyEntries);
        if (Array.Exists(lines, l => l.Length <= PathAt) || lines.Select(l => l[PathAt..]).Distinct().Count() < lines.Length)
            throw new InvalidDataException("its sums cannot be read");
        var told = lines.ToDictionary(l => l[PathAt..], l => l[..64]);
        return
        [
            .. told.Where(t => !content.ContainsKey(t.Key)).Select(t => $"{t.Key} is missing"),
            .. told.Where(t => content.TryGetValue(t.Key, out var c) && Hex(c) != t.Value).Select(t => $"{t.Key} was altered"),
            .. content.Keys.Where(k => k is not (Sums or Manifest) && !told.ContainsKey(k)).Select(k => $"{k} was put in"),
        ];
    }

    private static string Hex(byte[] content) => Convert.ToHexStringLower(SHA256.HashData(content));
}
