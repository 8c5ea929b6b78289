using System.Globalization;
using System.Text;
using Vanto.Core.Mount;

namespace Vanto.Documents;

/// <summary>Drawings as DXF of release 12: plain text that every workshop's program opens; mm.</summary>
public static class DxfWriter
{
    private static readonly Dictionary<DrawingLayer, (string Name, int Colour)> Layers = new()
    {
        [DrawingLayer.Outline] = ("OUTLINE", 7),
        [DrawingLayer.Holes] = ("HOLES", 1),
        [DrawingLayer.Bend] = ("BEND", 5),
        [DrawingLayer.Centre] = ("CENTRE", 4),
        [DrawingLayer.Dim] = ("DIM", 2),
        [DrawingLayer.Text] = ("TEXT", 3),
    };

    /// <summary>Writes items.</summary>
    public static string Write(IReadOnlyList<DrawingItem> items)
    {
        var text = new StringBuilder();
        void Pair(int code, string value) => text.Append(CultureInfo.InvariantCulture, $"{code}\r\n{value}\r\n");
        void Number(int code, double value) => Pair(code, value.ToString("0.0###", CultureInfo.InvariantCulture));
        void Whole(int code, int value) => Pair(code, value.ToString(CultureInfo.InvariantCulture));
        void Begin(string section)
        {
            Pair(0, "SECTION");
            Pair(2, section);
        }

        Pair(999, "units mm");
        Begin("HEADER");
        Pair(9, "$ACADVER");
        Pair(1, "AC1009");
        Pair(0, "ENDSEC");
        Begin("TABLES");
        Pair(0, "TABLE");
        Pair(2, "LTYPE");
        Whole(70, 1);
        Pair(0, "LTYPE");
        Pair(2, "CONTINUOUS");
        Whole(70, 0);
        Pair(3, "Solid line");
        Whole(72, 65);
        Whole(73, 0);
        Number(40, 0);
        Pair(0, "ENDTAB");
        var used = items.Select(i => i.Layer).Distinct().Order().ToList();
        Pair(0, "TABLE");
        Pair(2, "LAYER");
        Whole(70, used.Count);
        foreach (var layer in used)
        {
            Pair(0, "LAYER");
            Pair(2, Layers[layer].Name);
            Whole(70, 0);
            Whole(62, Layers[layer].Colour);
            Pair(6, "CONTINUOUS");
        }
        Pair(0, "ENDTAB");
        Pair(0, "ENDSEC");
        Begin("ENTITIES");
        foreach (var item in items)
        {
            Pair(0, item switch { DrawnLine => "LINE", DrawnCircle => "CIRCLE", DrawnArc => "ARC", _ => "TEXT" });
            Pair(8, Layers[item.Layer].Name);
            switch (item)
            {
                case DrawnLine l:
                    Number(10, l.X1);
                    Number(20, l.Y1);
                    Number(30, 0);
                    Number(11, l.X2);
                    Number(21, l.Y2);
                    Number(31, 0);
                    break;
                case DrawnCircle c:
                    At(c.X, c.Y);
                    Number(40, c.Radius);
                    break;
                case DrawnArc a:
                    At(a.X, a.Y);
                    Number(40, a.Radius);
                    Number(50, a.FromDeg);
                    Number(51, a.ToDeg);
                    break;
                case DrawnText t:
                    At(t.X, t.Y);
                    Number(40, t.HighMm);
                    Pair(1, Ascii(t.Words));
                    if (t.TurnDeg != 0)
                        Number(50, t.TurnDeg);
                    if (t.Middle)
                    {
                        Whole(72, 1);
                        Number(11, t.X);
                        Number(21, t.Y);
                        Number(31, 0);
                    }
                    break;
            }
        }
        Pair(0, "ENDSEC");
        Pair(0, "EOF");
        return text.ToString();

        void At(double x, double y)
        {
            Number(10, x);
            Number(20, y);
            Number(30, 0);
        }
    }

    /// <summary>Letters that the release knows; signs for degree and diameter are written its own way.</summary>
    private static string Ascii(string words) =>
        string.Concat(words.Replace("°", "%%d").Replace("Ø", "%%c").Replace("×", "x").Where(c => c is >= ' ' and < (char)127));
}
