using System.Text;
using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Formats.Json;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>
/// A piece as it stands. <paramref name="Before"/> is the job it was changed from, null for the first revision;
/// <paramref name="BegunWith"/> the workshop as it was when work began, null before that.
/// </summary>
public sealed record Piece(int Id, int Head, Job Job, string What, bool CanUndo, bool CanRedo, Job? Before = null,
    Workshop? BegunWith = null, bool PutAway = false)
{
    /// <summary>
    /// The workshop this piece is planned with: once begun, how the work is done stays as it was; the evenings and units are those of
    /// today.
    /// </summary>
    public Workshop In(Workshop now) => BegunWith is null
        ? now
        : BegunWith with
        {
            EveningsPerWeek = now.EveningsPerWeek,
            MinutesPerEvening = now.MinutesPerEvening,
            HourlyRate = now.HourlyRate,
            Units = now.Units,
            Paper = now.Paper
        };
}

/// <summary>
/// A piece that is stored and of which no sense can be made as it stands, with what is wrong. It is shown as what it is: it never stops a
/// page or another piece.
/// </summary>
public sealed record BadPiece(int Id, int Head, string Name, bool CanUndo, bool CanRedo, ValidationError Fault, bool PutAway = false);

/// <summary>The pieces that are not put away, newest first, and those among them that cannot be read.</summary>
public sealed record PieceShelf(IReadOnlyList<Piece> Pieces, IReadOnlyList<BadPiece> Bad);

/// <summary>What became of a change. Exactly one of the members is set.</summary>
public sealed record Changed(Piece? Piece = null, IReadOnlyList<ValidationError>? Faults = null, Conflict? Conflict = null,
    BadPiece? Bad = null);

/// <summary>
/// Two tabs changed the same member: both values, and nothing stored. Where the piece itself is elsewhere than the tab knew
/// (<c>revision</c>), the values are null.
/// </summary>
public sealed record Conflict(string Member, string? Theirs, string? Yours, Piece Piece);

/// <summary>
/// Pieces and their revisions. Every change appends a revision and moves the head in one transaction; undo and redo only move the head.
/// What a change comes to is reckoned before its transaction, one change of a piece at a time, so that the store is held for moments only
/// and no change is made on a piece that has moved on.
/// </summary>
public sealed class PieceStore(DittanyDb db, TimeProvider time, LetterShelf shelf, PieceStore.Planning? planning = null)
{
    /// <summary>Makes the plan of a job; asked where a change must not move what is stitched.</summary>
    public delegate Task<Plan> Planning(Job job, Workshop workshop, CancellationToken cancel);

    /// <summary>Nudges that follow each other within this undo as one.</summary>
    public static readonly TimeSpan NudgesGather = TimeSpan.FromMilliseconds(250);

    /// <summary>
    /// So many changes of one piece may wait for those before them; one more is refused with a sentence, and nothing is stored.
    /// </summary>
    private const int MostWaiting = 40;

    /// <summary>One program has the folder, so this is where changes of one piece wait for each other.</summary>
    private static readonly TurnsByKey<(string Store, int Piece)> Turns = new(MostWaiting + 1);

    /// <summary>
    /// Stores a new piece with its first revision; returns its number. The same <paramref name="once"/> again is the same piece, and
    /// nothing new is stored.
    /// </summary>
    public async Task<int> Create(Job job, string what, string? once = null, CancellationToken cancel = default)
    {
        using var turn = await Turn(0, cancel);
        if (once is not null && await db.Pieces.AsNoTracking().Where(p => p.Once == once).Select(p =>
            (int?)p.Id).FirstOrDefaultAsync(cancel) is { } known)
        {
            return known;
        }

        var now = time.GetUtcNow().UtcDateTime;
        var row = new PieceRow { Head = 1, CreatedAt = now, Once = once };
        row.Revisions.Add(new RevisionRow { Number = 1, JobJson = JobJson.Write(job), What = what, At = now });
        db.Pieces.Add(row);
        await db.SaveChangesAsync(cancel);
        return row.Id;
    }

    /// <summary>All pieces that are not put away, as they stand, newest first; without the jobs they were changed from.</summary>
    public async Task<PieceShelf> All(CancellationToken cancel = default)
    {
        var rows = await (from p in db.Pieces.AsNoTracking()
                          where !p.PutAway
                          join r in db.Revisions.AsNoTracking() on new { PieceId = p.Id, Number = p.Head } equals new
                          {
                              r.PieceId,
                              r.Number
                          }
                          orderby p.Id descending
                          select new
                          {
                              Row = p,
                              Head = r,
                              Redo = db.Revisions.Any(n => n.PieceId == p.Id
                              && n.Parent == p.Head)
                          }).ToArrayAsync(cancel);
        var begun = await db.Begun.AsNoTracking().Select(b => new { b.PieceId, b.Number, b.WorkshopJson }).ToDictionaryAsync(b =>
            (b.PieceId, b.Number), b => b.WorkshopJson, cancel);
        var (pieces, bad) = (new List<Piece>(), new List<BadPiece>());
        foreach (var row in rows)
        {
            var (piece, wrong) = Of(row.Row, row.Head, null, row.Redo, row.Head.BegunAt is { } number
                ? begun.GetValueOrDefault((row.Row.Id, number)) : null);
            if (piece is not null)
            {
                pieces.Add(piece);
            }
            else
            {
                bad.Add(wrong!);
            }
        }

        return new PieceShelf(pieces, bad);
    }

    /// <summary>Pieces that are put away, by number and name, newest first.</summary>
    public async Task<IReadOnlyList<(int Id, string Name)>> Away(CancellationToken cancel = default) =>
        (await (from p in db.Pieces.AsNoTracking()
                where p.PutAway
                join r in db.Revisions.AsNoTracking() on new { PieceId = p.Id, Number = p.Head } equals new { r.PieceId, r.Number }
                orderby p.Id descending
                select new { p.Id, r.JobJson }).ToArrayAsync(cancel)).Select(p => (p.Id, StoredJob.NameOf(p.JobJson, p.Id))).ToArray();

    /// <summary>A piece as it stands, or null where there is none or it cannot be read.</summary>
    public async Task<Piece?> Find(int id, CancellationToken cancel = default) => (await Look(id, cancel)).Piece;

    /// <summary>A piece as it stands, or what it is where it cannot be read; both null where there is none.</summary>
    public async Task<(Piece? Piece, BadPiece? Bad)> Look(int id, CancellationToken cancel = default)
    {
        var row = await db.Pieces.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancel);
        if (row is null)
        {
            return (null, null);
        }

        var head = (await Revision(id, row.Head, cancel))!;
        var redo = await db.Revisions.AsNoTracking().AnyAsync(r => r.PieceId == id && r.Parent == row.Head, cancel);
        var before = head.Parent is { } parent ? StoredJob.Read((await Revision(id, parent, cancel))!.JobJson, shelf.Now).Job : null;
        var begun = await db.Begun.AsNoTracking().Where(b => b.PieceId == id && b.Number == head.BegunAt).Select(b =>
            b.WorkshopJson).FirstOrDefaultAsync(cancel);
        return Of(row, head, before, redo, begun);
    }

    /// <summary>The job of a piece as it is stored, whether sense can be made of it or not; null where there is no such piece.</summary>
    public async Task<string?> JsonOf(int id, CancellationToken cancel = default) =>
        await (from p in db.Pieces.AsNoTracking()
               where p.Id == id
               join r in db.Revisions.AsNoTracking() on new { PieceId = p.Id, Number = p.Head } equals new { r.PieceId, r.Number }
               select r.JobJson).FirstOrDefaultAsync(cancel);

    /// <summary>
    /// Puts a piece away, or brings it back: it is on no list then, and nothing of it is lost. Whether there is such a piece.
    /// </summary>
    public async Task<bool> PutAway(int id, bool away, CancellationToken cancel = default) =>
        await db.Pieces.Where(p => p.Id == id).ExecuteUpdateAsync(p => p.SetProperty(r => r.PutAway, away), cancel) > 0;

    /// <summary>
    /// Makes a change that was decided on looking at revision <paramref name="from"/>. Changes others made to other members since then are
    /// kept; a different change to the same member is a conflict. Faults store nothing. Null where there is no such piece.
    /// </summary>
    public Task<Changed?> Change(int id, int from, Change change, Workshop workshop, bool nudge = false,
        CancellationToken cancel = default) =>
        Change(id, from, (_, _) => Task.FromResult(change), workshop, nudge, cancel);

    /// <summary>
    /// The same where the change is reckoned from the piece as it stands when its turn comes, such as a move by a millimetre: of many at
    /// once each counts. <paramref name="from"/> null is decided on whatever stands.
    /// </summary>
    public async Task<Changed?> Change(int id, int? from, Func<Piece, CancellationToken, Task<Change>> decide, Workshop workshop,
        bool nudge = false, CancellationToken cancel = default)
    {
        using var turn = await Turn(id, cancel);
        var (piece, bad) = await Look(id, cancel);
        if (piece is null)
        {
            return bad is null ? null : new Changed(Bad: bad);
        }

        var head = (await Revision(id, piece.Head, cancel))!;
        var job = piece.Job;
        var seen = from is null || from == piece.Head ? job : await Revision(id, from.Value, cancel) is { } row
            ? StoredJob.Read(row.JobJson, shelf.Now).Job : null;
        if (seen is null)
        {
            return new Changed(Faults: [new ValidationError("#/from", $"There is no revision {from} of this piece.", "Load the page again.")]);
        }

        var change = await decide(piece, cancel);
        var (was, now) = (Changes.Read(seen, change.Member), Changes.Read(job, change.Member));
        if (was != now && now != change.Value)
        {
            return new Changed(Conflict: new Conflict(change.Member, now, change.Value, piece));
        }

        var working = piece.BegunWith ?? workshop;
        var (changed, fault) = Changes.Apply(job, change);
        IReadOnlyList<ValidationError> faults = fault is not null ? [fault] : JobCheck.Faults(changed!, working, shelf.Now);
        if (faults.Count == 0 && await Moved(job, changed!, working, cancel) is { } frozen)
        {
            faults = [frozen];
        }

        if (faults.Count > 0)
        {
            return new Changed(Faults: faults);
        }

        if (JobJson.Write(changed!) == head.JobJson)
        {
            return new Changed(piece);
        }

        if (await Unplanned(changed!, working, cancel) is { } unplanned)
        {
            return new Changed(Faults: [unplanned]);
        }

        // From here on the work is done as the workshop works now.
        var begins = job.Done is not { Begun: true } && changed!.Done is { Begun: true };
        var plan = begins ? Encoding.UTF8.GetString(PlanJson.Write(job, workshop, await Plan(job, workshop, cancel))) : null;
        await Append(piece, head, changed!, change.What, nudge, plan is null ? null : (WorkshopJson.Write(workshop), plan), cancel);
        return new Changed(await Find(id, cancel));
    }

    /// <summary>
    /// Moves the head back to the revision before; stays where there is none. A tab that saw another revision than stands is a conflict: it
    /// never takes back what it never saw.
    /// </summary>
    public Task<Changed?> Undo(int id, int from, CancellationToken cancel = default) =>
        Move(id, from, head => Task.FromResult(head.Parent), cancel);

    /// <summary>Moves the head on to the newest revision made from it; stays where there is none, and is a conflict like an undo.</summary>
    public Task<Changed?> Redo(int id, int from, CancellationToken cancel = default) => Move(
        id,
        from,
        async head => await db.Revisions.AsNoTracking().Where(r => r.PieceId == id && r.Parent == head.Number).MaxAsync(r =>
            (int?)r.Number, cancel),
        cancel);

    private async Task<Changed?> Move(int id, int from, Func<RevisionRow, Task<int?>> to, CancellationToken cancel)
    {
        using var turn = await Turn(id, cancel);
        var row = await db.Pieces.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancel);
        if (row is null)
        {
            return null;
        }

        if (row.Head != from)
        {
            var (stands, unread) = await Look(id, cancel);
            return stands is null ? new Changed(Bad: unread) : new Changed(Conflict: new Conflict(RevisionItself, null, null, stands));
        }

        if (await to((await Revision(id, row.Head, cancel))!) is { } number)
        {
            await db.Pieces.Where(p => p.Id == id && p.Head == from).ExecuteUpdateAsync(p => p.SetProperty(r => r.Head, number), cancel);
        }

        var (piece, bad) = await Look(id, cancel);
        return new Changed(Piece: piece, Bad: bad);
    }

    /// <summary>What a conflict names where not a member but the piece itself has moved on.</summary>
    public const string RevisionItself = "revision";

    private async Task Append(Piece piece, RevisionRow head, Job changed, string what, bool nudge, (string Workshop, string Plan)? begun,
        CancellationToken cancel)
    {
        var at = time.GetUtcNow().UtcDateTime;
        var gather = nudge && head.Nudge && at - head.At <= NudgesGather;
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var number = await db.Revisions.Where(r => r.PieceId == piece.Id).MaxAsync(r => r.Number, cancel) + 1;
        if (begun is { } with)
        {
            db.Begun.Add(new BegunRow { PieceId = piece.Id, Number = number, WorkshopJson = with.Workshop, PlanJson = with.Plan, At = at });
        }

        db.Revisions.Add(new RevisionRow
        {
            PieceId = piece.Id,
            Number = number,
            Parent = gather ? head.Parent : head.Number,
            JobJson = JobJson.Write(changed),
            What = what,
            Nudge = nudge,
            BegunAt = begun is not null ? number : changed.Done is { Begun: true } ? head.BegunAt : null,
            At = at,
        });
        await db.SaveChangesAsync(cancel);
        await db.Pieces.Where(p => p.Id == piece.Id).ExecuteUpdateAsync(p => p.SetProperty(r => r.Head, number), cancel);
        await transaction.CommitAsync(cancel);
        db.ChangeTracker.Clear();
    }

    private async Task<ValidationError?> Moved(Job before, Job after, Workshop workshop, CancellationToken cancel) =>
        CompletedWorkGuard.Matters(before, after) ? CompletedWorkGuard.Fault(before, await Plan(before, workshop, cancel), after,
            await Plan(after, workshop, cancel)) : null;

    /// <summary>Why a changed job is not stored: no plan comes of it; null where one does.</summary>
    private async Task<ValidationError?> Unplanned(Job changed, Workshop workshop, CancellationToken cancel)
    {
        try
        {
            await Plan(changed, workshop, cancel);
            return null;
        }
        catch (UnplannedException e)
        {
            return e.Fault with { Detail = $"{e.Fault.Detail} Nothing was changed." };
        }
    }

    private Task<Plan> Plan(Job job, Workshop workshop, CancellationToken cancel) =>
        planning is null ? Task.FromResult(Planner.Make(job, workshop, shelf.Now, cancel)) : planning(job, workshop, cancel);

    private Task<RevisionRow?> Revision(int id, int number, CancellationToken cancel) =>
        db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.PieceId == id && r.Number == number, cancel);

    private (Piece? Piece, BadPiece? Bad) Of(PieceRow row, RevisionRow head, Job? before, bool redo, string? begunWith)
    {
        var (job, fault) = StoredJob.Read(head.JobJson, shelf.Now);
        var workshop = job?.Done is not { Begun: true } || begunWith is null ? null : WorkshopJson.Read(begunWith).Workshop;
        if (job?.Done is { Begun: true } && begunWith is not null && workshop is null)
        {
            fault = new ValidationError("#/workshop", "The workshop it was begun with cannot be read.",
                "Go one step back, or take it out as it is.");
        }

        return fault is null
            ? (new Piece(row.Id, row.Head, job!, head.What, head.Parent is not null, redo, before, workshop, row.PutAway), null)
            : (null, new BadPiece(row.Id, row.Head, StoredJob.NameOf(head.JobJson, row.Id), head.Parent is not null, redo, fault,
                row.PutAway));
    }

    private Task<IDisposable> Turn(int id, CancellationToken cancel) =>
        Turns.Take((db.Database.GetConnectionString() ?? string.Empty, id), cancel);
}
