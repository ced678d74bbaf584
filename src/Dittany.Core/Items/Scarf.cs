using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// One end of a scarf, laid flat with its end at the bottom. Datum: the top left corner of what is shown. Governing measures: its width,
/// and its whole length.
/// </summary>
public static class Scarf
{
    private const double ShownMm = 420;
    private const double HemMm = 8;

    public static Form Form { get; } = new(
        "scarf", "scarf", Shelf.Wear, "wool", "#8d4a3c", "adult",
            new FormUse(Handled: false, NextToSkin: true, SeenOutdoors: true, MadeUp: false),
        [new("30x180", $"{Say.SpanCm(30, " × ", 180)}", 300, 1800, Common),
            new("25x150", $"{Say.SpanCm(25, " × ", 150)}", 250, 1500, Common),
            new("child", $"child's, {Say.SpanCm(18, " × ", 120)}", 180, 1200, Common)],
        "30x180",
        new Measure("width", "Width", "Across the end.", 80, 900),
            new Measure("length", "Length", "From end to end, without fringe.", 500, 2600), size => [Build(size)])
    {
        AlsoCalled = ["shawl", "muffler", "wrap"],
    };

    private static Drawn Build(FormSize size)
    {
        var w = size.WidthMm;
        var h = Math.Min(ShownMm, size.HeightMm / 2);
        Told Edge = $"{Say.Length(20)} are kept free inside the hems.";
        return new Drawn(
            new Face("end", "one end", "top left corner of the end shown"),
            Rectangle(0, 0, w, h),
            [
                new Zone(
                    "end", "above the end, in the middle", Rectangle(HemMm, h - HemMm - 140, w - (2 * HemMm), 140), 20, Edge,
                    Base(45, "the hem's stitching", new Pt(w / 2, h - HemMm - 45),
                        $"{Say.Length(45)} above the hem it lies flat when the scarf hangs."),
                        Caps(12, 22, 0.6, w * 0.6, "The sides of a hanging scarf turn in.")),
                new Zone(
                    "corner", "corner of the end", Rectangle(w - 120, h - 120, 120 - HemMm - 20, 120 - HemMm - 20), 0, Edge,
                    Middle("corner-55", $"Centred {Say.Length(60)} from both edges", new Pt(w - 60, h - 60),
                        "In the corner a monogram shows when the scarf is thrown over."),
                        new UsualLettering(8, 12, 0.8, 60, "Wider words crowd the hem.", Memory, 15, 25)),
            ],
            [
                Hem("end-hem", "hem of the end", 0, w, h, -HemMm, ObstacleKind.RolledHem),
                    Seam("left-hem", "left hem", [new(3, 0), new(3, h)], ObstacleKind.RolledHem, 6),
                    Seam("right-hem", "right hem", [new(w - 3, 0), new(w - 3, h)], ObstacleKind.RolledHem, 6),
            ],
            [.. Flat(w, h, "scarf", HemMm).Where(l => l.Id
                is not "top-edge" and not "cross-fold" and not "upper-quarter" and not "lower-quarter" and not "top-hem-stitching")],
            Enumerable.Range(0, (int)(w / 9)).Select(i => (IReadOnlyList<Pt>)Rectangle(4 + (i * 9), h, 2.2, 34)).ToArray());
    }
}
