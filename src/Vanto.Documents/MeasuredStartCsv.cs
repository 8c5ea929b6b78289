using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Vanto.Core.Findings;
using Vanto.Core.Start;

namespace Vanto.Documents;

/// <summary>A logger's record of a start: a time column (header with "ms" or "s") and a current column in amperes RMS.</summary>
public static class MeasuredStartCsv
{
    private const int MostRows = 4000;

    /// <summary>Reads it; the first reading is time 0.</summary>
    /// <exception cref="InputException">No header, fewer than three rows, or a cell that is no number; the row is named.</exception>
    public static IReadOnlyList<MeasuredMoment> Read(string text)
    {
        using var csv = new CsvReader(new ShortLines(new StringReader(text), "measured"), new CsvConfiguration(
            CultureInfo.InvariantCulture)
        { DetectDelimiter = true, DetectDelimiterValues = [",", ";", "\t"], BadDataFound = null, MissingFieldFound = null });
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord!.Length < 2)
            throw new InputException("measured", "", "A measured start needs a header and two columns: time (ms or s) and current (A).");
        var perUnit = csv.HeaderRecord[0].Contains("ms", StringComparison.OrdinalIgnoreCase) ? 1.0 : 1000;
        var moments = new List<MeasuredMoment>();
        while (csv.Read())
        {
            if (moments.Count == MostRows)
                throw new InputException("measured", $"{MostRows}", $"A measured start has at most {MostRows} rows; thin it out.");
            moments.Add(new MeasuredMoment { AfterMs = Number(csv, 0, "time", 0, 1e9) * perUnit, CurrentA = Number(csv, 1, "current", 0, 1000) });
        }
        if (moments.Count < 3)
            throw new InputException("measured", $"{moments.Count}", $"A measured start needs at least three rows; got {moments.Count}.");
        var first = moments[0].AfterMs;
        var last = first - 1;
        foreach (var (moment, i) in moments.Select((m, i) => (m, i)))
        {
            if (moment.AfterMs <= last)
                throw new InputException("measured", FormattableString.Invariant($"{moment.AfterMs} ms"), $"row {i + 2}: time must rise from row to row");
            last = moment.AfterMs;
        }
        return [.. moments.Select(m => m with { AfterMs = Math.Round(m.AfterMs - first, 4) }).Where(m => m.AfterMs <= 10000)];
    }

    private static double Number(CsvReader csv, int column, string name, double from, double to)
    {
        var cell = csv.GetField(column) ?? "";
        return double.TryParse(cell, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && value >= from && value <= to
            ? value
            : throw new InputException("measured", cell,
                FormattableString.Invariant($"row {csv.Parser.Row}, {name}: must be a number from {from} to {to}; got \"{cell}\""));
    }
}
