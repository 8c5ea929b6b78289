using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

public class SeasonTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task A_year_runs_on_made_weather_and_on_a_file_made_of_it()
    {
        var rig = await WithClimate();
        var made = await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/season"));
        made["months"]!.AsArray().Count.ShouldBe(12);
        made.Number("/coolingKWh").ShouldBeGreaterThan(100);
        made.Number("/hoursAboveFree").ShouldBeGreaterThan(100);
        made.Text("/weather").ShouldContain("seed 1");
        ((int?)made["worstMonth"])!.Value.ShouldBeInRange(5, 9);

        var epw = await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/weather.epw");
        var read = await Read(await Attach(rig.Id(), epw));
        read.Number("/place/latitudeDeg").ShouldBe(34);
        read.Number("/day/hottestC").ShouldBeGreaterThan(35);
        var filed = await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/season"));
        filed.Text("/weather").ShouldBe("home.epw");
        filed.Number("/coolingKWh").ShouldBe(made.Number("/coolingKWh"), made.Number("/coolingKWh") * 0.03,
            "the file carries the same hours, split a little otherwise");
    }

    [Fact]
    public async Task A_copy_has_the_weather_file_of_its_own_and_keeps_it_when_the_original_goes()
    {
        var rig = await WithClimate();
        await Read(await Attach(rig.Id(), await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/weather.epw")));
        var copy = await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Copy", kind = "van", copyOf = rig.Id() }), HttpStatusCode.Created);
        (await server.Http.DeleteAsync($"/api/rigs/{rig.Id()}")).IsSuccessStatusCode.ShouldBeTrue();
        var season = await Read(await server.Http.GetAsync($"/api/rigs/{copy.Id()}/season"));
        season.Text("/weather").ShouldBe("home.epw");
        season.Number("/coolingKWh").ShouldBeGreaterThan(100);
    }

    [Theory]
    [InlineData("", "shorter")]
    [InlineData("LOCATION\n\n\n\n\n\n\n\n\n\n", "LOCATION needs ten fields")]
    public async Task A_bad_file_is_refused_and_not_attached(string text, string words)
    {
        var rig = await WithClimate();
        var problem = await Read(await Attach(rig.Id(), text.Replace("\n\n\n\n\n\n\n\n\n\n", "\nDESIGN CONDITIONS,0\nTYPICAL/EXTREME PERIODS,0\nGROUND "
            + "TEMPERATURES,0\nHOLIDAYS/DAYLIGHT SAVINGS,No,0,0,0\nCOMMENTS 1,-\nCOMMENTS 2,-\nDATA PERIODS,1,1,Data,Sunday,1/1,12/31\nx")),
            HttpStatusCode.BadRequest);
        problem.Text("/detail").ShouldContain(words);
        (await server.View(rig.Id())).Text("/design/survey/climate/weatherFile").ShouldBeEmpty();
    }

    [Fact]
    public async Task A_rig_without_a_climate_says_what_is_missing()
    {
        var rig = await server.Begin();
        (await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/season"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("twelve months");
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/season")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private async Task<JsonNode> WithClimate()
    {
        var rig = await server.Begin();
        var months = new JsonArray([.. new[] { 12, 14, 19, 24, 29, 35, 38, 37, 32, 25, 18, 13 }.Select(
            max => (JsonNode)new JsonObject { ["maxC"] = max, ["minC"] = max - 13, ["clearness"] = 0.6, ["humidityPct"] = 40, ["windMs"] = 3 })]);
        return await Read(await server.Patch(rig.Id(), 1, [Set("/survey/climate/months", months)])) is var done ? rig : done;
    }

    private Task<HttpResponseMessage> Attach(string id, string text) =>
        server.Http.PostAsync($"/api/rigs/{id}/weather?name=home.epw", new StringContent(text, Encoding.UTF8, "text/plain"));
}
