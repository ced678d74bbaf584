namespace Dittany.Core.Geometry;

/// <summary>Distances and lengths on polylines. Points are in one frame and unit; an empty line has no distance (infinity).</summary>
public static class Polyline
{
    /// <summary>Sum of the straight pieces.</summary>
    public static double Length(IReadOnlyList<Pt> line)
    {
        var sum = 0.0;
        for (var i = 1; i < line.Count; i++)
        {
            sum += line[i - 1].To(line[i]);
        }

        return sum;
    }

    /// <summary>The place so far along a line, in its unit; its ends beyond them.</summary>
    public static Pt At(IReadOnlyList<Pt> line, double along)
    {
        for (var i = 1; i < line.Count; i++)
        {
            var length = line[i - 1].To(line[i]);
            if (along <= length)
            {
                return length == 0 ? line[i] : Pt.Lerp(line[i - 1], line[i], Math.Max(0, along / length));
            }

            along -= length;
        }

        return line[^1];
    }

    /// <summary>How far along the way from a to b, as a share of it, that from c to d crosses it; null where it does not.</summary>
    public static double? CrossedAt(Pt a, Pt b, Pt c, Pt d)
    {
        var (p, q) = (b - a, d - c);
        var cross = Pt.Cross(p, q);
        if (Math.Abs(cross) < 1e-12)
        {
            return null;
        }

        var (s, t) = (Pt.Cross(c - a, q) / cross, Pt.Cross(c - a, p) / cross);
        return s is >= 0 and <= 1 && t is >= 0 and <= 1 ? s : null;
    }

    /// <summary>Distance from a point to a segment.</summary>
    public static double ToSegment(Pt p, Pt a, Pt b)
    {
        var d = b - a;
        var square = Pt.Dot(d, d);
        var t = square == 0 ? 0 : Math.Clamp(Pt.Dot(p - a, d) / square, 0, 1);
        return p.To(Pt.Lerp(a, b, t));
    }

    /// <summary>Distance from a point to the nearest place on a line.</summary>
    public static double ToLine(Pt p, IReadOnlyList<Pt> line)
    {
        var best = line.Count == 1 ? p.To(line[0]) : double.PositiveInfinity;
        for (var i = 1; i < line.Count; i++)
        {
            best = Math.Min(best, ToSegment(p, line[i - 1], line[i]));
        }

        return best;
    }

    /// <summary>Nearest distance between two segments, either of which may be a point; 0 where they cross.</summary>
    public static double Apart(Pt a, Pt b, Pt c, Pt d) => Cross(a, b, c, d) ? 0 : Math.Min(
        Math.Min(ToSegment(a, c, d), ToSegment(b, c, d)), Math.Min(ToSegment(c, a, b), ToSegment(d, a, b)));

    /// <summary>Pairs of pieces held against each other are so many to a step (measured).</summary>
    private const int PairsToAStep = 16;

    /// <summary>Nearest distance between two lines; 0 where they cross.</summary>
    public static double Between(IReadOnlyList<Pt> a, IReadOnlyList<Pt> b)
    {
        Measures.Budget.Current.Spend(1 + ((long)a.Count * b.Count / PairsToAStep));
        var best = double.PositiveInfinity;
        for (var i = 1; i < a.Count; i++)
        {
            var (left, right, top, bottom) = (Math.Min(a[i - 1].X, a[i].X), Math.Max(a[i - 1].X, a[i].X), Math.Min(a[i - 1].Y, a[i].Y),
                Math.Max(a[i - 1].Y, a[i].Y));
            for (var j = 1; j < b.Count; j++)
            {
                // Pieces whose boxes lie further apart than the nearest so far cannot be nearer.
                var across = Math.Max(0, Math.Max(left - Math.Max(b[j - 1].X, b[j].X), Math.Min(b[j - 1].X, b[j].X) - right));
                var down = Math.Max(0, Math.Max(top - Math.Max(b[j - 1].Y, b[j].Y), Math.Min(b[j - 1].Y, b[j].Y) - bottom));
                if ((across * across) + (down * down) >= best * best)
                {
                    continue;
                }

                best = Math.Min(best, Apart(a[i - 1], a[i], b[j - 1], b[j]));
                if (best == 0)
                {
                    return 0;
                }
            }
        }

        return best;
    }

    /// <summary>Nearest distance between the lines of two drawings; infinity where one has none.</summary>
    public static double Between(IReadOnlyList<IReadOnlyList<Pt>> a, IReadOnlyList<IReadOnlyList<Pt>> b) =>
        a.Select(x => b.Select(y => Between(x, y)).DefaultIfEmpty(double.PositiveInfinity).Min()).DefaultIfEmpty(
            double.PositiveInfinity).Min();

    /// <summary>
    /// A line with points left out that stand less than this from the line without them (Douglas and Peucker 1973); both ends stay.
    /// </summary>
    public static IReadOnlyList<Pt> Simplified(IReadOnlyList<Pt> line, double within) =>
        line.Count < 3 ? line : NetTopologySuite.Simplify.DouglasPeuckerLineSimplifier.Simplify(
            line.Select(p => new NetTopologySuite.Geometries.Coordinate(p.X, p.Y)).ToArray(), within).Select(c =>
            new Pt(c.X, c.Y)).ToArray();

    /// <summary>Whether two segments properly cross.</summary>
    public static bool Cross(Pt a, Pt b, Pt c, Pt d)
    {
        var d1 = Pt.Cross(b - a, c - a);
        var d2 = Pt.Cross(b - a, d - a);
        var d3 = Pt.Cross(d - c, a - c);
        var d4 = Pt.Cross(d - c, b - c);
        return d1 * d2 < 0 && d3 * d4 < 0;
    }
}
