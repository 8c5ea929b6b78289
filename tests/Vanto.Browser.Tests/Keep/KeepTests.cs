using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Keep;

/// <summary>Valves, handover, service and the shop, as a person meets them.</summary>
public sealed class KeepTests(DemoServer demo) : IClassFixture<DemoServer>
{
    /// <summary>The owner at 02:00 with 40 %: two taps from the rig to the answer, on the phone.</summary>
    [Fact]
    public void The_owner_at_night_is_answered_on_the_phone()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "handover/now");
        Screen.Into(screen.See("[data-charge]"), "40");
        screen.See("[data-look]").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-verdict] .headline", "from now");
        screen.All("[data-ways] div").Count.ShouldBe(3);
        screen.See("[data-off]", "air conditioner");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void The_valves_stay_shut_until_it_is_proved()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "commission/release");
        screen.See("[data-verdict] .headline", "Do not open the valves yet");
        Screen.Into(screen.See("[data-by]"), "Ottoline Marsh");
        screen.See("[data-gate='shielded']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-gate='shielded'][aria-pressed='true']", "Ottoline Marsh");
        screen.See("[data-gate='open']").Enabled.ShouldBeFalse();
        screen.IsAccessible();
        screen.IsClean();
    }

    /// <summary>A drift that the chart saw, care done in two taps, water on the wall in two.</summary>
    [Fact]
    public void Three_years_of_a_rig_are_read_and_gone_on_with()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Thistle Van", "service/trends");
        screen.See("[data-verdict] .headline", "Amperes, running");
        screen.See("[data-series-says]", "cries wolf");
        screen.OpenRig("Thistle Van", "service");
        screen.See("[data-wet]").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-wet-steps]", "Unit off");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        var before = screen.See("[data-task='outdoor-coil'] .date").Text;
        screen.See("[data-task='outdoor-coil'] button").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-done='outdoor-coil']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.Until(() => screen.Texts("[data-task='outdoor-coil'] .date").Any(t => t != before && t.Length == 10), "its date moves on");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void A_guide_is_issued_with_its_label_and_its_page()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Thistle Van", "handover/papers");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        screen.See("[data-issue='guide']").Click();
        screen.See("[data-papers]", "GUIDE-01");
        var page = screen.See("[data-public]").GetAttribute("href")!;
        screen.Go(new Uri(page).PathAndQuery);
        screen.See("h1", "Guide to the air conditioner");
        screen.See("body", "Day by day");
    }

    [Fact]
    public void The_shop_says_what_is_due_and_takes_an_instrument()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.Go("/shop");
        screen.See("[data-due]", "manifold, yellow");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        Screen.Into(screen.See("[data-shop='name']"), "new scale");
        Screen.Into(screen.See("[data-shop='calibratedOn']"), "2026-11-01");
        screen.See("[data-shop-write]").Click();
        screen.See("[data-instruments]", "new scale");
        Screen.Into(screen.See("[data-search] input, input[data-search]"), "nettle");
        screen.See("[data-found]", "Thistle Van");
        screen.IsAccessible();
        screen.IsClean();
    }
}
