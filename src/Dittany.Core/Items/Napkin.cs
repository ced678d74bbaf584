using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A hemmed table napkin, mitred corners. Datum: the top left corner, x right, y down. The corner usually worked is the lower right one.
/// </summary>
public static class Napkin
{
    /// <summary>Depth of the hem, fold to stitching (common practice).</summary>
    public const double HemMm = 10;

    /// <summary>A corner's words are centred this far from both edges, and keep this far inside the hem (from memory).</summary>
    public const double CornerCentreMm = 65;

    public const double InsideHemMm = 25;

    public static Form Form { get; } = new(
        "napkin",
        "napkin",
        Shelf.Table,
        "linen",
        "#f6f3ea",
        "nobody",
        new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [
            new FormSize("40x40", $"{Say.SpanCm(40, " × ", 40)}", 400, 400, "common practice"),
            new FormSize("45x45", $"{Say.SpanCm(45, " × ", 45)}", 450, 450, "common practice"),
            new FormSize("50x50", $"{Say.SpanCm(50, " × ", 50)}", 500, 500, "common practice"),
        ],
        "45x45",
        new Measure("width", "Width of the cloth", "From edge to edge.", 200, 800),
        new Measure("height", "Length of the cloth", "From edge to edge.", 200, 800),
        size => [Build(size)])
    {
        AlsoCalled = ["table napkin", "serviette"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        const double Free = HemMm + InsideHemMm;
        const double Reach = (2 * CornerCentreMm) + 30;
        Told Edge = $"{Say.Length(25)} are kept free inside the hem, so that the stitches do not crowd it.";
        var edge = Rectangle(w * 0.15, h - Free - 60, w * 0.7, 60);
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                .. Corners.Of(
                    w, h, CornerCentreMm, Free, Reach, Edge, $"{Say.Length(65)} from both edges it shows in the corner of a folded napkin.",
                    new UsualLettering(8, 12, 0.65, 2 * (CornerCentreMm - Free),
                        $"Wider words would come nearer than {Say.Length(25)} to the hem.", "from memory", 18, 25)),
                new Zone(
                    "edge", "along the lower edge", edge, 0, Edge,
                    Parts.Base(30, "the hem", new Pt(w / 2, h - HemMm - 30),
                        $"{Say.Length(30)} above the hem's stitching the words stand clear of it and still read as a border."),
                    new UsualLettering(8, 14, 0.5, w * 0.5, "Half the napkin's width leaves it calm at both sides.", "from memory", 18,
                        25)),
            ],
            [
                .. Hems.Around(w, h, HemMm, HemMm),
            ],
            [
                .. Parts.Flat(w, h, "napkin", HemMm, HemMm),
                .. Corners.Creases(w, h, Reach, "napkin"),
            ],
            []);
    }
}
