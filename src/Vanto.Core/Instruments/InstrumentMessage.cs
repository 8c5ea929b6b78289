using System.Buffers;
using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace Vanto.Core.Instruments;

/// <summary>
/// Messages of instruments: topic <c>vanto/v1/{job}/{instrument}/{quantity}</c>, a small JSON object in UTF-8. The form is this product's own and open.
/// </summary>
public static partial class InstrumentMessage
{
    /// <summary>Of the form.</summary>
    public const int Version = 1;

    /// <summary>Longer ones are refused unread.</summary>
    public const int MostBytes = 1024;

    /// <summary>Newest number that is taken: what every program can count.</summary>
    private const long MostSeq = 1L << 53;

    private const string Root = "vanto/v1/";

    [GeneratedRegex("^[a-z0-9-]{1,32}$")]
    private static partial Regex Id();

    /// <summary>True for a name that an instrument or a job may have.</summary>
    public static bool IsId(string text) => Id().IsMatch(text);

    /// <summary>Where a reading is sent.</summary>
    public static string Topic(string job, string instrument, InstrumentQuantity quantity) =>
        $"{Root}{job}/{instrument}/{InstrumentQuantities.Name(quantity)}";

    /// <summary>Where an instrument says that it is there.</summary>
    public static string StatusTopic(string job, string instrument) => $"{Root}{job}/{instrument}/status";

    /// <summary>What a topic names; nothing where it is none of these.</summary>
    public static (string Job, string Instrument, string Last)? Parts(string topic)
    {
        if (!topic.StartsWith(Root, StringComparison.Ordinal) || topic[Root.Length..].Split('/') is not [var job, var instrument, var last])
            return null;
        return IsId(job) && IsId(instrument) ? (job, instrument, last) : null;
    }

    /// <summary>Reads a message.</summary>
    /// <returns>The job and the reading, or why it is refused.</returns>
    public static (string Job, InstrumentReading? Reading, string Refused) Read(string topic, ReadOnlySequence<byte> payload)
    {
        static (string, InstrumentReading?, string) No(string why) => ("", null, why);
        if (Parts(topic) is not var (job, instrument, name))
            return No($"no topic of the form {Root}job/instrument/quantity");
        if (InstrumentQuantities.Named(name) is not { } quantity)
            return No($"no quantity \"{name}\"");
        if (payload.Length > MostBytes)
            return No($"{payload.Length} bytes; at most {MostBytes} are taken");
        try
        {
            using var document = JsonDocument.Parse(payload, new JsonDocumentOptions { MaxDepth = 2 });
            var m = document.RootElement;
            if (m.ValueKind != JsonValueKind.Object)
                return No("no object");
            if (!Whole(m, "v", out var version) || version != Version)
                return No($"version {Text(m, "v")}; {Version} is known");
            if (Text(m, "unit") != InstrumentQuantities.Unit(quantity))
                return No($"{name} comes in {InstrumentQuantities.Unit(quantity)}; this one in \"{Text(m, "unit")}\"");
            if (!Whole(m, "seq", out var seq) || seq is < 0 or > MostSeq)
                return No("seq is no whole number from 0 on");
            if (!DateTimeOffset.TryParse(Text(m, "ts"), CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at))
                return No($"ts \"{Text(m, "ts")}\" is no moment");
            var said = m.TryGetProperty("quality", out var q) ? q.ToString() : "good";
            if (!Enum.TryParse<ReadingQuality>(said, true, out var quality) || !Enum.IsDefined(quality))
                return No($"quality \"{Text(m, "quality")}\" is not known");
            double? value = m.TryGetProperty("value", out var v) && v.ValueKind == JsonValueKind.Number ? v.GetDouble() : null;
            if (value is null ? quality == ReadingQuality.Good : !double.IsFinite(value.Value))
                return No("no value, and the quality is good");
            var simulated = m.TryGetProperty("sim", out var s) && s.ValueKind == JsonValueKind.True;
            var rate = simulated && m.TryGetProperty("rate", out var r) && r.ValueKind == JsonValueKind.Number ? r.GetDouble() : 1;
            if (value is { } number && quality == ReadingQuality.Good && !InstrumentQuantities.Possible(quantity, number))
                quality = ReadingQuality.Suspect;
            return (job, new InstrumentReading(instrument, quantity, value, at.ToUniversalTime(), seq, quality, simulated, rate), "");
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or FormatException)
        {
            return No("no JSON that can be read");
        }
    }

    /// <summary>A reading as it is sent.</summary>
    public static byte[] Write(string job, InstrumentReading r) => JsonSerializer.SerializeToUtf8Bytes(new
    {
        v = Version,
        job,
        instrument = r.Instrument,
        quantity = InstrumentQuantities.Name(r.Quantity),
        value = r.Value,
        unit = InstrumentQuantities.Unit(r.Quantity),
        ts = r.At.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture),
        seq = r.Seq,
        quality = r.Quality.ToString().ToLowerInvariant(),
        sim = r.Simulated,
        rate = r.Rate,
    });

    private static string Text(JsonElement m, string name) => m.TryGetProperty(name, out var value) ? value.ToString() : "";

    private static bool Whole(JsonElement m, string name, out long value)
    {
        value = 0;
        return m.TryGetProperty(name, out var v) && v.ValueKind == JsonValueKind.Number && v.TryGetInt64(out value);
    }
}
