using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Documents;
using Vanto.Web.Rigs;

namespace Vanto.Web.Handover;

public static class HandoverEndpoints
{
    /// <summary>Maps <c>GET /api/rigs/{id}/handover.pdf</c>.</summary>
    public static void MapHandover(this RouteGroupBuilder api) => api.MapGet("/rigs/{id:guid}/handover.pdf", Pdf).WithTags("handover");

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Pdf(Guid id, RigDesk desk, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Handover is not { } sheet)
            return TypedResults.Problem("An earlier station has a stop that keeps the sheet from being put together.", statusCode: 409, title: "No sheet yet.");
        var pdf = HandoverPdf.Render(view.Design, sheet, view.Design.Units, DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        return TypedResults.File(pdf, "application/pdf", $"{FileNames.Safe(view.Design.Name)}-owner.pdf");
    }
}
