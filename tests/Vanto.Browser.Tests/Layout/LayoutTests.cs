using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Layout;

public sealed class LayoutTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private static void Key(Screen screen, string key, int times = 1)
    {
        for (var i = 0; i < times; i++)
            screen.See("[data-head]").SendKeys(key);
        screen.Saved();
    }

    private static string Value(Screen screen, string path) => screen.See($"input[data-path='{path}']").GetAttribute("value")!;

    /// <summary>Phone in one hand, drill in the other: from the yard to where the hole is and what is behind it.</summary>
    [Fact]
    public void On_the_phone_the_hole_is_set_out_from_both_sides_in_three_taps()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.Go("/");
        var taps = 0;
        void Tap(Func<IWebElement> at)
        {
            at().Click();
            taps++;
        }

        Tap(() => screen.See("[data-rig='Marigold']"));
        Tap(() => screen.See("[data-run]"));
        screen.Until(() => screen.See(".run-list").Location.X >= 0, "the list of stations stands open");
        Tap(() => screen.See(".run-list a.line[href*='/layout']"));
        taps.ShouldBeLessThanOrEqualTo(3);
        screen.See("[data-verdict] .headline", "the hole");
        screen.See(".see", "Inside,");
        screen.See(".see", "Outside,");
        screen.See(".see", "bunk window");
        screen.IsClean();
    }

    [Fact]
    public void The_head_is_slid_by_keys_and_comes_to_rest_where_it_may_hang()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "layout");
        screen.See("[data-head]");
        Key(screen, Keys.ArrowRight, 3);
        screen.Until(() => Value(screen, "/layout/head/leftM").Length > 0, "the head stands where it was slid to");
        var left = double.Parse(Value(screen, "/layout/head/leftM"), System.Globalization.CultureInfo.InvariantCulture);
        Key(screen, Keys.ArrowLeft, 40);
        var edge = double.Parse(Value(screen, "/layout/head/leftM"), System.Globalization.CultureInfo.InvariantCulture);
        edge.ShouldBeInRange(100, left, "it rests at its distance from the wall, in mm");
        screen.Press("take it");
        screen.See("[data-verdict] .headline", "Hangs on 2 ribs");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void The_hole_is_pulled_to_another_way_out_of_the_head()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Gannet's Rest", "layout");
        var before = screen.See("[data-hole]").GetAttribute("cx");
        new OpenQA.Selenium.Interactions.Actions(screen.Driver).ClickAndHold(screen.See("[data-hole]")).MoveByOffset(160, 0).Release().Perform();
        screen.Until(() => screen.See("[data-hole]").GetAttribute("cx") != before, "the hole went to the right of the head");
        screen.Saved();
        screen.See("[data-hole]").SendKeys(Keys.ArrowLeft);
        screen.Until(() => screen.See("[data-hole]").GetAttribute("cx") == before, "and back behind it");
        screen.IsClean();
    }

    [Fact]
    public void A_point_of_the_pipe_is_pulled()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Gannet's Rest", "layout/pipe");
        screen.See(".see", "straight through the wall");
        screen.Press("pull", ".see");
        var point = screen.See("[data-point='1']");
        var up = Value(screen, "/layout/line/points/0/upM");
        point.SendKeys(Keys.ArrowDown);
        screen.Until(() => Value(screen, "/layout/line/points/0/upM") != up, "the point is 10 mm lower");
        var right = Value(screen, "/layout/line/points/0/rightM");
        new OpenQA.Selenium.Interactions.Actions(screen.Driver).ClickAndHold(screen.See("[data-point='1']")).MoveByOffset(30, 0).Release().Perform();
        screen.Until(() => Value(screen, "/layout/line/points/0/rightM") != right, "and further right");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void Ways_are_compared_and_one_is_typed()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "layout/pipe");
        screen.See("[data-verdict] .headline", "of pipe straight through the wall");
        screen.See(".see", "over the ceiling");
        screen.Leaf("drain");
        screen.Choose("/layout/drain/by", "a pump");
        screen.See("[data-verdict] .headline", "The pump carries");
        screen.Control("z");
        screen.Leaf("outdoor");
        screen.Type("/layout/outdoor/offM", "30 mm");
        screen.See(".findings", "behind it");
        screen.IsAccessible();
        screen.IsClean();
    }
}
