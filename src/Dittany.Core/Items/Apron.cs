using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A bib apron with a double pocket. Datum: the middle of the bib's top edge. Governing measures: the width of the skirt, and bib to lower
/// edge.
/// </summary>
public static class Apron
{
    private const double HemMm = 25;
    private const double SideHemMm = 10;

    /// <summary>The top of the words below the bib's edge, and how much of the bib they take (from memory).</summary>
    public const double BelowBibMm = 80;

    public const double BibShare = 0.6;

    public static Form Form { get; } = new(
        "apron", "apron", Shelf.House, "canvas", "#d9e0d2", "adult",
            new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [new("70x85", $"{Measures.Say.SpanCm(70, " × ", 85)}", 700, 850, Common),
            new("60x75", $"{Measures.Say.SpanCm(60, " × ", 75)}", 600, 750, Common),
            new("child", $"child's, {Measures.Say.SpanCm(45, " × ", 58)}", 450, 580, Common)],
        "70x85",
        new Measure("width", "Width of the skirt", "From side to side at the pocket.", 250, 1100),
            new Measure("length", "Bib to lower edge", "Down the middle.", 300, 1200), size => [Build(size)])
    {
        ByPattern = true,
        AlsoCalled = ["pinafore", "bib apron", "kitchen apron"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, l) = (size.WidthMm, size.HeightMm);
        var (bib, waist) = (0.19 * w, 0.33 * l);
        Pt[] arm = Bend(new Pt(bib, 0), new Pt(bib + (0.02 * w), 0.16 * l), new Pt(0.34 * w, 0.28 * l), new Pt(0.5 * w, waist));
        Pt[] side = [.. arm, new(0.5 * w, l)];
        Pt[] outline = [.. side, .. Mirrored(side)];
        var (pw, ph) = (0.5 * w, 0.2 * l);
        var (px, py) = (-pw / 2, 0.48 * l);
        return new Drawn(
            new Face("front", "front", "middle of the bib's top edge"),
            outline,
            [
                new Zone(
                    "bib", "bib", Rectangle(-bib, HemMm, 2 * bib, 0.26 * l), 0, "60 % of the bib's width is what stays flat on the chest.",
                    Top(BelowBibMm, "the bib's top edge", new Pt(0, BelowBibMm),
                        $"{Measures.Say.Length(80)} below the edge the words lie on the chest, not under the chin.", "bib-edge"),
                        Caps(20, 30, BibShare, BibShare * 2 * bib, "Words take 60 % of the bib at most.")),
                new Zone(
                    "pocket", "left half of the pocket", Rectangle(px + 3, py + 25, (pw / 2) - 6, ph - 28), 3,
                        "Work the pocket by itself: stitches through it would sew it shut.",
                    Middle("pocket-middle", "In the middle of the pocket, a little high",
                        new Pt(px + (pw / 4), py + 25 + ((ph - 28) * 0.42)),
                        "A little above the middle it is seen over what is in the pocket."),
                        Caps(12, 20, 0.75, (pw / 2) - 30, "Wider words touch the pocket's edges."),
                        HoopLimit: new HoopLimit(0, "A pocket is worked in the hand, a card inside it.")),
                new Zone(
                    "lower", "lower edge", Rectangle(-0.4 * w, l - HemMm - 130, 0.8 * w, 130), 0, "It is kept clear of the pocket above.",
                    Base(50, "the hem", new Pt(0, l - HemMm - 50), $"{Measures.Say.Length(50)} above the hem it reads as a border."),
                        Caps(20, 35, 0.65, 0.6 * w, "The sides wrap round the wearer.")),
            ],
            [
                Hem("bib-hem", "hem of the bib", -bib, bib, 0, HemMm), Hem("hem", "hem", -0.5 * w, 0.5 * w, l, -HemMm),
                Seam("right-armhole", "right bound edge", arm.Select(p => p - new Pt(4, 0)).ToArray(), ObstacleKind.RolledHem, 8),
                    Seam("left-armhole", "left bound edge", Mirrored(arm.Select(p => p - new Pt(4, 0))), ObstacleKind.RolledHem, 8),
                Seam("right-side", "right hem", [new((0.5 * w) - (SideHemMm / 2), waist), new((0.5 * w) - (SideHemMm / 2), l)],
                    ObstacleKind.RolledHem, SideHemMm), Seam("left-side", "left hem",
                    [new((-0.5 * w) + (SideHemMm / 2), waist), new((-0.5 * w) + (SideHemMm / 2), l)], ObstacleKind.RolledHem, SideHemMm),
                .. Pocket("pocket", "pocket", px, py, pw, ph, 22),
                Seam("divider", "seam dividing the pocket", [new(0, py), new(0, py + ph)], ObstacleKind.PocketEdge, 3),
                new Obstacle("right-strap", "right strap end", ObstacleKind.StrapEnd, Rectangle(bib - 30, 2, 24, 30)),
                    new Obstacle("left-strap", "left strap end", ObstacleKind.StrapEnd, Rectangle(-bib + 6, 2, 24, 30)),
            ],
            [
                MiddleFold("centre-fold", "the centre fold", 0, l,
                    "Fold the apron in half lengthwise, strap on strap and side on side, and crease: that is the centre fold."),
                Level("bib-edge", "the bib's top edge", bib, 0, Found.Edge),
                    Level("hem-stitching", "the stitching of the hem", 0.5 * w, l - HemMm, Found.Stitching),
                new Landmark("pocket-top", "the top edge of the pocket", new(px, py), new(px + pw, py), Found.Edge),
                    new Landmark("pocket-left", "the left edge of the pocket", new(px, py), new(px, py + ph), Found.Edge),
                new Landmark("pocket-divider", "the seam dividing the pocket", new(0, py), new(0, py + ph), Found.Stitching),
                new Landmark("pocket-half-fold", "the middle fold of the pocket's left half", new(px + (pw / 4), py),
                    new(px + (pw / 4), py + ph), Found.Fold, new Folding(
                    "Bring the left edge of the pocket to the seam dividing it, pocket only, and crease lightly.", "pocket-left",
                    "pocket-divider")),
            ],
            [Strip(Bend(new Pt(-bib + 18, 4), new Pt(-bib, -0.28 * l), new Pt(bib, -0.28 * l), new Pt(bib - 18, 4)), 24)],
            Over: [Rectangle(px, py, pw, ph)]);
    }
}
