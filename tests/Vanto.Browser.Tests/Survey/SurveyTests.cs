using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Survey;

public sealed class SurveyTests : IClassFixture<DemoServer>, IDisposable
{
    private readonly Screen _screen;

    public SurveyTests(DemoServer demo)
    {
        _screen = new Screen(demo.Server.Address);
        _screen.OpenRig("Pipit", "survey");
    }

    public void Dispose() => _screen.Dispose();

    [Fact]
    public void A_press_on_a_wall_sets_a_window_whose_measures_are_typed_at_once()
    {
        var before = _screen.All("[data-path$='/glazing']").Count;
        _screen.See("[data-wall='left']").SendKeys(Keys.Enter);
        _screen.Until(() => _screen.All("[data-path$='/glazing']").Count == before + 1, "the window stands in the list");
        _screen.Until(() => _screen.Driver.SwitchTo().ActiveElement().GetAttribute("data-path")?.EndsWith("/widthM", StringComparison.Ordinal) == true, "its width has the focus");
        Screen.Into(_screen.Driver.SwitchTo().ActiveElement(), "1.2");
        _screen.Saved();
        _screen.See("[data-ledger='heat'] .moved", "+");
        _screen.IsClean();
    }

    [Fact]
    public void A_field_is_found_by_a_word_and_typed_where_it_is_found()
    {
        Screen.Into(_screen.See("[data-find]"), "haze");
        var before = _screen.See("[data-ledger='heat'] b").Text;
        var found = _screen.See(".found input[data-path='/survey/place/linkeTurbidity']");
        Screen.Into(found, "7");
        _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text != before, "the load moves");
        Screen.Into(_screen.See("[data-find]"), "gearbox");
        _screen.See(".found", "No field of the survey");
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public void The_rig_turns_by_dragging_its_nose()
    {
        var before = _screen.See("input[data-path='/survey/headingDeg']").GetAttribute("value");
        var plan = _screen.See("figure svg[aria-label^='Plan']");
        var nose = plan.FindElement(By.CssSelector(".nose"));
        new Actions(_screen.Driver).MoveToElement(nose).ClickAndHold().MoveToElement(plan, 100, 0).MoveToElement(plan, 90, 30).Release().Perform();
        _screen.Until(() => _screen.See("input[data-path='/survey/headingDeg']").GetAttribute("value") != before, "the heading follows");
        _screen.Saved();
        _screen.IsClean();
    }

    [Fact]
    public void Spaces_shade_animals_and_ribs_are_asked_and_move_the_load()
    {
        void Moves(Action change)
        {
            var before = _screen.See("[data-ledger='heat'] b").Text;
            change();
            _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text != before, "the load moves");
        }
        _screen.Unfold("Further spaces");
        Moves(() => _screen.Press("one more space"));
        Moves(() => _screen.Press("one more entry"));
        _screen.Unfold("Shade");
        _screen.Press("one more shade");
        _screen.Saved();
        Moves(() => _screen.Choose("/survey/shades/0/kind", "building"));
        _screen.See("input[data-path='/survey/shades/0/heightM']");
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public void The_measuring_sheet_asks_in_the_order_of_the_survey()
    {
        _screen.Press("measuring sheet");
        _screen.See("h1", "Measuring sheet");
        var asked = _screen.All(".line span").Select(e => e.Text).ToList();
        asked.IndexOf("Latitude").ShouldBeLessThan(asked.IndexOf("Length"));
        asked.IndexOf("Length").ShouldBeLessThan(asked.IndexOf("Build"));
        _screen.IsAccessible();
        _screen.IsClean();
    }
}
