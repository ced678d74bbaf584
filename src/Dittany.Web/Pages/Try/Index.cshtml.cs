using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Formats.Sheets;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Try;

/// <summary>
/// Her very words in every stitch that fits them, beside each other at true size; two laid side by side in full; one taken.
/// </summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, PlanService desk, Plans plans) : PageModel
{
    /// <summary>So many are made at once, so that the first are seen soon.</summary>
    public const int AtOnce = 6;

    /// <summary>The first of those that are shown.</summary>
    [BindProperty(SupportsGet = true)]
    public int From { get; set; }

    /// <summary>One that is laid beside another.</summary>
    [BindProperty(SupportsGet = true)]
    public string? A { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? B { get; set; }

    /// <summary>The place of the piece whose words are tried, where it has several.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    private JobPlace? _place;

    public Piece Piece { get; private set; } = null!;

    public Plan Plan { get; private set; } = null!;

    public Units Units { get; private set; }

    public IReadOnlyList<TryMake> Makes { get; private set; } = [];

    public IReadOnlyList<Tried> Shown { get; private set; } = [];

    /// <summary>The two that are compared, or the one that waits for its other.</summary>
    public IReadOnlyList<Tried> Beside { get; private set; } = [];

    public string? Fault { get; private set; }

    public int? Next => From + AtOnce < Makes.Count ? From + AtOnce : null;

    /// <summary>How broad a card is, so that the words in it can be seen whole at their true size.</summary>
    public string Broad => Plan is not { Elements: [var first, ..] } ? string.Empty : first.BoxMm.Width switch
    {
        <= 62 => string.Empty,
        <= 92 => "broad",
        _ => "whole",
    };

    public string Words => Piece.Job.Wordings is [var first, ..] ? first.Text.ReplaceLineEndings(" ") : string.Empty;

    private string Id => Piece.Id.ToString(CultureInfo.InvariantCulture);

    public string Address => $"/try/{Id}";

    /// <summary>The place, as the end of an address that goes on with it.</summary>
    public string InPlace => _place is null ? string.Empty : $"&Place={Uri.EscapeDataString(_place.Key)}";

    /// <summary>The address with one more chosen to be compared.</summary>
    public string With(Tried tried) => A is null || A == tried.Make.Id ? $"{Address}?A={tried.Make.Id}{InPlace}" : $"{Address}?A={A}&B={tried.Make.Id}{InPlace}";

    public string Thread(Tried tried) => Tape.Length(Math.Round(tried.ThreadMm / 10) * 10, Units);

    public async Task<IActionResult> OnGet(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        Beside = await Make(new[] { A, B }.Select(n => n is null ? null : TryOut.Find(n)).OfType<TryMake>().DistinctBy(m => m.Id), cancel);
        Shown = await Make(Makes.Skip(From).Take(AtOnce), cancel);
        return Page();
    }

    /// <summary>The next few, with where those after them come from.</summary>
    public async Task<IActionResult> OnGetMore(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        Shown = await Make(Makes.Skip(From).Take(AtOnce), cancel);
        return Partial("_Makes", this);
    }

    /// <summary>All of them on paper, at true size.</summary>
    public async Task<IActionResult> OnGetPaper(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || Makes.Count == 0)
        {
            return NotFound();
        }

        var paper = Papers.Find((await workshops.Current(cancel)).Paper)!;
        return File(LeafPdf.Write(TryOutSheet.Of(Words, await Make(Makes, cancel), paper, Units)), "application/pdf");
    }

    /// <summary>Takes one way for the words.</summary>
    public async Task<IActionResult> OnPostTake(int id, string make, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || TryOut.Find(make) is not { } taken || Makes.Count == 0)
        {
            return NotFound();
        }

        var change = new Change("stitch", taken.Id, taken.Name, job => _place is null ? TryOut.Taken(job, taken.Stitch, taken.Size)
            : Places.Put(job, _place, TryOut.Taken(_place.Job, taken.Stitch, taken.Size)));
        var changed = await pieces.Change(Piece.Id, Piece.Head, change, await workshops.Current(cancel), cancel: cancel);
        if (changed?.Faults is { Count: > 0 } faults)
        {
            Fault = string.Join(' ', faults.Select(f => $"{f.Detail} {f.Try}"));
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            Shown = await Make(Makes.Take(AtOnce), cancel);
            return Page();
        }

        return Redirect($"/bench/{Id}?Station=stitches{InPlace}");
    }

    private async Task<bool> Load(int id, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return false;
        }

        _place = Place is null || Places.Of(piece.Job).Count == 1 ? null : Places.Find(piece.Job, Place);
        piece = _place is null ? piece : piece with { Job = _place.Job };
        Piece = piece;
        var workshop = await workshops.Current(cancel);
        Units = workshop.Units;
        var planned = await desk.Plan(piece, workshop, cancel);
        Plan = planned.Plan;
        Makes = TryOut.Makes(planned.Job, planned.Plan);
        From = Math.Clamp(From, 0, Math.Max(0, Makes.Count - 1));
        return true;
    }

    private async Task<IReadOnlyList<Tried>> Make(IEnumerable<TryMake> makes, CancellationToken cancel)
    {
        if (Makes.Count == 0)
        {
            return [];
        }

        var workshop = await workshops.Current(cancel);
        return [.. (await Task.WhenAll(makes.Select(m => One(m, workshop, cancel)))).OfType<Tried>()];
    }

    /// <summary>A way made on whichever core is free, so that several are made at once.</summary>
    private async Task<Tried?> One(TryMake make, Workshop workshop, CancellationToken cancel)
    {
        try
        {
            var job = TryOut.With(Piece.Job with { Today = desk.Today }, Plan, make);
            var plan = await Task.Run(() => plans.Make(job, workshop, cancel), cancel);
            return TryOut.Of(make, UnitConversion.In(plan, Units));
        }
        catch (UnplannedException)
        {
            return null;
        }
    }
}
