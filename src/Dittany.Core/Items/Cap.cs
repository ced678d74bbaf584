using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A cap with a brim: the front and one side. Datum: the middle of the seam between crown and brim. A cap of six panels has a seam down the
/// middle of the front, one of five has none there. Governing measures: the front from side seam to side seam, and brim to button.
/// </summary>
public static class Cap
{
    public static Form Form { get; } = new(
        "cap", "cap", Shelf.Wear, "twill", "#7c8f86", "adult",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: true, MadeUp: true),
        [
            new("five-panel", "five panels, no seam in front", 175, 115, Common),
                new("six-panel", "six panels, a seam down the front", 175, 115, Common),
            new("child", "child's, five panels", 150, 95, Common),
        ],
        "five-panel",
        new Measure("width", "Width of the front", "From side seam to side seam, along the brim.", 100, 240),
            new Measure("height", "Brim to button", "Up the middle of the front, following the curve.", 60, 180), Build)
    {
        AlsoCalled = ["hat", "baseball cap", "peaked cap", "sun hat"],
    };

    private static readonly HoopLimit NoRing = new(0,
        "A cap cannot be laid flat in a ring: it is worked in the hand, over a rolled towel.");

    private static IReadOnlyList<Drawn> Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var six = size.Id == "six-panel";
        Pt[] crown = [new(-w / 2, 0), .. Bend(new Pt(-w / 2, -0.25 * h), new Pt(-0.48 * w, -0.8 * h), new Pt(-0.2 * w, -h), new Pt(0, -h)),
            .. Mirrored(Bend(new Pt(-w / 2, -0.25 * h), new Pt(-0.48 * w, -0.8 * h), new Pt(-0.2 * w, -h), new Pt(0, -h))).Skip(1),
            new(w / 2, 0)];
        Pt[] brim = [new(-0.5 * w, 0), .. Bend(new Pt(-0.5 * w, 0), new Pt(-0.4 * w, 60), new Pt(0.4 * w, 60), new Pt(0.5 * w, 0)).Skip(1)];
        Pt[] half = [new(-0.3 * w, 0), .. Bend(new Pt(-0.3 * w, -0.25 * h), new Pt(-0.28 * w, -0.75 * h), new Pt(-0.12 * w, -0.98 * h),
            new Pt(0, -h))];
        Pt[] side = [.. half, .. Mirrored(half).Skip(1)];
        var lettering = new UsualLettering(10, 16, 0.7, 100, $"Wider than {Measures.Say.Length(100)} the words bend round the head.",
            Memory, 16, 35);
        var front = Rectangle(-0.42 * w, -13 - 50, 0.84 * w, 55);
        var usual = six
            ? new UsualPlace("beside-centre-seam",
                $"The base of the words {Measures.Say.Length(13)} above the brim seam, on the wearer's left of the centre seam",
                new Pt(0.225 * w, -13), Stands.OnBaseline,
                ["The seam down the front is too thick to stitch through: words stand beside it."], Memory)
            : new UsualPlace("base-above-brim", $"The base of the words {Measures.Say.Length(13)} above the brim seam, in the middle",
                new Pt(0, -13), Stands.OnBaseline, [$"{Measures.Say.Length(13)} above the brim the crown is still upright."], Memory);
        var lay = "Pinch the cap flat down the middle of the front and crease lightly: that is its middle.";
        return
        [
            new Drawn(
                new Face("front", "front", "the middle of the brim seam"),
                crown,
                [new Zone("front", "front, above the brim", front, 0,
                    $"At most {Measures.Say.Length(50)} high: above that the crown bends away.", usual, six ? lettering
                    with { MostWidthMm = 55, WidthReason = "There are two panels: words stay on one." } : lettering)],
                [
                    Seam("brim-seam", "brim seam", [new(-w / 2, -1), new(w / 2, -1)], ObstacleKind.FlatSeam, 2),
                    Seam("right-panel-seam", "right panel seam", [new(0.47 * w, -1), new(0.4 * w, -0.62 * h)]),
                        Seam("left-panel-seam", "left panel seam", [new(-0.47 * w, -1), new(-0.4 * w, -0.62 * h)]),
                    .. six ? new[] { Seam("centre-seam", "centre seam", [new(0, -1), new(0, -h + 4)], ObstacleKind.TopstitchedHem, 8) }
                        : [],
                ],
                [
                    six ? new Landmark("centre-seam-line", "the centre seam", new(0, 0), new(0, -h), Found.Seam)
                        : MiddleFold("front-middle", "the middle of the front", -h, 0, lay),
                    Level("brim-line", "the brim seam", w / 2, 0, Found.Seam),
                ],
                [brim], HoopLimit: NoRing),
            new Drawn(
                new Face("side", "left side", "the lower edge below the ear"),
                side,
                [
                    new Zone("side", "side, above the edge", Rectangle(-0.22 * w, -13 - 30, 0.44 * w, 32), 0,
                        "A small place above the ear.",
                        new UsualPlace("base-above-edge",
                            $"The base of the words {Measures.Say.Length(13)} above the lower edge, in the middle of the panel",
                            new Pt(0, -13), Stands.OnBaseline, ["There it is read beside the face."], Memory),
                            Caps(6, 9, 0.8, 55, "More would go round to the back.")),
                ],
                [Seam("band-seam", "seam of the sweatband", [new(-0.3 * w, -2), new(0.3 * w, -2)]), ],
                [MiddleFold("side-middle", "the middle of the side panel", -h, 0,
                    "Lay the two seams of the side panel on each other and crease lightly: that is its middle."),
                    Level("lower-edge", "the lower edge", 0.3 * w, 0, Found.Edge)],
                [], HoopLimit: NoRing),
        ];
    }
}
