using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Vanto.Documents;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

/// <summary>A server that is killed while it reads a shop in, and what a small file may cost it.</summary>
public sealed class ExchangeCrashTests(RunningServer from) : IClassFixture<RunningServer>
{
    private static async Task<HttpResponseMessage> Bring(HttpClient to, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
        return await to.PostAsync("/api/exchange", content);
    }

    private static string Fresh() => Path.Combine(Directory.CreateTempSubdirectory("vanto-exchange-").FullName, "vanto.db");

    /// <summary>Killed at several moments: each rig is there whole or not at all, the server starts, and reading the file in again brings the rest.</summary>
    [Fact]
    public async Task A_kill_while_a_shop_is_read_in_leaves_whole_rigs()
    {
        for (var n = 0; n < 6; n++)
        {
            var rig = (await from.Begin($"Rig {n}")).Id();
            for (var r = 0; r < 4; r++)
                await Read(await from.Http.PostAsJsonAsync($"/api/rigs/{rig}/records",
                    new { kind = "vacuum", by = "Wren", values = new { value = $"{450 + r}", unit = "micron" } }));
        }
        var shop = await from.Http.GetByteArrayAsync("/api/exchange/shop.zip");
        foreach (var afterMs in new[] { 60, 250, 600 })
        {
            var store = Fresh();
            using (var killed = await ServerProcess.Start(store))
            {
                var reading = Bring(killed.Http, shop);
                await Task.WhenAny(reading, Task.Delay(afterMs));
                killed.Kill();
                await Should.ThrowAsync<Exception>(async () =>
                {
                    await reading;
                    throw new InvalidOperationException("it was through before the kill");
                });
            }
            using var again = await ServerProcess.Start(store);
            var rigs = JsonNode.Parse(await again.Http.GetStringAsync("/api/rigs"))!.AsArray();
            foreach (var rig in rigs)
                JsonNode.Parse(await again.Http.GetStringAsync($"/api/rigs/{rig!.Id()}"))!["records"]!.AsArray().Count.ShouldBe(4, "whole, or not at all");
            var report = await Read(await Bring(again.Http, shop));
            report["rigs"]!.AsArray().Sum(r => (int)r!["fresh"]!).ShouldBe(4 * (6 - rigs.Count));
            JsonNode.Parse(await again.Http.GetStringAsync("/api/rigs"))!.AsArray().Count.ShouldBe(6);
        }
    }

    private static double HighWaterMb(int process) => Kb(process, "VmHWM:");

    private static double RestMb(int process) => Kb(process, "VmRSS:");

    private static double Kb(int process, string line) => File.ReadLines($"/proc/{process}/status").Where(l => l.StartsWith(line, StringComparison.Ordinal))
        .Select(l => double.Parse(l[line.Length..].Replace("kB", ""), System.Globalization.CultureInfo.InvariantCulture)).Single() / 1024;

    /// <summary>A bundle of four megabytes that would unpack to a thousand, and a logger's table of four: neither costs more than 200 MB, and it is given
    /// back. Measured on the process, where the system tells; 165 as this was written.</summary>
    [Fact]
    public async Task A_small_file_costs_no_more_than_it_may()
    {
        if (!OperatingSystem.IsLinux())
            return;
        using var server = await ServerProcess.Started(["--store", Fresh()], null, new Dictionary<string, string> { ["MALLOC_ARENA_MAX"] = "2" });
        var rig = (await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Wagtail", kind = "van" }), System.Net.HttpStatusCode.Created)).Id();
        await server.Http.GetStringAsync($"/api/rigs/{rig}");
        await Bring(server.Http, Zeros(1 << 20));
        var before = RestMb(server.Id);
        await File.WriteAllTextAsync($"/proc/{server.Id}/clear_refs", "5");
        await Bring(server.Http, Zeros(900L << 20));
        var table = "time,volts\n" + string.Concat(Enumerable.Range(0, 125_000).Select(n => $"2026-03-02T12:00:00,{n}\n"));
        var mapping = new { columns = new[] { new { index = 1, unit = "V", instrument = "meter-1" } } };
        await server.Http.PostAsJsonAsync($"/api/rigs/{rig}/instruments/import", new { content = System.Text.Encoding.ASCII.GetBytes(table), mapping });
        (HighWaterMb(server.Id) - before).ShouldBeLessThan(200);
        (RestMb(server.Id) - before).ShouldBeLessThan(75);
    }

    private static byte[] Zeros(long bytes)
    {
        using var stream = new MemoryStream();
        using (var zip = new System.IO.Compression.ZipArchive(stream, System.IO.Compression.ZipArchiveMode.Create, leaveOpen: true))
        {
            using (var sums = zip.CreateEntry(JobBundle.Sums).Open())
                sums.Write(System.Text.Encoding.UTF8.GetBytes($"{new string('0', 64)}  photos/a.jpg\n"));
            using var entry = zip.CreateEntry("photos/a.jpg").Open();
            var part = new byte[1 << 20];
            for (long n = 0; n < bytes; n += part.Length)
                entry.Write(part);
        }
        return stream.ToArray();
    }
}
