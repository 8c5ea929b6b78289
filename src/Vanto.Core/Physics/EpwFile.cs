using System.Globalization;
using System.Text;
using Vanto.Core.Findings;

namespace Vanto.Core.Physics;

/// <summary>A weather file as read: its year, what was noticed on the way.</summary>
public sealed record EpwResult(WeatherYear Year, IReadOnlyList<Finding> Findings);

/// <summary>
/// The open EPW text format (EnergyPlus Auxiliary Programs document, from memory): eight header lines, then one record of 35 fields an interval.
/// Dot decimals whatever the locale; missing codes are gaps; every fault names its line.
/// </summary>
public static class EpwFile
{
    private const int MostErrors = 12;
    private const int GapHours = 6;
    private static readonly string[] Headers = ["LOCATION", "DESIGN CONDITIONS", "TYPICAL/EXTREME PERIODS", "GROUND TEMPERATURES", "HOLIDAYS/DAYLIGHT SAVINGS",
        "COMMENTS 1", "COMMENTS 2", "DATA PERIODS"];

    private sealed record Field(int Column, string Name, double Missing, double Low, double High);

    private static readonly Field DryBulb = new(6, "dry bulb", 99.9, -70, 70);
    private static readonly Field DewPoint = new(7, "dew point", 99.9, -70, 70);
    private static readonly Field Humidity = new(8, "relative humidity", 999, 0, 110);
    private static readonly Field Pressure = new(9, "station pressure", 999999, 31000, 120000);
    private static readonly Field Infrared = new(12, "horizontal infrared", 9999, 0, 9998);
    private static readonly Field Global = new(13, "global horizontal", 9999, 0, 9998);
    private static readonly Field Direct = new(14, "direct normal", 9999, 0, 9998);
    private static readonly Field Diffuse = new(15, "diffuse horizontal", 9999, 0, 9998);
    private static readonly Field Wind = new(21, "wind speed", 999, 0, 40);
    private static readonly Field Cover = new(22, "total sky cover", 99, 0, 10);
    private static readonly Field Opaque = new(23, "opaque sky cover", 99, 0, 10);
    private static readonly Field[] Used = [DryBulb, DewPoint, Humidity, Pressure, Infrared, Global, Direct, Diffuse, Wind, Cover, Opaque];

    /// <summary>Reads a file.</summary>
    /// <exception cref="InputException">Not such a file, or faults by line; at most a dozen are named.</exception>
    public static EpwResult Read(string text)
    {
        var lines = text.Split('\n').Select(l => l.TrimEnd('\r')).ToList();
        while (lines.Count > 0 && lines[^1].Length == 0)
            lines.RemoveAt(lines.Count - 1);
        var errors = new List<InputError>();
        if (lines.Count < 9)
            throw new InputException("file", $"{lines.Count} lines", "An EPW file has eight header lines and a year of records; this one is shorter.");
        for (var i = 0; i < 8; i++)
            if (!lines[i].StartsWith(Headers[i], StringComparison.OrdinalIgnoreCase))
                throw new InputException($"line {i + 1}", Cut(lines[i]), $"line {i + 1} must begin with {Headers[i]}; it begins with \"{Cut(lines[i])}\"");
        var place = Location(lines[0]);
        var perHour = RecordsPerHour(lines[7]);
        var records = lines.Skip(8).ToList();
        if (records.Count % perHour != 0 || records.Count / perHour is not (8760 or 8784))
            throw new InputException("records", $"{records.Count}",
                $"A year has {8760 * perHour} or {8784 * perHour} records at {perHour} an hour; this file has {records.Count}.");
        var findings = new List<Finding>();
        var columns = Used.ToDictionary(f => f, _ => new double[records.Count / perHour]);
        Parse(records, perHour, columns, errors, findings);
        if (errors.Count > 0)
            throw new InputException(errors);
        if (records.Count / perHour == 8784)
            foreach (var field in Used)
                columns[field] = [.. columns[field].Take(1416), .. columns[field].Skip(1440)];
        return Build(place, columns, findings);
    }

    private static WeatherPlace Location(string line)
    {
        var parts = line.Split(',');
        if (parts.Length < 10)
            throw new InputException("line 1", $"{parts.Length} fields",
                "LOCATION needs ten fields: city, state, country, source, station, latitude, longitude, time zone, elevation");
        double Number(int at, string name, double low, double high) =>
            double.TryParse(parts[at].Trim(), NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && value >= low && value <= high
                ? value
                : throw new InputException("line 1", Cut(parts[at]),
                    FormattableString.Invariant($"LOCATION: {name} must be {low} to {high}; got \"{Cut(parts[at])}\""));
        return new WeatherPlace(parts[1].Trim(), Number(6, "latitude", -90, 90), Number(7, "longitude", -180, 180), Number(8, "time zone", -12, 14),
            Number(9, "elevation", -430, 5000));
    }

    private static int RecordsPerHour(string line)
    {
        var parts = line.Split(',');
        return parts.Length > 2 && int.TryParse(parts[2].Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n is 1 or 2 or 4 or 6 or 12
            ? n
            : throw new InputException("line 8", Cut(line), "DATA PERIODS: the records an hour must be 1, 2, 4, 6 or 12");
    }

    private static void Parse(List<string> records, int perHour, Dictionary<Field, double[]> columns, List<InputError> errors, List<Finding> findings)
    {
        var extra = 0;
        var soaked = 0;
        for (var i = 0; i < records.Count && errors.Count < MostErrors; i++)
        {
            var line = i + 9;
            var parts = records[i].Split(',');
            if (parts.Length < 35)
            {
                errors.Add(InputError.Fault($"line {line}", $"{parts.Length} fields", $"line {line}: a record has 35 fields; this one has {parts.Length}"));
                continue;
            }
            extra += parts.Length > 35 ? 1 : 0;
            if (!int.TryParse(parts[3].Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var hour) || hour != i / perHour % 24 + 1)
                errors.Add(InputError.Fault($"line {line}", Cut(parts[3]),
                    $"line {line}: hour {i / perHour % 24 + 1} is due here, the record says \"{Cut(parts[3])}\""));
            foreach (var field in Used)
            {
                if (!double.TryParse(parts[field.Column].Trim(), NumberStyles.Float, CultureInfo.InvariantCulture, out var value) || !double.IsFinite(value))
                {
                    errors.Add(InputError.Fault($"line {line}", Cut(parts[field.Column]),
                        $"line {line}: {field.Name} \"{Cut(parts[field.Column])}\" is no number with a decimal point"));
                    value = double.NaN;
                }
                else if (value >= field.Missing)
                    value = double.NaN;
                else if (value < field.Low || value > field.High)
                    errors.Add(InputError.Fault($"line {line}", Cut(parts[field.Column]),
                        FormattableString.Invariant($"line {line}: {field.Name} must be {field.Low} to {field.High}; got {value}")));
                if (field == Humidity && value > 100)
                {
                    value = 100;
                    soaked++;
                }
                columns[field][i / perHour] += value / perHour;
            }
        }
        if (extra > 0)
            findings.Add(Finding.Of(FindingCode.EpwExtra, Severity.Note, $"{extra} records have more than 35 fields; the rest is not used."));
        if (soaked > 0)
            findings.Add(Finding.Of(FindingCode.EpwHumidity, Severity.Note, $"{soaked} records have a humidity above 100 %; it is read as 100 %."));
    }

    private static EpwResult Build(WeatherPlace place, Dictionary<Field, double[]> columns, List<Finding> findings)
    {
        var hours = columns[DryBulb].Length;
        Fill(columns[DryBulb], DryBulb.Name, findings);
        Fill(columns[Wind], Wind.Name, findings);
        var pressure = columns[Pressure];
        for (var h = 0; h < hours; h++)
            pressure[h] = double.IsNaN(pressure[h]) ? place.PressurePa : pressure[h];
        var ratio = new double[hours];
        for (var h = 0; h < hours; h++)
            ratio[h] = !double.IsNaN(columns[DewPoint][h])
                ? MoistAir.SaturationRatio(Math.Min(columns[DewPoint][h], columns[DryBulb][h]), pressure[h])
                : double.IsNaN(columns[Humidity][h]) ? double.NaN : MoistAir.RatioFromRh(columns[DryBulb][h], Math.Max(1, columns[Humidity][h]), pressure[h]);
        Fill(ratio, "humidity", findings);
        var (global, direct, diffuse) = Radiation(place, columns, findings);
        var cloud = new double[hours];
        var sky = new double[hours];
        for (var h = 0; h < hours; h++)
        {
            var cover = double.IsNaN(columns[Opaque][h]) ? columns[Cover][h] : columns[Opaque][h];
            cloud[h] = double.IsNaN(cover) ? 0 : cover / 10;
            sky[h] = columns[Infrared][h] > 0 ? Math.Pow(columns[Infrared][h] / SkyLongWave.StefanBoltzmann, 0.25) - 273.15 : double.NaN;
        }
        return new EpwResult(new WeatherYear
        {
            Place = place,
            FirstDay = 1,
            AirC = columns[DryBulb],
            HumidityRatio = ratio,
            GlobalWm2 = global,
            DirectWm2 = direct,
            DiffuseWm2 = diffuse,
            Cloud = cloud,
            WindMs = columns[Wind],
            SkyC = sky,
        }, findings);
    }

    private static (double[] Global, double[] Direct, double[] Diffuse) Radiation(WeatherPlace place, Dictionary<Field, double[]> columns,
        List<Finding> findings)
    {
        var (global, direct, diffuse) = (columns[Global], columns[Direct], columns[Diffuse]);
        int high = 0, off = 0;
        for (var h = 0; h < global.Length; h++)
        {
            var date = WeatherCalendar.Day(1 + h / 24);
            var sun = Sun.Position(WeatherCalendar.Year, date.Month, date.Day, h % 24 + 0.5, place.UtcOffsetH, place.LatitudeDeg, place.LongitudeDeg);
            var cos = Math.Max(0, Math.Cos(double.DegreesToRadians(sun.ZenithDeg)));
            if (double.IsNaN(global[h]) && !double.IsNaN(direct[h]) && !double.IsNaN(diffuse[h]))
                global[h] = direct[h] * cos + diffuse[h];
            if (double.IsNaN(global[h]) && cos == 0)
                global[h] = 0;
            if (double.IsNaN(direct[h]) || double.IsNaN(diffuse[h]))
            {
                if (double.IsNaN(global[h]))
                    continue;
                var split = DiffuseSplit.Split(global[h], cos, Sun.Extraterrestrial(date.DayOfYear));
                (direct[h], diffuse[h]) = (split.Direct, split.Diffuse);
            }
            if (sun.ZenithDeg >= 80)
                continue;
            high++;
            off += Math.Abs(global[h] - (direct[h] * cos + diffuse[h])) > Math.Max(50, 0.15 * global[h]) ? 1 : 0;
        }
        Fill(global, Global.Name, findings);
        Fill(direct, Direct.Name, findings);
        Fill(diffuse, Diffuse.Name, findings);
        if (high > 0 && off > 0.05 * high)
            findings.Add(Finding.Of(FindingCode.EpwRadiation, Severity.Caution,
                $"In {(double)off / high:Fraction} of the sunny hours global sun is not direct and diffuse together: a wrong time zone or interval?"));
        return (global, direct, diffuse);
    }

    /// <summary>Gaps of up to six hours are bridged by a straight line; longer ones refuse the file.</summary>
    private static void Fill(double[] series, string name, List<Finding> findings)
    {
        var bridged = 0;
        for (var h = 0; h < series.Length; h++)
        {
            if (!double.IsNaN(series[h]))
                continue;
            var end = h;
            while (end < series.Length && double.IsNaN(series[end]))
                end++;
            if (end - h > GapHours)
                throw new InputException("epw.gap", $"{end - h} hours",
                    $"{name} is missing for {end - h} hours from line {h + 9} on; at most {GapHours} can be bridged");
            var before = h > 0 ? series[h - 1] : series[Math.Min(end, series.Length - 1)];
            var after = end < series.Length ? series[end] : before;
            for (var k = h; k < end; k++, bridged++)
                series[k] = before + (after - before) * (k - h + 1) / (end - h + 1);
            h = end;
        }
        if (bridged > 0)
            findings.Add(Finding.Of(FindingCode.EpwBridged, Severity.Note, $"{bridged} hours of {name} were missing and are bridged by straight lines."));
    }

    /// <summary>Writes a year as such a file; what is not known carries its missing code.</summary>
    public static string Write(WeatherYear year, string comment)
    {
        var place = year.Place;
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture,
            $"LOCATION,{Clean(place.Name)},-,-,synthetic,0,{place.LatitudeDeg:0.####},{place.LongitudeDeg:0.####},"
                + $"{place.UtcOffsetH:0.##},{place.ElevationM:0.#}\n");
        text.Append("DESIGN CONDITIONS,0\nTYPICAL/EXTREME PERIODS,0\nGROUND TEMPERATURES,0\nHOLIDAYS/DAYLIGHT SAVINGS,No,0,0,0\n");
        text.Append(CultureInfo.InvariantCulture, $"COMMENTS 1,{Clean(comment)}\nCOMMENTS 2,-\nDATA PERIODS,1,1,Data,Sunday, 1/ 1,12/31\n");
        var pressure = place.PressurePa;
        for (var h = 0; h < year.Hours; h++)
        {
            var date = WeatherCalendar.Day(1 + h / 24);
            var sun =
                Sun.Position(WeatherCalendar.Year, date.Month, date.Day, h % 24 + 0.5, place.UtcOffsetH, place.LatitudeDeg, place.LongitudeDeg, pressure);
            var sky = DiffuseSplit.Split(year.GlobalWm2[h], Math.Max(0, Math.Cos(double.DegreesToRadians(sun.ZenithDeg))),
                Sun.Extraterrestrial(date.DayOfYear));
            var rh = Math.Min(100, MoistAir.RelativeHumidity(year.AirC[h], year.HumidityRatio[h], pressure));
            text.Append(CultureInfo.InvariantCulture,
                $"{WeatherCalendar.Year},{date.Month},{date.Day},{h % 24 + 1},60,?9,{year.AirC[h]:0.0#},"
                    + $"{MoistAir.DewPoint(year.HumidityRatio[h], pressure):0.0#},{rh:0},{pressure:0},"
                    + $"9999,9999,9999,{year.GlobalWm2[h]:0.#},{sky.Direct:0.#},{sky.Diffuse:0.#},"
                    + $"999900,999900,999900,9999,999,{year.WindMs[h]:0.0},{year.Cloud[h] * 10:0},{year.Cloud[h] * 10:0},"
                    + $"9999,99999,9,999999999,999,.999,999,99,999,999,99\n");
        }
        return text.ToString();
    }

    private static string Clean(string text) => text.Replace(',', ' ').Replace('\n', ' ').Trim();

    private static string Cut(string text) => text.Length > 24 ? text[..24] + "…" : text;
}
