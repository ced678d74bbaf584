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

/// <summary>
/// An own form, side by side: outline, zones and obstacles placed by keyboard or mouse, where it is folded over, its cloth and use; kept as
/// revisions, archived, duplicated, taken out.
/// </summary>
public sealed class OwnModel(CupboardStore cupboard, WorkshopStore workshops, PictureDesk pictures) : PageModel
{
    [BindProperty]
    public int From { get; set; }

    /// <summary>The side that is looked at.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Face { get; set; }

    [BindProperty]
    public string? SideName { get; set; }

    /// <summary>Where this side is folded over when worn: top, bottom, or nothing.</summary>
    [BindProperty]
    public string? Folded { get; set; }

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

    /// <summary>What is seen of a side that is folded over, and how it lies to be stitched.</summary>
    public string? FoldTold { get; private set; }

    /// <summary>The side that is looked at, as it was kept last.</summary>
    public OwnFace Side => Kept.Form.Face(Face);

    /// <summary>How the members of this side are named in what is wrong with it.</summary>
    public string At => OwnForms.At(Kept.Form.Faces.ToList().IndexOf(Side));

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
        Show();
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
            Zones.Add(new RingEdit
            {
                Id = Free("zone", Zones.Select(z =>
                z.Id).Concat(Kept.Form.Faces.SelectMany(f => f.Zones).Select(z => z.Id))),
                Name = $"place {(Zones.Count + 1).ToString(CultureInfo.InvariantCulture)}",
                Edge = "5",
                Points = ring
            });
        }
        else
        {
            Obstacles.Add(new RingEdit
            {
                Id = Free("part", Obstacles.Select(o => o.Id)),
                Name = $"part {(Obstacles.Count + 1).ToString(CultureInfo.InvariantCulture)}",
                Kind = "flat-seam",
                Points = ring
            });
        }

        ModelState.Clear();
        Judge(Read());
        return Page();
    }

    public Task<IActionResult> OnPost(string id, CancellationToken cancel) => Keep(id, "Changed", form => (form, Face), kept: true, cancel);

    /// <summary>Another side is looked at; what was typed on this one is kept first.</summary>
    public Task<IActionResult> OnPostSide(string id, string to, CancellationToken cancel) =>
        Keep(id, "Changed", form => (form, to), kept: false, cancel);

    /// <summary>One more side, to begin with the one that lies behind this.</summary>
    public Task<IActionResult> OnPostMoreSide(string id, CancellationToken cancel) => Keep(
        id,
        "One more side",
        form =>
        {
            var side = form.NextSide();
            return (form with { Faces = [.. form.Faces, form.Face(Face).Behind(side.Id, side.Name)] }, side.Id);
        },
        kept: false,
        cancel);

    /// <summary>This side is taken out; undo brings it back.</summary>
    public Task<IActionResult> OnPostLessSide(string id, CancellationToken cancel) =>
        Keep(id, "One side less", form => (form with { Faces = form.Faces.Where(f => f.Id != Side.Id).ToArray() }, null), kept: false,
        cancel);

    /// <summary>
    /// Keeps what is typed as <paramref name="further"/> makes of it, which also says which side to show then; nothing is stored where
    /// nothing is changed.
    /// </summary>
    private async Task<IActionResult> Keep(string id, string what, Func<OwnForm, (OwnForm Form, string? Show)> further, bool kept,
        CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        if (Face is not null && Kept.Form.Faces.All(f => f.Id != Face))
        {
            // What was typed belongs to no side that is there: it must not be laid over another.
            Faults = [new FormFault("face",
                "This side was taken out somewhere else in the meantime, so there is nowhere to keep what you typed.",
                "Undo there brings it back.")];
            Redraw(Kept.Form);
            Response.StatusCode = StatusCodes.Status409Conflict;
            return Page();
        }

        var (form, faults) = Read();
        if (form is not null && faults.Count == 0)
        {
            var next = further(form);
            if (!kept && FormJson.Write(next.Form) == FormJson.Write(Kept.Form))
            {
                return RedirectToPage(new { id, face = next.Show });
            }

            var saved = await cupboard.Change(next.Form, From, what, cancel);
            if (saved.Kept is not null)
            {
                return RedirectToPage(kept ? new { id, face = next.Show, kept = (bool?)true }
                    : new { id, face = next.Show, kept = (bool?)null });
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
        return RedirectToPage(new { id, face = Face });
    }

    public async Task<IActionResult> OnPostRedo(string id, CancellationToken cancel)
    {
        await cupboard.Redo(id, cancel);
        return RedirectToPage(new { id, face = Face });
    }

    public async Task<IActionResult> OnPostArchive(string id, bool away, CancellationToken cancel)
    {
        await cupboard.Archive(id, away, cancel);
        return away ? Redirect("/cupboard") : RedirectToPage(new { id });
    }

    public async Task<IActionResult> OnPostCopy(string id, CancellationToken cancel) =>
        await cupboard.Find(id, cancel) is { } kept && await cupboard.Add(kept.Form with { Name = $"{kept.Form.Name}, again" },
            $"Copied from {kept.Form.Name}", cancel) is { Kept: { } copy }
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
        if (Side.Picture is { } picture && await cupboard.PhotographOf(picture.Id, cancel) is { } photograph
            && await cupboard.Picture(photograph.PictureId, cancel) is { } taken)
        {
            _view = (await pictures.At(() => Straightening.ViewOf(photograph, taken), cancel))?.View;
        }

        Units = (await workshops.Current(cancel)).Units;
        return true;
    }

    private void Show()
    {
        var (form, side) = (Kept.Form, Side);
        From = Kept.Revision;
        (Name, Cloth, Colour, Wearer, Lined) = (form.Name, form.Cloth, form.Colour, form.Wearer, form.Lined);
        (Face, SideName, Folded) = (side.Id, side.Name, side.Folded is { } fold ? FormJson.Folds.First(f => f.Value == fold).Key : null);
        var use = OwnForms.AsForm(form).Use;
        (Handled, NextToSkin, SeenOutdoors, MadeUp) = (use.Handled, use.NextToSkin, use.SeenOutdoors, use.MadeUp);
        Opening = side.OpeningMm is { } mm ? mm.ToString("0.#", CultureInfo.InvariantCulture) + " mm" : null;
        Outline = RingText.Write(side.OutlineMm);
        Zones = side.Zones.Select(z => new RingEdit
        {
            Id = z.Id,
            Name = z.Name,
            Edge = z.EdgeAllowanceMm.ToString("0.#", CultureInfo.InvariantCulture),
            Points = z.RingMm.SequenceEqual(side.OutlineMm)
            ? string.Empty : RingText.Write(z.RingMm)
        }).ToList();
        Obstacles = side.Obstacles.Select(o => new RingEdit
        {
            Id = o.Id,
            Name = o.Name,
            Kind = FormJson.Kinds.First(k => k.Value == o.Kind).Key,
            Points = RingText.Write(o.RingMm)
        }).ToList();
    }

    private (OwnForm? Form, IReadOnlyList<FormFault> Faults) Read()
    {
        var faults = new List<FormFault>();

        // Points are shown in tenths of a mm: what was not touched stays as exact as it is.
        IReadOnlyList<Pt> Ring(string member, string? text, IReadOnlyList<Pt>? was)
        {
            if (was is not null && (text ?? string.Empty).ReplaceLineEndings("\n").Trim() == RingText.Write(was).ReplaceLineEndings(
                "\n").Trim())
            {
                return was;
            }

            var (points, wrong) = RingText.Read(text);
            if (wrong is not null)
            {
                faults.Add(new FormFault(member, wrong, string.Empty));
            }

            return points;
        }

        var (side, at) = (Side, At);
        var outline = Ring($"{at}outlineMm", Outline, side.OutlineMm);
        var zones = Zones.Where(z => !z.Out).Select((z, i) =>
        {
            var here = $"{at}zones/{i.ToString(CultureInfo.InvariantCulture)}";
            if (!double.TryParse(z.Edge, NumberStyles.Float, CultureInfo.InvariantCulture, out var edge))
            {
                faults.Add(new FormFault($"{here}/edgeMm", $"“{z.Edge}” is no number of mm.", "Write a number, 0 or more."));
            }

            return new OwnZone(z.Id, (z.Name ?? string.Empty).Trim().Normalize(), string.IsNullOrWhiteSpace(z.Points) ? outline
                : Ring($"{here}/ringMm", z.Points, side.Zones.FirstOrDefault(s => s.Id == z.Id)?.RingMm), edge);
        }).ToArray();
        var obstacles = Obstacles.Where(o => !o.Out).Select((o, i) => new OwnObstacle(
            o.Id, (o.Name ?? string.Empty).Trim().Normalize(), FormJson.Kinds.GetValueOrDefault(o.Kind ?? string.Empty),
            Ring($"{at}obstacles/{i.ToString(CultureInfo.InvariantCulture)}/ringMm", o.Points,
                side.Obstacles.FirstOrDefault(s => s.Id == o.Id)?.RingMm))).ToArray();
        double? opening = null;
        if (!string.IsNullOrWhiteSpace(Opening))
        {
            opening = Tape.Read(Opening, Units);
            if (opening is null)
            {
                faults.Add(new FormFault($"{at}openingMm", $"“{Opening}” is not a length.", $"{Tape.Wanted(Units)} Or leave it empty."));
            }
        }

        var face = side with
        {
            Name = (SideName ?? side.Name).Trim().Normalize(),
            Folded = FormJson.Folds.TryGetValue(Folded ?? string.Empty, out var fold) ? fold : null,
            OpeningMm = opening,
            OutlineMm = outline,
            Zones = zones,
            Obstacles = obstacles,
        };
        var use = new FormUse(Handled, NextToSkin, SeenOutdoors, MadeUp);
        var form = (Kept.Form with
        {
            Name = (Name ?? string.Empty).Trim().Normalize(),
            Cloth = Cloth,
            Colour = Colour,
            Wearer = Wearer,
            Use = Kept.Form.Use is null && OwnForms.AsForm(Kept.Form).Use == use ? null : use,
            Lined = Lined,
        }).With(face);
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
            var traced = form.Face(side.Id);
            form = form.With(traced with { WithinMm = Math.Round(Photographed.WithinMm(view, Photographed.InView(traced, view)), 2) });
        }

        return (faults.Count == 0 ? form : null, faults);
    }

    /// <summary>Where her tape and a traced drawing do not agree she is told, and it is scaled to the tape.</summary>
    private OwnForm ByTape(OwnForm form, double tapeMm)
    {
        var side = form.Face(Side.Id);
        if (side.Picture is not null && Photographed.TapeWarning(tapeMm, side.WidthMm) is { } apart)
        {
            Warnings = [.. Warnings, apart.In(Units)];
        }

        return form.ToTape(side.Id, tapeMm);
    }

    private void Judge((OwnForm? Form, IReadOnlyList<FormFault> Faults) read)
    {
        Faults = read.Faults;
        Redraw(read.Form ?? Kept.Form);
    }

    private void Redraw(OwnForm form)
    {
        var side = form.Face(Side.Id);
        if (_view is { } view)
        {
            Warnings = [.. Warnings, .. Photographed.Warnings(view, Photographed.InView(side, view)).Select(w => w.In(Units))];
        }

        var made = OwnForms.AsForm(form);
        var drawn = made.Build(made.Sizes[0]).First(d => d.Face.Id == side.Id);
        FoldTold = drawn.Face.Fold is { } fold ? $"{fold.AsWorn} {fold.Flat}" : null;
        Drawing = FormDrawing.Draw(made, drawn, Units, trace: true);
    }

    private (double X, double Y, double W, double H) Middle()
    {
        var ring = RingText.Read(Outline).Points is { Count: >= 3 } typed ? typed : Side.OutlineMm;
        var (x0, y0, x1, y1) = (ring.Min(p => p.X), ring.Min(p => p.Y), ring.Max(p => p.X), ring.Max(p => p.Y));
        return (x0 + ((x1 - x0) * 0.35), y0 + ((y1 - y0) * 0.35), (x1 - x0) * 0.3, (y1 - y0) * 0.3);
    }

    private static string Free(string stem, IEnumerable<string> taken)
    {
        var ids = taken.ToHashSet(StringComparer.Ordinal);
        return Enumerable.Range(1, ids.Count + 1).Select(n => $"{stem}-{n.ToString(CultureInfo.InvariantCulture)}").First(id =>
            !ids.Contains(id));
    }
}
