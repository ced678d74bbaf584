using System.Globalization;

namespace Dittany.Core.Sayings;

/// <summary>Numbers and lengths in words and digits.</summary>
internal static class Numbers
{
    private static readonly string[] Counted = ["zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
        "eleven", "twelve", "thirteen", "fourteen", "fifteen", "sixteen", "seventeen", "eighteen", "nineteen"];

    private static readonly string[] Tens = ["twenty", "thirty", "forty", "fifty", "sixty"];

    private static readonly (string Word, double Mm)[] Units =
    [
        ("cm", 10), ("mm", 1), ("inch", 25.4), ("inches", 25.4), ("in", 25.4), ("centimetre", 10), ("centimetres", 10), ("centimeter", 10),
        ("centimeters", 10), ("millimetre", 1), ("millimetres", 1), ("millimeter", 1), ("millimeters", 1), ("cms", 10), ("ins", 25.4), ("\"", 25.4), ("”", 25.4), ("″", 25.4),
    ];

    public static IEnumerable<string> Words => [.. Counted, .. Tens, "dozen", "couple", .. Units.Select(u => u.Word).Where(w => w.All(char.IsLetter))];

    /// <summary>A number as it is said: up to twelve in words.</summary>
    public static string Said(int n) => n is >= 0 and <= 12 ? Counted[n] : n.ToString(CultureInfo.InvariantCulture);

    /// <summary>A number at a token, and where it ends; null where there is none.</summary>
    public static (double Value, int To)? At(IReadOnlyList<Token> tokens, int at)
    {
        if (at >= tokens.Count)
        {
            return null;
        }

        var token = tokens[at];
        if (token.Kind == TokenKind.Number && Of(token.Text) is { } value)
        {
            // 2 1/2 and 2 ½.
            return at + 1 < tokens.Count && tokens[at + 1].Kind == TokenKind.Number && Part(tokens[at + 1].Text) is { } over
                ? (value + over, at + 2) : (value, at + 1);
        }

        if (token.Kind != TokenKind.Word)
        {
            return null;
        }

        if (Array.IndexOf(Counted, token.Key) is > 0 and var n)
        {
            return (n, at + 1);
        }

        if (Array.IndexOf(Tens, token.Key) is >= 0 and var ten)
        {
            return at + 1 < tokens.Count && Array.IndexOf(Counted, tokens[at + 1].Key) is > 0 and < 10 and var more
                ? (((ten + 2) * 10) + more, at + 2) : ((ten + 2) * 10, at + 1);
        }

        if (token.Key == "dozen")
        {
            return (12, at + 1);
        }

        var next = at + 1 < tokens.Count ? tokens[at + 1].Key : string.Empty;
        return token.Key switch
        {
            "a" when next == "dozen" => (12, at + 2),
            "half" when next == "dozen" => (6, at + 2),
            "a" when next == "couple" => (2, Skip(tokens, at + 2, "of")),
            "a" when next == "half" && at + 2 < tokens.Count && tokens[at + 2].Key == "dozen" => (6, at + 3),
            "half" when next is "a" && at + 2 < tokens.Count && tokens[at + 2].Key == "dozen" => (6, at + 3),
            _ => null,
        };
    }

    /// <summary>A whole number from 1 on.</summary>
    public static (int Value, int To)? Whole(IReadOnlyList<Token> tokens, int at) => At(tokens, at) is var (n, to) && n >= 1 && n <= 999
        && n == Math.Floor(n) ? ((int)n, to) : null;

    /// <summary>
    /// A length in mm, and where it ends. A bare “in” is the unit only before what is measured, a comma or the end: elsewhere it is the
    /// small word.
    /// </summary>
    public static (double Mm, int To)? Length(IReadOnlyList<Token> tokens, int at)
    {
        if (At(tokens, at) is not var (n, to) || to >= tokens.Count || Array.FindIndex(Units, u =>
            u.Word == tokens[to].Key) is not (>= 0 and var unit))
        {
            return null;
        }

        var after = to + 1 < tokens.Count ? tokens[to + 1].Key : string.Empty;
        return tokens[to].Key == "in" && !tokens[to].Glued && tokens[to].From > tokens[to - 1].To && !(n < 100 && (after.Length == 0 || after is "," or ";" || Measured.Contains(after, StringComparer.Ordinal)))
            ? null : (n * Units[unit].Mm, to + 1);
    }

    private static readonly string[] Measured = ["wide", "high", "tall", "across", "broad", "long", "hoop", "letters", "capitals", "square", "ring", "by", "x"];

    private static double? Of(string text) => Part(text) ?? (double.TryParse(Half(text, out var more).Replace(',', '.').TrimEnd('.'),
        NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n) ? n + more : null);

    private static string Half(string text, out double more)
    {
        more = text[^1] switch { '½' => 0.5, '¼' => 0.25, '¾' => 0.75, _ => 0 };
        return more > 0 ? text[..^1] : text;
    }

    /// <summary>A part of one: 3/8, ½.</summary>
    private static double? Part(string text) => text switch
    {
        "½" => 0.5,
        "¼" => 0.25,
        "¾" => 0.75,
        _ => text.TrimEnd('.').Split('/') is [var over, var under] && int.TryParse(over, NumberStyles.None, CultureInfo.InvariantCulture,
            out var a)
            && int.TryParse(under, NumberStyles.None, CultureInfo.InvariantCulture, out var b) && b > a && b <= 64 ? (double)a / b : null,
    };

    private static int Skip(IReadOnlyList<Token> tokens, int at, string word) => at < tokens.Count && tokens[at].Key == word ? at + 1 : at;
}
