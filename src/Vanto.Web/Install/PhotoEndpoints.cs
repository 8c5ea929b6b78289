using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Crew;

namespace Vanto.Web.Install;

/// <summary>What a photograph is called: the hash of its content.</summary>
public sealed record KeptPhoto(string Sha256, int Bytes);

/// <summary>Photographs of the work on site, by the hash of their content; the same one sent twice is kept once.</summary>
public static class PhotoEndpoints
{
    private const int MostBytes = 12_000_000;
    private const string Jpeg = "image/jpeg";

    /// <summary>Dots of a side, and photographs of a rig in a day; the product's own choice.</summary>
    private const int MostSide = 12_000, MostADay = 500;

    /// <summary>So long one stays that nothing names: its event may still lie on a phone.</summary>
    private static readonly TimeSpan Unnamed = TimeSpan.FromDays(7), Day = TimeSpan.FromDays(1);

    private static readonly byte[] Begins = [0xFF, 0xD8, 0xFF];

    /// <summary>Maps them under <c>/api/rigs/{id}/install/photos</c>.</summary>
    public static void MapPhotos(this RouteGroupBuilder api)
    {
        api.MapPost("/rigs/{id:guid}/install/photos", Keep).WithTags("install").Needs(CrewRight.Record).Accepts<byte[]>(Jpeg)
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes + 1));
        api.MapGet("/rigs/{id:guid}/install/photos/{sha256}", Show).WithTags("install").Needs(CrewRight.Read);
    }

    private static async Task<Results<Ok<KeptPhoto>, NotFound>> Keep(Guid id, HttpRequest request, RigLog log, TimeProvider clock)
    {
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, request.HttpContext.RequestAborted);
        var content = body.ToArray();
        if (content.Length > MostBytes)
            throw new InputException("photo", $"{content.Length} bytes", $"a photograph has at most {MostBytes} bytes; scale it first");
        if (!content.AsSpan().StartsWith(Begins) || JpegHeader.Sides(content) is not var (width, height))
            throw new InputException("photo", "", "this is no JPEG");
        if (width > MostSide || height > MostSide)
            throw new InputException("photo", $"{width} × {height}", $"a photograph has at most {MostSide} dots a side; this one has {width} × {height}");
        await log.LetGoUnnamed(id, clock.GetUtcNow() - Unnamed);
        if (await log.PhotosSince(id, clock.GetUtcNow() - Day) >= MostADay)
            throw new InputException("photo", $"{MostADay}", $"this rig took {MostADay} photographs within a day; at most so many are kept in one");
        var name = Convert.ToHexStringLower(SHA256.HashData(content));
        return await log.KeepPhoto(new AttachmentRow { Id = Guid.CreateVersion7(), RigId = id, At = clock.GetUtcNow(), Name = name, Content = content })
            ? TypedResults.Ok(new KeptPhoto(name, content.Length)) : TypedResults.NotFound();
    }

    private static async Task<Results<FileContentHttpResult, NotFound>> Show(Guid id, string sha256, RigLog log) =>
        await log.Photo(id, sha256) is { } photo ? TypedResults.File(photo.Content, Jpeg) : TypedResults.NotFound();
}
