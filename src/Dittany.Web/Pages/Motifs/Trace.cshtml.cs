using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Store;
using Dittany.Web.Drawings;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Motifs;

/// <summary>One line as it is edited; everything typed is kept as typed.</summary>
public sealed class LineEdit
{
    public string Role { get; set; } = "outline";

    public bool Closed { get; set; }

    public string? Points { get; set; }
}

/// <summary>
/// A drawing traced over a picture: lines drawn in one go, set point by point or typed. Every change is a revision as it is made.
/// </summary>
public sealed class TraceModel(TracingStore tracings, WorkshopStore workshops) : PageModel
{
    /// <summary>What divides lines drawn one after the other.</summary>
    private const char Next = '|';

    private const int MostDrawnPoints = 20_000;

    [BindProperty]
    public int From { get; set; }

    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string? Width { get; set; }

    [BindProperty]
    public List<LineEdit> Lines { get; set; } = [];

    /// <summary>Number of the line that is picked; none where new lines are drawn.</summary>
    [BindProperty]
    public int? Active { get; set; }

    /// <summary>What the next line is.</summary>
    [BindProperty]
    public string Pen { get; set; } = "outline";

    /// <summary>Lines just drawn, as points in mm on the picture: <c>x,y x,y|x,y</c>.</summary>
    [BindProperty]
    public string? Drawn { get; set; }

    public KeptTracing Kept { get; private set; } = null!;

    public IReadOnlyList<FormFault> Faults { get; private set; } = [];

    public int? Theirs { get; private set; }

    public string Drawing => TracingDrawing.Draw(Kept.Tracing);

    /// <summary>Whether the lines' own fields have to be written anew.</summary>
    public bool WithLines { get; private set; }

    /// <summary>How large it is, in a few words.</summary>
    public string Size { get; private set; } = string.Empty;

    private Units Units { get; set; }

    public string Post(string? handler = null) =>
        $"/motifs/trace/{Kept.Id.ToString(CultureInfo.InvariantCulture)}?handler={handler ?? "Keep"}";

    public async Task<IActionResult> OnGet(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        Show(Kept.Tracing);
        return Page();
    }

    /// <summary>Keeps what is typed and dragged.</summary>
    public async Task<IActionResult> OnPostKeep(int id, CancellationToken cancel) =>
        await Change(id, "Changed a line", t => t, false, cancel);

    /// <summary>Keeps lines drawn in one go, each as one more.</summary>
    public async Task<IActionResult> OnPostDrawn(int id, CancellationToken cancel)
    {
        var drawn = Strokes(Drawn);

        // A single click begins a line that is gone on with; what was drawn in one go is done, and leaves the picture free for the next.
        return await Change(id, "Drew a line", t => t with { Lines = [.. t.Lines, .. drawn.Select(points => t.Drawn(Pen, points))] }, true,
            cancel, pickLast: drawn.Count == 1 && drawn[0].Count == 1 && Pen != "dot");
    }

    /// <summary>One more line, to be set point by point: it begins in the middle of the picture.</summary>
    public async Task<IActionResult> OnPostMore(int id, CancellationToken cancel) =>
        await Change(id, "Begun a line", t => t with
        {
            Lines = [.. t.Lines,
            new TracedLine(Pen, false, [new TracedPoint(new Pt(Math.Round(t.PictureWidthMm / 2, 2),
            Math.Round(t.PictureHeightMm / 2, 2)))])]
        }, true, cancel, pickLast: true);

    public async Task<IActionResult> OnPostTakeOut(int id, int line, CancellationToken cancel) =>
        await Change(id, "Took a line out", t => t with { Lines = t.Lines.Where((_, i) => i != line).ToArray() }, true, cancel);

    /// <summary>The picture shows something this wide: everything grows with it.</summary>
    public async Task<IActionResult> OnPostWiden(int id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        if (Tape.Read(Width ?? string.Empty, Units) is not { } width)
        {
            return Answer([new FormFault("width", $"“{Width}” is not a length.", Tape.Wanted(Units))], withLines: true);
        }

        return await Change(id, "Said how wide the picture is", t => t.Widened(width), true, cancel);
    }

    /// <summary>Undo and redo.</summary>
    public async Task<IActionResult> OnPostStep(int id, bool back, CancellationToken cancel)
    {
        await tracings.Step(id, back, cancel);
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        Show(Kept.Tracing);
        return Answer([], withLines: true);
    }

    private async Task<IActionResult> Change(int id, string what, Func<Tracing, Tracing> change, bool withLines, CancellationToken cancel,
        bool pickLast = false)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var (typed, faults) = Read();
        if (faults.Count > 0)
        {
            return Answer(faults, withLines);
        }

        var changed = change(typed);
        if (TracingsAlike(changed, Kept.Tracing))
        {
            From = Kept.Revision;
            return Answer([], withLines);
        }

        var saved = await tracings.Change(id, changed, From, what, cancel);
        if (saved.Kept is null)
        {
            Theirs = saved.Theirs;
            return Answer(saved.Faults, withLines);
        }

        Kept = saved.Kept;
        Active = pickLast ? Kept.Tracing.Lines.Count - 1 : withLines ? null : Active;
        Show(Kept.Tracing);
        return Answer([], withLines);
    }

    /// <summary>Without scripts back to the page; with them the drawing, and the lines' fields where they are others now.</summary>
    private IActionResult Answer(IReadOnlyList<FormFault> faults, bool withLines)
    {
        (Faults, WithLines) = (faults, withLines);
        ModelState.Clear();
        var scripted = Request.Headers.ContainsKey("HX-Request");
        if (faults.Count == 0 && Theirs is null)
        {
            return scripted ? Partial("_Sketched", this) : RedirectToPage(new { id = Kept.Id });
        }

        // With scripts the fault is swapped in like anything else, beside what is typed.
        if (scripted)
        {
            WithLines = false;
            return Partial("_Sketched", this);
        }

        Response.StatusCode = Theirs is null ? StatusCodes.Status422UnprocessableEntity : StatusCodes.Status409Conflict;
        WithLines = false;
        return Page();
    }

    private async Task<bool> Load(int id, CancellationToken cancel)
    {
        if (await tracings.Find(id, cancel) is not { } kept)
        {
            return false;
        }

        (Kept, Units) = (kept, (await workshops.Current(cancel)).Units);
        Size = Told(kept.Tracing);
        return true;
    }

    private string Told(Tracing tracing)
    {
        var figure = tracing.Draw();
        return figure.Parts.Count == 0 ? "Nothing is traced yet."
            : $"{Say.Upper(Say.Count(figure.Parts.Count, "line"))}, {Tape.Length(Math.Round(figure.Width, 1), Units)} × "
                + $"{Tape.Length(Math.Round(figure.Height, 1), Units)} on the picture.";
    }

    private void Show(Tracing tracing)
    {
        (From, Name, Size) = (Kept.Revision, tracing.Name, Told(tracing));
        Width = Tape.Length(Math.Round(tracing.PictureWidthMm, 1), Units);
        Lines = tracing.Lines.Select(l => new LineEdit { Role = l.Role, Closed = l.Closed, Points = TracedText.Write(l.Points) }).ToList();
        Active = Active is { } a && a >= 0 && a < Lines.Count ? a : null;
        Pen = Tracing.Roles.Any(r => r.Id == Pen) ? Pen : "outline";
    }

    private (Tracing Typed, IReadOnlyList<FormFault> Faults) Read()
    {
        var faults = new List<FormFault>();
        var lines = Lines.Select((line, i) =>
        {
            var (points, wrong) = TracedText.Read(line.Points);
            if (wrong is not null)
            {
                faults.Add(new FormFault($"lines/{i.ToString(CultureInfo.InvariantCulture)}",
                    $"Line {(i + 1).ToString(CultureInfo.InvariantCulture)} of the drawing: {wrong}", string.Empty));
            }

            return new TracedLine(line.Role, line.Closed, points);
        }).ToArray();
        var typed = Kept.Tracing with { Name = (Name ?? string.Empty).Trim().Normalize(), Lines = lines };
        if (faults.Count == 0)
        {
            faults.AddRange(typed.Faults());
        }

        return (typed, faults);
    }

    private static bool TracingsAlike(Tracing a, Tracing b) => Formats.Json.TracingJson.Write(a) == Formats.Json.TracingJson.Write(b);

    /// <summary>Lines as the pointer drew them; what is no number is left out, and no more is read than a hand draws.</summary>
    private static IReadOnlyList<IReadOnlyList<Pt>> Strokes(string? drawn) =>
        (drawn ?? string.Empty).Split(Next, StringSplitOptions.RemoveEmptyEntries)
        .Select(stroke => (IReadOnlyList<Pt>)stroke.Split(' ', StringSplitOptions.RemoveEmptyEntries).Take(MostDrawnPoints)
            .Select(p => p.Split(','))
            .Where(p => p.Length == 2 && double.TryParse(p[0], NumberStyles.Float, CultureInfo.InvariantCulture, out var x)
                && double.TryParse(p[1], NumberStyles.Float, CultureInfo.InvariantCulture, out var y) && double.IsFinite(x)
                && double.IsFinite(y))
            .Select(p => new Pt(double.Parse(p[0], CultureInfo.InvariantCulture),
                double.Parse(p[1], CultureInfo.InvariantCulture))).ToArray())
        .Where(s => s.Count > 0).ToArray();
}
