namespace Dittany.Core.Sayings;

/// <summary>What a maker settled of words, laid on the tokens of a saying as it is now.</summary>
internal sealed class Pinned
{
    private readonly List<(int From, int To, Label Label)> _ranges = [];

    private Pinned()
    {
    }

    public static Pinned Of(Reading r, IReadOnlyList<Pin> pins)
    {
        var pinned = new Pinned();
        foreach (var pin in pins)
        {
            var keys = Tokens.Of(pin.Text).Select(t => t.Key).ToArray();
            var nth = 0;
            for (var at = 0; keys.Length > 0 && at + keys.Length <= r.Count; at++)
            {
                if (SmallPhrases.Follows(r, at, keys) && nth++ == pin.Nth)
                {
                    pinned._ranges.Add((at, at + keys.Length, pin.Label));
                    if (pin.Label == Label.Small)
                    {
                        r.Dropped.UnionWith(Enumerable.Range(at, keys.Length));
                    }

                    break;
                }
            }
        }

        return pinned;
    }

    /// <summary>Whether a token is settled already.</summary>
    public bool Holds(int from, int to) => _ranges.Exists(p => p.From < to && from < p.To);

    /// <summary>Phrases that take settled words for something else.</summary>
    public bool Bars(Candidate phrase) => _ranges.Count > 0 && phrase.Bits.Any(b => _ranges.Exists(p => p.From < b.To && b.From < p.To
        && (b.Label != p.Label || (p.Label == Label.Words && b.Meaning != Meaning.Words))));

    /// <summary>Whether a token may be stitched.</summary>
    public bool Word(int at) => !_ranges.Exists(p => p.From <= at && at < p.To && p.Label != Label.Words);

    /// <summary>Phrases that hold nothing but the settled words are there, whatever stands about them.</summary>
    public void Offer(IReadOnlyList<Candidate>[] all)
    {
        foreach (var (from, to, label) in _ranges)
        {
            var bit = label switch
            {
                Label.Small => new Bit(Meaning.Small, from, to, string.Empty, string.Empty),
                Label.Unplaced => new Bit(Meaning.Unplaced, from, to, "word", string.Empty),
                _ => null,
            };
            if (bit is not null)
            {
                all[from] = [.. all[from], new Candidate(label == Label.Small ? Phrase.Small : Phrase.Unplaced, from, to, [bit], 0.1)];
            }
            else if (label == Label.Motif)
            {
                foreach (var motif in all[from].Where(c => c.Phrase == Phrase.Motif && c.To == to).ToArray())
                {
                    all[from] = [.. all[from], motif with { Cost = 0.1 }];
                }
            }
        }
    }
}
