using OpenQA.Selenium;
using UglyToad.PdfPig;

namespace Vanto.Browser.Tests;

/// <summary>A fitter who has never seen Vanto: from an empty store to a printed sheet, by the keyboard.</summary>
public class NewcomerTests
{
    /// <summary>The first band of a newcomer: three questions by the keyboard, capacity, start and night in under a minute.</summary>
    [Fact]
    public void Three_answers_give_a_first_band_in_under_a_minute()
    {
        using var server = new VantoServer();
        using var screen = new Screen(server.Address);
        var begun = System.Diagnostics.Stopwatch.StartNew();
        screen.Go("/");
        screen.See(".empty", "Begin with the rig that stands in front of you");
        screen.PickOnly("[data-new='kind']", "bus");
        Answer(screen, "lengthM", "8.2 m");
        Answer(screen, "place", "Saltpan Flat");
        Answer(screen, "hottestC", "41");
        Answer(screen, "batteryWh", "10 kWh");
        Answer(screen, "inverterW", "3 kW");
        Answer(screen, "solarW", "1200");
        screen.See("[data-band]", "a first band");
        screen.See("[data-band]", "nominal");
        screen.See("[data-band]", "of the night held");
        screen.See("[data-band]", "starts:");
        begun.Elapsed.ShouldBeLessThan(TimeSpan.FromMinutes(1), "a machine types faster than a person, and answers as fast");
        Answer(screen, "hottestC", "80");
        screen.See("[data-begin] [role='alert']", "20 °C to 55 °C");
        Answer(screen, "hottestC", "41");
        screen.Until(() => screen.All("[data-begin] [role='alert']").Count == 0, "the refusal goes");
        screen.IsAccessible();
        Answer(screen, "name", "Quoted Hare");
        screen.Press("begin", "[data-begin]");
        screen.See("h1", "Survey");
        screen.See("input[data-path='/survey/space/lengthM']").GetAttribute("value").ShouldBe("8.2");
        screen.Leaf("board");
        screen.See("input[data-path='/survey/sources/inverter/ratedW']").GetAttribute("value").ShouldBe("3000");
        screen.IsClean();
    }

    private static void Answer(Screen screen, string key, string text) =>
        Screen.Into(screen.See(key == "name" ? "[data-new='name']" : $"[data-quick='{key}']"), text);

    [Fact]
    public async Task From_the_tape_measure_to_the_owners_sheet()
    {
        using var server = new VantoServer();
        using var screen = new Screen(server.Address);
        screen.Go("/");
        Answer(screen, "lengthM", "5.4 m");
        Answer(screen, "hottestC", "38");
        Answer(screen, "name", "Brown Hare");
        screen.Press("begin", "[data-begin]");
        screen.See("h1", "Survey");

        Survey(screen);
        screen.See(".run [aria-current='page']", "Survey");
        var heat = screen.See("[data-ledger='heat'] b").Text;
        double.Parse(heat, System.Globalization.CultureInfo.InvariantCulture).ShouldBeInRange(0.6, 5);

        Next(screen);
        screen.See("h1", "Load");
        screen.See(".verdict .headline", "must go out at");
        screen.Until(() => screen.All("canvas").Count > 0, "the day is drawn");
        screen.Leaf("measures");
        screen.See(".see", "take it");

        Next(screen);
        screen.See("h1", "Unit");
        screen.Choose("/unit/chosen", "rooftop 9k, 115 V");
        screen.See(".verdict .headline", "Rooftop 9k, 115 V");

        Next(screen);
        screen.See("h1", "Start");
        screen.See(".verdict .headline", "Starts on the inverter");
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
        screen.Leaf("by-hand");
        screen.See(".verdict .headline", "By hand");

        Next(screen);
        screen.See("h1", "Layout");
        screen.Leaf("opening");
        screen.See(".verdict .headline", "gasket is pressed");

        Next(screen);
        screen.See("h1", "Mount");
        screen.See(".verdict .headline", "Its clamp holds");

        Next(screen);
        screen.See("h1", "Wiring");
        screen.See(".verdict .headline", "14 AWG on 15 A");

        Next(screen);
        screen.See("h1", "Plan");
        screen.See(".verdict .headline", "Done ");

        Next(screen);
        screen.See("h1", "Install");
        screen.See(".verdict .headline", "Next: Confirm design");

        Next(screen);
        screen.See("h1", "Commission");
        screen.Leaf("readings");
        Commission(screen);

        Next(screen);
        screen.See("h1", "Handover");
        screen.See("[data-sheet]", "rooftop 9k, 115 V (RT-09-115)");
        screen.See("[data-sheet]", "What may run together");
        await Pdf(screen);

        server.Restart();
        screen.OpenRig("Brown Hare", "commission/readings");
        screen.See("[data-log]", "Wren Tallow");
        screen.See("[data-ledger='heat'] b").Text.ShouldBe(heat);
        screen.IsClean();
    }

    private static void Next(Screen screen) => screen.Keyboard(Keys.Escape + "]");

    private static void Survey(Screen screen)
    {
        screen.Type("/survey/headingDeg", "270");
        screen.Leaf("skin");
        screen.Choose("/survey/roof/insulation", "XPS");
        screen.Type("/survey/roof/insulationM", "40 mm");
        screen.Choose("/survey/roof/paint", "dark green");
        screen.Choose("/survey/walls/insulation", "XPS");
        screen.Type("/survey/walls/insulationM", "40");
        screen.Leaf("windows");
        for (var window = 0; window < 2; window++)
        {
            screen.Press("one more window");
            screen.Choose($"/survey/windows/{window}/cover", "quilted");
        }
        screen.Choose("/survey/windows/1/side", "right");
        screen.Leaf("people");
        screen.Type("/survey/people/count", "2");
        screen.Leaf("board");
        screen.Type("/survey/sources/battery/nominalV", "24");
        screen.Type("/survey/sources/battery/blockAh", "100");
        screen.Type("/survey/sources/battery/blocks", "2");
        screen.Type("/survey/sources/inverter/ratedW", "2 kW");
        screen.Type("/survey/sources/modules/count", "4");
        screen.Type("/survey/sources/modules/ratedW", "200");
        screen.Leaf("place");
        screen.Type("/survey/place/latitudeDeg", "34 N");
        screen.Type("/survey/place/nightLowC", "18 °C");
    }

    private static int Used(Screen screen, string helped)
    {
        screen.See($"[data-remedy-result='{helped}']", "overload timer at");
        var words = screen.See($"[data-remedy-result='{helped}']").Text;
        return int.Parse(System.Text.RegularExpressions.Regex.Match(words, @"timer at (\d+) %").Groups[1].Value,
            System.Globalization.CultureInfo.InvariantCulture);
    }

    private static void Commission(Screen screen)
    {
        void Read(string name, string text) => screen.See($"[data-reading='{name}']").SendKeys(text);
        Read("by", "Wren Tallow");
        screen.All("[data-reading='vacuumStartPa']").ShouldBeEmpty("a rooftop unit comes sealed: no vacuum is asked for");
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
        screen.See("[data-row='volts'] .word", "pass");
    }

    private static async Task Pdf(Screen screen)
    {
        var link = screen.See("[data-pdf]").GetAttribute("href")!;
        using var http = new HttpClient();
        using var pdf = PdfDocument.Open(await http.GetByteArrayAsync(link));
        pdf.NumberOfPages.ShouldBe(2);
        var text = string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        text.ShouldContain("Brown Hare");
        text.ShouldContain("RT-09-115");
        text.ShouldContain("118.5");
    }
}
