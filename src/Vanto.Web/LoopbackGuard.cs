using System.Net;

namespace Vanto.Web;

/// <summary>
/// Answers this machine only: the connection must be loopback, the host a loopback name, and a page of another origin may change nothing.
/// Sets the content-security policy.
/// </summary>
public sealed class LoopbackGuard(RequestDelegate next)
{
    private const string Policy = "default-src 'none'; script-src 'self'; style-src 'self'; style-src-attr 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    /// <summary>Checks, then passes on.</summary>
    public async Task InvokeAsync(HttpContext context)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        var remote = context.Connection.RemoteIpAddress;
        if (remote is not null && !IPAddress.IsLoopback(remote))
        {
            await Refuse(context, "Vanto answers this machine only.");
            return;
        }
        if (context.Request.Host.Host is not ("127.0.0.1" or "localhost" or "[::1]"))
        {
            await Refuse(context, $"The host \"{context.Request.Host.Host}\" is not this machine.");
            return;
        }
        var origin = context.Request.Headers.Origin.ToString();
        if (origin.Length > 0 && !string.Equals(origin, $"{context.Request.Scheme}://{context.Request.Host}", StringComparison.OrdinalIgnoreCase))
        {
            await Refuse(context, "A page of another origin may not ask Vanto.");
            return;
        }
        await next(context);
    }

    private static Task Refuse(HttpContext context, string reason) =>
        Results.Problem(reason, statusCode: StatusCodes.Status403Forbidden, title: "Refused.").ExecuteAsync(context);
}
