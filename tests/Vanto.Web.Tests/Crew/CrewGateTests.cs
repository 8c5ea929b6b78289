using System.Net;
using System.Net.Http.Json;
using System.Security.Cryptography.X509Certificates;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http;
using Vanto.Core.Crew;
using Vanto.Web.Crew;
using Vanto.Web.Handover;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Crew;

/// <summary>The door to the crew's network: shut, opened, joined with a code, and what each role may through it.</summary>
public sealed class CrewGateTests(RunningServer server) : IClassFixture<RunningServer>, IAsyncLifetime
{
    private readonly Crowd _crowd = new(server);

    private CrewGate Gate => _crowd.Gate;

    public Task InitializeAsync() => _crowd.Open();

    public Task DisposeAsync() => Gate.Close();

    private HttpClient Phone() => _crowd.Phone();

    private Task<string> Code(string role) => _crowd.Code(role);

    private Task<HttpClient> Joined(string role, string name = "Wren", string? rig = null) => _crowd.Joined(role, name, rig);

    [Fact]
    public async Task A_stranger_gets_the_page_and_nothing_else()
    {
        using var phone = Phone();
        foreach (var path in new[] { "/api/rigs", "/api/crew/me", "/api/openapi/v1.json", "/api/crew" })
            (await phone.GetAsync(path)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized, path);
        (await phone.PostAsJsonAsync("/api/calc/psychrometrics", new { })).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        var wrong = await phone.PostAsJsonAsync("/api/crew/join", new { code = "000000", name = "Wren" });
        wrong.StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task A_code_works_once_and_who_guesses_is_heard_no_longer_and_named_to_the_owner()
    {
        using var first = Phone();
        var code = await Code("fitter");
        (await first.PostAsJsonAsync("/api/crew/join", new { code, name = "Piet" })).StatusCode.ShouldBe(HttpStatusCode.OK);
        using var second = Phone();
        (await second.PostAsJsonAsync("/api/crew/join", new { code, name = "Piet" })).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        var other = await Code("fitter");
        for (var i = 0; i < JoinCode.Tries; i++)
            await second.PostAsJsonAsync("/api/crew/join", new { code = "x" + i, name = "Piet" });
        (await (await second.PostAsJsonAsync("/api/crew/join", new { code = other, name = "Piet" })).Content.ReadAsStringAsync())
            .ShouldContain("Too many tries from here");
        (await second.PostAsJsonAsync("/api/crew/join", new { code = await Code("fitter"), name = " " })).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        var tried = (await Read(await server.Http.GetAsync("/api/crew")))["tries"]!.AsArray().ShouldHaveSingleItem()!;
        tried.Text("/from").ShouldContain("127.0.0.1");
        tried.Number("/tries").ShouldBeGreaterThanOrEqualTo(JoinCode.Tries);
    }

    /// <summary>What is no request for a code is refused in words, from anybody on the network.</summary>
    [Theory]
    [InlineData("""{"code":"1"}""")]
    [InlineData("{}")]
    [InlineData("""{"code":"123456","name":null}""")]
    [InlineData("null")]
    [InlineData("[")]
    [InlineData("")]
    public async Task A_broken_request_to_join_is_refused_in_words(string body)
    {
        using var stranger = Phone();
        var refused = await stranger.PostAsync("/api/crew/join", new StringContent(body, System.Text.Encoding.UTF8, "application/json"));
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Read(refused, HttpStatusCode.BadRequest)).Text("/title").Length.ShouldBeGreaterThan(5);
    }

    [Fact]
    public void Who_guesses_keeps_nobody_else_out()
    {
        var book = new CrewBook(Path.Combine(Directory.CreateTempSubdirectory("vanto-crew-").FullName, "crew.json"), TimeProvider.System);
        var code = book.Invite(CrewRole.Fitter).Digits;
        for (var n = 0; n < 20; n++)
            book.Join("x", "Nobody", "192.0.2.66");
        book.Join(code, "Nobody", "192.0.2.66").Verdict.ShouldBe(JoinVerdict.Deaf);
        var (verdict, token) = book.Join(code, "Piet", "192.0.2.7");
        verdict.ShouldBe(JoinVerdict.Joined);
        book.Tries.ShouldHaveSingleItem().Tries.ShouldBe(21);
        var before = book.Who(token)!.Id;
        var (_, again) = book.Join(book.Invite(CrewRole.Helper).Digits, "Piet Okoro", "192.0.2.7", token);
        book.Who(again)!.ShouldSatisfyAllConditions(d => d.Id.ShouldBe(before, "it is the same device"), d => d.Role.ShouldBe(CrewRole.Helper));
        book.Who(token).ShouldBeNull();
    }

    [Fact]
    public async Task A_helper_writes_down_work_and_changes_no_design()
    {
        var rig = await server.Begin("Sandpiper");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "MS-12-120")]));
        using var phone = await Joined("helper");
        (await Read(await phone.GetAsync($"/api/rigs/{rig.Id()}"))).Text("/design/name").ShouldBe("Sandpiper");
        var started = new JsonObject
        {
            ["id"] = Guid.NewGuid(),
            ["by"] = "Wren",
            ["event"] = new JsonObject { ["type"] = "stepStarted", ["step"] = "arrive-park", ["device"] = "phone", ["seq"] = 1, ["l"] = 1 },
        };
        await Read(await phone.PostAsJsonAsync($"/api/rigs/{rig.Id()}/install/events",
            new JsonObject { ["events"] = new JsonArray(started), ["live"] = false }));
        var refused = await phone.PatchAsJsonAsync($"/api/rigs/{rig.Id()}", new { baseRevision = 2, client = "t", changes = new[] { Set("/name", "Mine") } });
        refused.StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("A helper may not change a design.");
        (await phone.DeleteAsync($"/api/rigs/{rig.Id()}")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await phone.GetAsync("/api/crew")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    /// <summary>A phone whose clock is four minutes behind asks the laptop's, is told, and the owner sees it beside the device.</summary>
    [Fact]
    public async Task A_phones_clock_is_held_against_the_laptops()
    {
        using var stranger = Phone();
        (await stranger.GetAsync("/api/crew/clock")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await stranger.PostAsJsonAsync("/api/crew/clock", Array.Empty<object>())).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        using var phone = await Joined("helper", "Sanna Lind");
        const double BehindS = 240;
        double Now() => DateTimeOffset.UtcNow.ToUnixTimeMilliseconds() / 1000.0 - BehindS;
        var samples = new List<object>();
        for (var n = 0; n < 8; n++)
        {
            var sentS = Now();
            var moment = await Read(await phone.GetAsync("/api/crew/clock"));
            samples.Add(new { sentS, receivedS = moment.Number("/receivedS"), answeredS = moment.Number("/answeredS"), backS = Now() });
        }
        var told = await Read(await phone.PostAsJsonAsync("/api/crew/clock", samples));
        told.Number("/offsetS").ShouldBe(BehindS, 2);
        told.Text("/severity").ShouldBe("caution");
        var device = (await Read(await server.Http.GetAsync("/api/crew")))["devices"]!.AsArray().Single(d => d!.Text("/name") == "Sanna Lind")!;
        device.Text("/clock/template").ShouldContain("behind the laptop's");
        var refused = await phone.PostAsJsonAsync("/api/crew/clock", new[] { new { sentS = 10, receivedS = 10, answeredS = 10, backS = 9 } });
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("before its question");
    }

    private static JsonObject Event(string type, string step, int seq, string text = "", string second = "", string device = "phone", Guid? corrects = null,
        string field = "") => new()
        {
            ["id"] = Guid.NewGuid(),
            ["by"] = "Wren",
            ["corrects"] = corrects,
            ["event"] = new JsonObject
            {
                ["type"] = type,
                ["step"] = step,
                ["device"] = device,
                ["seq"] = seq,
                ["l"] = seq,
                ["text"] = text,
                ["second"] = second,
                ["field"] = field,
            },
        };

    private static Task<HttpResponseMessage> Write(HttpClient who, string rig, JsonObject e) =>
        who.PostAsJsonAsync($"/api/rigs/{rig}/install/events", new JsonObject { ["events"] = new JsonArray(e), ["live"] = false });

    private static async Task IsRefused(Task<HttpResponseMessage> asked, string words)
    {
        var refused = await asked;
        refused.StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await refused.Content.ReadAsStringAsync()).ShouldContain(words);
    }

    /// <summary>Gates, licences and other people's entries: what the table of roles keeps from a helper, and what from a fitter.</summary>
    [Fact]
    public async Task A_helper_passes_nothing_over_and_ends_what_takes_a_licence_under_the_eye_of_who_has_it()
    {
        var rig = await server.Begin("Turnstone");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "MS-12-120")]));
        using var helper = await Joined("helper");
        using var fitter = await Joined("fitter", "Piet");
        await IsRefused(Write(helper, rig.Id(), Event("gateOverridden", "arrive-park", 1, "the sun stands too low", field: "x")), "pass over a gate");
        (await Write(fitter, rig.Id(), Event("gateOverridden", "arrive-park", 1, "the sun stands too low", device: "other", field: "x")))
            .StatusCode.ShouldBe(HttpStatusCode.OK);
        await IsRefused(Write(helper, rig.Id(), Event("stepFinished", "vac-run", 1)), "name who supervises");
        foreach (var own in new[] { "Wren", "wren", " WREN " })
            await IsRefused(Write(helper, rig.Id(), Event("stepFinished", "vac-run", 1, second: own)), "name who supervises");
        await IsRefused(Write(helper, rig.Id(), Event("stepFinished", "vac-run", 1, second: "nobody")), "nobody of this crew");
        using var other = await Joined("helper", "Sanna");
        await IsRefused(Write(helper, rig.Id(), Event("stepFinished", "vac-run", 1, second: "Sanna")), "none that is known here");
        (await Write(helper, rig.Id(), Event("stepFinished", "vac-run", 1, second: "Piet"))).StatusCode.ShouldBe(HttpStatusCode.OK);
        var note = Event("noteAdded", "", 2, "a note");
        await Read(await Write(helper, rig.Id(), (JsonObject)note.DeepClone()));
        var id = note["id"]!.GetValue<Guid>();
        await IsRefused(Write(fitter, rig.Id(), Event("correction", "", 2, device: "other", corrects: id)), "what Wren wrote down");
        (await Write(helper, rig.Id(), Event("correction", "", 3, corrects: id))).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Write(server.Http, rig.Id(), Event("correction", "", 1, device: "laptop", corrects: id))).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    /// <summary>Who wrote something down is said by the gate: neither a device nor a name that is typed counts, and an event has one door.</summary>
    [Fact]
    public async Task Who_wrote_it_is_who_sent_it()
    {
        var rig = (await server.Begin("Godwit")).Id();
        await Read(await server.Patch(rig, 1, [Set("/unit/chosen", "MS-12-120")]));
        using var piet = await Joined("fitter", "Piet");
        using var hal = await Joined("helper", "Hal");
        var note = Event("stepFinished", "arrive-park", 1, device: "piets-phone");
        note["by"] = "Ottoline Marsh";
        await Read(await Write(piet, rig, note));
        var kept = (await server.View(rig))["records"]!.AsArray().Single(r => r!.Text("/kind") == "install")!;
        kept.Text("/by").ShouldBe("Piet");
        kept.Text("/event/device").ShouldEndWith("/piets-phone");
        var id = note["id"]!.GetValue<Guid>();
        await IsRefused(Write(hal, rig, Event("correction", "", 1, device: "piets-phone", corrects: id)), "what Piet wrote down");
        await IsRefused(Write(hal, rig, Event("correction", "", 1, device: kept.Text("/event/device"), corrects: id)), "what Piet wrote down");
        var around = new { kind = "install", by = "Ottoline Marsh", corrects = id, values = new { type = "gateOverridden", step = "arrive-park" } };
        foreach (var who in new[] { hal, piet, server.Http })
            (await Read(await who.PostAsJsonAsync($"/api/rigs/{rig}/records", around),
                HttpStatusCode.BadRequest)).Text("/title").ShouldContain("install/events");
        (await Write(piet, rig, (JsonObject)note.DeepClone())).StatusCode.ShouldBe(HttpStatusCode.OK, "sent once more it is the same");
    }

    [Fact]
    public async Task A_reading_carries_the_name_of_who_sends_it_and_others_are_not_corrected()
    {
        var rig = (await server.Begin("Avocet")).Id();
        using var hal = await Joined("helper", "Hal");
        object Reading(string by, string? corrects = null) => new { kind = "nitrogen", by, corrects, values = new { gaugePa = "40 bar", pipeC = "20 °C" } };
        await Read(await hal.PostAsJsonAsync($"/api/rigs/{rig}/records", Reading("Ottoline Marsh")));
        await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig}/records", Reading("Ottoline Marsh")));
        var records = (await server.View(rig))["records"]!.AsArray();
        records.Select(r => r!.Text("/by")).ShouldBe(["Hal", "Ottoline Marsh"]);
        await IsRefused(hal.PostAsJsonAsync($"/api/rigs/{rig}/records", Reading("Ottoline Marsh", records[1]!.Id())), "correct what others wrote down");
        (await hal.PostAsJsonAsync($"/api/rigs/{rig}/records", Reading("", records[0]!.Id()))).StatusCode.ShouldBe(HttpStatusCode.OK);
        var device = (await Read(await server.Http.GetAsync("/api/crew")))["devices"]!.AsArray().Last(d => d!.Text("/name") == "Hal")!.Id();
        await Read(await server.Http.PostAsJsonAsync($"/api/crew/devices/{device}/shared", new { on = true }));
        await Read(await hal.PostAsJsonAsync($"/api/rigs/{rig}/records", Reading("Ottoline Marsh")));
        (await server.View(rig))["records"]!.AsArray().Last()!.Text("/by").ShouldBe("Ottoline Marsh", "the owner allows several to write on this phone");
    }

    [Theory]
    [InlineData("plan/quote/margin")]
    [InlineData("//plan/quote/margin")]
    [InlineData("/plan//quote/margin")]
    [InlineData("/plan/quote")]
    [InlineData("/plan")]
    [InlineData("/plan/")]
    [InlineData("/plan/prices/0")]
    [InlineData("/plan/toolCosts")]
    public async Task A_fitter_changes_no_price_however_its_place_is_spelled(string path)
    {
        var rig = (await server.Begin("Knot")).Id();
        using var fitter = await Joined("fitter");
        await IsRefused(fitter.PatchAsJsonAsync($"/api/rigs/{rig}", new { baseRevision = 1, client = "phone", changes = new[] { Set(path, null) } }),
            "may not change prices");
    }

    [Fact]
    public async Task A_fitter_returns_to_no_revision_with_other_prices()
    {
        var rig = (await server.Begin("Ruff")).Id();
        await Read(await server.Patch(rig, 1, [Set("/plan/quote/margin", 0.4)]));
        await Read(await server.Patch(rig, 2, [Set("/name", "Ruff II")], "other"));
        using var fitter = await Joined("fitter");
        await IsRefused(fitter.PostAsJsonAsync($"/api/rigs/{rig}/restore", new { revision = 1, client = "phone" }), "may not change prices");
        (await Read(await fitter.PostAsJsonAsync($"/api/rigs/{rig}/restore", new { revision = 2, client = "phone" }))).Text("/design/name").ShouldBe("Ruff");
    }

    /// <summary>One event with an absurd clock or count is refused; the next of an honest phone is taken.</summary>
    [Theory]
    [InlineData("l", 1e14)]
    [InlineData("l", 1.5)]
    [InlineData("c", 1e9)]
    [InlineData("c", 0.5)]
    [InlineData("seq", 1.5)]
    [InlineData("seq", 0)]
    public async Task An_event_with_an_absurd_clock_is_refused(string field, double value)
    {
        var rig = (await server.Begin("Stint")).Id();
        using var helper = await Joined("helper");
        var absurd = Event("noteAdded", "", 1, "a note");
        absurd["event"]![field] = value;
        (await Write(helper, rig, absurd)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Write(helper, rig, Event("noteAdded", "", 1, "a note"))).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Write(helper, rig, Event("noteAdded", "", 1, "another under the same number"))).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Write(helper, rig, Event("noteAdded", "", 2, "the next"))).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    /// <summary>An event under the number of a record of another rig is refused in a sentence.</summary>
    [Fact]
    public async Task A_number_of_another_rigs_record_is_refused_in_words()
    {
        var (one, other) = ((await server.Begin("Teal")).Id(), (await server.Begin("Smew")).Id());
        var e = Event("noteAdded", "", 1, "a note");
        await Read(await Write(server.Http, one, (JsonObject)e.DeepClone()));
        (await Read(await Write(server.Http, other, e), HttpStatusCode.BadRequest)).Text("/title").ShouldContain("another rig");
    }

    [Fact]
    public async Task A_device_let_in_for_one_rig_sees_no_other()
    {
        var (mine, other) = (await server.Begin("Plover"), await server.Begin("Curlew"));
        using var phone = await Joined("helper", "Ottoline", mine.Id());
        JsonNode.Parse(await phone.GetStringAsync("/api/rigs"))!.AsArray().Select(r => r!.Text("/name")).ShouldBe(["Plover"]);
        JsonNode.Parse(await phone.GetStringAsync("/api/rigs?only="))!.AsArray().Count.ShouldBe(1, "the question of the phone counts for nothing");
        (await phone.GetAsync($"/api/rigs/{mine.Id()}")).StatusCode.ShouldBe(HttpStatusCode.OK);
        foreach (var path in new[] { $"/api/rigs/{other.Id()}", $"/api/rigs/{other.Id()}/job-file", $"/api/rigs/{other.Id()}/install/run-sheet.pdf" })
            await IsRefused(phone.GetAsync(path), "another rig");
        using var all = await Joined("helper");
        JsonNode.Parse(await all.GetStringAsync("/api/rigs"))!.AsArray().Count.ShouldBeGreaterThan(1);
    }

    [Fact]
    public async Task A_fitter_changes_a_design_but_no_prices_and_removes_nothing()
    {
        var rig = await server.Begin("Dunlin");
        using var phone = await Joined("fitter");
        var changed = await phone.PatchAsJsonAsync($"/api/rigs/{rig.Id()}", new
        {
            baseRevision = 1,
            client = "phone",
            units = "metric",
            decimalComma = false,
            changes = new[] { Set("/name", "Dunlin II") },
        });
        (await Read(changed)).Text("/design/name").ShouldBe("Dunlin II");
        await IsRefused(phone.PatchAsJsonAsync($"/api/rigs/{rig.Id()}", new
        {
            baseRevision = 2,
            client = "phone",
            units = "metric",
            decimalComma = false,
            changes = new[] { Set("/plan/quote/margin", 0.5) },
        }), "may not change prices");
        (await phone.PostAsync($"/api/rigs/{rig.Id()}/plan/prices", new StringContent("Item,Price\n"))).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await phone.DeleteAsync($"/api/rigs/{rig.Id()}")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await phone.PostAsJsonAsync("/api/crew/share", new { on = false })).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task A_device_that_is_sent_away_is_out_at_once()
    {
        using var phone = await Joined("viewer", "Ottoline");
        (await phone.GetAsync("/api/rigs")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var state = await Read(await server.Http.GetAsync("/api/crew"));
        var device = state["devices"]!.AsArray().Single(d => d!.Text("/name") == "Ottoline")!;
        await Read(await server.Http.DeleteAsync($"/api/crew/devices/{device.Text("/id")}"));
        (await phone.GetAsync("/api/rigs")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await server.Http.DeleteAsync($"/api/crew/devices/{device.Text("/id")}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_page_of_another_origin_may_do_nothing_through_the_door()
    {
        using var phone = await Joined("fitter");
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/rigs") { Content = JsonContent.Create(new { name = "Theirs", kind = "van" }) };
        request.Headers.Add("Origin", "http://elsewhere.example");
        (await phone.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task Shut_it_answers_nobody_and_gives_no_code()
    {
        using var phone = await Joined("fitter");
        await Gate.Close();
        await Should.ThrowAsync<HttpRequestException>(() => phone.GetAsync("/api/rigs"));
        (await server.Http.PostAsJsonAsync("/api/crew/code", new { role = "fitter" })).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await server.Http.GetAsync("/api/rigs")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task With_a_certificate_of_its_own_it_speaks_to_who_trusts_it_and_keeps_it()
    {
        await Gate.Close();
        await Gate.Open(true, 0);
        string? shown = null;
        using var phone = new HttpClient(new HttpClientHandler
        {
            ServerCertificateCustomValidationCallback = (_, certificate, _, _) => (shown = certificate!.Thumbprint) is not null,
        })
        { BaseAddress = new Uri($"https://127.0.0.1:{Gate.Port}") };
        using var own = X509CertificateLoader.LoadCertificate(await phone.GetByteArrayAsync("/vanto.cer"));
        own.Thumbprint.ShouldBe(shown);
        own.HasPrivateKey.ShouldBeFalse();
        own.NotAfter.ShouldBeLessThan(DateTime.Now.AddDays(398));
        await Gate.Close();
        await Gate.Open(true, 0);
        using var again = new HttpClient(new HttpClientHandler
        {
            ServerCertificateCustomValidationCallback = (_, certificate, _, _) => certificate!.Thumbprint == shown,
        })
        { BaseAddress = new Uri($"https://127.0.0.1:{Gate.Port}") };
        (await again.GetAsync("/api/rigs")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    /// <summary>The page behind a label is limited for each phone of the network by itself, whatever name a phone gives itself.</summary>
    [Fact]
    public async Task The_label_is_limited_by_who_looks()
    {
        string Of(string caller)
        {
            var http = new DefaultHttpContext();
            http.Connection.RemoteIpAddress = IPAddress.Loopback;
            if (caller.Length > 0)
                http.Request.Headers[CrewGate.CallerHeader] = caller;
            return HandoverEndpoints.Partition(http).PartitionKey;
        }

        new[] { Of("192.0.2.4"), Of("192.0.2.5"), Of("") }.Distinct().Count().ShouldBe(3);
        using var phone = Phone();
        var answers = await Task.WhenAll(Enumerable.Range(0, 40).Select(n =>
        {
            var look = new HttpRequestMessage(HttpMethod.Get, "/h/AAAAAAAA0?k=X");
            look.Headers.Add(CrewGate.CallerHeader, $"192.0.2.{n}");
            return phone.SendAsync(look);
        }));
        answers.Count(a => a.StatusCode == HttpStatusCode.TooManyRequests).ShouldBeGreaterThanOrEqualTo(10);
    }

    [Fact]
    public void A_device_that_was_away_for_twelve_hours_joins_again_and_the_book_is_kept()
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("vanto-crew-").FullName, "crew.json");
        var clock = new SetClock(new DateTimeOffset(2027, 3, 2, 8, 0, 0, TimeSpan.Zero));
        var book = new CrewBook(file, clock);
        var (_, token) = book.Join(book.Invite(CrewRole.Helper).Digits, "Wren", "here");
        clock.Now += TimeSpan.FromHours(11);
        new CrewBook(file, clock).Who(token)!.Name.ShouldBe("Wren");
        File.ReadAllText(file).ShouldNotContain(token!);
        clock.Now += TimeSpan.FromHours(12.5);
        new CrewBook(file, clock).Who(token).ShouldBeNull();
        new CrewBook(file, clock).Devices.ShouldBeEmpty();
    }

    [Fact]
    public void Codes_are_spread_over_all_there_are()
    {
        var book = new CrewBook(Path.Combine(Path.GetTempPath(), "none.crew.json"), TimeProvider.System);
        var codes = Enumerable.Range(0, 3000).Select(_ => book.Invite(CrewRole.Fitter).Digits).ToList();
        codes.Select(c => c[0]).Distinct().Count().ShouldBe(10);
        codes.Distinct().Count().ShouldBeGreaterThan(2950, "of 3,000 among a million few fall together");
    }
}
