using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Words;

namespace Dittany.Core.Sayings;

/// <summary>What was understood, told word by word.</summary>
internal sealed partial class Hearing
{
    private Heard Told(IReadOnlyList<Candidate> phrases, IReadOnlyList<Candidate>[] all)
    {
        var bits = new List<Bit>();
        var end = 0;
        foreach (var bit in phrases.SelectMany(p => p.Bits).OrderBy(b => b.From))
        {
            if (bit.From > end)
            {
                bits.Add(_r.Small(end, bit.From));
            }

            if (bit.Label == Label.Small && bits.Count > 0 && bits[^1].Label == Label.Small)
            {
                bits[^1] = bits[^1] with { To = bit.To };
            }
            else
            {
                bits.Add(bit);
            }

            end = bit.To;
        }

        if (end < _r.Count)
        {
            bits.Add(_r.Small(end, _r.Count));
        }

        var spans = bits.Select(b => new Span(_r.Tokens[b.From].From, _r.Tokens[b.To - 1].To, _r.Text(b.From, b.To), b.Label, Meant(b),
            Others(b, all))).ToArray();
        return new Heard(_r.Said, spans, _elements.ToArray(), _asked.OrderBy(a => a.From).ToArray())
        {
            Form = _form?.Id,
            Size = _sizeId,
            Zone = _zone,
            ClothColour = _clothColour,
            Cloth = _cloth == _form?.UsualCloth ? null : _cloth,
            Lined = _lined,
            DueOn = _due,
            Whom = _whom.Count == 0 ? null : string.Join(", ", _whom),
            MakeUp = _makeUp,
            Unsewn = _unsewn,
            Hand = _hand,
            Overrides = OverrideSet.Of(_overrides.Select(o => (DecisionKey.Parse(o.Key), o.Value))),
        };
    }

    private string Meant(Bit bit) => _means.TryGetValue(bit.From, out var told) ? told : bit.Meaning switch
    {
        Meaning.Words => $"“{bit.Id.ReplaceLineEndings(" ")}”, to stitch",
        Meaning.Motif => MotifLibrary.Find(bit.Id)?.Name ?? bit.Id,
        Meaning.ClothColour => $"{bit.Name} cloth",
        Meaning.Cloth => bit.Name,
        Meaning.Colour => $"{bit.Name} thread",
        Meaning.Form => bit.Name,
        Meaning.FormSize => _sizeId is { } size && _form?.Sizes.FirstOrDefault(s => s.Id == size) is { } known ? known.Name.ToString() : $"size {bit.Id}",
        Meaning.Day or Meaning.Whom => bit.Name,
        Meaning.Width => $"{Say.Number(bit.Mm)} mm wide",
        Meaning.Height => $"{Say.Number(bit.Mm)} mm high",
        Meaning.Length => $"{Say.Number(bit.Mm)} mm",
        Meaning.HoopSize => $"a hoop {Say.Number(bit.Mm)} mm across",
        Meaning.Small or Meaning.Link => string.Empty,
        Meaning.Unplaced => "not understood",
        Meaning.Zone => bit.Name,
        _ => bit.Name,
    };

    /// <summary>What else the same words could be, by the lexicon; words to stitch they can always be, and nothing.</summary>
    private Label[] Others(Bit bit, IReadOnlyList<Candidate>[] all) => all[bit.From].SelectMany(c => c.Bits).Where(b => b.From == bit.From
        && b.To == bit.To).Select(b => b.Label)
        .Append(Label.Words).Append(Label.Small).Where(l => l != bit.Label && l != Label.Unplaced).Distinct().Take(5).ToArray();
}
