using Dittany.Core.Measures;

namespace Dittany.Core.Motifs;

/// <summary>How people say that something is laid out: of words, and of motifs.</summary>
public static class ArrangementNames
{
    /// <summary>Ids of arrangements of words.</summary>
    public static IReadOnlyList<AlsoCalled> OfWords { get; } =
    [
        new("straight", "straight", "level", "in a straight line", "on one line"),
        new("spaced", "spaced out", "spaced wide", "widely spaced", "wide apart"),
        new("arc", "arc", "an arc", "arch", "arched", "curved", "curve", "bow shape", "rainbow shape"),
        new("ring", "ring", "circle", "round in a circle", "circular"),
        new("slope", "slope", "slant", "sloping", "slanting", "slanted", "rising"),
        new("corner", "diagonally", "diagonal", "cornerwise"),
        new("edge", "following the edge", "edgewise"),
        new("monogram", "monogram", "monogrammed"),
    ];

    /// <summary>Ids of arrangements of motifs.</summary>
    public static IReadOnlyList<AlsoCalled> OfMotifs { get; } =
    [
        new("row", "row", "line", "side by side", "in a straight line"),
        new("zigzag", "zigzag", "zig zag", "zigzagging", "along a stem", "on a stem", "up a stem", "vine", "along a vine"),
        new("ring", "ring", "wreath", "circle", "garland", "round in a circle", "crown"),
        new("border", "border", "frame", "all round the edge", "all around the edge", "around the edge", "round the edge", "edging"),
        new("scatter", "scatter", "scattered", "scattering", "field", "handful", "sprinkling", "sprinkled", "sprinkle", "dotted about", "here and there", "all over", "strewn"),
        new("corner", "corner spray", "spray in the corner"),
        new("pair", "pair", "facing each other", "mirrored pair"),
    ];

    /// <summary>Said of repeated motifs that stand as they grow: uneven, no two alike.</summary>
    public static IReadOnlyList<string> Growing { get; } = ["growing", "as they grow", "like they grow", "growing wild", "unevenly", "uneven", "set out by eye", "by eye", "loosely", "naturally", "as if growing"];
}
