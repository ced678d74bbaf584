using System.Text;
using Dittany.Core.Planning;
using Dittany.Formats.Json;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>
/// A piece as it stands. <paramref name="Before"/> is the job it was changed from, null for the first revision; <paramref name="BegunWith"/> the workshop as it was when work
/// began, null before that.
/// </summary>
public sealed record Piece(int Id, int Head, Job Job, string What, bool CanUndo, bool CanRedo, Job? Before = null, Workshop? BegunWith = null)
{
    /// <summary>The workshop this piece is planned with: once begun, how the work is done stays as it was; the evenings and units are those of today.</summary>
    public Workshop In(Workshop now) => BegunWith is null
        ? now
        : BegunWith with { EveningsPerWeek = now.EveningsPerWeek, MinutesPerEvening = now.MinutesPerEvening, HourlyRate = now.HourlyRate, Units = now.Units, Paper = now.Paper };
}

/// <summary>What became of a change. Exactly one of the members is set.</summary>
public sealed record Changed(Piece? Piece = null, IReadOnlyList<JobFault>? Faults = null, Conflict? Conflict = null);

/// <summary>Two tabs changed the same member: both values, and nothing stored.</summary>
public sealed record Conflict(string Member, string? Theirs, string? Yours, Piece Piece);

/// <summary>
/// Pieces and their revisions. Every change appends a revision and moves the head in one transaction; undo and redo only move the head.
/// </summary>
public sealed class PieceStore(DittanyDb db, TimeProvider time)
{
    /// <summary>Nudges that follow each other within this undo as one.</summary>
    public static readonly TimeSpan NudgesGather = TimeSpan.FromMilliseconds(250);

    /// <summary>Stores a new piece with its first revision; returns its number.</summary>
    public async Task<int> Create(Job job, string what, CancellationToken cancel = default)
    {
        var now = time.GetUtcNow().UtcDateTime;
        var row = new PieceRow { Head = 1, CreatedAt = now };
        row.Revisions.Add(new RevisionRow { Number = 1, JobJson = JobJson.Write(job), What = what, At = now });
        db.Pieces.Add(row);
        await db.SaveChangesAsync(cancel);
        return row.Id;
    }

    /// <summary>All pieces as they stand, newest first.</summary>
    public async Task<IReadOnlyList<Piece>> All(CancellationToken cancel = default)
    {
        var ids = await db.Pieces.AsNoTracking().OrderByDescending(p => p.Id).Select(p => p.Id).ToArrayAsync(cancel);
        var pieces = new List<Piece>();
        foreach (var id in ids)
        {
            pieces.Add((await Find(id, cancel))!);
        }

        return pieces;
    }

    /// <summary>A piece as it stands, or null.</summary>
    public async Task<Piece?> Find(int id, CancellationToken cancel = default)
    {
        var row = await db.Pieces.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancel);
        if (row is null)
        {
            return null;
        }

        var head = await Revision(id, row.Head, cancel);
        var redo = await db.Revisions.AsNoTracking().AnyAsync(r => r.PieceId == id && r.Parent == row.Head, cancel);
        var before = head!.Parent is { } parent ? JobOf((await Revision(id, parent, cancel))!) : null;
        var begun = await db.Begun.AsNoTracking().FirstOrDefaultAsync(b => b.PieceId == id, cancel);
        var job = JobOf(head);
        return new Piece(id, row.Head, job, head.What, head.Parent is not null, redo, before, job.Done is null || begun is null ? null : WorkshopOf(begun));
    }

    /// <summary>
    /// Makes a change that was decided on looking at revision <paramref name="from"/>. Changes others made to other members since then are kept; a different change to the same
    /// member is a conflict. Faults store nothing.
    /// </summary>
    public async Task<Changed?> Change(int id, int from, Change change, Workshop workshop, bool nudge = false, CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var piece = await db.Pieces.FirstOrDefaultAsync(p => p.Id == id, cancel);
        if (piece is null)
        {
            return null;
        }

        var head = (await Revision(id, piece.Head, cancel))!;
        var job = JobOf(head);
        var seen = from == piece.Head ? head : await Revision(id, from, cancel);
        if (seen is null)
        {
            return new Changed(Faults: [new JobFault("#/from", $"There is no revision {from} of this piece.", "Load the page again.")]);
        }

        var (was, now) = (Changes.Read(JobOf(seen), change.Member), Changes.Read(job, change.Member));
        if (was != now && now != change.Value)
        {
            return new Changed(Conflict: new Conflict(change.Member, now, change.Value, (await Find(id, cancel))!));
        }

        var begun = await db.Begun.FirstOrDefaultAsync(b => b.PieceId == id, cancel);
        var working = job.Done is null || begun is null ? workshop : WorkshopOf(begun);
        var (changed, fault) = Changes.Apply(job, change);
        IReadOnlyList<JobFault> faults = fault is not null ? [fault] : JobCheck.Faults(changed!, working);
        if (faults.Count == 0 && Frozen.Fault(job, changed!, working) is { } frozen)
        {
            faults = [frozen];
        }

        if (faults.Count > 0)
        {
            return new Changed(Faults: faults);
        }

        if (JobJson.Write(changed!) == head.JobJson)
        {
            return new Changed(await Find(id, cancel));
        }

        var at = time.GetUtcNow().UtcDateTime;
        if (job.Done is null && changed!.Done is not null)
        {
            // From here on the work is done as the workshop works now.
            if (begun is not null)
            {
                db.Begun.Remove(begun);
                await db.SaveChangesAsync(cancel);
            }

            db.Begun.Add(new BegunRow { PieceId = id, WorkshopJson = WorkshopJson.Write(workshop), PlanJson = Encoding.UTF8.GetString(PlanJson.Write(job, workshop, Planner.Make(job, workshop))), At = at });
        }

        var gather = nudge && head.Nudge && at - head.At <= NudgesGather;
        var number = await db.Revisions.Where(r => r.PieceId == id).MaxAsync(r => r.Number, cancel) + 1;
        db.Revisions.Add(new RevisionRow
        {
            PieceId = id,
            Number = number,
            Parent = gather ? head.Parent : head.Number,
            JobJson = JobJson.Write(changed!),
            What = change.What,
            Nudge = nudge,
            At = at,
        });
        piece.Head = number;
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new Changed(await Find(id, cancel));
    }

    /// <summary>Moves the head back to the revision before; stays where there is none.</summary>
    public Task<Piece?> Undo(int id, CancellationToken cancel = default) => Move(id, head => Task.FromResult(head.Parent), cancel);

    /// <summary>Moves the head on to the newest revision made from it; stays where there is none.</summary>
    public Task<Piece?> Redo(int id, CancellationToken cancel = default) => Move(
        id,
        async head => await db.Revisions.Where(r => r.PieceId == id && r.Parent == head.Number).MaxAsync(r => (int?)r.Number, cancel),
        cancel);

    private async Task<Piece?> Move(int id, Func<RevisionRow, Task<int?>> to, CancellationToken cancel)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var piece = await db.Pieces.FirstOrDefaultAsync(p => p.Id == id, cancel);
        if (piece is null)
        {
            return null;
        }

        if (await to((await Revision(id, piece.Head, cancel))!) is { } number)
        {
            piece.Head = number;
            await db.SaveChangesAsync(cancel);
        }

        await transaction.CommitAsync(cancel);
        return await Find(id, cancel);
    }

    private Task<RevisionRow?> Revision(int id, int number, CancellationToken cancel) =>
        db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.PieceId == id && r.Number == number, cancel);

    private static Workshop WorkshopOf(BegunRow row)
    {
        var (workshop, faults) = WorkshopJson.Read(row.WorkshopJson);
        return workshop ?? throw new InvalidDataException($"The workshop piece {row.PieceId} was begun with cannot be read: {faults[0].Pointer} {faults[0].Detail}");
    }

    /// <summary>A stored job was checked when it came in; if it cannot be read now the data are damaged, and that is said.</summary>
    private static Job JobOf(RevisionRow row)
    {
        var read = JobJson.Read(Encoding.UTF8.GetBytes(row.JobJson), DateOnly.MinValue, Workshop.Default);
        return read.Job ?? throw new InvalidDataException($"Revision {row.Number} of piece {row.PieceId} cannot be read: {read.Faults[0].Pointer} {read.Faults[0].Detail}");
    }
}
