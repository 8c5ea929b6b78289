namespace Vanto.Core.Mount;

/// <summary>Layers of a drawing.</summary>
public enum DrawingLayer { Outline, Holes, Bend, Centre, Dim, Text }

/// <summary>Something on a drawing, mm, up is positive.</summary>
public abstract record DrawingItem(DrawingLayer Layer);

/// <summary>A straight line.</summary>
public sealed record DrawnLine(DrawingLayer Layer, double X1, double Y1, double X2, double Y2) : DrawingItem(Layer);

/// <summary>A circle.</summary>
public sealed record DrawnCircle(DrawingLayer Layer, double X, double Y, double Radius) : DrawingItem(Layer);

/// <summary>An arc, anticlockwise from one angle to the other, degrees.</summary>
public sealed record DrawnArc(DrawingLayer Layer, double X, double Y, double Radius, double FromDeg, double ToDeg) : DrawingItem(Layer);

/// <summary>Words, their lower left corner or their middle.</summary>
public sealed record DrawnText(DrawingLayer Layer, double X, double Y, double HighMm, string Words, double TurnDeg = 0, bool Middle = false)
    : DrawingItem(Layer);

/// <summary>A mount in three views (third angle): front, side, from above; dimensions in mm with inches in brackets.</summary>
public sealed record MountDrawing(IReadOnlyList<DrawingItem> Items, double LeftMm, double BottomMm, double RightMm, double TopMm)
{
    private const double GapMm = 220;
    private const double TextMm = 28;

    /// <summary>Of a mount.</summary>
    public static MountDrawing Of(MountAssessment mount)
    {
        var pen = new Pen();
        var v = mount.View;
        switch (v.Kind)
        {
            case MountKind.Braced or MountKind.Plain or MountKind.Railing or MountKind.Window:
                Bracket(pen, v, mount.Workshop);
                break;
            case MountKind.Pad:
                Slab(pen, v);
                break;
            case MountKind.Clamp:
                pen.Box(0, 0, Mm(v.UnitWidthM), Mm(v.UnitDepthM));
                pen.Across(0, Mm(v.UnitWidthM), 0, -60);
                Opening(pen, v);
                break;
            default:
                Base(pen, v, mount.Workshop);
                break;
        }
        return pen.Done();
    }

    /// <summary>The opening under the unit, from above.</summary>
    private static void Opening(Pen pen, MountView v)
    {
        var (wide, deep) = (Mm(v.FeetWideM), Mm(v.FrontFootM - v.RearFootM));
        var (x, y) = ((Mm(v.UnitWidthM) - wide) / 2, (Mm(v.UnitDepthM) - deep) / 2);
        pen.Box(x, y, wide, deep);
        pen.Across(x, x + wide, y, -40);
        pen.Up(y, y + deep, x, -40);
        pen.Note(x + wide / 2, y + deep + 20, "OPENING", true);
    }

    private static double Mm(double m) => Math.Round(1000 * m, 1);

    private static void Bracket(Pen pen, MountView v, Workshop shop)
    {
        var (apart, arm, high) = (Mm(v.FeetWideM), Mm(v.ArmM), Mm(v.ArmHighM));
        var upright = shop.Parts.FirstOrDefault(p => p.Label == "B")?.LongMm ?? 300;
        var thick = Mm(v.ArmHighM);
        foreach (var x in new[] { 0, apart })
        {
            pen.Box(x - thick / 2, high - upright, thick, upright);
            pen.Box(x - thick / 2, 0, thick, high);
            foreach (var hole in shop.Holes.Where(h => h.Part == "B"))
                pen.Hole(x - thick / 2 + hole.X, high - upright + hole.Y, hole.DrillMm);
            pen.Centre(x, high - upright - 30, x, high + 30);
        }
        pen.Across(0, apart, high - upright, -70);
        pen.Up(high - upright, high, -thick / 2, -70);
        pen.Note(apart / 2, high + 60, "FRONT", true);
        var side = apart + thick + GapMm;
        pen.Box(side, high - upright, thick, upright);
        pen.Box(side + thick, 0, arm - thick, high);
        if (v.Kind == MountKind.Braced)
            Strut(pen, side, v);
        pen.Across(side, side + arm, high - upright, -70);
        if (v.Kind == MountKind.Braced)
        {
            pen.Across(side, side + Mm(v.StrutOutM), high, 50);
            pen.Up(-Mm(v.StrutDownM), 0, side + arm, 80);
        }
        pen.Note(side + arm / 2, high + 110, "SIDE", true);
        var plan = high + 180;
        foreach (var x in new[] { 0, apart })
        {
            pen.Box(x - thick / 2, plan, thick, arm);
            foreach (var foot in shop.Holes.Where(h => h.Part == "A"))
                pen.Hole(x, plan + foot.X, foot.DrillMm);
        }
        pen.Line(-100, plan, apart + 100, plan);
        pen.Up(plan + Mm(v.RearFootM), plan + Mm(v.FrontFootM), apart + thick / 2, 60);
        pen.Up(plan, plan + Mm(v.RearFootM), apart + thick / 2, 150);
        pen.Note(apart / 2, plan + arm + 30, "FROM ABOVE, WALL BELOW", true);
        Labels(pen, shop, side, plan + arm);
    }

    private static void Strut(Pen pen, double side, MountView v)
    {
        var (x1, y1, x2, y2) = (side, -Mm(v.StrutDownM), side + Mm(v.StrutOutM), 0.0);
        var length = Math.Sqrt((x2 - x1) * (x2 - x1) + (y2 - y1) * (y2 - y1));
        var (nx, ny) = (-(y2 - y1) / length * Mm(v.StrutHighM) / 2, (x2 - x1) / length * Mm(v.StrutHighM) / 2);
        pen.Line(x1 + nx, y1 + ny, x2 + nx, y2 + ny);
        pen.Line(x1 - nx, y1 - ny, x2 - nx, y2 - ny);
        pen.Centre(x1, y1, x2, y2);
    }

    private static void Base(Pen pen, MountView v, Workshop shop)
    {
        var (wide, deep, stand, high) = (Mm(v.BaseWideM), Mm(v.BaseDeepM), Mm(v.StandM), Mm(v.ArmHighM));
        pen.Box(-25, 0, wide + 50, high);
        foreach (var x in new[] { 0, wide })
            if (shop.Parts.Any(p => p.Label == "C"))
                pen.Box(x - Mm(v.StrutHighM) / 2, -stand, Mm(v.StrutHighM), stand);
        pen.Across(0, wide, -stand, -70);
        pen.Up(-stand, high, -25, -70);
        pen.Note(wide / 2, high + 40, "FRONT", true);
        var plan = high + 160;
        foreach (var y in new[] { 0, deep })
        {
            pen.Box(-25, plan + y - high / 2, wide + 50, high);
            foreach (var hole in shop.Holes.Where(h => h.Part == "A"))
                pen.Hole(hole.X - 25, plan + y, hole.DrillMm);
        }
        foreach (var x in new[] { 0, wide })
            pen.Box(x - high / 2, plan, high, deep);
        pen.Up(plan, plan + deep, wide + 25, 80);
        var feet = Mm(v.FeetWideM);
        pen.Across((wide - feet) / 2, (wide + feet) / 2, plan + deep + high, 50);
        pen.Note(wide / 2, plan + deep + high + 110, "FROM ABOVE", true);
        Labels(pen, shop, wide + 260, plan + deep);
    }

    private static void Slab(Pen pen, MountView v)
    {
        var (wide, deep) = (Mm(v.FeetWideM), Mm(v.FrontFootM - v.RearFootM));
        foreach (var x in new[] { 0, wide })
            foreach (var y in new[] { 0, deep })
                pen.Hole(x, y, 11);
        pen.Across(0, wide, 0, -70);
        pen.Up(0, deep, 0, -70);
        pen.Note(wide / 2, deep + 50, "FEET FROM ABOVE", true);
    }

    private static void Labels(Pen pen, Workshop shop, double x, double top)
    {
        foreach (var (part, i) in shop.Parts.Select((p, i) => (p, i)))
            pen.Note(x, top - i * 2 * TextMm, FormattableString.Invariant($"{part.Label}  {part.Count} x {part.What}, {Plain(part.Profile)}, {part.LongMm:0.#}")
                + (part.FirstDeg + part.SecondDeg > 0 ? FormattableString.Invariant($" cut {part.FirstDeg:0.#}/{part.SecondDeg:0.#} deg") : ""));
    }

    private static string Plain(string words) => words.Replace("×", "x");

    private sealed class Pen
    {
        private readonly List<DrawingItem> _items = [];

        public void Line(double x1, double y1, double x2, double y2) => _items.Add(new DrawnLine(DrawingLayer.Outline, x1, y1, x2, y2));

        public void Centre(double x1, double y1, double x2, double y2) => _items.Add(new DrawnLine(DrawingLayer.Centre, x1, y1, x2, y2));

        public void Box(double x, double y, double wide, double high)
        {
            Line(x, y, x + wide, y);
            Line(x + wide, y, x + wide, y + high);
            Line(x + wide, y + high, x, y + high);
            Line(x, y + high, x, y);
        }

        public void Hole(double x, double y, double drill)
        {
            _items.Add(new DrawnCircle(DrawingLayer.Holes, x, y, drill / 2));
            Centre(x - drill, y, x + drill, y);
            Centre(x, y - drill, x, y + drill);
        }

        public void Note(double x, double y, string words, bool middle = false) =>
            _items.Add(new DrawnText(DrawingLayer.Text, x, y, TextMm, words, 0, middle));

        private static string Size(double mm) => FormattableString.Invariant($"{mm:0.#} ({mm / 25.4:0.00} in)");

        public void Across(double x1, double x2, double y, double off)
        {
            var at = y + off;
            Dim(x1, at, x2, at);
            Dim(x1, y + Math.Sign(off) * 8, x1, at + Math.Sign(off) * 8);
            Dim(x2, y + Math.Sign(off) * 8, x2, at + Math.Sign(off) * 8);
            _items.Add(new DrawnText(DrawingLayer.Dim, (x1 + x2) / 2, at + 5, TextMm, Size(Math.Abs(x2 - x1)), 0, true));
        }

        public void Up(double y1, double y2, double x, double off)
        {
            var at = x + off;
            Dim(at, y1, at, y2);
            Dim(x + Math.Sign(off) * 8, y1, at + Math.Sign(off) * 8, y1);
            Dim(x + Math.Sign(off) * 8, y2, at + Math.Sign(off) * 8, y2);
            _items.Add(new DrawnText(DrawingLayer.Dim, at - 5, (y1 + y2) / 2, TextMm, Size(Math.Abs(y2 - y1)), 90, true));
        }

        private void Dim(double x1, double y1, double x2, double y2)
        {
            _items.Add(new DrawnLine(DrawingLayer.Dim, x1, y1, x2, y2));
        }

        public MountDrawing Done()
        {
            var x = _items.SelectMany(i => i switch
            {
                DrawnLine l => new[] { l.X1, l.X2 },
                DrawnCircle c => [c.X - c.Radius, c.X + c.Radius],
                DrawnText { TurnDeg: 0 } t => [t.X - (t.Middle ? 0.3 * TextMm * t.Words.Length : 0), t.X + 0.3 * TextMm * t.Words.Length * (t.Middle ? 1 : 2)],
                DrawnText t => [t.X - TextMm, t.X],
                _ => Array.Empty<double>(),
            }).ToList();
            var y = _items.SelectMany(i => i switch
            {
                DrawnLine l => new[] { l.Y1, l.Y2 },
                DrawnCircle c => [c.Y - c.Radius, c.Y + c.Radius],
                DrawnText { TurnDeg: 0 } t => [t.Y, t.Y + TextMm],
                DrawnText t => [t.Y - 0.3 * TextMm * t.Words.Length, t.Y + 0.3 * TextMm * t.Words.Length],
                _ => Array.Empty<double>(),
            }).ToList();
            return new MountDrawing(_items, x.Min() - 20, y.Min() - 20, x.Max() + 20, y.Max() + 20);
        }
    }
}
