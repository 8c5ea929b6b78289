using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Plan;

public sealed class PlanTests(DemoServer demo) : IClassFixture<DemoServer>
{
    [Fact]
    public void Days_answer_at_once_and_the_solver_proves_them()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "plan");
        screen.See("[data-verdict] .headline", "Done at 15:09");
        screen.See("[data-verdict]", "Proven: cannot finish earlier");
        screen.See("[data-day]", "Tuesday 2027-03-02");
        screen.See("[data-missing]", "to buy");
        screen.See("[data-costs]", "with tax");
        screen.Press("an hour earlier", "[data-ways]");
        screen.See("[data-verdict] .headline", "Done at 14:14");
        screen.Control("z");
        screen.See("[data-verdict] .headline", "Done at 15:09");
        screen.IsAccessible();
        screen.IsClean();
    }

    /// <summary>Half done on site: the rest from now on, and back to the whole plan.</summary>
    [Fact]
    public void The_rest_is_planned_from_now()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Pipit", "plan/days");
        screen.See("[aria-label='Steps']", "Clean and lay the gasket");
        screen.See("[data-from-now]").Click();
        screen.See("[data-proof]", "From now on");
        screen.Until(() => !screen.All("[aria-label='Steps'] tbody td:nth-child(3)").Select(c => c.Text).Contains("Clean and lay the gasket"),
            "what is done is not planned again");
        screen.See("[aria-label='Steps']", "Feed the cables into the opening");
        screen.See("[data-whole]").Click();
        screen.See("[aria-label='Steps']", "Clean and lay the gasket");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void A_step_of_our_own_takes_its_place()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "plan/days");
        screen.Unfold("Steps of our own");
        screen.Press("one more step");
        screen.Type("/plan/own/0/name", "Wrap the press");
        screen.Type("/plan/own/0/handsMin", "25");
        screen.See("[aria-label='Steps']", "Wrap the press");
        screen.OpenRig("Marigold", "install/all");
        screen.See("table", "Wrap the press");
        screen.IsClean();
    }

    [Fact]
    public void A_crew_of_one_is_told_and_mended()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Gannet's Rest", "plan");
        screen.See("[data-verdict] .headline", "Done on");
        screen.Choose("/plan/crew/0/licence", "neither");
        screen.See("[data-verdict]", "refrigerant licence");
        screen.Press("somebody with it", "[data-verdict]");
        screen.See("[data-verdict] .headline", "Done");
        screen.IsClean();
    }

    [Fact]
    public void Box_lines_tools_and_price_stand_on_their_leaves()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "plan/buy");
        screen.See("[data-verdict] .headline", "of the box is of no use here");
        screen.See(".below", "made for masonry");
        screen.Leaf("tools");
        screen.See("[data-sizes]", "17 mm and 22 mm");
        screen.Leaf("quote");
        screen.See("[data-quote]", "to pay");
        screen.Type("/plan/quote/margin", "40 %");
        screen.See("[data-quote]", "66.7 % on the cost");
        screen.Control("z");
        screen.See("[data-quote]", "33.3 % on the cost");
        screen.IsAccessible();
        screen.IsClean();
    }
}
