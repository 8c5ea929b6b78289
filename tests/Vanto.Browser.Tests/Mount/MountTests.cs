using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Mount;

public sealed class MountTests(DemoServer demo) : IClassFixture<DemoServer>
{
    [Fact]
    public void A_bracket_too_weak_says_so_and_the_lightest_that_passes_mends_it()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "mount");
        screen.See("[data-verdict] .headline", "Bears 4 times the weight and the road");
        screen.See("[data-used]", "weld at the wall");
        screen.Choose("/mount/frame/kind", "two plain arms");
        screen.Choose("/mount/frame/arm", "tube 20");
        screen.See("[data-verdict] .headline", "Too weak");
        screen.Press("take it", "[data-lightest]");
        screen.See("[data-verdict] .headline", "Bears 4 times");
        screen.IsAccessible();
        screen.IsClean();
    }

    [Fact]
    public void Fixing_road_and_papers_stand_on_their_leaves()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "mount/fixing");
        screen.See("[data-landing]", "Rails across");
        screen.Choose("/mount/fixing/how", "anchors");
        screen.See(".findings", "not made for");
        screen.Control("z");
        screen.Leaf("road");
        screen.See("[data-axles]", "rear axle");
        screen.See(".see", "shock of the road, down");
        screen.Leaf("papers");
        screen.See("[data-drawing]");
        screen.See(".see", "upright on the wall");
        screen.See("[data-paper='dxf']");
        screen.IsAccessible();
        screen.IsClean();
    }
}
