using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Telling;

/// <summary>
/// The parts of one role of an element as they are planned, in words; whether they have an area that can be filled; and what she wished for
/// them.
/// </summary>
public sealed record PartTold(string Element, string ElementName, string Role, string Name, bool Area, string Told, PartAsked? Wished)
{
    /// <summary>Whether it is part of a motif.</summary>
    public bool Motif { get; init; }

    /// <summary>How many copies have such parts.</summary>
    public int Copies { get; init; } = 1;

    /// <summary>Lines she drew for it as they lie on the item, mm, and whether lines can be drawn for it.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> LinesMm { get; init; } = [];

    public bool TakesLines { get; init; }

    /// <summary>Across the middle of its first area, mm: where a line lies that is not drawn by hand; null without areas.</summary>
    public (Pt From, Pt To)? MiddleMm { get; init; }

    /// <summary>The direction its stitches lie in, degrees clockwise from level; null where they have none.</summary>
    public double? Degrees { get; init; }
}

/// <summary>
/// One letter of a wording, or several that are one line: their indices in the text, how it is made, and what she wished for it.
/// </summary>
public sealed record LetterTold(string Element, IReadOnlyList<int> Indices, string Letter, string Told, LetterAsked? Wished, bool Area);

/// <summary>Parts by what they are, with how each is made: petals in satin stitch, 2 strands, mulberry.</summary>
public static class PartTelling
{
    /// <summary>What a wish calls beads, where it might name a stitch.</summary>
    public const string Beads = PartAsked.Beads;

    /// <summary>The roles of all motifs, and of letters that have an area, in the order they are worked.</summary>
    public static IReadOnlyList<PartTold> Of(Plan plan, Job job) => plan.Elements
        .Where(e => e.IsMotif || e.Design?.Shapes.Any(s => s.Area is not null) == true)
        .SelectMany(e => e.Parts.GroupBy(p => p.Role, StringComparer.Ordinal).Select(g => Of(e, g.Key, [.. g], job))
            .Concat(Beaded(plan, e, job))).ToArray();

    /// <summary>The roles that are sewn with beads, where nothing of them is stitched.</summary>
    private static IEnumerable<PartTold> Beaded(Plan plan, PlannedElement element, Job job) => (element.Design?.Shapes ?? [])
        .Where(s => element.Beaded.ContainsKey(s.Id) && element.Parts.All(p => p.Role != s.Role))
        .GroupBy(s => s.Role, StringComparer.Ordinal).Select(g =>
        {
            var called = Designs.Roles.Called(g.Key);
            var made = plan.CraftParts.Where(p => p.Element == element.Id && p.Role == g.Key).ToArray();
            return new PartTold(element.Id, element.Text, g.Key, Say.Upper(g.Count() > 1 ? Say.Many(called) : called),
                g.Any(s => s.Area is not null), Say.List(made.GroupBy(p => p.Amount.What, StringComparer.Ordinal).Select(m =>
                    $"{Say.Number(m.Sum(p => p.Amount.Amount), 0)} {m.Key}").ToArray()),
                job.Find(element.Id)?.ByPart.LastOrDefault(w => w.Role == g.Key))
            {
                Motif = true,
                Copies = g.Select(s => s.Copy).Distinct().Count(),
            };
        });

    /// <summary>The letters of every wording, in the order they are read; joined ones are one.</summary>
    public static IReadOnlyList<LetterTold> LettersOf(Plan plan, Job job) => plan.Elements.Where(e => !e.IsMotif).SelectMany(e =>
    {
        var letters = Words.Rows.Letters(e.Text.ReplaceLineEndings(" "));
        var places = Enumerable.Range(0, letters.Count).Where(i => !Words.Rows.IsSpace(letters[i])).ToArray();
        var asked = (job.Find(e.Id) as TextElement)?.Letters ?? [];
        return e.Parts.Where(p => p.Letter != p.Role).GroupBy(p => p.LetterIndex).OrderBy(g => g.Key).Select(g =>
        {
            var first = g.OrderBy(p => p.Role == "dot").ThenBy(p => p.Filling is null).First();
            var count = Words.Rows.Letters(first.Letter).Count;
            var indices = Enumerable.Range(g.Key, count).Where(i => i < places.Length).Select(i => places[i]).ToArray();
            return new LetterTold(e.Id, indices, first.Letter, $"{(Book.Fill(first.Stitch) ?? Book.Find(first.Stitch)).Sure().Name}, "
                + $"{first.Thread.Size.Said}, {Palette.NameOf(first.Colour)}",
                asked.LastOrDefault(a => indices.Contains(a.Index)), e.Design?.Shapes.Any(s => s.Area is not null && s.Role == "letter") == true);
        });
    }).ToArray();

    /// <summary>
    /// Which of the told parts each stitch of the route belongs to, as the rows at which that changes: row, then the part's place among
    /// them.
    /// </summary>
    public static IReadOnlyList<(int Row, int Part)> Places(Plan plan, IReadOnlyList<PartTold> told)
    {
        var number = told.Select((t, i) => (Key: (t.Element, t.Role), i)).ToDictionary(t => t.Key, t => t.i);
        var elements = plan.Elements.ToDictionary(e => e.Id, StringComparer.Ordinal);
        var places = new List<(int Row, int Part)>();
        for (var row = 0; row < plan.Route.Count; row++)
        {
            var at = plan.Route[row];
            var part = number.GetValueOrDefault((at.Element, elements[at.Element].Parts[at.Part].Role), -1);
            if (places.Count == 0 || places[^1].Part != part)
            {
                places.Add((row, part));
            }
        }

        return places;
    }

    /// <summary>Half the way across its box, on the longer side.</summary>
    private static (Pt From, Pt To) Middle(Designs.Area area)
    {
        var (least, most) = area.Covers().Box;
        var (middle, half) = (Pt.Lerp(least, most, 0.5), most.X - least.X >= most.Y - least.Y ? new Pt((most.X - least.X) / 4, 0)
            : new Pt(0, (most.Y - least.Y) / 4));
        return ((middle - half).OnGrid(), (middle + half).OnGrid());
    }

    private static PartTold Of(PlannedElement element, string role, IReadOnlyList<Part> parts, Job job)
    {
        var wishes = job.Find(element.Id)?.ByPart ?? [];
        var areas = (element.Design?.Shapes ?? []).Where(s => s.Area is not null).Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        var filled = parts.Where(p => p.Filling is not null).ToArray();
        var covered = filled.Length == 0 ? 0
            : filled.Sum(p => p.Filling.Sure().Coverage * p.Filling.AreaMm2) / filled.Sum(p => p.Filling.Sure().AreaMm2);
        var told = $"{Say.List(parts.Select(p => (p.Filling is null ? Book.Find(p.Stitch) : Book.Fill(p.Stitch)).Sure().Name).Distinct(StringComparer.Ordinal).ToArray())}, "
            + $"{Say.List(parts.Select(p => p.Thread.Size.Said).Distinct(StringComparer.Ordinal).ToArray())}, "
            + Say.List(parts.Select(p => Palette.NameOf(p.Colour)).Distinct(StringComparer.Ordinal).ToArray())
            + (filled.Length == 0 ? string.Empty : $"; {Say.Number(100 * covered, 0)} % under thread");
        var called = Designs.Roles.Called(role);
        var wished = wishes.LastOrDefault(w => w.Role == role);
        var area = (element.Design?.Shapes ?? []).FirstOrDefault(s => s.Area is not null && s.Role == role
            && (wished?.Copy is null || s.Copy == wished.Copy));
        var many = parts.Select(p => p.Shape).Distinct(StringComparer.Ordinal).Count() > 1;
        return new PartTold(element.Id, element.Text, role, Say.Upper(many ? Say.Many(called) : called),
            parts.Any(p => areas.Contains(p.Shape)), told, wished)
        {
            Motif = element.IsMotif,
            Copies = parts.Select(p => p.Copy).Distinct().Count(),
            LinesMm = DrawnDirections.Shown(element, role, wished?.Copy),
            TakesLines = element.IsMotif && area is not null,
            MiddleMm = area is null ? null : Middle(area.Area.Sure()),
            Degrees = filled.Select(p => p.Filling.Sure().DirectionDegrees).FirstOrDefault(d => d is not null),
        };
    }
}
