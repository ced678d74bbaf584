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

    public Stroke Map(Func<Pt, Pt> map) => new(Curves.Select(c => c.Map(map)).ToArray(), Closed);

    public Stroke Reversed() => new(Curves.Reverse().Select(c => c.Reversed()).ToArray(), Closed);

    /// <summary>
    /// Points along the stroke, both ends and every joint included, close enough that no chord leaves the curve by more than
    /// <paramref name="tolerance"/> (same unit as the stroke).
    /// </summary>
    public IReadOnlyList<Pt> Flatten(double tolerance)
    {
        var points = new List<Pt> { Start };
        foreach (var curve in Curves)
        {
            if (curve.IsStraight)
            {
                points.Add(curve.P3);
                continue;
            }

            // The deviation of a chord is bounded by the second differences of the control points.
            var bend = Math.Max((curve.P0 - (curve.P1 * 2) + curve.P2).Length, (curve.P1 - (curve.P2 * 2) + curve.P3).Length);
            var pieces = Math.Clamp((int)Math.Ceiling(Math.Sqrt(0.75 * bend / tolerance)), 2, 200);
            for (var i = 1; i <= pieces; i++)
            {
                points.Add(curve.At((double)i / pieces));
            }
        }

        return points;
    }
}
