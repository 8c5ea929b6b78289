using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Unit;

namespace Vanto.Core.Shop;

/// <summary>Lists of a design whose rows the shop keeps for every rig.</summary>
public enum ShelfList
{
    [Called("unit")] Units, [Called("unit sheet")] Sheets, [Called("price")] Prices, [Called("tool to hire or buy")] Tools, [Called("person")] Crew,
}

/// <summary>A row that the shop keeps.</summary>
public sealed record ShelfValues : DesignPart
{
    [Ask("Of the list")] public ShelfList List { get; init; }
    [Ask("Called", Longest = 200)] public string Key { get; init; } = "";

    /// <summary>The row as a job file that holds nothing else, so that what old files are brought up by brings it up too.</summary>
    [Ask("As kept", Longest = 60000)] public string File { get; init; } = "";

    [Ask("Kept no longer")] public bool Gone { get; init; }
}

/// <summary>A row that the shop keeps, as somebody put it there.</summary>
public sealed record ShelfRecord(Guid Id, DateTimeOffset At, string By, ShelfValues Readings, Guid? Corrects)
    : ReadingsRecord<ShelfValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<ShelfRecord, ShelfValues>("shelf", "row that the shop keeps",
        (h, readings) => new ShelfRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>How a kept row stands to a rig.</summary>
public enum ShelfState
{
    [Called("not in this rig")] Absent, [Called("the same here")] Same, [Called("other here")] Other, [Called("cannot be read")] Unreadable,
}

/// <summary>A row of the shop, beside a rig.</summary>
/// <param name="Key">What it is known by among its list.</param>
/// <param name="Name">The same as a person says it.</param>
/// <param name="Words">What it says.</param>
/// <param name="Take">Puts it into the rig, over the row of the same name; nothing where that is there already or cannot be read.</param>
public sealed record ShelfRow(ShelfList List, string Key, string Name, Phrase Words, string By, DateOnly Kept, ShelfState State, Remedy? Take)
{
    /// <summary>How it stands to the rig, in words.</summary>
    public string Stands => Calls.Name(State);

    /// <summary>Of which list, in words.</summary>
    public string Of => Calls.Name(List);
}

/// <summary>A row of a rig that the shop could keep.</summary>
public sealed record ToKeep(string Key, string Name);

/// <summary>What the shop keeps of one list, beside a rig.</summary>
/// <param name="Rows">Those that can be taken first.</param>
/// <param name="ToKeep">Rows of the rig that the shop does not have so.</param>
/// <param name="TakeAll">Puts all of it into the rig; nothing where there are not two to take.</param>
public sealed record ShelfView(ShelfList List, IReadOnlyList<ShelfRow> Rows, IReadOnlyList<ToKeep> ToKeep, Remedy? TakeAll);

/// <summary>
/// The shop's catalogue, price book and crew: rows of designs kept once for every rig. A rig takes a copy, so a job file stays whole and a price that
/// changes later changes no quote that was made.
/// </summary>
public static class Shelf
{
    private abstract record Rack(ShelfList List)
    {
        public abstract IReadOnlyList<string> Keys(JobDesign design);
        public abstract string Name(JobDesign design, string key);
        public abstract JsonNode Written(JobDesign design, string key);
        public abstract Phrase Words(JobDesign kept);
        public abstract bool Same(JobDesign design, JobDesign kept);
        public abstract Remedy Take(JobDesign design, JobDesign kept);
        public abstract string Path { get; }
    }

    private sealed record Rack<TPart, TRow>(ShelfList List, string At, Func<JobDesign, TPart> Part, Func<TPart, IReadOnlyList<TRow>> Rows,
        Func<TPart, IReadOnlyList<TRow>, TPart> With, Func<TRow, string> Key, Func<TRow, string> Spoken, Func<TRow, Phrase> Said,
        Func<TRow, TRow> Bare) : Rack(List)
        where TPart : DesignPart where TRow : DesignPart
    {
        public override string Path => $"{DesignDiff.RootOf(typeof(TPart))}/{At}";

        private IReadOnlyList<TRow> Of(JobDesign design) => Rows(Part(design));

        public override IReadOnlyList<string> Keys(JobDesign design) => [.. Of(design).Select(Key).Where(k => k.Length > 0).Distinct()];

        public override string Name(JobDesign design, string key) => Spoken(Of(design).Last(r => Key(r) == key));

        public override JsonNode Written(JobDesign design, string key) =>
            JsonSerializer.SerializeToNode(Bare(Of(design).Last(r => Key(r) == key)), JobFile.Json)!;

        private TRow Row(JobDesign kept) => Of(kept)[0];

        public override Phrase Words(JobDesign kept) => Said(Row(kept));

        public override bool Same(JobDesign design, JobDesign kept) =>
            Of(design).Any(r => Key(r) == Key(Row(kept)) && DesignDiff.Between("", Bare(r), Row(kept)).Count == 0);

        public override Remedy Take(JobDesign design, JobDesign kept)
        {
            var row = Row(kept);
            TPart Put(TPart part)
            {
                var rows = Rows(part).ToList();
                var at = rows.FindLastIndex(r => Key(r) == Key(row));
                if (at < 0)
                    rows.Add(row);
                else
                    rows[at] = row;
                return With(part, rows);
            }

            return new Remedy(Keys(design).Contains(Key(row)) ? Phrase.Of($"take it over ours") : Phrase.Of($"take it"), Words(kept),
                DesignEdit.Of(Part(design), Put));
        }
    }

    private static readonly Dictionary<string, string>
        Items = TaskLibrary.Standard.Materials.ToDictionary(m => m.Id, m => m.Name), Tools = TaskLibrary.Standard.Tools.ToDictionary(t => t.Id, t => t.Name);

    private static readonly IReadOnlyList<Rack> Racks =
    [
        new Rack<UnitDesign, AcUnit>(ShelfList.Units, "own", d => d.Unit, u => u.Own, (u, rows) => u with { Own = rows }, u => u.Id, u => u.Id,
            u => Phrase.Of($"{Calls.Name(u.Kind)}, {u.RatedCapacityW:Power} for {u.RatedPowerW:ElectricPower}, {u.SupplyVoltageV:Voltage}"), u => u),
        new Rack<UnitDesign, UnitSheetDesign>(ShelfList.Sheets, "sheets", d => d.Unit, u => u.Sheets, (u, rows) => u with { Sheets = rows }, s => s.Unit,
            s => UnitCatalogue.Find(s.Unit)?.Name ?? s.Unit,
            s => Phrase.Of($"{s.Box.Count:Count} parts in the box, {s.Codes.Count:Count} error codes"), s => s with { Pages = [] }),
        new Rack<PlanDesign, PriceDesign>(ShelfList.Prices, "prices", d => d.Plan, p => p.Prices, (p, rows) => p with { Prices = rows },
            p => Called(p.Item, p.Supplier, FormattableString.Invariant($"pack of {p.Pack:0.###}")),
            p => Called(Items.GetValueOrDefault(p.Item, p.Item), p.Supplier, FormattableString.Invariant($"pack of {p.Pack:0.###}")),
            p => Plain(FormattableString.Invariant($"{p.Price:0.00}"), p.Date.Length > 0 ? $"priced on {p.Date}" : ""), p => p),
        new Rack<PlanDesign, ToolCostDesign>(ShelfList.Tools, "toolCosts", d => d.Plan, p => p.ToolCosts, (p, rows) => p with { ToolCosts = rows }, t => t.Tool,
            t => Tools.GetValueOrDefault(t.Tool, t.Tool),
            t => Plain(t.DayPrice is { } day ? FormattableString.Invariant($"{day:0.00} a day") : "",
                t.Price is { } price ? FormattableString.Invariant($"{price:0.00} to buy") : "", Calls.Name(t.Way)), t => t),
        new Rack<PlanDesign, CrewDesign>(ShelfList.Crew, "crew", d => d.Plan, p => p.Crew, (p, rows) => p with { Crew = rows }, c => c.Name, c => c.Name,
            c => Plain(c.Helper ? "lends a hand" : $"licence: {Calls.Name(c.Licence)}", FormattableString.Invariant($"{c.RateH:0.00} an hour")), c => c),
    ];

    private static string Called(params string[] parts) => string.Join(", ", parts.Where(p => p.Length > 0));

    private static Phrase Plain(params string[] parts) => Phrase.Of($"{Called(parts)}");

    private static Rack Of(ShelfList list) => Racks.First(r => r.List == list);

    /// <summary>A list by its name.</summary>
    /// <exception cref="InputException">The shop keeps no such list.</exception>
    public static ShelfList Named(string name) => Racks.FirstOrDefault(r => $"{r.List}".Equals(name, StringComparison.OrdinalIgnoreCase))?.List
        ?? throw new InputException("list", name, $"\"{name}\" is no list that the shop keeps; there are {string.Join(", ", Racks.Select(r => r.List))}.");

    /// <summary>A row of a rig as the shop keeps it: without what lies in the rig's own files, such as pages of a manual.</summary>
    /// <exception cref="InputException">The rig has no such row.</exception>
    public static ShelfValues Keep(JobDesign design, ShelfList list, string key)
    {
        var rack = Of(list);
        if (!rack.Keys(design).Contains(key))
            throw new InputException("key", key, $"\"{key}\" is no {Calls.Name(list)} of this rig; there are "
                + $"{(rack.Keys(design) is { Count: > 0 } keys ? string.Join(", ", keys) : "none")}.");
        var (part, rows) = rack.Path.Split('/') is [_, var p, var r] ? (p, r) : throw new InvalidOperationException(rack.Path);
        var file = new JsonObject
        {
            ["version"] = JobDesign.CurrentVersion,
            ["survey"] = new JsonObject(),
            [part] = new JsonObject { [rows] = new JsonArray(rack.Written(design, key)) },
        };
        return new ShelfValues { List = list, Key = key, File = file.ToJsonString(JobFile.Json) };
    }

    /// <summary>A row that the shop keeps no longer.</summary>
    public static ShelfValues Off(ShelfList list, string key) => new() { List = Of(list).List, Key = key, Gone = true };

    /// <summary>What is kept, newest of each name, in the order of the names.</summary>
    public static IReadOnlyList<ShelfRecord> Kept(IReadOnlyList<ShelfRecord> records) =>
        [.. records.Standing().GroupBy(r => (r.Readings.List, r.Readings.Key)).Select(g => g.Last()).Where(r => !r.Readings.Gone)
            .OrderBy(r => r.Readings.List).ThenBy(r => r.Readings.Key, StringComparer.OrdinalIgnoreCase).ThenBy(r => r.Readings.Key, StringComparer.Ordinal)];

    /// <summary>Everything that is kept, beside no rig.</summary>
    public static IReadOnlyList<ShelfRow> All(IReadOnlyList<ShelfRecord> records) => [.. Kept(records).Select(r => Row(r, null))];

    /// <summary>One list beside a rig.</summary>
    public static ShelfView Beside(JobDesign design, ShelfList list, IReadOnlyList<ShelfRecord> records)
    {
        var rows = Kept(records).Where(r => r.Readings.List == list).Select(r => Row(r, design)).ToList();
        var takes = rows.Select(r => r.Take).OfType<Remedy>().ToList();
        return new ShelfView(list, [.. rows.OrderByDescending(r => r.Take is not null)],
            [.. Of(list).Keys(design).Except(rows.Where(r => r.State == ShelfState.Same).Select(r => r.Key))
                .Select(k => new ToKeep(k, Of(list).Name(design, k)))],
            takes.Count < 2 ? null : new Remedy(Phrase.Of($"take all"), Phrase.Of($"{takes.Count:Count} of them"),
                takes.Skip(1).Aggregate(takes[0].Edit, (all, next) => all.And(next.Edit))));
    }

    private static ShelfRow Row(ShelfRecord record, JobDesign? design)
    {
        var (values, rack) = (record.Readings, Of(record.Readings.List));
        ShelfRow As(Phrase words, ShelfState state, Remedy? take, string? name = null) =>
            new(values.List, values.Key, name ?? values.Key, words, record.By, DateOnly.FromDateTime(record.At.UtcDateTime), state, take);
        JobDesign kept;
        try
        {
            kept = JobFile.Read(values.File);
            if (rack.Keys(kept).Count != 1)
                return As(Phrase.Of($"is empty"), ShelfState.Unreadable, null);
        }
        catch (InputException e)
        {
            return As(Phrase.Of($"{e.Message}"), ShelfState.Unreadable, null);
        }
        var (words, name) = (rack.Words(kept), rack.Name(kept, rack.Keys(kept)[0]));
        if (design is null)
            return As(words, ShelfState.Absent, null, name);
        return rack.Same(design, kept) ? As(words, ShelfState.Same, null, name)
            : As(words, rack.Keys(design).Contains(values.Key) ? ShelfState.Other : ShelfState.Absent, rack.Take(design, kept), name);
    }
}
