using SkiaSharp;

namespace Vanto.Documents;

/// <summary>The label that stays on the rig: its code to scan and to read, and the labels of the breaker and of the service valves to cut out.</summary>
public static class LabelPdf
{
    private const float PointsPerMm = 72 / 25.4f, ModuleMm = 0.6f;
    private const int QuietModules = 4;

    /// <summary>Draws them on one page.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="code">Code of the job, as printed.</param>
    /// <param name="modules">Dark modules of the code to scan, row by row, without its quiet zone.</param>
    /// <param name="lines">Below it.</param>
    /// <param name="breaker">Lines of the breaker's label.</param>
    /// <param name="valve">Lines of the valves' tag; empty where there are none.</param>
    public static byte[] Render(string rig, string code, IReadOnlyList<IReadOnlyList<bool>> modules, IReadOnlyList<string> lines,
        IReadOnlyList<string> breaker, IReadOnlyList<string> valve) =>
        SheetPages.Pdf($"{rig}: labels", $"{rig} · labels to cut out · print at full size", pages =>
        {
            pages.Wrapped($"{rig}: labels", 20, SheetPages.Left, SheetPages.Across, bold: true);
            pages.Rule(SheetPages.Ink, 1.5f);
            var module = ModuleMm * PointsPerMm;
            var side = (modules.Count + 2 * QuietModules) * module;
            pages.Drawing(side, canvas =>
            {
                using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = false };
                for (var y = 0; y < modules.Count; y++)
                    for (var x = 0; x < modules.Count; x++)
                        if (modules[y][x])
                            canvas.DrawRect((x + QuietModules) * module, (y + QuietModules) * module, module, module, ink);
            });
            pages.Wrapped(code, 22, SheetPages.Left, SheetPages.Across, bold: true);
            foreach (var line in lines)
                pages.Wrapped(line, 11, SheetPages.Left, SheetPages.Across);
            Block("At the breaker", breaker);
            if (valve.Count > 0)
                Block("At the service valves", valve);

            void Block(string title, IReadOnlyList<string> text)
            {
                pages.Rule(SheetPages.Faint, 0.8f);
                pages.Heading(title, SheetPages.Left);
                foreach (var line in text)
                    pages.Wrapped(line, 13, SheetPages.Left, SheetPages.Across, bold: true);
            }
        });
}
