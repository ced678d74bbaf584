using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// What lettering styles are also called. Ids of alphabets that ship with the application; one that is not in the library is asked about.
/// </summary>
public static class StyleNames
{
    public static IReadOnlyList<AlsoCalled> All { get; } =
    [
        new("upright-hand", "upright hand", "upright", "print hand", "plain letters", "simple letters", "stick letters"),
        new("joined-hand", "joined hand", "joined up", "joined up writing", "joined writing", "cursive", "handwriting", "joined letters"),
        new("plain-capitals", "plain capitals", "capitals", "capital letters", "block capitals", "block letters"),
        new("sturdy-serif", "sturdy serif", "serif", "serif letters"),
        new("round-sans", "round sans", "rounded letters", "round letters"),
        new("slab", "slab", "slab serif", "slab letters"),
        new("soft-sans", "soft sans", "sans", "sans serif"),
        new("bouncing-script", "bouncing script", "bouncy script", "bouncy lettering"),
        new("full-script", "full script", "brush script", "brush lettering"),
        new("slender-script", "slender script", "thin script", "fine script", "script"),
        new("slanted-script", "slanted script", "leaning script", "italic script", "italics"),
        new("marker-print", "marker print", "felt pen print", "felt pen letters"),
        new("monogram-capitals", "monogram capitals", "inscription capitals", "roman capitals"),
    ];
}
