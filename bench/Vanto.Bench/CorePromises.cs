using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Web.Demo;

namespace Vanto.Bench;

/// <summary>Promises that the core keeps alone.</summary>
public static class CorePromises
{
    /// <summary>Measures them on the demo rigs.</summary>
    public static IEnumerable<Measured> Measure()
    {
        foreach (var rig in DemoRigs.Designs)
            yield return Measured.Time($"assess a whole job: {rig.Name}", 15, 60, () => Assessor.Assess(rig));
        var marigold = DemoRigs.Designs[0];
        var space = SurveyedSpace.Build(marigold.Survey, 25, 50);
        var weather = SeasonRun.Made(marigold.Survey);
        var run = new YearRun(space, SpaceDrivers.Build(space, weather.Steps(300), 300), 300);
        var before = GC.GetAllocatedBytesForCurrentThread();
        run.Run(18);
        var allocated = (GC.GetAllocatedBytesForCurrentThread() - before) / 1e6;
        yield return Measured.Time($"one year at 5 min, thermal, {space.Faces.Count} faces and {space.Windows.Count} windows, one core", 50, 20, () => run.Run(18), FormattableString.Invariant($"(sun prepared; {allocated:0.0} MB for the hourly results)"));
    }
}
