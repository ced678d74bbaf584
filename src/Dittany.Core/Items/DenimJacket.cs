using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A denim jacket: its back between yoke, slanting seams and waistband, and its collar as it lies folded. Datum of the back: centre back at
/// the collar seam; of the collar: the middle of its fold. Governing measures: the chest laid flat, and collar seam to lower edge.
/// </summary>
public static class DenimJacket
{
    private const double BandMm = 45;
    private const double CollarMm = 72;

    public static Form Form { get; } = new(
        "denim-jacket", "denim jacket", Shelf.Wear, "denim", "#6d87a3", "adult",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: true, MadeUp: false),
        [
            new("s", $"S, chest {Measures.Say.SpanCm(86, " to ", 94)}", 510, 560, Source),
                new("m", $"M, chest {Measures.Say.SpanCm(94, " to ", 102)}", 550, 580, Source),
                new("l", $"L, chest {Measures.Say.SpanCm(102, " to ", 110)}", 590, 600, Source),
            new("xl", $"XL, chest {Measures.Say.SpanCm(110, " to ", 118)}", 630, 620, Source),
                new("116", $"child's 116, for {Measures.Say.Cm(116)} body height", 380, 400, Source),
        ],
        "m",
        new Measure("chest", "Chest laid flat", "From underarm to underarm, buttoned and lying flat.", 280, 800),
            new Measure("length", "Collar seam to lower edge", "Down the middle of the back.", 280, 800), Build)
    {
        AlsoCalled = ["jean jacket", "jeans jacket", "jacket", "denim jacket back"],
    };

    private const string Source = "EN 13402-3 letter codes; ease and length common practice";

    private static IReadOnlyList<Drawn> Build(FormSize size)
    {
        var (w, l) = (size.WidthMm, size.HeightMm);
        var neck = 0.16 * w;
        var (yoke, waist) = (0.26 * l, l - BandMm);
        Pt[] side = [new(neck, -12), new(0.45 * w, 0.07 * l), new(0.47 * w, 0.3 * l), new(0.5 * w, 0.42 * l), new(0.47 * w, waist),
            new(0.45 * w, l)];
        Pt[] outline = [.. Bend(new Pt(-neck, -12), new Pt(-neck * 0.5, 0), new Pt(-neck * 0.2, 0), new Pt(0, 0)),
            .. Mirrored(Bend(new Pt(-neck, -12), new Pt(-neck * 0.5, 0), new Pt(-neck * 0.2, 0), new Pt(0, 0))).Skip(1), .. side.Skip(1),
            .. Mirrored(side.Skip(1))];
        Pt[] slant = [new(0.31 * w, yoke), new(0.2 * w, waist)];
        var half = neck + 70;
        return
        [
            new Drawn(
                new Face("back", "back", "centre back at the collar seam"),
                outline,
                [
                    new Zone(
                        "panel", "middle panel of the back", [new(-0.31 * w, yoke), new(0.31 * w, yoke), new(0.2 * w, waist),
                            new(-0.2 * w, waist)], 4, "It ends at the felled seams, which a needle hardly gets through.",
                        Top(45, "the yoke seam", new Pt(0, yoke + 45), "High on the back it is seen above a bag and does not crease.",
                            "yoke-line"), Caps(20, 45, 0.75, 0.44 * w, "The panel grows narrower towards the waist.")),
                    new Zone(
                        "yoke", "yoke", Rectangle(-0.38 * w, 0.06 * l, 0.76 * w, yoke - (0.06 * l)), 4,
                            "It ends at the felled seams, which a needle hardly gets through.",
                        Middle("yoke-middle", "In the middle of the yoke", new Pt(0, (yoke + (0.06 * l)) / 2),
                            "The yoke is double: the stitches stiffen it no further."),
                            Caps(14, 30, 0.7, 0.6 * w, "The yoke bends over the shoulders at its ends.")),
                ],
                [
                    Seam("yoke-seam", "felled yoke seam", [new(-0.46 * w, yoke), new(0.46 * w, yoke)], ObstacleKind.TopstitchedHem, 10),
                    Seam("right-slant", "felled right back seam", slant, ObstacleKind.TopstitchedHem, 10),
                        Seam("left-slant", "felled left back seam", Mirrored(slant), ObstacleKind.TopstitchedHem, 10),
                    Hem("waistband", "waistband", -0.47 * w, 0.47 * w, l, -BandMm),
                ],
                [
                    MiddleFold("back-fold", "the middle fold of the back", 0, l,
                        "Fold the jacket in half lengthwise, shoulder on shoulder and side on side, and crease the back: that is the "
                            + "middle fold of the back."),
                    Level("yoke-line", "the yoke seam", 0.46 * w, yoke, Found.Seam),
                        Level("collar-seam", "the collar seam in the middle", neck, 0, Found.Seam),
                        Level("waistband-line", "the waistband's seam", 0.47 * w, waist, Found.Seam),
                ],
                [Sleeve(w, l), Mirrored(Sleeve(w, l)), [new(-neck - 14, 6), new(neck + 14, 6), new(neck + 4, -46), new(-neck - 4, -46)]],
                new Opening("the open front", 2 * w)),
            Folded.Collar("collar", half, neck, CollarMm, "the jacket"),
        ];
    }

    /// <summary>A sleeve hanging beside the back; nothing is worked on it here.</summary>
    private static Pt[] Sleeve(double w, double l) =>
        [new(0.44 * w, 0.06 * l), new(0.58 * w, 0.2 * l), new(0.68 * w, 0.94 * l), new(0.55 * w, 0.96 * l), new(0.48 * w, 0.4 * l)];
}
