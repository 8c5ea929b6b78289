using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Calculators;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Install;
using Vanto.Core.Shop;
using Vanto.Documents;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;
using Vanto.Web.Shop;

namespace Vanto.Web.Install;

/// <summary>One event as a device sends it.</summary>
public sealed record SentEvent(Guid Id, string By, InstallValues Event, Guid? Corrects = null);

/// <summary>Events of a device in their order.</summary>
/// <param name="Events">At most 200.</param>
/// <param name="Live">Written this moment: refused at an open gate. Those of a device that was alone are taken.</param>
/// <param name="NowMs">The device's clock as it sends them, ms; empty judges no clock.</param>
public sealed record SentEvents(IReadOnlyList<SentEvent?> Events, bool Live = false, double? NowMs = null);

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
        api.MapGet("/rigs/{id:guid}/install/run-sheet.pdf", Paper).WithTags("install").Needs(CrewRight.Read);
        api.MapPost("/rigs/{id:guid}/install/events", Take).WithTags("install").Needs(CrewRight.Record).ProducesProblem(StatusCodes.Status403Forbidden)
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

    private static async Task<Results<Ok<TakenEvents>, NotFound, ProblemHttpResult>> Take(Guid id, SentEvents sent, RigDesk desk, CrewBook book, ShopDesk shop,
        TimeProvider clock, HttpContext http)
    {
        var (caller, now) = (CrewCaller.Of(http), clock.GetUtcNow());
        if (await desk.View(id) is not { } before)
            return TypedResults.NotFound();
        List<InstallRecord> records = [.. sent.Events.Select((e, i) => Written(e
            ?? throw new InputException($"events[{i}]", "nothing", $"events[{i}] is empty"), caller, before, now))];
        Check(records, before, now);
        if (caller is { Role: { } role, Device: not null })
        {
            var crew = Crew(before, book, await shop.View());
            if (records.Select(r => WorkRights.Refused(role, r, Corrected(r, before), Skill(r, before), crew, now)).FirstOrDefault(why => why.Length > 0)
                is { } refused)
                throw new NotYoursException(refused);
        }
        IReadOnlyList<string> open = [];
        var view = await desk.Record(id, records, sent.Live ? assessment => open = OpenAt(records, assessment.Install) : null);
        if (view is null)
            return TypedResults.NotFound();
        return open.Count > 0
            ? TypedResults.Problem(string.Join("; ", open), statusCode: StatusCodes.Status409Conflict, title: "A gate is open.",
                extensions: new Dictionary<string, object?> { ["open"] = open })
            : TypedResults.Ok(new TakenEvents(view.Assessment.Install?.Held ?? new Dictionary<string, long>(), view, Off(sent.NowMs, now)));
    }

    /// <summary>An event as it is kept: who sent it is said by the gate. One that is here already stays as it is, whoever holds the device by now.</summary>
    private static InstallRecord Written(SentEvent sent, CrewCaller caller, RigView rig, DateTimeOffset now)
    {
        var e = sent.Event with { Device = caller.Sends(sent.Event.Device) };
        return rig.Records.OfType<InstallRecord>().FirstOrDefault(r => r.Id == sent.Id && r.Event == e && r.Corrects == sent.Corrects)
            ?? new InstallRecord(sent.Id, now, caller.Signs(sent.By), e, sent.Corrects);
    }

    /// <summary>Whose name may stand as a second one: who joined, who stands in the plan, who has a licence in the shop.</summary>
    private static IReadOnlyList<CrewPerson> Crew(RigView rig, CrewBook book, ShopView shop) =>
    [
        .. book.Devices.Select(d => new CrewPerson(d.Name, CrewRights.May(d.Role, CrewRight.EndLicensed))),
        .. rig.Design.Plan.Crew.Select(c => new CrewPerson(c.Name, !c.Helper)),
        .. shop.Licences.Select(l => new CrewPerson(l.Person, true)),
    ];

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

    /// <summary>An event's clock is at most this far ahead of the laptop's: one that is further would drag every phone's with it. Common practice.</summary>
    private const double FarAheadMs = Storage.LaptopClock.FarAhead;

    private static void Check(List<InstallRecord> records, RigView rig, DateTimeOffset now)
    {
        if (records.Count is 0 or > MostAtOnce)
            throw new InputException("events", $"{records.Count}", $"1 to {MostAtOnce} events are taken at once");
        var errors = new List<InputError>();
        var most = now.ToUnixTimeMilliseconds() + FarAheadMs;
        var numbers = rig.Records.OfType<InstallRecord>().GroupBy(r => (r.Event.Device, r.Event.Seq)).ToDictionary(g => g.Key, g => g.First().Id);
        foreach (var (r, i) in records.Select((r, i) => (r, i)))
        {
            void Refuse(bool wrong, string name, object value, string why)
            {
                if (wrong)
                    errors.Add(InputError.Fault($"events[{i}].{name}", FormattableString.Invariant($"{value}"), why));
            }
            var e = r.Event;
            Refuse(r.By.Length is 0 or > RigDesk.LongestName, "by", r.By, "who did it? A name of 1 to 80 characters");
            Refuse(e.Device.Length == 0 || e.Seq < 1, "event.seq", e.Seq, "an event has its device and its number there, from 1 on");
            Refuse(new[] { e.Seq, e.L, e.C, e.AtMs }.Any(n => n != Math.Floor(n)), "event.seq", e.Seq, "numbers and clocks of an event are whole");
            Refuse(e.L > most, "event.l", e.L, "its clock is more than a day ahead of the laptop's: set the device's clock");
            Refuse(!numbers.TryAdd((e.Device, e.Seq), r.Id) && numbers[(e.Device, e.Seq)] != r.Id, "event.seq", e.Seq,
                "another event of this device has this number already");
            errors.AddRange(FieldCatalogue.Check(e));
        }
        if (errors.Count > 0)
            throw new InputException(errors);
    }
}
