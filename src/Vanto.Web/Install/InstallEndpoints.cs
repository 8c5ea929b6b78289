using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Calculators;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Install;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Install;

/// <summary>One event as a device sends it.</summary>
public sealed record SentEvent(Guid Id, string By, InstallValues Event, Guid? Corrects = null);

/// <summary>Events of a device in their order.</summary>
/// <param name="Events">At most 200.</param>
/// <param name="Live">Written this moment: refused at an open gate. Those of a device that was alone are taken.</param>
/// <param name="NowMs">The device's clock as it sends them, ms; empty judges no clock.</param>
public sealed record SentEvents(IReadOnlyList<SentEvent> Events, bool Live = false, double? NowMs = null);

/// <summary>What became of them.</summary>
/// <param name="Held">Highest number of each device that is kept without a gap.</param>
/// <param name="View">The rig with them.</param>
/// <param name="ClockOffS">Seconds that the device's clock is behind, where that matters; else nothing.</param>
public sealed record TakenEvents(IReadOnlyDictionary<string, long> Held, RigView View, double? ClockOffS);

public static class InstallEndpoints
{
    private const int MostAtOnce = 200;

    /// <summary>Maps the events of the work on site.</summary>
    public static void MapInstall(this RouteGroupBuilder api)
    {
        api.MapGet("/rigs/{id:guid}/install/run-sheet.pdf", Paper).WithTags("install");
        api.MapPost("/rigs/{id:guid}/install/events", Take).WithTags("install").ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> Paper(Guid id, RigDesk desk, TimeProvider clock)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        return view.Assessment.Install is not { } site
            ? TypedResults.Problem("An earlier station has a stop that keeps the run sheet from being made.", statusCode: 409, title: "No run sheet yet.")
            : TypedResults.File(RunSheetPdf.Render(view.Design.Name, site, DateOnly.FromDateTime(clock.GetLocalNow().DateTime)), "application/pdf",
                $"{FileNames.Safe(view.Design.Name)}-run-sheet.pdf");
    }

    private static async Task<Results<Ok<TakenEvents>, NotFound, ProblemHttpResult>> Take(Guid id, SentEvents sent, RigDesk desk, TimeProvider clock,
        HttpContext http)
    {
        Check(sent);
        var now = clock.GetUtcNow();
        List<InstallRecord> records = [.. sent.Events.Select(e => new InstallRecord(e.Id, now, e.By.Trim(), e.Event, e.Corrects))];
        if (Enum.TryParse<CrewRole>(http.Request.Headers[CrewGate.RoleHeader], out var role) && await desk.View(id) is { } before
            && records.Select(r => WorkRights.Refused(role, r, Corrected(r, before), Skill(r, before), now))
                .FirstOrDefault(why => why.Length > 0) is { } refused)
            return TypedResults.Problem(refused, statusCode: StatusCodes.Status403Forbidden, title: "Not yours to do.");
        IReadOnlyList<string> open = [];
        var view = await desk.Record(id, records, sent.Live ? assessment => open = OpenAt(records, assessment.Install) : null);
        if (view is null)
            return TypedResults.NotFound();
        return open.Count > 0
            ? TypedResults.Problem(string.Join("; ", open), statusCode: StatusCodes.Status409Conflict, title: "A gate is open.",
                extensions: new Dictionary<string, object?> { ["open"] = open })
            : TypedResults.Ok(new TakenEvents(view.Assessment.Install?.Held ?? new Dictionary<string, long>(), view, Off(sent.NowMs, now)));
    }

    private static InstallRecord? Corrected(InstallRecord e, RigView rig) => e.Corrects is { } id
        ? rig.Records.OfType<InstallRecord>().FirstOrDefault(r => r.Id == id) : null;

    private static string Skill(InstallRecord e, RigView rig) => rig.Assessment.Install?.Steps.FirstOrDefault(s => s.Id == e.Event.Step)?.Skill ?? "";

    /// <summary>How far a device's clock is behind, s; the way there is not counted. Null where it is near enough.</summary>
    private static double? Off(double? sentMs, DateTimeOffset now)
    {
        if (sentMs / MsPerS is not { } sent)
            return null;
        var here = now.ToUnixTimeMilliseconds() / MsPerS;
        var skew = ClockSkew.Of(sent, here, here, sent);
        return Math.Abs(skew.OffsetS) > ClockSkew.CautionS ? skew.OffsetS : null;
    }

    private const double MsPerS = 1000;

    /// <summary>Gate items that stand open at the steps that these events begin or end.</summary>
    private static IReadOnlyList<string> OpenAt(List<InstallRecord> records, InstallAssessment? found) =>
    [
        .. records.Where(r => r.Event.Type is EventType.StepStarted or EventType.StepFinished).SelectMany(r => found?.Steps
            .FirstOrDefault(s => s.Id == r.Event.Step)?.Gate.Where(g => g is { Passed: false, Passing: false }
                && g.Start == (r.Event.Type == EventType.StepStarted)).Select(g => g.Words) ?? []),
    ];

    private static void Check(SentEvents sent)
    {
        if (sent.Events.Count is 0 or > MostAtOnce)
            throw new InputException("events", $"{sent.Events.Count}", $"1 to {MostAtOnce} events are taken at once");
        var errors = new List<InputError>();
        foreach (var (e, i) in sent.Events.Select((e, i) => (e, i)))
        {
            if (e.By.Trim().Length is 0 or > RigDesk.LongestName)
                errors.Add(InputError.Fault($"events[{i}].by", e.By, "who did it? A name of 1 to 80 characters"));
            if (e.Event.Device.Length == 0 || e.Event.Seq < 1)
                errors.Add(InputError.Fault($"events[{i}].event.seq", $"{e.Event.Seq}", "an event has its device and its number there, from 1 on"));
            errors.AddRange(FieldCatalogue.Check(e.Event));
        }
        if (errors.Count > 0)
            throw new InputException(errors);
    }
}
