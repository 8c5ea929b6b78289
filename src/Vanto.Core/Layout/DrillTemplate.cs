using Vanto.Core.Quantities;

namespace Vanto.Core.Layout;

/// <summary>Paper that a template is printed on.</summary>
public enum TemplatePaper { [Called("A4")] A4, [Called("Letter")] Letter }

/// <summary>How a template is laid over sheets.</summary>
/// <param name="Columns">Sheets side by side.</param>
/// <param name="Rows">Sheets one above the other.</param>
/// <param name="Landscape">Each lies on its side.</param>
/// <param name="SheetWideMm">Paper.</param>
/// <param name="SheetHighMm">Paper.</param>
/// <param name="StepXMm">From one sheet to the next, across.</param>
/// <param name="StepYMm">From one sheet to the next, up.</param>
public sealed record TemplateTiles(int Columns, int Rows, bool Landscape, double SheetWideMm, double SheetHighMm, double StepXMm, double StepYMm)
{
    /// <summary>Edge that a printer leaves white, mm.</summary>
    public const double MarginMm = 10;

    /// <summary>What two sheets share, mm.</summary>
    public const double OverlapMm = 10;

    /// <summary>Bars that show whether the printer kept the scale, mm.</summary>
    public const double CheckMm = 100;

    /// <summary>More than this off and the template is printed again, mm.</summary>
    public const double CheckMayMm = 0.5;

    private static readonly (double Wide, double High) A4 = (210, 297);
    private static readonly (double Wide, double High) Letter = (215.9, 279.4);

    /// <summary>Upright or lying, whichever takes fewer sheets.</summary>
    /// <param name="wideMm">Of the template.</param>
    /// <param name="highMm">Of the template.</param>
    /// <param name="paper">Paper.</param>
    public static TemplateTiles Of(double wideMm, double highMm, TemplatePaper paper)
    {
        var (w, h) = paper == TemplatePaper.A4 ? A4 : Letter;
        var upright = Laid(wideMm, highMm, w, h, false);
        var lying = Laid(wideMm, highMm, h, w, true);
        return lying.Columns * lying.Rows < upright.Columns * upright.Rows ? lying : upright;
    }

    /// <summary>Scale at which it is printed again after a bar was measured.</summary>
    public static double Rescale(double measuredMm) => CheckMm / measuredMm;

    /// <summary>Sheets one way round.</summary>
    public static TemplateTiles Laid(double wideMm, double highMm, double sheetWide, double sheetHigh, bool landscape)
    {
        static int Pages(double size, double usable) => size <= usable + 1e-9 ? 1 : (int)Math.Ceiling((size - OverlapMm) / (usable - OverlapMm) - 1e-9);
        var (usableX, usableY) = (sheetWide - 2 * MarginMm, sheetHigh - 2 * MarginMm);
        return new TemplateTiles(Pages(wideMm, usableX), Pages(highMm, usableY), landscape, sheetWide, sheetHigh, usableX - OverlapMm, usableY - OverlapMm);
    }
}

/// <summary>What is printed at full size: the head with plate, screws and hole, from inside or as its mirror image from outside; mm from its lower
/// left.</summary>
/// <param name="WideMm">Of the template.</param>
/// <param name="HighMm">Of the template.</param>
/// <param name="Outside">Seen from outside: only the hole and its corner.</param>
/// <param name="HeadX">Left edge of the head.</param>
/// <param name="HeadY">Its lower edge.</param>
/// <param name="HeadWideMm">Its width; 0 outside.</param>
/// <param name="HeadHighMm">Its height.</param>
/// <param name="Holes">Middle and radius of the hole.</param>
/// <param name="Screws">Where screws stand.</param>
/// <param name="Corner">The corner that it is measured from, where it falls on the template.</param>
public sealed record DrillTemplate(double WideMm, double HighMm, bool Outside, double HeadX, double HeadY, double HeadWideMm, double HeadHighMm,
    (double X, double Y, double Radius) Holes, IReadOnlyList<(double X, double Y)> Screws, (double X, double Y)? Corner)
{
    private const double RoundMm = 20;
    private const double OutsideMm = 120;
    private const double FurthestMm = 700;

    /// <summary>Of a wall.</summary>
    public static DrillTemplate Of(WallView wall, bool outside)
    {
        var radius = 500 * wall.HoleM;
        var from = wall.SetOut[0];
        if (outside)
        {
            var (dx, dy) = (1000 * from.OutsideRightM, 1000 * from.OutsideUpM);
            var near = Math.Abs(dx) < FurthestMm && Math.Abs(dy) < FurthestMm;
            var (left, low) = (OutsideMm + (near ? Math.Max(0, dx) : 0), OutsideMm + (near ? Math.Max(0, dy) : 0));
            var (right, up) = (OutsideMm + (near ? Math.Max(0, -dx) : 0), OutsideMm + (near ? Math.Max(0, -dy) : 0));
            return new DrillTemplate(left + right, low + up, true, 0, 0, 0, 0, (left, low, radius), [], near ? (left - dx, low - dy) : null);
        }
        var (x0, y0) = (1000 * Math.Min(wall.Head.Left, wall.HoleX - wall.HoleM / 2) - RoundMm,
            1000 * Math.Min(wall.Head.Low, wall.HoleInsideM - wall.HoleM / 2) - RoundMm);
        var (x1, y1) = (1000 * Math.Max(wall.Head.Right, wall.HoleX + wall.HoleM / 2) + RoundMm, 1000 * wall.Head.High + RoundMm);
        return new DrillTemplate(x1 - x0, y1 - y0, false, 1000 * wall.Head.Left - x0, 1000 * wall.Head.Low - y0, 1000 * (wall.Head.Right - wall.Head.Left),
            1000 * (wall.Head.High - wall.Head.Low), (1000 * wall.HoleX - x0, 1000 * wall.HoleInsideM - y0, radius),
            [.. wall.Screws.Select(s => (1000 * s.Left - x0, 1000 * s.Low - y0))], null);
    }
}
