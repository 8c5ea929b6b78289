using SkiaSharp;
using Vanto.Core.Quantities;
using Vanto.Core.Wiring;

namespace Vanto.Documents;

/// <summary>Papers of the wiring as PDF (A4): single line, schedule, connections, tests, labels, take-off, cautions.</summary>
public static class WiringPdf
{
    private const float Body = 9f;
    private const float LineHigh = 210;

    /// <summary>Draws them.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="wiring">What the Wiring station found.</param>
    /// <param name="units">Units of the paper.</param>
    /// <param name="date">Date of issue.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Render(string rig, WiringAssessment wiring, UnitSystem units, DateOnly date) =>
        SheetPages.Pdf($"{rig}: wiring", $"{rig}, wiring of {date:yyyy-MM-dd}, made with Vanto. {WiringStation.Cautions[0]}",
            pages => Draw(pages, rig, wiring, units, date));

    private static void Draw(SheetPages pages, string rig, WiringAssessment wiring, UnitSystem units, DateOnly date)
    {
        string Say(double value, QuantityKind kind) => Display.Text(value, kind, units);
        pages.Wrapped($"{rig}: wiring", 20, SheetPages.Left, SheetPages.Across, bold: true);
        pages.Wrapped($"{date:yyyy-MM-dd} · {wiring.RulesWords} rules, recalled · {wiring.Verdict.Headline.InUnits(units)}", 10, SheetPages.Left,
            SheetPages.Across,
            SheetPages.Soft);
        pages.Rule(SheetPages.Ink, 1.5f);
        foreach (var caution in WiringStation.Cautions)
            pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
        pages.Drawing(LineHigh, canvas => Picture(canvas, wiring.Picture));
        pages.Table("Circuits", Body, [18, 108, 58, 46, 110, 78, 48, 46], ["", "circuit", "from", "carries", "protected by", "wire", "one way", "loses"],
            wiring.Circuits.Select(c => new[]
            {
                $"{c.No}", c.Name, c.From, Say(c.Amps, QuantityKind.Current), c.DeviceA is { } a ? $"{Say(a, QuantityKind.Current)} {c.Device}" : c.Device,
                    c.Wire,
                Say(c.LengthM, QuantityKind.Length), Say(c.DropShare, QuantityKind.Fraction),
            }));
        if (wiring.Between.Net.Count > 0)
            pages.Table("Connections between the units", Body, [18, 150, 150, 150], ["", "from", "through", "to"],
                wiring.Between.Net.Select(n => new[] { $"{n.No}", n.From, n.Through, n.To }));
        if (wiring.Starter is { } starter)
            pages.Table($"Soft starter: {starter.Words}", Body, [18, 110, 150, 60, 130], ["", "from", "to", "colour", "done, photo"],
                starter.Map.Select(m => new[] { $"{m.No}", m.From, m.To, m.Colour, "" }));
        pages.Table("Tests before power", Body, [190, 190, 60, 60], ["", "limit", "read", ""], wiring.Tests.Select(t => new[]
        {
            t.Name, t.Limit.InUnits(units), t.Measured.InUnits(units), t.State == StepState.Open ? "" : Calls.Name(t.State),
        }));
        pages.Table("To buy or cut", Body, [240, 160, 100], ["", "amount", "asked by"], wiring.TakeOff.Select(l => new[] { l.What, l.Amount, l.For }));
        pages.Table("Labels", Body, [500], [""], wiring.BreakerLabels.Select(l => new[] { string.Join("  /  ", l) })
            .Concat(wiring.Between.Labels.Chunk(4).Select(c => new[] { string.Join("    ", c.Select(x => $"2 × {x}")) })));
    }

    private static void Picture(SKCanvas canvas, LinePicture picture)
    {
        var scale = (float)Math.Min(SheetPages.Across / picture.Wide, (LineHigh - 10) / picture.High);
        canvas.Scale(scale);
        using var pen = new SKPaint { Color = SheetPages.Ink, IsStroke = true, StrokeWidth = 1.6f, IsAntialias = true };
        using var heavy = new SKPaint { Color = SheetPages.Ink, IsStroke = true, StrokeWidth = 5, IsAntialias = true };
        using var white = new SKPaint { Color = SKColors.White };
        using var letters = new SKPaint { Color = SheetPages.Ink, IsAntialias = true };
        using var font = new SKFont(SheetPages.Face, 10);
        void Path(string d, SKPaint with)
        {
            using var path = SKPath.ParseSvgPathData(d);
            canvas.DrawPath(path, with);
        }

        void Text(string words, float x, float y) => canvas.DrawText(words, x - font.MeasureText(words) / 2, y, font, letters);
        foreach (var way in picture.Ways)
            Path(way.Path, pen);
        foreach (var node in picture.Nodes)
        {
            canvas.Save();
            canvas.Translate((float)node.X, (float)node.Y);
            canvas.DrawRect(-18, -15, 36, 30, white);
            Path(node.Shape, node.Heavy ? heavy : pen);
            Text(node.Name, 0, 30);
            Text(node.Rating, 0, 42);
            canvas.Restore();
        }
        foreach (var way in picture.Ways.Where(w => w.Wire.Length > 0))
            Text(way.Wire, (float)way.X, (float)way.Y);
    }
}
