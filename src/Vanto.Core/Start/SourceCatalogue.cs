using System.Text.Json;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Survey;

namespace Vanto.Core.Start;

/// <summary>A source of the catalogue and the changes that put it on board.</summary>
/// <param name="Group">inverter, generator or shore.</param>
/// <param name="Words">What it is.</param>
/// <param name="Changes">To the survey.</param>
public sealed record SourceEntry(string Group, Phrase Words, IReadOnlyList<DesignChange> Changes);

/// <summary>Generic classes of source in the sizes they are sold in; typical, common practice. What is typed in Survey is an entry of one's own.</summary>
public static class SourceCatalogue
{
    private const string At = "/survey/sources/";

    /// <summary>All entries, by group and size.</summary>
    public static IReadOnlyList<SourceEntry> All { get; } = [.. Inverters(), .. Generators(), .. Pedestals()];

    private static IEnumerable<SourceEntry> Inverters() =>
        from kind in Enum.GetValues<InverterClass>()
        from watts in SourceBuilder.InverterStepsW
        select new SourceEntry("inverter", Phrase.Of($"{Calls.Name(kind)}, {watts:ElectricPower}"),
        [
            new(At + "inverter/fitted", true), new(At + "inverter/class", JsonSerializer.SerializeToNode(kind, DesignJson.Options)), new(At + "inverter/ratedW", watts), new(At + "inverter/idleW", null),
        ]);

    private static IEnumerable<SourceEntry> Generators() =>
        from kind in new[] { SourceClass.InverterGenerator, SourceClass.ConventionalGenerator }
        from step in SmallestSource.Steps(kind)
        select new SourceEntry("generator", Phrase.Of($"{Calls.Name(kind)}, {step.RatedW:ElectricPower}, at most {step.MaximumW:ElectricPower}"),
        [
            new(At + "generator/fitted", true), new(At + "generator/kind", kind == SourceClass.InverterGenerator ? "inverter" : "conventional"),
            new(At + "generator/fuel", kind == SourceClass.InverterGenerator ? "petrolInverter" : "petrol"), new(At + "generator/ratedW", step.RatedW), new(At + "generator/maximumW", step.MaximumW),
        ]);

    private static IEnumerable<SourceEntry> Pedestals() =>
        from pedestal in new[] { (Volts: 120.0, Amperes: 15.0), (120, 20), (120, 30), (120, 50), (230, 6), (230, 10), (230, 16), (230, 32) }
        select new SourceEntry("shore", Phrase.Of($"{pedestal.Volts:Voltage}, {pedestal.Amperes:Current}"),
            [new(At + "shore/fitted", true), new(At + "shore/volts", pedestal.Volts), new(At + "shore/breakerA", pedestal.Amperes)]);
}
