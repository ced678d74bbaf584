using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Formats.Json;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>A drawing that is being traced, as it stands: its head, and whether there is something before or after it.</summary>
public sealed record KeptTracing(int Id, Tracing Tracing, int Revision, bool CanUndo, bool CanRedo);

/// <summary>
/// What became of keeping a tracing. With a conflict nothing was stored: it was changed somewhere else since, to revision
/// <paramref name="Theirs"/>.
/// </summary>
public sealed record SavedTracing(KeptTracing? Kept, IReadOnlyList<FormFault> Faults, int? Theirs = null);

/// <summary>
/// Drawings traced over a picture, with their revisions. What is traced stands among her own drawings as soon as it has a line. Each change
/// is one transaction and one revision; undo and redo only move the head. Pieces keep their own copy of a drawing.
/// </summary>
public sealed class TracingStore(DittanyDb db, TimeProvider time)
{
    /// <summary>Begins over a picture that was kept; nothing is drawn yet.</summary>
    public async Task<SavedTracing> Begin(Tracing tracing, CancellationToken cancel = default)
    {
        if (tracing.Faults() is { Count: > 0 } faults)
        {
            return new SavedTracing(null, faults);
        }

        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var row = new DrawingRow
        {
            Name = tracing.Name,
            PartsJson = Parts(tracing),
            NotUsed = string.Empty,
            At = time.GetUtcNow().UtcDateTime,
            Head = 1
        };
        db.Drawings.Add(row);
        await db.SaveChangesAsync(cancel);
        db.Tracings.Add(RevisionOf(row.Id, 1, 0, tracing, "Begun"));
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new SavedTracing(new KeptTracing(row.Id, tracing, 1, false, false), []);
    }

    public async Task<KeptTracing?> Find(int id, CancellationToken cancel = default) =>
        await db.Drawings.AsNoTracking().FirstOrDefaultAsync(d => d.Id == id && d.Head != null, cancel) is { } row
            ? await Kept(row, cancel) : null;

    /// <summary>Tracings that are not put away, the newest first, so many at the most.</summary>
    public async Task<IReadOnlyList<KeptTracing>> All(int most, CancellationToken cancel = default)
    {
        var kept = new List<KeptTracing>();
        foreach (var row in await db.Drawings.AsNoTracking().Where(d => !d.Archived && d.Head != null).OrderByDescending(d =>
            d.Id).Take(most).ToArrayAsync(cancel))
        {
            kept.Add(await Kept(row, cancel));
        }

        return kept;
    }

    /// <summary>Tracings that are not put away and have no line yet: begun, and to be gone on with.</summary>
    public async Task<IReadOnlyList<(int Id, string Name)>> Begun(CancellationToken cancel = default) =>
        (await db.Drawings.AsNoTracking().Where(d => !d.Archived && d.Head != null).OrderBy(d => d.Id).ToArrayAsync(cancel))
            .Where(d => DrawingJson.Read(d.PartsJson).Figure.Parts.Count == 0).Select(d => (d.Id, d.Name)).ToArray();

    /// <summary>Keeps a changed tracing, made from a revision: where another stands by now nothing is stored.</summary>
    public async Task<SavedTracing> Change(int id, Tracing tracing, int from, string what, CancellationToken cancel = default)
    {
        if (tracing.Faults() is { Count: > 0 } faults)
        {
            return new SavedTracing(null, faults);
        }

        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var row = await db.Drawings.FirstOrDefaultAsync(d => d.Id == id && d.Head != null, cancel);
        if (row is null)
        {
            return new SavedTracing(null, [new FormFault("id", "This drawing is not being traced.", "Go back to the motifs.")]);
        }

        if (row.Head != from)
        {
            return new SavedTracing(null, [], row.Head);
        }

        var number = await db.Tracings.Where(t => t.DrawingId == id).MaxAsync(t => t.Number, cancel) + 1;
        db.Tracings.Add(RevisionOf(id, number, from, tracing, what));
        Stand(row, number, tracing);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new SavedTracing(await Kept(row, cancel), []);
    }

    /// <summary>
    /// Goes back to what a tracing was made from, or forward to the newest that was made from it; does nothing where there is none.
    /// </summary>
    public async Task Step(int id, bool back, CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var row = await db.Drawings.FirstOrDefaultAsync(d => d.Id == id && d.Head != null, cancel);
        if (row is null)
        {
            return;
        }

        var here = await db.Tracings.SingleAsync(t => t.DrawingId == id && t.Number == row.Head, cancel);
        var to = back
            ? await db.Tracings.FirstOrDefaultAsync(t => t.DrawingId == id && t.Number == here.Parent, cancel)
            : await db.Tracings.Where(t => t.DrawingId == id && t.Parent == here.Number).OrderByDescending(t =>
                t.Number).FirstOrDefaultAsync(cancel);
        if (to is not null)
        {
            Stand(row, to.Number, TracingJson.Read(to.Json));
            await db.SaveChangesAsync(cancel);
            await transaction.CommitAsync(cancel);
        }
    }

    private static void Stand(DrawingRow row, int number, Tracing tracing) =>
        (row.Head, row.Name, row.PartsJson) = (number, tracing.Name, Parts(tracing));

    private static string Parts(Tracing tracing) => DrawingJson.Write(new OwnDrawing(tracing.Name, tracing.Draw()));

    private TracingRow RevisionOf(int drawing, int number, int parent, Tracing tracing, string what) =>
        new()
        {
            DrawingId = drawing,
            Number = number,
            Parent = parent,
            Json = TracingJson.Write(tracing),
            What = what,
            At = time.GetUtcNow().UtcDateTime
        };

    private async Task<KeptTracing> Kept(DrawingRow row, CancellationToken cancel)
    {
        var here = await db.Tracings.AsNoTracking().SingleAsync(t => t.DrawingId == row.Id && t.Number == row.Head, cancel);
        return new KeptTracing(row.Id, TracingJson.Read(here.Json), here.Number, here.Parent > 0,
            await db.Tracings.AnyAsync(t => t.DrawingId == row.Id && t.Parent == here.Number, cancel));
    }
}
