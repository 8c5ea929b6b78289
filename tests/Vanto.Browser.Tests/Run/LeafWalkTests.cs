using System.Text.Json;

namespace Vanto.Browser.Tests.Run;

/// <summary>Every leaf of every station: it answers at the top, fits the screen and can be read by everybody.</summary>
public abstract class LeafWalk(DemoServer demo)
{
    /// <summary>What is measured of a page: what is wider than the screen, where the verdict begins, whether the picture ends in sight, small
    /// targets.</summary>
    internal const string Measured = """
        const clips = e => { for (let p = e.parentElement; p; p = p.parentElement)
          if (['auto', 'scroll', 'hidden'].includes(getComputedStyle(p).overflowX)) return true; return false; };
        const wide = [...document.querySelectorAll('body *')].filter(e => {
          const r = e.getBoundingClientRect(); return r.width > 0 && r.right > innerWidth + 1 && !clips(e); }).slice(0,
              3).map(e => e.tagName + '.' + e.className);
        const inside = '.el-input__wrapper,.el-select__wrapper,.el-switch,.el-segmented,.el-checkbox,.el-upload,.el-slider,figure,svg';
        const small = [...document.querySelectorAll('a,button,[role=button],.el-switch,.el-select__wrapper,.el-input__wrapper')].filter(e => {
          const r = e.getBoundingClientRect();
          return r.width > 0 && r.height > 0 && r.height < 43.5 && getComputedStyle(e).visibility !== 'hidden' && !e.parentElement.closest(inside); })
          .map(e => `${e.tagName} ${(e.innerText || e.getAttribute('aria-label') || '').slice(0, 30)} ${Math.round(e.getBoundingClientRect().height)}`);
        const v = document.querySelector('[data-verdict]').getBoundingClientRect();
        const p = document.querySelector('[data-picture]')?.getBoundingClientRect();
        const chart = document.querySelector('[data-picture] > .chart');
        const s = document.querySelector('.see').getBoundingClientRect();
        return JSON.stringify({ Page: document.documentElement.scrollWidth, Wide: wide, Verdict: v.top, Small: small,
          Picture: chart ? p.bottom - s.bottom : 0, Says: document.querySelector('.headline').innerText });
        """;

    private sealed record Measure(double Page, string[] Wide, double Verdict, string[] Small, double Picture, string Says);

    /// <summary>On one laptop in all three schemes, on the others in one after the other from leaf to leaf.</summary>
    protected void Walk(string rig, string units, int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        var phone = width < 700;
        var address = screen.RigAddress(rig);
        screen.OpenRig(rig, "service");
        if (units == "customary")
            screen.Keyboard("u");
        foreach (var (station, leaf) in Leaves())
        {
            screen.Turn($"{address}/{station}/{leaf}");
            screen.Until(() => screen.All($"[data-leaf='{leaf}'][aria-current='page']").Count > 0, $"{station}/{leaf} is open");
            screen.See("[data-verdict] .headline");
            screen.Until(() => screen.All(".el-skeleton").Count == 0, $"{station}/{leaf} is there");
            var m = Settled(screen, width);
            var where = $"{rig} {station}/{leaf} at {width}";
            m.Wide.ShouldBeEmpty(where);
            m.Page.ShouldBeLessThanOrEqualTo(width, where);
            m.Verdict.ShouldBeLessThan(300, where);
            m.Says.Length.ShouldBeGreaterThan(8, where);
            if (phone)
                m.Small.ShouldBeEmpty(where);
            else
                m.Picture.ShouldBeLessThanOrEqualTo(1, $"{where}: the picture ends in sight");
            for (var scheme = 0; scheme < (rig == "Marigold" && !phone ? 3 : 1); scheme++)
            {
                screen.IsAccessible(coloursOnly: scheme > 0);
                screen.Keyboard("s");
            }
        }
        screen.IsClean();
    }

    /// <summary>The page as it stands once its drawings have taken their places; what stays too wide is returned as it is.</summary>
    private static Measure Settled(Screen screen, int width)
    {
        for (var tries = 0; ; tries++)
        {
            var m = JsonSerializer.Deserialize<Measure>((string)screen.Driver.ExecuteScript(Measured)!)!;
            if (tries == 10 || m.Wide.Length == 0 && m.Page <= width)
                return m;
            Thread.Sleep(200);
        }
    }

    /// <summary>All leaves, as the interface's own description has them.</summary>
    private static IEnumerable<(string Station, string Leaf)> Leaves()
    {
        using var description = JsonDocument.Parse(
            File.ReadAllText(Path.Combine(VantoServer.Root, "src", "ui", "src", "api", "generated", "description.json")));
        return [.. description.RootElement.GetProperty("stations").EnumerateArray().SelectMany(s => s.GetProperty("leaves").EnumerateArray()
            .Select(l => (s.GetProperty("name").GetString()!, l.GetProperty("name").GetString()!)))];
    }
}

/// <summary>Every leaf on the laptop.</summary>
public sealed class LaptopLeafTests(DemoServer demo) : LeafWalk(demo), IClassFixture<DemoServer>
{
    [Theory]
    [InlineData("Marigold", "metric")]
    [InlineData("Thistle Van", "customary")]
    public void Each_leaf_answers_at_the_top_and_fits(string rig, string units) => Walk(rig, units, 1280, 800);
}

/// <summary>Every leaf on the phone.</summary>
public sealed class PhoneLeafTests(DemoServer demo) : LeafWalk(demo), IClassFixture<DemoServer>
{
    [Theory]
    [InlineData("Marigold", "metric")]
    [InlineData("Thistle Van", "customary")]
    public void Each_leaf_answers_at_the_top_and_fits(string rig, string units) => Walk(rig, units, 390, 844);
}
