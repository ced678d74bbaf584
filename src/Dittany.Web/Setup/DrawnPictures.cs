using System.Globalization;
using System.Text;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.Words;
using Dittany.Formats.Drawings;
using Dittany.Formats.Sheets;
using Dittany.Store;
using Dittany.Web.Drawings;

namespace Dittany.Web.Setup;

/// <summary>
/// Pictures of alphabets and motifs, each under an address of its own so that a page shows first what is seen first; and motifs as SVG to
/// take away.
/// </summary>
public static class DrawnPictures
{
    /// <summary>Words a specimen shows at most: it is a look, not a plan.</summary>
    public const int MostLetters = 32;

    private const double TakenMm = 80;

    public static void MapDrawings(this WebApplication app)
    {
        app.MapGet("/letters/{id}.svg", async (string id, string? text, int? piece, double? cap, LetterShelf shelf, PieceStore pieces,
            WorkshopStore workshops, Plans plans, CancellationToken cancel) =>
        {
            if (shelf.Now.Find(id) is not { } alphabet || Shown(alphabet, text) is not { } words)
            {
                return Results.NotFound();
            }

            var like = piece is { } number ? (await pieces.Find(number, cancel))?.Job : null;
            var workshop = await workshops.Current(cancel);
            return Picture(await Stitched(Lettered(like, alphabet, words, cap), workshop, shelf, plans, cancel)
                ?? LetterDrawing.Words(alphabet, words));
        });
        app.MapGet("/letters/{id}.pdf", async (string id, string? text, WorkshopStore workshops, LetterShelf shelf,
            CancellationToken cancel) => shelf.Now.Find(id) is { } alphabet
            ? Results.File(LeafPdf.Write([Specimen.Of(alphabet, Shown(alphabet, text) ?? string.Empty,
                Papers.Find((await workshops.Current(cancel)).Paper)!)]), "application/pdf")
            : Results.NotFound());
        app.MapGet("/motifs/{id}.svg", async (string id, int? parts, double? lean, bool? mirrored, double? wobble, int? seed,
            string? arrangement, int? count, bool? large, bool? take, LetterStore letters, CancellationToken cancel) =>
        {
            var shape = new MotifShape(parts, Math.Clamp(lean ?? 0, -45, 45) * Math.PI / 180, mirrored ?? false,
                Math.Clamp(wobble ?? 0, 0, 100 * Motif.MostWobble) / 100, Math.Clamp(seed ?? 0, 0, 1_000_000));
            if (await Find(id, letters, cancel) is not { } motif)
            {
                return Results.NotFound();
            }

            var how = Arranging.Ids.Contains(arrangement ?? "one", StringComparer.Ordinal) ? arrangement ?? "one" : "one";
            var figure = Arranging.Lay(motif.Draw(shape), new Repeat(how,
                Math.Clamp(count ?? Arranging.UsualCount(how), 1, Arranging.MostCopies), Aspect: 1.3, Seed: seed ?? 0));
            return take == true ? Results.File(Encoding.UTF8.GetBytes(SvgDrawing.Write(figure, motif.Name, TakenMm)), "image/svg+xml",
                $"{motif.Id}.svg") : Picture(LetterDrawing.Motif(figure, large != true, motif));
        });
    }

    /// <summary>A motif of ours, or one of her own drawings as <c>own-7</c>.</summary>
    public static async Task<Motif?> Find(string id, LetterStore letters, CancellationToken cancel) =>
        MotifLibrary.Find(id) ?? (id.StartsWith("own-", StringComparison.Ordinal)
            && int.TryParse(id[4..], NumberStyles.None, CultureInfo.InvariantCulture, out var own)
            && await letters.Drawing(own, cancel) is { } kept
            ? new Motif(id, kept.Drawing.Name, MotifShelf.Own, _ => kept.Drawing.Drawn.Figure)
            : null);

    /// <summary>The words an alphabet can show: hers as far as it has their letters, or a usual specimen, or its first letters.</summary>
    private static string? Shown(IAlphabet alphabet, string? text)
    {
        foreach (var words in new[] { text, "Zoë & Max", "Abc", "ABC", "שלום", "мама" })
        {
            var letters = Rows.Letters((words ?? string.Empty).ReplaceLineEndings(" ").Trim()).Take(MostLetters).ToArray();
            if (letters.Any(l => !Rows.IsSpace(l)) && letters.All(l => Rows.IsSpace(l) || (!l.Any(char.IsControl) && alphabet.Has(l))))
            {
                return string.Concat(letters).Trim();
            }
        }

        return null;
    }

    /// <summary>
    /// A job for the words alone, on the cloth and in the place of a piece, or on a tea towel: at a height, or as high as suits them there.
    /// </summary>
    private static Job Lettered(Job? like, IAlphabet alphabet, string words, double? capMm)
    {
        var on = like ?? new Job("tea-towel", [], new DateOnly(2000, 1, 1));
        var asked = on.Wordings is [var first, ..] ? first : new TextElement("words", words);
        return on with
        {
            Elements = [asked with { Text = words, Alphabet = alphabet.Id, CapHeightMm = capMm, WidthMm = null, Rows = null,
                CentreMm = null, Strands = null, Stitch = null, Motif = null, MotifPlace = null }],
            Done = null,
            Overrides = OverrideSet.None,
        };
    }

    /// <summary>The words as they would be stitched; null where they cannot be, or where it would take too long for a look.</summary>
    private static async Task<string?> Stitched(Job job, Workshop workshop, LetterShelf shelf, Plans plans, CancellationToken cancel)
    {
        try
        {
            if (JobCheck.Faults(job, workshop, shelf.Now).Count > 0)
            {
                return null;
            }

            var plan = await plans.Make(job, workshop, cancel);
            return LetterDrawing.Stitched(plan.Elements[0], plan.Item.Cloth);
        }
        catch (Exception e) when (e is UnplannedException or BusyException)
        {
            return null;
        }
    }

    private static IResult Picture(string svg) => Results.Text(svg, "image/svg+xml", Encoding.UTF8);
}
