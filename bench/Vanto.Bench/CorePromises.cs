using Vanto.Core.Job;
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
    }
}
