using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>What forms are put together from: landmarks of flat things, zones with their usual places, usual lettering.</summary>
internal static class Parts
{
    public const string Memory = "from memory";

    public const string Common = "common practice";

    public static UsualLettering Caps(double least, double most, double share, double mostWidth, Told reason) =>
        new(least, most, share, mostWidth, reason, Memory);

    public static UsualPlace Base(double above, string what, Pt anchor, Told because, string from = "bottom-hem-stitching") =>
        new("base-above-hem", $"The base of the words {Say.Length(above)} above {what}, on the centre fold", anchor, Stands.OnBaseline,
            [because], Memory, from);

    public static UsualPlace Top(double below, string what, Pt anchor, Told because, string from = "neck-seam") =>
        new("top-below-edge", $"The top of the words {Say.Length(below)} below {what}, on the centre fold", anchor, Stands.OnTop,
            [because], Memory, from);

    public static UsualPlace Middle(string id, Told text, Pt anchor, Told because) =>
        new(id, text, anchor, Stands.OnMiddle, [because], Memory);

    /// <summary>Centred a little above the middle of the zone.</summary>
    public static Zone Optical(string id, string name, IReadOnlyList<Pt> ring, double edge, Told reason, UsualLettering lettering) =>
        new(id, name, ring, edge, reason, OpticalPlace.In(ring), lettering);

    /// <summary>Edges and creases of a flat rectangle from its top left corner; hems where they have a depth.</summary>
    public static IReadOnlyList<Landmark> Flat(double w, double h, string what, double hem = 0, double sideHem = 0)
    {
        var all = new List<Landmark>
        {
            new("left-edge", "the left edge", new(0, 0), new(0, h)),
            new("right-edge", "the right edge", new(w, 0), new(w, h)),
            new("top-edge", "the top edge", new(0, 0), new(w, 0)),
            new("bottom-edge", "the lower edge", new(0, h), new(w, h)),
            new("centre-fold", "the centre fold", new(w / 2, 0), new(w / 2, h), Found.Fold,
                new($"Fold the {what} in half, left edge on right edge, and crease: that is the centre fold.", "left-edge", "right-edge")),
            new("cross-fold", "the cross fold", new(0, h / 2), new(w, h / 2), Found.Fold,
                new($"Fold the {what} in half, top edge on lower edge, and crease: that is the cross fold.", "top-edge", "bottom-edge")),
            new("left-quarter", "the left quarter fold", new(w / 4, 0), new(w / 4, h), Found.Fold,
                new($"Fold the {what} in half, left edge on right edge, and crease; then the left edge on that crease.", "left-edge",
                "centre-fold", 2)),
            new("right-quarter", "the right quarter fold", new(w * 3 / 4, 0), new(w * 3 / 4, h), Found.Fold,
                new($"Fold the {what} in half, left edge on right edge, and crease; then the right edge on that crease.", "centre-fold",
                "right-edge", 2)),
            new("upper-quarter", "the upper quarter fold", new(0, h / 4), new(w, h / 4), Found.Fold,
                new($"Fold the {what} in half, top edge on lower edge, and crease; then the top edge on that crease.", "top-edge",
                "cross-fold", 2)),
            new("lower-quarter", "the lower quarter fold", new(0, h * 3 / 4), new(w, h * 3 / 4), Found.Fold,
                new($"Fold the {what} in half, top edge on lower edge, and crease; then the lower edge on that crease.", "cross-fold",
                "bottom-edge", 2)),
        };
        if (hem > 0)
        {
            all.Add(new("bottom-hem-stitching", "the stitching of the bottom hem", new(0, h - hem), new(w, h - hem), Found.Stitching));
            all.Add(new("top-hem-stitching", "the stitching of the top hem", new(0, hem), new(w, hem), Found.Stitching));
        }

        if (sideHem > 0)
        {
            all.Add(new("left-hem-stitching", "the stitching of the left hem", new(sideHem, 0), new(sideHem, h), Found.Stitching));
            all.Add(new("right-hem-stitching", "the stitching of the right hem", new(w - sideHem, 0), new(w - sideHem, h),
                Found.Stitching));
        }

        return all;
    }

    /// <summary>The crease down the middle of something symmetrical about x = 0, from one height to another.</summary>
    public static Landmark MiddleFold(string id, string name, double fromY, double toY, string how) =>
        new(id, name, new(0, fromY), new(0, toY), Found.Fold, new(how, string.Empty, string.Empty));

    /// <summary>A level line of a face symmetrical about x = 0.</summary>
    public static Landmark Level(string id, string name, double half, double y, Found found) =>
        new(id, name, new(-half, y), new(half, y), found);

    /// <summary>A seam drawn along a path.</summary>
    public static Obstacle Seam(string id, string name, IReadOnlyList<Pt> path, ObstacleKind kind = ObstacleKind.FlatSeam,
        double width = 2) => new(id, name, kind, Strip(path, width), path);

    /// <summary>A straight hem or band along a level edge: its area and the stitching at its inner side.</summary>
    public static Obstacle Hem(string id, string name, double x0, double x1, double edgeY, double depth,
        ObstacleKind kind = ObstacleKind.TopstitchedHem)
    {
        var inner = edgeY + depth;
        var (top, bottom) = (Math.Min(edgeY, inner), Math.Max(edgeY, inner));
        return new(id, name, kind, Rectangle(x0, top, x1 - x0, bottom - top), [new(x0, inner), new(x1, inner)]);
    }

    public static Obstacle Button(string id, Pt at, double across = 11) =>
        new(id, "button", ObstacleKind.ButtonEdge, Circle(at, across / 2));

    /// <summary>The edges of a patch pocket, open at its top, each a strip of its own so that the middle stays free.</summary>
    public static IEnumerable<Obstacle> Pocket(string id, string name, double x, double y, double w, double h, double hem)
    {
        yield return new($"{id}-top", $"top hem of the {name}", ObstacleKind.TopstitchedHem, Rectangle(x, y, w, hem),
            [new(x, y + hem), new(x + w, y + hem)]);
        yield return new($"{id}-left", $"left edge of the {name}", ObstacleKind.PocketEdge, Rectangle(x, y, 3, h),
            [new(x + 3, y), new(x + 3, y + h)]);
        yield return new($"{id}-right", $"right edge of the {name}", ObstacleKind.PocketEdge, Rectangle(x + w - 3, y, 3, h),
            [new(x + w - 3, y), new(x + w - 3, y + h)]);
        yield return new($"{id}-foot", $"lower edge of the {name}", ObstacleKind.PocketEdge, Rectangle(x, y + h - 3, w, 3),
            [new(x, y + h - 3), new(x + w, y + h - 3)]);
    }
}
