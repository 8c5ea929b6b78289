using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Survey;
using Vanto.Web.Crew;

namespace Vanto.Web.Rigs;

/// <summary>An option by its name.</summary>
public sealed record NamedOption(string Name);

/// <summary>Modules in a string and how many strings.</summary>
public sealed record StringsTaken(int Series, int Parallel);

/// <summary>A device of the survey by its row.</summary>
public sealed record DeviceRow(int Row);

/// <summary>A source by its name in the catalogue.</summary>
public sealed record SourceTaken(string Id);

/// <summary>The first day of a week, month 1 to 12.</summary>
public sealed record WeekLookedAt(int Month, int Day);

/// <summary>
/// What a person does to a rig in one go: answered with the changes that it comes to, which are then sent as a patch. Nothing is kept here, so a
/// proposal can be shown, taken back and merged like anything typed.
/// </summary>
public static class ProposalEndpoints
{
    /// <summary>Maps the endpoints under <c>/api/rigs/{id}/propose</c>.</summary>
    public static void MapProposals(this RouteGroupBuilder api)
    {
        var propose = api.MapGroup("/rigs/{id:guid}/propose").WithTags("rigs").Needs(CrewRight.Design);
        Map<NamedOption>(propose, "keep-option", (design, option) => Proposals.KeepOption(design, option.Name));
        Map<NamedOption>(propose, "adopt-option", (design, option) => Proposals.AdoptOption(design, option.Name));
        Map<NamedOption>(propose, "drop-option", (design, option) => Proposals.DropOption(design, option.Name));
        Map<StringsTaken>(propose, "strings", (design, strings) => Proposals.Strings(design, strings.Series, strings.Parallel));
        Map<DeviceRow>(propose, "shed-earlier", (design, device) => Proposals.ShedEarlier(design, device.Row));
        Map<SourceTaken>(propose, "source", (design, source) => SourceCatalogue.Take(design.Survey, source.Id));
        Map<WeekLookedAt>(propose, "week", (design, week) => Proposals.LookAt(design, week.Month, week.Day));
        propose.MapPost("months", (Guid id, RigDesk desk) => Changes(id, desk, Proposals.BeginMonths));
    }

    private static void Map<T>(RouteGroupBuilder propose, string name, Func<JobDesign, T, DesignEdit> edit)
        where T : class =>
        propose.MapPost(name, (Guid id, T asked, RigDesk desk) => Changes(id, desk, design => edit(design, asked)));

    private static async Task<Results<Ok<IReadOnlyList<DesignChange>>, NotFound>> Changes(Guid id, RigDesk desk, Func<JobDesign, DesignEdit> edit) =>
        await desk.View(id) is { } view ? TypedResults.Ok(edit(view.Design).Changes) : TypedResults.NotFound();
}
