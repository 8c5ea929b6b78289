using SkiaSharp;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Quantities;

namespace Vanto.Documents;

/// <summary>The owner's one-page sheet as PDF (A4).</summary>
public static class HandoverPdf
{
    private const float Width = 595;
    private const float Height = 842;
    private const float Margin = 42;
    private static readonly SKColor Ink = SKColor.Parse("#1d2b2a");
    private static readonly SKColor Soft = SKColor.Parse("#5d6a66");
    private static readonly SKColor Rule = SKColor.Parse("#c9c1b0");
    private static readonly SKColor Stop = SKColor.Parse("#a31f2b");

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
            using var canvas = document.BeginPage(Width, Height);
            new Page(canvas, units).Draw(design, sheet, date);
            document.EndPage();
            document.Close();
        }
        return stream.ToArray();
    }

    private sealed class Page(SKCanvas canvas, UnitSystem units)
    {
        private static readonly SKTypeface Regular = Load("400");
        private static readonly SKTypeface Bold = Load("700");
        private float _y = Margin;

        public void Draw(JobDesign design, HandoverAssessment sheet, DateOnly date)
        {
            Text(design.Name, 22, Bold, Ink, Margin, _y + 18);
            Text($"Owner's sheet · {date:yyyy-MM-dd}{(design.Handover.Firm.Length > 0 ? " · fitted by " + design.Handover.Firm : "")}{(design.Handover.Contact.Length > 0 ? " · " + design.Handover.Contact : "")}", 10, Regular, Soft, Margin, _y + 34);
            if (sheet.Draft)
                Text("DRAFT", 22, Bold, Stop, Width - Margin - 74, _y + 18);
            _y += 46;
            Line(Ink, 1.5f);
            var top = _y;
            Heading("The rig", Margin);
            Pairs(sheet.Rig, Margin, 250);
            var left = _y;
            _y = top;
            Heading("What was fitted", 306);
            Pairs(sheet.Fitted, 306, 247);
            _y = Math.Max(left, _y) + 4;
            Line(Rule, 0.8f);
            Together(sheet.Together);
            Hours(sheet);
            Heading("When power runs short, in this order", Margin);
            Wrapped(string.Join(", then ", sheet.WhenShort) + $". Never: {LimitedPower.NeverShed}.", 9.5f, Margin, Width - 2 * Margin);
            Proof(sheet.Proof);
            Heading("Cautions", Margin);
            foreach (var caution in sheet.Cautions)
                Wrapped("– " + caution, 9.5f, Margin, Width - 2 * Margin);
            if (design.Handover.Remarks.Length > 0)
            {
                Heading("Remarks", Margin);
                Wrapped(design.Handover.Remarks, 9.5f, Margin, Width - 2 * Margin);
            }
            Text($"Made with Vanto from the survey and the readings of this job. Revision of {date:yyyy-MM-dd}.", 8, Regular, Soft, Margin, Height - 26);
        }

        private void Together(TogetherOnSource? together)
        {
            Heading("What may run together", Margin);
            if (together is null)
            {
                Wrapped("The unit runs straight on the battery: nothing else shares an inverter with it.", 9.5f, Margin, Width - 2 * Margin);
                return;
            }
            Wrapped(together.Rating.InUnits(units), 9.5f, Margin, Width - 2 * Margin, Soft);
            if (together.Together.Count == 0)
                Wrapped("The air conditioner must not be started on this source.", 9.5f, Margin, Width - 2 * Margin, Stop);
            foreach (var set in together.Together.Take(4))
                Wrapped("Together: " + string.Join(", ", set), 9.5f, Margin, Width - 2 * Margin);
            foreach (var set in together.Never.Take(5))
                Wrapped("Not together: " + string.Join(" with ", set), 9.5f, Margin, Width - 2 * Margin);
        }

        private void Hours(HandoverAssessment sheet)
        {
            if (sheet.Hours.Count == 0)
                return;
            Heading("How long on a full battery, at night", Margin);
            var x = Margin;
            foreach (var row in sheet.Hours)
            {
                Text(Display.Text(row.SetpointC, QuantityKind.Temperature, units), 10, Regular, Soft, x, _y + 10);
                Text(row.PrintedHours > 24 ? "more than 24 h" : FormattableString.Invariant($"{row.PrintedHours:0.##} h"), 13, Bold, Ink, x, _y + 26);
                x += 128;
            }
            _y += 36;
        }

        private void Proof(IReadOnlyList<VerdictRow> rows)
        {
            Heading("Measured against predicted", Margin);
            foreach (var row in rows)
            {
                Text(row.Label, 9.5f, Regular, Ink, Margin, _y + 10);
                Text(row.Measured is { } m ? Display.Text(m.Value, m.Quantity, units) : "not taken", 9.5f, Bold, Ink, 210, _y + 10);
                Text(row.Expected is { } e ? "expected " + Display.Text(e.Value, e.Quantity, units) : "", 9.5f, Regular, Soft, 320, _y + 10);
                Text(Calls.Name(row.Verdict), 9.5f, Bold, row.Verdict is BandVerdict.Stop ? Stop : Ink, 470, _y + 10);
                _y += 14;
            }
            _y += 4;
        }

        private void Heading(string text, float x)
        {
            _y += 8;
            Text(text, 11.5f, Bold, Ink, x, _y + 11);
            _y += 17;
        }

        private void Pairs(IEnumerable<SheetLine> lines, float x, float width)
        {
            foreach (var line in lines)
            {
                Text(line.Label, 9.5f, Regular, Soft, x, _y + 10);
                Wrapped(line.Value.InUnits(units), 9.5f, x + 92, width - 92);
            }
        }

        private void Wrapped(string text, float size, float x, float width, SKColor? colour = null)
        {
            using var font = new SKFont(Regular, size);
            var line = "";
            foreach (var word in text.Split(' '))
            {
                var longer = line.Length == 0 ? word : line + " " + word;
                if (font.MeasureText(longer) > width && line.Length > 0)
                {
                    Emit(line);
                    line = word;
                }
                else
                {
                    line = longer;
                }
            }
            Emit(line);

            void Emit(string part)
            {
                Text(part, size, Regular, colour ?? Ink, x, _y + size);
                _y += size * 1.38f;
            }
        }

        private void Line(SKColor colour, float weight)
        {
            using var paint = new SKPaint { Color = colour, StrokeWidth = weight, IsStroke = true };
            canvas.DrawLine(Margin, _y, Width - Margin, _y, paint);
        }

        private void Text(string text, float size, SKTypeface face, SKColor colour, float x, float y)
        {
            using var font = new SKFont(face, size);
            using var paint = new SKPaint { Color = colour, IsAntialias = true };
            canvas.DrawText(text, x, y, font, paint);
        }

        private static SKTypeface Load(string weight)
        {
            using var stream = typeof(HandoverPdf).Assembly.GetManifestResourceStream($"Vanto.Documents.Fonts.AtkinsonHyperlegibleNext-{weight}.ttf")!;
            return SKTypeface.FromStream(stream);
        }
    }
}
