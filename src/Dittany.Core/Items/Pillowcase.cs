using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A pillowcase laid with its opening at the bottom. Datum: the top left corner. Governing measures: its width along the opening, and its
/// length.
/// </summary>
public static class Pillowcase
{
    /// <summary>Depth of the hem band at the opening (common practice).</summary>
    public const double BandMm = 90;

    public static Form Form { get; } = new(
        "pillowcase", "pillowcase", Shelf.House, "quilting-cotton", "#fbfaf6", "nobody",
            new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [new("50x75", $"{Measures.Say.SpanCm(50, " × ", 75)}", 500, 750, Common),
            new("80x80", $"{Measures.Say.SpanCm(80, " × ", 80)}", 800, 800, Common),
            new("40x80", $"{Measures.Say.SpanCm(40, " × ", 80)}", 400, 800, Common),
            new("child", $"child's, {Measures.Say.SpanCm(40, " × ", 60)}", 400, 600, Common)],
        "50x75",
        new Measure("width", "Width", "Along the opening.", 200, 1000),
            new Measure("length", "Length", "From the opening to the far seam.", 250, 1300), size => [Build(size)])
    {
        ByPattern = true,
        AlsoCalled = ["pillow case", "pillow slip", "pillow cover"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        return new Drawn(
            new Face("top", "top layer, opening at the bottom", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                new Zone(
                    "band", "hem band", Rectangle(0, h - BandMm, w, BandMm), 8,
                        "Only on the band, and only its top layer: no cheek lies there.",
                    Middle("band-middle", "In the middle of the hem band", new Pt(w / 2, h - (BandMm / 2)),
                        "Half-way up the band there is the same room above and below."),
                        Caps(15, 30, 0.65, w * 0.6, "A made bed shows the middle of the band.")),
                new Zone(
                    "corner", "corner beside the band", Rectangle(w - 170, h - BandMm - 100, 150, 90), 0,
                        "Beside the band, away from the cheek.",
                    Middle("corner-usual", $"Centred {Measures.Say.Length(90)} from the side, {Measures.Say.Length(60)} above the band",
                        new Pt(w - 90, h - BandMm - 60), "It shows on a made bed and no cheek lies on it."),
                        Caps(12, 20, 0.8, 110, "It stays in its corner.")),
            ],
            [
                Hem("band-seam", "stitching of the hem band", 0, w, h - BandMm, -3, ObstacleKind.FlatSeam),
                Seam("opening", "edge of the opening", [new(0, h - 1), new(w, h - 1)], ObstacleKind.RolledHem),
                Seam("left-side", "left side seam", [new(2, 0), new(2, h)]),
                    Seam("right-side", "right side seam", [new(w - 2, 0), new(w - 2, h)]), Seam("far", "far seam", [new(0, 2), new(w, 2)]),
            ],
            [.. Flat(w, h, "pillowcase"), new Landmark("band-line", "the stitching of the hem band", new(0, h - BandMm),
                new(w, h - BandMm), Found.Stitching)],
            [],
            new Opening("the opening", w));
    }
}
