using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Hooping;

/// <summary>A short way to move the work, in the frame of its face, by which a ring would take it.</summary>
public sealed record Nudge(Pt ByMm);

/// <summary>
/// Where a ring does not go by a strand or two, a few millimetres are offered: up, down, to a side, then slantwise, the shortest first.
/// </summary>
internal static class Nudging
{
    /// <summary>Further than this is another place, mm (from memory).</summary>
    private const int MostMm = 10;

    private static readonly (int X, int Y)[] Ways = [(0, -1), (0, 1), (-1, 0), (1, 0), (-1, -1), (1, -1), (-1, 1), (1, 1)];

    /// <summary>Steps that trying one way takes for each placing.</summary>
    private const long Tried = 200;

    /// <summary>
    /// The shortest way, in whole millimetres, by which one of the sizes takes every placing of its cover on cloth that can be clamped.
    /// Each size comes with its cover off that cloth and with the places where its middle may stand.
    /// </summary>
    public static Nudge? Look(IReadOnlyList<(double HoopMm, Cover Cover, Region Centres)> sizes, bool round, Budget budget)
    {
        var groups = sizes.Where(s => !s.Centres.IsEmpty).Select(s =>
            (s.HoopMm, s.Centres, Works: s.Cover.Placings.Select(p => p.Units.Select(u => s.Cover.Units[u]).ToArray())
                .Select(g => new Unit(string.Empty, Region.HullOf(g.SelectMany(u => u.Hull).ToArray()), g.Max(u => u.HalfMm))).ToArray()))
            .ToArray();
        var steps = Enumerable.Range(1, MostMm).SelectMany(mm => Ways.Select(w => new Pt(w.X * mm, w.Y * mm))).OrderBy(s =>
            Math.Round(s.Length, 6));
        foreach (var by in steps)
        {
            foreach (var (hoopMm, centres, works) in groups)
            {
                budget.Spend(Tried * works.Length);
                if (Array.TrueForAll(works, w => Hooping.CentreOf(w.Hull.Select(p => p + by).ToArray(), w.HalfMm, round, hoopMm, centres)
                    is not null))
                {
                    return new Nudge(by);
                }
            }
        }

        return null;
    }
}
