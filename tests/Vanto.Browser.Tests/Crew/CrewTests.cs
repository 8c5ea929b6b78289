using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Crew;

public sealed class CrewTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private static void Opens(Screen laptop)
    {
        laptop.Go("/");
        laptop.See("[data-crew-open]").Click();
        laptop.Until(() => laptop.All("[data-share], [data-shut]").Count > 0, "the door is known");
        if (laptop.All("[data-share]").Count > 0)
            laptop.See("[data-share]").Click();
        laptop.See("[data-invite]");
    }

    /// <summary>With a code that the laptop gives; both pages are looked at as they stand then.</summary>
    private static void Joins(Screen laptop, Screen phone, string name)
    {
        laptop.See("[data-invite]").Click();
        var code = laptop.See("[data-digits]").Text;
        laptop.IsAccessible();
        phone.Go("/");
        Screen.Into(phone.See("[data-code]"), code);
        Screen.Into(phone.See("[data-name]"), name);
        phone.IsAccessible();
        phone.See(".go").Click();
    }

    private async Task<Uri> Door()
    {
        using var http = new HttpClient { BaseAddress = demo.Server.Address };
        var crew = (await http.GetFromJsonAsync<JsonNode>("/api/crew"))!;
        return new Uri($"{((bool)crew["tls"]! ? "https" : "http")}://127.0.0.1:{(int)crew["port"]!}");
    }

    /// <summary>
    /// A phone joins with the code of the laptop, works on after a reload while the door is shut, and brings its work when it is open again.
    /// </summary>
    [Fact]
    public async Task A_phone_joins_works_on_without_the_network_and_brings_its_work_back()
    {
        using var laptop = new Screen(demo.Server.Address);
        Opens(laptop);
        using var phone = new Screen(await Door(), 390, 844);
        Joins(laptop, phone, "Wren");
        phone.OpenRig("Marigold", "install/step?step=confirm-design");
        laptop.See("[data-device='Wren']", "fitter");
        phone.Until(() => phone.Driver.ExecuteScript("return !!navigator.serviceWorker.controller") is true, "the pages are kept on the phone");
        phone.Driver.Navigate().Refresh();
        phone.See("[data-step='confirm-design'][data-state='open']");

        laptop.See("[data-shut]").Click();
        laptop.See("[data-share]");
        phone.Driver.Navigate().Refresh();
        phone.See("[data-go]", "Start");
        phone.See("[data-go]").Click();
        phone.See("[data-unsent]", "1 not sent");
        phone.See("[data-state='running']");

        laptop.See("[data-share]").Click();
        laptop.See("[data-shut]");
        phone.Until(() => phone.All("[data-unsent]").Count == 0, "sent when the door is open again");
        laptop.OpenRig("Marigold", "install/log");
        laptop.See(".see", "begun");
        laptop.See(".see", "Wren");
    }

    /// <summary>A phone that goes four minutes slow says so on every rig, and the laptop says it beside the device.</summary>
    [Fact]
    public async Task A_phone_with_a_wrong_clock_is_told()
    {
        using var laptop = new Screen(demo.Server.Address);
        Opens(laptop);
        using var phone = new Screen(await Door(), 390, 844);
        phone.Driver.ExecuteCdpCommand("Page.addScriptToEvaluateOnNewDocument",
            new Dictionary<string, object?> { ["source"] = "const real = Date.now; Date.now = () => real() - 240000;" });
        Joins(laptop, phone, "Sanna");
        phone.OpenRig("Marigold", "install/step");
        phone.See("[data-clock]", "4 min behind");
        phone.IsAccessible();
        laptop.See("[data-device='Sanna'] [data-device-clock]", "4 min behind");
    }

    /// <summary>A wrong code is told; a helper sees one rig, passes nothing over, works under an eye, and is out when sent away.</summary>
    [Fact]
    public async Task A_helper_comes_in_for_one_rig_and_is_sent_away()
    {
        using var laptop = new Screen(demo.Server.Address);
        Opens(laptop);
        laptop.See("[data-role='helper']").Click();
        laptop.See(".only").Click();
        laptop.Wait(() => laptop.All(".el-select-dropdown__item").FirstOrDefault(i => i.Displayed && i.Text == "Thistle Van only"), "Thistle Van").Click();
        laptop.See("[data-invite]").Click();
        var code = laptop.See("[data-digits]").Text;
        using var phone = new Screen(await Door(), 390, 844);
        phone.Go("/");
        void Tries(string typed)
        {
            Screen.Into(phone.See("[data-code]"), typed);
            Screen.Into(phone.See("[data-name]"), "Ottoline");
            phone.See(".go").Click();
        }

        Tries(code == "000000" ? "000001" : "000000");
        phone.See("[role='alert']", "That is not the code");
        Tries(code);
        phone.OpenRig("Thistle Van", "install/step?step=ss-open");
        phone.See("[data-eye]");
        phone.Until(() => !phone.Texts("button").Contains("cannot be met here"), "a helper passes nothing over");
        phone.Go("/");
        phone.See("a[href*='/rig/']");
        phone.Until(() => !phone.Driver.PageSource.Contains("Marigold"), "no other rig is shown");
        laptop.See("[data-device='Ottoline']", "helper, Thistle Van only");
        laptop.See("[data-device='Ottoline'] button").Click();
        phone.Driver.Navigate().Refresh();
        phone.See("[data-code]");
    }
}
