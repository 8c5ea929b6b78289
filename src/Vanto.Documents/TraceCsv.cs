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

    /// <summary>Rows of a file that <see cref="Write"/> wrote.</summary>
    /// <param name="path">How it is called where something is wrong with it.</param>
    /// <exception cref="InputException">Other columns, or a value that no instrument sends; the row is named.</exception>
    public static IReadOnlyList<TracedReading> Read(byte[] content, string path)
    {
        using var csv = new CsvReader(new StringReader(Encoding.UTF8.GetString(content)), Format);
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is not { } head || !Columns.SequenceEqual(head))
            throw new InputException(path, "", $"{path}: the columns of a trace are {string.Join(", ", Columns)}.");
        var rows = new List<TracedReading>();
        while (csv.Read())
            rows.Add(Row(csv, path));
        return rows;
    }

    private static TracedReading Row(CsvReader csv, string path)
    {
        T Must<T>(int column, T? value) where T : struct => value ?? throw new InputException(path, csv.GetField(column) ?? "",
            $"{path}, row {csv.Parser.Row}: \"{csv.GetField(column)}\" is no {Columns[column]}.");
        var quantity = Must(3, InstrumentQuantities.Named(csv.GetField(3) ?? ""));
        var quality = Must(6, Enum.TryParse<ReadingQuality>(csv.GetField(6), out var q) && Enum.IsDefined(q) ? q : (ReadingQuality?)null);
        double? value = csv.GetField(4) is not { Length: > 0 } text ? null
            : Must(4, double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var v) && double.IsFinite(v) ? v : (double?)null);
        if (value is null && quality == ReadingQuality.Good)
            throw new InputException(path, "", $"{path}, row {csv.Parser.Row}: a good reading has a value.");
        var at = Must(0, DateTimeOffset.TryParseExact(csv.GetField(0), Instant, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var moment)
            ? moment : (DateTimeOffset?)null);
        var seq = Must(7, long.TryParse(csv.GetField(7), NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : (long?)null);
        var instrument = csv.GetField(2) ?? "";
        if (!InstrumentMessage.IsId(instrument))
            throw new InputException(path, instrument, $"{path}, row {csv.Parser.Row}: \"{instrument}\" is no instrument_id: small letters, digits, hyphens.");
        return new TracedReading(new InstrumentReading(instrument, quantity, value, at, seq, quality), csv.GetField(8) == "late");
    }
}
