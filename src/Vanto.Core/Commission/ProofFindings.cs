using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Commission;

/// <summary>What is found at the gauges, worded once for the stations and for the Bench.</summary>
internal static class ProofFindings
{
    /// <summary>Water must boil so far below the pipe's warmth to leave it, K; common practice.</summary>
    private const double BoilsUnderK = 5;

    /// <summary>Water does not leave a pipe at this vacuum; nothing where it does.</summary>
    public static Finding? WaterWillNotBoil(double pa, double pipeC) => VacuumReading.WaterBoilsC(pa) is var boils && boils >= pipeC - BoilsUnderK
        ? Finding.Of(FindingCode.VacuumWaterWillNotBoil, Severity.Caution,
            $"At {pa:Vacuum} water boils only at {boils:Temperature}; a pipe of {pipeC:Temperature} never dries.")
        : null;

    /// <summary>What a vacuum that stands says, where that is no pass.</summary>
    public static Finding Decay(Severity level, Phrase words) => Finding.Of(FindingCode.VacuumDecay, level, words);

    /// <summary>A nitrogen hold that lost more than its temperature explains.</summary>
    public static Finding HoldLeaks(double lostPa, Phrase equals) => Finding.Of(FindingCode.HoldLeaking, Severity.Stop,
        $"It leaks: {lostPa:GaugePressure} less than its temperature explains. {equals}");

    /// <summary>What is said wherever nitrogen is let in.</summary>
    public static Finding Nitrogen => Finding.Of(FindingCode.Nitrogen, Severity.Caution,
        $"Nitrogen only through a regulator; never oxygen, never compressed air. Vent outdoors.");

    /// <summary>More pressure than something may stand.</summary>
    public static Finding NitrogenOver(double targetPa, TestLimit limit, params Remedy[] ways) => Finding.Of(FindingCode.NitrogenOver, Severity.Stop,
        Phrase.Of($"{targetPa:GaugePressure} is more than {limit.By} may stand, {limit.LimitPa:GaugePressure}."), ways);

    /// <summary>More than that once it is warm.</summary>
    public static Finding NitrogenWarms(double hotPa, double hotC, TestLimit limit, params Remedy[] ways) => Finding.Of(FindingCode.NitrogenWarms,
        Severity.Stop, Phrase.Of($"Warmed to {hotC:Temperature} it stands at {hotPa:GaugePressure}: more than {limit.By} may, {limit.LimitPa:GaugePressure}."),
        ways);

    /// <summary>Air to breathe where the gas is let out inside; nothing where enough is left.</summary>
    public static Finding? Oxygen(double share) => share < NitrogenPlan.OxygenLow
        ? Finding.Of(FindingCode.NitrogenOxygen, share < NitrogenPlan.OxygenLeast ? Severity.Stop : Severity.Caution,
            $"Let out inside, {share:Fraction} oxygen would be left to breathe: vent it outdoors.")
        : null;
}
