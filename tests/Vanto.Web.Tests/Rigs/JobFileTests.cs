using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

public class JobFileTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task A_job_file_comes_back_as_it_went_with_unknown_fields_kept()
    {
        var rig = await server.Begin("Lapwing", "container");
        var file = JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/job-file"))!;
        file["survey"]!["colourOfTheCurtains"] = "ochre";
        file["fromTheFuture"] = new JsonObject { ["kept"] = true };
        var read = await Read(await Import(file.ToJsonString()), HttpStatusCode.Created);
        var again = JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{read.Id()}/job-file"))!;
        JsonNode.DeepEquals(file, again).ShouldBeTrue();
    }

    [Fact]
    public async Task Unknown_fields_survive_an_edit()
    {
        var rig = await server.Begin();
        var file = JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/job-file"))!;
        file["survey"]!["space"]!["mood"] = "bright";
        var read = await Read(await Import(file.ToJsonString()), HttpStatusCode.Created);
        await Read(await server.Patch(read.Id(), 1, [Typed("/survey/space/widthM", "2.2")]));
        JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{read.Id()}/job-file"))!.Text("/survey/space/mood").ShouldBe("bright");
    }

    [Theory]
    [InlineData("{", "line 1")]
    [InlineData("[1]", "one JSON object")]
    [InlineData("", "line 1")]
    [InlineData("{\"version\":99,\"survey\":{}}", "version 99")]
    [InlineData("{\"version\":1}", "survey is missing")]
    [InlineData("{\"version\":1,\"survey\":{\"space\":{\"lengthM\":\"five\"}}}", "survey.space.lengthM")]
    [InlineData("{\"version\":1,\"survey\":{\"kind\":\"submarine\"}}", "survey.kind")]
    [InlineData("{\"version\":1,\"survey\":{\"space\":{\"lengthM\":4000}}}", "survey.space.lengthM must be 0.8 m to 40 m; got 4000 m")]
    [InlineData("{\"version\":1,\"survey\":{\"windows\":[{\"widthM\":0}]}}", "survey.windows[0].widthM")]
    [InlineData("{\"version\":1,\"survey\":{\"people\":null}}", "survey.people")]
    public async Task A_bad_file_is_refused_with_the_place_named(string file, string place)
    {
        var problem = await Read(await Import(file), HttpStatusCode.BadRequest);
        problem.Text("/detail").ShouldContain(place);
    }

    [Fact]
    public async Task Assessing_a_whole_design_keeps_nothing()
    {
        var rig = await server.Begin();
        var before = (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray().Count;
        var design = rig["design"]!.DeepClone();
        design["survey"]!["place"]!["dryBulbC"] = 45;
        var answer = await Read(await server.Http.PostAsync("/api/assess", new StringContent(design.ToJsonString(), Encoding.UTF8, "application/json")));
        answer.Number("/load/peakW").ShouldBeGreaterThan(rig.Number("/assessment/load/peakW"));
        (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray().Count.ShouldBe(before);
        (await Read(await server.Http.PostAsJsonAsync("/api/assess", new { survey = new { headingDeg = 400 } }), HttpStatusCode.BadRequest)).Text("/detail")
            .ShouldContain("survey.headingDeg must be 0° to 360°; got 400°");
    }

    private Task<HttpResponseMessage> Import(string file) =>
        server.Http.PostAsync("/api/rigs/import", new StringContent(file, Encoding.UTF8, "application/json"));
}
