using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Start;
using Vanto.Core.Survey;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Start;

/// <summary>What more there is to know of a rig's start, made when asked.</summary>
public static class StartEndpoints
{
    /// <summary>Maps the catalogue of sources and the study of a rig's start.</summary>
    public static void MapStart(this RouteGroupBuilder api)
    {
        api.MapGet("/sources", () => TypedResults.Ok(SourceCatalogue.All)).WithTags("start").Needs(CrewRight.Read, Reach.Common);
        api.MapGet("/rigs/{id:guid}/start-study", Study).WithTags("start").Needs(CrewRight.Read);
        api.MapPost("/rigs/{id:guid}/measured-start", Measured).WithTags("start").Needs(CrewRight.Design);
    }

    /// <summary>Reads a logger's CSV, two columns: seconds or milliseconds, amperes; the header names the unit of time.</summary>
    private static async Task<Results<Ok<RigView>, NotFound>> Measured(Guid id, HttpRequest request, RigDesk desk)
    {
        var text = await RequestText.Read(request);
        var read = MeasuredStartCsv.Read(text);
        var moments = MeasuredTrace.Thinned(read);
        var label = moments.Count < read.Count ? $"measured start read in, {read.Count} rows thinned to {moments.Count}" : "measured start read in";
        var changed =
            await desk.Change(id, "measured-start", label, "/start/measured", design => design with { Start = design.Start with { Measured = moments } });
        return changed is null ? TypedResults.NotFound() : TypedResults.Ok(changed);
    }

    private static async Task<Results<Ok<StartStudyResult>, NotFound>> Study(Guid id, RigDesk desk, LongRuns runs, HttpContext http) =>
        await desk.View(id) is not { } view ? TypedResults.NotFound()
        : TypedResults.Ok(view.Assessment.Unit is { } unit && view.Assessment.Start is not null
            ? await runs.Run(http, stop => StartStudy.Of(view.Design.Survey, view.Design.Start, unit.Unit, stop))
            : new StartStudyResult([], [], [], null, null));
}
