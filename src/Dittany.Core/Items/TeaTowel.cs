using Dittany.Core.Geometry;

namespace Dittany.Core.Items;

/// <summary>
/// A tea towel lying upright, its loop at the top. Datum: the top left corner, x right, y down. Hems all round, a woven band near the bottom.
/// It hangs folded in three, so the middle third is what is seen.
/// </summary>
public static class TeaTowel
{
    /// <summary>Depth of the hem at top and bottom, fold to stitching (common practice).</summary>
    public const double HemMm = 10;

    /// <summary>Depth of the side hems (common practice).</summary>
    public const double SideHemMm = 6;

    /// <summary>Where the woven band lies, from the bottom edge (common practice).</summary>
    public const double BandFromMm = 30;

    public const double BandToMm = 50;

    /// <summary>The word keeps within a third of the cloth less 20 mm (from memory): 10 mm to each fold.</summary>
    public const double FoldAllowanceMm = 10;

    /// <summary>Usual capitals on a tea towel reach this, in mm (from memory: 15 to 25).</summary>
    public const double UsualMostCapMm = 25;

    public static Form Form { get; } = new(
        "tea-towel",
        "tea towel",
        "front",
        "top left corner",
        "half-linen",
        "#f1ede2",
        [
            new FormSize("50x70", "50 × 70 cm", 500, 700, "common practice"),
            new FormSize("45x65", "45 × 65 cm", 450, 650, "common practice"),
        ],
        "50x70",
        [("lower", "lower middle, as it hangs"), ("middle", "middle of the cloth")],
        UsualMostCapMm,
        Build);

    private static Drawn Build(double w, double h) => new(
        Rectangle(0, 0, w, h),
        [
            new Zone("lower", "lower middle, as it hangs", Rectangle(w / 3, h * 0.6, w / 3, h - BandToMm - (h * 0.6)), FoldAllowanceMm, "so that nothing disappears round the fold when it hangs folded in three"),
            new Zone("middle", "middle of the cloth", Rectangle(w / 3, h * 0.25, w / 3, h * 0.35), FoldAllowanceMm, "so that nothing disappears round the fold when it hangs folded in three"),
        ],
        [
            new Obstacle("bottom-hem", "bottom hem", ObstacleKind.TopstitchedHem, Rectangle(0, h - HemMm, w, HemMm), true),
            new Obstacle("top-hem", "top hem", ObstacleKind.TopstitchedHem, Rectangle(0, 0, w, HemMm), true),
            new Obstacle("left-hem", "left hem", ObstacleKind.TopstitchedHem, Rectangle(0, HemMm, SideHemMm, h - (2 * HemMm)), true),
            new Obstacle("right-hem", "right hem", ObstacleKind.TopstitchedHem, Rectangle(w - SideHemMm, HemMm, SideHemMm, h - (2 * HemMm)), true),
            new Obstacle("band", "woven band", ObstacleKind.Print, Rectangle(SideHemMm, h - BandToMm, w - (2 * SideHemMm), BandToMm - BandFromMm), false),
        ],
        [
            new Landmark("centre-fold", "lengthwise centre fold", new Pt(w / 2, 0), new Pt(w / 2, h)),
            new Landmark("bottom-hem-stitching", "stitching of the bottom hem", new Pt(0, h - HemMm), new Pt(w, h - HemMm)),
            new Landmark("left-third", "left third fold", new Pt(w / 3, 0), new Pt(w / 3, h)),
            new Landmark("right-third", "right third fold", new Pt(w * 2 / 3, 0), new Pt(w * 2 / 3, h)),
        ]);

    private static Pt[] Rectangle(double x, double y, double w, double h) => [new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h)];
}
