using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Hooping;

/// <summary>
/// The fewest placings by search. Centres from which a unit is within reach fill a lens (the meeting of circles about its corners; of
/// squares for a frame), and a placing takes a set of units where their lenses meet on cloth that can be clamped. Such a meeting has a
/// corner: where two arcs cross, where an arc ends, or where one crosses the edge of the cloth. So those places alone are tried, what each
/// takes is a set, and the fewest sets that cover all are found by branch and bound.
/// </summary>
internal static class Covering
{
    /// <summary>More units than this are not searched: their cover stays as it was found.</summary>
    public const int MostUnits = 64;

    /// <summary>So many branches are looked into before what was found is taken.</summary>
    private const int MostNodes = 4_000;

    /// <summary>So many places are tried, and covers of more placings than this are not searched: nobody moves a ring so often.</summary>
    private const int MostCandidates = 12_000;

    public const int MostPlacings = 12;

    /// <summary>Places a hair inside the reach are tried, so that rounding never puts one outside.</summary>
    private const double HairMm = 1e-6;

    /// <summary>
    /// Groups of units of which each goes into one placing, fewer than <paramref name="fewerThan"/>; null where there are none. The bound
    /// is
    /// proven: no cover has fewer, <paramref name="atLeast"/> being known before. <paramref name="widerMm"/> widens the reach.
    /// </summary>
    public static (IReadOnlyList<IReadOnlyList<int>>? Groups, int Bound) Least(IReadOnlyList<Unit> units, bool round, double hoopMm,
        Region? centres,
        int fewerThan, int atLeast, Budget? budget = null, double widerMm = 0)
    {
        if (units.Count is 0 or > MostUnits || fewerThan <= Math.Max(1, atLeast) || fewerThan > MostPlacings)
        {
            return (null, atLeast);
        }

        var lenses = units.Select(u => new Lens(u, Hooping.ReachMm(round, hoopMm) - u.HalfMm - 0.005 + widerMm, round)).ToArray();
        var sets = Sets(lenses, round, centres, budget);
        var all = (UInt128.One << units.Count) - 1;
        if (sets is null || sets.Aggregate(UInt128.Zero, (a, s) => a | s) != all)
        {
            return (null, atLeast);
        }

        var search = new Search(sets, units.Count, fewerThan, budget);
        search.Go(all, []);
        var bound = search.Whole ? search.Best?.Count ?? fewerThan : Math.Max(atLeast, search.BoundOf(all));
        if (search.Best is not { } best)
        {
            return (null, Math.Max(atLeast, bound));
        }

        return (widerMm > 0 ? best.Select(s => (IReadOnlyList<int>)[.. Of(s)]).ToArray() : Parted(units, best, round, hoopMm, centres),
            Math.Max(atLeast, bound));
    }

    /// <summary>Each unit goes to the placing of those that take it whose middle is nearest: there the fingers have most room.</summary>
    private static List<int>[]? Parted(IReadOnlyList<Unit> units, IReadOnlyList<UInt128> sets, bool round, double hoopMm, Region? centres)
    {
        var groups = new List<int>[sets.Count];
        var middles = sets.Select(s => Hooping.CentreFor([.. Of(s).Select(i => units[i])], round, hoopMm, centres)).ToArray();
        if (middles.Any(m => m is null))
        {
            return null;
        }

        for (var i = 0; i < units.Count; i++)
        {
            var at = Enumerable.Range(0, sets.Count).Where(s => (sets[s] >> i & 1) == 1)
                .MinBy(s => middles[s].Sure().To(units[i].Around.Centre));
            (groups[at] ??= []).Add(i);
        }

        return [.. groups.Where(g => g is not null).OrderBy(g => g[0])];
    }

    private static IEnumerable<int> Of(UInt128 set)
    {
        for (; set != 0; set &= set - 1)
        {
            yield return (int)UInt128.TrailingZeroCount(set);
        }
    }

    /// <summary>What the placings take that take as much as can be: no set lies in another.</summary>
    private static List<UInt128>? Sets(Lens[] lenses, bool round, Region? centres, Budget? budget)
    {
        var (found, tried) = (new HashSet<UInt128>(), 0);
        foreach (var (at, onEdge) in Candidates(lenses, round, centres, budget))
        {
            budget?.Spend(1);
            if (++tried > MostCandidates)
            {
                return null;
            }

            var set = UInt128.Zero;
            for (var i = 0; i < lenses.Length; i++)
            {
                if (lenses[i].Holds(at))
                {
                    set |= UInt128.One << i;
                }
            }

            // What lies on the very edge of the cloth rounding may put beside it.
            if (set != 0 && !found.Contains(set) && (centres is null || onEdge || centres.Holds(at)))
            {
                found.Add(set);
            }
        }

        var kept = new List<UInt128>();
        foreach (var set in found.OrderByDescending(s => (int)UInt128.PopCount(s)).ThenBy(s => s))
        {
            if (!kept.Exists(k => (k & set) == set))
            {
                kept.Add(set);
            }
        }

        return kept;
    }

    private static IEnumerable<(Pt At, bool OnEdge)> Candidates(Lens[] lenses, bool round, Region? centres, Budget? budget)
    {
        var edges = centres is null ? [] : centres.Rings.SelectMany(r => r.Select((p, i) => (From: p, To: r[(i + 1) % r.Count]))).ToArray();
        foreach (var (from, _) in edges.Where(e => Array.Exists(lenses, l => l.Near(e.From, e.From))))
        {
            yield return (from, true);
        }

        for (var i = 0; i < lenses.Length; i++)
        {
            yield return (lenses[i].Middle, false);
            foreach (var corner in lenses[i].Corners)
            {
                yield return (corner, false);
            }

            for (var j = 0; j < i; j++)
            {
                budget?.Spend(1);
                if (lenses[i].MayMeet(lenses[j]))
                {
                    foreach (var at in round ? lenses[i].Crossings(lenses[j]) : lenses[i].Sides(lenses[j]))
                    {
                        yield return (at, false);
                    }
                }
            }

            foreach (var (from, to) in edges.Where(e => lenses[i].Near(e.From, e.To)))
            {
                budget?.Spend(1);
                foreach (var at in lenses[i].Along(from, to))
                {
                    yield return (at, true);
                }
            }
        }
    }

    /// <summary>Fewest sets by branch and bound: the unit that fewest take is covered first.</summary>
    private sealed class Search(List<UInt128> sets, int count, int fewerThan, Budget? budget)
    {
        private readonly UInt128[] _with = [.. Enumerable.Range(0, count)
            .Select(i => sets.Where(s => (s >> i & 1) == 1).Aggregate(UInt128.Zero, (a, s) => a | s))];
        private readonly UInt128[][] _of = [.. Enumerable.Range(0, count).Select(i => sets.Where(s => (s >> i & 1) == 1).ToArray())];
        private int _nodes;

        public List<UInt128>? Best { get; private set; }

        /// <summary>Whether every branch was looked into.</summary>
        public bool Whole => _nodes <= MostNodes;

        /// <summary>
        /// No cover of what is left has fewer: units of which no two go into one placing each need one, and each takes so many at most.
        /// </summary>
        public int BoundOf(UInt128 left)
        {
            var (apart, most) = (0, 1);
            foreach (var set in sets)
            {
                most = Math.Max(most, (int)UInt128.PopCount(set & left));
            }

            for (var rest = left; rest != 0;)
            {
                // The unit with the fewest beside it leaves most room for others.
                var (pick, fewest) = (-1, int.MaxValue);
                foreach (var i in Of(rest))
                {
                    var beside = (int)UInt128.PopCount(_with[i] & rest);
                    if (beside < fewest)
                    {
                        (pick, fewest) = (i, beside);
                    }
                }

                rest &= ~_with[pick];
                apart++;
            }

            return Math.Max(apart, ((int)UInt128.PopCount(left) + most - 1) / most);
        }

        public void Go(UInt128 left, List<UInt128> taken)
        {
            if (left == 0)
            {
                Best = [.. taken];
                return;
            }

            budget?.Spend(count / 4);
            if (++_nodes > MostNodes || taken.Count + BoundOf(left) >= (Best?.Count ?? fewerThan))
            {
                return;
            }

            var pick = Of(left).MinBy(i => _of[i].Length);
            foreach (var set in _of[pick].OrderByDescending(s => (int)UInt128.PopCount(s & left)))
            {
                taken.Add(set);
                Go(left & ~set, taken);
                taken.RemoveAt(taken.Count - 1);
            }
        }
    }

    /// <summary>The places from which one unit is within reach.</summary>
    private sealed class Lens
    {
        private readonly Pt[] _points;

        /// <summary>The corners whose circles make its rim: they alone decide.</summary>
        private readonly Pt[] _rim = [];

        private readonly double _reach;
        private readonly bool _round;
        private readonly List<(Pt About, double From, double To)> _arcs = [];

        public Lens(Unit unit, double reachMm, bool round)
        {
            (_points, _reach, _round) = ([.. unit.Hull], reachMm, round);
            var (least, most) = (new Pt(_points.Max(p => p.X) - reachMm, _points.Max(p => p.Y) - reachMm),
                new Pt(_points.Min(p => p.X) + reachMm, _points.Min(p => p.Y) + reachMm));
            (Least, Most) = (least, most);
            Middle = round ? unit.Around.Centre : Pt.Lerp(least, most, 0.5);
            if (round)
            {
                Arcs(reachMm - HairMm);
                _rim = _arcs.Count > 0 ? [.. _arcs.Select(a => a.About).Distinct()] : _points;
                Corners = [.. _arcs.SelectMany(a => new[] { On(a.About, a.From), On(a.About, a.To) })];
            }
            else
            {
                Corners = [least, most, new Pt(least.X, most.Y), new Pt(most.X, least.Y)];
            }
        }

        public Pt Middle { get; }

        public IReadOnlyList<Pt> Corners { get; }

        /// <summary>The box it lies in.</summary>
        private Pt Least { get; }

        private Pt Most { get; }

        public bool Holds(Pt at) => _round ? at.X >= Least.X && at.X <= Most.X && at.Y >= Least.Y && at.Y <= Most.Y
            && Array.TrueForAll(_rim, p => p.To(at) <= _reach)
            : at.X >= Least.X - HairMm && at.X <= Most.X + HairMm && at.Y >= Least.Y - HairMm && at.Y <= Most.Y + HairMm;

        public bool MayMeet(Lens other) => Least.X <= other.Most.X && other.Least.X <= Most.X && Least.Y <= other.Most.Y
            && other.Least.Y <= Most.Y;

        public bool Near(Pt a, Pt b) => Math.Min(a.X, b.X) <= Most.X && Math.Max(a.X, b.X) >= Least.X && Math.Min(a.Y, b.Y) <= Most.Y
            && Math.Max(a.Y, b.Y) >= Least.Y;

        /// <summary>Where its arcs cross those of another.</summary>
        public IEnumerable<Pt> Crossings(Lens other)
        {
            foreach (var (about, _, _) in _arcs)
            {
                foreach (var (with, _, _) in other._arcs)
                {
                    var (r, s, d) = (_reach - HairMm, other._reach - HairMm, about.To(with));
                    if (d < 1e-9 || d > r + s || d < Math.Abs(r - s))
                    {
                        continue;
                    }

                    var along = ((d * d) + (r * r) - (s * s)) / (2 * d);
                    var aside = Math.Sqrt(Math.Max(0, (r * r) - (along * along)));
                    var u = (with - about) * (1 / d);
                    var foot = about + (u * along);
                    foreach (var at in new[] { foot + new Pt(-u.Y * aside, u.X * aside), foot + new Pt(u.Y * aside, -u.X * aside) })
                    {
                        // Circles cross at other places too: only what lies on both rims counts.
                        if (Holds(at) && other.Holds(at))
                        {
                            yield return at;
                        }
                    }
                }
            }
        }

        /// <summary>Where sides of its box cross those of another.</summary>
        public IEnumerable<Pt> Sides(Lens other) =>
            from x in new[] { Least.X, Most.X, other.Least.X, other.Most.X }
            from y in new[] { Least.Y, Most.Y, other.Least.Y, other.Most.Y }
            select new Pt(x, y);

        /// <summary>Where an edge of the cloth crosses its rim.</summary>
        public IEnumerable<Pt> Along(Pt a, Pt b)
        {
            var way = b - a;
            var length = a.To(b);
            if (length < 1e-9)
            {
                yield break;
            }

            if (!_round)
            {
                foreach (var t in new[] { (Least.X - a.X) / way.X, (Most.X - a.X) / way.X, (Least.Y - a.Y) / way.Y,
                    (Most.Y - a.Y) / way.Y })
                {
                    if (t is >= 0 and <= 1)
                    {
                        yield return a + (way * t);
                    }
                }

                yield break;
            }

            foreach (var (about, _, _) in _arcs)
            {
                var foot = Pt.Dot(about - a, way) / length;
                var off = Math.Abs(Pt.Cross(about - a, way)) / length;
                var half = Math.Sqrt(Math.Max(0, ((_reach - HairMm) * (_reach - HairMm)) - (off * off)));
                foreach (var at in new[] { foot - half, foot + half }.Where(t => off < _reach && t >= 0 && t <= length)
                    .Select(t => a + (way * (t / length)))
                    .Where(Holds))
                {
                    yield return at;
                }
            }
        }

        private Pt On(Pt about, double angle) => about + new Pt((_reach - HairMm) * Math.Cos(angle), (_reach - HairMm) * Math.Sin(angle));

        /// <summary>
        /// The arcs of its rim: of the circle about each corner what every other corner's circle holds, an angle about the way there.
        /// </summary>
        private void Arcs(double reach)
        {
            foreach (var p in _points)
            {
                var (begins, low, high, whole) = (0.0, -Math.PI, Math.PI, true);
                foreach (var q in _points)
                {
                    var d = p.To(q);
                    if (d < 1e-9)
                    {
                        continue;
                    }

                    if (d > 2 * reach)
                    {
                        return;
                    }

                    var (to, half) = (Math.Atan2(q.Y - p.Y, q.X - p.X), Math.Acos(d / (2 * reach)));
                    if (whole)
                    {
                        (begins, low, high, whole) = (to, -half, half, false);
                        continue;
                    }

                    var turned = Math.IEEERemainder(to - begins, 2 * Math.PI);
                    (low, high) = (Math.Max(low, turned - half), Math.Min(high, turned + half));
                }

                if (low <= high)
                {
                    _arcs.Add((p, begins + low, begins + high));
                }
            }
        }
    }
}
