using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;

namespace Vanto.Web.Tests.Keeping;

public sealed class CrashTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("vanto-crash-").FullName;

    private string Store => Path.Combine(_folder, "vanto.db");

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    [Fact]
    public async Task What_was_acknowledged_survives_a_kill_in_the_middle_of_a_burst()
    {
        using var first = await ServerProcess.Start(Store);
        var rig =
            await RunningServer.Read(await first.Http.PostAsJsonAsync("/api/rigs", new { name = "Plover", kind = "van" }), System.Net.HttpStatusCode.Created);
        var acknowledged = 0.0;
        var burst = Task.Run(async () =>
        {
            var revision = 1;
            for (var i = 0; ; i++)
            {
                var width = 1.5 + i * 0.001;
                var response = await first.Http.PatchAsJsonAsync($"/api/rigs/{rig.Id()}",
                    new
                    {
                        baseRevision = revision,
                        client = "tab",
                        units = "metric",
                        decimalComma = false,
                        changes = new[] {
                    new { path = "/survey/space/widthM", text = width.ToString(CultureInfo.InvariantCulture) } }
                    });
                revision = (await RunningServer.Read(response)).Revision();
                Volatile.Write(ref acknowledged, width);
            }
        });
        await Until(() => Volatile.Read(ref acknowledged) > 1.52);
        first.Kill();
        await Should.ThrowAsync<Exception>(() => burst);
        var last = Volatile.Read(ref acknowledged);

        using var second = await ServerProcess.Start(Store);
        var view = await RunningServer.Read(await second.Http.GetAsync($"/api/rigs/{rig.Id()}"));
        // The change under way at the kill may or may not have been kept; all acknowledged ones are.
        view.Number("/design/survey/space/widthM").ShouldBeInRange(last - 1e-9, last + 0.001 + 1e-9);
        view["assessment"]!["faults"]!.AsArray().Count.ShouldBe(0);
    }

    [Fact]
    public async Task A_backup_made_while_running_restores_to_the_same_content()
    {
        var backup = Path.Combine(_folder, "copy.vanto");
        JsonNode before;
        string id;
        using (var server = await ServerProcess.Start(Store))
        {
            var rig = await RunningServer.Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Plover", kind = "boat" }),
                System.Net.HttpStatusCode.Created);
            id = rig.Id();
            before = await RunningServer.Read(await server.Http.GetAsync($"/api/rigs/{id}"));
            StoreCommands.Backup(Store, backup).ShouldBe(0);
            await RunningServer.Read(await server.Http.PatchAsJsonAsync($"/api/rigs/{id}",
                new
                {
                    baseRevision = 1,
                    client = "tab",
                    units = "metric",
                    decimalComma = false,
                    changes = new[] {
                    new { path = "/survey/space/widthM", text = "3.1" } }
                }));
            server.Kill();
        }
        StoreCommands.Restore(Store, backup).ShouldBe(0);
        Directory.GetFiles(_folder, "vanto.db.before-*").Length.ShouldBe(1);
        using var again = await ServerProcess.Start(Store);
        var after = await RunningServer.Read(await again.Http.GetAsync($"/api/rigs/{id}"));
        JsonNode.DeepEquals(before["design"], after["design"]).ShouldBeTrue();
        after.Revision().ShouldBe(1);
    }

    [Fact]
    public void A_damaged_backup_is_refused_and_the_store_stays()
    {
        Vanto.Storage.StoreFile.Prepare(Store);
        var before = File.ReadAllBytes(Store).Length;
        var noise = Path.Combine(_folder, "noise");
        File.WriteAllText(noise, "this is no store");
        StoreCommands.Restore(Store, noise).ShouldBe(1);
        StoreCommands.Restore(Store, Path.Combine(_folder, "missing")).ShouldBe(1);
        StoreCommands.Backup(Path.Combine(_folder, "missing"), Path.Combine(_folder, "copy")).ShouldBe(1);
        File.WriteAllText(Path.Combine(_folder, "there"), "");
        StoreCommands.Backup(Store, Path.Combine(_folder, "there")).ShouldBe(1);
        File.ReadAllBytes(Store).Length.ShouldBe(before);
    }

    [Fact]
    public async Task A_busy_port_is_said_and_the_next_free_one_taken()
    {
        using var busy = new TcpListener(System.Net.IPAddress.Loopback, 0);
        busy.Start();
        var port = ((System.Net.IPEndPoint)busy.LocalEndpoint).Port;
        using var server = await ServerProcess.Start(Store, port);
        server.Output.ShouldContain($"Port {port} is in use");
        server.Http.BaseAddress!.Port.ShouldNotBe(port);
    }

    private static async Task Until(Func<bool> done)
    {
        var watch = Stopwatch.StartNew();
        while (!done())
        {
            watch.Elapsed.ShouldBeLessThan(TimeSpan.FromSeconds(60));
            await Task.Yield();
        }
    }
}
