using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Documents;

/// <summary>Papers of the plan as PDF (A4): the day sheet, the pick list, what is bought, the quote; each begins on a page of its own kind.</summary>
public static class PlanPdf
{
    private const float Body = 9f;

    /// <summary>Draws the day sheet with pick list and what is bought.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="plan">What the Plan station found.</param>
    /// <param name="units">Units of the paper.</param>
    /// <param name="date">Date of issue.</param>
    /// <returns>PDF bytes.</returns>
    public static byte[] Days(string rig, PlanAssessment plan, UnitSystem units, DateOnly date) => Made($"{rig}: plan", rig, date, pages =>
    {
        pages.Wrapped($"{rig}: plan", 20, SheetPages.Left, SheetPages.Across, bold: true);
        pages.Wrapped($"{date:yyyy-MM-dd} · {plan.Verdict.Headline.InUnits(units)}", 10, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
        pages.Rule(SheetPages.Ink, 1.5f);
        foreach (var caution in PlanStation.Cautions)
            pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
        foreach (var day in plan.Days)
            pages.Table(day.Words, Body, [44, 44, 230, 110, 80], ["from", "to", "step", "who", "runs until"], plan.Steps
                .Where(x => x.Start is { } at && at / WorkCalendar.Day == day.Number).OrderBy(x => x.Start).Select(x => new[]
                {
                    Readable.Clock(x.Start!.Value), Readable.Clock(x.End!.Value), x.Name, string.Join(", ", x.People.Select(p => plan.People[p].Name)),
                    x.WaitEnd > x.End ? $"{Until(x, day)} {x.Wait}" : "",
                }));
        pages.Table("Pick list, loaded first what is needed last", Body, [20, 250, 70, 130, 50], ["", "tool", "kg", "for", "size"],
            plan.Tools.Select(t => new[] { "", t.Name, Display.Text(t.MassKg, QuantityKind.Mass, units), t.For, t.Size }));
        Bought(pages, plan);
    });

    private static string Until(PlanStep step, PlanDay day) => step.WaitEnd!.Value / WorkCalendar.Day is var on && on == day.Number
        ? Readable.Clock(step.WaitEnd.Value) : $"+{on - day.Number} d {Readable.Clock(step.WaitEnd.Value)}";

    private static void Bought(SheetPages pages, PlanAssessment plan)
    {
        pages.Table("To buy", Body, [170, 90, 90, 70, 100], ["", "need", "packs", "order by", "asked by"], plan.Buy.Where(b => !b.Nothing).Select(b => new[]
        {
            b.Name, FormattableString.Invariant($"{b.Need:0.##} {b.Unit}"), b.Packs, b.OrderBy, b.Because,
        }));
        if (plan.Box.Count > 0)
            pages.Table("In the box, looked at when it is opened", Body, [20, 190, 50, 260], ["", "part", "of it", ""],
                plan.Box.Select(b => new[] { "", b.Name, $"{b.Count}", b.Fits ? b.Words : $"of no use: {b.Words}" }));
    }

    /// <summary>Draws the quote.</summary>
    /// <inheritdoc cref="Days"/>
    public static byte[] Quote(string rig, PlanAssessment plan, UnitSystem units, DateOnly date) => Made($"{rig}: quote", rig, date, pages =>
    {
        pages.Wrapped($"{rig}: quote", 20, SheetPages.Left, SheetPages.Across, bold: true);
        pages.Wrapped($"{date:yyyy-MM-dd} · {string.Join(", ", plan.Kinds)} · {Display.Text(plan.PersonMin / 60, QuantityKind.Hours, units)} of hands", 10,
            SheetPages.Left, SheetPages.Across, SheetPages.Soft);
        pages.Rule(SheetPages.Ink, 1.5f);
        pages.Table("Price", Body, [380, 120], ["", plan.Currency], plan.Quote.Select(l => new[] { l.Sum ? l.Words.ToUpperInvariant() : l.Words, l.Amount }));
        var unpriced = plan.Buy.Where(b => !b.Nothing && b.Cost is null).ToList();
        if (unpriced.Count > 0)
            pages.Wrapped($"Not in this price: {string.Join(", ", unpriced.Select(b => b.Name.ToLowerInvariant()))}.", Body, SheetPages.Left,
                SheetPages.Across);
        pages.Table("Materials", Body, [220, 110, 110, 60], ["", "need", "packs", ""], plan.Buy.Where(b => b.Cost is not null && !b.Nothing).Select(b => new[]
        {
            b.Name, FormattableString.Invariant($"{b.Need:0.##} {b.Unit}"), b.Packs, Readable.Money(b.Cost!.Value, plan.Currency),
        }));
        foreach (var caution in PlanStation.Cautions.Take(2))
            pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
    });

    private static byte[] Made(string title, string rig, DateOnly date, Action<SheetPages> draw) =>
        SheetPages.Pdf(title, $"{rig}, plan of {date:yyyy-MM-dd}, made with Vanto. {PlanStation.Cautions[0]}", draw);
}
