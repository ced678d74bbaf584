using System.Globalization;
using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;

namespace Dittany.Core.Sayings;

/// <summary>
/// Reads a change as it is said at the bench: “make the petals satin”, “a bit higher”, “without the heart”, “Otto instead of Ida”. It goes
/// through the words once; what they name that is in the piece is what the change is of, and the rest is what it becomes.
/// </summary>
public static class ChangeParser
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

    /// <summary>Understands a change of the piece as it stands, on a day.</summary>
    public static SaidChange Read(string said, Job job, Plan plan, DateOnly today)
    {
        var text = said.Normalize(NormalizationForm.FormC).ReplaceLineEndings(" ").Trim();
        var tokens = Tokens.Of(text).Take(SayingParser.MostTokens).ToArray();
        return tokens.Length == 0 ? new SaidChange(null, [], []) : new Reader(new Reading(text, tokens, today), job, plan).Read();
    }

    /// <summary>One way to change a job, and how it is told.</summary>
    private sealed record Done(string Told, Func<Job, Job> Edit);

    private sealed class Reader(Reading r, Job job, Plan plan)
    {
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
            if (!_adds && r.Hits(at, Meaning.Part).FirstOrDefault(h => !r.Capital(at) && job.MotifsAsked.Any(m => RoleOf(m,
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
            var words = job.Elements.FirstOrDefault(e => Says(e.Text, at, out _));
            if (words is not null && Says(words.Text, at, out var to) && !_adds)
            {
                _targets.Add(words.Id);
                return to;
            }

            if (r.Is(at, "words", "name", "letters", "lettering", "text", "initials", "word") && job.Elements.Count > 0 && !_adds)
            {
                _targets.AddRange(job.Elements.Select(e => e.Id));
                return at + 1;
            }

            return null;
        }

        private string? Find(Hit motif) => job.MotifsAsked.FirstOrDefault(m => m.Motif == motif.Entry.Id) is { } alone ? alone.Id
            : job.Elements.FirstOrDefault(e => e.Motif == motif.Entry.Id) is { } tied ? $"{Tied}{tied.Id}" : null;

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
            while (to < r.Count && (r.Capital(to) || (r.Is(to, "and", "&", "of", "the") && r.Capital(to + 1))) && !Says(string.Join(' ', job.Elements.Select(e => e.Text)), to, out _))
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
                StringComparer.Ordinal) && !WishPhrases.Nouns.Contains(r.Key(at)))
            {
                var text = r.Text(at, at + 1);
                Ask(at, at + 1, $"“{text}” was not understood: nothing was changed by it.");
            }

            return at + 1;
        }

        private static readonly string[] Ordinary = ["turn", "change", "set", "use", "move", "bring", "shift", "everything", "instead", "of", "than", "more", "less", "by", "further", "into", "on", "for", "other", "side", "same", "take", "should", "them", "these", "those", "both", "back"];

        private void Ask(int from, int to, string question) => _asked.Add(new Question(r.Tokens[from].From, r.Tokens[to - 1].To, question,
            []));

        private void Apply()
        {
            if (_takes)
            {
                TakeAway();
                return;
            }

            if (_way is { } way)
            {
                Move(way);
            }

            if (_grows != 0)
            {
                Grow();
            }

            if (_thicker != 0)
            {
                Thicken();
            }

            var count = _values.FirstOrDefault(v => v.Meaning == Meaning.Count);
            foreach (var value in _values)
            {
                Set(value, count);
            }
        }

        /// <summary>The elements a wish is of: those named, else all that have what is wished.</summary>
        private IReadOnlyList<string> Of(Func<string, bool>? fits = null)
        {
            var named = _targets.Select(t => t.StartsWith(Tied, StringComparison.Ordinal) ? t[Tied.Length..] : t)
                .Distinct(StringComparer.Ordinal).ToArray();
            var all = named.Length > 0 ? named : job.Elements.Select(e => e.Id).Concat(job.MotifsAsked.Select(m => m.Id)).ToArray();
            return all.Where(fits ?? (_ => true)).ToArray();
        }

        private bool IsText(string id) => job.Elements.Any(e => e.Id == id);

        private string Called(string id) => job.Elements.FirstOrDefault(e => e.Id == id) is { } words ? $"“{words.Text.ReplaceLineEndings(" ")}”"
            : job.MotifsAsked.FirstOrDefault(m => m.Id == id) is { } motif ? $"the {MotifLibrary.Find(motif.Motif)?.Name ?? motif.Drawing?.Name ?? "motif"}" : id;

        private void TakeAway()
        {
            if (_roles.Count > 0)
            {
                var at = Enumerable.Range(0, r.Count).First(k => r.Hits(k, Meaning.Part).Any());
                Ask(at, at + 1, "A motif keeps its parts: take another motif, or draw one of your own. Nothing was changed.");
                return;
            }

            if (_targets.Count == 0)
            {
                Ask(0, r.Count, "It is not said of what here: nothing was taken away.");
                return;
            }

            foreach (var target in _targets.Distinct(StringComparer.Ordinal))
            {
                if (target.StartsWith(Tied, StringComparison.Ordinal))
                {
                    var id = target[Tied.Length..];
                    _done.Add(new Done($"The motif beside {Called(id)} is taken away.", j => j with { Elements = j.Elements.Select(e => e.Id == id ? e with { Motif = null, MotifPlace = null, MotifCount = null } : e).ToArray() }));
                }
                else if (job.Elements.Count + job.MotifsAsked.Count - _done.Count <= 1)
                {
                    Ask(0, r.Count, $"{Say.Upper(Called(target))} is all there is on the piece: put the piece away instead.");
                }
                else
                {
                    _done.Add(new Done($"{Say.Upper(Called(target))} is taken away.", j => j with
                    {
                        Elements = j.Elements.Where(e => e.Id != target).ToArray(),
                        Motifs = j.Motifs?.Where(m => m.Id != target).ToArray() is { Length: > 0 } left ? left : null,
                    }));
                }
            }
        }

        private PlannedElement? Planned(string id) => plan.Elements.FirstOrDefault(e => e.Id == id) ?? plan.Places.SelectMany(p =>
            p.Plan.Elements).FirstOrDefault(e => e.Id == id);

        private void Move(Pt way)
        {
            var by = way * (_byMm ?? Steps[_step].MovesMm);
            foreach (var id in Of().Take(_targets.Count > 0 ? int.MaxValue : 1))
            {
                if (Planned(id) is not { } planned)
                {
                    continue;
                }

                var to = (planned.CentreMm + by).OnGrid();
                _done.Add(new Done($"{Say.Upper(Called(id))} is moved {(way.Y < 0 ? "up" : way.Y > 0 ? "down" : way.X < 0 ? "to the left" : "to the right")} by {Say.Number(_byMm ?? Steps[_step].MovesMm)} mm.", j => On(j, id, e => e with { CentreMm = to }, m => m with { CentreMm = to })));
            }
        }

        private void Grow()
        {
            foreach (var id in Of())
            {
                if (Planned(id) is not { } planned)
                {
                    continue;
                }

                var was = planned.CapHeightMm;
                var now = Math.Round(Math.Max(2, _byMm is { } mm ? was + (_grows * mm) : was * (_grows > 0 ? 1 + Steps[_step].GrowsBy
                    : 1 / (1 + Steps[_step].GrowsBy))), 1);
                _done.Add(new Done($"{Say.Upper(Called(id))} is {Say.Number(now)} mm high, {Say.Number(Math.Abs(Math.Round(now - was, 1)))} mm {(now > was ? "more" : "less")} than before.",
                    j => On(j, id, e => e with { CapHeightMm = now, WidthMm = null }, m => m with { HeightMm = now, WidthMm = null })));
            }
        }

        private void Thicken()
        {
            foreach (var id in Of())
            {
                var parts = Planned(id)?.Parts;
                if (parts is not { Count: > 0 })
                {
                    continue;
                }

                var was = parts[0].Strands;
                if ((_thicker > 0 ? Bundle.Plies.FirstOrDefault(p => p > was) : Bundle.Plies.LastOrDefault(p => p < was)) is var now
                    && now == 0)
                {
                    Ask(0, r.Count, $"{Say.Upper(Called(id))} is worked in {Say.Count(was, "strand")}, and there is nothing {(_thicker > 0 ? "thicker" : "thinner")}.");
                    continue;
                }

                _done.Add(new Done($"{Say.Upper(Called(id))}: {Say.Count(now, "strand")}.", j => On(j, id, e => e with { Strands = now }, m => m with { Strands = now })));
            }
        }

        private void Set(Bit value, Bit? count)
        {
            switch (value.Meaning)
            {
                case Meaning.Words:
                    Reword(value);
                    break;
                case Meaning.Count when _values.Exists(v => v.Meaning == Meaning.Motif):
                    break;
                case Meaning.Count:
                    foreach (var id in Of(id => !IsText(id)).Take(1))
                    {
                        var n = Math.Clamp(int.Parse(value.Id, CultureInfo.InvariantCulture), 1, Arranging.MostCopies);
                        _done.Add(new Done($"{Say.Upper(Called(id))}: {Numbers.Said(n)} of it.", j => On(j, id, e => e, m => m with { Count = n > 1 ? n : null, Arrangement = n > 1 ? m.Arrangement ?? "row" : null })));
                    }

                    break;
                case Meaning.Motif:
                    Motif(value, count);
                    break;
                case Meaning.Day:
                    _done.Add(new Done($"It is given on {value.Name}.", j => j with { DueOn = DateOnly.ParseExact(value.Id, "yyyy-MM-dd", CultureInfo.InvariantCulture) }));
                    break;
                case Meaning.Zone:
                    Rezone(value);
                    break;
                case Meaning.Transfer:
                    Choose("transfer.method", value.Id, value.Name);
                    break;
                case Meaning.Marker:
                    Choose("transfer.marker", value.Id, value.Name);
                    break;
                case Meaning.Stabiliser:
                    Choose("transfer.stabiliser", value.Id, value.Name);
                    break;
                case Meaning.Hold:
                    Choose("hoop.school", value.Id, value.Name);
                    break;
                case Meaning.HoopSize:
                    Choose("hoop.size", Math.Round(value.Mm).ToString(CultureInfo.InvariantCulture), $"a hoop {Say.Number(value.Mm)} mm across");
                    break;
                case Meaning.ClothColour:
                    _done.Add(new Done($"The cloth is {value.Name}.", j => j with { Fabric = (j.Fabric ?? new StatedFabric()) with { Colour = value.Id } }));
                    break;
                case Meaning.Cloth:
                    _done.Add(new Done($"The cloth is {value.Name}.", j => j with { Fabric = (j.Fabric ?? new StatedFabric()) with { Kind = value.Id } }));
                    break;
                default:
                    Wish(value);
                    break;
            }
        }

        private void Choose(string decision, string choice, string told) => _done.Add(new Done($"{Say.Upper(DecisionBook.Spoken(decision))}: {told}.", j => j with
        {
            Overrules = new Dictionary<string, string>(j.Overrules ?? new Dictionary<string, string>(StringComparer.Ordinal),
                StringComparer.Ordinal) { [decision] = choice },
        }));

        private void Reword(Bit value)
        {
            var id = Of(IsText) is [var first, ..] ? first : null;
            if (_adds || id is null)
            {
                _done.Add(new Done($"“{value.Id}” is added.", j => Places.Add(j, Places.UsualZone(j), value.Id, null)));
                return;
            }

            _done.Add(new Done($"{Called(id)} is “{value.Id}” now.", j => On(j, id, e => e with { Text = value.Id, Letters = [] }, m => m)));
        }

        private void Motif(Bit value, Bit? count)
        {
            var n = count is null ? (int?)null : Math.Clamp(int.Parse(count.Id, CultureInfo.InvariantCulture), 1, Arranging.MostCopies);
            var name = MotifLibrary.Find(value.Id)?.Name ?? value.Id;
            var swapped = _adds ? null : _targets.FirstOrDefault(t => !IsText(t) && !t.StartsWith(Tied, StringComparison.Ordinal));
            if (swapped is not null)
            {
                _done.Add(new Done($"{Say.Upper(Called(swapped))} is {Say.A(name)} now.", j => On(j, swapped, e => e, m => m with { Motif = value.Id, Drawing = null, ByPart = [], Parts = null, Count = n ?? m.Count })));
                return;
            }

            var added = new SaidElement(null, value.Id) { Count = n, Several = value.Name == "many" };
            _done.Add(new Done($"{Say.Upper(added.Called)} {(n > 1 || added.Several ? "are" : "is")} added.", j => Places.Add(j, Places.UsualZone(j), null, added.MotifOf(string.Empty))));
        }

        private void Rezone(Bit value)
        {
            var ids = _targets.Count > 0 ? Of() : [];
            _done.Add(new Done($"{(ids.Count > 0 ? Say.List(ids.Select(i => Say.Upper(Called(i))).ToArray()) : "It")} goes on the {value.Name}.", j =>
            {
                var all = j.Elements.Count + j.MotifsAsked.Count;
                return ids.Count == 0 || ids.Count == all
                    ? j with { Zone = value.Id, Elements = j.Elements.Select(e => e with { Zone = null, CentreMm = null }).ToArray(),
                        Motifs = j.Motifs?.Select(m => m with { Zone = null, CentreMm = null }).ToArray() }
                    : ids.Aggregate(j, (now, id) => On(now, id, e => e with { Zone = value.Id == Places.UsualZone(now) ? null : value.Id,
                        CentreMm = null }, m => m with { Zone = value.Id == Places.UsualZone(now) ? null : value.Id, CentreMm = null }));
            }));
        }

        /// <summary>A wish of a part, or of the elements it fits.</summary>
        private void Wish(Bit value)
        {
            if (_roles.Count > 0)
            {
                foreach (var role in _roles)
                {
                    PartWish(role, value);
                }

                return;
            }

            var ids = value.Meaning switch
            {
                Meaning.Style or Meaning.Rows => Of(IsText),
                Meaning.MotifsWay => Of(id => !IsText(id) || Core.Words.Arrangement.Ids.Contains(value.Id)),
                Meaning.WordsWay => Of(id => IsText(id) || Arranging.Ids.Contains(value.Id)),
                _ => Of(),
            };
            if (ids.Count == 0)
            {
                Ask(value.From, value.To, $"“{value.Name}” fits nothing that is on the piece: nothing was changed by it.");
                return;
            }

            foreach (var id in ids)
            {
                One(id, value);
            }
        }

        private void One(string id, Bit value)
        {
            var hex = value.Meaning == Meaning.Colour ? Nearest(value) : null;
            var n = value.Meaning is Meaning.Strands or Meaning.Rows ? int.Parse(value.Id, CultureInfo.InvariantCulture) : 0;
            if (value.Meaning == Meaning.Strands && !Bundle.Is(n))
            {
                Ask(value.From, value.To, $"A thread cannot be {value.Name} thick: nothing was changed by it.");
                return;
            }

            Func<Job, Job>? edit = value.Meaning switch
            {
                Meaning.Colour => j => On(j, id, e => e with { Colour = hex }, m => m with { Colour = hex }),
                Meaning.Stitch => j => On(j, id, e => e with { Stitch = value.Id }, m => m with { Stitch = value.Id }),
                Meaning.Fill => j => j with { Overrules = new Dictionary<string, string>(j.Overrules ?? new Dictionary<string, string>(StringComparer.Ordinal), StringComparer.Ordinal) { [Heard.Key(j, "stitch.fill", id)] = value.Id } },
                Meaning.Thread => j => On(j, id, e => e with { Thread = value.Id }, m => m with { Thread = value.Id }),
                Meaning.Strands => j => On(j, id, e => e with { Strands = n }, m => m with { Strands = n }),
                Meaning.Style => j => On(j, id, e => e with { Alphabet = value.Id }, m => m),
                Meaning.Craft => j => On(j, id, e => e with { Craft = value.Id }, m => m with { Craft = value.Id }),
                Meaning.Rows => j => On(j, id, e => e with { Rows = n }, m => m),
                Meaning.WordsWay or Meaning.MotifsWay => j => On(j, id, e => e with { Arrangement = value.Id }, m => m with { Arrangement = value.Id, Count = value.Id == "pair" ? null : m.Count }),
                Meaning.Width => j => On(j, id, e => e with { WidthMm = value.Mm, CapHeightMm = null }, m => m with { WidthMm = value.Mm }),
                Meaning.Height => j => On(j, id, e => e with { CapHeightMm = value.Mm, WidthMm = null }, m =>
                    m with { HeightMm = value.Mm }),
                Meaning.Length => j => On(j, id, e => e with { CapHeightMm = value.Mm, WidthMm = null }, m => m with { WidthMm = value.Mm,
                    HeightMm = value.Mm }),
                _ => null,
            };
            if (edit is not null)
            {
                _done.Add(new Done($"{Say.Upper(Called(id))}: {ToldOf(value, hex)}.", edit));
            }
        }

        private void PartWish(string said, Bit value)
        {
            var motif = job.MotifsAsked.FirstOrDefault(m => RoleOf(m, said) is not null && (_targets.Count == 0 || _targets.Contains(m.Id,
                StringComparer.Ordinal)));
            if (motif is null || RoleOf(motif, said) is not { } role)
            {
                return;
            }

            var hex = value.Meaning == Meaning.Colour ? Nearest(value) : null;
            Func<PartAsked, PartAsked>? wish = value.Meaning switch
            {
                Meaning.Colour => p => p with { Colour = hex },
                Meaning.Stitch or Meaning.Fill => p => p with { Stitch = value.Id },
                Meaning.Thread => p => p with { Thread = value.Id },
                Meaning.Craft when value.Id == "beads" => p => p with { Stitch = BeadedParts.Stitch },
                Meaning.Strands when int.Parse(value.Id, CultureInfo.InvariantCulture) is var n && Bundle.Is(n) => p =>
                    p with { Strands = n },
                _ => null,
            };
            if (wish is null)
            {
                Ask(value.From, value.To, $"“{value.Name}” is nothing a part can be: nothing was changed by it.");
                return;
            }

            _done.Add(new Done($"The {Say.Many(said.Replace('-', ' '))}: {ToldOf(value, hex)}.", j => On(j, motif.Id, e => e, m => m with
            {
                ByPart = [.. m.ByPart.Where(p => p.Role != role || p.Copy is not null), wish(m.ByPart.LastOrDefault(p => p.Role == role
                    && p.Copy is null) ?? new PartAsked(role))],
            })));
        }

        private static string ToldOf(Bit value, string? hex) => value.Meaning switch
        {
            Meaning.Colour => Palette.NameOf(hex ?? value.Id) is var name && name == value.Name ? name : $"{name}, nearest to {value.Name}",
            Meaning.Width => $"{Say.Number(value.Mm)} mm wide",
            Meaning.Height => $"{Say.Number(value.Mm)} mm high",
            Meaning.Length => $"{Say.Number(value.Mm)} mm",
            _ => value.Name,
        };

        private static string Nearest(Bit value)
        {
            if (Palette.Colours.Any(c => c.Hex == value.Id))
            {
                return value.Id;
            }

            var lab = Colour.Parse(value.Id).ToLab();
            return (Palette.Colours.MinBy(c => ColourDifference.Ciede2000(Colour.Parse(c.Hex).ToLab(), lab)) ?? Palette.Colours[0]).Hex;
        }

        private static string? RoleOf(MotifAsked motif, string said) => MotifNames.Parts.FirstOrDefault(p => p.Motif == motif.Motif
            && p.Said == said).Role
            ?? Lexicon.Shared.PartsOf(motif.Motif).FirstOrDefault(p => p == said);

        private static Job On(Job j, string id, Func<WordingAsked, WordingAsked> words, Func<MotifAsked, MotifAsked> motif) => j with
        {
            Elements = j.Elements.Select(e => e.Id == id ? words(e) : e).ToArray(),
            Motifs = j.Motifs?.Select(m => m.Id == id ? motif(m) : m).ToArray(),
        };
    }
}
