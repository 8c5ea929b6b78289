using System.Text.Json.Nodes;
using UglyToad.PdfPig;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>The owner's sheet leaves nothing out: it runs on to further pages, wraps, and says which letters it has not.</summary>
public class OwnersSheetTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<(PdfDocument Pdf, string Text)> Sheet(string id)
    {
        var pdf = PdfDocument.Open(await server.Http.GetByteArrayAsync($"/api/rigs/{id}/handover.pdf"));
        foreach (var page in pdf.GetPages())
            page.Letters.ShouldAllBe(l => l.Location.X >= 0 && l.BoundingBox.Right <= page.Width && l.Location.Y > 0,
                $"page {page.Number} keeps all its letters on the paper");
        return (pdf, string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text)));
    }

    private async Task<string> Rig(params object[] changes)
    {
        var rig = await server.Begin("Sheet", "rv");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "RT-09-115"), Set("/survey/sources/battery/blocks", 8), .. changes]));
        return rig.Id();
    }

    [Fact]
    public async Task All_that_must_not_run_together_is_printed()
    {
        var devices =
            new JsonArray([.. Enumerable.Range(0, 30).Select(i => new JsonObject { ["name"] = $"heater{i:00}", ["powerW"] = 1900 - i, ["supply"] = "ac" })]);
        var id = await Rig(Set("/survey/devices", devices));
        var view = await server.View(id);
        var sheet = view["assessment"]!["handover"]!["blocks"]!.AsArray().Single(b => (string)b!["heading"]! == "What may run together")!;
        var lines = sheet["lines"]!.AsArray().Select(l => (string)l!["value"]!["template"]!).ToList();
        var (pdf, text) = await Sheet(id);
        pdf.NumberOfPages.ShouldBeGreaterThan(1);
        var said = System.Text.RegularExpressions.Regex.Matches(text, "Not (together|at all):").Count;
        said.ShouldBe(lines.Count(l => l.StartsWith("Not ", StringComparison.Ordinal)));
        said.ShouldBeGreaterThan(5);
        lines[^1].ShouldStartWith("The 16 small ones:", Case.Sensitive, "none is left out: those too many to try one by one count as one");
        foreach (var device in Enumerable.Range(0, 30).Select(i => $"heater{i:00}"))
            text.ShouldContain(device);
        if (lines.FirstOrDefault(l => l.Contains("more sets that are not allowed", StringComparison.Ordinal)) is { } left)
            text.ShouldContain(left.Split(':')[0]);
    }

    [Fact]
    public async Task Long_remarks_run_on_to_the_next_page_and_keep_their_lines()
    {
        var remarks =
            string.Join('\n', Enumerable.Range(1, 95).Select(i => $"Line {i} of what the owner should know about this rig and its long summer days."));
        var (pdf, text) = await Sheet(await Rig(Set("/handover/remarks", remarks), Set("/handover/contact", new string('c', 190)),
            Set("/handover/firm", string.Join(' ', Enumerable.Repeat("Workshop", 20)))));
        pdf.NumberOfPages.ShouldBeGreaterThan(1);
        for (var i = 1; i <= 95; i++)
            text.ShouldContain($"Line {i} of");
        var lines = pdf.GetPages().SelectMany(p => p.GetWords()).Where(w => w.Text == "Line").Select(w => Math.Round(w.BoundingBox.Left)).Distinct().Count();
        lines.ShouldBe(1, "each line begins at the left");
    }

    [Fact]
    public async Task Greek_Cyrillic_and_Polish_letters_are_printed_and_missing_ones_are_named()
    {
        var id = await Rig(Set("/name", "Żółw Ωmega Чайка"), Set("/handover/owner", "鳥 & Łucja"));
        var (_, text) = await Sheet(id);
        foreach (var word in new[] { "Żółw", "Ωmega", "Чайка", "Łucja" })
            text.ShouldContain(word);
        text.ShouldContain("no letters for U+9CE5");
        var (_, plain) = await Sheet(await Rig(Set("/name", "Plain")));
        plain.ShouldNotContain("no letters");
    }

    [Fact]
    public async Task A_name_as_long_as_names_may_be_stands_beside_the_draft_mark()
    {
        var (pdf, text) = await Sheet(await Rig(Set("/name", string.Join(' ', Enumerable.Repeat("Wandering", 8)))));
        text.ShouldContain("DRAFT");
        var draft = pdf.GetPage(1).GetWords().Single(w => w.Text == "DRAFT").BoundingBox;
        pdf.GetPage(1).GetWords().Where(w => w.Text == "Wandering" && w.BoundingBox.Bottom < draft.Top && w.BoundingBox.Top > draft.Bottom)
            .ShouldAllBe(w => w.BoundingBox.Right <= draft.Left);
    }
}
