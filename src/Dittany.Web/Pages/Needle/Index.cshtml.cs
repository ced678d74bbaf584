using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Learning;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
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
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, LogStore log, PlanService desk) : PageModel
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

    public IReadOnlyDictionary<int, string> Drawn { get; private set; } = new Dictionary<int, string>();

    /// <summary>What is asked of an entry that is hard to believe, with the step and the minutes it was sent with.</summary>
    public (string Step, string Text, string Minutes)? Doubt { get; private set; }

    public string? Said { get; private set; }

    public string Address => string.Create(CultureInfo.InvariantCulture, $"/needle/{Piece.Id}");

    /// <summary>What fits into tonight.</summary>
    public Portion Portion { get; private set; } = null!;

    public int Tonight => Portion.To;

    /// <summary>The drawing she taps on, px; null where nothing is stitched.</summary>
    public (int Wide, int High)? Tap => Plan.Route.Count > 0 ? NeedleDrawing.TapSize(Plan) : null;

    /// <summary>So many steps are in the page; after them it is loaded again.</summary>
    private const int Ahead = 20;

    /// <summary>Whether a step is in the page.</summary>
    public bool Here(int step) => step == Shown || (step >= At - 1 && step < At + Ahead);

    public async Task<IActionResult> OnGet(int id, int? step, CancellationToken cancel)
    {
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
            ? Content(Drawing(length).Replace("<svg ", "<svg xmlns=\"http://www.w3.org/2000/svg\" ", StringComparison.Ordinal), "image/svg+xml") : NotFound();

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

        double? took = string.IsNullOrWhiteSpace(minutes) ? null
            : double.TryParse(Digits.Plain(minutes), NumberStyles.Float, CultureInfo.InvariantCulture, out var m) ? m : double.NaN;
        if (took is { } said && (double.IsNaN(said) ? "Write the minutes as a number, such as 25." : sure && said is >= 0 and <= 24 * 60 ? null
            : LearningFromLog.Doubt(said, done.UsualMinutes)) is { } doubt)
        {
            Doubt = (step, doubt, minutes!);
            return Answer(quiet, StatusCodes.Status422UnprocessableEntity, doubt);
        }

        if (took is { } real)
        {
            // What cannot be read as a length is kept as it was written.
            var leftMm = Tape.Read(left ?? string.Empty, Workshop.Units);
            var words = leftMm is null && !string.IsNullOrWhiteSpace(left) ? $"{note} left over: {left}".Trim() : note ?? string.Empty;
            await log.Add(LearningFromLog.Entry(id, Plan, done, Math.Round(real, 2), leftMm),
                string.IsNullOrWhiteSpace(once) ? Guid.NewGuid().ToString("N") : once[..Math.Min(once.Length, 60)],
                words[..Math.Min(words.Length, MostNote)], leftMm, cancel: cancel);
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

    /// <summary>The whole of it, to tap on.</summary>
    public async Task<IActionResult> OnGetWhole(int id, CancellationToken cancel) =>
        await Load(id, cancel) && Plan.Route.Count > 0 ? Content(NeedleDrawing.Whole(Plan), "image/svg+xml") : NotFound();

    /// <summary>
    /// She is at another place than the page thinks: what is before it is stitched, what follows is not. With <paramref name="stitch"/> at
    /// that one of the length, counted from one.
    /// </summary>
    public async Task<IActionResult> OnPostHere(int id, int run, string? stitch, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || Steps.FirstOrDefault(s => s.Length?.Run == run) is not { Length: { } length })
        {
            return NotFound();
        }

        var at = 1;
        return !string.IsNullOrWhiteSpace(stitch)
            && (!int.TryParse(Digits.Plain(stitch), NumberStyles.None, CultureInfo.InvariantCulture, out at)
            || at < 1 || at > length.Stitches) ? Again($"Say which stitch of the length: 1 to {length.Stitches}.")
            : await Moved(new Done(true, run - 1, Stitches: at - 1), PlaceTold(run, at), quiet: false, cancel);
    }

    /// <summary>She tapped on the stitch she is at.</summary>
    public async Task<IActionResult> OnPostTap(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || Plan.Route.Count == 0)
        {
            return NotFound();
        }

        if (!double.TryParse(Request.Form["at.x"], NumberStyles.Float, CultureInfo.InvariantCulture, out var x)
            || !double.TryParse(Request.Form["at.y"], NumberStyles.Float, CultureInfo.InvariantCulture, out var y)
            || NeedleDrawing.Tapped(Plan, x, y) is not { } row)
        {
            return Again("There is no stitch where you tapped: tap on the one you are at, or say it by its number.");
        }

        var run = Plan.Route[row].Run;
        var at = row - Plan.Route.TakeWhile(r => r.Run != run).Count();
        return await Moved(new Done(true, run - 1, Stitches: at), PlaceTold(run, at + 1), quiet: false, cancel);
    }

    private static string PlaceTold(int run, int stitch) => stitch > 1 ? $"At stitch {stitch} of length {run}" : $"At length {run}";

    /// <summary>The page once more, with what was wrong.</summary>
    private PageResult Again(string said)
    {
        Look(null);
        Said = said;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private string Drawing(RunTold run) => NeedleDrawing.Length(Plan, run, run.Run == Plan.Time.Progress.RunsDone + 1
        ? Plan.Time.Progress.Stitches : 0);

    /// <summary>
    /// Lengths are unpicked: they are counted as not done. Of so many as were <paramref name="seen"/> to be done: sent twice it is once.
    /// </summary>
    public async Task<IActionResult> OnPostUnpick(int id, int lengths, int? seen, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var done = Plan.Time.Progress.RunsDone;
        if (lengths < 1 || lengths > done)
        {
            return Again(done == 0 ? "No length is stitched yet, so there is nothing to unpick." : $"Say how many lengths: 1 to {done}.");
        }

        if ((seen ?? done) - lengths >= done)
        {
            // They are out already.
            return Answer(false, StatusCodes.Status200OK, null);
        }

        if (seen is { } then && then != done)
        {
            return Again($"{Say.Upper(Say.Count(done, "length"))} {(done == 1 ? "is" : "are")} stitched by now, and it was {then}: say once more how many are unpicked.");
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
        Portion = Portion.Of(Plan, Steps, At, PlanService.EveningsOf(Workshop));
        var (drawn, bytes) = (new Dictionary<int, string>(), 0);
        foreach (var at in Enumerable.Range(Math.Min(At, Shown), Steps.Count - Math.Min(At, Shown))
            .Where(i => Steps[i].Length is not null).Take(DrawnAhead))
        {
            var svg = Drawing(Steps[at].Length!);
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
        Plan = (await desk.Plan(piece, Workshop, cancel)).Plan;
        Steps = NeedleSteps.Of(Plan, desk.Today);
        var logged = (await log.All(id, cancel)).Select(l => l.Step).ToHashSet(StringComparer.Ordinal);
        At = NeedleSteps.At(Steps, Plan.Time.Progress, logged);
        return true;
    }
}
