using OpenQA.Selenium;
using UglyToad.PdfPig;

namespace Vanto.Browser.Tests;

/// <summary>A fitter who has never seen Vanto: from an empty store to a printed sheet, by the keyboard.</summary>
public class NewcomerTests
{
    [Fact]
    public async Task From_the_tape_measure_to_the_owners_sheet()
    {
        using var server = new VantoServer();
        using var screen = new Screen(server.Address);
        screen.Go("/");
        screen.See(".empty", "Begin with the rig that stands in front of you");
        screen.See("[data-new='name']").SendKeys("Brown Hare");
        screen.Press("begin");
        screen.See("h1", "Survey");

        Survey(screen);
        screen.See(".run [aria-current='page']", "Survey");
        var heat = screen.See("[data-ledger='heat'] b").Text;
        double.Parse(heat, System.Globalization.CultureInfo.InvariantCulture).ShouldBeInRange(0.6, 5);

        Next(screen);
        screen.See("h1", "Load");
        screen.See(".verdict .headline", "must go out at");
        screen.All("canvas").Count.ShouldBeGreaterThan(0);
        screen.See(".see", "What would buy most");

        Next(screen);
        screen.See("h1", "Unit");
        screen.Choose("/unit/chosen", "RT-09-115");
        screen.See(".verdict .headline", "RT-09-115");

        Next(screen);
        screen.See("h1", "Start");
        screen.See(".verdict .headline", "Starts on the inverter in");
        screen.See("[data-corners]", "of 8 cases");
        screen.See("[data-window]", "best");
        screen.See(".findings", "will trip it");
        var plain = Used(screen, "none");
        screen.Choose("/start/remedy", "soft starter");
        screen.See(".verdict .headline", "with its soft starter");
        Used(screen, "soft").ShouldBeLessThan(plain);

        Next(screen);
        screen.See("h1", "Energy");
        screen.See(".verdict .headline", "h");
        screen.See(".see", "By hand");

        Next(screen);
        screen.See("h1", "Commission");
        Commission(screen);

        Next(screen);
        screen.See("h1", "Handover");
        screen.See("[data-sheet]", "RT-09-115");
        screen.See("[data-sheet]", "What may run together");
        await Pdf(screen);

        server.Restart();
        screen.Go("/");
        screen.See("[data-rig='Brown Hare']").Click();
        screen.See("h1");
        screen.Go(screen.Driver.Url[..screen.Driver.Url.LastIndexOf('/')] + "/commission");
        screen.See("[data-log]", "Wren Tallow");
        screen.See("[data-ledger='heat'] b").Text.ShouldBe(heat);
        screen.IsClean();
    }

    private static void Next(Screen screen) => screen.Keyboard(Keys.Escape + "]");

    private static void Survey(Screen screen)
    {
        screen.Type("/survey/place/latitudeDeg", "34 N");
        screen.Type("/survey/place/dryBulbC", "38");
        screen.Type("/survey/place/nightLowC", "18 °C");
        screen.Type("/survey/headingDeg", "270");
        screen.Type("/survey/space/lengthM", "5.4 m");
        screen.Choose("/survey/roof/insulation", "XPS");
        screen.Type("/survey/roof/insulationM", "40 mm");
        screen.Choose("/survey/roof/paint", "dark green");
        screen.Choose("/survey/walls/insulation", "XPS");
        screen.Type("/survey/walls/insulationM", "40");
        for (var window = 0; window < 2; window++)
        {
            screen.Press("one more window");
            screen.Choose($"/survey/windows/{window}/cover", "quilted");
        }
        screen.Choose("/survey/windows/1/side", "right");
        screen.Type("/survey/people/count", "2");
        screen.Type("/survey/sources/battery/nominalV", "24");
        screen.Type("/survey/sources/battery/blockAh", "100");
        screen.Type("/survey/sources/battery/blocks", "2");
        screen.Type("/survey/sources/inverter/ratedW", "2 kW");
        screen.Type("/survey/sources/modules/count", "4");
        screen.Type("/survey/sources/modules/ratedW", "200");
    }

    private static int Used(Screen screen, string helped)
    {
        screen.See($"[data-remedy='{helped}']", "used");
        var words = screen.See($"[data-remedy='{helped}']").Text;
        return int.Parse(System.Text.RegularExpressions.Regex.Match(words, @"(\d+) % used").Groups[1].Value, System.Globalization.CultureInfo.InvariantCulture);
    }

    private static void Commission(Screen screen)
    {
        void Read(string name, string text) => screen.See($"[data-reading='{name}']").SendKeys(text);
        Read("by", "Wren Tallow");
        Read("vacuumStartPa", "320 micron");
        Read("vacuumEndPa", "700");
        Read("startA", "21 A");
        Read("runV", "118.5");
        Read("runA", "9.9");
        Read("runW", "1120");
        Read("enteringC", "80 °F");
        Read("enteringRhPct", "45");
        Read("leavingC", "13.5");
        Read("outdoorC", "36");
        screen.Press("record the readings");
        screen.See("[data-log]", "Wren Tallow");
        screen.See("[data-row='vacuum'] .word", "pass");
        screen.See("[data-row='volts'] .word", "pass");
    }

    private static async Task Pdf(Screen screen)
    {
        var link = screen.See("[data-pdf]").GetAttribute("href")!;
        using var http = new HttpClient();
        using var pdf = PdfDocument.Open(await http.GetByteArrayAsync(link));
        pdf.NumberOfPages.ShouldBe(1);
        var text = string.Join(' ', pdf.GetPage(1).GetWords().Select(w => w.Text));
        text.ShouldContain("Brown Hare");
        text.ShouldContain("RT-09-115");
        text.ShouldContain("118.5");
    }
}
