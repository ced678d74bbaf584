using Dittany.Core.Planning;
using Dittany.Store;
using Dittany.Web.Api;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages;

/// <summary>What is shown when an answer cannot be given.</summary>
[IgnoreAntiforgeryToken]
[ResponseCache(NoStore = true)]
public sealed class ErrorModel : PageModel
{
    public string Heading { get; private set; } = "Something went wrong here.";

    public string Told { get; private set; } = "What was saved is safe. Go back and try it once more.";

    public void OnGet(int? code) => Tell(code);

    public void OnPost(int? code) => Tell(code);

    /// <summary>Where the request was going before it came here.</summary>
    private Endpoint? Before => HttpContext.Features.Get<IExceptionHandlerPathFeature>()?.Endpoint
        ?? HttpContext.Features.Get<IStatusCodeReExecuteFeature>()?.Endpoint;

    private void Tell(int? code)
    {
        var error = HttpContext.Features.Get<IExceptionHandlerPathFeature>()?.Error;
        if (error is not null)
        {
            Response.StatusCode = Problems.StatusOf(error);
            code = Response.StatusCode;
        }

        if (Limits.DiskFull(error))
        {
            (Heading, Told) = ("The disk is full.", "Nothing was changed. Make room on the disk where Dittany keeps its data, then do it once more.");
            return;
        }

        switch (error)
        {
            case BusyException:
                Response.Headers.RetryAfter = Problems.RetrySeconds;
                (Heading, Told) = ("A moment, please.",
                    "So much is being planned at once that this had to wait too long. Nothing was changed: go back and try it once more.");
                return;
            case UnplannedException much:
                (Heading, Told) = (much.Ours ? "No plan comes of this." : "This is more than one plan holds.", $"{much.Fault.Detail} {much.Fault.Try} Nothing was changed.");
                return;
        }

        (Heading, Told) = code switch
        {
            StatusCodes.Status404NotFound => ("There is nothing here.",
                "The page or piece does not exist, or its address is not quite right."),
            StatusCodes.Status400BadRequest => ("This form could not be taken.",
                "It may have been open for very long. Go back, load the page again and repeat it; nothing was changed."),
            StatusCodes.Status405MethodNotAllowed => ("It is not asked like this.",
                "Go back and use the page’s own buttons; nothing was changed."),
            StatusCodes.Status413PayloadTooLarge => ("That is too large to be taken.",
                $"{Limits.Told("What was sent", HttpContext.Request.ContentLength, Limits.MostAt(Before))} Nothing was changed."),
            _ => (Heading, Told),
        };
    }
}
