using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A drawstring bag lying flat, its cord at the top. Datum: the top left corner. Governing measures: its width, and its height.
/// </summary>
public static class DrawstringBag
{
    /// <summary>Where the cord's channel lies below the top edge (common practice).</summary>
    public const double ChannelFromMm = 30;

    public const double ChannelToMm = 48;

    public static Form Form { get; } = new(
        "drawstring-bag", "drawstring bag", Shelf.Carry, "quilting-cotton", "#f1ede2", "nobody",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: true, MadeUp: true),
        [new("20x25", $"{Measures.Say.SpanCm(20, " × ", 25)}", 200, 250, Common),
            new("25x35", $"{Measures.Say.SpanCm(25, " × ", 35)}", 250, 350, Common),
            new("35x45", $"{Measures.Say.SpanCm(35, " × ", 45)}", 350, 450, Common)],
        "25x35",
        new Measure("width", "Width", "From side seam to side seam.", 80, 500),
            new Measure("height", "Height", "From the top edge to the lower edge.", 120, 650), size => [Build(size)])
    {
        ByPattern = true,
        AlsoCalled = ["string bag", "gym bag", "laundry bag", "shoe bag", "pouch"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var middle = Rectangle(0, ChannelToMm, w, h - ChannelToMm);
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                new Zone("middle", "middle", middle, 0, "Below the gathers of the cord the cloth lies flat.", OpticalPlace.In(middle),
                    Caps(14, 28, 0.65, 0.68 * w, "A full bag is round: its sides turn away.")),
                new Zone(
                    "corner", "lower right corner", Rectangle(w - 110, h - 90, 110, 90), 0, "Seams of side and base meet here.",
                    Middle("corner-55", $"Centred {Measures.Say.Length(60)} from the side seam, {Measures.Say.Length(50)} above the base",
                        new Pt(w - 60, h - 50), "A small mark in the corner."), Caps(7, 11, 0.85, 72, "It stays in its corner.")),
            ],
            [
                new Obstacle("channel", "drawcord channel", ObstacleKind.Drawcord,
                    Rectangle(0, ChannelFromMm, w, ChannelToMm - ChannelFromMm), [new(0, ChannelToMm), new(w, ChannelToMm)]),
                Seam("left-side", "left side seam", [new(1.5, 0), new(1.5, h)], ObstacleKind.BagSide, 3),
                    Seam("right-side", "right side seam", [new(w - 1.5, 0), new(w - 1.5, h)], ObstacleKind.BagSide, 3),
                Seam("base", "base seam", [new(0, h - 1.5), new(w, h - 1.5)], ObstacleKind.BagSide, 3),
            ],
            [.. Flat(w, h, "bag").Where(l => !l.Id.Contains("quarter", StringComparison.Ordinal)),
                new Landmark("channel-stitching", "the stitching below the cord", new(0, ChannelToMm), new(w, ChannelToMm),
                Found.Stitching)],
            [Strip([new(w * 0.02, 39), new(-34, 52), new(-30, 120), new(-38, 170)], 4),
                Strip([new(w * 0.98, 39), new(w + 34, 52), new(w + 30, 120), new(w + 38, 170)], 4)],
            new Opening("the top of the bag", w));
    }
}
