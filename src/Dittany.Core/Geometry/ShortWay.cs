namespace Dittany.Core.Geometry;

/// <summary>
/// A short way through places: each next the nearest of those left, then two stretches turned as long as that makes it shorter (two-opt,
/// Croes 1958). It begins nearest to where the hand is, and need not come back.
/// </summary>
public static class ShortWay
{
    /// <summary>More places are taken as the nearest comes, and not turned.</summary>
    private const int MostTurned = 200;

    /// <summary>The places in their order; <paramref name="from"/> null begins with the first.</summary>
    public static IReadOnlyList<int> Through(IReadOnlyList<Pt> places, Pt? from)
    {
        if (places.Count < 2)
        {
            return [.. Enumerable.Range(0, places.Count)];
        }

        var left = Enumerable.Range(0, places.Count).ToList();
        var way = new List<int>();
        var at = from ?? places[0];
        while (left.Count > 0)
        {
            var next = left.MinBy(i => places[i].To(at));
            left.Remove(next);
            way.Add(next);
            at = places[next];
        }

        for (var better = places.Count <= MostTurned; better;)
        {
            better = false;
            for (var i = 0; i < way.Count - 1; i++)
            {
                for (var j = i + 1; j < way.Count; j++)
                {
                    if (Turned(i, j) < -1e-9)
                    {
                        way.Reverse(i, j - i + 1);
                        better = true;
                    }
                }
            }
        }

        return way;

        // What the way gains in length where the stretch from one place to another is walked the other way round.
        double Turned(int i, int j)
        {
            var before = i > 0 ? places[way[i - 1]] : from;
            var after = j + 1 < way.Count ? places[way[j + 1]] : (Pt?)null;
            return (before is { } b ? b.To(places[way[j]]) - b.To(places[way[i]]) : 0)
                + (after is { } a ? a.To(places[way[i]]) - a.To(places[way[j]]) : 0);
        }
    }

    /// <summary>How long a way is.</summary>
    public static double LengthMm(IReadOnlyList<Pt> places, IReadOnlyList<int> way, Pt? from) => (from is { } f ? f.To(places[way[0]]) : 0)
        + Enumerable.Range(1, way.Count - 1).Sum(i => places[way[i - 1]].To(places[way[i]]));
}
