using Vanto.Core.Commission;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Commission;

/// <summary>A van with a split that is joined on site, the moment it is proved, and a circuit by itself.</summary>
internal static class ProofRigs
{
    public static readonly DateTimeOffset Noon = new(2027, 3, 2, 12, 0, 0, TimeSpan.Zero);

    public static JobDesign Split { get; } = Fitted();

    public static CircuitFacts Circuit { get; } = new()
    {
        AmbientPa = 101325,
        VolumeM3 = 1.2e-3,
        Refrigerant = RefrigerantKind.R32,
        ProofPa = null,
        Method = new MethodDesign(),
        Heads = 1,
        Joints = [],
        RoomM3 = 20,
    };

    private static JobDesign Fitted()
    {
        var van = RigPresets.New(RigKind.Van, "Sandpiper");
        return van with { Unit = van.Unit with { Chosen = "MS-12-120" } };
    }
}
