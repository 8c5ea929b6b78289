using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Shop;

/// <summary>What the shop keeps for every rig, and who is where.</summary>
public class ShelfEndpointTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<string> With(string name, params object[] changes)
    {
        var rig = await server.Begin(name);
        if (changes.Length > 0)
            await Read(await server.Patch(rig.Id(), rig.Revision(), changes));
        return rig.Id();
    }

    private Task<HttpResponseMessage> Put(string list, string? rig, string by, params string[] keys) =>
        server.Http.PostAsJsonAsync($"/api/shop/shelf/{list}", new { keys, by, rig });

    private async Task<JsonNode> Shelf(string rig, string list) => await Read(await server.Http.GetAsync($"/api/rigs/{rig}/shelf/{list}"));

    [Fact]
    public async Task A_price_kept_from_one_rig_is_taken_into_another_by_the_changes_it_sends()
    {
        var price = new[] { new { item = "sealant", supplier = "Corner", pack = 1.0, price = 7.5, date = "2026-05-02" } };
        var one = await With("Wagtail", Set("/plan/prices", price));
        var other = await server.Begin("Bunting");
        await Read(await Put("prices", one, "Ottoline Marsh", "sealant, Corner, pack of 1"));
        var row = (await Shelf(other.Id(), "prices"))["rows"]!.AsArray().Single(r => r!.Text("/key").Contains("Corner", StringComparison.Ordinal))!;
        (row.Text("/state"), row.Text("/by")).ShouldBe(("absent", "Ottoline Marsh"));
        var changes = row["take"]!["changes"]!.AsArray().Select(c => (object)new { path = c!.Text("/path"), value = c!["value"] }).ToArray();
        var taken = await Read(await server.Patch(other.Id(), other.Revision(), changes));
        ((double)taken["design"]!["plan"]!["prices"]![0]!["price"]!).ShouldBe(7.5);
        (await Shelf(other.Id(), "prices"))["rows"]!.AsArray().Single(r => r!.Text("/key").Contains("Corner", StringComparison.Ordinal))!
            .Text("/stands").ShouldBe("the same here");
        (await Read(await server.Http.GetAsync("/api/shop")))["shelf"]!.AsArray().ShouldContain(r => r!.Text("/of") == "price");
        await Read(await Put("prices", null, "Ottoline Marsh", "sealant, Corner, pack of 1"));
        (await Shelf(other.Id(), "prices"))["rows"]!.AsArray().ShouldNotContain(r => r!.Text("/key").Contains("Corner", StringComparison.Ordinal));
    }

    [Fact]
    public async Task What_is_wrong_is_refused_and_nothing_is_kept_by_halves()
    {
        var rig = await With("Wagtail");
        (await Read(await Put("crew", rig, "", "fitter"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("Who writes this down");
        (await Read(await Put("crew", rig, "Wren"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("Which rows?");
        (await Read(await Put("crew", rig, "Wren", "fitter", "nobody"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("nobody");
        (await Shelf(rig, "crew"))["rows"]!.AsArray().ShouldNotContain(r => r!.Text("/by") == "Wren");
        (await Put("crew", Guid.NewGuid().ToString(), "Wren", "fitter")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await server.Http.GetAsync($"/api/rigs/{rig}/shelf/hats")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await server.Http.GetAsync($"/api/rigs/{rig}/shelf/77")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        var typed = new { kind = "shelf", by = "Wren", units = "metric", decimalComma = false, values = new { key = "x", file = "{}" } };
        (await Read(await server.Http.PostAsJsonAsync("/api/shop/records", typed), HttpStatusCode.BadRequest)).Text("/detail")
            .ShouldContain("nothing that is typed");
    }

    [Fact]
    public async Task Somebody_who_is_planned_at_two_rigs_at_once_is_told()
    {
        var first = DateOnly.FromDateTime(DateTime.Now).AddDays(7).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        object[] crew = [Set("/plan/when/firstDay", first), Set("/plan/when/weekends", true)];
        var (one, other) = (await With("Wagtail", crew), await With("Bunting", crew));
        var view = await Read(await server.Http.GetAsync("/api/shop/crew"));
        view["days"]!.AsArray().Select(d => d!.Text("/rig")).Distinct().ShouldBe([one, other], ignoreOrder: true);
        var clash = view["clashes"]!.AsArray().First(c => c!.Text("/level") == "stop")!;
        clash["words"]!.Text("/template").ShouldContain("at once");
        clash["rigs"].Deserialize<string[]>()!.ShouldBe([one, other], ignoreOrder: true);
    }
}
