using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;

namespace Dittany.Core.Planning;

/// <summary>
/// What of a piece lies over what. Filled motifs hide what lies under them; motifs and words that are worked along their lines hide
/// something only where a layer was given, for lines may cross on purpose. Words that lie over a motif are stitched on top of it.
/// </summary>
internal sealed class LayerOrder
{
    private LayerOrder(IReadOnlyList<PlannedElement> elements, string order)
    {
        (_elements, _order) = (elements, order);
        _ranks = elements.Select((e, i) => (e.Layer ?? 0, e.IsMotif ? 0 : 1, i)).ToArray();
    }

    private readonly IReadOnlyList<PlannedElement> _elements;
    private readonly string _order;
    private readonly (int Layer, int Words, int Index)[] _ranks;
    private readonly HashSet<(int Under, int Over)> _covered = [];
    private readonly HashSet<int> _hidden = [];
    private readonly Dictionary<(int Index, bool Stated), IReadOnlyList<Region>> _hides = [];

    /// <summary>What is tucked under, mm: nothing where the gap is filled after.</summary>
    public static double TuckMm(string order) => order == WorkOrders.GapAfter ? 0 : Design.TuckMm;

    public static LayerOrder Of(IReadOnlyList<PlannedElement> elements, string order) => new(elements, order);

    /// <summary>What lies over an element and hides it; empty where nothing does.</summary>
    public Region Over(int index)
    {
        var under = _elements[index];
        if (under.Parts.Count == 0)
        {
            return Region.Empty;
        }

        var over = Region.Empty;
        for (var i = 0; i < _elements.Count; i++)
        {
            var upper = _elements[i];
            if (_ranks[i].CompareTo(_ranks[index]) <= 0 || !Meet(under.BoxMm, upper.BoxMm)
                || (!upper.IsMotif && upper.Layer is null && under.Layer is null))
            {
                continue;
            }

            foreach (var region in Hides(i, stated: upper.Layer is not null || under.Layer is not null).Where(r => Reaches(r, under)))
            {
                over = over.With(region);
                _covered.Add((index, i));
            }
        }

        return over;
    }

    /// <summary>What of an element hides what lies under it: its fills, and where a layer was given its areas.</summary>
    private IReadOnlyList<Region> Hides(int index, bool stated)
    {
        if (_hides.TryGetValue((index, stated), out var known))
        {
            return known;
        }

        var upper = _elements[index];
        var hides = upper.Parts.Where(p => p.Filling is not null)
            .Select(p => new Area([.. p.Filling.Sure().RingsMm.Select(Stroke.Ring)]).Covers()).ToList();
        if (stated && !IsFrame(upper))
        {
            hides.AddRange((upper.Design?.Shapes ?? []).Select(s => s.Area).OfType<Area>().Select(a => a.Covers()));
        }

        return _hides[(index, stated)] = hides;
    }

    /// <summary>Whether a region reaches what is stitched of an element: boxes are looked at first, for most lie apart.</summary>
    private static bool Reaches(Region region, PlannedElement under)
    {
        if (region.IsEmpty)
        {
            return false;
        }

        var (least, most) = region.Box;
        return under.Parts.Any(p => p.LineMm.Any(q => q.X >= least.X && q.X <= most.X && q.Y >= least.Y && q.Y <= most.Y && region.Holds(q))
            || (p.LineMm.Count > 1 && p.LineMm.Min(q => q.X) <= most.X && p.LineMm.Max(q => q.X) >= least.X
                && p.LineMm.Min(q => q.Y) <= most.Y
                && p.LineMm.Max(q => q.Y) >= least.Y && Meets(p, region)));
    }

    private static bool IsFrame(PlannedElement element) => MotifLibrary.Find(element.Motif ?? string.Empty)?.Shelf == MotifShelf.Frames;

    private static bool Meets(Part part, Region region) => part.LineMm.Count > 1 && region.Rings.Any(r =>
        Polyline.Between([.. r, r[0]], part.LineMm) <= 0);

    private static bool Meet(Box a, Box b) => a.X < b.X + b.Width && b.X < a.X + a.Width && a.Y < b.Y + b.Height && b.Y < a.Y + a.Height;

    /// <summary>
    /// Whether it matters which of two elements is worked first: one hides of the other, words are stitched on top of a motif, or a layer
    /// was given and they meet.
    /// </summary>
    public bool Matters(string one, string other) => Matters(At(one), At(other));

    private int At(string id) => Enumerable.Range(0, _elements.Count).First(i => _elements[i].Id == id);

    private bool Matters(int one, int other) => _covered.Contains((one, other)) || _covered.Contains((other, one))
        || (Meet(_elements[one].BoxMm, _elements[other].BoxMm) && (_elements[one].IsMotif != _elements[other].IsMotif
            || _elements[one].Layer is not null || _elements[other].Layer is not null));

    /// <summary>Whether what lies under loses something to what lies over it.</summary>
    public bool Covered(int under, int over) => _covered.Contains((under, over));

    /// <summary>Tells that an element is hidden wholly.</summary>
    public void Hides(int under) => _hidden.Add(under);

    /// <summary>The elements' places in the order of work: as they stand in the job, or by how they lie where any meet.</summary>
    public IReadOnlyList<int> Order()
    {
        var meet = Enumerable.Range(0, _elements.Count).Any(i => Enumerable.Range(0, i).Any(k =>
            Meet(_elements[i].BoxMm, _elements[k].BoxMm)));
        var layers = _elements.Any(e => e.Layer is not null);
        if (!meet && !layers)
        {
            return Enumerable.Range(0, _elements.Count).ToArray();
        }

        var lying = Enumerable.Range(0, _elements.Count).OrderBy(i => _ranks[i]).ToArray();

        // Words are stitched on top of a motif, whatever the habit: nothing is cut out for them.
        return _order != WorkOrders.GapAfter ? lying
            : [.. lying.Where(i => _elements[i].IsMotif).Reverse(), .. lying.Where(i => !_elements[i].IsMotif)];
    }

    /// <summary>The decision that tells of it; null where nothing lies over anything.</summary>
    public Decision? Told(string? hers, string habit)
    {
        var within = _elements.Where(e => e.Parts.Select(p => p.Layer).Distinct().Count() > 1).Select(e => e.One).Distinct(
            StringComparer.Ordinal).ToArray();
        if (_covered.Count == 0 && within.Length == 0)
        {
            return null;
        }

        var because = new List<Told>();
        because.AddRange(_covered.Select(c =>
            (Over: _elements[c.Over].One, Under: _elements[c.Under].One, Whole: _hidden.Contains(c.Under))).Distinct().Select(c => c.Whole
            ? (Told)$"The {c.Over} lies over the {c.Under} and hides all of it: there is nothing of it to stitch."
            : (Told)$"The {c.Over} lies over the {c.Under}: what it hides is not stitched."));
        because.AddRange(within.Select(w => (Told)$"The {w} is drawn in layers: what is in front hides what is behind it."));
        because.Add(_order == WorkOrders.GapAfter ? "What is in front comes first, and what is behind is fitted up to it, so the edges must meet."
            : (Told)$"What is behind comes first and reaches {Say.Length(Design.TuckMm)} under what is in front, so that no cloth shows "
                + $"between them.");
        return Deciding.Make("order.layers", Station.Order, "What lies over what", WorkOrders.Layers.First(o => o.ChoiceId == habit),
            hers is null ? null : WorkOrders.Layers.First(o => o.ChoiceId == hers), because,
            ["Another layer for one of them, or your habit of lying over."], WorkOrders.Layers);
    }
}
