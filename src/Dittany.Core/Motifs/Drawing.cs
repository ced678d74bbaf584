using Dittany.Core.Geometry;
using Dittany.Core.Words;

namespace Dittany.Core.Motifs;

/// <summary>
/// What motifs are drawn from, y down: leaves, petals, rounds, and strokes written as <see cref="StrokeReading"/> reads them. Angles in
/// degrees, 0 upward, clockwise.
/// </summary>
internal static class Drawing
{
    /// <summary>
    /// Parts written one a line: role, its layer after an @ where it is not the lowest, the direction of its stitches after a &gt; where it
    /// has one, then <c>line</c>, <c>shape</c> or <c>dot</c>, then
    /// the stroke, or the point of a dot.
    /// </summary>
    public static Figure Written(string text) => new(text.Split('\n',
        StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(Part).ToArray());

    public static FigurePart Line(string role, string stroke) => new(role, FigureKind.Line, StrokeReading.Read(stroke));

    public static FigurePart Line(string role, params Pt[] points) => new(role, FigureKind.Line, Through(points, false));

    public static FigurePart Circle(string role, Pt centre, double radius) => Oval(role, centre, radius, radius);

    public static FigurePart Oval(string role, Pt centre, double rx, double ry) =>
        new(role, FigureKind.Shape, Closed([.. StrokeReading.Ellipse(centre, rx, ry, -90, 270)]));

    public static Pt Polar(Pt centre, double radius, double degrees)
    {
        var a = degrees * Math.PI / 180;
        return centre + new Pt(radius * Math.Sin(a), -radius * Math.Cos(a));
    }

    /// <summary>A pointed leaf from its foot to its tip, fullest at <paramref name="fullest"/> of its length.</summary>
    public static FigurePart Leaf(Pt foot, Pt tip, double width, string role = "leaf", double fullest = 0.42)
    {
        var way = tip - foot;
        var side = new Pt(-way.Y, way.X) * (width * 0.66 / way.Length);
        return new(role, FigureKind.Shape, Closed(
        [
            new Curve(foot, foot + (way * (fullest * 0.55)) + side, foot + (way * (fullest + 0.28)) + side, tip),
            new Curve(tip, foot + (way * (fullest + 0.28)) - side, foot + (way * (fullest * 0.55)) - side, foot),
        ]));
    }

    /// <summary>The vein of a leaf: down its middle, short of the tip.</summary>
    public static FigurePart Vein(Pt foot, Pt tip) => Line("vein", foot + ((tip - foot) * 0.12), foot + ((tip - foot) * 0.74));

    /// <summary>A petal with a round end.</summary>
    public static FigurePart Petal(Pt foot, Pt tip, double width, string role = "petal")
    {
        var way = tip - foot;
        var side = new Pt(-way.Y, way.X) * (width / 2 / way.Length);
        var shoulder = foot + (way * 0.72);
        var end = way * (0.28 * 1.05);
        return new(role, FigureKind.Shape, Closed(
        [
            new Curve(foot, foot + (way * 0.2) + (side * 0.55), shoulder + side - (way * 0.25), shoulder + side),
            new Curve(shoulder + side, shoulder + side + (end * 0.62), tip + (side * 0.5), tip),
            new Curve(tip, tip - (side * 0.5), shoulder - side + (end * 0.62), shoulder - side),
            new Curve(shoulder - side, shoulder - side - (way * 0.25), foot + (way * 0.2) - (side * 0.55), foot),
        ]));
    }

    /// <summary>The same drawing so many times round a point, evenly turned.</summary>
    public static IEnumerable<FigurePart> Round(int count, Func<double, IEnumerable<FigurePart>> at) =>
        Enumerable.Range(0, count).SelectMany(i => at(360.0 * i / count));

    /// <summary>A smooth line through points, or round them.</summary>
    public static Stroke Through(IReadOnlyList<Pt> points, bool closed)
    {
        var n = points.Count;
        Pt P(int i) => closed ? points[((i % n) + n) % n] : points[Math.Clamp(i, 0, n - 1)];
        var curves = new List<Curve>();
        for (var i = 0; i < (closed ? n : n - 1); i++)
        {
            var (a, b) = (P(i), P(i + 1));

            // Handles a sixth of the way between the neighbours (Catmull and Rom 1974).
            curves.Add(n == 2 ? Curve.Line(a, b) : new Curve(a, a + ((b - P(i - 1)) * (1 / 6.0)), b - ((P(i + 2) - a) * (1 / 6.0)), b));
        }

        return new Stroke(curves, closed);
    }

    public static Stroke Closed(IReadOnlyList<Curve> curves) =>
        new([.. curves.Take(curves.Count - 1), curves[^1] with { P3 = curves[0].P0 }], true);

    private static FigurePart Part(string row)
    {
        var words = row.Split(' ', 3);
        if (words[0].Split('>') is [var flowing, var turn])
        {
            return Part($"{flowing} {words[1]} {words[2]}") with { Flow = Direction.Between(default, Polar(default, 1, 90 + StrokeReading.Number(turn))) };
        }

        if (words[0].Split('@') is [var role, var layer])
        {
            return Part($"{role} {words[1]} {words[2]}") with { Layer = int.Parse(layer, System.Globalization.CultureInfo.InvariantCulture) };
        }

        if (words[1] == "dot")
        {
            var at = words[2].Split(' ');
            return FigurePart.Dot(words[0], new Pt(StrokeReading.Number(at[0]), StrokeReading.Number(at[1])));
        }

        var stroke = StrokeReading.Read(words[2]);
        return words[1] == "shape"
            ? new FigurePart(words[0], FigureKind.Shape, stroke.Closed ? stroke
                : new Stroke([.. stroke.Curves, Curve.Line(stroke.End, stroke.Start)], true))
            : new FigurePart(words[0], FigureKind.Line, stroke);
    }
}
