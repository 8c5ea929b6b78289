using Vanto.Core.Findings;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>A joint and how it stands.</summary>
/// <param name="Joint">Its place.</param>
/// <param name="Words">What was found, and how.</param>
public sealed record JointRow(string Joint, ProofState State, Phrase Words, string By);

/// <summary>The search for leaks, joint by joint.</summary>
public sealed record LeakView(ProofState State, Phrase Words, Phrase Next, IReadOnlyList<JointRow> Joints);

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

    /// <summary>Judges; a joint made anew is looked at anew, one that leaked too.</summary>
    public static (LeakView View, List<Finding> Findings) Of(IReadOnlyList<LeakRecord> records, CircuitFacts c)
    {
        var findings = new List<Finding>();
        var standing = records.Standing();
        var both = c.Method.Tighten == TightenSchool.Feel;
        var rows = c.Joints.Select(joint =>
        {
            var of = standing.Where(r => r.Readings.Joint == joint).ToList();
            var from = of.FindLastIndex(r => r.Readings.Remade);
            of = from < 0 ? of : of[from..];
            if (of.Count == 0)
                return new JointRow(joint, ProofState.Open, Phrase.Of($"not looked at"), "");
            var last = of[^1];
            var how = $"{Calls.Name(last.Readings.Method)}, {Calls.Name(last.Readings.State)}";
            if (of.Any(r => r.Readings.Result == LeakResult.Leaks))
                return new JointRow(joint, ProofState.Stop, Phrase.Of($"leaks: {how}. Make it anew, then look at it and at its neighbours"), last.By);
            var dry = of.Where(r => r.Readings.Result == LeakResult.Dry).ToList();
            if (dry.Count == 0)
                return new JointRow(joint, ProofState.Caution, Phrase.Of($"not sure: {how}"), last.By);
            var enough = !both || dry.Select(r => r.Readings.Method).Distinct().Count() > 1
                || dry.Any(r => r.Readings is { Method: LeakMethod.Soap, State: LeakState.Nitrogen });
            return enough ? new JointRow(joint, ProofState.Passed, Phrase.Of($"dry: {how}"), last.By)
                : new JointRow(joint, ProofState.Open, Phrase.Of($"dry: {how}; tightened by feel it wants soap and detector, or soap under nitrogen"), last.By);
        }).ToList();
        foreach (var row in rows.Where(r => r.State == ProofState.Stop))
            findings.Add(Finding.Of(FindingCode.LeakFound, Severity.Stop, $"{row.Joint}: {row.Words}."));
        var done = rows.Count(r => r.State == ProofState.Passed);
        var worst = rows.Max(r => r.State);
        var state = worst > ProofState.Passed ? worst : done == rows.Count ? ProofState.Passed : ProofState.Open;
        var left = rows.FirstOrDefault(r => r.State != ProofState.Passed);
        return (new LeakView(state, state == ProofState.Stop ? Phrase.Of($"{rows.First(r => r.State == ProofState.Stop).Joint} leaks.")
            : left is null ? Phrase.Of($"All {rows.Count:Count} joints are dry.") : Phrase.Of($"{done:Count} of {rows.Count:Count} joints are dry."),
            left is null ? Phrase.Of($"Look again after the first hot run, and in one and three months: a slow leak shows late.")
                : state == ProofState.Stop ? Phrase.Of($"Valves shut, charge recovered by who may, the joint made anew.")
                : Phrase.Of($"Next: {left.Joint}. Thick soap, two to three minutes, twice."), rows), findings);
    }
}
