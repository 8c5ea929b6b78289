using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Energy;

/// <summary>The options of a rig side by side.</summary>
public static class OptionEndpoints
{
    /// <summary>Maps the comparison.</summary>
    public static void MapOptions(this RouteGroupBuilder api) => api.MapGet("/rigs/{id:guid}/options", Compare).WithTags("energy").Needs(CrewRight.Read);

    private static async Task<Results<Ok<OptionsView>, NotFound>> Compare(Guid id, RigDesk desk, RigLog log, LongRuns runs, HttpContext http)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var climate = view.Design.Survey.Climate;
        WeatherYear? weather = climate.WeatherFile.Length > 0 || climate.Months.Count == 12 ? (await RigWeather.Of(view, log)).Year : null;
        return TypedResults.Ok(await runs.Run(http, stop => OptionsTable.Of(view.Design, weather, stop)));
    }
}
