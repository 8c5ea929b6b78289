using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.Http.HttpResults;
using QRCoder;
using Vanto.Core.Crew;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Quantities;
using Vanto.Core.Service;
using Vanto.Core.Unit;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;
using Vanto.Web.Shop;

namespace Vanto.Web.Handover;

/// <summary>The owner's guide, papers with numbers, the label, and the page behind it.</summary>
public static class HandoverEndpoints
{
    /// <summary>Name of the limit on the public page.</summary>
    public const string Limit = "public-guide";

    private const int MostAMinute = 30;
    private const int QrVersionMost = 6;

    /// <summary>Maps them under <c>/api/rigs/{id}</c>.</summary>
    public static void MapHandover(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/handover.pdf", Pdf).WithTags("handover").Needs(CrewRight.Read);
        api.MapPost("/rigs/{id:guid}/papers", async Task<Results<Ok<IssuedPaper>, NotFound>> (Guid id, PaperRequest asked, PaperDesk papers,
            HttpContext http) => await papers.Issue(id, asked with { By = CrewCaller.Of(http).Signs(asked.By) }) is { } issued ? TypedResults.Ok(issued)
                : TypedResults.NotFound()).WithTags("handover").Needs(CrewRight.Design);
        api.MapGet("/rigs/{id:guid}/papers/{paper:guid}.pdf", Paper).WithTags("handover").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/label.pdf", Label).WithTags("handover").Needs(CrewRight.Read);
        api.MapGet("/rigs/{id:guid}/handover/now", Now).WithTags("handover").Needs(CrewRight.Read);
    }

    /// <summary>The limit on the public page: so many looks a minute from one address, of this machine or of the crew's network.</summary>
    public static RateLimitPartition<string> Partition(HttpContext http) => RateLimitPartition.GetFixedWindowLimiter(
        http.Request.Headers[CrewGate.CallerHeader] is [{ Length: > 0 } caller] ? caller : $"{http.Connection.RemoteIpAddress}",
        _ => new FixedWindowRateLimiterOptions { PermitLimit = MostAMinute, Window = TimeSpan.FromMinutes(1) });

    /// <summary>Maps the page behind the label, for whoever holds its key.</summary>
    public static void MapPublicGuide(this IEndpointRouteBuilder app)
    {
        app.MapGet("/h/{code}", PublicPage).RequireRateLimiting(Limit).ExcludeFromDescription();
        app.MapPost("/h/{code}", Reported).RequireRateLimiting(Limit).ExcludeFromDescription();
    }

    /// <summary>A wrong code and a wrong key are answered alike, after the same comparison.</summary>
    private static async Task<IResult> PublicPage(string code, string? k, RigLog log, RigDesk desk, ShopDesk shop, LaptopSeal seal, HttpContext http)
    {
        Guarded(http);
        if (await Guide(code, k, log, seal) is not { } found)
            return NoGuide;
        var kept = await log.Photo(found.Rig, found.Guide.Readings.PageSha256);
        if ((kept is null ? null : GuidePage.Read(kept.Content)) is { } page)
            return Page(page, found.Beside);
        // Issued before pages were frozen as text: shown as the rig stands today.
        return await desk.View(found.Rig) is { Assessment.Handover: { } sheet } view ? Page(PublicGuide.Frozen(view.Design,
            PublicGuide.Whole(sheet, view.Assessment.Service), shop.Today, found.Guide.Readings.Number), "As it stands today.") : NoGuide;
    }

    private static IResult Page(GuidePage page, string beside) =>
        Results.Bytes(Encoding.UTF8.GetBytes(PublicGuide.Html(page, beside)), "text/html; charset=utf-8");

    /// <summary>The owner tells that the filter was washed: written down as told, once a day, and only while the shop lets them.</summary>
    private static async Task<IResult> Reported(string code, string? k, RigLog log, RigDesk desk, ShopDesk shop, LaptopSeal seal, TimeProvider clock,
        HttpContext http)
    {
        Guarded(http);
        if (await Guide(code, k, log, seal) is not { Rig: var rig } || await desk.View(rig) is not { Design.Handover.OwnerReports: true } view)
            return NoGuide;
        var today = shop.Today.ToString("O", CultureInfo.InvariantCulture);
        if (!view.Records.OfType<VisitRecord>().Any(v => v.Readings.ByOwner && v.Readings.Day == today))
            await desk.Record(rig, [new VisitRecord(Guid.CreateVersion7(), clock.GetUtcNow(), "the owner, on the page",
                new VisitValues { Day = today, Done = ServiceTasks.Filter, ByOwner = true }, null)], null);
        return Results.Bytes(Encoding.UTF8.GetBytes(PublicGuide.Thanks), "text/html; charset=utf-8");
    }

    private static readonly IResult NoGuide = Results.Text("There is no such guide.", "text/plain", statusCode: StatusCodes.Status404NotFound);

    private static void Guarded(HttpContext http)
    {
        http.Response.Headers.CacheControl = "no-store";
        http.Response.Headers["X-Robots-Tag"] = "noindex";
        http.Response.Headers.ContentSecurityPolicy =
            "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
        // Of its own form a browser says the origin only so.
        http.Response.Headers["Referrer-Policy"] = "same-origin";
    }

    /// <summary>A guide whose page may be shown.</summary>
    /// <param name="Beside">What its reader must know about it.</param>
    private sealed record ShownGuide(Guid Rig, PaperRecord Guide, string Beside);

    /// <summary>The guide that a key opens. One that its own laptop issued anew has lost its key; one that another laptop's guide takes the place of goes on,
    /// and says so: a file alone silences no label.</summary>
    private static async Task<ShownGuide?> Guide(string code, string? k, RigLog log, LaptopSeal seal)
    {
        var given = SHA256.HashData(Encoding.UTF8.GetBytes(k ?? ""));
        var asked = code.ToUpperInvariant();
        ShownGuide? found = null;
        CryptographicOperations.FixedTimeEquals(given, new byte[32]);
        foreach (var rig in (await log.All()).Where(r => JobCodeOf(r.Design) == asked))
        {
            var papers = seal.Judged(rig.Id, [.. (await log.Records(rig.Id)).Where(r => r.Kind == PaperRecord.Kind.Name).Select(r =>
                PaperRecord.Kind.Read(new(r.Id, r.At, r.By, r.Corrects), System.Text.Json.Nodes.JsonNode.Parse(r.Body)!))]).Cast<PaperRecord>().ToList();
            foreach (var guide in papers.Where(p => p is
            {
                Readings: { Kind: PaperKind.Guide, Revoked: false, KeySha256.Length: 64 },
                Origin: PaperOrigin.Here or PaperOrigin.Elsewhere or PaperOrigin.Unsigned
            }))
                if (CryptographicOperations.FixedTimeEquals(given, Convert.FromHexString(guide.Readings.KeySha256)) && Shown(guide, papers) is { } beside)
                    found = new ShownGuide(rig.Id, guide, beside);
        }
        return found;
    }

    private static string? Shown(PaperRecord guide, IReadOnlyList<PaperRecord> papers)
    {
        var later = papers.SkipWhile(p => p.Id != guide.Id).Skip(1).Where(p => p.Readings.Kind == PaperKind.Guide).ToList();
        if (later.Any(p => p.Origin == guide.Origin && p.Readings.PublicKey == guide.Readings.PublicKey)
            || guide.Origin == PaperOrigin.Unsigned && later.Any(p => p.Origin == PaperOrigin.Here))
            return null;
        var newer = later.LastOrDefault(p => p.Origin is PaperOrigin.Here or PaperOrigin.Elsewhere);
        return newer is not null ? $"A newer guide, {newer.Readings.Number}, was issued on another laptop."
            : guide.Origin == PaperOrigin.Elsewhere ? "Issued on another laptop of the shop." : "";
    }

    private static string JobCodeOf(string design) =>
        System.Text.Json.Nodes.JsonNode.Parse(design) is System.Text.Json.Nodes.JsonObject o && o["handover"] is System.Text.Json.Nodes.JsonObject handover
            && handover["code"] is System.Text.Json.Nodes.JsonValue v && v.TryGetValue<string>(out var code) ? code : "";

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Pdf(Guid id, RigDesk desk, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        if (view.Assessment.Handover is not { } sheet)
            return TypedResults.Problem("An earlier station has a stop that keeps the sheet from being put together.", statusCode: 409, title: "No sheet yet.");
        var pdf = HandoverPdf.Render(view.Design, PublicGuide.Whole(sheet, view.Assessment.Service), view.Design.Units,
            DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        return TypedResults.File(pdf, "application/pdf", $"{FileNames.Safe(view.Design.Name)}-owner.pdf");
    }

    /// <summary>A paper by the id of its record: a number can be written by anybody.</summary>
    private static async Task<Results<FileContentHttpResult, NotFound>> Paper(Guid id, Guid paper, RigDesk desk, RigLog log) =>
        await desk.View(id) is { } view && view.Records.OfType<PaperRecord>().FirstOrDefault(p => p.Id == paper) is { } issued
            && await log.Photo(id, issued.Readings.Sha256) is { } file
            ? TypedResults.File(file.Content, "application/pdf", $"{FileNames.Safe(issued.Readings.Number).ToUpperInvariant()}.pdf") : TypedResults.NotFound();

    private static async Task<Results<FileContentHttpResult, NotFound>> Label(Guid id, string key, RigDesk desk, CrewGate gate, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var papers = view.Records.OfType<PaperRecord>().ToList();
        var guide = papers.LastOrDefault(p => p.Readings.Kind == PaperKind.Guide && Papers.Stands(p, papers));
        if (guide is null || !CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(PaperDesk.Hash(Encoding.UTF8.GetBytes(key))),
            Encoding.UTF8.GetBytes(guide.Readings.KeySha256)))
            throw new InputException("key", "", "This is not the key of the guide that stands; issue the guide anew for a new label.");
        var code = view.Design.Handover.Code;
        var host = gate.Addresses.FirstOrDefault() ?? "http://vanto.local";
        var text = $"{host}/H/{code}?K={key}".ToUpperInvariant();
        using var qr = QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.Q);
        if (qr.Version > QrVersionMost)
            throw new InputException("label", text, $"label: {text.Length} signs are too many for a label");
        // Its module matrix comes with a quiet zone of four on each side.
        const int quiet = 4;
        var modules = qr.ModuleMatrix.Cast<System.Collections.BitArray>().Skip(quiet).SkipLast(quiet)
            .Select(row => (IReadOnlyList<bool>)[.. row.Cast<bool>().Skip(quiet).SkipLast(quiet)]).ToList();
        var day = clock.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        var unit = view.Assessment.Unit?.Unit;
        var circuit = view.Assessment.Wiring?.Circuits.FirstOrDefault();
        var sheet = unit is null ? null : UnitSheets.Known(view.Design.Unit, unit).Circuit;
        string[] lines = [unit?.Name ?? "", view.Design.Handover.Firm, $"{guide.Readings.Number} · {day}", "Read the guide before use."];
        string[] breaker = circuit is null ? ["________"] : [$"Air conditioner · circuit {circuit.No}",
            $"{circuit.Device} {circuit.DeviceA:0.#} A · {circuit.Wire} · {circuit.Volts:0} V", $"from {circuit.From}{Second(view)}",
            $"{JobCode.Printed(code)} · {day}"];
        string[] valve = unit is not { JoinedOnSite: true } ? [] : [$"{(sheet?.Refrigerant is { } fluid ? Calls.Name(fluid) : "refrigerant ______")}",
            sheet?.ChargeKg is { } kg ? $"charge {kg:0.00} kg, added ______ kg" : "charge ______ kg", "Only who may handle refrigerant opens it."];
        return TypedResults.File(LabelPdf.Render(view.Design.Name, JobCode.Printed(code), modules, [.. lines.Where(l => l.Length > 0)], breaker, valve),
            "application/pdf", $"{FileNames.Safe(view.Design.Name)}-labels.pdf");
    }

    private static string Second(RigView view) => view.Design.Survey.Sources is { Inverter.Fitted: true, Battery.Fitted: true } or { Generator.Fitted: true }
        ? " · also fed from inverter or generator: isolate both" : "";

    /// <summary>The owner at night: this full, this late.</summary>
    private static async Task<Results<Ok<FromNowView>, NotFound, ProblemHttpResult>> Now(Guid id, double charge, double hour, RigDesk desk)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var (design, all) = (view.Design, view.Assessment);
        return all.Unit is not { } unit
            ? TypedResults.Problem("An earlier station has a stop that keeps the night from being worked out.", statusCode: 409, title: "No night yet.")
            : TypedResults.Ok(FromNow.Of(new EnergyInputs(design.Survey, design.Load, design.Unit, unit.Unit, design.Energy, design.Start.ReserveSoc), charge,
                hour));
    }
}
