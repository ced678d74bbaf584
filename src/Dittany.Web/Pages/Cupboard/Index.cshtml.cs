using Dittany.Core.Items;
using Dittany.Formats.Json;
using Dittany.Store;
using Dittany.Web.Drawings;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>A form on its shelf.</summary>
public sealed record OnShelf(Form Form, string Picture, string Told, string Link, Kept? Own = null);

/// <summary>The cupboard: every form there is, by shelf and by search, her own first; forms come in and go out as files.</summary>
public sealed class IndexModel(CupboardStore cupboard) : PageModel
{
    private static readonly OnShelf[] Catalogued = Catalogue.Forms.Select(f =>
        new OnShelf(f, BenchDrawing.Bare(f), Sizes(f), $"/cupboard/form/{f.Id}")).ToArray();

    [BindProperty(SupportsGet = true)]
    public string? Q { get; set; }

    [BindProperty(SupportsGet = true)]
    public bool Away { get; set; }

    /// <summary>A form as a file's text, to be brought in.</summary>
    [BindProperty]
    public string? Json { get; set; }

    public IReadOnlyList<(string Name, IReadOnlyList<OnShelf> Forms)> Shelves { get; private set; } = [];

    public IReadOnlyList<FormFault> Faults { get; private set; } = [];

    public int Found => Shelves.Sum(s => s.Forms.Count);

    public async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        await Fill(cancel);
        return Request.Headers.ContainsKey("HX-Request") ? Partial("_Shelves", this) : Page();
    }

    public async Task<IActionResult> OnPostImport(IFormFile? file, CancellationToken cancel)
    {
        if (file is { Length: > 0 })
        {
            if (file.Length > FormJson.MostBytes)
            {
                return await Refused([new FormFault(string.Empty, "The file is larger than 1 MB.",
                    "A form takes a few kilobytes: is this the right file?")], cancel);
            }

            using var reader = new StreamReader(file.OpenReadStream());
            Json = await reader.ReadToEndAsync(cancel);
        }

        if (string.IsNullOrWhiteSpace(Json))
        {
            return await Refused([new FormFault(string.Empty, "No file was chosen.",
                "Choose a file that was taken out here, or paste what is in it.")], cancel);
        }

        var read = FormJson.Read(Json);
        if (read.Form is null)
        {
            return await Refused(read.Faults, cancel);
        }

        // A picture goes by its name only: where it is not at hand the outline stands without it.
        var form = read.Form;
        foreach (var side in read.Form.Faces)
        {
            if (side.Picture is { } picture && await cupboard.Picture(picture.Id, cancel) is null)
            {
                form = form.With(side with { Picture = null });
            }
        }

        var saved = await cupboard.Add(form, "Brought in from a file", cancel);
        return saved.Kept is { } kept ? RedirectToPage("Own", new { id = kept.Form.Id }) : await Refused(saved.Faults, cancel);
    }

    private async Task<IActionResult> Refused(IReadOnlyList<FormFault> faults, CancellationToken cancel)
    {
        Faults = faults;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        await Fill(cancel);
        return Page();
    }

    private async Task Fill(CancellationToken cancel)
    {
        var own = (await cupboard.All(Away, cancel)).Where(k => k.Archived == Away).Select(k =>
        {
            var form = OwnForms.AsForm(k.Form);
            return new OnShelf(form, BenchDrawing.Bare(form), $"{form.Sizes[0].Name}, {form.Measured}", $"/cupboard/own/{k.Form.Id}", k);
        });
        var all = own.Concat(Away ? [] : Catalogued).Where(f => Meets(f.Form, Q)).ToArray();
        Shelves = Enum.GetValues<Shelf>()
            .Select(s => (Away ? "Put away" : Catalogue.NameOf(s), (IReadOnlyList<OnShelf>)all.Where(f => f.Form.Shelf == s).ToArray()))
            .Where(s => s.Item2.Count > 0)
            .ToArray();
    }

    /// <summary>Every word of the search stands in the form's names, zones, shelf or cloth.</summary>
    internal static bool Meets(Form form, string? search)
    {
        var all = string.Join(' ', form.AlsoCalled.Append(form.Name).Append(Catalogue.NameOf(form.Shelf)).Append(
            Core.Materials.Cloths.Find(form.UsualCloth)!.Name).Concat(form.Zones.Select(z => z.Name)));
        return (search ?? string.Empty).Split(' ', StringSplitOptions.RemoveEmptyEntries).All(word =>
            all.Contains(word, StringComparison.OrdinalIgnoreCase));
    }

    private static string Sizes(Form form) => form.Sizes.Count <= 2 ? string.Join(", ", form.Sizes.Select(s => s.Name))
        : $"{form.Sizes.Count.ToString(System.Globalization.CultureInfo.InvariantCulture)} sizes, "
            + $"{Core.Measures.Say.Count(form.Zones.Count, "place")}";
}
