using Dittany.Core.Words;

namespace Dittany.Formats.Alphabets;

/// <summary>
/// Open fonts that ship with the application, chosen for stitching and called by what they look like. Each is there twice: as outlines, and
/// as the lines down the middle of its strokes. Their licences lie beside them.
/// </summary>
public static class ShippedAlphabets
{
    private static readonly (string Id, string Name, string Told)[] Fonts =
    [
        ("sturdy-serif", "Sturdy serif", "A serif with stout strokes and short feet: names on linen, read from far."),
        ("round-sans", "Round sans", "Even strokes with round ends: as soft as a child's things want it."),
        ("slab", "Slab", "Square feet as thick as the strokes: bold on bags and aprons."),
        ("soft-sans", "Soft sans", "Wide open letters with slightly rounded corners, in Latin, Hebrew and Cyrillic."),
        ("bouncing-script", "Bouncing script", "A script whose letters spring up and down: long open curves."),
        ("full-script", "Full script", "A broad brush script that runs together: wants height, and fills it."),
        ("slender-script", "Slender script", "One thin even line with wide loops: made for its centre line."),
        ("slanted-script", "Slanted script", "A leaning script with little contrast and open bowls."),
        ("marker-print", "Marker print", "Print letters as a felt pen makes them: plain and friendly."),
        ("monogram-capitals", "Monogram capitals",
            "Capitals of old inscriptions, for one to three initials; small letters are smaller capitals."),
    ];

    /// <summary>All of them, outlines and centre lines.</summary>
    public static IReadOnlyList<IAlphabet> All { get; } = Fonts.SelectMany(f => Both(f.Id, f.Name, f.Told, () => Bytes(f.Id))).ToArray();

    /// <summary>Our own hands, and all fonts that ship.</summary>
    public static Library Library { get; } = Library.Ours.With(All);

    /// <summary>A font as the two alphabets that are made of it.</summary>
    public static IReadOnlyList<FontAlphabet> Both(string id, string name, string told, Func<byte[]> bytes) =>
    [
        new(id, name, told, AlphabetKind.Weighted, bytes),
        new(id + Core.Words.Alphabets.LineSuffix, $"{name}, centre line", $"{told} Here the line down the middle of each stroke.",
            AlphabetKind.CentreLine, bytes),
    ];

    private static byte[] Bytes(string id)
    {
        using var stream = typeof(ShippedAlphabets).Assembly.GetManifestResourceStream($"Alphabets/{id}")!;
        using var copy = new MemoryStream();
        stream.CopyTo(copy);
        return copy.ToArray();
    }
}
