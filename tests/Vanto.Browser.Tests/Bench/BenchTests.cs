using System.IO.Compression;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Bench;

public sealed class BenchTests(DemoServer demo) : IClassFixture<DemoServer>
{
    [Fact]
    public void A_calculator_is_found_filled_in_and_shows_its_working()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.Go("/bench");
        screen.See("main", "What do you want to know?");
        screen.See("main", "Hours of a lead bank");
        screen.See("input[type='search']").SendKeys("moist air");
        screen.See("[data-calc='psychrometrics']").SendKeys(OpenQA.Selenium.Keys.Enter);
        var dryBulb = screen.See("main input");
        Screen.Into(dryBulb, "95 °F");
        screen.See("main", "23.9");
        screen.See("main", "from memory");
        Screen.Into(dryBulb, "hot");
        screen.See("main [role='alert']", "hot");
        screen.IsClean();
    }

    [Fact]
    public void An_answer_that_comes_late_does_not_take_the_place_of_a_newer_one()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.Go("/bench/psychrometrics");
        var dryBulb = screen.See("main input");
        screen.Driver.ExecuteScript("""
            const real = window.fetch;
            window.fetch = async (url, o) => {
              const answer = await real(url, o);
              if (o?.body?.includes('"ho"')) { await new Promise(r => setTimeout(r, 1500)); setTimeout(() => (window.late = true), 200); }
              return answer;
            };
            """);
        Screen.Into(dryBulb, "ho");
        Screen.Into(dryBulb, "hot");
        screen.Until(() => screen.Driver.ExecuteScript("return window.late === true") is true, "the answer to the earlier text has come");
        screen.See("main [role='alert']").Text.ShouldContain("\"hot\"");
        screen.IsClean();
    }

    /// <summary>The first page's scripts: at most 300 kB gzip.</summary>
    [Fact]
    public void The_first_page_is_light()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.Go("/");
        screen.See("[data-rig='Marigold']");
        var scripts = (IReadOnlyCollection<object>)screen.Driver.ExecuteScript(
            "return performance.getEntriesByType('resource').map(r => r.name).filter(n => n.endsWith('.js'))")!;
        scripts.Count.ShouldBeGreaterThan(0);
        var total = scripts.Sum(s => Zipped(Path.Combine(VantoServer.Root, "artifacts", "server", "wwwroot", new Uri((string)s).AbsolutePath[1..])));
        total.ShouldBeLessThan(300_000);
    }

    private static long Zipped(string file)
    {
        using var memory = new MemoryStream();
        using (var zip = new GZipStream(memory, CompressionLevel.Optimal, leaveOpen: true))
            zip.Write(File.ReadAllBytes(file));
        return memory.Length;
    }
}
