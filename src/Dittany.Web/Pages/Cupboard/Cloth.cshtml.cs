using Dittany.Core.Materials;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>“Which cloth is it?”: a few questions a hand can answer, each settling facts, and the cloths that are left.</summary>
public sealed class ClothModel : PageModel
{
    [BindProperty(SupportsGet = true)]
    public Dictionary<string, string> A { get; set; } = [];

    public IReadOnlyList<Guess> Guesses => WhatIsIt.Guess(A);

    public void OnGet()
    {
    }
}
