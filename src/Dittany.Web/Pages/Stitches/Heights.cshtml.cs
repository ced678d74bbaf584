using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Store;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Stitches;

/// <summary>All stitches beside each other at the same heights, so that one looks instead of guessing.</summary>
public sealed class HeightsModel(WorkshopStore workshops) : PageModel
{
    public IReadOnlyList<(string Name, IReadOnlyList<HeightsView> Stitches)> Shelves { get; private set; } = [];

    public string Heights { get; private set; } = string.Empty;

    public async Task OnGet(CancellationToken cancel)
    {
        var units = (await workshops.Current(cancel)).Units;
        Heights = Say.List(StitchSamples.HeightsMm.Select(h => Tape.Length(h, units)).ToArray());
        Shelves = new[] { ("Lines", Makes.Line), ("Areas", Makes.Area) }.Select(s => (s.Item1, (IReadOnlyList<HeightsView>)Book.All
            .Where(x => Finding.What(x) == s.Item2).Select(x => new HeightsView(x, StitchSamples.Of(x), units)).ToArray())).ToArray();
    }
}
