using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;

namespace Dittany.Core.Sayings;

/// <summary>What was said is done: taken away, moved, made larger, reworded, put elsewhere.</summary>
internal sealed partial class ChangeReader
{
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
        var all = named.Length > 0 ? named : job.Elements.Select(e => e.Id).ToArray();
        return all.Where(fits ?? (_ => true)).ToArray();
    }

    private bool IsText(string id) => job.Find(id) is TextElement;

    private string Called(string id) => job.Find(id) switch
    {
        TextElement words => $"“{words.Text.ReplaceLineEndings(" ")}”",
        MotifElement motif => $"the {MotifLibrary.Find(motif.Motif)?.Name ?? motif.Drawing?.Name ?? "motif"}",
        _ => id,
    };

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
                _done.Add(new Done($"The motif beside {Called(id)} is taken away.", j => j.With(id, e =>
                    e is TextElement words ? words with { Motif = null, MotifPlace = null, MotifCount = null } : e)));
            }
            else if (job.Elements.Count - _done.Count <= 1)
            {
                Ask(0, r.Count, $"{Say.Upper(Called(target))} is all there is on the piece: put the piece away instead.");
            }
            else
            {
                _done.Add(new Done($"{Say.Upper(Called(target))} is taken away.", j => j.With(target, _ => null)));
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
                _done.Add(new Done($"The cloth is {value.Name}.", j => j with { Fabric = (j.Fabric ?? new FabricOverrides()) with { Colour = value.Id } }));
                break;
            case Meaning.Cloth:
                _done.Add(new Done($"The cloth is {value.Name}.", j => j with { Fabric = (j.Fabric ?? new FabricOverrides()) with { Kind = value.Id } }));
                break;
            default:
                Wish(value);
                break;
        }
    }

    private void Choose(string decision, string choice, string told) => _done.Add(new Done($"{Say.Upper(DecisionRegistry.Spoken(decision))}: {told}.", j => j with
    {
        Overrides = j.Overrides.With(decision, choice),
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
            return ids.Count == 0 || ids.Count == j.Elements.Count
                ? j.With(e => e with { Zone = null, CentreMm = null }) with { Zone = value.Id }
                : ids.Aggregate(j, (now, id) => On(now, id, e => e with
                {
                    Zone = value.Id == Places.UsualZone(now) ? null : value.Id,
                    CentreMm = null
                }, m => m with { Zone = value.Id == Places.UsualZone(now) ? null : value.Id, CentreMm = null }));
        }));
    }
}
