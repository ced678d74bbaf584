using System.Globalization;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Formats.Json;
using Dittany.Formats.Template;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Bench;

/// <summary>The bench of one piece. Every change is a revision; the answer is the bench again, as a part for htmx or by redirect without scripts.</summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, Today today) : PageModel
{
    public BenchView Bench { get; private set; } = null!;

    public async Task<IActionResult> OnGet(int id, string? view, string? face, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        Bench = ViewOf(piece, await workshops.Current(cancel), view, face);
        return Page();
    }

    public async Task<IActionResult> OnPostChange(int id, int from, string member, string? value, string? view, string? face, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var clean = string.IsNullOrWhiteSpace(value) ? null : value.ReplaceLineEndings("\n").Trim();
        if (member == "text" && clean is null)
        {
            clean = string.Empty;
        }

        var changed = await pieces.Change(id, from, new Change(member ?? string.Empty, clean, $"Changed {member}"), workshop, cancel: cancel);
        var at = member?.StartsWith("overrules/", StringComparison.Ordinal) == true ? $"slip-{member["overrules/".Length..].Replace('.', '-')}" : null;
        return await Answer(id, changed, workshop, view, face, clean, cancel, at);
    }

    /// <summary>Moves the words by millimetres from where they stand now.</summary>
    public async Task<IActionResult> OnPostNudge(int id, double dx, double dy, string? view, string? face, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var centre = Planner.Make(piece.Job with { Today = today.Date }, workshop).Elements[0].CentreMm;
        var to = string.Create(CultureInfo.InvariantCulture, $"{Rounding.ToGrid(centre.X + dx):R},{Rounding.ToGrid(centre.Y + dy):R}");
        var changed = await pieces.Change(id, piece.Head, new Change("centreMm", to, "Moved the words"), workshop, nudge: true, cancel: cancel);
        return await Answer(id, changed, workshop, view, face, null, cancel);
    }

    /// <summary>Makes the capitals higher or lower by whole millimetres.</summary>
    public async Task<IActionResult> OnPostGrow(int id, double by, string? view, string? face, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var cap = Planner.Make(piece.Job with { Today = today.Date }, workshop).Elements[0].CapHeightMm + by;
        var changed = await pieces.Change(id, piece.Head, new Change("capHeightMm", cap.ToString("R", CultureInfo.InvariantCulture), "Changed the height"), workshop, nudge: true, cancel: cancel);
        return await Answer(id, changed, workshop, view, face, null, cancel);
    }

    public async Task<IActionResult> OnPostUndo(int id, string? view, string? face, CancellationToken cancel) =>
        await Answer(id, new Changed(await pieces.Undo(id, cancel)), await workshops.Current(cancel), view, face, null, cancel);

    public async Task<IActionResult> OnPostRedo(int id, string? view, string? face, CancellationToken cancel) =>
        await Answer(id, new Changed(await pieces.Redo(id, cancel)), await workshops.Current(cancel), view, face, null, cancel);

    /// <summary>The 1:1 template; the plan is kept as printed.</summary>
    public async Task<IActionResult> OnGetTemplate(int id, string? kind, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var workshop = await workshops.Current(cancel);
        var job = piece.Job with { Today = today.Date };
        var plan = Planner.Make(job, workshop);
        await pieces.KeepPrinted(id, piece.Head, PlanJson.InputHash(job, workshop), PlanJson.Write(job, workshop, plan), cancel);
        var sheet = TemplateSheet.Of(plan, Core.Materials.Papers.Find(workshop.Paper)!);
        return kind == "svg"
            ? Content(TemplateSvg.Write(sheet), "image/svg+xml", System.Text.Encoding.UTF8)
            : File(TemplatePdf.Write(sheet), "application/pdf");
    }

    private async Task<IActionResult> Answer(int id, Changed? changed, Workshop workshop, string? view, string? face, string? typed, CancellationToken cancel, string? at = null)
    {
        var piece = changed?.Piece ?? changed?.Conflict?.Piece ?? await pieces.Find(id, cancel);
        if (changed is null || piece is null)
        {
            return NotFound();
        }

        Bench = ViewOf(piece, workshop, view, face) with { Faults = changed.Faults ?? [], Conflict = changed.Conflict, Typed = typed };
        var status = changed.Conflict is not null ? StatusCodes.Status409Conflict : changed.Faults is not null ? StatusCodes.Status422UnprocessableEntity : StatusCodes.Status200OK;
        if (Request.Headers.ContainsKey("HX-Request"))
        {
            Response.StatusCode = status;
            return Partial("_Bench", Bench);
        }

        if (status == StatusCodes.Status200OK)
        {
            // Without scripts the page comes back at the slip that was changed.
            return RedirectToPage(null, null, new { id, view = Bench.View.Id, face = Bench.Face }, at);
        }

        Response.StatusCode = status;
        return Page();
    }

    private BenchView ViewOf(Piece piece, Workshop workshop, string? view, string? face)
    {
        var plan = Planner.Make(piece.Job with { Today = today.Date }, workshop);
        var views = BenchDrawing.Views(plan);
        return new BenchView(piece, plan, views.FirstOrDefault(v => v.Id == view) ?? views[0], face == "marks" ? "marks" : "stitched", [], null, null);
    }
}
