using Dittany.Core.Geometry;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;

namespace Dittany.Core.Space;

/// <summary>Lines at an even distance from an edge of the item, for words that follow it.</summary>
public static class EdgePath
{
    private static readonly GeometryFactory Factory = Region.Factory;

    /// <summary>
    /// The line that runs beside <paramref name="edge"/> at <paramref name="byMm"/>, on the side of <paramref name="near"/> and through it;
    /// the edge itself where the distance is under a tenth of a millimetre. Empty where no such line is left.
    /// </summary>
    public static IReadOnlyList<Pt> Beside(IReadOnlyList<Pt> edge, Pt near, double byMm)
    {
        if (byMm < 0.1)
        {
            return edge;
        }

        // The line all round at that distance, cut open at the place that is farthest from the words.
        var band = Factory.CreateLineString(edge.Select(p => new Coordinate(p.X, p.Y)).ToArray()).Buffer(byMm,
            new BufferParameters(32, EndCapStyle.Flat, JoinStyle.Round, 2));
        var ring = Enumerable.Range(0, band.NumGeometries).Select(i => (Polygon)band.GetGeometryN(i)).Where(p => !p.IsEmpty)
            .SelectMany(p => p.InteriorRings.Prepend(p.ExteriorRing))
            .Select(r => r.Coordinates.Take(r.NumPoints - 1).Select(c => new Pt(c.X, c.Y)).ToArray())
            .OrderBy(r => Polyline.ToLine(near, [.. r, r[0]])).FirstOrDefault();
        if (ring is null)
        {
            return [];
        }

        var dense = Densely([.. ring, ring[0]], 2).SkipLast(1).ToArray();
        if (dense.Length < 4)
        {
            return [];
        }

        // Only what keeps its distance from the edge belongs: not the caps at its ends.
        var from = Enumerable.Range(0, dense.Length).MinBy(i => dense[i].To(near));
        bool Belongs(Pt p) => Math.Abs(Polyline.ToLine(p, edge) - byMm) < 0.05;
        var line = new LinkedList<Pt>([dense[from]]);
        for (var k = 1; k < dense.Length && Belongs(dense[(from + k) % dense.Length]); k++)
        {
            line.AddLast(dense[(from + k) % dense.Length]);
        }

        for (var k = 1; k < dense.Length - line.Count && Belongs(dense[(from - k + dense.Length) % dense.Length]); k++)
        {
            line.AddFirst(dense[(from - k + dense.Length) % dense.Length]);
        }

        return [.. line];
    }

    /// <summary>The same line with points no further apart than this.</summary>
    public static IReadOnlyList<Pt> Densely(IReadOnlyList<Pt> line, double stepMm)
    {
        var points = new List<Pt> { line[0] };
        for (var i = 1; i < line.Count; i++)
        {
            var pieces = Math.Max(1, (int)Math.Ceiling(line[i - 1].To(line[i]) / stepMm));
            points.AddRange(Enumerable.Range(1, pieces).Select(k => Pt.Lerp(line[i - 1], line[i], (double)k / pieces)));
        }

        return points;
    }
}
