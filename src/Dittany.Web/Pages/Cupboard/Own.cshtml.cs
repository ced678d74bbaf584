using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Formats.Json;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>One ring as it is edited: the item's outline, a zone or an obstacle. Everything typed is kept as typed.</summary>
public sealed class RingEdit
{
    public string Id { get; set; } = string.Empty;

    public string? Name { get; set; }

    public string? Kind { get; set; }

    public string? Edge { get; set; }

    public string? Points { get; set; }

    /// <summary>Set to take it out.</summary>
    public bool Out { get; set; }
}

/// <summary>An own form: its outline, zones and obstacles placed by keyboard or mouse, its cloth and use; kept as revisions, archived, duplicated, taken out.</summary>
public sealed class OwnModel(CupboardStore cupboard, WorkshopStore workshops) : PageModel
{
    [BindProperty]
    public int From { get; set; }

    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string Cloth { get; set; } = "quilting-cotton";

    [BindProperty]
    public string Colour { get; set; } = "#f1ede2";

    [BindProperty]
    public string Wearer { get; set; } = "nobody";

    [BindProperty]
    public bool Handled { get; set; }

    [BindProperty]
    public bool NextToSkin { get; set; }

    [BindProperty]
    public bool SeenOutdoors { get; set; }

    [BindProperty]
    public bool MadeUp { get; set; }

    [BindProperty]
    public bool Lined { get; set; }

    [BindProperty]
    public string? Opening { get; set; }

    [BindProperty]
    public string? Outline { get; set; }

    [BindProperty]
    public List<RingEdit> Zones { get; set; } = [];

    [BindProperty]
    public List<RingEdit> Obstacles { get; set; } = [];

    /// <summary>A length she took by tape between the two ends of the outline's box, to check a photograph by.</summary>
    [BindProperty]
    public string? TapeWidth { get; set; }

    public Kept Kept { get; private set; } = null!;

    public IReadOnlyList<FormFault> Faults { get; private set; } = [];

    public IReadOnlyList<string> Warnings { get; private set; } = [];

    public int? Theirs { get; private set; }

    public bool JustKept { get; private set; }

    public Units Units { get; private set; }

    public string Drawing { get; private set; } = string.Empty;

    /// <summary>What the drawing shows, mm: left, top, width, height.</summary>
    public string Picture => Kept.Form.Picture?.Id ?? string.Empty;

    public static IReadOnlyList<(string Id, string Name)> Kinds { get; } = FormJson.Kinds.Keys.Select(k => (k, k switch
    {
        "flat-seam" => "seam",
        "bag-side" => "side or gusset of a bag",
        "topstitched-hem" => "stitched hem",
        "rolled-hem" => "rolled hem or binding",
        "neck-rib" => "rib",
        "button-edge" => "button or buttonhole",
        "popper" => "popper",
        "zip-teeth" => "zip",
        "pocket-edge" => "edge of a pocket",
        "strap-end" => "strap or loop",
        "print" => "print or band",
        "drawcord" => "drawcord channel",
        _ => "raw edge",
    })).ToArray();

    public async Task<IActionResult> OnGet(string id, bool kept, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        JustKept = kept;
        Show(Kept.Form);
        Redraw(Kept.Form);
        return Page();
    }

    /// <summary>The form as a file.</summary>
    public async Task<IActionResult> OnGetFile(string id, CancellationToken cancel) => await cupboard.Find(id, cancel) is { } kept
        ? File(System.Text.Encoding.UTF8.GetBytes(FormJson.Write(kept.Form, indented: true)), "application/json", $"{id}.json")
        : NotFound();

    /// <summary>The drawing of what is typed by now; nothing is stored.</summary>
    public async Task<IActionResult> OnPostLook(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        Judge(Read());
        return Request.Headers.ContainsKey("HX-Request") ? Partial("_Traced", this) : Page();
    }

    /// <summary>One more zone or obstacle, to be placed.</summary>
    public async Task<IActionResult> OnPostMore(string id, string what, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var (x, y, w, h) = Middle();
        var ring = RingText.Write([new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h)]);
        if (what == "zone")
        {
            Zones.Add(new RingEdit { Id = Free("zone", Zones), Name = $"place {(Zones.Count + 1).ToString(CultureInfo.InvariantCulture)}", Edge = "5", Points = ring });
        }
        else
        {
            Obstacles.Add(new RingEdit { Id = Free("part", Obstacles), Name = $"part {(Obstacles.Count + 1).ToString(CultureInfo.InvariantCulture)}", Kind = "flat-seam", Points = ring });
        }

        ModelState.Clear();
        Judge(Read());
        return Page();
    }

    public async Task<IActionResult> OnPost(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var (form, faults) = Read();
        if (form is not null && faults.Count == 0)
        {
            var saved = await cupboard.Change(form, From, "Changed", cancel);
            if (saved.Kept is not null)
            {
                return RedirectToPage(new { id, kept = true });
            }

            (faults, Theirs) = (saved.Faults, saved.Theirs);
        }

        Judge((form, faults));
        Response.StatusCode = Theirs is null ? StatusCodes.Status422UnprocessableEntity : StatusCodes.Status409Conflict;
        return Page();
    }

    public async Task<IActionResult> OnPostUndo(string id, CancellationToken cancel)
    {
        await cupboard.Undo(id, cancel);
        return RedirectToPage(new { id });
    }

    public async Task<IActionResult> OnPostArchive(string id, bool away, CancellationToken cancel)
    {
        await cupboard.Archive(id, away, cancel);
        return away ? Redirect("/cupboard") : RedirectToPage(new { id });
    }

    public async Task<IActionResult> OnPostCopy(string id, CancellationToken cancel) =>
        await cupboard.Find(id, cancel) is { } kept && await cupboard.Add(kept.Form with { Name = $"{kept.Form.Name}, again" }, $"Copied from {kept.Form.Name}", cancel) is { Kept: { } copy }
            ? RedirectToPage(new { id = copy.Form.Id })
            : NotFound();

    private Straightened? _view;

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (await cupboard.Find(id, cancel) is not { } kept)
        {
            return false;
        }

        Kept = kept;
        if (kept.Form.Picture is { } picture && await cupboard.PhotographOf(picture.Id, cancel) is { } photograph && await cupboard.Picture(photograph.PictureId, cancel) is { } taken)
        {
            _view = Straightening.ViewOf(photograph, taken)?.View;
        }

        Units = (await workshops.Current(cancel)).Units;
        return true;
    }

    private void Show(OwnForm form)
    {
        From = Kept.Revision;
        (Name, Cloth, Colour, Wearer, Lined) = (form.Name, form.Cloth, form.Colour, form.Wearer, form.Lined);
        var use = OwnForms.AsForm(form).Use;
        (Handled, NextToSkin, SeenOutdoors, MadeUp) = (use.Handled, use.NextToSkin, use.SeenOutdoors, use.MadeUp);
        Opening = form.OpeningMm is { } mm ? mm.ToString("0.#", CultureInfo.InvariantCulture) + " mm" : null;
        Outline = RingText.Write(form.OutlineMm);
        Zones = form.Zones.Select(z => new RingEdit { Id = z.Id, Name = z.Name, Edge = z.EdgeAllowanceMm.ToString("0.#", CultureInfo.InvariantCulture), Points = z.RingMm.SequenceEqual(form.OutlineMm) ? string.Empty : RingText.Write(z.RingMm) }).ToList();
        Obstacles = form.Obstacles.Select(o => new RingEdit { Id = o.Id, Name = o.Name, Kind = FormJson.Kinds.First(k => k.Value == o.Kind).Key, Points = RingText.Write(o.RingMm) }).ToList();
    }

    private (OwnForm? Form, IReadOnlyList<FormFault> Faults) Read()
    {
        var faults = new List<FormFault>();
        IReadOnlyList<Pt> Ring(string member, string? text)
        {
            var (points, wrong) = RingText.Read(text);
            if (wrong is not null)
            {
                faults.Add(new FormFault(member, wrong, string.Empty));
            }

            return points;
        }

        var outline = Ring("outlineMm", Outline);
        var zones = Zones.Where(z => !z.Out).Select((z, i) =>
        {
            var at = $"zones/{i.ToString(CultureInfo.InvariantCulture)}";
            if (!double.TryParse(z.Edge, NumberStyles.Float, CultureInfo.InvariantCulture, out var edge))
            {
                faults.Add(new FormFault($"{at}/edgeMm", $"“{z.Edge}” is no number of mm.", "Write a number, 0 or more."));
            }

            return new OwnZone(z.Id, (z.Name ?? string.Empty).Trim().Normalize(), string.IsNullOrWhiteSpace(z.Points) ? outline : Ring($"{at}/ringMm", z.Points), edge);
        }).ToArray();
        var obstacles = Obstacles.Where(o => !o.Out).Select((o, i) =>
            new OwnObstacle(o.Id, (o.Name ?? string.Empty).Trim().Normalize(), FormJson.Kinds.GetValueOrDefault(o.Kind ?? string.Empty), Ring($"obstacles/{i.ToString(CultureInfo.InvariantCulture)}/ringMm", o.Points))).ToArray();
        double? opening = null;
        if (!string.IsNullOrWhiteSpace(Opening))
        {
            opening = Tape.Read(Opening, Units);
            if (opening is null)
            {
                faults.Add(new FormFault("openingMm", $"“{Opening}” is not a length.", $"{Tape.Wanted(Units)} Or leave it empty."));
            }
        }

        var form = Kept.Form with
        {
            Name = (Name ?? string.Empty).Trim().Normalize(),
            Cloth = Cloth,
            Colour = Colour,
            Wearer = Wearer,
            Use = new FormUse(Handled, NextToSkin, SeenOutdoors, MadeUp),
            Lined = Lined,
            OpeningMm = opening,
            OutlineMm = outline,
            Zones = zones,
            Obstacles = obstacles,
        };
        if (faults.Count == 0 && outline.Count >= 3 && !string.IsNullOrWhiteSpace(TapeWidth))
        {
            if (Tape.Read(TapeWidth, Units) is { } taped)
            {
                form = ByTape(form, taped);
            }
            else
            {
                faults.Add(new FormFault("tapeWidth", $"“{TapeWidth}” is not a length.", $"{Tape.Wanted(Units)} Or leave it empty."));
            }
        }

        if (faults.Count == 0)
        {
            faults.AddRange(OwnForms.Faults(form));
        }

        if (faults.Count == 0 && _view is { } view)
        {
            form = form with { WithinMm = Math.Round(Photographed.WithinMm(view, Photographed.InView(form, view)), 2) };
        }

        return (faults.Count == 0 ? form : null, faults);
    }

    /// <summary>Her tape counts more than the drawing: where they do not agree she is told, and everything is scaled to the tape.</summary>
    private OwnForm ByTape(OwnForm form, double tapeMm)
    {
        if (form.Picture is not null && Photographed.TapeWarning(tapeMm, form.WidthMm) is { } apart)
        {
            Warnings = [.. Warnings, Tape.Tell(apart, Units)];
        }

        return form.Scaled(tapeMm / form.WidthMm);
    }

    private void Judge((OwnForm? Form, IReadOnlyList<FormFault> Faults) read)
    {
        Faults = read.Faults;
        Redraw(read.Form ?? Kept.Form);
    }

    private void Redraw(OwnForm form)
    {
        if (_view is { } view)
        {
            Warnings = [.. Warnings, .. Photographed.Warnings(view, Photographed.InView(form, view)).Select(w => Tape.Tell(w, Units))];
        }

        var made = OwnForms.AsForm(form);
        Drawing = FormDrawing.Draw(made, made.At("own"), Units, trace: true);
    }

    private (double X, double Y, double W, double H) Middle()
    {
        var ring = RingText.Read(Outline).Points is { Count: >= 3 } typed ? typed : Kept.Form.OutlineMm;
        var (x0, y0, x1, y1) = (ring.Min(p => p.X), ring.Min(p => p.Y), ring.Max(p => p.X), ring.Max(p => p.Y));
        return (x0 + ((x1 - x0) * 0.35), y0 + ((y1 - y0) * 0.35), (x1 - x0) * 0.3, (y1 - y0) * 0.3);
    }

    private static string Free(string stem, List<RingEdit> taken)
    {
        var n = taken.Count + 1;
        while (taken.Any(t => t.Id == $"{stem}-{n.ToString(CultureInfo.InvariantCulture)}"))
        {
            n++;
        }

        return $"{stem}-{n.ToString(CultureInfo.InvariantCulture)}";
    }
}
