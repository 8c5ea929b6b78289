using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography.X509Certificates;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Vanto.Core.Crew;
using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Yarp.ReverseProxy.Forwarder;

namespace Vanto.Web.Crew;

/// <summary>Joins with a code.</summary>
public sealed record JoinRequest(string Code, string Name);

/// <summary>Who asks, and what they may.</summary>
public sealed record CrewMe(CrewRole Role, string Name, IReadOnlyList<CrewRight> May)
{
    public static CrewMe Of(CrewRole role, string name) => new(role, name, CrewRights.Of(role));
}

/// <summary>
/// The one door to the crew's network, shut until the owner opens it. It stands before the server, which goes on answering this machine only:
/// what comes through is known by its device, may do what its role may, and is passed on.
/// </summary>
public sealed class CrewGate(CrewBook book, IServer server, TimeProvider clock, ILogger<CrewGate> log, string store) : IAsyncDisposable
{
    public const int UsualPort = 5443;

    /// <summary>Tells the server whose request was passed on. Without it the owner asks, on this machine.</summary>
    public const string RoleHeader = "Vanto-Crew-Role";

    /// <summary>Says to the server from which address of the crew's network a request came; only the gate writes it.</summary>
    public const string CallerHeader = "Vanto-Crew-Caller";

    /// <summary>Query of the yard: the one rig in it.</summary>
    public const string OnlyRig = "only";

    private const string Cookie = "vanto-crew";
    private const int PortsTried = 20;
    private const int LongestName = 60;
    private const int CookieDays = 30;

    private static readonly TimeSpan Patience = TimeSpan.FromMinutes(5);

    private readonly SemaphoreSlim _turn = new(1);
    private WebApplication? _app;
    private X509Certificate2? _certificate;

    /// <summary>It is open.</summary>
    public bool On => _app is not null;

    /// <summary>With a certificate.</summary>
    public bool Tls => _certificate is not null;

    public int Port { get; private set; }

    /// <summary>Addresses of this machine at which a phone finds it.</summary>
    public IReadOnlyList<string> Addresses => On ? [.. Here().Select(a => $"{(Tls ? "https" : "http")}://{a}:{Port}")] : [];

    private static IReadOnlyList<IPAddress> Here() =>
    [
        .. NetworkInterface.GetAllNetworkInterfaces().Where(n => n.OperationalStatus == OperationalStatus.Up)
            .SelectMany(n => n.GetIPProperties().UnicastAddresses).Select(a => a.Address)
            .Where(a => a.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(a)),
    ];

    /// <summary>Opens it; where it is open already with the other kind of address, it is opened anew.</summary>
    public async Task Open(bool tls, int wanted = UsualPort)
    {
        await _turn.WaitAsync();
        try
        {
            if (On && Tls == tls)
                return;
            await Shut();
            _certificate = tls ? HomeCertificate.At(Path.ChangeExtension(Path.GetFullPath(store), ".crew.pfx"), Here(), clock.GetUtcNow()) : null;
            for (var port = wanted; ; port++)
            {
                var app = Build(port);
                try
                {
                    await app.StartAsync();
                    (_app, Port) = (app, new Uri(app.Urls.First().Replace("0.0.0.0", "localhost")).Port);
                    return;
                }
                catch (IOException) when (port > 0 && port < wanted + PortsTried)
                {
                    await app.DisposeAsync();
                }
            }
        }
        finally
        {
            _turn.Release();
        }
    }

    /// <summary>Shuts it: nobody but this machine is answered any more.</summary>
    public async Task Close()
    {
        await _turn.WaitAsync();
        try
        {
            await Shut();
        }
        finally
        {
            _turn.Release();
        }
    }

    private async Task Shut()
    {
        if (_app is { } app)
        {
            _app = null;
            using var soon = new CancellationTokenSource(TimeSpan.FromSeconds(2));
            await app.StopAsync(soon.Token);
            await app.DisposeAsync();
        }
        _certificate?.Dispose();
        _certificate = null;
    }

    private WebApplication Build(int port)
    {
        var builder = WebApplication.CreateSlimBuilder();
        builder.Configuration.Sources.Clear();
        builder.Logging.ClearProviders();
        builder.WebHost.UseKestrelHttpsConfiguration();
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Listen(IPAddress.Any, port, listen =>
            {
                if (_certificate is not null)
                    listen.UseHttps(_certificate);
            });
            k.Limits.MaxRequestBodySize = Server.WeatherLimit;
            k.AddServerHeader = false;
        });
        builder.Services.AddHttpForwarder();
        builder.Services.ConfigureHttpJsonOptions(o => o.SerializerOptions.Converters.Add(new System.Text.Json.Serialization.JsonStringEnumConverter(
            System.Text.Json.JsonNamingPolicy.CamelCase)));
        var app = builder.Build();
        var forwarder = app.Services.GetRequiredService<IHttpForwarder>();
        var inner = new HttpMessageInvoker(new SocketsHttpHandler { UseProxy = false, AllowAutoRedirect = false, UseCookies = false });
        app.Lifetime.ApplicationStopped.Register(inner.Dispose);
        app.Use(SameOrigin);
        app.MapPost("/api/crew/join", Join);
        app.MapGet("/api/crew/me", (HttpContext context) => Who(context) is { } device
            ? Results.Ok(CrewMe.Of(device.Role, device.Name)) : NotJoined());
        app.MapGet(ClockEndpoint.Path, (HttpContext context) => Who(context) is null ? NotJoined() : Results.Ok(ClockEndpoint.Now(clock)));
        app.MapPost(ClockEndpoint.Path, (IReadOnlyList<ClockSample?> samples, HttpContext context) =>
        {
            if (Who(context) is not { } device)
                return NotJoined();
            try
            {
                var skew = ClockSkew.Of(samples);
                book.Measured(device.Id, skew);
                return Results.Json(ClockEndpoint.View(skew), JobFile.Json);
            }
            catch (InputException e)
            {
                return Results.Problem(e.Message, statusCode: StatusCodes.Status400BadRequest, title: "Not measured.");
            }
        });
        app.MapGet("/vanto.cer", () => _certificate is { } own
            ? Results.File(own.Export(X509ContentType.Cert), "application/x-x509-ca-cert", "vanto.cer") : Results.NotFound());
        app.Map("/{**rest}", async context =>
        {
            if (Refused(context) is { } refused)
                await refused.ExecuteAsync(context);
            else
                await forwarder.SendAsync(context, server.Features.Get<IServerAddressesFeature>()!.Addresses.First(), inner,
                    new ForwarderRequestConfig { ActivityTimeout = Patience }, Inward.Way);
        });
        return app;
    }

    /// <summary>A page of another origin may do nothing here.</summary>
    private static Task SameOrigin(HttpContext context, RequestDelegate next)
    {
        var origin = context.Request.Headers.Origin.ToString();
        var foreign = origin.Length > 0 && !string.Equals(origin, $"{context.Request.Scheme}://{context.Request.Host}", StringComparison.OrdinalIgnoreCase)
            || context.Request.Headers["Sec-Fetch-Site"].ToString() is "cross-site" && context.Request.Path.StartsWithSegments("/api");
        return foreign ? Results.Problem("A page of another origin may not ask Vanto.", statusCode: StatusCodes.Status403Forbidden, title: "Refused.")
            .ExecuteAsync(context) : next(context);
    }

    private IResult Join(JoinRequest asked, HttpContext context)
    {
        var name = asked.Name.Trim();
        if (name.Length is 0 or > LongestName)
            return Results.Problem($"Your name has 1 to {LongestName} letters; this one has {name.Length}.", statusCode: StatusCodes.Status400BadRequest,
                title: "No name.");
        var (verdict, token) = book.Join(asked.Code.Trim(), name);
        if (token is null)
        {
            log.LogWarning("A device at {Address} tried a code: {Verdict}", context.Connection.RemoteIpAddress, verdict);
            return Results.Problem($"{char.ToUpperInvariant(Calls.Name(verdict)[0])}{Calls.Name(verdict)[1..]}.", statusCode: StatusCodes.Status403Forbidden,
                title: "Not let in.");
        }
        context.Response.Cookies.Append(Cookie, token, new CookieOptions
        {
            HttpOnly = true,
            SameSite = SameSiteMode.Strict,
            Secure = context.Request.IsHttps,
            MaxAge = TimeSpan.FromDays(CookieDays),
        });
        return Results.Ok(CrewMe.Of(book.Who(token)!.Role, name));
    }

    private CrewDevice? Who(HttpContext context) => book.Who(context.Request.Cookies[Cookie]);

    private static IResult NotJoined() => Results.Problem("This device has not joined the crew, or was away too long: ask for a code.",
        statusCode: StatusCodes.Status401Unauthorized, title: "Not joined.");

    /// <summary>Why a request goes no further; null where it does.</summary>
    private IResult? Refused(HttpContext context)
    {
        var path = context.Request.Path;
        if (!path.StartsWithSegments("/api"))
            return null;
        if (Who(context) is not { } device)
            return NotJoined();
        var right = CrewAddresses.Asks(context.Request.Method, path);
        if (CrewRights.May(device.Role, right) && device.Rig is { } only && !CrewAddresses.Of(only, path))
            return Results.Problem("This device was let in for another rig.", statusCode: StatusCodes.Status403Forbidden, title: "Not yours to see.");
        if (CrewRights.May(device.Role, right))
        {
            (context.Items[RoleHeader], context.Items[OnlyRig]) = (device.Role, device.Rig);
            return null;
        }
        log.LogWarning("{Name}, {Role}, may not {Right}: {Method} {Path}", device.Name, device.Role, right, context.Request.Method, path);
        return Results.Problem($"A {Calls.Name(device.Role)} may not {Calls.Name(right)}.", statusCode: StatusCodes.Status403Forbidden,
            title: "Not yours to do.");
    }

    /// <inheritdoc />
    public async ValueTask DisposeAsync()
    {
        await Close();
        _turn.Dispose();
    }

    /// <summary>On to the server: what only the gate needs to know is taken off.</summary>
    private sealed class Inward : HttpTransformer
    {
        public static readonly Inward Way = new();

        public override async ValueTask TransformRequestAsync(HttpContext context, HttpRequestMessage request, string destination, CancellationToken stop)
        {
            await base.TransformRequestAsync(context, request, destination, stop);
            request.Headers.Host = null;
            foreach (var header in new[] { "Cookie", "Origin", "Referer", "Sec-Fetch-Site", "Forwarded", "X-Forwarded-For", "X-Forwarded-Host", RoleHeader,
                CallerHeader })
                request.Headers.Remove(header);
            request.Headers.Add(CallerHeader, $"{context.Connection.RemoteIpAddress}");
            if (context.Items[RoleHeader] is CrewRole role)
                request.Headers.Add(RoleHeader, role.ToString());
            if (context.Items[OnlyRig] is Guid rig && context.Request.Path == "/api/rigs")
                request.RequestUri = new Uri($"{destination.TrimEnd('/')}/api/rigs?{OnlyRig}={rig}");
        }
    }
}
