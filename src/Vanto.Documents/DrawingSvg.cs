using System.Globalization;
using System.Xml.Linq;
using Vanto.Core.Mount;

namespace Vanto.Documents;

/// <summary>Drawings as SVG at full size: one unit is one millimetre.</summary>
public static class DrawingSvg
{
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    /// <summary>Writes a drawing.</summary>
    public static string Write(MountDrawing drawing, string title)
    {
        var (wide, high) = (drawing.RightMm - drawing.LeftMm, drawing.TopMm - drawing.BottomMm);
        var root = new XElement(Svg + "svg", new XAttribute("viewBox", $"{N(drawing.LeftMm)} {N(-drawing.TopMm)} {N(wide)} {N(high)}"),
            new XAttribute("width", $"{N(wide)}mm"), new XAttribute("height", $"{N(high)}mm"), new XAttribute("font-family", "sans-serif"),
            new XElement(Svg + "title", title));
        foreach (var item in drawing.Items)
            root.Add(item switch
            {
                DrawnLine l => new XElement(Svg + "line", At("x1", l.X1), At("y1", -l.Y1), At("x2", l.X2), At("y2", -l.Y2), Stroke(item.Layer)),
                DrawnCircle c => new XElement(Svg + "circle", At("cx", c.X), At("cy", -c.Y), At("r", c.Radius), new XAttribute("fill", "none"),
                    Stroke(item.Layer)),
                DrawnArc a => new XElement(Svg + "path", new XAttribute("d", Arc(a)), new XAttribute("fill", "none"), Stroke(item.Layer)),
                DrawnText t => new XElement(Svg + "text", At("x", t.X), At("y", -t.Y), At("font-size", t.HighMm),
                    new XAttribute("text-anchor", t.Middle ? "middle" : "start"), new XAttribute("transform",
                        $"rotate({N(-t.TurnDeg)} {N(t.X)} {N(-t.Y)})"), t.Words),
                _ => null,
            });
        return root.ToString();
    }

    private static string N(double v) => v.ToString("0.###", CultureInfo.InvariantCulture);

    private static XAttribute At(string name, double v) => new(name, N(v));

    private static object[] Stroke(DrawingLayer layer) => layer switch
    {
        DrawingLayer.Centre => [new XAttribute("stroke", "#157386"), new XAttribute("stroke-width", "1"), new XAttribute("stroke-dasharray", "12 4 3 4")],
        DrawingLayer.Dim => [new XAttribute("stroke", "#76592f"), new XAttribute("stroke-width", "1")],
        _ => [new XAttribute("stroke", "#1d2b2a"), new XAttribute("stroke-width", "2")],
    };

    private static string Arc(DrawnArc a)
    {
        (double X, double Y) P(double deg) => (a.X + a.Radius * Math.Cos(deg * Math.PI / 180), -(a.Y + a.Radius * Math.Sin(deg * Math.PI / 180)));
        var (from, to) = (P(a.FromDeg), P(a.ToDeg));
        var large = (a.ToDeg - a.FromDeg + 360) % 360 > 180 ? 1 : 0;
        return $"M {N(from.X)} {N(from.Y)} A {N(a.Radius)} {N(a.Radius)} 0 {large} 0 {N(to.X)} {N(to.Y)}";
    }
}
