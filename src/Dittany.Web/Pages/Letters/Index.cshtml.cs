using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Words;
using Dittany.Formats.Alphabets;
using Dittany.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Letters;

/// <summary>One alphabet on the page: what is measured of it, whether it has the words' letters.</summary>
public sealed record Hand(IAlphabet Alphabet, string Picture, string? Lacks)
{
    /// <summary>Heights of capitals it is shown in on asking, mm: small, usual and large for a name (from memory).</summary>
    public static IReadOnlyList<int> SizesMm { get; } = [10, 18, 28];

    /// <summary>The picture at a height.</summary>
    public string At(int capMm) => $"{Picture}&cap={capMm.ToString(CultureInfo.InvariantCulture)}";

    public string Kind => Alphabet.Kind switch
    {
        AlphabetKind.Stroke => "single strokes, our own",
        AlphabetKind.Weighted => "outlines",
        _ => "centre lines"
    };
}

/// <summary>All alphabets, written with the words of a piece or any others; her own fonts brought in.</summary>
[RequestSizeLimit(MostRequest)]
[RequestFormLimits(MultipartBodyLengthLimit = MostRequest)]
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, LetterStore letters, LetterShelf shelf) : PageModel
{
    /// <summary>Somewhat more than the largest file, so that one too large is told of and not cut off.</summary>
    public const int MostRequest = FontFile.MostBytes + (1024 * 1024);

    [BindProperty(SupportsGet = true)]
    public int? Piece { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Text { get; set; }

    /// <summary>The place of the piece it is for, where it has several.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    public Piece? For { get; private set; }

    public string Words { get; private set; } = string.Empty;

    public FontFault? Fault { get; private set; }

    public string? Kept { get; private set; }

    public IReadOnlyList<(string Name, IReadOnlyList<Hand> Hands)> Shelves { get; private set; } = [];

    public async Task<IActionResult> OnGet(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Writes the piece in this alphabet, and goes back to its bench.</summary>
    public async Task<IActionResult> OnPostTake(string alphabet, CancellationToken cancel)
    {
        if (!await Load(cancel) || For is null)
        {
            return NotFound();
        }

        var changed = await pieces.Change(For.Id, For.Head, new Change(Places.Member(Place, "alphabet"), alphabet, "Changed the hand"),
            await workshops.Current(cancel), cancel: cancel);
        if (changed?.Faults is { Count: > 0 } faults)
        {
            Fault = new FontFault(faults[0].Detail, faults[0].Try);
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        return Redirect($"/bench/{For.Id.ToString(CultureInfo.InvariantCulture)}?Station=words{(Place is null ? null : $"&Place={Uri.EscapeDataString(Place)}")}");
    }

    /// <summary>Brings a font of her own.</summary>
    public async Task<IActionResult> OnPostBring(IFormFile? font, CancellationToken cancel)
    {
        using var bytes = new MemoryStream();
        if (font is not null)
        {
            await font.CopyToAsync(bytes, cancel);
        }

        var (id, fault) = await letters.AddFont(bytes.ToArray(), font?.FileName ?? string.Empty, cancel);
        await Load(cancel);
        (Kept, Fault) = (id, fault);
        if (fault is not null)
        {
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        }

        return Page();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (Piece is { } id && (For = await pieces.Find(id, cancel)) is null)
        {
            return false;
        }

        if (For is not null && Place is not null && Places.Find(For.Job, Place) is { } place)
        {
            For = For with { Job = place.Job };
        }

        Words = !string.IsNullOrWhiteSpace(Text) ? Text.Trim() : For is { Job.Wordings: [var first, ..] }
            ? first.Text.ReplaceLineEndings(" ") : "Zoë & Max";
        var asked = Rows.Letters(Words.ReplaceLineEndings(" ")).Where(l => !Rows.IsSpace(l)).Distinct(StringComparer.Ordinal).ToArray();
        var on = For is null ? string.Empty : $"&piece={For.Id.ToString(CultureInfo.InvariantCulture)}";
        Hand Of(IAlphabet a) => new(a, $"/letters/{a.Id}.svg?text={Uri.EscapeDataString(Words)}{on}",
            asked.Where(l => !a.Has(l)).Take(5).ToArray() is { Length: > 0 } lacking
            ? Core.Measures.Say.List(lacking.Select(l => $"“{l}”").ToArray()) : null);
        var all = shelf.Now.Alphabets;
        Shelves = new (string, IReadOnlyList<Hand>)[]
        {
            ("Our own hands", all.Where(a => a.Kind == AlphabetKind.Stroke).Select(Of).ToArray()),
            ("Yours", all.Where(Alphabets.IsOwn).Select(Of).ToArray()),
            ("Along the middle of the strokes", all.Where(a => a.Kind == AlphabetKind.CentreLine
                && !Alphabets.IsOwn(a)).Select(Of).ToArray()),
            ("Round the outline", all.Where(a => a.Kind == AlphabetKind.Weighted && !Alphabets.IsOwn(a)).Select(Of).ToArray()),
        }.Where(s => s.Item2.Count > 0).ToArray();
        return true;
    }
}
