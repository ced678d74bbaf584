using System.Text.RegularExpressions;
using Dittany.Core.Measures;

namespace Dittany.Core.Sayings;

internal enum TokenKind
{
    Word,
    Number,
    Mark,
    Quoted,
}

/// <summary>
/// One word, number, mark or quotation of a saying: where it stands, as it is written, and as it is looked up (small letters, straight
/// apostrophe, no final stop). <paramref name="Glued"/>: a hyphen joins it to the one before.
/// </summary>
internal sealed record Token(TokenKind Kind, int From, int To, string Text, string Key, bool Glued)
{
    /// <summary>What stands between the marks of a quotation.</summary>
    public string Inner => Kind == TokenKind.Quoted ? Text[1..^1].Trim() : Text;

    public bool IsMark(char c) => Kind == TokenKind.Mark && Text[0] == c;

    public bool Capital => Kind == TokenKind.Word && char.IsUpper(Text[0]);

    /// <summary>Capitals alone: an initial, initials, or a shouted word.</summary>
    public bool AllCapitals => Kind == TokenKind.Word && Text.Any(char.IsLetter) && Text.All(c => !char.IsLetter(c) || char.IsUpper(c));
}

internal static partial class Tokens
{
    /// <summary>A saying as its words and marks, in order; blanks are in none of them.</summary>
    public static IReadOnlyList<Token> Of(string said)
    {
        var tokens = new List<Token>();
        var hyphened = false;
        foreach (Match found in Written().Matches(said))
        {
            var text = found.Value;
            var kind = found.Groups["quoted"].Success ? TokenKind.Quoted
                : found.Groups["number"].Success ? TokenKind.Number
                : found.Groups["word"].Success ? TokenKind.Word : TokenKind.Mark;

            // A hyphen between two words joins them and is no mark of its own.
            if (kind == TokenKind.Mark && text is "-" or "‑" && tokens.Count > 0 && tokens[^1].To == found.Index && tokens[^1].Kind
                is TokenKind.Word or TokenKind.Number && found.Index + 1 < said.Length && char.IsLetterOrDigit(said[found.Index + 1]))
            {
                hyphened = true;
                continue;
            }

            tokens.Add(new Token(kind, found.Index, found.Index + text.Length, text, KeyOf(text), hyphened));
            hyphened = false;
        }

        return tokens;
    }

    /// <summary>How a word is looked up.</summary>
    public static string KeyOf(string word) => word.Replace('’', '\'').Replace('×', 'x').ToLowerInvariant().TrimEnd('.');

    [GeneratedRegex("""
        (?<quoted>[“„"][^“”„"\n]*[^\s“”„"][^“”„"\n]*[”“"]|(?<=^|\s)[‘'][^‘’'\n]*[^\s‘’'][^‘’'\n]*[’'](?![\p{L}\d]))|(?<number>\d+(?:[.,/:]\d+)*[½¼¾]?(?=(?:cm|mm|in|inch|inches)(?![\p{L}\d])|[^\p{L}\p{M}\d.]|$|\.(?!\p{L}))\.?|[½¼¾])|(?<word>[\p{L}\p{M}\d]+(?:['’.][\p{L}\p{M}\d]+)*\.?)|(?<mark>\n|\S)
        """, RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Written();
}
