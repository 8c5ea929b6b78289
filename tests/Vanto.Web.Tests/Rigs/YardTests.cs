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
    public async Task A_rig_is_begun_as_a_copy_with_a_name_of_its_own_and_goes_its_own_way()
    {
        var original = await server.Begin("Sand Martin", "boat");
        await Read(await server.Patch(original.Id(), original.Revision(), [Set("/survey/space/lengthM", 7.7), Set("/unit/chosen", "MS-26-230")]));
        var copy = await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "House Martin", kind = "van", copyOf = original.Id() }),
            System.Net.HttpStatusCode.Created);
        copy.Text("/design/name").ShouldBe("House Martin");
        copy.Text("/design/survey/kind").ShouldBe("boat", "it is the original's rig, whatever kind was chosen beside it");
        copy.Number("/design/survey/space/lengthM").ShouldBe(7.7);
        copy.Text("/design/unit/chosen").ShouldBe("MS-26-230");
        await Read(await server.Patch(copy.Id(), copy.Revision(), [Set("/survey/space/lengthM", 5.5)]));
        (await server.View(original.Id())).Number("/design/survey/space/lengthM").ShouldBe(7.7, "the original stays");
        (await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Nobody's", kind = "van", copyOf = Guid.NewGuid() })).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound);
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
