using Dittany.Core.Geometry;
using Dittany.Core.Stitches;

namespace Dittany.Core.Route;

/// <summary>The way behind the work that hides under stitches already there, with free hops no longer than a float may be.</summary>
public static class Carry
{
    /// <summary>The shortest such way in mm, or null where there is none up to <paramref name="mostMm"/>.</summary>
    public static double? Shortest(Pt from, Pt to, IEnumerable<Stitch> stitches, double hopMm, double mostMm) => Shortest(from, [to], stitches, hopMm, mostMm)[0];

    /// <summary>The shortest ways from one hole to several, each in mm or null; one search for all.</summary>
    public static IReadOnlyList<double?> Shortest(Pt from, IReadOnlyList<Pt> targets, IEnumerable<Stitch> stitches, double hopMm, double mostMm)
    {
        var under = stitches.ToArray();
        var holes = under.SelectMany(s => new[] { s.FromMm, s.ToMm }).Concat(targets).Prepend(from).Distinct().ToArray();
        var index = new Dictionary<Pt, int>(holes.Length);
        for (var i = 0; i < holes.Length; i++)
        {
            index[holes[i]] = i;
        }

        var covered = new HashSet<(int, int)>();
        foreach (var stitch in under)
        {
            covered.Add((index[stitch.FromMm], index[stitch.ToMm]));
            covered.Add((index[stitch.ToMm], index[stitch.FromMm]));
        }

        var wanted = targets.Select(t => index[t]).ToHashSet();
        var best = new double[holes.Length];
        var settled = new bool[holes.Length];
        Array.Fill(best, double.PositiveInfinity);
        best[0] = 0;
        while (wanted.Count > 0)
        {
            var at = -1;
            for (var i = 0; i < holes.Length; i++)
            {
                if (!settled[i] && best[i] <= mostMm && (at < 0 || best[i] < best[at]))
                {
                    at = i;
                }
            }

            if (at < 0)
            {
                break;
            }

            settled[at] = true;
            wanted.Remove(at);
            for (var next = 0; next < holes.Length; next++)
            {
                if (settled[next])
                {
                    continue;
                }

                var way = holes[at].To(holes[next]);
                if (best[at] + way < best[next] && (way <= hopMm || covered.Contains((at, next))))
                {
                    best[next] = best[at] + way;
                }
            }
        }

        return targets.Select(t => best[index[t]] <= mostMm ? best[index[t]] : (double?)null).ToArray();
    }
}
