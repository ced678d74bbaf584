using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Words;

namespace Dittany.Core.Sayings;

/// <summary>
/// What only the whole saying tells: how things stand to each other, the item with its parts and size, and what is missing.
/// </summary>
internal sealed partial class Hearing
{
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
        Threads();
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
}
