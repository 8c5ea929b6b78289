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

    /// <summary>File that says what it is.</summary>
    public const string Manifest = "manifest.json";

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

    /// <summary>The log of a bundle, record by record.</summary>
    /// <exception cref="InvalidDataException">It is none, has too many records, or one that is longer than any is.</exception>
    public static IEnumerable<BundledRecord> Events(byte[] content)
    {
        foreach (var (from, length) in Places(content))
            yield return Record(content.AsSpan(from, length));
    }

    /// <summary>Where each record begins, and how long it is: each is read by itself, so that none costs more than it may be long.</summary>
    private static List<(int From, int Length)> Places(ReadOnlySpan<byte> content)
    {
        var places = new List<(int, int)>();
        try
        {
            var reader = new Utf8JsonReader(content);
            if (!reader.Read() || reader.TokenType != JsonTokenType.StartArray)
                throw new InvalidDataException("its log cannot be read: it is no list of records");
            while (reader.Read() && reader.TokenType != JsonTokenType.EndArray)
            {
                var from = (int)reader.TokenStartIndex;
                reader.Skip();
                places.Add((from, (int)reader.BytesConsumed - from));
                if (places.Count > MostRecords)
                    throw new InvalidDataException($"its log has more than {MostRecords} records");
                if (places[^1].Item2 > LongestRecord)
                    throw new InvalidDataException($"a record of its log is longer than {LongestRecord >> 10} kB");
            }
            return reader.TokenType == JsonTokenType.EndArray && !reader.Read() ? places : throw new InvalidDataException("its log breaks off");
        }
        catch (JsonException e)
        {
            throw new InvalidDataException($"its log cannot be read: {e.Message}");
        }
    }

    private static BundledRecord Record(ReadOnlySpan<byte> content)
    {
        try
        {
            return JsonSerializer.Deserialize<BundledRecord>(content, Written) ?? throw new InvalidDataException("a record of its log is empty");
        }
        catch (JsonException e)
        {
            throw new InvalidDataException($"a record of its log cannot be read: {e.Message}");
        }
    }

    /// <summary>Records of one log, and bytes of one record; the longest is a kept row of the shop. The product's own choice.</summary>
    public const int MostRecords = 50_000, LongestRecord = 512 << 10;

    /// <summary>Bytes of a log.</summary>
    public const int LongestLog = 32 << 20;

    private static readonly JsonSerializerOptions Written = new(JsonSerializerDefaults.Web)
    {
        WriteIndented = true,
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true,
        AllowDuplicateProperties = false,
    };

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

    private static string Hex(byte[] content) => Convert.ToHexStringLower(SHA256.HashData(content));
}
