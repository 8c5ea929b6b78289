using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Wiring;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Wiring;

public static class WiringEndpoints
{
    /// <summary>Maps the papers of the wiring under <c>/api/rigs/{id}/wiring</c>.</summary>
    public static void MapWiring(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/wiring/papers.pdf", Pdf).WithTags("wiring").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/wiring/certificate.pdf", Certificate).WithTags("wiring").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/wiring/line.svg", Svg).WithTags("wiring").Needs(CrewRight.Read);
    }

    private static ProblemHttpResult NoWiring() => TypedResults.Problem("An earlier station has a stop that keeps the wiring from being worked out.",
        statusCode: 409, title: "No wiring yet.");

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Pdf(Guid id, RigDesk desk, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Wiring is not { } wiring)
            return NoWiring();
        var pdf = WiringPdf.Render(view.Design.Name, wiring, view.Design.Units, DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        return TypedResults.File(pdf, "application/pdf", $"{FileNames.Safe(view.Design.Name)}-wiring.pdf");
    }

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Certificate(Guid id, RigDesk desk, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Wiring is not { } wiring)
            return NoWiring();
        var pdf = TestCertificatePdf.Render(view.Design.Name, wiring, [.. view.Records.OfType<PowerTestRecord>()], view.Design.Units,
            DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        return TypedResults.File(pdf, "application/pdf", $"{FileNames.Safe(view.Design.Name)}-tests.pdf");
    }

    private static async Task<Results<ContentHttpResult, NotFound, ProblemHttpResult>> Svg(Guid id, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        return view.Assessment.Wiring is not { } wiring ? NoWiring()
            : TypedResults.Content(LineSvg.Write(wiring.Picture, $"{view.Design.Name}: single line", WiringStation.Cautions), "image/svg+xml", Encoding.UTF8);
    }
}
