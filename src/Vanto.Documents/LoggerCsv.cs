using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Vanto.Core.Findings;

namespace Vanto.Documents;

/// <summary>Reads the table of a logger: comma, semicolon or tab between, UTF-8 or Latin-1.</summary>
public static class LoggerCsv
{
    private const int MostRows = 500_000;

    /// <summary>Of a logger's table; the product's own choice.</summary>
    private const int MostColumns = 200, MostCells = 2_000_000;
    private const int LookedAt = 4096;
    private static readonly char[] Delimiters = ['\t', ';', ','];

    /// <summary>Rows of cells, line by line; a line that is empty stands as one empty row.</summary>
    /// <exception cref="InputException">No text, or more rows than are taken.</exception>
    public static IReadOnlyList<IReadOnlyList<string>> Rows(byte[] content)
    {
        if (content.Length == 0 || content.Take(LookedAt).Any(b => b == 0))
            throw new InputException("file", $"{content.Length} bytes", "a text with columns is read: CSV, or with tabs or semicolons between");
        var text = Text(content);
        var rows = new List<IReadOnlyList<string>>();
        using var parser = new CsvParser(new ShortLines(new StringReader(text), "file"), new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = DelimiterOf(text).ToString(),
            BadDataFound = null,
            IgnoreBlankLines = false,
            HasHeaderRecord = false,
            CacheFields = true,
        });
        var cells = 0;
        while (parser.Read())
        {
            var record = parser.Record ?? [];
            if (record.Length > MostColumns)
                throw new InputException("file", $"{record.Length} columns",
                    $"line {rows.Count + 1} has {record.Length} columns; at most {MostColumns} are read");
            if ((cells += record.Length) > MostCells)
                throw new InputException("file", $"more than {MostCells} cells", $"at most {MostCells} cells are read at once: cut it in parts");
            rows.Add(record);
            if (rows.Count > MostRows)
                throw new InputException("file", $"more than {MostRows} lines", $"at most {MostRows} lines are read at once: cut it in parts");
        }
        return rows;
    }

    private static string Text(byte[] content)
    {
        try
        {
            return new UTF8Encoding(false, true).GetString(content).TrimStart('\uFEFF');
        }
        catch (DecoderFallbackException)
        {
            return Encoding.Latin1.GetString(content);
        }
    }

    /// <summary>What stands in most lines, and most evenly: tab before semicolon before comma.</summary>
    private static char DelimiterOf(string text)
    {
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries).Skip(1).Take(50).ToList();
        return Delimiters.OrderByDescending(d => lines.Count(l => l.Contains(d))).First();
    }
}
