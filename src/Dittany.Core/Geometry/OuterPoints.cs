using System.Buffers;
using NetTopologySuite.Algorithm;

namespace Dittany.Core.Geometry;

/// <summary>
/// Points of a heap that may be corners of its convex hull (monotone chain, Andrew 1979), and the corners themselves. What is left out
/// lies inside for certain; turns that rounding could hide are settled by the geometry library's exact sign.
/// </summary>
internal static class OuterPoints
{
    /// <summary>Fewer are handed on as they are.</summary>
    private const int Few = 8;

    /// <summary>From so many on those within the extremes are dropped first.</summary>
    private const int Many = 48;

    /// <summary>A turn is clear by so much, mm².</summary>
    private const double Clear = 1e-9;

    /// <summary>
    /// Share of the products by which a cross product of doubles may be off (Shewchuk 1997, the first bound, rounded up).
    /// </summary>
    private const double SignShare = 4e-16;

    public static IReadOnlyList<Pt> Of(IReadOnlyList<Pt> points)
    {
        if (points.Count <= Few || !AllFinite(points))
        {
            return points;
        }

        var sorted = ArrayPool<Pt>.Shared.Rent(points.Count);
        var chain = ArrayPool<Pt>.Shared.Rent((2 * points.Count) + 2);
        try
        {
            var count = Sorted(points, sorted);
            var lower = Chain(sorted.AsSpan(0, count), 1, chain);
            var upper = Chain(sorted.AsSpan(0, count), -1, chain.AsSpan(lower));
            return chain.AsSpan(0, lower + upper).ToArray();
        }
        finally
        {
            ArrayPool<Pt>.Shared.Return(sorted);
            ArrayPool<Pt>.Shared.Return(chain);
        }
    }

    /// <summary>
    /// Corners of the hull without those on its edges, from the one of least y (of several the leftmost) on by lesser x: the ring the
    /// geometry library gives. One point or two where there are no more. Points must be finite.
    /// </summary>
    public static Pt[] Corners(IReadOnlyList<Pt> points)
    {
        if (points.Count == 0)
        {
            return [];
        }

        if (!AllFinite(points))
        {
            throw new ArgumentException("A hull goes round points that are somewhere.", nameof(points));
        }

        var sorted = ArrayPool<Pt>.Shared.Rent(points.Count);
        var chain = ArrayPool<Pt>.Shared.Rent((2 * points.Count) + 2);
        try
        {
            var count = Sorted(points, sorted);
            var all = sorted.AsSpan(0, count);
            var one = Exact(all, chain);
            if (one < 2)
            {
                return chain.AsSpan(0, one).ToArray();
            }

            all.Reverse();
            var other = Exact(all, chain.AsSpan(one - 1));
            return FromLeast(chain.AsSpan(0, one + other - 2));
        }
        finally
        {
            ArrayPool<Pt>.Shared.Return(sorted);
            ArrayPool<Pt>.Shared.Return(chain);
        }
    }

    private static bool AllFinite(IReadOnlyList<Pt> points)
    {
        for (var i = 0; i < points.Count; i++)
        {
            if (!double.IsFinite(points[i].X) || !double.IsFinite(points[i].Y))
            {
                return false;
            }
        }

        return true;
    }

    /// <summary>The points by x and y, those dropped that lie well within four extremes of many; how many are left.</summary>
    private static int Sorted(IReadOnlyList<Pt> points, Pt[] sorted)
    {
        var count = points.Count;
        if (count < Many)
        {
            for (var i = 0; i < count; i++)
            {
                sorted[i] = points[i];
            }
        }
        else
        {
            var (left, right, top, bottom) = (points[0], points[0], points[0], points[0]);
            for (var i = 1; i < points.Count; i++)
            {
                var p = points[i];
                left = p.X < left.X ? p : left;
                right = p.X > right.X ? p : right;
                top = p.Y < top.Y ? p : top;
                bottom = p.Y > bottom.Y ? p : bottom;
            }

            count = 0;
            for (var i = 0; i < points.Count; i++)
            {
                var p = points[i];
                if (!(Pt.Cross(top - left, p - left) > Clear && Pt.Cross(right - top, p - top) > Clear
                    && Pt.Cross(bottom - right, p - right) > Clear && Pt.Cross(left - bottom, p - bottom) > Clear))
                {
                    sorted[count++] = p;
                }
            }
        }

        sorted.AsSpan(0, count).Sort(static (a, b) => a.X != b.X ? a.X.CompareTo(b.X) : a.Y.CompareTo(b.Y));
        return count;
    }

    /// <summary>The chain below, or above where <paramref name="side"/> is -1; how long it is.</summary>
    private static int Chain(ReadOnlySpan<Pt> sorted, int side, Span<Pt> outer)
    {
        var count = 0;
        foreach (var p in sorted)
        {
            while (count >= 2 && side * Pt.Cross(outer[count - 1] - outer[count - 2], p - outer[count - 2]) < -Clear)
            {
                count--;
            }

            outer[count++] = p;
        }

        return count;
    }

    /// <summary>The chain with nothing on its edges, of points none of which stands twice in it; how long it is.</summary>
    private static int Exact(ReadOnlySpan<Pt> sorted, Span<Pt> outer)
    {
        var count = 0;
        foreach (var p in sorted)
        {
            if (count > 0 && outer[count - 1] == p)
            {
                continue;
            }

            while (count >= 2 && Turn(outer[count - 2], outer[count - 1], p) <= 0)
            {
                count--;
            }

            outer[count++] = p;
        }

        return count;
    }

    /// <summary>The sign of a turn: 1 where the way bends from x to y.</summary>
    private static int Turn(Pt a, Pt b, Pt c)
    {
        var (one, other) = ((b.X - a.X) * (c.Y - a.Y), (b.Y - a.Y) * (c.X - a.X));
        var cross = one - other;
        return Math.Abs(cross) > SignShare * (Math.Abs(one) + Math.Abs(other)) ? Math.Sign(cross)
            : CGAlgorithmsDD.OrientationIndex(a.X, a.Y, b.X, b.Y, c.X, c.Y);
    }

    /// <summary>The ring the other way round, from its point of least y on.</summary>
    private static Pt[] FromLeast(ReadOnlySpan<Pt> ring)
    {
        var from = 0;
        for (var i = 1; i < ring.Length; i++)
        {
            from = ring[i].Y < ring[from].Y || (ring[i].Y == ring[from].Y && ring[i].X < ring[from].X) ? i : from;
        }

        var corners = new Pt[ring.Length];
        for (var i = 0; i < ring.Length; i++)
        {
            corners[i] = ring[(from + ring.Length - i) % ring.Length];
        }

        return corners;
    }
}
