using System.Net;
using System.Net.Http.Json;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

public class RigTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task A_new_rig_comes_with_all_its_results()
    {
        var view = await server.Begin("Wagtail", "boat");
        view.Text("/design/survey/kind").ShouldBe("boat");
        view.Number("/assessment/load/peakW").ShouldBeGreaterThan(300);
        view["assessment"]!["faults"]!.AsArray().Count.ShouldBe(0);
        view["assessment"]!["ledger"]!.AsArray().Select(e => (string)e!["id"]!).ShouldBe(["heat", "unit", "start", "night", "sun", "weight", "hours"]);
    }

    [Theory]
    [InlineData("12 ft 6 1/2", 3.8227)]
    [InlineData("6.2m", 6.2)]
    [InlineData("244 in", 6.1976)]
    public async Task Typed_lengths_are_read_in_any_unit(string typed, double metres)
    {
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/lengthM", typed)]));
        (await server.View(rig.Id())).Number("/design/survey/space/lengthM").ShouldBe(metres, 1e-6);
    }

    [Fact]
    public async Task A_change_answers_with_the_stations_it_moved_and_no_others()
    {
        var rig = await server.Begin();
        var done = await Read(await server.Patch(rig.Id(), 1, [Typed("/start/restedS", "60")]));
        done["changed"]!.AsArray().Select(c => (string)c!).ShouldNotContain("load");
        done["assessment"]!["load"].ShouldBeNull();
        var heavier = await Read(await server.Patch(rig.Id(), 2, [Typed("/survey/place/dryBulbC", "44 °C")]));
        heavier["changed"]!.AsArray().Select(c => (string)c!).ShouldContain("load");
        heavier.Number("/assessment/load/peakW").ShouldBeGreaterThan(rig.Number("/assessment/load/peakW"));
    }

    [Fact]
    public async Task What_a_change_answers_is_what_the_rig_then_holds()
    {
        var rig = await server.Begin("Dunnock", "boat");
        var done = await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/place/dryBulbC", "39.5")]));
        var view = await server.View(rig.Id());
        var changed = done["changed"]!.AsArray().Select(c => (string)c!).ToList();
        changed.ShouldContain("load");
        foreach (var part in (string[])[.. changed, "ledger", "states", "worst", "faults"])
            System.Text.Json.Nodes.JsonNode.DeepEquals(done["assessment"]![part], view["assessment"]![part]).ShouldBeTrue(part);
        System.Text.Json.Nodes.JsonNode.DeepEquals(done["design"], view["design"]).ShouldBeTrue();
        done.Number("/revision").ShouldBe(2);
    }

    [Theory]
    [InlineData("/survey/space/lengthM", "400 m", "Length must be 0.8 m to 40 m; got 400 m")]
    [InlineData("/survey/space/lengthM", "20 kg", "kg")]
    [InlineData("/survey/space/lengthM", "long", "long")]
    [InlineData("/survey/people/count", "1.5", "whole number")]
    [InlineData("/survey/nothing", "1", "nothing")]
    public async Task A_bad_value_is_refused_with_its_field_and_nothing_is_stored(string path, string typed, string words)
    {
        var rig = await server.Begin();
        var problem = await Read(await server.Patch(rig.Id(), 1, [Typed("/start/restedS", "90"), Typed(path, typed)]), HttpStatusCode.BadRequest);
        problem.Text("/title").ShouldContain(words);
        problem.Text("/errors/0/field").ShouldContain(path[1..].Split('/')[^1]);
        var after = await server.View(rig.Id());
        after.Revision().ShouldBe(1);
        after.Number("/design/start/restedS").ShouldBe(rig.Number("/design/start/restedS"));
    }

    [Fact]
    public async Task Range_errors_speak_the_units_of_the_person()
    {
        var rig = await server.Begin();
        var problem = await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/place/dryBulbC", "200")], units: "customary"), HttpStatusCode.BadRequest);
        problem.Text("/title").ShouldContain("-58 °F to 140 °F");
    }

    [Fact]
    public async Task A_value_that_no_field_knows_is_refused()
    {
        var rig = await server.Begin();
        var problem = await Read(await server.Patch(rig.Id(), 1, [Set("/survey/space", new { lengthM = "wide" })]), HttpStatusCode.BadRequest);
        problem.Text("/title").ShouldContain("lengthM");
        (await server.View(rig.Id())).Revision().ShouldBe(1);
    }

    [Fact]
    public async Task Two_tabs_on_different_fields_are_merged()
    {
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.1")], "tab-1"));
        var merged = await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/heightM", "2.0")], "tab-2"));
        merged["merged"]!.GetValue<bool>().ShouldBeTrue();
        var view = await server.View(rig.Id());
        view.Number("/design/survey/space/widthM").ShouldBe(2.1, 1e-9);
        view.Number("/design/survey/space/heightM").ShouldBe(2.0, 1e-9);
    }

    [Fact]
    public async Task Two_tabs_on_the_same_field_conflict_visibly_and_lose_nothing()
    {
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.1")], "tab-1"));
        var conflict = await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.2")], "tab-2"), HttpStatusCode.Conflict);
        conflict.Number("/fields/0/mine").ShouldBe(2.2, 1e-9);
        conflict.Number("/fields/0/theirs").ShouldBe(2.1, 1e-9);
        conflict.Text("/fields/0/label").ShouldBe("Width");
        var kept = await Read(await server.Patch(rig.Id(), conflict.Revision(), [Typed("/survey/space/widthM", "2.2")], "tab-2"));
        kept.Number("/design/survey/space/widthM").ShouldBe(2.2, 1e-9);
        var history = (await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/history"))).AsArray();
        history.Count.ShouldBe(3);
    }

    [Fact]
    public async Task Two_tabs_that_type_the_same_value_do_not_conflict()
    {
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.1")], "tab-1"));
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2100 mm")], "tab-2"));
    }

    [Fact]
    public async Task A_revision_can_be_returned_to_and_the_history_keeps_both()
    {
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.1")]));
        var back = await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/restore", new { revision = 1, client = "tab-1" }));
        back.Number("/design/survey/space/widthM").ShouldBe(rig.Number("/design/survey/space/widthM"));
        back.Revision().ShouldBe(3);
        var again = await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/restore", new { revision = 2, client = "tab-1" }));
        again.Number("/design/survey/space/widthM").ShouldBe(2.1, 1e-9);
    }

    [Fact]
    public async Task A_rig_is_copied_as_a_starting_point()
    {
        var rig = await server.Begin("Wagtail", "bus");
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.15")]));
        var copy = await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Second", kind = "van", copyOf = rig.Id() }), HttpStatusCode.Created);
        copy.Text("/design/name").ShouldBe("Second");
        copy.Text("/design/survey/kind").ShouldBe("bus");
        copy.Number("/design/survey/space/widthM").ShouldBe(2.15, 1e-9);
    }

    [Fact]
    public async Task A_removed_rig_is_gone_and_a_rig_needs_a_name()
    {
        var rig = await server.Begin();
        (await server.Http.DeleteAsync($"/api/rigs/{rig.Id()}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = " ", kind = "van" }), HttpStatusCode.BadRequest)).Text("/title")
            .ShouldContain("name");
        (await server.Http.PostAsJsonAsync("/api/rigs", new { name = "x", kind = "submarine" })).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task The_yard_lists_rigs_with_their_worst_finding()
    {
        var rig = await server.Begin("In the yard");
        await server.View(rig.Id());
        var yard = (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray();
        var mine = yard.Single(r => r!.Id() == rig.Id())!;
        mine.Text("/name").ShouldBe("In the yard");
        mine.Text("/stage").ShouldNotBeEmpty();
    }

    [Fact]
    public async Task The_api_knows_no_other_paths() =>
        (await server.Http.GetAsync("/api/nothing/here")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
}
