using System.Net;
using System.Net.Http.Json;
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
    public async Task The_certificate_says_who_read_what_and_what_was_corrected_and_certifies_nothing_before_the_end()
    {
        var id = await Split();
        async Task<string> Certificate()
        {
            using var pdf = PdfDocument.Open(await server.Http.GetByteArrayAsync($"/api/rigs/{id}/wiring/certificate.pdf"));
            return string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        }

        async Task<string> Record(string by, string? corrects, params (string Field, string Text)[] values) => (await Read(await server.Http.PostAsJsonAsync(
            $"/api/rigs/{id}/records", new
            {
                kind = "power-test",
                by,
                units = "metric",
                values = values.ToDictionary(v => v.Field, v => v.Text),
                corrects,
            })))["records"]!.AsArray()[^1]!.Text("/id");
        (string, string)[] good =
        [
            ("screws", "14"), ("locked", "4"), ("beforeV", "121"), ("deadV", "0.3"), ("afterV", "121"), ("linkV", "2"), ("polarity", "3"),
            ("insulationOhm", "20000000"), ("again", "14"), ("sourceV", "120"), ("residualS", "0.03"), ("runV", "119"),
        ];
        var first = await Record("Wren", null, [.. good, ("earthOhm", "1.4")]);
        var words = await Certificate();
        words.ShouldContain("certifies nothing yet");
        words.ShouldContain("out of order");
        words.ShouldContain("1.4");
        await Record("Piet", first, ("earthOhm", "0.05"));
        words = await Certificate();
        words.ShouldContain("corrected by Piet");
        words.ShouldContain("Corrects record 1.");
        words.ShouldNotContain("certifies nothing yet");
        words.ShouldNotContain("out of order");
        words.ShouldContain("does not state that any code is met");
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
