using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Energy;

public sealed class EnergyTests : IClassFixture<DemoServer>, IDisposable
{
    private readonly Screen _screen;

    public EnergyTests(DemoServer demo) => _screen = new Screen(demo.Server.Address);

    public void Dispose() => _screen.Dispose();

    [Fact]
    public void Where_the_sun_does_not_carry_the_day_it_says_so_and_the_way_out_finds_a_kit()
    {
        _screen.OpenRig("Marigold", "energy");
        _screen.See(".see", "Humidity inside, on the mean");
        _screen.Leaf("kit");
        _screen.Unfold("Within");
        _screen.Type("/energy/sizing/mostModules", "2");
        _screen.Saved();
        _screen.Press("find the smallest", "[data-sizing]");
        _screen.See(".findings", "the sun does not carry the design day");
        _screen.All(".findings .way").First(w => w.Text.StartsWith("allow ", StringComparison.Ordinal)).SendKeys(Keys.Enter);
        _screen.See("[data-stale]", "Made before you changed");
        _screen.Press("find the smallest", "[data-sizing]");
        _screen.See("[data-point]");
        _screen.Choose("/energy/sizing/lasting", "so many nights");
        _screen.See("input[data-path='/energy/sizing/nights']");
        _screen.See("[data-verdict] .detail", "then recharged");
        _screen.See("[data-verdict] .detail", "That is all");
        _screen.IsAccessible();
        _screen.IsClean();
    }

    private string Value(string path) => _screen.See($"input[data-path='{path}']").GetAttribute("value")!;

    [Fact]
    public void The_smallest_kit_is_found_and_a_point_of_the_map_adopted()
    {
        _screen.OpenRig("Marigold", "energy/kit");
        _screen.Press("find the smallest", "[data-sizing]");
        _screen.See("[data-point]");
        _screen.See(".see", "What one step more buys");
        _screen.See(".see", "weeks of the year held");
        _screen.See("[data-lasts]", "of 53 weeks");
        var point = _screen.See("[data-picture] svg .point");
        var words = point.GetAttribute("aria-label")!.Split(' ');
        var (blocks, modules) = (words[1], words[4]);
        point.SendKeys(Keys.Enter);
        _screen.Saved();
        _screen.See("[data-stale]", "Made before you changed");
        _screen.Leaf("night");
        _screen.Until(() => Value("/survey/sources/battery/blocks") == blocks && Value("/survey/sources/modules/count") == modules,
            "the kit of the point is fitted");
        _screen.Leaf("kit");
        _screen.See("[data-point]", "°C");
        _screen.See("[data-stale]", "Made before you changed");
        _screen.Control("z");
        _screen.Saved();
        _screen.Leaf("night");
        _screen.Until(() => Value("/survey/sources/battery/blocks") != blocks || Value("/survey/sources/modules/count") != modules, "and taken back");
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public void A_generator_is_bought_and_its_map_drawn()
    {
        _screen.OpenRig("Marigold", "energy/kit");
        _screen.Unfold("May be bought");
        _screen.Toggle("/energy/sizing/chooseGenerator");
        _screen.Press("find the smallest", "[data-sizing]");
        var maps = _screen.Wait(() => _screen.All("[data-maps] .el-segmented__item") is { Count: > 1 } all ? all : null, "a map for each generator");
        var drawn = _screen.All("[data-picture] svg .holds").Count;
        maps[^1].Click();
        _screen.Until(() => _screen.All("[data-picture] svg .holds").Count != drawn, "another map is drawn");
        _screen.See(".see", "h a week");
        var bought = _screen.Wait(
            () => _screen.All(".below button").FirstOrDefault(b => b.GetAttribute("aria-label")?.Contains("with a generator",
                StringComparison.Ordinal) == true),
            "a kit with a generator");
        bought.SendKeys(Keys.Enter);
        _screen.See("[data-stale]", "Made before you changed");
        _screen.Saved();
        _screen.IsAccessible();
        _screen.OpenRig("Marigold", "survey/board");
        _screen.AllFindings();
        _screen.See(".findings", "without a tried carbon monoxide alarm");
        _screen.IsClean();
    }

    [Fact]
    public void What_is_switched_off_first_is_put_in_another_order()
    {
        _screen.OpenRig("Marigold", "energy/limited");
        string Row(int index) => _screen.Wait(() => _screen.All("[data-shed] tbody tr").ElementAtOrDefault(index), "a row").FindElement(By.TagName("td")).Text;
        var (first, second) = (Row(0), Row(1));
        _screen.See($"[data-shed] [aria-label='{second} one earlier']").SendKeys(Keys.Enter);
        _screen.Until(() => Row(0) == second && Row(1) == first, "the second goes first");
        _screen.Saved();
        _screen.Control("z");
        _screen.Until(() => Row(0) == first, "and is taken back");
        _screen.Saved();
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public void A_search_is_stopped_and_nothing_has_happened()
    {
        _screen.OpenRig("Gannet's Rest", "energy/kit");
        _screen.Unfold("Within");
        _screen.Type("/energy/sizing/mostBatteries", "40");
        _screen.Type("/energy/sizing/mostModules", "60");
        _screen.Type("/energy/sizing/days", "14");
        _screen.Press("find the smallest", "[data-sizing]");
        _screen.See("[data-sizing] .el-progress");
        if (_screen.All("[data-sizing] .el-progress").Count > 0)
            _screen.Press("stop", "[data-sizing]");
        _screen.See("[data-sizing] .main");
        _screen.All("[data-sizing] [role='alert']").ShouldBeEmpty();
        _screen.IsClean();
    }

    [Fact]
    public void Modules_are_strung_and_laid_on_the_roof()
    {
        _screen.OpenRig("Marigold", "energy/roof");
        _screen.See("[data-array]", "in straight rows");
        _screen.Type("/survey/sources/controller/maxV", "100");
        _screen.See(".findings", "is destroyed");
        var button = _screen.Wait(() => _screen.All("[data-strings] td button").FirstOrDefault(), "an allowed string");
        button.SendKeys(Keys.Enter);
        _screen.Until(() => !_screen.See(".verdict").Text.Contains("is destroyed"), "the string fits the input");
        _screen.Saved();
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public void The_year_and_the_options_are_worked_out_when_asked()
    {
        _screen.OpenRig("Pipit", "energy/year");
        _screen.Press("run the year", "[data-year]");
        _screen.See("[data-year]", "The bank goes round");
        _screen.Leaf("stretch");
        var before = Value("/energy/stretch/month") + "-" + Value("/energy/stretch/day");
        _screen.Press("coldest week", "[data-stretch]");
        _screen.Until(() => Value("/energy/stretch/month") + "-" + Value("/energy/stretch/day") != before, "the week's first day is taken");
        _screen.Until(() => _screen.See("[data-verdict]").Text.Contains("Holds 70 h of 70 h"), "the coldest week needs no cooling");
        _screen.Type("/energy/stretch/stepMinutes", "7");
        _screen.See("[data-stretch] [role='alert']", "1, 2, 3, 5 or 15 minutes");
        _screen.Type("/energy/stretch/stepMinutes", "15");
        _screen.Until(() => _screen.All("[data-stretch] [role='alert']").Count == 0, "the step is one again");
        _screen.Leaf("limited");
        _screen.See("[data-limited]", "Switch off in this order");
        _screen.Leaf("year");
        _screen.See("[data-year]", "The bank goes round");
        _screen.See("[data-stale]", "Made before you changed");
        _screen.Leaf("options");
        Screen.Into(_screen.See("#option-name"), "as bought");
        _screen.Press("keep", ".keep");
        _screen.See("[data-options] thead", "as bought");
        _screen.Leaf("night");
        _screen.Type("/energy/setpointC", "27");
        _screen.Leaf("options");
        _screen.Press("compare 2", "[data-run-bar]");
        _screen.See("[data-options]", "−");
        _screen.Press("compare with", "[data-options]");
        _screen.See("[data-options]", "compared with");
        _screen.Press("adopt", "[data-options]");
        _screen.Saved();
        _screen.Leaf("night");
        _screen.Until(() => Value("/energy/setpointC") != "27", "the option is adopted");
        _screen.Saved();
        _screen.IsAccessible();
        _screen.IsClean();
    }
}
