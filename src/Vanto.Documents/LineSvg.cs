using System.Globalization;
using System.Xml.Linq;
using Vanto.Core.Wiring;

namespace Vanto.Documents;

/// <summary>The single line as SVG.</summary>
public static class LineSvg
{
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    /// <summary>Writes it.</summary>
    public static string Write(LinePicture picture, string title, IEnumerable<string> cautions)
    {
        static string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);
        var lines = cautions.ToList();
        var root = new XElement(Svg + "svg", new XAttribute("viewBox", $"0 0 {N(picture.Wide)} {N(picture.High + 12 * lines.Count)}"),
            new XAttribute("font-family", "sans-serif"), new XAttribute("font-size", "11"), new XElement(Svg + "title", title));
        XElement Path(string d, double weight) => new(Svg + "path", new XAttribute("d", d), new XAttribute("fill", "none"), new XAttribute("stroke", "#1d2b2a"),
            new XAttribute("stroke-width", N(weight)));
        XElement Text(double x, double y, string words, string anchor = "middle") => new(Svg + "text", new XAttribute("x", N(x)), new XAttribute("y", N(y)),
            new XAttribute("text-anchor", anchor), words);
        foreach (var way in picture.Ways)
            root.Add(Path(way.Path, 1.8));
        foreach (var node in picture.Nodes)
            root.Add(new XElement(Svg + "g", new XAttribute("transform", $"translate({N(node.X)} {N(node.Y)})"),
                new XElement(Svg + "rect", new XAttribute("x", "-18"), new XAttribute("y", "-15"), new XAttribute("width", "36"), new XAttribute("height",
                    "30"),
                    new XAttribute("fill", "#fff")), Path(node.Shape, node.Heavy ? 5 : 1.8), Text(0, 30, node.Name), Text(0, 42, node.Rating)));
        foreach (var way in picture.Ways.Where(w => w.Wire.Length > 0))
            root.Add(Text(way.X, way.Y, way.Wire));
        for (var i = 0; i < lines.Count; i++)
            root.Add(Text(8, picture.High + 12 * i, lines[i], "start"));
        return root.ToString();
    }
}
