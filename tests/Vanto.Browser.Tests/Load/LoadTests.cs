using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Load;

public sealed class LoadTests : IClassFixture<DemoServer>, IDisposable
{
    private readonly Screen _screen;
    private readonly DemoServer _demo;

    public LoadTests(DemoServer demo)
    {
        _demo = demo;
        _screen = new Screen(demo.Server.Address);
        _screen.OpenRig("Marigold", "load");
    }

    public void Dispose() => _screen.Dispose();

    [Fact]
    public void Measures_are_tried_together_and_taken_at_once()
    {
        _screen.See("[data-measure='covers'] input").SendKeys(" ");
        _screen.Saved();
        _screen.See("[data-measure='insulation'] input").SendKeys(" ");
        _screen.See("[data-together]", "2 together");
        var before = _screen.See("[data-ledger='heat'] b").Text;
        _screen.Press("take all", "[data-together]");
        _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text != before, "the load falls");
        _screen.See("[data-soak]", "to 32.0 °C");
        _screen.See("[data-spaces]", "bunk");
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public async Task The_year_runs_on_made_weather_and_on_a_file()
    {
        _screen.Press("run the year", "[data-season]");
        _screen.See("[data-season]", ".epw");
        _screen.Press("use weather made of the months", "[data-season]");
        _screen.See("[data-season]", "seed 1");
        using var http = new HttpClient { BaseAddress = _demo.Server.Address };
        var id = new Uri(_screen.Driver.Url).Segments[2].TrimEnd('/');
        var file = Path.Combine(_demo.Server.Folder, "saltpan.epw");
        await File.WriteAllTextAsync(file, await http.GetStringAsync($"/api/rigs/{id}/weather.epw"));
        _screen.Driver.FindElement(By.CssSelector("[data-epw]")).SendKeys(file);
        _screen.See("[data-season]", "Weather: saltpan.epw");
        _screen.Press("take this place", "[data-season]");
        _screen.Saved();
        var bad = Path.Combine(_demo.Server.Folder, "bad.epw");
        await File.WriteAllTextAsync(bad, "no weather");
        _screen.Driver.FindElement(By.CssSelector("[data-epw]")).SendKeys(bad);
        _screen.See("[data-season] [role='alert']", "bad.epw: An EPW file has eight header lines");
        _screen.IsClean();
    }
}
