using System.Net;
using System.Net.Http.Json;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Commission;

public class ProofEndpointTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<string> Split()
    {
        var id = (await server.Begin()).Id();
        await Read(await server.Patch(id, 1, [Set("/unit/chosen", "MS-12-120")]));
        return id;
    }

    private async Task<HttpResponseMessage> Post(string id, string kind, object values, string? corrects = null) =>
        await server.Http.PostAsJsonAsync($"/api/rigs/{id}/records",
            new { kind, by = "Ottoline Marsh", units = "metric", decimalComma = false, values, corrects });

    [Fact]
    public async Task Readings_of_any_kind_are_taken_as_typed_and_judged()
    {
        var id = await Split();
        await Read(await Post(id, "nitrogen", new { gaugePa = "400 psi", pipeC = "77 °F", begins = "true" }));
        var held = await Read(await Post(id, "nitrogen", new { gaugePa = "391 psi", pipeC = "19", minute = "1440" }));
        held.Text("/assessment/commission/tight/state").ShouldBe("passed");
        await Read(await Post(id, "vacuum", new { value = "450", unit = "micron", shutOff = "true" }));
        var stood = await Read(await Post(id, "vacuum", new { value = "3000", unit = "micron", minute = "10" }));
        stood.Text("/assessment/commission/dry/state").ShouldBe("stop");
        stood.Text("/assessment/commission/verdict/state").ShouldBe("stop");
        var looked = await Read(await Post(id, "leak", new { joint = "valve caps", method = "soap", result = "leaks" }));
        looked.Text("/assessment/commission/leaks/state").ShouldBe("stop");
        var asked = await Read(await Post(id, "fault", new { question = "cooling", answer = "none" }));
        asked["assessment"]!["commission"]!["fault"]!["said"]!.AsArray().Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("vacuum", "unit", "feet", "one of")]
    [InlineData("vacuum", "shutOff", "perhaps", "true or false")]
    [InlineData("vacuum", "value", "deep", "Reading")]
    [InlineData("nitrogen", "gaugePa", "900 bar", "Gauge must be")]
    [InlineData("leak", "method", "nose", "one of")]
    [InlineData("leak", "joint", "a joint whose name is far longer than any joint on any rig could ever need to be told apart", "at most 60")]
    public async Task What_cannot_be_is_refused_by_field(string kind, string field, string typed, string words)
    {
        var id = await Split();
        var problem = await Read(await Post(id, kind, new Dictionary<string, string> { [field] = typed }), HttpStatusCode.BadRequest);
        problem.Text("/detail").ShouldContain(words);
        (await server.View(id))["records"]!.AsArray().Count.ShouldBe(0);
    }

    [Fact]
    public async Task Papers_hold_what_was_read_and_what_was_corrected()
    {
        var id = await Split();
        var first = await Read(await Post(id, "vacuum", new { value = "4500", unit = "micron", shutOff = "true" }));
        await Read(await Post(id, "vacuum", new { value = "450" }, first["records"]!.AsArray().Last()!["id"]!.GetValue<string>()));
        await Read(await Post(id, "vacuum", new { value = "700", unit = "micron", minute = "10" }));
        await Read(await Post(id, "fault", new { question = "outdoorFan", answer = "off" }));
        async Task<string> Text(string paper)
        {
            using var pdf = UglyToad.PdfPig.PdfDocument.Open(await server.Http.GetByteArrayAsync($"/api/rigs/{id}/commission/{paper}.pdf"));
            return string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        }

        var proof = await Text("proof");
        foreach (var words in new[] { "NOT PROVED YET", "Dry and tight by the plain rule", "Ottoline Marsh", "Corrected since", "4500 micron", "head, thin",
            "Local codes" })
            proof.ShouldContain(words);
        var ask = await Text("ask");
        foreach (var words in new[] { "The fan outside?", "stands", "What is left", "none typed", "What we ask" })
            ask.ShouldContain(words);
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/commission/proof.pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public void Simulated_circuits_of_the_demo_are_told_as_what_they_are()
    {
        var records = Vanto.Web.Demo.DemoProof.Of("Gannet's Rest", new DateTimeOffset(2027, 3, 2, 12, 0, 0, TimeSpan.Zero)).ToList();
        records.Count.ShouldBeGreaterThan(12);
        var design = Vanto.Web.Demo.DemoRigs.Designs.Single(d => d.Name == "Gannet's Rest");
        var proof = Vanto.Core.Job.Assessor.Assess(design, records).Commission!;
        proof.Dry!.Words.ToString().ShouldContain("Wet, not leaking");
        proof.Tight!.Words.ToString().ShouldContain("Tight");
    }
}
