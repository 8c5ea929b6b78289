using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Install;
using Vanto.Core.Plan;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Plan;

public static class PlanEndpoints
{
    private const string Xlsx = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    /// <summary>Maps the plan's solver, papers, calendar and price book under <c>/api/rigs/{id}</c>.</summary>
    public static void MapPlan(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/plan-study", Study).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan-from-now", FromNow).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan/days.pdf", (Guid id, RigDesk desk, TimeProvider clock) => Paper(id, desk, clock, "plan",
            PlanPdf.Days)).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan/quote.pdf", (Guid id, RigDesk desk, TimeProvider clock) => Paper(id, desk, clock, "quote",
            PlanPdf.Quote)).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan/finisher.pdf", Finisher).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan/days.ics", Ics).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan/buy.xlsx", Buy).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan/prices.csv", PricesCsv).WithTags("plan").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/plan/prices.xlsx", PricesXlsx).WithTags("plan").Needs(CrewRight.Read);
        api.MapPost("/rigs/{id:guid}/plan/prices", Read).WithTags("plan").Needs(CrewRight.Prices).Accepts<string>("text/csv", Xlsx);
    }

    private static ProblemHttpResult NoPlan() => TypedResults.Problem("An earlier station has a stop that keeps the plan from being worked out.",
        statusCode: 409, title: "No plan yet.");

    private static async Task<Results<Ok<PlanStudyResult>, NotFound>> Study(Guid id, RigDesk desk, LongRuns runs, HttpContext http) =>
        await desk.View(id) is not { } view ? TypedResults.NotFound()
            : TypedResults.Ok(await runs.Run(http, stop => PlanStudy.Of(view.Design, view.Assessment, stop)));

    /// <summary>The plan again, with what is done on site fixed.</summary>
    private static async Task<Results<Ok<PlanStudyResult>, NotFound>> FromNow(Guid id, RigDesk desk, LongRuns runs, TimeProvider clock, HttpContext http)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var (log, now) = (view.Records.OfType<InstallRecord>().ToList(), clock.GetLocalNow());
        return TypedResults.Ok(await runs.Run(http, stop => Replan.Of(view.Design, view.Assessment, log, now, stop)));
    }

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Paper(Guid id, RigDesk desk, TimeProvider clock, string name,
        Func<string, PlanAssessment, Core.Quantities.UnitSystem, DateOnly, byte[]> made)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        return view.Assessment.Plan is not { } plan ? NoPlan()
            : TypedResults.File(made(view.Design.Name, plan, view.Design.Units, DateOnly.FromDateTime(clock.GetLocalNow().DateTime)), "application/pdf",
                $"{FileNames.Safe(view.Design.Name)}-{name}.pdf");
    }

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Finisher(Guid id, RigDesk desk, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Install is not { } site || PlanStation.Setting(view.Design, view.Assessment) is not { } setting)
            return NoPlan();
        return FinisherPaper.Of(setting, site) is not { } paper
            ? TypedResults.Problem("Nothing is joined on this job: there is nothing for a finisher.", statusCode: 409, title: "No such paper.")
            : TypedResults.File(FinisherPdf.Render(view.Design.Name, paper, view.Design.Units, DateOnly.FromDateTime(clock.GetLocalNow().DateTime)),
                "application/pdf", $"{FileNames.Safe(view.Design.Name)}-ready-for-you.pdf");
    }

    private static async Task<Results<ContentHttpResult, NotFound, ProblemHttpResult>> Ics(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Plan is not { } plan)
            return NoPlan();
        DateOnly? first = DateOnly.TryParseExact(view.Design.Plan.When.FirstDay, "yyyy-MM-dd", out var day) ? day : null;
        return TypedResults.Content(PlanTables.Ics(view.Design.Name, plan, first), "text/calendar", Encoding.UTF8);
    }

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Buy(Guid id, RigDesk desk) =>
        await desk.View(id) is not { } view ? TypedResults.NotFound()
            : view.Assessment.Plan is not { } plan ? NoPlan()
            : TypedResults.File(PlanTables.BuyXlsx(plan), Xlsx, $"{FileNames.Safe(view.Design.Name)}-to-buy.xlsx");

    private static async Task<Results<ContentHttpResult, NotFound>> PricesCsv(Guid id, RigDesk desk) => await desk.View(id) is not { } view
        ? TypedResults.NotFound() : TypedResults.Content(PlanTables.PricesCsv(view.Design.Plan.Prices), "text/csv", Encoding.UTF8);

    private static async Task<Results<FileContentHttpResult, NotFound>> PricesXlsx(Guid id, RigDesk desk) => await desk.View(id) is not { } view
        ? TypedResults.NotFound() : TypedResults.File(PlanTables.PricesXlsx(view.Design.Plan.Prices), Xlsx, "prices.xlsx");

    /// <summary>Takes a price book, CSV or XLSX, in the place of the old one.</summary>
    private static async Task<Results<Ok<RigView>, NotFound>> Read(Guid id, HttpRequest request, RigDesk desk)
    {
        IReadOnlyList<PriceDesign> prices;
        if (request.ContentType?.StartsWith(Xlsx, StringComparison.Ordinal) == true)
        {
            using var file = new MemoryStream();
            await request.Body.CopyToAsync(file);
            file.Position = 0;
            prices = PlanTables.ReadXlsx(file);
        }
        else
            prices = PlanTables.ReadCsv(await RequestText.Read(request));
        var changed = await desk.Change(id, "prices", $"price book of {prices.Count} rows read in", "/plan/prices",
            design => design with { Plan = design.Plan with { Prices = prices } });
        return changed is null ? TypedResults.NotFound() : TypedResults.Ok(changed);
    }
}
