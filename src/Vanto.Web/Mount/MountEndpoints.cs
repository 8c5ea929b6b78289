using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Quantities;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Mount;

public static class MountEndpoints
{
    /// <summary>Maps the workshop's papers under <c>/api/rigs/{id}/mount</c> and the drill template under <c>/api/rigs/{id}/layout</c>.</summary>
    public static void MapMount(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/mount/papers.pdf", Pdf).WithTags("mount").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/mount/drawing.svg", Svg).WithTags("mount").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/mount/drawing.dxf", Dxf).WithTags("mount").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/layout/template.pdf", Template).WithTags("layout").Needs(CrewRight.Read);
    }

    private static ProblemHttpResult NoMount() => TypedResults.Problem("An earlier station has a stop that keeps the mount from being worked out.",
        statusCode: 409, title: "No mount yet.");

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Pdf(Guid id, RigDesk desk, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Mount is not { } mount)
            return NoMount();
        var pdf = MountPdf.Render(view.Design.Name, mount, Calls.Name(view.Design.Mount.Frame.Metal), DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        return TypedResults.File(pdf, "application/pdf", $"{FileNames.Safe(view.Design.Name)}-mount.pdf");
    }

    private static async Task<Results<ContentHttpResult, NotFound, ProblemHttpResult>> Svg(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        return view.Assessment.Mount is not { } mount ? NoMount()
            : TypedResults.Content(DrawingSvg.Write(MountDrawing.Of(mount), $"{view.Design.Name}: mount"), "image/svg+xml", Encoding.UTF8);
    }

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Dxf(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        return view.Assessment.Mount is not { } mount ? NoMount()
            : TypedResults.File(Encoding.ASCII.GetBytes(DxfWriter.Write(MountDrawing.Of(mount).Items)), "image/vnd.dxf",
                $"{FileNames.Safe(view.Design.Name)}-mount.dxf");
    }

    /// <summary>The drill template at full size.</summary>
    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Template(Guid id, RigDesk desk,
        string paper = "a4", bool outside = false)
    {
        if (!Enum.TryParse<TemplatePaper>(paper, true, out var sheet) || !Enum.IsDefined(sheet))
            return TypedResults.Problem($"paper is \"{paper}\"; it may be a4 or letter.", statusCode: 400, title: "No such paper.");
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Layout?.Wall is not { } wall)
            return TypedResults.Problem("This unit has no head and no hole in a wall.", statusCode: 409, title: "No template.");
        return TypedResults.File(TemplatePdf.Render(view.Design.Name, DrillTemplate.Of(wall, outside), sheet), "application/pdf",
            $"{FileNames.Safe(view.Design.Name)}-template-{(outside ? "outside" : "inside")}.pdf");
    }
}
