using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Vanto.Core.Crew;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Exchange;

/// <summary>Rigs and the whole shop as files, and files of another laptop.</summary>
public static class ExchangeEndpoints
{
    /// <summary>Largest file that is read in, bytes.</summary>
    public const long Largest = 512L << 20;

    /// <summary>Maps them.</summary>
    public static void MapExchange(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/bundle.zip", async Task<Results<FileContentHttpResult, NotFound>> (Guid id, RigDesk desk, BundleFiles bundles) =>
            await desk.View(id) is { } view
                ? TypedResults.File(JobBundle.Zip(await bundles.Of(view)), "application/zip", $"{FileNames.Safe(view.Design.Name)}.vanto.zip")
                : TypedResults.NotFound()).WithTags("exchange").Needs(CrewRight.Read);
        api.MapGet("/exchange/shop.zip", async (ExchangeDesk exchange, TimeProvider clock) =>
            TypedResults.File(await exchange.Whole(), "application/zip", $"shop-{clock.GetLocalNow():yyyy-MM-dd}.vanto.zip")).WithTags("exchange")
                .Needs(CrewRight.Share, Reach.Yard);
        api.MapPost("/exchange", async (HttpRequest request, ExchangeDesk exchange, LargeFiles files) =>
            TypedResults.Ok(await files.Read(request, "file", "Choose a file that another Vanto wrote.", exchange.Take)))
            .Accepts<byte[]>("application/zip").WithMetadata(new RequestSizeLimitAttribute(Largest)).WithTags("exchange").Needs(CrewRight.Share, Reach.Yard);
    }
}
