using System.Net;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Logging.Abstractions;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Energy;

/// <summary>Long runs: two at once, the rest in a queue whose place is shown, all ended when the page leaves.</summary>
public class LongRunTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task Two_run_at_once_the_third_waits_in_its_place_and_one_that_is_left_makes_room()
    {
        var runs = new LongRuns(NullLogger<LongRuns>.Instance);
        var (gate, left) = (new TaskCompletionSource(), new CancellationTokenSource());
        var most = 0;
        var now = 0;
        Task<int> Run(string name, CancellationToken stop) => runs.Run(new DefaultHttpContext { RequestAborted = stop }, _ =>
        {
            InterlockedMax(ref most, Interlocked.Increment(ref now));
            gate.Task.Wait(CancellationToken.None);
            return Interlocked.Decrement(ref now);
        }, name);
        Task[] all = [Run("a", default), Run("b", default), Run("c", left.Token), Run("d", default), Run("e", default)];
        runs.Place("a").Place.ShouldBe(0);
        runs.Place("c").Place.ShouldBe(1);
        runs.Place("e").Place.ShouldBe(3);
        runs.Place("nobody").Place.ShouldBeNull();
        await left.CancelAsync();
        await Should.ThrowAsync<OperationCanceledException>(() => all[2]);
        runs.Place("e").Place.ShouldBe(2);
        gate.SetResult();
        await Task.WhenAll(all[0], all[1], all[3], all[4]);
        most.ShouldBe(2);
        runs.Place("e").Place.ShouldBeNull();
    }

    private static void InterlockedMax(ref int target, int value)
    {
        for (int seen = Volatile.Read(ref target); value > seen; seen = Volatile.Read(ref target))
            Interlocked.CompareExchange(ref target, value, seen);
    }

    [Fact]
    public async Task A_run_that_the_page_leaves_ends_and_the_next_is_not_kept_waiting()
    {
        var rig = await server.Begin("Left", "bus");
        var months = new JsonArray(
            [.. Enumerable.Range(0, 12).Select(
                _ => new JsonObject { ["maxC"] = 34, ["minC"] = 20, ["clearness"] = 0.65, ["humidityPct"] = 30, ["windMs"] = 3 })]);
        var options = new JsonArray([.. Enumerable.Range(0, 24).Select(i => new JsonObject { ["name"] = $"option {i}", ["chosen"] = "MS-12-120" })]);
        var changed = await Read(await server.Patch(rig.Id(), 1, [Set("/survey/climate/months", months), Set("/options", options)]));
        changed.Revision().ShouldBe(2);
        using var page = new CancellationTokenSource();
        var abandoned = Enumerable.Range(0, 6).Select(_ => server.Http.GetAsync($"/api/rigs/{rig.Id()}/options", page.Token)).ToList();
        await page.CancelAsync();
        foreach (var run in abandoned)
            await Should.ThrowAsync<OperationCanceledException>(() => run);
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}/energy-year")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }
}
