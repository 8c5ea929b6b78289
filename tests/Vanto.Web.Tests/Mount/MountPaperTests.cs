using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using System.Xml.Linq;
using UglyToad.PdfPig;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Documents;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Mount;

/// <summary>The workshop's papers, read back by programs that did not write them.</summary>
public class MountPaperTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<string> Split()
    {
        var rig = await server.Begin("Sandpiper");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "MS-12-120"), Set("/layout/outdoor/place", "rearFrame")]));
        return rig.Id();
    }

    private static async Task<JsonNode> Parsed(string dxf)
    {
        var here = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(here, "Vanto.slnx")))
            here = Path.GetDirectoryName(here)!;
        using var node = Process.Start(new ProcessStartInfo("node",
            [Path.Combine(here, "tests", "Vanto.Web.Tests", "Mount", "read-dxf.mjs"), Path.Combine(here, "src", "ui")])
        { RedirectStandardInput = true, RedirectStandardOutput = true, RedirectStandardError = true })!;
        var (errors, output) = (node.StandardError.ReadToEndAsync(), node.StandardOutput.ReadToEndAsync());
        await node.StandardInput.WriteAsync(dxf);
        node.StandardInput.Close();
        await node.WaitForExitAsync();
        node.ExitCode.ShouldBe(0, await errors);
        return JsonNode.Parse(await output)!;
    }

    private static readonly DrawingItem[] Plate =
    [
        new DrawnLine(DrawingLayer.Outline, 0, 0, 100, 0), new DrawnLine(DrawingLayer.Outline, 100, 0, 100, 50),
        new DrawnLine(DrawingLayer.Outline, 100, 50, 0, 50), new DrawnLine(DrawingLayer.Outline, 0, 50, 0, 0),
        new DrawnCircle(DrawingLayer.Holes, 20, 25, 4.5), new DrawnArc(DrawingLayer.Outline, 80, 25, 10, 270, 90),
        new DrawnText(DrawingLayer.Text, 5, 5, 3.5, "PLATE 1 × Ø9"),
    ];

    [Fact]
    public async Task A_plate_is_read_back_by_another_program_as_it_was_drawn()
    {
        var culture = CultureInfo.CurrentCulture;
        CultureInfo.CurrentCulture = new CultureInfo("") { NumberFormat = new NumberFormatInfo { NumberDecimalSeparator = "," } };
        var dxf = DxfWriter.Write(Plate);
        CultureInfo.CurrentCulture = culture;
        var lines = dxf.Split("\r\n")[..^1];
        (lines.Length % 2).ShouldBe(0);
        lines[^2..].ShouldBe(["0", "EOF"]);
        lines.ShouldAllBe(l => !l.Contains(','), "no comma is a decimal mark");
        var read = await Parsed(dxf);
        read["layers"]!.AsArray().Select(l => (string)l!).Order().ShouldBe(["HOLES", "OUTLINE", "TEXT"]);
        var entities = read["entities"]!.AsArray();
        entities.Count.ShouldBe(7);
        var circle = entities.Single(e => (string)e!["type"]! == "CIRCLE")!;
        ((double)circle["center"]!["x"]!, (double)circle["center"]!["y"]!, (double)circle["radius"]!).ShouldBe((20, 25, 4.5));
        var arc = entities.Single(e => (string)e!["type"]! == "ARC")!;
        ((double)arc["startAngle"]!).ShouldBe(1.5 * Math.PI, 1e-6);
        ((double)arc["endAngle"]!).ShouldBe(0.5 * Math.PI, 1e-6);
        ((string)entities.Single(e => (string)e!["type"]! == "TEXT")!["text"]!).ShouldBe("PLATE 1 x %%c9");
    }

    [Fact]
    public async Task The_drawing_of_a_rig_is_read_back_line_by_line()
    {
        var id = await Split();
        var mount = (await server.Http.GetStringAsync($"/api/rigs/{id}/mount/drawing.dxf")).ReplaceLineEndings("\r\n");
        var entities = (await Parsed(mount))["entities"]!.AsArray();
        var svg = XDocument.Parse(await server.Http.GetStringAsync($"/api/rigs/{id}/mount/drawing.svg"));
        var drawn = svg.Descendants().Where(e => e.Name.LocalName == "line").ToList();
        var lines = entities.Where(e => (string)e!["type"]! == "LINE").ToList();
        lines.Count.ShouldBe(drawn.Count);
        foreach (var (line, element) in lines.Zip(drawn))
        {
            ((double)line!["vertices"]![0]!["x"]!).ShouldBe(double.Parse(element.Attribute("x1")!.Value, CultureInfo.InvariantCulture), 1e-3);
            ((double)line["vertices"]![1]!["y"]!).ShouldBe(-double.Parse(element.Attribute("y2")!.Value, CultureInfo.InvariantCulture), 1e-3);
        }
        entities.Count(e => (string)e!["type"]! == "CIRCLE").ShouldBe(svg.Descendants().Count(e => e.Name.LocalName == "circle"));
    }

    [Fact]
    public async Task The_papers_hold_lists_and_cautions()
    {
        using var pdf = PdfDocument.Open(await server.Http.GetByteArrayAsync($"/api/rigs/{await Split()}/mount/papers.pdf"));
        var text = string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        foreach (var words in new[] { "Cut list", "Bars", "Holes, from the lower left corner", "fillet weld", "N·m", "Battery disconnected before welding",
            "pilot hole by hand", "third angle" })
            text.ShouldContain(words);
    }

    /// <summary>Sheets as they are counted by hand: 10 mm of margin, 10 mm shared.</summary>
    [Theory]
    [InlineData(800, 285, TemplatePaper.A4, 3, 2, true)]
    [InlineData(800, 285, TemplatePaper.Letter, 4, 2, true)]
    [InlineData(190, 277, TemplatePaper.A4, 1, 1, false)]
    [InlineData(191, 277, TemplatePaper.A4, 2, 1, false)]
    public void A_template_takes_so_many_sheets(double wide, double high, TemplatePaper paper, int columns, int rows, bool landscape)
    {
        var tiles = TemplateTiles.Of(wide, high, paper);
        (tiles.Columns, tiles.Rows, tiles.Landscape).ShouldBe((columns, rows, landscape));
    }

    [Fact]
    public void A_template_that_was_printed_too_small_is_printed_again_larger()
    {
        TemplateTiles.Rescale(98.5).ShouldBe(1.015228, 1e-6);
        var upright = TemplateTiles.Laid(800, 285, 210, 297, false);
        (upright.Columns, upright.Rows).ShouldBe((5, 2));
    }

    [Theory]
    [InlineData("a4", 210, 297)]
    [InlineData("letter", 215.9, 279.4)]
    public async Task The_template_is_at_full_size(string paper, double wideMm, double highMm)
    {
        const double mm = 72 / 25.4;
        using var pdf = PdfDocument.Open(await server.Http.GetByteArrayAsync($"/api/rigs/{await Split()}/layout/template.pdf?paper={paper}"));
        pdf.NumberOfPages.ShouldBeGreaterThan(1);
        var holes = 0;
        foreach (var page in pdf.GetPages())
        {
            (Math.Min(page.Width, page.Height) / mm).ShouldBe(Math.Min(wideMm, highMm), 0.1);
            (Math.Max(page.Width, page.Height) / mm).ShouldBe(Math.Max(wideMm, highMm), 0.1);
            var lines = page.Paths.SelectMany(p => p).Select(s => s.GetBoundingRectangle()).OfType<UglyToad.PdfPig.Core.PdfRectangle>().ToList();
            lines.ShouldContain(l => Math.Abs(l.Width / mm - 100) < 0.05 && l.Height < 1, "a bar across of 100 mm");
            lines.ShouldContain(l => Math.Abs(l.Height / mm - 100) < 0.05 && l.Width < 1, "a bar upright of 100 mm");
            holes += lines.Count(l => Math.Abs(l.Width / mm - 65) < 0.3 && Math.Abs(l.Height / mm - 65) < 0.3);
            string.Join(' ', page.GetWords().Select(w => w.Text)).ShouldContain("INSIDE");
        }
        holes.ShouldBeGreaterThan(0, "the hole of 65 mm is on a sheet at its own size");
    }

    [Fact]
    public async Task There_is_no_template_without_a_head_and_no_paper_of_a_rig_that_is_not_there()
    {
        var rig = await server.Begin("Dunnock");
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}/layout/template.pdf")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/mount/papers.pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await server.Http.GetAsync($"/api/rigs/{await Split()}/layout/template.pdf?paper=a3")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "no-such-unit")]));
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}/mount/drawing.dxf")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }
}
