using SkiaSharp;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Quantities;

namespace Vanto.Documents;

/// <summary>The owner's sheet as PDF (A4): one page where it fits, as many as it takes where it does not; nothing is left out.</summary>
public static class HandoverPdf
{
    private const float RightColumn = 306;
    private const float Body = 9.5f;

    /// <summary>Draws the sheet.</summary>
    /// <param name="design">The rig.</param>
    /// <param name="sheet">What the Handover station put together.</param>
    /// <param name="units">Units on paper.</param>
    /// <param name="date">Date of issue.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Render(JobDesign design, HandoverAssessment sheet, UnitSystem units, DateOnly date)
    {
        using var stream = new MemoryStream();
        using (var document = SKDocument.CreatePdf(stream, new SKDocumentPdfMetadata { Title = $"{design.Name}: owner's sheet", Creator = "Vanto" }))
        {
            using var pages = new SheetPages(document, $"{design.Name}, owner's sheet of {date:yyyy-MM-dd}, made with Vanto from the survey and the readings of this job.");
            Draw(pages, design, sheet, units, date);
            pages.Finish();
            document.Close();
        }
        return stream.ToArray();
    }

    private static void Draw(SheetPages pages, JobDesign design, HandoverAssessment sheet, UnitSystem units, DateOnly date)
    {
        const float draftWidth = 86;
        if (sheet.Draft)
            pages.Mark("DRAFT", 22, SheetPages.Stop);
        pages.Wrapped(design.Name, 22, SheetPages.Left, SheetPages.Across - (sheet.Draft ? draftWidth : 0), bold: true);
        string[] head = [$"Owner's sheet · {date:yyyy-MM-dd}", design.Handover.Firm.Length > 0 ? "fitted by " + design.Handover.Firm : "", design.Handover.Contact, design.Handover.Owner.Length > 0 ? "for " + design.Handover.Owner : ""];
        pages.Wrapped(string.Join(" · ", head.Where(h => h.Length > 0)), 10, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
        if (MissingLetters(pages, design, sheet) is { Length: > 0 } missing)
            pages.Wrapped($"This sheet has no letters for {missing}; a box stands in their place. The job file has them all.", Body, SheetPages.Left, SheetPages.Across, SheetPages.Stop);
        pages.Rule(SheetPages.Ink, 1.5f);
        pages.SideBySide(
            () => Lines(pages, "The rig", sheet.Rig, units, SheetPages.Left, 250),
            () => Lines(pages, "What was fitted", sheet.Fitted, units, RightColumn, 247));
        pages.Rule(SheetPages.Faint, 0.8f);
        Together(pages, sheet.Together, units);
        Hours(pages, sheet, units);
        pages.Heading("When power runs short, in this order", SheetPages.Left);
        pages.Wrapped(string.Join(", then ", sheet.WhenShort) + $". Never: {LimitedPower.NeverShed}.", Body, SheetPages.Left, SheetPages.Across);
        Proof(pages, sheet.Proof, units);
        pages.Heading("Cautions", SheetPages.Left);
        foreach (var caution in sheet.Cautions)
            pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
        if (design.Handover.Remarks.Length == 0)
            return;
        pages.Heading("Remarks", SheetPages.Left);
        pages.Wrapped(design.Handover.Remarks, Body, SheetPages.Left, SheetPages.Across);
    }

    /// <summary>Letters in what the person typed that no font here has.</summary>
    private static string MissingLetters(SheetPages pages, JobDesign design, HandoverAssessment sheet)
    {
        IEnumerable<string> typed = [design.Name, design.Handover.Firm, design.Handover.Contact, design.Handover.Owner, design.Handover.Remarks, .. sheet.WhenShort, .. sheet.Together?.Together.SelectMany(s => s) ?? [], .. sheet.Together?.Never.SelectMany(s => s) ?? [], .. sheet.Together?.Small ?? [], .. sheet.Rig.Select(l => l.Value.ToString())];
        var missing = typed.SelectMany(pages.Missing).Distinct().ToList();
        return missing.Count == 0 ? "" : string.Join(", ", missing.Take(8).Select(r => $"U+{r:X4}")) + (missing.Count > 8 ? $" and {missing.Count - 8} more" : "");
    }

    private static void Lines(SheetPages pages, string heading, IEnumerable<SheetLine> lines, UnitSystem units, float x, float width)
    {
        const float label = 92;
        pages.Heading(heading, x);
        foreach (var line in lines)
        {
            pages.Beside(line.Label, Body, x, SheetPages.Soft);
            pages.Wrapped(line.Value.InUnits(units), Body, x + label, width - label);
        }
    }

    private static void Together(SheetPages pages, TogetherOnSource? together, UnitSystem units)
    {
        pages.Heading("What may run together", SheetPages.Left);
        if (together is null)
        {
            pages.Wrapped("The unit runs straight on the battery: nothing else shares an inverter with it.", Body, SheetPages.Left, SheetPages.Across);
            return;
        }
        pages.Wrapped(together.Rating.InUnits(units), Body, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
        if (together.Together.Count == 0)
            pages.Wrapped("The air conditioner must not be started on this source.", Body, SheetPages.Left, SheetPages.Across, SheetPages.Stop);
        foreach (var set in together.Together)
            pages.Wrapped("Together: " + string.Join(", ", set), Body, SheetPages.Left, SheetPages.Across);
        if (together.TogetherLeft > 0)
            pages.Wrapped($"and {together.TogetherLeft} more sets that are allowed.", Body, SheetPages.Left, SheetPages.Across);
        foreach (var set in together.Never)
            pages.Wrapped(set.Count == 1 ? "Not at all: " + set[0] : "Not together: " + string.Join(" with ", set), Body, SheetPages.Left, SheetPages.Across);
        if (together.NeverLeft > 0)
            pages.Wrapped($"and {together.NeverLeft} more sets that are not allowed: what is not written under Together is run one at a time.", Body, SheetPages.Left, SheetPages.Across, SheetPages.Stop);
        if (together.Small.Count > 0)
            pages.Wrapped($"The {together.Small.Count} small ones: {string.Join(", ", together.Small)}.", Body, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
    }

    private static void Hours(SheetPages pages, HandoverAssessment sheet, UnitSystem units)
    {
        const float column = 128;
        if (sheet.Hours.Count == 0)
            return;
        pages.Heading("How long on a full battery, at night", SheetPages.Left);
        pages.Row(36, y =>
        {
            foreach (var (row, i) in sheet.Hours.Select((r, i) => (r, i)))
            {
                var x = SheetPages.Left + i * column;
                pages.At(Display.Text(row.SetpointC, QuantityKind.Temperature, units), 10, x, y + 10, SheetPages.Soft);
                pages.At(row.PrintedHours > 24 ? "more than 24 h" : FormattableString.Invariant($"{row.PrintedHours:0.##} h"), 13, x, y + 26, SheetPages.Ink, bold: true);
            }
        });
    }

    private static void Proof(SheetPages pages, IReadOnlyList<VerdictRow> rows, UnitSystem units)
    {
        pages.Heading("Measured against predicted", SheetPages.Left);
        foreach (var row in rows)
            pages.Row(14, y =>
            {
                pages.At(row.Label, Body, SheetPages.Left, y + 10, SheetPages.Ink);
                pages.At(row.Measured is { } m ? m.InUnits(units) : "not taken", Body, 210, y + 10, SheetPages.Ink, bold: true);
                pages.At(row.Expected is { } e ? "expected " + e.InUnits(units) : "", Body, 320, y + 10, SheetPages.Soft);
                pages.At(Calls.Name(row.Verdict), Body, 470, y + 10, row.Verdict is BandVerdict.Stop ? SheetPages.Stop : SheetPages.Ink, bold: true);
            });
    }
}
