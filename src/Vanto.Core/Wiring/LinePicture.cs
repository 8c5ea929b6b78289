using System.Globalization;
using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>A piece as drawn: its middle, its shape round it as an SVG path, its words below.</summary>
public sealed record DrawnNode(double X, double Y, string Shape, string Name, string Rating, bool Heavy);

/// <summary>A conductor as drawn, and where its size is written.</summary>
public sealed record DrawnWay(string Path, string Wire, double X, double Y);

/// <summary>The single line as drawn; the same on the screen, in the SVG and on paper. Shapes are the general ones of IEC 60617, recalled and drawn
/// anew.</summary>
public sealed record LinePicture(double Wide, double High, IReadOnlyList<DrawnNode> Nodes, IReadOnlyList<DrawnWay> Ways)
{
    private const double Column = 98;
    private const double Row = 84;
    private const double Left = 60;
    private const double Top = 34;
    private const double AboveText = 22;
    private const double BelowText = 46;
    private const double AboveShape = 12;

    private const string Knife = "M -16 0 H -6 L 10 -11 M 8 0 H 16 M 8 -5 V 5";
    private const string Converter = "M -15 -13 H 15 V 13 H -15 Z M -15 13 L 15 -13 M -11 -8 H -3 M -11 -5 H -3";

    private static readonly Dictionary<LineKindOf, string> Shapes = new()
    {
        [LineKindOf.Battery] = "M -10 -14 V 14 M -3 -7 V 7 M 4 -14 V 14 M 11 -7 V 7",
        [LineKindOf.Fuse] = "M -16 -7 H 16 V 7 H -16 Z M -16 0 H 16",
        [LineKindOf.Breaker] = "M -16 0 H -6 L 10 -11 M 8 0 H 16 M -2 -8 L 4 -2 M 4 -8 L -2 -2",
        [LineKindOf.Disconnect] = Knife,
        [LineKindOf.Isolator] = Knife,
        [LineKindOf.Residual] = "M -16 0 H 16 M -9 0 C -9 -16 9 -16 9 0 C 9 16 -9 16 -9 0",
        [LineKindOf.Inverter] = Converter + " M 3 7 C 5 1 7 1 8 7 C 9 12 11 12 13 6",
        [LineKindOf.Controller] = Converter + " M 4 8 H 12",
        [LineKindOf.Modules] = "M -16 -11 H 16 V 11 H -16 Z M -16 -11 L -4 0 L -16 11",
        [LineKindOf.Shore] = "M -12 -12 H 4 V 12 H -12 Z M 4 -6 H 14 M 4 6 H 14",
        [LineKindOf.Generator] = "M -14 0 C -14 -19 14 -19 14 0 C 14 19 -14 19 -14 0 M -7 3 C -4 -6 -2 -6 0 1 C 2 8 4 8 7 -1",
        [LineKindOf.Transfer] = "M -14 -8 H -4 L 8 0 H 14 M -14 8 H -4",
        [LineKindOf.Board] = "M 0 -18 V 18",
        [LineKindOf.Unit] = "M -15 -13 H 15 V 13 H -15 Z M -8 0 C -8 -11 8 -11 8 0 C 8 11 -8 11 -8 0",
        [LineKindOf.Head] = "M -16 -8 H 16 V 8 H -16 Z M -12 4 H 12",
        [LineKindOf.Pump] = "M -11 0 C -11 -15 11 -15 11 0 C 11 15 -11 15 -11 0 M -6 -9 L 11 0 L -6 9",
    };

    private const string Terminal = "M -15 -11 H 15 V 11 H -15 Z";

    /// <summary>Draws the live and data side of a net, from its supplies on: a column for each piece on the way.</summary>
    public static LinePicture Of(IReadOnlyList<NetEdge> net)
    {
        static bool Shown(string node) => node.EndsWith(".L", StringComparison.Ordinal) || node.EndsWith(".D", StringComparison.Ordinal)
            || node.StartsWith("Alarm", StringComparison.Ordinal) || node == PumpInterlock.Coil;
        var edges = net.Where(e => Shown(e.From) && Shown(e.To)).ToList();
        var column = edges.SelectMany(e => new[] { e.From, e.To }).Distinct()
            .Where(n => n.StartsWith("Supply", StringComparison.Ordinal) || n == "Head.D").ToDictionary(n => n, _ => 0);
        for (var reached = -1; reached != column.Count;)
        {
            reached = column.Count;
            foreach (var e in edges)
                if (column.TryGetValue(e.From, out var at) && column.TryAdd(e.To, at + 1) is false && column.TryGetValue(e.To, out var back))
                    column[e.To] = Math.Min(back, at + 1);
                else if (column.TryGetValue(e.To, out var other))
                    column.TryAdd(e.From, other + 1);
        }
        var places = column.GroupBy(n => n.Value).SelectMany(g => g.Select((n, row) => (n.Key, X: Left + n.Value * Column, Y: Top + row * Row)))
            .ToDictionary(p => p.Key, p => (p.X, p.Y));
        static string N(double v) => v.ToString("0.#", CultureInfo.InvariantCulture);
        var nodes = places.Select(p => new DrawnNode(p.Value.X, p.Value.Y, Terminal, Said(p.Key), "", false)).ToList();
        var ways = new List<DrawnWay>();
        foreach (var e in edges.Where(e => places.ContainsKey(e.From) && places.ContainsKey(e.To)))
        {
            var (a, b) = (places[e.From], places[e.To]);
            if (a.X > b.X)
                (a, b) = (b, a);
            var middle = (X: (a.X + b.X) / 2, Y: a.X == b.X ? (a.Y + b.Y) / 2 : b.Y);
            ways.Add(new DrawnWay($"M {N(a.X)} {N(a.Y)} H {N(a.X == b.X ? a.X : middle.X)} V {N(b.Y)} H {N(b.X)}", "", middle.X, middle.Y));
            if (e.Part != NetPart.Wire)
                nodes.Add(new DrawnNode(middle.X, middle.Y, e.Part == NetPart.Fuse ? Shapes[LineKindOf.Fuse] : Knife, Calls.Name(e.Part), "", false));
        }
        return new LinePicture(2 * Left + Column * column.Values.DefaultIfEmpty(0).Max(), Top + 2 * AboveText
            + Row * (places.Values.Select(p => (p.Y - Top) / Row).DefaultIfEmpty(0).Max()), nodes, ways);
    }

    private static readonly Dictionary<string, string> Pieces = new()
    {
        ["Supply"] = "supply",
        ["SupplyHead"] = "head's supply",
        ["SupplyOut"] = "outdoor supply",
        ["Head"] = "head",
        ["Out"] = "outdoor",
        ["Pump"] = "pump",
        ["J"] = "joint",
        ["Alarm"] = "alarm",
    };

    /// <summary>A node's piece and, where the piece has more than one, its terminal.</summary>
    private static string Said(string node)
    {
        if (node == PumpInterlock.Coil)
            return "coil";
        var parts = node.Split('.');
        var piece = Pieces.GetValueOrDefault(parts[0], parts[0]);
        return parts[1] switch { "D" => $"{piece} data", "L" => parts[0] is "Head" or "Out" ? $"{piece} live" : piece, var terminal => $"{piece} {terminal}" };
    }

    /// <summary>Draws a line.</summary>
    public static LinePicture Of(SingleLine line)
    {
        var at = line.Nodes.ToDictionary(n => n.Id, n => (X: Left + n.X * Column, Y: Top + n.Y * Row));
        static string N(double v) => v.ToString("0.#", CultureInfo.InvariantCulture);
        var ways = line.Edges.Select(e =>
        {
            var (a, b) = (at[e.From], at[e.To]);
            var turn = b.X > a.X ? b.X - Column / 2 : a.X;
            if (b.X < a.X)
                return new DrawnWay($"M {N(a.X)} {N(a.Y)} V {N(b.Y)}", "", a.X, a.Y);
            if (a.X == b.X)
                return new DrawnWay($"M {N(a.X)} {N(a.Y + BelowText)} V {N(b.Y - AboveShape)}", e.Wire, a.X, a.Y);
            return new DrawnWay($"M {N(a.X)} {N(a.Y)} H {N(turn)} V {N(b.Y)} H {N(b.X)}", e.Wire, a.Y == b.Y ? (a.X + b.X) / 2 : (turn + b.X) / 2, b.Y - 6);
        });
        return new LinePicture(2 * Left + Column * line.Nodes.Select(n => n.X).DefaultIfEmpty(0).Max(),
            Top + 3 * AboveText + Row * line.Nodes.Select(n => n.Y).DefaultIfEmpty(0).Max(),
            [.. line.Nodes.Select(n => new DrawnNode(at[n.Id].X, at[n.Id].Y, Shapes[n.Kind], n.Name, n.Rating, n.Kind == LineKindOf.Board))], [.. ways]);
    }
}
