using System.Text.Json;

namespace Vanto.Browser.Tests.Run;

/// <summary>Every leaf of every station, on the laptop and on the phone.</summary>
public sealed class LeafTests(DemoServer demo) : IClassFixture<DemoServer>
{
    /// <summary>What is measured of a page: what is wider than the screen, where the verdict begins, whether the picture ends in sight, small
    /// targets.</summary>
    private const string Measured = """
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

    public static TheoryData<string, string, int, int> Screens => new()
    {
        { "Marigold", "metric", 1280, 800 }, { "Thistle Van", "customary", 1280, 800 }, { "Marigold", "metric", 390, 844 },
        { "Thistle Van", "customary", 390, 844 },
    };

    /// <summary>On one laptop in all three schemes, on the others in one after the other from leaf to leaf.</summary>
    [Theory]
    [MemberData(nameof(Screens))]
    public void Each_leaf_answers_at_the_top_and_fits(string rig, string units, int width, int height)
    {
        using var screen = new Screen(demo.Server.Address, width, height);
        var phone = width < 700;
        var address = screen.RigAddress(rig);
        if (units == "customary")
            screen.Keyboard("u");
        foreach (var (station, leaf) in Leaves())
        {
            screen.Go($"{address}/{station}/{leaf}");
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

    /// <summary>Pages that are no leaf of a station, on the phone.</summary>
    [Theory]
    [InlineData("/", "[data-rig='Marigold']")]
    [InlineData("/bench", ".asks")]
    [InlineData("/bench/psychrometrics", "[data-figure]")]
    public void Other_pages_fit_the_phone(string page, string once)
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.Go(page);
        screen.See(once);
        if (page == "/")
        {
            screen.See("header .soft, .top .soft", "not to one scale here");
            screen.See("[data-begin-open]").Click();
            screen.See("[data-quick='lengthM']");
        }
        var found = JsonSerializer.Deserialize<Fit>((string)screen.Driver.ExecuteScript(Measured.Replace(
            "const v = document.querySelector('[data-verdict]').getBoundingClientRect();",
                "return JSON.stringify({ Page: document.documentElement.scrollWidth, "
                + "Wide: wide, Small: small });"))!)!;
        found.Wide.ShouldBeEmpty(page);
        found.Page.ShouldBeLessThanOrEqualTo(390);
        found.Small.ShouldBeEmpty(page);
        screen.IsAccessible();
        screen.IsClean();
    }

    private sealed record Fit(double Page, string[] Wide, string[] Small);

    /// <summary>All leaves, as the interface's own description has them.</summary>
    private static IEnumerable<(string Station, string Leaf)> Leaves()
    {
        using var description = JsonDocument.Parse(
            File.ReadAllText(Path.Combine(VantoServer.Root, "src", "ui", "src", "api", "generated", "description.json")));
        return [.. description.RootElement.GetProperty("stations").EnumerateArray().SelectMany(s => s.GetProperty("leaves").EnumerateArray()
            .Select(l => (s.GetProperty("name").GetString()!, l.GetProperty("name").GetString()!)))];
    }

    [Fact]
    public void Keys_walk_the_leaves_and_the_stations()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Marigold", "load");
        screen.Keyboard(".");
        screen.See("[data-leaf='measures'][aria-current='page']");
        screen.Keyboard(",");
        screen.See("[data-leaf='day'][aria-current='page']");
        screen.Keyboard("]");
        screen.See("h1", "Unit");
        screen.Keyboard("[");
        screen.See("h1", "Load");
        screen.IsClean();
    }

    [Fact]
    public void A_finding_leads_from_the_yard_the_run_and_the_ledger_to_its_leaf_with_its_field_marked()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Pipit", "survey/board");
        screen.Toggle("/survey/sources/battery/mixed");
        screen.See(".findings", "the weakest is overcharged");
        screen.See("[data-leaf='board'] .stop");
        screen.All("[data-leaf='rig'] svg").ShouldBeEmpty("the shape stands at the leaf that it belongs to");
        var rig = new Uri(screen.Driver.Url).AbsolutePath;
        screen.Go(rig.Replace("/survey/board", "/load"));
        screen.See("[data-verdict] .headline");
        screen.See("[data-joint='survey']").SendKeys(OpenQA.Selenium.Keys.Enter);
        Marked();
        screen.Go("/");
        screen.See("[data-rig='Pipit']").SendKeys(OpenQA.Selenium.Keys.Enter);
        Marked();
        screen.Toggle("/survey/sources/battery/mixed");
        screen.OpenRig("Marigold", "survey");
        screen.See("[data-ledger='start']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("h1", "Start");
        screen.IsClean();

        void Marked()
        {
            screen.See("[data-leaf='board'][aria-current='page']");
            screen.See(".field.marked", "differ in kind");
        }
    }

    [Fact]
    public void On_a_phone_the_run_the_menu_and_the_ledger_stand_behind_buttons()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "load");
        screen.See("[data-run]").Click();
        screen.Press("Energy", ".el-drawer");
        screen.See("[data-run]", "Energy");
        screen.See("[data-ledger-open]").Click();
        // By the keyboard: what is pressed while the drawer still moves may be its neighbour.
        screen.See(".el-drawer [data-ledger='weight']").SendKeys(OpenQA.Selenium.Keys.Enter);
        screen.See("[data-run]", "Unit");
        screen.See("[data-menu]").Click();
        screen.Press("units: °C", ".el-drawer");
        screen.See("[data-menu]");
        screen.Until(() => screen.Texts("[data-ledger-open]").Any(t => t.Contains("BTU/h", StringComparison.Ordinal)), "the ledger follows");
        screen.IsClean();
    }
}
