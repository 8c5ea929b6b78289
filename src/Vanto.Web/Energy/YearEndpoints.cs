using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Storage;

namespace Vanto.Web.Energy;

/// <summary>A year of a rig with its sources.</summary>
public static class YearEndpoints
{
    /// <summary>Maps the year of a rig.</summary>
    public static void MapEnergyYear(this RouteGroupBuilder api) => api.MapGet("/rigs/{id:guid}/energy-year", Year).WithTags("energy");

    private static async Task<Results<Ok<EnergyYearResult>, NotFound>> Year(Guid id, RigDesk desk, RigLog log)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Unit is not { } unit)
            throw new InputException("unit", view.Design.Unit.Chosen, "The stations before Energy have a fault; mend it first.");
        var (year, called) = await RigWeather.Of(view, log);
        var design = view.Design;
        return TypedResults.Ok(EnergyYear.Of(new EnergyInputs(design.Survey, design.Load, design.Unit, unit.Unit, design.Energy, design.Start.ReserveSoc), year, called));
    }
}
