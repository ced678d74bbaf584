using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Telling;
using Dittany.Core.Time;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Pages.Bench;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages;

/// <summary>A piece as it lies on the bench's shelf.</summary>
public sealed record ShelvedPiece(int Id, int Head, string Title, string Picture, string Told, bool Late, StepOn? Step);

/// <summary>A piece that will be late, and ways to make it fit.</summary>
public sealed record LatePiece(int Id, string Title, string Told, IReadOnlyList<FitWay>? Ways);

/// <summary>Today: what to do tonight, the days with the work on them, what will be late, and the pieces as themselves.</summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, LogStore log, PlanService desk) : PageModel
{
    /// <summary>Days on the tape.</summary>
    public const int Days = 14;

    public DateOnly Today => desk.Today;

    public IReadOnlyList<ShelvedPiece> Pieces { get; private set; } = [];

    public IReadOnlyList<Spoken> Tonight { get; private set; } = [];

    public IReadOnlyList<LatePiece> Late { get; private set; } = [];

    public string Tape { get; private set; } = string.Empty;

    /// <summary>Pieces that are begun after the tape's end.</summary>
    public int Later { get; private set; }

    /// <summary>Pieces of which no plan can be shown, each with its way out.</summary>
    public IReadOnlyList<BadPiece> Bad { get; private set; } = [];

    /// <summary>Pieces whose plans are still being made.</summary>
    public IReadOnlyList<SlowPiece> Slow { get; private set; } = [];

    /// <summary>Pieces that are put away.</summary>
    public IReadOnlyList<(int Id, string Name)> Away { get; private set; } = [];

    /// <summary>Threads that pieces to be begun want.</summary>
    public IReadOnlyList<Wanting> Buy { get; private set; } = [];

    public bool Empty => Pieces.Count + Bad.Count + Slow.Count == 0;

    public string? Fault { get; private set; }

    public Task OnGet(CancellationToken cancel) => Load(cancel);

    /// <summary>Takes one of the ways that were told; it is tried out again before.</summary>
    public async Task<IActionResult> OnPostFit(int piece, string kind, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var all = (await desk.All(workshop, cancel)).Pieces.Select(p => p.Piece).ToArray();
        if (all.FirstOrDefault(p => p.Piece.Id == piece) is not { } late
            || (await desk.Ways(all, piece, workshop).WaitAsync(cancel)).FirstOrDefault(w => w.Kind == kind) is not { } way)
        {
            return await Again("That way is no longer needed, or no longer does it: look again.", cancel);
        }

        if (way.OfWorkshop)
        {
            var changed = await workshops.Change(await workshops.Head(cancel), way.Changes, way.Text, cancel);
            return changed.Taken ? RedirectToPage() : await Again(changed.Faults.Count > 0 ? changed.Faults[0].Detail
                : "The workshop was changed in the meantime: look again.", cancel);
        }

        // All of the way or nothing of it: one change, undone as one.
        var whole = true;
        Job Taken(Job job)
        {
            var taken = way.Changes.Aggregate((Job?)job, (j, c) => j is null ? null : Changes.Apply(j, new Change(c.Member, c.Value,
                way.Text)).Job);
            whole = taken is not null;
            return taken ?? job;
        }

        var made = await pieces.Change(piece, late.Piece.Head, new Change("way", null, way.Text, Taken), workshop, cancel: cancel);
        return made?.Piece is not null && whole ? RedirectToPage() : await Again(made?.Faults is { Count: > 0 } faults ? faults[0].Detail
            : "The piece was changed in the meantime: look again.", cancel);
    }

    /// <summary>Says that the next step of a piece is done.</summary>
    public async Task<IActionResult> OnPostStep(int piece, int from, string done, CancellationToken cancel)
    {
        var changed = await pieces.Change(piece, from, new Change("done", done, "One step on"), await workshops.Current(cancel),
            cancel: cancel);
        return changed?.Piece is not null ? RedirectToPage()
            : await Again(changed?.Faults is { Count: > 0 } faults ? $"{faults[0].Detail} {faults[0].Try}"
            : "The piece was changed somewhere else in the meantime: look again.", cancel);
    }

    private async Task<IActionResult> Again(string fault, CancellationToken cancel)
    {
        Fault = fault;
        await Load(cancel);
        Response.StatusCode = StatusCodes.Status409Conflict;
        return Page();
    }

    private async Task Load(CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var evenings = PlanService.EveningsOf(workshop);
        var laying = await desk.All(workshop, cancel);
        (var all, Bad, Slow) = laying;
        Away = await pieces.Away(cancel);
        var laid = all.Select(p => p.Laid).ToArray();
        Tonight = Core.Time.Tonight.Tell(laid, evenings, Today);
        Tape = laid.All(l => l.Progress.Stage == Stage.Finished) ? string.Empty : DaysDrawing.Draw(laid, evenings, Today, Days);
        Later = laid.Count(l => l.Progress.Stage == Stage.Planned && !l.Lain.Late && !DaysDrawing.IsOn(l, Today, Days));
        Buy = ToBuy.Of(all.Select(p => p.Piece.Plan), workshop.Threads);
        var late = laid.Where(l => l.Lain.Late).OrderBy(l => l.Lain.DueOn).ToArray();

        // As long as plans are missing nobody knows what would do.
        var ways = Slow.Count > 0 ? new IReadOnlyList<FitWay>?[late.Length]
            : await desk.SoonWays(all.Select(p => p.Piece).ToArray(), late.Select(l => l.Demand.Id).ToArray(), workshop, cancel);
        Late = late.Select((l, i) => new LatePiece(
            l.Demand.Id,
            l.Name,
            $"Wanted "
                + $"{Say.Day(l.Lain.DueOn!.Value)}{(l.Lain.ReadyOn is { } ready ? $", ready {Say.Day(ready)} as things lie" : ", and no evening to work on it")}: {Say.Minutes(l.Progress.LeftMinutes)} of work are left.",
            ways[i])).ToArray();
        var since = await log.WorkedSince(cancel);
        Pieces = all
            .OrderBy(p => p.Laid.Progress.Stage == Stage.Finished)
            .ThenByDescending(p => p.Laid.Progress.Stage is not Stage.Planned)
            .ThenBy(p => p.Laid.Lain.DueOn ?? DateOnly.MaxValue)
            .Select(p =>
            {
                var plan = p.Piece.Plan;
                var concern = plan.Elements.SelectMany(e => e.Concerns).FirstOrDefault();
                var told = p.Laid.Lain.Late ? "too late as planned" : concern is not null && p.Laid.Progress.Stage == Stage.Planned
                    ? Say.Lower(concern.Text).WithoutStop().ToString() : p.Laid.Progress.Told;
                if (p.Laid.Progress.Stage == Stage.OnTheHoop && since.TryGetValue(p.Piece.Piece.Id, out var first))
                {
                    told = $"{told} · {Core.Time.OnTheHoop.Since(DateOnly.FromDateTime(first.ToLocalTime()), Today)}";
                }

                return new ShelvedPiece(
                    p.Piece.Piece.Id, p.Piece.Piece.Head, plan.Title, BenchDrawing.Small(plan, $"p{p.Piece.Piece.Id}"), told,
                        p.Laid.Lain.Late || (concern is not null && p.Laid.Progress.Stage == Stage.Planned),
                    p.Laid.Progress.Stage is Stage.Planned or Stage.Finished ? null : StepOn.After(plan, Today));
            })
            .ToArray();
    }
}
