using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A T-shirt, for a child or an adult: front, back, one sleeve, and the inside of the back below the neck. Datum of front and back: the
/// middle of the neck seam; of the sleeve: the middle of its hem. Governing measures: the chest laid flat, and neck seam to hem down the
/// middle of the front.
/// </summary>
public static class TShirt
{
    /// <summary>What a T-shirt is wider than the chest in it, all round (common practice).</summary>
    public const double EaseMm = 100;

    private const double RibMm = 20;
    private const double HemMm = 22;
    private const double SleeveHemMm = 20;

    /// <summary>Chest girth of children by body height in cm, the middle of EN 13402-3's span.</summary>
    private static readonly (int Height, int Chest, double Length)[] Children =
        [(92, 53, 360), (104, 56, 400), (116, 60, 440), (128, 64, 480), (140, 70, 520), (152, 76, 560)];

    /// <summary>Chest girth by letter code, EN 13402-3: from and to, cm, men's.</summary>
    private static readonly (string Code, int From, int To, double Length)[] Adults =
        [("XS", 78, 86, 620), ("S", 86, 94, 640), ("M", 94, 102, 660), ("L", 102, 110, 680), ("XL", 110, 118, 700), ("XXL", 118, 129, 720)];

    /// <summary>Bust girth by letter code, EN 13402-3: from and to, cm, women's.</summary>
    private static readonly (string Code, int From, int To, double Length)[] Women =
        [("XS", 74, 82, 570), ("S", 82, 90, 585), ("M", 90, 98, 600), ("L", 98, 107, 615), ("XL", 107, 119, 630)];

    public static Form Child { get; } = Make(
        "t-shirt-child", "child's T-shirt", "child",
        Children.Select(c => new FormSize($"{c.Height}", $"size {c.Height}, for {Say.Cm(c.Height)} body height",
            ((c.Chest * 10) + EaseMm) / 2, c.Length, "EN 13402-3 by body height and chest; ease and length common practice")).ToArray(),
            "116",
        new Measure("chest", "Chest laid flat", "From underarm to underarm, lying flat and not stretched.", 200, 480),
            ["children's t-shirt", "kid's t-shirt", "child's tee", "child's tshirt", "childs t-shirt", "kids t-shirt", "childrens t-shirt", "children's tee", "kid's tee", "kids tee"]);

    public static Form Adult { get; } = Make(
        "t-shirt-adult", "T-shirt", "adult",
        [
            .. Adults.Select(a => new FormSize(a.Code.ToLowerInvariant(), $"{a.Code}, chest {Say.SpanCm(a.From, " to ", a.To)}",
                (((a.From + a.To) * 5) + EaseMm) / 2, a.Length, "EN 13402-3 letter codes; ease and length common practice")),
            .. Women.Select(a => new FormSize($"women-{a.Code.ToLowerInvariant()}",
                $"women’s {a.Code}, bust {Say.SpanCm(a.From, " to ", a.To)}", (((a.From + a.To) * 5) + (EaseMm * 0.6)) / 2, a.Length,
                "EN 13402-3 letter codes; ease and length common practice")),
        ], "m",
        new Measure("chest", "Chest laid flat", "From underarm to underarm, lying flat and not stretched.", 320, 800),
            ["t shirt", "tshirt", "tee shirt", "tee", "adult's t-shirt", "shirt without buttons"]);

    private static Form Make(string id, string name, string wearer, FormSize[] sizes, string usual, Measure chest, string[] called) => new(
        id, name, Shelf.Wear, "cotton-jersey", "#fbfaf6", wearer,
            new FormUse(Handled: false, NextToSkin: true, SeenOutdoors: true, MadeUp: false),
        sizes, usual, chest, new Measure("length", "Neck seam to hem", "Down the middle of the front.", 250, 950), size =>
            Build(size, wearer == "child"))
    {
        AlsoCalled = called,
    };

    private static IReadOnlyList<Drawn> Build(FormSize size, bool child)
    {
        var (w, l) = (size.WidthMm, size.HeightMm);
        var women = size.Id.StartsWith("women", StringComparison.Ordinal);

        // Distances from neck and shoulder that place a left chest (from memory): 100 aside and 190 down; women's 85 and 165; children's 60
        // and 120.
        var (aside, down, widest) = child ? (60.0, 120.0, 60.0) : women ? (85.0, 165.0, 80.0) : (100.0, 190.0, 90.0);
        var neck = 40 + (0.1 * w);
        var front = 10 + (0.16 * w);
        return
        [
            Body("front", "front", "centre front at the neck seam", w, l, neck, front, 1, shape =>
            [
                new Zone(
                    "left-chest", "left chest", Rectangle(aside - 52, down - front - 40, 104, 80), 0,
                        "The small place over the heart: what is put there stays small.",
                    Middle("left-chest-usual",
                        $"Centred {Say.Length(aside)} from the middle of the front, {Say.Length(down)} below the shoulder at the neck",
                        new Pt(aside, down - front), "It shows beside an open jacket and clears the sleeve seam."),
                    Caps(8, child ? 11 : 14, 0.8, widest, "On the left chest wider words slip under the arm."), FindNote: Twisted,
                        HoopLimit: null),
                new Zone(
                    "centre-chest", "middle of the chest", Rectangle(-0.34 * w, 0, 0.68 * w, 0.42 * l), 5,
                        $"{Say.Length(5)} are kept free at its edges, so that nothing slips under the arm.",
                    Top(child ? 45 : 70, "the neck seam", new Pt(0, child ? 45 : 70),
                        "There the words lie flat, clear of the rib and above the fullest part."),
                    Caps(child ? 12 : 18, child ? 22 : 32, 0.65, 0.6 * shape.Between,
                        "Words stay within 60 % of the way between the armholes."), FindNote: Twisted),
            ]),
            Body("back", "back", "centre back at the neck seam", w, l + front - 20, neck, 20, 1, shape =>
            [
                new Zone(
                    "back", "across the back", Rectangle(-0.34 * w, 0.1 * w, 0.68 * w, 0.36 * l), 5,
                        $"{Say.Length(5)} are kept free at its edges, so that nothing slips under the arm.",
                    Top(child ? 60 : 100, "the neck seam", new Pt(0, child ? 60 : 100), "Below the shoulders the back lies flat."),
                    Caps(child ? 14 : 22, child ? 26 : 45, 0.7, 0.7 * shape.Between, "Words stay within the shoulder blades."),
                        FindNote: Twisted),
            ]),
            Sleeve(w, child),
            Inside(w, neck, child),
        ];
    }

    private const string Twisted = "Keep to the middle of the neck: side seams twist.";

    private sealed record BodyShape(double Between);

    /// <summary>A front or a back: neck, shoulders, sleeves, sides, hem.</summary>
    private static Drawn Body(string id, string name, string datum, double w, double l, double neck, double drop, double sleeves,
        Func<BodyShape, IReadOnlyList<Zone>> zones)
    {
        var tip = new Pt(0.43 * w, -drop + (0.08 * w));
        var underarm = new Pt(0.5 * w, tip.Y + (0.42 * w));
        var out1 = new Pt(0.82, 0.57) * (0.36 * w * sleeves);
        var (top, bottom) = (tip + out1, tip + out1 + (new Pt(-0.57, 0.82) * (0.34 * w)));
        var neckSeam = Bend(new Pt(-neck, -drop), new Pt(-neck * 0.95, -0.3 * drop), new Pt(-0.55 * neck, 0), new Pt(0, 0));
        var neckEdge = Bend(new Pt(-neck + (RibMm * 0.9), -drop - 3), new Pt((-neck * 0.95) + RibMm, (-0.3 * drop) - (RibMm * 0.5)),
            new Pt((-0.55 * neck) + 6, -RibMm), new Pt(0, -RibMm));
        Pt[] seam = [.. neckSeam, .. Mirrored(neckSeam).Skip(1)];
        Pt[] edge = [.. neckEdge, .. Mirrored(neckEdge).Skip(1)];
        var armhole = Bend(tip, new Pt(0.36 * w, tip.Y + (0.12 * w)), new Pt(0.37 * w, underarm.Y - (0.08 * w)), underarm);
        Pt[] side = [new Pt(neck, -drop), tip, top, bottom, underarm, new Pt(0.5 * w, l)];
        Pt[] outline = [.. edge, .. side, .. Mirrored(side)];
        var hemLine = new[] { top, bottom }.Select(p => p - (out1 * (SleeveHemMm / out1.Length))).ToArray();
        return new Drawn(
            new Face(id, name, datum),
            outline,
            zones(new BodyShape(2 * armhole.Min(p => p.X))),
            [
                new Obstacle("neck-rib", "neck rib", ObstacleKind.NeckRib, [.. seam, .. edge.Reverse()], seam),
                Seam("right-shoulder", "right shoulder seam", [new Pt(neck, -drop), tip]),
                Seam("left-shoulder", "left shoulder seam", [new Pt(-neck, -drop), new Pt(-tip.X, tip.Y)]),
                Seam("right-armhole", "right armhole seam", armhole),
                Seam("left-armhole", "left armhole seam", Mirrored(armhole)),
                Hem("hem", "hem", -0.5 * w, 0.5 * w, l, -HemMm),
                new Obstacle("right-sleeve-hem", "right sleeve hem", ObstacleKind.TopstitchedHem, [top, bottom, hemLine[1], hemLine[0]],
                    hemLine),
                new Obstacle("left-sleeve-hem", "left sleeve hem", ObstacleKind.TopstitchedHem,
                    Mirrored([top, bottom, hemLine[1], hemLine[0]]), Mirrored(hemLine)),
            ],
            [
                MiddleFold($"{id}-fold", $"the middle fold of the {name}", 0, l,
                    $"Fold the shirt in half lengthwise, shoulder on shoulder and side on side, and crease the {name} lightly: that is "
                        + $"the middle fold of the {name}."),
                Level("neck-seam", "the neck seam in the middle", neck, 0, Found.Stitching),
                Level("underarm-line", "a line between the underarm points", underarm.X, underarm.Y, Found.Seam),
                Level("hem-stitching", "the stitching of the hem", 0.5 * w, l - HemMm, Found.Stitching),
            ],
            [],
            new Opening("the hem", w));
    }

    private static Drawn Sleeve(double w, bool child)
    {
        // The sleeve lies flat, its fold to the right as worn on the left arm: what is worked is the upper layer.
        var (hem, deep, upper) = (0.34 * w, 0.3 * w, 0.4 * w);
        Pt[] outline = [new(-hem / 2, 0), new(hem / 2, 0), new(upper / 2, -deep), new(-upper / 2, -deep)];
        return new Drawn(
            new Face("sleeve", "sleeve", "middle of the sleeve hem"),
            outline,
            [
                new Zone(
                    "sleeve", "sleeve, above the hem", Rectangle(-0.42 * hem, -SleeveHemMm - 60, 0.84 * hem, 60), 3,
                        $"{Say.Length(3)} are kept free to the fold and the underarm seam.",
                    Base(20, "the hem", new Pt(0, -SleeveHemMm - 20), "Just above the hem it shows when the arm hangs.",
                        "sleeve-hem-stitching"),
                    Caps(6, child ? 9 : 11, 0.75, 0.7 * hem, "More would go round the arm."), HoopLimit: child
                        ? new HoopLimit(76, "A child's sleeve takes three inches at most.")
                        : new HoopLimit(102, "A sleeve takes four inches at most.")),
            ],
            [
                Hem("sleeve-hem", "sleeve hem", -hem / 2, hem / 2, 0, -SleeveHemMm),
                Seam("underarm-seam", "underarm seam", [new Pt(-hem / 2, 0), new Pt(-upper / 2, -deep)]),
                Seam("armhole-seam", "armhole seam", [new Pt(-upper / 2, -deep), new Pt(upper / 2, -deep)]),
            ],
            [
                MiddleFold("sleeve-fold", "the middle fold of the sleeve", -deep, 0,
                    "Lay the sleeve flat, its underarm seam at one side, bring that seam to the fold opposite, and crease lightly."),
                Level("sleeve-hem-stitching", "the stitching of the sleeve hem", hem / 2, -SleeveHemMm, Found.Stitching),
                Level("sleeve-edge", "the edge of the sleeve", hem / 2, 0, Found.Edge),
            ],
            [],
            new Opening("the sleeve", hem));
    }

    private static Drawn Inside(double w, double neck, bool child)
    {
        var half = neck + (0.12 * w);
        return new Drawn(
            new Face("inside-neck", "inside of the back, below the neck", "centre back at the neck seam, seen from inside"),
            [new(-neck, -16), .. Bend(new Pt(-neck, -16), new Pt(-neck * 0.6, -2), new Pt(-neck * 0.3, 0), new Pt(0, 0)).Skip(1),
                .. Mirrored(Bend(new Pt(-neck, -16), new Pt(-neck * 0.6, -2), new Pt(-neck * 0.3, 0), new Pt(0, 0))).Skip(1), new(half, 8),
                new(half, 150), new(-half, 150), new(-half, 8)],
            [
                new Zone(
                    "inside-neck", "inside, below the neck", Rectangle(-neck, 8, 2 * neck, 80), 3,
                        "Only the wearer sees it: what is put there stays small and flat.",
                    Top(25, "the neck seam", new Pt(0, 25), "Below the tape, where a label would be, and nothing rubs the neck."),
                    Caps(5, 8, 0.7, child ? 60 : 80, "Wider words would show through at the shoulders."), Hidden: true)
                {
                    BackSeen = true,
                },
            ],
            [
                Seam("neck-tape", "neck tape", Bend(new Pt(-neck, -16), new Pt(-neck * 0.6, -2), new Pt(neck * 0.6, -2),
                    new Pt(neck, -16)), ObstacleKind.FlatSeam, 6),
            ],
            [
                MiddleFold("back-fold", "the middle fold of the back", 0, 150,
                    "Fold the shirt in half lengthwise, shoulder on shoulder, and crease the back lightly: that is the middle fold of the "
                        + "back."),
                Level("neck-seam", "the neck seam in the middle", neck, 0, Found.Stitching),
            ],
            [],
            new Opening("the neck", 2 * neck));
    }
}
