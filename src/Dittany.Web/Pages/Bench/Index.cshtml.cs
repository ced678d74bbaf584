using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.Telling;
using Dittany.Core.Time;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Bench;

/// <summary>
/// The bench of one piece. Every change is a revision; the answer is the bench again, as a part for htmx or by redirect without scripts.
/// </summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, SheetStore sheets, PlanService desk, LetterShelf shelf,
    ILogger<IndexModel> log) : PageModel
{
    /// <summary>The furthest a drop may be pulled onto a line, mm, whatever the nearness of the drawing says.</summary>
    private const double MostPullMm = 20;

    /// <summary>A nudge goes by whole millimetres: what comes nearer than this to a line was meant for it.</summary>
    private const double NudgePullMm = 0.5;

    /// <summary>What the bench shows; null where the piece is a bad one.</summary>
    public BenchView? Bench { get; private set; }

    /// <summary>The piece as it is, where no sense can be made of it or no plan comes of it.</summary>
    public BadPiece? Bad { get; private set; }

    public string Title => Bench?.Plan.Title ?? Bad!.Name;

    /// <summary>How the bench is looked at, from address or form.</summary>
    [BindProperty(SupportsGet = true)]
    public string? View { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Face { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Station { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? At { get; set; }

    /// <summary>The place that is shown of a piece with several.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    /// <summary>The part whose form is wanted, where there are too many for all of them.</summary>
    [BindProperty(SupportsGet = true)]
    public int? Part { get; set; }

    public async Task<IActionResult> OnGet(int id, CancellationToken cancel)
    {
        var (piece, bad) = await pieces.Look(id, cancel);
        return piece is null && bad is null ? NotFound() : await Show(piece, bad, await workshops.Current(cancel), StatusCodes.Status200OK,
            view => view, cancel);
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

        if ((member == "widthMm" || member?.StartsWith("measuredMm/", StringComparison.Ordinal) == true) && clean is not null
            && Tape.Read(clean, workshop.Units) is { } mm)
        {
            clean = Math.Round(mm, 1).ToString("R", CultureInfo.InvariantCulture);
        }

        var changed = await pieces.Change(id, from, new Change(Places.Member(Place, member ?? string.Empty), clean, $"Changed {member}"),
            workshop, cancel: cancel);
        var at = member?.StartsWith("overrules/", StringComparison.Ordinal) == true
            ? $"slip-{member["overrules/".Length..].Replace('.', '-')}" : null;
        return await Answer(id, changed, workshop, typed, cancel, at);
    }

    private static string? Given(string? value) => string.IsNullOrWhiteSpace(value) ? null : value.Trim();

    /// <summary>
    /// Settles the parts of one role of an element: stitch, strands, colours and direction; what is left open is the plan's again.
    /// </summary>
    public async Task<IActionResult> OnPostPart(int id, int from, PartWish wish, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var (element, role, asked) = (wish.Element, wish.Role, wish.Asked());
        if (PartWish.Read(wish.Lies == PartWish.AlongLines ? wish.Lines : null, out var fault) is not { } lines)
        {
            var (now, bad) = await pieces.Look(id, cancel);
            return now is null && bad is null ? NotFound() : await Show(now, bad, workshop, StatusCodes.Status422UnprocessableEntity,
                view => view with
                {
                    Faults = [fault!],
                    LinesTyped = (element ?? string.Empty, role ?? string.Empty, wish.Lines ?? string.Empty),
                },
                cancel);
        }

        // Lines are drawn on the plan as it stands, and kept in the frame of the motif.
        var plan = lines.Count > 0 && await pieces.Find(id, cancel) is { } piece
            ? (await desk.Plan(piece, workshop, cancel)).Plan.At(Place) : null;
        var changed = await pieces.Change(id, from, new Change("parts", null, $"Changed the {role?.Replace('-', ' ')}", job =>
        {
            var wished = Wishes.OfPart(job, element ?? string.Empty, asked);
            return plan is null ? wished
                : DrawnDirections.With(wished, plan, element ?? string.Empty, role ?? string.Empty, asked.Copy, lines);
        }), workshop, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel, "slip-parts");
    }

    /// <summary>Settles one letter of a wording, or letters that are one line; what is left open is as in the whole word.</summary>
    public async Task<IActionResult> OnPostLetter(int id, int from, string? letter, string? stitch, int? strands, string? colour,
        CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var (element, indices) = LetterWish.Read(letter);
        var changed = await pieces.Change(id, from, new Change("letters", null, "Changed a letter", job =>
            Wishes.OfLetters(job, element, indices, Given(stitch), strands, Given(colour))), workshop, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel, "slip-parts");
    }

    /// <summary>What came of the trial of the worst letter: kept in the workshop, and every plan on such cloth goes by it.</summary>
    public async Task<IActionResult> OnPostTrial(int id, bool open, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        // Somebody else may change the workshop meanwhile: then it is reckoned again from what stands.
        const int MostTries = 5;
        for (var tries = 0; tries < MostTries; tries++)
        {
            var (head, workshop) = (await workshops.Head(cancel), await workshops.Current(cancel));
            if (Trial.Of((await desk.Plan(piece, workshop, cancel)).Plan.At(Place)) is not { } trial)
            {
                break;
            }

            var written = WorkshopChanges.Read(workshop with { Trials = trial.Kept(workshop.Trials, open) }, WorkshopChanges.Trials);
            var changed = await workshops.Change(head, [(WorkshopChanges.Trials, written)], $"Tried the {trial.Letter}", cancel);
            if (changed.Conflicts.Count == 0)
            {
                break;
            }
        }

        return RedirectToPage(null, null, new { id, view = View, face = Face, station = Station, place = Place }, "will-it-read");
    }

    /// <summary>
    /// Puts words or a motif at another place of the piece; once all there is so far is rinsed, what is added is work of its own and that
    /// stands.
    /// </summary>
    public async Task<IActionResult> OnPostAdd(int id, int from, string? zone, string? words, string? motif, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var said = Given(words)?.ReplaceLineEndings("\n");
        var figure = Given(motif) is { } named ? Dittany.Core.Motifs.MotifLibrary.Find(named) : null;
        if (Given(zone) is not { } to || (said is null && figure is null))
        {
            var (now, bad) = await pieces.Look(id, cancel);
            return now is null && bad is null ? NotFound() : await Show(now, bad, workshop, StatusCodes.Status422UnprocessableEntity,
                view => view with
                {
                    Faults = [new ValidationError("#/elements", "Nothing is said that could go there.", "Write words, or choose a motif.")],
                    Typed = words,
                },
                cancel);
        }

        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var anew = (await desk.Plan(piece, workshop, cancel)).Plan.Time.Progress.Stage is Stage.Drying or Stage.ToFinish or Stage.Finished;
        var changed = await pieces.Change(id, from, new Change("places", null, $"Added at the {Places.NameOf(piece.Job, to)}", job =>
            Places.Add(anew ? Places.Stand(job) : job, to, said, figure is null ? null : new MotifElement(string.Empty, figure.Id))),
                workshop,
            cancel: cancel);
        if (changed?.Piece is not null)
        {
            (Place, Station) = (to, "words");
        }

        return await Answer(id, changed, workshop, words, cancel);
    }

    /// <summary>Puts an element in front of the others or behind them.</summary>
    public async Task<IActionResult> OnPostLayer(int id, int from, string? element, int? layer, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var changed = await pieces.Change(id, from, new Change("layer", null, "Changed what lies over what", job =>
            Wishes.OnLayer(job, element ?? string.Empty, layer)), workshop, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel, "slip-parts");
    }

    /// <summary>
    /// Moves the words by millimetres from where they stand now; what comes within half a millimetre of one of the item's own lines lies on
    /// it.
    /// </summary>
    public Task<IActionResult> OnPostNudge(int id, double dx, double dy, CancellationToken cancel) => Move(
        id,
        null,
        (plan, centre) => Snaps.Apply(plan.Space.Snaps.Where(s => s.Axis == SnapAxis.Across ? dx != 0 : dy != 0).ToArray(), centre
            + new Pt(dx, dy), NudgePullMm),
        cancel);

    /// <summary>
    /// Puts the middle of the words to a place, pulled onto the item's own lines that are nearer than <paramref name="within"/> mm.
    /// </summary>
    public Task<IActionResult> OnPostPut(int id, int from, double x, double y, double within, string? element, CancellationToken cancel) =>
        Move(id, from, (plan, centre) => Snaps.Apply(plan.Space.Snaps, new Pt(x, y), Math.Clamp(within, 0, MostPullMm)), cancel, element);

    /// <summary>Pushes one copy of a repeated motif by so many mm.</summary>
    public async Task<IActionResult> OnPostPush(int id, int from, string? element, int copy, double dx, double dy, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return NotFound();
        }

        var plan = (await desk.Plan(piece, workshop, cancel)).Plan.At(Place);
        var by = double.IsFinite(dx) && double.IsFinite(dy) ? new Pt(dx, dy) : default;
        var changed = await pieces.Change(id, from, new Change("loosely", null, "Pushed one of them", job =>
            SettingOut.Push(job, plan, element ?? string.Empty, copy, by)), workshop, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel, "slip-set-out");
    }

    /// <summary>How copies of a motif are set out: by eye, or all in step.</summary>
    public async Task<IActionResult> OnPostSetOut(int id, int from, string? element, string? how, double sway, double uneven, bool alike,
        int? gapAfter,
        double gap, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var changed = await pieces.Change(id, from, new Change("loosely", null, "Set out by eye", job => how switch
        {
            "in-step" => SettingOut.With(job, element ?? string.Empty, null),
            "even" => SettingOut.Even(job, element ?? string.Empty),
            _ => SettingOut.With(job, element ?? string.Empty, new Core.Motifs.Loosely(sway, uneven, alike, gapAfter, gapAfter is null
                ? new Core.Motifs.Loosely().GapPercent : gap)
            {
                Pushed = (job.Find(element ?? string.Empty) as MotifElement)?.Loosely?.Pushed ?? [],
            }),
        }), workshop, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel, "slip-set-out");
    }

    /// <summary>Lays the words on one of the item's own lines.</summary>
    public Task<IActionResult> OnPostSnap(int id, int from, string line, CancellationToken cancel) => Move(
        id,
        from,
        (plan, centre) => plan.Space.Snaps.FirstOrDefault(s => s.Id == line) is not { } snap ? centre : snap.Axis == SnapAxis.Across
            ? centre with { X = snap.AtMm } : centre with { Y = snap.AtMm },
        cancel);

    /// <summary>Makes the capitals higher or lower by whole millimetres.</summary>
    public async Task<IActionResult> OnPostGrow(int id, double by, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var changed = await pieces.Change(id, null, Higher, workshop, nudge: true, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel);

        async Task<Change> Higher(Piece piece, CancellationToken stop)
        {
            var first = (await desk.Plan(piece, workshop, stop)).Plan.At(Place).Elements[0];
            var cap = Math.Round(first.CapHeightMm + (double.IsFinite(by) ? by : 0), 1);
            return new Change(Places.Member(Place, first.IsMotif ? "heightMm" : "capHeightMm"), cap.ToString("R", CultureInfo.InvariantCulture),
                "Changed the height");
        }
    }

    /// <summary>
    /// A change in her own words: what was understood is done as one step, and told; what was not is asked about, and nothing is changed by
    /// it.
    /// </summary>
    public async Task<IActionResult> OnPostSay(int id, int from, string? said, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            var (_, bad) = await pieces.Look(id, cancel);
            return bad is null ? NotFound() : await Show(null, bad, workshop, StatusCodes.Status200OK, view => view, cancel);
        }

        var text = (said ?? string.Empty).Length > MostSaid ? said![..MostSaid] : said ?? string.Empty;
        var heard = Core.Sayings.ChangeParser.Read(text, piece.Job, (await desk.Plan(piece, workshop, cancel)).Plan, desk.Today);
        var asked = heard.Asked.Select(a => a.Asks).ToArray();
        if (heard.Edit is null)
        {
            return await Show(piece, null, workshop, text.Length == 0 ? StatusCodes.Status200OK : StatusCodes.Status422UnprocessableEntity,
                view => view with { SaidAsked = asked, SaidTyped = text }, cancel);
        }

        var changed = await pieces.Change(id, from, new Change("said", null, $"Said: {text}", heard.Edit), workshop, cancel: cancel);
        return changed?.Piece is { } now
            ? await Show(now, null, workshop, StatusCodes.Status200OK, view => view with
            {
                SaidDid = heard.Did,
                SaidAsked = asked,
                SaidTyped = asked.Length > 0 ? text : null
            }, cancel)
            : await Answer(id, changed, workshop, null, cancel);
    }

    private const int MostSaid = 400;

    /// <summary>One step back from the revision that was looked at; where the piece has moved on meanwhile nothing is taken back.</summary>
    public async Task<IActionResult> OnPostUndo(int id, int from, CancellationToken cancel) =>
        await Answer(id, await pieces.Undo(id, from, cancel), await workshops.Current(cancel), null, cancel);

    public async Task<IActionResult> OnPostRedo(int id, int from, CancellationToken cancel) =>
        await Answer(id, await pieces.Redo(id, from, cancel), await workshops.Current(cancel), null, cancel);

    /// <summary>Puts the piece away: it is on no list then, and can be brought back.</summary>
    public async Task<IActionResult> OnPostAway(int id, CancellationToken cancel) => await pieces.PutAway(id, true, cancel) ? Redirect("/")
        : NotFound();

    /// <summary>Brings a piece back that was put away.</summary>
    public async Task<IActionResult> OnPostBack(int id, CancellationToken cancel) => await pieces.PutAway(id, false, cancel)
        ? RedirectToPage(new { id }) : NotFound();

    private async Task<IActionResult> Move(int id, int? from, Func<Plan, Pt, Pt> to, CancellationToken cancel, string? element = null)
    {
        var workshop = await workshops.Current(cancel);
        var changed = await pieces.Change(id, from is 0 ? null : from, Elsewhere, workshop, nudge: true, cancel: cancel);
        return await Answer(id, changed, workshop, null, cancel);

        async Task<Change> Elsewhere(Piece piece, CancellationToken stop)
        {
            var plan = (await desk.Plan(piece, workshop, stop)).Plan.At(Place);
            var moved = plan.Elements.FirstOrDefault(e => e.Id == element) ?? plan.Elements[0];
            var at = to(plan, moved.CentreMm);
            var here = Place is not null && Places.Find(piece.Job, Place) is { } place ? place.Job : piece.Job;
            return new Change(Places.Member(Place, Changes.MemberOf(here, moved.Id, "centreMm")), string.Create(CultureInfo.InvariantCulture,
                $"{Rounding.ToGrid(at.X):R},{Rounding.ToGrid(at.Y):R}"), "Moved the words");
        }
    }

    private async Task<IActionResult> Answer(int id, Changed? changed, Workshop workshop, string? typed, CancellationToken cancel,
        string? at = null)
    {
        if (changed is null)
        {
            return NotFound();
        }

        var (piece, bad) = changed.Bad is not null ? (null, changed.Bad) : changed.Piece is { } now ? (now, null)
            : changed.Conflict is { } conflict ? (conflict.Piece, null) : await pieces.Look(id, cancel);
        var status = changed.Conflict is not null ? StatusCodes.Status409Conflict : changed.Faults is not null
            ? StatusCodes.Status422UnprocessableEntity : StatusCodes.Status200OK;
        if (status == StatusCodes.Status200OK && !Scripted)
        {
            // Without scripts the page comes back at the slip that was changed.
            return RedirectToPage(null, null, new { id, view = View, face = Face, station = Station, place = Place }, at);
        }

        return await Show(piece, bad, workshop, status, view => view
            with
        { Faults = changed.Faults ?? [], Conflict = changed.Conflict, Typed = typed }, cancel);
    }

    private bool Scripted => Request.Headers.ContainsKey("HX-Request");

    /// <summary>The bench, or what the piece is where no bench can be shown of it.</summary>
    private async Task<IActionResult> Show(Piece? piece, BadPiece? bad, Workshop workshop, int status, Func<BenchView, BenchView> with,
        CancellationToken cancel)
    {
        try
        {
            Bench = piece is null ? null : with(await ViewOf(piece, workshop, cancel));
            Bad = bad;
        }
        catch (UnplannedException e) when (piece is not null)
        {
            Bad = PlanService.Unplanned(piece, e);
        }
        catch (Exception e) when (piece is not null
            && e is not ObjectDisposedException and (InvalidOperationException or ArgumentException or NullReferenceException
            or KeyNotFoundException or IndexOutOfRangeException or FormatException or ArithmeticException))
        {
            // A plan that cannot be told is trouble of this piece, and has the same ways out.
            log.LogError("The bench of piece {Piece} cannot be told: {Kind} {Where}", piece.Id, e.GetType().Name, e.StackTrace);
            Bad = PlanService.Unplanned(piece, e);
        }

        Response.StatusCode = status;
        return !Scripted ? Page() : Bad is null ? Partial("_Bench", Bench) : Partial("_Bad", Bad);
    }

    private async Task<BenchView> ViewOf(Piece piece, Workshop workshop, CancellationToken cancel)
    {
        var planned = await desk.Plan(piece, workshop, cancel);
        var moved = piece.Before is null || await Was(piece, workshop, cancel) is not { } was ? []
            : Moved.Between(was, planned.Plan, workshop.Units);
        var proof = await sheets.ProofOf(piece.Id, Sheets.IndexModel.WordsOf(planned.Plan), cancel);
        var hash = Formats.Json.PlanJson.SheetHash(planned.Job, planned.Workshop);
        var printed = (await sheets.All(piece.Id, cancel)).Any(p => p.InputHash == hash && !p.Void
            && p.Kind == Next.SheetFor(planned.Plan));
        var look = new BenchLook(View, Face, Station, At, Request.Cookies["narrow"] == "1", Place, Part);

        // A piece with several places is looked at one place at a time: its bench is that of the job there.
        var whole = planned;
        if (planned.Plan.Places is { Count: > 0 } places)
        {
            var shown = places.FirstOrDefault(p => p.Key == Place) ?? places.First(p => p.Main);
            planned = planned with
            {
                Piece = piece with { Job = Places.Find(piece.Job, shown.Key)!.Job },
                Plan = shown.Plan,
                InMm = planned.InMm.At(shown.Key),
            };
            look = look with { Place = shown.Key };
        }

        return new BenchView(planned, moved, proof, printed, look, desk.Today, [], null, null)
        {
            Whole = whole.Plan,
            WholeJob = whole.Piece.Job,
        };
    }

    /// <summary>The plan as it was before the last change; null where there was none to be had.</summary>
    private async Task<Plan?> Was(Piece piece, Workshop workshop, CancellationToken cancel)
    {
        try
        {
            return JobCheck.Faults(piece.Before!, piece.In(workshop), shelf.Now).Count == 0
                ? (await desk.Plan(piece, workshop, cancel, piece.Before)).Plan : null;
        }
        catch (UnplannedException)
        {
            return null;
        }
    }
}
