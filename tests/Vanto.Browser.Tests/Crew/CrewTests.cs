using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Crew;

public sealed class CrewTests(DemoServer demo) : IClassFixture<DemoServer>
{
    /// <summary>
    /// A phone joins with the code of the laptop, works on after a reload while the door is shut, and brings its work when it is open again.
    /// </summary>
    [Fact]
    public async Task A_phone_joins_works_on_without_the_network_and_brings_its_work_back()
    {
        using var laptop = new Screen(demo.Server.Address);
        laptop.Go("/");
        laptop.See("[data-crew-open]").Click();
        laptop.See("[data-share]").Click();
        laptop.See("[data-invite]").Click();
        var code = laptop.See("[data-digits]").Text;
        laptop.IsAccessible();
        using var http = new HttpClient { BaseAddress = demo.Server.Address };
        var port = (int)(await http.GetFromJsonAsync<JsonNode>("/api/crew"))!["port"]!;
        using var phone = new Screen(new Uri($"https://127.0.0.1:{port}"), 390, 844);
        phone.Go("/");
        Screen.Into(phone.See("[data-code]"), code);
        Screen.Into(phone.See("[data-name]"), "Wren");
        phone.IsAccessible();
        phone.See(".go").Click();
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
}
