using System.Text;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;
using Dittany.Formats.Drawings;
using Dittany.Formats.Sheets;
using Dittany.Store;
using Dittany.Web.Drawings;

namespace Dittany.Web.Setup;

/// <summary>
/// Pictures of the stitch book: as a whole, up to one move, from behind, moving, and where a stitch fails; and the practice strip.
/// </summary>
public static class StitchPictures
{
    /// <summary>Letters by which it is seen where a stitch closes up.</summary>
    private const string Tight = "ae";

    public static void MapStitches(this WebApplication app)
    {
        app.MapGet("/stitches/{id}.svg", (string id, string? hand, bool? back, bool? numbers, int? stitch, int? move) =>
            Of(id, hand) is not { } lesson ? Results.NotFound()
                : stitch is not { } s || move is not { } m ? Picture(LessonDrawing.Still(lesson, null, back == true, numbers == true))
                : s < 0 || s >= lesson.Sewn.Count || m < 0 || m >= lesson.Sewn[s].Moves().Length ? Results.NotFound()
                : Picture(LessonDrawing.Still(lesson, (s, m), back == true)));
        app.MapGet("/stitches/{id}/moving.svg", (string id, string? hand) => Of(id, hand) is { } lesson
            ? Picture(LessonDrawing.Moving(lesson)) : Results.NotFound());
        app.MapGet("/stitches/{id}/letters.svg", (string id, bool? small, LetterShelf shelf) => Lettered(id, small == true) is { } job
            ? Picture(Stitched(job, shelf)) : Results.NotFound());
        app.MapGet("/stitches/{id}/at/{height:int}.svg", (string id, int height, LetterShelf shelf) => Book.Find(id) is not { } stitch
            || StitchSamples.Of(stitch).FirstOrDefault(s => s.HeightMm == height) is not { } sample ? Results.NotFound()
                : Picture(sample.Sewn is { } leaf ? LessonDrawing.AtSize(leaf)
                    : Stitched(Letters(id, sample.Strands, sample.HeightMm), shelf)));
        app.MapGet("/stitches/{id}/fails.svg", (string id) => Book.Find(id) is { } stitch && StitchSamples.Failing(stitch) is { } failing
            ? Picture(LessonDrawing.Still(failing.Sample.Sewn!)) : Results.NotFound());
        app.MapGet("/stitches/{id}.pdf", async (string id, string? hand, WorkshopStore workshops, CancellationToken cancel) =>
            Book.Find(id) is { } stitch && PracticeStrip.Of(stitch, hand == "left", Papers.Find((await workshops.Current(cancel)).Paper)!) is { } leaf
                ? Results.File(LeafPdf.Write([leaf]), "application/pdf") : Results.NotFound());
    }

    private static Lesson? Of(string id, string? hand) => Book.Find(id) is { } stitch ? Lesson.Of(stitch, hand == "left") : null;

    /// <summary>
    /// Two letters with tight places: at a comfortable height, or at little more than half of the least. Only what writes lines.
    /// </summary>
    private static Job? Lettered(string id, bool small) => Book.Lines.FirstOrDefault(s => s.Id == id) is not { } stitch ? null
        : Letters(id, Strands(id), Math.Round(small ? 0.55 * stitch.LeastCapMm(Strands(id))
            : Math.Min(90, stitch.ComfortableCapMm(Strands(id))), 1));

    private static Job Letters(string id, int strands, double capMm) => new("cushion-cover",
        [new TextElement("w", Tight, Stitch: id, Strands: strands, Colour: "#8c3a5f", CapHeightMm: capMm)],
        new DateOnly(2000, 1, 1), Fabric: new Core.Items.FabricOverrides(Colour: "#efe8d8"));

    private static int Strands(string id) => Lesson.Of(Book.Find(id)!)?.Strands ?? 2;

    private static string Stitched(Job job, LetterShelf shelf)
    {
        var plan = Planner.Make(job, Workshop.Default, shelf.Now);
        return LetterDrawing.Stitched(plan.Elements[0], plan.Item.Cloth);
    }

    private static IResult Picture(string svg) => Results.File(Encoding.UTF8.GetBytes(svg), "image/svg+xml");
}
