using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Stitches;

/// <summary>One stitch to learn: how the needle goes, step by step, for either hand; what it is for and where it fails.</summary>
public sealed class StitchModel(WorkshopStore workshops, PieceStore pieces) : PageModel
{
    [BindProperty(SupportsGet = true)]
    public int? Piece { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Hand { get; set; }

    public IStitch Stitch { get; private set; } = Book.Plainest;

    public Lesson Lesson { get; private set; } = null!;

    public Piece? For { get; private set; }

    /// <summary>What the piece is called on a button.</summary>
    public string ForCalled => For?.Job switch
    {
        { Title: { } title } => $"“{title}”",
        { Wordings: [var words, ..] } => $"“{words.Text.ReplaceLineEndings(" ")}”",
        { Motifs: [var motif, ..] } => $"the {Core.Motifs.MotifLibrary.Find(motif.Motif)?.Name ?? "motif"}",
        _ => "the piece",
    };

    public Units Units { get; private set; }

    public string? Fault { get; private set; }

    public bool Left => Hand == "left";

    public bool Line => Finding.What(Stitch) == Makes.Line;

    public string Trait => Traits.Tell(Stitch.Info.Trait);

    /// <summary>How it comes out at the heights all stitches are shown at.</summary>
    public HeightsView Samples => new(Stitch, StitchSamples.Of(Stitch), Units);

    /// <summary>What goes behind an address of its pictures.</summary>
    public string Handed => Left ? "hand=left" : "hand=right";

    public string Needle => $"a {Needles.Usual(Lesson.Strands).Name}";

    public IReadOnlyList<(int Strands, string Least, string Comfortable)> Heights => !Line ? [] : new[] { 1, 2, 3, 4, 6 }.Select(n =>
        (n, Tape.Length(Stitch.LeastCapMm(n), Units), Tape.Length(Stitch.ComfortableCapMm(n), Units))).ToArray();

    public string Amounts => Lesson.Area
        ? $"A square centimetre takes about {Tape.Length(Math.Round(Lesson.ThreadMm), Units)} of thread and {Say.Minutes(Math.Max(1, Lesson.Seconds / 60))}."
        : Lesson.LineMm.Count < 2 ? $"Each takes about {Tape.Length(Math.Round(Lesson.ThreadMm), Units)} of thread and {Say.Number(Lesson.Seconds, 0)} seconds."
        : $"A centimetre takes about {Tape.Length(Math.Round(Lesson.ThreadMm), Units)} of thread and {Say.Number(Lesson.Seconds, 0)} seconds.";

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    /// <summary>Takes it for the words of the piece, or for its motif.</summary>
    public async Task<IActionResult> OnPostTake(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || For is null)
        {
            return NotFound();
        }

        var change = new Change("stitch", id, Say.Upper(Stitch.Name), job => TryOut.Taken(job, Stitch));
        var changed = await pieces.Change(For.Id, For.Head, change, await workshops.Current(cancel), cancel: cancel);
        if (changed?.Faults is { Count: > 0 } faults)
        {
            Fault = string.Join(' ', faults.Select(f => $"{f.Detail} {f.Try}"));
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        return Redirect($"/bench/{For.Id.ToString(CultureInfo.InvariantCulture)}?Station=stitches");
    }

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (Book.Find(id) is not { } stitch || Lesson.Of(stitch, Left) is not { } lesson)
        {
            return false;
        }

        (Stitch, Lesson) = (stitch, lesson);
        Units = (await workshops.Current(cancel)).Units;
        For = Piece is { } piece ? await pieces.Find(piece, cancel) : null;
        return Piece is null || For is not null;
    }
}
