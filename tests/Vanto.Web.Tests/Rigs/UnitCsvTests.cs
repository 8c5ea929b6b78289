using System.Net;
using System.Text;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

public class UnitCsvTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const string Header = "id,kind,supplyVoltageV,frequencyHz,ratedCapacityW,ratedPowerW,minCapacityW,maxCapacityW,rlaA,lraA,noiseInDb\n";

    [Fact]
    public async Task Own_units_come_in_and_go_out()
    {
        var rig = await server.Begin();
        await Read(
            await Post(rig.Id(),
                Header + "SHED-1,rooftopSingleSpeed,115,60,3000,1100,0,0,8.5,44,\nSHED-2,miniSplitInverter,230,50,2500,640,800,3100,0,0,31\n"));
        var view = await server.View(rig.Id());
        view["design"]!["unit"]!["own"]!.AsArray().Count.ShouldBe(2);
        view["assessment"]!["unit"]!["candidates"]!.AsArray().ShouldContain(c => (string)c!["id"]! == "SHED-2");
        var text = await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/units.csv");
        text.Split('\n')[1].ShouldStartWith("SHED-1,rooftopSingleSpeed,115,60,3000,1100");
        var again = await server.Begin();
        await Read(await Post(again.Id(), text));
        (await server.Http.GetStringAsync($"/api/rigs/{again.Id()}/units.csv")).ShouldBe(text);
        (await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/units.csv?catalogue=true")).Split('\n').Length.ShouldBeGreaterThan(16);
    }

    [Theory]
    [InlineData("", "first row must name the columns")]
    [InlineData("id,colour\nX,red\n", "no column \"colour\"")]
    [InlineData(Header + "A,rooftopSingleSpeed,115,60,3000,1100,0,0,8.5,\"44,5\",\n", "row 2, lraA: \"44,5\"")]
    [InlineData(Header + "A,submarine,115,60,3000,1100,0,0,8.5,44,\n", "row 2, kind: \"submarine\"")]
    [InlineData(Header + "A,rooftopSingleSpeed,115,60,30,1100,0,0,8.5,44,\n", "row 2: ratedCapacityW must be 500 W to 20000 W; got 30 W")]
    [InlineData(Header + "A,rooftopSingleSpeed,115,60,3000,1100,0,0,8.5,10,\n", "row 2: A: LRA must be at least 2.5 × RLA")]
    [InlineData(Header + "RT-09-115,rooftopSingleSpeed,115,60,3000,1100,0,0,8.5,44,\n", "a name that the catalogue does not use")]
    [InlineData(Header + "A,rooftopSingleSpeed,115,60,3000,1100,0,0,8.5,44,\nA,rooftopSingleSpeed,115,60,3000,1100,0,0,8.5,44,\n", "stands in 2 rows")]
    public async Task Faults_name_their_row_and_nothing_is_taken(string csv, string words)
    {
        var rig = await server.Begin();
        (await Read(await Post(rig.Id(), csv), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain(words);
        (await server.View(rig.Id()))["design"]!["unit"]!["own"]!.AsArray().Count.ShouldBe(0);
    }

    private Task<HttpResponseMessage> Post(string id, string csv) =>
        server.Http.PostAsync($"/api/rigs/{id}/units.csv", new StringContent(csv, Encoding.UTF8, "text/csv"));
}
