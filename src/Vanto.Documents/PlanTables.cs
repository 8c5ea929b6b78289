using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using MiniExcelLibs;
using Vanto.Core.Findings;
using Vanto.Core.Plan;

namespace Vanto.Documents;

/// <summary>The plan as calendar and tables: ICS, CSV, XLSX.</summary>
public static class PlanTables
{
    private static readonly CsvConfiguration Format = new(CultureInfo.InvariantCulture) { MissingFieldFound = null, HeaderValidated = null };

    /// <summary>A price as it is written in a file.</summary>
    private sealed record PriceRow
    {
        public string Item { get; init; } = "";
        public string Supplier { get; init; } = "";
        public double Pack { get; init; }
        public double Price { get; init; }
        public int? LeadDays { get; init; }
        public string Date { get; init; } = "";
    }

    /// <summary>The days as a calendar; each block of work is an event in the rig's own time.</summary>
    /// <exception cref="InputException">No first day is set, so nothing has a date.</exception>
    public static string Ics(string rig, PlanAssessment plan, DateOnly? first)
    {
        if (first is not { } day)
            throw new InputException("plan.when.firstDay", "nothing", "set the first day: a calendar needs dates");
        var calendar = new Ical.Net.Calendar { ProductId = "-//Vanto//plan//EN" };
        foreach (var (b, i) in plan.Blocks.Select((b, i) => (b, i)))
        {
            var at = day.AddDays(b.Day).ToDateTime(TimeOnly.MinValue);
            calendar.Events.Add(new CalendarEvent
            {
                Uid = $"{rig}-{day:yyyyMMdd}-{i}@vanto",
                Summary = $"{rig}: {b.Words} ({plan.People[b.Person].Name})",
                Description = string.Join("\n", b.Steps),
                Start = new CalDateTime(at.AddMinutes(b.From)),
                End = new CalDateTime(at.AddMinutes(b.To)),
            });
        }
        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    /// <summary>What is bought, as a sheet.</summary>
    public static byte[] BuyXlsx(PlanAssessment plan)
    {
        using var stream = new MemoryStream();
        stream.SaveAs(plan.Buy.Select(b => new
        {
            b.Id,
            b.Name,
            b.Unit,
            b.Quantity,
            b.InBox,
            b.Need,
            b.Packs,
            b.Bought,
            b.Cost,
            b.OrderBy,
            b.NeededBy,
            b.Because,
            b.Changed,
        }));
        return stream.ToArray();
    }

    /// <summary>The price book as CSV.</summary>
    public static string PricesCsv(IReadOnlyList<PriceDesign> prices)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, Format))
            csv.WriteRecords(prices.Select(Row));
        return text.ToString();
    }

    /// <summary>The price book as XLSX.</summary>
    public static byte[] PricesXlsx(IReadOnlyList<PriceDesign> prices)
    {
        using var stream = new MemoryStream();
        stream.SaveAs(prices.Select(Row));
        return stream.ToArray();
    }

    private static PriceRow Row(PriceDesign p) =>
        new() { Item = p.Item, Supplier = p.Supplier, Pack = p.Pack, Price = p.Price, LeadDays = p.LeadDays, Date = p.Date };

    /// <summary>Reads a price book from CSV.</summary>
    /// <exception cref="InputException">A row that is none, with its number.</exception>
    public static IReadOnlyList<PriceDesign> ReadCsv(string text)
    {
        using var csv = new CsvReader(new ShortLines(new StringReader(text), "file"), Format);
        try
        {
            return Checked(csv.GetRecords<PriceRow>().ToList());
        }
        catch (CsvHelperException e)
        {
            throw new InputException($"row {csv.Context.Parser?.Row}", csv.Context.Parser?.RawRecord.Trim() ?? "",
                $"cannot be read: {e.Message.Split('\n')[0]}");
        }
    }

    /// <summary>Reads a price book from XLSX.</summary>
    /// <exception cref="InputException">The file is none, or a row is none.</exception>
    public static IReadOnlyList<PriceDesign> ReadXlsx(Stream file)
    {
        try
        {
            return Checked(file.Query<PriceRow>().ToList());
        }
        catch (Exception e) when (e is not InputException)
        {
            throw new InputException("file", "", $"This is no sheet of prices: {e.Message}");
        }
    }

    private static List<PriceDesign> Checked(List<PriceRow> rows)
    {
        var known = TaskLibrary.Standard.Materials.Select(m => m.Id).ToHashSet();
        var errors = rows.SelectMany((r, i) => !known.Contains(r.Item) ? [InputError.Fault($"row {i + 2}: item", r.Item, $"there is no item {r.Item}")]
            : !(r.Pack > 0) || !(r.Price >= 0) ? new[] { InputError.Fault($"row {i + 2}: price", $"{r.Pack} at {r.Price}",
                "a pack has a size and a price") } : []).ToList();
        return errors.Count > 0 ? throw new InputException(errors) : [.. rows.Select(r => new PriceDesign
        {
            Item = r.Item, Supplier = r.Supplier, Pack = r.Pack, Price = r.Price, LeadDays = r.LeadDays, Date = r.Date,
        })];
    }
}
