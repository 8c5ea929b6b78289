using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Load;

/// <summary>What a weather file brought: where it is from, what was noticed, and the design day that it suggests.</summary>
/// <param name="Id">Of the file.</param>
/// <param name="Name">As it was called.</param>
/// <param name="Place">Where it is from.</param>
/// <param name="Day">The design day.</param>
/// <param name="GlobalKWhM2">Sun of the year on the level.</param>
/// <param name="Findings">What was noticed in it.</param>
/// <param name="Changes">Take place and design day from it.</param>
public sealed record WeatherFileView(
    string Id, string Name, WeatherPlace Place, WeatherDesignDay Day, double GlobalKWhM2, IReadOnlyList<Finding> Findings, IReadOnlyList<DesignChange> Changes);

/// <summary>The year: weather files in and out, and the rig's run through it.</summary>
public static class SeasonEndpoints
{
    /// <summary>Maps season and weather of a rig.</summary>
    public static void MapSeason(this RouteGroupBuilder api)
    {
        var rig = api.MapGroup("/rigs/{id:guid}").WithTags("load");
        rig.MapGet("/season", Season).Needs(CrewRight.Read);
        rig.MapPost("/weather", Attach).WithMetadata(new RequestSizeLimitAttribute(Server.WeatherLimit)).Needs(CrewRight.Design);
        rig.MapGet("/weather.epw", Export).Needs(CrewRight.Read);
    }

    private static async Task<Results<Ok<SeasonResult>, NotFound>> Season(Guid id, RigDesk desk, RigLog log, LongRuns runs, HttpContext http)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var (year, called) = await RigWeather.Of(view, log);
        return TypedResults.Ok(await runs.Run(http, stop => SeasonRun.Of(view.Design, year, called, stop)));
    }

    private static async Task<Results<Ok<WeatherFileView>, NotFound>> Attach(Guid id, HttpRequest request, RigDesk desk, TimeProvider clock,
        string name = "weather.epw")
    {
        var text = await RequestText.Read(request);
        var (year, findings) = EpwFile.Read(text);
        var row = new AttachmentRow
        {
            Id = Guid.CreateVersion7(),
            RigId = id,
            At = clock.GetUtcNow(),
            Name = name[..Math.Min(RigDesk.LongestName, name.Length)],
            Content = Encoding.UTF8.GetBytes(text)
        };
        var changed = await desk.Change(id, "weather", $"weather read from {row.Name}", "/survey/climate/weatherFile",
            design => design with { Survey = design.Survey with { Climate = design.Survey.Climate with { WeatherFile = RigWeather.Named(row.Id, row.Name) } } },
            row);
        return changed is null ? TypedResults.NotFound() : TypedResults.Ok(Describe(row, year, findings, changed.Design));
    }

    private static WeatherFileView Describe(AttachmentRow row, WeatherYear year, IReadOnlyList<Finding> findings, JobDesign design)
    {
        var day = WeatherDesignDay.Of(year);
        var changes = Proposals.PlaceOf(design, year.Place, day).Changes;
        return new WeatherFileView(row.Id.ToString(), row.Name, year.Place, day, Math.Round(year.GlobalKWhM2), findings, changes);
    }

    private static async Task<Results<FileContentHttpResult, NotFound>> Export(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var text = EpwFile.Write(SeasonRun.Made(view.Design.Survey), "synthetic weather made by Vanto from monthly figures; not measured");
        return TypedResults.File(Encoding.UTF8.GetBytes(text), "text/plain", $"{FileNames.Safe(view.Design.Survey.Place.Name)}.epw");
    }
}
