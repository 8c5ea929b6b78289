using System.Globalization;
using OpenQA.Selenium;

namespace Vanto.Browser.Tests.Run;

/// <summary>What was typed stays typed and is saved in its own rig, with an answer that comes late, gets lost, or never comes.</summary>
public sealed class UnsentTests : IDisposable
{
    private const string Width = "/survey/space/widthM";
    private const string Length = "/survey/space/lengthM";

    private readonly VantoServer _server = new(demo: true);
    private readonly Screen _screen;

    public UnsentTests()
    {
        _screen = new Screen(_server.Address);
        _screen.Expect("Failed to load resource");
        _screen.OpenRig("Pipit", "survey");
    }

    public void Dispose()
    {
        // A page with something unsent asks before it is left; the test leaves all the same.
        _screen.Driver.ExecuteScript("window.addEventListener('beforeunload', e => e.stopImmediatePropagation(), true)");
        _screen.Dispose();
        _server.Dispose();
    }

    /// <summary>Patches are answered so many milliseconds late.</summary>
    private void AnswersLate(int milliseconds) => _screen.Driver.ExecuteScript($$"""
        const real = window.fetch; window.plainFetch ??= real;
        window.fetch = async (url, o) => {
            if (o?.method === 'PATCH') {
                window.patches = (window.patches ?? 0) + 1;
                await new Promise(r => setTimeout(r, {{milliseconds.ToString(CultureInfo.InvariantCulture)}}));
            }
            return window.plainFetch(url, o);
        };
        """);

    /// <summary>The next patch reaches the server, but its answer does not come back.</summary>
    private void LosesTheNextAnswer() => _screen.Driver.ExecuteScript("""
        window.plainFetch ??= window.fetch;
        window.fetch = async (url, o) => {
            const answer = await window.plainFetch(url, o);
            if (o?.method === 'PATCH' && !window.lost) { window.lost = true; throw new TypeError('lost'); }
            return answer;
        };
        """);

    /// <summary>No patch reaches the server.</summary>
    private void Offline() => _screen.Driver.ExecuteScript("""
        window.plainFetch ??= window.fetch;
        window.fetch = async (url, o) => { if (o?.method === 'PATCH') throw new TypeError('offline'); return window.plainFetch(url, o); };
        """);

    private void Online() => _screen.Driver.ExecuteScript("window.fetch = window.plainFetch");

    private string Field(string path) => _screen.See($"input[data-path='{path}']").GetAttribute("value")!;

    /// <summary>Leaves for the yard and another rig by the page's own links, so that the page stays loaded.</summary>
    private void ToRig(string name)
    {
        _screen.See("a.home").SendKeys(Keys.Enter);
        _screen.See($"[data-rig=\"{name}\"]").SendKeys(Keys.Enter);
        _screen.See(".name", name);
        _screen.See(".verdict .headline");
    }

    [Fact]
    public void An_edit_on_its_way_lands_in_its_own_rig_and_not_in_the_next()
    {
        _screen.OpenRig("Thistle Van", "survey");
        var others = Field(Width);
        _screen.OpenRig("Pipit", "survey");
        AnswersLate(1500);
        Screen.Into(_screen.See($"input[data-path='{Width}']"), "2.03");
        ToRig("Thistle Van");
        _screen.Press("Survey", ".run");
        _screen.Until(() => (bool)_screen.Driver.ExecuteScript("return (window.patches ?? 0) > 0")!, "the edit is on its way");
        _screen.See(".name", "Thistle Van");
        Field(Width).ShouldBe(others);
        ToRig("Pipit");
        _screen.Press("Survey", ".run");
        _screen.Until(() => Field(Width) == "2.03", "the edit is in the rig it was typed into");
        _screen.Saved();
        _screen.OpenRig("Pipit", "survey");
        Field(Width).ShouldBe("2.03");
        _screen.OpenRig("Thistle Van", "survey");
        Field(Width).ShouldBe(others);
        _screen.IsClean();
    }

    [Fact]
    public void An_answer_that_is_lost_is_asked_for_again_and_nothing_is_lost()
    {
        LosesTheNextAnswer();
        Screen.Into(_screen.See($"input[data-path='{Width}']"), "2.04");
        _screen.Saved();
        _screen.OpenRig("Pipit", "survey");
        Field(Width).ShouldBe("2.04");
        _screen.All("[data-conflict]").ShouldBeEmpty();
        _screen.IsClean();
    }

    [Fact]
    public void What_cannot_be_sent_stays_in_its_field_is_said_and_goes_with_the_next_change()
    {
        Offline();
        foreach (var (path, text) in new[] { (Length, "5.7"), (Width, "2.2") })
        {
            Screen.Into(_screen.See($"input[data-path='{path}']"), text);
            _screen.See($"input[data-path='{path}']").SendKeys(Keys.Tab);
        }
        _screen.See("[data-unsent]", "Length");
        _screen.See("[data-unsent]", "Width");
        _screen.See("[data-saved]", "not saved");
        (Field(Length), Field(Width)).ShouldBe(("5.7", "2.2"), "what was typed stays typed");
        ((bool)_screen.Driver.ExecuteScript(
            "const e = new Event('beforeunload', { cancelable: true }); window.dispatchEvent(e); return e.defaultPrevented")!).ShouldBeTrue("leaving asks");
        Online();
        _screen.Type("/survey/space/heightM", "1.94");
        _screen.Saved();
        _screen.Until(() => _screen.All("[data-unsent]").Count == 0, "all is sent");
        _screen.OpenRig("Pipit", "survey");
        (Field(Length), Field(Width), Field("/survey/space/heightM")).ShouldBe(("5.7", "2.2", "1.94"));
        _screen.IsClean();
    }

    [Fact]
    public void What_cannot_be_sent_is_sent_by_itself_once_the_server_is_back()
    {
        Offline();
        Screen.Into(_screen.See($"input[data-path='{Width}']"), "2.21");
        _screen.See("[data-unsent]", "Width");
        _screen.See("[data-unsent]", "sent again");
        Online();
        _screen.Saved();
        _screen.OpenRig("Pipit", "survey");
        Field(Width).ShouldBe("2.21");
        ((bool)_screen.Driver.ExecuteScript(
            "const e = new Event('beforeunload', { cancelable: true }); window.dispatchEvent(e); return e.defaultPrevented")!).ShouldBeFalse(
                "nothing is unsent");
        _screen.IsClean();
    }

    [Fact]
    public void An_edit_is_unsent_across_leaving_its_rig_and_coming_back()
    {
        Offline();
        Screen.Into(_screen.See($"input[data-path='{Width}']"), "2.22");
        _screen.See("[data-unsent]", "Width");
        ToRig("Thistle Van");
        ToRig("Pipit");
        _screen.Press("Survey", ".run");
        _screen.See("[data-unsent]", "Width");
        Field(Width).ShouldBe("2.22");
        Online();
        _screen.Saved();
        _screen.OpenRig("Pipit", "survey");
        Field(Width).ShouldBe("2.22");
    }

    [Fact]
    public void A_conflict_waits_for_its_rig()
    {
        _screen.Expect("409");
        var first = _screen.Driver.CurrentWindowHandle;
        _screen.Driver.SwitchTo().NewWindow(WindowType.Tab);
        _screen.OpenRig("Pipit", "survey");
        _screen.Type(Width, "2.05");
        _screen.Driver.SwitchTo().Window(first);
        AnswersLate(800);
        Screen.Into(_screen.See($"input[data-path='{Width}']"), "2.1");
        ToRig("Thistle Van");
        _screen.Until(() => (bool)_screen.Driver.ExecuteScript("return (window.patches ?? 0) > 0")!, "the edit is on its way");
        _screen.All(".el-dialog [data-conflict]").Where(e => e.Displayed).ShouldBeEmpty("another rig's conflict is not this one's");
        ToRig("Pipit");
        _screen.See(".el-dialog", "2.05");
        _screen.Press("keep what I typed here", ".el-dialog");
        _screen.Saved();
        _screen.OpenRig("Pipit", "survey");
        Field(Width).ShouldBe("2.1");
    }

    [Fact]
    public void The_yard_says_when_the_server_does_not_answer_and_shows_a_rig_that_cannot_be_read()
    {
        _screen.Expect("500");
        _screen.Go("/");
        _screen.See("[data-rig='Pipit']");
        _screen.Driver.ExecuteScript("window.plainFetch ??= window.fetch; window.fetch = async () => { throw new TypeError('down'); }");
        _screen.Driver.ExecuteScript("history.pushState({}, '', '/bench'); window.dispatchEvent(new PopStateEvent('popstate'));");
        _screen.Driver.ExecuteScript("history.back()");
        _screen.See("[data-yard-error]", "does not answer");
        Online();
        _screen.See("[data-rig='Pipit']");
        _screen.Until(() => _screen.All("[data-yard-error]").Count == 0, "it is asked for again by itself");
    }

    [Fact]
    public void Text_that_came_from_a_file_is_text()
    {
        var file = Path.Combine(_server.Folder, "tags.json");
        File.WriteAllText(file, """
            {"name":"<b id='injected'>rig</b>","survey":{},
             "unit":{"chosen":"<img id='injected' src=x>",
              "own":[{"id":"<img id='injected' src=x>","ratedCapacityW":2700,"ratedPowerW":980,"rlaA":7.6,"lraA":40}]}}
            """);
        _screen.Go("/");
        _screen.See("[data-rig='Pipit']");
        _screen.Give("[data-import]", file);
        _screen.See(".name", "<b id='injected'>");
        _screen.Driver.Navigate().GoToUrl(_screen.Driver.Url.Replace("/survey", "/unit"));
        var chart = _screen.See("canvas");
        var box = chart.Size;
        for (var x = 0.1; x < 0.95; x += 0.04)
            for (var y = 0.1; y < 0.9; y += 0.08)
                new OpenQA.Selenium.Interactions.Actions(_screen.Driver).MoveToElement(chart, (int)(box.Width * (x - 0.5)), (int)(box.Height * (y - 0.5)))
                    .Perform();
        _screen.All("#injected").ShouldBeEmpty();
        _screen.IsClean();
    }
}
