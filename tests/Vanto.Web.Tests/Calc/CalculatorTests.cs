using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Job;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Calc;

public class CalculatorTests(RunningServer server) : IClassFixture<RunningServer>
{
    public static TheoryData<string> Names => [.. CalculatorRegistry.All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public async Task Each_runs_on_its_defaults_with_working_and_sources(string name)
    {
        var view = await Listed(name);
        view["citations"]!.AsArray().Count.ShouldBeGreaterThan(0, "no calculator without a source");
        view.Text("/purpose").ShouldNotBeEmpty();
        var result = await Read(await Post(name, new { inputs = new { } }));
        result["figures"]!.AsArray().Count.ShouldBeGreaterThan(0);
        var steps = result["working"]!["steps"]!.AsArray();
        steps.Count.ShouldBeGreaterThan(0);
        steps.ShouldAllBe(s => ((string)s!["citation"]!["title"]!).Length > 0);
    }

    [Theory]
    [MemberData(nameof(Names))]
    public async Task Each_refuses_every_number_out_of_its_range(string name)
    {
        var view = await Listed(name);
        foreach (var field in view["fields"]!.AsArray().OfType<JsonNode>().Where(f => f.Text("/input") == "quantity" && !f.Text("/path").Contains('*')))
        {
            var path = field.Text("/path");
            foreach (var value in new[] { field.Number("/min") - 1, field.Number("/max") + 1 })
            {
                var inputs = view["defaults"]!.DeepClone();
                DesignPath.Set(inputs, path, field["quantity"]!.GetValue<string>() == "count" ? (int)value : value);
                var problem = await Read(await Post(name, new { inputs }), HttpStatusCode.BadRequest);
                problem.Text("/detail").ShouldContain(path.Split('/')[^1], customMessage: $"{name} {path} {value}");
                problem["errors"]!.AsArray().Count.ShouldBeGreaterThan(0);
            }
        }
    }

    [Fact]
    public async Task Typed_inputs_are_read_with_their_units()
    {
        var result =
            await Read(
                await Post("psychrometrics", new { inputs = new { }, typed = new { dryBulbC = "95 °F", relativeHumidityPct = "40" }, units = "metric" }));
        var wetBulb = result["figures"]!.AsArray().First(f => ((string)f!["label"]!).Contains("et bulb", StringComparison.Ordinal))!;
        wetBulb.Number("/value").ShouldBe(23.9345, 1e-3);
    }

    [Fact]
    public async Task All_faults_are_told_at_once()
    {
        var problem = await Read(
            await Post("psychrometrics", new { inputs = new { }, typed = new { dryBulbC = "hot", relativeHumidityPct = "wet", mood = "1" }, units = "metric" }),
            HttpStatusCode.BadRequest);
        problem["errors"]!.AsArray().Count.ShouldBe(3);
    }

    [Fact]
    public async Task What_is_no_input_or_no_calculator_is_said()
    {
        (await Read(await Post("psychrometrics", new { inputs = new { moon = 1 } }), HttpStatusCode.BadRequest)).Text("/detail")
            .ShouldContain("moon is no input");
        (await Read(await Post("psychrometrics", new { inputs = new { dryBulbC = "x" } }), HttpStatusCode.BadRequest)).Text("/detail")
            .ShouldContain("dryBulbC");
        (await Read(await Post("crystal-ball", new { }), HttpStatusCode.NotFound)).Text("/detail").ShouldContain("psychrometrics");
    }

    private async Task<JsonNode> Listed(string name) =>
        (await Read(await server.Http.GetAsync("/api/calc"))).AsArray().Single(c => (string)c!["name"]! == name)!;

    private Task<HttpResponseMessage> Post(string name, object request) => server.Http.PostAsJsonAsync($"/api/calc/{name}", request);
}
