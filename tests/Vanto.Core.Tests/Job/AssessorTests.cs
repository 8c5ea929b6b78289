using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Job;

public class AssessorTests
{
    public static TheoryData<RigKind> Kinds => [.. Enum.GetValues<RigKind>()];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Every_kind_of_rig_is_assessed_from_its_preset(RigKind kind)
    {
        var assessment = Assessor.Assess(RigPresets.New(kind, kind.ToString()));
        assessment.Faults.ShouldBeEmpty();
        assessment.Load!.PeakW.ShouldBeInRange(300, 12000);
        assessment.States.Count.ShouldBe(StationRegistry.Standard.All.Count);
        assessment.Ledger.ShouldAllBe(e => double.IsFinite(e.Value.Value));
    }

    [Fact]
    public void The_same_design_gives_the_same_results()
    {
        var once = System.Text.Json.JsonSerializer.Serialize(Assessor.Assess(NewcomersVan.Design), StationRegistry.Standard.Json);
        var twice = System.Text.Json.JsonSerializer.Serialize(Assessor.Assess(NewcomersVan.Design), StationRegistry.Standard.Json);
        twice.ShouldBe(once);
    }

    [Fact]
    public void A_station_with_bad_input_says_why_and_those_after_it_wait()
    {
        var result = Assessor.Assess(NewcomersVan.Design with { Unit = new UnitDesign { Chosen = "no-such-unit" } });
        result.Load.ShouldNotBeNull();
        result.Unit.ShouldBeNull();
        result.Faults.Single(f => f.Station == "unit").Errors[0].Field.ShouldBe("unit.chosen");
        result.States["start"].ShouldBe(StationState.Resting);
        result.Faults.Single(f => f.Station == "start").Verdict.Headline.ToString().ShouldContain("Unit");
    }

    [Fact]
    public void Every_figure_opens_to_a_working_with_sources()
    {
        var result = Assessor.Assess(NewcomersVan.Design);
        Figure[] figures = [.. result.Survey!.Figures, .. result.Load!.Figures, .. result.Unit!.Figures, .. result.Start!.Figures, .. result.Energy!.Figures];
        figures.Length.ShouldBeGreaterThan(15);
        foreach (var figure in figures)
        {
            figure.Working.Steps.ShouldNotBeEmpty(figure.Label);
            figure.Working.Steps.ShouldAllBe(s => s.Citation.Title.Length > 0 && double.IsFinite(s.Value));
        }
    }

    [Fact]
    public void Windows_larger_than_their_side_are_refused_at_the_survey()
    {
        var design =
            NewcomersVan.Design with
            {
                Survey = NewcomersVan.Design.Survey with { Windows = [new WindowDesign { Side = Side.Rear, WidthM = 3, HeightM = 2 }] }
            };
        var fault = Assessor.Assess(design).Faults.Single(f => f.Station == "survey");
        fault.Errors[0].Reason.ShouldContain("rear");
    }
}
