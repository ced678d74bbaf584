using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>A baby's blanket with a bound edge. Datum: the top left corner. Governing measures: its width, and its length.</summary>
public static class BabyBlanket
{
    /// <summary>Width of the binding (common practice).</summary>
    public const double BindingMm = 25;

    private const double CentreMm = 110;

    public static Form Form { get; } = new(
        "baby-blanket", "baby blanket", Shelf.Child, "waffle", "#d9e0d2", "baby",
            new FormUse(Handled: true, NextToSkin: true, SeenOutdoors: true, MadeUp: false),
        [new("75x100", $"{Say.SpanCm(75, " × ", 100)}", 750, 1000, Common), new("80x80", $"{Say.SpanCm(80, " × ", 80)}", 800, 800, Common),
            new("100x120", $"{Say.SpanCm(100, " × ", 120)}", 1000, 1200, Common)],
        "75x100",
        new Measure("width", "Width", "From edge to edge.", 300, 1500), new Measure("length", "Length", "From edge to edge.", 300, 1800),
            size => [Build(size)])
    {
        AlsoCalled = ["blanket", "cot blanket", "pram blanket", "swaddle"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        Told Edge = $"{Say.Length(20)} are kept free inside the binding.";
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                .. Corners.Of(w, h, CentreMm, BindingMm + 20, 270, Edge, "In the corner the name shows when the blanket is turned back.",
                    new UsualLettering(18, 30, 0.7, 130, "Wider words would come too near the binding.", Memory, 30, 50)),
                new Zone("edge", "along the lower edge", Rectangle(w * 0.2, h - BindingMm - 130, w * 0.6, 120), 0, Edge,
                    Base(50, "the binding", new Pt(w / 2, h - BindingMm - 50), "It reads when the blanket is tucked in."),
                    Caps(18, 32, 0.6, w * 0.5, "The sides are tucked under.")),
            ],
            [.. Hems.Around(w, h, BindingMm, BindingMm).Select(o => o
                with { Name = o.Name.Replace("hem", "binding", StringComparison.Ordinal) })],
            [.. Flat(w, h, "blanket", BindingMm, BindingMm).Select(l => l
                with { Name = l.Name.Replace("hem", "binding", StringComparison.Ordinal) }), .. Corners.Creases(w, h, 270, "blanket")],
            []);
    }
}
