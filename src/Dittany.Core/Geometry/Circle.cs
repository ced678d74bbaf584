namespace Dittany.Core.Geometry;

/// <summary>A circle in millimetres.</summary>
public readonly record struct Circle(Pt Centre, double RadiusMm)
{
    /// <summary>Widening against rounding when a point is tested for lying inside.</summary>
    private const double Slack = 1e-9;

    public bool Holds(Pt p) => Centre.To(p) <= RadiusMm + Slack;

    /// <summary>
    /// The smallest circle round all points, by the geometry library; it holds every one of them. Radius 0 for one point; throws for none.
    /// </summary>
    public static Circle Round(IReadOnlyList<Pt> points)
    {
        if (points.Count == 0)
        {
            throw new ArgumentException("A circle needs at least one point to go round.", nameof(points));
        }

        var around = new NetTopologySuite.Algorithm.MinimumBoundingCircle(
            Region.Factory.CreateMultiPointFromCoords(OuterPoints.Of(points)
                .Select(p => new NetTopologySuite.Geometries.Coordinate(p.X, p.Y)).ToArray()));
        var centre = around.GetCentre() is { } c ? new Pt(c.X, c.Y) : points[0];

        // The last digit of the library's own radius may leave the points on its rim outside.
        return new Circle(centre, points.Max(p => centre.To(p)));
    }
}
