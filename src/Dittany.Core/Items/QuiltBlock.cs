using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A quilt block with its seam allowance, worked before it is sewn in. Datum: the top left corner of the cut block. Governing measures:
/// width and height with the allowance. Blocks are named by their finished size in inches; a quarter of an inch is sewn away all round
/// (common practice).
/// </summary>
public static class QuiltBlock
{
    public static Form Form { get; } = new(
        "quilt-block", "quilt block", Shelf.Keepsake, "quilting-cotton", "#e6c9c4", "nobody",
            new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [Size(6), Size(8), Size(10), Size(12)],
        "10in",
        new Measure("width", "Width as cut", "From raw edge to raw edge.", 60, 600),
            new Measure("height", "Height as cut", "From raw edge to raw edge.", 60, 600), size => [Build(size)])
    {
        AlsoCalled = ["quilt square", "patchwork block", "quilt"],
        Loose = LooseCloth.SewnIn,
    };

    private static FormSize Size(int inches) => new($"{inches}in", $"{inches} in finished", (inches * Measures.Tape.InchMm)
        + (2 * ClothAllowance.PatchworkMm), (inches * Measures.Tape.InchMm) + (2 * ClothAllowance.PatchworkMm),
        "common practice: finished size and a quarter inch all round");

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        const double A = ClothAllowance.PatchworkMm;
        var middle = Rectangle(A, A, w - (2 * A), h - (2 * A));
        return new Drawn(
            new Face("front", "front", "top left corner of the cut block"),
            Rectangle(0, 0, w, h),
            [
                new Zone("middle", "middle", middle, 12, $"Quilting lines want {Measures.Say.Length(12)} round the stitches.",
                    OpticalPlace.In(middle), Caps(12, 26, 0.7, 0.75 * w, "Words keep clear of the quilting.")),
                new Zone(
                    "foot", "along the lower edge", Rectangle(A + 10, h - A - 60, w - (2 * A) - 20, 50), 0, "For a name and a year.",
                        Base(25, "the raw edge", new Pt(w / 2, h - 25), "There the maker signs."),
                        Caps(7, 12, 0.7, 0.7 * w, "A signature stays small.")),
            ],
            [
                new Obstacle("top-allowance", "seam allowance at the top", ObstacleKind.RawEdge, Rectangle(0, 0, w, A),
                    [new(0, A), new(w, A)]), new Obstacle("bottom-allowance", "seam allowance at the bottom", ObstacleKind.RawEdge,
                    Rectangle(0, h - A, w, A), [new(0, h - A), new(w, h - A)]),
                new Obstacle("left-allowance", "seam allowance at the left", ObstacleKind.RawEdge, Rectangle(0, A, A, h - (2 * A)),
                    [new(A, 0), new(A, h)]), new Obstacle("right-allowance", "seam allowance at the right", ObstacleKind.RawEdge,
                    Rectangle(w - A, A, A, h - (2 * A)), [new(w - A, 0), new(w - A, h)]),
            ],
            [.. Flat(w, h, "block")],
            []);
    }
}
