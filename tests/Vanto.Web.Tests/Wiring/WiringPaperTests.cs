using System.Net;
using System.Xml.Linq;
using UglyToad.PdfPig;
using Vanto.Core.Wiring;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Wiring;

/// <summary>Papers of the wiring, read back.</summary>
public class WiringPaperTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<string> Split()
    {
        var rig = await server.Begin("Sandpiper");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "MS-12-120")]));
        return rig.Id();
    }

    [Fact]
    public async Task The_papers_carry_schedule_connections_tests_and_every_caution()
    {
        var id = await Split();
        using var pdf = PdfDocument.Open(await server.Http.GetByteArrayAsync($"/api/rigs/{id}/wiring/papers.pdf"));
        var words = string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        foreach (var expected in new[] { "Sandpiper: wiring", "Circuits", "AWG", "Connections between the units", "Tests before power", "A-3 DATA" })
            words.ShouldContain(expected);
        foreach (var caution in WiringStation.Cautions)
            words.ShouldContain(string.Join(' ', caution.Split(' ').Take(5)));
    }

    [Fact]
    public async Task The_line_is_drawn_from_the_battery_to_the_unit()
    {
        var id = await Split();
        var svg = XDocument.Parse(await server.Http.GetStringAsync($"/api/rigs/{id}/wiring/line.svg"));
        XNamespace ns = "http://www.w3.org/2000/svg";
        var texts = svg.Descendants(ns + "text").Select(t => t.Value).ToList();
        foreach (var expected in new[] { "battery", "inverter", "board", "breaker", "disconnect", "outdoor unit" })
            texts.ShouldContain(expected);
        texts.ShouldContain(t => t.StartsWith("Vanto advises"));
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/wiring/line.svg")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
