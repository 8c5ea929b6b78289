using System.Net;
using System.Net.Http.Json;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

/// <summary>What the owner tells on the label's page; its looks are counted, so it has a server of its own.</summary>
public class OwnerReportTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<HttpResponseMessage> Issue(string id, string kind) => await server.Http.PostAsJsonAsync(
        $"/api/rigs/{id}/papers", new { kind, by = "Ottoline Marsh", licence = "", instruments = Array.Empty<string>() });

    [Fact]
    public async Task The_owner_tells_of_the_filter_only_where_the_shop_lets_them()
    {
        var id = (await server.Begin("Reed Warbler")).Id();
        await Read(await server.Patch(id, 1, [Set("/unit/chosen", "MS-12-120"), Set("/handover/contact", "bench line 14")]));
        await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{id}/records", new
        {
            kind = "vacuum",
            by = "Ottoline Marsh",
            units = "metric",
            decimalComma = false,
            values = new { value = "450", unit = "micron", shutOff = "true" },
        }));
        await Read(await Issue(id, "circuit"));
        var issued = await Read(await Issue(id, "guide"));
        var address = $"/h/{issued["view"]!["design"]!["handover"]!.Text("/code")}?k={issued.Text("/key")}";
        (await server.Http.GetStringAsync(address)).ShouldNotContain("<form");
        (await server.Http.PostAsync(address, null)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await Read(await server.Patch(id, (await server.View(id)).Revision(), [Set("/handover/ownerReports", true)]));
        var again = await Read(await Issue(id, "guide"));
        var told = address[..address.IndexOf('?')] + $"?k={again.Text("/key")}";
        var page = await server.Http.GetAsync(told);
        page.Headers.GetValues("Content-Security-Policy").ShouldHaveSingleItem().ShouldContain("form-action 'self'");
        var text = await page.Content.ReadAsStringAsync();
        text.ShouldContain("<form method=\"post\">");
        text.ShouldContain("-CIRCUIT-");
        (await server.Http.PostAsync(told + "X", null)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        for (var press = 0; press < 2; press++)
            (await server.Http.PostAsync(told, null)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var visits = (await server.View(id))["records"]!.AsArray().Where(r => (string)r!["kind"]! == "visit").ToList();
        visits.ShouldHaveSingleItem()!["readings"]!["byOwner"]!.GetValue<bool>().ShouldBeTrue("once a day, as told and not seen");
        using var foreign = new HttpRequestMessage(HttpMethod.Post, told);
        foreign.Headers.Add("Origin", "http://elsewhere.invalid");
        (await server.Http.SendAsync(foreign)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }
}
