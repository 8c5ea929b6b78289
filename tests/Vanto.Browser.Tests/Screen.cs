using System.Text.Json;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Interactions;
using OpenQA.Selenium.Support.UI;

namespace Vanto.Browser.Tests;

/// <summary>A browser on a running Vanto, handled as a person would; it notes console errors and requests that leave or fail.</summary>
public sealed class Screen : IDisposable
{
    private static readonly Lazy<string> Axe = new(() =>
        File.ReadAllText(Path.Combine(VantoServer.Root, "src", "ui", "node_modules", "axe-core", "axe.min.js")));

    private readonly Browser _browser;
    private readonly Uri _address;
    private readonly List<string> _expectedFailures = [];
    private bool _clean;

    /// <summary>Opens a browser, or takes one that an earlier test left as it found it.</summary>
    public Screen(Uri address, int width = 1280, int height = 800)
    {
        _address = address;
        _browser = Browser.Take(width, height);
    }

    /// <summary>The driver.</summary>
    public ChromeDriver Driver => _browser.Driver;

    /// <summary>Opens a path.</summary>
    public void Go(string path) => Driver.Navigate().GoToUrl(new Uri(_address, path));

    /// <summary>Goes to another leaf of the rig that is open as the browser's own back does: the page stays. Ends when the leaf before is gone.</summary>
    public void Turn(string path) => Driver.ExecuteAsyncScript("""
        const before = document.querySelector('main .leaf');
        history.pushState({}, '', arguments[0]);
        dispatchEvent(new PopStateEvent('popstate', { state: null }));
        const look = () => requestAnimationFrame(before?.isConnected ? look : arguments[1]);
        look();
        """, path);

    /// <summary>Opens a station of a rig by the rig's name, at one of its leaves where that is named too: <c>energy/kit</c>.</summary>
    public void OpenRig(string name, string station)
    {
        Go($"{RigAddress(name)}/{station}");
        See("[data-verdict] .headline");
    }

    /// <summary>Path of a rig of the yard.</summary>
    public string RigAddress(string name)
    {
        Go("/");
        var address = new Uri(See($"[data-rig=\"{name}\"]").GetAttribute("href")!);
        return string.Concat(address.Segments[..3]).TrimEnd('/');
    }

    /// <summary>Opens a leaf of the station that is open, by its link.</summary>
    public void Leaf(string name)
    {
        See($"[data-leaf='{name}']").SendKeys(Keys.Enter);
        See($"[data-leaf='{name}'][aria-current='page']");
        See("[data-verdict] .headline");
    }

    /// <summary>Opens a group of fields that is folded.</summary>
    public void Unfold(string title)
    {
        var summary = Wait(() => All("details:not([open]) > summary").FirstOrDefault(e => e.Text.Contains(title, StringComparison.OrdinalIgnoreCase)),
            $"a folded group \"{title}\"");
        summary.SendKeys(Keys.Enter);
    }

    /// <summary>Unfolds the findings that the first screen leaves out.</summary>
    public void AllFindings()
    {
        if (All("[data-more]").FirstOrDefault() is { } more && more.Text.Contains("more", StringComparison.Ordinal))
            more.SendKeys(Keys.Enter);
    }

    /// <summary>The one element, once it is there and shown.</summary>
    public IWebElement See(string css) => Wait(() => (IWebElement?)Driver.ExecuteScript(Shown, css), css);

    /// <summary>Asked in one go: what is not there yet is asked for often.</summary>
    private const string Shown = """
        return [...document.querySelectorAll(arguments[0])]
          .find(e => e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && e.getClientRects().length > 0) ?? null;
        """;

    /// <summary>All elements at this moment.</summary>
    public IReadOnlyList<IWebElement> All(string css) => Driver.FindElements(By.CssSelector(css));

    /// <summary>Waits until the text of an element contains words.</summary>
    public void See(string css, string words)
    {
        try
        {
            Until(() => Texts(css).Any(t => t.Contains(words, StringComparison.OrdinalIgnoreCase)), $"{css} with \"{words}\"");
        }
        catch (WebDriverTimeoutException e)
        {
            throw new WebDriverTimeoutException($"{e.Message}; it reads \"{string.Join(" | ", Texts(css).Take(3))}\"", e);
        }
    }

    /// <summary>What all elements read, taken in one moment.</summary>
    public IReadOnlyList<string> Texts(string css) =>
        [.. ((IReadOnlyCollection<object>)Driver.ExecuteScript(
            "return [...document.querySelectorAll(arguments[0])].map(e => (e.innerText ?? e.textContent).replace(/\\u00a0/g, ' ').trim())",
            css)!).Cast<string>()];

    /// <summary>Waits until something is so.</summary>
    public T Wait<T>(Func<T?> look, string what) where T : class
    {
        var wait = new WebDriverWait(Driver, TimeSpan.FromSeconds(30)) { PollingInterval = TimeSpan.FromMilliseconds(40), Message = what };
        wait.IgnoreExceptionTypes(typeof(StaleElementReferenceException), typeof(NoSuchElementException), typeof(ElementNotInteractableException));
        return wait.Until(_ => look())!;
    }

    /// <summary>Waits until a condition holds.</summary>
    public void Until(Func<bool> holds, string what) => Wait(() => holds() ? "" : null, what);

    /// <summary>Types into the field at a path of the design, replacing what stands there, and waits until it is saved.</summary>
    public void Type(string path, string text)
    {
        var input = See($"input[data-path='{path}']");
        Into(input, text);
        input.SendKeys(Keys.Tab);
        Saved();
    }

    /// <summary>Replaces the text of an input by the keyboard.</summary>
    public static void Into(IWebElement input, string text)
    {
        input.SendKeys(Keys.Control + "a");
        input.SendKeys(text.Length == 0 ? Keys.Delete : text);
    }

    /// <summary>Chooses from a list by the keyboard, or among what stands side by side.</summary>
    public void Choose(string path, string words)
    {
        Wait(() => All($"[data-path='{path}']").FirstOrDefault(), path);
        if (All($"[data-path='{path}'].el-segmented").Count == 0)
        {
            Pick($"[data-path='{path}']", words);
            return;
        }
        Wait(() => All($"[data-path='{path}'] .el-segmented__item").FirstOrDefault(e => e.Text.Contains(words, StringComparison.OrdinalIgnoreCase)), words)
            .Click();
        Saved();
    }

    /// <summary>Presses a switch.</summary>
    public void Toggle(string path)
    {
        See($"[data-path='{path}'].el-switch, [data-path='{path}'] .el-switch").Click();
        Saved();
    }

    /// <summary>Gives a file to what takes one.</summary>
    public void Give(string css, string file) => Wait(() => All($"{css} input[type='file']").FirstOrDefault(), css).SendKeys(file);

    /// <summary>Chooses from the list of an element by the keyboard, and waits until that is saved.</summary>
    public void Pick(string list, string words)
    {
        PickOnly(list, words);
        Saved();
    }

    /// <summary>Chooses from the list of an element by the keyboard.</summary>
    public void PickOnly(string list, string words)
    {
        var box = Wait(() => All($"{list} input").FirstOrDefault(), list);
        box.SendKeys(Keys.ArrowDown);
        See(".el-select__popper .el-select-dropdown__item");
        for (var presses = 0; presses < 60; presses++)
        {
            if (All(".el-select-dropdown__item.is-hovering").Any(e => e.Displayed && e.Text.Contains(words, StringComparison.OrdinalIgnoreCase)))
            {
                box.SendKeys(Keys.Enter);
                Until(() => All(".el-select__popper .el-select-dropdown__item").All(e => !e.Displayed), $"the list of {list} closes");
                return;
            }
            box.SendKeys(Keys.ArrowDown);
        }
        throw new NoSuchElementException($"{list} has no choice \"{words}\"");
    }

    /// <summary>Presses the button with those words, by the keyboard.</summary>
    public void Press(string words, string within = "")
    {
        var button = Wait(
            () => All($"{within} button, {within} a").FirstOrDefault(b => b.Displayed && b.Text.Contains(words, StringComparison.OrdinalIgnoreCase)),
            $"a button \"{words}\" in \"{within}\"");
        button.SendKeys(Keys.Enter);
    }

    /// <summary>Sends keys to whatever has the focus.</summary>
    public void Keyboard(string keys) => new Actions(Driver).SendKeys(keys).Perform();

    /// <summary>Presses a key with control held, and shift where asked.</summary>
    public void Control(string key, bool shift = false)
    {
        var actions = new Actions(Driver).KeyDown(Keys.Control);
        if (shift)
            actions.KeyDown(Keys.Shift);
        actions.SendKeys(key);
        if (shift)
            actions.KeyUp(Keys.Shift);
        actions.KeyUp(Keys.Control).Perform();
    }

    /// <summary>Waits until nothing is being saved.</summary>
    public void Saved() => See("[data-saved]", "saved ");

    /// <summary>A refusal of this status at this path is part of the test.</summary>
    public void Expect(string failure) => _expectedFailures.Add(failure);

    /// <summary>Serious accessibility faults of the page as it stands, by axe-core.</summary>
    /// <param name="coloursOnly">Contrast alone, where the rest was looked at in another scheme.</param>
    public void IsAccessible(bool coloursOnly = false)
    {
        if (Driver.ExecuteScript("return !window.axe") is true)
            Driver.ExecuteScript(Axe.Value);
        var found = (string?)Driver.ExecuteAsyncScript("""
            const done = arguments[arguments.length - 1];
            const all = { resultTypes: ['violations'], preload: false };
            axe.run(document, arguments[0] ? { ...all, runOnly: ['color-contrast'] } : all).then(r => done(JSON.stringify(r.violations
              .filter(v => v.impact === 'serious' || v.impact === 'critical')
              .map(v => v.id + ': ' + v.nodes.slice(0, 4).map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).join(' | ')))));
            """, coloursOnly);
        JsonSerializer.Deserialize<string[]>(found!)!.ShouldBeEmpty(Driver.Url);
    }

    /// <summary>No console error, no failed request, no request to another machine since the browser opened.</summary>
    public void IsClean()
    {
        var faults = new List<string>();
        foreach (var entry in Driver.Manage().Logs.GetLog(LogType.Browser)
            .Where(e => !_expectedFailures.Any(f => e.Message.Contains(f, StringComparison.Ordinal))))
            faults.Add($"console: {entry.Message}");
        foreach (var entry in Driver.Manage().Logs.GetLog("performance"))
        {
            using var json = JsonDocument.Parse(entry.Message);
            var message = json.RootElement.GetProperty("message");
            var parameters = message.GetProperty("params");
            var method = message.GetProperty("method").GetString();
            if (method == "Network.requestWillBeSent")
            {
                var url = parameters.GetProperty("request").GetProperty("url").GetString()!;
                if (!url.StartsWith(_address.ToString(), StringComparison.Ordinal) && !url.StartsWith("data:", StringComparison.Ordinal)
                    && !url.StartsWith("chrome", StringComparison.Ordinal) && !url.StartsWith("blob:", StringComparison.Ordinal))
                    faults.Add($"leaves the machine: {url}");
            }
            else if (method == "Network.responseReceived" && parameters.GetProperty("response").GetProperty("status").GetInt32() is >= 400 and var status
                && !_expectedFailures.Contains($"{status}"))
                faults.Add($"{status}: {parameters.GetProperty("response").GetProperty("url").GetString()}");
        }
        faults.ShouldBeEmpty();
        _clean = true;
    }

    /// <inheritdoc />
    public void Dispose()
    {
        if (_clean)
            _browser.GiveBack(_address);
        else
            _browser.Dispose();
    }
}
