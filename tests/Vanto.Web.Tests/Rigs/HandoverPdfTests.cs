using System.Net;
using UglyToad.PdfPig;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

public class HandoverPdfTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task The_owners_guide_is_two_pages_that_read_back()
    {
        var rig = await server.Begin("Sandpiper");
        var bytes = await server.Http.GetByteArrayAsync($"/api/rigs/{rig.Id()}/handover.pdf");
        using var pdf = PdfDocument.Open(bytes);
        pdf.NumberOfPages.ShouldBe(2);
        var text = string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        text.ShouldContain("Wash the indoor filter");
        text.ShouldContain("Sandpiper");
        text.ShouldContain(rig.Text("/design/unit/chosen"));
        text.ShouldContain("manual");
        text.ShouldContain("When power runs short, in this order");
        text.ShouldContain("one or two degrees warmer");
        text.ShouldContain("Never: carbon monoxide");
        pdf.GetPage(1).Letters.All(l => l.Location.X > 0 && l.Location.X < pdf.GetPage(1).Width && l.Location.Y > 0).ShouldBeTrue();
    }

    [Fact]
    public async Task There_is_no_sheet_while_an_earlier_station_cannot_be_worked_out()
    {
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "no-such-unit")]));
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}/handover.pdf")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/handover.pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
