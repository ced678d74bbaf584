using Dittany.Core.Jobs;
using Dittany.Formats.Json;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>Two tabs changed the same member of the workshop.</summary>
public sealed record WorkshopConflict(string Member, string Theirs, string Yours);

/// <summary>What became of a change: the workshop as it stands, and why it was not taken where it was not.</summary>
public sealed record WorkshopChanged(Workshop Workshop, IReadOnlyList<ValidationError> Faults, IReadOnlyList<WorkshopConflict> Conflicts)
{
    public bool Taken => Faults.Count == 0 && Conflicts.Count == 0;
}

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
        return workshop ?? throw new InvalidDataException(
            $"Revision {row.Number} of the workshop cannot be read: {faults[0].Pointer} {faults[0].Detail}");
    }

    /// <summary>The number of the revision that stands, and whether there is one to go back to; 0 is the shipped default.</summary>
    public async Task<int> Head(CancellationToken cancel = default) =>
        await db.WorkshopHeads.AsNoTracking().OrderBy(h => h.Id).Select(h => (int?)h.Head).FirstOrDefaultAsync(cancel) ?? 0;

    /// <summary>
    /// Makes changes that were decided on looking at revision <paramref name="from"/>. What others changed in other members since then is
    /// kept; a different change to the same member is a conflict, and nothing is stored. Faults store nothing. Members whose value is as it
    /// was seen are no change.
    /// </summary>
    public async Task<WorkshopChanged> Change(int from, IReadOnlyList<(string Member, string Value)> changes, string what,
        CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var now = await Current(cancel);
        var seen = from == 0 ? Workshop.Default : await At(from, cancel);
        if (seen is null)
        {
            return new WorkshopChanged(now, [new ValidationError("#/from", $"There is no revision {from} of the workshop.",
                "Load the page again.")], []);
        }

        var (changed, faults, conflicts) = (now, new List<ValidationError>(), new List<WorkshopConflict>());
        foreach (var (member, value) in changes)
        {
            var (was, stands) = (WorkshopChanges.Read(seen, member), WorkshopChanges.Read(now, member));
            if (WorkshopChanges.Knows(member) && (value == was || value == stands))
            {
                continue;
            }

            if (was != stands)
            {
                conflicts.Add(new WorkshopConflict(member, stands, value));
                continue;
            }

            var (applied, fault) = WorkshopChanges.Apply(changed, member, value);
            changed = applied ?? changed;
            if (fault is not null)
            {
                faults.Add(fault);
            }
        }

        faults.AddRange(WorkshopCheck.Faults(changed));
        if (faults.Count > 0 || conflicts.Count > 0)
        {
            return new WorkshopChanged(now, faults, conflicts);
        }

        if (WorkshopJson.Write(changed) != WorkshopJson.Write(now))
        {
            await Append(changed, what, cancel);
            await transaction.CommitAsync(cancel);
        }

        return new WorkshopChanged(changed, [], []);
    }

    /// <summary>Appends a revision and makes it stand.</summary>
    public async Task Save(Workshop workshop, string what, CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        await Append(workshop, what, cancel);
        await transaction.CommitAsync(cancel);
    }

    /// <summary>
    /// Since when her skill has been as it stands, UTC; the beginning of time where she never said another than the shipped one. Revisions
    /// from before this was kept are looked at one by one, back to where it was another.
    /// </summary>
    public async Task<DateTime> SkillSince(CancellationToken cancel = default)
    {
        var since = DateTime.MinValue;
        Core.Effort.Skill? skill = null;
        int? at = await Head(cancel);
        while (at is > 0)
        {
            var row = await db.Workshops.AsNoTracking().FirstAsync(w => w.Number == at, cancel);
            var then = WorkshopJson.Read(row.Json).Workshop?.Skill ?? Workshop.Default.Skill;
            skill ??= then;
            if (then != skill)
            {
                return since;
            }

            if (row.SkillSince is { } kept)
            {
                return kept;
            }

            (since, at) = (row.At, row.Parent);
        }

        return skill is null || skill == Workshop.Default.Skill ? DateTime.MinValue : since;
    }

    private async Task<Workshop?> At(int number, CancellationToken cancel) =>
        await db.Workshops.AsNoTracking().FirstOrDefaultAsync(w => w.Number == number, cancel) is { } row
            ? WorkshopJson.Read(row.Json).Workshop : null;

    private async Task Append(Workshop workshop, string what, CancellationToken cancel)
    {
        var head = await db.WorkshopHeads.OrderBy(h => h.Id).FirstOrDefaultAsync(cancel);
        if (head is null)
        {
            head = new WorkshopHeadRow { Id = 1 };
            db.WorkshopHeads.Add(head);
        }

        var (now, since) = (time.GetUtcNow().UtcDateTime, await SkillSince(cancel));
        var number = (await db.Workshops.MaxAsync(w => (int?)w.Number, cancel) ?? 0) + 1;
        db.Workshops.Add(new WorkshopRow
        {
            Number = number,
            Parent = head.Head == 0 ? null : head.Head,
            Json = WorkshopJson.Write(workshop),
            What = what,
            At = now,
            SkillSince = (await Current(cancel)).Skill == workshop.Skill ? since : now,
        });
        head.Head = number;
        await db.SaveChangesAsync(cancel);
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
