using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Store;
using Dittany.Web.Drawings;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>An item measured by hand: a shape, a few numbers, drawn as she types, kept as an own form.</summary>
public sealed class MeasureModel(CupboardStore cupboard, WorkshopStore workshops) : PageModel
{
    [BindProperty(SupportsGet = true)]
    public string Shape { get; set; } = "rectangle";

    [BindProperty]
    public string? Name { get; set; }

    /// <summary>Numbers as typed, by what is measured.</summary>
    [BindProperty]
    public Dictionary<string, string> Numbers { get; set; } = [];

    /// <summary>Corners of a shape with corners, a point a line.</summary>
    [BindProperty]
    public string? Points { get; set; }

    public MeasuredShape Asked => HandMeasured.Find(Shape) ?? HandMeasured.Shapes[0];

    public IReadOnlyList<FormFault> Faults { get; private set; } = [];

    /// <summary>What is drawn by now; null while nothing can be.</summary>
    public string? Drawing { get; private set; }

    public Units Units { get; private set; }

    /// <summary>Set while what is drawn is an example, not hers.</summary>
    public bool Example { get; private set; }

    public async Task OnGet(CancellationToken cancel)
    {
        Units = (await workshops.Current(cancel)).Units;
        DrawExample();
    }

    /// <summary>The drawing as she types; what is not typed yet is no fault.</summary>
    public async Task<IActionResult> OnPostDraw(CancellationToken cancel)
    {
        Units = (await workshops.Current(cancel)).Units;
        var (form, faults) = Read();
        Faults = faults.Where(f => !f.Detail.EndsWith("not measured yet.", StringComparison.Ordinal)).ToArray();
        Draw(form);
        return Request.Headers.ContainsKey("HX-Request") ? Partial("_Measured", this) : Page();
    }

    public async Task<IActionResult> OnPost(CancellationToken cancel)
    {
        Units = (await workshops.Current(cancel)).Units;
        var (form, faults) = Read();
        var all = faults.ToList();
        if (string.IsNullOrWhiteSpace(Name))
        {
            all.Add(new FormFault("name", "It has no name.", "Call it what you would ask for: “Ida’s pinafore”."));
        }

        if (form is not null && all.Count == 0)
        {
            var saved = await cupboard.Add(form, "Measured by hand", cancel);
            if (saved.Kept is { } kept)
            {
                return RedirectToPage("Own", new { id = kept.Form.Id });
            }

            all.AddRange(saved.Faults);
        }

        Faults = all;
        Draw(form);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    public string? Wrong(string member) => Faults.FirstOrDefault(f => f.Member == member) is { } f ? $"{f.Detail} {f.Try}" : null;

    private (OwnForm? Form, IReadOnlyList<FormFault> Faults) Read()
    {
        var faults = new List<FormFault>();
        var measured = new Dictionary<string, double>(StringComparer.Ordinal);
        foreach (var ask in Asked.Asks)
        {
            var typed = Numbers.GetValueOrDefault(ask.Id);
            if (string.IsNullOrWhiteSpace(typed))
            {
                continue;
            }

            if (Tape.Read(typed, Units) is { } mm)
            {
                measured[ask.Id] = mm;
            }
            else
            {
                faults.Add(new FormFault(ask.Id, $"{ask.Name}: “{typed}” is not a length.", Tape.Wanted(Units)));
            }
        }

        IReadOnlyList<Pt> points = [];
        if (Asked.Id == "polygon")
        {
            (points, var wrong) = RingText.Read(Points);
            if (wrong is not null)
            {
                faults.Add(new FormFault("points", wrong, string.Empty));
            }
        }

        if (faults.Count > 0)
        {
            return (null, faults);
        }

        return HandMeasured.Measure("own-new", string.IsNullOrWhiteSpace(Name) ? "new" : Name.Trim().Normalize(), Asked.Id, measured,
            points);
    }

    /// <summary>A thing of this shape, so that she sees what is asked for.</summary>
    private void DrawExample()
    {
        var numbers = new Dictionary<string, double>(StringComparer.Ordinal)
        {
            ["width"] = Asked.Id == "tube" ? 130 : 400,
            ["height"] = Asked.Id == "tube" ? 180 : 300,
            ["across"] = 300,
            ["top"] = 200,
            ["bottom"] = 420,
            ["hem"] = 10
        };
        Pt[] pennant = [new(0, 0), new(320, 0), new(160, 420)];
        Draw(HandMeasured.Measure("own-new", "example", Asked.Id,
            Asked.Asks.Where(a => numbers.ContainsKey(a.Id)).ToDictionary(a => a.Id, a => numbers[a.Id], StringComparer.Ordinal),
            pennant).Form);
        Example = true;
    }

    private void Draw(OwnForm? own)
    {
        if (own is not null)
        {
            var form = OwnForms.AsForm(own);
            Drawing = FormDrawing.Draw(form, form.At("own"), Units);
        }
    }
}
