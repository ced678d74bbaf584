using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Route;

/// <summary>The way behind the work that hides under stitches already there, with free hops no longer than a float may be.</summary>
public static class Carry
{
    /// <summary>The shortest such way in mm, or null where there is none up to <paramref name="mostMm"/>.</summary>
    public static double? Shortest(Pt from, Pt to, IEnumerable<Stitch> stitches, double hopMm, double mostMm) =>
        Shortest(from, [to], stitches.Select(s => (s.FromMm, s.ToMm)).ToArray(), hopMm, mostMm)[0];

    /// <summary>
    /// The shortest ways from one hole to several, each in mm or null; one search for all (A*, Hart, Nilsson and Raphael 1968: no way is
    /// shorter than the crow flies). Only holes that a way up to <paramref name="mostMm"/> can pass through are looked at.
    /// <paramref name="stitches"/> are those already there, from hole to hole.
    /// </summary>
    public static double?[] Shortest(Pt from, IReadOnlyList<Pt> targets, IReadOnlyList<(Pt From, Pt To)> stitches, double hopMm,
        double mostMm)
    {
        var ways = new double?[targets.Count];
        if (targets.All(t => from.To(t) > mostMm))
        {
            return ways;
        }

        var holes = new Holes(from, targets, mostMm);
        var wanted = new HashSet<int>();
        foreach (var target in targets)
        {
            wanted.Add(holes.Of(target));
        }

        foreach (var (a, b) in stitches)
        {
            if (holes.OnTheWay(a) || holes.OnTheWay(b))
            {
                holes.Link(holes.Of(a), holes.Of(b));
            }
        }

        var search = new Search(holes, hopMm, mostMm);
        while (wanted.Count > 0 && search.Next() is { } at)
        {
            wanted.Remove(at);
        }

        for (var i = 0; i < ways.Length; i++)
        {
            ways[i] = search.Best(holes.Of(targets[i])) is var found && found <= mostMm ? found : null;
        }

        return ways;
    }

    /// <summary>Holes by number, the first the one the way begins in, and what thread lies between.</summary>
    private sealed class Holes(Pt from, IReadOnlyList<Pt> targets, double mostMm)
    {
        private readonly Dictionary<Pt, int> _index = new() { [from] = 0 };
        private readonly List<Pt> _at = [from];
        private readonly List<int> _first = [-1];
        private readonly List<(int To, int Next)> _links = [];

        public int Count => _at.Count;

        public Pt this[int hole] => _at[hole];

        /// <summary>The first link from a hole, or -1.</summary>
        public int First(int hole) => _first[hole];

        public (int To, int Next) LinkAt(int link) => _links[link];

        public int Of(Pt at)
        {
            if (!_index.TryGetValue(at, out var known))
            {
                _index[at] = known = _at.Count;
                _at.Add(at);
                _first.Add(-1);
            }

            return known;
        }

        public void Link(int a, int b)
        {
            _links.Add((b, _first[a]));
            _first[a] = _links.Count - 1;
            _links.Add((a, _first[b]));
            _first[b] = _links.Count - 1;
        }

        /// <summary>None is on the way where going there and on to the nearest target is longer as the crow flies.</summary>
        public bool OnTheWay(Pt hole)
        {
            var there = from.To(hole);
            return there <= mostMm && there + Left(hole) <= mostMm;
        }

        /// <summary>How far it is on to the nearest target as the crow flies.</summary>
        public double Left(Pt hole)
        {
            var least = double.PositiveInfinity;
            for (var i = 0; i < targets.Count; i++)
            {
                least = Math.Min(least, hole.To(targets[i]));
            }

            return least;
        }
    }

    /// <summary>The search over all holes known by now.</summary>
    private sealed class Search
    {
        private readonly Holes _holes;
        private readonly double _hopMm;
        private readonly double _mostMm;
        private readonly double[] _best;
        private readonly double[] _left;
        private readonly bool[] _settled;
        private readonly int[] _byX;
        private readonly double[] _xs;
        private readonly PriorityQueue<int, double> _next = new();

        public Search(Holes holes, double hopMm, double mostMm)
        {
            (_holes, _hopMm, _mostMm) = (holes, hopMm, mostMm);
            (_best, _left, _settled) = (new double[holes.Count], new double[holes.Count], new bool[holes.Count]);
            (_byX, _xs) = (new int[holes.Count], new double[holes.Count]);
            Array.Fill(_best, double.PositiveInfinity);
            for (var i = 0; i < holes.Count; i++)
            {
                (_left[i], _byX[i], _xs[i]) = (holes.Left(holes[i]), i, holes[i].X);
            }

            Array.Sort(_xs, _byX);
            _best[0] = 0;
            _next.Enqueue(0, _left[0]);
        }

        public double Best(int hole) => hole < _best.Length ? _best[hole] : double.PositiveInfinity;

        /// <summary>The next hole whose way is the shortest; null when no more can be reached.</summary>
        public int? Next()
        {
            while (_next.TryDequeue(out var at, out _))
            {
                if (_settled[at])
                {
                    continue;
                }

                _settled[at] = true;
                for (var link = _holes.First(at); link >= 0;)
                {
                    var (to, next) = _holes.LinkAt(link);
                    if (!_settled[to])
                    {
                        Reach(to, _best[at] + _holes[at].To(_holes[to]));
                    }

                    link = next;
                }

                Hop(at);
                return at;
            }

            return null;
        }

        /// <summary>To the holes no further than a hop from one; none where there is no hop at all.</summary>
        private void Hop(int at)
        {
            var here = _holes[at];
            if (_hopMm <= 0)
            {
                return;
            }

            var first = Array.BinarySearch(_xs, here.X - _hopMm);
            first = first < 0 ? ~first : first;
            while (first > 0 && _xs[first - 1] >= here.X - _hopMm)
            {
                first--;
            }

            for (var i = first; i < _xs.Length && _xs[i] <= here.X + _hopMm; i++)
            {
                var to = _byX[i];
                if (!_settled[to] && here.To(_holes[to]) is var hop && hop <= _hopMm)
                {
                    Reach(to, _best[at] + hop);
                }
            }
        }

        private void Reach(int to, double way)
        {
            if (way < _best[to] && way + _left[to] <= _mostMm)
            {
                _best[to] = way;
                _next.Enqueue(to, way + _left[to]);
            }
        }
    }
}
