using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A Christmas stocking with a deep cuff turned down: the cuff as it hangs, the layer that turns in, and the leg below. Datum of the cuff:
/// the middle of the fold at the top; of the layer inside: the middle of the same fold, looked at from within; of the leg: the middle of
/// the top. Governing measures: the flat width at the top, and top to heel.
/// </summary>
public static class ChristmasStocking
{
    /// <summary>Words on a cuff keep this far from its edges (from memory).</summary>
    public const double FromEdgesMm = 20;

    public static Form Form { get; } = new(
        "christmas-stocking", "Christmas stocking", Shelf.Keepsake, "linen", "#8d4a3c", "nobody",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: false, MadeUp: true),
        [new("19x42", $"{Say.SpanCm(19, " × ", 42)}", 190, 420, Common, Lined: true),
            new("16x35", $"{Say.SpanCm(16, " × ", 35)}", 160, 350, Common, Lined: true),
            new("22x50", $"{Say.SpanCm(22, " × ", 50)}", 220, 500, Common, Lined: true)],
        "19x42",
        new Measure("width", "Width at the top", "Across the cuff, lying flat.", 90, 350),
            new Measure("height", "Top to toe", "From the top of the cuff straight down.", 180, 800), Build)
    {
        ByPattern = true,
        AlsoCalled = ["stocking", "xmas stocking", "christmas sock"],
    };

    private static IReadOnlyList<Drawn> Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var deep = 0.26 * h;
        var (half, cuff) = (w / 2, (w / 2) + 5);
        Pt[] foot =
        [
            new(half, 0), new(half, 0.55 * h), .. Bend(new Pt(half, 0.55 * h), new Pt(half, 0.7 * h), new Pt(half + (0.2 * w), 0.72 * h),
                new Pt(half + (0.42 * w), 0.74 * h)).Skip(1),
            .. Bend(new Pt(half + (0.42 * w), 0.74 * h), new Pt(half + (0.75 * w), 0.78 * h), new Pt(half + (0.72 * w), h),
                new Pt(half + (0.36 * w), h)).Skip(1),
            new(half - (0.1 * w), h), .. Bend(new Pt(half - (0.1 * w), h), new Pt(-half, h), new Pt(-half - (0.1 * w), 0.86 * h),
                new Pt(-half, 0.66 * h)).Skip(1), new(-half, 0),
        ];
        var ring = Rectangle(-cuff, 0, 2 * cuff, deep);
        var flat = new Pt[] { new(-cuff, -60), new(cuff, -60), new(cuff, deep), new(-cuff, deep) };
        Landmark[] landmarks =
        [
            MiddleFold("cuff-middle", "the middle fold of the cuff", 0, deep,
                "Lay one side seam of the cuff on the other, front layer only, and crease lightly: that is the middle fold of the cuff."),
            Level("cuff-fold", "the fold at the top", cuff, 0, Found.Edge),
                Level("cuff-edge", "the edge of the cuff", cuff, deep, Found.Edge),
            new Landmark("cuff-left", "the left side seam", new(-cuff, 0), new(-cuff, deep), Found.Seam),
                new Landmark("cuff-right", "the right side seam", new(cuff, 0), new(cuff, deep), Found.Seam),
        ];
        Obstacle[] seams =
        [
            Seam("cuff-hem", "hem of the cuff", [new(-cuff, deep - 4), new(cuff, deep - 4)], ObstacleKind.RolledHem, 8),
                Seam("left-side", "left side seam", [new(-cuff + 2, 0), new(-cuff + 2, deep)]),
                Seam("right-side", "right side seam", [new(cuff - 2, 0), new(cuff - 2, deep)]),
        ];
        Told Edge = $"{Say.Length(20)} are kept free to the edges of the cuff as folded.";
        var mouth = new Opening("the top of the stocking", w);
        return
        [
            new Drawn(
                new Face(
                    "cuff", "cuff, as it hangs", "the middle of the fold at the top",
                    new FoldOver(
                        "Turned down as it hangs, the inside of the stocking's cloth is seen, with the fold at the top.",
                        "Unfold the cuff and turn the stocking inside out: stitch on the cloth's wrong side, the fold above the stitches "
                            + "and the raw edge of the cuff below them. Stitched on the right side it would vanish inside, upside down.",
                        new Pt(-cuff, 0), new Pt(cuff, 0), flat)
                    {
                        Unsewn = "Stitch on the wrong side of the cloth, the fold line above the stitches: turned down when it is sewn, "
                            + "that side is seen, the right way up.",
                    }),
                ring,
                [
                    new Zone("cuff", "front of the cuff", ring, FromEdgesMm, Edge,
                        Middle("cuff-centre", "In the middle of the cuff as folded", new Pt(0, deep / 2),
                        "The middle of what is seen when it hangs, not of the cloth unfolded."),
                        Caps(18, 30, 0.8, (2 * cuff) - (2 * FromEdgesMm),
                        $"{Say.Length(20)} to the side seams, or the name goes round them.")),
                ],
                seams, landmarks, [foot], mouth),
            new Drawn(
                new Face("cuff-inside", "the layer of the cuff that turns in", "the middle of the fold at the top, seen from within"),
                ring,
                [
                    new Zone("cuff-inside", "inside the cuff, hidden", ring, FromEdgesMm, Edge,
                        Base(25, "the edge", new Pt(0, deep - 25),
                        "A hidden line low inside the cuff: found when the stocking is emptied."),
                        Caps(6, 11, 0.7, 1.2 * cuff, "A hidden line stays small."), Hidden: true),
                ],
                seams, landmarks, [], mouth),
            new Drawn(
                new Face("leg", "leg, below the cuff", "the middle of the top"),
                foot,
                [
                    new Zone(
                        "leg", "leg, below the cuff", Rectangle(-half, deep + 5, w, (0.6 * h) - deep - 5), 12,
                            "Below the cuff, above the heel.",
                        Middle("leg-usual", "In the middle of the leg, below the cuff", new Pt(0, (deep + (0.6 * h)) / 2),
                            "Between cuff and heel the leg is straight."), Caps(14, 24, 0.75, 0.7 * w, "Its sides are seams.")),
                ],
                [
                    Seam("left-side", "left side seam", [new(-half + 2, 0), new(-half + 2, 0.66 * h)]),
                        Seam("right-side", "right side seam", [new(half - 2, 0), new(half - 2, 0.55 * h)]),
                    new Obstacle("cuff-over", "cuff lying over the leg", ObstacleKind.PocketEdge, Rectangle(-half, 0, w, deep),
                        [new(-half, deep), new(half, deep)]),
                ],
                [
                    new Landmark("leg-middle", "the middle fold of the leg", new(0, 0), new(0, 0.55 * h), Found.Fold,
                        new Folding("Lay one side seam of the leg on the other, front layer only, and crease lightly: that is the middle "
                            + "fold of the leg.", "leg-left", "leg-right")),
                    Level("cuff-line", "the edge of the cuff lying over it", half, deep, Found.Edge),
                        new Landmark("leg-left", "the left side seam", new(-half, 0), new(-half, 0.55 * h), Found.Seam),
                        new Landmark("leg-right", "the right side seam", new(half, 0), new(half, 0.55 * h), Found.Seam),
                ],
                [], mouth, Over: [ring]),
        ];
    }
}
