using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Hooping;

/// <summary>
/// Knots and what else stands up from the cloth, under the ring of a later placing: it is pressed flat (common practice). Placings follow
/// each other so that this happens as little as can be.
/// </summary>
internal static class Raised
{
    /// <summary>Up to so many placings every order of them is looked at: beyond it they stay as they follow the work.</summary>
    private const int MostOrdered = 7;

    /// <summary>
    /// The placings in the order in which the fewest rings come to lie on what stands up, the first of equals as they follow the work, and
    /// the placings whose ring does so still.
    /// </summary>
    public static (IReadOnlyList<HoopPlacing> Placings, IReadOnlyList<int> On) Order(IReadOnlyList<HoopPlacing> placings,
        IReadOnlyList<Unit> units)
    {
        // Under the ring of which placing what was stitched in which other would lie.
        var under = placings.Select(p => placings.Select(other => other != p
            && other.Units.Any(u => units[u].Raised && Under(p, units[u]))).ToArray()).ToArray();
        if (placings.Count < 2 || Array.TrueForAll(under, row => Array.TrueForAll(row, u => !u)))
        {
            return (placings, []);
        }

        int[] best = [.. Enumerable.Range(0, placings.Count)];
        if (placings.Count <= MostOrdered)
        {
            best = Orders(best.Length).MinBy(o => Pressed(o, under).Count()).Sure();
        }

        return ([.. best.Select((at, i) => placings[at] with { Order = i + 1 })], [.. Pressed(best, under).Select(i => i + 1)]);
    }

    /// <summary>The places in this order at which the ring lies on what is stitched by then.</summary>
    private static IEnumerable<int> Pressed(int[] order, bool[][] under) =>
        Enumerable.Range(0, order.Length).Where(i => order.Take(i).Any(before => under[order[i]][before]));

    /// <summary>Orders of so many, that of the work first.</summary>
    private static IEnumerable<int[]> Orders(int count) => count == 0 ? [[]]
        : Orders(count - 1).SelectMany(o => Enumerable.Range(0, count)
            .Select(i => (int[])[.. o[..(count - 1 - i)], count - 1, .. o[(count - 1 - i)..]]));

    private static bool Under(HoopPlacing placing, Unit unit)
    {
        var (inner, outer) = (placing.UsableRadiusMm + Hoops.RimMm - 1, Hoops.RingRadiusMm(placing.HoopMm));
        var offs = unit.Points.Select(p => placing.Round ? p.To(placing.CentreMm)
            : Math.Max(Math.Abs(p.X - placing.CentreMm.X), Math.Abs(p.Y - placing.CentreMm.Y)));
        return offs.Any(d => d + unit.HalfMm > inner && d - unit.HalfMm < outer);
    }
}
