using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>The unit sheet as a file, and pages of the manual kept with the rig.</summary>
public class UnitSheetTests(RunningServer server) : IClassFixture<RunningServer>
{
    private Task<HttpResponseMessage> Sheet(string id, string text) =>
        server.Http.PostAsync($"/api/rigs/{id}/unit-sheet", new StringContent(text, Encoding.UTF8, "application/json"));

    private Task<HttpResponseMessage> Page(string id, byte[] content, string name)
    {
        var body = new ByteArrayContent(content);
        body.Headers.ContentType = new MediaTypeHeaderValue("application/octet-stream");
        return server.Http.PostAsync($"/api/rigs/{id}/manual-pages?name={Uri.EscapeDataString(name)}", body);
    }

    [Fact]
    public async Task A_sheet_is_saved_and_read_for_the_chosen_unit_of_another_rig()
    {
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1, [Typed("/unit/chosen", "MS-12-120")]));
        await Read(await Sheet(rig.Id(), """{"format":"vanto-unit-sheet-1","sheet":{"unit":"elsewhere","head":{"widthM":0.81},"price":900}}"""));
        var view = await server.View(rig.Id());
        view.Text("/design/unit/sheets/0/unit").ShouldBe("MS-12-120");
        view.Number("/design/unit/sheets/0/head/widthM").ShouldBe(0.81);
        view.Number("/assessment/unit/sheet/filled").ShouldBe(2);
        var file = await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/unit-sheet");
        var other = await server.Begin("Other");
        await Read(await Sheet(other.Id(), file));
        (await server.View(other.Id())).Number("/design/unit/sheets/0/price").ShouldBe(900);
        (await Read(await Sheet(rig.Id(), """{"format":"vanto-unit-sheet-1","sheet":{"price":-5}}"""), HttpStatusCode.BadRequest))
            .Text("/detail").ShouldContain("Price must be 0 to 100000; got -5");
        (await Read(await Sheet(rig.Id(), "{}"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("vanto-unit-sheet-1");
        (await server.View(rig.Id())).Number("/design/unit/sheets/0/price").ShouldBe(900);
    }

    [Fact]
    public async Task A_page_of_the_manual_is_kept_and_comes_back_as_it_was_and_nothing_else_is_taken()
    {
        var rig = await server.Begin();
        var png = (byte[])[0x89, (byte)'P', (byte)'N', (byte)'G', 13, 10, 26, 10, 1, 2, 3];
        var view = await Read(await Page(rig.Id(), png, "wiring page 12.png"));
        var named = view.Text("/design/unit/sheets/0/pages/0/file");
        named.ShouldEndWith(" wiring page 12.png");
        var answer = await server.Http.GetAsync($"/api/rigs/{rig.Id()}/manual-pages/{named.Split(' ')[0]}");
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("image/png");
        (await answer.Content.ReadAsByteArrayAsync()).ShouldBe(png);
        (await Read(await Page(rig.Id(), Encoding.UTF8.GetBytes("<html><script>"), "page.html"), HttpStatusCode.BadRequest))
            .Text("/detail").ShouldContain("a PDF, a PNG or a JPEG");
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}/manual-pages/{Guid.NewGuid()}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var other = await server.Begin("Other");
        (await server.Http.GetAsync($"/api/rigs/{other.Id()}/manual-pages/{named.Split(' ')[0]}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_rig_is_begun_from_three_answers_as_they_were_typed()
    {
        var quick = new
        {
            inputs = new { kind = "bus", place = "Saltpan" },
            typed = new { lengthM = "27 ft", hottestC = "105 °F", batteryWh = "10 kWh" },
            units = "customary"
        };
        var view = await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Quoted", quick }), HttpStatusCode.Created);
        view.Text("/design/survey/kind").ShouldBe("bus");
        view.Number("/design/survey/space/lengthM").ShouldBe(8.2296, 1e-9);
        view.Number("/design/survey/place/dryBulbC").ShouldBe(40.5556, 1e-3);
        var wrong = new { inputs = new { kind = "bus" }, typed = new { lengthM = "300 m" } };
        (await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Wrong", quick = wrong }), HttpStatusCode.BadRequest))
            .Text("/detail").ShouldContain("Length inside must be 1 m to 20 m; got 300 m");
    }
}
