using System.Globalization;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Stitches;

/// <summary>All stitches of the book, by what she needs.</summary>
public sealed class IndexModel(WorkshopStore workshops) : PageModel
{
    /// <summary>A sentence: “a line on jersey under 12 mm that is soft”.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Find { get; set; }

    [BindProperty(SupportsGet = true)]
    public Makes? What { get; set; }

    [BindProperty(SupportsGet = true)]
    public Feel? Feels { get; set; }

    [BindProperty(SupportsGet = true)]
    public bool Knit { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? Piece { get; set; }

    public IReadOnlyList<(string Name, IReadOnlyList<IStitch> Stitches)> Shelves { get; private set; } = [];

    public Wanted Wanted { get; private set; } = new();

    public Units Units { get; private set; }

    /// <summary>What was understood of a sentence, so that she sees by what was looked.</summary>
    public string Understood => Say.List(new[]
    {
        Wanted.What switch { Makes.Line => "lines", Makes.Area => "areas", Makes.Point => "points", _ => null },
        Wanted.Feel switch { Feel.Flat => "flat", Feel.Raised => "raised", Feel.Open => "open", _ => null },
        Wanted.Knit ? "on a knit" : null,
        Wanted.Wears ? "for what is handled and washed" : null,
        Wanted.Learning is not null ? "learnt in an evening" : null,
        Wanted.CapMm is { } mm ? $"capitals of {Tape.Length(mm, Units)}" : null,
        Wanted.Words is { } words ? $"“{words}”" : null,
    }.OfType<string>().ToArray());

    public string Of => Piece is { } piece ? $"?Piece={piece.ToString(CultureInfo.InvariantCulture)}" : string.Empty;

    public string Least(IStitch stitch) => Tape.Length(Finding.LeastMm(stitch), Units);

    public async Task OnGet(CancellationToken cancel)
    {
        Units = (await workshops.Current(cancel)).Units;
        Wanted = Finding.Read((Find ?? string.Empty)[..Math.Min(200, (Find ?? string.Empty).Length)],
            new Wanted(What: What, Feel: Feels, Knit: Knit));
        var found = Finding.In(Wanted);
        Shelves = new[] { (Makes.Line, "Lines"), (Makes.Area, "Areas"), (Makes.Point, "Points") }.Select(s =>
            (s.Item2, (IReadOnlyList<IStitch>)found.Where(f => Finding.What(f) == s.Item1).ToArray()))
            .Where(s => s.Item2.Count > 0).ToArray();
    }
}
