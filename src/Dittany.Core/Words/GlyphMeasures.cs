using Dittany.Core.Geometry;
using NetTopologySuite.Algorithm.Construct;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;
using NetTopologySuite.Operation.Polygonize;

namespace Dittany.Core.Words;

/// <summary>
/// What decides whether a letter stays open, free of size: in units of a hundredth of the capital. <paramref name="Counters"/> are the
/// widest circles that sit in its enclosed spaces (diameters); <paramref name="Gaps"/> the narrowest places between strokes that should be
/// apart; <paramref name="TightestRadius"/> its sharpest smooth bend, infinity where it is all straight.
/// </summary>
public sealed record GlyphMeasures(IReadOnlyList<double> Counters, IReadOnlyList<double> Gaps, double TightestRadius)
{
    /// <summary>Strokes nearer than this are meant to touch.</summary>
    private const double Touching = 1.0;

    /// <summary>Enclosed slivers smaller than this come of drawn joints, not of the letter.</summary>
    private const double Sliver = 6;

    /// <summary>
    /// Exactness of the widest circle: in a letter; and at the most in a long word joined to one outline, where each place of the ribbon is
    /// as wide as the next and would be looked at as closely.
    /// </summary>
    private const double CircleTolerance = 0.1;

    private const double LongCircleTolerance = 0.5;

    /// <summary>From so many times the exactness on an outline counts as long: a few joined letters.</summary>
    private const double LongFrom = 4000;

    /// <summary>The least distance at which everything is still open; infinity where there is nothing to shut.</summary>
    public double Narrowest { get; } = Counters.Concat(Gaps).DefaultIfEmpty(double.PositiveInfinity).Min();

    public static GlyphMeasures Of(Glyph glyph) => new(MeasureCounters(glyph), MeasureGaps(glyph), TightestBend(glyph));

    /// <summary>Enclosed spaces and bends only, for drawings: what of them comes near what is not told by distance alone.</summary>
    internal static GlyphMeasures WithoutGaps(Glyph glyph) => new(OfDrawing(glyph), [], TightestBend(glyph));

    /// <summary>Drawings can be scribbles: a thicket is measured on a grid.</summary>
    private static double[] OfDrawing(Glyph glyph)
    {
        var lines = LinesOf(glyph);
        return OpeningGrid.Is(lines) ? OpeningGrid.Openings(lines).Where(d => d > Sliver).Order().ToArray() : CountersOf(lines);
    }

    private static Coordinate[][] LinesOf(Glyph glyph) => glyph.Strokes.Select(s => Extended(s.Flatten(0.2), s.Closed)).ToArray();

    private static double[] MeasureCounters(Glyph glyph) => CountersOf(LinesOf(glyph));

    private static double[] CountersOf(IEnumerable<Coordinate[]> lines)
    {
        var noded = NetTopologySuite.Operation.Union.UnaryUnionOp.Union(
            lines.Select(l => (NetTopologySuite.Geometries.Geometry)Region.Factory.CreateLineString(l)).ToArray());
        var polygonizer = new Polygonizer();
        polygonizer.Add(noded);
        return polygonizer.GetPolygons()
            .Select(face => 2 * Radius(face))
            .Where(d => d > Sliver)
            .Order()
            .ToArray();

        static double Radius(NetTopologySuite.Geometries.Geometry face) => new MaximumInscribedCircle(face,
            Math.Clamp(face.EnvelopeInternal.MaxExtent / LongFrom, CircleTolerance, LongCircleTolerance)).GetRadiusLine().Length;
    }

    /// <summary>Ends reach a hair further, so that a stroke drawn to touch another is seen to meet it.</summary>
    private static Coordinate[] Extended(IReadOnlyList<Pt> points, bool closed)
    {
        var all = points.ToList();
        if (!closed)
        {
            // The end itself stays a point of the line: a stroke may come back to it.
            all.Insert(0, all[0] + (Unit(all[0] - all[1]) * 0.3));
            all.Add(all[^1] + (Unit(all[^1] - all[^2]) * 0.3));
        }

        return all.Select(p => new Coordinate(p.X, p.Y)).ToArray();

        static Pt Unit(Pt d) => d.Length == 0 ? d : d * (1 / d.Length);
    }

    /// <summary>
    /// Strokes further apart than this never close up, however small they are written: the widest line and the opening that must stay are
    /// less than it at 2 mm, the least that is written.
    /// </summary>
    private const double FarApart = 200;

    /// <summary>
    /// Gaps: between strokes that do not meet, their nearest distance; and from each free end to the rest of the letter, where the way
    /// along the ink is much longer than the way across. Joined letters are one glyph of hundreds of strokes, so only what lies near is
    /// compared, and by an index.
    /// </summary>
    private static double[] MeasureGaps(Glyph glyph)
    {
        var lines = glyph.Lines;
        var drawn = lines.Select(l => (NetTopologySuite.Geometries.Geometry)Region.Factory.CreateLineString(
            (l.Count == 1 ? [l[0], l[0]] : l).Select(p => new Coordinate(p.X, p.Y)).ToArray())).ToArray();
        var boxes = drawn.Select(d => d.EnvelopeInternal).ToArray();
        var gaps = new List<double>();
        for (var i = 0; i < lines.Count; i++)
        {
            var from = new IndexedFacetDistance(drawn[i]);
            for (var j = i + 1; j < lines.Count; j++)
            {
                if (boxes[i].Distance(boxes[j]) <= FarApart && from.Distance(drawn[j]) is var between && between > Touching)
                {
                    gaps.Add(between);
                }
            }

            if (!glyph.Strokes[i].Closed)
            {
                AddAperture(lines[i], gaps);
                AddAperture(lines[i].Reverse().ToArray(), gaps);
            }
        }

        return gaps.Order().ToArray();
    }

    /// <summary>From a stroke's first point to its own later parts: the mouth of a c or e.</summary>
    private static void AddAperture(IReadOnlyList<Pt> line, List<double> gaps)
    {
        var (along, best) = (0.0, double.PositiveInfinity);
        var leaving = true;
        for (var k = 1; k < line.Count; k++)
        {
            along += line[k - 1].To(line[k]);
            var across = Polyline.ToSegment(line[0], line[k - 1], line[k]);

            // Still on the way out from the end: the distance across grows with the distance along.
            leaving = leaving && across > along * 0.55;
            if (!leaving && across < best && along > 1.8 * across)
            {
                best = across;
            }
        }

        if (best > Touching && !double.IsPositiveInfinity(best))
        {
            gaps.Add(best);
        }
    }

    private static double TightestBend(Glyph glyph)
    {
        var most = 0.0;
        foreach (var curve in glyph.Strokes.SelectMany(s => s.Curves).Where(c => !c.IsStraight))
        {
            for (var k = 0; k <= 32; k++)
            {
                most = Math.Max(most, Math.Abs(curve.CurvatureAt(k / 32.0)));
            }
        }

        return most < 1e-9 ? double.PositiveInfinity : 1 / most;
    }
}
