namespace Dittany.Core.Sayings;

/// <summary>
/// Words that could as well be something else: what they were taken for, and what they would be in the next best reading.
/// </summary>
internal sealed record Tie(int From, int To, Bit Taken, Bit Other);

internal static class Ties
{
    private const int Most = 6;

    /// <summary>What is worth asking about: where it stands or how it is laid out follows from the rest.</summary>
    private static readonly Label[] Weighed =
    [
        Label.Words, Label.Motif, Label.Colour, Label.Stitch, Label.Fill, Label.Thread, Label.Craft, Label.Style, Label.Item, Label.Whom,
    ];

    public static IReadOnlyList<Tie> Of(Reading r, IReadOnlyList<Candidate>[] all, IReadOnlyList<Candidate> phrases, double cost,
        double near, Pinned pinned)
    {
        var taken = Bits(phrases);
        var ties = new List<Tie>();
        foreach (var phrase in phrases.Where(p => p.Phrase is Phrase.Motif or Phrase.Wish or Phrase.Words or Phrase.Whom or Phrase.Item)
            .Take(12))
        {
            var bit = phrase.Bits.FirstOrDefault(b =>
                b.Meaning is not (Meaning.Small or Meaning.Unplaced or Meaning.Count or Meaning.ClothColour or Meaning.Cloth));
            if (bit is null || r.Tokens[bit.From].Kind == TokenKind.Quoted || pinned.Holds(bit.From, bit.To) || !Doubtful(r, bit,
                phrase.Bits.Count == 1))
            {
                continue;
            }

            var (other, price) = Division.Of(r, all,
                c => pinned.Bars(c) || c.Bits.Any(b => b.Label == bit.Label && b.From < bit.To && bit.From < b.To),
                at => pinned.Word(at) && (bit.Meaning != Meaning.Words || at < bit.From || at >= bit.To));
            if (price - cost >= near)
            {
                continue;
            }

            var now = Bits(other);
            if (now[bit.From] is { } instead
                && Weighed.Contains(instead.Label) && instead.Label != bit.Label
                && instead.From == bit.From && instead.To == bit.To && !ties.Exists(t => t.From < bit.To && bit.From < t.To))
            {
                ties.Add(new Tie(bit.From, bit.To, taken[bit.From] ?? bit, instead));
                if (ties.Count == Most)
                {
                    break;
                }
            }
        }

        return ties;
    }

    /// <summary>Only what has another meaning by itself is weighed: a name is no tie.</summary>
    private static bool Doubtful(Reading r, Bit bit, bool bare) => bit.Meaning switch
    {
        Meaning.Words => bit.To - bit.From <= 2 && r.Hits(bit.From).Any(h => !h.Guessed && h.To <= bit.To),
        Meaning.Whom => bit.From == 0,
        Meaning.Motif => bare || r.Hits(bit.From).Any(h => !h.Guessed && h.To == bit.To
            && h.Entry.Meaning is not (Meaning.Motif or Meaning.Part)),
        _ => r.Hits(bit.From).Select(h => h.Entry.Meaning).Distinct().Skip(1).Any(),
    };

    private static Bit?[] Bits(IReadOnlyList<Candidate> phrases)
    {
        var bits = new Bit?[phrases.Count == 0 ? 0 : phrases[^1].To];
        foreach (var bit in phrases.SelectMany(p => p.Bits))
        {
            Array.Fill(bits, bit, bit.From, bit.To - bit.From);
        }

        return bits;
    }
}
