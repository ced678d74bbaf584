using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>A cushion cover, its zip along the bottom. Datum: the top left corner. Governing measures: its width, and its height.</summary>
public static class CushionCover
{
    /// <summary>
    /// Words keep this far from the seams, for there a full cushion bends away; they take this share of the width at most (from memory).
    /// </summary>
    public const double FromSeamsMm = 40;

    public const double Share = 0.6;

    public static Form Form { get; } = new(
        "cushion-cover", "cushion cover", Shelf.House, "linen", "#d9e0d2", "nobody",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: false, MadeUp: true),
        [new("40x40", $"{Say.SpanCm(40, " × ", 40)}", 400, 400, Common), new("45x45", $"{Say.SpanCm(45, " × ", 45)}", 450, 450, Common),
            new("50x50", $"{Say.SpanCm(50, " × ", 50)}", 500, 500, Common), new("50x30", $"{Say.SpanCm(50, " × ", 30)}", 500, 300, Common)],
        "45x45",
        new Measure("width", "Width", "From seam to seam.", 200, 800),
            new Measure("height", "Height", "From the top seam to the zip.", 200, 800), size => [Build(size)])
    {
        ByPattern = true,
        AlsoCalled = ["cushion", "pillow cover with zip", "throw pillow"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var middle = Rectangle(0, 0, w, h);
        Told Edge = $"{Say.Length(40)} are kept free to the seams: there a full cushion bends away.";
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                new Zone("middle", "middle", middle, FromSeamsMm, Edge, OpticalPlace.In(middle),
                    Caps(20, 40, Share, Share * w, "On a full cushion 60 % of the width lies flat.")),
                new Zone(
                    "corner", "lower right corner", Rectangle(w - 170, h - 130, 130, 90), 0, Edge,
                    Middle("corner-usual", $"Centred {Say.Length(105)} from the side, {Say.Length(85)} from the zip",
                        new Pt(w - 105, h - 85), "A small mark in the corner."), Caps(10, 16, 0.85, 110, "It stays in its corner.")),
            ],
            [
                Seam("zip", "teeth of the zip", [new(20, h - 4), new(w - 20, h - 4)], ObstacleKind.ZipTeeth, 5),
                    Seam("top-seam", "top seam", [new(0, 2), new(w, 2)]), Seam("left-seam", "left seam", [new(2, 0), new(2, h)]),
                    Seam("right-seam", "right seam", [new(w - 2, 0), new(w - 2, h)]),
            ],
            [.. Flat(w, h, "cover")],
            [],
            new Opening("the open zip", w));
    }
}
