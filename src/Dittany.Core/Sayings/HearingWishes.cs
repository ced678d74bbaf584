using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;

namespace Dittany.Core.Sayings;

/// <summary>What wishes are of, and how each is set: strands, colours, widths, heights.</summary>
internal sealed partial class Hearing
{
    /// <summary>A motif is this large at the least, mm, as the check of a job holds it.</summary>
    private const double LeastMotifMm = 2;

    /// <summary>A wish: of the whole piece, of what it belongs to, or, where nothing was said yet, of what comes.</summary>
    private void Wish(Bit bit)
    {
        switch (bit.Meaning)
        {
            case Meaning.Small:
                return;
            case Meaning.Cloth:
                _cloth = bit.Id;
                return;
            case Meaning.ClothColour:
                _clothColour = bit.Id;
                return;
            case Meaning.Lined:
                _lined = true;
                return;
            case Meaning.FormSize:
                _size = bit;
                return;
            case Meaning.Sewn:
                _unsewn = true;
                _sewn = bit;
                return;
            case Meaning.MakeUp:
                _makeUp = bit.Id switch
                {
                    "bowl" => new MakeUp("gathered-round", bit.Mm),
                    "frayed" => new MakeUp(MakeUp.Frayed),
                    _ => new MakeUp("framed", null, bit.Mm, double.Parse(bit.Id.Split(' ')[1], CultureInfo.InvariantCulture)),
                };
                _makeUpBit = bit;
                return;
            case Meaning.Hand:
                _hand = bit.Id;
                return;
            case Meaning.Transfer:
                Overrule(bit, "transfer.method", bit.Id);
                return;
            case Meaning.Marker:
                Overrule(bit, "transfer.marker", bit.Id);
                return;
            case Meaning.Stabiliser:
                Overrule(bit, "transfer.stabiliser", bit.Id);
                return;
            case Meaning.Hold:
                Overrule(bit, "hoop.school", bit.Id);
                return;
            case Meaning.HoopSize:
                if (bit.Mm is < 50 or > 400)
                {
                    Ask(bit, $"A hoop of {bit.Name.Split(' ')[0]} is out of reach: 50 to 400 mm across is what there is. It is left out.", [new Answer("a 5 inch hoop", "127 mm across"), new Answer("a 7 inch hoop", "178 mm across")]);
                    return;
                }

                Overrule(bit, "hoop.size", Math.Round(bit.Mm).ToString(CultureInfo.InvariantCulture));
                return;
            default:
                break;
        }

        if (bit.Meaning == Meaning.Length && _afterItem && _size is null && _form is { } form && FormFinding.SizeOf(form, _r.Text(bit.From,
            bit.To), _lined == true) is not null)
        {
            _size = bit with { Id = _r.Text(bit.From, bit.To) };
            return;
        }

        var targets = Targets(bit);
        if (targets.Count == 0)
        {
            _pending.Add(bit);
            return;
        }

        foreach (var at in targets.Where(t => t >= 0))
        {
            Set(at, bit);
        }
    }

    private Bit? _sewn;
    private Bit? _makeUpBit;

    private void Overrule(Bit bit, string decision, string choice)
    {
        if (!_overrides.TryAdd(decision, choice) && _overrides[decision] != choice)
        {
            Ask(bit, $"Two were said, and the first is taken: “{bit.Name}” is left out.", [new Answer(string.Empty, "leave it out")]);
        }
    }

    /// <summary>What a wish belongs to: behind the item to all it fits that have none yet, else to what stands just before it.</summary>
    private List<int> Targets(Bit bit)
    {
        var fitting = Enumerable.Range(0, _elements.Count).Where(i => Fits(bit, _elements[i])).ToList();
        if (fitting.Count == 0)
        {
            return [];
        }

        if (bit.Meaning is Meaning.MotifsWay or Meaning.WordsWay or Meaning.Growing)
        {
            // What is laid out is what there is several of, or the words.
            var many = fitting.Where(i => _elements[i] is { Count: > 1 } or { Several: true }).ToList();
            if (many.Count == 0 && bit.Meaning != Meaning.WordsWay && _elements.Count(e => !e.IsText) > 1)
            {
                Ask(bit, $"“{_r.Text(bit.From, bit.To)}” lays out several of one motif: different ones are set out by the plan, and each can be moved on the bench.", [new Answer(string.Empty, "leave it out")]);
                return [-1];
            }

            return [many.Count > 0 ? many[^1] : fitting[^1]];
        }

        if (_afterItem)
        {
            var free = fitting.Where(i => !Has(bit, _elements[i])).ToList();
            return free.Count > 0 ? free : [fitting[^1]];
        }

        var last = fitting[^1];
        // Words with a motif tied to them are one thing in one thread.
        return bit.Meaning is Meaning.Colour or Meaning.Thread or Meaning.Strands or Meaning.Stitch && last > 0 && _links[last] is { } link && link is not "beside" && _elements[last].IsText != _elements[last - 1].IsText
            && Simple(_elements[last]) && Simple(_elements[last - 1]) ? [last - 1, last] : [last];
    }

    private static bool Simple(SaidElement e) => e.IsText || (e.Count is null && e.Arrangement is null && e.Craft is null && e.Fill is null
        && e.Parts.Count == 0 && e.WidthMm is null && e.HeightMm is null);

    private static bool Fits(Bit bit, SaidElement e) => bit.Meaning switch
    {
        Meaning.Style or Meaning.Rows => e.IsText,
        Meaning.WordsWay => e.IsText || Arranging.Ids.Contains(bit.Id),
        Meaning.MotifsWay => !e.IsText || Arrangement.Ids.Contains(bit.Id),
        Meaning.Growing or Meaning.PartCount => !e.IsText,
        _ => true,
    };

    private static bool Has(Bit bit, SaidElement e) => bit.Meaning switch
    {
        Meaning.Colour => e.Colour is not null,
        Meaning.Stitch => e.Stitch is not null,
        Meaning.Fill => e.Fill is not null,
        Meaning.Thread => e.Thread is not null,
        Meaning.Strands => e.Strands is not null,
        Meaning.Craft => e.Craft is not null,
        Meaning.Style => e.Style is not null,
        Meaning.WordsWay or Meaning.MotifsWay => e.Arrangement is not null,
        Meaning.Width or Meaning.Height or Meaning.Length => e.WidthMm is not null || e.HeightMm is not null,
        _ => false,
    };

    private void Set(int at, Bit bit)
    {
        var e = _elements[at];
        _elements[at] = bit.Meaning switch
        {
            Meaning.Colour => Once(bit, e.Colour, HexOf(bit), (v) => e with { Colour = v }, e),
            Meaning.Stitch => Once(bit, e.Stitch, bit.Id, v => e with { Stitch = v }, e),
            Meaning.Fill => Once(bit, e.Fill, bit.Id, v => e with { Fill = v }, e),
            Meaning.Thread => Once(bit, e.Thread, bit.Id, v => e with { Thread = v }, e),
            Meaning.Style => Once(bit, e.Style, bit.Id, v => e with { Style = v }, e),
            Meaning.Craft => Once(bit, e.Craft, bit.Id, v => e with { Craft = v }, e),
            Meaning.Strands => Strands(e, bit),
            Meaning.Rows => int.Parse(bit.Id, CultureInfo.InvariantCulture) is var rows && rows <= JobLimits.MostRows ? e with { Rows = rows } : Refuse(e, bit, $"One wording has 1 to {JobLimits.MostRows} lines: the plan breaks it where it helps."),
            Meaning.WordsWay or Meaning.MotifsWay => Once(bit, e.Arrangement, bit.Id, v => e with { Arrangement = v }, e),
            Meaning.Growing => e with { Growing = true },
            Meaning.Turned => e.IsText ? Refuse(e, bit, "Words are not turned upside down here: turn the item, or slope them.") : e with { TurnDegrees = 180 },
            Meaning.PartCount => e with { PartCount = int.Parse(bit.Id, CultureInfo.InvariantCulture) },
            Meaning.Width => Wide(e, bit),
            Meaning.Height => High(e, bit),
            Meaning.Length => e.IsText ? Either(e, bit) : bit.Mm is < LeastMotifMm or > MotifSizes.MostMm ? Refuse(e, bit, $"{Say.Upper(e.Called)} can be {Say.Number(LeastMotifMm)} to {Say.Number(MotifSizes.MostMm)} mm across.")
                : e with { WidthMm = bit.Mm, HeightMm = bit.Mm },
            _ => e,
        };
    }

    private SaidElement Once(Bit bit, string? was, string now, Func<string, SaidElement> set, SaidElement e) => was is null || was == now
        ? set(now)
        : Refuse(e, bit, $"Two were said for {e.Called}, and the first is taken.");

    private SaidElement Refuse(SaidElement e, Bit bit, string why)
    {
        Ask(bit, $"{why} “{_r.Text(bit.From, bit.To)}” is left out.", [new Answer(string.Empty, "leave it out")]);
        return e;
    }

    private SaidElement Strands(SaidElement e, Bit bit)
    {
        _strands[bit.Id] = bit;
        return e with { Strands = int.Parse(bit.Id, CultureInfo.InvariantCulture) };
    }

    private readonly Dictionary<string, Bit> _strands = new(StringComparer.Ordinal);

    /// <summary>A thread is only so many strands thick as it can be.</summary>
    private void Plies()
    {
        for (var i = 0; i < _elements.Count; i++)
        {
            var e = _elements[i];
            var plies = (e.Thread is { } thread ? ThreadKinds.Find(thread)?.Plies : null) ?? Bundle.Plies;
            if (e.Strands is not { } n || plies.Contains(n) || !_strands.TryGetValue(n.ToString(CultureInfo.InvariantCulture), out var bit))
            {
                continue;
            }

            var near = plies.OrderBy(p => Math.Abs(p - n)).ThenBy(p => p).Take(2).Order().ToArray();
            Ask(bit, $"{Say.Upper(ThreadKinds.Find(e.Thread)?.Name ?? "A thread")} cannot be {Say.Count(n, "strand")} thick: the plan takes what suits it.", near.Select(p => new Answer(Say.Count(p, "strand"), Say.Count(p, "strand"))).ToArray());
            _elements[i] = e with { Strands = null };
        }
    }

    /// <summary>A stitch that a thread does not make is left to the plan, and that is said where it was wished.</summary>
    private void Threads()
    {
        for (var i = 0; i < _elements.Count; i++)
        {
            var e = _elements[i];
            if (ThreadKinds.Find(e.Thread) is { } kind && e.Stitch is { } stitch && Book.Find(stitch) is { } known
                && ThreadRules.Against(kind, known) is { } why
                && Enumerable.Range(0, _r.Count).Select(k => _r.Hits(k, Meaning.Stitch).FirstOrDefault(h => h.Entry.Id == stitch))
                    .FirstOrDefault(h => h is not null) is { } hit)
            {
                Ask(hit.Bit, $"{Say.Upper(known.Name)} is not worked in {kind.Name}. {why.Because} The plan takes a stitch that is.",
                    [new Answer("backstitch", "backstitch"), new Answer("couching", "couching, tied down")]);
                _elements[i] = e with { Stitch = null };
            }
        }
    }

    private SaidElement Wide(SaidElement e, Bit bit)
    {
        var (least, most) = e.IsText ? (JobLimits.LeastWidthMm, JobLimits.MostWidthMm) : (LeastMotifMm, MotifSizes.MostMm);
        if (bit.Mm < least || bit.Mm > most)
        {
            return Refuse(e, bit, $"{Say.Upper(e.Called)} can be {Say.Number(least)} to {Say.Number(most)} mm wide.");
        }

        if (e is { IsText: true, HeightMm: not null })
        {
            Ask(bit, "A width and a height were said, and one follows from the other: the width is taken.", []);
            return e with { WidthMm = bit.Mm, HeightMm = null };
        }

        return e with { WidthMm = bit.Mm };
    }

    private SaidElement High(SaidElement e, Bit bit)
    {
        var (least, most) = e.IsText ? (Lettering.LeastCapMm, Fit.MostCapMm) : (LeastMotifMm, MotifSizes.MostMm);
        if (bit.Mm < least || bit.Mm > most)
        {
            return Refuse(e, bit, $"{Say.Upper(e.Called)} can be {Say.Number(least)} to {Say.Number(most)} mm high.");
        }

        if (e is { IsText: true, WidthMm: not null })
        {
            Ask(bit, "A width and a height were said, and one follows from the other: the width is taken.", []);
            return e;
        }

        return e with { HeightMm = bit.Mm };
    }

    private SaidElement Either(SaidElement e, Bit bit)
    {
        var text = _r.Text(bit.From, bit.To);
        Ask(bit, $"Is {text} how wide the words are, or how high? Until you say, the plan sizes them.", [new Answer($"{text} wide", "the whole width"), new Answer($"{text} high", "the height of the capitals")]);
        return e;
    }

    /// <summary>The colour of a thread of ours; of a word for none of ours the nearest, which is told.</summary>
    private string HexOf(Bit bit)
    {
        if (Palette.Colours.Any(c => c.Hex == bit.Id))
        {
            return bit.Id;
        }

        var near = Palette.Nearest(bit.Id);
        _means[bit.From] = $"{near.Name}, nearest to {bit.Name}";
        return near.Hex;
    }
}
