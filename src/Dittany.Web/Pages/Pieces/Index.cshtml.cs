using System.Globalization;
using Dittany.Core.Learning;
using Dittany.Core.Measures;
using Dittany.Core.Time;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Pieces;

/// <summary>A piece in her book: its newest picture, or its drawing where none was taken, when it was made and how.</summary>
public sealed record BookEntry(int Id, string Title, string? Picture, string PictureDay, string Drawing, string When,
    IReadOnlyList<Told> HowMade,
    IReadOnlyList<string> Notes);

/// <summary>All her pieces with dated pictures, found by what she remembers of one; those that are put away are in it.</summary>
public sealed class IndexModel(LogStore log, WorkshopStore workshops, PlanService desk) : PageModel
{
    [BindProperty(SupportsGet = true)]
    public string? Asked { get; set; }

    public IReadOnlyList<BookEntry> Entries { get; private set; } = [];

    public IReadOnlyList<SlowPiece> Slow { get; private set; } = [];

    public string? FoundTold { get; private set; }

    public Units Units { get; private set; }

    public async Task OnGet(CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        Units = workshop.Units;
        (var done, Slow) = await desk.Ever(workshop, cancel);
        var rows = (await log.All(cancel: cancel)).ToLookup(r => r.PieceId);
        var all = done.Select(p => new Remembered(p.Piece.Id, p.Plan,
            [p.Piece.Job.Today, .. rows[p.Piece.Id].Select(r => Day(r.At)), .. p.Piece.Job.DueOn is { } due ? [due]
                : Array.Empty<DateOnly>()],
            [.. rows[p.Piece.Id].Select(r => r.Note).Where(n => n.Length > 0).Distinct(StringComparer.Ordinal)])).ToArray();
        var (found, whole) = BookOfPieces.Find(Asked, all);
        FoundTold = string.IsNullOrWhiteSpace(Asked) ? null
            : found.Count == 0 ? "No piece of yours has anything of that: ask by its words, its colour, its stitch, what it is, or when."
            : whole ? found.Count == 1 ? "One piece answers that." : $"{Say.Upper(Say.Count(found.Count, "piece"))} answer that."
            : $"No piece has all of that. {(found.Count == 1 ? "This one has" : "These have")} the most of it.";
        Entries = found.Select(f => Entry(f, rows[f.Piece].Where(r => r.PictureId is not null).LastOrDefault(), rows[f.Piece]
            .LastOrDefault())).ToArray();
    }

    private static BookEntry Entry(Remembered of, LogRow? picture, LogRow? last) => new(
        of.Piece, of.Plan.Title, picture?.PictureId, picture is null ? string.Empty : Say.Day(Day(picture.At)),
        BenchDrawing.Small(of.Plan, string.Create(CultureInfo.InvariantCulture, $"b{of.Piece}")),
        $"{(of.Plan.Time.Progress.Stage == Stage.Finished ? last is null ? "Finished" : $"Finished, last worked on {Say.Day(Day(last.At))}" : Say.Upper(of.Plan.Time.Progress.Told))}"
            + $"{(picture is null ? string.Empty : $" · pictured {Say.Day(Day(picture.At))}")}",
        BookOfPieces.HowMade(of.Plan), of.Notes.Take(3).ToArray());

    private static DateOnly Day(DateTime at) => DateOnly.FromDateTime(at.ToLocalTime());
}
