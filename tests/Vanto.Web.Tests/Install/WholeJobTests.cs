using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Install;
using Vanto.Core.Job;
using Vanto.Web.Demo;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Install;

/// <summary>Whole jobs as one fitter writes them down on the day, from the first step to the owner shown, in the order of the plan.</summary>
public class WholeJobTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static readonly byte[] Picture = [0xFF, 0xD8, 0xFF, 0xC0, 0, 17, 8, 0, 64, 0, 64, .. Enumerable.Range(0, 400).Select(i => (byte)i)];

    [Theory]
    [InlineData("Seed House 4")]
    [InlineData("Thistle Van")]
    public async Task A_job_is_done_step_by_step_until_the_owner_is_shown(string name)
    {
        var design = DemoRigs.Designs.First(d => d.Name == name);
        var events = DemoSite.Events(design, int.MaxValue, DateTimeOffset.UtcNow);
        using var file = new StringContent(JobFile.Write(design), Encoding.UTF8, "application/json");
        var rig = (await Read(await server.Http.PostAsync("/api/rigs/import", file), HttpStatusCode.Created)).Id();
        using var picture = new ByteArrayContent(Picture);
        picture.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        var photo = await Read(await server.Http.PostAsync($"/api/rigs/{rig}/install/photos", picture));
        JsonNode taken = null!;
        foreach (var step in events.GroupBy(e => e.Event.Step))
        {
            var sent = new JsonArray([.. step.Select(e => new JsonObject
            {
                ["id"] = e.Id,
                ["by"] = e.By,
                ["event"] = JsonSerializer.SerializeToNode(
                    e.Event.Type == EventType.PhotoTaken ? e.Event with { Text = photo.Text("/sha256") } : e.Event, JobFile.Json),
            })]);
            var answer = await server.Http.PostAsJsonAsync($"/api/rigs/{rig}/install/events", new JsonObject { ["events"] = sent, ["live"] = true });
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, $"{step.Key}: {await answer.Content.ReadAsStringAsync()}");
            taken = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        }
        var site = taken["view"]!["assessment"]!["install"]!;
        var steps = site["steps"]!.AsArray();
        steps.ShouldAllBe(s => (string)s!["state"]! == "done" && s["contested"]!.AsArray().Count == 0);
        ((string)steps[^1]!["id"]!).ShouldBe("owner-show");
        ((int)site["done"]!).ShouldBe(steps.Count);
        steps.Sum(s => (double)s!["handsMs"]!).ShouldBeGreaterThan(60 * 60_000);
        steps.ShouldContain(s => s!["photos"]!.AsArray().Count > 0);
        site["findings"]!.AsArray().ShouldNotContain(f => (string)f!["level"]! == "stop");
        site["verdict"]!["headline"]!.ToString().ShouldContain("done", Case.Insensitive);
    }
}
