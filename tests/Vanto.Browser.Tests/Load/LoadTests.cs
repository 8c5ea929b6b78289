using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Load;

public sealed class LoadTests(DemoServer demo) : StationTests(demo, "Marigold", "load")
{
    [Fact]
    public void Measures_are_tried_together_and_taken_at_once()
    {
        Screen.See("[data-measure='covers'] input").SendKeys(" ");
        Screen.Saved();
        Screen.See("[data-measure='insulation'] input").SendKeys(" ");
        Screen.See("[data-together]", "2 together");
        var before = Screen.See("[data-ledger='heat'] b").Text;
        Screen.Press("take all", "[data-together]");
        Screen.Until(() => Screen.See("[data-ledger='heat'] b").Text != before, "the load falls");
        Screen.See("[data-soak]", "to 32.0 °C");
        Screen.See("[data-spaces]", "bunk");
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void A_chart_out_of_sight_is_drawn_when_it_comes_near_and_follows_what_changed_meanwhile()
    {
        Screen.Until(() => Screen.All("figure canvas").Count > 0, "the first chart is drawn");
        Screen.All("[data-soak] canvas").ShouldBeEmpty("the soak lies below the first screen");
        Screen.Type("/survey/place/dryBulbC", "46");
        Screen.Saved();
        Screen.All("[data-soak] canvas").ShouldBeEmpty();
        Screen.Driver.ExecuteScript("document.querySelector('[data-soak]').scrollIntoView()");
        Screen.Until(() => Screen.All("[data-soak] canvas").Count == 1, "it is drawn now");
        Screen.Until(() => Screen.See("[data-soak] figure").GetAttribute("aria-label")!.Contains("°C", StringComparison.Ordinal), "with its words");
        Screen.IsClean();
    }

    /// <summary>Between the 4 and the 6 of 46 the day is colder than its night: nothing can be worked out, but the field must stay.</summary>
    [Fact]
    public void A_field_stays_under_the_fingers_while_what_is_typed_makes_no_sense_yet()
    {
        var input = Screen.See("input[data-path='/survey/place/dryBulbC']");
        Screen.Into(input, "4");
        Screen.See(".see .verdict", "The night low");
        Screen.All(".causes").ShouldAllBe(c => !c.Displayed, "no figure of before is left beside it");
        input.SendKeys("6");
        Screen.Until(() => Screen.All(".see .verdict .headline").Any(h => h.Text.Contains("must go out", StringComparison.Ordinal)), "the load is back");
        input.GetAttribute("value").ShouldBe("46");
        Screen.IsClean();
    }

    [Fact]
    public async Task The_year_runs_on_made_weather_and_on_a_file()
    {
        Screen.Press("run the year", "[data-season]");
        Screen.See("[data-season]", ".epw");
        Screen.Press("use weather made of the months", "[data-season]");
        Screen.See("[data-season]", "seed 1");
        using var http = new HttpClient { BaseAddress = Demo.Server.Address };
        var id = new Uri(Screen.Driver.Url).Segments[2].TrimEnd('/');
        var file = Path.Combine(Demo.Server.Folder, "saltpan.epw");
        await File.WriteAllTextAsync(file, await http.GetStringAsync($"/api/rigs/{id}/weather.epw"));
        Screen.Driver.FindElement(By.CssSelector("[data-epw]")).SendKeys(file);
        Screen.See("[data-season]", "Weather: saltpan.epw");
        Screen.Press("take this place", "[data-season]");
        Screen.Saved();
        var bad = Path.Combine(Demo.Server.Folder, "bad.epw");
        await File.WriteAllTextAsync(bad, "no weather");
        Screen.Driver.FindElement(By.CssSelector("[data-epw]")).SendKeys(bad);
        Screen.See("[data-season] [role='alert']", "bad.epw: An EPW file has eight header lines");
        Screen.IsClean();
    }
}
