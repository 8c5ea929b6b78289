using Vanto.Core.Install;
using Vanto.Core.Plan;

namespace Vanto.Documents;

/// <summary>The run sheet on paper (A4): a stage after the other, steps with boxes for their gates and blanks for their readings, to be typed in
/// later.</summary>
public static class RunSheetPdf
{
    private const float Body = 9.5f;

    /// <summary>Draws it.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="site">What the Install station found.</param>
    /// <param name="date">Date of issue.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Render(string rig, InstallAssessment site, DateOnly date) =>
        SheetPages.Pdf($"{rig}: run sheet", $"{rig}, run sheet of {date:yyyy-MM-dd}, made with Vanto. {PlanStation.Cautions[0]}", pages =>
        {
            pages.Wrapped($"{rig}: run sheet", 20, SheetPages.Left, SheetPages.Across, bold: true);
            pages.Wrapped($"{date:yyyy-MM-dd} · a box is ticked by who did it; a reading goes on its line with its unit", 10, SheetPages.Left,
                SheetPages.Across, SheetPages.Soft);
            pages.Rule(SheetPages.Ink, 1.5f);
            foreach (var caution in PlanStation.Cautions)
                pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
            foreach (var stage in site.Steps.Select(s => s.Stage).Distinct())
                pages.Table(stage, Body, [26, 190, 200, 90], ["", "step", "before and after", "time, by"],
                    site.Steps.Where(s => s.Stage == stage).SelectMany(Rows));
        });

    private static IEnumerable<string[]> Rows(SiteStep s)
    {
        yield return [s.DoneMs is null ? "[  ]" : "[x]", s.Name,
            s.Skill.Length > 0 ? $"{(s.Skill == "handler" ? "refrigerant" : "electrical")} licence" : "", "____ to ____"];
        foreach (var g in s.Gate)
            yield return
            [
                "", g.Start ? "  before it begins" : "", g.Kind == "value"
                    ? $"{g.Words}: ________ {g.Unit}{(g.Max is { } max ? FormattableString.Invariant($", at most {max:0.###}") : "")}"
                    : $"[{(g.Passed ? "x" : "  ")}] {g.Words}", g.Override == "never" ? "never left out" : "",
            ];
    }
}
