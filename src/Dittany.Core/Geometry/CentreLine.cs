using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Prepared;
using NetTopologySuite.Triangulate;

namespace Dittany.Core.Geometry;

/// <summary>
/// A line down the middle of a shape, with half the shape's width at each of its points: what it would take to write the shape in one
/// stroke.
/// </summary>
public sealed record CentreStroke(IReadOnlyList<Pt> Points, IReadOnlyList<double> HalfWidths, bool Closed, IReadOnlySet<int> Corners)
{
    /// <summary>The stroke as curves through its points, straight on into its corners.</summary>
    public Stroke Curved() => SmoothLine.Through(Points, Closed, Corners);

    public double MeanWidth => 2 * HalfWidths.Average();

    /// <summary>The same stroke elsewhere.</summary>
    public CentreStroke Moved(Pt by) => this with { Points = [.. Points.Select(p => p + by)] };
}

/// <summary>
/// Centre lines of shapes by their medial axis (Blum 1967): the points that are as near to two sides. It is found from the Voronoi cells of
/// points set closely along the outline (Brandt and Algazi 1992), pruned of what only leads into corners and serifs, its junctions drawn
/// together, and put into the strokes a hand would write: straight on where lines meet, from the left and the top. Not a tracing of the
/// outline; a shape as wide as it is high has no line worth writing and gives a short one.
/// </summary>
public static class CentreLine
{
    /// <summary>Points along the outline stand this near, as a share of the stroke's width, and are no more than this many.</summary>
    private const double Sampling = 0.11;

    private const int MostSamples = 2600;

    /// <summary>
    /// A side line shorter than this many half widths, reckoned at its root, leads into a corner or a serif: the corner of a square stroke
    /// leads away √2 of them.
    /// </summary>
    private const double SpurHalfWidths = 1.9;

    /// <summary>
    /// Junctions nearer than this many half widths are one: two strokes that cross meet in two of them, and at a slant further apart.
    /// </summary>
    private const double OneJunction = 1.15;

    /// <summary>Two lines that meet and go on within this turn are one stroke (radians).</summary>
    private const double StraightOn = 0.9;

    /// <summary>
    /// Points of a line stand evenly, so far apart in strokes' widths: near enough for its bends, far enough to leave the unsteadiness of
    /// the cells out.
    /// </summary>
    private const double Apart = 0.62;

    /// <summary>A turn of more than this over a width of the stroke is a corner (radians).</summary>
    private const double Corner = 1.05;

    private static readonly GeometryFactory Factory = Region.Factory;

    /// <summary>
    /// Centre lines of the shape with these outlines (even-odd), in its own units, in writing order: y is up or down as
    /// <paramref name="yUp"/> says. Empty where there is no area.
    /// </summary>
    public static IReadOnlyList<CentreStroke> Of(IReadOnlyList<IReadOnlyList<Pt>> rings, bool yUp)
    {
        NetTopologySuite.Geometries.Geometry area = Factory.CreatePolygon();
        foreach (var ring in rings.Where(r => r.Count > 2))
        {
            var piece = Factory.CreatePolygon([.. ring.Select(p => new Coordinate(p.X, p.Y)), new Coordinate(ring[0].X, ring[0].Y)]);
            area = area.SymmetricDifference(piece.IsValid ? piece : piece.Buffer(0));
        }

        if (area.IsEmpty || area.Length < 1e-9)
        {
            return [];
        }

        var strokes = new List<CentreStroke>();
        for (var i = 0; i < area.NumGeometries; i++)
        {
            if (area.GetGeometryN(i) is Polygon { IsEmpty: false } polygon)
            {
                strokes.AddRange(OfPiece(polygon));
            }
        }

        return Written(strokes, yUp ? -1 : 1);
    }

    /// <summary>Steps that one point along the outline takes (measured).</summary>
    private const int SampleSteps = 400;

    /// <summary>What it takes to find the lines of an area, in steps of a budget.</summary>
    internal static long Steps(Region area)
    {
        var (around, width) = (area.AroundMm, area.AroundMm > 0 ? 2 * area.AreaMm2 / area.AroundMm : 0);
        return width > 0 ? SampleSteps * (long)Math.Min(MostSamples, around / (width * Sampling)) : 0;
    }

    private static List<CentreStroke> OfPiece(Polygon polygon)
    {
        // The width of an even stroke: twice its area by the length of its outline.
        var width = 2 * polygon.Area / polygon.Length;
        var step = Math.Max(width * Sampling, polygon.Length / MostSamples);
        var samples = new[] { polygon.ExteriorRing }.Concat(polygon.InteriorRings).SelectMany(r => Along(r, step)).ToArray();
        var builder = new VoronoiDiagramBuilder { Tolerance = 0 };
        builder.SetSites(samples);
        var subdivision = builder.GetSubdivision();
        var inside = PreparedGeometryFactory.Prepare(polygon);
        var graph = new AxisGraph();
        foreach (NetTopologySuite.Triangulate.QuadEdge.QuadEdge edge in subdivision.GetPrimaryEdges(false))
        {
            // The cell wall between two outline points that are not neighbours.
            var (a, b) = (edge.Orig.Coordinate, edge.Dest.Coordinate);
            if (Neighbours(a, b, step) || Centre(subdivision, edge, out var from, out var to) is false)
            {
                continue;
            }

            if (inside.Contains(Factory.CreateLineString([from, to])))
            {
                // A cell's corner is as far from the outline as from the points it was made by.
                graph.Add(from, from.Distance(a), to, to.Distance(a));
            }
        }

        graph.Clean(SpurHalfWidths, OneJunction, width * 0.5);
        var strokes = graph.Strokes(StraightOn).Select(s => Smooth(s.Points, s.HalfWidths, s.Closed, width)).ToList();
        Meet(strokes, width);
        return strokes;
    }

    /// <summary>
    /// Where a stroke ends on another, smoothing has parted them by a hair: its end is set on the other's curve again, or on its own
    /// further on.
    /// </summary>
    private static void Meet(List<CentreStroke> strokes, double width)
    {
        for (var i = 0; i < strokes.Count; i++)
        {
            if (strokes[i].Closed)
            {
                continue;
            }

            foreach (var last in new[] { false, true })
            {
                var points = strokes[i].Points.ToArray();
                var end = last ? points.Length - 1 : 0;
                var others = strokes.Where((_, k) => k != i).Select(o =>
                    o.Curved().Flatten(width * 0.01)).Append(Further(strokes[i], last, 2.5 * width));
                var near = others.SelectMany(o => o).Where(p => p.To(points[end]) < NearEnough * width).OrderBy(p =>
                    p.To(points[end])).Take(1).ToArray();
                if (near.Length == 1 && near[0] != points[end])
                {
                    points[end] = near[0];
                    strokes[i] = strokes[i] with { Points = points };
                }
            }
        }
    }

    /// <summary>An end this near another stroke was on it before it was smoothed.</summary>
    private const double NearEnough = 0.45;

    /// <summary>The part of a stroke that lies further than this from one of its ends along it.</summary>
    private static IReadOnlyList<Pt> Further(CentreStroke stroke, bool fromLast, double beyond)
    {
        var line = stroke.Curved().Flatten(stroke.HalfWidths.Average() * 0.02);
        var way = fromLast ? line.Reverse().ToArray() : line.ToArray();
        var along = 0.0;
        for (var i = 1; i < way.Length; i++)
        {
            along += way[i - 1].To(way[i]);
            if (along > beyond)
            {
                return way[i..];
            }
        }

        return [];
    }

    private static bool Neighbours(Coordinate a, Coordinate b, double step) => a.Distance(b) < step * 1.02;

    /// <summary>
    /// The ends of the cell wall that an edge of the triangulation crosses: the circumcentres of the triangles at its two sides.
    /// </summary>
    private static bool Centre(NetTopologySuite.Triangulate.QuadEdge.QuadEdgeSubdivision subdivision,
        NetTopologySuite.Triangulate.QuadEdge.QuadEdge edge, out Coordinate from, out Coordinate to)
    {
        (from, to) = (new Coordinate(), new Coordinate());
        var (left, right) = (edge.LNext, edge.Sym.LNext);
        if (subdivision.IsFrameEdge(edge) || subdivision.IsFrameEdge(left) || subdivision.IsFrameEdge(right)
            || subdivision.IsFrameEdge(edge.LPrev) || subdivision.IsFrameEdge(edge.Sym.LPrev))
        {
            return false;
        }

        from = Triangle.Circumcentre(edge.Orig.Coordinate, edge.Dest.Coordinate, left.Dest.Coordinate);
        to = Triangle.Circumcentre(edge.Orig.Coordinate, edge.Dest.Coordinate, right.Dest.Coordinate);
        return from.IsValid && to.IsValid && from.Distance(to) > 1e-12;
    }

    private static IEnumerable<Coordinate> Along(LineString ring, double step)
    {
        var points = ring.Coordinates;
        for (var i = 1; i < points.Length; i++)
        {
            var length = points[i - 1].Distance(points[i]);
            var pieces = Math.Max(1, (int)Math.Ceiling(length / step));
            for (var k = 0; k < pieces; k++)
            {
                var t = (double)k / pieces;
                yield return new Coordinate(points[i - 1].X + ((points[i].X - points[i - 1].X) * t), points[i - 1].Y
                    + ((points[i].Y - points[i - 1].Y) * t));
            }
        }
    }

    /// <summary>Evenly spaced points along the line, its ends and corners among them, with the half width at each.</summary>
    private static CentreStroke Smooth(IReadOnlyList<Pt> points, IReadOnlyList<double> halves, bool closed, double width)
    {
        // A few rounds of averaging with the neighbours hardly move a smooth line and level the steps of the sampling.
        var (at, n) = (points.ToArray(), points.Count);
        for (var round = 0; round < 6; round++)
        {
            var next = at.ToArray();
            for (var i = closed ? 0 : 1; i < (closed ? n : n - 1); i++)
            {
                next[i] = (at[i] * 0.5) + ((at[(i + n - 1) % n] + at[(i + 1) % n]) * 0.25);
            }

            at = next;
        }

        var line = closed ? at.Append(at[0]).ToArray() : at;
        var along = new double[line.Length];
        for (var i = 1; i < line.Length; i++)
        {
            along[i] = along[i - 1] + line[i - 1].To(line[i]);
        }

        var stops = Corners(along, width).Prepend(0).Append(along[^1]).ToArray();
        var (kept, wide, corners) = (new List<Pt>(), new List<double>(), new HashSet<int>());
        for (var k = 1; k < stops.Length; k++)
        {
            var pieces = Math.Max(closed && stops.Length == 2 ? 6 : 1, (int)Math.Round((stops[k] - stops[k - 1]) / (width * Apart)));
            for (var i = kept.Count == 0 ? 0 : 1; i <= pieces; i++)
            {
                var s = stops[k - 1] + ((stops[k] - stops[k - 1]) * i / pieces);
                if (i == pieces && k < stops.Length - 1)
                {
                    corners.Add(kept.Count);
                }

                kept.Add(At(s, out var half));
                wide.Add(half);
            }
        }

        if (closed)
        {
            kept.RemoveAt(kept.Count - 1);
            wide.RemoveAt(wide.Count - 1);
        }

        return new CentreStroke(kept, wide, closed, corners);

        Pt At(double s, out double half)
        {
            var i = Math.Clamp(Array.BinarySearch(along, s) is var found && found < 0 ? ~found : found, 1, line.Length - 1);
            var t = along[i] > along[i - 1] ? Math.Clamp((s - along[i - 1]) / (along[i] - along[i - 1]), 0, 1) : 0;
            half = halves[(i - 1) % n] + ((halves[i % n] - halves[(i - 1) % n]) * t);
            return Pt.Lerp(line[i - 1], line[i], t);
        }

        // Where the way in and the way out over half a width differ most, and by more than a bend does.
        IEnumerable<double> Corners(double[] lengths, double w)
        {
            var (best, turn) = (-1.0, 0.0);
            for (var i = 1; i < lengths.Length - 1; i++)
            {
                var s = lengths[i];
                if (s < w * 0.7 || s > lengths[^1] - (w * 0.7))
                {
                    continue;
                }

                var here = At(s, out _);
                var by = Pt.TurnRadians(here - At(s - (w * 0.6), out _), At(s + (w * 0.6), out _) - here);
                if (best >= 0 && s - best > w)
                {
                    yield return best;
                    (best, turn) = (-1, 0);
                }

                if (by > Corner && by > turn)
                {
                    (best, turn) = (s, by);
                }
            }

            if (best >= 0)
            {
                yield return best;
            }
        }
    }

    /// <summary>
    /// Strokes turned to begin at the left or the top and put in the order they are written: from the left by where they begin, the longer
    /// first where that is the same.
    /// </summary>
    private static CentreStroke[] Written(List<CentreStroke> strokes, int down) => strokes
        .Select(s =>
        {
            if (s.Closed)
            {
                // Rounds begin at the top and go against the clock.
                var top = Enumerable.Range(0, s.Points.Count).MinBy(i => s.Points[i].Y * down);
                var points = s.Points.Skip(top).Concat(s.Points.Take(top)).ToArray();
                var halves = s.HalfWidths.Skip(top).Concat(s.HalfWidths.Take(top)).ToArray();
                var turn = Enumerable.Range(0, points.Length).Sum(i => Pt.Cross(points[i], points[(i + 1) % points.Length])) * down;
                var n = points.Length;
                var corners = s.Corners.Select(c => (c - top + n) % n).ToHashSet();
                return turn <= 0 ? new CentreStroke(points, halves, true, corners)
                    : new CentreStroke([points[0], .. points.Skip(1).Reverse()], [halves[0], .. halves.Skip(1).Reverse()], true,
                    corners.Select(c => (n - c) % n).ToHashSet());
            }

            // An upright begins at its top, a level line at its left; a curve at whichever end is further to the top and left.
            var (a, b) = (s.Points[0], s.Points[^1]);
            return (a.Y * down) + (a.X * 0.8) <= (b.Y * down) + (b.X * 0.8) ? s
                : new CentreStroke([.. s.Points.Reverse()], [.. s.HalfWidths.Reverse()], false,
                s.Corners.Select(c => s.Points.Count - 1 - c).ToHashSet());
        })
        .OrderBy(s => Math.Round(s.Points.Min(p => p.X) / 6)).ThenByDescending(s => Polyline.Length(s.Points)).ToArray();
}
