using Vanto.Core.Findings;
using Vanto.Core.Physics;

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

    /// <summary>A unit that does not hold the cabin however much it is fed.</summary>
    /// <param name="words">Where and by how much.</param>
    public static Finding UnitLimited(Phrase words) => Finding.Of(FindingCode.SizeUnitLimited, Severity.Stop, Phrase.Of($"{words}: no battery helps."));

    /// <summary>An error of Vanto's own, said beside the figures it touches.</summary>
    internal static IEnumerable<Finding> NotClosing(EnergyLedger? open) =>
        open is { Closes: false } ? [NotClosing(Phrase.Of($"{open.ResidualWh:Energy} of {open.ThroughputWh:Energy}"))] : [];

    /// <summary>The same of a run's water.</summary>
    internal static IEnumerable<Finding> NotClosing(WaterLedger? water) =>
        water is { Closes: false } ? [NotClosing(Phrase.Of($"{water.ResidualKg:Mass} of {water.ThroughputKg:Mass} of water"))] : [];

    private static Finding NotClosing(Phrase missing) => Finding.Of(FindingCode.EnergyOpen, Severity.Caution, Phrase.Of($"The books of a run do not close: "
        + $"{missing} are nowhere. The figures are off by that much; it is a fault of Vanto's, worth reporting with the job file."));
}
