using System.Globalization;
using System.Text;

namespace Dittany.Core.Words;

/// <summary>
/// Characters that are none to the eye and none to the needle: they steer how text is broken or shaped, or hold a place. Inside a letter
/// (joiners) they are its business; alone they are no letter.
/// </summary>
public static class Unseen
{
    /// <summary>
    /// Those that come along with copied text, by their names (Unicode 16, Default_Ignorable_Code_Point and blanks that are not spaces).
    /// </summary>
    private static readonly Dictionary<int, string> Names = new()
    {
        [0x00AD] = "soft hyphen",
        [0x034F] = "grapheme joiner",
        [0x115F] = "Hangul filler",
        [0x1160] = "Hangul filler",
        [0x17B4] = "Khmer inherent vowel",
        [0x17B5] = "Khmer inherent vowel",
        [0x180E] = "Mongolian vowel separator",
        [0x200B] = "zero width space",
        [0x200C] = "zero width non-joiner",
        [0x200D] = "zero width joiner",
        [0x2060] = "word joiner",
        [0x2800] = "blank of Braille",
        [0x3164] = "Hangul filler",
        [0xFEFF] = "zero width no-break space",
        [0xFFA0] = "Hangul filler",
    };

    /// <summary>
    /// The name of a letter that draws nothing, such as <c>soft hyphen (U+00AD)</c>; null for a letter that is one, and for a space.
    /// </summary>
    public static string? NameOf(string letter)
    {
        foreach (var rune in letter.EnumerateRunes())
        {
            if (!Is(rune))
            {
                return null;
            }
        }

        var first = letter.EnumerateRunes().First().Value;
        return string.Create(CultureInfo.InvariantCulture, $"{Names.GetValueOrDefault(first, "character")} (U+{first:X4})");
    }

    private static bool Is(Rune rune) => Names.ContainsKey(rune.Value) || Rune.GetUnicodeCategory(rune) == UnicodeCategory.Format
        || rune.Value is (>= 0xFE00 and <= 0xFE0F) or (>= 0xE0000 and <= 0xE0FFF);
}
