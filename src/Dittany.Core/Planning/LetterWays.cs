using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// How one letter, or a run of joined ones, is made: stitch and strands, a colour of its own or null, a fill wished for it, and what is
/// wrong with that.
/// </summary>
internal sealed record LetterWay(Pair Pair, string? Colour, PartAsked? Wish, IReadOnlyList<Concern> Concerns);

/// <summary>
/// Letter by letter: what is wished for single ones, and words varied in several textures. Joined letters are one line and go one way.
/// </summary>
internal sealed class LetterWays
{
    /// <summary>Textures of a varied word are at most this much bolder than its own, so that no letter shouts (from memory).</summary>
    private const double MostBolder = 1.45;

    /// <summary>And at the least so bold, so that none is lost beside the others (from memory).</summary>
    private const double LeastBold = 0.6;

    private readonly TextElement _asked;
    private readonly LetteringAnswer _answer;
    private readonly IReadOnlyList<string> _letters;
    private readonly int[] _places;
    private readonly bool _areas;
    private readonly IReadOnlyList<Pair> _textures;
    private readonly HashSet<LetterAsked> _followed = [];
    private readonly List<Told> _notFollowed = [];
    private readonly List<(string Letter, int Index)> _told = [];
    private int _turn;

    public LetterWays(TextElement asked, LetteringQuestion question, LetteringAnswer answer, bool varied)
    {
        (_asked, _answer) = (asked, answer);
        _letters = Rows.Letters(asked.Text.ReplaceLineEndings(" "));
        _places = Enumerable.Range(0, _letters.Count).Where(i => !Rows.IsSpace(_letters[i])).ToArray();
        _areas = question.Alphabet.Kind == AlphabetKind.Weighted;
        _textures = varied ? Textures(answer) : [];
        if (varied && _textures.Count < 2)
        {
            _notFollowed.Add($"At {Say.Length(answer.CapMm)} no other stitch reads as well, so all letters are in "
                + $"{answer.Pair.Stitch.Name}. Make the words larger.");
        }
    }

    /// <summary>
    /// Stitches a word of this height reads in, the one settled for it first: each with as many strands as come nearest to its weight.
    /// </summary>
    private static IReadOnlyList<Pair> Textures(LetteringAnswer answer)
    {
        var width = answer.Pair.LineWidthMm;
        var kind = answer.Pair.Size.Kind;
        return [answer.Pair, .. Book.Solid.Where(s => s != answer.Pair.Stitch && ThreadRules.Against(kind, s) is null).SelectMany(s =>
            kind.Plies.Where(n => n <= Bundle.Most).Select(n => new Pair(s, answer.Pair.Size.With(n)))
            .Where(p => p.Stitch.LeastCapMm(p.Size) <= answer.CapMm
            && p.LineWidthMm <= MostBolder * width && p.LineWidthMm >= LeastBold * width)
            .OrderBy(p => Math.Abs(p.LineWidthMm - width)).Take(1))];
    }

    /// <summary>The way of a letter, or of letters that are one line.</summary>
    public LetterWay Of(LetterGroup group)
    {
        var count = Rows.Letters(group.Letter).Count;
        var indices = Enumerable.Range(group.Index, count).Where(i => i < _places.Length).Select(i => _places[i]).ToArray();
        var wishes = indices.Select(i => _asked.Letters.LastOrDefault(w => w.Index == i)).ToArray();
        var first = wishes.FirstOrDefault();
        var hers = wishes.All(w => w is not null && first is not null && w with { Index = 0 } == first with { Index = 0 }) ? first : null;
        foreach (var wish in wishes.OfType<LetterAsked>())
        {
            if (hers is not null)
            {
                _followed.Add(wish);
            }
            else
            {
                _notFollowed.Add($"Your wish for the {_letters[wish.Index]} is not followed: “{group.Letter}” is one line. Wish the same for "
                    + $"all of it, or take letters that are not joined.");
            }
        }

        var pair = hers is null && _textures.Count > 1 ? _textures[_turn++ % _textures.Count] : _answer.Pair;
        PartAsked? fill = null;
        if (hers?.Stitch is { } stitch)
        {
            if (Book.Fill(stitch) is { } area)
            {
                fill = new PartAsked("letter", Stitch: stitch);
                if (!_areas)
                {
                    _notFollowed.Add($"{Say.Upper(area.Info.Name)} for {group.Named}, your wish, is not followed: it fills areas, and this "
                        + $"hand is all lines. Take letters with weight.");
                }
            }
            else if (ThreadRules.Against(pair.Size.Kind, Book.Find(stitch).Sure()) is { } cannot)
            {
                _notFollowed.Add(ThreadChoice.Unworked(Named(stitch), group.Named, pair.Size.Kind, cannot));
            }
            else
            {
                (pair, fill) = (pair with { Stitch = Book.Find(stitch).Sure() }, new PartAsked("letter", Stitch: stitch));
            }
        }

        if (hers?.Strands is { } strands)
        {
            if (pair.Size.Kind.Plies.Contains(strands))
            {
                pair = pair.With(strands);
            }
            else
            {
                _notFollowed.Add(ThreadChoice.Unheld(strands, pair.Size.Kind));
            }
        }

        var way = new LetterWay(pair, hers?.Colour is { } colour ? Palette.HexOf(colour) : null,
            fill, Concerns(group, pair));
        if (hers is not null || _textures.Count > 1)
        {
            _told.Add((group.Letter, group.Index));
        }

        return way;
    }

    private static string Named(string stitch) => (Book.Fill(stitch) ?? Book.Find(stitch)).Sure().Name;

    private IReadOnlyList<Concern> Concerns(LetterGroup group, Pair pair)
    {
        var least = pair.Stitch.LeastCapMm(pair.Size) * (_answer.Setting.CapitalsOnly ? Book.CapitalsAlone : 1);
        return _areas || pair == _answer.Pair || _answer.CapMm >= least - 1e-9 ? [] :
        [
            new Concern("too-heavy", group.Letter, Math.Round(least - _answer.CapMm, 3),
                $"For {group.Named} at {Say.Length(_answer.CapMm)} {pair.Stitch.Name} with {pair.Size.Said} is heavy: it "
                    + $"wants at least {Say.Length(least)}.", [new Remedy(CapHeightMm: Math.Ceiling(least))]),
        ];
    }

    /// <summary>The decision that tells of single letters.</summary>
    public Decision Told(DecisionKey id, string? hers, IReadOnlyList<Part> parts)
    {
        foreach (var letter in _asked.Letters.Where(w => _asked.Letters.Last(x => x.Index == w.Index) == w && !_followed.Contains(w)
            && _notFollowed.Count == 0))
        {
            _notFollowed.Add($"Your wish for the {_letters[letter.Index]} is not followed: no such letter is stitched.");
        }

        var wished = _asked.Letters.Count > 0 && _told.Count > 0;
        Told[] because = _told.Count == 0 ? [$"All of it is in {_answer.Pair.Stitch.Name}, so that the word is read as one."]
            : [.. _told.SelectMany(t => parts.Where(p => p.LetterIndex == t.Index && p.Role == "letter").OrderBy(p => p.Filling is null)
                    .Take(1).Select(p => (t.Letter, p.Stitch, Size: p.Thread.Size, p.Colour))).GroupBy(t =>
                    (t.Stitch, t.Size, t.Colour)).Select(g =>
                (Told)$"{Say.List(g.Select(t => t.Letter).Distinct(StringComparer.Ordinal).ToArray())} in {Named(g.Key.Stitch)}, {g.Key.Size.Said}, {Palette.NameOf(g.Key.Colour)}."),
                .. hers == LetterTextures.Varied && _textures.Count > 1
                    ? [(Told)"Each stitch is one that reads at this height, about as bold as the word's own."] : Array.Empty<Told>()];
        return Deciding.Make(id, Station.Stitches, "Letter by letter", new Choice(LetterTextures.Alike, wished && hers is null
                ? "Single letters as you wished" : "All letters alike"),
            hers is null ? null : LetterTextures.Choices.FirstOrDefault(c => c.ChoiceId == hers), because,
            ["A wish for single letters, or a word varied letter by letter."], LetterTextures.Choices) with
        {
            NotFollowed = _notFollowed.Count == 0 ? null : _notFollowed.DistinctBy(t => t.ToString(), StringComparer.Ordinal).ToArray(),
            UnfollowedWish = true,
        };
    }
}
