using System.Collections.Concurrent;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Vanto.Browser.Tests;

/// <summary>
/// A browser of one size. To start one takes longer than most tests: one whose test found it clean is emptied and used again, any other is ended.
/// </summary>
public sealed class Browser : IDisposable
{
    /// <summary>Screens narrower than this are phones, with touch.</summary>
    private const int Phone = 500;

    private static readonly ConcurrentDictionary<(int Width, int Height), ConcurrentBag<Browser>> Idle = new();

    private readonly string _profile = Directory.CreateTempSubdirectory("vanto-chromium-").FullName;
    private readonly (int Width, int Height) _size;

    private Browser(int width, int height)
    {
        _size = (width, height);
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        // The door to the crew's network has a certificate that its machine signed for itself.
        options.AcceptInsecureCertificates = true;
        options.AddArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--disable-dev-shm-usage", "--force-prefers-reduced-motion", "--lang=en-GB",
            $"--window-size={width},{height}", $"--user-data-dir={_profile}");
        if (width < Phone)
            options.EnableMobileEmulation(new OpenQA.Selenium.Chromium.ChromiumMobileEmulationDeviceSettings
            {
                Width = width,
                Height = height,
                PixelRatio = 1,
                EnableTouchEvents = true,
                UserAgent = "Mozilla/5.0 (Linux; Android) Mobile",
            });
        options.SetLoggingPreference(LogType.Browser, LogLevel.Warning);
        options.SetLoggingPreference("performance", LogLevel.All);
        options.PerformanceLoggingPreferences = new() { IsCollectingNetworkEvents = true, IsCollectingPageEvents = false };
        Driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin"), options, TimeSpan.FromSeconds(90));
        // The page itself has this size, without what a browser's own bars take.
        if (width >= Phone)
            Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
                new Dictionary<string, object?> { ["width"] = width, ["height"] = height, ["deviceScaleFactor"] = 1, ["mobile"] = false });
    }

    public ChromeDriver Driver { get; }

    /// <summary>An idle one, or a new one.</summary>
    public static Browser Take(int width, int height) =>
        Idle.TryGetValue((width, height), out var bag) && bag.TryTake(out var idle) ? idle : new Browser(width, height);

    /// <summary>Ends all that nobody uses.</summary>
    public static void EndIdle()
    {
        foreach (var bag in Idle.Values)
            while (bag.TryTake(out var browser))
                browser.Dispose();
    }

    /// <summary>Leaves the page, forgets all that its origin kept, and waits for the next test.</summary>
    public void GiveBack(Uri address)
    {
        if (Driver.WindowHandles.Count > 1)
        {
            Dispose();
            return;
        }
        Driver.Navigate().GoToUrl(new Uri("about:blank"));
        Driver.ExecuteCdpCommand("Storage.clearDataForOrigin", new() { ["origin"] = address.GetLeftPart(UriPartial.Authority), ["storageTypes"] = "all" });
        Driver.ExecuteCdpCommand("Network.clearBrowserCookies", []);
        foreach (var kind in (string[])[LogType.Browser, "performance"])
            Driver.Manage().Logs.GetLog(kind);
        Idle.GetOrAdd(_size, _ => []).Add(this);
    }

    /// <inheritdoc />
    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        try
        {
            Directory.Delete(_profile, recursive: true);
        }
        catch (IOException)
        {
            // The browser may still be closing its files; the folder is temporary.
        }
    }
}
