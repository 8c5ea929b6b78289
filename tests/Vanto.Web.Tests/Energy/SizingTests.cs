using System.Net;
using System.Text.Json.Nodes;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Energy;

/// <summary>The search for the smallest kit as it comes over the wire, and what else Energy is asked for.</summary>
public class SizingTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<JsonNode> Van(params object[] more)
    {
        var rig = await server.Begin("Redpoll");
        object[] changes = [Set("/unit/chosen", "MS-09-120"), Set("/energy/sizing/mostBatteries", 6), Set("/energy/sizing/mostModules", 4),
            Set("/energy/sizing/days", 1), .. more];
        await Read(await server.Patch(rig.Id(), 1, changes));
        return await server.View(rig.Id());
    }

    private async Task<List<(string Name, JsonNode? Data)>> Events(string id)
    {
        var events = new List<(string, JsonNode?)>();
        var name = "";
        foreach (var line in (await server.Http.GetStringAsync($"/api/rigs/{id}/sizing")).Split('\n'))
        {
            if (line.StartsWith("event: ", StringComparison.Ordinal))
                name = line[7..].Trim();
            else if (line.StartsWith("data: ", StringComparison.Ordinal))
                events.Add((name, JsonNode.Parse(line[6..])));
        }
        return events;
    }

    [Fact]
    public async Task A_search_tells_how_far_it_is_and_ends_with_its_map()
    {
        var rig = await Van();
        var events = await Events(rig.Id());
        var progress = events.Where(e => e.Name == "progress").Select(e => (int)e.Data!["done"]!).ToList();
        progress.Order().ShouldBe(Enumerable.Range(1, progress.Count));
        var result = events[^1];
        result.Name.ShouldBe("result");
        result.Data!["maps"]![0]!["least"]!.AsArray().Count.ShouldBe(5);
        var point = result.Data["frontier"]![0]!;
        var adopted = await Read(
            await server.Patch(rig.Id(), rig.Revision(), [.. point["changes"]!.AsArray().Select(c => Set((string)c!["path"]!, c["value"]?.DeepClone()))]));
        adopted.Number("/design/survey/sources/battery/blocks").ShouldBe(point.Number("/kit/batteries"));
        adopted.Number("/design/survey/sources/modules/count").ShouldBe(point.Number("/kit/modules"));
    }

    [Fact]
    public async Task A_fault_is_told_in_words()
    {
        var rig = await Van(Set("/survey/sources/battery/fitted", false));
        var (name, words) = (await Events(rig.Id()))[^1];
        name.ShouldBe("fault");
        ((string)words!).ShouldContain("block");
        var broken = await Van(Set("/unit/chosen", "no-such-unit"));
        (await Events(broken.Id()))[^1].Name.ShouldBe("fault");
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/sizing")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_search_that_nobody_listens_to_any_more_ends_and_the_server_goes_on()
    {
        var rig = await Van(Set("/energy/sizing/mostBatteries", 40), Set("/energy/sizing/mostModules", 60), Set("/energy/sizing/days", 14));
        using (var stream = await server.Http.GetStreamAsync($"/api/rigs/{rig.Id()}/sizing"))
        using (var reader = new StreamReader(stream))
            (await reader.ReadLineAsync()).ShouldNotBeNull();
        (await server.View(rig.Id())).Number("/assessment/energy/minSoc").ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task The_year_runs_on_the_rigs_weather()
    {
        var rig = await Van(Set("/survey/sources/modules/count", 4));
        (await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/energy-year"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("twelve months");
        var months = new JsonArray([.. Enumerable.Range(0, 12).Select(
            _ => (JsonNode)new JsonObject { ["maxC"] = 33, ["minC"] = 19, ["clearness"] = 0.6, ["humidityPct"] = 40, ["windMs"] = 3 })]);
        await Read(await server.Patch(rig.Id(), rig.Revision(), [Set("/survey/climate/months", months)]));
        var year = await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/energy-year"));
        year["weeks"]!.AsArray().Count.ShouldBe(53);
        year.Number("/airconKWh").ShouldBeGreaterThan(10);
        var week = await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/energy-stretch"));
        week["weeks"]!.AsArray().Count.ShouldBe(3);
        week.Number("/windowHours").ShouldBeGreaterThan(7);
        await Read(await server.Patch(rig.Id(), rig.Revision() + 1, [Set("/energy/stretch/month", 2), Set("/energy/stretch/day", 30)]));
        (await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/energy-stretch"), HttpStatusCode.BadRequest)).Text("/detail")
            .ShouldContain("February has 28 days");
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/energy-stretch")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/energy-year")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Limited_power_is_worked_out_when_asked()
    {
        var rig = await Van();
        var view = await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/limited-power"));
        view["degrees"]!.AsArray().Count.ShouldBe(4);
        view["shed"]!.AsArray().Count.ShouldBeGreaterThan(5);
        var broken = await Van(Set("/unit/chosen", "no-such-unit"));
        await Read(await server.Http.GetAsync($"/api/rigs/{broken.Id()}/limited-power"), HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task Options_are_kept_with_the_rig_and_compared()
    {
        var rig = await Van();
        var design = rig["design"]!;
        var option = new JsonObject
        {
            ["name"] = "small",
            ["chosen"] = "MS-09-120",
            ["start"] = design["start"]!.DeepClone(),
            ["energy"] = design["energy"]!.DeepClone(),
            ["sources"] = design["survey"]!["sources"]!.DeepClone()
        };
        option["sources"]!["battery"]!["blocks"] = 1;
        await Read(await server.Patch(rig.Id(), rig.Revision(), [Set("/options", new JsonArray(option)), Set("/baseline", "small")]));
        var view = await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/options"));
        view.Text("/baseline").ShouldBe("small");
        view["rows"]!.AsArray().Select(r => (string)r!["name"]!).ShouldBe(["", "small"]);
        view.Number("/rows/1/cost").ShouldBeLessThan(view.Number("/rows/0/cost"));
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/options")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
