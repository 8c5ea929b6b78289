using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Energy;

/// <summary>A year of a rig with its sources.</summary>
public static class YearEndpoints
{
    /// <summary>Maps the year of a rig, a stretch of it, and its running on limited power.</summary>
    public static void MapEnergyYear(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/energy-year", Year).WithTags("energy").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/energy-stretch", Stretch).WithTags("energy").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/limited-power", Limited).WithTags("energy").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/nobody-aboard", Alone).WithTags("energy").Needs(CrewRight.Read);
    }

    private static async Task<Results<Ok<LimitedPowerView>, NotFound>> Limited(Guid id, RigDesk desk, LongRuns runs, HttpContext http) =>
        await desk.View(id) is { } view
        ? TypedResults.Ok(await runs.Run(http, stop => LimitedPowerStudy.Of(Inputs(view, stop))))
        : TypedResults.NotFound();

    private static async Task<Results<Ok<AwayView>, NotFound>> Alone(Guid id, RigDesk desk, LongRuns runs, HttpContext http) =>
        await desk.View(id) is { } view
        ? TypedResults.Ok(await runs.Run(http, stop => Core.Energy.Away.Study(Inputs(view, stop))))
        : TypedResults.NotFound();

    /// <summary>What Energy takes of a rig whose stations up to it stand.</summary>
    /// <exception cref="InputException">One of them does not: what it says.</exception>
    private static EnergyInputs Inputs(RigView view, CancellationToken stop)
    {
        if (view.Assessment is { Energy: not null, Unit: { } unit })
            return new EnergyInputs(view.Design.Survey, view.Design.Load, view.Design.Unit, unit.Unit, view.Design.Energy,
                view.Design.Start.ReserveSoc)
            { Stop = stop };
        var fault = view.Assessment.Faults[0];
        throw fault.Errors.Count > 0
            ? new InputException(fault.Errors)
            : new InputException(fault.Station, "", fault.Verdict.Headline.InUnits(view.Design.Units));
    }

    private static Task<Results<Ok<EnergyYearResult>, NotFound>> Year(Guid id, RigDesk desk, RigLog log, LongRuns runs, HttpContext http) =>
        Run(id, desk, log, runs, http, EnergyYear.Of);

    private static Task<Results<Ok<EnergyStretchResult>, NotFound>> Stretch(Guid id, RigDesk desk, RigLog log, LongRuns runs, HttpContext http) =>
        Run(id, desk, log, runs, http, EnergyStretch.Of);

    private static async Task<Results<Ok<T>, NotFound>> Run<T>(Guid id, RigDesk desk, RigLog log, LongRuns runs, HttpContext http,
        Func<EnergyInputs, WeatherYear, string, T> run)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var (year, called) = await RigWeather.Of(view, log);
        return TypedResults.Ok(await runs.Run(http, stop => run(Inputs(view, stop), year, called)));
    }
}
