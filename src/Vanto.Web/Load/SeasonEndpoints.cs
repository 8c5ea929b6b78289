using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Storage;
using Vanto.Web.Rigs;

namespace Vanto.Web.Load;

/// <summary>What a weather file brought: where it is from, what was noticed, and the design day that it suggests.</summary>
public sealed record WeatherFileView(string Id, string Name, WeatherPlace Place, double HottestC, double NightC, double ColdestC, double GlobalKWhM2, IReadOnlyList<Finding> Findings);

/// <summary>The year: weather files in and out, and the rig's run through it.</summary>
public static class SeasonEndpoints
{
    private const double DesignShare = 0.004;

    /// <summary>Maps season and weather of a rig.</summary>
    public static void MapSeason(this RouteGroupBuilder api)
    {
        var rig = api.MapGroup("/rigs/{id:guid}").WithTags("load");
        rig.MapGet("/season", Season);
        rig.MapPost("/weather", Attach).WithMetadata(new RequestSizeLimitAttribute(Server.WeatherLimit));
        rig.MapGet("/weather.epw", Export);
    }

    private static async Task<Results<Ok<SeasonResult>, NotFound>> Season(Guid id, RigDesk desk, RigLog log, LongRuns runs, HttpContext http)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var (year, called) = await RigWeather.Of(view, log);
        return TypedResults.Ok(await runs.Run(http, stop => SeasonRun.Of(view.Design, year, called, stop)));
    }

    private static async Task<Results<Ok<WeatherFileView>, NotFound>> Attach(Guid id, HttpRequest request, RigDesk desk, TimeProvider clock, string name = "weather.epw")
    {
        var text = await RequestText.Read(request);
        var (year, findings) = EpwFile.Read(text);
        var row = new AttachmentRow { Id = Guid.CreateVersion7(), RigId = id, At = clock.GetUtcNow(), Name = name[..Math.Min(RigDesk.LongestName, name.Length)], Content = Encoding.UTF8.GetBytes(text) };
        var changed = await desk.Change(id, "weather", $"weather read from {row.Name}", "/survey/climate/weatherFile",
            design => design with { Survey = design.Survey with { Climate = design.Survey.Climate with { WeatherFile = RigWeather.Named(row.Id, row.Name) } } }, row);
        return changed is null ? TypedResults.NotFound() : TypedResults.Ok(Describe(row, year, findings));
    }

    private static WeatherFileView Describe(AttachmentRow row, WeatherYear year, IReadOnlyList<Finding> findings)
    {
        var sorted = year.AirC.Order().ToArray();
        var hottest = sorted[(int)((1 - DesignShare) * (sorted.Length - 1))];
        var days = Enumerable.Range(0, year.Hours / 24).Where(d => year.AirC.Skip(d * 24).Take(24).Max() >= hottest).ToList();
        var night = days.Count == 0 ? sorted[0] : days.Average(d => year.AirC.Skip(d * 24).Take(24).Min());
        return new WeatherFileView(row.Id.ToString(), row.Name, year.Place, Math.Round(hottest, 1), Math.Round(night, 1), Math.Round(sorted[(int)(DesignShare * (sorted.Length - 1))], 1), Math.Round(year.GlobalKWhM2), findings);
    }

    private static async Task<Results<FileContentHttpResult, NotFound>> Export(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var text = EpwFile.Write(SeasonRun.Made(view.Design.Survey), "synthetic weather made by Vanto from monthly figures; not measured");
        return TypedResults.File(Encoding.UTF8.GetBytes(text), "text/plain", $"{FileNames.Safe(view.Design.Survey.Place.Name)}.epw");
    }
}
