using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A plain dress, flared to the hem: front and one sleeve. Datum of the front: centre front at the neck edge; of the sleeve: the middle of
/// its hem. Governing measures: the bust laid flat, and neck to hem.
/// </summary>
public static class Dress
{
    private const double HemMm = 30;
    private const double SleeveHemMm = 15;

    public static Form Form { get; } = new(
        "dress", "dress", Shelf.Wear, "linen", "#b9ccd4", "adult",
            new FormUse(Handled: false, NextToSkin: true, SeenOutdoors: true, MadeUp: false),
        [
            Size("104", $"child's 104, for {Say.Cm(104)} body height", 560, 520),
                Size("128", $"child's 128, for {Say.Cm(128)} body height", 640, 640),
            Size("s", $"S, bust {Say.SpanCm(82, " to ", 90)}", 860, 960), Size("m", $"M, bust {Say.SpanCm(90, " to ", 98)}", 940, 980),
                Size("l", $"L, bust {Say.SpanCm(98, " to ", 107)}", 1025, 1000),
                Size("xl", $"XL, bust {Say.SpanCm(107, " to ", 119)}", 1130, 1020),
        ],
        "m",
        new Measure("chest", "Bust laid flat", "From underarm to underarm, lying flat.", 240, 760),
            new Measure("length", "Neck to hem", "Down the middle of the front.", 350, 1500), Build)
    {
        AlsoCalled = ["frock", "summer dress"],
    };

    private static FormSize Size(string id, Told name, double girth, double length) =>
        new(id, name, (girth + 80) / 2, length, "EN 13402-3; ease of 80 mm and length common practice");

    private static IReadOnlyList<Drawn> Build(FormSize size)
    {
        var (w, l) = (size.WidthMm, size.HeightMm);
        var (neck, drop) = (30 + (0.13 * w), 20 + (0.14 * w));
        var tip = new Pt(0.42 * w, -drop + (0.07 * w));
        var underarm = new Pt(0.5 * w, tip.Y + (0.42 * w));
        var hem = (0.5 * w) + (0.2 * l);
        var sleeve = new Pt(0.78, 0.63) * (0.3 * w);
        var (top, bottom) = (tip + sleeve, tip + sleeve + (new Pt(-0.63, 0.78) * (0.36 * w)));
        var neckEdge = Bend(new Pt(-neck, -drop), new Pt(-neck, -0.3 * drop), new Pt(-0.55 * neck, 0), new Pt(0, 0));
        Pt[] side = [tip, top, bottom, underarm, new Pt(0.49 * w, 0.35 * l), new Pt(hem, l)];
        Pt[] neckline = [.. neckEdge, .. Mirrored(neckEdge).Skip(1)];
        var armhole = Bend(tip, new Pt(0.36 * w, tip.Y + (0.12 * w)), new Pt(0.38 * w, underarm.Y - (0.08 * w)), underarm);
        var sleeveHem = new[] { top, bottom }.Select(p => p - (sleeve * (SleeveHemMm / sleeve.Length))).ToArray();
        var cuff = 0.36 * w;
        return
        [
            new Drawn(
                new Face("front", "front", "centre front at the neck edge"),
                [.. neckline, .. side, .. Mirrored(side)],
                [
                    new Zone(
                        "hem-border", "border above the hem", Rectangle(-0.8 * hem, l - HemMm - 130, 1.6 * hem, 130), 5,
                            $"The border follows the hem; where hem and grain disagree by more than {Say.Length(3)}, follow the hem.",
                        Base(35, "the hem's stitching", new Pt(0, l - HemMm - 35),
                            "A border belongs to the hem: it is measured from it, not from the waist.", "hem-stitching"),
                        Caps(14, 26, 0.6, hem, "A border runs on; words fill the middle of the front.")),
                    new Zone(
                        "bodice", "bodice", Rectangle(-0.34 * w, 0, 0.68 * w, 0.26 * l), 5,
                            $"{Say.Length(5)} are kept free at its edges, so that nothing slips under the arm.",
                        Top(45, "the neck edge", new Pt(0, 45), "There the words lie flat.", "neck-edge"),
                            Caps(10, 18, 0.6, 0.45 * w, "Words stay clear of the bust's fullest part.")),
                ],
                [
                    Seam("neck-facing", "neck facing", neckline, ObstacleKind.RolledHem, 8),
                    Seam("right-armhole", "right armhole seam", armhole), Seam("left-armhole", "left armhole seam", Mirrored(armhole)),
                    Hem("hem", "hem", -hem, hem, l, -HemMm),
                    new Obstacle("right-sleeve-hem", "right sleeve hem", ObstacleKind.TopstitchedHem,
                        [top, bottom, sleeveHem[1], sleeveHem[0]], sleeveHem),
                    new Obstacle("left-sleeve-hem", "left sleeve hem", ObstacleKind.TopstitchedHem,
                        Mirrored([top, bottom, sleeveHem[1], sleeveHem[0]]), Mirrored(sleeveHem)),
                ],
                [
                    MiddleFold("front-fold", "the middle fold of the front", 0, l,
                        "Fold the dress in half lengthwise, shoulder on shoulder and side on side, and crease the front lightly: that is "
                            + "the middle fold of the front."),
                    Level("neck-edge", "the neck edge in the middle", neck, 0, Found.Edge),
                    Level("hem-stitching", "the stitching of the hem", hem, l - HemMm, Found.Stitching),
                    Level("hem-edge", "the edge of the hem", hem, l, Found.Edge),
                ],
                [],
                new Opening("the hem", 2 * hem)),
            new Drawn(
                new Face("sleeve", "sleeve", "middle of the sleeve hem"),
                [new(-cuff / 2, 0), new(cuff / 2, 0), new(0.21 * w, -0.3 * w), new(-0.21 * w, -0.3 * w)],
                [
                    new Zone(
                        "sleeve", "sleeve, above the hem", Rectangle(-0.4 * cuff, -SleeveHemMm - 75, 0.8 * cuff, 75), 3,
                            $"{Say.Length(3)} are kept free to the fold and the underarm seam.",
                        Base(20, "the hem", new Pt(0, -SleeveHemMm - 20), "Just above the hem it shows when the arm hangs."),
                            Caps(7, 12, 0.75, 0.7 * cuff, "More would go round the arm."),
                            HoopLimit: new HoopLimit(102, "A sleeve takes four inches at most.")),
                ],
                [
                    Hem("sleeve-hem", "sleeve hem", -cuff / 2, cuff / 2, 0, -SleeveHemMm),
                    Seam("underarm-seam", "underarm seam", [new Pt(-cuff / 2, 0), new Pt(-0.21 * w, -0.3 * w)]),
                ],
                [
                    MiddleFold("sleeve-fold", "the middle fold of the sleeve", -0.3 * w, 0,
                        "Lay the sleeve flat, its underarm seam at one side, bring that seam to the fold opposite, and crease lightly."),
                    Level("sleeve-hem-stitching", "the stitching of the sleeve hem", cuff / 2, -SleeveHemMm, Found.Stitching),
                ],
                [],
                new Opening("the sleeve", cuff)),
        ];
    }
}
