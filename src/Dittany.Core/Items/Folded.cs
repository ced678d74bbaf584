using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// Parts that are turned over when worn. They are drawn as worn; laid flat to be stitched, the fold lies at the top and what is above it
/// was behind.
/// </summary>
internal static class Folded
{
    /// <summary>Cloth is seen to this height beyond the fold when it is laid flat.</summary>
    public const double BeyondMm = 60;

    /// <summary>A turned-down collar, half its width at the points and along the fold, mm deep. Datum: the middle of the fold.</summary>
    public static Drawn Collar(string id, double half, double fold, double deep, string of)
    {
        Pt[] outline = [.. Bend(new Pt(-fold, 0), new Pt(-fold * 0.5, 6), new Pt(fold * 0.5, 6), new Pt(fold, 0)), new(half, deep),
            .. Bend(new Pt(half - 50, deep - 10), new Pt(20, deep - 22), new Pt(-20, deep - 22), new Pt(-half + 50, deep - 10)),
            new(-half, deep)];
        Pt[] edge = [new(half - 5, deep - 8), .. Bend(new Pt(half - 50, deep - 15), new Pt(20, deep - 27), new Pt(-20, deep - 27),
            new Pt(-half + 50, deep - 15)), new(-half + 5, deep - 8)];
        Pt[] tip = [new(fold * 0.62, 14), new(fold - 2, 12), new(half - 12, deep - 8), new(half - 44, deep - 14)];
        return new Drawn(
            new Face(
                id, "collar, as worn", "the middle of the fold",
                new FoldOver(
                    $"Turned down as worn, the upper side of the collar of {of} is seen, its fold at the top.",
                    "Stand the collar up and look at it from the wearer's side: that is the side to stitch, the fold now lies below the "
                        + "stand and the points are still at the bottom.",
                    new Pt(-fold, 0), new Pt(fold, 0), [new(-fold, -BeyondMm), new(fold, -BeyondMm), new(fold, 0), new(half, deep),
                        new(-half, deep), new(-fold, 0)])),
            outline,
            [
                new Zone(
                    "collar-point", "point of the collar", tip, 0, "A point is small and doubled: an initial, no more.",
                    Middle("collar-point-usual", "In the middle of the left point", new Pt(tip.Average(p => p.X), tip.Average(p => p.Y)),
                        "On the wearer's left, where a pin would sit."),
                    new UsualLettering(6, 10, 0.8, 30, "Wider words would run over the edge of the point.", Memory, 8, 14),
                        HoopLimit: new HoopLimit(0, "A collar is doubled and too small for a ring.")),
            ],
            [Seam("collar-edge", "topstitched edge of the collar", edge, ObstacleKind.TopstitchedHem, 3)],
            [
                MiddleFold("collar-middle", "the middle of the collar", 0, deep - 15,
                    "Lay one point of the collar on the other and crease lightly: that is the middle of the collar."),
                Level("collar-fold", "the fold of the collar", fold, 0, Found.Edge),
                new Landmark("point-edge", "the slanting edge at the point", new(half, deep), new(half, 0), Found.Edge),
            ],
            [[new(-fold, -26), new(fold, -26), new(fold, 0), new(-fold, 0)]]);
    }
}
