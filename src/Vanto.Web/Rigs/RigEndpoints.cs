using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Storage;
using Vanto.Web.Calc;
using Vanto.Web.Crew;
using Vanto.Web.Instruments;

namespace Vanto.Web.Rigs;

/// <summary>The yard, rigs, their history, records and job files.</summary>
public static class RigEndpoints
{
    /// <summary>Maps the endpoints under <c>/api/rigs</c>.</summary>
    public static void MapRigs(this RouteGroupBuilder api)
    {
        var rigs = api.MapGroup("/rigs").WithTags("rigs");
        rigs.MapGet("/", async (RigDesk desk, HttpContext http) => (await desk.Yard()).Where(r => CrewCaller.Of(http).Sees(r.Id)))
            .Needs(CrewRight.Read, Reach.Common);
        rigs.MapPost("/", Create).Needs(CrewRight.Design, Reach.Yard);
        rigs.MapPost("/import", Import).Accepts<JobDesign>("application/json").Needs(CrewRight.Design, Reach.Yard);
        rigs.MapGet("/{id:guid}", async Task<Results<Ok<RigView>, NotFound>> (Guid id, RigDesk desk) => Found(await desk.View(id)))
            .Needs(CrewRight.Read);
        rigs.MapPatch("/{id:guid}", Patch).Produces<RigChanged>().Produces<ConflictView>(StatusCodes.Status409Conflict).Produces(StatusCodes.Status404NotFound)
            .Needs(CrewRight.Design);
        rigs.MapDelete("/{id:guid}", async (Guid id, RigDesk desk, InstrumentDesk instruments) =>
        {
            await desk.Remove(id);
            await instruments.Removed(id);
            return TypedResults.NoContent();
        }).Needs(CrewRight.Purge);
        rigs.MapGet("/{id:guid}/history", async (Guid id, RigLog log) => await log.History(id)).Needs(CrewRight.Read);
        rigs.MapPost("/{id:guid}/restore",
            async Task<Results<Ok<RigView>, NotFound>> (Guid id, RestoreRequest request, RigDesk desk, HttpContext http) =>
                Found(await desk.Restore(id, request, CrewCaller.Of(http)))).Needs(CrewRight.Design);
        rigs.MapPost("/{id:guid}/records", async Task<Results<Ok<RigView>, NotFound>> (Guid id, NewRecord record, RigDesk desk, HttpContext http) =>
        {
            InputProblems.ReadsIn(http, record.Units);
            return Found(await desk.Record(id, record, CrewCaller.Of(http)));
        }).Needs(CrewRight.Record);
        rigs.MapGet("/{id:guid}/job-file", Export).Needs(CrewRight.Read);
    }

    /// <summary>Maps <c>POST /api/assess</c>: a whole design in, all results out, nothing kept.</summary>
    public static void MapAssess(this RouteGroupBuilder api) =>
        api.MapPost("/assess", async Task<Ok<JobAssessment>> (HttpRequest request, AssessmentCache cache) =>
            TypedResults.Ok(cache.WorkOut(Guid.Empty, JobFile.Read(await RequestText.Read(request)), []).Assessment))
            .Accepts<JobDesign>("application/json").WithTags("assess").Needs(CrewRight.Read, Reach.Common);

    private static Results<Ok<RigView>, NotFound> Found(RigView? view) => view is null ? TypedResults.NotFound() : TypedResults.Ok(view);

    private static async Task<Results<Created<RigView>, NotFound>> Create(NewRig rig, RigDesk desk, RigLog log, HttpContext http)
    {
        if (rig.Quick is not null)
            InputProblems.ReadsIn(http, rig.Quick.Units);
        var name = rig.Name.Trim();
        if (name.Length is 0 or > RigDesk.LongestName)
            throw new InputException("name", rig.Name, $"A rig needs a name of 1 to {RigDesk.LongestName} characters.");
        var design = rig.Quick is { } quick ? FirstBand.Design((QuickAnswers)CalculatorEndpoints.Inputs("first-band", quick), name)
            : RigPresets.New(rig.Kind, name);
        var id = Guid.CreateVersion7();
        AttachmentRow? file = null;
        if (rig.CopyOf is { } copied)
        {
            if (await log.Find(copied) is not { } original)
                return TypedResults.NotFound();
            design = JobFile.Read(original.Design) with { Name = name };
            // A file of its own: the original may be removed with all it has.
            file = await RigWeather.File(copied, design, log) is { } weather
                ? new AttachmentRow { Id = Guid.CreateVersion7(), RigId = id, At = weather.At, Name = weather.Name, Content = weather.Content }
                : null;
            if (file is not null)
                design = design with
                {
                    Survey = design.Survey with { Climate = design.Survey.Climate with { WeatherFile = RigWeather.Named(file.Id, file.Name) } }
                };
        }
        return TypedResults.Created($"/api/rigs/{id}", await desk.Create(design,
            rig.CopyOf is not null ? "begun as a copy" : rig.Quick is null ? "begun" : "begun from three answers", id, file));
    }

    private static async Task<Created<RigView>> Import(HttpRequest request, RigDesk desk)
    {
        var view = await desk.Create(JobFile.Read(await RequestText.Read(request)), "read from a job file");
        return TypedResults.Created($"/api/rigs/{view.Id}", view);
    }

    private static async Task<IResult> Patch(Guid id, RigPatch patch, RigDesk desk, HttpContext http)
    {
        InputProblems.ReadsIn(http, patch.Units);
        if (patch.Changes.Count == 0)
            throw new InputException("changes", "none", "A patch needs at least one change.");
        if (patch.Changes.Any(c => c is not null && PriceParts.Touched(DesignPath.Field(c.Path))))
            CrewCaller.Of(http).Must(CrewRight.Prices);
        var (done, conflict) = await desk.Patch(id, patch);
        return done is not null ? done : conflict is not null ? TypedResults.Conflict(conflict) : TypedResults.NotFound();
    }

    /// <summary>The job file; of a rig that cannot be read the text as it lies in the store.</summary>
    private static async Task<Results<FileContentHttpResult, NotFound>> Export(Guid id, RigLog log)
    {
        if (await log.Find(id) is not { } stored)
            return TypedResults.NotFound();
        var (name, text) = ("rig-as-it-lies", stored.Design);
        try
        {
            var design = JobFile.Read(stored.Design);
            (name, text) = (FileNames.Safe(design.Name), JobFile.Write(design, indented: true));
        }
        catch (InputException)
        {
            // Cannot be read: saved as it lies.
        }
        return TypedResults.File(Encoding.UTF8.GetBytes(text), "application/json", $"{name}.vanto.json");
    }
}
