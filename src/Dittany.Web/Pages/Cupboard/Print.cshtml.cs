using System.Globalization;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>The cloth of a piece, photographed: its print goes under the drawing, and its colours steer threads and lines.</summary>
[RequestSizeLimit(PhotographModel.MostRequest)]
[RequestFormLimits(MultipartBodyLengthLimit = PhotographModel.MostRequest)]
public sealed class PrintModel(PieceStore pieces, WorkshopStore workshops, CupboardStore cupboard, PictureDesk pictures) : PageModel
{
    public int Piece { get; private set; }

    public string? Fault { get; private set; }

    /// <summary>The width as it was typed.</summary>
    public string? Typed { get; private set; }

    /// <summary>Whether the piece lies on a photograph already.</summary>
    public bool HasPrint { get; private set; }

    public async Task<IActionResult> OnGet(int piece, CancellationToken cancel) => await Load(piece, cancel) is null ? NotFound() : Page();

    public async Task<IActionResult> OnPost(int piece, IFormFile? picture, string? wide, CancellationToken cancel)
    {
        if (await Load(piece, cancel) is not { } found)
        {
            return NotFound();
        }

        var workshop = await workshops.Current(cancel);
        Typed = wide;
        if (Tape.Read(wide ?? string.Empty, workshop.Units) is not { } mm || mm is < ClothPrint.LeastMm or > ClothPrint.MostMm)
        {
            return Refused($"“{wide}” is no width of cloth in a picture. Write {Tape.Length(ClothPrint.LeastMm, workshop.Units)} to "
                + $"{Tape.Length(ClothPrint.MostMm, workshop.Units)}, such as {Tape.Length(150, workshop.Units)}.");
        }

        var (taken, detail, @try) = await pictures.Take(picture, cancel);
        if (taken is null)
        {
            return Refused($"{detail} {@try}");
        }

        if (await pictures.At(() => ClothFinder.Of(taken.Bytes, mm), cancel) is not { } seen)
        {
            return Refused("Nothing could be read of it. Save it once more, as JPEG.");
        }

        var print = new ClothPrint(await cupboard.Keep(taken, cancel), Math.Round(mm, 1), seen.HighMm, seen.DarkL, seen.LightL);
        return await Changed(found, new Change("fabric.print", null, "Photographed the cloth", job => job with
        {
            Fabric = (job.Fabric ?? new FabricOverrides()) with { Print = print, Colour = seen.Colour.ToString(), Busy = seen.Busy },
        }), workshop, cancel);
    }

    /// <summary>Without the photograph: what it told of colour and print stays until it is said otherwise.</summary>
    public async Task<IActionResult> OnPostAway(int piece, CancellationToken cancel) => await Load(piece, cancel) is not { } found
        ? NotFound()
        : await Changed(found, new Change("fabric.print", null, "Without the photograph", job => job with
        {
            Fabric = job.Fabric is { } fabric ? fabric with { Print = null } : null,
        }), await workshops.Current(cancel), cancel);

    private async Task<IActionResult> Changed(Piece found, Change change, Workshop workshop, CancellationToken cancel)
    {
        var changed = await pieces.Change(found.Id, found.Head, change, workshop, cancel: cancel);
        return changed?.Piece is not null
            ? Redirect(string.Create(CultureInfo.InvariantCulture, $"/bench/{found.Id}?Station=item"))
            : Refused(changed?.Faults is { Count: > 0 } faults ? $"{faults[0].Detail} {faults[0].Try}"
                : "The piece was changed somewhere else in the meantime: take it in once more.");
    }

    private PageResult Refused(string fault)
    {
        Fault = fault;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task<Piece?> Load(int piece, CancellationToken cancel)
    {
        var found = await pieces.Find(piece, cancel);
        (Piece, HasPrint) = (piece, found?.Job.Fabric?.Print is not null);
        return found;
    }
}
