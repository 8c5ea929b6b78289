using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Documents;
using Vanto.Web.Rigs;

namespace Vanto.Web.Service;

/// <summary>Care of a rig as a calendar.</summary>
public static class ServiceEndpoints
{
    /// <summary>Maps <c>GET /api/rigs/{id}/service.ics</c>.</summary>
    public static void MapService(this RouteGroupBuilder api) =>
        api.MapGet("/rigs/{id:guid}/service.ics", async Task<Results<FileContentHttpResult, NotFound>> (Guid id, RigDesk desk) =>
            await desk.View(id) is { Assessment.Service: { } service } view
                ? TypedResults.File(Encoding.UTF8.GetBytes(CareCalendar.Write(service.Care, view.Design.Handover.Code)), "text/calendar",
                    $"{FileNames.Safe(view.Design.Name)}-care.ics") : TypedResults.NotFound()).WithTags("service");
}
