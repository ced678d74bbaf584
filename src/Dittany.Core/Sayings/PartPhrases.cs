using Dittany.Core.Measures;

namespace Dittany.Core.Sayings;

/// <summary>
/// A part of a motif with what is wished for it: petals in orange, with yellow centres, satin leaves, the centre in beads.
/// </summary>
internal static class PartPhrases
{
    private static readonly Meaning[] Values = [Meaning.Colour, Meaning.Fill, Meaning.Stitch, Meaning.Thread, Meaning.Craft];

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        if (r.Tokens[at].Kind is TokenKind.Quoted || (r.Tokens[at].Kind == TokenKind.Mark && !r.Comma(at)))
        {
            yield break;
        }

        var bits = new List<Bit>();
        var p = at;
        while (p < at + 3 && (r.Is(p, "with", "and", "but") || r.Comma(p)) && (r.Plain(p) || r.Comma(p)))
        {
            bits.Add(r.Small(p, ++p));
        }

        var linked = p > at;
        var one = r.Is(p, "a", "an");
        if (r.Is(p, "the", "its", "their", "a", "an", "all") && r.Plain(p))
        {
            bits.Add(r.Small(p, ++p));
            if (r.Is(p, "the", "its", "their"))
            {
                bits.Add(r.Small(p, ++p));
            }
        }

        // So many petals.
        if (Numbers.Whole(r.Tokens, p) is var (many, after) && many > 1 && r.Hits(after, Meaning.Part).FirstOrDefault(h => h.Entry.Many
            && Had(r, h, at, false)) is { } counted && Enumerable.Range(at, p - at).Any(k => r.Is(k, "with")))
        {
            yield return new Candidate(Phrase.Part, at, counted.To, [.. bits, new Bit(Meaning.PartCount, p, after,
                many.ToString(System.Globalization.CultureInfo.InvariantCulture), r.Text(p, after)), counted.Bit], 0.3);
        }

        foreach (var part in r.Hits(p, Meaning.Part).Where(h => !r.Named(p) && Had(r, h, p, one)))
        {
            var link = part.To;
            var tail = new List<Bit>();
            if (r.Is(link, "filled", "worked", "made", "stitched", "sewn") && r.Is(link + 1, "in", "with", "of"))
            {
                tail.Add(r.Small(link, ++link));
            }

            // “Leaves fishbone” is said behind a comma.
            if (r.Is(link, "in", "of", "from", "with", "as", "using"))
            {
                tail.Add(r.Small(link, ++link));
            }
            else if (!linked)
            {
                continue;
            }

            foreach (var (to, wishes, cost) in Wishes(r, link, 0))
            {
                yield return new Candidate(Phrase.Part, at, to, [.. bits, part.Bit, .. tail, .. wishes], (linked || p > at ? 0.25 : at == 0
                    && r.Capital(at) ? 1.6 : 0.6) + cost + (part.Guessed ? 0.5 : 0));
            }
        }

        // Yellow centres, felt cheeks.
        foreach (var (to, wishes, cost) in Wishes(r, p, 0).Where(w => w.Wishes.Count <= 3))
        {
            if (r.Named(p))
            {
                break;
            }

            foreach (var part in r.Hits(to, Meaning.Part).Where(h => !r.Named(to) && Had(r, h, at, one)))
            {
                yield return new Candidate(Phrase.Part, at, part.To, [.. bits, .. wishes, part.Bit], (linked ? 0.25
                    : 0.7) + cost + (part.Guessed ? 0.5 : 0));
            }
        }
    }

    /// <summary>
    /// Whether a motif that is named has such a part: a leaf is a leaf of it then, and a motif of its own elsewhere. What can only be a
    /// part
    /// is one anyhow, and asked about.
    /// </summary>
    private static bool Had(Reading r, Hit part, int at, bool one) => (!one || r.Hits(part.From).All(h => h.Guessed
        || h.Entry.Meaning == Meaning.Part || h.To > part.To)) && (r.Roles.Contains(part.Entry.Id)
        ? r.Hits(part.From, Meaning.Motif, Meaning.Form).All(m => m.Guessed || m.To > part.To) || Enumerable.Range(0, at).Any(k =>
            !r.Capital(k) && r.Hits(k, Meaning.Motif).Any(m => !m.Guessed && m.To <= at && Lexicon.Shared.PartsOf(m.Entry.Id)
                .Contains(part.Entry.Id, StringComparer.Ordinal)))
        : r.Hits(part.From).All(h => h.Guessed || h.Entry.Meaning == Meaning.Part));

    /// <summary>One wish or several for a part, with where they end.</summary>
    private static IEnumerable<(int To, IReadOnlyList<Bit> Wishes, double Cost)> Wishes(Reading r, int p, int depth)
    {
        if (depth > 3 || p >= r.Count)
        {
            yield break;
        }

        var firsts = new List<Bit>();
        if (Numbers.Whole(r.Tokens, p) is var (n, after) && n <= 60 && r.Is(after, "strand", "strands", "ply"))
        {
            firsts.Add(new Bit(Meaning.Strands, p, after + 1, n.ToString(System.Globalization.CultureInfo.InvariantCulture), Say.Count(n, "strand")));
        }

        foreach (var meaning in r.Hits(p).Where(h => Values.Contains(h.Entry.Meaning)).GroupBy(h => h.Entry.Meaning))
        {
            firsts.Add(meaning.MaxBy(h => h.Guessed ? 0 : h.To).Sure().Bit);
        }

        foreach (var first in firsts)
        {
            var (to, tail) = (first.To, new List<Bit>());
            while (r.Is(to, SmallWords.Nouns) && r.Plain(to) && !r.Hits(to, Meaning.Part).Any())
            {
                tail.Add(r.Small(to, ++to));
            }

            Bit[] one = [first, .. tail];
            var cost = first.Guessed ? 0.5 : 0;
            yield return (to, one, cost);
            var next = to;
            var joined = new List<Bit>();
            while ((r.Is(next, "of", "in", "and", "with") || r.Comma(next)) && next < to + 2)
            {
                joined.Add(r.Small(next, ++next));
            }

            // Behind a comma another part or another thing may begin: only strands belong to this one surely.
            foreach (var more in Wishes(r, next, depth + 1).Where(m => m.Wishes.All(b => b.Meaning != first.Meaning)
                && (next == to || !joined.Exists(j => r.Comma(j.From) || r.Is(j.From, "and")) || m.Wishes[0].Meaning == Meaning.Strands)))
            {
                yield return (more.To, [.. one, .. joined, .. more.Wishes], cost + more.Cost + 0.05);
            }
        }
    }
}
