namespace Dittany.Core.Geometry;

/// <summary>A circle in millimetres.</summary>
public readonly record struct Circle(Pt Centre, double RadiusMm)
{
    /// <summary>Widening against rounding when a point is tested for lying inside.</summary>
    private const double Slack = 1e-9;

    public bool Holds(Pt p) => Centre.To(p) <= RadiusMm + Slack;

    /// <summary>
    /// The smallest circle round all points, exact (Welzl's method taken in the given order, no chance in it). Radius 0 for one point;
    /// throws for none.
    /// </summary>
    public static Circle Round(IReadOnlyList<Pt> points)
    {
        if (points.Count == 0)
        {
            throw new ArgumentException("A circle needs at least one point to go round.", nameof(points));
        }

        var circle = new Circle(points[0], 0);
        for (var i = 1; i < points.Count; i++)
        {
            if (circle.Holds(points[i]))
            {
                continue;
            }

            circle = new Circle(points[i], 0);
            for (var j = 0; j < i; j++)
            {
                if (circle.Holds(points[j]))
                {
                    continue;
                }

                circle = Through(points[i], points[j]);
                for (var k = 0; k < j; k++)
                {
                    if (!circle.Holds(points[k]))
                    {
                        circle = Through(points[i], points[j], points[k]);
                    }
                }
            }
        }

        return circle;
    }

    private static Circle Through(Pt a, Pt b) => new(Pt.Lerp(a, b, 0.5), a.To(b) / 2);

    private static Circle Through(Pt a, Pt b, Pt c)
    {
        var (p, q) = (b - a, c - a);
        var d = 2 * Pt.Cross(p, q);
        if (Math.Abs(d) < 1e-12)
        {
            return a.To(b) > a.To(c) ? Through(a, b) : Through(a, c);
        }

        var (pp, qq) = (Pt.Dot(p, p), Pt.Dot(q, q));
        var centre = a + new Pt(((q.Y * pp) - (p.Y * qq)) / d, ((p.X * qq) - (q.X * pp)) / d);
        return new Circle(centre, centre.To(a));
    }
}
