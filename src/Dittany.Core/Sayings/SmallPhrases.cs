namespace Dittany.Core.Sayings;

/// <summary>What says nothing of the piece by itself: asking, linking, marks; and what has no place at all.</summary>
internal static class SmallPhrases
{
    /// <summary>A word that nobody can place costs so much: more than any likely reading of it.</summary>
    public const double Unplaced = 3.2;

    /// <summary>Words that asking begins with.</summary>
    private static readonly string[] Opening = ["could", "can", "would", "will", "please", "i'd", "i'll", "we'd", "hi", "hello", "hey", "dear", "put", "place", "stitch", "make", "add", "do", "write", "sew", "embroider", "just", "maybe", "perhaps", "only", "need", "want", "let's", "lets", "personalise", "personalize", "decorate", "some", "something", "name", "word", "words", "initials", "initial", "letters", "text", "thinking", "a", "an", "have", "get", "so", "ok", "okay", "monogram"];

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        var token = r.Tokens[at];
        if (token.Kind == TokenKind.Quoted)
        {
            yield return new Candidate(Phrase.Words, at, at + 1, [new Bit(Meaning.Words, at, at + 1, token.Inner, token.Inner)], 0.05);
            yield break;
        }

        foreach (var (keys, relation) in SmallWords.Behind)
        {
            if (Follows(r, at, keys) && r.Plain(at))
            {
                yield return new Candidate(Phrase.Link, at, at + keys.Length, [new Bit(Meaning.Link, at, at + keys.Length, relation,
                    relation)], keys.Length == 1 ? 0.6 : 0.15);
            }
        }

        foreach (var (keys, relation) in SmallWords.Links)
        {
            if (Follows(r, at, keys) && (r.Plain(at) || token.Kind == TokenKind.Mark) && relation != "and-a")
            {
                yield return new Candidate(Phrase.Link, at, at + keys.Length, [new Bit(Meaning.Link, at, at + keys.Length, relation, relation)], relation is "and" or "with" ? 0.1 : Leads(r, at + keys.Length) ? 0.2 : 1);
            }
        }

        foreach (var none in SmallWords.NoWords)
        {
            if (Follows(r, at, none))
            {
                yield return new Candidate(Phrase.Small, at, at + none.Length, [new Bit(Meaning.Without, at, at + none.Length, "words", "no words")], 0.1);
            }
        }

        if (token.Kind == TokenKind.Mark)
        {
            yield return new Candidate(Phrase.Small, at, at + 1, [r.Small(at, at + 1)], token.Text is "," or ";" or "." or "!" or "?" or ":" or "\n" or "(" or ")" or "–" or "—" or "-" or "…" ? 0.05 : 1.7);
        }
        else if (SmallWords.Asking.Contains(token.Key) && !(r.Named(at) && token.Key is not ("i" or "i'd" or "i'll" or "i'm")))
        {
            // A preposition that leads to nothing was meant to lead to something.
            var stray = token.Key is "on" or "for" or "in" or "by" or "from" or "at" or "of" or "as" or "to" or "using" ? 1.1 : token.Key is "no" or "not" or "without" ? 1.5 : token.Key is "how" or "what" or "about" ? 0.4 : 0.22;
            stray = token.Key == "for" ? 2.2 : stray;
            yield return new Candidate(Phrase.Small, at, at + 1, [r.Small(at, at + 1)], stray + (r.Capital(at) && at == 0
                && token.Key.Length > 1 ? Opening.Contains(token.Key, StringComparer.Ordinal) ? 0.1 : 0.7 : 0));
        }

        yield return new Candidate(Phrase.Unplaced, at, at + 1, [new Bit(Meaning.Unplaced, at, at + 1, "word", token.Text)], token.Kind == TokenKind.Mark ? 1.5 : Unplaced);
    }

    /// <summary>Whether something that can be put on begins here.</summary>
    private static bool Leads(Reading r, int at) => at < r.Count && (r.Tokens[at].Kind is TokenKind.Quoted or TokenKind.Number
        || r.Capital(at)
        || SmallWords.Articles.Contains(r.Key(at), StringComparer.Ordinal) || r.Hits(at, Meaning.Motif, Meaning.Colour).Any()
            || Introduces(r, at) > 0
        || (r.Tokens[at].Kind == TokenKind.Word && r.Hits(at).Count == 0 && !SmallWords.Asking.Contains(r.Key(at))));

    public static bool Opens(string key) => Opening.Contains(key, StringComparer.Ordinal);

    /// <summary>Where what is to be stitched is introduced; the number of words that do it.</summary>
    public static int Introduces(Reading r, int at)
    {
        if (r.Is(at, ":"))
        {
            return 1;
        }

        if (r.Plain(at) && r.Key(at).EndsWith("'s", StringComparison.Ordinal) && r.Is(at + 1, "name", "initials", "initial"))
        {
            return 2;
        }

        return r.Plain(at) ? SmallWords.Introducing.Where(keys => Follows(r, at, keys)).Select(k => k.Length).DefaultIfEmpty(0).Max() : 0;
    }

    public static bool Follows(Reading r, int at, IReadOnlyList<string> keys)
    {
        if (at + keys.Count > r.Count)
        {
            return false;
        }

        for (var k = 0; k < keys.Count; k++)
        {
            if (r.Tokens[at + k].Key != keys[k])
            {
                return false;
            }
        }

        return true;
    }
}
