using System.Globalization;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Formats.Json;
using Dittany.Store;
using Dittany.Web.Drawings;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>One form of the catalogue: its faces at a size or scaled to hers, places, what is kept clear, and what to do with it.</summary>
public sealed class FormModel(CupboardStore cupboard, WorkshopStore workshops, LetterShelf shelf) : PageModel
{
    [BindProperty(SupportsGet = true, Name = "size")]
    public string? SizeId { get; set; }

    [BindProperty(SupportsGet = true, Name = "face")]
    public string? FaceId { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Width { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Height { get; set; }

    [BindProperty(SupportsGet = true)]
    public bool TrueSize { get; set; }

    public Form Form { get; private set; } = null!;

    public FormSize Size { get; private set; } = null!;

    public IReadOnlyList<Drawn> Faces { get; private set; } = [];

    public Drawn Face { get; private set; } = null!;

    public Units Units { get; private set; }

    public IReadOnlyList<ValidationError> Faults { get; private set; } = [];

    public string Drawing => FormDrawing.Draw(Form, Face, Units, TrueSize);

    public IReadOnlyList<string> Clearances => Face.Obstacles.DistinctBy(o => o.Name).Select(o =>
        Core.Space.Clearances.Tell(o).In(Units)).ToArray();

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    /// <summary>A copy of this form at this size, all its faces, as an own one to be changed.</summary>
    public async Task<IActionResult> OnPostCopy(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || Faults.Count > 0)
        {
            return Form is null ? NotFound() : Page();
        }

        var saved = await cupboard.Add(OwnForm.CopyOf(Form, Size, "copy", $"My {Form.Name}"), $"Copied from {Form.Name}", cancel);
        return RedirectToPage("Own", new { id = saved.Kept!.Form.Id, face = Face.Face.Id });
    }

    /// <summary>The form at this size as a file.</summary>
    public async Task<IActionResult> OnGetFile(string id, CancellationToken cancel) => await Load(id, cancel) && Faults.Count == 0
        ? File(System.Text.Encoding.UTF8.GetBytes(FormJson.Write(OwnForm.CopyOf(Form, Size, $"own-{Form.Id}", $"My {Form.Name}"),
            indented: true)), "application/json", $"{Form.Id}.json")
        : NotFound();

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (Catalogue.Find(id) is not { } form)
        {
            return false;
        }

        Form = form;
        Units = (await workshops.Current(cancel)).Units;
        var usual = form.Sizes.FirstOrDefault(s => s.Id == SizeId) ?? form.Sizes.First(s => s.Id == form.UsualSize);
        var (measured, unread) = TypedMeasures.Read(form, Width, Height, Units);
        var job = new Job(form.Id, [new TextElement("name", "A")], new DateOnly(2000, 1, 1), Size: form.Sizes.Any(s => s.Id == SizeId)
            ? SizeId : null, MeasuredMm: measured);
        ValidationError[] faults = [.. unread, .. JobCheck.Faults(job, Workshop.Default, shelf.Now).Where(f =>
            f.Pointer.StartsWith("#/item/measured", StringComparison.Ordinal))];
        Faults = faults;
        if (faults.Length > 0)
        {
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        }

        Size = (faults.Length == 0 ? form.Scaled(job.MeasuredMm, job.Size) : null) ?? usual;
        Faces = form.Build(Size);
        Face = Faces.FirstOrDefault(f => f.Face.Id == FaceId) ?? Faces[0];
        return true;
    }

    /// <summary>The address of this form looked at otherwise.</summary>
    public string Link(string? face = null, bool? trueSize = null, string? handler = null)
    {
        var query = new List<string>();
        void Add(string name, string? value)
        {
            if (!string.IsNullOrEmpty(value))
            {
                query.Add($"{name}={Uri.EscapeDataString(value)}");
            }
        }

        Add("size", SizeId);
        Add("face", face ?? Face.Face.Id);
        Add("Width", Width);
        Add("Height", Height);
        Add("TrueSize", trueSize ?? TrueSize ? "true" : null);
        Add("handler", handler);
        return $"/cupboard/form/{Form.Id}?{string.Join('&', query)}";
    }

    /// <summary>What a new piece on this begins with.</summary>
    public string NewLink => $"/new?form={Form.Id}&size={Uri.EscapeDataString(Size.Id)}"
        + (Size.Source == "measured by the maker" ? string.Create(CultureInfo.InvariantCulture,
        $"&width={Size.WidthMm:0.#}&height={Size.HeightMm:0.#}") : string.Empty);
}
