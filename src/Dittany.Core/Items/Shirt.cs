using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A buttoned shirt: the front with its breast pocket, a cuff laid open, the collar as it lies folded. Datum of the front: centre front at
/// the collar seam; of the cuff: its top left corner; of the collar: the middle of its fold.
/// </summary>
public static class Shirt
{
    private const double PlacketMm = 32;
    private const string Source = "EN 13402-3 letter codes; ease and length common practice";

    public static Form Form { get; } = new(
        "shirt", "shirt", Shelf.Wear, "poplin", "#fbfaf6", "adult",
            new FormUse(Handled: false, NextToSkin: true, SeenOutdoors: true, MadeUp: false),
        [new("s", $"S, chest {Measures.Say.SpanCm(86, " to ", 94)}", 510, 720, Source),
            new("m", $"M, chest {Measures.Say.SpanCm(94, " to ", 102)}", 550, 740, Source),
            new("l", $"L, chest {Measures.Say.SpanCm(102, " to ", 110)}", 590, 760, Source),
            new("xl", $"XL, chest {Measures.Say.SpanCm(110, " to ", 118)}", 630, 780, Source)],
        "m",
        new Measure("chest", "Chest laid flat", "From underarm to underarm, buttoned and lying flat.", 320, 800),
            new Measure("length", "Collar seam to lower edge", "Down the button band.", 400, 1000), Build)
    {
        AlsoCalled = ["dress shirt", "button shirt", "buttoned shirt", "blouse"],
    };

    private static IReadOnlyList<Drawn> Build(FormSize size)
    {
        var (w, l) = (size.WidthMm, size.HeightMm);
        var neck = 0.145 * w;
        Pt[] side = [new(neck, -75), new(0.44 * w, -45), new(0.42 * w, 0.16 * l), new(0.5 * w, 0.24 * l), new(0.49 * w, 0.86 * l),
            new(0.3 * w, 0.97 * l), new(0, l)];
        Pt[] outline = [.. Bend(new Pt(-neck, -75), new Pt(-neck, -25), new Pt(-neck * 0.5, 0), new Pt(0, 0)),
            .. Mirrored(Bend(new Pt(-neck, -75), new Pt(-neck, -25), new Pt(-neck * 0.5, 0), new Pt(0, 0))).Skip(1), .. side.Skip(1),
            .. Mirrored(side.Skip(1).Take(side.Length - 2))];
        var (px, py, pw, ph) = (0.13 * w, 0.17 * l, 115.0, 130.0);
        const double CuffW = 245;
        const double CuffH = 66;
        return
        [
            new Drawn(
                new Face("front", "front", "centre front at the collar seam"),
                outline,
                [
                    new Zone(
                        "pocket", "breast pocket", Rectangle(px + 3, py + 25, pw - 6, ph - 28), 3,
                            "Work the pocket by itself: stitches through it would sew it shut.",
                        Middle("pocket-middle", "In the middle of the pocket, a little high",
                            new Pt(px + (pw / 2), py + 25 + ((ph - 28) * 0.4)),
                            "A little above the middle it is seen over what is in the pocket."),
                        new UsualLettering(8, 13, 0.75, 85, "Wider words would touch the pocket's edges.", Memory, 14, 25),
                            HoopLimit: new HoopLimit(0, "A pocket is worked in the hand, a card inside it.")),
                    new Zone(
                        "above-pocket", "above the pocket", Rectangle(px, py - 45, pw, 42), 2, "A narrow line between shoulder and pocket.",
                        Base2(12, new Pt(px + (pw / 2), py - 12)), Caps(7, 11, 0.85, pw - 10, "As wide as the pocket below it.")),
                ],
                [
                    new Obstacle("placket", "button band", ObstacleKind.TopstitchedHem, Rectangle(-PlacketMm / 2, 0, PlacketMm, l - 2),
                        [new(PlacketMm / 2, 0), new(PlacketMm / 2, l - 2)]),
                    .. Enumerable.Range(0, 6).Select(i => Button($"button-{i + 1}", new Pt(0, 60 + (i * 0.125 * l)))),
                    .. Pocket("pocket", "pocket", px, py, pw, ph, 22),
                ],
                [
                    new Landmark("pocket-top", "the top edge of the pocket", new(px, py), new(px + pw, py), Found.Edge),
                        new Landmark("pocket-foot", "the lower edge of the pocket", new(px, py + ph), new(px + pw, py + ph), Found.Edge),
                    new Landmark("pocket-left", "the pocket's edge nearest the buttons", new(px, py), new(px, py + ph), Found.Edge),
                        new Landmark("pocket-right", "the pocket's edge nearest the arm", new(px + pw, py), new(px + pw, py + ph),
                        Found.Edge),
                    new Landmark("pocket-fold", "the middle fold of the pocket", new(px + (pw / 2), py), new(px + (pw / 2), py + ph),
                        Found.Fold, new Folding(
                        "Bring one side edge of the pocket to the other, pocket only, and crease lightly: that is the middle fold of the "
                            + "pocket.", "pocket-left", "pocket-right")),
                ],
                [Sleeve(w), Mirrored(Sleeve(w)), Rectangle(-neck, -92, 2 * neck, 30)],
                new Opening("the open front", 2 * w),
                Over: [[new(-neck, -75), new(-neck * 0.2, 4), new(-neck * 0.9, 42), new(-neck * 1.25, -58)],
                    [new(neck, -75), new(neck * 0.2, 4), new(neck * 0.9, 42), new(neck * 1.25, -58)],
                    [new(px, py), new(px + pw, py), new(px + pw, py + ph - 12), new(px + (pw / 2), py + ph), new(px, py + ph - 12)]]),
            Back(w, l, neck, outline),
            new Drawn(
                new Face("cuff", "cuff, laid open", "top left corner of the cuff"),
                [new(8, 0), new(CuffW - 8, 0), new(CuffW, 8), new(CuffW, CuffH), new(0, CuffH), new(0, 8)],
                [
                    new Zone(
                        "cuff", "cuff", Rectangle(CuffW * 0.42, 4, CuffW * 0.4, CuffH - 8), 0,
                            "Over the back of the wrist, clear of button and buttonhole.",
                        Middle("cuff-usual", "Over the back of the wrist", new Pt(CuffW * 0.62, CuffH * 0.48),
                            "There it shows below a sleeve."), new UsualLettering(6, 11, 0.8, 75, "Wider words go round the wrist.",
                            Memory, 8, 14),
                        HoopLimit: new HoopLimit(0, "A cuff is doubled, stiffened and too small for a ring.")),
                ],
                [
                    Seam("cuff-edge", "topstitched edge of the cuff", [new(6, 6), new(CuffW - 6, 6)], ObstacleKind.TopstitchedHem, 3),
                        Seam("cuff-foot", "seam to the sleeve", [new(2, CuffH - 3), new(CuffW - 2, CuffH - 3)], ObstacleKind.FlatSeam, 3),
                    Button("cuff-button", new Pt(18, CuffH / 2)), new Obstacle("buttonhole", "buttonhole", ObstacleKind.ButtonEdge,
                        Rectangle(CuffW - 26, (CuffH / 2) - 1.5, 16, 3)),
                ],
                [
                    .. Flat(CuffW, CuffH, "cuff").Where(f =>
                        f.Id is "left-edge" or "right-edge" or "top-edge" or "bottom-edge" or "centre-fold" or "cross-fold" or "right-quarter" or "left-quarter"),
                ],
                []),
            Folded.Collar("collar", 118, neck + 8, 62, "the shirt"),
        ];
    }

    /// <summary>The back below its yoke: one cloth from side to side, for large work.</summary>
    private static Drawn Back(double w, double l, double neck, IReadOnlyList<Pt> outline)
    {
        var yoke = 0.13 * l;
        return new Drawn(
            new Face("back", "back", "centre back at the collar seam"),
            outline,
            [
                new Zone(
                    "back", "back below the yoke", Rectangle(-0.38 * w, yoke, 0.76 * w, 0.68 * l), 6, "It ends at the yoke and before the sides, where it is seen no more.",
                    Top(60, "the yoke seam", new Pt(0, yoke + 60), "High on the back it is seen above a chair.", "yoke-line"),
                    Caps(18, 45, 0.7, 0.6 * w, "A back bends towards the arms.")),
            ],
            [
                Seam("yoke-seam", "topstitched yoke seam", [new(-0.46 * w, yoke), new(0.46 * w, yoke)], ObstacleKind.TopstitchedHem, 6),
                Hem("hem", "rolled hem", -0.3 * w, 0.3 * w, 0.97 * l, -8),
            ],
            [
                MiddleFold("back-fold", "the middle fold of the back", 0, l,
                    "Button the shirt, fold it in half lengthwise, shoulder on shoulder and side on side, and crease the back: that is the middle fold of the back."),
                Level("yoke-line", "the yoke seam", 0.46 * w, yoke, Found.Seam),
                Level("collar-seam", "the collar seam in the middle", neck, 0, Found.Seam),
            ],
            [Sleeve(w), Mirrored(Sleeve(w)), Rectangle(-neck, -92, 2 * neck, 30)],
            new Opening("the open front", 2 * w));
    }

    /// <summary>A long sleeve hanging beside the body; nothing is worked on it here.</summary>
    private static Pt[] Sleeve(double w) => [new(0.42 * w, -48), new(0.56 * w, 60), new(0.66 * w, 440), new(0.54 * w, 452),
        new(0.46 * w, 190)];

    private static UsualPlace Base2(double above, Pt anchor) => new(
        "above-pocket-usual", $"The base of the words {Measures.Say.Length(above)} above the pocket, over its middle", anchor,
            Stands.OnBaseline, ["Standing on the pocket's edge, as if it were a line."], Memory);
}
