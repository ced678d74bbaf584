using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>A handkerchief with rolled hems. Datum: the top left corner. Governing measures: its width, and its length.</summary>
public static class Handkerchief
{
    /// <summary>Depth of the rolled hem (common practice), and how far inside it words keep (from memory).</summary>
    public const double HemMm = 5;

    public const double InsideHemMm = 20;

    private const double CentreMm = 50;

    public static Form Form { get; } = new(
        "handkerchief", "handkerchief", Shelf.Keepsake, "lawn", "#fbfaf6", "adult",
            new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [new("28x28", $"{Measures.Say.SpanCm(28, " × ", 28)}", 280, 280, Common),
            new("40x40", $"{Measures.Say.SpanCm(40, " × ", 40)}", 400, 400, Common)],
        "40x40",
        new Measure("width", "Width", "From edge to edge.", 150, 600), new Measure("length", "Length", "From edge to edge.", 150, 600),
            size => [Build(size)])
    {
        AlsoCalled = ["hanky", "pocket square", "hankie"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [.. Corners.Of(w, h, CentreMm, HemMm + InsideHemMm, 115, $"{Measures.Say.Length(20)} are kept free inside the hem.",
                "In the corner it shows in a breast pocket.",
                new UsualLettering(8, 12, 0.7, 2 * (CentreMm - HemMm - InsideHemMm) + 8,
                $"Wider words would come nearer than {Measures.Say.Length(20)} to the hem.", Memory, 12, 20))],
            [
                Seam("left-hem", "left rolled hem", [new(HemMm / 2, 0), new(HemMm / 2, h)], ObstacleKind.RolledHem, HemMm),
                    Seam("right-hem", "right rolled hem", [new(w - (HemMm / 2), 0), new(w - (HemMm / 2), h)], ObstacleKind.RolledHem,
                    HemMm),
                Seam("top-hem", "top rolled hem", [new(HemMm, HemMm / 2), new(w - HemMm, HemMm / 2)], ObstacleKind.RolledHem, HemMm),
                    Seam("bottom-hem", "bottom rolled hem", [new(HemMm, h - (HemMm / 2)), new(w - HemMm, h - (HemMm / 2))],
                    ObstacleKind.RolledHem, HemMm),
            ],
            [.. Flat(w, h, "handkerchief", HemMm, HemMm), .. Corners.Creases(w, h, 115, "handkerchief")],
            []);
    }
}
