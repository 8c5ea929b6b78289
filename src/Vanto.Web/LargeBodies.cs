using Microsoft.AspNetCore.Http.Features;

namespace Vanto.Web;

/// <summary>
/// Refuses a body that is too large by what it states of its length, and hears it to its end first: who is cut off while sending never reads why.
/// </summary>
public static class LargeBodies
{
    /// <summary>More than this is cut off all the same, bytes.</summary>
    private const long HeardOut = 64 << 20;

    /// <summary>Stands behind the routing, which knows what each address takes.</summary>
    public static async Task Guard(HttpContext context, RequestDelegate next)
    {
        if (context.Request.ContentLength is not { } length || context.GetEndpoint() is null || length <= Server.LimitOf(context))
        {
            await next(context);
            return;
        }
        if (length <= HeardOut && context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } feature)
        {
            feature.MaxRequestBodySize = HeardOut;
            await context.Request.Body.CopyToAsync(Stream.Null, context.RequestAborted);
        }
        await Results.Problem(InputProblems.TooLarge(context)).ExecuteAsync(context);
    }
}
