using System.Globalization;
using System.Reflection;
using System.Text.Json;
using CsvHelper;
using CsvHelper.Configuration;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Documents;

/// <summary>Units as CSV: one a row, columns named as in the job file, SI, decimal points.</summary>
public static class UnitCsv
{
    private static readonly PropertyInfo[] Columns = [.. typeof(AcUnit).GetProperties().Where(p => p.CanWrite && p.Name != nameof(DesignPart.Unknown))];
    private static readonly CsvConfiguration Format =
        new(CultureInfo.InvariantCulture) { MissingFieldFound = null, BadDataFound = null, TrimOptions = TrimOptions.Trim };

    public static string Write(IEnumerable<AcUnit> units)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, Format))
        {
            foreach (var column in Columns)
                csv.WriteField(Name(column));
            foreach (var unit in units)
            {
                csv.NextRecord();
                foreach (var column in Columns)
                    csv.WriteField(Cell(column.GetValue(unit)));
            }
            csv.NextRecord();
        }
        return text.ToString();
    }

    private static string? Cell(object? value) => value switch
    {
        Enum kind => JsonNamingPolicy.CamelCase.ConvertName(kind.ToString()),
        string text => Harmless(text),
        _ => Convert.ToString(value, CultureInfo.InvariantCulture),
    };

    /// <summary>A text that a spreadsheet would take for a formula gets an apostrophe before it, which is taken off again when it is read.</summary>
    private static string Harmless(string text) => text.Length > 0 && FormulaSigns.Contains(text[0]) ? Shield + text : text;

    private static string Unshielded(string text) => text.Length > 1 && text[0] == Shield && FormulaSigns.Contains(text[1]) ? text[1..] : text;

    private const char Shield = '\'';
    private const string FormulaSigns = "=+-@\t\r";

    /// <summary>Reads units; absent columns take their defaults.</summary>
    /// <exception cref="InputException">Every fault with its row and column.</exception>
    public static IReadOnlyList<AcUnit> Read(string text)
    {
        var errors = new List<InputError>();
        var units = new List<AcUnit>();
        using var csv = new CsvReader(new ShortLines(new StringReader(text), "file"), Format);
        if (!csv.Read() || !csv.ReadHeader())
            throw new InputException("file", "", "The file is empty; its first row must name the columns, such as id, kind, ratedCapacityW.");
        var unknown = csv.HeaderRecord!.Where(h => Columns.All(c => Name(c) != h)).ToList();
        if (unknown.Count > 0)
            throw new InputException("row 1", unknown[0],
                $"row 1: there is no column \"{unknown[0]}\"; the columns are {string.Join(", ", Columns.Select(Name))}");
        for (var row = 2; csv.Read(); row++)
        {
            var unit = new AcUnit();
            var before = errors.Count;
            foreach (var column in Columns.Where(c => csv.HeaderRecord!.Contains(Name(c))))
            {
                var given = csv.GetField(Name(column)) ?? "";
                if (given.Length > 0 && Value(column.PropertyType, given) is { } value)
                    column.SetValue(unit, value);
                else if (given.Length > 0)
                    errors.Add(InputError.Fault($"row {row}, {Name(column)}", given,
                        $"row {row}, {Name(column)}: \"{given}\" is no {(column.PropertyType.IsEnum ? "kind" : "number with a decimal point")}"));
            }
            if (errors.Count > before)
                continue;
            errors.AddRange(FieldCatalogue.Check(unit).Select(e => e.In($"row {row}", e.Field)));
            if (errors.Count == before)
                Checked(unit, row, errors);
            units.Add(unit);
        }
        foreach (var twin in units.GroupBy(u => u.Id).Where(g => g.Count() > 1))
            errors.Add(InputError.Fault("id", twin.Key, $"the name \"{twin.Key}\" stands in {twin.Count()} rows"));
        return errors.Count > 0 ? throw new InputException(errors) : units;
    }

    private static void Checked(AcUnit unit, int row, List<InputError> errors)
    {
        try
        {
            OwnUnits.Check(unit);
        }
        catch (InputException e)
        {
            errors.AddRange(e.Errors.Select(x => x.In($"row {row}", x.Field.Split('.')[^1])));
        }
    }

    private static object? Value(Type type, string text)
    {
        var kind = Nullable.GetUnderlyingType(type) ?? type;
        if (kind == typeof(string))
            return Unshielded(text);
        if (kind.IsEnum)
            return Enum.TryParse(kind, text, ignoreCase: true, out var chosen) && !int.TryParse(text, out _) ? chosen : null;
        return double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number) ? number : null;
    }

    private static string Name(PropertyInfo column) => JsonNamingPolicy.CamelCase.ConvertName(column.Name);
}
