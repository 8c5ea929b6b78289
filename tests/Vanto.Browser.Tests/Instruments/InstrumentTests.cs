using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Instruments;

/// <summary>Instruments on the screen: simulated ones send, the trace is drawn, and a hold is taken over into the proof.</summary>
public sealed class InstrumentTests(DemoServer demo) : IClassFixture<DemoServer>
{
    [Fact]
    public void A_simulated_gauge_is_seen_live_and_its_hold_is_judged()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Seed House 4", "commission/instruments");
        Screen.Into(screen.See("[data-by]"), "Ottoline Marsh");
        screen.Press("600×");
        screen.See("[data-play]").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-channel='vac-1/absolutePressure']", "micron");
        screen.See("[data-simulated]", "simulated");
        foreach (var minutes in (int[])[10, 20, 30, 40]) // a busy machine simulates slower: each stretch has its own patience
            screen.Until(() => screen.All("[data-playing]").Any(p => p.Text.Split(' ') is var w
                && w.SkipWhile(x => !int.TryParse(x, out _)).FirstOrDefault() is { } m && int.Parse(m) >= minutes), $"{minutes} minutes have gone by");
        screen.See("[data-stop]").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.IsAccessible();
        screen.See("[data-take='vacuum']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-verdict] .headline", "Dry and tight");
        screen.See("[data-readings]", "simulated");
        screen.IsClean();
    }

    /// <summary>A logger's table: what its heading does not say is asked, and the confirmed columns stand as instruments.</summary>
    [Fact]
    public void A_loggers_file_is_confirmed_and_kept()
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("vanto-log-").FullName, "log.csv");
        File.WriteAllText(file, "Time,Cabin (°C),Suction (psi)\n" + string.Join('\n', Enumerable.Range(0, 30).Select(i =>
            $"2027-03-02 14:{i:00}:00,{33 - i / 5},120")));
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "commission/instruments");
        screen.Unfold("Out of a logger");
        screen.Give(".import", file);
        screen.See("[data-column='Suction (psi)']");
        screen.See("[data-keep]").Click();
        screen.See("[data-kept]", "30 readings of 30 rows");
        screen.See("[data-channel='cabin/temperature']", "kept");
        screen.IsClean();
    }

    [Fact]
    public void A_practice_case_tells_why_only_after_the_answer()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "commission/practice");
        screen.See("[data-answer='leak']");
        screen.All("[data-why]").ShouldBeEmpty();
        screen.See("[data-answer='leak']").Click();
        screen.See("[data-why]", "No: wet");
        screen.See("[data-next]").Click();
        screen.See("[data-answer='dryAndTight']").Click();
        screen.See("[data-why]", "Right");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void A_part_that_was_used_stands_against_the_quote()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Pipit", "install/took");
        Screen.Into(screen.See(".used input[placeholder='your name']"), "Wren");
        screen.See("[data-part]").Click();
        screen.See(".el-select-dropdown__item").Click();
        Screen.Into(screen.See("[data-amount]"), "3");
        Screen.Into(screen.See("[data-each]"), "2.50");
        var before = screen.All(".sheet-table tbody tr").Count;
        screen.See("[data-used]").Click();
        screen.Until(() => screen.All(".sheet-table tbody tr").Count == before + 1, "the part is a line of its own");
        screen.IsAccessible();
        screen.IsClean();
    }
}
