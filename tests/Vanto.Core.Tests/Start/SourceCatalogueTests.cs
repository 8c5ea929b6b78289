using System.Text.Json;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Start;

/// <summary>The catalogue of sources: typical sizes, common practice, no published source.</summary>
public class SourceCatalogueTests
{
    [Fact]
    public void Every_class_is_in_it_and_every_entry_has_a_name_of_its_own()
    {
        var words = SourceCatalogue.All.Select(e => e.Words.ToString()).ToList();
        words.Distinct().Count().ShouldBe(words.Count);
        foreach (var kind in Enum.GetValues<InverterClass>())
            words.ShouldContain(w => w.StartsWith(Calls.Name(kind), StringComparison.Ordinal));
        SourceCatalogue.All.GroupBy(e => e.Group).Select(g => g.Key).ShouldBe(["inverter", "generator", "shore"]);
    }

    [Fact]
    public void What_an_entry_changes_stands_in_the_design_within_its_range()
    {
        var fields = FieldCatalogue.Of(typeof(JobDesign), new JobDesign(), JobFile.Json).ToDictionary(f => f.Path);
        foreach (var change in SourceCatalogue.All.SelectMany(e => e.Changes))
        {
            var field = fields[change.Path];
            if (field.Min is { } least && change.Value is { } value)
                ((double)value).ShouldBeInRange(least, field.Max!.Value, change.Path);
            if (field.Choices.Count > 0)
                field.Choices.ShouldContain(c => c.Value == (string)change.Value!, change.Path);
        }
    }

    [Fact]
    public void Every_generator_of_it_can_be_built_and_every_inverter_bears_its_class()
    {
        foreach (var entry in SourceCatalogue.All.Where(e => e.Group == "generator"))
        {
            double At(string field) => (double)entry.Changes.Single(c => c.Path.EndsWith("/" + field, StringComparison.Ordinal)).Value!;
            var sources = new SourcesDesign { Generator = new GeneratorDesign { Fitted = true, Kind = (string)entry.Changes.Single(c => c.Path.EndsWith("/kind", StringComparison.Ordinal)).Value! == "inverter" ? Core.Physics.GeneratorKind.Inverter : Core.Physics.GeneratorKind.Conventional, RatedW = At("ratedW"), MaximumW = At("maximumW") } };
            SourceBuilder.Source(sources, new PlaceDesign(), SourceChoice.Generator, 1).ContinuousW.ShouldBeGreaterThan(0);
        }
    }
}
