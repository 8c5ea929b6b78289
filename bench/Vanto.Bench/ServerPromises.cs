using System.Diagnostics;
using System.IO.Compression;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Vanto.Bench;

/// <summary>Promises of the built server and interface, as ./vanto build leaves them.</summary>
public static class ServerPromises
{
    private const int Port = 5980;
    internal static readonly Uri Address = new($"http://127.0.0.1:{Port}");
    private static readonly string Program = Path.GetFullPath("artifacts/server/Vanto.Web.dll");

    /// <summary>Measures start, memory, yard, first page and, where a browser is here, the keystroke.</summary>
    public static async Task<IReadOnlyList<Measured>> Measure(string wanted)
    {
        var folder = Directory.CreateTempSubdirectory("vanto-bench-");
        var rows = new List<Measured>();
        try
        {
            if (wanted != "screen")
            {
                rows.Add(await Starts(Path.Combine(folder.FullName, "demo.db")));
                rows.AddRange(await Demo(Path.Combine(folder.FullName, "demo.db")));
                rows.Add(await Events(Path.Combine(folder.FullName, "events.db")));
                rows.AddRange(await FullYard(Path.Combine(folder.FullName, "full.db")));
                rows.Add(Measured.Of("first page: scripts gzip", 300, "kB", [FirstPageBytes() / 1000.0]));
            }
            if (File.Exists("/usr/bin/chromedriver"))
                rows.AddRange([await Keystroke(Path.Combine(folder.FullName, "keys.db"), 0), await Keystroke(Path.Combine(folder.FullName, "keys3.db"), 1),
                    await HeadMoved(Path.Combine(folder.FullName, "head.db")), await Taps(Path.Combine(folder.FullName, "taps.db"))]);
            else
                Console.WriteLine("no chromedriver here: the keystroke is not measured");
        }
        finally
        {
            folder.Delete(recursive: true);
        }
        return rows;
    }

    internal static async Task<Process> Start(string store, params string[] more)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true };
        foreach (var argument in (string[])[Program, "--store", store, "--port", $"{Port}", .. more])
            start.ArgumentList.Add(argument);
        var process = Process.Start(start)!;
        while (await process.StandardOutput.ReadLineAsync() is { } line)
            if (line.StartsWith("Vanto is at", StringComparison.Ordinal))
                return process;
        throw new InvalidOperationException("the server did not start");
    }

    internal static void Stop(Process process)
    {
        process.Kill();
        process.WaitForExit();
        process.Dispose();
    }

    private static async Task<Measured> Starts(string store)
    {
        Stop(await Start(store, "--demo"));
        var times = new List<double>();
        for (var run = 0; run < 5; run++)
        {
            var began = Stopwatch.GetTimestamp();
            var process = await Start(store, "--demo");
            using var http = new HttpClient { BaseAddress = Address };
            await http.GetStringAsync("/");
            times.Add(Stopwatch.GetElapsedTime(began).TotalMilliseconds);
            Stop(process);
        }
        return Measured.Of("start with the demo, second start, to first page served", 2000, "ms", times);
    }

    private static async Task<IReadOnlyList<Measured>> Demo(string store)
    {
        var process = await Start(store, "--demo");
        using var http = new HttpClient { BaseAddress = Address };
        for (var i = 0; i < 5; i++)
            await http.GetStringAsync("/api/rigs");
        process.Refresh();
        var memory = Measured.Of("memory of the server at rest with the demo", 200, "MB", [process.WorkingSet64 / 1e6]);
        Stop(process);
        return [memory];
    }

    private static async Task<IReadOnlyList<Measured>> FullYard(string store)
    {
        var process = await Start(store);
        using (var http = new HttpClient { BaseAddress = Address })
            for (var i = 0; i < 500; i++)
            {
                var made = await http.PostAsJsonAsync("/api/rigs", new { name = $"Rig {i}", kind = "van" });
                var id = (string)(await made.EnsureSuccessStatusCode().Content.ReadFromJsonAsync<JsonNode>())!["id"]!;
                (await http.PatchAsJsonAsync($"/api/rigs/{id}", new
                {
                    baseRevision = 1,
                    client = "bench",
                    units = "metric",
                    decimalComma = false,
                    changes = new[] { new { path = "/service/handedOver", value = $"2024-{1 + i % 12:00}-{1 + i % 28:00}" } },
                })).EnsureSuccessStatusCode();
            }
        Stop(process);
        process = await Start(store);
        using var fresh = new HttpClient { BaseAddress = Address };
        await fresh.GetStringAsync("/api/calc");
        async Task<List<double>> Times(string address)
        {
            var times = new List<double>();
            for (var run = 0; run < 12; run++)
            {
                var began = Stopwatch.GetTimestamp();
                await fresh.GetStringAsync(address);
                times.Add(Stopwatch.GetElapsedTime(began).TotalMilliseconds);
            }
            return times;
        }

        var (yard, board) = (await Times("/api/rigs"), await Times("/api/shop"));
        var search = await Times("/api/shop/search?q=rig%2012%205.3%20kW");
        Stop(process);
        return
        [
            Measured.Of("yard of 500 jobs opens, from the first call after a start", 300, "ms", yard),
            Measured.Of("due board over 500 jobs, from the first call after a start", 300, "ms", board),
            Measured.Of("search over 500 jobs", 100, "ms", search),
        ];
    }

    /// <summary>What a phone brings back after a day without a network.</summary>
    private static async Task<Measured> Events(string store)
    {
        var process = await Start(store, "--demo");
        using var http = new HttpClient { BaseAddress = Address };
        var rig = await Rig(http, "Marigold");
        var times = new List<double>();
        for (var run = 0; run < 12; run++)
        {
            var events = Enumerable.Range(1, 200).Select(i => new
            {
                id = Guid.NewGuid(),
                by = "Wren",
                @event = new { type = "noteAdded", step = "arrive-park", device = $"phone-{run}", seq = i, l = 1000 * run + i, text = "a note" },
            }).ToArray();
            var began = Stopwatch.GetTimestamp();
            (await http.PostAsJsonAsync($"/api/rigs/{rig}/install/events", new { events })).EnsureSuccessStatusCode();
            times.Add(Stopwatch.GetElapsedTime(began).TotalMilliseconds);
        }
        Stop(process);
        return Measured.Of("200 events of a phone sent and acknowledged", 1000, "ms", times);
    }

    internal static async Task<string> Rig(HttpClient http, string name) =>
        (string)(await http.GetFromJsonAsync<System.Text.Json.Nodes.JsonArray>("/api/rigs"))!.First(r => (string)r!["name"]! == name)!["id"]!;

    private static long FirstPageBytes()
    {
        var root = Path.Combine(Path.GetDirectoryName(Program)!, "wwwroot");
        var index = File.ReadAllText(Path.Combine(root, "index.html"));
        return Directory.GetFiles(Path.Combine(root, "assets"), "*.js").Where(f => index.Contains(Path.GetFileName(f), StringComparison.Ordinal)).Sum(Zipped);
    }

    private static long Zipped(string file)
    {
        using var memory = new MemoryStream();
        using (var zip = new GZipStream(memory, CompressionLevel.Optimal, leaveOpen: true))
            zip.Write(File.ReadAllBytes(file));
        return memory.Length;
    }

    /// <summary>A field typed again and again until the ledger and the charts have followed.</summary>
    private static Task<Measured> Keystroke(string store, int moreSpaces) => InBrowser(store, moreSpaces, "load", "canvas",
        $"keystroke in a field to ledger and charts repainted ({2 + moreSpaces} spaces)", """
            const input = document.querySelector("input[data-path='/survey/place/dryBulbC']");
            const watched = document.querySelector("[data-ledger='heat']");
            const act = i => {
              input.value = String(38 + (i % 7) * 0.7 + (i % 2));
              input.dispatchEvent(new Event('input', { bubbles: true }));
            };
        """);

    /// <summary>The head moved by a key until it is judged where it stands.</summary>
    private static Task<Measured> HeadMoved(string store) => InBrowser(store, 0, "layout", "[data-head]", "the head moved to its place judged and drawn", """
            const watched = document.querySelector('[data-verdict]').parentElement;
            const act = i => document.querySelector('[data-head]').dispatchEvent(
              new KeyboardEvent('keydown', { key: i % 2 ? 'ArrowLeft' : 'ArrowRight', bubbles: true }));
        """);

    /// <summary>Begun, ticked, done, the next step: each tap on a phone without a network until the page shows it.</summary>
    private static Task<Measured> Taps(string store) => InBrowser(store, 0, "install/step", "[data-go]", "a tap on the step page, no network", """
            const watched = document.querySelector('main');
            localStorage.setItem('vanto.by', 'Wren');
            const named = document.querySelector('[data-by]');
            if (named) {
              named.value = 'Wren';
              named.dispatchEvent(new Event('input', { bubbles: true }));
            }
            window.fetch = () => Promise.reject(new TypeError('away'));
            const act = () => (document.querySelector("[data-state='running'] [data-open] button.tick") ?? document.querySelector('[data-go]')).click();
        """, "Thistle Van", rounds: 18, unmeasured: 1);

    private static async Task<Measured> InBrowser(string store, int moreSpaces, string page, string once, string title, string script,
        string rig = "Marigold", int rounds = 60, int unmeasured = 10)
    {
        var process = await Start(store, "--demo");
        using var http = new HttpClient { BaseAddress = Address };
        var id = await Rig(http, rig);
        for (var i = 0; i < moreSpaces; i++)
        {
            var view = (await http.GetFromJsonAsync<System.Text.Json.Nodes.JsonNode>($"/api/rigs/{id}"))!;
            var further = view["design"]!["survey"]!["further"]!.DeepClone().AsArray();
            further.Add(further[0]!.DeepClone());
            (await http.PatchAsJsonAsync($"/api/rigs/{id}",
                new
                {
                    baseRevision = (int)view["revision"]!,
                    client = "bench",
                    units = "metric",
                    decimalComma = false,
                    changes = new[] {
                new { path = "/survey/further", value = further } }
                })).EnsureSuccessStatusCode();
        }
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--window-size=1280,800");
        using var driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin"), options);
        driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromSeconds(60);
        driver.Navigate().GoToUrl(new Uri(Address, $"/rig/{id}/{page}"));
        while (driver.FindElements(By.CssSelector(once)).Count == 0)
            await Task.Delay(50);
        var times = (IReadOnlyCollection<object>)driver.ExecuteAsyncScript(script + $"const rounds = {rounds}, unmeasured = {unmeasured};" + """
            const done = arguments[arguments.length - 1];
            const times = [];
            const frame = () => new Promise(r => requestAnimationFrame(() => requestAnimationFrame(r)));
            (async () => {
              for (let i = 0; i < rounds; i++) {
                const moved = new Promise(r => {
                    const o = new MutationObserver(() => { o.disconnect(); r(); });
                    o.observe(watched, { subtree: true, childList: true, characterData: true, attributes: true });
                });
                const began = performance.now();
                act(i);
                await moved;
                await frame();
                if (i >= unmeasured) times.push(performance.now() - began);
                await new Promise(r => setTimeout(r, 120));
              }
              done(times);
            })();
            """)!;
        Stop(process);
        return Measured.Of(title, 100, "ms", times.Select(Convert.ToDouble),
            "server and browser on the same cores");
    }
}
