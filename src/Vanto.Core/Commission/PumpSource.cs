using Vanto.Core.Findings;
using Vanto.Core.Plan;
using Vanto.Core.Supply;

namespace Vanto.Core.Commission;

/// <summary>What a vacuum pump asks of its source; power factor and start by common practice.</summary>
/// <param name="Va">Running.</param>
/// <param name="StartVa">In its first third of a second.</param>
public readonly record struct PumpLoad(double Va, double StartVa)
{
    public const double PowerFactor = 0.65, StartTimes = 5;

    /// <summary>Of a pump.</summary>
    public static PumpLoad Of(double watts, double powerFactor = PowerFactor, double startTimes = StartTimes) =>
        new(watts / powerFactor, startTimes * watts / powerFactor);

    /// <summary>Energy out of a battery, Wh.</summary>
    public static double EnergyWh(double watts, double hours, double efficiency, double idleW) => (watts / efficiency + idleW) * hours;
}

/// <summary>Whether the inverter on board carries the pump; shore or a generator would.</summary>
internal static class PumpSource
{
    private const double Calm = 0.8, CalmSurge = 0.9, SurgeTimes = 2;

    public static IEnumerable<Finding> Of(SourcesDesign sources, VacuumKit kit, MethodDesign method)
    {
        if (!sources.Inverter.Fitted || !sources.Battery.Fitted || method.HandPump)
            yield break;
        var (load, rated) = (PumpLoad.Of(kit.PumpW), Math.Min(sources.Inverter.RatedW, sources.Inverter.LabelVa ?? double.MaxValue));
        var surge = SurgeTimes * rated;
        Severity? level = load.Va > rated || load.StartVa > surge ? Severity.Stop : load.Va > Calm * rated || load.StartVa > CalmSurge * surge
            ? Severity.Caution : null;
        if (level == Severity.Stop && (sources.Shore.PluggedIn || sources.Generator.Fitted))
            level = Severity.Caution;
        if (level is { } l)
            yield return Finding.Of(FindingCode.PumpSource, l,
                $"The pump asks {load.Va:ApparentPower}, {load.StartVa:ApparentPower} as it starts, of an inverter of {rated:ElectricPower}: "
                    + $"{(load.Va > rated || load.StartVa > surge ? "take shore or a generator" : "all else off")}.");
    }
}
