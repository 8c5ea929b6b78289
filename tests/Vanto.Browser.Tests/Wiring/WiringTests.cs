using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Wiring;

public sealed class WiringTests(DemoServer demo) : IClassFixture<DemoServer>
{
    /// <summary>Phone at the counter: which wire and whip, in three taps; at the terminal: which colour where, in one more.</summary>
    [Fact]
    public void On_the_phone_the_whip_is_three_taps_away_and_the_colours_one_more()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.Go("/");
        screen.See("[data-rig='Marigold']").Click();
        screen.See("[data-run]").Click();
        screen.Until(() => screen.See(".run-list").Location.X >= 0, "the list of stations stands open");
        screen.See(".run-list a.line[href*='/wiring']").Click();
        screen.See("[data-facts]", "fits the terminals");
        screen.See("[data-facts]", "buy 1.20 m");
        screen.Leaf("between");
        screen.See("[data-verdict] .headline", "black on 1, white on 2, red on 3, green on E");
        screen.See("[data-ends] svg", "outdoor unit");
        screen.IsClean();
    }

    [Fact]
    public void Cores_that_are_crossed_are_seen_and_mended()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Gannet's Rest", "wiring/between");
        screen.See("[data-verdict] .headline", "Both ends agree");
        screen.Choose("/wiring/between/terminals/1/outdoor", "black");
        screen.Choose("/wiring/between/terminals/2/outdoor", "blue");
        screen.See("[data-verdict] .headline", "are crossed: move 2 cores at the head");
        screen.Press("blue to 3", "[data-verdict]");
        screen.See("[data-verdict] .headline", "Both ends agree");
        screen.See("[data-alarm]", "stops the unit through the head");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void The_circuit_answers_to_its_way_and_its_breaker()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Seed House 4", "wiring");
        screen.See("[data-verdict] .headline", "1.5 mm² on 10 A");
        screen.Type("/wiring/branch/routeM", "120 m");
        screen.See("[data-facts]", "the volts lost on the way");
        screen.Type("/wiring/branch/deviceA", "60 A");
        screen.See("[data-verdict]", "does not protect the unit");
        screen.Control("z");
        screen.Control("z");
        screen.See("[data-verdict] .headline", "1.5 mm² on 10 A");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void Battery_ties_soft_starter_and_papers_answer()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Thistle Van", "wiring/starter");
        screen.See("[data-verdict] .headline", "B is common, A run, C start.");
        screen.Leaf("bonding");
        screen.See("[data-states]", "N–E at the");
        screen.Leaf("papers");
        screen.See("[data-line] svg", "breaker");
        screen.See("[data-paper='pdf']");
        screen.OpenRig("Marigold", "wiring/battery");
        screen.See("[data-used]", "Fuse against a short");
        screen.IsClean();
    }

    [Fact]
    public void Tests_before_power_are_recorded_and_judged()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Pipit", "wiring/tests");
        screen.See("[data-verdict] .headline", "0 done");
        foreach (var (field, text) in new[] { ("by", "Wren"), ("screws", "12"), ("beforeV", "12"), ("deadV", "48"), ("afterV", "12") })
            screen.See($"[data-reading='{field}']").FindElement(By.XPath("descendant-or-self::input")).SendKeys(text);
        screen.Press("record the readings");
        screen.See("[data-verdict]", "Failed: proved dead");
        screen.See("[data-log]", "Wren");
        screen.IsClean();
    }
}
