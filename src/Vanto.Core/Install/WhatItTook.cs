using Vanto.Core.Findings;
using Vanto.Core.Plan;

namespace Vanto.Core.Install;

/// <summary>One line of the quote against what it came to.</summary>
/// <param name="Words">A stage of the work, or a part.</param>
/// <param name="Unit">h, or the unit in which the part is counted.</param>
/// <param name="Planned">Quoted.</param>
/// <param name="Taken">Taken on site.</param>
/// <param name="ByPrice">More or less because an hour or a piece cost more or less than quoted.</param>
/// <param name="ByQuantity">More or less because more or fewer were taken.</param>
/// <param name="Off">So far from the quote that somebody asks why.</param>
public sealed record TookRow(string Words, string Unit, double Planned, double Taken, decimal ByPrice, decimal ByQuantity, bool Off)
{
    public decimal Total => ByPrice + ByQuantity;
}

/// <summary>A part that can be written down as used.</summary>
/// <param name="Id">In the take-off.</param>
/// <param name="Name">As a person says it.</param>
/// <param name="Unit">In which it is counted.</param>
/// <param name="Each">Price in the quote; nothing without one.</param>
public sealed record PartChoice(string Id, string Name, string Unit, decimal? Each);

/// <summary>What the job took against what was quoted: standard costing, line by line.</summary>
/// <param name="Rows">Stages with a step that is done, and parts that were written down.</param>
/// <param name="Quoted">Cost as quoted.</param>
/// <param name="Cost">Cost with what has come to light.</param>
/// <param name="Margin">Of the price, with that cost.</param>
/// <param name="QuotedMargin">Of the price, as quoted.</param>
public sealed record WhatItTook(IReadOnlyList<TookRow> Rows, decimal Quoted, decimal Cost, double Margin, double QuotedMargin)
{
    /// <summary>A line is asked about from this share of it on, and from so much money on; common practice, no published source.</summary>
    public const double OffShare = 0.15;

    /// <inheritdoc cref="OffShare" />
    public const decimal OffMoney = 10;

    private const double MsPerHour = 3_600_000;

    public decimal Total => Rows.Sum(r => r.Total);

    /// <summary>Parts of the take-off that may be written down.</summary>
    public IReadOnlyList<PartChoice> Parts { get; init; } = [];

    internal static WhatItTook Of(PlanAssessment plan, PlanDesign design, IReadOnlyList<SiteStep> steps, IReadOnlyList<SiteEntry> entries)
    {
        var crew = design.Crew;
        var planned = plan.Steps.ToDictionary(p => p.Id);
        var expected = plan.Network.Steps.ToDictionary(x => x.Id, x => ThreePoint.Mean(x.Hands));
        decimal RateOf(string name, decimal otherwise) => crew.FirstOrDefault(c => c.Name == name) is { } person ? (decimal)person.RateH : otherwise;
        // What is done before the day stands in the quote as travel and set-up.
        var hours = steps.Where(x => x is { State: SiteState.Done, HandsMs: > 0 } && planned[x.Id].People.Count > 0).GroupBy(x => x.Stage).Select(stage =>
        {
            var of = stage.Select(x =>
            {
                var people = planned[x.Id].People.Where(p => p < crew.Count).Select(p => (decimal)crew[p].RateH).ToList();
                var rate = people.Count > 0 ? people.Average() : 0;
                return (Planned: (decimal)(expected[x.Id] / 60 * x.Crew), Rate: rate, Taken: (decimal)(x.HandsMs / MsPerHour * x.Crew),
                    Paid: RateOf(x.By, rate));
            }).ToList();
            var parts = of.Select(o => Variance.Of(o.Planned, o.Rate, o.Taken, o.Paid)).ToList();
            return Row(stage.Key, "h", (double)of.Sum(o => o.Planned), (double)of.Sum(o => o.Taken), parts.Sum(v => v.Price), parts.Sum(v => v.Quantity),
                of.Sum(o => o.Planned * o.Rate));
        });
        var choices = plan.Buy.Select(b => new PartChoice(b.Id, b.Name, b.Unit,
            b is { Cost: { } cost, Bought: > 0 } ? cost / (decimal)b.Bought : null)).ToList();
        var used = entries.Where(e => e is { Type: EventType.PartUsed, Value: not null }).GroupBy(e => e.Text).Select(part =>
        {
            var buy = plan.Buy.FirstOrDefault(b => b.Id == part.Key);
            var (quoted, each) = (buy?.Bought ?? 0, choices.FirstOrDefault(c => c.Id == part.Key)?.Each ?? 0);
            var taken = part.Sum(e => e.Value!.Value);
            var paid = part.Sum(e => (decimal)e.Value!.Value * (e.Each is { } p ? (decimal)p : each));
            var v = Variance.Of((decimal)quoted, each, (decimal)taken, taken > 0 ? paid / (decimal)taken : each);
            return Row(buy?.Name ?? part.Key, buy?.Unit ?? "", quoted, taken, v.Price, v.Quantity, (decimal)quoted * each);
        });
        List<TookRow> rows = [.. hours, .. used];
        var (cost, net) = (plan.Sum.Cost, plan.Sum.Net);
        var came = cost + rows.Sum(r => r.Total);
        return new WhatItTook(rows, cost, came, net > 0 ? (double)(1 - came / net) : 0, net > 0 ? (double)(1 - cost / net) : 0) { Parts = choices };
    }

    private static TookRow Row(string words, string unit, double planned, double taken, decimal byPrice, decimal byQuantity, decimal quoted)
    {
        var (price, quantity) = (QuoteSum.Cent(byPrice), QuoteSum.Cent(byQuantity));
        var off = Math.Abs(price + quantity);
        return new TookRow(words, unit, planned, taken, price, quantity, off > OffMoney && off > (decimal)OffShare * quoted);
    }

    /// <summary>One sentence.</summary>
    internal Phrase Say(string currency) => Rows.Count == 0 ? Phrase.Of($"Nothing is done yet that could be held against the quote.")
        : Total == 0 ? Phrase.Of($"As quoted so far.")
        : Phrase.Of($"{Readable.Money(Math.Abs(Total), currency)} {(Total > 0 ? "more" : "less")} than quoted so far: margin {Margin:Fraction} of "
            + $"{QuotedMargin:Fraction}.");
}
