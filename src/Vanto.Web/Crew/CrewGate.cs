using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography.X509Certificates;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Mvc;
using Vanto.Core.Crew;
using Vanto.Core.Exchange;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Instruments;
using Yarp.ReverseProxy.Forwarder;

namespace Vanto.Web.Crew;

/// <summary>Joins with a code.</summary>
public sealed record JoinRequest(string Code, string Name);

/// <summary>Who asks, and what they may.</summary>
/// <param name="Shared">They write under a name that they type; else under their own.</param>
public sealed record CrewMe(CrewRole Role, string Name, IReadOnlyList<CrewRight> May, bool Shared)
{
    public static CrewMe Of(CrewCaller caller) => new(caller.Role!.Value, caller.Name, CrewRights.Of(caller.Role.Value), caller.Shared);
}

/// <summary>What one address of the crew's network may cost before anybody looks who it is. The product's own choice: a page with all it loads stays far
/// below.</summary>
/// <param name="Connections">At once.</param>
/// <param name="PerS">Requests a second, over a while.</param>
/// <param name="AtOnce">Requests at once.</param>
/// <param name="Codes">Codes tried in a minute.</param>
public sealed record GateLimits(int Connections = 48, int PerS = 100, int AtOnce = 600, int Codes = 10);

/// <summary>
/// The one door to the crew's network, shut until the owner opens it. It stands before the server, which goes on answering this machine only:
/// what comes through is known by its device, may do what its role may, and is passed on.
/// </summary>
public sealed class CrewGate(CrewBook book, IServer server, EndpointDataSource routes, TimeProvider clock, ILogger<CrewGate> log, string store)
    : IAsyncDisposable
{
    public const int UsualPort = 5443;

    /// <summary>Says to the server from which address of the crew's network a request came; only the gate writes it.</summary>
    public const string CallerHeader = "Vanto-Crew-Caller";

    private const string Cookie = "vanto-crew";
    private const int PortsTried = 20;
    private const int LongestName = 60;
    private const int CookieDays = 30;
    private const string JoinPath = "/api/crew/join", MePath = "/api/crew/me", JoinLimit = "join";
    private const long LargestJoin = 4 << 10;

    private const int MostConnectionsOfAll = 256;

    private static readonly TimeSpan HeadersWithin = TimeSpan.FromSeconds(10);

    private static readonly TimeSpan Patience = TimeSpan.FromMinutes(5);

    private readonly SemaphoreSlim _turn = new(1);
    private WebApplication? _app;

    /// <summary>What one address may cost; of the door as it is opened next.</summary>
    public GateLimits Limits { get; set; } = new();
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
        var (limits, connections) = (Limits, new ConnectionsFrom(Limits.Connections));
        var builder = WebApplication.CreateSlimBuilder();
        builder.Configuration.Sources.Clear();
        builder.Logging.ClearProviders();
        builder.WebHost.UseKestrelHttpsConfiguration();
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Listen(IPAddress.Any, port, listen =>
            {
                listen.Use(next => connection => connections.Held((connection.RemoteEndPoint as IPEndPoint)?.Address, () => next(connection)));
                if (_certificate is not null)
                    listen.UseHttps(_certificate);
            });
            k.Limits.MaxRequestBodySize = Server.WeatherLimit;
            k.Limits.MaxConcurrentConnections = MostConnectionsOfAll;
            k.Limits.RequestHeadersTimeout = HeadersWithin;
            k.AddServerHeader = false;
        });
        builder.Services.AddHttpForwarder();
        builder.Services.AddExceptionHandler<InputProblems>();
        builder.Services.AddProblemDetails();
        builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        builder.Services.AddRateLimiter(o =>
        {
            o.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            o.GlobalLimiter = PartitionedRateLimiter.Create<HttpContext, string>(http => RateLimitPartition.GetTokenBucketLimiter(From(http),
                _ => new TokenBucketRateLimiterOptions
                {
                    TokenLimit = limits.AtOnce,
                    TokensPerPeriod = limits.PerS,
                    ReplenishmentPeriod = TimeSpan.FromSeconds(1),
                }));
            o.AddPolicy(JoinLimit, http => RateLimitPartition.GetFixedWindowLimiter(From(http),
                _ => new FixedWindowRateLimiterOptions { PermitLimit = limits.Codes, Window = TimeSpan.FromMinutes(1) }));
        });
        builder.Services.ConfigureHttpJsonOptions(o =>
        {
            o.SerializerOptions.Converters.Add(new System.Text.Json.Serialization.JsonStringEnumConverter(System.Text.Json.JsonNamingPolicy.CamelCase));
            o.SerializerOptions.RespectNullableAnnotations = true;
            o.SerializerOptions.RespectRequiredConstructorParameters = true;
        });
        var app = builder.Build();
        var inner = new HttpMessageInvoker(new SocketsHttpHandler { UseProxy = false, AllowAutoRedirect = false, UseCookies = false });
        app.Lifetime.ApplicationStopped.Register(inner.Dispose);
        app.UseExceptionHandler();
        app.Use(SameOrigin);
        app.Use(RouteRights.OneSlash);
        app.UseRouting();
        app.UseRateLimiter();
        app.Use(MustHaveJoined);
        app.Use(LargeBodies.Guard);
        Map(app, new Onward(app.Services.GetRequiredService<IHttpForwarder>(), inner, server.Features.Get<IServerAddressesFeature>()!.Addresses.First()));
        return app;
    }

    /// <summary>What the door answers by itself, and the routes of the server with the rights that they state.</summary>
    private void Map(WebApplication app, Onward onward)
    {
        app.MapPost(JoinPath, Join).RequireRateLimiting(JoinLimit).WithMetadata(new RequestSizeLimitAttribute(LargestJoin));
        app.MapGet(MePath, (HttpContext context) => Results.Ok(CrewMe.Of(CrewCaller.Of(Who(context)!))));
        app.MapGet(ClockEndpoint.Path, () => Results.Ok(ClockEndpoint.Now(clock)));
        app.MapPost(ClockEndpoint.Path, Measured).WithMetadata(new RequestSizeLimitAttribute(LargestJoin));
        app.MapGet("/vanto.cer", () => _certificate is { } own
            ? Results.File(own.Export(X509ContentType.Cert), "application/x-x509-ca-cert", "vanto.cer") : Results.NotFound());
        string[] own = [JoinPath, MePath, ClockEndpoint.Path];
        foreach (var route in routes.OfApi().Where(r => !own.Contains($"/{r.RoutePattern.RawText?.Trim('/')}", StringComparer.OrdinalIgnoreCase)))
        {
            var mapped = app.MapMethods(route.RoutePattern.RawText!, RouteRights.Methods(route), context => Asked(context, route, onward));
            if (route.Metadata.GetMetadata<IRequestSizeLimitMetadata>() is { } limit)
                mapped.WithMetadata(limit);
        }
        app.Map(RouteRights.Api + "/{**rest}", context => Results.Problem("There is no such thing here.", statusCode: StatusCodes.Status404NotFound,
            title: "Not found.").ExecuteAsync(context));
        // Pages, and the guide behind a label: they are everybody's.
        app.Map("/{**rest}", context => onward.Send(context, CrewCaller.Stranger));
    }

    /// <summary>A page of another origin may do nothing here.</summary>
    private static Task SameOrigin(HttpContext context, RequestDelegate next)
    {
        var origin = context.Request.Headers.Origin.ToString();
        var foreign = origin.Length > 0 && !string.Equals(origin, $"{context.Request.Scheme}://{context.Request.Host}", StringComparison.OrdinalIgnoreCase)
            || context.Request.Headers["Sec-Fetch-Site"].ToString() is "cross-site" && context.Request.Path.StartsWithSegments(RouteRights.Api);
        return foreign ? Results.Problem("A page of another origin may not ask Vanto.", statusCode: StatusCodes.Status403Forbidden, title: "Refused.")
            .ExecuteAsync(context) : next(context);
    }

    private static string From(HttpContext context) => $"{context.Connection.RemoteIpAddress}";

    private IResult Join(JoinRequest asked, HttpContext context)
    {
        var name = asked.Name.Trim();
        if (name.Length is 0 or > LongestName)
            return Results.Problem($"Your name has 1 to {LongestName} letters; this one has {name.Length}.", statusCode: StatusCodes.Status400BadRequest,
                title: "No name.");
        var (verdict, token) = book.Join(asked.Code.Trim(), name, From(context), context.Request.Cookies[Cookie]);
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
        return Results.Ok(CrewMe.Of(CrewCaller.Of(book.Who(token)!)));
    }

    private IResult Measured(IReadOnlyList<ClockSample?> samples, HttpContext context)
    {
        var skew = ClockSkew.Of(samples);
        book.Measured(Who(context)!.Id, skew);
        return Results.Json(ClockEndpoint.View(skew), JobFile.Json);
    }

    /// <summary>Nothing of the API is read, or even looked for, for who has not joined; but they may.</summary>
    private Task MustHaveJoined(HttpContext context, RequestDelegate next)
    {
        context.Items[typeof(CrewDevice)] = book.Who(context.Request.Cookies[Cookie]);
        return Who(context) is null && context.Request.Path.StartsWithSegments(RouteRights.Api)
            && (context.GetEndpoint() as RouteEndpoint)?.RoutePattern.RawText != JoinPath
            ? Results.Problem("This device has not joined the crew, or was away too long: ask for a code.", statusCode: StatusCodes.Status401Unauthorized,
                title: "Not joined.").ExecuteAsync(context)
            : next(context);
    }

    private static CrewDevice? Who(HttpContext context) => (CrewDevice?)context.Items[typeof(CrewDevice)];

    /// <summary>A request for a route of the server: on, or why not.</summary>
    private Task Asked(HttpContext context, RouteEndpoint route, Onward onward)
    {
        var device = Who(context)!;
        var (caller, needs) = (CrewCaller.Of(device), route.Metadata.GetMetadata<RouteRight>()!);
        if (RouteRights.Refused(caller, needs, context.Request.RouteValues) is not { } refused)
            return onward.Send(context, caller);
        log.LogWarning("{Name}, {Role}, may not {Right}: {Method} {Path}", device.Name, device.Role, needs.Right, context.Request.Method,
            context.Request.Path);
        return refused.ExecuteAsync(context);
    }

    /// <inheritdoc />
    public async ValueTask DisposeAsync()
    {
        await Close();
        _turn.Dispose();
    }

    /// <summary>The way on to the server.</summary>
    private sealed class Onward(IHttpForwarder forwarder, HttpMessageInvoker inner, string address)
    {
        public async Task Send(HttpContext context, CrewCaller caller) =>
            await forwarder.SendAsync(context, address, inner, new ForwarderRequestConfig { ActivityTimeout = Patience }, new Inward(caller));
    }

    /// <summary>What the server is told by the gate alone is taken off what comes from outside, and told anew.</summary>
    private sealed class Inward(CrewCaller caller) : HttpTransformer
    {
        private static readonly string[] TakenOff =
            ["Cookie", "Origin", "Referer", "Sec-Fetch-Site", "Forwarded", "X-Forwarded-For", "X-Forwarded-Host", CrewCaller.Header, CallerHeader];

        public override async ValueTask TransformRequestAsync(HttpContext context, HttpRequestMessage request, string destination, CancellationToken stop)
        {
            await base.TransformRequestAsync(context, request, destination, stop);
            request.Headers.Host = null;
            foreach (var header in TakenOff)
                request.Headers.Remove(header);
            request.Headers.Add(CallerHeader, From(context));
            request.Headers.Add(CrewCaller.Header, caller.Written);
        }
    }
}
