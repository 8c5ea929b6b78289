using System.IO.Compression;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Vanto.Documents;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

/// <summary>Files of another laptop that were made by somebody who means harm, or that a disk has damaged.</summary>
public sealed class TamperedBundleTests : IAsyncLifetime
{
    private readonly RunningServer _one = new(), _two = new();
    private string _rig = "";

    public async Task InitializeAsync()
    {
        await Task.WhenAll(_one.InitializeAsync(), _two.InitializeAsync());
        _rig = (await _one.Begin("Goosander")).Id();
        await Vacuum(_one, _rig, "900");
    }

    public Task DisposeAsync() => Task.WhenAll(_one.DisposeAsync(), _two.DisposeAsync());

    private static async Task Vacuum(RunningServer on, string rig, string micron) => await Read(await on.Http.PostAsJsonAsync($"/api/rigs/{rig}/records",
        new { kind = "vacuum", by = "Ottoline Marsh", values = new { value = micron, unit = "micron" } }));

    private static async Task<HttpResponseMessage> Bring(RunningServer to, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
        return await to.Http.PostAsync("/api/exchange", content);
    }

    private const string Log = "record/events.json", Head = "job/head.json";

    private async Task<Dictionary<string, byte[]>> Files() => Bundles.Files(await _one.Http.GetByteArrayAsync($"/api/rigs/{_rig}/bundle.zip"));

    private async Task<byte[]> With(string path, byte[] content)
    {
        var files = await Files();
        files[path] = content;
        return Bundles.Zip(files);
    }

    private async Task<byte[]> WithRecord(Action<JsonObject> change)
    {
        var log = JsonNode.Parse((await Files())[Log])!.AsArray();
        change(log[0]!.AsObject());
        return await With(Log, Encoding.UTF8.GetBytes(log.ToJsonString()));
    }

    private async Task IsRefused(byte[] file, string words)
    {
        var answer = await Bring(_two, file);
        (await Read(answer, HttpStatusCode.BadRequest)).ToJsonString().ShouldContain(words, Case.Insensitive);
        JsonNode.Parse(await _two.Http.GetStringAsync("/api/rigs"))!.AsArray().ShouldBeEmpty("nothing of it is kept");
    }

    [Theory]
    [InlineData("value", "1e308", "value")]
    [InlineData("value", "-200000", "value")]
    [InlineData("unit", "\"furlong\"", "unit")]
    [InlineData("value", "\"many\"", "value")]
    public async Task A_value_that_could_not_be_typed_is_refused(string field, string json, string words) =>
        await IsRefused(await WithRecord(r => r["values"]![field] = JsonNode.Parse(json)), words);

    [Theory]
    [InlineData("by", "null")]
    [InlineData("by", "\"\"")]
    [InlineData("kind", "null")]
    [InlineData("kind", "\"instrument\"")]
    [InlineData("kind", "\"spell\"")]
    [InlineData("values", "null")]
    [InlineData("values", "[]")]
    [InlineData("at", "\"9999-12-31T00:00:00+00:00\"")]
    [InlineData("at", "\"0001-01-01T00:00:00+00:00\"")]
    [InlineData("at", "null")]
    [InlineData("id", "\"00000000-0000-0000-0000-000000000000\"")]
    [InlineData("stamp", "\"soon\"")]
    public async Task A_record_that_no_laptop_writes_is_refused_in_words(string field, string json)
    {
        var refused = await Bring(_two, await WithRecord(r => r[field] = JsonNode.Parse(json)));
        (await Read(refused, HttpStatusCode.BadRequest)).Text("/title").Length.ShouldBeGreaterThan(10);
        JsonNode.Parse(await _two.Http.GetStringAsync("/api/rigs"))!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_name_of_a_hundred_letters_is_refused() => await IsRefused(await WithRecord(r => r["by"] = new string('x', 100)), "1 to 80 letters");

    [Theory]
    [InlineData(Log, "[null]")]
    [InlineData(Log, "null")]
    [InlineData(Log, "{}")]
    [InlineData(Log, "[")]
    [InlineData(Log, "[] []")]
    [InlineData(Head, "null")]
    [InlineData(Head, "{}")]
    [InlineData(Head, "[]")]
    [InlineData("job/job.json", "null")]
    public async Task A_damaged_file_is_refused_in_words(string path, string content)
    {
        var refused = await Bring(_two, await With(path, Encoding.UTF8.GetBytes(content)));
        (await Read(refused, HttpStatusCode.BadRequest)).Text("/title").Length.ShouldBeGreaterThan(10);
    }

    private static JsonObject Chained(JsonNode like, Guid id, Guid? corrects)
    {
        var record = (JsonObject)like.DeepClone();
        (record["id"], record["corrects"], record["stamp"]) = (id, corrects, null);
        return record;
    }

    /// <summary>A correction of a correction, twenty thousand times: read without a call for each, in seconds. In a circle: refused.</summary>
    [Fact]
    public async Task A_chain_of_corrections_ends_no_server()
    {
        var like = JsonNode.Parse((await Files())[Log])!.AsArray()[0]!;
        var ids = Enumerable.Range(0, 20_000).Select(_ => Guid.NewGuid()).ToList();
        var began = DateTime.UtcNow;
        var file = await With(Log, Encoding.UTF8.GetBytes(new JsonArray([.. ids.Select((id, i) => Chained(like, id, i == 0 ? null
            : ids[i - 1]))]).ToJsonString()));
        ((int)(await Read(await Bring(_two, file)))["rigs"]![0]!["fresh"]!).ShouldBe(20_000);
        (DateTime.UtcNow - began).ShouldBeLessThan(TimeSpan.FromSeconds(60), "it took as long for each thousand as for all before it");
        var circle = new JsonArray([.. ids.Take(3).Select((id, i) => Chained(like, id, ids[(i + 1) % 3]))]);
        (await Read(await Bring(_one, await With(Log, Encoding.UTF8.GetBytes(circle.ToJsonString()))), HttpStatusCode.BadRequest)).Text("/title")
            .ShouldContain("circle");
    }

    [Fact]
    public async Task More_records_than_any_job_has_are_refused()
    {
        var like = JsonNode.Parse((await Files())[Log])!.AsArray()[0]!;
        like["values"] = new JsonObject();
        var record = like.ToJsonString().Replace("Ottoline Marsh", "O");
        var many = "[" + string.Join(',', Enumerable.Repeat(record, JobBundle.MostRecords + 1)) + "]";
        await IsRefused(await With(Log, Encoding.UTF8.GetBytes(many)), "more than 50000 records");
    }

    /// <summary>Two rigs in one file, a record of the second under the number of one that another rig here has: nothing is in, and a sentence says
    /// why.</summary>
    [Fact]
    public async Task A_number_that_another_rig_has_keeps_the_whole_file_out()
    {
        var second = (await _one.Begin("Smew")).Id();
        await Vacuum(_one, second, "700");
        var other = (await _two.Begin("Pintail")).Id();
        await Vacuum(_two, other, "600");
        var taken = (await _two.View(other))["records"]![0]!.Id();
        var files = Bundles.Files(await _one.Http.GetByteArrayAsync("/api/exchange/shop.zip"));
        var log = JsonNode.Parse(files[$"rigs/{second}/{Log}"])!.AsArray();
        log[0]!["id"] = taken;
        files[$"rigs/{second}/{Log}"] = Encoding.UTF8.GetBytes(log.ToJsonString());
        (await Read(await Bring(_two, Bundles.Zip(files)), HttpStatusCode.BadRequest)).Text("/title").ShouldContain("another rig here. Nothing was changed.");
        JsonNode.Parse(await _two.Http.GetStringAsync("/api/rigs"))!.AsArray().Select(r => r!.Text("/name")).ShouldBe(["Pintail"]);
    }

    private static byte[] Packed(string path, long bytes)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            using (var sums = zip.CreateEntry(JobBundle.Sums).Open())
                sums.Write(Encoding.UTF8.GetBytes($"{new string('0', 64)}  {path}\n"));
            using var entry = zip.CreateEntry(path, CompressionLevel.SmallestSize).Open();
            var part = new byte[1 << 20];
            for (long n = 0; n < bytes; n += part.Length)
                entry.Write(part);
        }
        return stream.ToArray();
    }

    [Fact]
    public async Task An_archive_that_unpacks_to_far_more_than_it_is_is_refused_while_it_unpacks() =>
        await IsRefused(Packed("photos/a.jpg", 300L << 20), "packed more than 200 times");

    /// <summary>What an archive says of its own sizes counts for nothing.</summary>
    [Fact]
    public async Task A_size_that_the_archive_states_is_not_believed()
    {
        var file = Packed("photos/a.jpg", 40L << 20);
        // The central directory's record of the entry: its stated size stands 24 bytes on from its signature.
        for (var at = 0; at < file.Length - 46; at++)
            if (file.AsSpan(at, 4).SequenceEqual("PK\x01\x02"u8))
                BitConverter.TryWriteBytes(file.AsSpan(at + 24), 5).ShouldBeTrue();
        var refused = await Bring(_two, file);
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    /// <summary>While one person writes in the shop, files are read in, two at once: neither loses anything, and nobody is refused.</summary>
    [Fact]
    public async Task The_shops_log_is_written_in_turn()
    {
        object Instrument(int n) => new { kind = "instrument", by = "Ottoline Marsh", values = new { name = $"gauge {n}", type = "vacuumGauge" } };
        await Read(await _one.Http.PostAsJsonAsync("/api/shop/records", Instrument(0)));
        var file = await _one.Http.GetByteArrayAsync("/api/exchange/shop.zip");
        var written = Enumerable.Range(1, 12).Select(async n => (await _two.Http.PostAsJsonAsync("/api/shop/records", Instrument(n))).StatusCode);
        var read = Enumerable.Range(0, 8).Select(async _ => (await Bring(_two, file)).StatusCode);
        (await Task.WhenAll([.. written, .. read])).ShouldAllBe(s => s == HttpStatusCode.OK);
        (await Read(await _two.Http.GetAsync("/api/shop")))["view"]!["instruments"]!.AsArray().Count.ShouldBe(13);
    }
}
