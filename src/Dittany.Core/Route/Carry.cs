using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Route;

/// <summary>The way behind the work that hides under stitches already there, with free hops no longer than a float may be.</summary>
public static class Carry
{
    /// <summary>The shortest such way in mm, or null where there is none up to <paramref name="mostMm"/>.</summary>
    public static double? Shortest(Pt from, Pt to, IEnumerable<Stitch> stitches, double hopMm, double mostMm) =>
        Shortest(from, [to], stitches, hopMm, mostMm)[0];

    /// <summary>
    /// The shortest ways from one hole to several, each in mm or null; one search for all (Dijkstra 1959). Only holes that a way up to
    /// <paramref name="mostMm"/> can pass through are looked at: none is where going there and on to the nearest target is longer as the
    /// crow flies. Holes a hop away are looked up in squares of one hop, so that the search costs what lies there, not every pair of holes.
    /// </summary>
    public static IReadOnlyList<double?> Shortest(Pt from, IReadOnlyList<Pt> targets, IEnumerable<Stitch> stitches, double hopMm,
        double mostMm)
    {
        var ways = new double?[targets.Count];
        if (targets.All(t => from.To(t) > mostMm))
        {
            return ways;
        }

        var (holes, index) = (new List<Pt> { from }, new Dictionary<Pt, int> { [from] = 0 });
        var wanted = targets.Select(Hole).ToHashSet();
        var links = new List<(int To, int Next)>();
        var first = new List<int>(Enumerable.Repeat(-1, holes.Count));
        foreach (var stitch in stitches)
        {
            if (OnTheWay(stitch.FromMm) || OnTheWay(stitch.ToMm))
            {
                var (a, b) = (Hole(stitch.FromMm), Hole(stitch.ToMm));
                while (first.Count < holes.Count)
                {
                    first.Add(-1);
                }

                links.Add((b, first[a]));
                first[a] = links.Count - 1;
                links.Add((a, first[b]));
                first[b] = links.Count - 1;
            }
        }

        var hops = new Hops(holes, hopMm);
        var best = new double[holes.Count];
        var settled = new bool[holes.Count];
        Array.Fill(best, double.PositiveInfinity);
        best[0] = 0;
        var next = new PriorityQueue<int, double>();
        next.Enqueue(0, 0);
        while (wanted.Count > 0 && next.TryDequeue(out var at, out var way))
        {
            if (settled[at] || way > mostMm)
            {
                continue;
            }

            settled[at] = true;
            wanted.Remove(at);
            for (var link = at < first.Count ? first[at] : -1; link >= 0; link = links[link].Next)
            {
                Reach(links[link].To, at, way);
            }

            foreach (var to in hops.From(at))
            {
                Reach(to, at, way);
            }
        }

        for (var i = 0; i < ways.Length; i++)
        {
            ways[i] = best[index[targets[i]]] is var found && found <= mostMm ? found : null;
        }

        return ways;

        bool OnTheWay(Pt hole)
        {
            var there = from.To(hole);
            if (there > mostMm)
            {
                return false;
            }

            foreach (var target in targets)
            {
                if (there + hole.To(target) <= mostMm)
                {
                    return true;
                }
            }

            return false;
        }

        int Hole(Pt at)
        {
            if (!index.TryGetValue(at, out var known))
            {
                index[at] = known = holes.Count;
                holes.Add(at);
            }

            return known;
        }

        void Reach(int to, int at, double way)
        {
            var on = way + holes[at].To(holes[to]);
            if (!settled[to] && on < best[to])
            {
                best[to] = on;
                next.Enqueue(to, on);
            }
        }
    }

    /// <summary>Holes no further than a hop from each other; none where there is no hop at all.</summary>
    private sealed class Hops
    {
        private readonly IReadOnlyList<Pt> _holes;
        private readonly double _hopMm;
        private readonly Squares<int>? _near;

        public Hops(IReadOnlyList<Pt> holes, double hopMm)
        {
            (_holes, _hopMm) = (holes, hopMm);
            if (hopMm <= 0)
            {
                return;
            }

            _near = new Squares<int>(hopMm);
            for (var i = 0; i < holes.Count; i++)
            {
                _near.Add(holes[i], i);
            }
        }

        public IEnumerable<int> From(int at) => _near?.Within(_holes[at], _hopMm).Where(i => i != at) ?? [];
    }
}
