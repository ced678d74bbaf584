using Dittany.Core.Measures;

namespace Dittany.Core.Materials;

/// <summary>A thread colour of our own, under a plain name.</summary>
public sealed record ThreadColour(string Id, string Name, string Hex, bool Bleeds);

/// <summary>
/// Dittany's own thread colours, in the order they are offered. Reds, navy and black are the ones to test for bleeding (common practice).
/// Not any maker's range.
/// </summary>
public static class Palette
{
    public static IReadOnlyList<ThreadColour> Colours { get; } =
    [
        new("mulberry", "mulberry", "#8f3a67", true),
        new("leaf", "leaf green", "#4f7358", false),
        new("indigo", "indigo", "#2f3f6b", true),
        new("rust", "rust", "#a4472a", true),
        new("peat", "peat brown", "#4a3526", false),
        new("black", "black", "#1d1c1a", true),
        new("chalk", "chalk white", "#f7f4ec", false),
        new("straw", "straw", "#e3c878", false),
        new("shell", "shell pink", "#e8b9bb", false),
        new("sky", "pale sky", "#a9c6d8", false),
        new("poppy", "poppy red", "#c23b34", true),
        new("slate", "slate", "#66727a", false),
        new("sunflower", "sunflower yellow", "#dca32b", false),
        new("lemon", "lemon", "#efd955", false),
        new("orange", "orange", "#d9772f", false),
        new("fox", "fox brown", "#b8612f", false),
        new("hazel", "hazel brown", "#8a6242", false),
        new("oat", "oat", "#d8c3a0", false),
        new("cream", "cream", "#f1e4c6", false),
        new("blush", "blush", "#eec7b6", false),
        new("rose", "rose", "#d4657f", false),
        new("berry", "berry red", "#7c2440", true),
        new("cherry", "cherry red", "#a8232f", true),
        new("lilac", "lilac", "#b9a1cf", false),
        new("violet", "violet", "#6a4a8c", true),
        new("lavender", "lavender blue", "#8d8bc0", false),
        new("cornflower", "cornflower blue", "#4f74b8", false),
        new("sea", "sea blue", "#3f7f8c", false),
        new("mint", "mint", "#a8cbb0", false),
        new("moss", "moss green", "#7d8a45", false),
        new("fir", "fir green", "#2f5241", true),
        new("grass", "grass green", "#6a9a4a", false),
        new("stone", "stone grey", "#a8a497", false),
        new("ash", "pale ash", "#d3d1c9", false),
        new("charcoal", "charcoal", "#3c3d40", true),
        new("night", "night blue", "#1f2a44", true),
    ];

    /// <summary>One of ours by its id; throws where there is none.</summary>
    public static ThreadColour Find(string id) => Colours.First(c => c.Id == id);

    /// <summary>The thread of ours that is nearest to a colour by eye (CIEDE2000); itself where it is one.</summary>
    public static ThreadColour Nearest(string hex)
    {
        var lab = Colour.Parse(hex).ToLab();
        return Colours.FirstOrDefault(c => c.Hex == hex)
            ?? Colours.OrderBy(c => ColourDifference.Ciede2000(Colour.Parse(c.Hex).ToLab(), lab)).First();
    }

    /// <summary>A colour by its id here, or as it is written.</summary>
    public static string HexOf(string colour) => Colours.FirstOrDefault(c => c.Id == colour)?.Hex ?? colour;

    /// <summary>What a program calls a colour: the name of one of ours with hyphens, else its code without the sign before it.</summary>
    public static string IdOf(string hex) =>
        (Colours.FirstOrDefault(c => string.Equals(c.Hex, hex, StringComparison.OrdinalIgnoreCase))?.Name ?? hex.TrimStart('#')
            .ToLowerInvariant())
            .Replace(' ', '-');

    /// <summary>
    /// The name of a colour: ours where it is one of ours; else by the one of ours that the eye takes it for first (CIEDE2000).
    /// </summary>
    public static string NameOf(string hex)
    {
        if (Colours.FirstOrDefault(c => string.Equals(c.Hex, hex, StringComparison.OrdinalIgnoreCase)) is { } ours)
        {
            return ours.Name;
        }

        var lab = Colour.Parse(hex).ToLab();
        return $"a colour like {Colours.MinBy(c => ColourDifference.Ciede2000(lab, Colour.Parse(c.Hex).ToLab())).Sure().Name}";
    }

    /// <summary>
    /// Whether a thread of this colour should be tested for running: ours by table, any other when it is dark or strongly red.
    /// </summary>
    public static bool MayBleed(string hex)
    {
        var ours = Colours.FirstOrDefault(c => string.Equals(c.Hex, hex, StringComparison.OrdinalIgnoreCase));
        if (ours is not null)
        {
            return ours.Bleeds;
        }

        var lab = Colour.Parse(hex).ToLab();
        return lab.L < 35 || (lab.A > 35 && lab.B > 0);
    }
}
