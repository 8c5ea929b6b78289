using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Vanto.Documents;
using Vanto.Storage;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

/// <summary>Two laptops that bring each other their jobs as files.</summary>
public sealed class ExchangeTests : IAsyncLifetime
{
    private readonly RunningServer _one = new(), _two = new();

    public Task InitializeAsync() => Task.WhenAll(_one.InitializeAsync(), _two.InitializeAsync());

    public Task DisposeAsync() => Task.WhenAll(_one.DisposeAsync(), _two.DisposeAsync());

    private static async Task<HttpResponseMessage> Bring(RunningServer to, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
        return await to.Http.PostAsync("/api/exchange", content);
    }

    private static Task<byte[]> Bundle(RunningServer of, string rig) => of.Http.GetByteArrayAsync($"/api/rigs/{rig}/bundle.zip");

    private static async Task Vacuum(RunningServer on, string rig, string micron) => await Read(await on.Http.PostAsJsonAsync($"/api/rigs/{rig}/records",
        new { kind = "vacuum", by = "Ottoline Marsh", units = "metric", decimalComma = false, values = new { value = micron, unit = "micron" } }));

    private static async Task Change(RunningServer on, string rig, params object[] changes) =>
        await Read(await on.Patch(rig, (await on.View(rig)).Revision(), changes));

    [Fact]
    public async Task Two_that_went_on_apart_come_to_the_same_and_lose_nothing()
    {
        var id = (await _one.Begin("Reed Warbler")).Id();
        await Change(_one, id, Set("/unit/chosen", "MS-12-120"));
        await Vacuum(_one, id, "900");
        var first = (await Read(await Bring(_two, await Bundle(_one, id))))["rigs"]![0]!;
        (first.Text("/name"), (int)first["fresh"]!, (string)first["design"]!["template"]!).ShouldBe(("Reed Warbler", 1, "New here."));
        (await _two.View(id))["design"]!.ToJsonString().ShouldBe((await _one.View(id))["design"]!.ToJsonString());

        await Change(_one, id, Set("/start/cableM", 11));
        await Vacuum(_one, id, "800");
        await Change(_two, id, Set("/start/cableM", 12), Set("/name", "Sedge Warbler"));
        await Vacuum(_two, id, "700");
        var (fromOne, fromTwo) = (await Bundle(_one, id), await Bundle(_two, id));
        (await Read(await Bring(_one, fromTwo)))["rigs"]![0]!["design"]!["template"]!.GetValue<string>().ShouldContain("Changed on both");
        await Read(await Bring(_two, fromOne));
        var (a, b) = (await _one.View(id), await _two.View(id));
        a["design"]!.ToJsonString().ShouldBe(b["design"]!.ToJsonString());
        a["records"]!.ToJsonString().ShouldBe(b["records"]!.ToJsonString());
        a["records"]!.AsArray().Count.ShouldBe(3);
        a.Text("/design/name").ShouldBe("Sedge Warbler", "changed last");
        var option = a["design"]!["options"]!.AsArray().ShouldHaveSingleItem()!;
        option.Text("/name").ShouldStartWith("put aside");
        option["start"]!["cableM"]!.GetValue<double>().ShouldBe(11);
        var history = (await Read(await _two.Http.GetAsync($"/api/rigs/{id}/history"))).AsArray();
        history.ShouldContain(h => h!["label"]!.GetValue<string>() == "of another laptop, put aside", "whole, to return to");

        var again = (await Read(await Bring(_one, fromTwo)))["rigs"]![0]!;
        ((int)again["fresh"]!, (await _one.View(id)).Revision()).ShouldBe((0, a.Revision()), "reading it in twice changes nothing");
        await Change(_one, id, Set("/start/cableM", 13));
        var later = (await Read(await Bring(_two, await Bundle(_one, id))))["rigs"]![0]!;
        later["design"]!["template"]!.GetValue<string>().ShouldContain("newer; it was taken");
        (await _two.View(id)).Number("/design/start/cableM").ShouldBe(13);
    }

    /// <summary>A record reaches us by a third laptop; the one before it, written on the same laptop, does not: it is missed until it comes.</summary>
    [Fact]
    public async Task What_was_written_on_a_laptop_that_was_not_brought_is_missed()
    {
        var id = (await _one.Begin("Reed Warbler")).Id();
        await Bring(_two, await Bundle(_one, id));
        await Vacuum(_two, id, "900");
        await Vacuum(_two, id, "850");
        var whole = await Bundle(_two, id);
        var files = Bundles.Files(whole).ToDictionary();
        var events = JsonNode.Parse(files["record/events.json"])!.AsArray();
        events.Select(e => e!.Text("/stamp").Split('.')[3]).ShouldBe(["1", "2"]);
        events.RemoveAt(0);
        files["record/events.json"] = System.Text.Encoding.UTF8.GetBytes(events.ToJsonString());
        var less = JobBundle.Zip(files.Where(f => f.Key != JobBundle.Sums && f.Key != "manifest.json").ToDictionary());
        var part = (await Read(await Bring(_one, less)))["rigs"]![0]!;
        ((int)part["fresh"]!, part["unmet"]!.AsArray().Count, (int)part["unmet"]![0]!["numbers"]![0]!).ShouldBe((1, 1, 1));
        var then = (await Read(await Bring(_one, whole)))["rigs"]![0]!;
        ((int)then["fresh"]!, then["unmet"]!.AsArray().Count).ShouldBe((1, 0));
        (await _one.View(id))["records"]!.AsArray().Select(r => r!["readings"]!["value"]!.GetValue<double>()).ShouldBe([900, 850]);
    }

    /// <summary>What instruments read goes along with its moments and its gaps; what was simulated stays; twice changes nothing.</summary>
    [Fact]
    public async Task What_instruments_read_goes_over_too()
    {
        var id = (await _one.Begin("Knot")).Id();
        var rig = Guid.Parse(id);
        var at = new DateTimeOffset(2027, 3, 2, 12, 0, 0, 250, TimeSpan.Zero);
        NewReading Of(int n, double? value, bool simulated = false) => new(rig, simulated ? "vac-9" : "vac-1", "pressure.absolute", simulated,
            at.AddSeconds(n).ToUnixTimeMilliseconds(), n, value, value is null ? 1 : 0, at.ToUnixTimeMilliseconds(), n == 3);
        using (var scope = _one.Services.CreateScope())
            await scope.ServiceProvider.GetRequiredService<ReadingLog>().Add(
                [Of(0, 61.2), Of(1, 1.0 / 3), Of(2, null), Of(3, 8e-7), Of(0, 5, simulated: true)]);
        var file = await Bundle(_one, id);
        Bundles.Files(file).Keys.Where(k => k.Contains("traces", StringComparison.Ordinal)).ShouldBe(["readings/traces/vac-1-pressure.absolute.csv"]);
        (await Read(await Bring(_two, file)))["rigs"]![0]!.Number("/readings").ShouldBe(4);
        (await Read(await Bring(_two, file)))["rigs"]![0]!.Number("/readings").ShouldBe(0);
        using var there = _two.Services.CreateScope();
        var log = there.ServiceProvider.GetRequiredService<ReadingLog>();
        var channel = (await log.Channels(rig)).ShouldHaveSingleItem();
        (await log.Whole(channel.Id)).Select(r => (r.At - at.ToUnixTimeMilliseconds(), r.Value, r.Quality, r.Late)).ShouldBe(
            [(0, 61.2, 0, false), (1000, 1.0 / 3, 0, false), (2000, null, 1, false), (3000, 8e-7, 0, true)]);
        (await Bundle(_two, id)).Length.ShouldBeGreaterThan(0);
        Bundles.Files(await Bundle(_two, id))["readings/traces/vac-1-pressure.absolute.csv"].ShouldBe(
            Bundles.Files(file)["readings/traces/vac-1-pressure.absolute.csv"], "it goes on as it came");
    }

    /// <summary>A trace with a row that no instrument sends is refused whole, the row is named, and nothing of the file is here.</summary>
    [Theory]
    [InlineData("61.2", "much", "is no value")]
    [InlineData("61.2", "", "a good reading has a value")]
    [InlineData("Good", "Splendid", "is no quality")]
    [InlineData("vac-1", "Vac 1", "is no instrument_id")]
    [InlineData("instant_utc", "moment", "the columns of a trace")]
    public async Task A_trace_that_no_instrument_wrote_is_refused_by_its_row(string from, string to, string words)
    {
        var id = (await _one.Begin("Ruff")).Id();
        using (var scope = _one.Services.CreateScope())
            await scope.ServiceProvider.GetRequiredService<ReadingLog>().Add(
                [new(Guid.Parse(id), "vac-1", "pressure.absolute", false, 1_800_000_000_000, 1, 61.2, 0, 1_800_000_000_000, false)]);
        var files = Bundles.Files(await Bundle(_one, id)).ToDictionary();
        const string Trace = "readings/traces/vac-1-pressure.absolute.csv";
        var text = System.Text.Encoding.UTF8.GetString(files[Trace]);
        text.ShouldContain(from);
        files[Trace] = System.Text.Encoding.UTF8.GetBytes(text.Replace(from, to, StringComparison.Ordinal));
        var refused = await Bring(_two, JobBundle.Zip(files.Where(f => f.Key != JobBundle.Sums && f.Key != "manifest.json").ToDictionary()));
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await refused.Content.ReadAsStringAsync()).ShouldContain(words);
        (await _two.Http.GetAsync($"/api/rigs/{id}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_whole_shop_goes_over_with_papers_pages_and_its_log()
    {
        var id = (await _one.Begin("Dunlin")).Id();
        await Change(_one, id, Set("/unit/chosen", "MS-12-120"), Set("/handover/contact", "bench line 14"));
        await Vacuum(_one, id, "450");
        var issued = await Read(await _one.Http.PostAsJsonAsync($"/api/rigs/{id}/papers",
            new { kind = "circuit", by = "Ottoline Marsh", licence = "", instruments = Array.Empty<string>() }));
        await Read(await _one.Http.PostAsJsonAsync("/api/shop/records", new
        {
            kind = "instrument",
            by = "Ottoline Marsh",
            units = "metric",
            decimalComma = false,
            values = new { name = "grey gauge", type = "vacuumGauge", calibratedOn = "2026-01-05" },
        }));
        var shop = await _one.Http.GetByteArrayAsync("/api/exchange/shop.zip");
        var report = await Read(await Bring(_two, shop));
        ((int)report["shopFresh"]!, report["rigs"]!.AsArray().Count).ShouldBe((1, 1));
        (await Read(await _two.Http.GetAsync("/api/shop")))["view"]!["instruments"]![0]!.Text("/name").ShouldBe("grey gauge");
        var paper = $"/api/rigs/{id}/papers/{issued.Text("/id")}.pdf";
        (await _two.Http.GetByteArrayAsync(paper)).ShouldBe(await _one.Http.GetByteArrayAsync(paper));
        ((int)(await Read(await Bring(_two, shop)))["shopFresh"]!).ShouldBe(0);
        using var drawn = new System.IO.Compression.ZipArchive(new MemoryStream(shop));
        foreach (var kind in new[] { "drawings/mount.svg", "drawings/mount.dxf", "calendar/service.ics", "guide/guide.pdf", "readings/records.csv" })
            drawn.Entries.ShouldContain(e => e.FullName.EndsWith(kind, StringComparison.Ordinal), kind);
    }

    [Fact]
    public async Task A_record_that_was_altered_on_the_way_is_kept_out_and_told()
    {
        var id = (await _one.Begin("Siskin")).Id();
        await Vacuum(_one, id, "450");
        var files = Bundles.Files(await Bundle(_one, id)).Where(f => f.Key is not ("SHA256SUMS" or "manifest.json")).ToDictionary();
        var log = JsonNode.Parse(files["record/events.json"])!.AsArray();
        log[0]!["values"]!["value"] = 300;
        files["record/events.json"] = System.Text.Encoding.UTF8.GetBytes(log.ToJsonString());
        var report = (await Read(await Bring(_one, JobBundle.Zip(files))))["rigs"]![0]!;
        report["altered"]!.AsArray().ShouldHaveSingleItem()!.GetValue<string>().ShouldContain("vacuum");
        (await _one.View(id))["records"]![0]!["readings"]!["value"]!.GetValue<double>().ShouldBe(450);
    }

    [Fact]
    public async Task What_is_no_such_file_is_refused_in_words_and_changes_nothing()
    {
        var id = (await _one.Begin("Linnet")).Id();
        await Vacuum(_one, id, "450");
        var whole = await Bundle(_one, id);
        (await Bring(_two, [])).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Bring(_two, "no archive"u8.ToArray())).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Bring(_two, JobBundle.Zip(new Dictionary<string, byte[]> { ["a.txt"] = [1] }))).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Bring(_two, JobBundle.Zip(new Dictionary<string, byte[]> { ["job/head.json"] = "{}"u8.ToArray() }))).StatusCode
            .ShouldBe(HttpStatusCode.BadRequest);
        var random = new Random(11);
        for (var i = 0; i < 60; i++)
        {
            var bytes = (byte[])whole.Clone();
            for (var n = 0; n < 3; n++)
                bytes[random.Next(bytes.Length)] ^= (byte)random.Next(1, 256);
            var answer = await Bring(_two, i % 2 == 0 ? bytes : bytes[..random.Next(bytes.Length)]);
            answer.StatusCode.ShouldBeOneOf(HttpStatusCode.BadRequest, HttpStatusCode.OK);
        }
        (await Read(await _two.Http.GetAsync("/api/rigs"))).AsArray().Count.ShouldBeLessThanOrEqualTo(1);
    }
}
