using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>Acts of a person, answered with the changes they come to; nothing is kept until those are sent.</summary>
public class ProposalTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<JsonArray> Proposed(string rig, string act, object body) =>
        (JsonArray)await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig}/propose/{act}", body));

    private static object[] Sent(JsonArray changes) => [.. changes.Select(c => Set((string)c!["path"]!, c["value"]?.DeepClone()))];

    [Fact]
    public async Task An_option_is_kept_and_taken_by_what_the_server_proposes()
    {
        var rig = await server.Begin("Options");
        var kept = await Proposed(rig.Id(), "keep-option", new { name = "as bought" });
        (await server.View(rig.Id())).Revision().ShouldBe(1, "a proposal keeps nothing");
        await Read(await server.Patch(rig.Id(), 1, Sent(kept)));
        await Read(await server.Patch(rig.Id(), 2, [Set("/energy/setpointC", 29), Set("/unit/chosen", "RT-13-115")]));
        var taken = await Proposed(rig.Id(), "adopt-option", new { name = "as bought" });
        taken.Select(c => (string)c!["path"]!).ShouldBe(["/unit/chosen", "/energy/setpointC"], ignoreOrder: true);
        var back = await Read(await server.Patch(rig.Id(), 3, Sent(taken)));
        back.Text("/design/unit/chosen").ShouldBe(rig.Text("/design/unit/chosen"));
        back.Number("/design/energy/setpointC").ShouldBe(rig.Number("/design/energy/setpointC"));
    }

    [Theory]
    [InlineData("keep-option", "{\"name\":\" \"}", "name")]
    [InlineData("adopt-option", "{\"name\":\"none\"}", "none")]
    [InlineData("drop-option", "{\"name\":\"none\"}", "none")]
    [InlineData("shed-earlier", "{\"row\":99}", "99")]
    [InlineData("source", "{\"id\":\"steam\"}", "steam")]
    public async Task What_cannot_be_done_is_refused_in_words(string act, string body, string words)
    {
        var rig = await server.Begin("Refused");
        using var content = new StringContent(body, System.Text.Encoding.UTF8, "application/json");
        (await Read(await server.Http.PostAsync($"/api/rigs/{rig.Id()}/propose/{act}", content), HttpStatusCode.BadRequest)).Text("/title")
            .ShouldContain(words);
    }

    [Fact]
    public async Task Of_a_rig_that_is_not_there_nothing_is_proposed() =>
        (await server.Http.PostAsJsonAsync($"/api/rigs/{Guid.NewGuid()}/propose/months", new { })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
}
