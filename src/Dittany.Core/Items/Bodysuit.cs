using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A baby's bodysuit, short sleeves, poppers at the crotch, front towards the maker. Datum: centre front at the neck seam, x right, y down.
/// Governing measures: the chest laid flat, and neck seam to crotch. Sizes are body heights in centimetres, as ISO 8559 and EN 13402
/// designate babies' garments; the flat measures are common practice.
/// </summary>
public static class Bodysuit
{
    /// <summary>Up to this size a hoop of five inches is the most (common practice).</summary>
    public const int SmallUpTo = 56;

    public const double SmallHoopMm = 127;

    private const double RibMm = 14;

    public static Form Form { get; } = new(
        "baby-bodysuit",
        "baby bodysuit",
        Shelf.Wear,
        "baby-interlock",
        "#f4f2ec",
        "baby",
        new FormUse(Handled: false, NextToSkin: true, SeenOutdoors: false, MadeUp: false),
        [
            Size(50, 185, 330), Size(56, 195, 350), Size(62, 205, 375), Size(68, 215, 400), Size(74, 225, 420), Size(80, 235, 440),
        ],
        "62",
        new Measure("chest", "Chest laid flat", "From underarm to underarm, lying flat and not stretched.", 120, 320),
        new Measure("length", "Neck seam to crotch", "Down the middle of the front.", 200, 600),
        size => [Front(size)])
    {
        AlsoCalled = ["baby body suit", "baby vest", "baby body", "bodysuit", "body suit", "romper"],
    };

    private static FormSize Size(int bodyHeight, double chest, double length) =>
        new($"{bodyHeight}", $"size {bodyHeight}, for {Say.Cm(bodyHeight)} body height", chest, length,
            "ISO 8559, EN 13402; flat measures common practice");

    private static Drawn Front(FormSize size)
    {
        var (w, l) = (size.WidthMm, size.HeightMm);
        var small = int.Parse(size.Id, System.Globalization.CultureInfo.InvariantCulture) <= SmallUpTo;
        var (neck, drop) = (0.24 * w, 0.17 * w);
        var (tip, underarm) = (new Pt(0.46 * w, -0.10 * w), new Pt(0.5 * w, 0.2 * w));
        var (sleeveTop, sleeveBottom) = (tip + new Pt(56, 32), tip + new Pt(56 - 34, 32 + 58));
        var (hip, crotch) = (new Pt(0.49 * w, 0.62 * l), new Pt(0.17 * w, l));

        var neckSeam = Bend(new Pt(-neck, -drop), new Pt(-neck, -0.25 * drop), new Pt(-0.55 * neck, 0), new Pt(0, 0));
        var neckEdge = Bend(new Pt(-neck + 12, -drop - 4), new Pt(-neck + RibMm, (-0.25 * drop) - 6), new Pt((-0.55 * neck) + 6, -RibMm),
            new Pt(0, -RibMm));
        var armhole = Bend(tip, new Pt(0.38 * w, 0), new Pt(0.38 * w, 0.12 * w), underarm);
        var leg = Bend(hip, new Pt(0.36 * w, 0.68 * l), new Pt(0.17 * w, 0.84 * l), crotch);
        Pt[] rightSide = [new Pt(neck, -drop), tip, sleeveTop, sleeveBottom, underarm, new Pt(0.485 * w, 0.4 * l), .. leg];
        Pt[] outline = [.. neckEdge, .. Mirrored(neckEdge).Skip(1), .. rightSide, .. Mirrored(rightSide)];
        Pt[] fullSeam = [.. neckSeam, .. Mirrored(neckSeam).Skip(1)];
        Pt[] fullEdge = [.. neckEdge, .. Mirrored(neckEdge).Skip(1)];
        var sleeveHem = new[] { sleeveTop + new Pt(-9, -5), sleeveBottom + new Pt(-9, -5) };

        // At most 60 % of the way between the armholes, and not beyond what is usual at the size.
        var between = 2 * armhole.Min(p => p.X);
        var mostWidth = Math.Min(small ? 85 : 105, Math.Round(0.6 * between));
        var lettering = new UsualLettering(small ? 9 : 11, small ? 12 : 16, 0.6, mostWidth,
            "On a small chest words stay within 60 % of the way between the armholes.", "from memory");
        const string Note = "Keep to the middle of the neck: side seams twist.";
        var below = small ? 30 : 40;
        var chest = Rectangle(-0.36 * w, 0, 0.72 * w, 0.45 * l);
        var tummy = Rectangle(-0.4 * w, 0.45 * l, 0.8 * w, 0.16 * l);
        Told Edge = $"{Say.Length(5)} are kept free at its edges, so that nothing slips under the arm.";
        return new Drawn(
            new Face("front", "front", "centre front at the neck seam"),
            outline,
            [
                new Zone(
                    "chest", "chest", chest, 5, Edge,
                    new UsualPlace(
                        "below-neck-seam", $"The top of the words {Say.Length(below)} below the neck seam, on the fold", new Pt(0, below),
                            Stands.OnTop,
                        [$"{Say.Length(below)} below the neck seam the words stand clear of the rib and above a bib's stain."],
                            "from memory", "neck-seam"),
                    lettering, FindNote: Note),
                new Zone("tummy", "tummy", tummy, 5, Edge, OpticalPlace.In(tummy), lettering, FindNote: Note),
            ],
            [
                new Obstacle("neck-rib", "neck rib", ObstacleKind.NeckRib, [.. fullSeam, .. fullEdge.Reverse()], fullSeam),
                new Obstacle("right-armhole", "right armhole seam", ObstacleKind.FlatSeam, Strip(armhole, 2), armhole),
                new Obstacle("left-armhole", "left armhole seam", ObstacleKind.FlatSeam, Strip(Mirrored(armhole), 2), Mirrored(armhole)),
                new Obstacle("right-leg", "right leg binding", ObstacleKind.TopstitchedHem,
                    Strip(leg.Select(p => p - new Pt(5, 0)).ToArray(), 10), leg.Select(p => p - new Pt(10, 0)).ToArray()),
                new Obstacle("left-leg", "left leg binding", ObstacleKind.TopstitchedHem,
                    Strip(Mirrored(leg).Select(p => p + new Pt(5, 0)).ToArray(), 10),
                    Mirrored(leg).Select(p => p + new Pt(10, 0)).ToArray()),
                new Obstacle("crotch-facing", "crotch facing", ObstacleKind.TopstitchedHem, Rectangle(-0.17 * w, l - 22, 0.34 * w, 22),
                    [new Pt(-0.17 * w, l - 22), new Pt(0.17 * w, l - 22)]),
                .. new[] { -0.1, 0, 0.1 }.Select((x, i) => new Obstacle($"popper-{i + 1}", "popper", ObstacleKind.Popper,
                    Circle(new Pt(x * w, l - 11), 5.5))),
                new Obstacle("right-sleeve-hem", "right sleeve hem", ObstacleKind.TopstitchedHem, Strip(sleeveHem, 3), sleeveHem),
                new Obstacle("left-sleeve-hem", "left sleeve hem", ObstacleKind.TopstitchedHem, Strip(Mirrored(sleeveHem), 3),
                    Mirrored(sleeveHem)),
            ],
            [
                Parts.MiddleFold("neck-crotch-fold", "the fold from neck to crotch", 0, l,
                    "Fold the bodysuit in half lengthwise, shoulder on shoulder and side on side, and crease lightly: that is the fold "
                        + "from neck to crotch."),
                Parts.Level("neck-seam", "the neck seam at the fold", neck, 0, Found.Stitching),
                Parts.Level("underarm-line", "a line between the underarm points", underarm.X, underarm.Y, Found.Seam),
            ],
            [],
            new Opening("the open crotch", w),
            small ? new HoopLimit(SmallHoopMm,
                $"Up to size {SmallUpTo} five inches is the most a bodysuit takes without being dragged out of shape.") : null);
    }
}
