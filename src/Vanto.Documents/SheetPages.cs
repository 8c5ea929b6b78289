using System.Text;
using SkiaSharp;

namespace Vanto.Documents;

/// <summary>
/// Text set down the pages of an A4 document: what does not fit goes on to the next page. Letters that the typeface lacks come from a second one
/// with Latin, Greek and Cyrillic; what neither has is drawn as a box.
/// </summary>
internal sealed class SheetPages(SKDocument document, string footer) : IDisposable
{
    /// <summary>Left edge of the text, points.</summary>
    public const float Left = 42;

    /// <summary>Width of the text.</summary>
    public const float Across = Width - 2 * Left;

    private const float Width = 595;
    private const float Height = 842;
    private const float Bottom = Height - 48;
    private const float LineShare = 1.38f;
    private const int Box = 0x25A1;

    public static readonly SKColor Ink = SKColor.Parse("#1d2b2a");
    public static readonly SKColor Soft = SKColor.Parse("#5d6a66");
    public static readonly SKColor Faint = SKColor.Parse("#c9c1b0");
    public static readonly SKColor Stop = SKColor.Parse("#a31f2b");

    private static readonly SKTypeface[] Regular = [Load("AtkinsonHyperlegibleNext-400"), Load("NotoSans-400")];
    private static readonly SKTypeface[] Bold = [Load("AtkinsonHyperlegibleNext-700"), Load("NotoSans-700")];

    /// <summary>The typeface of papers.</summary>
    public static SKTypeface Face => Regular[0];

    /// <summary>A document of such pages.</summary>
    /// <param name="title">Told by the file.</param>
    /// <param name="footer">At the foot of each page.</param>
    /// <param name="draw">Sets down what is in it.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Pdf(string title, string footer, Action<SheetPages> draw)
    {
        using var stream = new MemoryStream();
        using (var document = SKDocument.CreatePdf(stream, new SKDocumentPdfMetadata { Title = title, Creator = "Vanto" }))
        {
            using var pages = new SheetPages(document, footer);
            draw(pages);
            pages.Finish();
            document.Close();
        }
        return stream.ToArray();
    }

    private SKCanvas? _canvas;
    private int _page;
    private float _y;

    private SKCanvas Canvas => _canvas ?? NewPage();

    /// <summary>A word at the upper right of the first page.</summary>
    public void Mark(string word, float size, SKColor colour) => At(word, size, Width - Left - Measure(word, size, true), Left + 18, colour, bold: true);

    /// <summary>A heading that stays with its first line.</summary>
    public void Heading(string text, float x)
    {
        Room(25 + 14);
        _y += 8;
        At(text, 11.5f, x, _y + 11, Ink, bold: true);
        _y += 17;
    }

    /// <summary>A row of a height with whatever is drawn at its top.</summary>
    public void Row(float height, Action<float> draw)
    {
        Room(height);
        draw(_y);
        _y += height;
    }

    /// <summary>A table under its heading; a cell that is wider than its column goes on in the next line.</summary>
    /// <param name="title">Heading.</param>
    /// <param name="size">Of its letters.</param>
    /// <param name="widths">Of its columns.</param>
    /// <param name="heads">Over them.</param>
    /// <param name="rows">Cells.</param>
    public void Table(string title, float size, float[] widths, string[] heads, IEnumerable<string[]> rows)
    {
        Heading(title, Left);
        var high = size * LineShare;
        foreach (var (cells, colour) in rows.Select(r => (r, Ink)).Prepend((heads, Soft)))
        {
            var lines = cells.Zip(widths, (cell, width) => Lines(cell, size, width - CellGap, false).ToList()).ToList();
            Row(high * lines.Max(l => l.Count), y =>
            {
                var x = Left;
                foreach (var (cell, width) in lines.Zip(widths))
                {
                    for (var i = 0; i < cell.Count; i++)
                        At(cell[i], size, x, y + size + i * high, colour);
                    x += width;
                }
            });
        }
    }

    private const float CellGap = 5;

    /// <summary>A drawing of a height, at the top left of which the canvas stands.</summary>
    public void Drawing(float height, Action<SKCanvas> draw)
    {
        Room(height);
        Canvas.Save();
        Canvas.Translate(Left, _y);
        draw(Canvas);
        Canvas.Restore();
        _y += height;
    }

    /// <summary>A label on the line that comes next.</summary>
    public void Beside(string text, float size, float x, SKColor colour)
    {
        Room(size * LineShare);
        At(text, size, x, _y + size, colour);
    }

    /// <summary>Two blocks side by side; what follows stands below both.</summary>
    public void SideBySide(Action left, Action right)
    {
        var (page, top) = (_page, _y);
        left();
        var (leftPage, below) = (_page, _y);
        if (leftPage == page)
            _y = top; // else the right one follows below: a page that is finished cannot be drawn on
        right();
        _y = leftPage == _page ? Math.Max(below, _y) + 4 : _y + 4;
    }

    /// <summary>A rule across.</summary>
    public void Rule(SKColor colour, float weight)
    {
        Room(6);
        using var paint = new SKPaint { Color = colour, StrokeWidth = weight, IsStroke = true };
        _y += 4;
        Canvas.DrawLine(Left, _y, Width - Left, _y, paint);
    }

    /// <summary>Text in lines of a width; line breaks in it are kept, and a word wider than a line is broken.</summary>
    public void Wrapped(string text, float size, float x, float width, SKColor? colour = null, bool bold = false)
    {
        foreach (var paragraph in text.ReplaceLineEndings("\n").Split('\n'))
            foreach (var line in Lines(paragraph, size, width, bold))
            {
                Room(size * LineShare);
                At(line, size, x, _y + size, colour ?? Ink, bold);
                _y += size * LineShare;
            }
    }

    /// <summary>Text at a place.</summary>
    public void At(string text, float size, float x, float y, SKColor colour, bool bold = false)
    {
        using var paint = new SKPaint { Color = colour, IsAntialias = true };
        foreach (var (run, face) in Runs(text, bold))
        {
            using var font = new SKFont(face, size);
            Canvas.DrawText(run, x, y, font, paint);
            x += font.MeasureText(run);
        }
    }

    /// <summary>Code points of a text that no typeface here has.</summary>
    public IEnumerable<int> Missing(string text) =>
        text.EnumerateRunes().Where(r => !Rune.IsControl(r) && !Invisible(r) && Regular.All(f => !f.ContainsGlyph(r.Value))).Select(r => r.Value);

    /// <summary>Ends the last page.</summary>
    public void Finish()
    {
        _ = Canvas;
        EndPage();
    }

    /// <inheritdoc />
    public void Dispose() => _canvas?.Dispose();

    private void Room(float height)
    {
        _ = Canvas;
        if (_y + height > Bottom)
            NewPage();
    }

    private SKCanvas NewPage()
    {
        if (_canvas is not null)
            EndPage();
        _page++;
        _canvas = document.BeginPage(Width, Height);
        _y = Left;
        return _canvas;
    }

    private void EndPage()
    {
        At(Shortened($"{footer} Page {_page}.", 8), 8, Left, Height - 26, Soft);
        document.EndPage();
        _canvas = null;
    }

    private static string Shortened(string text, float size)
    {
        while (Measure(text, size, false) > Across && text.Length > 12)
            text = "…" + text[2..];
        return text;
    }

    private static IEnumerable<string> Lines(string paragraph, float size, float width, bool bold)
    {
        var line = "";
        foreach (var word in paragraph.Split(' ').SelectMany(w => Broken(w, size, width, bold)))
        {
            var longer = line.Length == 0 ? word : line + " " + word;
            if (Measure(longer, size, bold) > width && line.Length > 0)
            {
                yield return line;
                line = word;
            }
            else
                line = longer;
        }
        yield return line;
    }

    /// <summary>A word in pieces no wider than a line.</summary>
    private static IEnumerable<string> Broken(string word, float size, float width, bool bold)
    {
        if (Measure(word, size, bold) <= width)
            return [word];
        var pieces = new List<string>();
        var piece = new StringBuilder();
        foreach (var rune in word.EnumerateRunes())
        {
            if (piece.Length > 0 && Measure(piece.ToString() + rune, size, bold) > width)
            {
                pieces.Add(piece.ToString());
                piece.Clear();
            }
            piece.Append(rune);
        }
        pieces.Add(piece.ToString());
        return pieces;
    }

    private static float Measure(string text, float size, bool bold)
    {
        var width = 0f;
        foreach (var (run, face) in Runs(text, bold))
        {
            using var font = new SKFont(face, size);
            width += font.MeasureText(run);
        }
        return width;
    }

    /// <summary>The text in stretches of one typeface each.</summary>
    private static IEnumerable<(string Text, SKTypeface Face)> Runs(string text, bool bold)
    {
        var faces = bold ? Bold : Regular;
        var run = new StringBuilder();
        SKTypeface? now = null;
        foreach (var rune in text.EnumerateRunes().Where(r => !Rune.IsControl(r) && !Invisible(r)))
        {
            var face = faces.FirstOrDefault(f => f.ContainsGlyph(rune.Value));
            var drawn = face is null ? new Rune(Box) : rune;
            face ??= faces[1];
            if (now is not null && face != now)
            {
                yield return (run.ToString(), now);
                run.Clear();
            }
            now = face;
            run.Append(drawn);
        }
        if (now is not null)
            yield return (run.ToString(), now);
    }

    private static bool Invisible(Rune rune) => rune.Value is 0x200B or 0xFE0F or 0x00AD;

    private static SKTypeface Load(string name)
    {
        using var stream = typeof(SheetPages).Assembly.GetManifestResourceStream($"Vanto.Documents.Fonts.{name}.ttf")!;
        return SKTypeface.FromStream(stream);
    }
}
