using SkiaSharp;
using Vanto.Core.Mount;

namespace Vanto.Documents;

/// <summary>The workshop's papers as PDF (A4): drawing, cut list with bars, holes, bolts and welds, cautions.</summary>
public static class MountPdf
{
    private const float Body = 9.5f;
    private const float DrawingHigh = 330;

    /// <summary>Draws them.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="mount">What the Mount station found.</param>
    /// <param name="material">Metal in words.</param>
    /// <param name="date">Date of issue.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Render(string rig, MountAssessment mount, string material, DateOnly date) =>
        SheetPages.Pdf($"{rig}: mount", $"{rig}, mount of {date:yyyy-MM-dd}, made with Vanto; lengths in mm.",
            pages => Draw(pages, rig, mount, material, date));

    private static void Draw(SheetPages pages, string rig, MountAssessment mount, string material, DateOnly date)
    {
        pages.Wrapped($"{rig}: mount", 20, SheetPages.Left, SheetPages.Across, bold: true);
        pages.Wrapped(FormattableString.Invariant($"{date:yyyy-MM-dd} · {material} · mount {mount.Workshop.MassKg:0.0} kg, unit {mount.MassKg:0.0} kg · ")
            + "third angle, mm with inches in brackets", 10, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
        pages.Rule(SheetPages.Ink, 1.5f);
        pages.Drawing(DrawingHigh, canvas => Picture(canvas, MountDrawing.Of(mount)));
        var shop = mount.Workshop;
        if (shop.Parts.Count > 0)
            pages.Table("Cut list", Body, [24, 40, 150, 130, 70, 60], ["", "count", "part", "profile", "long point", "cuts"], shop.Parts.Select(p => new[]
            {
                p.Label, $"{p.Count}", p.What, p.Profile, FormattableString.Invariant($"{p.LongMm:0.0}"),
                p.FirstDeg + p.SecondDeg > 0 ? FormattableString.Invariant($"{p.FirstDeg:0.0}° / {p.SecondDeg:0.0}°") : "square",
            }));
        if (shop.Stock.Count > 0)
            pages.Table("Bars", Body, [170, 270, 60], ["profile", "pieces out of one bar", "left"], shop.Stock.SelectMany(s => s.Value.Bars.Select(b => new[]
            {
                s.Key, string.Join(" + ", b.PiecesMm.Select(l => FormattableString.Invariant($"{l:0.0}"))), FormattableString.Invariant($"{b.LeftMm:0}"),
            })));
        if (shop.Joins.Count > 0)
            pages.Table("Bolts and welds", Body, [250, 40, 200], ["", "count", ""], shop.Joins.Select(j => new[] { j.What, $"{j.Count}", j.Note }));
        if (shop.Holes.Count > 0)
            pages.Table("Holes, from the lower left corner of the part", Body, [40, 30, 70, 70, 60, 200], ["part", "no.", "right", "up", "drill", ""],
                shop.Holes.Select(h => new[]
                {
                    h.Part, $"{h.Number}", FormattableString.Invariant($"{h.X:0.0}"), FormattableString.Invariant($"{h.Y:0.0}"),
                    FormattableString.Invariant($"{h.DrillMm:0.0}"), h.Purpose,
                }));
        pages.Heading("Cautions", SheetPages.Left);
        foreach (var caution in WorkshopCautions.All)
            pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
    }

    /// <summary>A drawing in a frame of the page's width, as large as it fits.</summary>
    private static void Picture(SKCanvas canvas, MountDrawing drawing)
    {
        var (wide, high) = ((float)(drawing.RightMm - drawing.LeftMm), (float)(drawing.TopMm - drawing.BottomMm));
        var scale = Math.Min(SheetPages.Across / wide, (DrawingHigh - 12) / high);
        SKPoint At(double x, double y) => new((float)(x - drawing.LeftMm) * scale, (float)(drawing.TopMm - y) * scale);
        using var solid = new SKPaint { Color = SheetPages.Ink, IsStroke = true, StrokeWidth = 0.9f, IsAntialias = true };
        using var thin = new SKPaint { Color = SheetPages.Soft, IsStroke = true, StrokeWidth = 0.5f, IsAntialias = true };
        using var letters = new SKPaint { Color = SheetPages.Ink, IsAntialias = true };
        foreach (var item in drawing.Items)
        {
            var pen = item.Layer is DrawingLayer.Dim or DrawingLayer.Centre ? thin : solid;
            switch (item)
            {
                case DrawnLine l:
                    canvas.DrawLine(At(l.X1, l.Y1), At(l.X2, l.Y2), pen);
                    break;
                case DrawnCircle c:
                    canvas.DrawCircle(At(c.X, c.Y), (float)c.Radius * scale, pen);
                    break;
                case DrawnText t:
                    using (var font = new SKFont(SheetPages.Face, Math.Max(5.5f, (float)t.HighMm * scale)))
                    {
                        canvas.Save();
                        var at = At(t.X, t.Y);
                        canvas.Translate(at.X, at.Y);
                        canvas.RotateDegrees((float)-t.TurnDeg);
                        canvas.DrawText(t.Words, t.Middle ? -font.MeasureText(t.Words) / 2 : 0, 0, font, letters);
                        canvas.Restore();
                    }
                    break;
            }
        }
    }
}
