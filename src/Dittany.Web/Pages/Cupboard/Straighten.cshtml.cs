using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>
/// A photograph on its way: the four corners pointed at, the picture straightened, what to expect of it; then the item is traced on it.
/// </summary>
public sealed class StraightenModel(CupboardStore cupboard, WorkshopStore workshops, Straightening straightening, PictureDesk pictures)
    : PageModel
{
    public const int ShownPx = Straightening.ShownPx;

    /// <summary>Corners in px of the whole picture, as typed.</summary>
    [BindProperty]
    public List<string?> X { get; set; } = [];

    [BindProperty]
    public List<string?> Y { get; set; } = [];

    [BindProperty]
    public string Reference { get; set; } = "id-1";

    [BindProperty]
    public string? Turn { get; set; }

    [BindProperty(SupportsGet = true)]
    public int Id { get; set; }

    public PhotographRow Row { get; private set; } = null!;

    public PictureRow Picture { get; private set; } = null!;

    public FormFault? Fault { get; private set; }

    public StraighteningState? State { get; private set; }

    public Straightened? View { get; private set; }

    public bool Found { get; private set; }

    public Units Units { get; private set; }

    /// <summary>What is to be expected where the whole view is the item, and what speaks against the picture.</summary>
    public IReadOnlyList<string> Warnings { get; private set; } = [];

    public PictureWorth Worth { get; private set; }

    public double WithinMm { get; private set; }

    /// <summary>The size of thing the error is told for, mm.</summary>
    public (double WidthMm, double HeightMm) Likely { get; private set; }

    public int ShownHeightPx => (int)Math.Round((double)Picture.HeightPx * ShownPx / Picture.WidthPx);

    public async Task<IActionResult> OnGet(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        Fill(Straightening.Read(Row.Corners));
        if (Row.ViewId is not null && Row.Corners is not null)
        {
            await Judge(cancel);
        }

        return Page();
    }

    /// <summary>How far the straightening is: a part for htmx, which asks again until it is done.</summary>
    public IActionResult OnGetProgress(int id)
    {
        // Asked for many times a second: nothing is read from the store for it.
        State = straightening.Of(id);
        return Partial("_Progress", this);
    }

    /// <summary>A click on the picture sets the next corner; without scripts the picture itself is the button.</summary>
    public async Task<IActionResult> OnPostPoint(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        if (double.TryParse(Request.Form["at.x"], NumberStyles.Float, CultureInfo.InvariantCulture, out var x)
            && double.TryParse(Request.Form["at.y"], NumberStyles.Float, CultureInfo.InvariantCulture, out var y) && (x, y) != (0, 0))
        {
            // A key pressed on the picture points nowhere: it comes as 0, 0.
            var scale = (double)Picture.WidthPx / ShownPx;
            var corners = Corners().Corners.Take(3).Append(new Pt(x * scale, y * scale)).ToArray();
            await cupboard.Remember(id, row => (row.Corners, row.Reference, row.ViewId) = (Straightening.Write(corners), Reference, null),
                cancel);
        }

        return RedirectToPage(new { id });
    }

    /// <summary>Forgets the corners.</summary>
    public async Task<IActionResult> OnPostAgain(int id, CancellationToken cancel)
    {
        await cupboard.Remember(id, row => (row.Corners, row.ViewId) = (null, null), cancel);
        return RedirectToPage(new { id });
    }

    /// <summary>Straightens by the four corners: they are made exact by the edges of the card first.</summary>
    public async Task<IActionResult> OnPost(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var (pointed, wrong) = Corners();
        var turn = 0.0;
        Fault = wrong ?? (!string.IsNullOrWhiteSpace(Turn)
            && !(double.TryParse(Turn, NumberStyles.Float, CultureInfo.InvariantCulture, out turn) && Math.Abs(turn) <= 180)
            ? new FormFault("turn", $"“{Turn}” is no number of degrees.", "Write a number from -180 to 180, or leave it empty.") : null);
        var reference = Photographed.References.FirstOrDefault(r => r.Id == Reference) ?? Photographed.References[0];
        if (Fault is null)
        {
            var rough = Straightening.RoughPx(Picture.WidthPx);
            var (first, fault) = Photographed.Straighten(reference, pointed, Picture.WidthPx, Picture.HeightPx, rough, turnDegrees: turn);
            Fault = fault;
            if (first is not null)
            {
                var found = await pictures.At(() => CornerFinder.Find(Picture.Bytes, first.Corners, 3 * rough), cancel);
                var (view, trouble) = Photographed.Straighten(reference, found.Corners, Picture.WidthPx, Picture.HeightPx, found.Found
                    ? found.WithinPx : rough, turnDegrees: turn);
                Fault = trouble;
                if (view is not null)
                {
                    await cupboard.Remember(id, row => (row.Corners, row.Reference, row.TurnDegrees,
                        row.ViewId) = (Straightening.Write(view.Corners), reference.Id, turn, null), cancel);
                    _ = straightening.Begin(id, Picture.Bytes, view);
                    return RedirectToPage(new { id });
                }
            }
        }

        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    /// <summary>Begins an own form on the straightened picture, or one more side of one: an outline to be pulled into place.</summary>
    public async Task<IActionResult> OnPostTrace(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || Row.ViewId is null)
        {
            return NotFound();
        }

        await Judge(cancel);
        if (Row.ForForm is { } of && await cupboard.Find(of, cancel) is { } form)
        {
            var side = form.Form.NextSide();
            var more = await cupboard.Change(form.Form with
            {
                Faces = [.. form.Form.Faces,
                Photographed.BeginFace(View!, Row.ViewId, side.Id, side.Name)]
            }, form.Revision,
                $"One more side from a photograph: {Row.Note}", cancel);
            if (more.Kept is not null)
            {
                return RedirectToPage("Own", new { id = of, face = side.Id });
            }

            Fault = more.Faults is [var first, ..] ? first : new FormFault("id", "The item was changed in this moment.",
                "Trace it once more.");
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        var saved = await cupboard.Add(Photographed.Begin(View!, Row.ViewId), $"Traced from a photograph: {Row.Note}", cancel);
        return saved.Kept is { } kept ? RedirectToPage("Own", new { id = kept.Form.Id }) : NotFound();
    }

    private async Task<bool> Load(int id, CancellationToken cancel)
    {
        if (await cupboard.Photograph(id, cancel) is not { } row || await cupboard.Picture(row.PictureId, cancel) is not { } picture)
        {
            return false;
        }

        (Row, Picture) = (row, picture);
        State = straightening.Of(id);
        Units = (await workshops.Current(cancel)).Units;
        if (Request.Method == "GET")
        {
            Reference = row.Reference ?? Reference;
            Turn = row.TurnDegrees == 0 ? null : row.TurnDegrees.ToString("0.##", CultureInfo.InvariantCulture);
        }

        return true;
    }

    private async Task Judge(CancellationToken cancel)
    {
        (View, Found) = (await pictures.At(() => Straightening.ViewOf(Row, Picture), cancel))!.Value;

        // How large the item is is not known before it is traced.
        var guess = Photographed.LikelyItem(View);
        Likely = (Math.Round((guess[2].X - guess[0].X) / 10) * 10, Math.Round((guess[2].Y - guess[0].Y) / 10) * 10);
        WithinMm = Photographed.WithinMm(View, guess);
        Worth = Photographed.WorthOf(View, guess);
        Warnings = Photographed.Warnings(View, guess).Select(t => t.In(Units)).ToArray();
    }

    private void Fill(IReadOnlyList<Pt> corners)
    {
        X = Enumerable.Range(0, 4).Select(i => i < corners.Count ? Text(corners[i].X) : null).ToList();
        Y = Enumerable.Range(0, 4).Select(i => i < corners.Count ? Text(corners[i].Y) : null).ToList();

        static string Text(double v) => v.ToString("0.#", CultureInfo.InvariantCulture);
    }

    private (IReadOnlyList<Pt> Corners, FormFault? Fault) Corners()
    {
        var corners = new List<Pt>();
        for (var i = 0; i < Math.Min(4, Math.Min(X.Count, Y.Count)); i++)
        {
            if (string.IsNullOrWhiteSpace(X[i]) && string.IsNullOrWhiteSpace(Y[i]))
            {
                continue;
            }

            if (!double.TryParse(X[i], NumberStyles.Float, CultureInfo.InvariantCulture, out var x)
                || !double.TryParse(Y[i], NumberStyles.Float, CultureInfo.InvariantCulture, out var y))
            {
                return (corners, new FormFault("corners",
                    $"Corner {(i + 1).ToString(CultureInfo.InvariantCulture)} is no place: “{X[i]}, {Y[i]}”.",
                    "Point at it in the picture, or write two numbers of px."));
            }

            corners.Add(new Pt(x, y));
        }

        return (corners, null);
    }
}
