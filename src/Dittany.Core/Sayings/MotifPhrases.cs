using Dittany.Core.Measures;

namespace Dittany.Core.Sayings;

/// <summary>
/// A motif with how many, how laid out and how made: two daisies, a ring of eight stars, a 4 inch satin heart, scattered leaves.
/// </summary>
internal static class MotifPhrases
{
    private const int MostAdjectives = 5;

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        if (r.Tokens[at].Kind is TokenKind.Mark or TokenKind.Quoted)
        {
            yield break;
        }

        var bits = new List<Bit>();
        var (p, cost, counted, article) = (at, 0.0, false, false);
        if (r.Is(p, "another", "some") || (r.Is(p, "a", "an", "the", "one", "my", "her", "his", "our") && (r.Plain(p) || p == at)))
        {
            // “A” in the middle of a saying, with a capital, is an initial.
            if (r.Named(p) && p > 0)
            {
                yield break;
            }

            article = true;
            bits.Add(r.Small(p, ++p));
        }

        if (r.Is(p, "few", "several", "handful", "bunch", "lots") && r.Plain(p) && !r.Hits(p, Meaning.MotifsWay).Any())
        {
            bits.Add(r.Small(p, ++p));
            if (r.Is(p, "of"))
            {
                bits.Add(r.Small(p, ++p));
            }
        }

        // A ring of, a row of.
        if (r.Hits(p, Meaning.MotifsWay).FirstOrDefault(h => r.Is(h.To, "of") && r.Plain(p)) is { } way && !(article is false && r.Named(p)))
        {
            // A pair of cherries is one motif that is called so.
            if (r.Hits(p, Meaning.Motif).All(h => h.To <= way.To + 1))
            {
                bits.Add(way.Bit);
                bits.Add(r.Small(way.To, way.To + 1));
                (p, counted) = (way.To + 1, true);
            }
        }

        if (Numbers.Length(r.Tokens, p) is null && !r.Hits(p, Meaning.Motif).Any(h => !h.Guessed && h.To > p + 1) && Numbers.Whole(r.Tokens, article && p == at + 1 && r.Is(at, "a") ? Numbers.Whole(r.Tokens, at) is not null ? at : p : p) is var (many, after))
        {
            if (many > 1 || r.Tokens[p].Kind == TokenKind.Number || !article)
            {
                if (after > p)
                {
                    var from = Numbers.Whole(r.Tokens, p) is null ? at : p;
                    if (from == at)
                    {
                        bits.Clear();
                    }

                    bits.Add(new Bit(Meaning.Count, from, after, many.ToString(System.Globalization.CultureInfo.InvariantCulture),
                        r.Text(from, after)));
                    (p, counted) = (after, true);
                    if (r.Is(p, "of") && r.Is(p + 1, "the", "my"))
                    {
                        bits.Add(r.Small(p, p += 2));
                    }
                }
            }
        }

        var introduced = counted || article;
        for (var adjectives = 0; p < r.Count && adjectives <= MostAdjectives; adjectives++)
        {
            foreach (var hit in r.Hits(p, Meaning.Motif))
            {
                // The longest of two names that begin here is meant.
                if (r.Hits(p, Meaning.Motif).Any(o => !o.Guessed && o.To > hit.To))
                {
                    continue;
                }

                if (counted && Count(bits) > 1 && !hit.Entry.Many && !Same(hit))
                {
                    continue;
                }

                var bare = !introduced && bits.Count == 0;
                var price = cost + (counted ? 0.2 : article ? 0.4 : hit.Entry.Many || Listed(r, hit) ? 0.8 : bare ? 1.9
                    : 0.8) + (hit.Guessed ? 0.7 : 0) + Case(r, hit, at, introduced, bare);
                var (to, tail) = (hit.To, new List<Bit>());
                if (r.Is(to, "motif", "motifs", "design", "shape", "shapes", "pattern"))
                {
                    tail.Add(r.Small(to, ++to));
                    price -= introduced ? 0.1 : 0.8;
                }

                var motif = hit.Bit with { Name = hit.Entry.Many ? "many" : hit.Entry.Name };
                yield return new Candidate(Phrase.Motif, at, to, [.. bits, motif, .. tail], Math.Max(0.1, price));
            }

            if (Adjective(r, p, introduced) is not { } adjective)
            {
                yield break;
            }

            bits.Add(adjective.Bit);
            cost += adjective.Cost;
            p = adjective.Bit.To;
        }
    }

    /// <summary>One of several motifs that are named one after the other: moon, star and cloud.</summary>
    private static bool Listed(Reading r, Hit hit)
    {
        return (Joint(hit.To) && r.Hits(hit.To + 1, Meaning.Motif).Any() && r.Plain(hit.To + 1)) || (hit.From > 1 && Joint(hit.From - 1)
            && Enumerable.Range(Math.Max(0, hit.From - 4), Math.Min(3, hit.From - 1)).Any(k => r.Hits(k, Meaning.Motif).Any(h =>
                h.To == hit.From - 1)));

        bool Joint(int at) => r.Is(at, "and", "&", "+") || r.Comma(at);
    }

    private static int Count(List<Bit> bits) => bits.FirstOrDefault(b => b.Meaning == Meaning.Count) is { } count ? int.Parse(count.Id,
        System.Globalization.CultureInfo.InvariantCulture) : 1;

    /// <summary>Fish and lavender are as many as they are one.</summary>
    private static bool Same(Hit hit) => Say.Many(hit.Entry.Name) == hit.Entry.Name || hit.Entry.Name.EndsWith('s') || hit.Entry.Id is "lavender" or "wheat-ear" or "fish" or "clover" or "holly";

    private static double Case(Reading r, Hit hit, int at, bool introduced, bool bare)
    {
        if (!r.Capital(hit.From))
        {
            return 0;
        }

        return introduced ? r.Tokens[hit.From].AllCapitals ? 1.5 : 0.6 : at == 0 && !hit.Entry.Many && bare ? 1.2 : at == 0 ? 0.3 : 2.2;
    }

    private static (Bit Bit, double Cost)? Adjective(Reading r, int p, bool introduced)
    {
        if (r.Dropped.Contains(p))
        {
            return (r.Small(p, p + 1), 0);
        }

        if (r.Tokens[p].Kind is TokenKind.Mark or TokenKind.Quoted)
        {
            return null;
        }

        if (Numbers.Length(r.Tokens, p) is var (mm, to))
        {
            var (meaning, end) = r.Is(to, "wide", "broad", "across") ? (Meaning.Width, to + 1) : r.Is(to, "high", "tall") ? (Meaning.Height, to + 1) : (Meaning.Length, to);
            return (new Bit(meaning, p, end, string.Empty, r.Text(p, end)) { Mm = Math.Round(mm, 1) }, 0.05);
        }

        if (Numbers.Whole(r.Tokens, p) is var (n, after) && r.Is(after, "strand", "strands", "ply"))
        {
            return (new Bit(Meaning.Strands, p, after + 1, n.ToString(System.Globalization.CultureInfo.InvariantCulture), Say.Count(n, "strand")), 0.05);
        }

        var found = r.Hits(p, Meaning.Fill, Meaning.Stitch, Meaning.Craft, Meaning.Thread, Meaning.Colour, Meaning.MotifsWay,
            Meaning.Growing)
            .Where(h => !h.Guessed || introduced).OrderByDescending(h => h.To).ThenBy(h => Array.IndexOf(First, h.Entry.Meaning))
                .FirstOrDefault();
        if (found is not null && (!r.Named(p) || introduced))
        {
            return (found.Bit, (found.Guessed ? 0.5 : 0.1) + (introduced ? 0 : 0.15));
        }

        if (r.Is(p, "little", "pretty", "nice", "lovely", "sweet", "cute", "simple", "plain", "single") && r.Plain(p))
        {
            return (r.Small(p, p + 1), 0.2);
        }

        if (r.Is(p, "small", "tiny", "big", "large", "huge", "medium") && r.Plain(p))
        {
            return (new Bit(Meaning.Unplaced, p, p + 1, "how-large", r.Text(p, p + 1)), 0.3);
        }

        return introduced && r.Plain(p) && r.Tokens[p].Kind == TokenKind.Word && r.Hits(p).All(h => h.Guessed || h.To > p + 1)
            && !SmallWords.Joining.Contains(r.Key(p), StringComparer.Ordinal)
            && !SmallWords.Asking.Contains(r.Key(p), StringComparer.Ordinal) && Numbers.At(r.Tokens, p) is null ? (new Bit(Meaning.Unplaced, p, p + 1, "adjective", r.Text(p, p + 1)), 1.8) : null;
    }

    private static readonly Meaning[] First = [Meaning.Colour, Meaning.Craft, Meaning.Fill, Meaning.Stitch, Meaning.Thread,
        Meaning.MotifsWay, Meaning.Growing];
}
