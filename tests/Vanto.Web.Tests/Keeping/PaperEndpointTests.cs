using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Vanto.Documents;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

/// <summary>Papers with numbers, the label's page, the bundle, the shop.</summary>
public class PaperEndpointTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<HttpResponseMessage> Record(string id, string kind, object values) => await server.Http.PostAsJsonAsync(
        $"/api/rigs/{id}/records", new { kind, by = "Ottoline Marsh", units = "metric", decimalComma = false, values });

    private async Task<HttpResponseMessage> Shop(string kind, object values) => await server.Http.PostAsJsonAsync(
        "/api/shop/records", new { kind, by = "Ottoline Marsh", units = "metric", decimalComma = false, values });

    private async Task<HttpResponseMessage> Issue(string id, string kind, params string[] instruments) => await server.Http.PostAsJsonAsync(
        $"/api/rigs/{id}/papers", new { kind, by = "Ottoline Marsh", licence = "HD-55", instruments });

    private async Task<string> Split()
    {
        var id = (await server.Begin("Reed Warbler")).Id();
        await Read(await server.Patch(id, 1, [Set("/unit/chosen", "MS-12-120"), Set("/handover/contact", "bench line 14")]));
        return id;
    }

    private async Task<string> Text(string address)
    {
        using var pdf = UglyToad.PdfPig.PdfDocument.Open(await server.Http.GetByteArrayAsync(address));
        return string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
    }

    [Fact]
    public async Task A_certificate_is_frozen_numbered_and_replaced()
    {
        var id = await Split();
        (await Read(await Issue(id, "circuit"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("nothing to certify");
        await Read(await Shop("instrument", new { name = "grey gauge", type = "vacuumGauge", serial = "VG-1", calibratedOn = "2020-01-01" }));
        await Read(await Record(id, "vacuum", new { value = "450", unit = "micron", shutOff = "true" }));
        (await Read(await Issue(id, "circuit", "no such gauge"), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("no such gauge");
        var first = await Read(await Issue(id, "circuit", "grey gauge"));
        var number = first.Text("/number");
        number.ShouldMatch("^[0-9A-Z]{9}-CIRCUIT-[0-9A-Z]{5}-01$");
        var before = await Text($"/api/rigs/{id}/papers/{first.Text("/id")}.pdf");
        before.ShouldContain("NOT IN CALIBRATION");
        before.ShouldContain("HD-55");
        before.ShouldContain(number);
        var row = first["view"]!["assessment"]!["handover"]!["papers"]![0]!;
        before.ShouldContain(row.Text("/code"), customMessage: "its signature in short stands on the paper");
        (row.Text("/origin"), row.Text("/says")).ShouldBe(("here", ""));
        var after = await Read(await Record(id, "vacuum", new { value = "2500", unit = "micron", minute = "10" }));
        after["assessment"]!["handover"]!["papers"]![0]!.Text("/number").ShouldBe(number);
        ((bool)after["assessment"]!["handover"]!["papers"]![0]!["stale"]!).ShouldBeTrue();
        (await Text($"/api/rigs/{id}/papers/{first.Text("/id")}.pdf")).ShouldBe(before, "what was issued stands");
        var second = await Read(await Issue(id, "circuit", "grey gauge"));
        second.Text("/number").ShouldBe(number[..^2] + "02");
        (await Text($"/api/rigs/{id}/papers/{second.Text("/id")}.pdf")).ShouldContain($"in place of {number}");
        (await Read(await Record(id, "paper", new { number = "X-1" }), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("issued");
    }

    [Fact]
    public async Task Two_papers_at_once_have_two_numbers()
    {
        var id = await Split();
        await Read(await Record(id, "vacuum", new { value = "450", unit = "micron", shutOff = "true" }));
        var both = await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => Issue(id, "circuit")));
        var numbers = await Task.WhenAll(both.Select(async b => (await Read(b)).Text("/number")));
        numbers.ShouldBeUnique();
    }

    /// <summary>Dark modules of the code that a page shows, from the squares that are drawn on it.</summary>
    private static bool[,] Modules(byte[] file)
    {
        using var pdf = UglyToad.PdfPig.PdfDocument.Open(file);
        var squares = pdf.GetPage(1).Paths.SelectMany(p => p).Select(s => s.GetBoundingRectangle()).OfType<UglyToad.PdfPig.Core.PdfRectangle>()
            .Where(r => r.Width > 1 && Math.Abs(r.Width - r.Height) < 0.05).ToList();
        var side = squares.Min(r => r.Width);
        squares.RemoveAll(r => Math.Abs(r.Width - side) > 0.05);
        var (left, top) = (squares.Min(r => r.Left), squares.Max(r => r.Top));
        int Place(double off) => (int)Math.Round(off / side);
        var n = 1 + squares.Max(r => Place(r.Left - left));
        var dark = new bool[n, n];
        foreach (var r in squares)
            dark[Place(top - r.Top), Place(r.Left - left)] = true;
        return dark;
    }

    [Fact]
    public async Task The_labels_page_is_for_its_key_and_tells_nothing_private()
    {
        var id = await Split();
        const string planted = "zzplanted";
        await Read(await server.Patch(id, 2, [Set("/handover/owner", $"{planted}owner"), Set("/handover/remarks", $"{planted}remarks"),
            Set("/survey/place/name", $"{planted}place"), Set("/name", $"{planted}rig")]));
        await Read(await Record(id, "visit", new { found = $"{planted}found", done = "filter" }));
        var issued = await Read(await Issue(id, "guide"));
        var (key, code) = (issued.Text("/key"), issued["view"]!["design"]!["handover"]!.Text("/code"));
        var page = await server.Http.GetAsync($"/h/{code}?k={key}");
        page.StatusCode.ShouldBe(HttpStatusCode.OK);
        page.Headers.CacheControl!.NoStore.ShouldBeTrue();
        var text = await page.Content.ReadAsStringAsync();
        text.ShouldContain("bench line 14");
        text.ShouldContain("Day by day");
        text.ShouldNotContain(planted);
        text.ShouldNotContain("Ottoline");
        text.ShouldNotContain("<script");
        await Read(await server.Patch(id, 4, [Set("/handover/contact", "another line")]));
        (await server.Http.GetStringAsync($"/h/{code}?k={key}")).ShouldBe(text, "an edit changes nothing until it is issued anew");
        var wrong = await server.Http.GetAsync($"/h/{code}?k={key}X");
        var nobody = await server.Http.GetAsync($"/h/AAAAAAAA0?k={key}");
        (wrong.StatusCode, nobody.StatusCode).ShouldBe((HttpStatusCode.NotFound, HttpStatusCode.NotFound));
        (await wrong.Content.ReadAsStringAsync()).ShouldBe(await nobody.Content.ReadAsStringAsync());
        (await Text($"/api/rigs/{id}/label.pdf?key={key}")).ShouldContain(code[..4]);
        QrReader.Read(Modules(await server.Http.GetByteArrayAsync($"/api/rigs/{id}/label.pdf?key={key}"))).ShouldEndWith($"/H/{code}?K={key}");
        await Read(await server.Http.GetAsync($"/api/rigs/{id}/label.pdf?key=WRONG"), HttpStatusCode.BadRequest);
        await Read(await Issue(id, "guide"));
        (await server.Http.GetAsync($"/h/{code}?k={key}")).StatusCode.ShouldBe(HttpStatusCode.NotFound, "the old label is no key any more");
        var limited = await Task.WhenAll(Enumerable.Range(0, 40).Select(_ => server.Http.GetAsync($"/h/{code}?k=X")));
        limited.ShouldContain(r => r.StatusCode == HttpStatusCode.TooManyRequests);
    }

    [Fact]
    public async Task A_gauge_that_came_back_off_names_the_papers_that_stand_on_it()
    {
        var id = await Split();
        await Read(await Shop("instrument", new { name = "red gauge", type = "vacuumGauge", calibratedOn = DateTime.UtcNow.ToString("yyyy-MM-dd") }));
        await Read(await Record(id, "vacuum", new { value = "430", unit = "micron", minute = "0", shutOff = "true" }));
        for (var minute = 1; minute <= 10; minute++)
            await Read(await Record(id, "vacuum", new { value = $"{430 + 4 * minute}", unit = "micron", minute = $"{minute}" }));
        var paper = await Read(await Issue(id, "circuit", "red gauge"));
        var off = await Read(await Shop("instrument", new
        {
            name = "red gauge",
            type = "vacuumGauge",
            offShare = "0.5",
            calibratedOn = DateTime.UtcNow.ToString("yyyy-MM-dd")
        }));
        var gauge = off["view"]!["instruments"]!.AsArray().Single(i => (string)i!["name"]! == "red gauge")!;
        var traced = (await Read(await server.Http.GetAsync($"/api/shop/instruments/{gauge.Text("/id")}/trace"))).AsArray();
        traced.ShouldHaveSingleItem()!.Text("/number").ShouldBe(paper.Text("/number"));
        traced[0]!["moved"]!.AsArray().Count.ShouldBeGreaterThan(0);
        (await server.Http.GetAsync($"/api/shop/instruments/{Guid.NewGuid()}/trace")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_bundle_is_whole_and_any_byte_turned_is_named()
    {
        var id = await Split();
        await Read(await Record(id, "vacuum", new { value = "450", unit = "micron", shutOff = "true" }));
        await Read(await Issue(id, "circuit"));
        var zip = await server.Http.GetByteArrayAsync($"/api/rigs/{id}/bundle.zip");
        Bundles.Faults(zip).ShouldBeEmpty();
        using var archive = new System.IO.Compression.ZipArchive(new MemoryStream(zip));
        var names = archive.Entries.Select(e => e.FullName).ToList();
        names.ShouldContain("job/job.json");
        names.ShouldContain("readings/records.csv");
        names.ShouldContain(n => n.StartsWith("record/certificates/", StringComparison.Ordinal));
        // Computed outside this project: three files, their sums' text and its own sum.
        var three = new Dictionary<string, byte[]>
        {
            ["guide/readme.txt"] = "Vanto handover\n"u8.ToArray(),
            ["job/job.json"] = "{\"a\":1}"u8.ToArray(),
            ["readings/empty.csv"] = [],
        };
        var sums = System.Text.Encoding.UTF8.GetBytes(JobBundle.SumsOf(three));
        sums.Length.ShouldBe(247);
        Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(sums))
            .ShouldBe("ea715f239e5b424f16acbce80d5ccb68fe722e8fb0caf0ad60c0ab81a74cc1e0");
        var altered = JobBundle.Zip(three);
        using (var stream = new MemoryStream())
        {
            stream.Write(altered);
            using (var open = new System.IO.Compression.ZipArchive(stream, System.IO.Compression.ZipArchiveMode.Update, leaveOpen: true))
            {
                open.GetEntry("job/job.json")!.Delete();
                using (var entry = open.CreateEntry("job/job.json").Open())
                    entry.Write("{\"a\":2}"u8);
                open.GetEntry("readings/empty.csv")!.Delete();
                open.CreateEntry("extra.txt");
            }
            Bundles.Faults(stream.ToArray())
                .ShouldBe(["readings/empty.csv is missing", "job/job.json was altered", "extra.txt was put in"], ignoreOrder: true);
        }
    }

    [Fact]
    public async Task The_shop_keeps_its_log_and_is_no_rig()
    {
        var page = await Read(await Shop("instrument", new { name = "clamp", type = "clampMeter", calibratedOn = "2020-01-01" }));
        page["view"]!["due"]!.AsArray().ShouldContain(d => (string)d!["kind"]! == "calibration" && (string)d["state"]! == "overdue");
        (await Read(await Shop("instrument", new { name = "clamp", type = "clampMeter", calibratedOn = DateTime.UtcNow.ToString("yyyy-MM-dd") })))["view"]!
            ["instruments"]!.AsArray().Count(i => (string)i!["name"]! == "clamp").ShouldBe(1, "the newest entry of a name counts");
        await Read(await Shop("instrument", new { months = "900" }), HttpStatusCode.BadRequest);
        await Read(await Shop("spanner", new { name = "x" }), HttpStatusCode.BadRequest);
        (await Read(await Shop("instrument", new { name = "clamp", calibratedOn = "3/2/27" }), HttpStatusCode.BadRequest)).Text("/detail")
            .ShouldContain("year-month-day");
        var yard = await Read(await server.Http.GetAsync("/api/rigs"));
        yard.AsArray().ShouldNotContain(r => (string)r!["id"]! == Web.Shop.ShopDesk.Shop.ToString());
        (await server.Http.DeleteAsync($"/api/rigs/{Web.Shop.ShopDesk.Shop}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Read(await server.Http.GetAsync("/api/shop")))["view"]!["instruments"]!.AsArray().Count
            .ShouldBeGreaterThan(0, "it is no rig that can be removed");
        var id = (await server.Begin("Café Wren")).Id();
        async Task<JsonArray> Found(string words) => (await Read(await server.Http.GetAsync($"/api/shop/search?q={Uri.EscapeDataString(words)}"))).AsArray();
        (await Found("cafe wren")).ShouldContain(f => (string)f!["id"]! == id);
        (await Found("\"")).Count.ShouldBe(0);
        (await Found("cafe heron")).Count.ShouldBe(0);
        (await Found("\"cafe wren\"")).Count.ShouldBe(1);
        (await Found("\"wren cafe\"")).Count.ShouldBe(0, "what stands in quotes stands together");
        await Read(await server.Patch(id, 1, [Set("/unit/chosen", "MS-12-120"), Set("/start/cableM", 7.62)]));
        (await Found("cafe 12,000 BTU/h 25 ft")).ShouldContain(f => (string)f!["id"]! == id, "found by other units than it was typed in");
        (await Found("cafe 47 kW")).Count.ShouldBe(0);
    }

    [Fact]
    public async Task The_owner_at_night_is_answered_and_the_calendar_is_one()
    {
        var id = await Split();
        var now = await Read(await server.Http.GetAsync($"/api/rigs/{id}/handover/now?charge=0.4&hour=2"));
        now["ways"]!.AsArray().Count.ShouldBe(3);
        await Read(await server.Http.GetAsync($"/api/rigs/{id}/handover/now?charge=1.4&hour=2"), HttpStatusCode.BadRequest);
        var view = await Read(await server.Patch(id, 2, [Set("/service/handedOver", "2027-01-01")]));
        view.ShouldNotBeNull();
        var ics = await server.Http.GetStringAsync($"/api/rigs/{id}/service.ics");
        ics.ShouldContain("BEGIN:VCALENDAR");
        ics.ShouldContain($"UID:filter@{Guid.Parse(id):N}.vanto", Case.Sensitive, "two rigs never share an entry");
        var due = (await Read(await server.Http.GetAsync($"/api/rigs/{id}/service/due"))).AsArray();
        ((int)due.Single(d => (string)d!["of"]! == "filter")!["days"]!).ShouldBe(
            DateOnly.Parse((string)(await server.View(id))["assessment"]!["service"]!["care"]!.AsArray().Single(c => (string)c!["id"]! == "filter")!["due"]!)
                .DayNumber - DateOnly.FromDateTime(DateTime.Now).DayNumber);
        ics.ShouldContain("TRIGGER:-P3D");
    }
}
