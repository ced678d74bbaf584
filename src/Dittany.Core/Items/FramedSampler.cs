using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A sampler for a frame, worked on loose cloth. Datum: the top left corner of what the frame shows. Governing measures: width and height
/// of the frame's opening. Paper sizes by ISO 216; sizes in inches as frames are sold (common practice).
/// </summary>
public static class FramedSampler
{
    /// <summary>The frame's edge covers this much all round (common practice).</summary>
    public const double RebateMm = 6;

    public static Form Form { get; } = new(
        "framed-sampler", "framed sampler", Shelf.Keepsake, "linen", "#f1ede2", "nobody",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [
            new("a4", $"A4, {Say.Span(210, " × ", 297)}", 210, 297, "ISO 216"),
                new("a5", $"A5, {Say.Span(148, " × ", 210)}", 148, 210, "ISO 216"),
                new("a3", $"A3, {Say.Span(297, " × ", 420)}", 297, 420, "ISO 216"),
            new("8x10in", "8 × 10 in", 8 * Tape.InchMm, 10 * Tape.InchMm, Common),
                new("11x14in", "11 × 14 in", 11 * Tape.InchMm, 14 * Tape.InchMm, Common),
                new("5x7in", "5 × 7 in", 5 * Tape.InchMm, 7 * Tape.InchMm, Common),
        ],
        "a4",
        new Measure("width", "Width of the frame's opening", "From side to side, inside the frame.", 60, 800),
            new Measure("height", "Height of the frame's opening", "From top to bottom, inside the frame.", 60, 800), size => [Build(size)])
    {
        AlsoCalled = ["sampler", "framed picture", "wall picture", "picture"],
        Loose = LooseCloth.Framed,
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var middle = Rectangle(0, 0, w, h);
        Told Edge = $"The frame covers {Say.Length(6)}, and {Say.Length(14)} of cloth are left round the stitches.";
        return new Drawn(
            new Face("front", "front", "top left corner of what the frame shows"),
            middle,
            [
                new Zone("middle", "middle", middle, RebateMm + 14, Edge, OpticalPlace.In(middle),
                    Caps(14, 34, 0.75, 0.78 * w, "Air round the words is half the picture.")),
                new Zone("foot", "foot, for name and year", Rectangle(w * 0.1, h - 62, w * 0.8, 42), 0, Edge,
                    Base(32, "the frame", new Pt(w / 2, h - 32), "Where a sampler is signed."),
                    Caps(7, 11, 0.6, 0.6 * w, "A signature stays small.")),
            ],
            [
                Seam("frame-top", "edge of the frame", [new(0, 3), new(w, 3)], ObstacleKind.Print, RebateMm),
                    Seam("frame-bottom", "edge of the frame", [new(0, h - 3), new(w, h - 3)], ObstacleKind.Print, RebateMm),
                Seam("frame-left", "edge of the frame", [new(3, RebateMm), new(3, h - RebateMm)], ObstacleKind.Print, RebateMm),
                    Seam("frame-right", "edge of the frame", [new(w - 3, RebateMm), new(w - 3, h - RebateMm)], ObstacleKind.Print,
                    RebateMm),
            ],
            [.. Flat(w, h, "cloth")],
            [Rectangle(-18, -18, w + 36, h + 36), Rectangle(-6, -6, w + 12, h + 12)]);
    }
}
