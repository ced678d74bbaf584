using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>A photograph taken in: from a file, or from the made-up camera that stands in for a phone.</summary>
[RequestSizeLimit(MostRequest)]
[RequestFormLimits(MultipartBodyLengthLimit = MostRequest)]
public sealed class PhotographModel(CupboardStore cupboard, IPhoneCamera camera, PictureDesk pictures) : PageModel
{
    /// <summary>A little more than the largest picture, so that one too large is told of and not cut off.</summary>
    public const int MostRequest = PictureFile.MostBytes + (4 * 1024 * 1024);

    public string? Fault { get; private set; }

    public IReadOnlyList<(string Id, string Name)> Scenes => camera.Scenes;

    /// <summary>The own form this is to be one more side of.</summary>
    [BindProperty(SupportsGet = true)]
    public string? For { get; set; }

    /// <summary>What that form is called; null where a new one begins.</summary>
    public string? Of { get; private set; }

    public string Post(string? handler = null) =>
        $"/cupboard/photograph?For={Uri.EscapeDataString(For ?? string.Empty)}{(handler is null ? null : $"&handler={handler}")}";

    public async Task OnGet(CancellationToken cancel) => Of = For is { } id ? (await cupboard.Find(id, cancel))?.Form.Name : null;

    public async Task<IActionResult> OnPost(IFormFile? picture, CancellationToken cancel)
    {
        return await Taken(await pictures.Take(picture, cancel), "From a file", cancel);
    }

    /// <summary>A picture of the made-up camera.</summary>
    public async Task<IActionResult> OnPostMadeUp(string scene, CancellationToken cancel) =>
        camera.Scenes.FirstOrDefault(s => s.Id == scene) is { Id: not null } of
            ? await Taken(await pictures.At(() => PictureFile.Take(camera.Take(scene)!), cancel), of.Name, cancel)
            : NotFound();

    private async Task<IActionResult> Taken((TakenPicture? Picture, string? Detail, string? Try) taken, string note,
        CancellationToken cancel)
    {
        var (picture, detail, @try) = taken;
        if (picture is null)
        {
            Fault = $"{detail} {@try}";
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            await OnGet(cancel);
            return Page();
        }

        var id = await cupboard.Begin(await cupboard.Keep(picture, cancel), note, string.IsNullOrEmpty(For) ? null : For, cancel);
        return RedirectToPage("Straighten", new { id });
    }
}
