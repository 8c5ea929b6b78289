using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ical.Net;
using UglyToad.PdfPig;
using Vanto.Core.Plan;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Plan;

/// <summary>Papers, calendar, price book and solver of the plan, read back.</summary>
public class PlanEndpointTests(RunningServer server) : IClassFixture<RunningServer>
{
    private async Task<string> Split(string name = "Sandpiper")
    {
        var rig = await server.Begin(name);
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "MS-12-120"), Set("/plan/when/firstDay", "2027-03-02")]));
        return rig.Id();
    }

    private async Task<string> Words(string address)
    {
        using var pdf = PdfDocument.Open(await server.Http.GetByteArrayAsync(address));
        return string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
    }

    [Fact]
    public async Task The_papers_carry_the_steps_the_tools_the_price_and_every_caution()
    {
        var id = await Split();
        var days = await Words($"/api/rigs/{id}/plan/days.pdf");
        foreach (var expected in new[] { "Sandpiper: plan", "Tuesday 2027-03-02", "Pull the vacuum", "Pick list", "Torque spanner", "To buy", "Bundle tape" })
            days.ShouldContain(expected);
        foreach (var caution in PlanStation.Cautions)
            days.ShouldContain(string.Join(' ', caution.Split(' ').Take(5)));
        var quote = await Words($"/api/rigs/{id}/plan/quote.pdf");
        foreach (var expected in new[] { "Sandpiper: quote", "margin 25 %", "TO PAY", "Not in this price" })
            quote.ShouldContain(expected);
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/plan/days.pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    /// <summary>What a finisher from outside needs before the way: joints, pipe, limit, power, what is asked; and that it is not ready yet.</summary>
    [Fact]
    public async Task The_paper_for_the_finisher_says_what_is_there_and_what_is_asked()
    {
        var id = await Split("Redshank");
        var words = await Words($"/api/rigs/{id}/plan/finisher.pdf");
        foreach (var expected in new[] { "ready for you", "not ready yet", "Volume of the pipes", "Proved at most to", "Power on site", "Pull the vacuum",
            "licence number", "Joints" })
            words.ShouldContain(expected);
        var rooftop = await server.Begin("Knot");
        (await server.Http.GetAsync($"/api/rigs/{rooftop.Id()}/plan/finisher.pdf")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/plan/finisher.pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_calendar_has_an_event_for_each_block_of_work()
    {
        var id = await Split();
        var calendar = Calendar.Load(await server.Http.GetStringAsync($"/api/rigs/{id}/plan/days.ics"))!;
        calendar.Events.Count.ShouldBeGreaterThan(5);
        calendar.Events.ShouldAllBe(e => e.Start!.Value.Date >= new DateTime(2027, 3, 2) && e.End!.Value > e.Start.Value);
        calendar.Events.ShouldContain(e => e.Summary!.Contains("Sandpiper: ") && e.Description!.Length > 0);
        var undated = await server.Begin("Dunlin");
        (await server.Http.GetAsync($"/api/rigs/{undated.Id()}/plan/days.ics")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_price_book_goes_out_and_comes_in_as_csv_and_as_xlsx()
    {
        var id = await Split();
        const string csv = "Item,Supplier,Pack,Price,LeadDays,Date\nsealant,own shelf,300,7.9,2,2026-10-12\nsupply-cable,own shelf,10,24,,\n";
        async Task<HttpResponseMessage> Send(HttpContent content, string type)
        {
            content.Headers.ContentType = new(type);
            return await server.Http.PostAsync($"/api/rigs/{id}/plan/prices", content);
        }

        (await Send(new StringContent(csv), "text/csv")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await server.Http.GetStringAsync($"/api/rigs/{id}/plan/prices.csv")).Replace("\r", "").ShouldBe(csv);
        var xlsx = await server.Http.GetByteArrayAsync($"/api/rigs/{id}/plan/prices.xlsx");
        (await Send(new StringContent("Item,Supplier,Pack,Price,LeadDays,Date\n"), "text/csv")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Send(new ByteArrayContent(xlsx), "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await server.Http.GetStringAsync($"/api/rigs/{id}/plan/prices.csv")).Replace("\r", "").ShouldBe(csv);
        var wrong = await Send(new StringContent(csv.Replace("sealant", "moonstone")), "text/csv");
        wrong.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await wrong.Content.ReadAsStringAsync()).ShouldContain("moonstone");
        (await Send(new ByteArrayContent(Encoding.UTF8.GetBytes("no sheet")), "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")).StatusCode
            .ShouldBe(HttpStatusCode.BadRequest);
        (await server.Http.GetByteArrayAsync($"/api/rigs/{id}/plan/buy.xlsx")).Length.ShouldBeGreaterThan(1000);
    }

    [Fact]
    public async Task The_solver_answers_beside_the_assessment()
    {
        var id = await Split();
        var study = JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{id}/plan-study"))!;
        var rig = JsonNode.Parse(await server.Http.GetStringAsync($"/api/rigs/{id}"))!;
        var quick = (int)rig["assessment"]!["plan"]!["ends"]!;
        ((int)study["plan"]!["ends"]!).ShouldBe(quick - (int)study["wonMin"]!);
        study["ways"]!.AsArray().Count.ShouldBeGreaterThan(3);
    }
}
