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
    /// The shortest ways from one hole to several, each in mm or null; one search for all (Dijkstra 1959). Holes a hop away are looked up
    /// in squares of one hop, so that the search costs what lies within <paramref name="mostMm"/>, not every pair of holes.
    /// </summary>
    public static IReadOnlyList<double?> Shortest(Pt from, IReadOnlyList<Pt> targets, IEnumerable<Stitch> stitches, double hopMm,
        double mostMm)
    {
        var under = stitches.Where(s => s.FromMm.To(from) <= mostMm || s.ToMm.To(from) <= mostMm).ToArray();
        var holes = under.SelectMany(s => new[] { s.FromMm, s.ToMm }).Concat(targets).Prepend(from).Distinct().ToArray();
        var index = new Dictionary<Pt, int>(holes.Length);
        for (var i = 0; i < holes.Length; i++)
        {
            index[holes[i]] = i;
        }

        var covered = under.SelectMany(s => new[] { (From: index[s.FromMm], To: index[s.ToMm]),
            (From: index[s.ToMm], To: index[s.FromMm]) }).ToLookup(c => c.From, c => c.To);
        var hops = new Hops(holes, hopMm);
        var wanted = targets.Select(t => index[t]).ToHashSet();
        var best = new double[holes.Length];
        var settled = new bool[holes.Length];
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
            foreach (var to in covered[at].Concat(hops.From(at)))
            {
                var on = way + holes[at].To(holes[to]);
                if (!settled[to] && on < best[to])
                {
                    best[to] = on;
                    next.Enqueue(to, on);
                }
            }
        }

        return targets.Select(t => best[index[t]] <= mostMm ? best[index[t]] : (double?)null).ToArray();
    }

    /// <summary>Holes no further than a hop from each other; none where there is no hop at all.</summary>
    private sealed class Hops
    {
        private readonly Pt[] _holes;
        private readonly double _hopMm;
        private readonly Squares<int>? _near;

        public Hops(Pt[] holes, double hopMm)
        {
            (_holes, _hopMm) = (holes, hopMm);
            if (hopMm <= 0)
            {
                return;
            }

            _near = new Squares<int>(hopMm);
            for (var i = 0; i < holes.Length; i++)
            {
                _near.Add(holes[i], i);
            }
        }

        public IEnumerable<int> From(int at) => _near?.Within(_holes[at], _hopMm).Where(i => i != at) ?? [];
    }
}
