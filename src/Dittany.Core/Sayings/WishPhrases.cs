using Dittany.Core.Measures;

namespace Dittany.Core.Sayings;

/// <summary>
/// How something is wished to be: in split stitch, in three strands of red wool, 12 cm wide, in two lines, scattered, ironed on, in a 5
/// inch
/// hoop. One phrase may hold several.
/// </summary>
internal static class WishPhrases
{
    private static readonly Meaning[] Wished =
    [
        Meaning.Colour, Meaning.Thread, Meaning.Stitch, Meaning.Fill, Meaning.Style, Meaning.Craft, Meaning.WordsWay, Meaning.MotifsWay,
            Meaning.Transfer, Meaning.Marker, Meaning.Stabiliser, Meaning.Hold, Meaning.Hand, Meaning.Growing,
    ];

    private const int MostWishes = 6;

    /// <summary>Said by one word without any small word before it, and meaning nothing else.</summary>
    private static readonly string[] Alone = ["scattered", "zigzag", "monogrammed", "monogram", "beaded", "painted", "stencilled", "stenciled", "sprayed", "felted", "tinted", "appliqué", "applique", "appliquéd", "freehand", "curved", "arched", "diagonally", "couched", "ironed", "traced", "variegated", "metallic", "sloping", "slanting", "mirrored", "growing", "embroidered", "stitched", "cursive", "strewn", "sprinkled", "backstitch", "sequinned", "pounced", "hoopless", "unhooped", "backstitched"];

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        var p = at;
        var lead = r.Is(p, "in", "with", "using", "by", "on", "as", "through", "over", "at", "of", "all", "made", "worked", "done", "filled", "sewn", "stitched", "embroidered", "written", "lettered") && r.Plain(p);
        var bits = new List<Bit>();
        if (lead)
        {
            p++;
            if (r.Is(at, "made", "worked", "done", "filled", "sewn", "stitched", "embroidered", "written", "lettered", "all"))
            {
                // “Worked in beads”; alone it says nothing.
                if (!r.Is(p, "in", "with", "using", "by", "of", "on"))
                {
                    lead = false;
                    p = at;
                }
                else
                {
                    p++;
                }
            }
        }

        var article = lead && r.Is(p, "a", "an", "the", "my", "her") && r.Plain(p);
        var afterArticle = article || (!lead && at == p && r.Is(p, "a", "an", "the") && r.Plain(p));
        p += afterArticle ? 1 : 0;
        if (p > at)
        {
            bits.Add(r.Small(at, p));
        }

        foreach (var found in Chain(r, p, bits, 0, lead, afterArticle, at, []))
        {
            yield return found;
        }

        // “In the hand” is said with its small words.
        if (p > at && r.Hits(at).Any(h => Wished.Contains(h.Entry.Meaning) && h.To > at + 1))
        {
            foreach (var found in Chain(r, at, [], 0, false, false, at, []).Where(c => c.Bits[0].From == at && c.Bits[0].To > at + 1))
            {
                yield return found with { Cost = Math.Min(found.Cost, 0.3) };
            }
        }

        // “In two colours”, “three letters”: it is not said which.
        if (Numbers.Whole(r.Tokens, p) is var (n, which) && n <= 60 && r.Is(which, "colours", "colors", "letters", "initials", "names", "words", "sizes", "styles"))
        {
            yield return new Candidate(Phrase.Unplaced, at, which + 1, [.. bits, new Bit(Meaning.Unplaced, p, which + 1, "which", r.Text(p, which + 1))], 0.7);
        }

        // “In magic stitch”: a wish for sure, and none that there is.
        if (lead && r.Is(at, "in", "with", "using"))
        {
            for (var k = p + 1; k <= p + 3 && k < r.Count && !r.Ends(k - 1) && !r.Named(k - 1); k++)
            {
                if (r.Is(k, "stitch", "stitches", "thread", "threads", "floss", "font", "style", "lettering", "script", "typeface", "letters", "hoop", "pen") && !Enumerable.Range(p, k - p).Any(i => SmallWords.Joining.Contains(r.Key(i), StringComparer.Ordinal) || r.Is(i, "using", "with", "in"))
                    && !Enumerable.Range(p, k - p).All(i => r.Hits(i).Any(h => !h.Guessed && Wished.Contains(h.Entry.Meaning))))
                {
                    yield return new Candidate(Phrase.Unplaced, at, k + 1, [.. bits, new Bit(Meaning.Unplaced, p, k + 1, r.Key(k),
                        r.Text(p, k + 1))], 0.9);
                }
            }
        }
    }

    private static IEnumerable<Candidate> Chain(Reading r, int p, IReadOnlyList<Bit> bits, double cost, bool lead, bool article, int at,
        IReadOnlyList<Bit> wishes)
    {
        if (wishes.Count >= MostWishes || p >= r.Count)
        {
            yield break;
        }

        foreach (var (wish, own) in Values(r, p, lead))
        {
            if (wishes.Any(w => w.Meaning == wish.Meaning && w.Meaning is not (Meaning.Craft or Meaning.Transfer)))
            {
                continue;
            }

            Bit[] all = [.. wishes, wish];
            var (to, tail) = (wish.To, new List<Bit>());
            while (r.Is(to, SmallWords.Nouns) && r.Plain(to))
            {
                tail.Add(r.Small(to, ++to));
            }

            var named = tail.Count > 0
                && wish.Meaning is Meaning.Colour or Meaning.Thread or Meaning.Style or Meaning.Stitch or Meaning.Fill or Meaning.Craft;
            var price = cost + own + (wish.Guessed ? 0.5 : 0);
            var alone = all.Length == 1 && !lead && !named;
            var first = lead ? 0.25 : all.Length > 1 ? 0.8 : Alone.Contains(r.Key(wish.From), StringComparer.Ordinal) || !Word(wish) ? 0.5
                : wish.To - wish.From > 1 || named ? 0.7 : 1.7;
            var name = wish.Meaning is Meaning.Colour or Meaning.Stitch or Meaning.Fill or Meaning.Thread or Meaning.Craft;
            var capital = r.Named(wish.From) && wish.Meaning != Meaning.Hand ? r.Tokens[wish.From].AllCapitals ? 2 : lead && r.Is(at, "in", "using") ? 0.4 : 1.2 : wish.From == 0 && r.Capital(0) && name ? 1 : 0;
            Bit[] whole = [.. bits, .. all.Length > 1 ? [] : Array.Empty<Bit>(), wish, .. tail];
            // “A leaf” is a thing, “in leaf” a colour.
            var thing = article && wishes.Count == 0 && !named && name ? 0.9 : 0;
            price += thing + (name && !named && lead && r.Hits(to, Meaning.Motif).Any(h => !h.Guessed) && r.Plain(to) ? 0.5 : 0);
            var odd = lead && r.Is(at, "on", "at", "over", "through", "from") && wish.Meaning is Meaning.Colour or Meaning.Stitch or Meaning.Fill or Meaning.Thread ? 0.9 : 0;
            yield return new Candidate(Phrase.Wish, at, to, whole, price + odd + first + capital + (article && alone && !name
                && wish.Meaning is not (Meaning.WordsWay or Meaning.MotifsWay or Meaning.Hold or Meaning.HoopSize) ? 0.8 : 0));

            // Several in one breath: in three strands of red wool, in purple outline stitch.
            var next = to;
            var joined = new List<Bit>(whole);
            while (r.Is(next, "of", "in", "and", "with", "on") && r.Plain(next) && next < to + 1)
            {
                joined.Add(r.Small(next, ++next));
            }

            if (wish.Meaning is not (Meaning.Day or Meaning.WordsWay or Meaning.MotifsWay) || next == to)
            {
                foreach (var more in Chain(r, next, joined, price + 0.05 + (next > to ? 0.15 : 0) + (lead ? 0 : 0.2) + capital, lead,
                    article, at, all))
                {
                    yield return more;
                }
            }
        }
    }

    private static bool Word(Bit wish) =>
        wish.Meaning is not (Meaning.Strands or Meaning.Width or Meaning.Height or Meaning.Length or Meaning.Rows or Meaning.HoopSize);

    /// <summary>What one wish may begin at a token, each with what it costs beside.</summary>
    private static IEnumerable<(Bit Bit, double Cost)> Values(Reading r, int p, bool led)
    {
        if (Measured(r, p) is { } measured)
        {
            yield return (measured, 0);
        }

        if (Numbers.Whole(r.Tokens, p) is var (n, to) && n <= 60)
        {
            var (id, name) = (n.ToString(System.Globalization.CultureInfo.InvariantCulture), n);
            if (r.Is(to, "strand", "strands", "ply", "thread", "threads") && !(r.Is(to, "thread", "threads") && n > 12))
            {
                yield return (new Bit(Meaning.Strands, p, to + 1, id, Say.Count(name, "strand")), 0);
            }

            if (r.Is(to, "line", "lines", "row", "rows") && !r.Is(to + 1, "of"))
            {
                yield return (new Bit(Meaning.Rows, p, to + 1, id, Say.Count(name, "line")), 0);
            }
        }

        if (r.Is(p, "single", "double") && r.Is(p + 1, "strand", "strands", "thread"))
        {
            yield return (new Bit(Meaning.Strands, p, p + 2, r.Is(p, "single") ? "1" : "2", r.Is(p, "single") ? "1 strand" : "2 strands"), 0);
        }

        if (r.Is(p, "upside") && r.Is(p + 1, "down"))
        {
            yield return (new Bit(Meaning.Turned, p, p + 2, "180", "upside down"), 0);
        }

        foreach (var hit in r.Hits(p).Where(h => Wished.Contains(h.Entry.Meaning)))
        {
            // “In a wreath” is a ring of something only where that something was said; “a wreath” is the motif.
            var doubt = hit.Entry.Meaning switch
            {
                Meaning.MotifsWay when r.Hits(p, Meaning.Motif).Any() => 0.6,
                Meaning.Hold when hit.Entry.Id == "hoop" && (!led || !r.Is(p - 1, "in", "a", "an", "the", "my", "using", "with") || r.Is(p - 2, "on", "onto")) => 1.5,
                Meaning.Craft when hit.Entry.Id == "felt" && hit.To - p == 1 && r.Is(p, "felted") => 0,
                Meaning.Colour when r.Hits(p, Meaning.Stitch, Meaning.Fill).Any(h => h.To > hit.To) => 0.6,
                Meaning.Fill when r.Hits(p, Meaning.Stitch).Any(h => h.To == hit.To && h.Entry.Name.StartsWith(hit.Entry.Name,
                    StringComparison.Ordinal)) => 0.05,
                Meaning.Transfer when r.Is(p, "film", "tissue", "carbon", "ironed", "traced") && hit.To - p == 1 && !led => 0.3,
                Meaning.Marker when r.Is(p, "pencil", "chalk") => 0.2,
                _ => 0,
            };
            if (r.Hits(p).Any(h => h.Entry.Meaning == hit.Entry.Meaning && !h.Guessed && h.To > hit.To && Wished.Contains(h.Entry.Meaning)))
            {
                // Of two names of a kind the longer one is meant.
                continue;
            }

            yield return (hit.Bit, doubt + (hit.Entry.Hex is not null ? 0.05 : 0));
        }
    }

    /// <summary>A length with its direction, of letters, or of a hoop: 12 cm wide, letters 2 cm high, 5 inch hoop, 4 inch.</summary>
    private static Bit? Measured(Reading r, int p)
    {
        var about = r.Is(p, "about", "roughly", "around", "approximately", "approx", "at") && Numbers.Length(r.Tokens, p + 1) is not null ? 1 : 0;
        if (r.Is(p, "width", "height") && Numbers.Length(r.Tokens, p + 1 + (r.Is(p + 1, "of") ? 1 : 0)) is var (of, ends))
        {
            return Make(r.Is(p, "width") ? Meaning.Width : Meaning.Height, of, p, ends);
        }

        if (Numbers.Length(r.Tokens, p + about) is not var (mm, to))
        {
            return null;
        }

        if (r.Is(to, "wide", "across", "broad", "long") || (r.Is(to, "in") && r.Is(to + 1, "width")))
        {
            return Make(Meaning.Width, mm, p, to + (r.Is(to, "in") ? 2 : 1));
        }

        if (r.Is(to, "high", "tall") || (r.Is(to, "in") && r.Is(to + 1, "height")))
        {
            return Make(Meaning.Height, mm, p, to + (r.Is(to, "in") ? 2 : 1));
        }

        if (r.Is(to, "letters", "capitals", "lettering", "letter", "caps"))
        {
            return Make(Meaning.Height, mm, p, to + 1);
        }

        if (r.Is(to, "hoop", "ring"))
        {
            return Make(Meaning.HoopSize, mm, p, to + 1);
        }

        return Make(Meaning.Length, mm, p, to);

        Bit Make(Meaning meaning, double size, int from, int end) => new(meaning, from, end, string.Empty, r.Text(from,
            end))
        { Mm = Math.Round(size, 1) };
    }
}
