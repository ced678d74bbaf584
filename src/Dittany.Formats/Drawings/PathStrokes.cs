using Dittany.Core.Geometry;
using SkiaSharp;

namespace Dittany.Formats.Drawings;

/// <summary>
/// Contours of a path as strokes. Quadratic pieces become the cubics that are the same curve; conic ones are cut into quadratics first.
/// </summary>
internal static class PathStrokes
{
    /// <summary>
    /// One stroke for each contour with a length, points mapped by <paramref name="map"/>; with <paramref name="close"/> every contour ends
    /// where it begins.
    /// </summary>
    public static IReadOnlyList<Stroke> Of(SKPath path, bool close, Func<SKPoint, Pt>? map = null)
    {
        var (strokes, curves) = (new List<Stroke>(), new List<Curve>());
        using var it = path.CreateRawIterator();
        var points = new SKPoint[4];
        Pt P(SKPoint p) => map is null ? new(p.X, p.Y) : map(p);
        SKPathVerb verb;
        while ((verb = it.Next(points)) != SKPathVerb.Done)
        {
            switch (verb)
            {
                case SKPathVerb.Move:
                    End(close);
                    break;
                case SKPathVerb.Line:
                    Straight(P(points[0]), P(points[1]));
                    break;
                case SKPathVerb.Quad:
                    Quad(P(points[0]), P(points[1]), P(points[2]));
                    break;
                case SKPathVerb.Conic:
                    var quads = SKPath.ConvertConicToQuads(points[0], points[1], points[2], it.ConicWeight(), 2);
                    for (var i = 0; i + 2 < quads.Length; i += 2)
                    {
                        Quad(P(quads[i]), P(quads[i + 1]), P(quads[i + 2]));
                    }

                    break;
                case SKPathVerb.Cubic:
                    curves.Add(new Curve(P(points[0]), P(points[1]), P(points[2]), P(points[3])));
                    break;
                case SKPathVerb.Close:
                    End(closed: true);
                    break;
            }
        }

        End(close);
        return strokes;

        void Straight(Pt a, Pt b)
        {
            if (a.To(b) > 1e-6)
            {
                curves.Add(Curve.Line(a, b));
            }
        }

        void Quad(Pt a, Pt m, Pt b) => curves.Add(new Curve(a, Pt.Lerp(a, m, 2.0 / 3), Pt.Lerp(b, m, 2.0 / 3), b));

        void End(bool closed)
        {
            if (curves.Count > 0)
            {
                closed |= curves[^1].P3.To(curves[0].P0) < 1e-6;
                if (closed)
                {
                    Straight(curves[^1].P3, curves[0].P0);
                    curves[^1] = curves[^1] with { P3 = curves[0].P0 };
                }

                strokes.Add(new Stroke(curves.ToArray(), closed));
            }

            curves.Clear();
        }
    }
}
