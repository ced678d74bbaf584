using Dittany.Core.Items;

namespace Dittany.Core.Sayings;

/// <summary>A part of the item: on the left chest, inside the cuff of, along the lower edge.</summary>
internal static class ZonePhrases
{
    private static readonly string[] Fillers = ["the", "of", "its", "her", "his", "at", "in", "below", "above", "-"];

    /// <summary>Words that names of zones are made of.</summary>
    private static readonly HashSet<string> Content = Catalogue.Forms.SelectMany(f => f.Zones).SelectMany(z => $"{z.Id.Replace('-', ' ')} {z.Name}".Split([' ', ','],
        StringSplitOptions.RemoveEmptyEntries)).Concat(ZoneNames.Same.SelectMany(s => s.Said.Split(' '))).Concat(["side", "part", "half", "inside", "pocket", "neck", "hem"]).Select(Tokens.KeyOf)
        .Where(w => !Fillers.Contains(w, StringComparer.Ordinal) && w is not ("on" or "it" or "as" or "for" or "name" or "year" or "along" or "across" or "hangs" or "and" or "cloth" or "to")).ToHashSet(StringComparer.Ordinal);

    private static readonly string[] Leads = ["on", "at", "in", "inside", "along", "across", "above", "below", "under", "near", "over", "upon", "to", "onto", "by"];

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        var (p, lead) = (at, r.Is(at, Leads) && r.Plain(at));
        p += lead ? 1 : 0;
        if (lead && r.Is(at, "on") && r.Is(p, "top") && r.Is(p + 1, "of"))
        {
            yield break;
        }

        var article = SmallWords.Articles.Contains(r.Key(p)) && r.Key(p) is not ("some" or "another");
        p += article ? 1 : 0;
        if (p < r.Count && r.Is(p, "inside", "below", "above") && lead)
        {
            p++;
            p += r.Is(p, "of") ? 1 : 0;
            p += SmallWords.Articles.Contains(r.Key(p)) ? 1 : 0;
        }

        if (Words(r, p) is not var (to, hits) || hits == 0 || r.Named(p))
        {
            yield break;
        }

        var cost = (lead, article) switch { (true, true) => 0.3, (true, false) => 0.5, (false, true) => 0.7, _ => 1.3 } + (r.Is(at, "in", "over", "by", "to") ? 0.3 : 0);
        var bit = new Bit(Meaning.Zone, at, to, r.Text(at, to), r.Text(at, to));
        if (r.Is(to, "of") && to + 1 < r.Count)
        {
            yield return new Candidate(Phrase.Zone, at, to + 1, [bit, r.Small(to, to + 1)], cost);
        }

        yield return new Candidate(Phrase.Zone, at, to, [bit], cost);
    }

    /// <summary>The run of words that name a part, from a token on, and how many of them do.</summary>
    public static (int To, int Hits)? Words(Reading r, int p)
    {
        var (to, hits) = (p, 0);
        for (var k = p; k < r.Count && k < p + 7; k++)
        {
            if (r.Tokens[k].Kind is TokenKind.Quoted or TokenKind.Mark || (r.Named(k) && !r.Shouted))
            {
                break;
            }

            if (Content.Contains(r.Key(k)))
            {
                (to, hits) = (k + 1, hits + 1);
            }
            else if (!Fillers.Contains(r.Key(k), StringComparer.Ordinal) || hits == 0)
            {
                break;
            }
        }

        return hits > 0 ? (to, hits) : null;
    }
}
