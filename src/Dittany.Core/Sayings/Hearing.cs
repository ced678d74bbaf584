using System.Globalization;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;

namespace Dittany.Core.Sayings;

/// <summary>
/// Puts together what the phrases of a saying mean: which wish belongs to what, what stands where, and what has to be asked. Goes through
/// the phrases once, in their order.
/// </summary>
internal sealed class Hearing
{
    private readonly Reading _r;
    private readonly List<SaidElement> _elements = [];

    /// <summary>How each element stands to the one before it; null where something else came between.</summary>
    private readonly List<string?> _links = [];

    private readonly List<(Bit Bit, IReadOnlyList<int> Elements)> _zones = [];
    private readonly List<Bit> _pending = [];
    private readonly List<(Bit Part, IReadOnlyList<Bit> Wishes, int Last)> _parts = [];
    private readonly List<Question> _asked = [];
    private readonly Dictionary<string, string> _overrules = new(StringComparer.Ordinal);
    private readonly Dictionary<int, string> _means = [];

    private Form? _form;
    private Bit? _formBit;
    private Bit? _size;
    private Bit? _pendingZone;
    private bool? _lined;
    private bool _unsewn;
    private string? _clothColour;
    private string? _cloth;
    private DateOnly? _due;
    private readonly List<string> _whom = [];
    private MakeUp? _makeUp;
    private string? _hand;
    private string? _link;
    private bool _afterItem;
    private int _zoned;

    private Hearing(Reading r) => _r = r;

    public static Heard Of(Reading r, IReadOnlyList<Candidate> phrases, IReadOnlyList<Candidate>[] all, IReadOnlyList<Tie> ties,
        string? picked, int rest)
    {
        var hearing = new Hearing(r);
        foreach (var phrase in phrases)
        {
            hearing.Take(phrase);
        }

        hearing.Finish(picked);
        hearing.AskTies(ties);
        if (rest < r.Said.Length)
        {
            hearing._asked.Add(new Question(rest, r.Said.Length, "This is more than one saying holds: all from here on is left out. Say less, or add the rest on the bench.", []));
        }

        return hearing.Told(phrases, all);
    }

    private void Take(Candidate phrase)
    {
        if (phrase.Phrase is not (Phrase.Words or Phrase.Motif or Phrase.Link or Phrase.Small))
        {
            Closed();
        }

        switch (phrase.Phrase)
        {
            case Phrase.Words:
                Add(new SaidElement(phrase.Bits[0].Id, null));
                AskThing(phrase);
                break;
            case Phrase.Motif:
                TakeMotif(phrase);
                break;
            case Phrase.Link:
                TakeLink(phrase.Bits[0]);
                break;
            case Phrase.Zone:
                TakeZone(phrase.Bits.First(b => b.Meaning == Meaning.Zone));
                break;
            case Phrase.Item:
                TakeItem(phrase);
                break;
            case Phrase.Part:
                TakePart(phrase);
                break;
            case Phrase.Wish:
                foreach (var bit in phrase.Bits.Where(b => b.Meaning != Meaning.Small))
                {
                    Wish(bit);
                }

                break;
            case Phrase.Day:
                TakeDay(phrase.Bits[0]);
                break;
            case Phrase.Whom:
                _whom.Add(phrase.Bits[0].Id);
                break;
            default:
                TakeSmall(phrase);
                break;
        }
    }

    private void TakeSmall(Candidate phrase)
    {
        if (phrase.Phrase == Phrase.Unplaced && _asked.Count > 0 && _asked[^1] is { } last && last.To == _r.Tokens[phrase.From - 1].To
            && last.Asks.EndsWith(Unknown, StringComparison.Ordinal) && phrase.From > 0)
        {
            // Words that stand together are asked about together.
            _asked.RemoveAt(_asked.Count - 1);
            var from = Enumerable.Range(0, _r.Count).First(i => _r.Tokens[i].From == last.From);
            AskUnknown(from, phrase.To);
        }
        else if (phrase.Phrase == Phrase.Unplaced)
        {
            var bit = phrase.Bits[^1];
            if (bit.Id == "word")
            {
                AskUnknown(bit.From, bit.To);
            }
            else if (bit.Id == "thing")
            {
                _thing = true;
                Ask(bit, $"“{bit.Name}” is none of the items here: pick the nearest, or measure yours.", Usual.Select(u => new Answer(u.Split(' ', 2)[1], u)).ToArray());
            }
            else if (bit.Id == "which")
            {
                Ask(phrase.From, phrase.To, $"Which {bit.Name.Split(' ')[^1]}? Name each, and what it is for.", [new Answer(string.Empty, "leave it out")]);
            }
            else
            {
                Ask(phrase.From, phrase.To, $"There is no “{bit.Name}” here: {Known(bit.Id)}. It is left out.", [new Answer(string.Empty, "leave it out")]);
            }
        }
    }

    private static string Known(string kind) => kind switch
    {
        "stitch" or "stitches" => $"{Say.List(Book.Lines.Take(6).Select(s => s.Name).ToArray())} are some of those in the book",
        "thread" or "threads" or "floss" => $"{Say.List(ThreadKinds.All.Select(t => t.Name).ToArray())} are",
        "hoop" => "say its size, such as a 5 inch hoop",
        "pen" => "water-erasable, heat-erasable, air-erasable and pigment pens are",
        _ => $"{Say.List(StyleNames.All.Take(6).Select(s => s.Words[0]).ToArray())} are some of the lettering styles",
    };

    private const string Unknown = "was not understood, and is left out.";

    private void AskUnknown(int from, int to)
    {
        var text = _r.Text(from, to);
        Ask(from, to, $"“{text}” {Unknown}", [new Answer($"“{text}”", "words to stitch"), new Answer(string.Empty, "nothing: leave it out")]);
    }

    private void Add(SaidElement element)
    {
        var linked = _elements.Count > 0 && !_afterItem && _zoned < _elements.Count;
        _elements.Add(element);
        _links.Add(linked || (_elements.Count > 1 && _link is not null and not "and" && !_afterItem) ? _link ?? "beside" : null);
        _link = null;
        foreach (var bit in _pending.ToArray())
        {
            if (Fits(bit, element))
            {
                _pending.Remove(bit);
                Set(_elements.Count - 1, bit);
            }
        }

        if (_pendingZone is { } zone)
        {
            _zones.Add((zone, [_elements.Count - 1]));
            _zoned = _elements.Count;
            _pendingZone = null;
        }
    }

    /// <summary>“A dragon”: behind an article a small word is a thing, and there is no such motif.</summary>
    private void AskThing(Candidate words)
    {
        var text = words.Bits[0].Id;
        var article = _r.Tokens[words.From].Text is "a" or "an" && words.To > words.From + 1 ? 1 : words.From > 0 && _r.Tokens[words.From - 1].Text is "a" or "an" or "some" ? 0
            : Numbers.Whole(_r.Tokens, words.From) is var (_, counted) && counted < words.To
                && _r.Tokens[words.From].Kind == TokenKind.Word && !_r.Capital(words.From) ? counted - words.From
            : _elements.Count > 1 && words.From > 0 && (_r.Is(words.From - 1, "with", "and", "plus") || _r.Comma(words.From - 1)) ? 0 : -1;
        if (_elements.Count > 1 && text.Contains(" on ", StringComparison.Ordinal) && _r.Tokens[words.From].Kind != TokenKind.Quoted)
        {
            Ask(words.Bits[0], $"“{text}” is taken for words to stitch. What goes on another piece is planned as a piece of its own.", [new Answer($"“{text}”", "words to stitch"), new Answer(string.Empty, "leave it out")]);
            return;
        }

        if (article >= 0 && _r.Tokens[words.From].Kind == TokenKind.Word && words.From + article < _r.Count
            && !_r.Capital(words.From + article) && !_r.Capital(words.From)
            && (_elements.Count == 1 || Enumerable.Range(words.From, words.To - words.From).All(k => !_r.Capital(k))))
        {
            Ask(words.Bits[0], $"There is no motif “{_r.Text(words.From + article, words.To)}”: it is taken for words. Take it out, or draw it and bring it in on the bench.", [new Answer($"“{text}”", "words to stitch"), new Answer(string.Empty, "leave it out")]);
        }
    }

    private void TakeMotif(Candidate phrase)
    {
        var motif = phrase.Bits.First(b => b.Meaning == Meaning.Motif);
        var count = phrase.Bits.FirstOrDefault(b => b.Meaning == Meaning.Count) is { } many ? int.Parse(many.Id,
            CultureInfo.InvariantCulture) : (int?)null;
        if (count > Arranging.MostCopies)
        {
            Ask(phrase.Bits.First(b => b.Meaning == Meaning.Count), $"{Arranging.MostCopies} of a motif is the most in one element: so many are taken.", [new Answer(Arranging.MostCopies.ToString(CultureInfo.InvariantCulture), "so many")]);
            count = Arranging.MostCopies;
        }

        var element = new SaidElement(null, motif.Id) { Count = count is 1 ? null : count };
        if (count is null && motif.Name == "many" && motif.Id is not "cherries")
        {
            element = element with { Several = true };
        }

        Add(element);
        _afterItem = false;
        foreach (var bit in phrase.Bits.Where(b => b.Meaning is not (Meaning.Motif or Meaning.Count or Meaning.Small)))
        {
            if (bit.Meaning == Meaning.Unplaced)
            {
                AskAdjective(bit);
            }
            else
            {
                Set(_elements.Count - 1, bit);
            }
        }
    }

    private void AskAdjective(Bit bit)
    {
        if (bit.Id == "how-large")
        {
            Ask(bit, $"How large is “{bit.Name}”? Until you say, the plan takes what suits the place.", [new Answer("3 cm", "3 cm across"), new Answer("6 cm", "6 cm across"), new Answer("10 cm", "10 cm across"), new Answer(string.Empty, "as suits the place")]);
        }
        else if (bit.Id == "many")
        {
            Ask(bit, $"One piece is planned at a time: for {bit.Name} of them, plan one and make a set of it.", [new Answer("a", "one")]);
        }
        else
        {
            AskUnknown(bit.From, bit.To);
        }
    }

    /// <summary>“A rabbit below”: nothing comes behind, so it tells how the two before stand.</summary>
    private void Closed()
    {
        if (_link is "in" or "around" or "above" or "below" or "before" or "after" or "beside" or "between")
        {
            TakeLink(new Bit(Meaning.Link, 0, 0, $"{_link}-it", _link));
            _link = null;
        }
    }

    private void TakeLink(Bit link)
    {
        if (!link.Id.EndsWith("-it", StringComparison.Ordinal))
        {
            _link = link.Id;
            _afterItem = _afterItem && link.Id is not ("with" or "and");
            return;
        }

        // “A wreath with W in it”: how the two before stand to each other.
        if (_elements.Count >= 2 && _links[^1] is not null)
        {
            var relation = link.Id[..^3];
            _links[^1] = relation switch
            {
                "in" => _elements[^1].IsText ? "around-first" : "in",
                "around" => _elements[^1].IsText ? "around" : "around-second",
                "above" => "below",
                "below" => "above",
                "between" => "between",
                "before" => "after",
                _ => "before",
            };
        }
    }

    private void TakeZone(Bit zone)
    {
        if (_zoned < _elements.Count)
        {
            _zones.Add((zone, Enumerable.Range(_zoned, _elements.Count - _zoned).ToArray()));
            _zoned = _elements.Count;
        }
        else
        {
            _pendingZone = zone;
        }

        _link = null;
    }

    private void TakeItem(Candidate phrase)
    {
        foreach (var bit in phrase.Bits)
        {
            switch (bit.Meaning)
            {
                case Meaning.Form when _formBit is null:
                    (_form, _formBit) = (Catalogue.Find(bit.Id), bit);
                    break;
                case Meaning.Form when bit.Id != _form?.Id:
                    Ask(bit, $"Two items were said: {Say.A(_form?.Name ?? "item")} is taken. For {Say.A(bit.Name)}, begin a second piece.", [new Answer(string.Empty, "leave it out")]);
                    break;
                case Meaning.Whom:
                    _whom.Add($"for {bit.Id[..^2].TrimEnd('\'', '’')}");
                    break;
                case Meaning.Zone:
                    TakeZone(bit);
                    break;
                case Meaning.Unplaced:
                    AskAdjective(bit);
                    break;
                default:
                    Wish(bit);
                    break;
            }
        }

        _afterItem = true;
    }

    private void TakeDay(Bit day)
    {
        var said = DateOnly.ParseExact(day.Id, "yyyy-MM-dd", CultureInfo.InvariantCulture);
        if (_due is { } first && first != said)
        {
            Ask(day, $"Two days were said: {Say.Day(first)} is taken.", [new Answer(string.Empty, "leave it out")]);
            return;
        }

        if (!_afterItem && day.From > 0 && _elements.Count > 0 && char.IsDigit(_r.Text(day.From, day.To)[0]) && _r.Text(day.From, day.To)
            .Contains(said.Year.ToString(CultureInfo.InvariantCulture), StringComparison.Ordinal))
        {
            var written = _r.Text(day.From, day.To);
            Ask(day, $"Is {written} the day it is given, or is it stitched? It is taken for the day.", [new Answer($"for {written}", "the day it is given"), new Answer($"“{written}”", "words to stitch")]);
        }

        _due = said;
    }

    private void TakePart(Candidate phrase)
    {
        var part = phrase.Bits.First(b => b.Meaning == Meaning.Part);
        _parts.Add((part, phrase.Bits.Where(b => b.Meaning is not (Meaning.Part or Meaning.Small)).ToArray(), _elements.Count - 1));
    }

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
        if (!_overrules.TryAdd(decision, choice) && _overrules[decision] != choice)
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
            Meaning.Rows => int.Parse(bit.Id, CultureInfo.InvariantCulture) is var rows && rows <= JobCheck.MostRows ? e with { Rows = rows } : Refuse(e, bit, $"One wording has 1 to {JobCheck.MostRows} lines: the plan breaks it where it helps."),
            Meaning.WordsWay or Meaning.MotifsWay => Once(bit, e.Arrangement, bit.Id, v => e with { Arrangement = v }, e),
            Meaning.Growing => e with { Growing = true },
            Meaning.Turned => e.IsText ? Refuse(e, bit, "Words are not turned upside down here: turn the item, or slope them.") : e with { TurnDegrees = 180 },
            Meaning.PartCount => e with { PartCount = int.Parse(bit.Id, CultureInfo.InvariantCulture) },
            Meaning.Width => Wide(e, bit),
            Meaning.Height => High(e, bit),
            Meaning.Length => e.IsText ? Either(e, bit) : bit.Mm is < 2 or > 1000 ? Refuse(e, bit, $"{Say.Upper(e.Called)} can be 2 to 1000 mm across.")
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

    private SaidElement Wide(SaidElement e, Bit bit)
    {
        var (least, most) = e.IsText ? (JobCheck.LeastWidthMm, JobCheck.MostWidthMm) : (2, 1000.0);
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
        var (least, most) = e.IsText ? (Lettering.LeastCapMm, Fit.MostCapMm) : (2, 1000.0);
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

        var lab = Colour.Parse(bit.Id).ToLab();
        var near = Palette.Colours.MinBy(c => ColourDifference.Ciede2000(Colour.Parse(c.Hex).ToLab(), lab)) ?? Palette.Colours[0];
        _means[bit.From] = $"{near.Name}, nearest to {bit.Name}";
        return near.Hex;
    }

    private void Ask(Bit bit, string question, IReadOnlyList<Answer> answers) => Ask(bit.From, bit.To, question, answers);

    private void Ask(int from, int to, string question, IReadOnlyList<Answer> answers)
    {
        var (start, end) = from >= _r.Count ? (_r.Said.Length, _r.Said.Length) : (_r.Tokens[from].From, _r.Tokens[to - 1].To);
        if (!_asked.Exists(a => a.From == start && a.To == end && a.Asks == question))
        {
            _asked.Add(new Question(start, end, question, answers));
        }
    }

    /// <summary>What only the whole saying tells: parts, ties, item, size, zones, and what is missing.</summary>
    private void Finish(string? picked)
    {
        Closed();
        _form ??= picked is null ? null : Catalogue.Find(picked);
        Parts();
        foreach (var bit in _pending)
        {
            Ask(bit, bit.Meaning is Meaning.Style or Meaning.Rows && _elements.Count > 0 ? $"“{bit.Name}” is for words, and there are none: it is left out." : $"“{bit.Name}” has nothing it could belong to yet: say what is stitched.", []);
        }

        MadeUp();
        Plies();
        Zones();
        Together();
        Size();
        Styles();
        Fills();
        if (_form is { ByPattern: false } bought && _unsewn && _sewn is { } sewn)
        {
            Ask(sewn, $"{Say.Upper(Say.A(bought.Name))} is planned as it is bought.", []);
        }

        if (_elements.Count == 0)
        {
            var names = _whom.Select(w => w.Split(' ', 2)[^1]).Where(w => char.IsUpper(w[0])).Select(w => new Answer($" saying “{w}”", $"the name {w}"));
            Ask(_r.Count, _r.Count, "What is to go on it?", [.. names, new Answer(" with a heart", "a heart"), new Answer(" with a leaf sprig", "a leaf sprig")]);
        }

        if (_form is null)
        {
            AskItem();
        }
    }

    private void AskItem()
    {
        if (!_thing)
        {
            Ask(_r.Count, _r.Count, "What does it go on?", Usual.Select(u => new Answer($" on {u}", u)).ToArray());
        }
    }

    /// <summary>Items that are offered where none was understood.</summary>
    private static readonly string[] Usual = ["a tote", "a tea towel", "a baby bodysuit", "a napkin"];

    private bool _thing;

    private void MadeUp()
    {
        if (_makeUp is { As: var way } && _form is null)
        {
            _form = Catalogue.Forms.FirstOrDefault(f => f.Loose == MakeUp.Known.FirstOrDefault(k => k.Id == way).Cloth
                && MakeUp.Known.Any(k => k.Id == way));
        }

        if (_makeUp is { } up && _form is { } form && up.As != MakeUp.Frayed && MakeUp.Known.FirstOrDefault(k => k.Id == up.As)
            .Cloth != form.Loose && _makeUpBit is { } bit)
        {
            Ask(bit, $"{Say.Upper(Say.A(form.Name))} is not made up like that: “{_r.Text(bit.From, bit.To)}” is left out.", [new Answer(string.Empty, "leave it out")]);
            _makeUp = null;
        }
    }

    private void Parts()
    {
        foreach (var (part, wishes, last) in _parts)
        {
            var at = Enumerable.Range(0, _elements.Count).Reverse().OrderByDescending(i => i <= last).FirstOrDefault(i =>
                RoleOf(_elements[i], part.Id) is not null, -1);
            if (at < 0 && MotifLibrary.Find(part.Id) is not null)
            {
                // Cheeks on a toy are motifs of their own.
                _elements.Add(new SaidElement(null, part.Id) { Several = _r.Text(part.From, part.To).EndsWith('s') });
                _links.Add(null);
                foreach (var wish in wishes)
                {
                    Set(_elements.Count - 1, wish);
                }

                continue;
            }

            if (at < 0)
            {
                var whole = wishes.FirstOrDefault(w => w.Meaning == Meaning.Craft);
                Ask(part, $"Nothing here has {Say.Many(part.Name)}: wishes for them hold for a motif.", [new Answer(string.Empty, "leave it out")]);
                _ = whole;
                continue;
            }

            SetPart(at, part with { Id = RoleOf(_elements[at], part.Id) ?? part.Id }, wishes);
        }
    }

    /// <summary>The role of a part by what it is called on a motif; null where the motif has none such.</summary>
    private static string? RoleOf(SaidElement e, string said) => MotifNames.Parts.FirstOrDefault(p => p.Motif == e.Motif && p.Said == said)
        .Role
        ?? RolesOf(e).FirstOrDefault(r => r == said);

    private void SetPart(int at, Bit part, IReadOnlyList<Bit> wishes)
    {
        if (wishes.FirstOrDefault(w => w.Meaning == Meaning.PartCount) is { } many)
        {
            Set(at, many);
            return;
        }

        var wish = new PartAsked(part.Id);
        foreach (var bit in wishes)
        {
            switch (bit.Meaning)
            {
                case Meaning.Colour:
                    wish = wish with { Colour = HexOf(bit) };
                    break;
                case Meaning.Stitch or Meaning.Fill:
                    wish = wish with { Stitch = bit.Id };
                    break;
                case Meaning.Thread:
                    wish = wish with { Thread = bit.Id };
                    break;
                case Meaning.Craft when bit.Id == "beads":
                    wish = wish with { Stitch = BeadedParts.Stitch };
                    break;
                case Meaning.Craft when bit.Id != "stitch":
                    Ask(bit, $"A part of a motif is stitched or beaded: “{bit.Name}” is for a whole motif, and is left out here.", [new Answer(string.Empty, "leave it out")]);
                    break;
                case Meaning.Strands when int.Parse(bit.Id, CultureInfo.InvariantCulture) is var n && Bundle.Is(n):
                    wish = wish with { Strands = n };
                    break;
                case Meaning.Strands:
                    Ask(bit, $"A thread cannot be {bit.Name} thick: for the {part.Name} the plan takes what suits it.", []);
                    break;
                default:
                    break;
            }
        }

        if (wish != new PartAsked(part.Id))
        {
            _elements[at] = _elements[at] with { Parts = [.. _elements[at].Parts, wish] };
        }
    }

    private static IReadOnlyList<string> RolesOf(SaidElement e) => e.Motif is null || MotifLibrary.Find(e.Motif) is not { } motif ? []
        : motif.Draw(new MotifShape(motif.Counted?.Most)).Parts.Select(p => p.Role).Distinct(StringComparer.Ordinal).ToArray();

    /// <summary>A motif that nothing else was said of goes with the words beside it, at the place that was said.</summary>
    private void Together()
    {
        for (var i = _elements.Count - 1; i > 0; i--)
        {
            var (a, b, link) = (_elements[i - 1], _elements[i], _links[i]);
            if (link is null || a.IsText == b.IsText || a.Zone != b.Zone || (a.IsText ? a : b).Beside is not null)
            {
                continue;
            }

            var (words, motif) = a.IsText ? (a, b) : (b, a);
            var bare = motif.Plain || (motif with { Colour = null, Thread = null, Strands = null, Stitch = null, Zone = null }).Plain
                && motif.Colour == words.Colour && motif.Thread == words.Thread && motif.Strands == words.Strands
                    && motif.Stitch == words.Stitch;
            var frame = MotifLibrary.Find(motif.Motif ?? string.Empty)?.Shelf == MotifShelf.Frames;
            var place = (link, a.IsText) switch
            {
                ("in", true) or ("around", false) or ("around-first", false) or ("around-second", true) or ("ringed", true) => "around",
                ("around", true) => "ring-round",
                ("above", true) or ("below", false) => "below",
                ("below", true) or ("above", false) => "above",
                ("before", true) or ("after", false) => "after",
                ("after", true) or ("before", false) => "before",
                ("between", _) => "between",
                (_, false) => frame ? "around" : "before",
                _ => frame ? "around" : null,
            };
            if (place == "ring-round")
            {
                // Words round a motif go round it in a ring.
                _elements[i - 1] = a with { Arrangement = a.Arrangement ?? "ring" };
                continue;
            }

            if (!bare && place == "around" && motif is { Arrangement: null } && motif.Count is > 1 or null && (motif.Several || motif.Count is > 1))
            {
                // Several round the words go round them in a ring.
                _elements[a.IsText ? i : i - 1] = motif with { Arrangement = "ring" };
                continue;
            }

            if (!bare || (frame && place != "around"))
            {
                if (link is not ("with" or "and" or "beside" or "in" or "around" or "around-first" or "ringed"))
                {
                    AskPlace(link, motif);
                }

                continue;
            }

            _elements[a.IsText ? i - 1 : i] = words with { Beside = motif.Motif, BesidePlace = place == "around" && frame ? null : place };
            _elements.RemoveAt(a.IsText ? i : i - 1);
            _links.RemoveAt(i);
        }
    }

    /// <summary>Where a motif with wishes of its own stands to the words is not kept by a job: that is said.</summary>
    private void AskPlace(string link, SaidElement motif)
    {
        var said = Enumerable.Range(0, _r.Count).FirstOrDefault(k => _r.Is(k, "above", "below", "under", "underneath", "beneath", "over", "before", "after", "between", "around", "round"), -1);
        if (said >= 0)
        {
            Ask(said, said + 1, $"Where {motif.Called} stands to the words is left to the plan ({link.Split('-')[0]} was said): what has wishes of its own stands by itself, and is moved on the bench.", [new Answer(string.Empty, "leave it out")]);
        }
    }

    private void Zones()
    {
        if (_pendingZone is { } pending)
        {
            _zones.Add((pending, []));
        }

        foreach (var (bit, elements) in _zones)
        {
            var text = _r.Text(bit.From, bit.To);
            if (_form is not { } form)
            {
                continue;
            }

            if (FormFinding.ZoneOf(form, text) is { } zone)
            {
                _means[bit.From] = form.Zones.First(z => z.Id == zone).Name;
                _zone ??= zone;
                foreach (var at in elements.Count > 0 ? elements : Enumerable.Range(0, _elements.Count).Where(i =>
                    _elements[i].Zone is null).ToArray())
                {
                    _elements[at] = _elements[at] with { Zone = zone };
                }
            }
            else if (_r.Is(bit.From, "along") && _r.Text(bit.From, bit.To) is var edge && (edge.Contains("edge", StringComparison.Ordinal) || edge.Contains("hem", StringComparison.Ordinal)) && elements.Any(e => _elements[e].IsText))
            {
                _means[bit.From] = "along the edge";
                foreach (var at in elements.Where(e => _elements[e].IsText))
                {
                    _elements[at] = _elements[at] with { Arrangement = "edge" };
                }
            }
            else
            {
                Ask(bit, $"{Say.Upper(Say.A(form.Name))} has no “{string.Join(' ', text.Split(' ').SkipWhile(w => w is "on" or "in" or "at" or "the" or "a" or "its" or "her" or "his"))}”.",
                    form.Zones.Select(z => new Answer($"on the {z.Name.Split(',')[0]}", z.Name)).ToArray());
            }
        }
    }

    private void Size()
    {
        if (_form is not { } form || (_size is null && _lined != true))
        {
            return;
        }

        var said = _size?.Id ?? string.Empty;
        _sizeId = FormFinding.SizeOf(form, said, _lined == true);
        if (_sizeId is null && form.Id == "t-shirt-adult" && FormFinding.SizeOf(Catalogue.Find("t-shirt-child") ?? form, said, false) is { } small)
        {
            (_form, _sizeId) = (Catalogue.Find("t-shirt-child"), small);
        }

        if (_sizeId is not null)
        {
            // Lined is part of its size.
            _lined = null;
            return;
        }

        if (_size is { } size)
        {
            Ask(size, $"{Say.Upper(Say.A(form.Name))} has no size “{size.Id}”.", form.Sizes.Take(8).Select(s => new Answer($"size {s.Id}", s.Name.ToString())).ToArray());
        }
    }

    private string? _sizeId;
    private string? _zone;

    /// <summary>
    /// Lettering in capitals alone is told where the words have small letters; two initials and more are a monogram of at most three.
    /// </summary>
    private void Styles()
    {
        for (var i = 0; i < _elements.Count; i++)
        {
            if (_elements[i] is { Arrangement: "monogram", Text: { } text } e)
            {
                var letters = new string(text.Where(char.IsLetter).ToArray());
                if (text != letters && letters.Length <= Arrangement.MostInitials && letters.Length > 0)
                {
                    _elements[i] = e with { Text = letters };
                }
                else if (letters.Length > Arrangement.MostInitials)
                {
                    var at = _r.Tokens.Select((t, k) => (t, k)).FirstOrDefault(t => text.StartsWith(t.t.Inner, StringComparison.Ordinal)).k;
                    Ask(at, at + 1, $"A monogram has up to {Arrangement.MostInitials} letters: “{text}” stands level.", []);
                    _elements[i] = e with { Arrangement = null };
                }
            }
        }
    }

    /// <summary>What fills areas does nothing for letters of single strokes: that is said where it was wished.</summary>
    private void Fills()
    {
        foreach (var e in _elements.Where(e => e is { IsText: true, Fill: not null }))
        {
            var filled = e.Style is not null && !e.Style.EndsWith("-hand", StringComparison.Ordinal) && e.Style != "plain-capitals";
            var at = _r.Tokens.Select((_, k) => _r.Hits(k, Meaning.Fill).FirstOrDefault(h => h.Entry.Id == e.Fill)).FirstOrDefault(h =>
                h is not null);
            if (!filled && at is not null)
            {
                Ask(at.Bit, $"{Say.Upper(at.Entry.Name)} fills areas: letters of single strokes have none, so take letters with weight, or they are written in what suits the height.",
                    [new Answer($"{_r.Text(at.From, at.To)} in round sans", "letters with weight, filled")]);
            }
        }
    }

    private void AskTies(IReadOnlyList<Tie> ties)
    {
        foreach (var tie in ties)
        {
            var text = _r.Text(tie.From, tie.To);
            var (taken, other) = (Rephrasing.Of(tie.Taken, text), Rephrasing.Of(tie.Other, text));
            Ask(tie.From, tie.To, $"“{text}” is taken for {taken.Means}. It could be {other.Means}.", [taken, other]);
        }
    }

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
            Overrules = _overrules,
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
