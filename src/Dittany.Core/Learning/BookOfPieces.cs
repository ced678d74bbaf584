using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Learning;

/// <summary>A piece as her book remembers it: its plan, the days something was done of it, and what she wrote to it.</summary>
public sealed record Remembered(int Piece, Plan Plan, IReadOnlyList<DateOnly> Days, IReadOnlyList<string> Notes);

/// <summary>
/// Her pieces as she looks for them: by what she remembers of one, such as the green of the spring bag, she finds how she did it.
/// </summary>
public static class BookOfPieces
{
    /// <summary>Words that say nothing of a piece.</summary>
    private static readonly HashSet<string> Empty = new(StringComparer.OrdinalIgnoreCase)
    {
        "a", "an", "the", "of", "on", "in", "with", "for", "from", "and", "my", "that", "which", "how", "i", "did", "made", "make", "to", "was", "it", "one",
        "last", "thread", "colour", "color", "stitches",
    };

    /// <summary>Seasons by their months, as weather is counted north of the equator (meteorological seasons).</summary>
    private static readonly (string Name, int[] Months)[] Seasons =
        [("spring", [3, 4, 5]), ("summer", [6, 7, 8]), ("autumn", [9, 10, 11]), ("fall", [9, 10, 11]), ("winter", [12, 1, 2])];

    /// <summary>How it was made, a line a thread: colour, thickness, stitches, and what they draw.</summary>
    public static IReadOnlyList<Told> HowMade(Plan plan) => plan.Elements.SelectMany(e => e.Parts.Select(p => (Of: e, Part: p)))
        .GroupBy(p => (p.Part.Colour, p.Part.Thread.Size)).Select(g => (Told)($"{Say.Upper(Palette.NameOf(g.Key.Colour))}, {g.Key.Size.Said}, "
            + $"{Say.List(g.Select(p => NameOf(p.Part)).Distinct(StringComparer.Ordinal).ToArray())}: "
            + $"{Say.List(Drawn(g).Take(4).ToArray())}."))
        .ToArray();

    /// <summary>What a thread draws: the wording, or the parts of a motif by what they are.</summary>
    private static IEnumerable<string> Drawn(IEnumerable<(PlannedElement Of, Part Part)> parts) => parts
        .GroupBy(p => (p.Of.Id, Role: p.Part.Letter == p.Part.Role ? p.Part.Role : string.Empty))
        .Select(g => g.Key.Role.Length == 0 ? $"“{g.First().Of.Text.ReplaceLineEndings(" ")}”"
            : $"the {(g.Select(p => (p.Part.Copy, p.Part.LetterIndex)).Distinct().Count() == 1 ? g.Key.Role.Replace('-', ' ') : Say.Many(g.Key.Role.Replace('-', ' ')))} of the {g.First().Of.One}")
        .Distinct(StringComparer.Ordinal);

    /// <summary>
    /// The pieces that answer what is asked, best first; where none has all of it those with the most, and <c>false</c>. Nothing asked
    /// gives
    /// all.
    /// </summary>
    public static (IReadOnlyList<Remembered> Found, bool Whole) Find(string? asked, IReadOnlyList<Remembered> all)
    {
        var words = Words(asked ?? string.Empty).Where(w => !Empty.Contains(w)).Distinct(StringComparer.OrdinalIgnoreCase).ToArray();
        if (words.Length == 0)
        {
            return (all, true);
        }

        var hits = all.Select(r => (r, Count: Hits(words, r))).Where(r => r.Count > 0).OrderByDescending(r => r.Count).ToArray();
        return hits.Length == 0 ? ([], false)
            : (hits.Where(h => h.Count == hits[0].Count).Select(h => h.r).ToArray(), hits[0].Count == words.Length);
    }

    private static int Hits(string[] words, Remembered of)
    {
        var known = Known(of).SelectMany(Words).ToHashSet(StringComparer.OrdinalIgnoreCase);
        return words.Count(w => known.Any(k => Same(w, k)));
    }

    /// <summary>A word and its plural are the same; of longer words the beginning is enough.</summary>
    private static bool Same(string asked, string known) => string.Equals(asked, known, StringComparison.OrdinalIgnoreCase)
        || string.Equals(asked, Say.Many(known), StringComparison.OrdinalIgnoreCase) || string.Equals(asked + "s", known, StringComparison.OrdinalIgnoreCase)
        || (asked.Length >= 4 && known.StartsWith(asked, StringComparison.OrdinalIgnoreCase));

    private static IEnumerable<string> Known(Remembered of)
    {
        var plan = of.Plan;
        yield return plan.Title;
        yield return plan.Item.FormName;
        yield return plan.Item.Form.Replace('-', ' ');
        yield return plan.Item.Cloth.Kind.Name;
        foreach (var colour in plan.Elements.SelectMany(e => e.Parts).Select(p => p.Colour).Append(plan.Item.Cloth.Colour.ToString())
            .Distinct(StringComparer.Ordinal))
        {
            yield return Palette.NameOf(colour);
            yield return ColourFamily.Of(Colour.Parse(colour));
        }

        foreach (var element in plan.Elements)
        {
            yield return element.Text;
            yield return element.Motif?.Replace('-', ' ') ?? string.Empty;
        }

        foreach (var stitch in plan.Elements.SelectMany(e => e.Parts).Select(NameOf).Distinct(StringComparer.Ordinal))
        {
            yield return stitch;
        }

        foreach (var day in of.Days.Distinct())
        {
            yield return string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{day:MMMM yyyy} {string.Join(' ', Seasons.Where(s => s.Months.Contains(day.Month)).Select(s => s.Name))}");
        }

        foreach (var note in of.Notes)
        {
            yield return note;
        }
    }

    private static string NameOf(Part part) => (part.Filling is null ? null : Book.Fill(part.Stitch)?.Info.Name)
        ?? Book.Find(part.Stitch)?.Name ?? part.Stitch;

    private static IEnumerable<string> Words(string text) =>
        text.Split([' ', ',', '.', '’', '\'', '“', '”', '-', '\n', ':', ';', '?', '!', '(', ')'],
        StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
}
