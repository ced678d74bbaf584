using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Motifs;

/// <summary>A picture taken in to be traced: from a file, from a photograph that was straightened, or made up.</summary>
[RequestSizeLimit(Cupboard.PhotographModel.MostRequest)]
[RequestFormLimits(MultipartBodyLengthLimit = Cupboard.PhotographModel.MostRequest)]
public sealed class BeginModel(TracingStore tracings, CupboardStore cupboard, WorkshopStore workshops, PictureDesk pictures) : PageModel
{
    [BindProperty]
    public string? Name { get; set; }

    /// <summary>How wide what the picture shows is, as typed.</summary>
    [BindProperty]
    public string? Width { get; set; }

    public IReadOnlyList<FormFault> Faults { get; private set; } = [];

    /// <summary>Forms of hers that were traced from a photograph.</summary>
    public IReadOnlyList<(string Id, string Name)> Photographs { get; private set; } = [];

    /// <summary>What she traced before, newest first.</summary>
    public IReadOnlyList<KeptTracing> Before { get; private set; } = [];

    private const int MostShown = 8;

    public async Task OnGet(CancellationToken cancel) => await Load(cancel);

    public async Task<IActionResult> OnPost(IFormFile? picture, CancellationToken cancel)
    {
        var units = (await workshops.Current(cancel)).Units;
        var faults = new List<FormFault>();
        var width = Tape.Read(Width ?? string.Empty, units);
        if (width is null)
        {
            faults.Add(new FormFault("width", string.IsNullOrWhiteSpace(Width) ? "How wide what the picture shows is was left empty."
                : $"“{Width}” is not a length.", Tape.Wanted(units)));
        }

        var (taken, detail, @try) = await pictures.Take(picture, cancel);
        if (taken is null)
        {
            faults.Add(new FormFault("picture", detail!, @try!));
        }

        return faults.Count > 0 ? await Refused(faults, cancel)
            : await Begun(Name, await cupboard.Keep(taken!, cancel), width!.Value, width.Value * taken!.HeightPx / taken.WidthPx, cancel);
    }

    /// <summary>Over the picture of an own form's side: its size is known.</summary>
    public async Task<IActionResult> OnPostPhotograph(string form, CancellationToken cancel)
    {
        var (id, side) = form.Split('/') is [var of, var face] ? (of, face) : (form, null);
        return await cupboard.Find(id, cancel) is { } kept && kept.Form.Face(side).Picture is { } picture
            ? await Begun($"Drawing on {kept.Form.Name}", picture.Id, picture.WidthMm, picture.HeightMm, cancel)
            : NotFound();
    }

    public async Task<IActionResult> OnPostMadeUp(CancellationToken cancel) =>
        await Begun("Bird from a postcard", await cupboard.Keep((await pictures.At(() => PictureFile.Take(MadeUpSketch.Render()),
            cancel)).Picture!, cancel), MadeUpSketch.WidthMm, MadeUpSketch.HeightMm, cancel);

    private async Task<IActionResult> Begun(string? name, string picture, double widthMm, double heightMm, CancellationToken cancel)
    {
        var called = (name ?? string.Empty).Trim().Normalize();
        var saved = await tracings.Begin(new Tracing(called.Length > 60 ? called[..60] : called, picture, widthMm, heightMm, []), cancel);
        return saved.Kept is { } kept ? RedirectToPage("Trace", new { id = kept.Id }) : await Refused(saved.Faults, cancel);
    }

    private async Task<IActionResult> Refused(IReadOnlyList<FormFault> faults, CancellationToken cancel)
    {
        Faults = faults;
        await Load(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task Load(CancellationToken cancel)
    {
        Before = await tracings.All(MostShown, cancel);
        Photographs = (await cupboard.All(cancel: cancel))
            .SelectMany(k => k.Form.Faces.Where(f => f.Picture is not null).Select(f =>
                ($"{k.Form.Id}/{f.Id}", k.Form.Faces.Count > 1 ? $"{k.Form.Name}, {f.Name}" : k.Form.Name))).ToArray();
    }
}
