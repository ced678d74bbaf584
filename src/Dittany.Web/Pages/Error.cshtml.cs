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

    private void Tell(int? code)
    {
        if (code == StatusCodes.Status404NotFound)
        {
            (Heading, Told) = ("There is nothing here.", "The page or piece does not exist, or its address is not quite right.");
        }
        else if (code == StatusCodes.Status400BadRequest)
        {
            (Heading, Told) = ("This form could not be taken.", "It may have been open for very long. Go back, load the page again and repeat it; nothing was changed.");
        }
    }
}
