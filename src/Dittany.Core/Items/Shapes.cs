using Dittany.Core.Geometry;

namespace Dittany.Core.Items;

/// <summary>Shapes forms are drawn from. Rings do not repeat their first point.</summary>
internal static class Shapes
{
    public static Pt[] Rectangle(double x, double y, double w, double h) => [new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h)];

    public static Pt[] Circle(Pt centre, double radius) =>
        Enumerable.Range(0, 24).Select(i => centre + new Pt(radius * Math.Cos(Math.PI * i / 12),
            radius * Math.Sin(Math.PI * i / 12))).ToArray();

    /// <summary>Points along a cubic, both ends included.</summary>
    public static Pt[] Bend(Pt from, Pt one, Pt two, Pt to)
    {
        var curve = new Curve(from, one, two, to);
        return Enumerable.Range(0, 17).Select(i => curve.At(i / 16.0)).ToArray();
    }

    /// <summary>A path seen in the mirror of the line x = 0, run the other way, so that it goes on where the first one ends.</summary>
    public static Pt[] Mirrored(IEnumerable<Pt> path) => path.Select(p => new Pt(-p.X, p.Y)).Reverse().ToArray();

    /// <summary>A ring along a path, this wide.</summary>
    public static Pt[] Strip(IReadOnlyList<Pt> path, double width)
    {
        var left = new List<Pt>();
        var right = new List<Pt>();
        for (var i = 0; i < path.Count; i++)
        {
            var way = path[Math.Min(i + 1, path.Count - 1)] - path[Math.Max(i - 1, 0)];
            var across = new Pt(-way.Y, way.X) * (width / 2 / way.Length);
            left.Add(path[i] + across);
            right.Add(path[i] - across);
        }

        right.Reverse();
        return [.. left, .. right];
    }
}
