using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Security;

/// <summary>Every answer, also a refusal, has its policy and says in a sentence what is wrong.</summary>
public class AnswerTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static StringContent Json(string text) => new(text, Encoding.UTF8, "application/json");

    [Theory]
    [InlineData("GET", "/api/rigs", "", 200)]
    [InlineData("GET", "/api/nothing", "", 404)]
    [InlineData("GET", "/api/rigs/00000000-0000-0000-0000-000000000001", "", 404)]
    [InlineData("GET", "/api/assess", "", 405)]
    [InlineData("POST", "/api/assess", "{}", 400)]
    [InlineData("POST", "/api/assess", "{", 400)]
    [InlineData("POST", "/api/rigs", "{}", 400)]
    [InlineData("POST", "/api/rigs", "[]", 400)]
    [InlineData("POST", "/api/rigs", "null", 400)]
    [InlineData("POST", "/api/rigs", "{\"name\":\"a\",\"kind\":\"rocket\"}", 400)]
    [InlineData("POST", "/api/rigs", "{\"name\":\"a\",\"name\":\"b\"}", 400)]
    [InlineData("PATCH", "/api/rigs/00000000-0000-0000-0000-000000000001", "{}", 400)]
    [InlineData("PATCH", "/api/rigs/00000000-0000-0000-0000-000000000001", "{\"baseRevision\":1,\"changes\":[]}", 400)]
    [InlineData("POST", "/api/rigs/00000000-0000-0000-0000-000000000001/records", "{\"by\":\"x\"}", 400)]
    [InlineData("POST", "/api/rigs/00000000-0000-0000-0000-000000000001/restore", "{}", 400)]
    [InlineData("POST", "/api/calc/psychrometrics", "{}", 400)]
    [InlineData("POST", "/api/calc/psychrometrics", "{\"dryBulbC\":30}", 400)]
    [InlineData("POST", "/api/calc/psychrometrics", "{\"inputs\":{},\"dryBulbC\":30}", 400)]
    [InlineData("POST", "/api/calc/psychrometrics", "{\"inputs\":{},\"typed\":{\"dryBulbC\":null}}", 400)]
    [InlineData("POST", "/api/calc/no-such", "{\"inputs\":{}}", 404)]
    public async Task An_answer_has_its_policy_and_a_refusal_its_sentence(string method, string path, string body, int status)
    {
        var answer = await server.Http.SendAsync(new HttpRequestMessage(new HttpMethod(method), path) { Content = body.Length > 0 ? Json(body) : null });
        var text = await answer.Content.ReadAsStringAsync();
        ((int)answer.StatusCode).ShouldBe(status, text);
        foreach (var header in new[] { "Content-Security-Policy", "X-Content-Type-Options", "Cross-Origin-Resource-Policy" })
            answer.Headers.Contains(header).ShouldBeTrue(header);
        if (status == 200)
            return;
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        var problem = System.Text.Json.Nodes.JsonNode.Parse(text)!;
        problem.Text("/title").ShouldNotBeEmpty();
        problem.Text("/detail").ShouldNotBeEmpty();
        text.ShouldNotContain("Vanto.Web");
        text.ShouldNotContain("System.");
    }

    [Fact]
    public async Task Another_content_type_is_told_which_is_taken()
    {
        var answer = await server.Http.PostAsync("/api/rigs", new StringContent("name=a", Encoding.UTF8, "text/plain"));
        (await Read(answer, HttpStatusCode.UnsupportedMediaType)).Text("/detail").ShouldContain("application/json");
    }

    [Fact]
    public async Task A_null_in_a_patch_is_named()
    {
        var rig = await server.Begin();
        var problem =
            await Read(await server.Http.PatchAsync($"/api/rigs/{rig.Id()}", Json("{\"baseRevision\":1,\"changes\":[null]}")), HttpStatusCode.BadRequest);
        problem.Text("/errors/0/field").ShouldBe("changes[0]");
    }

    [Theory]
    [InlineData("cross-site", "POST", 403)]
    [InlineData("same-site", "POST", 403)]
    [InlineData("cross-site", "GET", 403)]
    [InlineData("same-origin", "POST", 200)]
    [InlineData("none", "GET", 200)]
    public async Task A_browser_that_says_it_comes_from_another_site_is_refused(string site, string method, int status)
    {
        var request = new HttpRequestMessage(new HttpMethod(method),
            method == "GET" ? "/api/rigs" : "/api/calc/psychrometrics")
        { Content = method == "GET" ? null : Json("{\"inputs\":{}}") };
        request.Headers.Add("Sec-Fetch-Site", site);
        ((int)(await server.Http.SendAsync(request)).StatusCode).ShouldBe(status);
    }

    [Fact]
    public async Task A_broken_chunk_is_no_fault_of_the_server()
    {
        using var socket = new TcpClient();
        await socket.ConnectAsync("127.0.0.1", server.Http.BaseAddress!.Port);
        var stream = socket.GetStream();
        await stream.WriteAsync(Encoding.ASCII.GetBytes($"POST /api/rigs/import HTTP/1.1\r\nHost: 127.0.0.1:{server.Http.BaseAddress.Port}\r\nContent-Type: "
            + $"application/json\r\nTransfer-Encoding: chunked\r\n\r\nFFFFFFFFFFFFFFF\r\n"));
        using var reader = new StreamReader(stream);
        (await reader.ReadLineAsync())!.ShouldContain(" 400 ");
    }

    [Fact]
    public async Task Units_and_catalogues_have_addresses_of_their_own()
    {
        var units = (await Read(await server.Http.GetAsync("/api/units"))).AsArray();
        var length = units.Single(u => u!.Text("/kind") == "length")!;
        length.Text("/inside").ShouldBe("m");
        length["units"]!.AsArray().ShouldContain(u => u!.Text("/symbol") == "ft" && u!.Number("/factor") == 0.3048);
        var catalogues = await Read(await server.Http.GetAsync("/api/catalogues"));
        foreach (var name in new[] { "units", "skins", "materials", "paints", "glazings", "covers", "sources" })
            catalogues[name]!.AsArray().Count.ShouldBeGreaterThan(2, name);
    }

    [Fact]
    public async Task The_list_of_calculations_gives_each_quantity_its_unit_and_a_measured_start_is_in_milliseconds()
    {
        var calc = (await Read(await server.Http.GetAsync("/api/calc"))).AsArray();
        calc.Single(c => c!.Text("/name") == "psychrometrics")!["fields"]!.AsArray().Single(f =>
            f!.Text("/path") == "/dryBulbC")!.Text("/unit").ShouldBe("°C");
        var quantities = calc.SelectMany(c => c!["fields"]!.AsArray()).Where(f => f!.Text("/input") == "quantity").ToList();
        quantities.ShouldAllBe(f => f!["unit"] != null);
        var after = Core.Job.JobFile.Fields.Single(f => f.Path == "/start/measured/*/afterMs");
        after.Unit.ShouldBe("ms");
        var rig = await server.Begin();
        await Read(await server.Patch(rig.Id(), 1,
            [Set("/start/measured", new[] { new { afterMs = 0, currentA = 1 }, new { afterMs = 50, currentA = 30 }, new { afterMs = 400, currentA = 9 } })]));
        (await Read(await server.Patch(rig.Id(), 2, [Typed("/start/measured/1/afterMs", "60")]))).Number("/design/start/measured/1/afterMs").ShouldBe(60);
        (await Read(await server.Patch(rig.Id(), 3, [Typed("/start/measured/1/afterMs", "0.07 s")]))).Number("/design/start/measured/1/afterMs").ShouldBe(70);
    }

    [Fact]
    public async Task The_document_of_the_API_types_each_calculations_inputs_and_lists_its_refusals()
    {
        var api = await Read(await server.Http.GetAsync("/api/openapi/v1.json"));
        var paths = api["paths"]!.AsObject();
        foreach (var (name, info) in Core.Calculators.CalculatorRegistry.All)
        {
            var post = paths[$"/api/calc/{name}"]!["post"]!;
            var schema = (string)post["requestBody"]!["content"]!["application/json"]!["schema"]!["$ref"]!;
            schema.ShouldEndWith($"CalculationCallOf{info.InputType.Name}");
            api["components"]!["schemas"]![info.InputType.Name]!["properties"]!.AsObject().Count.ShouldBeGreaterThan(0, name);
        }
        paths.SelectMany(p => p.Value!.AsObject()).ShouldAllBe(o => o.Value!["responses"]!["400"] != null);
    }

    [Fact]
    public async Task An_unknown_id_is_refused_with_those_that_there_are()
    {
        var problem = await Read(await server.Http.PostAsJsonAsync("/api/calc/full-load", new { inputs = new { unit = "MS-99" } }), HttpStatusCode.BadRequest);
        problem.Text("/detail").ShouldContain("MS-12-120");
        var rig = await server.Begin();
        var fault = (await Read(await server.Patch(rig.Id(), 1, [Set("/survey/roof/paint", "plaid")])))["assessment"]!["faults"]![0]!;
        fault.Text("/errors/0/reason").ShouldContain("roof-coat");
    }

    [Theory]
    [InlineData("psychrometrics", "{\"by\":\"wetBulb\",\"dryBulbC\":20,\"wetBulbC\":25}")]
    [InlineData("sensible-heat-ratio", "{\"dryBulbC\":20,\"wetBulbC\":25}")]
    [InlineData("energy-day", "{\"nightC\":17,\"wetBulbC\":20}")]
    [InlineData("size-system", "{\"nightC\":17,\"wetBulbC\":20}")]
    public async Task A_wet_bulb_above_the_dry_bulb_is_refused(string name, string inputs)
    {
        var problem = await Read(await server.Http.PostAsync($"/api/calc/{name}", Json($"{{\"inputs\":{inputs}}}")), HttpStatusCode.BadRequest);
        problem.Text("/errors/0/field").ShouldBe("wetBulbC");
        problem.Text("/detail").ShouldContain("cannot be above");
    }

    [Theory]
    [InlineData("soft-starter-current", "{\"lraA\":63,\"rlaA\":20,\"reduction\":0.65}")]
    [InlineData("start-verdict", "{\"lraA\":63,\"rlaA\":20,\"reduction\":0.65,\"remedy\":\"softStarter\"}")]
    [InlineData("largest-lra", "{\"lraA\":63,\"rlaA\":20,\"reduction\":0.65,\"remedy\":\"softStarter\"}")]
    [InlineData("smallest-battery-rating", "{\"lraA\":63,\"rlaA\":20,\"reduction\":0.65,\"remedy\":\"softStarter\"}")]
    [InlineData("smallest-source", "{\"unit\":\"RT-09-115\",\"remedy\":\"softStarter\",\"reduction\":0.8}")]
    [InlineData("best-start-order", "{\"first\":\"RT-09-115\",\"soft\":true,\"reduction\":0.8}")]
    public async Task A_soft_starter_that_leaves_too_little_is_refused_by_every_calculation_that_takes_it(string name, string inputs)
    {
        var problem = await Read(await server.Http.PostAsync($"/api/calc/{name}", Json($"{{\"inputs\":{inputs}}}")), HttpStatusCode.BadRequest);
        problem.Text("/errors/0/field").ShouldBe("reduction");
        problem.Text("/detail").ShouldContain("below 1.2 times the running current");
    }
}
