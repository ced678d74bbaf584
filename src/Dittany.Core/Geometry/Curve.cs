namespace Dittany.Core.Geometry;

/// <summary>One smooth piece of a stroke: a cubic Bézier. A straight piece is a cubic with its handles at the thirds.</summary>
public readonly record struct Curve(Pt P0, Pt P1, Pt P2, Pt P3)
{
    public static Curve Line(Pt a, Pt b) => new(a, Pt.Lerp(a, b, 1.0 / 3), Pt.Lerp(a, b, 2.0 / 3), b);

    /// <summary>The point at parameter <paramref name="t"/> from 0 to 1.</summary>
    public Pt At(double t)
    {
        var u = 1 - t;
        return (P0 * (u * u * u)) + (P1 * (3 * u * u * t)) + (P2 * (3 * u * t * t)) + (P3 * (t * t * t));
    }

    /// <summary>First derivative by <paramref name="t"/>.</summary>
    public Pt Velocity(double t)
    {
        var u = 1 - t;
        return ((P1 - P0) * (3 * u * u)) + ((P2 - P1) * (6 * u * t)) + ((P3 - P2) * (3 * t * t));
    }

    /// <summary>Signed curvature, one over the radius, from the curve itself; 0 where the curve stands still.</summary>
    public double CurvatureAt(double t)
    {
        var u = 1 - t;
        var d1 = Velocity(t);
        var d2 = ((P2 - (P1 * 2) + P0) * (6 * u)) + ((P3 - (P2 * 2) + P1) * (6 * t));
        var speed = d1.Length;
        return speed < 1e-9 ? 0 : Pt.Cross(d1, d2) / (speed * speed * speed);
    }

    /// <summary>What is left of the curve from a parameter on (de Casteljau).</summary>
    public Curve After(double t)
    {
        var (a, b, c) = (Pt.Lerp(P0, P1, t), Pt.Lerp(P1, P2, t), Pt.Lerp(P2, P3, t));
        var (d, e) = (Pt.Lerp(a, b, t), Pt.Lerp(b, c, t));
        return new Curve(Pt.Lerp(d, e, t), e, c, P3);
    }

    /// <summary>The same curve moved and scaled.</summary>
    public Curve Map(Func<Pt, Pt> map) => new(map(P0), map(P1), map(P2), map(P3));

    /// <summary>The same curve run the other way.</summary>
    public Curve Reversed() => new(P3, P2, P1, P0);

    /// <summary>Whether all four points lie on one straight line.</summary>
    public bool IsStraight
    {
        get
        {
            var d = P3 - P0;
            var tolerance = 1e-9 * Math.Max(1, d.Length * d.Length);
            return Math.Abs(Pt.Cross(d, P1 - P0)) <= tolerance && Math.Abs(Pt.Cross(d, P2 - P0)) <= tolerance;
        }
    }
}
