using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Job;

/// <summary>Every leaf says something: a verdict, a sentence of its own, or the result of what it runs.</summary>
public class LeafTests
{
    /// <summary>Leaves whose answer is run when it is asked for.</summary>
    private static readonly string[] Run = ["load/season", "start/worse", "energy/kit", "energy/year", "energy/stretch", "energy/limited", "energy/options"];

    public static TheoryData<string> Rigs => [.. AnyDesign.Named.Keys];

    [Theory]
    [MemberData(nameof(Rigs))]
    public void Each_leaf_has_its_sentence_and_each_finding_a_leaf(string rig)
    {
        var assessment = Assessor.Assess(AnyDesign.Named[rig]);
        foreach (var station in StationRegistry.Standard.All)
        {
            station.Leaves.Select(l => l.Name).ShouldBeUnique();
            station.Leaves.ShouldAllBe(l => l.Question.EndsWith('?') && l.Words.Length > 0);
            if (!assessment.Results.TryGetValue(station.Name, out var result))
                continue;
            foreach (var leaf in station.Leaves.Skip(1).Where(l => !Run.Contains($"{station.Name}/{l.Name}")))
            {
                result.Answers.ShouldContainKey(leaf.Name, station.Name);
                var words = result.Answers[leaf.Name].ToString();
                (words.EndsWith('.') && !words.Contains('{')).ShouldBeTrue(words);
            }
            result.Answers.Keys.ShouldBeSubsetOf(station.Leaves.Select(l => l.Name));
            foreach (var finding in result.Findings)
            {
                finding.Station.ShouldBe(station.Name);
                (finding.Leaf.Length == 0 || station.Leaves.Any(l => l.Name == finding.Leaf)).ShouldBeTrue(finding.Code);
            }
        }
    }

    [Fact]
    public void A_finding_speaks_of_the_field_that_its_first_way_out_changes()
    {
        var dark = NewcomersVan.Design with { Survey = NewcomersVan.Design.Survey with { Place = NewcomersVan.Design.Survey.Place with { DryBulbC = 48 } } };
        var findings = Assessor.Assess(dark).Results.Values.SelectMany(r => r.Findings).ToList();
        foreach (var finding in findings.Where(f => f.Remedies.Any(r => r.Changes.Count > 0)))
            finding.Field.ShouldBe(finding.Remedies.SelectMany(r => r.Changes).First().Path);
        findings.ShouldContain(f => f.Remedies.All(r => r.Changes.Count == 0) && f.Field.Length > 0);
    }

    [Fact]
    public void A_marked_sentence_holds_its_measures()
    {
        var phrase = Phrase.Marked("{3:TemperatureDifference} on a hot roof, {-5.5:Temperature} in the cold");
        phrase.ToString().ShouldBe("3 K on a hot roof, -5.5 °C in the cold");
        phrase.InUnits(Core.Quantities.UnitSystem.Customary).ShouldBe("5.4 °F on a hot roof, 22.1 °F in the cold");
    }
}
