using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Sayings;

/// <summary>Reads the words of a change: what they name that is in the piece, and what it becomes.</summary>
internal sealed partial class ChangeReader(Reading r, Job job, Plan plan)
{
    /// <summary>
    /// So far things are moved where nobody said how far, mm, and the share by which they grow; “a bit” and “much” beside (from memory).
    /// </summary>
    private static readonly (double MovesMm, double GrowsBy)[] Steps = [(2, 0.06), (5, 0.15), (12, 0.35)];

    private const int Usual = 1;

    private static readonly Dictionary<string, Pt> Ways = new(StringComparer.Ordinal)
    {
        ["up"] = new(0, -1),
        ["upwards"] = new(0, -1),
        ["higher"] = new(0, -1),
        ["down"] = new(0, 1),
        ["downwards"] = new(0, 1),
        ["lower"] = new(0, 1),
        ["left"] = new(-1, 0),
        ["right"] = new(1, 0),
    };

    private static readonly Dictionary<string, int> Sizes = new(StringComparer.Ordinal)
    {
        ["bigger"] = 1,
        ["larger"] = 1,
        ["taller"] = 1,
        ["wider"] = 1,
        ["smaller"] = -1,
        ["shorter"] = -1,
        ["narrower"] = -1,
    };

    private static readonly string[] Taking = ["without", "remove", "delete", "drop", "no", "minus"];

    /// <summary>One way to change a job, and how it is told.</summary>
    private sealed record Done(string Told, Func<Job, Job> Edit);

    private readonly List<string> _targets = [];
    private readonly List<string> _roles = [];
    private readonly List<Bit> _values = [];
    private readonly List<Done> _done = [];
    private readonly List<Question> _asked = [];
    private bool _takes;
    private bool _adds;
    private int _step = Usual;
    private Pt? _way;
    private int _grows;
    private int _thicker;
    private double? _byMm;

    public SaidChange Read()
    {
        for (var at = 0; at < r.Count;)
        {
            at = Take(at);
        }

        Apply();
        if (_done.Count == 0 && _asked.Count == 0)
        {
            Ask(0, r.Count, $"“{r.Said}” changes nothing here: say what of it, and how it is to be.");
        }

        return new SaidChange(_done.Count == 0 ? null : j => _done.Aggregate(j, (now, d) => d.Edit(now)), _done.Select(d => d.Told)
            .ToArray(), _asked);
    }

    private int Take(int at)
    {
        var key = r.Key(at);
        if (r.Tokens[at].Kind == TokenKind.Quoted)
        {
            return Words(at, at + 1, r.Tokens[at].Inner);
        }

        if (Numbers.Length(r.Tokens, at) is var (mm, to))
        {
            return Length(at, mm, to);
        }

        if (r.Hits(at, Meaning.Hold).FirstOrDefault(h => h.To > at + 1) is { } held)
        {
            _values.Add(held.Bit);
            return held.To;
        }

        if (Taking.Contains(key, StringComparer.Ordinal) || (key == "take" && r.Is(at + 1, "away", "out", "off")))
        {
            _takes = true;
            return at + (key == "take" ? 2 : 1);
        }

        if (key is "away" or "off" or "out" && _values.Count == 0)
        {
            _takes = true;
            return at + 1;
        }

        if (key is "add" or "also" or "plus")
        {
            _adds = true;
            return at + 1;
        }

        if (key is "bit" or "little" or "touch" or "slightly" or "tiny")
        {
            _step = 0;
            return at + 1;
        }

        if (key is "much" or "lot" or "far" or "way")
        {
            _step = 2;
            return at + 1;
        }

        if (Ways.TryGetValue(key, out var way) && !r.Hits(at, Meaning.Hand).Any())
        {
            _way = way;
            return at + 1;
        }

        if (Sizes.TryGetValue(key, out var grows))
        {
            _grows = grows;
            return at + 1;
        }

        if (key is "thicker" or "bolder" or "heavier" or "thinner" or "finer" or "lighter")
        {
            _thicker = key is "thicker" or "bolder" or "heavier" ? 1 : -1;
            return at + 1;
        }

        return Named(at) ?? Valued(at) ?? Plainly(at);
    }

    /// <summary>What is in the piece: its words, its motifs, their parts.</summary>
    private int? Named(int at)
    {
        if (!_adds && r.Hits(at, Meaning.Part).FirstOrDefault(h => !r.Capital(at) && job.Motifs.Any(m => RoleOf(m,
            h.Entry.Id) is not null)) is { } part
            && !(r.Hits(at, Meaning.Motif).Any(m => Find(m) is not null) && _targets.Count == 0))
        {
            _roles.Add(part.Entry.Id);
            return part.To;
        }

        foreach (var motif in r.Hits(at, Meaning.Motif).Where(h => !_adds && !r.Named(at)))
        {
            if (Find(motif) is { } id)
            {
                _targets.Add(id);
                return motif.To;
            }
        }

        // Her words, as they stand or one of them.
        var words = job.Wordings.FirstOrDefault(e => Says(e.Text, at, out _));
        if (words is not null && Says(words.Text, at, out var to) && !_adds)
        {
            _targets.Add(words.Id);
            return to;
        }

        if (r.Is(at, "words", "name", "letters", "lettering", "text", "initials", "word") && job.Wordings.Count > 0 && !_adds)
        {
            _targets.AddRange(job.Wordings.Select(e => e.Id));
            return at + 1;
        }

        return null;
    }

    private string? Find(Hit motif) => job.Motifs.FirstOrDefault(m => m.Motif == motif.Entry.Id) is { } alone ? alone.Id
        : job.Wordings.FirstOrDefault(e => e.Motif == motif.Entry.Id) is { } tied ? $"{Tied}{tied.Id}" : null;

    /// <summary>What a motif that is tied to words is called as a target.</summary>
    private const string Tied = "with ";

    private bool Says(string text, int at, out int to)
    {
        var keys = Tokens.Of(text).Select(t => t.Key).ToArray();
        to = at + keys.Length;
        if (SmallPhrases.Follows(r, at, keys))
        {
            return true;
        }

        to = at + 1;
        return keys.Length > 1 && keys.Contains(r.Key(at)) && r.Capital(at);
    }

    private int Length(int at, double mm, int to)
    {
        var meaning = r.Is(to, "wide", "across", "broad", "long") ? Meaning.Width : r.Is(to, "high", "tall") ? Meaning.Height : Meaning.Length;
        if (meaning == Meaning.Length && (Sizes.ContainsKey(r.Key(to)) || Ways.ContainsKey(r.Key(to)) || r.Is(to, "to", "further")
            || _way is not null || _grows != 0))
        {
            _byMm = mm;
            return to;
        }

        if (r.Is(to, "hoop"))
        {
            meaning = Meaning.HoopSize;
        }

        _values.Add(new Bit(meaning, at, to, string.Empty, r.Text(at, to)) { Mm = Math.Round(mm, 1) });
        return meaning == Meaning.Length ? to : to + 1;
    }

    /// <summary>What it becomes.</summary>
    private int? Valued(int at)
    {
        if (Numbers.Whole(r.Tokens, at) is var (n, to))
        {
            if (r.Is(to, "strand", "strands", "ply"))
            {
                _values.Add(new Bit(Meaning.Strands, at, to + 1, n.ToString(CultureInfo.InvariantCulture), Say.Count(n, "strand")));
                return to + 1;
            }

            if (r.Is(to, "line", "lines", "rows"))
            {
                _values.Add(new Bit(Meaning.Rows, at, to + 1, n.ToString(CultureInfo.InvariantCulture), Say.Count(n, "line")));
                return to + 1;
            }

            if (r.Tokens[at].Kind == TokenKind.Number || n > 1)
            {
                _values.Add(new Bit(Meaning.Count, at, to, n.ToString(CultureInfo.InvariantCulture), r.Text(at, to)));
                return to;
            }
        }

        if (DayPhrases.At(r, at).FirstOrDefault() is { } day && (r.Is(at, "for", "by", "until", "before", "on") || day.To - day.From > 1 || r.Capital(at)))
        {
            _values.Add(day.Bits[0]);
            return day.To;
        }

        if (ZonePhrases.At(r, at).FirstOrDefault(z => r.Is(at, "on", "onto", "to", "at", "in", "inside", "along", "above", "below")) is { } zone
            && !(zone.To == at + 3 && r.Is(at, "to") && r.Is(at + 2, "left", "right")) && job.FormUsed is { } form && FormFinding.ZoneOf(form, r.Text(zone.From, zone.To)) is { } known)
        {
            _values.Add(new Bit(Meaning.Zone, at, zone.To, known, form.Zones.First(z => z.Id == known).Name));
            return zone.To;
        }

        var hit = r.Hits(at).Where(h => Kinds.Contains(h.Entry.Meaning) && (!r.Named(at) || h.Entry.Meaning == Meaning.Motif))
            .OrderBy(h => h.Guessed)
            .ThenByDescending(h => h.Entry.Meaning == Meaning.Motif && r.Is(at - 1, "a", "an"))
            .ThenByDescending(h => h.To).ThenBy(h => Array.IndexOf(Kinds, h.Entry.Meaning)).FirstOrDefault();
        if (hit is not null)
        {
            _values.Add(hit.Bit with { Name = hit.Entry.Meaning == Meaning.Motif && hit.Entry.Many ? "many" : hit.Entry.Name });
            return hit.To;
        }

        return r.Capital(at) && (at > 0 || r.Tokens[at].AllCapitals) ? Run(at) : null;
    }

    private static readonly Meaning[] Kinds =
    [
        Meaning.Colour, Meaning.Fill, Meaning.Stitch, Meaning.Thread, Meaning.Style, Meaning.Craft, Meaning.Transfer, Meaning.Marker,
            Meaning.Stabiliser, Meaning.Hold, Meaning.MotifsWay, Meaning.WordsWay, Meaning.Motif, Meaning.ClothColour, Meaning.Cloth,
    ];

    /// <summary>Other words with capitals are what is to be stitched.</summary>
    private int Run(int at)
    {
        var to = at + 1;
        while (to < r.Count && (r.Capital(to) || (r.Is(to, "and", "&", "of", "the") && r.Capital(to + 1))) && !Says(string.Join(' ', job.Wordings.Select(e => e.Text)), to, out _))
        {
            to++;
        }

        return Words(at, to, r.Text(at, to));
    }

    private int Words(int at, int to, string text)
    {
        _values.Add(new Bit(Meaning.Words, at, to, text, text));
        return to;
    }

    private int Plainly(int at)
    {
        if (r.Tokens[at].Kind != TokenKind.Mark && !SmallWords.Asking.Contains(r.Key(at)) && !Ordinary.Contains(r.Key(at),
            StringComparer.Ordinal) && !SmallWords.Nouns.Contains(r.Key(at)))
        {
            var text = r.Text(at, at + 1);
            Ask(at, at + 1, $"“{text}” was not understood: nothing was changed by it.");
        }

        return at + 1;
    }

    private static readonly string[] Ordinary = ["turn", "change", "set", "use", "move", "bring", "shift", "everything", "instead", "of", "than", "more", "less", "by", "further", "into", "on", "for", "other", "side", "same", "take", "should", "them", "these", "those", "both", "back"];

    private void Ask(int from, int to, string question) => _asked.Add(new Question(r.Tokens[from].From, r.Tokens[to - 1].To, question,
        []));
}
