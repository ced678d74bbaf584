namespace Dittany.Core.Geometry;

/// <summary>
/// Points of a heap that may be corners of its convex hull (monotone chain, Andrew 1979). What is left out lies inside for certain; what
/// lies all but on an edge is kept, and left to the geometry library.
/// </summary>
internal static class OuterPoints
{
    /// <summary>Fewer are handed on as they are.</summary>
    private const int Few = 8;

    /// <summary>A turn is clear by so much, mm².</summary>
    private const double Clear = 1e-9;

    public static IReadOnlyList<Pt> Of(IReadOnlyList<Pt> points)
    {
        if (points.Count <= Few)
        {
            return points;
        }

        var sorted = new Pt[points.Count];
        for (var i = 0; i < sorted.Length; i++)
        {
            sorted[i] = points[i];
            if (!double.IsFinite(sorted[i].X) || !double.IsFinite(sorted[i].Y))
            {
                return points;
            }
        }

        Array.Sort(sorted, static (a, b) => a.X != b.X ? a.X.CompareTo(b.X) : a.Y.CompareTo(b.Y));
        var outer = new List<Pt>();
        Chain(sorted, 1, outer);
        Chain(sorted, -1, outer);
        return outer;
    }

    /// <summary>The chain below, or above where <paramref name="side"/> is -1.</summary>
    private static void Chain(Pt[] sorted, int side, List<Pt> outer)
    {
        var from = outer.Count;
        foreach (var p in sorted)
        {
            while (outer.Count - from >= 2 && side * Pt.Cross(outer[^1] - outer[^2], p - outer[^2]) < -Clear)
            {
                outer.RemoveAt(outer.Count - 1);
            }

            outer.Add(p);
        }
    }
}
