using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Exchange;
using Vanto.Web.Rigs;

namespace Vanto.Web;

/// <summary>Turns whatever ends a request into a problem document: refused input names field, value and range in the reader's units.</summary>
public sealed partial class InputProblems(ILogger<InputProblems> log) : IExceptionHandler
{
    /// <summary>
    /// Sent by the interface with each keystroke: half a number is refused like any bad value, but a browser must not log it as a fault,
    /// so the problem document (with its own status 400) comes with 200.
    /// </summary>
    public const string TypingHeader = "Vanto-Typing";

    private const int ClientLeft = 499;

    /// <summary>Remembers in which units the person reads, for what may be refused later in the request.</summary>
    public static void ReadsIn(HttpContext http, UnitSystem units) => http.Items[typeof(UnitSystem)] = units;

    /// <inheritdoc />
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancellationToken)
    {
        if (context.RequestAborted.IsCancellationRequested)
        {
            context.Response.StatusCode = ClientLeft;
            return true;
        }
        var units = context.Items[typeof(UnitSystem)] as UnitSystem? ?? UnitSystem.Metric;
        var cause = exception is AggregateException several ? several.Flatten().InnerExceptions[0] : exception;
        var problem = cause switch
        {
            InputException input => Of(input.Errors, units),
            RigUnreadableException unreadable => new ProblemDetails
            {
                Title = "This rig cannot be read.",
                Status = 422,
                Detail = $"{unreadable.Message} It can be saved as it lies or removed in the yard."
            },
            NotYoursException not => new ProblemDetails { Title = "Not yours to do.", Status = 403, Detail = not.Message },
            PartlyTakenException partly => Partly(partly, units),
            BusyException busy => new ProblemDetails { Title = "Too much at once.", Status = 503, Detail = busy.Message },
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } =>
                TooLarge(context),
            BadHttpRequestException bad => Unread(bad),
            IOException { InnerException: OverflowException } =>
                new ProblemDetails { Title = "The request cannot be read.", Status = 400, Detail = "The length that its body states is no length." },
            DbUpdateException { InnerException: SqliteException sqlite } => OfStore(sqlite),
            SqliteException sqlite => OfStore(sqlite),
            _ => Own(cause),
        };
        context.Response.StatusCode =
            problem.Status < 500 && context.Request.Headers.ContainsKey(TypingHeader) ? StatusCodes.Status200OK : problem.Status!.Value;
        await context.Response.WriteAsJsonAsync(problem, options: null, contentType: "application/problem+json", cancellationToken);
        return true;
    }

    /// <summary>The problem document of some errors.</summary>
    public static ProblemDetails Of(IReadOnlyList<InputError> errors, UnitSystem units = UnitSystem.Metric)
    {
        List<InputError> said = [.. errors.Select(e => e.InUnits(units))];
        return new ProblemDetails
        {
            Title = said[0].Reason,
            Status = StatusCodes.Status400BadRequest,
            Detail = string.Join("; ", said.Select(e => e.Reason)),
            Extensions = { ["errors"] = said },
        };
    }

    private ProblemDetails Partly(PartlyTakenException partly, UnitSystem units)
    {
        var why = partly.InnerException switch
        {
            InputException input => Of(input.Errors, units),
            DbUpdateException { InnerException: SqliteException sqlite } => OfStore(sqlite),
            SqliteException sqlite => OfStore(sqlite),
            var other => Own(other!),
        };
        why.Detail = $"{why.Title} {partly.Words}";
        return why;
    }

    /// <summary>A body is larger than its address takes.</summary>
    public static ProblemDetails TooLarge(HttpContext context) => new()
    {
        Title = "That is too large.",
        Status = StatusCodes.Status413PayloadTooLarge,
        Detail = Server.LimitOf(context) is var most && most >= 1 << 20 ? $"The limit is {most >> 20} MB." : $"The limit is {most >> 10} kB.",
    };

    /// <summary>A body that is no JSON, or JSON of another shape: the place and what is wrong there.</summary>
    private static ProblemDetails Unread(BadHttpRequestException bad)
    {
        if (bad.InnerException is JsonException json)
            return Of([JobFile.Fault(json)]);
        if (bad.Message.Contains("no body was provided", StringComparison.Ordinal))
            return new ProblemDetails
            {
                Title = "A body in JSON is needed.",
                Status = bad.StatusCode,
                Detail = "This address takes its request as a JSON object in the body."
            };
        return bad.StatusCode == StatusCodes.Status415UnsupportedMediaType
            ? new ProblemDetails
            {
                Title = "This is taken as application/json only.",
                Status = bad.StatusCode,
                Detail = "Send the header content-type: application/json."
            }
            : new ProblemDetails { Title = "The request cannot be read.", Status = bad.StatusCode, Detail = Named().Replace(bad.Message, "\"$1\"") };
    }

    /// <summary>Framework messages name the parameter with its type; the name is enough.</summary>
    [GeneratedRegex(@"""[\w.?<>]+ (\w+)""")]
    private static partial Regex Named();

    private ProblemDetails OfStore(SqliteException e)
    {
        log.LogError(e, "The store refused");
        return new ProblemDetails
        {
            Title = StoreFile.Words(e),
            Status = e.SqliteErrorCode == 13 ? StatusCodes.Status507InsufficientStorage : StatusCodes.Status503ServiceUnavailable,
            Detail = $"{StoreFile.Words(e)} Nothing was changed; what was saved before is kept."
        };
    }

    private ProblemDetails Own(Exception exception)
    {
        var id = Guid.NewGuid().ToString("N")[..8];
        log.LogError(exception, "{Fault}: a request could not be answered", id);
        return new ProblemDetails
        {
            Title = "This could not be answered.",
            Status = StatusCodes.Status500InternalServerError,
            Detail = $"The fault is Vanto's own; its log names it {id}. Nothing was changed."
        };
    }
}
