using System.Text.Json.Serialization;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;

namespace Vanto.Core.Survey;

/// <summary>A source of the catalogue.</summary>
/// <param name="Id">Its name in the catalogue.</param>
/// <param name="Group">inverter, generator or shore.</param>
/// <param name="Words">What it is.</param>
/// <param name="Board">Puts it on board.</param>
public sealed record SourceEntry(string Id, string Group, Phrase Words, [property: JsonIgnore] Func<SurveyDesign, SurveyDesign> Board);

/// <summary>Generic classes of source in the sizes they are sold in; typical, common practice. What is typed in Survey is an entry of one's own.</summary>
public static class SourceCatalogue
{
    /// <summary>All entries, by group and size.</summary>
    public static IReadOnlyList<SourceEntry> All { get; } = [.. Inverters(), .. Generators(), .. Pedestals()];

    /// <summary>Takes an entry on board.</summary>
    /// <exception cref="InputException">No entry is called so.</exception>
    public static DesignEdit Take(SurveyDesign survey, string id) => All.FirstOrDefault(e => e.Id == id) is { } entry
        ? DesignEdit.Of(survey, entry.Board)
        : throw new InputException("id", id, $"No source of the catalogue is called \"{id}\".");

    private static IEnumerable<SourceEntry> Inverters() =>
        from kind in Enum.GetValues<InverterClass>()
        from watts in SourceBuilder.InverterStepsW
        let words = Phrase.Of($"{Calls.Name(kind)}, {watts:ElectricPower}")
        select new SourceEntry($"inverter-{kind}-{watts:0}".ToLowerInvariant(), "inverter", words,
            s => s.WithInverter(i => i.Replaced(watts) with { Fitted = true, Class = kind }));

    private static IEnumerable<SourceEntry> Generators() =>
        from kind in new[] { GeneratorKind.Inverter, GeneratorKind.Conventional }
        let source = kind == GeneratorKind.Inverter ? SourceClass.InverterGenerator : SourceClass.ConventionalGenerator
        from step in SourceSteps.Of(source)
        let words = Phrase.Of($"{Calls.Name(source)}, {step.RatedW:ElectricPower}, at most {step.MaximumW:ElectricPower}")
        select new SourceEntry($"generator-{kind}-{step.RatedW:0}".ToLowerInvariant(), "generator", words, s => s.WithGenerator(g => g with
        {
            Fitted = true,
            Kind = kind,
            Fuel = kind == GeneratorKind.Inverter ? FuelKind.PetrolInverter : FuelKind.Petrol,
            RatedW = step.RatedW,
            MaximumW = step.MaximumW,
        }));

    private static IEnumerable<SourceEntry> Pedestals() =>
        from pedestal in new[] { (Volts: 120.0, Amperes: 15.0), (120, 20), (120, 30), (120, 50), (230, 6), (230, 10), (230, 16), (230, 32) }
        select new SourceEntry($"shore-{pedestal.Volts:0}-{pedestal.Amperes:0}", "shore", Phrase.Of($"{pedestal.Volts:Voltage}, {pedestal.Amperes:Current}"),
            s =>
                s with { Sources = s.Sources with { Shore = s.Sources.Shore with { PluggedIn = true, Volts = pedestal.Volts, BreakerA = pedestal.Amperes } } });
}
