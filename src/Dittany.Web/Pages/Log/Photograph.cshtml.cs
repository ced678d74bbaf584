using Dittany.Core.Learning;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Log;

/// <summary>
/// Finished stitches measured in a photograph that was straightened by the card beside them: a kind report, or why nothing can be told.
/// </summary>
public sealed class PhotographModel(PieceStore pieces, WorkshopStore workshops, CupboardStore cupboard, LogStore log, PictureDesk pictures,
    PlanService desk) : PageModel
{
    /// <summary>The photograph that is measured.</summary>
    [BindProperty(SupportsGet = true)]
    public int? Photo { get; set; }

    public Piece Piece { get; private set; } = null!;

    public Plan Plan { get; private set; } = null!;

    public IReadOnlyList<PhotographRow> Photographs { get; private set; } = [];

    public IReadOnlyList<string> Report { get; private set; } = [];

    public string? Cannot { get; private set; }

    public string? View { get; private set; }

    /// <summary>Whether what was measured is in the log already; null where nothing can be learnt from it.</summary>
    public bool? Kept { get; private set; }

    private Logged? _seen;

    /// <summary>Keeps what was measured: the picture goes into the book, and how long her stitches come out is learnt.</summary>
    public async Task<IActionResult> OnPostKeep(int id, CancellationToken cancel)
    {
        if (await OnGet(id, cancel) is not PageResult)
        {
            return NotFound();
        }

        if (View is { } view && Report.Count > 0)
        {
            await log.AddPicture(id, view, Report[0], cancel);
        }

        if (_seen is { } seen)
        {
            await log.Add(seen, $"{seen.Step}-of-{id}", cancel: cancel);
            await log.Learn(workshops, cancel);
        }

        return Redirect($"/log/{id}");
    }

    public async Task<IActionResult> OnGet(int id, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var workshop = await workshops.Current(cancel);
        (Piece, Plan) = (piece, (await desk.Plan(piece, workshop, cancel)).Plan);
        Photographs = await cupboard.Straightened(cancel);
        if (Photo is not { } number)
        {
            return Page();
        }

        if (Photographs.FirstOrDefault(p => p.Id == number) is not { } row || await cupboard.Picture(row.PictureId, cancel) is not { } taken
            || await cupboard.Picture(row.ViewId!, cancel) is not { } view)
        {
            return NotFound();
        }

        View = row.ViewId;
        if (Plan.Elements.FirstOrDefault(e => e.Parts.Count > 0) is not { } element)
        {
            Cannot = "Nothing of this piece is stitched, so there are no stitches to look for.";
            return Page();
        }

        var colour = element.Parts.GroupBy(p => p.Colour, StringComparer.Ordinal).MaxBy(g => g.Sum(p => p.Stitches.Count))!.Key;
        var (seen, cannot) = await pictures.At(() => Straightening.ViewOf(row, taken) is { View: var of }
            ? StitchFinder.Find(view.Bytes, view.WidthPx / of.WidthMm, Colour.Parse(colour))
            : (null, "The photograph is not straightened yet."), cancel);
        (Cannot, Report) = (cannot, seen is null ? [] : FinishedTelling.Tell(seen, element).Select(t => t.In(workshop.Units)).ToArray());
        _seen = seen is null ? null : LearningFromLog.Seen(id, Plan, element, seen, $"photograph-{number}");
        Kept = Report.Count == 0 ? null : (await log.Pictures(id, cancel)).Any(p => p.PictureId == View);
        return Page();
    }
}
