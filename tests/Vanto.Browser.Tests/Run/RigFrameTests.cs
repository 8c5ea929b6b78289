using OpenQA.Selenium;

namespace Vanto.Browser.Tests.Run;

/// <summary>What every station shares: run, ledger, working, units, schemes, undo, conflicts, accessibility.</summary>
public sealed class RigFrameTests : IClassFixture<DemoServer>, IDisposable
{
    private readonly Screen _screen;
    private readonly string _rig;

    public RigFrameTests(DemoServer demo)
    {
        _screen = new Screen(demo.Server.Address);
        _rig = _screen.RigAddress("Marigold");
    }

    public void Dispose() => _screen.Dispose();

    [Theory]
    [InlineData("/")]
    [InlineData("/bench/psychrometrics")]
    public void Each_page_has_no_serious_accessibility_fault_in_any_scheme(string page)
    {
        _screen.Go(page.StartsWith('/') ? page : $"{_rig}/{page}");
        for (var scheme = 0; scheme < 3; scheme++)
        {
            _screen.See("h1");
            if (!page.StartsWith('/'))
                _screen.See(".verdict .headline");
            _screen.IsAccessible();
            _screen.See("body").SendKeys("s");
        }
        _screen.IsClean();
    }

    [Fact]
    public void A_rig_is_begun_as_a_copy_of_another()
    {
        _screen.Go("/");
        _screen.See("[data-new='name']").SendKeys("Marigold the second");
        _screen.PickOnly("[data-new='copy']", "Marigold");
        _screen.Press("begin", "[data-begin]");
        _screen.See("h1", "Survey");
        _screen.See(".name", "Marigold the second");
        _screen.See(".top", "Saltpan Flat");
        _screen.IsClean();
    }

    [Theory]
    [InlineData("°C · m")]
    [InlineData("°F · ft")]
    public void No_figure_of_the_ledger_runs_into_its_neighbour(string units)
    {
        _screen.OpenRig("Marigold", "load");
        if (!_screen.See("header.top").Text.Contains(units, StringComparison.Ordinal))
            _screen.Press("·", "header.top");
        _screen.Until(() => _screen.See("header.top").Text.Contains(units, StringComparison.Ordinal), "the units are those asked");
        _screen.Driver.ExecuteScript("""
            return [...document.querySelectorAll('.ledger .entry')]
                .filter(e => [...e.children].some(c => c.getBoundingClientRect().right > e.getBoundingClientRect().right + 0.5))
                .map(e => e.dataset.ledger).join();
            """).ShouldBe("", "each stays in its own place");
        _screen.IsClean();
    }

    [Fact]
    public void A_change_moves_the_ledger_and_undo_takes_it_back()
    {
        _screen.Go($"{_rig}/survey/place");
        var before = _screen.See("[data-ledger='heat'] b").Text;
        _screen.Type("/survey/place/dryBulbC", "46");
        _screen.See("[data-ledger='heat'] .moved", "+");
        _screen.See("[data-ledger='heat'] b").Text.ShouldNotBe(before);
        _screen.Control("z");
        _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text == before, "undone");
        _screen.Control("z", shift: true);
        _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text != before, "done again");
        _screen.Control("z");
        _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text == before, "undone again");
        _screen.IsClean();
    }

    [Fact]
    public void A_bad_value_is_said_at_its_field_and_what_was_typed_stays()
    {
        _screen.Go($"{_rig}/survey/place");
        var input = _screen.See("input[data-path='/survey/place/dryBulbC']");
        Screen.Into(input, "300");
        _screen.See(".error", "must be -50 °C to 60 °C; got 300 °C");
        input.SendKeys(Keys.Tab);
        input.GetAttribute("value").ShouldBe("300");
        Screen.Into(input, "42");
        _screen.Until(() => _screen.All(".error").Count == 0, "the error goes");
        _screen.IsClean();
    }

    [Fact]
    public void A_figure_opens_its_working_by_w_with_sources()
    {
        _screen.Go($"{_rig}/load");
        _screen.See(".figures button").SendKeys("w");
        _screen.See(".working", "peak");
        _screen.See(".working", "memory");
        _screen.Keyboard(Keys.Escape);
        _screen.IsClean();
    }

    [Fact]
    public void Units_change_at_a_key_everywhere()
    {
        _screen.Go($"{_rig}/survey/place");
        _screen.See("[data-ledger='heat'] small", "kW");
        _screen.See("body").SendKeys("u");
        _screen.See("[data-ledger='heat'] small", "BTU/h");
        _screen.See("input[data-path='/survey/place/dryBulbC']").GetAttribute("value").ShouldBe("107.6");
        _screen.See("input[data-path='/survey/place/elevationM']").GetAttribute("value").ShouldBe("1345.14 ft");
        _screen.Leaf("rig");
        _screen.See("input[data-path='/survey/space/lengthM']").GetAttribute("value").ShouldBe("23 ft 7.46 in");
        _screen.See("body").SendKeys("u");
        _screen.See("[data-ledger='heat'] small", "kW");
    }

    [Fact]
    public void Two_tabs_on_one_field_conflict_visibly()
    {
        _screen.Expect("409");
        _screen.Go($"{_rig}/survey");
        _screen.See("input[data-path='/survey/space/heightM']");
        var first = _screen.Driver.CurrentWindowHandle;
        _screen.Driver.SwitchTo().NewWindow(WindowType.Tab);
        _screen.Go($"{_rig}/survey");
        _screen.Type("/survey/space/heightM", "2.05");
        _screen.Driver.SwitchTo().Window(first);
        Screen.Into(_screen.See("input[data-path='/survey/space/heightM']"), "2.10");
        _screen.See(".el-dialog", "2.05");
        _screen.See(".el-dialog", "2.1");
        _screen.Press("keep what I typed", ".el-dialog");
        _screen.Until(() => _screen.All(".el-dialog").All(d => !d.Displayed), "the conflict closes");
        _screen.Saved();
        _screen.See("input[data-path='/survey/space/heightM']").GetAttribute("value").ShouldStartWith("2.1");
        _screen.Type("/survey/space/heightM", "1.95");
        _screen.IsClean();
    }

    [Fact]
    public void An_earlier_state_is_returned_to_from_the_history()
    {
        _screen.Go($"{_rig}/survey");
        _screen.Type("/survey/space/widthM", "2.41");
        _screen.Press("history");
        _screen.See(".el-drawer", "Width");
        var buttons = _screen.All(".el-drawer .el-timeline button");
        buttons[^1].SendKeys(Keys.Enter);
        _screen.Until(() => _screen.See("input[data-path='/survey/space/widthM']").GetAttribute("value") == "2.35", "returned");
        _screen.IsClean();
    }

    [Fact]
    public void A_way_out_is_taken_by_one_press()
    {
        _screen.Go($"{_rig}/load/measures");
        var before = _screen.See("[data-ledger='heat'] b").Text;
        _screen.Press("take it", ".see");
        _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text != before, "the load falls");
        _screen.Press("undo");
        _screen.Until(() => _screen.See("[data-ledger='heat'] b").Text == before, "undone");
    }
}

/// <summary>One server with the demo for a class of tests.</summary>
public sealed class DemoServer : IDisposable
{
    /// <summary>The server.</summary>
    public VantoServer Server { get; } = new(demo: true);

    /// <inheritdoc />
    public void Dispose() => Server.Dispose();
}
