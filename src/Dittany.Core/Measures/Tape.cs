using System.Globalization;
using System.Text.RegularExpressions;

namespace Dittany.Core.Measures;

/// <summary>What a maker reads off her tape.</summary>
public enum Units
{
    Centimetres,
    Inches,
}

/// <summary>
/// Lengths as a maker says them, in centimetres or in inches with fractions. Rooms put every length into a sentence as a value, with
/// <see cref="Say.Length"/>; her units are chosen where it is shown (<see cref="Told"/>). Not for machine formats. What is finer than a
/// tape can show stays in millimetres.
/// </summary>
public static partial class Tape
{
    /// <summary>An inch (international inch of 1959).</summary>
    public const double InchMm = 25.4;

    /// <summary>From here on a length is told in centimetres; below it millimetres matter.</summary>
    public const double CentimetresFromMm = 100;

    /// <summary>Below this a tape in inches has no mark that would do: the finest is a sixteenth, 1.6 mm.</summary>
    public const double InchesFromMm = 5;

    /// <summary>A tape in inches is divided into sixteenths.</summary>
    private const int Parts = 16;

    /// <summary>
    /// One length in her units: 14 mm, 11.4 cm, 2 3/8 in. Inches are rounded to the nearest sixteenth, half away from zero.
    /// </summary>
    public static string Length(double lengthMm, Units units)
    {
        var size = Math.Abs(lengthMm);
        if (units == Units.Inches && size >= InchesFromMm)
        {
            return $"{Inches(lengthMm)} in";
        }

        return units == Units.Centimetres && size >= CentimetresFromMm && size < 1000 ? $"{Say.Number(lengthMm / 10)} cm"
            : Say.LengthInMm(lengthMm);
    }

    /// <summary>Inches with a fraction in its lowest terms, without the unit: 2 3/8, 5, 7/16.</summary>
    public static string Inches(double lengthMm)
    {
        var sixteenths = (int)Math.Round(Math.Abs(lengthMm) / InchMm * Parts, MidpointRounding.AwayFromZero);
        var (whole, over) = (sixteenths / Parts, sixteenths % Parts);
        var sign = lengthMm < 0 ? "−" : string.Empty;
        if (over == 0)
        {
            return string.Create(CultureInfo.InvariantCulture, $"{sign}{whole}");
        }

        var under = Parts;
        while (over % 2 == 0)
        {
            (over, under) = (over / 2, under / 2);
        }

        return string.Create(CultureInfo.InvariantCulture, $"{sign}{(whole == 0 ? string.Empty : $"{whole} ")}{over}/{under}");
    }

    /// <summary>
    /// A length as someone writes it down: 97, 97 mm, 9.7 cm, 3 13/16 in, 3/4". A comma may stand for the point. A bare number is
    /// millimetres. Null where it is no length.
    /// </summary>
    public static double? Read(string? written)
    {
        var found = Written().Match(Digits.Plain(written ?? string.Empty).Trim().Replace(',', '.').ToLowerInvariant());
        if (!found.Success || !(found.Groups["n"].Success || found.Groups["over"].Success))
        {
            return null;
        }

        var value = found.Groups["n"].Success ? Number(found, "n") : 0;
        if (found.Groups["over"].Success)
        {
            var under = Number(found, "under");
            if (under == 0)
            {
                return null;
            }

            value += Number(found, "over") / under;
        }

        return value * found.Groups["unit"].Value switch
        {
            "cm" => 10,
            "m" => 1000,
            "in" or "inch" or "inches" or "\"" or "″" => InchMm,
            _ => 1
        };
    }

    /// <summary>How a length is to be written on her tape.</summary>
    public static string Wanted(Units units) => units == Units.Inches ? "Write it like 14 1/2 in." : "Write it like 37.5 cm or 375 mm.";

    /// <summary>A length read off a tape: as above, but a bare number is centimetres, or inches on a tape of inches.</summary>
    public static double? Read(string? written, Units units)
    {
        var said = Digits.Plain(written ?? string.Empty).Trim();
        return said.Length > 0 && char.IsAsciiDigit(said[^1]) ? Read($"{said} {(units == Units.Inches ? "in" : "cm")}") : Read(said);
    }

    private static double Number(Match found, string group) => double.Parse(found.Groups[group].Value, CultureInfo.InvariantCulture);

    [GeneratedRegex(
        @"^(?<n>\d{1,6}(?:\.\d{1,6})?)?(?:(?:^|\s+)(?<over>\d{1,3})/(?<under>\d{1,3}))?\s*(?<unit>mm|cm|m|in|inch|inches|""|″)?$",
        RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Written();
}
