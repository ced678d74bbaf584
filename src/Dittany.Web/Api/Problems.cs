using System.Text;
using System.Text.Json.Nodes;
using Dittany.Core.Planning;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Diagnostics;

namespace Dittany.Web.Api;

/// <summary>Problem details (RFC 9457) with every fault and its pointer.</summary>
public static class Problems
{
    /// <summary>What could not be answered at the door, told without its insides.</summary>
    public static void OnException(IApplicationBuilder app) => app.Run(context =>
    {
        if (context.Features.Get<IExceptionHandlerFeature>()?.Error is BusyException)
        {
            context.Response.Headers.RetryAfter = RetrySeconds;
        }

        return (context.Features.Get<IExceptionHandlerFeature>()?.Error switch
        {
            TooMuchException much => Of(StatusCodes.Status400BadRequest, "The job is more than one plan holds.", [much.Fault]),
            BusyException busy => Of(StatusCodes.Status503ServiceUnavailable, busy.Message, []),
            BadHttpRequestException bad => Of(bad.StatusCode, "The request could not be taken as it was sent.", []),
            _ => Of(StatusCodes.Status500InternalServerError, "Something went wrong here; nothing was stored.", []),
        }).ExecuteAsync(context);
    });

    /// <summary>After so many seconds it is worth asking again.</summary>
    public const string RetrySeconds = "2";

    /// <summary>The status of what went wrong, for pages and door alike.</summary>
    public static int StatusOf(Exception? error) => error switch
    {
        BusyException => StatusCodes.Status503ServiceUnavailable,
        TooMuchException => StatusCodes.Status422UnprocessableEntity,
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

    public static IResult Of(int status, string title, IReadOnlyList<JobFault> faults)
    {
        var problem = new JsonObject
        {
            ["type"] = "about:blank",
            ["title"] = title,
            ["status"] = status,
            ["errors"] = new JsonArray(faults.Select(f => (JsonNode)new JsonObject { ["pointer"] = f.Pointer, ["detail"] = f.Detail, ["try"] = f.Try }).ToArray()),
        };
        return Results.Text(problem.ToJsonString(), "application/problem+json", Encoding.UTF8, status);
    }
}
