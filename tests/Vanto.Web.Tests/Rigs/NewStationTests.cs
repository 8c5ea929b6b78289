using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>A station that the server's own code knows nothing of: one more in the registry, and every answer has it.</summary>
public class NewStationTests(NewStationTests.PaintServer server) : IClassFixture<NewStationTests.PaintServer>
{
    public sealed record PaintAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, double AreaM2) : IStationResult;

    private sealed class PaintStation : Station<PaintAssessment>
    {
        public const string Breaks = "Dry Creek";
        public override string Name => "paint";
        public override StationPhase Phase => StationPhase.Build;
        public override IReadOnlyList<Type> Reads => [typeof(SurveyDesign)];

        public override IStationResult Assess(StationInputs job)
        {
            if (job.Design<SurveyDesign>().Place.Name == Breaks)
                throw new InvalidOperationException("the paint is dry");
            var space = job.Design<SurveyDesign>().Space;
            return new PaintAssessment(new Verdict(StationState.Caution, Phrase.Of($"Paint it."), Phrase.Of($"")), [], space.LengthM * space.WidthM);
        }
    }

    public sealed class PaintServer : RunningServer
    {
        protected override StationRegistry Stations { get; } = new([.. StationRegistry.Standard.All, new PaintStation()]);
    }

    [Fact]
    public async Task It_is_in_the_rig_in_the_yard_and_in_the_answer_to_a_change_it_reads()
    {
        var rig = await server.Begin("Painted");
        var design = Design(rig);
        rig.Number("/assessment/paint/areaM2").ShouldBe(design.Survey.Space.LengthM * design.Survey.Space.WidthM, 1e-9);
        rig.Text("/assessment/states/paint").ShouldBe("caution");
        var yard = (System.Text.Json.Nodes.JsonArray)await Read(await server.Http.GetAsync("/api/rigs"));
        yard.Single(r => (string)r!["id"]! == rig.Id())!.Text("/states/paint").ShouldBe("caution");

        var longer = await Read(await server.Patch(rig.Id(), 1, [Set("/survey/space/lengthM", 7)]));
        longer.Number("/assessment/paint/areaM2").ShouldBe(7 * design.Survey.Space.WidthM, 1e-9);
        longer["changed"]!.AsArray().Select(c => (string)c!).ShouldContain("paint");
        var warmer = await Read(await server.Patch(rig.Id(), 2, [Set("/energy/setpointC", 27)]));
        warmer["changed"]!.AsArray().Select(c => (string)c!).ShouldNotContain("paint");
        warmer["changed"]!.AsArray().Select(c => (string)c!).ShouldNotContain("load");
        warmer["assessment"]!["paint"].ShouldBeNull("what did not change is not sent again");
        (await server.View(rig.Id())).Number("/assessment/paint/areaM2").ShouldBe(7 * design.Survey.Space.WidthM, 1e-9);
    }

    [Fact]
    public async Task The_document_of_the_API_has_its_result()
    {
        var api = await Read(await server.Http.GetAsync("/api/openapi/v1.json"));
        var properties = api["components"]!["schemas"]!["JobAssessment"]!["properties"]!.AsObject();
        properties.ShouldContain(p => p.Key == "paint");
        properties.ShouldContain(p => p.Key == "handover");
    }

    [Fact]
    public async Task What_a_station_throws_is_named_to_the_person_and_told_whole_in_the_log()
    {
        var rig = await server.Begin("Broken");
        var answer = await Read(await server.Patch(rig.Id(), 1, [Set("/name", PaintStation.Breaks)]));
        answer["assessment"]!["faults"]!.AsArray().ShouldBeEmpty("the name of a rig is not among what it reads");
        var named = await Read(await server.Patch(rig.Id(), 2, [Set("/survey/place/name", PaintStation.Breaks)]));
        var fault = named["assessment"]!["faults"]!.AsArray().Single()!;
        fault.Text("/station").ShouldBe("paint");
        using var log = new StreamReader(new FileStream(Server.LogFile(server.Store), FileMode.Open, FileAccess.Read, FileShare.ReadWrite));
        var told = await log.ReadToEndAsync();
        told.ShouldContain(fault.Text("/id"));
        told.ShouldContain("the paint is dry");
    }
}
