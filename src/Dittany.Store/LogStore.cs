using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Learning;
using Dittany.Core.Telling;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>
/// What was really done of pieces: entries as they stand, corrections taken in. Each call is one transaction; what is sent twice is kept
/// once.
/// </summary>
public sealed class LogStore(DittanyDb db, TimeProvider time)
{
    /// <summary>
    /// Keeps an entry; one marked as a former one is that one, and nothing new is stored. <paramref name="instead"/> is the entry it
    /// corrects.
    /// </summary>
    public async Task<LogRow> Add(Logged entry, string once, string note = "", double? leftMm = null, int? instead = null, bool takenBack = false,
        string? picture = null, CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await db.Log.AsNoTracking().FirstOrDefaultAsync(l => l.Once == once, cancel) is { } known)
        {
            return known;
        }

        var row = new LogRow
        {
            PieceId = entry.Piece,
            Step = entry.Step,
            Kind = entry.Kind,
            PlannedMinutes = entry.PlannedMinutes,
            Minutes = entry.Minutes,
            Stitch = entry.Stitch,
            Cloth = entry.Cloth,
            Item = entry.Item,
            PlannedMm = entry.Measured?.PlannedMm,
            RealMm = entry.Measured?.RealMm,
            PictureId = picture,
            LeftMm = leftMm,
            Note = Written(note),
            Once = once,
            For = instead,
            TakenBack = takenBack,
            At = time.GetUtcNow().UtcDateTime,
        };
        db.Log.Add(row);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        db.ChangeTracker.Clear();
        return row;
    }

    /// <summary>A note without what cannot be written: a character of no bytes would end it in the database.</summary>
    private static string Written(string note) => string.Concat(note.Where(c => c == '\n' || !char.IsControl(c)));

    /// <summary>Keeps a picture of a piece as it is on this day, with a word to it; one that is there already is kept once.</summary>
    public Task<LogRow> AddPicture(int piece, string picture, string note, CancellationToken cancel = default) =>
        Add(new Logged(piece, Picture, Picture, 0, 0), $"{Picture}-{piece.ToString(CultureInfo.InvariantCulture)}-{picture}", note,
            picture: picture, cancel: cancel);

    /// <summary>What a row is that is a picture and no work.</summary>
    public const string Picture = "picture";

    /// <summary>The dated pictures of pieces, newest first: of one, or of all.</summary>
    public async Task<IReadOnlyList<LogRow>> Pictures(int? piece = null, CancellationToken cancel = default) =>
        (await All(piece, cancel)).Where(r => r.PictureId is not null).Reverse().ToArray();

    /// <summary>The entries that stand, oldest first: of one piece, or of all.</summary>
    public async Task<IReadOnlyList<LogRow>> All(int? piece = null, CancellationToken cancel = default)
    {
        var rows = await db.Log.AsNoTracking().Where(l => piece == null || l.PieceId == piece).OrderBy(l => l.Id).ToArrayAsync(cancel);
        var corrected = rows.Where(r => r.For is not null).Select(r => r.For!.Value).ToHashSet();
        return rows.Where(r => !corrected.Contains(r.Id) && !r.TakenBack).ToArray();
    }

    /// <summary>
    /// What is learnt from: the entries that stand, from when her skill was last said otherwise on, for what was planned of them before was
    /// another hand.
    /// </summary>
    public async Task<IReadOnlyList<Logged>> ToLearnFrom(WorkshopStore workshops, CancellationToken cancel = default)
    {
        var since = await workshops.SkillSince(cancel);
        return (await All(cancel: cancel)).Where(l => l.At >= since).Select(Read).ToArray();
    }

    /// <summary>
    /// The paces of the workshop follow the log: a revision of their own where they move. Where another entry moved them at the same
    /// moment, they are learnt again from both.
    /// </summary>
    public async Task Learn(WorkshopStore workshops, CancellationToken cancel = default)
    {
        for (var tried = 0; tried < MostTried; tried++)
        {
            var head = await workshops.Head(cancel);
            var learnt = await workshops.Current(cancel) with { Paces = LearningFromLog.Paces(await ToLearnFrom(workshops, cancel)) };
            var changed = await workshops.Change(head, [(WorkshopChanges.Paces, WorkshopChanges.Read(learnt, WorkshopChanges.Paces))],
                "Learnt from the log", cancel);
            if (changed.Conflicts.Count == 0)
            {
                return;
            }
        }

        throw new BusyException();
    }

    /// <summary>So often what is learnt is learnt again before it counts as too busy; the entry itself is kept already.</summary>
    private const int MostTried = 20;

    /// <summary>Since when each piece has been worked at: the instant of the first entry of hooping or stitching.</summary>
    public async Task<IReadOnlyDictionary<int, DateTime>> WorkedSince(CancellationToken cancel = default) => (await All(cancel: cancel))
        .Where(r => r.Kind is NeedleStep.Stitching or "hoop").GroupBy(r => r.PieceId).ToDictionary(g => g.Key, g => g.Min(r => r.At));

    public async Task<LogRow?> Find(int id, CancellationToken cancel = default) =>
        await db.Log.AsNoTracking().FirstOrDefaultAsync(l => l.Id == id, cancel);

    /// <summary>An entry as the learning reads it.</summary>
    public static Logged Read(LogRow row) => new(row.PieceId, row.Step, row.Kind, row.PlannedMinutes, row.Minutes)
    {
        Stitch = row.Stitch,
        Cloth = row.Cloth,
        Item = row.Item,
        Measured = row is { PlannedMm: { } planned, RealMm: { } real } ? (planned, real) : null,
    };
}
