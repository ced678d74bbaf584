using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A tea towel lying upright, its loop at the top. Datum: the top left corner, x right, y down. Hems all round, a woven band near the
/// bottom. It hangs folded in three, so the middle third is what is seen.
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

    /// <summary>The base of the lettering stands this far above the hem (from memory).</summary>
    public const double BaseAboveHemMm = 70;

    private static readonly Told Folded = $"{Say.Length(10)} are kept free at its edges, so that nothing disappears round the fold when "
        + $"it hangs folded in three.";

    public static Form Form { get; } = new(
        "tea-towel",
        "tea towel",
        Shelf.Table,
        "half-linen",
        "#f1ede2",
        "nobody",
        new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [
            new FormSize("50x70", $"{Say.SpanCm(50, " × ", 70)}", 500, 700, "common practice"),
            new FormSize("45x65", $"{Say.SpanCm(45, " × ", 65)}", 450, 650, "common practice"),
        ],
        "50x70",
        new Measure("width", "Width of the cloth", "From side to side, along the hem.", 250, 900),
        new Measure("height", "Length of the cloth", "From top to bottom.", 250, 1200),
        size => [Build(size)])
    {
        AlsoCalled = ["kitchen towel", "tea-towel", "dish towel", "drying-up cloth", "dishcloth", "towel"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var lettering = new UsualLettering(15, 25, 0.65, w / 3 - (2 * FoldAllowanceMm),
            $"A third of the cloth less {Say.Length(20)} is what is seen when it hangs folded in three.", "from memory");
        var lower = Rectangle(w / 3, h * 0.6, w / 3, h - BandToMm - (h * 0.6));
        var middle = Rectangle(w / 3, h * 0.25, w / 3, h * 0.35);
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                new Zone(
                    "lower", "lower middle, as it hangs", lower, FoldAllowanceMm, Folded,
                    new UsualPlace(
                        "base-above-hem", $"The base of the words {Say.Length(70)} above the hem, on the centre fold",
                            new Pt(w / 2, h - HemMm - BaseAboveHemMm), Stands.OnBaseline,
                        [$"{Say.Length(70)} above the hem's stitching the words hang where the eye falls, clear of the band."],
                            "from memory", "bottom-hem-stitching"),
                    lettering),
                new Zone("middle", "middle of the cloth", middle, FoldAllowanceMm, Folded, OpticalPlace.In(middle), lettering),
            ],
            [
                .. Hems.Around(w, h, HemMm, SideHemMm),
                new Obstacle("band", "woven band", ObstacleKind.Print,
                    Rectangle(SideHemMm, h - BandToMm, w - (2 * SideHemMm), BandToMm - BandFromMm)),
            ],
            [
                .. Parts.Flat(w, h, "towel", HemMm, SideHemMm),
                new Landmark("left-third", "the left third fold", new Pt(w / 3, 0), new Pt(w / 3, h), Found.Fold,
                    new Folding("Fold the towel in three lengthwise, as it hangs, and crease: that gives both third folds.", string.Empty,
                    string.Empty, 2)),
                new Landmark("right-third", "the right third fold", new Pt(w * 2 / 3, 0), new Pt(w * 2 / 3, h), Found.Fold,
                    new Folding("Fold the towel in three lengthwise, as it hangs, and crease: that gives both third folds.", string.Empty,
                    string.Empty, 2)),
            ],
            [Strip(Bend(new Pt((w / 2) - 9, 4), new Pt((w / 2) - 9, -26), new Pt((w / 2) + 9, -26), new Pt((w / 2) + 9, 4)), 4)]);
    }
}
