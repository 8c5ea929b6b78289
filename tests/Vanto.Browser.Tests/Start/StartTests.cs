using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Start;

public sealed class StartTests(DemoServer demo) : StationTests(demo, "Thistle Van", "start")
{
    [Fact]
    public void A_remedy_is_tried_and_other_sources_and_worse_days_stand_beside()
    {
        Screen.See("[data-study]", "The smallest that starts it alone");
        Screen.See("[data-worse]", "started again after one minute");
        Screen.See("[data-rules]", "locked-rotor current");
        Screen.See("[data-remedy='none'] button").SendKeys(Keys.Enter);
        Screen.See(".verdict .headline", "Trips after");
        Screen.See("[data-remedy='soft'] button").SendKeys(Keys.Enter);
        Screen.See(".verdict .headline", "with its soft starter");
        Screen.Saved();
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void Two_compressors_get_their_turns()
    {
        Screen.Unfold("Other compressors");
        Screen.Press("one more compressor", ".say");
        Screen.See("[data-turns]", "second unit");
        Screen.See("[data-study]", "All at once");
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
        Screen.See("[data-remedy='none'] button").SendKeys(Keys.Enter);
        Screen.See(".verdict .headline", "Trips after");
        Screen.Unfold("Measured");
        var bad = Path.Combine(Demo.Server.Folder, "bad.csv");
        await File.WriteAllTextAsync(bad, "ms,A\n0,20\n10,much\n20,9\n");
        Screen.Wait(() => Screen.All("[data-measured]").FirstOrDefault(), "the file's input").SendKeys(bad);
        Screen.See("[role='alert']", "row 3, current");
        var good = Path.Combine(Demo.Server.Folder, "good.csv");
        await File.WriteAllTextAsync(good, "ms,A\n0,38\n100,37\n200,36\n260,20\n300,12\n400,12\n");
        Screen.Wait(() => Screen.All("[data-measured]").FirstOrDefault(), "the file's input").SendKeys(good);
        Screen.Wait(() => Screen.All("button").FirstOrDefault(b => b.Text == "leave out"), "the measured start is kept");
        Screen.AllFindings();
        Screen.See(".findings", "hides what the motor would draw");
        Screen.Saved();
        Screen.IsClean();
    }
}
