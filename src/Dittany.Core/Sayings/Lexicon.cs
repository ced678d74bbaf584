using Dittany.Core.Crafts;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.StitchBook;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Core.Sayings;

/// <summary>
/// One thing that can be said, by the words for it. <paramref name="Weak"/>: a word that is as often something else, and counts for little
/// where nothing introduces it.
/// </summary>
internal sealed record Entry(Meaning Meaning, string Id, string Name, bool Many = false, bool Weak = false)
{
    /// <summary>How a colour looks, where <see cref="Id"/> is none of ours.</summary>
    public string? Hex { get; init; }
}

/// <summary>An entry found in a saying: it ends before token <paramref name="To"/>, and one letter of it may be wrong.</summary>
internal sealed record Hit(Entry Entry, int From, int To, bool Guessed)
{
    public Bit Bit => new(Entry.Meaning, From, To, Entry.Id, Entry.Name) { Guessed = Guessed };
}

/// <summary>
/// All that can be said, made once from what the library holds and what it is also called. Looked up by the words, with one wrong letter
/// forgiven in words of four letters and more.
/// </summary>
internal sealed class Lexicon
{
    private const int LeastGuessed = 4;

    /// <summary>Shorter words are put right only where an item is meant: “aprn”, but never “time”.</summary>
    private const int LeastElsewhere = 5;

    private readonly Dictionary<string, List<(string[] Keys, Entry Entry)>> _byFirst = new(StringComparer.Ordinal);
    private readonly HashSet<string> _known = new(StringComparer.Ordinal);
    private readonly Dictionary<string, List<string>> _without = new(StringComparer.Ordinal);

    private static readonly Lazy<Lexicon> Made = new(() => new Lexicon());

    /// <summary>The one lexicon; made when the first saying is read.</summary>
    public static Lexicon Shared => Made.Value;

    private Lexicon()
    {
        foreach (var form in Catalogue.Forms)
        {
            Add(Meaning.Form, form.Id, form.Name, form.AlsoCalled.Append(form.Name), plurals: true);
        }

        foreach (var motif in MotifLibrary.All)
        {
            var more = MotifNames.All.FirstOrDefault(m => m.Id == motif.Id)?.Words ?? [];
            Add(Meaning.Motif, motif.Id, motif.Name, more.Append(motif.Name), plurals: true);
        }

        foreach (var (role, said) in Roles())
        {
            Add(Meaning.Part, role, role.Replace('-', ' '), [said], plurals: true);
        }

        Stitches();
        foreach (var kind in ThreadKinds.All)
        {
            Add(Meaning.Thread, kind.Id, kind.Name, Also(ThreadNames.All, kind.Id).Append(kind.Name));
        }

        Colours();
        foreach (var cloth in Cloths.All)
        {
            Add(Meaning.Cloth, cloth.Id, cloth.Name, Also(ClothNames.All, cloth.Id).Append(cloth.Name));
        }

        AddAll(Meaning.Style, StyleNames.All);
        AddAll(Meaning.WordsWay, ArrangementNames.OfWords);
        AddAll(Meaning.MotifsWay, ArrangementNames.OfMotifs);
        AddAll(Meaning.Transfer, TransferNames.Methods, id => Methods.All.First(m => m.Id == id).Name);
        AddAll(Meaning.Marker, TransferNames.Markers);
        AddAll(Meaning.Stabiliser, TransferNames.Stabilisers);
        AddAll(Meaning.Craft, CraftNames.All, id => AllCrafts.Find(id)?.Name ?? "stitched");
        AddAll(Meaning.Hold, HoopNames.Schools);
        Add(Meaning.Growing, "growing", "as they grow", ArrangementNames.Growing);
        Add(Meaning.Hand, "left", "the left hand", ["left handed", "left hander", "lefthanded", "left hand", "with my left hand", "my left hand"]);
        Add(Meaning.Hand, "right", "the right hand", ["right handed", "right hander", "righthanded", "with my right hand", "my right hand"]);
        foreach (var (size, words) in SizeWords)
        {
            Add(Meaning.FormSize, size, size, words);
        }

        Add(Meaning.Lined, "lined", "lined", ["lined"]);
        Known(SmallWords.All.Concat(DayPhrases.Words).Concat(Numbers.Words).Concat(["size", "sized", "unsewn"]));
    }

    /// <summary>Sizes by a word; matched with the sizes of the form.</summary>
    private static readonly (string Id, string[] Words)[] SizeWords =
    [
        ("xs", ["xs", "extra small"]), ("s", ["s"]), ("m", ["m", "medium"]), ("l", ["l"]), ("xl", ["xl", "extra large"]), ("xxl", ["xxl", "2xl"]), ("small", ["small"]), ("large", ["large"]),
        ("child", ["child", "child's", "child's size", "for a child"]), ("stuffed", ["stuffed", "filled with wadding"]), ("flat", ["flat"]), ("women-s", ["women's s", "ladies s"]), ("women-m", ["women's m", "ladies m"]), ("women-l", ["women's l", "ladies l"]),
        ("a3", ["a3"]), ("a4", ["a4"]), ("a5", ["a5"]), ("heart", ["heart shaped"]), ("star", ["star shaped"]), ("round", ["round"]), ("house", ["house shaped"]), ("six-panel", ["six panel", "6 panel"]), ("five-panel", ["five panel", "5 panel"]),
    ];

    /// <summary>Whether a word is one of the lexicon’s.</summary>
    public bool Knows(string key) => _known.Contains(key);

    /// <summary>Everything that begins at a token, the longest first; the guesses last.</summary>
    public IReadOnlyList<Hit> At(IReadOnlyList<Token> tokens, int at)
    {
        var token = tokens[at];
        if (token.Kind is TokenKind.Quoted or TokenKind.Mark)
        {
            return [];
        }

        var found = new List<Hit>();
        foreach (var (first, guessed) in Likely(token))
        {
            foreach (var (keys, entry) in _byFirst.GetValueOrDefault(first) ?? [])
            {
                var wrong = guessed ? 1 : 0;
                var k = 1;
                for (; k < keys.Length && at + k < tokens.Count; k++)
                {
                    var there = tokens[at + k];
                    if (there.Kind is TokenKind.Quoted or TokenKind.Mark)
                    {
                        break;
                    }

                    if (there.Key != keys[k])
                    {
                        if (wrong > 0 || _known.Contains(there.Key) || there.Key.Length < LeastGuessed || Slips.Between(there.Key,
                            keys[k]) > 1)
                        {
                            break;
                        }

                        wrong++;
                    }
                }

                if (k == keys.Length && (wrong == 0 || entry.Meaning == Meaning.Form || token.Key.Length >= LeastElsewhere || !guessed))
                {
                    found.Add(new Hit(entry, at, at + k, wrong > 0));
                }
            }
        }

        return found.OrderBy(h => h.Guessed).ThenByDescending(h => h.To).DistinctBy(h => (h.Entry.Meaning, h.Entry.Id, h.To)).ToArray();
    }

    /// <summary>A word as it stands, or the known words one letter from it.</summary>
    public IEnumerable<(string Key, bool Guessed)> Likely(Token token)
    {
        if (_known.Contains(token.Key) || token.Kind != TokenKind.Word)
        {
            return [(token.Key, false)];
        }

        return token.Key.Length < LeastGuessed || token.AllCapitals ? [] : Variants(token.Key).SelectMany(v =>
            _without.GetValueOrDefault(v) ?? [])
            .Distinct(StringComparer.Ordinal).Where(w => Slips.Between(w, token.Key) == 1).Select(w => (w, true));
    }

    private void Stitches()
    {
        foreach (var line in Book.Lines)
        {
            AddStitch(Meaning.Stitch, line.Id, line.Name, Also(StitchNames.Lines, line.Id));
        }

        foreach (var fill in Book.Fills)
        {
            AddStitch(Meaning.Fill, fill.Info.Id, fill.Info.Name, Also(StitchNames.Fills, fill.Info.Id));
        }

        void AddStitch(Meaning meaning, string id, string name, IEnumerable<string> also)
        {
            foreach (var said in also.Append(name).Append(id.Replace('-', ' ')).Distinct(StringComparer.Ordinal))
            {
                var bare = said.EndsWith(" stitch", StringComparison.Ordinal) ? said[..^7] : said.EndsWith(" stitches", StringComparison.Ordinal)
                    ? said[..^9] : said;
                var weak = !bare.Contains(' ', StringComparison.Ordinal) && bare is not ("backstitch" or "couching");
                if (bare is not ("back" or "flat" or "loop"))
                {
                    Add(meaning, id, name, [bare], weak: weak);
                }

                Add(meaning, id, name, [$"{bare} stitch", $"{bare} stitches", $"{bare} stitching"]);
            }
        }
    }

    private void Colours()
    {
        foreach (var colour in Palette.Colours)
        {
            Add(Meaning.Colour, colour.Hex, colour.Name, [colour.Name, colour.Id, .. Also(ColourNames.Threads, colour.Id)], weak: true);
        }

        foreach (var (word, hex) in ColourNames.Others)
        {
            Add(Meaning.Colour, hex, word, [word], weak: true, hex: hex);
        }

        foreach (var colour in ClothColours.All)
        {
            Add(Meaning.ClothColour, colour.Hex, colour.Name, colour.AlsoCalled.Append(colour.Name));
        }

        foreach (var (word, hex) in ColourNames.Cloths.Where(c => ClothColours.Find(c.Word) is null))
        {
            Add(Meaning.ClothColour, hex, word, [word]);
        }
    }

    private readonly Dictionary<string, string[]> _parts = MotifLibrary.All.ToDictionary(m => m.Id, m =>
        m.Draw(new MotifShape(m.Counted?.Most)).Parts.Select(p => p.Role)
        .Concat(MotifNames.Parts.Where(p => p.Motif == m.Id).Select(p => p.Said)).Distinct(StringComparer.Ordinal).ToArray(),
            StringComparer.Ordinal);

    /// <summary>Parts of a motif, by role and by what people call them.</summary>
    public IReadOnlyList<string> PartsOf(string motif) => _parts.GetValueOrDefault(motif) ?? [];

    /// <summary>What parts of our motifs are called.</summary>
    private IEnumerable<(string Role, string Said)> Roles() => _parts.Values.SelectMany(p => p).Where(r => r != "outline").Distinct(StringComparer.Ordinal)
        .Select(r => (r, r.Replace('-', ' '))).Append(("centre", "center"));

    private static IEnumerable<string> Also(IReadOnlyList<AlsoCalled> list, string id) => list.FirstOrDefault(a => a.Id == id)?.Words ?? [];

    private void AddAll(Meaning meaning, IReadOnlyList<AlsoCalled> all, Func<string, string>? name = null)
    {
        foreach (var one in all)
        {
            Add(meaning, one.Id, name?.Invoke(one.Id) ?? one.Words[0], one.Words);
        }
    }

    private void Add(Meaning meaning, string id, string name, IEnumerable<string> words, bool plurals = false, bool weak = false,
        string? hex = null)
    {
        foreach (var word in words.Distinct(StringComparer.OrdinalIgnoreCase))
        {
            Put(word, new Entry(meaning, id, name, false, weak) { Hex = hex });
            if (plurals && Say.Many(word) is var many && many != word)
            {
                Put(many, new Entry(meaning, id, name, true, weak) { Hex = hex });
            }
        }
    }

    private void Put(string words, Entry entry)
    {
        var keys = words.Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries).Select(Tokens.KeyOf).ToArray();
        if (!_byFirst.TryGetValue(keys[0], out var list))
        {
            _byFirst[keys[0]] = list = [];
        }

        list.Add((keys, entry));
        Known(keys);
    }

    private void Known(IEnumerable<string> keys)
    {
        foreach (var key in keys.Where(_known.Add).Where(k => k.Length >= LeastGuessed))
        {
            foreach (var variant in Variants(key))
            {
                if (!_without.TryGetValue(variant, out var words))
                {
                    _without[variant] = words = [];
                }

                words.Add(key);
            }
        }
    }

    /// <summary>A word, and all it becomes with one letter left out: two words one letter apart share one of them.</summary>
    private static IEnumerable<string> Variants(string word) => Enumerable.Range(0, word.Length).Select(i => word.Remove(i, 1)).Append(word)
        .Distinct(StringComparer.Ordinal);
}
