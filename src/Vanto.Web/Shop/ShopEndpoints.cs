using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Calculators;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Plan;
using Vanto.Core.Shop;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Exchange;
using Vanto.Web.Rigs;

namespace Vanto.Web.Shop;

/// <summary>What a kind of the shop's records asks.</summary>
public sealed record ShopAsk(string Kind, IReadOnlyList<FieldInfo> Fields);

/// <summary>The shop: what it keeps, what is due, and what can be written down.</summary>
/// <param name="Shelf">Rows of designs that it keeps for every rig.</param>
public sealed record ShopPage(ShopView View, IReadOnlyList<ShopAsk> Asks, BackupView Backups, IReadOnlyList<ShelfRow> Shelf);

/// <summary>Rows that go on the shop's shelf or off it.</summary>
/// <param name="Rig">Where they are taken from; nothing takes them off the shelf.</param>
public sealed record ShelfPut(IReadOnlyList<string> Keys, string By, Guid? Rig);

/// <summary>A rig that was found.</summary>
/// <param name="Where">What of it holds the words.</param>
public sealed record FoundRig(Guid Id, string Name, string Where);

/// <summary>A paper that stands on an instrument.</summary>
/// <param name="Moved">Verdicts that become others when its error is taken out.</param>
public sealed record TracedPaper(Guid Rig, string Name, string Number, DateOnly Day, IReadOnlyList<MovedVerdict> Moved);

/// <summary>The shop and its board.</summary>
public static class ShopEndpoints
{
    private const int MostFound = 40;

    /// <summary>Maps them under <c>/api/shop</c>.</summary>
    public static void MapShop(this RouteGroupBuilder api)
    {
        var shop = api.MapGroup("/shop").WithTags("shop").Needs(CrewRight.Read, Reach.Yard);
        shop.MapGet("/", async (ShopDesk desk, DailyBackup backups) => await Page(desk, backups));
        shop.MapPost("/records", async (NewRecord record, ShopDesk desk, DailyBackup backups, HttpContext http) =>
        {
            InputProblems.ReadsIn(http, record.Units);
            await desk.Write(record with { By = CrewCaller.Of(http).Signs(record.By) });
            return await Page(desk, backups);
        }).Needs(CrewRight.Design, Reach.Yard);
        shop.MapGet("/instruments/{id:guid}/trace", async Task<Results<Ok<IReadOnlyList<TracedPaper>>, NotFound>> (Guid id, ShopDesk desk, RigLog log,
            RigDesk rigs, ShopIndex index) => (await desk.View()).Instruments.FirstOrDefault(i => i.Id == id) is { } instrument
                ? TypedResults.Ok(await Traced(instrument, log, rigs, index)) : TypedResults.NotFound());
        shop.MapGet("/crew", async (ShopDesk desk, RigDesk rigs, RigLog log, ShopIndex index, TimeProvider clock) =>
            await Crew(desk.Today, rigs, log, index, clock));
        foreach (var list in Enum.GetValues<ShelfList>())
            shop.MapPost($"/shelf/{list}", (ShelfPut asked, ShopDesk desk, RigDesk rigs, HttpContext http) =>
                Put(list, asked with { By = CrewCaller.Of(http).Signs(asked.By) }, desk, rigs))
                .Needs(list is ShelfList.Prices or ShelfList.Tools ? CrewRight.Prices : CrewRight.Design, Reach.Yard);
        shop.MapPost("/shelf/{list}", (string list) => Shelf.Named(list)).ExcludeFromDescription().Needs(CrewRight.Design, Reach.Yard);
        api.MapGet("/rigs/{id:guid}/shelf/{list}", async Task<Results<Ok<ShelfView>, NotFound>> (Guid id, string list, ShopDesk desk, RigDesk rigs) =>
            await rigs.View(id) is { } view ? TypedResults.Ok(Shelf.Beside(view.Design, Shelf.Named(list), await desk.Shelves())) : TypedResults.NotFound())
            .WithTags("shop").Needs(CrewRight.Read);
        shop.MapGet("/search", async (string q, RigLog log, ShopIndex index) => await Search(q, log, index));
    }

    /// <summary>Puts rows on the shop's shelf, or takes them off.</summary>
    private static async Task<Results<Ok<IReadOnlyList<ShelfRow>>, NotFound>> Put(ShelfList of, ShelfPut put, ShopDesk desk, RigDesk rigs)
    {
        if (put.Keys.Count == 0)
            throw new InputException("keys", "none", "Which rows? Name one at least.");
        List<ShelfValues> rows;
        if (put.Rig is not { } rig)
            rows = [.. put.Keys.Select(k => Shelf.Off(of, k))];
        else if (await rigs.View(rig) is { } view)
            rows = [.. put.Keys.Select(k => Shelf.Keep(view.Design, of, k))];
        else
            return TypedResults.NotFound();
        foreach (var row in rows)
            await desk.Put(row, put.By);
        return TypedResults.Ok(Shelf.All(await desk.Shelves()));
    }

    /// <summary>Papers that an instrument with an error stands on, and the verdicts that may be others.</summary>
    private static async Task<IReadOnlyList<TracedPaper>> Traced(InstrumentRow instrument, RigLog log, RigDesk desk, ShopIndex index)
    {
        var traced = new List<TracedPaper>();
        foreach (var rig in await index.All(log))
            if ((await log.Records(rig.Id)).Any(r => r.Kind == PaperRecord.Kind.Name && r.Body.Contains(instrument.Name, StringComparison.Ordinal))
                && await desk.View(rig.Id) is { } view)
                traced.AddRange(view.Records.OfType<PaperRecord>().Where(p => p.Readings.Instruments.Split("; ").Any(i => Named(i, instrument.Name)))
                    .Select(p => new TracedPaper(rig.Id, view.Design.Name, p.Readings.Number, DateOnly.FromDateTime(p.At.UtcDateTime),
                        CalibrationTrace.Of(view.Design, [.. view.Records.Where(r => r.At <= p.At)], instrument.Kind, instrument.OffShare ?? 0))));
        return [.. traced.OrderByDescending(t => t.Day)];
    }

    /// <summary>An instrument as a paper prints it begins with its name.</summary>
    private static bool Named(string printed, string name) => printed == name || printed.StartsWith($"{name},", StringComparison.Ordinal);

    private static async Task<ShopPage> Page(ShopDesk desk, DailyBackup backups) =>
        new(await desk.View(), [.. ShopKinds.Typed.Select(k => new ShopAsk(k.Name, k.Fields))], backups.View(), Shelf.All(await desk.Shelves()));

    /// <summary>Who is where: every plan that has a first day and may not be over yet.</summary>
    private static async Task<CrewView> Crew(DateOnly today, RigDesk desk, RigLog log, ShopIndex index, TimeProvider clock)
    {
        var bookings = new List<Booking>();
        foreach (var rig in (await index.All(log)).Where(r => r.FirstDay is { } first && first.AddDays(PlanSetting.Days) >= today))
            if (await desk.View(rig.Id) is { Assessment.Plan: { } plan } view)
                bookings.AddRange(CrewCalendar.Of(rig.Id, view.Design.Name, plan, rig.FirstDay!.Value, view.Design.Survey.Place.UtcOffsetH)
                    .Where(b => DateOnly.FromDateTime(b.To.DateTime) >= today));
        return CrewCalendar.View(bookings, hours: CrewCalendar.UsualHours(today.AddDays(1), PlanSetting.Days, clock.GetLocalNow().Offset));
    }

    /// <summary>Rigs that hold every word and every quantity, those that fit best first.</summary>
    private static async Task<IReadOnlyList<FoundRig>> Search(string q, RigLog log, ShopIndex index)
    {
        var question = RigSearch.Ask(q);
        return question.Empty ? [] : [.. (await index.All(log)).Select(r => (Rig: r, Hit: RigSearch.Of(r.Text, question))).Where(x => x.Hit is not null)
            .OrderByDescending(x => x.Hit!.Value.Weight).Take(MostFound).Select(x => new FoundRig(x.Rig.Id, x.Rig.Text.Name, x.Hit!.Value.Where))];
    }
}
