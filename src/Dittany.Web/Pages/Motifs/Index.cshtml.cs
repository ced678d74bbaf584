using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Formats.Drawings;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Motifs;

/// <summary>All motifs on their shelves, one of them varied, her own drawings brought in; and any of them put on a piece.</summary>
[RequestSizeLimit(MostRequest)]
[RequestFormLimits(MultipartBodyLengthLimit = MostRequest)]
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, LetterStore letters, TracingStore tracings) : PageModel
{
    /// <summary>Somewhat more than the largest file, so that one too large is told of and not cut off.</summary>
    public const int MostRequest = SvgDrawing.MostBytes + (1024 * 1024);

    [BindProperty(SupportsGet = true)]
    public int? Piece { get; set; }

    /// <summary>The motif that is looked at.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Motif { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? Parts { get; set; }

    [BindProperty(SupportsGet = true)]
    public double? Lean { get; set; }

    [BindProperty(SupportsGet = true)]
    public bool Mirrored { get; set; }

    [BindProperty(SupportsGet = true)]
    public double? Wobble { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? Seed { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Arrangement { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? Count { get; set; }

    /// <summary>The place of the piece it is for, where it has several.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    public Piece? For { get; private set; }

    private JobPlace? At => For is not null && Place is not null ? Places.Find(For.Job, Place) : null;

    public Motif? Shown { get; private set; }

    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>What of a drawing just brought in was not used; null where none was.</summary>
    public string? NotUsed { get; private set; }

    /// <summary>How large the drawing is on the picture it was traced over; null where it was not traced.</summary>
    public string? TracedSize { get; private set; }

    /// <summary>Tracings without a line yet.</summary>
    public IReadOnlyList<(int Id, string Name)> Begun { get; private set; } = [];

    public IReadOnlyList<(string Name, IReadOnlyList<(string Id, string Name)> Motifs)> Shelves { get; private set; } = [];

    /// <summary>The variation, as the end of an address.</summary>
    public string Varied => string.Join('&', new (string Name, IFormattable? Value)[] { ("parts", Parts), ("lean", Lean),
        ("wobble", Wobble), ("seed", Seed), ("count", Count) }
        .Where(v => v.Value is not null).Select(v => $"{v.Name}={v.Value!.ToString(null, CultureInfo.InvariantCulture)}")
        .Concat(Mirrored ? ["mirrored=true"] : []).Concat(Arrangement is { } how ? [$"arrangement={Uri.EscapeDataString(how)}"] : []));

    public async Task<IActionResult> OnGet(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Puts the motif on the piece as one of its own, or with its words, and goes to the bench.</summary>
    public async Task<IActionResult> OnPostPut(string? with, bool asTraced, CancellationToken cancel)
    {
        if (!await Load(cancel) || For is null || Shown is null)
        {
            return NotFound();
        }

        var own = Shown.Shelf == MotifShelf.Own ? new OwnDrawing(Shown.Name, Shown.Build(0)) : null;
        if (with is not null && own is null && (At?.Job ?? For.Job).Wordings is [var first, ..])
        {
            var words = first.Id;
            return await Changed(new Change(Places.Member(At?.Key, "motif"), Shown.Id, $"The {Shown.Name} with the words", job => job.With(words, e =>
                e is TextElement text ? text with { Motif = Shown.Id, MotifPlace = with, MotifCount = Parts } : e)), cancel);
        }

        var id = Enumerable.Range(1, 99).Select(n => $"motif-{n.ToString(CultureInfo.InvariantCulture)}").First(i =>
            For.Job.Find(i) is null);
        var asked = new MotifElement(
            id, own is null ? Shown.Id : "own", HeightMm: asTraced && own is not null && Arrangement is null or "one"
                ? Math.Round(own.Figure.Height, 1) : null, Arrangement: Arrangement is null or "one" ? null : Arrangement, Count: Count,
                Parts: Parts, LeanDegrees: Lean, Mirrored: Mirrored ? true : null, WobblePercent: Wobble, Seed: Seed, Drawing: own)
        {
            Zone = At is { } at && at.Zone != Places.UsualZone(For.Job) ? at.Zone : null,
        };
        return await Changed(new Change("motifs", id, $"The {Shown.Name}", job => job with { Elements = [.. job.Elements, asked] }),
            cancel);
    }

    /// <summary>Brings a drawing of her own.</summary>
    public async Task<IActionResult> OnPostBring(IFormFile? drawing, CancellationToken cancel)
    {
        using var bytes = new MemoryStream();
        if (drawing is not null)
        {
            await drawing.CopyToAsync(bytes, cancel);
        }

        var read = SvgDrawing.Read(bytes.ToArray());
        if (read.Figure is null)
        {
            await Load(cancel);
            Faults = [read.Fault!];
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        var id = await letters.AddDrawing(read, drawing!.FileName, cancel);
        Motif = $"own-{id.ToString(CultureInfo.InvariantCulture)}";
        await Load(cancel);
        NotUsed = read.NotUsed.Count == 0 ? "All of the file was used." : $"Not used of the file: {string.Join(", ", read.NotUsed)}.";
        return Page();
    }

    /// <summary>Puts an own drawing away.</summary>
    public async Task<IActionResult> OnPostAway(int drawing, CancellationToken cancel)
    {
        await letters.Archive(drawing, cancel);
        return RedirectToPage(new { Piece });
    }

    private async Task<IActionResult> Changed(Change change, CancellationToken cancel)
    {
        var changed = await pieces.Change(For!.Id, For.Head, change, await workshops.Current(cancel), cancel: cancel);
        if (changed?.Faults is { Count: > 0 } faults)
        {
            Faults = faults.Select(f => $"{f.Detail} {f.Try}").ToArray();
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        return Redirect($"/bench/{For.Id.ToString(CultureInfo.InvariantCulture)}?Station=words{(Place is null ? null : $"&Place={Uri.EscapeDataString(Place)}")}");
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (Piece is { } id && (For = await pieces.Find(id, cancel)) is null)
        {
            return false;
        }

        if (Motif is { } named && (Shown = await DrawnPictures.Find(named, letters, cancel)) is null)
        {
            return false;
        }

        if (Shown is { Shelf: MotifShelf.Own } mine && (await letters.Drawing(int.Parse(mine.Id.AsSpan(4), CultureInfo.InvariantCulture),
            cancel))?.Traced == true)
        {
            var (figure, units) = (mine.Build(0), (await workshops.Current(cancel)).Units);
            TracedSize = $"{Tape.Length(Math.Round(figure.Width, 1), units)} × {Tape.Length(Math.Round(figure.Height, 1), units)}";
        }

        Begun = await tracings.Begun(cancel);
        var own = await letters.Drawings(cancel);
        Shelves = MotifLibrary.All.GroupBy(m => m.Shelf).OrderBy(g => g.Key).Select(g =>
            (g.Key.ToString(), (IReadOnlyList<(string, string)>)g.Select(m => (m.Id, m.Name)).ToArray()))
            .Append(("Yours", own.Select(d => ($"own-{d.Id.ToString(CultureInfo.InvariantCulture)}", d.Drawing.Name)).ToArray())).Where(
                s => s.Item2.Count > 0).ToArray();
        return true;
    }
}
