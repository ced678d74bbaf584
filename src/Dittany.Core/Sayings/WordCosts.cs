namespace Dittany.Core.Sayings;

/// <summary>
/// How unlikely it is that a word is to be stitched, as the first of a run or within one (weights from memory, held by sayings).
/// </summary>
internal static class WordCosts
{
    /// <summary>A second wording beside a first that is nowhere else costs so much.</summary>
    public const double Again = 1.5;

    /// <summary>A run that begins or ends with a small word: “and Ida”.</summary>
    public const double Joining = 1.3;

    /// <summary>Behind “saying” or a colon what follows is to be stitched.</summary>
    public const double Introduced = 1.2;

    /// <summary>Words that are stitched do not begin with these in small letters: they lead to something.</summary>
    private static readonly string[] Leading = ["for", "from", "on", "onto", "in", "with", "by", "at", "to", "of", "and", "or", "as", "into", "but"];

    private const double Lead = 2.7;

    public static double Of(Reading r, int at, bool first)
    {
        var token = r.Tokens[at];
        if (token.Kind == TokenKind.Mark)
        {
            return first ? 3 : token.Text switch { "&" or "+" => 0.15, "\n" or "'" or "’" => 0.1, "!" or "?" or "." or "-" => 0.4, "," => 1.1, ":" or ";" => 1.2, _ => 0.8 };
        }

        if (token.Kind == TokenKind.Number)
        {
            var year = token.Text.Length == 4 && token.Text.All(char.IsAsciiDigit);
            return year ? first ? 0.7 : 0.4 : at > 0 && r.Tokens[at - 1].Text.EndsWith('.') && r.Tokens[at - 1].Kind == TokenKind.Word
                ? 0.4 : first ? 1.7 : 1.6;
        }

        var hits = r.Hits(at);
        var asking = SmallWords.Asking.Contains(token.Key);
        var meant = hits.Any(h => !h.Guessed && h.To == at + 1);
        if (r.Shouted)
        {
            return meant || asking ? first ? 1.7 : 1.3 : first ? 1.3 : 0.7;
        }

        if (token.AllCapitals)
        {
            return at == 0 && token.Text.Length == 1 && token.Key is "a" or "i" && r.Count > 1 && !r.Ends(1) ? 0.6 : 0.25;
        }

        if (token.Capital)
        {
            var thing = hits.Any(h => !h.Guessed && h.Entry.Meaning is Meaning.Form or Meaning.Style or Meaning.WordsWay);
            return at == 0 ? thing ? 1.4 : asking ? SmallPhrases.Opens(token.Key) ? 0.9 : 0.5 : 0.45 : 0.35;
        }

        var joining = SmallWords.Joining.Contains(token.Key, StringComparer.Ordinal);
        return first ? Leading.Contains(token.Key, StringComparer.Ordinal) ? Lead : joining ? Joining : meant || asking ? 2.3 : 1.5
            : joining ? 0.45 : hits.Any(h => !h.Guessed && h.Entry.Meaning == Meaning.Form) ? 1.8 : hits.Any(h => !h.Guessed
                && h.To == at + 1 && h.Entry.Meaning == Meaning.Colour) ? 1.4 : meant ? 1.1 : asking ? 0.7 : 0.75;
    }
}
