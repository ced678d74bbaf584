using Dittany.Core.Geometry;
using Dittany.Core.Stitches;

namespace Dittany.Core.Route;

/// <summary>The way behind the work that hides under stitches already there, with free hops no longer than a float may be.</summary>
public static class Carry
{
    /// <summary>The shortest such way in mm, or null where there is none up to <paramref name="mostMm"/>.</summary>
    public static double? Shortest(Pt from, Pt to, IEnumerable<Stitch> stitches, double hopMm, double mostMm)
    {
        var under = stitches.ToArray();
        var holes = under.SelectMany(s => new[] { s.FromMm, s.ToMm }).Prepend(to).Prepend(from).Distinct().ToArray();
        var index = holes.Select((p, i) => (p, i)).ToDictionary(e => e.p, e => e.i);
        var covered = new HashSet<(int, int)>();
        foreach (var stitch in under)
        {
            covered.Add((index[stitch.FromMm], index[stitch.ToMm]));
            covered.Add((index[stitch.ToMm], index[stitch.FromMm]));
        }

        var best = new Dictionary<int, double> { [0] = 0 };
        var queue = new PriorityQueue<int, (double, int)>();
        queue.Enqueue(0, (0, 0));
        while (queue.TryDequeue(out var at, out var rank))
        {
            if (rank.Item1 > best[at])
            {
                continue;
            }

            if (at == index[to])
            {
                return rank.Item1;
            }

            for (var next = 0; next < holes.Length; next++)
            {
                var way = holes[at].To(holes[next]);
                var length = rank.Item1 + way;
                if (next != at && length <= mostMm && (way <= hopMm || covered.Contains((at, next))) && (!best.TryGetValue(next, out var known) || length < known))
                {
                    best[next] = length;
                    queue.Enqueue(next, (length, next));
                }
            }
        }

        return null;
    }
}
