using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Instruments;

/// <summary>Instruments on the screen: simulated ones send, the trace is drawn, and a hold is taken over into the proof.</summary>
public sealed class InstrumentTests(DemoServer demo) : IClassFixture<DemoServer>
{
    [Fact]
    public void A_simulated_gauge_is_seen_live_and_its_hold_is_judged()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Seed House 4", "commission/instruments");
        Screen.Into(screen.See("[data-by]"), "Ottoline Marsh");
        screen.Press("600×");
        screen.See("[data-play]").Click();
        screen.See("[data-channel='vac-1/absolutePressure']", "micron");
        screen.See("[data-simulated]", "simulated");
        screen.Until(() => screen.All("[data-playing]").Any(p => p.Text.Split(' ') is var w
            && w.SkipWhile(x => !int.TryParse(x, out _)).FirstOrDefault() is { } m && int.Parse(m) >= 40), "twenty minutes of hold have gone by");
        screen.See("[data-stop]").Click();
        screen.IsAccessible();
        screen.See("[data-take='vacuum']").Click();
        screen.See("[data-verdict] .headline", "Dry and tight");
        screen.See("[data-readings]", "simulated");
        screen.IsClean();
    }
}
