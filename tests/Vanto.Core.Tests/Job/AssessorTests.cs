using System.Diagnostics;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Job;

public class AssessorTests
{
    [Fact]
    public void Every_kind_of_rig_is_assessed_from_its_preset()
    {
        foreach (var kind in Enum.GetValues<RigKind>())
        {
            var assessment = Assessor.Assess(RigPresets.New(kind, kind.ToString()));
            assessment.Faults.ShouldBeEmpty(kind.ToString());
            assessment.Load!.PeakW.ShouldBeInRange(300, 12000, kind.ToString());
            assessment.States.Count.ShouldBe(Assessor.Stations.Count);
            var watch = Stopwatch.StartNew();
            Assessor.Assess(RigPresets.New(kind, kind.ToString()));
            Console.WriteLine($"{kind}: {watch.Elapsed.TotalMilliseconds:0.0} ms, load {assessment.Load.PeakW:0}, {assessment.Load.Verdict.Headline} | {assessment.Unit!.Verdict.Headline} | {assessment.Start!.Verdict.Headline} | {assessment.Energy!.Verdict.Headline}");
        }
    }
}
