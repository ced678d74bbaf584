using System.Security.Cryptography;
using Dittany.Core.Items;
using Dittany.Formats.Json;
using Dittany.Formats.Pictures;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>An own form as it stands in the cupboard: its newest revision.</summary>
public sealed record Kept(OwnForm Form, int Revision, bool Archived, DateTime At, bool CanUndo = false, bool CanRedo = false);

/// <summary>
/// What became of saving an own form. With a conflict nothing was stored: it was changed somewhere else since revision
/// <paramref name="Theirs"/>.
/// </summary>
public sealed record Saved(Kept? Kept, IReadOnlyList<FormFault> Faults, int? Theirs = null);

/// <summary>
/// The maker's own forms with their revisions, pictures, and photographs being straightened. Each change is one transaction and one
/// revision; nothing is removed, what is not wanted is archived. Pieces keep their own copy of a form, so that a change here never alters
/// one.
/// </summary>
public sealed class CupboardStore(DittanyDb db, TimeProvider time)
{
    /// <summary>All own forms by name; archived ones only where they are asked for.</summary>
    public async Task<IReadOnlyList<Kept>> All(bool archived = false, CancellationToken cancel = default)
    {
        var rows = await db.Forms.AsNoTracking().Where(f => archived || !f.Archived).OrderBy(f => f.Id).ToArrayAsync(cancel);
        var revisions = await db.FormRevisions.AsNoTracking().Where(r =>
            db.Forms.Any(f => f.Id == r.FormId && f.Head == r.Number)).ToDictionaryAsync(r => r.FormId, cancel);
        return rows.Select(f => Of(f, revisions[f.Id])).OrderBy(k => k.Form.Name, StringComparer.OrdinalIgnoreCase).ThenBy(k => k.Form.Id,
            StringComparer.Ordinal).ToArray();
    }

    public async Task<Kept?> Find(string id, CancellationToken cancel = default)
    {
        var row = await db.Forms.AsNoTracking().FirstOrDefaultAsync(f => f.Id == id, cancel);
        if (row is null)
        {
            return null;
        }

        var head = await db.FormRevisions.AsNoTracking().SingleAsync(r => r.FormId == id && r.Number == row.Head, cancel);
        return Of(row, head) with
        {
            CanUndo = head.Parent is not null,
            CanRedo = await db.FormRevisions.AnyAsync(r => r.FormId == id && r.Parent == row.Head, cancel)
        };
    }

    /// <summary>Keeps a new form under an id of its own, made of its name.</summary>
    public async Task<Saved> Add(OwnForm form, string what, CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var stem = $"own-{FormJson.IdOf(form.Name, 0)}";
        var id = stem.Length > 60 ? stem[..60] : stem;
        for (var n = 2; await db.Forms.AnyAsync(f => f.Id == id, cancel); n++)
        {
            id = $"{(stem.Length > 56 ? stem[..56] : stem)}-{n.ToString(System.Globalization.CultureInfo.InvariantCulture)}";
        }

        var named = form with { Id = id };
        if (OwnForms.Faults(named) is { Count: > 0 } faults)
        {
            return new Saved(null, faults);
        }

        var row = new FormRow { Id = id, Head = 1 };
        var revision = RevisionOf(named, 1, null, what);
        db.Forms.Add(row);
        db.FormRevisions.Add(revision);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new Saved(Of(row, revision), []);
    }

    /// <summary>Keeps a changed form, made from a revision: where another stands by now nothing is stored.</summary>
    public async Task<Saved> Change(OwnForm form, int from, string what, CancellationToken cancel = default)
    {
        if (OwnForms.Faults(form) is { Count: > 0 } faults)
        {
            return new Saved(null, faults);
        }

        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var row = await db.Forms.FirstOrDefaultAsync(f => f.Id == form.Id, cancel);
        if (row is null)
        {
            return new Saved(null, [new FormFault("id", "This form is not in the cupboard.", "Go back to the cupboard.")]);
        }

        if (row.Head != from)
        {
            return new Saved(null, [], row.Head);
        }

        var revision = RevisionOf(form, await db.FormRevisions.Where(r => r.FormId == form.Id).MaxAsync(r => r.Number, cancel) + 1,
            row.Head, what);
        db.FormRevisions.Add(revision);
        row.Head = revision.Number;
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new Saved(Of(row, revision), []);
    }

    /// <summary>Goes back to the revision this one was made from, or does nothing at the first.</summary>
    public Task Undo(string id, CancellationToken cancel = default) => Move(id, head => Task.FromResult(head.Parent), cancel);

    /// <summary>Goes on to the newest revision made from this one, or does nothing where there is none.</summary>
    public Task Redo(string id, CancellationToken cancel = default) =>
        Move(id, head => db.FormRevisions.Where(r => r.FormId == id && r.Parent == head.Number).MaxAsync(r => (int?)r.Number, cancel),
        cancel);

    private async Task Move(string id, Func<FormRevisionRow, Task<int?>> to, CancellationToken cancel)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await db.Forms.FirstOrDefaultAsync(f => f.Id == id, cancel) is { } row
            && await to(await db.FormRevisions.AsNoTracking().SingleAsync(r => r.FormId == id && r.Number == row.Head,
            cancel)) is { } number)
        {
            row.Head = number;
            await db.SaveChangesAsync(cancel);
            await transaction.CommitAsync(cancel);
        }
    }

    /// <summary>Puts a form away, or takes it out again.</summary>
    public async Task Archive(string id, bool away, CancellationToken cancel = default)
    {
        if (await db.Forms.FirstOrDefaultAsync(f => f.Id == id, cancel) is { } row)
        {
            row.Archived = away;
            await db.SaveChangesAsync(cancel);
        }
    }

    /// <summary>Keeps a picture under the hash of its bytes; the same picture is kept once.</summary>
    public async Task<string> Keep(TakenPicture picture, CancellationToken cancel = default)
    {
        var id = Convert.ToHexStringLower(SHA256.HashData(picture.Bytes));
        if (!await db.Pictures.AnyAsync(p => p.Id == id, cancel))
        {
            db.Pictures.Add(new PictureRow
            {
                Id = id,
                Bytes = picture.Bytes,
                ContentType = picture.ContentType,
                WidthPx = picture.WidthPx,
                HeightPx = picture.HeightPx,
                At = time.GetUtcNow().UtcDateTime
            });
            await db.SaveChangesAsync(cancel);
        }

        return id;
    }

    public async Task<PictureRow?> Picture(string id, CancellationToken cancel = default) =>
        await db.Pictures.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancel);

    /// <summary>Begins with a photograph that was kept; it may be one more side of an own form.</summary>
    public async Task<int> Begin(string picture, string note, string? forForm = null, CancellationToken cancel = default)
    {
        var row = new PhotographRow { PictureId = picture, Note = note, ForForm = forForm, At = time.GetUtcNow().UtcDateTime };
        db.Photographs.Add(row);
        await db.SaveChangesAsync(cancel);
        return row.Id;
    }

    public async Task<PhotographRow?> Photograph(int id, CancellationToken cancel = default) =>
        await db.Photographs.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancel);

    /// <summary>All photographs that are straightened, newest first.</summary>
    public async Task<IReadOnlyList<PhotographRow>> Straightened(CancellationToken cancel = default) =>
        await db.Photographs.AsNoTracking().Where(p => p.ViewId != null).OrderByDescending(p => p.Id).ToArrayAsync(cancel);

    /// <summary>The photograph a straightened view was made of; null where it is not at hand.</summary>
    public async Task<PhotographRow?> PhotographOf(string view, CancellationToken cancel = default) =>
        await db.Photographs.AsNoTracking().OrderBy(p => p.Id).FirstOrDefaultAsync(p => p.ViewId == view, cancel);

    /// <summary>Remembers what is known of a photograph by now.</summary>
    public async Task Remember(int id, Action<PhotographRow> change, CancellationToken cancel = default)
    {
        var row = await db.Photographs.FirstAsync(p => p.Id == id, cancel);
        change(row);
        await db.SaveChangesAsync(cancel);
    }

    private FormRevisionRow RevisionOf(OwnForm form, int number, int? parent, string what) =>
        new()
        {
            FormId = form.Id,
            Number = number,
            Parent = parent,
            Json = FormJson.Write(form),
            What = what,
            At = time.GetUtcNow().UtcDateTime
        };

    private static Kept Of(FormRow row, FormRevisionRow revision) =>
        new(FormJson.Read(revision.Json).Form ?? throw new InvalidDataException($"The stored form {row.Id} cannot be read."),
            revision.Number, row.Archived, revision.At);
}
