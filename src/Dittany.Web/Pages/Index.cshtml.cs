using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages;

/// <summary>A piece in the list.</summary>
public sealed record ListedPiece(int Id, string Title, string Picture, string Told, bool Late);

/// <summary>All pieces as themselves.</summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, Today today) : PageModel
{
    public DateOnly Today => today.Date;

    public IReadOnlyList<ListedPiece> Pieces { get; private set; } = [];

    public async Task OnGet(CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        Pieces = (await pieces.All(cancel)).Select(p =>
        {
            var plan = Planner.Make(p.Job with { Today = today.Date }, workshop);
            var ready = plan.Decision("time.ready")!;
            return new ListedPiece(p.Id, plan.Title, BenchDrawing.Small(plan, $"p{p.Id}"), $"{ready.Choice} · {Say.Minutes(plan.Time.HandsOnMinutes)}", ready.ChoiceId == "late");
        }).ToArray();
    }
}
