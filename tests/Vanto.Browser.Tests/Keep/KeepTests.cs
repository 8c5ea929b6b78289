using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Keep;

/// <summary>Valves, handover, service and the shop, as a person meets them.</summary>
public sealed class KeepTests(DemoServer demo) : IClassFixture<DemoServer>
{
    /// <summary>The laptop and the phone.</summary>
    public static TheoryData<int, int> Sizes => new() { { 1280, 800 }, { 390, 844 } };

    /// <summary>The owner at 02:00 with 40 %: two taps from the rig to the answer, on the phone.</summary>
    [Theory, MemberData(nameof(Sizes))]
    public void The_owner_at_night_is_answered(int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.OpenRig("Marigold", "handover/now");
        Screen.Into(screen.See("[data-charge]"), "40");
        screen.See("[data-look]").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-verdict] .headline", "from now");
        screen.All("[data-ways] div").Count.ShouldBe(3);
        screen.See("[data-off]", "air conditioner");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Theory, MemberData(nameof(Sizes))]
    public void The_valves_stay_shut_until_it_is_proved(int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.OpenRig("Marigold", "commission/release");
        screen.See("[data-verdict] .headline", "Do not open the valves yet");
        Screen.Into(screen.See("[data-by]"), "Ottoline Marsh");
        var gate = width < 700 ? "shielded" : "capsOff";
        screen.See($"[data-gate='{gate}']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See($"[data-gate='{gate}'][aria-pressed='true']", "Ottoline Marsh");
        screen.See("[data-gate='open']").Enabled.ShouldBeFalse();
        screen.IsAccessible();
        screen.IsClean();
    }

    /// <summary>A drift that the chart saw, care done in two taps, water on the wall in two.</summary>
    [Theory, MemberData(nameof(Sizes))]
    public void Three_years_of_a_rig_are_read_and_gone_on_with(int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.OpenRig("Thistle Van", "service/trends");
        screen.See("[data-verdict] .headline", "Amperes, running");
        screen.See("[data-series-says]", "cries wolf");
        screen.OpenRig("Thistle Van", "service");
        screen.See("[data-wet]").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-wet-steps]", "Unit off");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        var task = width < 700 ? "outdoor-coil" : "coil";
        var before = screen.See($"[data-task='{task}'] .date").Text;
        screen.See($"[data-task='{task}'] button").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See($"[data-done='{task}']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.Until(() => screen.Texts($"[data-task='{task}'] .date").Any(t => t != before && t.Length == 10), "its date moves on");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Theory, MemberData(nameof(Sizes))]
    public void A_guide_is_issued_with_its_label_and_its_page(int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.OpenRig("Thistle Van", "handover/papers");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        screen.See("[data-issue='guide']").Click();
        screen.See("[data-papers]", "GUIDE-");
        var page = screen.See("[data-public]").GetAttribute("href")!;
        screen.Go(new Uri(page).PathAndQuery);
        screen.See("h1", "Guide to the air conditioner");
        screen.See("body", "Day by day");
    }

    /// <summary>Without a script, over the page's own form, as a phone that scanned the label sends it.</summary>
    [Fact]
    public void The_owner_tells_of_the_filter_on_the_page()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Thistle Van", "handover");
        screen.See("[data-path='/handover/ownerReports']").Click();
        screen.OpenRig("Thistle Van", "handover/papers");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        screen.See("[data-issue='guide']").Click();
        screen.Go(new Uri(screen.See("[data-public]").GetAttribute("href")!).PathAndQuery);
        screen.See("form button", "I washed the filter today");
        screen.See("form button").Click();
        screen.See("h1", "Thank you");
        screen.OpenRig("Thistle Van", "service/life");
        screen.See("main", "the owner, on the page");
    }

    [Theory, MemberData(nameof(Sizes))]
    public async Task The_shop_of_this_laptop_is_read_in_by_another(int width, int height)
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("vanto-shop-").FullName, "shop.vanto.zip");
        using var http = new HttpClient { BaseAddress = demo.Server.Address };
        await File.WriteAllBytesAsync(file, await http.GetByteArrayAsync("/api/exchange/shop.zip"));
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.Go("/shop");
        screen.See("[data-laptops]", "Another laptop");
        screen.All("[data-exchange]")[0].SendKeys(file);
        screen.See("[data-report]", "Marigold");
        screen.See("[data-report]", "The design is the same.");
        screen.See("[data-backups]", ".backups");
        screen.IsAccessible();
        screen.IsClean();
        File.Delete(file);
    }

    [Theory, MemberData(nameof(Sizes))]
    public void A_setting_for_nobody_aboard_is_taken_over_and_stands_on_the_guide(int width, int height)
    {
        using var own = new DemoServer();
        using var screen = new Screen(own.Server.Address, width, height);
        screen.OpenRig("Gannet's Rest", "energy/away");
        screen.See("[data-away]", "standing by");
        screen.See("[data-away] button.take").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-verdict] .headline", "a day, inside at most");
        screen.IsAccessible();
        screen.OpenRig("Gannet's Rest", "handover");
        screen.See("[data-block='Nobody aboard']", "Set by its clock");
        screen.IsClean();
    }

    [Theory, MemberData(nameof(Sizes))]
    public void The_shop_says_what_is_due_and_takes_an_instrument(int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.Go("/shop");
        screen.See("[data-due]", "manifold, yellow");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        Screen.Into(screen.See("[data-shop='name']"), $"new scale {width}");
        Screen.Into(screen.See("[data-shop='calibratedOn']"), "2026-11-01");
        screen.See("[data-shop-write]").Click();
        screen.See("[data-instruments]", $"new scale {width}");
        Screen.Into(screen.See("[data-search] input, input[data-search]"), "nettle");
        screen.See("[data-found]", "Thistle Van");
        screen.IsAccessible();
        screen.IsClean();
    }

    /// <summary>What the shop keeps is taken into a rig by one tap, and undone by another; a plan with a person more may clash.</summary>
    [Theory]
    [InlineData(1280, 800)]
    [InlineData(390, 844)]
    public void Somebody_of_the_shop_is_taken_into_a_rig(int width, int height)
    {
        using var demoServer = new DemoServer();
        using var screen = new Screen(demoServer.Server.Address, width, height);
        screen.OpenRig("Pipit", "plan/days");
        screen.See("[data-shelf='crew'] [data-kept='Ottoline'] button", "take it");
        screen.See("[data-shelf='crew'] [data-kept='Ottoline'] button").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.Until(() => screen.All("[data-kept='Ottoline']").Count == 0, "she is of this rig now");
        screen.See("[data-same]", "3 of the shop");
        screen.Saved();
        screen.IsAccessible();
        screen.Go("/shop");
        screen.See("[data-crew-days]", "Ottoline");
        screen.See("[data-free]", "is free");
        screen.See("[data-kept-list='prices'] summary").Click();
        screen.See("[data-kept-list='prices']", "Bare pipe pair by coil");
        screen.IsAccessible();
        screen.IsClean();
    }

    /// <summary>A breaker that was built otherwise is drawn so, and then agrees.</summary>
    [Theory, MemberData(nameof(Sizes))]
    public void What_was_built_otherwise_is_drawn_so(int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.OpenRig("Marigold", "handover/built");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        var field = screen.See("[data-item='breaker-1'] input");
        Screen.Into(field, width < 700 ? "30" : "25");
        field.SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-draw='breaker-1']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.Until(() => screen.All("[data-draw='breaker-1']").Count == 0, "it agrees");
        screen.See("[data-item='breaker-1']", width < 700 ? "drawn 30" : "drawn 25");
        screen.Saved();
        screen.IsAccessible();
        screen.IsClean();
    }

    /// <summary>A meter that came back off names the paper that stands on it; nothing is rewritten.</summary>
    [Theory, MemberData(nameof(Sizes))]
    public void A_meter_that_came_back_off_names_its_papers(int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        screen.OpenRig("Thistle Van", "handover/papers");
        Screen.Into(screen.See("[data-by]"), "Piet Okafor-Lund");
        screen.See("input[value='clamp meter']").SendKeys(OpenQA.Selenium.Keys.Space);
        screen.See("[data-issue='startUp']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-papers]", "STARTUP-");
        screen.Go("/shop");
        Screen.Into(screen.See("[data-shop='name']"), "clamp meter");
        new OpenQA.Selenium.Support.UI.SelectElement(screen.See("[data-shop='type']")).SelectByValue("clampMeter");
        Screen.Into(screen.See("[data-shop='calibratedOn']"), "2026-11-01");
        var (share, words) = width < 700 ? ("0.2", "off by 20 %") : ("0.25", "off by 25 %");
        Screen.Into(screen.See("[data-shop='offShare']"), share);
        screen.See("[data-shop-write]").SendKeys(OpenQA.Selenium.Keys.Enter);
        // The list is drawn anew when the write is answered: until then the button, where there is one, is of what stood there before.
        screen.Until(() =>
        {
            screen.All("[data-trace='clamp meter']").FirstOrDefault()?.SendKeys(OpenQA.Selenium.Keys.Enter);
            return screen.Texts("[data-traced]").Any(t => t.Contains(words, StringComparison.Ordinal));
        }, $"{words} is said of it");
        screen.See("[data-traced]", "STARTUP-");
        screen.See("[data-traced]", "Nothing is rewritten");
        screen.IsAccessible();
        screen.IsClean();
    }
}
