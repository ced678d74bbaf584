namespace Dittany.Core.Geometry;

/// <summary>
/// A line in the order and direction a hand would write it: smooth pieces end to end. Not an area. A closed stroke ends where it begins.
/// </summary>
public sealed record Stroke(IReadOnlyList<Curve> Curves, bool Closed)
{
    /// <summary>A closed stroke of straight pieces through the corners of a ring.</summary>
    public static Stroke Ring(IReadOnlyList<Pt> ring) =>
        new(ring.Select((p, i) => Curve.Line(p, ring[(i + 1) % ring.Count])).ToArray(), true);

    public Pt Start => Curves[0].P0;

    public Pt End => Curves[^1].P3;

    public Stroke Map(Func<Pt, Pt> map)
    {
        var mapped = new Curve[Curves.Count];
        for (var i = 0; i < mapped.Length; i++)
        {
            mapped[i] = Curves[i].Map(map);
        }

        return new Stroke(mapped, Closed);
    }

    public Stroke Reversed() => new(Curves.Reverse().Select(c => c.Reversed()).ToArray(), Closed);

    /// <summary>
    /// Points along the stroke, both ends and every joint included, close enough that no chord leaves the curve by more than
    /// <paramref name="tolerance"/> (same unit as the stroke).
    /// </summary>
    public IReadOnlyList<Pt> Flatten(double tolerance)
    {
        var pieces = new int[Curves.Count];
        var many = 1;
        for (var i = 0; i < pieces.Length; i++)
        {
            many += pieces[i] = Pieces(Curves[i], tolerance);
        }

        var points = new Pt[many];
        (points[0], many) = (Start, 1);
        for (var i = 0; i < pieces.Length; i++)
        {
            for (var k = 1; k < pieces[i]; k++)
            {
                points[many++] = Curves[i].At((double)k / pieces[i]);
            }

            points[many++] = pieces[i] == 1 ? Curves[i].P3 : Curves[i].At(1);
        }

        return points;
    }

    private static int Pieces(Curve curve, double tolerance)
    {
        if (curve.IsStraight)
        {
            return 1;
        }

        // The deviation of a chord is bounded by the second differences of the control points.
        var bend = Math.Max((curve.P0 - (curve.P1 * 2) + curve.P2).Length, (curve.P1 - (curve.P2 * 2) + curve.P3).Length);
        return Math.Clamp((int)Math.Ceiling(Math.Sqrt(0.75 * bend / tolerance)), 2, 200);
    }
}
