using System.Net;
using System.Text;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Start;

public class MeasuredStartTests(RunningServer server) : IClassFixture<RunningServer>
{
    private Task<HttpResponseMessage> Send(string id, string csv) =>
        server.Http.PostAsync($"/api/rigs/{id}/measured-start", new StringContent(csv, Encoding.UTF8, "application/json"));

    [Theory]
    [InlineData("time ms,current A\n0,38\n20,37.5\n250,36\n300,9.1\n400,9\n", 5, 300)]
    [InlineData("t [s];I [A]\n1.0;38\n1.02;37\n1.25;36\n1.3;9\n", 4, 250)]
    public async Task A_loggers_file_becomes_the_measured_start(string csv, int rows, double thirdOrFourthMs)
    {
        var rig = await server.Begin("Dipper");
        var view = await Read(await Send(rig.Id(), csv));
        var measured = view["design"]!["start"]!["measured"]!.AsArray();
        measured.Count.ShouldBe(rows);
        ((double)measured[0]!["afterMs"]!).ShouldBe(0);
        measured.Select(m => (double)m!["afterMs"]!).ShouldContain(thirdOrFourthMs);
    }

    [Theory]
    [InlineData("", "header")]
    [InlineData("ms,A\n0,1\n1,2\n", "at least three rows")]
    [InlineData("ms,A\n0,1\n5,2\n4,3\n", "time must rise")]
    [InlineData("ms,A\n0,1\n1,much\n2,3\n", "row 3, current")]
    [InlineData("ms,A\n0,1\n1,99999\n2,3\n", "row 3, current")]
    public async Task A_bad_file_names_its_row_and_changes_nothing(string csv, string words)
    {
        var rig = await server.Begin("Dipper");
        (await Read(await Send(rig.Id(), csv), HttpStatusCode.BadRequest)).Text("/title").ShouldContain(words);
        (await server.View(rig.Id())).Revision().ShouldBe(1);
    }

    [Fact]
    public async Task The_study_of_a_start_is_made_when_asked()
    {
        var rig = await server.Begin("Siskin");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "RT-09-115")]));
        var study = await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/start-study"));
        study["smallest"]!.AsArray().Count.ShouldBe(4);
        study["rules"]!.AsArray().Count.ShouldBeGreaterThan(1);
        await Read(await server.Patch(rig.Id(), 2, [Set("/unit/chosen", "no-such-unit")]));
        (await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}/start-study")))["smallest"]!.AsArray().ShouldBeEmpty();
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/start-study")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
