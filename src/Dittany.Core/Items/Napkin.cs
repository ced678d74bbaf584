using Dittany.Core.Geometry;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>A hemmed table napkin, mitred corners. Datum: the top left corner, x right, y down. The corner worked is the lower right one.</summary>
public static class Napkin
{
    /// <summary>Depth of the hem, fold to stitching (common practice).</summary>
    public const double HemMm = 10;

    /// <summary>A corner's words are centred this far from both edges, and keep this far inside the hem (from memory).</summary>
    public const double CornerCentreMm = 65;

    public const double InsideHemMm = 25;

    public static Form Form { get; } = new(
        "napkin",
        "napkin",
        "front",
        "top left corner",
        "linen",
        "#f6f3ea",
        "nobody",
        new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [
            new FormSize("40x40", "40 × 40 cm", 400, 400, "common practice"),
            new FormSize("45x45", "45 × 45 cm", 450, 450, "common practice"),
            new FormSize("50x50", "50 × 50 cm", 500, 500, "common practice"),
        ],
        "45x45",
        [("corner", "corner"), ("edge", "along the lower edge")],
        Build);

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        const double Free = HemMm + InsideHemMm;
        const double Reach = 2 * CornerCentreMm;
        const string Edge = "25 mm are kept free inside the hem, so that the words do not crowd it.";
        var corner = Rectangle(w - Reach - 30, h - Reach - 30, Reach + 30 - Free, Reach + 30 - Free);
        var edge = Rectangle(w * 0.15, h - Free - 60, w * 0.7, 60);
        return new Drawn(
            Rectangle(0, 0, w, h),
            [
                new Zone(
                    "corner", "corner", corner, 0, Edge,
                    new UsualPlace(
                        "corner-65", "Centred 65 mm from both edges, on the diagonal", new Pt(w - CornerCentreMm, h - CornerCentreMm), Stands.OnMiddle,
                        ["65 mm from both edges the words show in the corner of a folded napkin."], "from memory"),
                    new UsualLettering(8, 12, 0.65, 2 * (CornerCentreMm - Free), "Wider words would come nearer than 25 mm to the hem.", "from memory", 18, 25),
                    new Finding(
                        ["Fold the corner on itself, edge on edge, and crease only its tip: the words sit across this diagonal."],
                        "right-edge", "bottom-edge", "both end marks must be equally far from the lower edge", FromEdge: true)),
                new Zone(
                    "edge", "along the lower edge", edge, 0, Edge,
                    new UsualPlace(
                        "base-above-hem", "The base of the words 30 mm above the hem, on the centre fold", new Pt(w / 2, h - HemMm - 30), Stands.OnBaseline,
                        ["30 mm above the hem's stitching the words stand clear of it and still read as a border."], "from memory"),
                    new UsualLettering(8, 14, 0.5, w * 0.5, "Half the napkin's width leaves it calm at both sides.", "from memory", 18, 25),
                    new Finding(
                        ["Fold the napkin in half, side on side, and crease: that is the centre fold."],
                        "centre-fold", "bottom-hem-stitching", "both end marks must be equally far from the hem's stitching")),
            ],
            [
                .. Hems.Around(w, h, HemMm, HemMm),
            ],
            [
                new Landmark("centre-fold", "centre fold", new Pt(w / 2, 0), new Pt(w / 2, h)),
                new Landmark("bottom-hem-stitching", "the stitching of the bottom hem", new Pt(0, h - HemMm), new Pt(w, h - HemMm)),
                new Landmark("right-edge", "the right edge", new Pt(w, 0), new Pt(w, h)),
                new Landmark("bottom-edge", "the lower edge", new Pt(0, h), new Pt(w, h)),
                new Landmark("diagonal", "the diagonal crease", new Pt(w, h), new Pt(w - (2 * Reach), h - (2 * Reach))),
            ],
            []);
    }
}
