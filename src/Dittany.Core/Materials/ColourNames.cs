using Dittany.Core.Measures;

namespace Dittany.Core.Materials;

/// <summary>Plain words for colours: the thread of ours each means, and how cloth of it looks.</summary>
public static class ColourNames
{
    /// <summary>Words that mean one of our threads, beside its own name; hers to change, as the label shows.</summary>
    public static IReadOnlyList<AlsoCalled> Threads { get; } =
    [
        new("poppy", "red", "bright red", "scarlet"),
        new("leaf", "green"),
        new("indigo", "blue", "navy", "navy blue", "dark blue"),
        new("sunflower", "yellow", "bright yellow", "golden yellow"),
        new("rose", "pink", "rose pink"),
        new("chalk", "white"),
        new("peat", "brown", "dark brown"),
        new("slate", "grey", "gray", "slate grey", "slate gray"),
        new("hazel", "light brown", "tan"),
        new("shell", "pale pink", "light pink", "baby pink"),
        new("sky", "pale blue", "light blue", "baby blue", "sky blue"),
        new("fir", "dark green", "forest green", "bottle green"),
        new("mint", "mint green", "pale green", "light green"),
        new("berry", "dark red", "wine red", "burgundy", "maroon"),
        new("charcoal", "dark grey", "dark gray", "charcoal grey", "charcoal gray"),
        new("ash", "light grey", "light gray", "pale grey", "pale gray"),
        new("stone", "stone gray"),
        new("lemon", "lemon yellow", "pale yellow", "light yellow"),
    ];

    /// <summary>Words for colours that are none of our threads, as they usually look (from memory): the nearest thread is taken.</summary>
    public static IReadOnlyList<(string Word, string Hex)> Others { get; } =
    [
        ("purple", "#6e3f8e"), ("dark purple", "#4b2a66"), ("light purple", "#b497cf"), ("gold", "#c9a13b"), ("golden", "#c9a13b"), ("silver", "#b9bbbd"), ("teal", "#2a7f7f"), ("turquoise", "#3fb3b0"), ("aqua", "#6cc5c5"),
        ("beige", "#d9c7a4"), ("copper", "#b5683a"), ("bronze", "#8c6a3a"), ("peach", "#f0bfa0"), ("khaki", "#9a9160"), ("plum", "#6a2f55"), ("magenta", "#b8388a"), ("crimson", "#a51d33"),
        ("olive green", "#75803b"), ("sage", "#9dab8c"), ("sage green", "#9dab8c"), ("royal blue", "#2f4fa8"), ("apricot", "#eeb07f"), ("salmon", "#e59a86"), ("mauve", "#a98bb0"), ("terracotta", "#b8613f"),
        ("ivory", "#f3ead6"), ("emerald", "#2f7d55"), ("ochre", "#c28a2f"), ("mustard", "#c99a2e"), ("lime green", "#9cc24a"), ("lime", "#9cc24a"), ("coral pink", "#e8806f"), ("fuchsia", "#c4388a"), ("cyan", "#4fb6cf"), ("off white", "#f3ead6"),
    ];

    /// <summary>Words for cloth colours that are none of the swatches, as they usually look (from memory).</summary>
    public static IReadOnlyList<(string Word, string Hex)> Cloths { get; } =
    [
        ("orange", "#d9772f"), ("brown", "#6b4a34"), ("lilac", "#b9a1cf"), ("violet", "#6a4a8c"), ("lavender", "#b3add0"), ("mint", "#a8cbb0"), ("dark green", "#2f5241"), ("bright red", "#c23b34"),
        ("light grey", "#c9c8c3"), ("light gray", "#c9c8c3"), ("dark grey", "#4a4b4e"), ("dark gray", "#4a4b4e"), ("pale pink", "#efd6d2"), ("light pink", "#efd6d2"), ("baby pink", "#efd6d2"), ("baby blue", "#c3d5df"), ("pale yellow", "#f0e3a8"), ("light green", "#c5d6b8"),
        ("stone", "#c9c2b2"), ("sky blue", "#a9c6d8"), ("light brown", "#a98a67"), ("tan", "#b99b73"), ("oatmeal", "#ddd0b6"), ("charcoal", "#3c3d40"), ("burgundy", "#6b2438"), ("maroon", "#6b2438"),
        .. Others,
    ];
}
