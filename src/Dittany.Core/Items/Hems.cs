using Dittany.Core.Geometry;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>Topstitched hems round a rectangular cloth, each seen by its stitching.</summary>
internal static class Hems
{
    /// <summary>The four hems of a cloth this wide and high, top and bottom of one depth and the sides of another, mm.</summary>
    public static IEnumerable<Obstacle> Around(double w, double h, double depth, double side)
    {
        yield return Hem("bottom", Rectangle(0, h - depth, w, depth), new Pt(0, h - depth), new Pt(w, h - depth));
        yield return Hem("top", Rectangle(0, 0, w, depth), new Pt(0, depth), new Pt(w, depth));
        yield return Hem("left", Rectangle(0, depth, side, h - (2 * depth)), new Pt(side, depth), new Pt(side, h - depth));
        yield return Hem("right", Rectangle(w - side, depth, side, h - (2 * depth)), new Pt(w - side, depth), new Pt(w - side, h - depth));
    }

    private static Obstacle Hem(string where, Pt[] ring, Pt from, Pt to) =>
        new($"{where}-hem", $"{where} hem", ObstacleKind.TopstitchedHem, ring, [from, to]);
}
