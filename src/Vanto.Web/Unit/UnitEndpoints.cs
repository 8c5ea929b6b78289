using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Unit;
using Vanto.Documents;
using Vanto.Web.Rigs;

namespace Vanto.Web.Unit;

/// <summary>The catalogue and own units as CSV.</summary>
public static class UnitEndpoints
{
    /// <summary>Maps <c>units.csv</c> of a rig, both ways.</summary>
    public static void MapUnits(this RouteGroupBuilder api)
    {
        var units = api.MapGroup("/rigs/{id:guid}/units.csv").WithTags("unit");
        units.MapGet("/",
            async Task<Results<FileContentHttpResult, NotFound>> (Guid id, RigDesk desk, bool catalogue = false) => await desk.View(id) is { } view
            ? TypedResults.File(Encoding.UTF8.GetBytes(UnitCsv.Write(catalogue ? UnitCatalogue.All : view.Design.Unit.Own)), "text/csv",
                $"{FileNames.Safe(view.Design.Name)}-units.csv")
            : TypedResults.NotFound());
        units.MapPost("/", async Task<Results<Ok<RigView>, NotFound>> (Guid id, HttpRequest request, RigDesk desk) =>
        {
            var read = UnitCsv.Read(await RequestText.Read(request));
            var changed = await desk.Change(id, "units.csv", "units read from CSV", "/unit/own",
                design => design with { Unit = design.Unit with { Own = [.. design.Unit.Own.Where(o => read.All(r => r.Id != o.Id)), .. read] } });
            return changed is null ? TypedResults.NotFound() : TypedResults.Ok(changed);
        });
    }
}
