using System.Text;
using System.Text.Json.Nodes;
using Dittany.Core.Planning;

namespace Dittany.Web.Api;

/// <summary>Problem details (RFC 9457) with every fault and its pointer.</summary>
public static class Problems
{
    /// <summary>An unforeseen failure at the door, told without its insides.</summary>
    public static void OnException(IApplicationBuilder app) => app.Run(context =>
        Of(StatusCodes.Status500InternalServerError, "Something went wrong here; nothing was stored.", []).ExecuteAsync(context));

    /// <summary>Answers that have a status and nothing else: no such door, no such way to knock.</summary>
    public static Task OnStatus(Microsoft.AspNetCore.Diagnostics.StatusCodeContext context)
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
