using System.Net;
using System.Text;
using Vanto.Core.Job;
using Vanto.Core.Survey;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>What weighs the whole process runs by itself: else the memory of other tests would count.</summary>
[CollectionDefinition(nameof(Alone), DisableParallelization = true)]
public class Alone;

/// <summary>What was opened once does not stay in memory for good.</summary>
[Collection(nameof(Alone))]
public class MemoryTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const int Rigs = 160;

    /// <summary>Kept assessments take up to 0.3 MB each; 160 of them would be 48 MB.</summary>
    private const long MostGrowthBytes = 24 << 20;

    [Fact]
    public async Task Rigs_read_in_and_removed_leave_nothing_behind()
    {
        var file = JobFile.Write(RigPresets.New(RigKind.Bus, "Comes and goes"));
        await ReadAndRemove(file, 60);
        var before = GC.GetTotalMemory(forceFullCollection: true);
        await ReadAndRemove(file, Rigs);
        (GC.GetTotalMemory(forceFullCollection: true) - before).ShouldBeLessThan(MostGrowthBytes);
        for (var i = 0; i < 2000; i++)
            (await server.Patch(Guid.NewGuid().ToString(), 1, [Typed("/survey/space/widthM", "2")])).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (GC.GetTotalMemory(forceFullCollection: true) - before).ShouldBeLessThan(MostGrowthBytes, "asking after rigs that do not exist costs nothing");
    }

    private async Task ReadAndRemove(string file, int times)
    {
        for (var i = 0; i < times; i++)
        {
            var view =
                await Read(await server.Http.PostAsync("/api/rigs/import", new StringContent(file, Encoding.UTF8, "application/json")), HttpStatusCode.Created);
            (await server.Http.DeleteAsync($"/api/rigs/{view.Id()}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        }
    }
}
