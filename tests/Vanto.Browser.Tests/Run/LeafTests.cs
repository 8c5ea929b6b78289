using System.Text.Json;

namespace Vanto.Browser.Tests.Run;

/// <summary>Ways between leaves, and pages that are none.</summary>
public sealed class LeafTests(DemoServer demo) : IClassFixture<DemoServer>
{
    /// <summary>Pages that are no leaf of a station, on the phone.</summary>
    [Theory]
    [InlineData("/", "[data-rig='Marigold']")]
    [InlineData("/bench", ".asks")]
    [InlineData("/bench/psychrometrics", "[data-figure]")]
    public void Other_pages_fit_the_phone(string page, string once)
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.Go(page);
        screen.See(once);
        if (page == "/")
        {
            screen.See("header .soft, .top .soft", "not to one scale here");
            screen.See("[data-begin-open]").Click();
            screen.See("[data-quick='lengthM']");
        }
        var found = JsonSerializer.Deserialize<Fit>((string)screen.Driver.ExecuteScript(LeafWalk.Measured.Replace(
            "const v = document.querySelector('[data-verdict]').getBoundingClientRect();",
                "return JSON.stringify({ Page: document.documentElement.scrollWidth, "
                + "Wide: wide, Small: small });"))!)!;
        found.Wide.ShouldBeEmpty(page);
        found.Page.ShouldBeLessThanOrEqualTo(390);
        found.Small.ShouldBeEmpty(page);
        screen.IsAccessible();
        screen.IsClean();
    }

    private sealed record Fit(double Page, string[] Wide, string[] Small);

    [Fact]
    public void Keys_walk_the_leaves_and_the_stations()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "load");
        screen.Keyboard(".");
        screen.See("[data-leaf='measures'][aria-current='page']");
        screen.Keyboard(",");
        screen.See("[data-leaf='day'][aria-current='page']");
        screen.Keyboard("]");
        screen.See("h1", "Unit");
        screen.Keyboard("[");
        screen.See("h1", "Load");
        screen.IsClean();
    }

    [Fact]
    public void A_finding_leads_from_the_yard_the_run_and_the_ledger_to_its_leaf_with_its_field_marked()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Pipit", "survey/board");
        screen.Toggle("/survey/sources/battery/mixed");
        screen.See(".findings", "the weakest is overcharged");
        screen.See("[data-leaf='board'] .stop");
        screen.All("[data-leaf='rig'] svg").ShouldBeEmpty("the shape stands at the leaf that it belongs to");
        var rig = new Uri(screen.Driver.Url).AbsolutePath;
        screen.Go(rig.Replace("/survey/board", "/load"));
        screen.See("[data-verdict] .headline");
        screen.See("[data-joint='survey']").SendKeys(OpenQA.Selenium.Keys.Enter);
        Marked();
        screen.Go("/");
        screen.See("[data-rig='Pipit']").SendKeys(OpenQA.Selenium.Keys.Enter);
        Marked();
        screen.Toggle("/survey/sources/battery/mixed");
        screen.OpenRig("Marigold", "survey");
        screen.See("[data-ledger='start']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("h1", "Start");
        screen.IsClean();

        void Marked()
        {
            screen.See("[data-leaf='board'][aria-current='page']");
            screen.See(".field.marked", "differ in kind");
        }
    }

    [Fact]
    public void On_a_phone_the_run_the_menu_and_the_ledger_stand_behind_buttons()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "load");
        screen.See("[data-run]").Click();
        screen.Press("Energy", ".el-drawer");
        screen.See("[data-run]", "Energy");
        screen.See("[data-ledger-open]").Click();
        // By the keyboard: what is pressed while the drawer still moves may be its neighbour.
        screen.See(".el-drawer [data-ledger='weight']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-run]", "Unit");
        screen.See("[data-menu]").Click();
        screen.Press("units: °C", ".el-drawer");
        screen.See("[data-menu]");
        screen.Until(() => screen.Texts("[data-ledger-open]").Any(t => t.Contains("BTU/h", StringComparison.Ordinal)), "the ledger follows");
        screen.IsClean();
    }
}
