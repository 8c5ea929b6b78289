using Vanto.Core.Crew;

namespace Vanto.Web.Crew;

/// <summary>How far an address reaches, for a device that may see one rig.</summary>
public enum Reach
{
    /// <summary>The rig that it names.</summary>
    Rig,

    /// <summary>No rig, or those alone that who asks may see.</summary>
    Common,

    /// <summary>All rigs, or what belongs to the shop: nothing for a device that may see one rig.</summary>
    Yard,
}

/// <summary>What an address asks of who calls it; every one of the API states it.</summary>
public sealed record RouteRight(CrewRight Right, Reach Reach);

/// <summary>Rights as the routes state them. The server enforces them; the gate holds the same ones before it.</summary>
public static class RouteRights
{
    private const string RigId = "id";

    /// <summary>Where the API begins.</summary>
    public const string Api = "/api";

    /// <summary>States the right that a route needs.</summary>
    public static T Needs<T>(this T route, CrewRight right, Reach reach = Reach.Rig) where T : IEndpointConventionBuilder =>
        route.WithMetadata(new RouteRight(right, reach));

    /// <summary>True for a route of the API.</summary>
    public static bool OfApi(this RouteEndpoint route) =>
        $"/{route.RoutePattern.RawText?.TrimStart('/')}/".StartsWith($"{Api}/", StringComparison.OrdinalIgnoreCase);

    /// <summary>Routes of the API.</summary>
    public static IEnumerable<RouteEndpoint> OfApi(this EndpointDataSource source) => source.Endpoints.OfType<RouteEndpoint>().Where(OfApi);

    /// <summary>What is wrong with how routes state their rights.</summary>
    public static IReadOnlyList<string> Faults(IEnumerable<RouteEndpoint> routes) =>
    [
        .. from route in routes
           let right = route.Metadata.GetMetadata<RouteRight>()
           let fault = right is null ? "states no right"
               : right.Reach == Reach.Rig && route.RoutePattern.Parameters.All(p => p.Name != RigId) ? "names no rig, and says neither Common nor Yard" : ""
           where fault.Length > 0
           select $"{string.Join(' ', Methods(route))} {route.RoutePattern.RawText} {fault}",
    ];

    /// <summary>Methods that a route takes.</summary>
    public static IReadOnlyList<string> Methods(RouteEndpoint route) => route.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods ?? [];

    /// <summary>Why somebody gets no further on a route; null where they do.</summary>
    public static IResult? Refused(CrewCaller caller, RouteRight needs, RouteValueDictionary values)
    {
        if (!caller.May(needs.Right))
            return Results.Problem(CrewCaller.Words(caller.Role, needs.Right), statusCode: StatusCodes.Status403Forbidden, title: "Not yours to do.");
        return caller.Rig is null || needs.Reach == Reach.Common
            || needs.Reach == Reach.Rig && Guid.TryParse(values[RigId]?.ToString(), out var rig) && caller.Sees(rig) ? null
            : Results.Problem("This device was let in for another rig.", statusCode: StatusCodes.Status403Forbidden, title: "Not yours to see.");
    }

    /// <summary>Writes runs of slashes as one, so that an address is judged and found as it is plainly spelled.</summary>
    public static Task OneSlash(HttpContext context, RequestDelegate next)
    {
        var path = context.Request.Path.Value ?? "";
        if (path.Contains("//", StringComparison.Ordinal))
            context.Request.Path = "/" + string.Join('/', path.Split('/', StringSplitOptions.RemoveEmptyEntries)) + (path.EndsWith('/') ? "/" : "");
        return next(context);
    }

    /// <summary>Lets a request through that may do what its route does; stands behind the routing.</summary>
    public static Task Guard(HttpContext context, RequestDelegate next)
    {
        if (CrewCaller.Read(context) is not { } caller)
            return Results.Problem("Who asks is not known here.", statusCode: StatusCodes.Status403Forbidden, title: "Refused.").ExecuteAsync(context);
        context.Items[typeof(CrewCaller)] = caller;
        if (context.GetEndpoint() is not RouteEndpoint route || !route.OfApi())
            return next(context);
        var refused = route.Metadata.GetMetadata<RouteRight>() is { } needs ? Refused(caller, needs, context.Request.RouteValues)
            : Results.Problem("This address states no right.", statusCode: StatusCodes.Status500InternalServerError, title: "Refused.");
        return refused?.ExecuteAsync(context) ?? next(context);
    }
}

/// <summary>A server with a route that states no right does not start.</summary>
public sealed class RightsStated(IServiceProvider services) : IHostedLifecycleService
{
    public Task StartingAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    public Task StartAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc />
    /// <exception cref="InvalidOperationException">A route states no right.</exception>
    public Task StartedAsync(CancellationToken cancellationToken) =>
        RouteRights.Faults(services.GetRequiredService<EndpointDataSource>().OfApi()) is [var fault, ..]
            ? throw new InvalidOperationException($"Every route states the right that it needs: {fault}.") : Task.CompletedTask;

    public Task StoppingAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    public Task StopAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    public Task StoppedAsync(CancellationToken cancellationToken) => Task.CompletedTask;
}
