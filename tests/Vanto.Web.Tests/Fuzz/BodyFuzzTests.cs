using System.Diagnostics;
using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Job;
using Vanto.Core.Survey;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Fuzz;

/// <summary>
/// Every address of the API with bodies that are nearly right: each answers, in JSON, without a fault of the server, and the yard stands after.
/// <c>./vanto fuzz MINUTES</c> runs it long, from seeds of its own.
/// </summary>
[Trait("Category", "Fuzz")]
public class BodyFuzzTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static readonly string[] Methods = ["get", "post", "patch", "delete", "put"];
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(20);

    private const int Rounds = 4;

    private static int? Seconds => int.TryParse(Environment.GetEnvironmentVariable("VANTO_FUZZ_SECONDS"), CultureInfo.InvariantCulture, out var s) ? s : null;

    private async Task<List<(string Path, string Method)>> Operations() =>
        [.. (await Read(await server.Http.GetAsync("/api/openapi/v1.json")))["paths"]!.AsObject()
            .SelectMany(p => p.Value!.AsObject().Where(o => Methods.Contains(o.Key)).Select(o => (p.Key, o.Key)))];

    [Fact]
    public async Task No_body_is_a_fault_of_the_server()
    {
        var seed = Seconds is null ? 20270302 : Environment.TickCount;
        var random = new Random(seed);
        var operations = await Operations();
        operations.Count.ShouldBeGreaterThan(80);
        var rig = await server.Begin("Fuzzed", "bus");
        var began = Stopwatch.GetTimestamp();
        var asked = 0;
        while (Seconds is { } seconds ? Stopwatch.GetElapsedTime(began).TotalSeconds < seconds : asked < Rounds * operations.Count)
            foreach (var (path, method) in operations)
            {
                await Ask(path, method, rig.Id(), Body(path, random), random.Next(20) == 0, $"seed {seed}");
                asked++;
            }
        (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray().ShouldNotBeEmpty($"after {asked} requests from seed {seed}");
    }

    [Theory]
    [InlineData("")]
    [InlineData("null")]
    [InlineData("{}")]
    [InlineData("[]")]
    [InlineData("[null]")]
    public async Task Next_to_nothing_is_refused_in_words(string body)
    {
        var rig = await server.Begin("Asked nothing", "van");
        foreach (var (path, method) in (await Operations()).Where(o => o.Method is not ("get" or "delete")))
            await Ask(path, method, rig.Id(), body, false, "a list");
    }

    private async Task Ask(string path, string method, string rig, string right, bool elsewhere, string from)
    {
        var id = method == "delete" || elsewhere ? Guid.NewGuid().ToString() : rig;
        var address = path.Replace("{id}", id).Replace("{name}", "some").Replace("{documentName}", "v1");
        var body = method is "get" or "delete" ? null : right;
        using var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()),
            address)
        { Content = body is null ? null : new StringContent(body, Encoding.UTF8, "application/json") };
        using var limit = new CancellationTokenSource(Patience);
        using var answer = await server.Http.SendAsync(request, limit.Token);
        var text = await answer.Content.ReadAsStringAsync(limit.Token);
        var told = $"{method} {address} from {from} with {body?[..Math.Min(1500, body.Length)]}: {text[..Math.Min(800, text.Length)]}";
        ((int)answer.StatusCode).ShouldBeLessThan(500, told);
        if (answer.Content.Headers.ContentType?.MediaType?.Contains("json", StringComparison.Ordinal) == true)
            Should.NotThrow(() => JsonDocument.Parse(text), told).Dispose();
    }

    /// <summary>A right body with a few things wrong.</summary>
    private static string Body(string path, Random random)
    {
        var kind = Enum.GetValues<RigKind>()[random.Next(Enum.GetValues<RigKind>().Length)];
        var right = path switch
        {
            "/api/rigs" => "{\"name\":\"Fuzz\",\"kind\":\"van\",\"copyOf\":null}",
            "/api/rigs/import" or "/api/assess" => JobFile.Write(RigPresets.New(kind, "Fuzz")),
            "/api/rigs/{id}" =>
                "{\"baseRevision\":1,\"client\":\"fuzz\",\"units\":\"metric\",\"decimalComma\":false,"
                    + "\"changes\":[{\"path\":\"/survey/space/widthM\",\"text\":\"2.1 m\"},"
                    + "{\"path\":\"/survey/windows\",\"value\":[{\"widthM\":0.5}]}],\"label\":null}",
            "/api/rigs/{id}/restore" => "{\"revision\":1,\"client\":\"fuzz\"}",
            "/api/rigs/{id}/records" =>
                "{\"kind\":\"start-up\",\"by\":\"Wren\",\"units\":\"metric\",\"values\":{\"runW\":\"900\",\"runA\":\"8\"},\"corrects\":null}",
            "/api/rigs/{id}/units.csv" => "id,kind,ratedCapacityW\na,miniSplitInverter,3000\n",
            "/api/rigs/{id}/measured-start" => "ms,A\n0,10\n50,60\n300,9\n",
            _ => "{\"inputs\":{},\"typed\":{},\"units\":\"metric\",\"decimalComma\":false}",
        };
        if (right[0] != '{')
            return string.Concat(right.Select(c => random.Next(12) == 0 ? (char)random.Next(32, 126) : c));
        var root = JsonNode.Parse(right)!;
        for (var i = random.Next(4); i > 0; i--)
            Spoil(root, random);
        var text = root.ToJsonString();
        return random.Next(15) == 0 ? text[..random.Next(text.Length)] : text;
    }

    private static void Spoil(JsonNode root, Random random)
    {
        var places = new List<JsonNode>();
        void Walk(JsonNode? node)
        {
            if (node is not (JsonObject or JsonArray))
                return;
            places.Add(node);
            foreach (var inner in node is JsonObject o ? o.Select(p => p.Value) : node.AsArray().ToList())
                Walk(inner);
        }
        Walk(root);
        var place = places[random.Next(places.Count)];
        if (place is JsonObject parent && parent.Count > 0)
        {
            var key = parent.ElementAt(random.Next(parent.Count)).Key;
            if (random.Next(6) == 0)
                parent.Remove(key);
            else
                parent[key] = Wrong(random);
        }
        else if (place is JsonObject empty)
            empty["x" + random.Next(9)] = Wrong(random);
        else
            place.AsArray().Add(Wrong(random));
    }

    private static JsonNode? Wrong(Random random) => random.Next(12) switch
    {
        0 => null,
        1 => 1e300,
        2 => -1,
        3 => 0,
        4 => "",
        5 => "zwölf <b>{0}</b>",
        6 => new JsonArray(),
        7 => new JsonArray(null, 1),
        8 => new JsonObject { ["x"] = null },
        9 => true,
        10 => new string('9', 400),
        _ => random.NextDouble() * 100,
    };
}
