using SkiaSharp;
using Vanto.Core.Layout;
using Vanto.Core.Mount;

namespace Vanto.Documents;

/// <summary>The drill template at full size over as many sheets as it takes, with bars that show whether the printer kept the scale.</summary>
public static class TemplatePdf
{
    private const float PointsPerMm = 72 / 25.4f;

    /// <summary>Draws it.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="template">What is printed.</param>
    /// <param name="paper">On which paper.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Render(string rig, DrillTemplate template, TemplatePaper paper)
    {
        var tiles = TemplateTiles.Of(template.WideMm, template.HighMm, paper);
        using var stream = new MemoryStream();
        using (var document = SKDocument.CreatePdf(stream, new SKDocumentPdfMetadata { Title = $"{rig}: drill template", Creator = "Vanto" }))
        {
            for (var row = tiles.Rows - 1; row >= 0; row--)
                for (var column = 0; column < tiles.Columns; column++)
                {
                    var canvas = document.BeginPage((float)tiles.SheetWideMm * PointsPerMm, (float)tiles.SheetHighMm * PointsPerMm);
                    Sheet(canvas, rig, template, tiles, column, row);
                    document.EndPage();
                }
            document.Close();
        }
        return stream.ToArray();
    }

    private static void Sheet(SKCanvas canvas, string rig, DrillTemplate template, TemplateTiles tiles, int column, int row)
    {
        using var ink = new SKPaint { Color = SKColors.Black, IsStroke = true, StrokeWidth = 0.25f, IsAntialias = true };
        using var fill = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        canvas.Scale(PointsPerMm);
        var (margin, high) = ((float)TemplateTiles.MarginMm, (float)tiles.SheetHighMm);
        SKPoint At(double x, double y) => new((float)(x - column * tiles.StepXMm) + margin, high - margin - (float)(y - row * tiles.StepYMm));
        canvas.Save();
        canvas.ClipRect(new SKRect(margin, margin, (float)tiles.SheetWideMm - margin, high - margin));
        Artwork(canvas, template, At, ink, fill);
        for (var i = 1; i < tiles.Columns; i++)
            for (var j = 0.5; j < tiles.Rows; j++)
                Cross(canvas, At(i * tiles.StepXMm + TemplateTiles.OverlapMm / 2, j * tiles.StepYMm), ink);
        for (var j = 1; j < tiles.Rows; j++)
            for (var i = 0.5; i < tiles.Columns; i++)
                Cross(canvas, At(i * tiles.StepXMm, j * tiles.StepYMm + TemplateTiles.OverlapMm / 2), ink);
        canvas.Restore();
        Bars(canvas, tiles, ink, fill);
        Words(canvas, 3.2f, margin, margin - 3, FormattableString.Invariant($"{rig}: drill template {(template.Outside ? "OUTSIDE" : "INSIDE")}, sheet ")
            + FormattableString.Invariant($"{row + 1}-{column + 1} of {tiles.Rows}-{tiles.Columns}   ")
            + "UP is this edge.   Print at 100 %; both bars must measure 100 mm.",
            fill);
        Words(canvas, 2.8f, margin, high - 3, WorkshopCautions.Drilling, fill);
    }

    private static void Artwork(SKCanvas canvas, DrillTemplate t, Func<double, double, SKPoint> at, SKPaint ink, SKPaint fill)
    {
        if (!t.Outside)
        {
            var (low, high) = (at(t.HeadX, t.HeadY), at(t.HeadX + t.HeadWideMm, t.HeadY + t.HeadHighMm));
            canvas.DrawRect(new SKRect(low.X, high.Y, high.X, low.Y), ink);
            canvas.DrawLine(at(0, t.HeadY + t.HeadHighMm / 2), at(t.WideMm, t.HeadY + t.HeadHighMm / 2), ink);
            var note = at(t.HeadX + 6, t.HeadY + t.HeadHighMm / 2 + 2);
            Words(canvas, 3.5f, note.X, note.Y, "outline of the head; this line level", fill);
        }
        foreach (var (x, y) in t.Screws)
        {
            canvas.DrawCircle(at(x, y), 2.5f, ink);
            Cross(canvas, at(x, y), ink, 4);
        }
        canvas.DrawCircle(at(t.Holes.X, t.Holes.Y), (float)t.Holes.Radius, ink);
        Cross(canvas, at(t.Holes.X, t.Holes.Y), ink, (float)t.Holes.Radius + 6);
        if (t.Corner is { } corner)
        {
            Cross(canvas, at(corner.X, corner.Y), ink, 12);
            var p = at(corner.X + 3, corner.Y + 3);
            Words(canvas, 3.5f, p.X, p.Y, "on the corner that was measured from", fill);
        }
    }

    private static void Bars(SKCanvas canvas, TemplateTiles tiles, SKPaint ink, SKPaint fill)
    {
        var (margin, high) = ((float)TemplateTiles.MarginMm, (float)tiles.SheetHighMm);
        var (x, y, long_) = (margin + 4, high - margin - 4, (float)TemplateTiles.CheckMm);
        canvas.DrawLine(x, y, x + long_, y, ink);
        canvas.DrawLine(x, y, x, y - long_, ink);
        foreach (var end in new[] { 0, long_ })
        {
            canvas.DrawLine(x + end, y - 1.5f, x + end, y + 1.5f, ink);
            canvas.DrawLine(x - 1.5f, y - end, x + 1.5f, y - end, ink);
        }
        Words(canvas, 2.8f, x + long_ + 2, y + 1, "100 mm", fill);
    }

    private static void Cross(SKCanvas canvas, SKPoint at, SKPaint ink, float size = 5)
    {
        canvas.DrawLine(at.X - size, at.Y, at.X + size, at.Y, ink);
        canvas.DrawLine(at.X, at.Y - size, at.X, at.Y + size, ink);
    }

    private static void Words(SKCanvas canvas, float size, float x, float y, string words, SKPaint fill)
    {
        using var font = new SKFont(SheetPages.Face, size);
        canvas.DrawText(words, x, y, font, fill);
    }
}
