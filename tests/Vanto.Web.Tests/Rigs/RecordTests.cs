using System.Net;
using System.Net.Http.Json;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

public class RecordTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task Readings_are_judged_against_their_predictions()
    {
        var rig = await server.Begin();
        var view = await Record(rig.Id(), new() { ["runV"] = "118 V", ["vacuumStartPa"] = "300 micron", ["vacuumEndPa"] = "650 micron" });
        view.Text("/records/0/by").ShouldBe("Wren");
        Row(view, "volts").Text("/verdict").ShouldBe("pass");
        Row(view, "vacuum").Text("/verdict").ShouldBe("pass");
        Row(view, "split").Text("/verdict").ShouldBe("notDone");
    }

    [Fact]
    public async Task A_correction_is_a_new_record_and_the_old_one_stays()
    {
        var rig = await server.Begin();
        var first = await Record(rig.Id(), new() { ["runV"] = "95" });
        Row(first, "volts").Text("/verdict").ShouldBe("stop");
        var second = await Record(rig.Id(), new() { ["runV"] = "119" }, first.Text("/records/0/id"));
        second["records"]!.AsArray().Count.ShouldBe(2);
        second.Number("/records/0/readings/runV").ShouldBe(95);
        Row(second, "volts").Text("/verdict").ShouldBe("pass");
    }

    [Theory]
    [InlineData("runV", "1200 V", "Volts at the terminals, running must be 8 V to 280 V")]
    [InlineData("runV", "3 kg", "kg")]
    [InlineData("mood", "good", "no reading")]
    public async Task A_bad_reading_is_refused(string field, string typed, string words)
    {
        var rig = await server.Begin();
        var problem = await Read(await Post(rig.Id(), new() { [field] = typed }, null), HttpStatusCode.BadRequest);
        problem.Text("/detail").ShouldContain(words);
        (await server.View(rig.Id()))["records"]!.AsArray().Count.ShouldBe(0);
    }

    [Fact]
    public async Task A_record_needs_a_name_readings_and_a_record_to_correct()
    {
        var rig = await server.Begin();
        (await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/records",
            new { kind = "start-up", by = " ", units = "metric", decimalComma = false, values = new { runV = "120" } })).StatusCode.ShouldBe(
                HttpStatusCode.BadRequest);
        (await Post(rig.Id(), [], null)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Post(rig.Id(), new() { ["runV"] = "120" }, Guid.NewGuid().ToString())).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    private static System.Text.Json.Nodes.JsonNode Row(System.Text.Json.Nodes.JsonNode view, string id) =>
        view["assessment"]!["commission"]!["rows"]!.AsArray().Single(r => (string)r!["id"]! == id)!;

    private async Task<System.Text.Json.Nodes.JsonNode> Record(string id, Dictionary<string, string> readings, string? corrects = null) =>
        await Read(await Post(id, readings, corrects));

    private Task<HttpResponseMessage> Post(string id, Dictionary<string, string> readings, string? corrects) =>
        server.Http.PostAsJsonAsync($"/api/rigs/{id}/records",
            new { kind = "start-up", by = "Wren", units = "metric", decimalComma = false, values = readings, corrects });
}
