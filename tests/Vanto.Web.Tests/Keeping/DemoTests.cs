using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

public class DemoTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task The_demo_has_five_rigs_each_assessed_without_an_error_and_filled_once()
    {
        await Demo.DemoRigs.Fill(server.Services);
        await Demo.DemoRigs.Fill(server.Services);
        var yard = (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray();
        yard.Select(r => r!.Text("/name")).ShouldBe(["Marigold", "Pipit", "Gannet's Rest", "Seed House 4", "Thistle Van"], ignoreOrder: true);
        var rules = new List<string>();
        foreach (var rig in yard)
        {
            var view = await server.View(rig!.Id());
            view["assessment"]!["faults"]!.AsArray().Count.ShouldBe(0, rig!.Text("/name"));
            view.Number("/assessment/load/peakW").ShouldBeGreaterThan(300);
            rules.Add(view.Text("/assessment/wiring/rulesWords"));
        }
        foreach (var book in new[] { "IEC", "North American", "marine, ISO", "vehicle DC" })
            rules.ShouldContain(r => r.StartsWith(book), $"{book} among {string.Join("; ", rules)}");
        yard = (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray();
        yard.ShouldAllBe(r => !(bool)r!["pending"]!, "all have been worked out by now");
        yard.Select(r => r!.Text("/stage")).Distinct().Count().ShouldBeGreaterThan(2, "each stands at a different stage");
    }
}
