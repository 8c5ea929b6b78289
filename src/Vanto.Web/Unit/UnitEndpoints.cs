using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;
using Vanto.Documents;

namespace Vanto.Web.Unit;

/// <summary>The catalogue and own units as CSV.</summary>
public static class UnitEndpoints
{
    /// <summary>Maps <c>units.csv</c> of a rig, both ways.</summary>
    public static void MapUnits(this RouteGroupBuilder api)
    {
        var units = api.MapGroup("/rigs/{id:guid}/units.csv").WithTags("unit");
        units.MapGet("/", async Task<Results<FileContentHttpResult, NotFound>> (Guid id, RigDesk desk, bool catalogue = false) => await desk.View(id) is { } view
            ? TypedResults.File(Encoding.UTF8.GetBytes(UnitCsv.Write(catalogue ? UnitCatalogue.All : view.Design.Unit.Own)), "text/csv", $"{FileNames.Safe(view.Design.Name)}-units.csv")
            : TypedResults.NotFound());
        units.MapPost("/", async Task<Results<Ok<RigView>, NotFound>> (Guid id, HttpRequest request, RigDesk desk) =>
        {
            using var reader = new StreamReader(request.Body, Encoding.UTF8);
            var read = UnitCsv.Read(await reader.ReadToEndAsync());
            if (await desk.View(id) is not { } view)
                return TypedResults.NotFound();
            var own = view.Design.Unit.Own.Where(o => read.All(r => r.Id != o.Id)).Concat(read).ToList();
            await desk.Patch(id, new RigPatch(view.Revision, "units.csv", UnitSystem.Metric, false, [new FieldChange("/unit/own", null, JsonSerializer.SerializeToNode(own, JobFile.Json))], "units read from CSV"));
            return TypedResults.Ok((await desk.View(id))!);
        });
    }
}
