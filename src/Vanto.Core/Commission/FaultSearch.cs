using System.Collections.Concurrent;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Core.Commission;

/// <summary>A cause as shown.</summary>
public sealed record CauseRow(string Id, string Name, double Chance);

/// <summary>A test as shown.</summary>
/// <param name="Answers">What it can show, id and words.</param>
/// <param name="Who">Who may make it.</param>
/// <param name="Tells">Bits that it tells on average.</param>
public sealed record TestRow(string Id, string Asks, string Why, double Minutes, string Who, double Tells, IReadOnlyList<AnswerRow> Answers);

/// <summary>An answer that can be pressed.</summary>
public sealed record AnswerRow(string Id, string Words);

/// <summary>An answer that was given.</summary>
public sealed record SaidRow(string Question, string Asks, string Words, string By);

/// <summary>A fault search.</summary>
public sealed record FaultView
{
    public required Phrase Words { get; init; }

    /// <summary>What to do first.</summary>
    public required Phrase Next { get; init; }

    public required IReadOnlyList<CauseRow> Causes { get; init; }

    /// <summary>What to look at, the most telling for its minutes first.</summary>
    public required IReadOnlyList<TestRow> Tests { get; init; }

    public required IReadOnlyList<SaidRow> Said { get; init; }

    /// <summary>What the manual says of the code typed; empty where it was not typed.</summary>
    public required string CodeWords { get; init; }

    /// <summary>Where the figures come from.</summary>
    public required string Source { get; init; }
}

/// <summary>Ranks what may be wrong from the answers written down.</summary>
public static class FaultSearch
{
    private const int ShownCauses = 6;

    /// <summary>The search; its answers are those since the last one began.</summary>
    public static (FaultView View, List<Finding> Findings) Of(IReadOnlyList<FaultRecord> records, FaultDesign design, AcUnit unit, UnitSheetDesign sheet)
    {
        var findings = new List<Finding>();
        var book = FaultBook.Standard;
        var standing = records.Standing();
        var from = standing.FindLastIndex(r => r.Readings.Fresh);
        var answers = new Dictionary<string, (string Value, string By)>();
        foreach (var r in standing.Skip(Math.Max(0, from)))
            if (r.Readings.Answer.Length == 0)
                answers.Remove(r.Readings.Question);
            else if (book.Observations.FirstOrDefault(o => o.Id == r.Readings.Question)?.Values.Any(v => v.Id == r.Readings.Answer) == true)
                answers[r.Readings.Question] = (r.Readings.Answer, r.By);
        var present = new HashSet<FaultTester> { FaultTester.Any };
        if (design.Electrician)
            present.Add(FaultTester.Electrician);
        if (design.Handler)
            present.Add(FaultTester.Certified);
        var ranking = Ranked(answers.ToDictionary(a => a.Key, a => a.Value.Value), design.InService, unit.HeatingW > 0, present);
        var top = ranking.Causes[0];
        if (answers.GetValueOrDefault("smell").Value == "burnt" || answers.GetValueOrDefault("terminals").Value == "hot")
            findings.Add(Finding.Of(FindingCode.FaultBurns, Severity.Stop,
                $"Power off now. Something burns or overheats: prove dead before a cover comes off."));
        var known = sheet.Codes.FirstOrDefault(k => design.Code.Length > 0 && k.Code.Equals(design.Code.Trim(), StringComparison.OrdinalIgnoreCase));
        if (design.Code.Length > 0 && known is null)
            findings.Add(Finding.Of(FindingCode.FaultCodeUnknown, Severity.Note,
                $"The code {design.Code} is not in the unit's sheet: its manual says what it means."));
        var first = ranking.Confirm ?? (ranking.Tests.Count > 0 ? ranking.Tests[0].Observation : null);
        return (new FaultView
        {
            Words = answers.Count == 0 ? Phrase.Of($"Nothing is looked at yet.")
                : ranking.Unclear ? Phrase.Of($"Not clear yet; likeliest: {Lower(top.Cause.Name)}, {top.Chance:Fraction}.")
                : Phrase.Of($"{top.Cause.Name}: {top.Chance:Fraction}."),
            Next = first is null ? Phrase.Of($"Nothing is left to look at: ask with the sheet below.")
                : ranking.Confirm is not null ? Phrase.Of($"Confirm it before any part is changed: {Lower(first.Asks)}")
                : Phrase.Of($"Look first: {Lower(first.Asks)}"),
            Causes = [.. ranking.Causes.Take(ShownCauses).Select(r => new CauseRow(r.Cause.Id, r.Cause.Name, r.Chance))],
            Tests = [.. ranking.Tests.OrderByDescending(t => t.Observation == ranking.Confirm).ThenByDescending(t => t.Worth).Select(t => new TestRow(
                t.Observation.Id, t.Observation.Asks, t.Observation.Why, t.Observation.Minutes, Calls.Name(t.Observation.Who), t.GainBits,
                [.. t.Observation.Values.Select(v => new AnswerRow(v.Id, v.Words))]))],
            Said = [.. answers.Select(a => (Book: book.Observations.First(o => o.Id == a.Key), a.Value)).Select(a => new SaidRow(a.Book.Id, a.Book.Asks,
                a.Book.Values.First(v => v.Id == a.Value.Value).Words, a.Value.By))],
            CodeWords = known?.Words ?? "",
            Source = book.Source,
        }, findings);
    }

    /// <summary>Most jobs have no answers: what was ranked once is not ranked again with every change of a design.</summary>
    private static FaultRanking Ranked(Dictionary<string, string> answers, bool inService, bool heats, HashSet<FaultTester> present)
    {
        var key = $"{inService} {heats} {string.Join(',', present.Order())} {string.Join(',', answers.OrderBy(a => a.Key).Select(a => $"{a.Key}={a.Value}"))}";
        if (Known.Count > MostKnown)
            Known.Clear();
        return Known.GetOrAdd(key, _ => FaultRanker.Rank(answers, inService, heats, present));
    }

    private static readonly ConcurrentDictionary<string, FaultRanking> Known = new();
    private const int MostKnown = 100;

    private static string Lower(string words) => char.ToLowerInvariant(words[0]) + words[1..];
}
