using Dittany.Core.Jobs;
using Dittany.Core.Words;
using Dittany.Formats.Alphabets;
using Dittany.Formats.Drawings;
using Dittany.Formats.Json;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>A drawing of her own as it is kept; one that was traced over a picture can be traced on.</summary>
public sealed record KeptDrawing(int Id, OwnDrawing Drawing, string NotUsed, bool Traced);

/// <summary>
/// The maker's own alphabets and drawings. A font is kept as it was brought and known by its hash, so that the same letters always stand
/// under the same id. It is marked before it is first opened: one that ended the program stays shut at the next start.
/// </summary>
public sealed class LetterStore(DittanyDb db, TimeProvider time, LetterShelf shelf)
{
    private const int MostName = 60;

    /// <summary>Puts all own fonts on the shelf; those that ended the program while they were opened are left out and named.</summary>
    public async Task<IReadOnlyList<string>> Shelve(CancellationToken cancel = default)
    {
        var rows = await db.Fonts.AsNoTracking().OrderBy(f => f.At).ToArrayAsync(cancel);
        shelf.Add(rows.Where(r => !r.Opening).SelectMany(r => Both(r.Id, r.Name, r.Bytes)));
        return rows.Where(r => r.Opening).Select(r => r.Name).ToArray();
    }

    /// <summary>Fonts are opened one after the other: the same one brought twelve times at once is kept once.</summary>
    private static readonly SemaphoreSlim OneAtATime = new(1);

    /// <summary>
    /// Keeps a font and puts it on the shelf; the same font twice is kept once. What is wrong with it is told in a sentence, and nothing is
    /// kept then. Once it is begun it is brought to its end, whoever may have left: only a font that ended the program is to stay marked.
    /// </summary>
    public async Task<(string? Id, FontFault? Fault)> AddFont(byte[] bytes, string name, CancellationToken cancel = default)
    {
        var (font, fault) = FontFile.Read(bytes);
        if (font is null)
        {
            return (null, fault);
        }

        await OneAtATime.WaitAsync(cancel);
        try
        {
            return await Open(font, bytes, name);
        }
        finally
        {
            OneAtATime.Release();
        }
    }

    private async Task<(string? Id, FontFault? Fault)> Open(FontFile font, byte[] bytes, string name)
    {
        var cancel = CancellationToken.None;
        var id = $"{Alphabets.OwnPrefix}{font.Hash[..16]}";
        if (await db.Fonts.AsNoTracking().FirstOrDefaultAsync(f => f.Id == id, cancel) is { } known)
        {
            return known.Opening ? (null, new FontFault("This font ended the program once while it was opened, and stays shut.",
                "Take another.")) : (id, null);
        }

        var row = new FontRow { Id = id, Name = NameOf(name), Bytes = bytes, At = time.GetUtcNow().UtcDateTime, Opening = true };
        db.Fonts.Add(row);
        await db.SaveChangesAsync(cancel);
        var both = Both(id, row.Name, bytes).ToArray();
        string? lacks;
        try
        {
            // Opened and looked at: an a and an H are drawn, or it is no font to write with.
            lacks = both[0].Has("a") || both[0].Has("A") || both[0].Has("א") || both[0].Has("ا") || both[0].Has("я") ? null
                : "It has no letters that could be written with.";
            _ = lacks is null ? both[0].Facts : null;
        }
        catch (Exception e) when (e is InvalidDataException or ArgumentException or InvalidOperationException or IndexOutOfRangeException)
        {
            lacks = "Its letters cannot be read.";
        }

        if (lacks is not null)
        {
            db.Fonts.Remove(row);
            await db.SaveChangesAsync(cancel);
            return (null, new FontFault(lacks, "Bring another font, or the same one saved anew."));
        }

        row.Opening = false;
        await db.SaveChangesAsync(cancel);
        shelf.Add(both);
        return (id, null);
    }

    /// <summary>Drawings that are not archived, by name; one that is only begun is not among them.</summary>
    public async Task<IReadOnlyList<KeptDrawing>> Drawings(CancellationToken cancel = default) =>
        (await db.Drawings.AsNoTracking().Where(d => !d.Archived).ToArrayAsync(cancel)).Select(Of).Where(d =>
            d.Drawing.Figure.Parts.Count > 0).OrderBy(d => d.Drawing.Name, StringComparer.OrdinalIgnoreCase).ThenBy(d => d.Id).ToArray();

    public async Task<KeptDrawing?> Drawing(int id, CancellationToken cancel = default) =>
        await db.Drawings.AsNoTracking().FirstOrDefaultAsync(d => d.Id == id, cancel) is { } row ? Of(row) : null;

    /// <summary>Keeps a drawing that was read.</summary>
    public async Task<int> AddDrawing(ReadDrawing read, string name, CancellationToken cancel = default)
    {
        var row = new DrawingRow
        {
            Name = NameOf(name),
            PartsJson = DrawingJson.Write(new OwnDrawing(NameOf(name), read.Figure!)),
            NotUsed = string.Join(", ", read.NotUsed),
            At = time.GetUtcNow().UtcDateTime
        };
        db.Drawings.Add(row);
        await db.SaveChangesAsync(cancel);
        return row.Id;
    }

    /// <summary>Puts a drawing away; pieces that have it keep it.</summary>
    public async Task Archive(int id, CancellationToken cancel = default)
    {
        if (await db.Drawings.FirstOrDefaultAsync(d => d.Id == id, cancel) is { } row)
        {
            row.Archived = true;
            await db.SaveChangesAsync(cancel);
        }
    }

    private static KeptDrawing Of(DrawingRow row) => new(row.Id, DrawingJson.Read(row.PartsJson) with { Name = row.Name }, row.NotUsed,
        row.Head is not null);

    private static string NameOf(string name)
    {
        var plain = string.Concat(Path.GetFileNameWithoutExtension(name.Trim()).Where(c => !char.IsControl(c))).Replace('_', ' ').Trim();
        return plain.Length == 0 ? "without a name" : plain.Length > MostName ? plain[..MostName] : plain;
    }

    private static IEnumerable<IAlphabet> Both(string id, string name, byte[] bytes) =>
        ShippedAlphabets.Both(id, name, "Your own.", () => FontFile.Read(bytes).Font!.Bytes);
}
