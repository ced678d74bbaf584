namespace Dittany.Core.Geometry;

/// <summary>A circle in millimetres.</summary>
public readonly record struct Circle(Pt Centre, double RadiusMm)
{
    /// <summary>Widening against rounding when a point is tested for lying inside.</summary>
    private const double Slack = 1e-9;

    public bool Holds(Pt p) => Centre.To(p) <= RadiusMm + Slack;

    /// <summary>
    /// The smallest circle round all points (Welzl 1991); it holds every one of them. Radius 0 for one point; throws for none. Points are
    /// taken in an order that is mixed alike each time, so the same points give the same circle to the last digit.
    /// </summary>
    public static Circle Round(IReadOnlyList<Pt> points)
    {
        if (points.Count == 0)
        {
            throw new ArgumentException("A circle needs at least one point to go round.", nameof(points));
        }

        var mixed = Mixed(OuterPoints.Of(points));
        var circle = new Circle(mixed[0], 0);
        for (var i = 1; i < mixed.Length; i++)
        {
            if (circle.Reaches(mixed[i]))
            {
                continue;
            }

            // It lies on the rim of the circle round all up to here.
            circle = new Circle(mixed[i], 0);
            for (var j = 0; j < i; j++)
            {
                if (circle.Reaches(mixed[j]))
                {
                    continue;
                }

                circle = Over(mixed[i], mixed[j]);
                for (var k = 0; k < j; k++)
                {
                    if (!circle.Reaches(mixed[k]))
                    {
                        circle = Through(mixed[i], mixed[j], mixed[k]);
                    }
                }
            }
        }

        // The last digit of its own radius may leave the points on its rim outside.
        return circle with { RadiusMm = points.Max(circle.Centre.To) };
    }

    /// <summary>Share of the radius by which a point may lie outside and counts as on the rim.</summary>
    private const double RimShare = 1e-12;

    private bool Reaches(Pt p) => Centre.To(p) <= RadiusMm * (1 + RimShare);

    private static Circle Over(Pt a, Pt b) => new(Pt.Lerp(a, b, 0.5), a.To(b) / 2);

    /// <summary>The circle through three points; over the two furthest apart where they stand in a line.</summary>
    private static Circle Through(Pt a, Pt b, Pt c)
    {
        var (u, v) = (b - a, c - a);
        var cross = 2 * Pt.Cross(u, v);
        if (Math.Abs(cross) < 1e-12 * u.Length * v.Length || cross == 0)
        {
            Circle[] over = [Over(a, b), Over(a, c), Over(b, c)];
            return over.OrderByDescending(o => o.RadiusMm).First();
        }

        var (uu, vv) = (Pt.Dot(u, u), Pt.Dot(v, v));
        var middle = new Pt(((v.Y * uu) - (u.Y * vv)) / cross, ((u.X * vv) - (v.X * uu)) / cross);
        return new Circle(a + middle, middle.Length);
    }

    /// <summary>The points in an order that follows nothing they lie on (a linear congruence, Knuth's).</summary>
    private static Pt[] Mixed(IReadOnlyList<Pt> points)
    {
        var mixed = points.ToArray();
        var next = 88172645463325252UL;
        for (var i = mixed.Length - 1; i > 0; i--)
        {
            next = unchecked((next * 6364136223846793005UL) + 1442695040888963407UL);
            var at = (int)((next >> 33) % (ulong)(i + 1));
            (mixed[i], mixed[at]) = (mixed[at], mixed[i]);
        }

        return mixed;
    }
}
