using Dittany.Core.Crafts;
using Dittany.Core.Crafts.Beading;
using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Planning;

/// <summary>
/// Parts of a motif that are sewn with beads while the rest of it is stitched: a wish for a part names <see cref="PartAsked.Beads"/> as it
/// would
/// name a stitch. Where beads must not be, the part is stitched, and that is said.
/// </summary>
internal sealed class BeadedParts(IReadOnlyList<PartAsked> byPart, CraftGround facts)
{
    private static readonly SewnBeads Craft = new();

    private readonly IReadOnlyList<CraftRule> _against = byPart.Any(p => p.Stitch == PartAsked.Beads)
        ? Craft.Against.Where(r => r.When(facts)).ToArray() : [];

    /// <summary>Whether a shape is sewn with beads.</summary>
    public bool Takes(Shape shape) => _against.Count == 0 && Wish(shape)?.Stitch == PartAsked.Beads;

    /// <summary>The colour wished for its beads; null where none is.</summary>
    public string? ColourOf(Shape shape) => byPart.LastOrDefault(p => Holds(p, shape) && p.Colour is not null)?.Colour is { } colour
        ? Palette.HexOf(colour) : null;

    /// <summary>The wishes for what is stitched: of a part that cannot have beads all but the beads.</summary>
    public IReadOnlyList<PartAsked> Stitched(Design drawn) => !byPart.Any(p => p.Stitch == PartAsked.Beads) ? byPart
        : [.. byPart.Where(p => p.Stitch != PartAsked.Beads || _against.Count > 0 || !drawn.Shapes.Any(s => Holds(p, s)))
            .Select(p => p.Stitch == PartAsked.Beads ? p with { Stitch = null } : p)];

    /// <summary>Why a wish for beads is not followed, one sentence for each part and reason.</summary>
    public IReadOnlyList<Told> NotFollowed() => [.. byPart.Where(p => p.Stitch == PartAsked.Beads).Select(p => p.Role)
        .Distinct(StringComparer.Ordinal).SelectMany(role => _against.Select(r => (Told)$"Beads for the {Roles.Called(role)}, your wish, are not followed: {r.Why(facts)}. {r.Cure}"))];

    /// <summary>
    /// The beads of an element, the largest that touch neither each other nor a stitched line, and where even the smallest do, those with
    /// a word on it. <paramref name="pieces"/> are the shapes that take them.
    /// </summary>
    public static Crafted Make(PlannedElement element, CraftQuestion question)
    {
        var among = question with
        {
            Part = true,
            Stitched = [.. element.Parts.Where(p => p.Filling is null).Select(p => (p.LineMm, p.LineWidthMm / 2))],
        };
        var made = Bead.Sizes.Where(b => b.AcrossMm <= Bead.For(question.HighMm).AcrossMm).Reverse()
            .Select(b => Craft.Make(among with { Bead = b })).ToArray();
        return made.FirstOrDefault(m => m.Concerns.Count == 0) ?? made[^1];
    }

    private PartAsked? Wish(Shape shape) => byPart.LastOrDefault(p => p.Stitch is not null && Holds(p, shape));

    private static bool Holds(PartAsked wish, Shape shape) => wish.Role == shape.Role && (wish.Copy is null || wish.Copy == shape.Copy);
}
