using Dittany.Core.Geometry;

namespace Dittany.Formats.Drawings;

/// <summary>A contour of a path with the closed ones directly within it that it leaves open.</summary>
internal sealed record Contour(Stroke Stroke, IReadOnlyList<Stroke> Holes);

/// <summary>What the contours of one path enclose together, as fills of paths are read (SVG 2, 13.4.2: fill-rule).</summary>
internal static class Contours
{
    /// <summary>Contours are flattened to this share of their own span to see which lies within which.</summary>
    private const double FlatShare = 3e-3;

    private sealed record Ring(int Index, IReadOnlyList<Pt> Points, Region Area);

    /// <summary>
    /// The contours in their order, holes with what they are holes of: every other one inwards where the rule is even and odd, else those
    /// that run the other way round. Open ones stand for themselves.
    /// </summary>
    public static IReadOnlyList<Contour> Nested(IReadOnlyList<Stroke> contours, bool evenOdd)
    {
        if (contours.Count(c => c.Closed) < 2)
        {
            return contours.Select(c => new Contour(c, [])).ToArray();
        }

        var rings = contours.Select((s, i) => (s, i)).Where(c => c.s.Closed).Select(c => RingOf(c.s, c.i)).OfType<Ring>()
            .OrderByDescending(r => r.Area.AreaMm2).ThenBy(r => r.Index).ToArray();
        var holes = new Dictionary<int, List<Stroke>>();
        var opened = new HashSet<int>();
        for (var i = 1; i < rings.Length; i++)
        {
            var round = rings.Take(i).Where(o => o.Area.BoxMeets(rings[i].Area) && Within(rings[i], o)).ToArray();
            if (round.Length == 0)
            {
                continue;
            }

            var outer = round[^1];
            if (evenOdd ? round.Length % 2 == 1 && !opened.Contains(outer.Index)
                : !opened.Contains(outer.Index) && Turn(outer.Points) != Turn(rings[i].Points))
            {
                opened.Add(rings[i].Index);
                (holes.TryGetValue(outer.Index, out var known) ? known : holes[outer.Index] = []).Add(contours[rings[i].Index]);
            }
        }

        return contours.Select((c, i) => (c, i)).Where(c => !opened.Contains(c.i))
            .Select(c => new Contour(c.c, holes.TryGetValue(c.i, out var within) ? within : [])).ToArray();
    }

    /// <summary>
    /// A contour as an area that is looked at and never reckoned with: what crosses itself stays as it is, for putting it in order is dear,
    /// and whether it may is asked later.
    /// </summary>
    private static Ring? RingOf(Stroke stroke, int index)
    {
        var points = stroke.Flatten(FlatShare * Figure.SpanOf(stroke));
        var ring = points.Count > 1 && points[0].To(points[^1]) < 1e-9 ? points.Take(points.Count - 1).ToArray() : points;
        return ring.Count > 2 && Math.Abs(Signed(ring)) > 1e-12 ? new Ring(index, ring, Region.Of(ring)) : null;
    }

    /// <summary>Most of its points decide: contours may touch.</summary>
    private static bool Within(Ring inner, Ring outer) => 2 * inner.Points.Count(outer.Area.Holds) > inner.Points.Count;

    private static int Turn(IReadOnlyList<Pt> ring) => Math.Sign(Signed(ring));

    private static double Signed(IReadOnlyList<Pt> ring)
    {
        var sum = 0.0;
        for (var i = 0; i < ring.Count; i++)
        {
            sum += Pt.Cross(ring[i], ring[(i + 1) % ring.Count]);
        }

        return sum / 2;
    }
}
