using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Load;

public sealed class LoadTests(DemoServer demo) : StationTests(demo, "Marigold", "load")
{
    [Fact]
    public void Measures_are_tried_together_and_taken_at_once()
    {
        Screen.Leaf("measures");
        Screen.See("[data-measure='covers'] .el-checkbox").Click();
        Screen.Saved();
        Screen.See("[data-measure='insulation'] .el-checkbox").Click();
        Screen.See("[data-together]", "2 together");
        var before = Screen.See("[data-ledger='heat'] b").Text;
        Screen.Press("take all", ".see");
        Screen.Until(() => Screen.See("[data-ledger='heat'] b").Text != before, "the load falls");
        Screen.IsAccessible();
        Screen.Leaf("closed-up");
        Screen.See("[data-soak]", "count on no more than");
        Screen.See("[data-soak]", "to 32 °C (at best");
        Screen.Leaf("heating");
        Screen.See(".see", "outside air");
        Screen.Leaf("day");
        Screen.See("[data-spaces]", "bunk");
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void A_chart_is_saved_as_vectors_and_its_numbers_as_a_table()
    {
        Screen.Until(() => Screen.All("figure canvas").Count > 0, "the chart is drawn");
        Screen.Driver.ExecuteScript("""
            window.saved = [];
            const make = URL.createObjectURL;
            URL.createObjectURL = blob => { blob.text().then(t => window.saved.push(blob.type + ' ' + t)); return make(blob); };
            """);
        foreach (var (kind, starts) in new[] { ("SVG", "image/svg+xml <svg"), ("CSV", "text/csv series,x,y") })
        {
            Screen.See(".chart .save button").Click();
            Screen.Wait(() => Screen.All(".el-dropdown-menu__item").FirstOrDefault(e => e.Displayed && e.Text.Contains(kind, StringComparison.Ordinal)), kind)
                .Click();
            Screen.Until(() => ((string)Screen.Driver.ExecuteScript("return window.saved.join('\u0001')")!).Contains(starts, StringComparison.Ordinal), kind);
        }
        ((string)Screen.Driver.ExecuteScript("return window.saved.join()")!).ShouldContain("roof,14:00,");
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
        Screen.Leaf("season");
        Screen.Press("run the year", "[data-season]");
        Screen.See("[data-season]", ".epw");
        Screen.Press("use weather made of the months", "[data-season]");
        Screen.See("[data-season]", "seed 1");
        using var http = new HttpClient { BaseAddress = Demo.Server.Address };
        var id = new Uri(Screen.Driver.Url).Segments[2].TrimEnd('/');
        var file = Path.Combine(Demo.Server.Folder, "saltpan.epw");
        await File.WriteAllTextAsync(file, await http.GetStringAsync($"/api/rigs/{id}/weather.epw"));
        Screen.Give("[data-epw]", file);
        Screen.See("[data-season]", "Weather: saltpan.epw");
        Screen.Press("take this place", "[data-season]");
        Screen.Saved();
        var bad = Path.Combine(Demo.Server.Folder, "bad.epw");
        await File.WriteAllTextAsync(bad, "no weather");
        Screen.Give("[data-epw]", bad);
        Screen.See("[data-season] [role='alert']", "bad.epw: An EPW file has eight header lines");
        Screen.IsClean();
    }
}
