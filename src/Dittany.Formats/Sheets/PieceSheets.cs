using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Formats.Template;

namespace Dittany.Formats.Sheets;

/// <summary>A sheet that can be printed of a plan: its id, its name, and what it is for.</summary>
public sealed record SheetKind(string Id, string Name, string For)
{
    /// <summary>Whether a plan has anything to print on it.</summary>
    public Func<Plan, bool> Fits { get; init; } = _ => true;

    /// <summary>Whether lengths on it are those of the piece, and a check line tells whether the printer kept them.</summary>
    public required bool ToScale { get; init; }
}

/// <summary>The sheets of a piece.</summary>
public static class PieceSheets
{
    public static IReadOnlyList<SheetKind> Kinds { get; } =
    [
        new("template", "Template",
            "The lines at 1:1, mirrored where the transfer asks for it, with a check line; the placement card goes with it.")
        { ToScale = true, Fits = p => p.Sewn || p.CraftParts.Any(c => c.Craft != "paint") },
        new("stencil", "Cutting sheet", "A stencil for each colour at 1:1, with the bridges that hold its islands, and a check line.")
        { ToScale = true, Fits = p => p.CraftParts.Any(c => c.Craft == "paint") },
        new("pieces", "Pieces to cut", "Every piece that is sewn on at 1:1, mirrored for the web behind it, nested, with its number.")
        { ToScale = true, Fits = p => p.CraftParts.Any(c => c.Craft == "applique") },
        new("cut-out", "Paper cut-out", "The design at 1:1 to cut out and lay on the item before anything is marked.")
        { ToScale = true, Fits = p => p.Sewn },
        new("shapes", "Paper shapes",
            "Rough paper shapes of every motif and wording, to push about on the item until they lie where you like them.")
        { ToScale = true, Fits = p => p.Sewn },
        new("placement", "Placement card", "Where it goes on the real item: numbered folds and distances.") { ToScale = false },
        new("work", "Work sheet", "The order of work with its lengths of thread, strands, needle, minutes and cautions.") { ToScale = false },
        new("layers", "Layer drawing",
            "Seen from the side: what lies over what when it is ironed, sprayed, felted or stitched, and which side looks up.")
        { ToScale = false, Fits = p => p.SideViews.Count > 0 },
        new("care", "Care card", "For whoever gets it: how it is washed and ironed.") { ToScale = false },
        new("tag", "Gift tag", "A small tag in the lines of the piece, to cut out and tie on.")
        { ToScale = false, Fits = p => p.Sewn },
    ];

    /// <summary>Sheets on which lengths are those of the piece, by id: what one measures of its check line holds for all of them.</summary>
    public static IReadOnlyList<string> ToScale { get; } = Kinds.Where(k => k.ToScale).Select(k => k.Id).ToArray();

    /// <summary>The sheets that a plan has something for, the first one to be printed first.</summary>
    public static IReadOnlyList<SheetKind> For(Plan plan) => Kinds.Where(k => k.Fits(plan)).ToArray();

    /// <summary>
    /// The leaves of one sheet. The plan's sentences are printed as they are: tell them in her units before. <paramref name="note"/> names
    /// the sheet; it may be empty.
    /// </summary>
    public static IReadOnlyList<Leaf> Of(string kind, Plan plan, Paper paper, string note) => plan.Places.Count == 0
        || !ByPlace.Contains(kind, StringComparer.Ordinal) ? One(kind, plan, paper, note)
        : plan.Places.Where(p => !p.Stands && Kinds.First(k => k.Id == kind).Fits(p.Plan)).SelectMany(p => One(kind, p.Plan, paper, note))
            .ToArray();

    /// <summary>Sheets that are laid on the item, or tell where: of a piece with several places there is one of each.</summary>
    private static readonly string[] ByPlace = ["template", "stencil", "pieces", "cut-out", "shapes", "placement", "layers"];

    private static IReadOnlyList<Leaf> One(string kind, Plan plan, Paper paper, string note) => kind switch
    {
        "template" => [.. TemplateLeaves.Of(TemplateSheet.Of(plan, paper), note.Length == 0 ? null : note),
            .. PlacementCard.Of(plan, paper, note)],
        "stencil" => StencilSheets.Of(plan, paper).SelectMany(s => TemplateLeaves.Of(s, note.Length == 0 ? null : note))
            .Concat(PlacementCard.Of(plan, paper, note)).ToArray(),
        "pieces" => PieceLeaves.Of(plan, paper, note.Length == 0 ? null : note),
        "cut-out" => TemplateLeaves.Of(TemplateSheet.CutOut(plan, paper), note.Length == 0 ? null : note),
        "shapes" => ShapeLeaves.Of(plan, paper, note.Length == 0 ? null : note),
        "placement" => PlacementCard.Of(plan, paper, note),
        "work" => WorkSheet.Of(plan, paper, note),
        "layers" => LayersSheet.Of(plan, paper, note),
        "care" => CareCard.Of(plan, paper),
        "tag" => GiftTag.Of(plan, paper),
        _ => throw new ArgumentException($"There is no sheet '{kind}'.", nameof(kind)),
    };
}
