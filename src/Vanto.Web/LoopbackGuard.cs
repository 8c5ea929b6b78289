using System.Net;

namespace Vanto.Web;

/// <summary>
/// Answers this machine only: the connection must be loopback, the host a loopback name, and a page of another origin may change nothing.
/// Sets the content-security policy.
/// </summary>
public sealed class LoopbackGuard(RequestDelegate next)
{
    private const string Policy = "default-src 'none'; script-src 'self'; style-src 'self'; style-src-attr 'unsafe-inline'; img-src 'self' data:; font-src "
        + "'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    /// <summary>Checks, then passes on.</summary>
    public async Task InvokeAsync(HttpContext context)
    {
        // Set last, so that an answer made anew after a fault has them too.
        context.Response.OnStarting(static response =>
        {
            var headers = ((HttpResponse)response).Headers;
            if (headers.ContentSecurityPolicy.Count == 0)
                headers.ContentSecurityPolicy = Policy;
            headers.XContentTypeOptions = "nosniff";
            if (!headers.ContainsKey("Referrer-Policy"))
                headers["Referrer-Policy"] = "no-referrer";
            headers["Cross-Origin-Opener-Policy"] = "same-origin";
            headers["Cross-Origin-Resource-Policy"] = "same-origin";
            return Task.CompletedTask;
        }, context.Response);
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
        // A browser says where a request comes from even where it sends no origin; following a link to a page is no harm.
        var site = context.Request.Headers["Sec-Fetch-Site"].ToString();
        if (site is "cross-site" or "same-site" && (context.Request.Path.StartsWithSegments("/api") || !HttpMethods.IsGet(context.Request.Method)))
        {
            await Refuse(context, "A page of another origin may not ask Vanto.");
            return;
        }
        await next(context);
    }

    private static Task Refuse(HttpContext context, string reason) =>
        Results.Problem(reason, statusCode: StatusCodes.Status403Forbidden, title: "Refused.").ExecuteAsync(context);
}
