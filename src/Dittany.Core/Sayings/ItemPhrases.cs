namespace Dittany.Core.Sayings;

/// <summary>The item, with its colour, cloth and size: on her pale blue linen tea towel, a 10 inch quilt block, a shirt pocket.</summary>
internal static class ItemPhrases
{
    private const int MostAdjectives = 6;

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        var (p, cost, bits) = (at, 0.0, new List<Bit>());
        string? lead = null;
        if (r.Is(p, "on", "onto", "upon", "for", "to", "as", "of", "in", "into", "inside") && r.Plain(p))
        {
            lead = r.Key(p);
            bits.Add(r.Small(p, ++p));
        }
        else if (r.Is(p, "item") || (r.Is(p, "goes") && r.Is(p + 1, "on")))
        {
            yield break;
        }

        var article = false;
        if (SmallWords.Articles.Contains(r.Key(p)) && (r.Plain(p) || p == at))
        {
            article = true;
            bits.Add(r.Small(p, ++p));
            if (r.Is(p, "new", "plain", "nice", "lovely", "pretty", "little") && r.Plain(p))
            {
                bits.Add(r.Small(p, ++p));
            }
        }
        else if (Owner(r, p))
        {
            article = true;
            bits.Add(new Bit(Meaning.Whom, p, p + 1, r.Tokens[p].Text, r.Tokens[p].Text));
            p++;
        }

        cost = (lead, article) switch
        {
            ("on" or "onto" or "upon", true) => 0.2,
            ("on" or "onto" or "upon", false) => 0.3,
            ("as", true) => 0.3,
            ("of", _) => 0.5,
            ("for", true) => 0.9,
            (not null, _) => 1.2,
            (null, true) => 0.6,
            _ => 0.9,
        };

        for (var adjectives = 0; p < r.Count && adjectives <= MostAdjectives; adjectives++)
        {
            if (r.Tokens[p].Kind == TokenKind.Quoted)
            {
                yield break;
            }

            foreach (var form in r.Hits(p, Meaning.Form).Where(h => !r.Hits(p, Meaning.Form).Any(o => !o.Guessed && o.To > h.To)))
            {
                foreach (var whole in Behind(r, form, bits, at, cost + Case(r, p, lead is not null || article, at) + (form.Guessed ? 0.5
                    : 0) + (form.Entry.Many && !article ? 0.1 : 0)))
                {
                    yield return whole;
                }
            }

            if (Adjective(r, p, lead is not null || article, lead is not null, p == at) is not { } adjective)
            {
                yield break;
            }

            bits.Add(adjective.Bit);
            cost += adjective.Cost;
            p = adjective.Bit.To;
        }
    }

    /// <summary>What may be said of a thing that is none of our items.</summary>
    private static readonly Meaning[] OfThings = [Meaning.ClothColour, Meaning.Colour, Meaning.Cloth, Meaning.FormSize, Meaning.MotifsWay];

    /// <summary>
    /// What is none of our items, where one must stand: on a hoodie. It is asked about, and what is put on it keeps its meaning.
    /// </summary>
    public static IEnumerable<Candidate> Unknown(Reading r, int at)
    {
        var of = r.Is(at, "of");
        if (!(r.Is(at, "on", "onto") || of) || !r.Plain(at) || !SmallWords.Articles.Contains(r.Key(at + 1), StringComparer.Ordinal) || at + 2 >= r.Count)
        {
            yield break;
        }

        var cost = r.Is(at + 1, "the", "this", "that") ? 1.9 : of ? 1.1 : 0.8;
        for (var to = at + 3; to <= at + 6 && to <= r.Count; to++)
        {
            if (!r.Plain(to - 1) || r.Tokens[to - 1].Kind != TokenKind.Word || r.Is(to - 1, "for", "in", "with", "by", "and", "on", "from", "to", "at"))
            {
                yield break;
            }

            var known = Enumerable.Range(at + 2, to - at - 2).Any(k => r.Hits(k).Any(h => (!h.Guessed || h.Entry.Meaning == Meaning.Form)
                && h.To <= to && !OfThings.Contains(h.Entry.Meaning)));
            if (!known && (r.Ends(to) || r.Is(to, "for", "in", "with", "by", "and", "on", "from", "at", "until", "before", "please")))
            {
                yield return new Candidate(Phrase.Unplaced, at, to, [r.Small(at, at + 2), new Bit(Meaning.Unplaced, at + 2, to, "thing", r.Text(at + 2, to))], cost);
            }
        }
    }

    /// <summary>A name in the genitive before an item: Grandad's apron.</summary>
    private static bool Owner(Reading r, int p) => p < r.Count && r.Tokens[p].Kind == TokenKind.Word && r.Key(p).EndsWith("'s", StringComparison.Ordinal)
        && r.Hits(p).Count == 0 && !r.Is(p, "it's", "that's", "let's", "there's", "who's", "what's");

    /// <summary>A capital inside a sentence speaks for a name, not for an item.</summary>
    private static double Case(Reading r, int p, bool introduced, int at) => r.Named(p) && !(r.Key(p) is "t" or "christmas" or "xmas") ? introduced ? 0.5 : 1.8 : at == 0 && p == 0 ? 0 : 0.1;

    private static (Bit Bit, double Cost)? Adjective(Reading r, int p, bool introduced, bool led, bool first)
    {
        if (r.Dropped.Contains(p))
        {
            return (r.Small(p, p + 1), 0);
        }

        if (Numbers.Length(r.Tokens, p) is var (mm, to))
        {
            return (new Bit(Meaning.FormSize, p, to, r.Text(p, to), r.Text(p, to)) { Mm = mm }, 0.1);
        }

        if (SizeAt(r, p, bare: true) is { } size)
        {
            return (size, 0.1);
        }

        foreach (var hit in r.Hits(p, Meaning.ClothColour, Meaning.Cloth, Meaning.Lined, Meaning.FormSize).OrderByDescending(h => h.To))
        {
            if (!r.Named(p) || introduced)
            {
                return (hit.Bit, hit.Guessed ? 0.7 : 0.1);
            }
        }

        if (r.Is(p, "unsewn", "flat") && r.Plain(p))
        {
            return (new Bit(Meaning.Sewn, p, p + 1, "not-sewn", "not sewn together yet"), 0.1);
        }

        if (Numbers.Whole(r.Tokens, p) is var (many, after) && (led || first) && many > 1 && r.Hits(after, Meaning.Form).Any(h =>
            h.Entry.Many))
        {
            return (new Bit(Meaning.Unplaced, p, after, "many", r.Text(p, after)), 0.3);
        }

        // “Sparkly bodysuit”: what is not known is asked about, and the rest keeps its meaning.
        return introduced && r.Plain(p) && !SmallWords.Joining.Contains(r.Key(p), StringComparer.Ordinal) && r.Hits(p, Meaning.Motif)
            .All(h => h.Guessed)
            ? (new Bit(Meaning.Unplaced, p, p + 1, "adjective", r.Text(p, p + 1)), 1.5) : null;
    }

    /// <summary>What stands behind the item: a part of it, its size.</summary>
    private static IEnumerable<Candidate> Behind(Reading r, Hit form, List<Bit> before, int at, double cost)
    {
        Bit[] bits = [.. before, form.Bit];
        yield return new Candidate(Phrase.Item, at, form.To, bits, cost);
        var p = form.To;
        if (SizeAt(r, p, bare: false) is { } size)
        {
            yield return new Candidate(Phrase.Item, at, size.To, [.. bits, size], cost - 0.1);
        }
        else if (r.Comma(p) && SizeAt(r, p + 1, bare: false) is { } later)
        {
            yield return new Candidate(Phrase.Item, at, later.To, [.. bits, r.Small(p, p + 1), later], cost - 0.1);
        }
        else if (r.Is(p, "in", "of") && SizeAt(r, p + 1, bare: false) is { } named)
        {
            yield return new Candidate(Phrase.Item, at, named.To, [.. bits, r.Small(p, p + 1), named], cost - 0.1);
        }

        if (!r.Ends(p) && ZonePhrases.Words(r, p) is var (to, hits) && hits > 0 && r.Plain(p))
        {
            yield return new Candidate(Phrase.Item, at, to, [.. bits, new Bit(Meaning.Zone, p, to, r.Text(p, to), r.Text(p, to))],
                cost + 0.1);
        }
    }

    /// <summary>A size: size 62, 45 x 45, 38 by 42 cm, 62; a bare number is one only where it can be nothing else.</summary>
    public static Bit? SizeAt(Reading r, int p, bool bare)
    {
        var from = p;
        var named = r.Is(p, "size", "sized") || (r.Is(p, "in", "of") && r.Is(p + 1, "size"));
        p += named ? r.Is(p, "in", "of") ? 2 : 1 : 0;
        if (p >= r.Count)
        {
            return null;
        }

        var to = p;
        if (r.Key(p) is var key && key.Split('x') is [var a, var b] && a.All(char.IsAsciiDigit) && b.All(char.IsAsciiDigit) && a.Length > 0
            && b.Length > 0)
        {
            to = p + 1;
        }
        else if (Numbers.Whole(r.Tokens, p) is var (n, after) && r.Tokens[p].Kind == TokenKind.Number)
        {
            var (by, unit) = (after, after);
            if (r.Is(after, "x", "by") && !DayPhrases.Meant(r, Math.Min(after + 2, r.Count - 1)) && Numbers.Whole(r.Tokens, after + 1) is var (_, end))
            {
                by = end;
            }

            var scaled = r.Is(by, "cm", "in", "inch", "inches") && !r.Is(by + 1, "wide", "high", "tall", "across", "long") && (by > after || named || bare);
            unit = scaled && !(r.Is(by, "in") && !r.Ends(by + 1) && r.Hits(by + 1, Meaning.Form).All(_ => false)) ? by + 1 : by;
            to = by > after || named || (n is >= 40 and <= 200 && !r.Is(after, "cm", "mm", "in", "inch", "inches", "strands", "strand")) ? unit : p;
            to += to > p && r.Hits(to, Meaning.FormSize).Any(h => h.Entry.Id is "stuffed" or "flat") ? 1 : 0;
        }
        else if (r.Hits(p, Meaning.FormSize).FirstOrDefault() is { } word && (named || word.Entry.Id is not ("s" or "m" or "l" or "flat" or "round" or "small" or "large" or "child")))
        {
            return new Bit(Meaning.FormSize, from, word.To, word.Entry.Id, r.Text(from, word.To));
        }
        else if (named && r.Tokens[p].Kind is TokenKind.Word)
        {
            to = p + 1;
        }

        return to > p ? new Bit(Meaning.FormSize, from, to, r.Text(p, to), r.Text(p, to)) : null;
    }
}
