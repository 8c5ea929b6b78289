using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Storage;

namespace Vanto.Web.Rigs;

/// <summary>The yard, rigs, their history, records and job files.</summary>
public static class RigEndpoints
{
    /// <summary>Maps the endpoints under <c>/api/rigs</c>.</summary>
    public static void MapRigs(this RouteGroupBuilder api)
    {
        var rigs = api.MapGroup("/rigs").WithTags("rigs");
        rigs.MapGet("/", async (RigDesk desk) => await desk.Yard());
        rigs.MapPost("/", Create);
        rigs.MapPost("/import", Import);
        rigs.MapGet("/{id:guid}", async Task<Results<Ok<RigView>, NotFound>> (Guid id, RigDesk desk) => await desk.View(id) is { } view ? TypedResults.Ok(view) : TypedResults.NotFound());
        rigs.MapPatch("/{id:guid}", Patch).Produces<RigChanged>().Produces<ConflictView>(StatusCodes.Status409Conflict).Produces(StatusCodes.Status404NotFound);
        rigs.MapDelete("/{id:guid}", async (Guid id, RigLog log) =>
        {
            await log.Remove(id);
            return TypedResults.NoContent();
        });
        rigs.MapGet("/{id:guid}/history", async (Guid id, RigLog log) => await log.History(id));
        rigs.MapPost("/{id:guid}/restore", async Task<Results<Ok<RigView>, NotFound>> (Guid id, RestoreRequest request, RigDesk desk) => await desk.Restore(id, request) is { } view ? TypedResults.Ok(view) : TypedResults.NotFound());
        rigs.MapPost("/{id:guid}/records", async Task<Results<Ok<RigView>, NotFound>> (Guid id, NewRecord record, RigDesk desk) => await desk.Record(id, record) is { } view ? TypedResults.Ok(view) : TypedResults.NotFound());
        rigs.MapGet("/{id:guid}/job-file", Export);
    }

    /// <summary>Maps <c>POST /api/assess</c>: a whole design in, all results out, nothing kept.</summary>
    public static void MapAssess(this RouteGroupBuilder api) =>
        api.MapPost("/assess", async Task<Ok<JobAssessment>> (HttpRequest request) => TypedResults.Ok(Assessor.Assess(JobFile.Read(await Body(request)))))
            .Accepts<JobDesign>("application/json").WithTags("assess");

    private static async Task<Results<Created<RigView>, NotFound>> Create(NewRig rig, RigDesk desk, RigLog log)
    {
        if (rig.Name.Trim().Length is 0 or > 80)
            throw new InputException("name", rig.Name, "A rig needs a name of 1 to 80 characters.");
        var design = RigPresets.New(rig.Kind, rig.Name.Trim());
        AttachmentRow? weather = null;
        if (rig.CopyOf is { } copied)
        {
            if (await log.Find(copied) is not { } original)
                return TypedResults.NotFound();
            design = JobFile.Read(original.Design) with { Name = rig.Name.Trim() };
            weather = await RigWeather.File(copied, design, log);
        }
        var file = Guid.CreateVersion7();
        if (weather is not null)
            design = design with { Survey = design.Survey with { Climate = design.Survey.Climate with { WeatherFile = RigWeather.Named(file, weather.Name) } } };
        var stored = await desk.Create(design, rig.CopyOf is null ? "begun" : "begun as a copy");
        // A file of its own: the original may be removed with all it has.
        if (weather is not null)
            await log.Attach(new AttachmentRow { Id = file, RigId = stored.Id, At = weather.At, Name = weather.Name, Content = weather.Content });
        return TypedResults.Created($"/api/rigs/{stored.Id}", await desk.View(stored.Id));
    }

    private static async Task<Created<RigView>> Import(HttpRequest request, RigDesk desk)
    {
        var stored = await desk.Create(JobFile.Read(await Body(request)), "read from a job file");
        return TypedResults.Created($"/api/rigs/{stored.Id}", await desk.View(stored.Id));
    }

    private static async Task<IResult> Patch(Guid id, RigPatch patch, RigDesk desk)
    {
        if (patch.Changes.Count == 0)
            throw new InputException("changes", "none", "A patch needs at least one change.");
        var (done, conflict) = await desk.Patch(id, patch);
        return done is not null ? done : conflict is not null ? TypedResults.Conflict(conflict) : TypedResults.NotFound();
    }

    private static async Task<Results<FileContentHttpResult, NotFound>> Export(Guid id, RigLog log)
    {
        if (await log.Find(id) is not { } stored)
            return TypedResults.NotFound();
        var design = JobFile.Read(stored.Design);
        return TypedResults.File(Encoding.UTF8.GetBytes(JobFile.Write(design, indented: true)), "application/json", $"{FileNames.Safe(design.Name)}.vanto.json");
    }

    private static async Task<string> Body(HttpRequest request)
    {
        using var reader = new StreamReader(request.Body, Encoding.UTF8);
        return await reader.ReadToEndAsync();
    }
}
