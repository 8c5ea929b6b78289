using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Survey;

public sealed class SurveyTests(DemoServer demo) : StationTests(demo, "Pipit", "survey")
{
    [Fact]
    public void A_press_on_a_wall_sets_a_window_whose_measures_are_typed_at_once()
    {
        Screen.Leaf("windows");
        var before = Screen.All("[data-path$='/glazing']").Count;
        Screen.See("[data-wall='left']").SendKeys(Keys.Enter);
        Screen.Until(() => Screen.All("[data-path$='/glazing']").Count == before + 1, "the window stands in the list");
        Screen.Until(() => Screen.Driver.SwitchTo().ActiveElement().GetAttribute("data-path")?.EndsWith("/widthM", StringComparison.Ordinal) == true,
            "its width has the focus");
        Screen.Into(Screen.Driver.SwitchTo().ActiveElement(), "1.2");
        Screen.Saved();
        Screen.See("[data-ledger='heat'] .moved", "+");
        Screen.IsClean();
    }

    [Fact]
    public void An_inverter_is_described_as_its_maker_does_and_the_start_follows()
    {
        Screen.OpenRig("Marigold", "survey/board");
        Screen.Unfold("Inverter, as its maker describes it");
        Screen.Type("/survey/sources/inverter/peakW", "6000");
        Screen.Press("one more point that it bears");
        Screen.Type("/survey/sources/inverter/surge/0/powerW", "2000");
        Screen.OpenRig("Marigold", "start");
        Screen.See("main.station", "above its rating");
        Screen.OpenRig("Marigold", "survey/board");
        Screen.Unfold("Inverter, as its maker describes it");
        Screen.Type("/survey/sources/inverter/surge/0/powerW", "9 kW");
        Screen.Type("/survey/sources/inverter/surge/0/seconds", "3");
        Screen.Saved();
        Screen.IsAccessible();
        Screen.OpenRig("Marigold", "start/source");
        Screen.See("[data-verdict] .headline", "on");
        Screen.See("main.station").Text.ShouldNotContain("without the time");
        Screen.IsClean();
    }

    [Fact]
    public void A_source_of_the_catalogue_is_taken_on_board()
    {
        Screen.OpenRig("Marigold", "survey/board");
        Screen.Pick("[data-pick='inverter']", "with transformer");
        Screen.Until(() => Screen.See("input[data-path='/survey/sources/inverter/ratedW']").GetAttribute("value") == "1000", "its rating is taken");
        Screen.Saved();
        Screen.Control("z");
        Screen.Until(() => Screen.See("input[data-path='/survey/sources/inverter/ratedW']").GetAttribute("value") == "3000", "and taken back in one step");
        Screen.Saved();
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void A_bank_is_built_of_cells_and_its_fuse_held_against_its_short()
    {
        Screen.OpenRig("Marigold", "survey/board");
        Screen.Choose("/survey/sources/battery/builtOf", "single cells");
        Screen.Until(() => Screen.All("input[data-path='/survey/sources/battery/nominalV']").Count == 0, "a cell has no block's voltage");
        Screen.Type("/survey/sources/battery/series", "16");
        Screen.Type("/survey/sources/battery/fuseInterruptsA", "2000");
        Screen.See(".findings", "interrupts only");
        Screen.Control("z");
        Screen.Until(() => !Screen.See("main.station").Text.Contains("interrupts only", StringComparison.Ordinal), "the fuse is taken back");
        Screen.Saved();
        Screen.IsClean();
    }

    [Fact]
    public void A_field_is_found_by_a_word_and_typed_where_it_is_found()
    {
        Screen.Leaf("fields");
        Screen.Into(Screen.See("[data-find]"), "haze");
        var before = Screen.See("[data-ledger='heat'] b").Text;
        var found = Screen.See(".found input[data-path='/survey/place/linkeTurbidity']");
        Screen.Into(found, "7");
        Screen.Until(() => Screen.See("[data-ledger='heat'] b").Text != before, "the load moves");
        Screen.Into(Screen.See("[data-find]"), "gearbox");
        Screen.See(".found", "No field of the survey");
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void Rows_are_pasted_from_a_spreadsheet_and_a_fault_names_its_field()
    {
        Screen.Leaf("people");
        var before = Screen.All("[data-path$='/powerW']").Count;
        Screen.See("[data-paste-rows='/survey/devices']").SendKeys(Keys.Enter);
        Screen.See("[data-pasted]").SendKeys("Called");
        Paste("Name\tcolour\npump\tred");
        Screen.See(".el-dialog [role='alert']", "No column is called");
        Paste("Called\tDraws\tFrom\npump\t40 W\t8:30\nkiln\t1.2 kW\t10");
        Screen.Until(() => Screen.All("[data-path$='/powerW']").Count == before + 2, "two rows more");
        Screen.Saved();
        Screen.See($"input[data-path='/survey/devices/{before + 1}/powerW']").GetAttribute("value").ShouldBe("1200");
        Screen.Control("z");
        Screen.Until(() => Screen.All("[data-path$='/powerW']").Count == before, "and taken back in one step");
        Screen.IsClean();

        void Paste(string rows)
        {
            Screen.Driver.ExecuteScript("""
                const area = document.querySelector('[data-pasted]');
                area.value = arguments[0];
                area.dispatchEvent(new Event('input', { bubbles: true }));
                """, rows);
            Screen.Press("add the rows", ".el-dialog");
        }
    }

    [Fact]
    public void The_rig_turns_by_dragging_its_nose()
    {
        var before = Screen.See("input[data-path='/survey/headingDeg']").GetAttribute("value");
        var plan = Screen.See("figure svg[aria-label^='Plan']");
        var nose = plan.FindElement(By.CssSelector(".nose"));
        new Actions(Screen.Driver).MoveToElement(nose).ClickAndHold().MoveToElement(plan, 100, 0).MoveToElement(plan, 90, 30).Release().Perform();
        Screen.Until(() => Screen.See("input[data-path='/survey/headingDeg']").GetAttribute("value") != before, "the heading follows");
        Screen.Saved();
        Screen.IsClean();
    }

    [Fact]
    public void Spaces_shade_animals_and_ribs_are_asked_and_move_the_load()
    {
        void Moves(Action change)
        {
            var before = Screen.See("[data-ledger='heat'] b").Text;
            change();
            Screen.Until(() => Screen.See("[data-ledger='heat'] b").Text != before, "the load moves");
        }
        Screen.Leaf("skin");
        Screen.Unfold("Further spaces");
        Moves(() => Screen.Press("one more space"));
        Screen.Leaf("people");
        Moves(() => Screen.Press("one more entry"));
        Screen.Leaf("windows");
        Screen.Unfold("Shade");
        Screen.Press("one more shade");
        Screen.Saved();
        Moves(() => Screen.Choose("/survey/shades/0/kind", "building"));
        Screen.See("input[data-path='/survey/shades/0/heightM']");
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void The_ground_leaning_glass_an_attic_and_neighbours_are_asked_and_move_the_load()
    {
        void Moves(Action change, string what)
        {
            var before = Screen.See("[data-ledger='heat'] b").Text;
            change();
            Screen.Until(() => Screen.See("[data-ledger='heat'] b").Text != before, what);
            Screen.Saved();
        }
        Screen.Leaf("place");
        Moves(() => Screen.Choose("/survey/place/ground", "dark asphalt"), "the ground");
        Screen.Leaf("windows");
        Moves(() => Screen.Type("/survey/windows/0/tiltDeg", "30"), "leaning glass");
        Screen.Leaf("skin");
        Screen.Unfold("What its sides adjoin, and what is over it");
        Moves(() => Screen.Choose("/survey/space/adjoining/left/is", "a room of a given temperature"), "a room beside it");
        Moves(() => Screen.Type("/survey/space/adjoining/left/roomC", "45"), "and how warm that is");
        Moves(() => Screen.Toggle("/survey/space/attic/above"), "an attic");
        Screen.See("[data-path='/survey/space/attic/paint']");
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public void The_measuring_sheet_asks_in_the_order_of_the_survey()
    {
        Screen.Press("measuring sheet");
        Screen.See("h1", "Measuring sheet");
        Screen.Until(() => Screen.Texts(".line span").Contains("Build"), "the sheet is filled");
        var asked = Screen.Texts(".line span").ToList();
        asked.IndexOf("Latitude").ShouldBeLessThan(asked.IndexOf("Length"));
        asked.IndexOf("Length").ShouldBeLessThan(asked.IndexOf("Build"));
        Screen.IsAccessible();
        Screen.IsClean();
    }
}
