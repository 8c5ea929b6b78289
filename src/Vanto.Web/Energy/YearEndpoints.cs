using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Storage;

namespace Vanto.Web.Energy;

/// <summary>A year of a rig with its sources.</summary>
public static class YearEndpoints
{
    /// <summary>Maps the year of a rig, a stretch of it, and its running on limited power.</summary>
    public static void MapEnergyYear(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/energy-year", Year).WithTags("energy");
        api.MapGet("/rigs/{id:guid}/energy-stretch", Stretch).WithTags("energy");
        api.MapGet("/rigs/{id:guid}/limited-power", Limited).WithTags("energy");
    }

    private static async Task<Results<Ok<LimitedPowerView>, NotFound>> Limited(Guid id, RigDesk desk) =>
        await desk.View(id) is { } view ? TypedResults.Ok(LimitedPowerStudy.Of(Inputs(view))) : TypedResults.NotFound();

    private static EnergyInputs Inputs(RigView view) => view.Assessment.Unit is { } unit
        ? new EnergyInputs(view.Design.Survey, view.Design.Load, view.Design.Unit, unit.Unit, view.Design.Energy, view.Design.Start.ReserveSoc)
        : throw new InputException("unit", view.Design.Unit.Chosen, "The stations before Energy have a fault; mend it first.");

    private static async Task<Results<Ok<EnergyYearResult>, NotFound>> Year(Guid id, RigDesk desk, RigLog log) => await Run(id, desk, log, EnergyYear.Of);

    private static async Task<Results<Ok<EnergyStretchResult>, NotFound>> Stretch(Guid id, RigDesk desk, RigLog log) => await Run(id, desk, log, EnergyStretch.Of);

    private static async Task<Results<Ok<T>, NotFound>> Run<T>(Guid id, RigDesk desk, RigLog log, Func<EnergyInputs, WeatherYear, string, T> run)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var inputs = Inputs(view);
        var (year, called) = await RigWeather.Of(view, log);
        return TypedResults.Ok(run(inputs, year, called));
    }
}
