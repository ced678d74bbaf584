namespace Dittany.Core.Sayings;

/// <summary>
/// The likeliest division of a saying into phrases: every token in exactly one, the sum of what they cost the least. Found by going through
/// the tokens once with a small state (Viterbi 1967): what came last, and what there is already.
/// </summary>
internal static class Division
{
    /// <summary>What came last.</summary>
    private enum Last
    {
        Start,
        Words,
        Introduced,
        Zone,
        Item,
        Motif,
        Wish,
        Link,
        Small,
    }

    private const int Flags = 16;
    private const int HasWords = 1;
    private const int HasItem = 2;
    private const int HasStitched = 4;
    private const int HasMotif = 8;

    /// <summary>Asking begins with these, and goes on with them rarely.</summary>
    private static readonly string[] Requests = ["put", "place", "stitch", "make", "do", "write", "sew", "embroider", "want", "need", "get", "give", "have", "like"];

    private static readonly int States = Enum.GetValues<Last>().Length * Flags;

    /// <summary>A second item, nothing to stitch at all.</summary>
    private const double SecondItem = 2.5;

    private const double Nothing = 1.5;

    /// <summary>A motif right behind words, with nothing that joins them.</summary>
    private const double Unlinked = 0.6;

    /// <summary>Words of a sentence that is stitched, rather than of asking: they rarely follow what is stitched by themselves.</summary>
    private static readonly string[] Speaking = ["you", "i", "we", "me", "us", "to", "is", "are", "was", "my", "it", "that", "this", "be", "all", "your", "our", "will", "have", "has", "do", "who", "what", "how", "not", "so", "if", "there", "here", "think", "would", "could", "can"];

    private sealed record Step(int Before, int State, Candidate? Phrase, int From);

    /// <summary>
    /// The phrases in order and what they cost together. Phrases that <paramref name="barred"/> holds are not taken; <paramref
    /// name="word"/>
    /// tells whether a token may be stitched.
    /// </summary>
    public static (IReadOnlyList<Candidate> Phrases, double Cost) Of(Reading r, IReadOnlyList<Candidate>[] all, Func<Candidate,
        bool>? barred = null, Func<int, bool>? word = null)
    {
        var n = r.Count;
        var costs = new double[(n + 1) * States];
        Array.Fill(costs, double.PositiveInfinity);
        var steps = new Step?[(n + 1) * States];
        costs[0] = 0;
        var open = word ?? (_ => true);
        for (var at = 0; at < n; at++)
        {
            var begins = open(at) ? WordCosts.Of(r, at, first: true) : double.PositiveInfinity;
            var goesOn = open(at) ? WordCosts.Of(r, at, first: false) : double.PositiveInfinity;
            var intro = SmallPhrases.Introduces(r, at);
            var glued = r.Tokens[at].Glued;
            for (var s = 0; s < States; s++)
            {
                var here = costs[(at * States) + s];
                if (double.IsPositiveInfinity(here))
                {
                    continue;
                }

                var (last, flags) = ((Last)(s / Flags), s % Flags);
                if (last == Last.Words)
                {
                    Take(at, s, at + 1, s, here + goesOn, null, at);
                    // What a hyphen joins is one word.
                    if (glued)
                    {
                        continue;
                    }
                }

                var ended = here + (last == Last.Words && at > 0 && Joins(r, at - 1) ? WordCosts.Joining : 0);
                if (last != Last.Words && !glued)
                {
                    var again = (flags & HasWords) != 0 ? last is Last.Zone ? 0.3 : WordCosts.Again : 0;
                    var eased = last == Last.Introduced ? Math.Min(WordCosts.Introduced, begins - 0.1) : 0;
                    Take(at, s, at + 1, State(Last.Words, flags | HasWords | HasStitched), ended + begins + again - eased, null, at);
                }

                if (intro > 0)
                {
                    Take(at, s, at + intro, State(Last.Introduced, flags), ended + 0.15, new Candidate(Phrase.Small, at, at + intro,
                        [r.Small(at, at + intro)], 0.15), at);
                }

                foreach (var phrase in all[at])
                {
                    if (barred?.Invoke(phrase) == true || (phrase.Phrase == Phrase.Words && last == Last.Words))
                    {
                        continue;
                    }

                    var (then, with, more) = phrase.Phrase switch
                    {
                        Phrase.Words => (Last.Wish, flags | HasWords | HasStitched, (flags & HasWords) != 0 && last != Last.Zone ? 0.4 : 0),
                        Phrase.Item => (phrase.Bits.Any(b => b.Meaning == Meaning.Zone) ? Last.Zone : Last.Item, flags | HasItem, ((flags & HasItem) != 0 ? SecondItem : 0) + (last == Last.Words && r.Key(at - 1).EndsWith("'s", StringComparison.Ordinal) && phrase.Bits[0].Meaning != Meaning.Small ? 0.9 : 0)),
                        Phrase.Motif => (Last.Motif, flags | HasStitched | HasMotif, last == Last.Words ? Unlinked : 0.0),
                        // Behind the item a bare colour or stitch is a wish.
                        Phrase.Wish when (flags & HasItem) != 0 && phrase.Bits[0].Meaning != Meaning.Small && phrase.Cost > 1
                            && !SmallWords.Articles.Contains(r.Key(at - 1), StringComparer.Ordinal) =>
                            (Last.Wish, flags, -0.5),
                        // Behind the item stands whom it is for; before it “Made for Emma” may be what is stitched.
                        Phrase.Whom => (Last.Wish, flags, (flags & HasItem) != 0 ? -0.35 : 0),
                        Phrase.Zone => (Last.Zone, flags, 0.0),
                        Phrase.Link when phrase.To == at + 1 && phrase.Bits[0].Id.EndsWith("-it", StringComparison.Ordinal) && (flags & (HasMotif | HasWords)) != (HasMotif | HasWords) => (Last.Link, flags, 1.0),
                        Phrase.Link => (last is Last.Zone ? Last.Zone : Last.Link, flags,
                            last is Last.Words or Last.Motif or Last.Zone or Last.Item or Last.Wish or Last.Start ? 0 : 0.1),
                        Phrase.Small when last is Last.Words or Last.Motif && r.Is(at, Speaking) => (Last.Small, flags, 1.0),
                        Phrase.Small when (flags & HasWords) != 0 && r.Is(at, Requests) => (Last.Small, flags, 0.8),
                        Phrase.Small or Phrase.Unplaced => (last is Last.Zone && r.Comma(at) ? Last.Zone : Last.Small, flags, 0.0),
                        _ => (Last.Wish, flags, 0.0),
                    };
                    Take(at, s, phrase.To, State(then, with), ended + phrase.Cost + more, phrase, at);
                }
            }
        }

        var best = -1;
        var least = double.PositiveInfinity;
        for (var s = 0; s < States; s++)
        {
            var end = costs[(n * States) + s] + ((s % Flags & HasStitched) == 0 ? Nothing : 0) + ((Last)(s / Flags) == Last.Words && n > 0
                && Joins(r, n - 1) ? WordCosts.Joining : 0);
            if (end < least)
            {
                (least, best) = (end, s);
            }
        }

        return best < 0 ? ([], least) : (Back(r, steps, n, best), least);

        void Take(int from, int state, int to, int then, double cost, Candidate? phrase, int begins)
        {
            var index = (to * States) + then;
            if (to <= n && cost < costs[index])
            {
                costs[index] = cost;
                steps[index] = new Step((from * States) + state, then, phrase, begins);
            }
        }
    }

    private static int State(Last last, int flags) => ((int)last * Flags) + flags;

    private static bool Joins(Reading r, int at) => (SmallWords.Joining.Contains(r.Key(at), StringComparer.Ordinal) && r.Tokens[at].Kind == TokenKind.Word && !r.Tokens[at].AllCapitals && r.Key(at) is not ("me" or "us" or "you" or "it" or "is" or "are" or "all" or "so" or "not" or "be" or "i" or "this" or "that" or "on"))
        || (r.Tokens[at].Kind == TokenKind.Mark && r.Tokens[at].Text is "&" or "+" or "," or ":" or ";" or "-" or "\n");

    /// <summary>The phrases from the start; tokens of one run of words become one phrase.</summary>
    private static List<Candidate> Back(Reading r, Step?[] steps, int n, int state)
    {
        var phrases = new List<Candidate>();
        var index = (n * States) + state;
        var until = -1;
        while (steps[index] is { } step)
        {
            if (step.Phrase is { } phrase)
            {
                Close(step.From + (phrase.To - phrase.From));
                phrases.Add(phrase);
            }
            else
            {
                until = until < 0 ? step.From + 1 : until;
            }

            index = step.Before;
        }

        Close(0);
        phrases.Reverse();
        return phrases;

        void Close(int from)
        {
            if (until >= 0)
            {
                var text = r.Text(from, until);
                phrases.Add(new Candidate(Phrase.Words, from, until, [new Bit(Meaning.Words, from, until, text, text)], 0));
                until = -1;
            }
        }
    }
}
