using System.Net.Http.Json;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>A yard with more rigs than can be worked out at once: it opens all the same, and what waits is worked out by the next calls.</summary>
public class YardTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task It_opens_with_all_rigs_and_the_waiting_are_worked_out_by_and_by()
    {
        const int count = 120;
        await Parallel.ForEachAsync(Enumerable.Range(0, count), new ParallelOptions { MaxDegreeOfParallelism = 4 }, async (i, stop) =>
            (await server.Http.PostAsJsonAsync("/api/rigs", new { name = $"Rig {i}", kind = i % 2 == 0 ? "van" : "boat" }, stop)).EnsureSuccessStatusCode());
        var pending = int.MaxValue;
        for (var call = 0; call < 100 && pending > 0; call++)
        {
            var yard = (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray();
            yard.Count.ShouldBe(count, "each call shows every rig");
            yard.Select(r => r!.Text("/name")).Distinct().Count().ShouldBe(count);
            foreach (var rig in yard.Where(r => (bool)r!["pending"]!))
                rig!.Text("/stage").ShouldBe("", "what is not worked out claims nothing");
            var now = yard.Count(r => (bool)r!["pending"]!);
            now.ShouldBeLessThanOrEqualTo(pending, "and none is forgotten again");
            pending = now;
        }
        pending.ShouldBe(0);
        var last = (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray();
        last.ShouldAllBe(r => r!["states"]!.AsObject().Count > 5);
    }

    [Fact]
    public async Task A_rig_shows_its_newest_name_and_its_worst_finding()
    {
        var rig = await server.Begin("Whinchat");
        await Read(await server.Patch(rig.Id(), rig.Revision(), [Set("/name", "Stonechat"), Set("/survey/sources/battery/temperatureC", -5)]));
        for (var call = 0; call < 100; call++)
        {
            var mine = (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray().Single(r => r!.Id() == rig.Id())!;
            mine.Text("/name").ShouldBe("Stonechat");
            if ((bool)mine["pending"]!)
                continue;
            mine.Text("/worst/level").ShouldBe("stop");
            return;
        }
        Assert.Fail("the rig was never worked out");
    }
}
