using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Vanto.Core.Findings;

namespace Vanto.Web;

/// <summary>Turns refused input into problem documents that name field, value and range.</summary>
public sealed class InputProblems : IExceptionHandler
{
    /// <summary>
    /// Sent by the interface with each keystroke: half a number is refused like any bad value, but a browser must not log it as a fault,
    /// so the problem document (with its own status 400) comes with 200.
    /// </summary>
    public const string TypingHeader = "Vanto-Typing";

    /// <inheritdoc />
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception switch
        {
            InputException input => Of(input.Errors),
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => new ProblemDetails { Title = "That is too large.", Status = 413, Detail = "The limit is 4 MB." },
            BadHttpRequestException bad => new ProblemDetails { Title = "The request cannot be read.", Status = 400, Detail = bad.InnerException?.Message ?? bad.Message },
            _ => null,
        };
        if (problem is null)
            return false;
        context.Response.StatusCode = context.Request.Headers.ContainsKey(TypingHeader) ? StatusCodes.Status200OK : problem.Status!.Value;
        await context.Response.WriteAsJsonAsync(problem, options: null, contentType: "application/problem+json", cancellationToken);
        return true;
    }

    /// <summary>The problem document of some errors.</summary>
    public static ProblemDetails Of(IReadOnlyList<InputError> errors) => new()
    {
        Title = errors[0].Reason,
        Status = StatusCodes.Status400BadRequest,
        Detail = string.Join("; ", errors.Select(e => e.Reason)),
        Extensions = { ["errors"] = errors },
    };
}
