namespace Dittany.Core.Sayings;

/// <summary>Whom it is for and from whom: for Ada, for my sister, from the three of us.</summary>
internal static class WhomPhrases
{
    private static readonly string[] Own = ["my", "our", "his", "her", "their", "your"];

    private const int MostWords = 9;

    private static readonly Meaning[] Others =
    [
        Meaning.Transfer, Meaning.Craft, Meaning.Hold, Meaning.Style, Meaning.MotifsWay, Meaning.WordsWay, Meaning.Growing, Meaning.Thread,
        Meaning.Form,
    ];

    /// <summary>Here something else begins.</summary>
    private static bool Stops(Reading r, int at) => at < r.Count && r.Plain(at) && (r.Is(at, "by", "in", "with", "on", "onto", "until", "till", "before", "due", "needed", "wanted", "ready", "using", "at", "as", "without", "please")
        || r.Hits(at).Any(h => !h.Guessed
            && Others.Contains(h.Entry.Meaning)));

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        if (!r.Is(at, "for", "from") || !r.Plain(at) || at + 1 >= r.Count)
        {
            yield break;
        }

        var p = at + 1;
        var article = r.Is(p, "the", "a", "an");
        var cost = r.Capital(p) ? 0.8 : Own.Contains(r.Key(p), StringComparer.Ordinal) ? 0.8 : SmallWords.Kin.Contains(r.Key(p),
            StringComparer.Ordinal) ? 0.8
            : article && (SmallWords.Kin.Contains(r.Key(p + 1), StringComparer.Ordinal) || r.Is(at, "from")) ? 0.9 : r.Is(p, "us", "me", "him", "her", "them") ? 0.8 : r.Is(at, "from") ? 1.2 : 2.2;
        for (var to = p + 1; to <= Math.Min(r.Count, p + MostWords); to++)
        {
            if (r.Tokens[to - 1].Kind is TokenKind.Quoted || (to > p + 1 && Stops(r, to - 1)) || r.Is(to - 1, "for", "from") || (r.Tokens[to - 1].Kind == TokenKind.Mark && !r.Is(to - 1, "&")))
            {
                yield break;
            }

            var lexical = r.Hits(to - 1).Any(h => !h.Guessed && h.Entry.Meaning is Meaning.Form or Meaning.Stitch or Meaning.Fill);
            cost += DayPhrases.Meant(r, to - 1) ? 0.8 : 0;
            cost += (lexical ? 1 : 0) + (to > p + 1 ? 0.05 : 0);
            var open = SmallWords.Joining.Contains(r.Key(to - 1), StringComparer.Ordinal) && !r.Is(to - 1, "us", "me");
            if (!open && (r.Ends(to) || r.Is(to, "for", "from", "and") || Stops(r, to) || r.Hits(to).Count > 0 || !r.Capital(to)))
            {
                var text = r.Text(at, to);
                yield return new Candidate(Phrase.Whom, at, to, [new Bit(Meaning.Whom, at, to, text, text)], cost + (r.Ends(to) || r.Is(to, "for", "from") || Stops(r, to) ? 0 : 0.5));
            }
        }
    }
}
