using Dittany.Core.Measures;

namespace Dittany.Core.Transfer;

/// <summary>How people say that a design gets onto cloth.</summary>
public static class TransferNames
{
    public static IReadOnlyList<AlsoCalled> Methods { get; } =
    [
        new("light-trace", "traced", "traced over a light", "traced on a light box", "traced with a light box", "light box", "lightbox", "traced on a window", "traced at the window", "traced through a window", "light table"),
        new("thin-cloth-trace", "traced through the cloth", "traced through", "traced straight through"),
        new("film-traced", "traced on film", "traced on water soluble film", "water soluble film", "wash away film", "soluble film", "wash out film", "film", "traced on wash away film"),
        new("stick-on-sheet", "stick on sheet", "stick on paper", "sticky sheet", "printed sheet", "stick on wash away sheet", "printed on a stick on sheet", "wash away sheet", "stick and stitch sheet", "stuck on"),
        new("hot-iron", "ironed on", "iron on", "iron on transfer", "hot iron", "hot iron transfer", "ironed", "transfer pencil"),
        new("coated-paper", "coated paper", "freezer paper", "plastic coated paper"),
        new("cut-out", "paper shape", "cut out shape", "drawn round a paper shape", "cut out"),
        new("carbon", "carbon", "carbon paper", "dressmaker's carbon", "dressmakers carbon", "tracing wheel"),
        new("prick-and-pounce", "prick and pounce", "pounced", "pricked", "pricked and pounced", "pounce"),
        new("tissue", "tissue paper", "tissue", "tacked tissue"),
        new("tacked-from-back", "tacked from the back", "tacked from behind", "basted from the back"),
        new("freehand", "freehand", "free hand", "drawn freehand", "drawn by hand", "by eye freehand"),
    ];

    public static IReadOnlyList<AlsoCalled> Markers { get; } =
    [
        new("water-erasable", "water erasable pen", "water soluble pen", "wash out pen", "washable pen", "blue pen"),
        new("heat-erasable", "heat erasable pen", "iron off pen", "pen that irons out"),
        new("air-erasable", "air erasable pen", "fading pen", "vanishing pen", "disappearing pen"),
        new("chalk", "chalk", "tailor's chalk", "tailors chalk", "chalk pencil"),
        new("white-pencil", "white pencil", "white pen", "white marker", "white marking pencil"),
        new("pencil", "pencil", "hard pencil"),
        new("pigment-pen", "pigment pen", "permanent pen", "fine liner", "fineliner"),
    ];

    public static IReadOnlyList<AlsoCalled> Stabilisers { get; } =
    [
        new("tear-away-behind", "tear away", "tear away backing", "tear away behind", "fused tear away"),
        new("cut-away-behind", "cut away", "cut away backing", "cut away behind", "soft cut away"),
        new("fusible-knit-behind", "fusible knit", "soft fusible", "fused knit", "fusible backing"),
        new("wadding-behind", "wadding", "batting"),
        new("film-on-top", "film on top", "topping"),
    ];
}
