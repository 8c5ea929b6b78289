using Microsoft.AspNetCore.Http.HttpResults;
using QRCoder;
using Vanto.Core.Crew;
using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Web.Instruments;

namespace Vanto.Web.Crew;

/// <summary>A device as the owner sees it.</summary>
/// <param name="Clock">What its clock shows otherwise than this machine's; nothing where they agree, or where it did not measure yet.</param>
/// <param name="Shared">Several people write on it, each under a name of their own.</param>
public sealed record CrewDeviceView(Guid Id, string Name, CrewRole Role, DateTimeOffset JoinedAt, DateTimeOffset SeenAt, Guid? Rig, Phrase? Clock, bool Shared);

/// <summary>The code that stands.</summary>
/// <param name="Digits">Six of them.</param>
/// <param name="Role">Who comes in with it.</param>
/// <param name="Until">It ends then.</param>
/// <param name="Qr">The address with the code as a picture, SVG.</param>
public sealed record JoinCodeView(string Digits, CrewRole Role, DateTimeOffset Until, string Qr);

/// <summary>How the crew's network stands.</summary>
/// <param name="On">Others than this machine are answered.</param>
/// <param name="Tls">With a certificate.</param>
/// <param name="Port">Of the door.</param>
/// <param name="Addresses">At which a phone finds it.</param>
/// <param name="Code">The code that stands.</param>
/// <param name="Devices">Who is in.</param>
/// <param name="Tries">Who tried codes that were none.</param>
public sealed record CrewState(bool On, bool Tls, int Port, IReadOnlyList<string> Addresses, JoinCodeView? Code, IReadOnlyList<CrewDeviceView> Devices,
    IReadOnlyList<CodeTry> Tries);

/// <summary>Whether several people write on a device.</summary>
public sealed record SharedRequest(bool On);

/// <summary>Opens or shuts the door.</summary>
public sealed record ShareRequest(bool On, bool Tls = false);

/// <summary>Asks for a code.</summary>
/// <param name="Role">Who comes.</param>
/// <param name="Rig">The one rig that a helper or a viewer is shown; empty is all.</param>
public sealed record InviteRequest(CrewRole Role, Guid? Rig = null);

/// <summary>What the owner does about the crew's network, on this machine only.</summary>
public static class CrewEndpoints
{
    /// <summary>Maps them under <c>/api/crew</c>.</summary>
    public static void MapCrew(this RouteGroupBuilder api)
    {
        var crew = api.MapGroup("/crew").WithTags("crew").Needs(CrewRight.Share, Reach.Yard);
        crew.MapGet("", (CrewGate gate, CrewBook book) => State(gate, book));
        crew.MapGet("/me", () => CrewMe.Of(CrewCaller.Owner)).Needs(CrewRight.Read, Reach.Common);
        crew.MapGet("/clock", (TimeProvider clock) => ClockEndpoint.Now(clock)).Needs(CrewRight.Read, Reach.Common);
        crew.MapPost("/clock", (IReadOnlyList<ClockSample?> samples) => ClockEndpoint.View(ClockSkew.Of(samples))).Needs(CrewRight.Read, Reach.Common);
        crew.MapPost("/share", Share);
        crew.MapPost("/code", Invite).ProducesProblem(StatusCodes.Status409Conflict);
        crew.MapDelete("/devices/{id:guid}", Results<Ok<CrewState>, NotFound> (Guid id, CrewGate gate, CrewBook book) =>
            book.Revoke(id) ? TypedResults.Ok(State(gate, book)) : TypedResults.NotFound());
        crew.MapPost("/devices/{id:guid}/shared", Results<Ok<CrewState>, NotFound> (Guid id, SharedRequest asked, CrewGate gate, CrewBook book) =>
            book.Share(id, asked.On) ? TypedResults.Ok(State(gate, book)) : TypedResults.NotFound());
    }

    private static async Task<CrewState> Share(ShareRequest asked, CrewGate gate, CrewBook book, InstrumentDesk instruments)
    {
        if (asked.On)
            await gate.Open(asked.Tls);
        else
            await gate.Close();
        await instruments.Follow();
        return State(gate, book);
    }

    private static Results<Ok<CrewState>, ProblemHttpResult> Invite(InviteRequest asked, CrewGate gate, CrewBook book)
    {
        if (!gate.On)
            return TypedResults.Problem("Sharing is off: switch it on first.", statusCode: StatusCodes.Status409Conflict, title: "Nobody can come in.");
        book.Invite(asked.Role, asked.Role is CrewRole.Helper or CrewRole.Viewer ? asked.Rig : null);
        return TypedResults.Ok(State(gate, book));
    }

    private static CrewState State(CrewGate gate, CrewBook book) => new(gate.On, gate.Tls, gate.On ? gate.Port : 0, gate.Addresses,
        book.Code is { } code
            ? new JoinCodeView(code.Digits, code.Role, code.Made + JoinCode.Lasts, Qr($"{gate.Addresses.FirstOrDefault()}/join#{code.Digits}")) : null,
        [.. book.Devices.Select(d => new CrewDeviceView(d.Id, d.Name, d.Role, d.JoinedAt, d.SeenAt, d.Rig, d.Clock?.Said("Its clock"), d.Shared))],
        book.Tries);

    private static string Qr(string address)
    {
        using var data = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        using var picture = new SvgQRCode(data);
        return picture.GetGraphic(new System.Drawing.Size(200, 200), sizingMode: SvgQRCode.SizingMode.ViewBoxAttribute);
    }
}
