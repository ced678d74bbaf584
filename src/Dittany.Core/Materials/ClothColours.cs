namespace Dittany.Core.Materials;

/// <summary>A colour of cloth under a plain name, with other words for it.</summary>
public sealed record ClothColour(string Hex, string Name, IReadOnlyList<string> AlsoCalled);

/// <summary>Cloth colours to pick from, under plain names of our own. Hers may be any other.</summary>
public static class ClothColours
{
    public static IReadOnlyList<ClothColour> All { get; } =
    [
        new("#fbfaf6", "white", []),
        new("#f1ede2", "unbleached", ["natural", "cream", "undyed"]),
        new("#d9e0d2", "pale sage", ["sage", "pale green"]),
        new("#b9ccd4", "washed blue", ["pale blue", "light blue", "blue"]),
        new("#e6c9c4", "dusty rose", ["pink", "rose"]),
        new("#d8b75a", "mustard", ["yellow"]),
        new("#7c8f86", "grey-green", ["grey", "gray", "green"]),
        new("#8d4a3c", "brick", ["red", "rust"]),
        new("#27303a", "ink", ["dark", "dark blue", "navy", "black"]),
    ];

    /// <summary>A colour by any of its words, longest first; null where none is meant.</summary>
    public static ClothColour? Find(string words) =>
        All.FirstOrDefault(c => c.AlsoCalled.Append(c.Name).Contains(words, StringComparer.OrdinalIgnoreCase));

    /// <summary>All words for colours, the longest first, so that “pale blue” is read before “blue”.</summary>
    public static IReadOnlyList<string> Words { get; } = All.SelectMany(c => c.AlsoCalled.Append(c.Name)).OrderByDescending(w =>
        w.Length).ThenBy(w => w, StringComparer.Ordinal).ToArray();
}
