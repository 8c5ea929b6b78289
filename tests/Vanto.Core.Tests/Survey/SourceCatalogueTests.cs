using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Survey;

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
        foreach (var change in SourceCatalogue.All.SelectMany(e => SourceCatalogue.Take(new SurveyDesign(), e.Id).Changes))
        {
            var field = fields[change.Path];
            if (field.Min is { } least && change.Value is { } value)
                ((double)value).ShouldBeInRange(least, field.Max!.Value, change.Path);
            if (field.Choices.Count > 0)
                field.Choices.ShouldContain(c => c.Value == (string)change.Value!, change.Path);
        }
    }

    [Fact]
    public void Every_entry_is_found_by_its_own_name()
    {
        SourceCatalogue.All.Select(e => e.Id).ShouldBeUnique();
        Should.Throw<InputException>(() => SourceCatalogue.Take(new SurveyDesign(), "generator-steam-9")).Message.ShouldContain("generator-steam-9");
    }

    [Fact]
    public void Every_generator_of_it_can_be_built_and_every_inverter_bears_its_class()
    {
        foreach (var entry in SourceCatalogue.All.Where(e => e.Group == "generator"))
            SourceBuilder.Source(entry.Board(new SurveyDesign()).Sources, 0, 35, SourceChoice.Generator, 1).ContinuousW.ShouldBeGreaterThan(0);
        foreach (var entry in SourceCatalogue.All.Where(e => e.Group == "inverter"))
        {
            var inverter = entry.Board(new SurveyDesign { Sources = new SourcesDesign { Inverter = new InverterDesign { PeakW = 400 } } }).Sources.Inverter;
            inverter.Fitted.ShouldBeTrue(entry.Id);
            inverter.PeakW.ShouldBeNull("what its maker said of the old one goes with it");
        }
    }
}
