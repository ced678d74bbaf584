namespace Dittany.Core.Geometry;

/// <summary>
/// A smooth stroke through points that stand anyhow apart. It passes every point, and bends evenly on between them; it does not stray far
/// from the straight way between two, however unevenly they stand. At corners it breaks.
/// </summary>
public static class SmoothLine
{
    /// <summary>
    /// Curves through the points (after Catmull and Rom 1974, with the tangent of the parabola through three points that stand unevenly,
    /// and each handle a third of its own piece). <paramref name="corners"/> numbers the points at which the line breaks; both ends of an
    /// open one are such points. A closed one comes back to its first point, which is not repeated. At least two points; else
    /// <see cref="ArgumentException"/>.
    /// </summary>
    public static Stroke Through(IReadOnlyList<Pt> points, bool closed, IReadOnlySet<int> corners)
    {
        var n = points.Count;
        if (n < 2)
        {
            throw new ArgumentException("A line has two points at the least.", nameof(points));
        }

        Pt P(int i) => closed ? points[((i % n) + n) % n] : points[Math.Clamp(i, 0, n - 1)];
        bool Sharp(int i) => corners.Contains(((i % n) + n) % n) || (!closed && (i <= 0 || i >= n - 1));
        var curves = new List<Curve>();
        for (var i = 0; i < (closed ? n : n - 1); i++)
        {
            // Handles are a third of their own piece, in the direction of the line at their point; at a corner in that of what follows
            // them.
            var (a, b) = (P(i), P(i + 1));
            var third = a.To(b) / 3;
            var (into, outOf) = (Sharp(i) ? b - a : Way(P(i - 1), a, b), Sharp(i + 1) ? b - a : Way(a, b, P(i + 2)));
            Pt Handle(Pt way) => way.Length < 1e-12 ? way : way * (third / way.Length);
            curves.Add(Sharp(i) && Sharp(i + 1) ? Curve.Line(a, b) : Sharp(i) ? Eased(a, b, outOf, fromStart: true) : Sharp(i + 1)
                ? Eased(a, b, into, fromStart: false) : new Curve(a, a + Handle(into), b - Handle(outOf), b));
        }

        return new Stroke(curves, closed);

        // As of the parabola through a point and its neighbours: the nearer one counts more. Even pieces give the way from the one
        // neighbour to the other.
        static Pt Way(Pt before, Pt at, Pt after)
        {
            var (d, e) = (at - before, after - at);
            return d.Length < 1e-12 || e.Length < 1e-12 ? after - before : (d * (e.Length / d.Length)) + (e * (d.Length / e.Length));
        }

        // The free end of a curve bends evenly: its handle points to the other one.
        static Curve Eased(Pt a, Pt b, Pt way, bool fromStart)
        {
            var third = a.To(b) / 3;
            var unit = way.Length < 1e-12 ? way : way * (third / way.Length);
            return fromStart ? new Curve(a, a + (((b - unit) - a) * 0.5), b - unit, b)
                : new Curve(a, a + unit, b + (((a + unit) - b) * 0.5), b);
        }
    }
}
