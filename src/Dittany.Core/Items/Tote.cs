using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A tote bag, one panel towards the maker, its opening at the top. Datum: the top left corner of the panel, x right, y down. A deep hem,
/// two strap ends sewn onto it, side and base seams; some are lined.
/// </summary>
public static class Tote
{
    /// <summary>Depth of the top hem; how far the strap ends reach below the top; their width (common practice).</summary>
    public const double HemMm = 30;

    public const double StrapToMm = 55;

    public const double StrapWidthMm = 28;

    /// <summary>Words keep this far below the top hem and above the base (from memory).</summary>
    public const double BelowHemMm = 70;

    public const double AboveBaseMm = 90;

    public static Form Form { get; } = new(
        "tote",
        "tote",
        Shelf.Carry,
        "canvas",
        "#e9e1cd",
        "nobody",
        new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: true, MadeUp: true),
        [
            new FormSize("38x42", $"{Say.SpanCm(38, " × ", 42)}", 380, 420, "common practice"),
            new FormSize("38x42-lined", $"{Say.SpanCm(38, " × ", 42)}, lined", 380, 420, "common practice", Lined: true),
            new FormSize("30x35", $"{Say.SpanCm(30, " × ", 35)}", 300, 350, "common practice"),
        ],
        "38x42",
        new Measure("width", "Width of the panel", "From side seam to side seam, lying flat.", 150, 700),
        new Measure("height", "Height of the panel", "From the top hem to the base seam.", 150, 700),
        size => [Build(size)])
    {
        ByPattern = true,
        AlsoCalled = ["tote bag", "canvas bag", "shopping bag", "bag"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var (left, right) = (w * 0.27, w * 0.73);
        var panel = Rectangle(0, HemMm + BelowHemMm, w, h - AboveBaseMm - HemMm - BelowHemMm);
        var lower = Rectangle(0, h * 0.55, w, h - AboveBaseMm - (h * 0.55));
        Told Edge = $"{Say.Length(70)} are kept free below the top hem and {Say.Length(90)} above the base, where the bag bends when it "
            + $"is full.";
        var lettering = new UsualLettering(20, 35, 0.65, w * 0.7, "Words as wide as the bag go round its sides when it is full.",
            "from memory");
        return new Drawn(
            new Face("front", "front", "top left corner of the panel"),
            Rectangle(0, 0, w, h),
            [
                new Zone("panel", "middle of the panel", panel, 0, Edge, OpticalPlace.In(panel), lettering),
                new Zone("lower", "lower part of the panel", lower, 0, Edge, OpticalPlace.In(lower), lettering),
            ],
            [
                new Obstacle("top-hem", "top hem", ObstacleKind.TopstitchedHem, Rectangle(0, 0, w, HemMm),
                    [new Pt(0, HemMm), new Pt(w, HemMm)]),
                new Obstacle("left-side", "left side seam", ObstacleKind.BagSide, Rectangle(0, 0, 2, h), [new Pt(2, 0), new Pt(2, h)]),
                new Obstacle("right-side", "right side seam", ObstacleKind.BagSide, Rectangle(w - 2, 0, 2, h),
                    [new Pt(w - 2, 0), new Pt(w - 2, h)]),
                new Obstacle("base", "base seam", ObstacleKind.BagSide, Rectangle(0, h - 2, w, 2), [new Pt(0, h - 2), new Pt(w, h - 2)]),
                new Obstacle("left-strap", "left strap end", ObstacleKind.StrapEnd,
                    Rectangle(left - (StrapWidthMm / 2), 0, StrapWidthMm, StrapToMm)),
                new Obstacle("right-strap", "right strap end", ObstacleKind.StrapEnd,
                    Rectangle(right - (StrapWidthMm / 2), 0, StrapWidthMm, StrapToMm)),
            ],
            [
                .. Parts.Flat(w, h, "bag").Where(l => l.Id
                    is not "top-edge" and not "cross-fold" and not "upper-quarter" and not "lower-quarter").Select(l => l.Id switch
                {
                    "left-edge" => l with { Id = "left-seam", Name = "the left side seam", Found = Found.Seam },
                    "right-edge" => l with { Id = "right-seam", Name = "the right side seam", Found = Found.Seam },
                    "bottom-edge" => l with { Id = "base-seam", Name = "the base seam", Found = Found.Seam },
                    "centre-fold" => l with { Folding = new Folding(
                        "Fold the bag in half lengthwise, side seam on side seam and strap on strap, and crease: that is the centre fold.",
                        "left-seam", "right-seam") },
                    "left-quarter" => l with { Folding = l.Folding.Sure() with { OneId = "left-seam" } },
                    _ => l with { Folding = l.Folding.Sure() with { OtherId = "right-seam" } },
                }),
                new Landmark("top-hem-stitching", "the stitching of the top hem", new Pt(0, HemMm), new Pt(w, HemMm), Found.Stitching),
            ],
            [Strip(Bend(new Pt(left, 4), new Pt(left + 6, -h * 0.42), new Pt(right - 6, -h * 0.42), new Pt(right, 4)), StrapWidthMm)],
            new Opening("the top of the bag", w));
    }
}
