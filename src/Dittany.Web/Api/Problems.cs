using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Diagnostics;

namespace Dittany.Web.Api;

/// <summary>Problem details (RFC 9457) with every fault and its pointer.</summary>
public static class Problems
{
    /// <summary>What could not be answered at the door, told without its insides.</summary>
    public static Task OnException(HttpContext context)
    {
        var error = context.Features.Get<IExceptionHandlerFeature>()?.Error;
        if (error is BusyException)
        {
            context.Response.Headers.RetryAfter = RetrySeconds;
        }

        return (error switch
        {
            UnplannedException { Ours: true } unplanned => Of(StatusCodes.Status422UnprocessableEntity, "No plan comes of this job.",
                [unplanned.Fault]),
            UnplannedException much => Of(StatusCodes.Status400BadRequest, "The job is more than one plan holds.", [much.Fault]),
            BusyException busy => Of(StatusCodes.Status503ServiceUnavailable, busy.Message, []),
            var full when Limits.DiskFull(full) => Of(StatusCodes.Status507InsufficientStorage, "The disk is full; nothing was stored.", []),
            BadHttpRequestException bad => Of(bad.StatusCode, "The request could not be taken as it was sent.", []),
            _ => Of(StatusCodes.Status500InternalServerError, "Something went wrong here; nothing was stored.", []),
        }).ExecuteAsync(context);
    }

    /// <summary>What is told to whoever asked and is no failure of the program: it does not go into the log as one.</summary>
    public static bool Foreseen(ExceptionHandlerSuppressDiagnosticsContext context) =>
        context.Exception is UnplannedException or BusyException or BadHttpRequestException or OperationCanceledException;

    /// <summary>After so many seconds it is worth asking again.</summary>
    public const string RetrySeconds = "2";

    /// <summary>The status of what went wrong, for pages and door alike.</summary>
    public static int StatusOf(Exception? error) => error switch
    {
        var full when Limits.DiskFull(full) => StatusCodes.Status507InsufficientStorage,
        BusyException => StatusCodes.Status503ServiceUnavailable,
        UnplannedException => StatusCodes.Status422UnprocessableEntity,
        BadHttpRequestException bad => bad.StatusCode,
        Microsoft.AspNetCore.Antiforgery.AntiforgeryValidationException => StatusCodes.Status400BadRequest,
        _ => StatusCodes.Status500InternalServerError,
    };

    /// <summary>Answers that have a status and nothing else: no such door, no such way to knock.</summary>
    public static Task OnStatus(StatusCodeContext context)
    {
        var status = context.HttpContext.Response.StatusCode;
        var title = status switch
        {
            StatusCodes.Status404NotFound => "There is no such door.",
            StatusCodes.Status405MethodNotAllowed => "This door is knocked at another way: see the README.",
            _ => "The request could not be taken.",
        };
        return Of(status, title, []).ExecuteAsync(context.HttpContext);
    }

    /// <summary>Problem details as the platform writes them, with every fault of what was sent.</summary>
    public static IResult Of(int status, string title, IReadOnlyList<ValidationError> faults) => Results.Problem(
        statusCode: status,
        title: title,
        type: "about:blank",
        extensions: [new("errors", faults.Select(f => new Dictionary<string,
            string>(StringComparer.Ordinal) { ["pointer"] = f.Pointer, ["detail"] = f.Detail, ["try"] = f.Try }).ToArray())]);
}
