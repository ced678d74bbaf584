using System.Globalization;

namespace Dittany.Core.Measures;

/// <summary>
/// Numbers as a maker reads them, the same in every culture. Not for machine formats: JSON and SVG write their own.
/// Rounds half away from zero; a trailing <c>.0</c> is dropped.
/// </summary>
public static class Say
{
    /// <summary>A length with its unit: 14 mm, 0.77 mm, 1.2 m. From one metre up it is told in metres.</summary>
    public static Length Length(double lengthMm) => new(lengthMm);

    /// <summary>A length that must not be told as more than it is: rounded down to what is told.</summary>
    public static Length AtMost(double lengthMm)
    {
        var marks = Math.Abs(lengthMm) >= HalvesFromMm ? 2 : 10;
        return Length(Math.Floor((lengthMm * marks) + 1e-9) / marks);
    }

    /// <summary>A length that is written in centimetres: 60 cm.</summary>
    public static Length Cm(double cm) => new(10 * cm, $"{Number(cm)} cm", Stays: true);

    /// <summary>A length in millimetres whatever its size: 1000 mm.</summary>
    public static Length Mm(double lengthMm) => new(lengthMm, $"{Number(lengthMm, 3)} mm");

    /// <summary>Two lengths that share their unit: 10 to 16 mm.</summary>
    public static Lengths Span(double oneMm, string between, double otherMm) =>
        new(new(oneMm, $"{Number(oneMm, 3)} mm"), between, new(otherMm, $"{Number(otherMm, 3)} mm"));

    /// <summary>Two lengths that share their centimetres: 38 × 42 cm.</summary>
    public static Lengths SpanCm(double oneCm, string between, double otherCm) => new(Cm(oneCm), between, Cm(otherCm));

    /// <summary>From a hand's width on nobody reads a tape finer than by half a millimetre.</summary>
    private const double HalvesFromMm = 100;

    /// <summary>A length as it is said where nobody chose units.</summary>
    internal static string LengthInMm(double lengthMm) =>
        Math.Abs(lengthMm) >= 1000 ? $"{Number(lengthMm / 1000, 2)} m"
        : Math.Abs(lengthMm) >= HalvesFromMm ? $"{Number(Math.Round(lengthMm * 2, MidpointRounding.AwayFromZero) / 2)} mm"
        : $"{Number(lengthMm, lengthMm < 10 ? 2 : 1)} mm";

    /// <summary>A number rounded to at most <paramref name="decimals"/> places.</summary>
    public static string Number(double value, int decimals = 1)
    {
        var rounded = Math.Round((decimal)value, decimals, MidpointRounding.AwayFromZero);
        return rounded.ToString(decimals switch { 0 => "0", 1 => "0.#", 2 => "0.##", _ => "0.###" }, CultureInfo.InvariantCulture);
    }

    /// <summary>Minutes as people say them: 50 min, 1 h 45 min. Rounded to the nearest five from one hour up.</summary>
    public static string Minutes(double minutes)
    {
        var whole = (int)Math.Round(minutes, MidpointRounding.AwayFromZero);
        if (whole < 60)
        {
            return $"{whole} min";
        }

        whole = (int)(Math.Round(whole / 5.0, MidpointRounding.AwayFromZero) * 5);
        return whole % 60 == 0 ? $"{whole / 60} h" : $"{whole / 60} h {whole % 60} min";
    }

    /// <summary>A date as spoken: Sunday 14 March.</summary>
    public static string Day(DateOnly day) => day.ToString("dddd d MMMM", CultureInfo.InvariantCulture);

    /// <summary>One of it, or several: 1 letter, 4 letters.</summary>
    public static string Count(int count, string one, string? many = null) =>
        count == 1 ? $"1 {one}" : $"{count.ToString(CultureInfo.InvariantCulture)} {many ?? one + "s"}";

    /// <summary>Several of a thing: daisies, leaves, ears of wheat. By its ending, which is right for the names used here.</summary>
    public static string Many(string thing)
    {
        var head = new[] { " of ", " on ", " with " }.Select(w => thing.IndexOf(w, StringComparison.Ordinal)).Where(at => at > 0)
            .DefaultIfEmpty(thing.Length).Min();
        var (one, rest) = (thing[..head], thing[head..].Replace(" its stem", " their stems", StringComparison.Ordinal)
            .Replace(" its stalk", " their stalks", StringComparison.Ordinal));
        return one switch
        {
            _ when one.EndsWith("foot", StringComparison.Ordinal) => $"{one[..^3]}eet{rest}",
            _ when one.EndsWith("leaf", StringComparison.Ordinal) => $"{one[..^1]}ves{rest}",
            _ when one.EndsWith("fish", StringComparison.Ordinal) || one.EndsWith("cherries", StringComparison.Ordinal) => thing,
            [.., not ('a' or 'e' or 'i' or 'o' or 'u'), 'y'] => $"{one[..^1]}ies{rest}",
            [.., 's' or 'x'] or [.., 'c' or 's', 'h'] => $"{one}es{rest}",
            _ => $"{one}s{rest}",
        };
    }

    /// <summary>What is told at the beginning of a sentence.</summary>
    public static Told Upper(Told words) => words.Upper();

    /// <summary>What is told within a sentence.</summary>
    public static Told Lower(Told words) => words.Lower();

    /// <summary>Words at the beginning of a sentence.</summary>
    public static string Upper(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    /// <summary>Words within a sentence; what is written in capitals stays so.</summary>
    public static string Lower(string words) =>
        words.Length > 1 && char.IsUpper(words[0]) && !char.IsUpper(words[1]) ? char.ToLowerInvariant(words[0]) + words[1..] : words;

    /// <summary>
    /// A thing with its article: a tote, an apron. By its first letter, which is right for the names used here; what is somebody's has
    /// none: Ida's pinafore, my bag.
    /// </summary>
    public static string A(string thing) => Owned(thing) ? thing
        : $"{("aeiou".Contains(char.ToLowerInvariant(thing[0]), StringComparison.Ordinal) ? "an" : "a")} {thing}";

    /// <summary>This very thing: the tote; what is somebody's is called as it is.</summary>
    public static string The(string thing) => Owned(thing) ? thing : $"the {thing}";

    /// <summary>Whether a thing is called by whose it is.</summary>
    private static bool Owned(string thing) => thing.Split(' ') is [var first, _, ..]
        && !Worn.Contains(first.Replace('’', '\''), StringComparer.Ordinal) && (first.ToLowerInvariant() is "my" or "our" or "her" or "his" || first.EndsWith("’s", StringComparison.Ordinal)
        || first.EndsWith("'s", StringComparison.Ordinal));

    /// <summary>Said of whom a thing is made for, and not of whose it is: a child's T-shirt.</summary>
    private static readonly string[] Worn = ["child's", "baby's", "man's", "woman's", "men's", "women's"];

    /// <summary>Joins what is told as in speech.</summary>
    public static Told List(IReadOnlyList<Told> told)
    {
        var all = new Told(0, 2 * told.Count);
        for (var i = 0; i < told.Count; i++)
        {
            all.AppendLiteral(i == 0 ? string.Empty : i == told.Count - 1 ? " and " : ", ");
            all.AppendFormatted(told[i]);
        }

        return all;
    }

    /// <summary>Joins words as in speech: a, b and c. An empty list is an empty string.</summary>
    public static string List(IReadOnlyList<string> words) => words.Count switch
    {
        0 => string.Empty,
        1 => words[0],
        _ => $"{string.Join(", ", words.Take(words.Count - 1))} and {words[^1]}",
    };
}
