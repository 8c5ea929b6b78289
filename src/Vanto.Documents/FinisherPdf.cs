using Vanto.Core.Install;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Documents;

/// <summary>The paper for a licensed finisher from outside the crew as PDF (A4).</summary>
public static class FinisherPdf
{
    private const float Body = 10f;

    /// <summary>Draws it.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="paper">What stands in it.</param>
    /// <param name="units">Units of the paper.</param>
    /// <param name="date">Date of issue.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Render(string rig, FinisherPaper paper, UnitSystem units, DateOnly date) =>
        SheetPages.Pdf($"{rig}: ready for you", $"{rig} · ready for you · {date:yyyy-MM-dd} · law, manual and your own licence come first", pages =>
        {
            pages.Wrapped($"{rig}: ready for you", 20, SheetPages.Left, SheetPages.Across, bold: true);
            pages.Wrapped(paper.Open.Count == 0 ? $"{date:yyyy-MM-dd} · everything before your work is done" : $"{date:yyyy-MM-dd} · not ready yet: "
                + string.Join(", ", paper.Open), 10, SheetPages.Left, SheetPages.Across, paper.Open.Count == 0 ? SheetPages.Soft : SheetPages.Stop);
            pages.Rule(SheetPages.Ink, 1.5f);
            foreach (var caution in PlanStation.Cautions)
                pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
            pages.Table("What is there", Body, [200, 300], ["", ""], paper.Facts.Select(f => new[] { f.Label, f.Value.InUnits(units) }));
            pages.Table("What is asked of you", Body, [24, 470], ["", ""], paper.Asked.Select(a => new[] { "□", a }));
            pages.Table("What comes back to us", Body, [330, 170], ["", ""], paper.Back.Select(b => new[] { b, "________________" }));
        });
}
