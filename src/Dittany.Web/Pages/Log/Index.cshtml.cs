using System.Globalization;
using Dittany.Core.Effort;
using Dittany.Core.Jobs;
using Dittany.Core.Learning;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Log;

/// <summary>An entry of the log as it is shown; what was planned of it is what the usual pace makes of it.</summary>
public sealed record EntryTold(int Id, int Piece, string PieceName, string What, string Planned, string Real, string Note, DateTime At);

/// <summary>
/// Planned against real, of one piece or of all, and what was learnt from it. Entries are added by hand, corrected and taken back.
/// </summary>
[RequestSizeLimit(Cupboard.PhotographModel.MostRequest)]
[RequestFormLimits(MultipartBodyLengthLimit = Cupboard.PhotographModel.MostRequest)]
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, LogStore log, CupboardStore cupboard, PictureDesk pictures,
    PlanService desk)
    : PageModel
{
    private Plan? _plan;

    public Piece? Piece { get; private set; }

    public string PieceName { get; private set; } = string.Empty;

    public IReadOnlyList<EntryTold> Entries { get; private set; } = [];

    public IReadOnlyList<(string Kind, double Planned, double Real)> ByKind { get; private set; } = [];

    public IReadOnlyList<(string Kind, IReadOnlyList<Told> Told)> Learnt { get; private set; } = [];

    /// <summary>The stitch most worth practising, by its id, and why.</summary>
    public (string Stitch, Told Why)? Practise { get; private set; }

    /// <summary>Pictures of the piece by their days, newest first.</summary>
    public IReadOnlyList<LogRow> Pictures { get; private set; } = [];

    /// <summary>Steps that time can be put down for by hand.</summary>
    public IReadOnlyList<NeedleStep> Steps { get; private set; } = [];

    public (string Field, string Text, string Minutes, string Note)? Fault { get; private set; }

    public string Address => Piece is { } piece ? string.Create(CultureInfo.InvariantCulture, $"/log/{piece.Id}") : "/log";

    public async Task<IActionResult> OnGet(int? id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    /// <summary>Puts down time by hand, or corrects an entry: the former stays in the store, and this one stands for it.</summary>
    public async Task<IActionResult> OnPostKeep(int? id, int? entry, string? step, string? minutes, string? note, bool sure, bool back,
        CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var former = entry is { } number ? await log.Find(number, cancel) : null;
        if (entry is not null && (former is null || (Piece is not null && former.PieceId != Piece.Id)))
        {
            return NotFound();
        }

        var at = former is null ? Steps.FirstOrDefault(s => s.Id == step) : null;
        if (former is null && (at is null || Piece is null))
        {
            return Refused("step", "There is no such step in the plan now.", minutes, note);
        }

        if (Unwritable(note) is { } unwritable)
        {
            return Refused("note", unwritable, minutes, note);
        }

        var planned = former?.PlannedMinutes ?? at!.UsualMinutes;
        var took = double.TryParse(Digits.Plain(minutes ?? string.Empty), NumberStyles.Float, CultureInfo.InvariantCulture, out var m) ? m
            : double.NaN;
        if (!back)
        {
            if (double.IsNaN(took))
            {
                return Refused("minutes", "Write the minutes as a number, such as 25.", minutes, note);
            }

            if (!(sure && took is >= 0 and <= 24 * 60) && LearningFromLog.Doubt(took, planned) is { } doubt)
            {
                return Refused("minutes", doubt, minutes, note);
            }
        }

        await log.Add(former is null ? LearningFromLog.Entry(Piece!.Id, _plan!, at!, took)
            : LogStore.Read(former) with { Minutes = back ? former.Minutes : took }, Guid.NewGuid().ToString("N"),
            (note ?? string.Empty)[..Math.Min((note ?? string.Empty).Length, 400)], former?.LeftMm, former?.Id, back, former?.PictureId,
                cancel);
        await log.Learn(workshops, cancel);
        return Redirect(Address);
    }

    /// <summary>A picture of the piece as it is now, with a word to it; one that cannot be read says why and keeps the word.</summary>
    public async Task<IActionResult> OnPostPicture(int? id, IFormFile? picture, string? note, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || Piece is null)
        {
            return NotFound();
        }

        if (Unwritable(note) is { } unwritable)
        {
            return Refused("note", unwritable, null, note);
        }

        var (taken, detail, instead) = await pictures.Take(picture, cancel);
        if (taken is null)
        {
            return Refused("picture", $"{detail} {instead}", null, note);
        }

        await log.AddPicture(Piece.Id, await cupboard.Keep(taken, cancel),
            (note ?? string.Empty)[..Math.Min((note ?? string.Empty).Length, 400)], cancel);
        return Redirect(Address);
    }

    /// <summary>What an entry holds: minutes, or how long stitches came out.</summary>
    private static string Took(LogRow row, double minutes, double? mm) => row.Kind == PaceNames.StitchLength && mm is { } length
        ? Say.Length(length).ToString() : Say.Minutes(minutes);

    /// <summary>A character of a note that cannot be written, told; null where there is none.</summary>
    private static string? Unwritable(string? note)
    {
        foreach (var c in note ?? string.Empty)
        {
            if (char.IsControl(c) && c is not ('\n' or '\r' or '\t'))
            {
                return $"The note holds a character that cannot be written (U+{(int)c:X4}): type it anew.";
            }
        }

        return null;
    }

    private IActionResult Refused(string field, string text, string? minutes, string? note)
    {
        Fault = (field, text, minutes ?? string.Empty, note ?? string.Empty);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task<bool> Load(int? id, CancellationToken cancel)
    {
        Piece = id is { } number ? await pieces.Find(number, cancel) : null;
        if (id is not null && Piece is null)
        {
            return false;
        }

        var workshop = await workshops.Current(cancel);
        if (Piece is not null)
        {
            try
            {
                var plan = (await desk.Plan(Piece, workshop, cancel)).Plan;
                (PieceName, Steps, _plan) = (plan.Title, NeedleSteps.Of(plan, desk.Today), plan);
            }
            catch (UnplannedException)
            {
                PieceName = PlanService.NameOf(Piece.Job);
            }
        }

        var rows = (await log.All(id, cancel)).Where(r => r.Minutes > 0 || r.Kind == PaceNames.StitchLength).ToArray();
        var names = new Dictionary<int, string>();
        foreach (var of in rows.Select(r => r.PieceId).Distinct())
        {
            names[of] = Piece is not null ? PieceName : await pieces.Find(of, cancel) is { } found ? PlanService.NameOf(found.Job) : $"Piece {of}";
        }

        Entries = rows.OrderByDescending(r => r.Id).Select(r => new EntryTold(r.Id, r.PieceId, names[r.PieceId],
            Steps.FirstOrDefault(s => s.Id == r.Step)?.Title ?? (r.Step.StartsWith("length-", StringComparison.Ordinal) ? $"Length {r.Step[7..]}" : LearningTelling.Called(r.Kind)),
            Took(r, r.PlannedMinutes, r.PlannedMm), Took(r, r.Minutes, r.RealMm), r.Note, r.At)).ToArray();
        ByKind = rows.Where(r => r.Minutes > 0).GroupBy(r => r.Kind, StringComparer.Ordinal)
            .Select(g => (g.Key, g.Sum(r => r.PlannedMinutes), g.Sum(r => r.Minutes))).ToArray();
        var learnt = LearningFromLog.Of(await log.ToLearnFrom(workshops, cancel));
        Learnt = learnt.Select(l => (l.Kind, LearningTelling.Tell(l, n => names.GetValueOrDefault(n, $"piece {n}")))).ToArray();
        Practise = LearningTelling.Practise(learnt);
        Pictures = Piece is null ? [] : await log.Pictures(id, cancel);
        return true;
    }
}
