using Dittany.Core.Planning;
using Dittany.Formats.Json;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>The workshop with its habits, in revisions like a piece. Before anything is stored it is the shipped default.</summary>
public sealed class WorkshopStore(DittanyDb db, TimeProvider time)
{
    /// <summary>The workshop as it stands.</summary>
    public async Task<Workshop> Current(CancellationToken cancel = default)
    {
        var head = await db.WorkshopHeads.AsNoTracking().OrderBy(h => h.Id).FirstOrDefaultAsync(cancel);
        if (head is null || head.Head == 0)
        {
            return Workshop.Default;
        }

        var row = await db.Workshops.AsNoTracking().FirstAsync(w => w.Number == head.Head, cancel);
        var (workshop, faults) = WorkshopJson.Read(row.Json);
        return workshop ?? throw new InvalidDataException($"Revision {row.Number} of the workshop cannot be read: {faults[0].Pointer} {faults[0].Detail}");
    }

    /// <summary>Appends a revision and makes it stand.</summary>
    public async Task Save(Workshop workshop, string what, CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var head = await db.WorkshopHeads.OrderBy(h => h.Id).FirstOrDefaultAsync(cancel);
        if (head is null)
        {
            head = new WorkshopHeadRow { Id = 1 };
            db.WorkshopHeads.Add(head);
        }

        var number = (await db.Workshops.MaxAsync(w => (int?)w.Number, cancel) ?? 0) + 1;
        db.Workshops.Add(new WorkshopRow
        {
            Number = number,
            Parent = head.Head == 0 ? null : head.Head,
            Json = WorkshopJson.Write(workshop),
            What = what,
            At = time.GetUtcNow().UtcDateTime,
        });
        head.Head = number;
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
    }

    /// <summary>Moves back one revision; the first goes back to the shipped default.</summary>
    public async Task Undo(CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var head = await db.WorkshopHeads.OrderBy(h => h.Id).FirstOrDefaultAsync(cancel);
        if (head is { Head: > 0 })
        {
            head.Head = (await db.Workshops.AsNoTracking().FirstAsync(w => w.Number == head.Head, cancel)).Parent ?? 0;
            await db.SaveChangesAsync(cancel);
        }

        await transaction.CommitAsync(cancel);
    }
}
