using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Unit;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Unit;

/// <summary>The catalogue and own units as CSV.</summary>
public static class UnitEndpoints
{
    /// <summary>Maps <c>units.csv</c> of a rig, both ways.</summary>
    public static void MapUnits(this RouteGroupBuilder api)
    {
        var units = api.MapGroup("/rigs/{id:guid}/units.csv").WithTags("unit");
        units.MapGet("/",
            async Task<Results<FileContentHttpResult, NotFound>> (Guid id, RigDesk desk, bool catalogue = false) => await desk.View(id) is { } view
            ? TypedResults.File(Encoding.UTF8.GetBytes(UnitCsv.Write(catalogue ? UnitCatalogue.All : view.Design.Unit.Own)), "text/csv",
                $"{FileNames.Safe(view.Design.Name)}-units.csv")
            : TypedResults.NotFound()).Needs(CrewRight.Read);
        units.MapPost("/", async Task<Results<Ok<RigView>, NotFound>> (Guid id, HttpRequest request, RigDesk desk) =>
        {
            var read = UnitCsv.Read(await RequestText.Read(request));
            var changed = await desk.Change(id, "units.csv", "units read from CSV", "/unit/own",
                design => design with { Unit = design.Unit with { Own = [.. design.Unit.Own.Where(o => read.All(r => r.Id != o.Id)), .. read] } });
            return changed is null ? TypedResults.NotFound() : TypedResults.Ok(changed);
        }).Needs(CrewRight.Design);
        var rig = api.MapGroup("/rigs/{id:guid}").WithTags("unit");
        rig.MapGet("/unit-sheet", WriteSheet).Needs(CrewRight.Read);
        rig.MapPost("/unit-sheet", ReadSheet).Needs(CrewRight.Design);
        rig.MapPost("/manual-pages", Attach).Needs(CrewRight.Design);
        rig.MapGet("/manual-pages/{file:guid}", Page).Needs(CrewRight.Read);
    }

    private static async Task<Results<FileContentHttpResult, NotFound>> WriteSheet(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var chosen = view.Design.Unit.Chosen;
        var sheet = UnitSheets.Typed(view.Design.Unit, chosen) ?? new UnitSheetDesign { Unit = chosen };
        return TypedResults.File(Encoding.UTF8.GetBytes(UnitSheetFile.Write(sheet)), "application/json", $"{FileNames.Safe(chosen)}.unit-sheet.json");
    }

    /// <summary>Reads a sheet for the chosen unit; pages that its own sheet has stay.</summary>
    private static async Task<Results<Ok<RigView>, NotFound>> ReadSheet(Guid id, HttpRequest request, RigDesk desk)
    {
        var read = UnitSheetFile.Read(await RequestText.Read(request));
        var changed = await desk.Change(id, "unit-sheet", "unit sheet read from a file", "/unit/sheets",
            design => WithSheet(design, sheet => read with { Unit = sheet.Unit, Pages = sheet.Pages }));
        return changed is null ? TypedResults.NotFound() : TypedResults.Ok(changed);
    }

    private static JobDesign WithSheet(JobDesign design, Func<UnitSheetDesign, UnitSheetDesign> change)
    {
        var chosen = design.Unit.Chosen;
        var own = UnitSheets.Typed(design.Unit, chosen) ?? new UnitSheetDesign { Unit = chosen };
        return design with { Unit = design.Unit with { Sheets = [.. design.Unit.Sheets.Where(s => s.Unit != chosen), change(own)] } };
    }

    /// <summary>Kinds of pages that are kept, by how their files begin.</summary>
    private static readonly (byte[] Begins, string Type)[] Kinds =
        [("%PDF"u8.ToArray(), "application/pdf"), ([0x89, (byte)'P', (byte)'N', (byte)'G'], "image/png"), ([0xFF, 0xD8, 0xFF], "image/jpeg")];

    private static string? TypeOf(byte[] content) => Kinds.FirstOrDefault(k => content.AsSpan().StartsWith(k.Begins)).Type;

    private static async Task<Results<Ok<RigView>, NotFound>> Attach(Guid id, HttpRequest request, RigDesk desk, TimeProvider clock, string name = "page")
    {
        using var memory = new MemoryStream();
        await request.Body.CopyToAsync(memory, request.HttpContext.RequestAborted);
        var row = new AttachmentRow
        {
            Id = Guid.CreateVersion7(),
            RigId = id,
            At = clock.GetUtcNow(),
            Name = name[..Math.Min(RigDesk.LongestName, name.Length)],
            Content = memory.ToArray(),
        };
        if (TypeOf(row.Content) is null)
            throw new InputException("page", row.Name, "A page of the manual is a PDF, a PNG or a JPEG.");
        var changed = await desk.Change(id, "manual-page", $"page of the manual: {row.Name}", "/unit/sheets",
            design => WithSheet(design, sheet => sheet with { Pages = [.. sheet.Pages, new ManualPage { File = $"{row.Id} {row.Name}" }] }), row);
        return changed is null ? TypedResults.NotFound() : TypedResults.Ok(changed);
    }

    private static async Task<Results<FileContentHttpResult, NotFound>> Page(Guid id, Guid file, RigLog log) =>
        await log.Attachment(id, file) is { } row && TypeOf(row.Content) is { } type ? TypedResults.File(row.Content, type) : TypedResults.NotFound();
}
