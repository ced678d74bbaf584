using NetTopologySuite.Geometries;
using NetTopologySuite.Index.Strtree;

namespace Dittany.Core.Geometry;

/// <summary>How often a line crosses itself, counted no further than matters.</summary>
public static class SelfCrossings
{
    /// <summary>
    /// Pairs of pieces that are looked at: some tenths of a second. A line whose pieces lie so much over each other counts as tangled.
    /// </summary>
    private const int MostLooked = 3_000_000;

    /// <summary>Steps for a piece put into the tree and looked up, and for each other piece it is held against (measured).</summary>
    private const int StepsAPiece = 30;

    private const int StepsALook = 2;

    /// <summary>
    /// Places in which a line, or a ring, crosses itself, counted up to <paramref name="most"/>: so many means so many or more, also where
    /// its pieces lie over each other too often to be looked at one by one. Touching is no crossing.
    /// </summary>
    public static int Count(IReadOnlyList<Pt> line, bool ring, int most)
    {
        var n = ring ? line.Count : line.Count - 1;
        if (n < 3)
        {
            return 0;
        }

        var tree = new STRtree<int>();
        for (var i = 0; i < n; i++)
        {
            tree.Insert(Box(line, i), i);
        }

        var (crossings, looked) = (0, 0);
        for (var i = 0; i < n; i++)
        {
            var near = tree.Query(Box(line, i));
            Measures.Budget.Current.Spend(StepsAPiece + (StepsALook * near.Count));
            foreach (var other in near)
            {
                if (++looked > MostLooked)
                {
                    return most;
                }

                if (other > i && Polyline.Cross(line[i], line[(i + 1) % line.Count], line[other], line[(other + 1) % line.Count])
                    && ++crossings >= most)
                {
                    return most;
                }
            }
        }

        return crossings;
    }

    private static Envelope Box(IReadOnlyList<Pt> line, int piece)
    {
        var (a, b) = (line[piece], line[(piece + 1) % line.Count]);
        return new Envelope(a.X, b.X, a.Y, b.Y);
    }
}
