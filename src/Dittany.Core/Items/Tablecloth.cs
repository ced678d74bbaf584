using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>A hemmed tablecloth. Datum: the top left corner. Governing measures: its width, and its length.</summary>
public static class Tablecloth
{
    /// <summary>A corner's words are centred this far from both edges, and keep this far from them (from memory).</summary>
    public const double CornerCentreMm = 110;

    private const double FreeMm = 60;
    private const double HemMm = 25;

    public static Form Form { get; } = new(
        "tablecloth", "tablecloth", Shelf.Table, "linen", "#f6f3ea", "nobody",
            new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [new("130x180", $"{Say.SpanCm(130, " × ", 180)}", 1300, 1800, Common),
            new("150x220", $"{Say.SpanCm(150, " × ", 220)}", 1500, 2200, Common),
            new("90x90", $"{Say.SpanCm(90, " × ", 90)}", 900, 900, Common)],
        "130x180",
        new Measure("width", "Width", "From edge to edge.", 500, 2500), new Measure("length", "Length", "From edge to edge.", 500, 5000),
            size => [Build(size)])
    {
        AlsoCalled = ["table cloth", "tablecover"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        Told Edge = $"{Say.Length(60)} are kept free to the edge, so that what is stitched hangs below the table's rim and clears the hem.";
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                .. Corners.Of(w, h, CornerCentreMm, FreeMm, 260, Edge,
                    $"{Say.Length(110)} from both edges a corner hangs free and is seen.",
                    new UsualLettering(15, 25, 0.65, 100, "Wider words go round the corner's fold.", Memory, 30, 50)),
                new Zone("edge", "along the lower edge", Rectangle(w * 0.2, h - HemMm - 150, w * 0.6, 120), 0,
                    "A border hangs below the table's rim.", Base(60, "the hem", new Pt(w / 2, h - HemMm - 60),
                    $"{Say.Length(60)} above the hem the words stand clear of it."),
                    Caps(18, 30, 0.5, w * 0.4, "A border runs on; words fill its middle.")),
            ],
            [.. Hems.Around(w, h, HemMm, HemMm)],
            [.. Flat(w, h, "cloth", HemMm, HemMm), .. Corners.Creases(w, h, 260, "cloth")],
            []);
    }
}
