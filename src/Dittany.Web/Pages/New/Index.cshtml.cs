using System.Globalization;
using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.New;

/// <summary>Three answers: the words, the item, the day.</summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, Today today) : PageModel
{
    [BindProperty]
    public string? Words { get; set; }

    [BindProperty]
    public string? Form { get; set; } = TeaTowel.Form.Id;

    /// <summary>The size picked for each form; only that of the form picked counts.</summary>
    [BindProperty]
    public Dictionary<string, string> Sizes { get; set; } = [];

    /// <summary>Empty means the usual colour of the item.</summary>
    [BindProperty]
    public string? Colour { get; set; } = string.Empty;

    [BindProperty]
    public string? Day { get; set; }

    public IReadOnlyList<JobFault> Faults { get; private set; } = [];

    /// <summary>Cloth colours to pick from, under plain names; the first is the item's usual one.</summary>
    public IReadOnlyList<(string Hex, string Name)> ClothColours { get; } =
        [(string.Empty, "as it usually is"), ("#fbfaf6", "white"), ("#d9e0d2", "pale sage"), ("#b9ccd4", "washed blue"), ("#7c8f86", "grey-green"), ("#27303a", "ink")];

    /// <summary>The size to show for a form: as picked, else the usual one.</summary>
    public string SizeOf(Form form) => Sizes.TryGetValue(form.Id, out var size) ? size : form.UsualSize;

    public void OnGet()
    {
        // Nothing to prepare: the three questions are the page.
    }

    public async Task<IActionResult> OnPost(CancellationToken cancel)
    {
        var faults = new List<JobFault>();
        DateOnly? due = null;
        if (!string.IsNullOrWhiteSpace(Day))
        {
            if (DateOnly.TryParseExact(Day.Trim(), ["yyyy-MM-dd", "d.M.yyyy", "d/M/yyyy"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            {
                due = day;
            }
            else
            {
                faults.Add(new JobFault("#/dueOn", $"'{Day}' is not a day.", "Write it like 2027-03-14, or leave it empty."));
            }
        }

        var words = (Words ?? string.Empty).ReplaceLineEndings("\n").Trim().Normalize();
        var form = Catalogue.Find(Form ?? string.Empty);
        var size = form is null ? null : SizeOf(form);
        var job = new Job(
            Form ?? string.Empty, [new WordingAsked("name", words)], today.Date, DueOn: due, Size: size == form?.UsualSize ? null : size,
            Fabric: string.IsNullOrEmpty(Colour) ? null : new StatedFabric(Colour: Colour));
        faults.AddRange(JobCheck.Faults(job, await workshops.Current(cancel)));
        if (faults.Count > 0)
        {
            Faults = faults;
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        var id = await pieces.Create(job, "New piece", cancel);
        return RedirectToPage("/Bench/Index", new { id });
    }

    /// <summary>What is wrong with one answer, by where its faults point.</summary>
    public string? FaultAt(params string[] pointers) =>
        Faults.FirstOrDefault(f => pointers.Any(p => f.Pointer.StartsWith(p, StringComparison.Ordinal))) is { } fault ? $"{fault.Detail} {fault.Try}" : null;
}
