using System.Text.RegularExpressions;
using Dittany.Core.Measures;

namespace Dittany.Core.Sayings;

/// <summary>All phrases that may begin at each token of a saying.</summary>
internal static partial class Candidates
{
    private static readonly Func<Reading, int, IEnumerable<Candidate>>[] Kinds =
        [SmallPhrases.At, ItemPhrases.At, ItemPhrases.Unknown, ZonePhrases.At, MotifPhrases.At, PartPhrases.At, WishPhrases.At,
            DayPhrases.At, WhomPhrases.At, Sizes];

    public static IReadOnlyList<Candidate>[] Of(Reading r)
    {
        var whole = Whole(r).ToLookup(c => c.From);
        return Enumerable.Range(0, r.Count).Select(at => (IReadOnlyList<Candidate>)[.. Kinds.SelectMany(k => k(r, at)).Concat(whole[at])
            .GroupBy(c => (c.Phrase, c.To, Told(c))).Select(g => g.MinBy(c => c.Cost).Sure())]).ToArray();

        static string Told(Candidate c) => string.Join(';', c.Bits.Where(b => b.Meaning != Meaning.Small).Select(b => $"{b.Meaning}{b.Id}{b.From}-{b.To}"));
    }

    /// <summary>A size that stands by itself: bodysuit E, 62.</summary>
    private static IEnumerable<Candidate> Sizes(Reading r, int at)
    {
        if (ItemPhrases.SizeAt(r, at, bare: false) is { } size)
        {
            yield return new Candidate(Phrase.Wish, at, size.To, [size], r.Is(at, "size", "sized", "in", "of") ? 0.3 : 0.6);
        }
        else if (r.Hits(at, Meaning.FormSize).FirstOrDefault(h => h.Entry.Id is "xs" or "m" or "l" or "s" or "xl" or "xxl" or "stuffed" or "small" or "large") is { } word)
        {
            yield return new Candidate(Phrase.Wish, at, word.To, [word.Bit], word.Entry.Id == "stuffed" ? 0.4 : 1.5);
        }

        if (r.Is(at, "lined") && r.Plain(at))
        {
            yield return new Candidate(Phrase.Wish, at, at + 1, [new Bit(Meaning.Lined, at, at + 1, "lined", "lined")], 0.7);
        }
    }

    /// <summary>What is said in many ways, each of several words: not sewn yet, for a bowl of 80 mm, with a frayed edge.</summary>
    private static IEnumerable<Candidate> Whole(Reading r)
    {
        foreach (var (found, bit) in Found(r))
        {
            var from = Enumerable.Range(0, r.Count).FirstOrDefault(i => r.Tokens[i].From >= found.Index + Blank(found.Value), -1);
            var to = Enumerable.Range(0, r.Count).FirstOrDefault(i => r.Tokens[i].From >= found.Index + found.Length, r.Count);
            if (from >= 0 && to > from && !r.Tokens.Skip(from).Take(to - from).Any(t => t.Kind == TokenKind.Quoted))
            {
                yield return new Candidate(Phrase.Wish, from, to, [bit with { From = from, To = to, Name = bit.Name.Length == 0
                    ? r.Text(from, to) : bit.Name }], 0.3);
            }
        }
    }

    private static int Blank(string text) => text.Length - text.TrimStart().Length;

    private static IEnumerable<(Match Found, Bit Bit)> Found(Reading r)
    {
        foreach (Match found in NotSewn().Matches(r.Said))
        {
            yield return (found, new Bit(Meaning.Sewn, 0, 0, "not-sewn", "not sewn together yet"));
        }

        foreach (Match found in Bowl().Matches(r.Said))
        {
            if (Tape.Read($"{found.Groups["n"].Value} {found.Groups["unit"].Value}") is { } mm)
            {
                yield return (found, new Bit(Meaning.MakeUp, 0, 0, "bowl", string.Empty) { Mm = Math.Round(mm, 1) });
            }
        }

        foreach (Match found in Frame().Matches(r.Said))
        {
            if (Tape.Read($"{found.Groups["n"].Value} {found.Groups["unit"].Value}") is { } wide && Tape.Read($"{found.Groups["m"].Value} {found.Groups["unit"].Value}") is { } high)
            {
                yield return (found, new Bit(Meaning.MakeUp, 0, 0, string.Create(System.Globalization.CultureInfo.InvariantCulture, $"frame {Math.Round(high, 1)}"), string.Empty) { Mm = Math.Round(wide, 1) });
            }
        }

        foreach (Match found in FrayedEdges().Matches(r.Said))
        {
            yield return (found, new Bit(Meaning.MakeUp, 0, 0, "frayed", "with a frayed edge"));
        }
    }

    [GeneratedRegex(
        @"(?:^|(?<=[\s,]))(?:(?:which|that)(?:’s|'s|\s+is|\s+isn['’]t)\s+|still\s+)?(?:not\s+(?:yet\s+)?(?:sewn|stitched|made)(?:\s+(?:up|together))?(?:\s+yet)?|unsewn|(?:still\s+)?in\s+pieces|before\s+it\s+is\s+(?:sewn|made)(?:\s+up|\s+together)?|(?<=isn['’]t\s)(?:sewn|made)(?:\s+(?:up|together))?(?:\s+yet)?)(?!\w)",
        RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex NotSewn();

    private const string Number = @"\d{1,4}(?:[.,]\d{1,2})?(?:\s+\d/\d{1,2})?";

    [GeneratedRegex($@"(?:(?:in|for)\s+(?:an?|my|the)\s+(?:wooden\s+)?bowl\s+(?:of\s+)?(?<n>{Number})\s*(?<unit>cm|mm|in|inch|inches|"")(?:\s+(?:across|wide))?|(?:in|for)\s+(?:an?|my|the)\s+(?<n>{Number})\s*(?<unit>cm|mm|in|inch|inches|"")\s+(?:wooden\s+)?bowl)(?!\w)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Bowl();

    [GeneratedRegex($@"(?:in|for)\s+(?:an?|my|the)\s+frame\s+(?:(?:with\s+an\s+opening\s+)?of\s+|that\s+opens\s+)?(?<n>{Number})\s*(?:[x×]|by)\s*(?<m>{Number})\s*(?<unit>cm|mm|in|inch|inches|"")(?!\w)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Frame();

    [GeneratedRegex(@"with\s+(?:an?\s+)?(?:frayed|fringed)\s+(?:edges?|hems?)(?!\w)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex FrayedEdges();
}
