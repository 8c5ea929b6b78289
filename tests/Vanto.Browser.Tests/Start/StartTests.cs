using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Start;

public sealed class StartTests : IClassFixture<DemoServer>, IDisposable
{
    private readonly Screen _screen;
    private readonly DemoServer _demo;

    public StartTests(DemoServer demo)
    {
        _demo = demo;
        _screen = new Screen(demo.Server.Address);
        _screen.OpenRig("Thistle Van", "start");
    }

    public void Dispose() => _screen.Dispose();

    [Fact]
    public void A_remedy_is_tried_and_other_sources_and_worse_days_stand_beside()
    {
        _screen.See("[data-study]", "The smallest that starts it alone");
        _screen.See("[data-worse]", "started again after one minute");
        _screen.See("[data-rules]", "locked-rotor current");
        _screen.See("[data-remedy='none'] button").SendKeys(Keys.Enter);
        _screen.See(".verdict .headline", "Trips after");
        _screen.See("[data-remedy='soft'] button").SendKeys(Keys.Enter);
        _screen.See(".verdict .headline", "with its soft starter");
        _screen.Saved();
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public async Task A_measured_start_is_read_drawn_and_fitted()
    {
        _screen.See("[data-remedy='none'] button").SendKeys(Keys.Enter);
        _screen.See(".verdict .headline", "Trips after");
        _screen.Unfold("Measured");
        var bad = Path.Combine(_demo.Server.Folder, "bad.csv");
        await File.WriteAllTextAsync(bad, "ms,A\n0,20\n10,much\n20,9\n");
        _screen.Wait(() => _screen.All("[data-measured]").FirstOrDefault(), "the file's input").SendKeys(bad);
        _screen.See("[role='alert']", "row 3, current");
        var good = Path.Combine(_demo.Server.Folder, "good.csv");
        await File.WriteAllTextAsync(good, "ms,A\n0,38\n100,37\n200,36\n260,20\n300,12\n400,12\n");
        _screen.Wait(() => _screen.All("[data-measured]").FirstOrDefault(), "the file's input").SendKeys(good);
        _screen.Wait(() => _screen.All("button").FirstOrDefault(b => b.Text == "leave out"), "the measured start is kept");
        _screen.AllFindings();
        _screen.See(".findings", "hides what the motor would draw");
        _screen.Saved();
        _screen.IsClean();
    }
}
