using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.Time;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Bench;

/// <summary>The bench of one piece. Every change is a revision; the answer is the bench again, as a part for htmx or by redirect without scripts.</summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, SheetStore sheets, Desk desk) : PageModel
{
    /// <summary>The furthest a drop may be pulled onto a line, mm, whatever the nearness of the drawing says.</summary>
    private const double MostPullMm = 20;

    /// <summary>A nudge goes by whole millimetres: what comes nearer than this to a line was meant for it.</summary>
    private const double NudgePullMm = 0.5;

    public BenchView Bench { get; private set; } = null!;

    /// <summary>How the bench is looked at, from address or form.</summary>
    [BindProperty(SupportsGet = true)]
    public string? View { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Face { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Station { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? At { get; set; }

    public async Task<IActionResult> OnGet(int id, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        Bench = await ViewOf(piece, await workshops.Current(cancel), cancel);
        return Request.Headers.ContainsKey("HX-Request") ? Partial("_Bench", Bench) : Page();
    }

    public async Task<IActionResult> OnPostChange(int id, int from, string member, string? value, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var clean = string.IsNullOrWhiteSpace(value) ? null : value.ReplaceLineEndings("\n").Trim();
        if (member == "text" && clean is null)
        {
            clean = string.Empty;
        }

        var typed = clean;
        if (member == "dueOn" && clean is not null && SaidDay.Read(clean, desk.Today) is { } day)
        {
            clean = day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        }

        if (member?.StartsWith("measuredMm/", StringComparison.Ordinal) == true && clean is not null && Tape.Read(clean, workshop.Units) is { } mm)
        {
            clean = Math.Round(mm, 1).ToString("R", CultureInfo.InvariantCulture);
        }

        var changed = await pieces.Change(id, from, new Change(member ?? string.Empty, clean, $"Changed {member}"), workshop, cancel: cancel);
        var at = member?.StartsWith("overrules/", StringComparison.Ordinal) == true ? $"slip-{member["overrules/".Length..].Replace('.', '-')}" : null;
        return await Answer(id, changed, workshop, typed, cancel, at);
    }

    /// <summary>Moves the words by millimetres from where they stand now; what comes within half a millimetre of one of the item's own lines lies on it.</summary>
    public Task<IActionResult> OnPostNudge(int id, double dx, double dy, CancellationToken cancel) => Move(
        id,
        null,
        (plan, centre) => Snaps.Apply(plan.Space.Snaps.Where(s => s.Axis == SnapAxis.Across ? dx != 0 : dy != 0).ToArray(), centre + new Pt(dx, dy), NudgePullMm),
        cancel);

    /// <summary>Puts the middle of the words to a place, pulled onto the item's own lines that are nearer than <paramref name="within"/> mm.</summary>
    public Task<IActionResult> OnPostPut(int id, int from, double x, double y, double within, CancellationToken cancel) =>
        Move(id, from, (plan, centre) => Snaps.Apply(plan.Space.Snaps, new Pt(x, y), Math.Clamp(within, 0, MostPullMm)), cancel);

    /// <summary>Lays the words on one of the item's own lines.</summary>
    public Task<IActionResult> OnPostSnap(int id, int from, string line, CancellationToken cancel) => Move(
        id,
        from,
        (plan, centre) => plan.Space.Snaps.FirstOrDefault(s => s.Id == line) is not { } snap ? centre : snap.Axis == SnapAxis.Across ? centre with { X = snap.AtMm } : centre with { Y = snap.AtMm },
        cancel);

    /// <summary>Makes the capitals higher or lower by whole millimetres.</summary>
    public async Task<IActionResult> OnPostGrow(int id, double by, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var first = desk.Plan(piece, workshop).Plan.Elements[0];
        var cap = Math.Round(first.CapHeightMm + by, 1);
        var changed = await pieces.Change(id, piece.Head, new Change(first.IsMotif ? "heightMm" : "capHeightMm", cap.ToString("R", CultureInfo.InvariantCulture), "Changed the height"), workshop, nudge: true, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel);
    }

    public async Task<IActionResult> OnPostUndo(int id, CancellationToken cancel) =>
        await Answer(id, new Changed(await pieces.Undo(id, cancel)), await workshops.Current(cancel), null, cancel);

    public async Task<IActionResult> OnPostRedo(int id, CancellationToken cancel) =>
        await Answer(id, new Changed(await pieces.Redo(id, cancel)), await workshops.Current(cancel), null, cancel);

    private async Task<IActionResult> Move(int id, int? from, Func<Plan, Pt, Pt> to, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var plan = desk.Plan(piece, workshop).Plan;
        var at = to(plan, plan.Elements[0].CentreMm);
        var written = string.Create(CultureInfo.InvariantCulture, $"{Rounding.ToGrid(at.X):R},{Rounding.ToGrid(at.Y):R}");
        var changed = await pieces.Change(id, from is null or 0 ? piece.Head : from.Value, new Change("centreMm", written, "Moved the words"), workshop, nudge: true, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel);
    }

    private async Task<IActionResult> Answer(int id, Changed? changed, Workshop workshop, string? typed, CancellationToken cancel, string? at = null)
    {
        var piece = changed?.Piece ?? changed?.Conflict?.Piece ?? await pieces.Find(id, cancel);
        if (changed is null || piece is null)
        {
            return NotFound();
        }

        Bench = await ViewOf(piece, workshop, cancel) with { Faults = changed.Faults ?? [], Conflict = changed.Conflict, Typed = typed };
        var status = changed.Conflict is not null ? StatusCodes.Status409Conflict : changed.Faults is not null ? StatusCodes.Status422UnprocessableEntity : StatusCodes.Status200OK;
        if (Request.Headers.ContainsKey("HX-Request"))
        {
            Response.StatusCode = status;
            return Partial("_Bench", Bench);
        }

        if (status == StatusCodes.Status200OK)
        {
            // Without scripts the page comes back at the slip that was changed.
            return RedirectToPage(null, null, new { id, view = Bench.View.Id, face = Bench.Face, station = Station }, at);
        }

        Response.StatusCode = status;
        return Page();
    }

    private async Task<BenchView> ViewOf(Piece piece, Workshop workshop, CancellationToken cancel)
    {
        var planned = desk.Plan(piece, workshop);
        var moved = piece.Before is null ? [] : Moved.Between(desk.Plan(piece, workshop, piece.Before).Plan, planned.Plan, workshop.Units);
        var proof = await sheets.ProofOf(piece.Id, Sheets.IndexModel.WordsOf(planned.Plan), cancel);
        var hash = Formats.Json.PlanJson.SheetHash(planned.Job, planned.Workshop);
        var printed = (await sheets.All(piece.Id, cancel)).Any(p => p.InputHash == hash && !p.Void && p.Kind == Next.SheetFor(planned.Plan));
        return new BenchView(planned, moved, proof, printed, new BenchLook(View, Face, Station, At, Request.Cookies["narrow"] == "1"), desk.Today, [], null, null);
    }
}
