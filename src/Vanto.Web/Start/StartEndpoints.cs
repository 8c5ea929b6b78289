using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Documents;

namespace Vanto.Web.Start;

/// <summary>What more there is to know of a rig's start, made when asked.</summary>
public static class StartEndpoints
{
    /// <summary>Maps the catalogue of sources and the study of a rig's start.</summary>
    public static void MapStart(this RouteGroupBuilder api)
    {
        api.MapGet("/sources", () => TypedResults.Ok(SourceCatalogue.All)).WithTags("start");
        api.MapGet("/rigs/{id:guid}/start-study", Study).WithTags("start");
        api.MapPost("/rigs/{id:guid}/measured-start", Measured).WithTags("start");
    }

    /// <summary>Reads a logger's CSV, two columns: seconds or milliseconds, amperes; the header names the unit of time.</summary>
    private static async Task<Results<Ok<RigView>, NotFound>> Measured(Guid id, HttpRequest request, RigDesk desk)
    {
        using var reader = new StreamReader(request.Body, Encoding.UTF8);
        var moments = MeasuredStartCsv.Read(await reader.ReadToEndAsync());
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        await desk.Patch(id, new RigPatch(view.Revision, "measured-start", UnitSystem.Metric, false, [new FieldChange("/start/measured", null, JsonSerializer.SerializeToNode(moments, JobFile.Json))], "measured start read in"));
        return TypedResults.Ok((await desk.View(id))!);
    }

    private static async Task<Results<Ok<StartStudyResult>, NotFound>> Study(Guid id, RigDesk desk) =>
        await desk.View(id) is not { } view ? TypedResults.NotFound()
        : TypedResults.Ok(view.Assessment.Unit is { } unit && view.Assessment.Start is not null
            ? StartStudy.Of(view.Design.Survey, view.Design.Start, unit.Unit)
            : new StartStudyResult([], [], [], null, null));
}
