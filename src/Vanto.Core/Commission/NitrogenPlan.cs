using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>What limits a pressure test, gauge Pa; common practice: three quarters of the gauge's full scale.</summary>
/// <param name="LimitPa">The least of all.</param>
/// <param name="By">What it is.</param>
public sealed record TestLimit(double LimitPa, string By)
{
    private const double GaugeShare = 0.75;

    /// <summary>The limit.</summary>
    /// <param name="unitPa">Most that the unit may be proved to, by its plate.</param>
    /// <param name="fullScalePa">Of the gauge.</param>
    /// <param name="hosePa">Rating of the hose.</param>
    /// <param name="fittingsPa">Least rating of the fittings.</param>
    /// <exception cref="InputException">One that is not known, named.</exception>
    public static TestLimit Of(double? unitPa, double? fullScalePa, double? hosePa, double? fittingsPa)
    {
        (string Name, double? Pa)[] all =
        [
            ("the unit", unitPa), ("three quarters of the gauge", fullScalePa * GaugeShare), ("the hose", hosePa), ("the fittings", fittingsPa),
        ];
        var missing = all.FirstOrDefault(a => a.Pa is null);
        if (missing.Name is not null)
            throw new InputException(missing.Name, "", $"{missing.Name}: its rating is not known, so no test pressure can be named");
        var least = all.MinBy(a => a.Pa)!;
        return new TestLimit(least.Pa!.Value, least.Name);
    }
}

/// <summary>A pressure that is held for a while.</summary>
public readonly record struct NitrogenStep(double GaugePa, double Minutes, string Why);

/// <summary>Nitrogen let in by steps, so that a bad joint shows itself while little is stored; common practice, no published source.</summary>
public static class NitrogenPlan
{
    private const double FirstPa = 110 * QuantityTable.PascalsPerPsi;
    private const double StepPa = 100 * QuantityTable.PascalsPerPsi;
    private const double FirstMin = 3, StepMin = 7, HoldMin = 60;

    /// <summary>Pressures on the way to the target, the target last.</summary>
    public static IReadOnlyList<NitrogenStep> Of(double targetPa)
    {
        var steps = new List<NitrogenStep>();
        if (targetPa > FirstPa)
            steps.Add(new NitrogenStep(FirstPa, FirstMin, "a joint that is loose is heard"));
        for (var at = 2 * StepPa; at < targetPa - 1; at += StepPa)
            if (at > FirstPa)
                steps.Add(new NitrogenStep(at, StepMin, "a fall that is seen: vent, remake, start again"));
        steps.Add(new NitrogenStep(targetPa, HoldMin, "held, with the pipe's temperature beside it"));
        return steps;
    }

    /// <summary>Gauge pressure once the pipe is as warm as it gets (Gay-Lussac, published).</summary>
    public static double HottestPa(double gaugePa, double coldC, double hotC, double ambientPa) =>
        (gaugePa + ambientPa) * (hotC + 273.15) / (coldC + 273.15) - ambientPa;

    /// <summary>Energy that the gas would set free, J: isothermal exergy (published).</summary>
    public static double StoredJ(double gaugePa, double volumeM3, double ambientPa)
    {
        var p = gaugePa + ambientPa;
        return p * volumeM3 * (Math.Log(p / ambientPa) - 1 + ambientPa / p);
    }

    /// <summary>Share of oxygen left where the gas is let out inside, perfectly mixed (published).</summary>
    public static double OxygenAfter(double gasM3, double roomM3) => 0.2095 * Math.Exp(-gasM3 / roomM3);

    /// <summary>Below it nobody breathes safely, and where a warning begins; common practice.</summary>
    public const double OxygenLeast = 0.195, OxygenLow = 0.205;
}
