using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Start;

public sealed class StartTests(DemoServer demo) : StationTests(demo, "Thistle Van", "start")
{
    [Fact]
    public void A_remedy_is_tried_and_other_sources_and_worse_days_stand_beside()
    {
        Screen.See("[data-corners]", "8 cases");
        Screen.See("[data-window]", "best");
        Screen.See("[data-take='none']").SendKeys(Keys.Enter);
        Screen.Until(() => !Screen.See(".verdict .headline").Text.Contains("soft starter", StringComparison.Ordinal), "it starts without help");
        Screen.See("[data-take='soft']").SendKeys(Keys.Enter);
        Screen.See(".verdict .headline", "with its soft starter");
        Screen.IsAccessible();
        Screen.Leaf("worse");
        Screen.See("[data-study]", "The smallest that starts it alone");
        Screen.See("[data-worse]", "started again after one minute");
        Screen.See("[data-rules]", "locked-rotor current");
        Screen.Leaf("source");
        Screen.See("[data-stacking]", "the unit alone");
        Screen.Saved();
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void A_soft_starter_that_takes_too_much_stalls_and_the_middle_of_the_window_is_taken()
    {
        Screen.Type("/start/reduction", "74");
        Screen.See(".verdict .headline", "Stalls: soft starter leaves too little torque");
        Screen.Until(() => Screen.All(".findings button").Any(b => b.Text.StartsWith("soft starter set weaker", StringComparison.Ordinal)), "a way out");
        Screen.All(".findings button").First(b => b.Text.StartsWith("soft starter set weaker", StringComparison.Ordinal)).SendKeys(Keys.Enter);
        Screen.See(".verdict .headline", "Starts on the generator with its soft starter");
        Screen.Saved();
        Screen.IsClean();
    }

    [Fact]
    public void Two_compressors_get_their_turns()
    {
        Screen.Leaf("worse");
        Screen.Unfold("Other compressors");
        Screen.Press("one more compressor", ".say");
        Screen.See("[data-turns]", "second unit");
        Screen.See(".below", "All at once");
        Screen.Type("/start/further/0/lraA", "10");
        Screen.Wait(() => Screen.All("[role='alert']").FirstOrDefault(a => a.Text.Contains("LRA must be at least", StringComparison.Ordinal)),
            "the values do not belong together");
        Screen.Type("/start/further/0/lraA", "0");
        Screen.Until(() => Screen.All("[role='alert']").Count == 0, "estimated from its running current");
        Screen.Saved();
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public async Task A_measured_start_is_read_drawn_and_fitted()
    {
        Screen.See("[data-take='none']").SendKeys(Keys.Enter);
        Screen.Saved();
        Screen.Leaf("measured");
        var bad = Path.Combine(Demo.Server.Folder, "bad.csv");
        await File.WriteAllTextAsync(bad, "ms,A\n0,20\n10,much\n20,9\n");
        Screen.Give("[data-measured]", bad);
        Screen.See("[role='alert']", "row 3, current");
        var good = Path.Combine(Demo.Server.Folder, "good.csv");
        await File.WriteAllTextAsync(good, "ms,A\n0,38\n100,37\n200,36\n260,20\n300,12\n400,12\n");
        Screen.Give("[data-measured]", good);
        Screen.Wait(() => Screen.All("button").FirstOrDefault(b => b.Text == "leave out"), "the measured start is kept");
        Screen.AllFindings();
        Screen.See(".findings", "Fitted to what was measured");
        Screen.Saved();
        Screen.IsClean();
    }
}
