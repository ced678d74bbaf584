using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>
/// A room all of whose edge can be seen from the anchor: what lies in it does so at every smaller size too, and the edge is one function of
/// the direction. So the largest size is where a point of the lines first comes to the edge in its direction, or a corner that juts in
/// first comes to a line: exact like <see cref="Fit.LargestCapMm"/>, without meeting every piece with every edge. A heart, a cuff, a bib
/// are such rooms for words in their middle.
/// </summary>
internal sealed class StarFit
{
    /// <summary>Corners seen under a smaller turn than this (sine by lengths) are not told apart from ones that hide each other.</summary>
    private const double Hidden = 1e-9;

    private readonly Pt[] _corners;
    private readonly double[] _angles;
    private readonly Pt[] _jutting;

    private StarFit(Pt[] corners, double[] angles, Pt[] jutting) => (_corners, _angles, _jutting) = (corners, angles, jutting);

    /// <summary>
    /// The room as it is seen from the anchor; null where part of its edge hides behind another, or it has holes or several pieces.
    /// </summary>
    public static StarFit? Of(Region room, Pt anchor)
    {
        if (room.Rings is not [var ring] || ring.Count < 3)
        {
            return null;
        }

        var corners = ring.Select(p => p - anchor).ToArray();
        if (Enumerable.Range(0, corners.Length).Sum(i => Pt.Cross(corners[i], corners[(i + 1) % corners.Length])) < 0)
        {
            Array.Reverse(corners);
        }

        var (turned, jutting) = (0.0, new List<Pt>());
        for (var i = 0; i < corners.Length; i++)
        {
            var (a, b, c) = (corners[i], corners[(i + 1) % corners.Length], corners[(i + 2) % corners.Length]);
            var seen = Pt.Cross(a, b);
            if (seen <= Hidden * a.Length * b.Length)
            {
                return null;
            }

            turned += Math.Atan2(seen, Pt.Dot(a, b));
            if (Pt.Cross(b - a, c - b) < 0)
            {
                jutting.Add(b);
            }
        }

        if (Math.Abs(turned - Math.Tau) > 1e-6)
        {
            return null;
        }

        // Corners in the order of their directions, the least first.
        var angles = corners.Select(p => Math.Atan2(p.Y, p.X)).ToArray();
        var first = Array.IndexOf(angles, angles.Min());
        return new StarFit([.. corners[first..], .. corners[..first]], [.. angles[first..], .. angles[..first]], [.. jutting]);
    }

    /// <summary>
    /// The largest size in mm at which all lines, given for 1 mm about the anchor, lie inside; at most <paramref name="most"/>.
    /// </summary>
    public double LargestCapMm(IReadOnlyList<IReadOnlyList<Pt>> lines, double most)
    {
        foreach (var line in lines)
        {
            for (var k = 0; k < line.Count; k++)
            {
                most = Math.Min(most, ToEdge(line[k]));
                if (k > 0)
                {
                    most = Math.Min(most, ToJutting(line[k - 1], line[k]));
                }
            }
        }

        return Math.Max(0, most);
    }

    /// <summary>The size at which a point comes to the edge in its direction; infinity for one on the anchor.</summary>
    private double ToEdge(Pt q)
    {
        if (q.X == 0 && q.Y == 0)
        {
            return double.PositiveInfinity;
        }

        var at = Array.BinarySearch(_angles, Math.Atan2(q.Y, q.X));
        var i = at >= 0 ? at : ~at - 1;
        var (a, b) = (_corners[i < 0 ? ^1 : i], _corners[(i + 1) % _corners.Length]);
        var d = b - a;
        return Pt.Cross(a, d) / Pt.Cross(q, d);
    }

    /// <summary>The size at which a piece of a line first comes to a corner that juts in.</summary>
    private double ToJutting(Pt q0, Pt q1)
    {
        var first = double.PositiveInfinity;
        foreach (var v in _jutting)
        {
            var (side0, side1) = (Pt.Cross(v, q0), Pt.Cross(v, q1));
            if ((side0 < 0) == (side1 < 0))
            {
                continue;
            }

            var p = Pt.Lerp(q0, q1, side0 / (side0 - side1));
            var ahead = Pt.Dot(p, v);
            if (ahead > 0)
            {
                first = Math.Min(first, Pt.Dot(v, v) / ahead);
            }
        }

        return first;
    }
}
