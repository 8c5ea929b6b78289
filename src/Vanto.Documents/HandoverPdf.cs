using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

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
    /// <param name="head">Where it is issued with a number.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Render(JobDesign design, HandoverAssessment sheet, UnitSystem units, DateOnly date, PaperHead? head = null) =>
        SheetPages.Pdf($"{design.Name}: owner's sheet",
            $"{design.Name}, owner's sheet of {date:yyyy-MM-dd}, made with Vanto from the survey and the readings of this job.",
            pages => Draw(pages, design, sheet, units, date, head));

    private static void Draw(SheetPages pages, JobDesign design, HandoverAssessment sheet, UnitSystem units, DateOnly date, PaperHead? issued)
    {
        const float draftWidth = 86;
        if (sheet.Draft)
            pages.Mark("DRAFT", 22, SheetPages.Stop);
        pages.Wrapped(design.Name, 22, SheetPages.Left, SheetPages.Across - (sheet.Draft ? draftWidth : 0), bold: true);
        string[] head = [$"Owner's sheet · {date:yyyy-MM-dd}", design.Handover.Firm.Length > 0 ? "fitted by " + design.Handover.Firm : "",
            design.Handover.Contact, design.Handover.Owner.Length > 0 ? "for " + design.Handover.Owner : ""];
        pages.Wrapped(string.Join(" · ", head.Where(h => h.Length > 0)), 10, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
        issued?.Draw(pages, Body);
        if (MissingLetters(pages, design, sheet) is { Length: > 0 } missing)
            pages.Wrapped($"This sheet has no letters for {missing}; a box stands in their place. The job file has them all.", Body, SheetPages.Left,
                SheetPages.Across, SheetPages.Stop);
        pages.Rule(SheetPages.Ink, 1.5f);
        IReadOnlyList<SheetBlock> Of(Func<SheetPlace, bool> place) => [.. sheet.Blocks.Where(b => place(b.Place))];
        pages.SideBySide(
            () => Blocks(pages, Of(p => p == SheetPlace.Rig), units, SheetPages.Left, 250),
            () => Blocks(pages, Of(p => p == SheetPlace.Fitted), units, RightColumn, 247));
        pages.Rule(SheetPages.Faint, 0.8f);
        Blocks(pages, Of(p => p > SheetPlace.Fitted), units, SheetPages.Left, SheetPages.Across);
        if (design.Handover.Remarks.Length == 0)
            return;
        pages.Heading("Remarks", SheetPages.Left);
        pages.Wrapped(design.Handover.Remarks, Body, SheetPages.Left, SheetPages.Across);
    }

    /// <summary>Letters in what the person typed that no font here has.</summary>
    private static string MissingLetters(SheetPages pages, JobDesign design, HandoverAssessment sheet)
    {
        IEnumerable<string> typed =
        [
            design.Name, design.Handover.Firm, design.Handover.Contact, design.Handover.Owner, design.Handover.Remarks,
            .. sheet.Blocks.SelectMany(b => b.Lines).Select(l => l.Value.ToString()),
        ];
        var missing = typed.SelectMany(pages.Missing).Distinct().ToList();
        return missing.Count
            == 0 ? "" : string.Join(", ", missing.Take(8).Select(r => $"U+{r:X4}")) + (missing.Count > 8 ? $" and {missing.Count - 8} more" : "");
    }

    private static void Blocks(SheetPages pages, IEnumerable<SheetBlock> blocks, UnitSystem units, float x, float width)
    {
        foreach (var block in blocks)
        {
            pages.Heading(block.Heading, x);
            if (block.Form == SheetForm.Tiles)
                Tiles(pages, block.Lines, units, x);
            else
                foreach (var line in block.Lines)
                    Line(pages, block.Form, line, units, x, width);
        }
    }

    private static void Line(SheetPages pages, SheetForm form, SheetLine line, UnitSystem units, float x, float width)
    {
        const float label = 92;
        var ink = line.State == StationState.Stop ? SheetPages.Stop : line.Faint ? SheetPages.Soft : SheetPages.Ink;
        var value = line.Value.InUnits(units);
        switch (form)
        {
            case SheetForm.Pairs:
                pages.Beside(line.Label.InUnits(units), Body, x, SheetPages.Soft);
                pages.Wrapped(value, Body, x + label, width - label, ink);
                break;
            case SheetForm.Rows:
                pages.Row(14, y =>
                {
                    pages.At(line.Label.InUnits(units), Body, x, y + 10, SheetPages.Ink);
                    pages.At(value, Body, 210, y + 10, SheetPages.Ink, bold: true);
                    pages.At(line.Beside.InUnits(units), Body, 320, y + 10, SheetPages.Soft);
                    pages.At(line.Mark, Body, 470, y + 10, ink, bold: true);
                });
                break;
            default:
                pages.Wrapped(form == SheetForm.Bullets ? "– " + value : value, Body, x, width, ink);
                break;
        }
    }

    private static void Tiles(SheetPages pages, IReadOnlyList<SheetLine> lines, UnitSystem units, float left)
    {
        const float column = 128;
        pages.Row(lines.Any(l => l.Beside.Template.Length > 0) ? 48 : 36, y =>
        {
            foreach (var (line, i) in lines.Select((l, i) => (l, i)))
            {
                pages.At(line.Label.InUnits(units), 10, left + i * column, y + 10, SheetPages.Soft);
                pages.At(line.Value.InUnits(units), 13, left + i * column, y + 26, SheetPages.Ink, bold: true);
                pages.At(line.Beside.InUnits(units), 9, left + i * column, y + 38, SheetPages.Soft);
            }
        });
    }
}
