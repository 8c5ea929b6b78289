using Vanto.Core.Findings;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>A joint and how it stands.</summary>
/// <param name="Joint">Its place.</param>
/// <param name="Words">What was found, and how.</param>
public sealed record JointRow(string Joint, StationState State, Phrase Words, string By);

/// <summary>The search for leaks, joint by joint.</summary>
public sealed record LeakView(StationState State, Phrase Words, Phrase Next, IReadOnlyList<JointRow> Joints);

/// <summary>Judges the leak checks.</summary>
public static class LeakChecks
{
    /// <summary>Joints of a split: each head's two, the outdoor unit's two for each head, and the valves' caps as a second seal.</summary>
    public static IReadOnlyList<string> Joints(int heads) =>
    [
        .. Enumerable.Range(1, heads).SelectMany(h => new[] { "head, thin", "head, thick", "outdoor, thin", "outdoor, thick" }
            .Select(j => heads == 1 ? j : FormattableString.Invariant($"{j}, zone {h}"))),
        "valve caps", "service port",
    ];

    /// <summary>Pipes of one end stand side by side: where one is made anew the other is moved too.</summary>
    private static bool Beside(string a, string b) => a != b && a.Contains(", ", StringComparison.Ordinal)
        && a.Replace("thin", "thick", StringComparison.Ordinal) == b.Replace("thin", "thick", StringComparison.Ordinal);

    /// <summary>When the circuit was last opened at a joint; nothing where none was made anew.</summary>
    public static DateTimeOffset? OpenedAgain(IReadOnlyList<LeakRecord> records) =>
        records.Standing().Where(r => r.Readings.Remade).Select(r => (DateTimeOffset?)records.Moment(r)).Max();

    /// <summary>Judges; a joint made anew is looked at anew, one that leaked too, and so is its neighbour.</summary>
    public static (LeakView View, List<Finding> Findings) Of(IReadOnlyList<LeakRecord> records, CircuitFacts c)
    {
        var findings = new List<Finding>();
        var standing = records.Standing();
        var both = c.Method.Tighten == TightenSchool.Feel;
        var rows = c.Joints.Select(joint =>
        {
            var from = standing.FindLastIndex(r => r.Readings.Remade && (r.Readings.Joint == joint || Beside(r.Readings.Joint, joint)));
            var of = standing.Skip(Math.Max(0, from)).Where(r => r.Readings.Joint == joint).ToList();
            if (of.Count == 0)
                return new JointRow(joint, StationState.Open, Phrase.Of($"not looked at"), "");
            var last = of[^1];
            var how = $"{Calls.Name(last.Readings.Method)}, {Calls.Name(last.Readings.State)}";
            if (of.Any(r => r.Readings.Result == LeakResult.Leaks))
                return new JointRow(joint, StationState.Stop, Phrase.Of($"leaks: {how}. Make it anew, then look at it and at its neighbours"), last.By);
            var dry = of.Where(r => r.Readings.Result == LeakResult.Dry).ToList();
            if (dry.Count == 0)
                return new JointRow(joint, StationState.Caution, Phrase.Of($"not sure: {how}"), last.By);
            var enough = !both || dry.Select(r => r.Readings.Method).Distinct().Count() > 1
                || dry.Any(r => r.Readings is { Method: LeakMethod.Soap, State: LeakState.Nitrogen });
            return enough ? new JointRow(joint, StationState.Passed, Phrase.Of($"dry: {how}"), last.By)
                : new JointRow(joint, StationState.Open,
                    Phrase.Of($"dry: {how}; tightened by feel it wants soap and detector, or soap under nitrogen"), last.By);
        }).ToList();
        foreach (var row in rows.Where(r => r.State == StationState.Stop))
            findings.Add(Finding.Of(FindingCode.LeakFound, Severity.Stop, $"{row.Joint}: {row.Words}."));
        var done = rows.Count(r => r.State == StationState.Passed);
        var worst = rows.Max(r => r.State);
        var state = worst > StationState.Passed ? worst : done == rows.Count ? StationState.Passed : StationState.Open;
        var left = rows.FirstOrDefault(r => r.State != StationState.Passed);
        return (new LeakView(state, state == StationState.Stop ? Phrase.Of($"{rows.First(r => r.State == StationState.Stop).Joint} leaks.")
            : left is null ? Phrase.Of($"All {rows.Count:Count} joints are dry.") : Phrase.Of($"{done:Count} of {rows.Count:Count} joints are dry."),
            left is null ? Phrase.Of($"Look again after the first hot run, and in one and three months: a slow leak shows late.")
                : state == StationState.Stop ? Phrase.Of($"Valves shut, charge recovered by who may, the joint made anew.")
                : Phrase.Of($"Next: {left.Joint}. Thick soap, two to three minutes, twice."), rows), findings);
    }
}
