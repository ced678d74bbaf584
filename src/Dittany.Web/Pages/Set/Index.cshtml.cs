using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Words;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.SetPage;

/// <summary>Many names in one design: one size for all, with the name that governs it; then a piece for each.</summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, Plans plans, LetterShelf shelf, Today today) : PageModel
{
    /// <summary>Names, one to a line.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Names { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Form { get; set; } = "christmas-stocking";

    [BindProperty(SupportsGet = true)]
    public string? Alphabet { get; set; }

    /// <summary>What marks this very form, so that one sent twice makes one set.</summary>
    [BindProperty]
    public string? Once { get; set; }

    public IReadOnlyList<ValidationError> Faults { get; private set; } = [];

    public SetSizing? Sizing { get; private set; }

    public IReadOnlyList<string> All { get; private set; } = [];

    /// <summary>Names drawn at one scale, so that their sizes can be compared.</summary>
    public IReadOnlyDictionary<string, string> Pictures { get; private set; } = new Dictionary<string, string>(StringComparer.Ordinal);

    public async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        await Size(cancel);
        return Page();
    }

    /// <summary>A piece for each name, all at the size of the set.</summary>
    public async Task<IActionResult> OnPost(CancellationToken cancel)
    {
        await Size(cancel);
        if (Sizing is not { } sizing)
        {
            return Page();
        }

        foreach (var name in All)
        {
            var like = Like(name);
            await pieces.Create(like with
            {
                Elements = [like.Wordings[0]
                with { CapHeightMm = sizing.CapMm, Stitch = sizing.Pair.Stitch.Id, Strands = sizing.Pair.Strands }]
            }, "One of a set",
                Once is { Length: > 0 and <= 64 } ? $"{Once}-{name}" : null, cancel);
        }

        return Redirect("/");
    }

    private Job Like(string text) => new(Form ?? string.Empty,
        [new TextElement("name", text, string.IsNullOrEmpty(Alphabet) ? null : Alphabet)], today.Date);

    private async Task Size(CancellationToken cancel)
    {
        All = (Names ?? string.Empty).Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Distinct(
            StringComparer.Ordinal).ToArray();
        if (All.Count == 0)
        {
            return;
        }

        var workshop = await workshops.Current(cancel);
        Faults = All.Count > SetRule.MostNames
            ? [new ValidationError("#/names", $"There are {All.Count} names, and {SetRule.MostNames} is the most.", "Make two sets of them.")]
            : All.SelectMany(n => JobCheck.Faults(Like(n), workshop, shelf.Now).Select(f => f with { Detail = $"“{n}”: {f.Detail}" })).Take(
                12).ToArray();
        if (Faults.Count > 0)
        {
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return;
        }

        try
        {
            Sizing = await plans.Reckon(Like(All[0]), () => SetRule.Of(Like(All[0]), All, workshop, shelf.Now, cancel), cancel);
        }
        catch (OverBudgetException)
        {
            Faults = [new ValidationError("#/names", "These names together are more than can be reckoned at once.", "Make two sets of them.")];
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return;
        }

        var (wide, high) = (Sizing.RoomMm.Width / Sizing.CapMm, Sizing.RoomMm.Height / Sizing.CapMm);
        Pictures = Sizing.Names.ToDictionary(n => n.Text, n =>
            LetterDrawing.InRoom(n.Hand, n.Text, wide, high, Sizing.Pair.LineWidthMm / Sizing.CapMm), StringComparer.Ordinal);
    }

    public static IReadOnlyList<Form> Forms => Catalogue.Forms;

    public IReadOnlyList<IAlphabet> Hands => shelf.Now.Alphabets;

    public string Mm(double mm) => Core.Measures.Say.Length(Math.Round(mm, 1));

    public static string Number(double n) => n.ToString("0.#", CultureInfo.InvariantCulture);
}
