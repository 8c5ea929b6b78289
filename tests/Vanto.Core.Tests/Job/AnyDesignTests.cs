using System.Diagnostics;
using CsCheck;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Core.Tests.Job;

/// <summary>Any combination of fields in their ranges is assessed: no fault of Vanto's own, every number finite, the energy closes, in under a second.</summary>
public class AnyDesignTests
{
    private const int Seconds = 25;
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(1);

    [Fact]
    public void A_few_fields_changed_at_once_are_always_answered() =>
        AnyDesign.Changes(1, 25).Sample(Answered, time: Seconds, print: Print);

    [Fact]
    public void Many_fields_changed_at_once_are_always_answered() =>
        AnyDesign.Changes(40, 300).Sample(Answered, time: Seconds, print: Print);

    [Fact]
    public void Stat()
    {
        try { Many_fields_changed_at_once_are_always_answered(); } finally { File.WriteAllText("/tmp/stat", $"{_asked} {_whole}\n" + string.Join("\n", H.OrderByDescending(h => h.Value).Take(40))); }
    }

    private static string Print((int Base, FieldAt[] Changes) changes) => AnyDesign.Text(changes);

    private static readonly System.Collections.Concurrent.ConcurrentDictionary<string, int> H = new();
    private static int _asked, _whole;

    /// <summary>As it is, and without what a station refuses until none does: behind a refusal nothing would be seen.</summary>
    private static void Answered((int Base, FieldAt[] Changes) changes)
    {
        for ((int Base, FieldAt[] Changes)? now = changes; now is { } c;)
        {
            var assessment = Assessed(AnyDesign.Of(c));
            foreach (var fault in assessment.Faults)
                fault.Id.ShouldBe("", $"{fault.Station}: {fault.Cause}");
            Finite.FirstFault(assessment).ShouldBeNull();
            if (assessment.Energy is { } energy)
                energy.Findings.Where(f => f.Code == "energy.open").Select(f => f.Words.ToString()).ShouldBeEmpty();
            Interlocked.Increment(ref _asked);
            if (assessment.Faults.Count == 0)
                Interlocked.Increment(ref _whole);
            now = AnyDesign.Without(c, assessment);
            if (now is null && assessment.Faults.Count > 0) H.AddOrUpdate(string.Join(" | ", assessment.Faults.SelectMany(f => f.Errors.Take(1)).Select(e => e.Field + ": " + System.Text.RegularExpressions.Regex.Replace(e.Reason, "[0-9.]+", "#"))), 1, (_, n) => n + 1);
        }
    }

    /// <summary>Timed; where the machine was busy with something else, once more.</summary>
    private static JobAssessment Assessed(JobDesign design)
    {
        var best = TimeSpan.MaxValue;
        JobAssessment assessment = null!;
        for (var i = 0; i < 3 && best > Patience; i++)
        {
            var began = Stopwatch.GetTimestamp();
            assessment = Assessor.Assess(design);
            var took = Stopwatch.GetElapsedTime(began);
            best = took < best ? took : best;
        }
        best.ShouldBeLessThan(Patience);
        return assessment;
    }
}
