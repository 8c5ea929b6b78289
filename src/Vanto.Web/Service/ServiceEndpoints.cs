using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;
using Vanto.Web.Shop;

namespace Vanto.Web.Service;

/// <summary>Care of a rig as a calendar.</summary>
public static class ServiceEndpoints
{
    /// <summary>What a rig is called in a calendar.</summary>
    public static string Named(RigView view) => view.Design.Handover.Code is { Length: > 0 } code ? code : $"{view.Id:N}";

    /// <summary>Maps them under <c>/api/rigs/{id}</c>.</summary>
    public static void MapService(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/service/due", async (Guid id, ShopDesk shop) => await shop.Due(id)).WithTags("service").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/service.ics", async Task<Results<FileContentHttpResult, NotFound>> (Guid id, RigDesk desk) =>
            await desk.View(id) is { Assessment.Service: { } service } view
                ? TypedResults.File(Encoding.UTF8.GetBytes(CareCalendar.Write(service.Care, Named(view))), "text/calendar",
                    $"{FileNames.Safe(view.Design.Name)}-care.ics") : TypedResults.NotFound()).WithTags("service").Needs(CrewRight.Read);
    }
}
