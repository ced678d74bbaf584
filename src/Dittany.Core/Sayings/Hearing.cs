using System.Globalization;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
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
internal sealed partial class Hearing
{
    private readonly Reading _r;
    private readonly List<SaidElement> _elements = [];

    /// <summary>How each element stands to the one before it; null where something else came between.</summary>
    private readonly List<string?> _links = [];

    private readonly List<(Bit Bit, IReadOnlyList<int> Elements)> _zones = [];
    private readonly List<Bit> _pending = [];
    private readonly List<(Bit Part, IReadOnlyList<Bit> Wishes, int Last)> _parts = [];
    private readonly List<Question> _asked = [];
    private readonly Dictionary<string, string> _overrides = new(StringComparer.Ordinal);
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

    private void Ask(Bit bit, string question, IReadOnlyList<Answer> answers) => Ask(bit.From, bit.To, question, answers);

    private void Ask(int from, int to, string question, IReadOnlyList<Answer> answers)
    {
        var (start, end) = from >= _r.Count ? (_r.Said.Length, _r.Said.Length) : (_r.Tokens[from].From, _r.Tokens[to - 1].To);
        if (!_asked.Exists(a => a.From == start && a.To == end && a.Asks == question))
        {
            _asked.Add(new Question(start, end, question, answers));
        }
    }
}
