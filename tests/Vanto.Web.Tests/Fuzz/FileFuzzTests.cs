using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;
using Vanto.Instruments;
using Vanto.Web.Tests.Keeping;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Fuzz;

/// <summary>Bundles, events, uploads and bytes at the broker that are nearly right: refused or taken, never a fault of the server.</summary>
[Trait("Category", "Fuzz")]
public sealed class FileFuzzTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const int Rounds = 60;

    private static int? Seconds => int.TryParse(Environment.GetEnvironmentVariable("VANTO_FUZZ_SECONDS"), CultureInfo.InvariantCulture, out var s) ? s : null;

    private static async Task Repeated(Func<Random, int, Task> once)
    {
        var seed = Seconds is null ? 20270302 : Environment.TickCount;
        var random = new Random(seed);
        var began = Stopwatch.GetTimestamp();
        for (var n = 0; Seconds is { } seconds ? Stopwatch.GetElapsedTime(began).TotalSeconds < seconds : n < Rounds; n++)
            await once(random, seed);
    }

    private static async Task Holds(HttpResponseMessage answer, string what)
    {
        var text = await answer.Content.ReadAsStringAsync();
        ((int)answer.StatusCode).ShouldBeLessThan(500, $"{what}: {text[..Math.Min(400, text.Length)]}");
        text.Length.ShouldBeGreaterThan(0, what);
    }

    private static readonly string[] Odd = ["null", "[]", "{}", "1e308", "-1", "\"\"", "\"9999-12-31T00:00:00Z\"", "true", "[null]", "\"../x\"", "0.5",
        "\"00000000-0000-0000-0000-000000000000\""];

    /// <summary>Some place of a JSON tree gets another value, or goes.</summary>
    private static void Change(JsonNode root, Random random)
    {
        var node = root;
        while (true)
            switch (node)
            {
                case JsonObject { Count: > 0 } o:
                    var name = o.ElementAt(random.Next(o.Count)).Key;
                    if (o[name] is (JsonObject or JsonArray) and var inner && random.Next(5) > 0)
                    {
                        node = inner;
                        continue;
                    }
                    if (random.Next(6) == 0)
                        o.Remove(name);
                    else
                        o[name] = JsonNode.Parse(Odd[random.Next(Odd.Length)]);
                    return;
                case JsonArray { Count: > 0 } a:
                    var at = random.Next(a.Count);
                    if (a[at] is (JsonObject or JsonArray) and var row && random.Next(5) > 0)
                    {
                        node = row;
                        continue;
                    }
                    a[at] = JsonNode.Parse(Odd[random.Next(Odd.Length)]);
                    return;
                default:
                    return;
            }
    }

    [Fact]
    public async Task No_bundle_is_a_fault_of_the_server()
    {
        var rig = (await server.Begin("Fuzzed")).Id();
        for (var n = 0; n < 3; n++)
            await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig}/records", new
            {
                kind = "vacuum",
                by = "Wren",
                values = new
                {
                    value = "450",
                    unit = "micron"
                }
            }));
        var files = Bundles.Files(await server.Http.GetByteArrayAsync($"/api/rigs/{rig}/bundle.zip"));
        string[] json = ["record/events.json", "job/head.json", "job/job.json"];
        await Repeated(async (random, seed) =>
        {
            var changed = new Dictionary<string, byte[]>(files);
            var path = json[random.Next(json.Length)];
            var root = JsonNode.Parse(changed[path])!;
            for (var n = random.Next(1, 4); n > 0; n--)
                Change(root, random);
            changed[path] = Encoding.UTF8.GetBytes(root.ToJsonString());
            using var content = new ByteArrayContent(Bundles.Zip(changed));
            content.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
            await Holds(await server.Http.PostAsync("/api/exchange", content),
                $"{path}, seed {seed}: {root.ToJsonString()[..Math.Min(300, root.ToJsonString().Length)]}");
        });
        (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray().ShouldNotBeEmpty();
        await server.View(rig);
    }

    [Fact]
    public async Task No_event_is_a_fault_of_the_server()
    {
        var rig = (await server.Begin("Fuzzed too")).Id();
        await Repeated(async (random, seed) =>
        {
            var body = JsonNode.Parse($$$"""
                {"events":[{"id":"{{{Guid.NewGuid()}}}","by":"Wren","corrects":null,"event":{"type":"noteAdded","step":"","device":"p",
                "seq":{{{random.Next(1, 1000)}}},"l":1,"c":0,"text":"x"}}],"live":false,"nowMs":5}
                """)!;
            Change(body, random);
            await Holds(await server.Http.PostAsJsonAsync($"/api/rigs/{rig}/install/events", body), $"seed {seed}: {body.ToJsonString()}");
        });
        await server.View(rig);
    }

    [Fact]
    public async Task No_upload_is_a_fault_of_the_server()
    {
        var rig = (await server.Begin("Fuzzed again")).Id();
        (string Path, string Type, string Text)[] uploads =
        [
            ("units.csv", "text/csv", "id,kind,ratedCapacityW\nMY-1,miniSplit,3500\n"), ("measured-start", "text/csv", "ms,A\n0,1\n10,30\n20,8\n30,7\n"),
            ("plan/prices", "text/csv", "Item,Price\nx,1\n"), ("install/photos", "image/jpeg", "\u00ff\u00d8\u00ff\u00c0\u0000\u0011\u0008"),
            ("weather", "text/plain", "LOCATION,a,b,c,d,e,1,2,0,100\n"), ("unit-sheet", "application/json", "{}"),
        ];
        await Repeated(async (random, seed) =>
        {
            var (path, type, text) = uploads[random.Next(uploads.Length)];
            var bytes = Encoding.Latin1.GetBytes(random.Next(8) == 0 ? new string(',', 300_000) : text).ToList();
            for (var n = random.Next(4); n > 0 && bytes.Count > 1; n--)
                bytes[random.Next(bytes.Count)] = (byte)random.Next(256);
            if (random.Next(4) == 0)
                bytes.RemoveRange(0, random.Next(bytes.Count));
            using var content = new ByteArrayContent([.. bytes]);
            content.Headers.ContentType = new MediaTypeHeaderValue(type);
            await Holds(await server.Http.PostAsync($"/api/rigs/{rig}/{path}", content), $"{path}, seed {seed}");
            var table = new { content = Convert.ToBase64String([.. bytes]), mapping = random.Next(2) == 0 ? null : JsonNode.Parse("""{"columns":[null]}""") };
            await Holds(await server.Http.PostAsJsonAsync($"/api/rigs/{rig}/instruments/import", table), $"import, seed {seed}");
        });
    }

    [Fact]
    public async Task No_bytes_end_the_broker()
    {
        await using var broker = new InstrumentBroker(_ => new InstrumentPass(null), (_, _) => Task.FromResult(false), TimeProvider.System);
        await broker.Open(false, 0);
        byte[] hello = [0x10, 16, 0, 4, (byte)'M', (byte)'Q', (byte)'T', (byte)'T', 5, 2, 0, 60, 0, 0, 3, (byte)'a', (byte)'b', (byte)'c'];
        await Repeated(async (random, _) =>
        {
            using var client = new TcpClient();
            await client.ConnectAsync("127.0.0.1", broker.Port);
            var bytes = new byte[random.Next(1, 200)];
            random.NextBytes(bytes);
            try
            {
                await client.GetStream().WriteAsync(random.Next(2) == 0 ? bytes : [.. hello, .. bytes]);
            }
            catch (IOException)
            {
                // Cut off already.
            }
        });
        broker.On.ShouldBeTrue();
        using var last = new TcpClient();
        await last.ConnectAsync("127.0.0.1", broker.Port);
        await last.GetStream().WriteAsync(hello);
        (await last.GetStream().ReadAsync(new byte[32])).ShouldBeGreaterThan(3, "it lets in who comes in good order");
    }
}
