using Vanto.Core.Findings;

namespace Vanto.Core.Energy;

/// <summary>What there is to say of a run, whoever asked for it.</summary>
internal static class RunFindings
{
    /// <summary>The generator's share, or null.</summary>
    public static Finding? Generator(double hours, double litres) =>
        hours > 0 ? Finding.Of(FindingCode.EnergyGenerator, Severity.Note, $"The generator runs {hours:Hours} and burns {litres:Fuel}.") : null;

    /// <summary>When all goes dark, or null.</summary>
    /// <param name="hour">Hours after the run begins.</param>
    public static Finding? Dark(double? hour) =>
        hour is { } dark ? Finding.Of(FindingCode.EnergyCutOff, Severity.Stop, $"Everything goes dark {dark:Hours} after the run begins.") : null;

    /// <summary>A kit search that found nothing.</summary>
    /// <param name="batteries">Blocks tried at most.</param>
    /// <param name="modules">Modules tried at most.</param>
    /// <param name="what">What is to be held.</param>
    public static Finding NothingHolds(int batteries, int modules, Phrase what) =>
        Finding.Of(FindingCode.SizeNone, Severity.Stop, $"Nothing within {batteries} blocks and {modules} modules holds {what}: the energy is not there.");

    /// <summary>An error of Vanto's own, said beside the figures it touches.</summary>
    internal static IEnumerable<Finding> NotClosing(EnergyLedger? open)
    {
        if (open is { Closes: false })
            yield return Finding.Of(FindingCode.EnergyOpen, Severity.Caution, $"The books of a run do not close: {open.ResidualWh:Energy} of "
                + $"{open.ThroughputWh:Energy} are nowhere. The figures are off by that much; it is a fault of Vanto's, worth reporting with the job file.");
    }

    /// <summary>The same of a run's water.</summary>
    internal static IEnumerable<Finding> NotClosing(Physics.WaterLedger? water)
    {
        if (water is { Closes: false })
            yield return Finding.Of(FindingCode.EnergyOpen, Severity.Caution, $"The water of a run does not close: {water.ResidualKg:Mass} of "
                + $"{water.ThroughputKg:Mass} are nowhere. It is a fault of Vanto's, worth reporting with the job file.");
    }
}
