using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Vanto.Core.Findings;
using Vanto.Core.Instruments;

namespace Vanto.Documents;

/// <summary>A reading of an instrument as it goes from laptop to laptop.</summary>
/// <param name="Late">It came too late for a verdict that was given.</param>
public sealed record TracedReading(InstrumentReading Reading, bool Late);

/// <summary>What an instrument read, one reading a row (RFC 4180), SI; an empty value is a moment without one.</summary>
public static class TraceCsv
{
    private static readonly string[] Columns = ["instant_utc", "job_code", "instrument_id", "quantity", "value", "unit", "quality", "seq", "late"];
    private const string Instant = "yyyy-MM-dd'T'HH:mm:ss.fff'Z'";
    private static readonly CsvConfiguration Format = new(CultureInfo.InvariantCulture) { NewLine = "\r\n", BadDataFound = null, MissingFieldFound = null };

    /// <summary>Rows in the order given.</summary>
    public static byte[] Write(IEnumerable<TracedReading> readings, string code)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, Format))
        {
            foreach (var column in Columns)
                csv.WriteField(column);
            csv.NextRecord();
            foreach (var (r, late) in readings)
            {
                csv.WriteField(r.At.UtcDateTime.ToString(Instant, CultureInfo.InvariantCulture));
                csv.WriteField(code);
                csv.WriteField(r.Instrument);
                csv.WriteField(InstrumentQuantities.Name(r.Quantity));
                csv.WriteField(r.Value?.ToString("R", CultureInfo.InvariantCulture) ?? "");
                csv.WriteField(InstrumentQuantities.Unit(r.Quantity));
                csv.WriteField(r.Quality.ToString());
                csv.WriteField(r.Seq);
                csv.WriteField(late ? "late" : "");
                csv.NextRecord();
            }
        }
        return Encoding.UTF8.GetBytes(text.ToString());
    }

    /// <summary>Rows of a file that <see cref="Write"/> wrote, one after another.</summary>
    /// <param name="path">How it is called where something is wrong with it.</param>
    /// <exception cref="InputException">Other columns, or a value that no instrument sends; the row is named.</exception>
    public static IEnumerable<TracedReading> Read(Stream content, string path)
    {
        using var csv = new CsvReader(new ShortLines(new StreamReader(content, Encoding.UTF8), path), Format);
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is not { } head || !Columns.SequenceEqual(head))
            throw new InputException(path, "", $"{path}: the columns of a trace are {string.Join(", ", Columns)}.");
        while (csv.Read())
            yield return Row(csv, path);
    }

    private static TracedReading Row(CsvReader csv, string path)
    {
        string Of(string column) => csv.GetField(column) ?? "";
        InputException No(string column, string why) => new(path, Of(column), $"{path}, row {csv.Parser.Row}: {why}");
        T Must<T>(string column, bool stands, T value) => stands ? value : throw No(column, $"\"{Of(column)}\" is no {column}.");
        var invariant = CultureInfo.InvariantCulture;
        var instrument = Of("instrument_id");
        if (!InstrumentMessage.IsId(instrument))
            throw No("instrument_id", $"\"{instrument}\" is no instrument_id: small letters, digits, hyphens.");
        var quality = Must("quality", Enum.TryParse<ReadingQuality>(Of("quality"), out var said) && Enum.IsDefined(said), said);
        double? value = Of("value").Length == 0 ? null
            : Must("value", double.TryParse(Of("value"), NumberStyles.Float, invariant, out var number) && double.IsFinite(number), number);
        if (value is null && quality == ReadingQuality.Good)
            throw No("value", "a good reading has a value.");
        var quantity = InstrumentQuantities.Named(Of("quantity")) ?? throw No("quantity", $"\"{Of("quantity")}\" is no quantity.");
        var at = Must("instant_utc",
            DateTimeOffset.TryParseExact(Of("instant_utc"), Instant, invariant, DateTimeStyles.AssumeUniversal, out var moment), moment);
        var seq = Must("seq", long.TryParse(Of("seq"), NumberStyles.None, invariant, out var count), count);
        return new TracedReading(new InstrumentReading(instrument, quantity, value, at, seq, quality), Of("late") == "late");
    }
}
