using System.Globalization;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Time;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Needle;

/// <summary>
/// The piece beside the hoop: one step at a time, large; how far it is and how long it took fall out of going on. A step sent twice, late
/// or from a second device is taken once and never moves the piece back.
/// </summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, LogStore log, Desk desk) : PageModel
{
    /// <summary>
    /// So many lengths from where she is are drawn in the page itself, so that they are there when the connection is not.
    /// </summary>
    private const int DrawnAhead = 6;

    /// <summary>So many bytes of drawings are in the page at the most.</summary>
    private const int MostDrawn = 90_000;

    private const int MostNote = 400;

    public Piece Piece { get; private set; } = null!;

    public Plan Plan { get; private set; } = null!;

    public Workshop Workshop { get; private set; } = null!;

    public IReadOnlyList<NeedleStep> Steps { get; private set; } = [];

    /// <summary>The place of the step she is at; as many as there are where all is done.</summary>
    public int At { get; private set; }

    /// <summary>The step that is looked at.</summary>
    public int Shown { get; private set; }

    public int Tonight { get; private set; }

    public IReadOnlyDictionary<int, string> Drawn { get; private set; } = new Dictionary<int, string>();

    /// <summary>What is asked of an entry that is hard to believe, with the step and the minutes it was sent with.</summary>
    public (string Step, string Text, string Minutes)? Doubt { get; private set; }

    public string? Said { get; private set; }

    public string Address => string.Create(CultureInfo.InvariantCulture, $"/needle/{Piece.Id}");

    public string PortionTold => At >= Steps.Count ? "All is done."
        : Tonight >= Steps.Count ? $"Tonight all that is left, {Say.Minutes(Plan.Time.Progress.LeftMinutes)}."
        : Tonight == At + 1 ? $"Tonight this alone: {Say.Minutes(Steps[At].Minutes)}."
        : $"Tonight as far as “{Steps[Tonight - 1].Title}”: {Say.Minutes(Steps.Skip(At).Take(Tonight - At).Sum(s => s.Minutes))}.";

    /// <summary>So many steps are in the page; after them it is loaded again.</summary>
    private const int Ahead = 20;

    /// <summary>Whether a step is in the page.</summary>
    public bool Here(int step) => step == Shown || (step >= At - 1 && step < At + Ahead);

    public async Task<IActionResult> OnGet(int id, int? step, string? said, CancellationToken cancel)
    {
        Said = said;
        if (!await Load(id, cancel))
        {
            return (await pieces.Look(id, cancel)).Bad is null ? NotFound()
                : Redirect(string.Create(CultureInfo.InvariantCulture, $"/bench/{id}"));
        }

        Look(step);
        return Page();
    }

    /// <summary>The drawing of one length.</summary>
    public async Task<IActionResult> OnGetLength(int id, int run, CancellationToken cancel) =>
        await Load(id, cancel) && Steps.FirstOrDefault(s => s.Length?.Run == run) is { Length: { } length }
            ? Content(NeedleDrawing.Length(Plan, length).Replace("<svg ", "<svg xmlns=\"http://www.w3.org/2000/svg\" ", StringComparison.Ordinal), "image/svg+xml") : NotFound();

    /// <summary>A step is done: it is logged where minutes were measured or said, and the piece goes on.</summary>
    public async Task<IActionResult> OnPostDone(int id, string step, string? once, string? minutes, string? left, string? note, bool sure,
        bool quiet, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        if (Steps.FirstOrDefault(s => s.Id == step) is not { } done)
        {
            return Answer(quiet, StatusCodes.Status409Conflict, "The plan was changed in the meantime, and has no such step: load the page again.");
        }

        var planned = LearningFromLog.Usual(done, Piece.In(Workshop));
        double? took = string.IsNullOrWhiteSpace(minutes) ? null
            : double.TryParse(Digits.Plain(minutes), NumberStyles.Float, CultureInfo.InvariantCulture, out var m) ? m : double.NaN;
        if (took is { } said && (double.IsNaN(said) ? "Write the minutes as a number, such as 25." : sure && said is >= 0 and <= 24 * 60 ? null
            : LearningFromLog.Doubt(said, planned)) is { } doubt)
        {
            Doubt = (step, doubt, minutes!);
            return Answer(quiet, StatusCodes.Status422UnprocessableEntity, doubt);
        }

        if (took is { } real)
        {
            await log.Add(new Logged(id, done.Id, done.Kind, planned, Math.Round(real, 2)),
                string.IsNullOrWhiteSpace(once) ? Guid.NewGuid().ToString("N") : once[..Math.Min(once.Length, 60)],
                (note ?? string.Empty)[..Math.Min((note ?? string.Empty).Length, MostNote)],
                Tape.Read(left ?? string.Empty, Workshop.Units), cancel: cancel);
            if (!Steps.SkipWhile(s => s != done).Skip(1).Any(s => s.Kind == done.Kind))
            {
                await log.Learn(workshops, cancel);
            }
        }
        else if (done.Length is null && done.DoneBy is null)
        {
            // Nothing else tells that it is done.
            await log.Add(new Logged(id, done.Id, done.Kind, 0, 0),
                string.IsNullOrWhiteSpace(once) ? Guid.NewGuid().ToString("N") : once, cancel: cancel);
        }

        return await Forward(done, quiet, cancel);
    }

    /// <summary>She is at another length than the page thinks: what is before it is stitched, what follows is not.</summary>
    public async Task<IActionResult> OnPostHere(int id, int run, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || Steps.All(s => s.Length?.Run != run))
        {
            return NotFound();
        }

        var far = run == 1 ? new Done(Marked: true) : new Done(true, run - 1);
        return await Moved(far, $"At length {run}", quiet: false, cancel);
    }

    /// <summary>Lengths are unpicked: they are counted as not done.</summary>
    public async Task<IActionResult> OnPostUnpick(int id, int lengths, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var done = Plan.Time.Progress.RunsDone;
        if (lengths < 1 || lengths > done)
        {
            Look(null);
            Said = done == 0 ? "No length is stitched yet, so there is nothing to unpick." : $"Say how many lengths: 1 to {done}.";
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        return await Moved(done == lengths ? new Done(Marked: true) : new Done(true, done - lengths), $"{Say.Upper(Say.Count(lengths, "length"))} unpicked",
            quiet: false, cancel);
    }

    /// <summary>On from a step, never back: what is behind already changes nothing.</summary>
    private async Task<IActionResult> Forward(NeedleStep done, bool quiet, CancellationToken cancel)
    {
        var place = Steps.ToList().IndexOf(done);
        if (done.DoneBy is null || place < At)
        {
            return Answer(quiet, StatusCodes.Status200OK, null);
        }

        var changed = await pieces.Change(Piece.Id, Piece.Head, new Change("done", done.DoneBy, Say.Upper(done.Title)), Workshop, cancel: cancel);
        return changed?.Piece is not null ? Answer(quiet, StatusCodes.Status200OK, null)
            : Answer(quiet, quiet && changed?.Conflict is not null ? StatusCodes.Status503ServiceUnavailable : StatusCodes.Status409Conflict, changed?.Faults is { Count: > 0 } faults ? $"{faults[0].Detail} {faults[0].Try}"
                : "The piece was changed somewhere else at this moment: send it again.");
    }

    private async Task<IActionResult> Moved(Done to, string what, bool quiet, CancellationToken cancel)
    {
        var changed = await pieces.Change(Piece.Id, Piece.Head, new Change("done", Changes.WriteDone(to), what), Workshop, cancel: cancel);
        return changed?.Piece is not null ? Redirect(Address) : Answer(quiet, StatusCodes.Status409Conflict,
            changed?.Faults is { Count: > 0 } faults ? $"{faults[0].Detail} {faults[0].Try}" : "The piece was changed somewhere else: look again.");
    }

    /// <summary>What the page itself sends wants a word; what a form sends wants the page.</summary>
    private IActionResult Answer(bool quiet, int status, string? told)
    {
        if (quiet)
        {
            return new ContentResult { StatusCode = status, Content = told ?? string.Empty, ContentType = "text/plain; charset=utf-8" };
        }

        if (status == StatusCodes.Status200OK)
        {
            return Redirect(Address);
        }

        Look(Doubt is { } doubt ? Steps.ToList().FindIndex(s => s.Id == doubt.Step) : null);
        Said = told;
        Response.StatusCode = status;
        return Page();
    }

    private void Look(int? step)
    {
        Shown = Math.Clamp(step ?? At, 0, Math.Max(0, Steps.Count - 1));
        Tonight = NeedleSteps.Tonight(Steps, At, Workshop.MinutesPerEvening);
        var (drawn, bytes) = (new Dictionary<int, string>(), 0);
        foreach (var at in Enumerable.Range(Math.Min(At, Shown), Steps.Count - Math.Min(At, Shown))
            .Where(i => Steps[i].Length is not null).Take(DrawnAhead))
        {
            var svg = NeedleDrawing.Length(Plan, Steps[at].Length!);
            bytes += svg.Length;
            if (bytes > MostDrawn)
            {
                break;
            }

            drawn[at] = svg;
        }

        Drawn = drawn;
    }

    private async Task<bool> Load(int id, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return false;
        }

        (Piece, Workshop) = (piece, await workshops.Current(cancel));
        try
        {
            Plan = (await desk.Plan(piece, Workshop, cancel)).Plan;
        }
        catch (TooMuchException)
        {
            return false;
        }

        Steps = NeedleSteps.Of(Plan, desk.Today);
        var logged = (await log.All(id, cancel)).Select(l => l.Step).ToHashSet(StringComparer.Ordinal);
        At = NeedleSteps.At(Steps, Plan.Time.Progress, logged);
        return true;
    }
}
