using System.Globalization;

namespace Dittany.Core.Measures;

/// <summary>Digits of every script (full width, Arabic, Devanagari, …) as the ten that numbers are reckoned with.</summary>
public static class Digits
{
    /// <summary>
    /// The text with each decimal digit as its plain one, full-width marks of numbers too; all else as it is. The same text where there is
    /// nothing to change.
    /// </summary>
    public static string Plain(string text) => text.All(char.IsAscii) ? text
        : string.Concat(text.EnumerateRunes().Select(rune => rune.Value switch
    {
        0xFF0E or 0x066B => ".",
        0xFF0C => ",",
        0xFF0F => "/",
        0xFF0D => "-",
        _ when System.Text.Rune.GetUnicodeCategory(rune) == UnicodeCategory.DecimalDigitNumber =>
            ((int)System.Text.Rune.GetNumericValue(rune)).ToString(CultureInfo.InvariantCulture),
        _ => rune.ToString(),
    }));
}
