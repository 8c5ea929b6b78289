using Vanto.Core.Calculators;
using Vanto.Core.Shop;
using Vanto.Storage;

namespace Vanto.Web.Shop;

/// <summary>What a kind of the shop's records asks.</summary>
public sealed record ShopAsk(string Kind, IReadOnlyList<FieldInfo> Fields);

/// <summary>The shop: what it keeps, what is due, and what can be written down.</summary>
public sealed record ShopPage(ShopView View, IReadOnlyList<ShopAsk> Asks);

/// <summary>A rig that was found.</summary>
/// <param name="Where">What of it holds the words.</param>
public sealed record FoundRig(Guid Id, string Name, string Where);

/// <summary>The shop and its board.</summary>
public static class ShopEndpoints
{
    private const int MostFound = 40;

    /// <summary>Maps them under <c>/api/shop</c>.</summary>
    public static void MapShop(this RouteGroupBuilder api)
    {
        var shop = api.MapGroup("/shop").WithTags("shop");
        shop.MapGet("/", async (ShopDesk desk) => await Page(desk));
        shop.MapPost("/records", async (NewRecord record, ShopDesk desk, HttpContext http) =>
        {
            InputProblems.ReadsIn(http, record.Units);
            await desk.Write(record);
            return await Page(desk);
        });
        shop.MapGet("/search", async (string q, RigLog log) => await Search(q, log));
    }

    private static async Task<ShopPage> Page(ShopDesk desk) =>
        new(await desk.View(), [.. ShopKinds.All.Select(k => new ShopAsk(k.Name, k.Fields))]);

    /// <summary>Rigs whose name, place, code or book holds every word.</summary>
    private static async Task<IReadOnlyList<FoundRig>> Search(string q, RigLog log)
    {
        var words = q.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(RigSearch.Folded).Where(w => w.Length > 0).ToList();
        if (words.Count == 0)
            return [];
        var found = new List<FoundRig>();
        foreach (var rig in await log.All())
            if (RigSearch.Of(rig.Design, [.. (await log.Records(rig.Id)).Select(r => r.Body)], words) is { } hit)
                found.Add(new FoundRig(rig.Id, hit.Name, hit.Where));
        return [.. found.Take(MostFound)];
    }
}
