using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Service;

/// <summary>The terms of the warranty as its paper says.</summary>
public sealed record WarrantyDesign : DesignPart
{
    [Ask("It runs from", Date = true)] public string From { get; init; } = "";
    [Field(QuantityKind.Count, 0, 15, Label = "Parts, years")] public int PartsYears { get; init; } = 2;
    [Field(QuantityKind.Count, 0, 15, Label = "Compressor, years")] public int CompressorYears { get; init; } = 5;
    [Field(QuantityKind.Count, 0, 15, Label = "Labour, years")] public int LabourYears { get; init; } = 1;
    [Field(QuantityKind.Count, 0, 365, Label = "To be registered within, days", Help = "0 where none is asked")] public int RegisterDays { get; init; }
    [Ask("It is registered")] public bool Registered { get; init; }
    [Ask("It asks for a visit each year")] public bool YearlyVisit { get; init; }
    [Ask("It asks for a licensed finisher, and none was there")] public bool Unlicensed { get; init; }
    [Ask("It forbids moving, and the unit was moved")] public bool Moved { get; init; }
}

/// <summary>An end, or a date to keep.</summary>
/// <param name="What">What it is, so that the day can stand behind it, whether it is past or to come.</param>
/// <param name="Ends">It is an end: past it there is nothing to do.</param>
public sealed record WarrantyDate(string What, DateOnly Day, bool Ends);

/// <summary>The clock of the warranty: ends, what is to be kept, and what puts it at risk by its own terms. Common practice.</summary>
public static class Warranty
{
    private const int VisitMonths = 12, GraceDays = 30;

    /// <summary>Dates of the terms; none without a begin.</summary>
    public static IReadOnlyList<WarrantyDate> Dates(WarrantyDesign terms)
    {
        if (Days.Read(terms.From) is not { } from)
            return [];
        return
        [
            .. terms is { RegisterDays: > 0, Registered: false } ? [new WarrantyDate("to be registered by", from.AddDays(terms.RegisterDays), false)]
                : Array.Empty<WarrantyDate>(),
            .. new[] { ("labour", terms.LabourYears), ("parts", terms.PartsYears), ("compressor", terms.CompressorYears) }.Where(t => t.Item2 > 0)
                .Select(t => new WarrantyDate($"{t.Item1} until", from.AddYears(t.Item2), true)).OrderBy(d => d.Day),
        ];
    }

    /// <summary>The latest day of each yearly visit, with whether it was kept; the last is the next.</summary>
    public static IReadOnlyList<(DateOnly Limit, DateOnly? Visit, bool Kept)> Chain(DateOnly from, IEnumerable<DateOnly> visits)
    {
        var chain = new List<(DateOnly, DateOnly?, bool)>();
        var last = from;
        foreach (var visit in visits.Where(v => v > from).Order())
        {
            var limit = last.AddMonths(VisitMonths).AddDays(GraceDays);
            chain.Add((limit, visit, visit <= limit));
            last = visit;
        }
        chain.Add((last.AddMonths(VisitMonths).AddDays(GraceDays), null, true));
        return chain;
    }

    /// <summary>What puts it at risk whatever day it is.</summary>
    public static IEnumerable<Finding> Risks(WarrantyDesign terms, IReadOnlyList<DateOnly> visits)
    {
        if (Days.Read(terms.From) is not { } from)
            yield break;
        if (terms.YearlyVisit && Chain(from, visits).FirstOrDefault(c => !c.Kept) is { Visit: { } late } broken)
            yield return AtRisk(Phrase.Of($"the visit of {Days.Text(late)} came after {Days.Text(broken.Limit)}"));
        if (terms.Unlicensed)
            yield return AtRisk(Phrase.Of($"nobody licensed finished it"));
        if (terms.Moved)
            yield return AtRisk(Phrase.Of($"the unit was moved"));
    }

    private static Finding AtRisk(Phrase why) => Finding.Of(FindingCode.WarrantyAtRisk, Severity.Caution, $"At risk by the terms as typed: {why}.");
}
