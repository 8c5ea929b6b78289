using System.Globalization;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Instruments;

/// <summary>How a logger writes its time.</summary>
public enum LoggerTime
{
    [Called("date and time, ISO")] Iso, [Called("day number of a spreadsheet")] SpreadsheetDay, [Called("seconds since 1970")] UnixS,
    [Called("milliseconds since 1970")] UnixMs, [Called("seconds from a start")] ElapsedS, [Called("minutes from a start")] ElapsedMin,
    [Called("h:mm:ss from a start")] ElapsedHms,
}

/// <summary>A column as it looks.</summary>
/// <param name="Index">Counted from 0.</param>
/// <param name="Heading">As it stands.</param>
/// <param name="Units">It may be in; one where it is clear, none where it is asked outright.</param>
/// <param name="Times">True where it holds the time.</param>
public sealed record LoggerColumn(int Index, string Heading, IReadOnlyList<string> Units, bool Times);

/// <summary>A file of a logger as it looks, for a person to confirm.</summary>
/// <param name="HeaderRow">Its place among the rows.</param>
/// <param name="Columns">All.</param>
/// <param name="TimeColumn">Less than nothing where none was found.</param>
/// <param name="Time">How it is written.</param>
/// <param name="AsksZone">The time names no zone.</param>
/// <param name="AsksStart">The time is counted from a start that the file does not say.</param>
/// <param name="DecimalComma">Numbers have one.</param>
/// <param name="Sample">First rows.</param>
/// <param name="Rows">With readings.</param>
public sealed record LoggerGuess(int HeaderRow, IReadOnlyList<LoggerColumn> Columns, int TimeColumn, LoggerTime Time, bool AsksZone, bool AsksStart,
    bool DecimalComma, IReadOnlyList<IReadOnlyList<string>> Sample, int Rows);

/// <summary>A column that is taken over.</summary>
/// <param name="Unit">Of <see cref="LoggerUnits"/>.</param>
/// <param name="Instrument">As which it is kept.</param>
public sealed record TakenColumn(int Index, string Unit, string Instrument);

/// <summary>What a person confirmed.</summary>
/// <param name="Columns">Taken over.</param>
/// <param name="ZoneMin">Minutes ahead of UTC, where the time names none.</param>
/// <param name="Start">Where the time is counted from one.</param>
/// <param name="ClockS">Seconds that the logger's clock is behind; added.</param>
public sealed record LoggerMapping(IReadOnlyList<TakenColumn> Columns, int ZoneMin = 0, DateTimeOffset? Start = null, double ClockS = 0);

/// <summary>A row that could not be taken.</summary>
/// <param name="Line">In the file, counted from 1.</param>
/// <param name="Reason">Why.</param>
public sealed record RejectedRow(int Line, string Reason);

/// <summary>What was read.</summary>
/// <param name="Readings">Of all columns, in order of time.</param>
/// <param name="Rejected">Rows.</param>
/// <param name="Steps">Times the clock went back: a stretch of its own begins.</param>
/// <param name="Doubtful">Values that cannot be.</param>
/// <param name="Rows">With readings.</param>
public sealed record LoggerRead(IReadOnlyList<InstrumentReading> Readings, IReadOnlyList<RejectedRow> Rejected, int Steps, int Doubtful, int Rows)
{
    /// <summary>So large a share of rejected rows is said; the product's own choice.</summary>
    public const double ManyShare = 0.05;

    public bool ManyRejected => Rejected.Count > ManyShare * Math.Max(1, Rows);
}

/// <summary>
/// Readings out of a logger's table: what stands in which column is guessed, confirmed once, and nothing is assumed that can mean two things.
/// </summary>
public static class LoggerFile
{
    private const int SampleRows = 4;

    /// <summary>Readings of one file; the product's own choice.</summary>
    private const int MostReadings = 500_000;
    private const int LookedAt = 200;
    private const double FirstSerial = 25_000, LastSerial = 70_000, Milliseconds = 1e11, FirstUnix = 1e8;
    private static readonly DateTime SerialDay0 = new(1899, 12, 30, 0, 0, 0, DateTimeKind.Unspecified);
    private static readonly string[] TimeWords = ["time", "date", "timestamp", "elapsed", "seconds", "minutes"];

    /// <summary>Looks at a table.</summary>
    /// <param name="rows">Cells, line by line.</param>
    /// <exception cref="InputException">No heading is found, or no row with a number under it.</exception>
    public static LoggerGuess Guess(IReadOnlyList<IReadOnlyList<string>> rows)
    {
        var header = -1;
        for (var i = 0; i < Math.Min(rows.Count, LookedAt) && header < 0; i++)
            if (rows[i].Count(c => c.Any(char.IsLetter) && Number(c, false) is null && IsoOf(c) is null) >= 2
                || rows[i].Count >= 2 && rows[i].Any(c => c.Any(char.IsLetter)) && i + 1 < rows.Count && rows[i + 1].Count(IsValue) >= 2)
                header = i;
        if (header < 0)
            throw new InputException("file", $"{rows.Count} lines", "no line with headings is found: two columns with names are looked for");
        var body = rows.Skip(header + 1).Where(r => r.Count > 1 && r.Any(IsValue)).ToList();
        if (body.Count == 0)
            throw new InputException("file", $"{rows.Count} lines", "no line with numbers is found under the headings");
        var comma = body.Take(LookedAt).SelectMany(r => r).Count(c => c.Contains(',') && Number(c, true) is not null) > body.Take(LookedAt).Count() / 2;
        var heads = rows[header];
        var time = Enumerable.Range(0, heads.Count).Where(i => TimeWords.Any(w => heads[i].Contains(w, StringComparison.OrdinalIgnoreCase)))
            .Append(0).First();
        var form = FormOf([.. body.Take(LookedAt).Where(r => r.Count > time).Select(r => r[time])], heads[time], comma);
        var zoned = body.Take(1).Any(r => r.Count > time && HasZone(r[time]));
        return new LoggerGuess(header, [.. heads.Select((h, i) => new LoggerColumn(i, h.Trim(),
            i == time ? [] : [.. LoggerUnits.Of(h).Select(u => u.Text)], i == time))], form is null ? -1 : time, form ?? LoggerTime.Iso,
            form is LoggerTime.Iso && !zoned || form == LoggerTime.SpreadsheetDay,
            form is LoggerTime.ElapsedS or LoggerTime.ElapsedMin or LoggerTime.ElapsedHms, comma, [.. body.Take(SampleRows)], body.Count);
    }

    private static bool IsValue(string cell) => Number(cell, false) is not null || Number(cell, true) is not null;

    private static bool HasZone(string text) => text.TrimEnd().EndsWith('Z') || text.Length > 19 && text.LastIndexOfAny(['+', '-']) > 10;

    private static LoggerTime? FormOf(IReadOnlyList<string> cells, string heading, bool comma)
    {
        if (cells.All(c => IsoOf(c) is not null))
            return LoggerTime.Iso;
        if (cells.All(c => c.Contains(':') && TimeSpan.TryParse(c, CultureInfo.InvariantCulture, out _)))
            return LoggerTime.ElapsedHms;
        var numbers = cells.Select(c => Number(c, comma)).ToList();
        if (numbers.Count == 0 || numbers.Any(n => n is null))
            return null;
        return numbers[0] switch
        {
            > Milliseconds => LoggerTime.UnixMs,
            > FirstUnix => LoggerTime.UnixS,
            > FirstSerial and < LastSerial when !heading.Contains("elapsed", StringComparison.OrdinalIgnoreCase) => LoggerTime.SpreadsheetDay,
            _ => heading.Contains("min", StringComparison.OrdinalIgnoreCase) ? LoggerTime.ElapsedMin : LoggerTime.ElapsedS,
        };
    }

    private static double? Number(string cell, bool comma)
    {
        var text = comma ? cell.Replace(".", "", StringComparison.Ordinal).Replace(',', '.') : cell;
        return double.TryParse(text.Trim(), NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number) ? number : null;
    }

    private static DateTimeOffset? IsoOf(string cell)
    {
        var text = cell.Trim();
        return text.Length >= 16 && char.IsDigit(text[0]) && text[4] == '-' && DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture,
            DateTimeStyles.AssumeUniversal, out var at) ? at : null;
    }

    /// <summary>Reads a table as it was confirmed.</summary>
    /// <param name="rows">Cells, line by line.</param>
    /// <param name="m">What was confirmed.</param>
    /// <exception cref="InputException">A column that is not there, a unit that is not known, no start where one is needed, no time column.</exception>
    public static LoggerRead Read(IReadOnlyList<IReadOnlyList<string>> rows, LoggerMapping m)
    {
        var g = Guess(rows);
        Check(g, m);
        var columns = m.Columns.Select(c => (c.Index, Unit: LoggerUnits.Named(c.Unit)!, c.Instrument)).ToList();
        var readings = new List<InstrumentReading>();
        var rejected = new List<RejectedRow>();
        var (steps, doubtful, seq, last) = (0, 0, 0L, DateTimeOffset.MinValue);
        for (var i = g.HeaderRow + 1; i < rows.Count; i++)
        {
            var row = rows[i];
            if (row.All(string.IsNullOrWhiteSpace))
                continue;
            if (g.TimeColumn >= row.Count || At(row[g.TimeColumn], g, m) is not { } at)
            {
                rejected.Add(new RejectedRow(i + 1, g.TimeColumn < row.Count ? $"no time: \"{row[g.TimeColumn]}\"" : "no time"));
                continue;
            }
            var taken = 0;
            foreach (var (index, unit, instrument) in columns)
                if (index < row.Count && Number(row[index], g.DecimalComma) is { } number)
                {
                    var si = unit.ToSi(number);
                    var possible = InstrumentQuantities.Possible(unit.Quantity, si);
                    doubtful += possible ? 0 : 1;
                    if (readings.Count == MostReadings)
                        throw new InputException("file", $"more than {MostReadings} readings",
                            $"at most {MostReadings} readings are read at once: cut it in parts");
                    readings.Add(new InstrumentReading(instrument, unit.Quantity, si, at, seq, possible ? ReadingQuality.Good : ReadingQuality.Suspect));
                    taken++;
                }
            if (taken == 0)
                rejected.Add(new RejectedRow(i + 1, "no number in the columns that are taken"));
            if (at < last)
                steps++;
            last = at;
            seq++;
        }
        return new LoggerRead(steps == 0 ? readings : [.. readings.OrderBy(r => r.At).ThenBy(r => r.Seq)], rejected, steps, doubtful,
            (int)seq + rejected.Count);
    }

    private static void Check(LoggerGuess g, LoggerMapping m)
    {
        var errors = new List<InputError>();
        if (g.TimeColumn < 0)
            errors.Add(InputError.Fault("file", "", "no column holds a time that can be read: ISO dates, a spreadsheet's days, or seconds are"));
        if (g.AsksStart && m.Start is null)
            errors.Add(InputError.Fault("start", "", "the time is counted from a start: when was that?"));
        if (m.Columns.Count == 0)
            errors.Add(InputError.Fault("columns", "", "no column is taken over"));
        if (m.ZoneMin is < -840 or > 840)
            errors.Add(InputError.Fault("zoneMin", $"{m.ZoneMin}", $"{m.ZoneMin} min from UTC; -840 to 840 are"));
        if (!(Math.Abs(m.ClockS) <= 10 * 366 * 86400.0))
            errors.Add(InputError.Fault("clockS", $"{m.ClockS}", "a clock is off by ten years at most"));
        foreach (var c in m.Columns)
        {
            if (c is null)
            {
                errors.Add(InputError.Fault("columns", "nothing", "a column that is taken over is empty"));
                continue;
            }
            if (c.Index < 0 || c.Index >= g.Columns.Count || c.Index == g.TimeColumn)
                errors.Add(InputError.Fault("columns", $"{c.Index}", $"there is no column {c.Index} to take over"));
            if (LoggerUnits.Named(c.Unit) is null)
                errors.Add(InputError.Fault("columns", c.Unit, $"no unit \"{c.Unit}\""));
            if (!InstrumentMessage.IsId(c.Instrument))
                errors.Add(InputError.Fault("columns", c.Instrument, $"\"{c.Instrument}\": 1 to 32 small letters, digits or hyphens"));
        }
        if (errors.Count == 0 && m.Columns.GroupBy(c => (c.Instrument, LoggerUnits.Named(c.Unit)?.Quantity)).Any(x => x.Count() > 1))
            errors.Add(InputError.Fault("columns", "", "two columns of one quantity need two names of instruments"));
        if (errors.Count > 0)
            throw new InputException(errors);
    }

    private static DateTimeOffset? At(string cell, LoggerGuess g, LoggerMapping m)
    {
        try
        {
            var zone = TimeSpan.FromMinutes(m.ZoneMin);
            DateTimeOffset? at = g.Time switch
            {
                LoggerTime.Iso => IsoOf(cell) is { } iso ? g.AsksZone ? iso - zone : iso : null,
                LoggerTime.ElapsedHms => TimeSpan.TryParse(cell, CultureInfo.InvariantCulture, out var span) ? m.Start!.Value + span : null,
                _ => Number(cell, g.DecimalComma) is not { } number ? null : g.Time switch
                {
                    LoggerTime.SpreadsheetDay => new DateTimeOffset(SerialDay0.AddMilliseconds(Math.Round(number * 86_400_000)), TimeSpan.Zero) - zone,
                    LoggerTime.UnixS => DateTimeOffset.UnixEpoch.AddSeconds(number),
                    LoggerTime.UnixMs => DateTimeOffset.UnixEpoch.AddMilliseconds(number),
                    LoggerTime.ElapsedMin => m.Start!.Value.AddMinutes(number),
                    _ => m.Start!.Value.AddSeconds(number),
                },
            };
            return at?.AddSeconds(m.ClockS).ToUniversalTime();
        }
        catch (ArgumentOutOfRangeException)
        {
            return null;
        }
    }
}
