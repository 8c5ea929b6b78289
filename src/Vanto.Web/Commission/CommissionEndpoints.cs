using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Commission;
using Vanto.Core.Crew;
using Vanto.Core.Unit;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Commission;

/// <summary>Papers of the proof.</summary>
public static class CommissionEndpoints
{
    /// <summary>Maps them under <c>/api/rigs/{id}/commission</c>.</summary>
    public static void MapCommission(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/commission/proof.pdf", (Guid id, RigDesk desk, TimeProvider clock) => Paper(id, desk, "proof", (view, today) =>
            ProofPdf.Certificate(view.Design.Name, view.Assessment.Commission!, view.Records, view.Design.Units, today), clock)).WithTags("commission")
                .Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/commission/ask.pdf", (Guid id, RigDesk desk, TimeProvider clock) => Paper(id, desk, "what-is-wrong",
            (view, today) =>
            ProofPdf.Ask(view.Design.Name, view.Assessment.Unit!.Unit, view.Assessment.Commission!, view.Design.Commission.Fault.Code, view.Design.Units,
                today),
            clock)).WithTags("commission").Needs(CrewRight.Read);
        api.MapPost("/rigs/{id:guid}/commission/as-measured", AsMeasured).WithTags("commission").Needs(CrewRight.Design);
    }

    /// <summary>Lays the rig's model over its newest cooling-down; seconds of work, so it is asked for and not done at every keystroke.</summary>
    private static async Task<Results<Ok<RigFitResult>, NotFound, ProblemHttpResult>> AsMeasured(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Unit is not { } unit)
            return TypedResults.Problem("An earlier station has a stop that keeps the rig from being computed.", statusCode: 409, title: "No fit yet.");
        var records = view.Records.OfType<CoolingRecord>().ToList();
        var begin = records.LastOrDefault(r => r.Readings.Begins);
        var survey = view.Design.Survey;
        var nominal = unit.Unit.RatedCapacityW * Capacity.FlowFactor(view.Design.Unit.AirFlowShare);
        var hour = begin is null ? 0 : begin.At.ToOffset(TimeSpan.FromHours(survey.Place.UtcOffsetH)).Hour;
        return TypedResults.Ok(await Task.Run(() =>
            RigFit.Of(survey, view.Design.Load, nominal, CoolingProof.Points(records), begin?.Readings.OutdoorC, hour)));
    }

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Paper(Guid id, RigDesk desk, string name,
        Func<RigView, DateOnly, byte[]> draw, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        return view.Assessment is not { Commission: not null, Unit: not null }
            ? TypedResults.Problem("An earlier station has a stop that keeps the proof from being worked out.", statusCode: 409, title: "No proof yet.")
            : TypedResults.File(draw(view, DateOnly.FromDateTime(clock.GetLocalNow().DateTime)), "application/pdf",
                $"{FileNames.Safe(view.Design.Name)}-{name}.pdf");
    }
}
