using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Install;

/// <summary>Events of the work on site as devices send them.</summary>
public class InstallEndpointTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<string> Split()
    {
        var rig = await server.Begin("Sandpiper");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "MS-12-120")]));
        return rig.Id();
    }

    private static JsonObject Event(string type, string step, int seq, string device = "phone", string text = "", string field = "", double? value = null,
        string by = "Wren", Guid? id = null) => new()
        {
            ["id"] = id ?? Guid.NewGuid(),
            ["by"] = by,
            ["event"] = new JsonObject
            {
                ["type"] = type,
                ["step"] = step,
                ["device"] = device,
                ["seq"] = seq,
                ["l"] = 1000 + seq,
                ["c"] = 0,
                ["atMs"] = 60000.0 * seq,
                ["text"] = text,
                ["field"] = field,
                ["value"] = value,
            },
        };

    private async Task<HttpResponseMessage> Send(string id, bool live, params JsonObject[] events) =>
        await server.Http.PostAsJsonAsync($"/api/rigs/{id}/install/events", new JsonObject { ["events"] = new JsonArray([.. events]), ["live"] = live });

    private static async Task<JsonNode> Body(HttpResponseMessage response) => JsonNode.Parse(await response.Content.ReadAsStringAsync())!;

    private static JsonNode Step(JsonNode taken, string id) =>
        taken["view"]!["assessment"]!["install"]!["steps"]!.AsArray().Single(s => (string)s!["id"]! == id)!;

    [Fact]
    public async Task What_is_sent_twice_is_kept_once()
    {
        var id = await Split();
        var start = Event("stepStarted", "arrive-park", 1);
        var again = (JsonObject)start.DeepClone();
        var taken = await Body(await Send(id, false, start));
        ((string)Step(taken, "arrive-park")["state"]!).ShouldBe("running");
        var twice = await Body(await Send(id, false, again, Event("noteAdded", "", 2, text: "the gate code is with the owner")));
        twice["view"]!["records"]!.AsArray().Count.ShouldBe(2);
        ((int)twice["held"]!["phone"]!).ShouldBe(2);
        ((string)twice["view"]!["assessment"]!["install"]!["entries"]![0]!["text"]!).ShouldContain("gate code");
    }

    /// <summary>Planned again from now: what is done has no hands any more, the rest begins no earlier than now.</summary>
    [Fact]
    public async Task The_rest_is_planned_from_now()
    {
        var id = await Split();
        await Send(id, false, Event("stepStarted", "arrive-park", 1), Event("stepFinished", "arrive-park", 2));
        var asked = DateTime.Now;
        var study = JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{id}/plan-from-now"))!;
        var steps = study["plan"]!["steps"]!.AsArray();
        steps.Single(s => (string)s!["id"]! == "arrive-park")!["people"]!.AsArray().ShouldBeEmpty();
        var open = steps.Where(s => s!["people"]!.AsArray().Count > 0).ToList();
        open.Count.ShouldBeGreaterThan(20);
        open.ShouldAllBe(s => (int)s!["start"]! >= (int)(asked - asked.Date).TotalMinutes);
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/plan-from-now")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Another_event_under_a_known_number_is_refused_and_a_clock_that_is_off_is_told()
    {
        var id = await Split();
        var start = Event("stepStarted", "arrive-park", 1);
        await Send(id, false, (JsonObject)start.DeepClone());
        start["event"]!["atMs"] = 5;
        var refused = await Send(id, false, start);
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("another record has this number");
        var seq = 1;
        async Task<JsonNode> At(double offS) => await Body(await server.Http.PostAsJsonAsync($"/api/rigs/{id}/install/events", new JsonObject
        {
            ["events"] = new JsonArray(Event("noteAdded", "", ++seq, text: "a note")),
            ["nowMs"] = DateTimeOffset.UtcNow.ToUnixTimeMilliseconds() - offS * 1000,
        }));
        (await At(2))["clockOffS"].ShouldBeNull();
        ((double)(await At(240))["clockOffS"]!).ShouldBe(240, 5);
    }

    [Fact]
    public async Task A_live_end_with_an_open_gate_is_refused_and_one_from_a_lonely_phone_is_contested()
    {
        var id = await Split();
        await Send(id, false, Event("stepStarted", "isolate-prove", 1));
        var refused = await Send(id, true, Event("stepFinished", "isolate-prove", 2));
        refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await Body(refused))["open"]!.AsArray().Count.ShouldBeGreaterThan(0);
        var still = JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{id}"))!;
        still["records"]!.AsArray().Count.ShouldBe(1, "what is refused is not kept");
        var taken = await Body(await Send(id, false, Event("stepFinished", "isolate-prove", 2)));
        var step = Step(taken, "isolate-prove");
        ((string)step["state"]!).ShouldBe("done");
        step["contested"]!.AsArray().Count.ShouldBeGreaterThan(0);
        taken["view"]!["assessment"]!["install"]!["findings"]!.AsArray().ShouldContain(f => (string)f!["code"]! == "step.contested");
        taken["view"]!["assessment"]!["install"]!["steps"]!.AsArray().Where(s => s!["waitsFor"]!.AsArray().Any(w => ((string)w!).Contains("Isolate")))
            .ShouldAllBe(s => !(bool)s!["ready"]!);
    }

    [Fact]
    public async Task Two_devices_come_to_one_state_in_any_order()
    {
        var (a, b) = (await Split(), await Split());
        JsonObject[] phone = [Event("stepStarted", "arrive-park", 1), Event("stepPaused", "arrive-park", 3, text: "phone call"), Event("stepResumed",
            "arrive-park", 5)];
        JsonObject[] laptop = [Event("noteAdded", "arrive-park", 1, "laptop", "shade on the left", by: "Piet"), Event("stepFinished", "arrive-park", 9,
            "laptop", by: "Piet")];
        JsonObject[] Copy(JsonObject[] events) => [.. events.Select(e =>
        {
            var copy = (JsonObject)e.DeepClone();
            copy["id"] = Guid.NewGuid();
            return copy;
        })];
        await Send(a, false, Copy(phone));
        var first = await Body(await Send(a, false, Copy(laptop)));
        await Send(b, false, Copy(laptop));
        var second = await Body(await Send(b, false, Copy(phone)));
        Step(first, "arrive-park").ToJsonString().ShouldBe(Step(second, "arrive-park").ToJsonString());
        ((double)Step(first, "arrive-park")["handsMs"]!).ShouldBe((3 - 1 + 9 - 5) * 60000.0);
        ((int)first["held"]!["laptop"]!).ShouldBe(1, "2 to 8 of the laptop have not come");
    }

    [Fact]
    public async Task The_run_sheet_prints_steps_boxes_and_blanks()
    {
        var id = await Split();
        using var pdf = UglyToad.PdfPig.PdfDocument.Open(await server.Http.GetByteArrayAsync($"/api/rigs/{id}/install/run-sheet.pdf"));
        var words = string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        foreach (var expected in new[] { "Sandpiper: run sheet", "Pull the vacuum", "Vacuum reached:", "never left out", "refrigerant" })
            words.ShouldContain(expected);
    }

    [Fact]
    public async Task A_photograph_is_kept_once_by_its_content_and_shown_again()
    {
        var id = await Split();
        byte[] jpeg = [0xFF, 0xD8, 0xFF, 0xC0, 0, 17, 8, 0, 64, 0, 64, .. Enumerable.Range(0, 400).Select(i => (byte)i)];
        async Task<HttpResponseMessage> Keep(byte[] content, string rig)
        {
            using var body = new ByteArrayContent(content);
            body.Headers.ContentType = new("image/jpeg");
            return await server.Http.PostAsync($"/api/rigs/{rig}/install/photos", body);
        }

        var hash = Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(jpeg));
        ((string)(await Body(await Keep(jpeg, id)))["sha256"]!).ShouldBe(hash);
        (await Keep(jpeg, id)).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Read(await server.Patch(id, 2, [Set("/name", "Sanderling")]));
        (await server.Http.GetByteArrayAsync($"/api/rigs/{id}/install/photos/{hash}")).ShouldBe(jpeg, "an edit of the design lets go of no photograph");
        (await (await Keep([1, 2, 3], id)).Content.ReadAsStringAsync()).ShouldContain("no JPEG");
        (await Keep(jpeg, Guid.NewGuid().ToString())).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await server.Http.GetAsync($"/api/rigs/{id}/install/photos/{hash.Replace(hash[0], 'z')}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task What_is_no_event_is_refused_by_field()
    {
        var id = await Split();
        async Task<string> Why(params JsonObject[] events) => await (await Send(id, false, events)).Content.ReadAsStringAsync();
        (await Why()).ShouldContain("1 to 200");
        (await Why(Event("stepStarted", "arrive-park", 0))).ShouldContain("events[0].event.seq");
        (await Why(Event("stepStarted", "arrive-park", 1, by: " "))).ShouldContain("events[0].by");
        (await Send(Guid.NewGuid().ToString(), false, Event("stepStarted", "arrive-park", 1))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
